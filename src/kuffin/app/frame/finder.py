"""Ctrl+K: find any action, page, study, mount, candidate or part by typing, and go there."""

from __future__ import annotations

from collections.abc import Callable, Iterator, Sequence
from dataclasses import dataclass
from functools import partial
from typing import TYPE_CHECKING

from PySide6.QtCore import QEvent, QObject, Qt
from PySide6.QtGui import QAction, QKeyEvent
from PySide6.QtWidgets import QDialog, QLineEdit, QListWidget, QListWidgetItem, QMenu, QVBoxLayout, QWidget

from kuffin.app.base.guarded import guarded
from kuffin.app.frame.navigation import BEHIND
from kuffin.app.widgets.dialogsize import open_at
from kuffin.app.widgets.paged import PagedDesk
from kuffin.core.base.language import tr
from kuffin.said.working import candidate_working

if TYPE_CHECKING:
    from kuffin.app.frame.window import MainWindow

MOST = 40


@dataclass(frozen=True)
class Destination:
    """Something that can be gone to or done: its name, what it is, and how."""

    name: str
    what: str
    go: Callable[[], object]


def matching(places: Sequence[Destination], typed: str) -> list[Destination]:
    """The places of which every typed word is a part, those whose name begins with it first.

    >>> places = [Destination(n, w, print) for n, w in (("Reed, round 2", "mount"), ("Reed", "candidate"), ("Undo", "Edit"))]
    >>> [p.name for p in matching(places, "reed")], [p.name for p in matching(places, "2 mount")]
    (['Reed', 'Reed, round 2'], ['Reed, round 2'])
    """
    words = typed.casefold().split()

    def told(place: Destination) -> str:
        return f"{place.name} {place.what}".casefold()

    found = [p for p in places if all(w in told(p) for w in words)]
    return sorted(found, key=lambda p: (not p.name.casefold().startswith(" ".join(words)), len(p.name)))


def places(window: MainWindow) -> list[Destination]:
    """All that can be gone to or done now."""
    return [*_of_notebook(window), *_pages(window), *_actions(window)]


def _actions(window: MainWindow) -> Iterator[Destination]:
    def within(menu: QMenu, path: str) -> Iterator[Destination]:
        for action in menu.actions():
            below = action.menu()
            if isinstance(below, QMenu):
                yield from within(below, f"{path}, {_plain(action)}")
            elif not action.isSeparator() and action.isEnabled() and action.text():
                yield Destination(_plain(action), path, action.trigger)

    for action in window.menuBar().actions():
        menu = action.menu()
        if isinstance(menu, QMenu):
            yield from within(menu, _plain(action))


def _plain(action: QAction) -> str:
    """What an action is called, without the mark of its key."""
    return action.text().replace("&&", "\0").replace("&", "").replace("\0", "&")


def _pages(window: MainWindow) -> Iterator[Destination]:
    if window.state.study is None:
        return
    for name, desk in window.desks.items():
        yield Destination(name, tr("desk"), partial(window.go_to, name))
        paged = desk() if isinstance(desk(), PagedDesk) else getattr(desk(), "paged", None)
        if isinstance(paged, PagedDesk):
            for key, title in paged.offered():
                yield Destination(title, tr("page of {name}", name=name), partial(_page, window, name, paged, key))


def _of_notebook(window: MainWindow) -> Iterator[Destination]:
    state = window.state
    for mount in state.mounts():
        called = tr("{name}, round {round}", name=mount.candidate.name, round=mount.round)
        yield Destination(called, tr("mount"), partial(window.open_mount, mount.id))
    verdict = state.verdict
    for name in verdict.candidates if verdict is not None else ():
        yield Destination(name, tr("candidate"), partial(_candidate, window, name))
    for study in state.notebook.studies() if state.notebook is not None else ():
        yield Destination(study.name, tr("study"), partial(state.choose_study, study.id))
    for part in window.shelf.parts if state.notebook is not None else ():
        yield Destination(part.name, tr("part, {kind}", kind=part.kind), partial(_part, window, part.id))


def _page(window: MainWindow, desk: str, paged: PagedDesk, key: str) -> None:
    window.go_to(desk)
    paged.go(key)


def _candidate(window: MainWindow, name: str) -> None:
    window.show_desk("Compare")
    if window.state.verdict is not None:
        window.compare.working.emit(candidate_working(window.state.verdict, window.state.verdict.main, name))


def _part(window: MainWindow, part_id: int) -> None:
    window.show_behind(next(iter(BEHIND)))
    window.shelf_page.look_at(part_id)


@guarded
class Finder(QDialog):
    """A line to type into and what it finds; Enter goes to the first, or to the one that is chosen."""

    def __init__(self, window: MainWindow) -> None:
        super().__init__(window)
        self.setWindowTitle(tr("Find"))
        self._places = places(window)
        self._shown: list[Destination] = []
        self.line = QLineEdit()
        self.line.setPlaceholderText(tr("an action, a page, a study, a mount, a part"))
        self.line.setAccessibleName(tr("Find an action, a page, a study, a mount, a candidate or a part"))
        self.line.textChanged.connect(self._find)
        self.line.returnPressed.connect(self._go)
        self.line.installEventFilter(self)
        self.found = QListWidget()
        self.found.setAccessibleName(tr("What was found"))
        self.found.itemActivated.connect(lambda _item: self._go())
        self.found.itemClicked.connect(lambda _item: self._go())
        layout = QVBoxLayout(self)
        layout.addWidget(self.line)
        layout.addWidget(self.found)
        open_at(self, 520, 380)
        self._find("")

    def _find(self, typed: str) -> None:
        self._shown = matching(self._places, typed)[:MOST]
        self.found.clear()
        for place in self._shown:
            self.found.addItem(QListWidgetItem(f"{place.name}  ·  {place.what}"))
        if not self._shown:
            nothing = QListWidgetItem(tr("nothing is called so"))
            nothing.setFlags(Qt.ItemFlag.NoItemFlags)
            self.found.addItem(nothing)
        self.found.setCurrentRow(0)

    def _go(self) -> None:
        row = self.found.currentRow()
        if 0 <= row < len(self._shown):
            self.accept()
            self._shown[row].go()

    def eventFilter(self, watched: QObject, event: QEvent) -> bool:
        if isinstance(event, QKeyEvent) and event.type() == QEvent.Type.KeyPress:
            by = {Qt.Key.Key_Down: 1, Qt.Key.Key_Up: -1, Qt.Key.Key_PageDown: 8, Qt.Key.Key_PageUp: -8}
            if event.key() in by:
                row = self.found.currentRow() + by[Qt.Key(event.key())]
                self.found.setCurrentRow(min(max(row, 0), self.found.count() - 1))
                return True
        return super().eventFilter(watched, event)


def find(window: QWidget) -> None:
    """Ask what to find, and go there."""
    Finder(window).exec()  # type: ignore[arg-type]
