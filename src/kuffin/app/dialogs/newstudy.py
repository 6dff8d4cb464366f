"""Starting a study: the question, what is compared, the candidates, and how small a difference matters."""

from __future__ import annotations

from collections.abc import Sequence
from pathlib import Path

from PySide6.QtCore import Qt
from PySide6.QtWidgets import (
    QDialog,
    QDialogButtonBox,
    QFormLayout,
    QLineEdit,
    QPlainTextEdit,
    QSpinBox,
    QVBoxLayout,
    QWidget,
)

from kuffin.app.widgets.choice import Choice
from kuffin.app.widgets.dialogsize import open_at
from kuffin.app.widgets.numberspin import NumberSpin, pad
from kuffin.app.widgets.pairchoice import PairChoice
from kuffin.app.widgets.texts import Form, text
from kuffin.core.base.language import tr
from kuffin.core.bench.undertest import KINDS, kind_under_test
from kuffin.core.heat.normalise import default_school
from kuffin.logs.assigning import proposed_candidates
from kuffin.reading.comparedguess import ComparedGuess

_MOST_NAMED = 4


def files_of(paths: Sequence[str]) -> list[str]:
    """Files, and those within folders."""
    return [
        str(f)
        for p in paths
        for f in (sorted(x for x in Path(p).iterdir() if x.is_file()) if Path(p).is_dir() else [Path(p)])
    ]


class NewStudy(QDialog):
    """Asks for the little that a study needs to begin."""

    def __init__(self, parent: QWidget | None = None, logs: Sequence[str] = (), place: str = "") -> None:
        super().__init__(parent)
        self._touched = False  # nothing is wrong before something was typed
        self.setWindowTitle(tr("Start a study"))
        open_at(self, 580, 470)
        self.question = QLineEdit()
        self.question.setPlaceholderText(tr("such as: Which slim radiator keeps booth seven cool?"))
        self.kind = Choice()
        for kind in KINDS.values():
            self.kind.addItem(tr(kind.label), kind.key)
        self.kind.activated.connect(self._chosen)
        self._own_kind = False  # whether the person chose it
        self.guessed = text(style="muted")
        self.pair = PairChoice()
        self.pair.changed.connect(self._check)
        self.candidates = QPlainTextEdit()
        self.candidates.setTabChangesFocus(True)
        self.margin = NumberSpin()
        self.margin.setRange(0.05, 50.0)
        self.margin.setSingleStep(0.1)
        self.margin.setValue(1.0)
        self.margin.setSuffix(" K")
        self.rounds = QSpinBox()
        pad(self.rounds)
        self.rounds.setRange(1, 40)
        self.rounds.setValue(3)
        self._school = text(style="muted")
        self.missing = text(style="warn")
        self._form = form = Form()
        form.setFieldGrowthPolicy(QFormLayout.FieldGrowthPolicy.ExpandingFieldsGrow)
        form.setLabelAlignment(Qt.AlignmentFlag.AlignLeft)
        form.setVerticalSpacing(10)
        form.addRow(tr("The question"), self.question)
        form.addRow(tr("What is compared"), self.kind)
        form.addRow("", self.guessed)
        form.addRow(tr("What is read"), self.pair)
        form.addRow("", self._school)
        form.addRow(tr("Candidates,\none a line"), self.candidates)
        form.addRow(tr("A difference matters from"), self.margin)
        form.addRow(tr("Mounts of each, planned"), self.rounds)
        buttons = QDialogButtonBox(QDialogButtonBox.StandardButton.Cancel)
        self.start = buttons.addButton(tr("Start the study"), QDialogButtonBox.ButtonRole.AcceptRole)
        buttons.accepted.connect(self.accept)
        buttons.rejected.connect(self.reject)
        layout = QVBoxLayout(self)
        layout.addWidget(self._waiting(logs))
        layout.addLayout(form, 1)
        layout.addWidget(self.missing)
        layout.addWidget(buttons)
        for signal in (self.question.textChanged, self.candidates.textChanged, self.kind.currentIndexChanged):
            signal.connect(self._typed)
        form.setRowVisible(self.guessed, False)
        self._check()
        self.candidates.setPlainText("\n".join(proposed_candidates([Path(p).stem for p in files_of(logs)])))
        self._touched = False
        self._check()
        if place:
            layout.insertWidget(layout.count() - 1, text(tr("It is kept in {place}.", place=place), style="small"))

    def _waiting(self, logs: Sequence[str]) -> QWidget:
        """What waits for the study, by name."""
        names = [Path(p).name for p in files_of(logs)]
        more = len(names) - _MOST_NAMED
        said = ", ".join(names[:_MOST_NAMED]) + (tr(" and {more} more", more=more) if more > 0 else "")
        one = len(names) == 1
        label = text(
            tr(
                "{waiting} waits: it is added when the study has begun. Candidates are proposed from the names.",
                waiting=said,
            )
            if one
            else tr(
                "{waiting} wait: they are added when the study has begun. Candidates are proposed from the names.",
                waiting=said,
            )
            if names
            else ""
        )
        label.setVisible(bool(names))
        return label

    def take_guess(self, guess: ComparedGuess) -> None:
        """Propose what is compared, and say why; what the person chose stays."""
        if self._own_kind or not guess.why:
            return
        if guess.keys and self.key() not in guess.keys:
            self.kind.setCurrentIndex(self.kind.findData(guess.keys[0]))
        self.guessed.setText(guess.why)
        self._form.setRowVisible(self.guessed, True)
        self._touched = bool(self.question.text())  # a guess is not typed
        self._check()

    def _chosen(self) -> None:
        self._own_kind = True
        self._form.setRowVisible(self.guessed, False)

    def _typed(self) -> None:
        self._touched = True
        self._check()

    def names(self) -> list[str]:
        """The candidates' names."""
        return [line.strip() for line in self.candidates.toPlainText().splitlines() if line.strip()]

    def key(self) -> str:
        """What is under test."""
        key = str(self.kind.currentData())
        return self.pair.key() if kind_under_test(key).any_temperature else key

    def _check(self) -> None:
        key = self.key()
        self._form.setRowVisible(self.pair, kind_under_test(key).any_temperature)
        self._school.setText(tr("judged by {label}; can be changed at any time", label=tr(default_school(key).label)))
        self.candidates.setPlaceholderText(kind_under_test(key).example)
        names = self.names()
        if not self.question.text().strip():
            problem = tr("A study begins with a question.")
        elif len({n.lower() for n in names}) != len(names):
            problem = tr("Two candidates have the same name.")
        elif len(names) < 2:
            problem = tr("Name at least two candidates.")
        else:
            problem = ""
        self.missing.setText(problem if self._touched else "")
        self.start.setEnabled(not problem)
