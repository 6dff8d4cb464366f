"""Changing a study: its question, candidates, and how it is judged."""

from __future__ import annotations

from PySide6.QtCore import Qt
from PySide6.QtWidgets import (
    QAbstractItemView,
    QDialog,
    QDialogButtonBox,
    QFormLayout,
    QHBoxLayout,
    QLineEdit,
    QListWidget,
    QListWidgetItem,
    QPushButton,
    QSpinBox,
    QVBoxLayout,
    QWidget,
)

from kuffin.app.widgets.dialogsize import open_at
from kuffin.app.widgets.numberspin import NumberSpin, pad
from kuffin.app.widgets.texts import Form, text
from kuffin.core.base.language import tr
from kuffin.notebook.entities import Study

_ID = Qt.ItemDataRole.UserRole


def _number(value: float, low: float, high: float, suffix: str, decimals: int = 2) -> NumberSpin:
    box = NumberSpin()
    box.setRange(low, high)
    box.setDecimals(decimals)
    box.setSuffix(suffix)
    box.setValue(value)
    return box


class ChangeStudy(QDialog):
    """What can be changed about a study at any time."""

    def __init__(self, study: Study, typical_power_w: float, parent: QWidget | None = None) -> None:
        super().__init__(parent)
        self.setWindowTitle(tr("Change the study"))
        open_at(self, 560, 520)
        self.question = QLineEdit(study.question)
        self.name = QLineEdit(study.name)
        self.candidates = QListWidget()
        self.candidates.setAccessibleName(tr("Candidates, in their order"))
        self.candidates.setDragDropMode(QAbstractItemView.DragDropMode.InternalMove)
        for candidate in study.live_candidates:
            self._item(candidate.name, candidate.id)
        add, remove = QPushButton(tr("Add a candidate")), QPushButton(tr("Take away"))
        add.clicked.connect(self.add)
        remove.clicked.connect(self.remove)
        row = QHBoxLayout()
        row.addWidget(add)
        row.addWidget(remove)
        row.addStretch()
        self.power = _number(study.reference_power_w or typical_power_w, 1.0, 5000.0, " W", 0)
        self.air = _number(study.reference_air_c, 5.0, 45.0, " °C", 1)
        self.tolerance = _number(study.tolerance_k, 0.02, 5.0, tr(" K in 10 min"))
        self.rounds = QSpinBox()
        pad(self.rounds)
        self.rounds.setRange(1, 40)
        self.rounds.setValue(study.planned_rounds)
        form = Form()
        form.setFieldGrowthPolicy(QFormLayout.FieldGrowthPolicy.ExpandingFieldsGrow)
        form.setVerticalSpacing(9)
        form.addRow(tr("The question"), self.question)
        form.addRow(tr("Short name"), self.name)
        form.addRow(tr("Candidates"), self.candidates)
        form.addRow("", row)
        form.addRow(
            "",
            text(
                tr("Double-click to rename, drag to reorder. Who is taken away goes to the bin with its mounts."),
                style="small",
            ),
        )
        form.addRow(tr("K/W are shown at"), self.power)
        form.addRow(tr("Re-based to a room of"), self.air)
        form.addRow(tr("Still counts as settled"), self.tolerance)
        form.addRow(tr("Mounts of each, planned"), self.rounds)
        buttons = QDialogButtonBox(QDialogButtonBox.StandardButton.Ok | QDialogButtonBox.StandardButton.Cancel)
        buttons.accepted.connect(self.accept)
        buttons.rejected.connect(self.reject)
        layout = QVBoxLayout(self)
        layout.addLayout(form, 1)
        layout.addWidget(buttons)

    def _item(self, name: str, candidate_id: int | None) -> QListWidgetItem:
        item = QListWidgetItem(name)
        item.setFlags(item.flags() | Qt.ItemFlag.ItemIsEditable)
        item.setData(_ID, candidate_id)
        self.candidates.addItem(item)
        return item

    def add(self) -> None:
        """Add a candidate, to be named."""
        item = self._item(tr("new candidate"), None)
        self.candidates.setCurrentItem(item)
        self.candidates.editItem(item)

    def remove(self) -> None:
        """Take the chosen candidate out."""
        self.candidates.takeItem(self.candidates.currentRow())

    def names(self) -> list[tuple[int | None, str]]:
        """The candidates in their order: id (None for a new one) and name."""
        items = [self.candidates.item(i) for i in range(self.candidates.count())]
        return [(item.data(_ID), item.text()) for item in items if item is not None]

    def values(self) -> dict[str, object]:
        """The other values, by their names in the notebook."""
        return {
            "question": self.question.text().strip(),
            "name": self.name.text().strip(),
            "reference_power_w": self.power.value(),
            "reference_air_c": self.air.value(),
            "tolerance_k": self.tolerance.value(),
            "planned_rounds": self.rounds.value(),
        }
