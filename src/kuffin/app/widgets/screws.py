"""The screws of a block from above, with the order in which to turn them."""

from __future__ import annotations

import itertools

from PySide6.QtCore import QPointF, QRect, QRectF, QSize, Qt
from PySide6.QtGui import QPainter, QPen
from PySide6.QtWidgets import QSizePolicy

from kuffin.app.base.guarded import guarded
from kuffin.app.look.theme import USUAL_POINTS, Theme, figures_font
from kuffin.app.widgets.painted import Scaled
from kuffin.core.base.language import tr
from kuffin.core.prepare.fit import tightening


@guarded
class ScrewPicture(Scaled):
    """The drawing: numbers say which screw comes when; thin lines lead from one to the next."""

    def __init__(self, theme: Theme) -> None:
        super().__init__()
        self._theme = theme
        self._pattern = "four"
        self.setSizePolicy(QSizePolicy.Policy.Fixed, QSizePolicy.Policy.Fixed)

    def set_theme(self, theme: Theme) -> None:
        self._theme = theme
        self.update()

    def sizeHint(self) -> QSize:
        return self.sized(190, 190)

    def show_pattern(self, pattern: str) -> None:
        """Draw a pattern."""
        self._pattern = pattern
        _, order = tightening(pattern)
        self.setAccessibleName(tr("Tightening order, {pattern} screws", pattern=pattern))
        self.setAccessibleDescription(tr("across each time: ") + ", ".join(str(i + 1) for i in order))
        self.update()

    def draw(self, painter: QPainter, _seen: QRect) -> None:
        painter.setRenderHint(QPainter.RenderHint.Antialiasing)
        t = self._theme
        points, order = tightening(self._pattern)
        middle, k = QPointF(95, 95), 78.0
        places = [middle + QPointF(x * k, y * k) for x, y in points]
        painter.setPen(QPen(t.color("hairline"), 1.4))
        painter.setBrush(t.color("raised"))
        painter.drawRoundedRect(QRectF(8, 8, 174, 174), 8, 8)
        painter.drawRect(QRectF(65, 65, 60, 60))
        painter.setPen(QPen(t.color("muted"), 1.0, Qt.PenStyle.DashLine))
        for a, b in itertools.pairwise(order):
            painter.drawLine(places[a], places[b])
        painter.setFont(figures_font(USUAL_POINTS, bold=True))
        for turn, i in enumerate(order, 1):
            painter.setPen(QPen(t.color("ink"), 1.4))
            painter.setBrush(t.color("ground"))
            painter.drawEllipse(places[i], 12, 12)
            painter.drawText(
                QRectF(places[i].x() - 12, places[i].y() - 12, 24, 24), Qt.AlignmentFlag.AlignCenter, str(turn)
            )
