"""A painted picture whose items are walked with the arrow keys and opened with Enter, F1 or a click."""

from __future__ import annotations

from PySide6.QtCore import Qt
from PySide6.QtGui import QKeyEvent
from PySide6.QtWidgets import QSizePolicy

from kuffin.app.base.guarded import guarded
from kuffin.app.look.theme import Theme
from kuffin.app.widgets.painted import Painted


@guarded
class Walked(Painted):
    """The picture; who paints it says how many items there are, where the keys lead, and what opening one does."""

    def __init__(self, theme: Theme, name: str) -> None:
        super().__init__()
        self._theme = theme
        self._focus = 0
        self.setFocusPolicy(Qt.FocusPolicy.StrongFocus)
        self.setSizePolicy(QSizePolicy.Policy.Expanding, QSizePolicy.Policy.Fixed)
        self.setCursor(Qt.CursorShape.PointingHandCursor)
        self.setAccessibleName(name)

    def set_theme(self, theme: Theme) -> None:
        """Take another theme."""
        self._theme = theme
        self.update()

    def item_count(self) -> int:
        """How many items there are to walk."""
        return 0

    def moves(self) -> dict[Qt.Key, int]:
        """By how many items each key moves on."""
        return {Qt.Key.Key_Up: -1, Qt.Key.Key_Down: 1, Qt.Key.Key_Left: -1, Qt.Key.Key_Right: 1}

    def open_item(self, index: int) -> None:
        """Open an item."""

    def open_focused(self) -> None:
        """Open the item that has the focus."""
        if self._focus < self.item_count():
            self.open_item(self._focus)

    def go_to(self, index: int) -> None:
        """Give an item the focus and open it, as a click does."""
        self._focus = index
        self.update()
        self.open_item(index)

    def keyPressEvent(self, event: QKeyEvent) -> None:
        key, moves = Qt.Key(event.key()), self.moves()
        if key in moves and self.item_count():
            self._focus = min(max(self._focus + moves[key], 0), self.item_count() - 1)
            self.update()
        elif key in {Qt.Key.Key_Return, Qt.Key.Key_Enter}:
            self.open_focused()
        else:
            super().keyPressEvent(event)
