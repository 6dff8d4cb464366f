"""In the hand: what one finds with a candidate in the hand, and a reviewer's own marks; kept apart from what was measured."""

from __future__ import annotations

from PySide6.QtWidgets import QVBoxLayout, QWidget

from kuffin.app.state.windowstate import State
from kuffin.app.widgets.figuretable import FigureTable
from kuffin.app.widgets.forms import WritingTable, button, row
from kuffin.app.widgets.texts import text
from kuffin.core.base.language import mark, tr
from kuffin.core.base.numbers import plain, typed_number
from kuffin.core.base.saying import say
from kuffin.notebook import planedits
from kuffin.notebook.photos import photos_by_part
from kuffin.verdict.inthehand import InTheHand, hand_table, in_the_hand, marks_of

_NOTE = mark(
    "Weight, fins, finish, contents and defects are told on the parts' pages on the Shelf; the time to fit is the change-over's own clock. "
    "Marks (0 to 10) are the reviewer's, not measurements; they take no part in any verdict."
)


class HandSection(QWidget):
    """A table to read, and one of marks to write into."""

    def __init__(self, state: State) -> None:
        super().__init__()
        self._state = state
        self.found: list[InTheHand] = []
        self._names: list[str] = []
        column = QVBoxLayout(self)
        column.setContentsMargins(0, 8, 0, 0)
        column.setSpacing(6)
        self.table = FigureTable(tr("In the hand"))
        self.marks = WritingTable([tr("mark for")], tr("Reviewer's marks"))
        self.marks.written.connect(self._written)
        self._buttons = row(button(tr("Add a mark"), self._add), button(tr("Remove it"), self._remove), None)
        column.addWidget(text(tr("In the hand"), style="heading"))
        column.addWidget(self.table)
        column.addWidget(self.marks)
        column.addWidget(self._buttons)
        column.addWidget(text(tr(_NOTE), style="small"))

    def renew(self) -> None:
        """Show the study as it is."""
        study, notebook = self._state.study, self._state.notebook
        if study is None or notebook is None:
            return
        self.found = in_the_hand(study, photos_by_part(notebook))
        head, rows = hand_table(self.found)
        self.table.setVisible(bool(rows))
        if rows:
            self.table.show_rows(tuple(head), [tuple(r) for r in rows], left=set(range(1, len(head))))
        marks = marks_of(study)
        self._names = list(marks)
        self.marks.setColumnCount(1 + len(self.found))
        self.marks.setHorizontalHeaderLabels([tr("mark for"), *(f.name for f in self.found)])
        self.marks.fill(
            [
                [name, *(plain(given[f.candidate_id]) if f.candidate_id in given else "" for f in self.found)]
                for name, given in marks.items()
            ]
        )
        self.marks.fit(8)
        self.marks.setVisible(bool(marks))

    def _keep(self, label: str, marks: dict[str, dict[int, float]]) -> None:
        study, notebook = self._state.study, self._state.notebook
        if study is not None and notebook is not None:
            kept = {name: {str(c): x for c, x in given.items()} for name, given in marks.items()}
            self._state.attempt(planedits.set_plan, notebook, study.id, label, marks=kept or None)

    def _add(self) -> None:
        study = self._state.study
        if study is None:
            return
        marks = marks_of(study)
        usual = (tr("finish"), tr("ease of fitting"), tr("what is in the box"), tr("manual"))
        name = next((u for u in usual if u not in marks), tr("mark {marks}", marks=len(marks) + 1))
        self._keep(say("add a mark"), {**marks, name: {}})

    def _remove(self) -> None:
        study, at = self._state.study, self.marks.currentRow()
        if study is not None and 0 <= at < len(self._names):
            self._keep(say("remove a mark"), {n: g for n, g in marks_of(study).items() if n != self._names[at]})
        elif self._names:
            self._state.trouble.emit(tr("choose a mark in the table first"))

    def _written(self, at: int, column: int, content: str) -> None:
        study = self._state.study
        if study is None or not 0 <= at < len(self._names):
            return
        marks, name = marks_of(study), self._names[at]
        if column == 0:
            if not content.strip() or (content.strip() in marks and content.strip() != name):
                self._state.trouble.emit(tr("a mark needs a name of its own"))
            else:
                self._keep(say("rename a mark"), {content.strip() if n == name else n: g for n, g in marks.items()})
        else:
            candidate = self.found[column - 1].candidate_id
            given = {c: x for c, x in marks[name].items() if c != candidate}
            value = content.strip()
            if value:
                try:
                    given[candidate] = typed_number(value)
                except ValueError:
                    given[candidate] = -1.0
                if not 0 <= given[candidate] <= 10:
                    self._state.trouble.emit(tr("“{content}” is no mark; write 0 to 10", content=content))
                    self.renew()
                    return
            self._keep(say("give a mark"), {**marks, name: given})
        self.renew()
