"""After a practice run: one says what was wrong, and is then told, with the figures by which it could have been seen."""

from __future__ import annotations

import numpy as np
from PySide6.QtCore import Qt, QTimer, Signal
from PySide6.QtWidgets import QButtonGroup, QHBoxLayout, QPushButton, QRadioButton, QVBoxLayout, QWidget

from kuffin.app.look.theme import Theme, figures_font, text_points
from kuffin.app.widgets.forms import WritingTable, button
from kuffin.app.widgets.texts import text
from kuffin.core.base.language import tr
from kuffin.core.compare.pairwords import number
from kuffin.demo.faults import FAULTS, HiddenFault
from kuffin.verdict.againstsiblings import Compared


class PracticePage(QWidget):
    """The question, the figures, and the answer."""

    again = Signal()
    look = Signal()
    told = Signal()

    def __init__(self, theme: Theme) -> None:
        super().__init__()
        self._fault: HiddenFault | None = None
        self.title = text(tr("What was wrong with this run?"))
        self.choices = QButtonGroup(self)
        side = QVBoxLayout()
        side.setSpacing(4)
        for i, fault in enumerate(FAULTS.values()):
            box = QRadioButton(fault.name)
            self.choices.addButton(box, i)
            side.addWidget(box)
        self.table = WritingTable(
            ["", tr("idle"), tr("others"), tr("2 to 5 min"), tr("others"), tr("at the end"), tr("others")],
            tr("This run and the sound ones"),
            stretch=0,
        )
        self.table.setFocusPolicy(Qt.FocusPolicy.NoFocus)
        self.tell = QPushButton(tr("Tell me"))
        self.tell.setObjectName("next")
        self.tell.clicked.connect(self._tell)
        self.choices.idClicked.connect(lambda _i: self.tell.setEnabled(True))
        self.answer = text()
        self._after = QWidget()
        after = QHBoxLayout(self._after)
        after.setContentsMargins(0, 0, 0, 0)
        after.addWidget(button(tr("Practise another one"), self.again.emit))
        after.addWidget(button(tr("Look at the run"), self.look.emit))
        after.addStretch(1)
        column = QVBoxLayout(self)
        column.setSpacing(10)
        column.addWidget(self.title)
        column.addWidget(
            text(
                tr("This run, and in the columns beside it the mean of the sound mounts with their scatter."),
                style="muted",
            )
        )
        middle = QHBoxLayout()
        middle.addWidget(self.table, 1, Qt.AlignmentFlag.AlignTop)
        middle.addSpacing(16)
        middle.addLayout(side)
        column.addLayout(middle)
        row = QHBoxLayout()
        row.addWidget(self.tell)
        row.addStretch(1)
        column.addLayout(row)
        column.addWidget(self.answer)
        column.addWidget(self._after)
        column.addStretch(1)
        self.set_theme(theme)

    def set_theme(self, _theme: Theme) -> None:
        """Take the text size in use; of the colours it has none of its own."""
        size = text_points()
        self.title.setFont(figures_font(size * 1.9, bold=True))
        self.answer.setFont(figures_font(size * 1.25))

    def ask(self, fault: HiddenFault, compared: list[Compared]) -> None:
        """Show the figures, and ask."""
        self._fault = fault
        self.choices.setExclusive(False)
        for box in self.choices.buttons():
            box.setChecked(False)
        self.choices.setExclusive(True)
        self.tell.setEnabled(False)
        self.answer.setText("")
        self._after.hide()
        rows = []
        for c in compared:
            cells = [f"{c.label}, {c.unit}"]
            for this, others, scatter in zip(c.this, c.others, c.scatter, strict=True):
                spread = f" ± {number(scatter, c.digits)}" if np.isfinite(scatter) else ""
                cells.append(number(this, c.digits) if np.isfinite(this) else "–")
                cells.append(f"{number(others, c.digits)}{spread}" if np.isfinite(others) else "–")
            rows.append(cells)
        self.table.fill(rows, fixed=range(7))
        QTimer.singleShot(0, self, lambda: self.table.fit(8))  # once the page has its width
        self.choices.buttons()[0].setFocus()

    def _tell(self) -> None:
        fault = self._fault
        said = list(FAULTS.values())[self.choices.checkedId()]
        if fault is None:
            return
        right = said.key == fault.key
        verdict = (
            tr("That is it.") if right else tr("Not {guessed}: it was {fault}.", guessed=said.name, fault=fault.name)
        )
        self.answer.setText(f"{verdict} {fault.told} {fault.seen_by}")
        self.tell.setEnabled(False)
        self._after.show()
        self.told.emit()
