"""A desk of several pages, with their names in a row and the last one remembered."""

from __future__ import annotations

from collections.abc import Callable, Collection, Mapping, Sequence

from PySide6.QtCore import Qt
from PySide6.QtGui import QActionGroup, QKeySequence, QResizeEvent, QShortcut, QShowEvent
from PySide6.QtWidgets import (
    QBoxLayout,
    QButtonGroup,
    QHBoxLayout,
    QLayout,
    QMenu,
    QPushButton,
    QScrollArea,
    QStackedWidget,
    QVBoxLayout,
    QWidget,
)

from kuffin.app.base.guarded import guarded
from kuffin.app.base.settings import Settings
from kuffin.app.widgets.flowrow import FlowRow
from kuffin.app.widgets.texts import no_keys

PageList = Sequence[tuple[str, str, QWidget | Callable[[], QWidget]]]


@guarded
class PagedDesk(QWidget):
    """Pages with a row of names; Ctrl+PgUp and Ctrl+PgDown go from one to the next.

    Pages that answer one question can share a name in the row: it opens a menu of them, and shows which of them one is at.
    """

    def __init__(self, name: str, settings: Settings) -> None:
        super().__init__()
        self._name, self._settings = name, settings
        self.pages = QStackedWidget()
        self.group = QButtonGroup(self)
        self._row = FlowRow()
        self._row.setContentsMargins(0, 0, 0, 0)
        self._corner = QHBoxLayout()
        self._titles: list[str] = []
        self.keys: list[str] = []
        self._names: dict[int, _Name] = {}  # by the page
        self._beside_names: dict[int, QWidget] = {}
        self._made_later: dict[int, Callable[[], QWidget]] = {}
        self._away: set[int] = set()  # pages that have nothing to say now
        self._top = top = QBoxLayout(QBoxLayout.Direction.LeftToRight)
        top.addLayout(self._row, 1)
        top.addLayout(self._corner)
        layout = QVBoxLayout(self)
        layout.setContentsMargins(0, 0, 0, 0)
        layout.setSpacing(6)
        layout.addLayout(top)
        layout.addWidget(self.pages, 1)
        for keys, step in (("Ctrl+PgDown", 1), ("Ctrl+PgUp", -1)):
            shortcut = QShortcut(QKeySequence(keys), self)
            shortcut.activated.connect(lambda s=step: self._step(s))

    def add_pages(self, pages: PageList, together: Mapping[str, tuple[str, ...]] | None = None) -> None:
        """Give it its pages: (key, title, widget); or what makes the widget when the page is first turned to.

        Parameters
        ----------
        together : mapping of title to tuple of keys, optional
            Pages that share a name in the row, where the first of them stands.
        """
        shared = {key: title for title, keys in (together or {}).items() for key in keys}
        made: dict[str, _Name] = {}
        for i, (key, title, page) in enumerate(pages):
            self.keys.append(key)
            self._titles.append(title)
            called = shared.get(key, title)
            if called not in made:
                made[called] = _Name(called, self._go)
                self.group.addButton(made[called], i)
                self._row.addWidget(made[called])
            made[called].add(i, title, key in shared)
            self._names[i] = made[called]
            scroll = QScrollArea()
            scroll.setWidgetResizable(True)
            if isinstance(page, QWidget):
                scroll.setWidget(page)
            else:
                self._made_later[i] = page
            self.pages.addWidget(scroll)
        self.go(self._remembered())

    def resizeEvent(self, event: QResizeEvent) -> None:
        super().resizeEvent(event)
        self._lay_top()

    def _lay_top(self) -> None:
        """What stands beside the names goes below them where both have no room in one row."""
        self._corner.invalidate()  # what was hidden just now counts no more
        asked = self._row.sizeHint().width() + self._corner.minimumSize().width()
        beside = asked <= self.width() or not self._corner.minimumSize().width()
        ways = QBoxLayout.Direction
        self._top.setDirection(ways.LeftToRight if beside else ways.TopToBottom)
        self._top.setStretch(0, int(beside))

    def put_beside(self, key: str, widget: QWidget) -> None:
        """Show a page's own choices beside the names, while one is at it: the page itself begins with its picture."""
        self._beside_names[self.keys.index(key)] = widget
        self._corner.addWidget(widget, 0, Qt.AlignmentFlag.AlignLeft)  # also where it goes below them
        widget.setVisible(self.page == key)

    def put_at_end(self, layout: QLayout) -> None:
        """Stand something at the end of the names' row, whatever page one is at."""
        self._corner.addLayout(layout)

    def offered(self) -> list[tuple[str, str]]:
        """Keys and titles of the pages that have something to say now."""
        return [(k, t) for i, (k, t) in enumerate(zip(self.keys, self._titles, strict=True)) if i not in self._away]

    def go(self, key: str) -> None:
        """Turn to a page."""
        self._go(self.keys.index(key))

    @property
    def page(self) -> str:
        """The key of the page that is shown."""
        return self.keys[self.pages.currentIndex()]

    def show_pages(self, on: bool, without: Collection[str] = ()) -> None:
        """Offer the pages, but for some that have nothing to say now."""
        self._away = {i for i, key in enumerate(self.keys) if key in without}
        for name in self._names.values():
            name.setVisible(on and not set(name.pages) <= self._away)
        self.pages.setVisible(on)
        wanted = self.keys.index(self._remembered())  # where the person was, as soon as it is offered again
        if wanted not in self._away:
            self._turn(wanted)
        elif self.pages.currentIndex() in self._away:
            self._turn(self._beside(-1))

    def _remembered(self) -> str:
        kept = self._settings.value(f"page/{self._name}", self.keys[0])
        return kept if kept in self.keys else self.keys[0]

    def _step(self, by: int) -> None:
        """To the next page that is offered."""
        self._go(self._beside(by))

    def _beside(self, by: int) -> int:
        at, count = self.pages.currentIndex(), max(self.pages.count(), 1)
        return next((i for n in range(1, count) if (i := (at + by * n) % count) not in self._away), at)

    def mark_page(self, key: str, note: str) -> None:
        """Put a short note behind a page's name, such as a count of what is open."""
        self._names[self.keys.index(key)].mark(self.keys.index(key), note)
        self._row.invalidate()

    def _go(self, index: int) -> None:
        self._turn(index)
        self._settings.set_value(f"page/{self._name}", self.keys[index])

    def showEvent(self, event: QShowEvent) -> None:
        super().showEvent(event)
        self._make(self.pages.currentIndex())

    def _make(self, index: int) -> None:
        if index in self._made_later:
            scroll = self.pages.widget(index)
            assert isinstance(scroll, QScrollArea)
            scroll.setWidget(self._made_later.pop(index)())

    def _turn(self, index: int) -> None:
        """Show a page, without remembering that the person went there."""
        if self.isVisible():  # else when it is
            self._make(index)
        self.pages.setCurrentIndex(index)
        for name in dict.fromkeys(self._names.values()):
            name.show_at(index)
        for i, widget in self._beside_names.items():
            widget.setVisible(i == index)
        self._row.invalidate()
        self._lay_top()


