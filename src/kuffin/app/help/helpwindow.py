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
    QSplitter,
    QTextBrowser,
    QVBoxLayout,
    QWidget,
)

from kuffin.app.base.guarded import guarded
from kuffin.core.base.language import tr

_WIDTH = re.compile(r' width="\d+"')  # of pages that are made for a box of their own
_HEAD = re.compile(r"^## (.+)$", re.MULTILINE)


@dataclass(frozen=True)
class HelpTopic:
    """A page of help: where it belongs, its title, and its text in Markdown."""

    shelf: str
    title: str
    text: str

    def says(self, words: Sequence[str]) -> bool:
        """Whether every word is in it."""
        told = f"{self.title} {self.text}".casefold()
        return all(w in told for w in words)


@lru_cache(maxsize=1)
def topics() -> tuple[HelpTopic, ...]:
    """All that is written, in order: desks, words, methods."""
    shelves = (
        (tr("At the desk"), "desks.md"),
        (tr("What it means"), "words.md"),
        (tr("How the numbers are made"), "methods.md"),
    )
    return tuple(HelpTopic(shelf, title, text) for shelf, name in shelves for title, text in _pages(name))


def _pages(name: str) -> list[tuple[str, str]]:
    written = (files("kuffin.app.help") / name).read_text("utf-8")
    _, *parts = _HEAD.split(written)
    return [(title.strip(), text.strip()) for title, text in zip(parts[::2], parts[1::2], strict=True)]


def terms_in(said: str) -> list[str]:
    """The words of the glossary that a text uses, the longest first.

    >>> terms_in("3 mounts of each, settled; not told apart")
    ['Not told apart', 'Settled', 'Mount']
    """
    known = [t.title for t in topics() if t.shelf == "What it means"]
    found = [w for w in known if re.search(rf"(?<!\w){re.escape(w.casefold())}s?(?!\w)", said.casefold())]
    return sorted(found, key=lambda w: -len(w))


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
        split = QSplitter(Qt.Orientation.Horizontal)
        split.addWidget(left)
        split.addWidget(self.page)
        split.setStretchFactor(1, 1)
        split.setSizes([260, 560])
        QHBoxLayout(self).addWidget(split)
        QShortcut(QKeySequence.StandardKey.Find, self, self.line.setFocus)
        self.resize(860, 620)
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
                self._head(topic.shelf)
                before = topic.shelf
            self._entry(topic.title)
        rest = [title for title, told in self._more.items() if all(w in f"{title} {told()}".casefold() for w in words)]
        if rest:
            self._head(tr("At hand"))
            for title in rest:
                self._entry(title)
        if not self.titles.count():
            self._head(tr("nothing is written of that"))
            self.page.clear()
            return
        self.titles.setCurrentRow(1)

    def _head(self, said: str) -> None:
        item = QListWidgetItem(said)
        item.setFlags(Qt.ItemFlag.NoItemFlags)
        self.titles.addItem(item)

    def _entry(self, title: str) -> None:
        item = QListWidgetItem(f"   {title}")
        item.setData(Qt.ItemDataRole.UserRole, title)
        self.titles.addItem(item)

    def _show(self, item: QListWidgetItem | None) -> None:
        title = item.data(Qt.ItemDataRole.UserRole) if item is not None else None
        if title is None:
            return
        if title in self._more:
            self.page.setHtml(f"<h2>{title}</h2>{_WIDTH.sub(chr(32), self._more[title]())}")
        else:
            topic = next(t for t in topics() if t.title == title)
            self.page.document().setMarkdown(
                f"## {topic.title}\n\n{topic.text}", QTextDocument.MarkdownFeature.MarkdownNoHTML
            )
        self._next_hit()

    def _next_hit(self) -> None:
        """To the next place where the first typed word stands, from the top again after the last."""
        words = self.line.text().split()
        if words and not self.page.find(words[0]):
            self.page.moveCursor(QTextCursor.MoveOperation.Start)
            self.page.find(words[0])
