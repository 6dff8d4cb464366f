"""What stands side by side, with a hairline between that can be dragged."""

from __future__ import annotations

from PySide6.QtCore import Qt
from PySide6.QtGui import QPainter, QPaintEvent
from PySide6.QtWidgets import QSplitter, QSplitterHandle, QWidget

from kuffin.app.base.guarded import guarded


@guarded
class _Hairline(QSplitterHandle):
    def paintEvent(self, _event: QPaintEvent) -> None:
        QPainter(self).fillRect(self.rect(), self.palette().mid())


@guarded
class SideBySide(QSplitter):
    """Widgets from left to right."""

    def __init__(self, *widgets: QWidget) -> None:
        super().__init__(Qt.Orientation.Horizontal)
        self.setHandleWidth(1)
        for widget in widgets:
            self.addWidget(widget)

    def createHandle(self) -> QSplitterHandle:
        return _Hairline(self.orientation(), self)
