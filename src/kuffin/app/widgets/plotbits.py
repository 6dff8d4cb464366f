"""Pieces of the trace plot: shaded stretches, a tick, and a trace averaged for its residuals."""

from __future__ import annotations

import numpy as np
import pyqtgraph as pg
from numpy.typing import NDArray
from PySide6.QtGui import QPainterPath

from kuffin.core.settle import Settling

Array = NDArray[np.float64]


def smoothed(s: Settling) -> Array:
    """The judged trace averaged over a pass, or half a minute, so that residuals show their shape."""
    trace = s.trace
    ok = np.isfinite(trace)
    if ok.sum() < 8:
        return trace
    filled = np.interp(np.arange(trace.size), np.flatnonzero(ok), trace[ok])
    span = (s.period_s or 30.0) / max((s.load_end_s - (s.load_start_s or 0.0)) / max(trace.size, 1), 1e-6)
    width = int(np.clip(span, 1, trace.size // 3))
    padded = np.pad(filled, (width // 2, width - 1 - width // 2), mode="edge")
    return np.convolve(padded, np.ones(width) / width, mode="valid")


def tick() -> QPainterPath:
    """A short upright stroke, for where a pass begins."""
    path = QPainterPath()
    path.moveTo(0, -0.5)
    path.lineTo(0, 0.5)
    return path


class Bands(pg.GraphicsObject):
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
