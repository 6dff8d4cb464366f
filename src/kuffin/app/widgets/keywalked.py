"""A painted picture whose items are walked with the arrow keys and opened with Enter, F1 or a click."""

from __future__ import annotations

from PySide6.QtCore import QPointF, QRectF, Qt, Signal
from PySide6.QtGui import QKeyEvent, QMouseEvent, QPainter, QPen
from PySide6.QtWidgets import QSizePolicy

from kuffin.app.base.guarded import guarded
from kuffin.app.look.theme import Theme
from kuffin.app.widgets.painted import Scaled


class Opening(Scaled):
    """A painted picture in which something has the focus, and can be opened: by Enter, F1 or a click."""

    def open_focused(self) -> None:
        """Open what has the focus."""
        raise NotImplementedError


@guarded
class Walked(Opening):
    """The picture; who paints it says where its items stand, where the keys lead, and what opening one does.

    Attributes
    ----------
    opened : Signal
        The number of an item, where a subclass does not say more.
    boxes : list of QRectF
        Where the items stand, filled while it is drawn.
    """

    opened = Signal(int)

    def __init__(self, theme: Theme, name: str) -> None:
        super().__init__()
        self._theme = theme
        self._focus = 0
        self.boxes: list[QRectF] = []
        self.setFocusPolicy(Qt.FocusPolicy.StrongFocus)
        self.setSizePolicy(QSizePolicy.Policy.Expanding, QSizePolicy.Policy.Fixed)
        self.setMouseTracking(True)
        self.setAccessibleName(name)

    def set_theme(self, theme: Theme) -> None:
        """Take another theme."""
        self._theme = theme
        self.update()

    def item_count(self) -> int:
        """How many items there are to walk."""
        return len(self.boxes)

    def item_at(self, place: QPointF) -> int | None:
        """The item that stands at a place."""
        return next((i for i, box in enumerate(self.boxes) if box.contains(place)), None)

    def moves(self) -> dict[Qt.Key, int]:
        """By how many items each key moves on."""
        return {Qt.Key.Key_Up: -1, Qt.Key.Key_Down: 1, Qt.Key.Key_Left: -1, Qt.Key.Key_Right: 1}

    def open_item(self, index: int) -> None:
        """Open an item."""
        self.opened.emit(index)

    def open_focused(self) -> None:
        """Open the item that has the focus."""
        if self._focus < self.item_count():
            self.open_item(self._focus)

    def go_to(self, index: int) -> None:
        """Give an item the focus and open it, as a click does."""
        self._focus = index
        self.update()
        self.open_item(index)

    def paint_focus(self, painter: QPainter, box: QRectF | None = None) -> None:
        """Draw the ring around what has the focus; blank: around the focused item's box."""
        if self.hasFocus() and (box is not None or self._focus < len(self.boxes)):
            painter.setPen(QPen(self._theme.color("accent"), 1.2, Qt.PenStyle.DotLine))
            painter.setBrush(Qt.BrushStyle.NoBrush)
            painter.drawRect(self.boxes[self._focus] if box is None else box)

    def mouseMoveEvent(self, event: QMouseEvent) -> None:
        over = self.item_at(self.at(event)) is not None
        self.setCursor(Qt.CursorShape.PointingHandCursor if over else Qt.CursorShape.ArrowCursor)

    def mousePressEvent(self, event: QMouseEvent) -> None:
        found = self.item_at(self.at(event))
        if found is not None:
            self.go_to(found)

    def keyPressEvent(self, event: QKeyEvent) -> None:
        key, moves = Qt.Key(event.key()), self.moves()
        if key in moves and self.item_count():
            self._focus = min(max(self._focus + moves[key], 0), self.item_count() - 1)
            self.update()
        elif key in {Qt.Key.Key_Return, Qt.Key.Key_Enter}:
            self.open_focused()
        else:
            super().keyPressEvent(event)
