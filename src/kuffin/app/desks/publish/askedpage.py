"""What a critical reader will ask: each question answered, mended, or printed as it is."""

from __future__ import annotations

from functools import partial
from typing import TYPE_CHECKING

from PySide6.QtCore import Qt, Signal
from PySide6.QtGui import QShowEvent
from PySide6.QtWidgets import QLineEdit, QVBoxLayout, QWidget

from kuffin.app.base.guarded import guarded
from kuffin.app.desks.publish.gathered import Gathered
from kuffin.app.state.windowstate import State
from kuffin.app.widgets.texts import empty, link_button, text
from kuffin.core.base.language import mark, tr
from kuffin.notebook import publishedits as edits

if TYPE_CHECKING:
    from kuffin.publish.page.critic import Concern

_PURPOSE = mark(
    "Here stands what a critical reader will ask of this study, before it goes out. It needs mounts that can be read."
)
_DESKS = {"Plan", "Prepare", "Run", "Inspect", "Compare", "Shelf"}


@guarded
class AskedPage(QWidget):
    """Each question with what Kuffin prints to it, a field for one's own answer, and where it can be mended."""

    desk_wanted = Signal(str)

    def __init__(self, state: State, gathered: Gathered) -> None:
        super().__init__()
        self.state, self._gathered = state, gathered
        self.concerns: list[Concern] = []
        self.answers: dict[str, QLineEdit] = {}
        self._head = text(style="muted")
        self._inside = QWidget()
        self._column = QVBoxLayout(self._inside)
        self._column.setContentsMargins(0, 0, 0, 0)
        self._column.setSpacing(3)
        outer = QVBoxLayout(self)
        outer.setContentsMargins(0, 4, 8, 8)
        outer.setSpacing(10)
        outer.addWidget(self._head)
        outer.addWidget(self._inside)
        outer.addStretch()
        gathered.changed.connect(self.renew)

    def showEvent(self, event: QShowEvent) -> None:
        super().showEvent(event)
        self._gathered.want()
        self.renew()

    def open_count(self) -> int:
        """How many questions have no answer of one's own yet."""
        m, study = self._gathered.material, self.state.study
        if m is None or study is None:
            return 0
        answers = study.published.get("answers") or {}
        return sum(not str(answers.get(c.key, "")).strip() for c in self._found())

    def _found(self) -> list[Concern]:
        m, study = self._gathered.material, self.state.study
        if m is None or study is None:
            return []
        from kuffin.publish.page.critic import concerns
        from kuffin.publish.page.layout import PageLayout
        from kuffin.publish.page.writing import doubts_in

        return concerns(m, doubts_in(m, PageLayout.of(study.published)))

    def renew(self) -> None:
        """Show the questions as the study stands; only while they are looked at."""
        study = self.state.study
        if not self.isVisible() or study is None:
            return
        if self._gathered.material is None:
            self._head.setText(
                self._gathered.problem or (tr("Working …") if self.state.verdict is not None else tr(_PURPOSE))
            )
            self._inside.hide()
            return
        self.concerns = self._found()
        self._inside.show()
        answers = study.published.get("answers") or {}
        self._head.setText(
            tr("Nothing of the usual questions is open.")
            if not self.concerns
            else tr(
                "Each of these is printed in the page with what Kuffin says to it and your own "
                "answer, unless it is mended."
            )
        )
        empty(self._column)
        self.answers = {}
        for c in self.concerns:
            self._column.addWidget(text(c.asked, style="heading"))
            self._column.addWidget(text(c.said))
            if c.where in _DESKS:
                there = link_button(
                    tr("to {where} ›", where=tr(c.where)),
                    tr("{asked} Mend it on {where}", asked=c.asked, where=tr(c.where)),
                )
                there.clicked.connect(partial(self._go, c.where))
                self._column.addWidget(text(c.mend, style="muted"))
                self._column.addWidget(there, 0, Qt.AlignmentFlag.AlignLeft)
            else:
                self._column.addWidget(text(c.mend, style="muted"))
            if not c.key.startswith("words "):
                line = QLineEdit(str(answers.get(c.key, "")))
                line.setPlaceholderText(tr("your own answer, printed before Kuffin's"))
                line.setAccessibleName(tr("Your answer to: {asked}", asked=c.asked))
                line.editingFinished.connect(partial(self._answered, c.key, line))
                self.answers[c.key] = line
                self._column.addWidget(line)
            self._column.addSpacing(12)

    def _go(self, desk: str, _checked: bool = False) -> None:
        self.desk_wanted.emit(desk)

    def _answered(self, key: str, line: QLineEdit) -> None:
        study, notebook = self.state.study, self.state.notebook
        if study is None or notebook is None:
            return
        before = str((study.published.get("answers") or {}).get(key, ""))
        if line.text().strip() != before:
            self.state.attempt(edits.answer_question, notebook, study.id, key, line.text())
