"""Starting a study: the question, what is compared, the candidates, and how small a difference matters."""

from __future__ import annotations

from PySide6.QtCore import Qt
from PySide6.QtWidgets import (
    QComboBox,
    QDialog,
    QDialogButtonBox,
    QDoubleSpinBox,
    QFormLayout,
    QLineEdit,
    QPlainTextEdit,
    QSpinBox,
    QVBoxLayout,
    QWidget,
)

from kuffin.app.widgets.pairchoice import PairChoice
from kuffin.app.widgets.texts import Form, text
from kuffin.core.bench.undertest import KINDS, kind_under_test
from kuffin.core.heat.normalise import default_school


class NewStudy(QDialog):
    """Asks for the little that a study needs to begin."""

    def __init__(self, parent: QWidget | None = None) -> None:
        super().__init__(parent)
        self.setWindowTitle("Start a study")
        self.resize(580, 470)
        self.question = QLineEdit()
        self.question.setPlaceholderText("such as: Which slim radiator keeps booth seven cool?")
        self.kind = QComboBox()
        for kind in KINDS.values():
            self.kind.addItem(kind.label, kind.key)
        self.pair = PairChoice()
        self.pair.changed.connect(self._check)
        self.candidates = QPlainTextEdit()
        self.candidates.setTabChangesFocus(True)
        self.margin = QDoubleSpinBox()
        self.margin.setRange(0.05, 50.0)
        self.margin.setSingleStep(0.1)
        self.margin.setValue(1.0)
        self.margin.setSuffix(" K")
        self.rounds = QSpinBox()
        self.rounds.setRange(1, 40)
        self.rounds.setValue(3)
        self._school = text(style="muted", wrap=False)
        self.missing = text(style="warn")
        self._form = form = Form()
        form.setFieldGrowthPolicy(QFormLayout.FieldGrowthPolicy.ExpandingFieldsGrow)
        form.setLabelAlignment(Qt.AlignmentFlag.AlignLeft)
        form.setVerticalSpacing(10)
        form.addRow("The question", self.question)
        form.addRow("What is compared", self.kind)
        form.addRow("What is read", self.pair)
        form.addRow("", self._school)
        form.addRow("Candidates,\none a line", self.candidates)
        form.addRow("A difference matters from", self.margin)
        form.addRow("Mounts of each, planned", self.rounds)
        buttons = QDialogButtonBox(QDialogButtonBox.StandardButton.Cancel)
        self.start = buttons.addButton("Start the study", QDialogButtonBox.ButtonRole.AcceptRole)
        buttons.accepted.connect(self.accept)
        buttons.rejected.connect(self.reject)
        layout = QVBoxLayout(self)
        layout.addLayout(form, 1)
        layout.addWidget(self.missing)
        layout.addWidget(buttons)
        for signal in (self.question.textChanged, self.candidates.textChanged, self.kind.currentIndexChanged):
            signal.connect(self._check)
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
        self._school.setText(f"judged by {default_school(key).label.lower()}; can be changed at any time")
        self.candidates.setPlaceholderText(kind_under_test(key).example)
        names = self.names()
        if not self.question.text().strip():
            problem = "A study begins with a question."
        elif len({n.lower() for n in names}) != len(names):
            problem = "Two candidates have the same name."
        elif len(names) < 2:
            problem = "Name at least two candidates."
        else:
            problem = ""
        self.missing.setText(problem)
        self.start.setEnabled(not problem)
