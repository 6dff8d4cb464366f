"""Tables and raw data: what goes out to be reckoned with, and another lab's package in."""

from __future__ import annotations

from collections.abc import Sequence
from functools import partial

from PySide6.QtCore import Signal
from PySide6.QtWidgets import QHBoxLayout, QPushButton, QVBoxLayout, QWidget

from kuffin.app.base.guarded import guarded
from kuffin.app.state.windowstate import State
from kuffin.app.widgets.forms import button
from kuffin.app.widgets.texts import text
from kuffin.core.base.language import mark, tr

# what, its file's ending, what is on the button, what it is
_TABLES: Sequence[tuple[str, str, str, str]] = (
    ("tables", ".xlsx", mark("Spreadsheet …"), mark("a sheet each for outcomes, readings, pairs and findings")),
    ("readings", ".csv", mark("Readings as CSV …"), mark("a row for each mount, under every school")),
    ("verdicts", ".csv", mark("Pairs as CSV …"), mark("a row for each pair and school, with its interval")),
    ("findings", ".csv", mark("Findings as CSV …"), mark("what was found, and how it was answered")),
    ("preparation", ".csv", mark("Preparation as CSV …"), mark("what was ticked, noted and measured before each run")),
    ("everything", ".json", mark("Everything as JSON …"), mark("all of it, with the working of each number")),
)


def _with_words(made: QPushButton, said: str) -> QHBoxLayout:
    """A button with what it gives beside it, which wraps where it has to."""
    line = QHBoxLayout()
    line.setSpacing(8)
    line.addWidget(made)
    line.addWidget(text(said, style="muted"), 1)
    return line


@guarded
class DataPage(QWidget):
    """Buttons with what each gives; it edits nothing."""

    write_wanted = Signal(str, str)
    package_wanted = Signal()
    take_wanted = Signal()
    copy_wanted = Signal()

    def __init__(self, state: State) -> None:
        super().__init__()
        column = QVBoxLayout(self)
        column.setContentsMargins(0, 4, 8, 8)
        column.setSpacing(8)
        column.addWidget(text(tr("Tables"), style="heading"))
        self._out = []
        for what, ending, label, said in _TABLES:
            made = button(tr(label), partial(self.write_wanted.emit, what, ending))
            self._out.append(made)
            column.addLayout(_with_words(made, tr(said)))
        copy = button(tr("Copy the table, to paste"), self.copy_wanted.emit)
        column.addLayout(_with_words(copy, tr("candidates by outcomes, as a table for pages and texts")))
        column.addSpacing(10)
        column.addWidget(text(tr("Raw data, for another lab to check"), style="heading"))
        send = button(tr("Send a data package …"), self.package_wanted.emit)
        column.addLayout(_with_words(send, tr("all runs, units, roles, bench, protocol: the same verdict")))
        column.addWidget(
            text(
                tr(
                    "Notes, prices paid, labels of samples, paths of logs, photos, own marks and own "
                    "words stay here unless you send them along. Reasons why mounts were left out or "
                    "kept go with it, as do the instruments' own troubles."
                ),
                style="small",
            )
        )
        take = button(tr("Take in a data package …"), self.take_wanted.emit)
        column.addLayout(_with_words(take, tr("another lab's study beside yours, linked on Compare · Across")))
        column.addStretch()
        self._out += [copy, send]
        state.verdict_changed.connect(lambda: self._enable(state))
        self._enable(state)

    def _enable(self, state: State) -> None:
        able = state.verdict is not None and state.verdict.mounts > 0
        for made in self._out:
            made.setEnabled(able)
