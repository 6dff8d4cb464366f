"""The loop drawn as a loop: its parts around a ring, in the direction of flow."""

from __future__ import annotations

import math
from collections.abc import Sequence

from PySide6.QtCore import QPointF, QRect, QRectF, QSize, Qt
from PySide6.QtGui import QPainter, QPen, QPolygonF

from kuffin.app.base.guarded import guarded
from kuffin.app.look.theme import Theme
from kuffin.app.widgets.painted import Scaled
from kuffin.core.base.language import tr


@guarded
class LoopRing(Scaled):
    """The drawing. Tubes are the line itself, with their length; all else sits on it as a knot."""

    def __init__(self, theme: Theme) -> None:
        super().__init__()
        self._theme = theme
        self._parts: list[tuple[str, str, str]] = []
        self.keep_height()

    def set_theme(self, theme: Theme) -> None:
        self._theme = theme
        self.update()

    def sizeHint(self) -> QSize:
        return self.sized(560, 230)

    def minimumSizeHint(self) -> QSize:
        return self.sized(400, 230)

    def show_loop(self, parts: Sequence[tuple[str, str, str]]) -> None:
        """Show (kind, name, note) in the direction of flow."""
        self._parts = list(parts)
        self.setAccessibleName(tr("The loop"))
        self.setAccessibleDescription(" → ".join(f"{tr(kind)} {name}" for kind, name, _ in parts))
        self.update()

    def _at(self, share: float, out: float = 0.0) -> QPointF:
        a = 2 * math.pi * share - math.pi / 2
        w, h = self.across / 2 - 150 + out, 66 + out
        return QPointF(self.across / 2 + w * math.cos(a), 115 + h * math.sin(a))

    def draw(self, painter: QPainter, _seen: QRect) -> None:
        painter.setRenderHint(QPainter.RenderHint.Antialiasing)
        t = self._theme
        if not self._parts:
            painter.setPen(t.color("muted"))
            painter.drawText(
                self.whole,
                Qt.AlignmentFlag.AlignCenter | Qt.TextFlag.TextWordWrap,
                tr("The loop is empty. Add its parts below, in the direction of flow."),
            )
            return
        painter.setPen(QPen(t.color("muted"), 2.2))
        painter.setBrush(Qt.BrushStyle.NoBrush)
        painter.drawPolygon(QPolygonF([self._at(i / 120) for i in range(120)]))
        knots = [(i, p) for i, p in enumerate(self._parts)]
        n = len(knots)
        for i, (kind, name, note) in knots:
            share = i / n
            point = self._at(share)
            if kind == "tube":
                painter.setPen(QPen(t.color("muted"), 4.5))
                painter.drawLine(self._at(share - 0.012), self._at(share + 0.012))
            else:
                painter.setPen(QPen(t.color("ink"), 1.8))
                painter.setBrush(t.color("ground"))
                painter.drawEllipse(point, 8, 8)
            self._arrow(painter, share + 0.5 / n)
            self._label(painter, share, name, note if kind == "tube" else ", ".join(w for w in (tr(kind), note) if w))

    def _arrow(self, painter: QPainter, share: float) -> None:
        a, b = self._at(share - 0.008), self._at(share + 0.008)
        d = b - a
        long = math.hypot(d.x(), d.y()) or 1.0
        u = QPointF(d.x() / long, d.y() / long)
        side = QPointF(-u.y(), u.x())
        tip = b + u * 4
        painter.setPen(Qt.PenStyle.NoPen)
        painter.setBrush(self._theme.color("muted"))
        painter.drawPolygon(QPolygonF([tip, tip - u * 9 + side * 4.5, tip - u * 9 - side * 4.5]))

    def _label(self, painter: QPainter, share: float, name: str, kind: str) -> None:
        t = self._theme
        point, away = self._at(share), math.cos(2 * math.pi * share)
        beside = math.sin(2 * math.pi * share)  # to the right of the middle, or left
        if abs(away) > 0.55:  # the upper side, or the lower; clear of the ring, which falls away to the sides
            top = point.y() - 46 if away > 0 else point.y() + 12
            if abs(beside) < 0.3:
                box, how = QRectF(point.x() - 90, top, 180, 34), Qt.AlignmentFlag.AlignHCenter
            elif beside > 0:
                box, how = QRectF(point.x() - 8, top, 180, 34), Qt.AlignmentFlag.AlignLeft
            else:
                box, how = QRectF(point.x() - 172, top, 180, 34), Qt.AlignmentFlag.AlignRight
        elif share < 0.5:
            box, how = QRectF(point.x() + 22, point.y() - 17, 150, 34), Qt.AlignmentFlag.AlignLeft
        else:
            box, how = QRectF(point.x() - 172, point.y() - 17, 150, 34), Qt.AlignmentFlag.AlignRight
        painter.setPen(t.color("ink"))
        painter.drawText(box, how | Qt.AlignmentFlag.AlignTop, name)
        painter.setPen(t.color("muted"))
        painter.drawText(box, how | Qt.AlignmentFlag.AlignBottom, kind)
