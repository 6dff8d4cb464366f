"""Widgets that are drawn: whatever goes wrong while one draws is told once, and the window goes on."""

from __future__ import annotations

import sys

from PySide6.QtCore import QRect
from PySide6.QtGui import QPainter, QPaintEvent
from PySide6.QtWidgets import QWidget

from kuffin.app.base.guarded import guarded
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

    def paintEvent(self, event: QPaintEvent) -> None:
        painter = QPainter(self)
        try:
            self.draw(painter, event.rect())
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
