"""A run's traces: the judged trace with its fit and window, and the channels below on the same time axis."""

from __future__ import annotations

import numpy as np
import pyqtgraph as pg
from numpy.typing import NDArray
from PySide6.QtCore import Qt, Signal
from PySide6.QtWidgets import QVBoxLayout, QWidget

from kuffin.app.look.theme import Theme
from kuffin.app.widgets.curve import Curve
from kuffin.core.settle import Settling

Array = NDArray[np.float64]


class TracePlot(QWidget):
    """Two plots over one time axis in minutes. The window is a band whose edges can be dragged."""

    window_moved = Signal(float, float)  # seconds

    def __init__(self, theme: Theme) -> None:
        super().__init__()
        self._theme = theme
        pg.setConfigOptions(antialias=True)
        self._area = pg.GraphicsLayoutWidget()
        layout = QVBoxLayout(self)
        layout.setContentsMargins(0, 0, 0, 0)
        layout.addWidget(self._area)
        self.top = self._area.addPlot(row=0, col=0)
        self.below = self._area.addPlot(row=1, col=0)
        self.below.setXLink(self.top)
        self._area.ci.layout.setRowStretchFactor(0, 3)
        self._area.ci.layout.setRowStretchFactor(1, 2)
        self._area.ci.layout.setSpacing(4)
        for plot in (self.top, self.below):
            plot.setMenuEnabled(False)
            plot.hideButtons()
            plot.setDownsampling(auto=True, mode="peak")
            plot.setClipToView(True)
            plot.getAxis("left").setWidth(58)
            plot.getAxis("left").enableAutoSIPrefix(False)
        self.top.getAxis("bottom").setStyle(showValues=False)
        self.below.setLabel("bottom", "minutes from the first row")
        self._region: pg.LinearRegionItem | None = None
        self._shown: tuple[Settling | None, list[Curve], str, Array | None] = (None, [], "", None)
        self.setAccessibleName("Traces of the run")
        self.set_theme(theme)

    def set_theme(self, theme: Theme) -> None:
        self._theme = theme
        self._area.setBackground(theme.ground)
        for plot in (self.top, self.below):
            for side in ("left", "bottom"):
                axis = plot.getAxis(side)
                axis.setPen(pg.mkPen(theme.hairline))
                axis.setTextPen(pg.mkPen(theme.muted))
                axis.setStyle(tickLength=4)
            plot.showGrid(x=False, y=True, alpha=0.14)
        self.show_run(*self._shown)

    def clear(self) -> None:
        """Show nothing."""
        self._shown = (None, [], "", None)
        self._region = None
        self.top.clear()
        self.below.clear()

    def show_run(self, settling: Settling | None, curves: list[Curve], label: str, times: Array | None = None) -> None:
        """Show a judged trace with its fit and window, and the channels below."""
        self._shown = (settling, curves, label, times)
        t = self._theme
        self.top.clear()
        self.below.clear()
        self._region = None
        self.top.setLabel("left", label)
        self.top.getAxis("left").setTextPen(pg.mkPen(t.muted))
        if curves:
            self.below.setLabel("left", "°C")
        shades = (t.ink, t.muted, t.muted, t.ink)
        for i, curve in enumerate(curves):
            # one-pixel solid lines without smoothing: dashes and wide pens make long traces crawl
            pen = pg.mkPen(shades[i % 4], width=1)
            self.below.plot(
                curve.times / 60, curve.values, pen=pen, connect="finite", antialias=curve.times.size < 4000
            )
            end = curve.values[np.isfinite(curve.values)][-200:]
            if end.size:
                name = pg.TextItem(curve.name, color=t.ink, anchor=(1, 1), fill=pg.mkBrush(t.ground + "c0"))
                name.setPos(float(curve.times[-1]) / 60, float(np.median(end)))
                self.below.addItem(name)
        finite = [c.values[np.isfinite(c.values)] for c in curves]
        lows = [float(np.percentile(v, 0.2)) for v in finite if v.size]
        if lows:
            high = max(float(np.percentile(v, 99.8)) for v in finite if v.size)
            self.below.setYRange(min(lows) - 1, high + 0.3 * (high - min(lows)) + 1, padding=0)
        if settling is None:
            return
        x = np.arange(settling.trace.size, dtype=float) if times is None else times[: settling.trace.size]
        self._draw_settling(settling, x / 60)

    def _draw_settling(self, s: Settling, minutes: Array) -> None:
        t = self._theme
        self.top.plot(minutes, s.trace, pen=pg.mkPen(t.muted, width=1), connect="finite", antialias=minutes.size < 4000)
        self.top.plot(s.fit_times / 60, s.fit, pen=pg.mkPen(t.accent, width=2.4))
        self.top.addItem(
            pg.InfiniteLine(
                s.final,
                angle=0,
                pen=pg.mkPen(t.accent, width=1.2, style=Qt.PenStyle.DashLine),
                label="heading for {value:.2f}" if abs(s.final) > 1 else "heading for {value:.4f}",
                labelOpts={
                    "color": t.accent,
                    "fill": t.ground + "d8",
                    "position": 0.09,
                    "anchors": [(0, 1.1), (0, 1.1)],
                },
            )
        )
        if s.step_s is not None:
            self.top.addItem(
                pg.InfiniteLine(
                    s.step_s / 60,
                    angle=90,
                    pen=pg.mkPen(t.warn, width=1.2, style=Qt.PenStyle.DashLine),
                    label="changed here",
                    labelOpts={"color": t.warn, "position": 0.1},
                )
            )
        self._region = pg.LinearRegionItem(
            [s.window_s[0] / 60, s.window_s[1] / 60],
            brush=pg.mkBrush(t.accent + "1e"),
            hoverBrush=pg.mkBrush(t.accent + "30"),
            pen=pg.mkPen(t.accent, width=1.4),
            hoverPen=pg.mkPen(t.accent, width=2.4),
        )
        self._region.setZValue(-10)
        self._region.sigRegionChangeFinished.connect(self._moved)
        self.top.addItem(self._region)
        finite = s.trace[np.isfinite(s.trace)]
        if finite.size:
            low, high = np.percentile(finite, [0.5, 99.5])
            low, high = min(low, s.final), max(high, s.final)
            room = 0.12 * max(high - low, 1e-6)
            self.top.setYRange(low - room, high + room, padding=0)
        self.top.setXRange(float(minutes[0]), float(minutes[-1]), padding=0.01)

    def _moved(self) -> None:
        if self._region is not None:
            a, b = self._region.getRegion()
            self.window_moved.emit(a * 60, b * 60)

    def zoom(self, factor: float) -> None:
        """Zoom the time axis about its middle."""
        (a, b), _ = self.top.viewRange()
        middle, half = (a + b) / 2, (b - a) / 2 * factor
        self.top.setXRange(middle - half, middle + half, padding=0)

    def pan(self, share: float) -> None:
        """Move along the time axis by a share of what is shown."""
        (a, b), _ = self.top.viewRange()
        self.top.setXRange(a + share * (b - a), b + share * (b - a), padding=0)
