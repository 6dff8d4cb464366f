"""A window's style sheet, laid at once on what is seen, and on hidden pages behind it."""

from __future__ import annotations

from collections.abc import Iterator
from time import monotonic

from PySide6.QtCore import QChildEvent, QEvent, QObject, QTimer
from PySide6.QtWidgets import QAbstractScrollArea, QApplication, QStackedWidget, QWidget

from kuffin.app.base.guarded import guarded

_BETWEEN_MS = 10  # the window answers between some hidden pieces and the next
_AT_ONCE_S = 0.01


@guarded
class Dresser(QObject):
    """Lays a style sheet on each piece of a window.

    Qt works the style of a widget out anew with each sheet, seen or not, and a sheet reaches all that lies below the
    widget that carries it. So the window carries none: its pieces do, those that are seen first. What only holds
    stacks of pages is no piece; each page is one, and so is all else.
    """

    def __init__(self, window: QWidget) -> None:
        super().__init__(window)
        self._window = window
        self._sheet = ""
        self._later = QTimer(self, interval=_BETWEEN_MS)
        self._later.timeout.connect(self._dress_some)

    def dress(self, sheet: str) -> None:
        """Lay a sheet on what is seen, and soon on the rest."""
        self._sheet = sheet
        # the application's reach it with the next events: too late for its pieces, which ask for them with their sheet
        self._window.setFont(QApplication.font())
        self._window.setPalette(QApplication.palette())
        self.dress_shown()

    def dress_shown(self) -> None:
        """Lay the sheet on all that is seen and does not carry it yet."""
        for piece, shown in self._pieces(self._window):
            if shown:
                self._lay(piece)
        self._later.start()

    def _dress_some(self) -> None:
        begin = monotonic()
        for piece, _ in self._pieces(self._window):
            self._lay(piece)
            if monotonic() - begin > _AT_ONCE_S:
                return
        self._later.stop()

    def _lay(self, piece: QWidget) -> None:
        if piece.styleSheet() != self._sheet:
            piece.setStyleSheet(self._sheet)

    def _pieces(self, widget: QWidget, shown: bool = True) -> Iterator[tuple[QWidget, bool]]:
        """Each piece, and whether it is on the page that is shown."""
        if not self._holds_pages(widget):
            yield widget, shown
            return
        self._know(widget)
        page = widget.currentWidget() if isinstance(widget, QStackedWidget) else None
        for child in widget.children():
            if isinstance(child, QWidget):
                yield from self._pieces(child, shown and page in (None, child))

    def _holds_pages(self, widget: QWidget) -> bool:
        if (
            widget.styleSheet()
            or isinstance(widget, QAbstractScrollArea)
            or (widget.isWindow() and widget is not self._window)
        ):
            return False
        return isinstance(widget, QStackedWidget) or widget.findChild(QStackedWidget) is not None

    def _know(self, holder: QWidget) -> None:
        """Follow which page it shows, and which windows it opens: they belong to no piece."""
        if not holder.property("followed"):
            holder.setProperty("followed", True)
            holder.installEventFilter(self)
            if isinstance(holder, QStackedWidget):
                holder.currentChanged.connect(self.dress_shown)

    def eventFilter(self, _holder: QObject, event: QEvent) -> bool:
        if event.type() == QEvent.Type.ChildPolished and isinstance(event, QChildEvent):
            child = event.child()
            if isinstance(child, QWidget) and child.isWindow():
                self._lay(child)
        return False
