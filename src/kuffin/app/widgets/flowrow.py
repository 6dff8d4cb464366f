"""A row of widgets that goes on in a second row where there is too little room."""

from __future__ import annotations

from PySide6.QtCore import QPoint, QRect, QSize, Qt
from PySide6.QtWidgets import QLayout, QLayoutItem, QWidget

from kuffin.app.base.guarded import guarded


@guarded
class FlowRow(QLayout):
    """Widgets one beside the other, wrapped like words.

    Parameters
    ----------
    spacing : int
        Between two widgets, and between two rows, px.
    """

    def __init__(self, parent: QWidget | None = None, spacing: int = 4) -> None:
        super().__init__(parent)
        self._items: list[QLayoutItem] = []
        self._heights: dict[int, int] = {}  # by width: they are asked for over and over within one layout
        self.setSpacing(spacing)

    def addItem(self, item: QLayoutItem) -> None:
        self._items.append(item)

    def count(self) -> int:
        return len(self._items)

    def itemAt(self, index: int) -> QLayoutItem | None:
        return self._items[index] if 0 <= index < len(self._items) else None

    def takeAt(self, index: int) -> QLayoutItem | None:
        return self._items.pop(index) if 0 <= index < len(self._items) else None

    def expandingDirections(self) -> Qt.Orientation:
        return Qt.Orientation(0)

    def hasHeightForWidth(self) -> bool:
        return True

    def invalidate(self) -> None:
        super().invalidate()
        self._heights = {}

    def heightForWidth(self, width: int) -> int:
        if width not in self._heights:
            self._heights[width] = self._laid(QRect(0, 0, width, 0), False)
        return self._heights[width]

    def setGeometry(self, rect: QRect) -> None:
        super().setGeometry(rect)
        self._laid(rect, True)

    def sizeHint(self) -> QSize:
        width = sum(i.sizeHint().width() + self.spacing() for i in self._items)
        height = max((i.sizeHint().height() for i in self._items), default=0)
        margins = self.contentsMargins()
        return QSize(width, height + margins.top() + margins.bottom())

    def minimumSize(self) -> QSize:
        margins = self.contentsMargins()
        width = max((i.minimumSize().width() for i in self._items), default=0)
        height = max((i.minimumSize().height() for i in self._items), default=0)
        return QSize(width, height + margins.top() + margins.bottom())

    def _laid(self, rect: QRect, really: bool) -> int:
        """Lay the widgets out; returns the height that takes."""
        margins = self.contentsMargins()
        x, y = rect.x() + margins.left(), rect.y() + margins.top()
        right = rect.right() - margins.right()
        line: list[tuple[QLayoutItem, int]] = []

        def end_line() -> int:
            """Put a line's widgets level with its tallest; returns how tall it is."""
            tall = max((i.sizeHint().height() for i, _ in line), default=0)
            for item, left in line if really else ():
                size = item.sizeHint().boundedTo(QSize(max(right + 1 - left, 1), 10_000))
                item.setGeometry(QRect(QPoint(left, y + (tall - size.height()) // 2), size))
            line.clear()
            return tall

        for item in (i for i in self._items if not i.isEmpty()):
            wide = item.sizeHint().width()
            if line and x + wide > right + 1:
                y += end_line() + self.spacing()
                x = rect.x() + margins.left()
            line.append((item, x))
            x += wide + self.spacing()
        return y + end_line() - rect.y() + margins.bottom()
