"""A band across the desk that cannot be overlooked: by shape, words and colour. Hidden while all is well."""

from __future__ import annotations

import math

from PySide6.QtCore import QPointF, QRect, QRectF, QSize, Qt
from PySide6.QtGui import QPainter, QPen, QPolygonF

from kuffin.app.base.guarded import guarded
from kuffin.app.look.theme import USUAL_POINTS, Theme
from kuffin.app.widgets.painted import Scaled
from kuffin.core.base.language import tr


@guarded
class AlarmBand(Scaled):
    """Shows one sentence: ``stop`` with an eight-sided sign on a filled band, ``look`` with a three-sided one in a frame, ``blind``
    (something is not watched) with an empty round one, struck through.
    """

    def __init__(self, theme: Theme) -> None:
        super().__init__()
        self._theme, self.kind, self._sentence = theme, "", ""
        self.keep_height()
        self.setAccessibleName(tr("Alarm"))
        self.hide()

    def set_theme(self, theme: Theme) -> None:
        self._theme = theme
        self.update()

    def sizeHint(self) -> QSize:
        return self.sized(600, 58)

    @property
    def sentence(self) -> str:
        return self._sentence

    def say(self, kind: str, sentence: str) -> None:
        """Say something, or nothing."""
        if (kind, sentence) == (self.kind, self._sentence):
            return
        self.kind, self._sentence = kind, sentence
        self.setAccessibleDescription(sentence)
        self.setVisible(bool(sentence))
        self.update()

    def draw(self, painter: QPainter, _seen: QRect) -> None:
        painter.setRenderHint(QPainter.RenderHint.Antialiasing)
        t, stop = self._theme, self.kind == "stop"
        box = self.whole.adjusted(1.5, 1.5, -1.5, -1.5)
        painter.setPen(QPen(t.color("warn"), 3.0))
        painter.setBrush(t.color("warn") if stop else t.color("accent_ground"))
        painter.drawRect(box)
        ink = t.color("ground") if stop else t.color("warn")
        centre, n, r = QPointF(32, self.down / 2), 8 if stop else 3, 18.0
        turn = math.pi / 8 if stop else -math.pi / 2
        painter.setPen(QPen(ink, 3.0))
        painter.setBrush(Qt.BrushStyle.NoBrush)
        font = self.letters(bold=True)
        painter.setFont(font)
        if self.kind == "blind":
            painter.drawEllipse(centre, r, r)
            slant = QPointF(r, -r) * math.sqrt(0.5)
            painter.drawLine(centre - slant, centre + slant)
        else:
            corners = [
                QPointF(
                    centre.x() + r * math.cos(turn + 2 * math.pi * i / n),
                    centre.y() + (0 if stop else 4) + r * math.sin(turn + 2 * math.pi * i / n),
                )
                for i in range(n)
            ]
            painter.drawPolygon(QPolygonF(corners))
            painter.drawText(QRectF(centre.x() - 10, centre.y() - 9, 20, 22), Qt.AlignmentFlag.AlignCenter, "!")
        size = USUAL_POINTS * 1.45
        place = box.adjusted(62, 2, -10, -2)
        flags = Qt.AlignmentFlag.AlignVCenter | Qt.AlignmentFlag.AlignLeft | Qt.TextFlag.TextWordWrap
        while True:  # as large as it fits
            font.setPointSizeF(size)
            painter.setFont(font)
            need = painter.boundingRect(place, flags, self._sentence)
            if size < 9 or (need.height() <= place.height() and need.width() <= place.width()):
                break
            size *= 0.94
        painter.setPen(ink if stop else t.color("ink"))
        painter.drawText(place, flags, self._sentence)
