"""Candidates' colours and shapes: the Okabe–Ito set, each colour with a shape of its own, the same in every picture.

Source of the colours: M. Okabe and K. Ito, *Color Universal Design* (2008), which all readers can tell apart.
"""

from __future__ import annotations

import math
from dataclasses import dataclass

from PySide6.QtCore import QPointF, QRectF, Qt
from PySide6.QtGui import QBrush, QColor, QPainter, QPainterPath, QPen

from kuffin.app.look.theme import Theme

_COLOURS = ("#009E73", "#0072B2", "#CC79A7", "#D55E00", "#E69F00", "#56B4E9", "#8C7A00", "#7A7A7A")
_DARK = ("#2fc79b", "#4aa3e0", "#e29cc4", "#f08038", "#f0b429", "#7cc7f2", "#cdb92c", "#b0b0b0")
_SHAPES = ("triangle", "circle", "diamond", "square", "pentagon", "down", "hexagon", "bar")


@dataclass(frozen=True)
class CandidateMark:
    """A candidate's colour and shape."""

    colour: str
    dark_colour: str
    shape: str

    def color(self, theme: Theme) -> QColor:
        return QColor(self.dark_colour if theme.name == "dark" else self.colour)


def mark(position: int) -> CandidateMark:
    """The mark of the candidate at a position; colours and shapes come again in other pairs after eight."""
    n = len(_COLOURS)
    return CandidateMark(_COLOURS[position % n], _DARK[position % n], _SHAPES[(position + position // n) % n])


def path(shape: str, centre: QPointF, radius: float) -> QPainterPath:
    """The outline of a shape."""
    out = QPainterPath()
    x, y, r = centre.x(), centre.y(), radius
    if shape == "circle":
        out.addEllipse(centre, r * 0.95, r * 0.95)
        return out
    if shape == "square":
        out.addRect(QRectF(x - r * 0.86, y - r * 0.86, 1.72 * r, 1.72 * r))
        return out
    if shape == "bar":
        out.addRect(QRectF(x - r * 0.5, y - r * 1.1, r, 2.2 * r))
        return out
    corners, turn = {
        "triangle": (3, -90.0),
        "down": (3, 90.0),
        "diamond": (4, -90.0),
        "pentagon": (5, -90.0),
        "hexagon": (6, 0.0),
    }[shape]
    size = r * (1.18 if corners in {3, 4} else 1.05)
    for i in range(corners):
        angle = math.radians(turn + 360 * i / corners)
        point = QPointF(x + size * math.cos(angle), y + size * math.sin(angle))
        if i == 0:
            out.moveTo(point)
        else:
            out.lineTo(point)
    out.closeSubpath()
    return out


def draw(
    painter: QPainter,
    m: CandidateMark,
    theme: Theme,
    centre: QPointF,
    radius: float,
    *,
    filled: bool = True,
    struck: bool = False,
) -> None:
    """Draw a mark: filled counts, open is doubtful, struck is left out."""
    colour = m.color(theme)
    painter.setPen(QPen(colour, max(1.4, radius * 0.2)))
    painter.setBrush(QBrush(colour) if filled and not struck else Qt.BrushStyle.NoBrush)
    painter.drawPath(path(m.shape, centre, radius))
    if struck:
        painter.setPen(QPen(theme.color("ink"), max(1.4, radius * 0.2)))
        d = radius * 1.5
        painter.drawLine(QPointF(centre.x() - d, centre.y() + d), QPointF(centre.x() + d, centre.y() - d))
