"""The live traces: what must settle with its fit and window as they form, and the temperatures beside it."""

from __future__ import annotations

import html

import numpy as np
import pyqtgraph as pg
from numpy.typing import NDArray
from PySide6.QtCore import Qt
from PySide6.QtGui import QFont, QFontMetricsF
from PySide6.QtWidgets import QHBoxLayout, QWidget

from kuffin.app.look.theme import USUAL_POINTS, Theme, text_points
from kuffin.app.widgets.plotparts import axes
from kuffin.core.base.language import tr
from kuffin.core.settle import Settling
from kuffin.look.colours import TEXT

Array = NDArray[np.float64]
_MOST_POINTS = 900
_LEAST_HEIGHT = 120  # px with text of the usual size


def thinned(times: Array, values: Array) -> tuple[Array, Array]:
    """At most so many points as a small plot can show."""
    every = max(1, times.size // _MOST_POINTS)
    return times[::every], values[::every]


class LiveTraces(QWidget):
    """Two small plots over minutes."""

    def __init__(self, theme: Theme) -> None:
        super().__init__()
        pg.setConfigOptions(antialias=True)
        self._left, self._right = pg.PlotWidget(axisItems=axes()), pg.PlotWidget(axisItems=axes())
        layout = QHBoxLayout(self)
        layout.setContentsMargins(0, 0, 0, 0)
        layout.addWidget(self._left, 3)
        layout.addWidget(self._right, 2)
        for widget in (self._left, self._right):
            plot = widget.getPlotItem()
            plot.setMenuEnabled(False)
            plot.hideButtons()
            plot.setMouseEnabled(False, False)
            plot.getAxis("left").setWidth(44)
            plot.getAxis("left").enableAutoSIPrefix(False)
        self.trace = self._left.plot([], [], connect="finite")
        self.fit = self._left.plot([], [])
        self.level = pg.InfiniteLine(0, angle=0)
        self.band = pg.LinearRegionItem([0, 0], movable=False)
        self.band.setZValue(-10)
        for item in (self.level, self.band):
            self._left.addItem(item)
            item.hide()
        self.others = [self._right.plot([], [], connect="finite") for _ in range(3)]
        self._names = [pg.TextItem("", anchor=(0, 0.5)) for _ in range(3)]  # beside the lines' ends
        for name in self._names:
            self._right.addItem(name)
        self.setAccessibleName(tr("Live traces"))
        self.set_theme(theme)

    def set_theme(self, theme: Theme) -> None:
        self._theme = theme
        for widget in (self._left, self._right):
            widget.setBackground(theme.ground)
            for side in ("left", "bottom"):
                axis = widget.getPlotItem().getAxis(side)
                axis.setPen(pg.mkPen(theme.hairline))
                axis.setTextPen(pg.mkPen(theme.muted))
        self.trace.setPen(pg.mkPen(theme.ink, width=1.6))
        self.fit.setPen(pg.mkPen(theme.accent, width=2.4))
        self.level.setPen(pg.mkPen(theme.accent, width=1.2, style=Qt.PenStyle.DashLine))
        self.band.setBrush(pg.mkBrush(theme.accent + "26"))
        for line in self.band.lines:
            line.setPen(pg.mkPen(theme.accent, width=1.2))
        for curve, colour in zip(self.others, (theme.muted, theme.ink, theme.accent), strict=True):
            curve.setPen(pg.mkPen(colour, width=1.4))
        size = text_points()
        font = QFont(TEXT)
        font.setPointSizeF(size)
        for name in self._names:
            name.setColor(theme.ink)
            name.setFont(font)
        self._letter = QFontMetricsF(font).height()
        self._title = f"{0.86 * size:.1f}pt"
        self.setMinimumHeight(round(_LEAST_HEIGHT * size / USUAL_POINTS))

    def show_trace(
        self, times: Array, values: Array, label: str, settling: Settling | None, window_s: tuple[float, float] | None
    ) -> None:
        """Show what must settle, with its fit and window where there are any."""
        t, v = thinned(times, values)
        self.trace.setData(t / 60, v)
        self._frame(self._left, t, [v, np.array([settling.warm_up.final])] if settling is not None else [v], 1.0)
        self._left.getPlotItem().setTitle(html.escape(label), size=self._title, color=self._theme.muted)
        self.fit.setData([], [])
        self.level.setVisible(settling is not None and not settling.settled)
        if settling is not None:
            ft, fv = thinned(settling.fit_times, settling.fit)
            self.fit.setData(ft / 60, fv)
            self.level.setValue(settling.warm_up.final)
        self.band.setVisible(window_s is not None)
        if window_s is not None:
            self.band.setRegion((window_s[0] / 60, window_s[1] / 60))

    def _frame(
        self, widget: pg.PlotWidget, times: Array, values: list[Array], least: float, beside: float = 0.02
    ) -> float:
        """Ten minutes at least, no noise blown up to fill the height, and a share of the width left beside the lines' ends.

        Returns
        -------
        float
            How much of the vertical axis a letter is high.
        """
        finite = [v[np.isfinite(v)] for v in values]
        finite = [v for v in finite if v.size]
        if not finite or not times.size:
            return 0.0
        low, high = min(float(v.min()) for v in finite), max(float(v.max()) for v in finite)
        room = max(least - (high - low), 0.0) / 2
        span = high - low + 2 * room
        plot = widget.getPlotItem()
        letter = min(self._letter / max(plot.getViewBox().height(), 2 * self._letter), 0.3)  # as a share of the height
        high, low = high + room + 0.08 * span, low - room - 0.05 * span
        if beside > 0.1:  # names stand beside the ends, half a letter over the highest
            high += max(letter / 2 - 0.08, 0.0) * (high - low)
        plot.setYRange(low, high, padding=0)
        plot.setXRange(float(times[0]) / 60, max(float(times[-1]) / 60 * (1 + beside), 10.0), padding=0)
        return float(letter * (high - low))

    def show_levels(self, times: Array, levels: list[tuple[str, Array | None]]) -> None:
        """Show the temperatures."""
        self._right.getPlotItem().setTitle("°C", size=self._title, color=self._theme.muted)
        known = [v[np.isfinite(v)] for _, v in levels if v is not None and np.isfinite(v).any()]
        apart = 0.9 * self._frame(self._right, times, known, 5.0, beside=0.35)
        lowest = -np.inf  # names stand clear of each other, from the coolest up
        for curve, name, (label, values) in zip(self.others, self._names, levels, strict=False):
            if values is None or not np.isfinite(values).any():
                curve.setData([], [])
                name.setText("")
                continue
            t, v = thinned(times, values)
            curve.setData(t / 60, v)
            last = v[np.isfinite(v)][-1]
            name.setText(label)
            lowest = max(float(last), lowest + apart) if np.isfinite(lowest) else float(last)
            name.setPos(float(t[-1]) / 60, lowest)
