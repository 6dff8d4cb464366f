"""Drawing the candidates' marks with Qt."""

from __future__ import annotations

from PySide6.QtCore import QPointF, Qt
from PySide6.QtGui import QBrush, QColor, QPainter, QPainterPath, QPen, QPolygonF

from kuffin.app.look.theme import Theme
from kuffin.look.candidatemarks import CandidateMark, mark, outline

__all__ = ["CandidateMark", "draw", "mark", "path", "tint"]


def tint(m: CandidateMark, theme: Theme) -> QColor:
    """A mark's colour in a theme."""
    return QColor(m.on(theme.name))


def path(shape: str, centre: QPointF, radius: float) -> QPainterPath:
    """The outline of a shape."""
    out = QPainterPath()
    corners = outline(shape)
    if not corners:
        out.addEllipse(centre, radius * 0.95, radius * 0.95)
        return out
    out.addPolygon(QPolygonF([QPointF(centre.x() + radius * x, centre.y() + radius * y) for x, y in corners]))
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
    colour = tint(m, theme)
    painter.setPen(QPen(colour, max(1.4, radius * 0.2)))
    painter.setBrush(QBrush(colour) if filled and not struck else Qt.BrushStyle.NoBrush)
    painter.drawPath(path(m.shape, centre, radius))
    if struck:
        painter.setPen(QPen(theme.color("ink"), max(1.4, radius * 0.2)))
        d = radius * 1.5
        painter.drawLine(QPointF(centre.x() - d, centre.y() + d), QPointF(centre.x() + d, centre.y() - d))
