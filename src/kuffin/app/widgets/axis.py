"""Plain axes for pictures that are painted by hand: round ticks, hairlines, numbers."""

from __future__ import annotations

from collections.abc import Callable
from itertools import pairwise

import numpy as np
from PySide6.QtCore import QPointF, QRectF, Qt
from PySide6.QtGui import QPainter, QPen

from kuffin.app.look.theme import Theme, figures_font
from kuffin.core.compare.pairwords import number


def round_step(span: float, most: int = 6) -> float:
    """A tick step of 1, 2 or 5 times a power of ten, with at most so many ticks over a span."""
    if not span > 0:
        return 1.0
    rough = span / max(most, 1)
    power = 10.0 ** np.floor(np.log10(rough))
    return float(next(m * power for m in (1.0, 2.0, 5.0, 10.0) if m * power >= rough - 1e-12 * power))


def ticks(low: float, high: float, most: int = 6) -> list[float]:
    """Round numbers between two ends."""
    step = round_step(high - low, most)
    first = np.ceil(low / step - 1e-9) * step
    return [float(x) for x in np.arange(first, high + 1e-9 * step, step)]


def decimals(step: float) -> int:
    """How many decimals a tick of this step takes."""
    return max(0, int(-np.floor(np.log10(step) + 1e-9)))


def paint_axis(
    painter: QPainter, theme: Theme, area: QRectF, low: float, high: float, unit: str = "", most: int = 6
) -> Callable[[float], float]:
    """Hairlines down an area with numbers below it; returns what turns a value into its place in x."""

    def at(value: float) -> float:
        return area.left() + (value - low) / max(high - low, 1e-12) * area.width()

    painter.setFont(figures_font(painter.font().pointSizeF()))
    metrics = painter.fontMetrics()

    def said_at(n: int) -> list[tuple[float, str]]:
        """Ticks, n at most, with their numbers; the last has the unit."""
        shown, digits = ticks(low, high, n), decimals(round_step(high - low, n))
        units = [""] * (len(shown) - 1) + [f" {unit}" if unit else ""]
        return [(x, number(x, digits) + u) for x, u in zip(shown, units, strict=True)] if shown else []

    def fits(found: list[tuple[float, str]]) -> bool:
        half = [(at(x), metrics.horizontalAdvance(said) / 2 + 3) for x, said in found]
        return all(a + wide < b - wide_b for (a, wide), (b, wide_b) in pairwise(half))

    shown = next((found for n in range(most, 1, -1) if fits(found := said_at(n))), said_at(1))
    for x, said in shown:
        painter.setPen(QPen(theme.color("hairline"), 1.0))
        painter.drawLine(QPointF(at(x), area.top()), QPointF(at(x), area.bottom()))
        painter.setPen(theme.color("muted"))
        wide = metrics.horizontalAdvance(said) + 2.0
        painter.drawText(QPointF(max(at(x) - wide / 2, 0.0), area.bottom() + 2 + metrics.ascent()), said)
    return at


def paint_upright_axis(
    painter: QPainter, theme: Theme, area: QRectF, low: float, high: float, most: int = 5
) -> Callable[[float], float]:
    """Hairlines across an area with numbers to its left; returns what turns a value into its place in y."""

    def y_of(value: float) -> float:
        return area.bottom() - (value - low) / max(high - low, 1e-12) * area.height()

    digits = decimals(round_step(high - low, most))
    painter.setFont(figures_font(painter.font().pointSizeF()))
    for value in ticks(low, high, most):
        painter.setPen(QPen(theme.color("hairline"), 1.0))
        painter.drawLine(QPointF(area.left(), y_of(value)), QPointF(area.right(), y_of(value)))
        painter.setPen(theme.color("muted"))
        box = QRectF(0, y_of(value) - 10, area.left() - 8, 20)
        painter.drawText(box, Qt.AlignmentFlag.AlignRight | Qt.AlignmentFlag.AlignVCenter, number(value, digits))
    return y_of
