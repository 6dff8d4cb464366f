"""Help that is read at the bench: the desks, the words, the keys, the cautions, the methods; searched by typing."""

from __future__ import annotations

import re
from collections.abc import Callable, Sequence
from dataclasses import dataclass
from functools import lru_cache
from importlib.resources import files

from PySide6.QtCore import Qt
from PySide6.QtGui import QKeySequence, QShortcut, QTextCursor, QTextDocument
from PySide6.QtWidgets import (
    QDialog,
    QHBoxLayout,
    QLineEdit,
    QListWidget,
    QListWidgetItem,
    QTextBrowser,
    QVBoxLayout,
    QWidget,
)

from kuffin.app.base.guarded import guarded
from kuffin.app.widgets.dialogsize import open_at
from kuffin.app.widgets.sidebyside import SideBySide
from kuffin.core.base.language import mark, tr

_MORE = "(?:s|e|n|en|er)?"  # of several, in the languages that Kuffin speaks
_HEAD = re.compile(r"^## (.+)$", re.MULTILINE)


@dataclass(frozen=True)
class HelpTopic:
    """A page of help in English: where it belongs, its title, by which it is known, and its text in Markdown."""

    shelf: str
    title: str
    text: str

    @property
    def told(self) -> tuple[str, str]:
        """Its title and text, as the window speaks."""
        return tr(self.title), tr(self.text)

    def says(self, words: Sequence[str]) -> bool:
        """Whether every word is in it."""
        told = " ".join(self.told).casefold()
        return all(w in told for w in words)


DESKS, WORDS, METHODS = mark("At the desk"), mark("What it means"), mark("How the numbers are made")


@lru_cache(maxsize=1)
def topics() -> tuple[HelpTopic, ...]:
    """All that is written, in order: desks, words, methods (which are in English only, as the docs are)."""
    shelves = ((DESKS, "desks.md"), (WORDS, "words.md"), (METHODS, "methods.md"))
    return tuple(HelpTopic(shelf, title, text) for shelf, name in shelves for title, text in _pages(name))


def _pages(name: str) -> list[tuple[str, str]]:
    written = (files("kuffin.app.help") / name).read_text("utf-8")
    _, *parts = _HEAD.split(written)
    return [(title.strip(), text.strip()) for title, text in zip(parts[::2], parts[1::2], strict=True)]


def terms_in(said: str) -> list[str]:
    """The topics of the words that a text uses, in whatever language the window speaks, the longest word first.

    >>> terms_in("3 mounts of each, settled; not told apart")
    ['Not told apart', 'Settled', 'Mount']
    """
    said = said.casefold()
    known = {t.title: t.told[0] for t in topics() if t.shelf == WORDS}
    found = [w for w, told in known.items() if re.search(rf"(?<!\w){re.escape(told.casefold())}{_MORE}(?!\w)", said)]
    return sorted(found, key=lambda w: -len(known[w]))


@guarded
class HelpWindow(QDialog):
    """Stays open beside the bench.

    Parameters
    ----------
    more : mapping of title to callable
        Pages that are told elsewhere (keys, cautions), as rich text of Kuffin's own.
    """

    def __init__(self, parent: QWidget, more: dict[str, Callable[[], str]]) -> None:
        super().__init__(parent)
        self.setWindowTitle(tr("Help at the bench"))
        self.setModal(False)
        self._more = more
        self.line = QLineEdit()
        self.line.setPlaceholderText(tr("search: settled, margin, leak test"))
        self.line.setAccessibleName(tr("Search the help"))
        self.line.setClearButtonEnabled(True)
        self.line.textChanged.connect(self._list)
        self.line.returnPressed.connect(self._next_hit)
        self.titles = QListWidget()
        self.titles.setAccessibleName(tr("Topics"))
        self.titles.currentItemChanged.connect(self._show)
        self.page = QTextBrowser()
        self.page.setOpenLinks(False)
        self.page.setAccessibleName(tr("The topic"))
        left = QWidget()
        column = QVBoxLayout(left)
        column.setContentsMargins(0, 0, 0, 0)
        column.addWidget(self.line)
        column.addWidget(self.titles)
        split = SideBySide(left, self.page)
        split.setStretchFactor(1, 1)
        split.setSizes([260, 560])
        QHBoxLayout(self).addWidget(split)
        QShortcut(QKeySequence.StandardKey.Find, self, self.line.setFocus)
        open_at(self, 860, 620)
        self._list("")

    def show_topic(self, title: str) -> None:
        """Turn to a topic."""
        self.line.clear()
        for row in range(self.titles.count()):
            if self.titles.item(row).data(Qt.ItemDataRole.UserRole) == title:
                self.titles.setCurrentRow(row)
                return

    def _list(self, typed: str) -> None:
        """The topics in which all typed words are."""
        words = typed.casefold().split()
        self.titles.clear()
        before = ""
        for topic in (t for t in topics() if t.says(words)):
            if topic.shelf != before:
                self._head(tr(topic.shelf))
                before = topic.shelf
            self._entry(topic.title, topic.told[0])
        rest = [title for title, told in self._more.items() if all(w in f"{title} {told()}".casefold() for w in words)]
        if rest:
            self._head(tr("At hand"))
            for title in rest:
                self._entry(title, title)
        if not self.titles.count():
            self._head(tr("nothing is written of that"))
            self.page.clear()
            return
        self.titles.setCurrentRow(1)

    def _head(self, said: str) -> None:
        item = QListWidgetItem(said)
        item.setFlags(Qt.ItemFlag.NoItemFlags)
        self.titles.addItem(item)

    def _entry(self, title: str, said: str) -> None:
        item = QListWidgetItem(f"   {said}")
        item.setData(Qt.ItemDataRole.UserRole, title)
        self.titles.addItem(item)

    def _show(self, item: QListWidgetItem | None) -> None:
        title = item.data(Qt.ItemDataRole.UserRole) if item is not None else None
        if title is None:
            return
        if title in self._more:
            self.page.setHtml(f"<h2>{title}</h2>{self._more[title]()}")
        else:
            topic = next(t for t in topics() if t.title == title)
            head, text = topic.told
            self.page.document().setMarkdown(f"## {head}\n\n{text}", QTextDocument.MarkdownFeature.MarkdownNoHTML)
        self._next_hit()

    def _next_hit(self) -> None:
        """To the next place where the first typed word stands, from the top again after the last."""
        words = self.line.text().split()
        if words and not self.page.find(words[0]):
            self.page.moveCursor(QTextCursor.MoveOperation.Start)
            self.page.find(words[0])
