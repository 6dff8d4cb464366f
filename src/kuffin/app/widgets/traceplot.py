"""A run's traces: the judged trace with its fit and window, and roles as rows below, over one time axis in minutes."""

from __future__ import annotations

import html
from collections.abc import Sequence

import numpy as np
import pyqtgraph as pg
from numpy.typing import NDArray
from PySide6.QtCore import QPointF, Qt, QTimer, Signal
from PySide6.QtWidgets import QSizePolicy, QVBoxLayout, QWidget

from kuffin.app.look.theme import USUAL_POINTS, Theme, text_points
from kuffin.app.widgets.plotparts import Bands, LongLine, add_usual_range, axes, name_row, smoothed, tick
from kuffin.app.widgets.texts import no_fields
from kuffin.core.base.language import tr
from kuffin.core.settle import Settling
from kuffin.reading.traceview import USUAL_ROWS, TraceRow, TraceView

Array = NDArray[np.float64]
_AXIS = 58


class TracePlot(QWidget):
    """Plots over one time axis. The window is a band whose edges can be dragged; a cursor reads every channel."""

    window_moved = Signal(float, float)  # seconds
    window_moving = Signal(float, float)
    cursor_at = Signal(object)  # seconds, None where the pointer has left

    def __init__(self, theme: Theme) -> None:
        super().__init__()
        self._theme = theme
        pg.setConfigOptions(antialias=True)
        self._area = pg.GraphicsLayoutWidget()
        layout = QVBoxLayout(self)
        layout.setContentsMargins(0, 0, 0, 0)
        layout.addWidget(self._area)
        self._area.setMinimumSize(200, 160)
        self._area.setSizePolicy(QSizePolicy.Policy.Expanding, QSizePolicy.Policy.Ignored)
        self._area.ci.layout.setSpacing(3)
        self._area.ci.layout.setContentsMargins(0, 2, 4, 2)
        self._spare: list[pg.PlotItem] = []
        self.top = self._plot(0)
        self._following = False
        self.top.sigXRangeChanged.connect(self._follow)
        self.rest: pg.PlotItem | None = None
        self.rows: dict[str, pg.PlotItem] = {}
        self._lines: list[pg.InfiniteLine] = []
        self._long: list[LongLine] = []
        self.region: pg.LinearRegionItem | None = None
        self._view: TraceView | None = None
        self.other: tuple[TraceView, str] | None = None
        self._most_rows = 1
        self.wanted: tuple[str, ...] = USUAL_ROWS
        self.residuals = False
        self._cursor_s: float | None = None
        self._pending: float | None = None
        self._tell = QTimer(self)
        self._tell.setSingleShot(True)
        self._tell.setInterval(25)
        self._tell.timeout.connect(self._tell_cursor)
        self._area.scene().sigMouseMoved.connect(self._pointed)
        self.setAccessibleName(tr("Traces of the run"))
        self.set_theme(theme)

    def _plot(self, row: int) -> pg.PlotItem:
        """A plot in a row: one that was drawn on before, cleared, or a new one (which takes far longer to make)."""
        if self._spare:
            plot = self._spare.pop()
            name_row(plot, "", self._theme.ink)
            self._area.addItem(plot, row=row, col=0)
            plot.setLabel("left", "")
            plot.showLabel("bottom", False)
            plot.getAxis("bottom").setStyle(showValues=False)
            plot.enableAutoRange(axis="y")
            self._dress(plot)
            return plot
        plot = self._area.addPlot(row=row, col=0, enableMenu=False, axisItems=axes())
        plot.hideButtons()
        plot.setDownsampling(auto=True, mode="peak")
        plot.setClipToView(True)
        plot.getAxis("left").enableAutoSIPrefix(False)
        plot.getAxis("left").setTickDensity(0.7)  # on low rows its labels would touch
        plot.getAxis("bottom").setStyle(showValues=False)
        plot.getViewBox().setMouseEnabled(x=True, y=False)
        self._dress(plot)
        return plot

    @property
    def text_scale(self) -> float:
        """How much larger than usual the text is."""
        return text_points() / USUAL_POINTS

    def _dress(self, plot: pg.PlotItem) -> None:
        for side in ("left", "bottom"):
            axis = plot.getAxis(side)
            axis.setPen(pg.mkPen(self._theme.hairline))
            axis.setTextPen(pg.mkPen(self._theme.muted))
            axis.setStyle(tickLength=4)
        plot.getAxis("left").setWidth(round(_AXIS * self.text_scale))
        plot.showGrid(x=False, y=True, alpha=0.14)

    def set_theme(self, theme: Theme) -> None:
        self._theme = theme
        self._area.setBackground(theme.ground)
        self._dress(self.top)
        self._redraw()

    @property
    def view(self) -> TraceView | None:
        """What is drawn."""
        return self._view

    def clear(self) -> None:
        """Show nothing."""
        self._view = None
        self.draw()

    def show_view(self, view: TraceView) -> None:
        """Show a run, the time axis from its beginning to its end."""
        self._view = view
        self.draw()
        if view.times.size > 1:
            self.top.setXRange(float(view.times[0]) / 60, float(view.times[-1]) / 60, padding=0.01)
        self._area.scene().prepareForPaint()  # ranges that are found while it is painted have it painted again

    def lay_over(self, other: TraceView | None, name: str = "") -> None:
        """Draw another run's traces beneath, aligned at the load's start; None takes them away."""
        if other is None and self.other is None:
            return
        self.other = None if other is None else (other, name)
        self._redraw()

    def show_rows(self, keys: tuple[str, ...], residuals: bool) -> None:
        """Choose which rows are seen."""
        self.wanted, self.residuals = keys, residuals
        self._redraw()

    def _redraw(self) -> None:
        span = self.top.viewRange()[0]
        self.draw()
        self.top.setXRange(*span, padding=0)

    # --- drawing ---------------------------------------------------------------------------------------------------

    def draw(self) -> None:
        """Build all rows anew; plots stay where they are while the rows do."""
        view = self._view
        keys = [] if view is None else [r.key for r in view.rows if r.key.split(" ")[0] in self.wanted]
        with_rest = self.residuals and view is not None and view.settling is not None
        stays = keys == list(self.rows) and with_rest == (self.rest is not None)
        for item in filter(None, (self.rest, *self.rows.values())):
            item.clear()
            if not stays:
                self._area.removeItem(item)
                item.sigXRangeChanged.disconnect(self._follow)
                self._spare.append(item)
        self._lines, self.region, self._long = [], None, []
        self.top.clear()
        if not stays:
            self.rest, self.rows = None, {}
        if view is None:
            name_row(self.top, "", self._theme.ink)
            return
        self.top.setLabel("left", html.escape(view.label.rsplit(", ", 1)[-1]))
        name_row(self.top, html.escape(tr(view.label.rsplit(", ", 1)[0])), self._theme.ink)
        if not stays:
            self._lay_rows(keys, with_rest)
        below = [p for p in (self.rest, *self.rows.values()) if p is not None]
        for plot in below:
            plot.setXRange(*self.top.viewRange()[0], padding=0)
        foot = below[-1] if below else self.top
        for plot in below:
            plot.showAxis("bottom", plot is foot)
            plot.showGrid(x=False, y=len(below) <= 6, alpha=0.14)
        foot.getAxis("bottom").setStyle(showValues=True)
        foot.setLabel("bottom", tr("minutes from the first row"))
        if foot is not self.top:
            self.top.getAxis("bottom").setStyle(showValues=False)
            self.top.getAxis("bottom").setLabel("")
            self.top.showLabel("bottom", False)
        if view.settling is not None:
            self._draw_settling(view.settling, view.times[: view.settling.trace.size] / 60)
        for row in view.rows:
            if row.key in self.rows:
                self._draw_row(self.rows[row.key], row)
        self._draw_events(view, [self.top, *below])
        self._fit_lines()
        for plot in (self.top, *below):
            line = pg.InfiniteLine(angle=90, pen=pg.mkPen(self._theme.ink, width=1, style=Qt.PenStyle.DotLine))
            line.setVisible(self._cursor_s is not None)
            plot.addItem(line, ignoreBounds=True)
            self._lines.append(line)

    def _lay_rows(self, keys: Sequence[str], with_rest: bool) -> None:
        """Put a plot for each row below the judged trace."""
        if with_rest:
            self.rest = self._plot(1)
        for place, key in enumerate(keys, 2 if with_rest else 1):
            self.rows[key] = self._plot(place)
        for plot in (self.rest, *self.rows.values()):
            if plot is not None:
                plot.sigXRangeChanged.connect(self._follow)
        self._share_height(1 + with_rest + len(keys))

    def _share_height(self, rows: int) -> None:
        """The judged trace takes what the rows below leave: about two fifths."""
        grid = self._area.ci.layout
        self._most_rows = max(self._most_rows, rows)
        for i in range(self._most_rows):
            share = max(2.0, 0.75 * (rows - 1)) if i == 0 else 1.0 if i < rows else 0.0
            grid.setRowPreferredHeight(i, 70 * share)
            grid.setRowStretchFactor(i, round(10 * share))
            grid.setRowSpacing(i, 3 if i < rows - 1 else 0)

    def _draw_row(self, plot: pg.PlotItem, row: TraceRow) -> None:
        t = self._theme
        plot.setLabel("left", html.escape(row.unit or row.title))
        plot.getAxis("left").setTickDensity(0.6)
        shades = (t.ink, t.muted, t.accent, t.warn)
        other = {} if self.other is None else {r.key: r for r in self.other[0].rows}
        lows: list[float] = []
        highs: list[float] = []
        if row.key in other and self.other is not None and self._view is not None:
            shift = self._view.load_start_s - self.other[0].load_start_s
            for line in other[row.key].lines[:4]:
                pen = pg.mkPen(t.accent, width=1)
                self._long.append(LongLine(plot, (line.times + shift) / 60, line.values, pen))
                add_usual_range(line.values, lows, highs)
        for i, line in enumerate(row.lines):
            # one-pixel solid lines without smoothing: dashes and wide pens make long traces crawl
            pen = pg.mkPen(shades[i % 2], width=1)
            self._long.append(LongLine(plot, line.times / 60, line.values, pen))
            add_usual_range(line.values, lows, highs)
        names = enumerate(row.lines[:8] if lows else ())
        said = (f'<span style="color:{shades[i % 2]}">{html.escape(x.name)}</span>' for i, x in names)
        name_row(plot, " · ".join(said), self._theme.ink)
        if not lows:
            return
        low, high = min(lows), max(highs)
        room = max(0.12 * (high - low), 0.004 * max(abs(high), 1.0))
        plot.setYRange(low - room, high + room * 3.2, padding=0)
        for line in row.lines[:6]:
            if line.spikes.size:
                edge = np.full(min(line.spikes.size, 500), low - 0.5 * room)  # at the foot: names stand at the top
                spikes = pg.ScatterPlotItem(
                    line.spikes[:500] / 60, edge, symbol="t1", size=7, pen=None, brush=pg.mkBrush(t.warn)
                )
                plot.addItem(spikes, ignoreBounds=True)

    def _draw_settling(self, s: Settling, minutes: Array) -> None:
        t = self._theme
        if self.other is not None and self.other[0].settling is not None and self._view is not None:
            other, name = self.other
            shift = self._view.load_start_s - other.load_start_s
            told = other.settling
            assert told is not None
            at = (other.times[: told.trace.size] + shift) / 60
            self._long.append(LongLine(self.top, at, told.trace, pg.mkPen(t.accent, width=1)))
            word = pg.TextItem(name, color=t.accent, anchor=(1, 0), fill=pg.mkBrush(t.ground + "c0"))
            word.setPos(float(at[-1]), float(told.warm_up.final))
            self.top.addItem(word, ignoreBounds=True)
        self._long.append(LongLine(self.top, minutes, s.trace, pg.mkPen(t.muted, width=1)))
        self.top.plot(s.fit_times / 60, s.fit, pen=pg.mkPen(t.accent, width=2.4))
        final = "" if self._view is None else self._view.heading_for
        heading = no_fields(tr("heading for {final}", final=final))
        where = {"color": t.accent, "position": 0.995, "anchors": [(1, 1.0), (1, 1.0)]}
        pen = pg.mkPen(t.accent, width=1.2, style=Qt.PenStyle.DashLine)
        level = pg.InfiniteLine(s.warm_up.final, angle=0, pen=pen, label=heading, labelOpts=where)
        self.top.addItem(level)
        if s.load.step_s is not None:
            warn = pg.mkPen(t.warn, width=1.2, style=Qt.PenStyle.DashLine)
            said = {"color": t.warn, "position": 0.1}
            self.top.addItem(
                pg.InfiniteLine(
                    s.load.step_s / 60, angle=90, pen=warn, label=no_fields(tr("changed here")), labelOpts=said
                )
            )
        self.region = pg.LinearRegionItem(
            [s.window.span_s[0] / 60, s.window.span_s[1] / 60],
            brush=pg.mkBrush(t.accent + "1e"),
            hoverBrush=pg.mkBrush(t.accent + "30"),
            pen=pg.mkPen(t.accent, width=1.4),
            hoverPen=pg.mkPen(t.accent, width=2.4),
        )
        self.region.setZValue(-10)
        self.region.sigRegionChanged.connect(self._moving)
        self.region.sigRegionChangeFinished.connect(self._moved)
        self.top.addItem(self.region)
        finite = s.trace[np.isfinite(s.trace)]
        if finite.size:
            low, high = np.percentile(finite, [0.5, 99.5])
            low, high = min(low, s.warm_up.final), max(high, s.warm_up.final)
            room = 0.24 * self.text_scale * max(high - low, 1e-6)
            self.top.setYRange(low - room, high + room, padding=0)
        if self.rest is not None:
            left = (
                np.interp(s.fit_times, self._view.times[: s.trace.size] if self._view else s.fit_times, smoothed(s))
                - s.fit
            )
            self.rest.setLabel("left", tr("rest"))
            self.rest.plot(s.fit_times / 60, left, pen=pg.mkPen(t.ink, width=1))
            self.rest.addItem(pg.InfiniteLine(0, angle=0, pen=pg.mkPen(t.hairline)), ignoreBounds=True)
            reach = max(1.2 * float(np.nanmax(np.abs(left))) if left.size else 0.0, 1e-6)
            self.rest.setYRange(-reach, reach, padding=0)

    def _draw_events(self, view: TraceView, plots: list[pg.PlotItem]) -> None:
        """Dips shaded, passes ticked, marks drawn through all rows."""
        t = self._theme
        for plot in plots:
            if view.dips:
                plot.addItem(Bands(view.dips, t.muted + "2a"), ignoreBounds=True)
            for at, kind, said in view.marks:
                loud = kind in {"alarm", "trouble"}
                pen = pg.mkPen(t.warn if loud else t.hairline if kind == "stage" else t.muted, width=1.2)
                first = plot is plots[0] and kind != "stage"
                words = {"color": t.warn if loud else t.muted, "position": 0.16, "anchors": [(0, 0), (0, 0)]}
                label = no_fields(said[:28]) if first else None
                plot.addItem(
                    pg.InfiniteLine(at / 60, angle=90, pen=pen, label=label, labelOpts=words), ignoreBounds=True
                )
        if view.passes.size and view.settling is not None:
            low, high = self.top.viewRange()[1]
            ticks = pg.ScatterPlotItem(
                view.passes / 60,
                np.full(view.passes.size, low + 0.02 * (high - low)),
                symbol=tick(),
                size=9,
                pen=pg.mkPen(t.muted, width=1.2),
            )
            self.top.addItem(ticks, ignoreBounds=True)

    def _follow(self, moved: pg.ViewBox, span: tuple[float, float]) -> None:
        """All rows show the same stretch; the plots' own link would shift it while they are being laid out."""
        if self._following:
            return
        self._following = True
        for plot in (self.top, self.rest, *self.rows.values()):
            if plot is not None and plot.getViewBox() is not moved:
                plot.setXRange(*span, padding=0)
        self._following = False
        self._fit_lines()

    def _fit_lines(self) -> None:
        a, b = self.top.viewRange()[0]
        for line in self._long:
            line.fit(a, b)

    # --- moving ----------------------------------------------------------------------------------------------------

    def _moving(self) -> None:
        if self.region is not None:
            a, b = self.region.getRegion()
            self.window_moving.emit(a * 60, b * 60)

    def _moved(self) -> None:
        if self.region is not None:
            a, b = self.region.getRegion()
            self.window_moved.emit(a * 60, b * 60)

    def _pointed(self, at: QPointF) -> None:
        box = self.top.getViewBox()
        inside = any(p.sceneBoundingRect().contains(at) for p in (self.top, *self.rows.values()))
        self.point_at(box.mapSceneToView(at).x() * 60 if inside else None)

    def point_at(self, seconds: float | None) -> None:
        """Put the cursor somewhere, or (None) take it away."""
        self._cursor_s = seconds
        for line in self._lines:
            line.setVisible(seconds is not None)
            if seconds is not None:
                line.setPos(seconds / 60)
        self._pending = seconds
        if not self._tell.isActive():
            self._tell.start()

    def _tell_cursor(self) -> None:
        self.cursor_at.emit(self._pending)

    def step_cursor(self, share: float) -> None:
        """Move the cursor by a share of what is shown; it begins in the middle."""
        a, b = self.top.viewRange()[0]
        now = (a + b) / 2 if self._cursor_s is None else self._cursor_s / 60 + share * (b - a)
        self.point_at(60 * min(max(now, a), b))

    def zoom(self, factor: float) -> None:
        """Zoom the time axis about its middle."""
        (a, b), _ = self.top.viewRange()
        middle, half = (a + b) / 2, (b - a) / 2 * factor
        self.top.setXRange(middle - half, middle + half, padding=0)

    def pan(self, share: float) -> None:
        """Move along the time axis by a share of what is shown."""
        (a, b), _ = self.top.viewRange()
        self.top.setXRange(a + share * (b - a), b + share * (b - a), padding=0)

    def show_all(self) -> None:
        """The whole run again."""
        if self._view is not None and self._view.times.size > 1:
            self.top.setXRange(float(self._view.times[0]) / 60, float(self._view.times[-1]) / 60, padding=0.01)
