"""Pieces of the trace plot: axes, shaded stretches, a tick, and a trace averaged for its residuals."""

from __future__ import annotations

import math

import numpy as np
import pyqtgraph as pg
from numpy.typing import NDArray
from PySide6.QtGui import QPainterPath

from kuffin.app.base.guarded import guarded
from kuffin.app.look.theme import text_points
from kuffin.core.base.language import written
from kuffin.core.base.traces import peaks
from kuffin.core.settle import Settling

Array = NDArray[np.float64]


def smoothed(s: Settling) -> Array:
    """The judged trace averaged over a pass, or half a minute, so that residuals show their shape."""
    trace = s.trace
    ok = np.isfinite(trace)
    if ok.sum() < 8:
        return trace
    filled = np.interp(np.arange(trace.size), np.flatnonzero(ok), trace[ok])
    span = (s.load.period_s or 30.0) / max((s.load.end_s - (s.load.start_s or 0.0)) / max(trace.size, 1), 1e-6)
    width = int(np.clip(span, 1, trace.size // 3))
    padded = np.pad(filled, (width // 2, width - 1 - width // 2), mode="edge")
    return np.convolve(padded, np.ones(width) / width, mode="valid")


class _Axis(pg.AxisItem):  # type: ignore[misc]
    """An axis whose numbers are written as the window's language has them."""

    def tickStrings(self, values: list[float], scale: float, spacing: float) -> list[str]:
        return [written(said).replace("-", "−") for said in super().tickStrings(values, scale, spacing)]


def axes() -> dict[str, pg.AxisItem]:
    """The axes of a new plot, by their sides."""
    return {side: _Axis(side) for side in ("left", "bottom")}


def tick() -> QPainterPath:
    """A short upright stroke, for where a pass begins."""
    path = QPainterPath()
    path.moveTo(0, -0.5)
    path.lineTo(0, 0.5)
    return path


class _RowName(pg.LabelItem):  # type: ignore[misc]
    """What a row shows; it stays from run to run, as laying out its words takes long."""

    told: tuple[str, float, str] = "", 0.0, ""


def name_row(plot: pg.PlotItem, said: str, ink: str) -> None:
    """Say what a row shows, in its upper left corner; in markup, so names come in escaped."""
    label = next((c for c in plot.getViewBox().childItems() if isinstance(c, _RowName)), None)
    if label is None:
        label = _RowName("")
        label.setParentItem(plot.getViewBox())
        label.anchor((0, 0), (0, 0), offset=(6, -3))
        label.setZValue(5)
    told = said, 0.85 * text_points(), ink
    if label.told != told:
        label.told = told
        label.setText(said, size=f"{told[1]:.1f}pt", color=ink)


@guarded
class Bands(pg.GraphicsObject):  # type: ignore[misc]
    """Many shaded stretches in one item, from the plot's foot to its top."""

    def __init__(self, spans: tuple[tuple[float, float], ...], colour: str) -> None:
        super().__init__()
        self._spans, self._brush = spans, pg.mkBrush(colour)
        self.setZValue(-20)

    def boundingRect(self) -> object:
        return self.viewRect() if self.getViewBox() is not None else pg.QtCore.QRectF()

    def viewTransformChanged(self) -> None:
        self.prepareGeometryChange()

    def paint(self, painter: object, *_args: object) -> None:
        seen = self.viewRect()
        for begin, end in self._spans:
            a, b = begin / 60, end / 60
            if b >= seen.left() and a <= seen.right():
                painter.fillRect(pg.QtCore.QRectF(a, seen.top(), max(b - a, 1e-6), seen.height()), self._brush)  # type: ignore[attr-defined]


class _Curve(pg.PlotCurveItem):  # type: ignore[misc]
    """A curve whose data keep their bounds while the view moves; the library works them out anew each time."""

    def viewTransformChanged(self) -> None:
        self._boundingRect = None  # it holds the pen's width, in the view's scale
        self.prepareGeometryChange()


_MOST_SEEN = 3200
_BEYOND = 0.5  # of what is seen, that is drawn at each side of it


class LongLine:
    """A channel that is drawn from ever coarser peaks the more of it is seen, and only as far as a little beyond what is seen, so that long
    runs stay fluid.

    Parameters
    ----------
    plot : PlotItem
    minutes, values : ndarray, shape (n,)
    """

    def __init__(self, plot: pg.PlotItem, minutes: Array, values: Array, pen: object) -> None:
        self._levels = {1: (minutes, values)}
        self._factor = 0
        self._span = max(float(minutes[-1] - minutes[0]), 1e-9) if minutes.size else 1e-9
        self._from, self._to = math.inf, -math.inf  # minutes that are drawn
        self._item = _Curve(pen=pen, connect="finite", antialias=minutes.size < 4000)
        plot.addItem(self._item, ignoreBounds=True)  # the rows say their own ranges

    def fit(self, begin: float, end: float) -> None:
        """Choose how coarse, and what is drawn, by which minutes are seen."""
        minutes, values = self._levels[1]
        seen_minutes = end - begin
        samples = minutes.size * min(seen_minutes / self._span, 1.0)
        factor = 1
        while 2 * samples / factor > _MOST_SEEN and factor < 4096:
            factor *= 4
        if factor == self._factor and self._from <= begin and end <= self._to:
            return
        self._factor = factor
        if factor not in self._levels:
            self._levels[factor] = peaks(minutes, values, factor)
        at, drawn = self._levels[factor]
        first, last = np.searchsorted(at, (begin - _BEYOND * seen_minutes, end + _BEYOND * seen_minutes))
        first, last = max(int(first) - 1, 0), min(int(last) + 1, at.size)
        self._from = -math.inf if first == 0 else float(at[first])
        self._to = math.inf if last == at.size else float(at[last - 1])
        self._item.setData(at[first:last], drawn[first:last])


def add_usual_range(values: Array, lows: list[float], highs: list[float]) -> None:
    """Where nearly all of some values lie: added to the lows and highs of a row; nothing where there are none."""
    finite = values[np.isfinite(values)]
    if finite.size:
        low, high = np.percentile(finite[:: max(1, finite.size // 20_000)], [0.2, 99.8])
        lows.append(float(low))
        highs.append(float(high))