class _Name(QPushButton):
    """A name in the row: of one page, or of several that its menu offers."""

    def __init__(self, title: str, go: Callable[[int], None]) -> None:
        super().__init__()
        self._title, self._go = title, go
        self.pages: dict[int, str] = {}
        self._notes: dict[int, str] = {}
        self._at: int | None = None
        self._choices = QActionGroup(self)
        self.setObjectName("page")
        self.setCheckable(True)
        self.clicked.connect(self._clicked)

    def add(self, index: int, title: str, shared: bool) -> None:
        """Take one more page in."""
        self.pages[index] = title
        if shared:
            if self.menu() is None:
                self.setMenu(QMenu(self))
                self.setProperty("several", True)
            action = self.menu().addAction(no_keys(title))
            action.setCheckable(True)
            action.setData(index)
            action.triggered.connect(lambda _on=False, i=index: self._go(i))
            self._choices.addAction(action)
        self._say()

    def mark(self, index: int, note: str) -> None:
        """Put a note behind a page's name."""
        self._notes[index] = note
        self._say()

    def show_at(self, index: int) -> None:
        """Which page one is at, of these or of others."""
        self._at = index if index in self.pages else None
        self.setChecked(self._at is not None)
        self._say()

    def _clicked(self) -> None:
        if self.menu() is None:
            self._go(next(iter(self.pages)))

    def _say(self) -> None:
        title = self._title if self._at is None else self.pages[self._at]
        notes = list(dict.fromkeys(n for n in self._notes.values() if n))
        self.setText(no_keys("  ".join([title, *notes])))
        for action in self._choices.actions():
            i = action.data()
            action.setText(no_keys("  ".join([self.pages[i], *([self._notes[i]] if self._notes.get(i) else [])])))
            action.setChecked(i == self._at)
        self.setAccessibleName(f"{self._title}: {title}" if self.menu() is not None else title)
