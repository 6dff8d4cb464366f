"""Ctrl+Z where a line has the keyboard: what is being typed comes first; what was kept is the notebook's to take back."""

from __future__ import annotations

from PySide6.QtCore import QEvent, QObject, Qt
from PySide6.QtGui import QKeyEvent, QKeySequence
from PySide6.QtWidgets import QAbstractSpinBox, QApplication, QLineEdit, QWidget

from kuffin.app.base.guarded import guarded

_KEPT = (Qt.Key.Key_Return, Qt.Key.Key_Enter)


def _line_of(widget: QWidget | None) -> QLineEdit | None:
    if isinstance(widget, QLineEdit):
        return widget
    return widget.lineEdit() if isinstance(widget, QAbstractSpinBox) else None


@guarded
class UndoKeys(QObject):
    """Watches the line that has the keyboard: once its writing was kept (Enter), Ctrl+Z is left to the window's menu."""

    def __init__(self, parent: QObject) -> None:
        super().__init__(parent)
        self._watched: QWidget | None = None
        app = QApplication.instance()
        if isinstance(app, QApplication):
            app.focusChanged.connect(self._follow)

    def _follow(self, before: QWidget | None, now: QWidget | None) -> None:
        # events of all other widgets need not pass here
        if before is not None and before is self._watched:
            before.removeEventFilter(self)
        self._watched = now if _line_of(now) is not None else None
        if self._watched is not None:
            self._watched.installEventFilter(self)

    def eventFilter(self, watched: QObject, event: QEvent) -> bool:
        line = _line_of(watched) if isinstance(watched, QWidget) else None
        if line is None or not isinstance(event, QKeyEvent):
            return False
        if event.type() == QEvent.Type.KeyRelease and event.key() in _KEPT:
            line.setModified(False)
        elif event.type() == QEvent.Type.ShortcutOverride and not line.isModified():
            taken = event.matches(QKeySequence.StandardKey.Undo) or event.matches(QKeySequence.StandardKey.Redo)
            if taken:
                event.ignore()
            return taken
        return False
