"""A desk of several pages, with their names in a row and the last one remembered."""

from __future__ import annotations

from collections.abc import Callable, Collection, Sequence

from PySide6.QtGui import QKeySequence, QShortcut
from PySide6.QtWidgets import QButtonGroup, QPushButton, QScrollArea, QStackedWidget, QVBoxLayout, QWidget

from kuffin.app.base.settings import Settings
from kuffin.app.widgets.flowrow import FlowRow


class PagedDesk(QWidget):
    """Pages with a row of names; Ctrl+PgUp and Ctrl+PgDown go from one to the next."""

    def __init__(self, name: str, settings: Settings) -> None:
        super().__init__()
        self._name, self._settings = name, settings
        self.pages = QStackedWidget()
        self.group = QButtonGroup(self)
        self._row = FlowRow()
        self._row.setContentsMargins(0, 2, 0, 4)
        self._titles: list[str] = []
        self.keys: list[str] = []
        self._made_later: dict[int, Callable[[], QWidget]] = {}
        self._away: set[int] = set()  # pages that have nothing to say now
        layout = QVBoxLayout(self)
        layout.setContentsMargins(0, 0, 0, 0)
        layout.setSpacing(6)
        layout.addLayout(self._row)
        layout.addWidget(self.pages, 1)
        self.group.idClicked.connect(self._go)
        for keys, step in (("Ctrl+PgDown", 1), ("Ctrl+PgUp", -1)):
            shortcut = QShortcut(QKeySequence(keys), self)
            shortcut.activated.connect(lambda s=step: self._step(s))

    def add_pages(self, pages: Sequence[tuple[str, str, QWidget | Callable[[], QWidget]]]) -> None:
        """Give it its pages: (key, title, widget); or what makes the widget when the page is first turned to."""
        for i, (key, title, page) in enumerate(pages):
            self.keys.append(key)
            self._titles.append(title)
            name = QPushButton(title)
            name.setObjectName("page")
            name.setCheckable(True)
            self.group.addButton(name, i)
            self._row.addWidget(name)
            scroll = QScrollArea()
            scroll.setWidgetResizable(True)
            if isinstance(page, QWidget):
                scroll.setWidget(page)
            else:
                self._made_later[i] = page
            self.pages.addWidget(scroll)
        self.go(self._remembered())

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
        for i, name in enumerate(self.group.buttons()):
            name.setVisible(on and i not in self._away)
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
        i = self.keys.index(key)
        self.group.button(i).setText(self._titles[i] + (f"  {note}" if note else ""))
        self._row.invalidate()

    def _go(self, index: int) -> None:
        self._turn(index)
        self._settings.set_value(f"page/{self._name}", self.keys[index])

    def _turn(self, index: int) -> None:
        """Show a page, without remembering that the person went there."""
        if index in self._made_later:
            scroll = self.pages.widget(index)
            assert isinstance(scroll, QScrollArea)
            scroll.setWidget(self._made_later.pop(index)())
        self.pages.setCurrentIndex(index)
        self.group.button(index).setChecked(True)
