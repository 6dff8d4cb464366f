"""Widgets that are drawn: whatever goes wrong while one draws is told once, and the window goes on."""

from __future__ import annotations

import math
import sys

from PySide6.QtCore import QEvent, QPointF, QRect, QRectF, QSize, QSizeF
from PySide6.QtGui import QFont, QMouseEvent, QPainter, QPaintEvent, QResizeEvent
from PySide6.QtWidgets import QWidget

from kuffin.app.base.guarded import guarded
from kuffin.app.look.theme import USUAL_POINTS
from kuffin.core.base.language import tr


@guarded
class Painted(QWidget):
    """A widget that draws itself in `draw`.

    A painter that is left open when an exception leaves it takes the whole window with it; so it is opened and closed
    here, and nowhere else.
    """

    _broken = ""

    def draw(self, painter: QPainter, seen: QRect) -> None:
        """Draw the widget; `seen` is the part that has to be drawn."""
        raise NotImplementedError

    def begin(self, painter: QPainter, seen: QRect) -> QRect:
        """Set the painter up for `draw`; returns what has to be drawn, as the painter has it."""
        return seen

    def paintEvent(self, event: QPaintEvent) -> None:
        painter = QPainter(self)
        try:
            self.draw(painter, self.begin(painter, event.rect()))
        except Exception as error:
            said = f"{type(error).__name__}: {error}"
            painter.resetTransform()
            painter.setClipping(False)
            painter.drawText(self.rect().adjusted(8, 8, -8, -8), 0, tr("this cannot be drawn"))
            if said != self._broken:  # told once, not at every frame
                self._broken = said
                sys.excepthook(type(error), error, error.__traceback__)
        finally:
            painter.end()


@guarded
class Scaled(Painted):
    """A picture that grows with the text: it is drawn in the places that it has at the usual size of text, and enlarged."""

    _keeps_height = False

    @property
    def zoom(self) -> float:
        """How much larger than usual the text is."""
        return max(self.font().pointSizeF() / USUAL_POINTS, 0.1)

    @property
    def across(self) -> float:
        """How wide the picture is, in its own places."""
        return self.width() / self.zoom

    @property
    def down(self) -> float:
        """How high the picture is, in its own places."""
        return self.height() / self.zoom

    @property
    def whole(self) -> QRectF:
        """All of the picture, in its own places."""
        return QRectF(0, 0, self.across, self.down)

    def side(self, usual: float, share: float) -> float:
        """The room for names beside a picture: as usual, or a share of the width where there is little."""
        return min(usual, share * self.across)

    def letters(self, times: float = 1.0, *, bold: bool = False) -> QFont:
        """The font at so many times its usual size, before it is enlarged."""
        font = QFont(self.font())
        font.setPointSizeF(times * USUAL_POINTS)
        font.setBold(bold)
        return font

    def at(self, event: QMouseEvent) -> QPointF:
        """Where in the picture the pointer is."""
        return event.position() / self.zoom

    def sized(self, width: float, height: float) -> QSize:
        """The size on the screen of so much of the picture."""
        return QSize(math.ceil(width * self.zoom), math.ceil(height * self.zoom))

    def keep_height(self) -> None:
        """Be as high as the picture asks for, from now on and with text of every size."""
        self._keeps_height = True
        self.setFixedHeight(self.sizeHint().height())

    def update_part(self, box: QRectF) -> None:
        """Draw a part of the picture anew."""
        self.update(QRectF(box.topLeft() * self.zoom, box.size() * self.zoom).toAlignedRect())

    def begin(self, painter: QPainter, seen: QRect) -> QRect:
        painter.scale(self.zoom, self.zoom)
        painter.setFont(self.letters())
        corner, size = QPointF(seen.topLeft()) / self.zoom, QSizeF(seen.size()) / self.zoom
        return QRectF(corner, size).toAlignedRect()

    def resizeEvent(self, event: QResizeEvent) -> None:
        super().resizeEvent(event)
        # where names wrap, the height depends on the width
        if self._keeps_height and self.sizeHint().height() != self.height():
            self.keep_height()

    def changeEvent(self, event: QEvent) -> None:
        super().changeEvent(event)
        if event.type() == QEvent.Type.FontChange and self._keeps_height:
            self.keep_height()
