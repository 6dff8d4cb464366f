"""Mending mounts: logs of one mount that became several are its tests again."""

from __future__ import annotations

from collections.abc import Mapping, Sequence

from PySide6.QtWidgets import (
    QCheckBox,
    QDialog,
    QDialogButtonBox,
    QGridLayout,
    QLineEdit,
    QScrollArea,
    QVBoxLayout,
    QWidget,
)

from kuffin.app.widgets.bits import text
from kuffin.notebook.entities import Mount, Run


class OneMount(QDialog):
    """Which runs of a candidate are tests of one mount, and under which condition each was.

    Parameters
    ----------
    mount : Mount
        The mount that all chosen runs go to.
    others : sequence of Mount
        The candidate's other mounts with runs.
    guesses : mapping of run id to condition
    """

    def __init__(
        self, mount: Mount, others: Sequence[Mount], guesses: Mapping[int, str], parent: QWidget | None = None
    ) -> None:
        super().__init__(parent)
        self.setWindowTitle("Tests of one mount")
        self.resize(640, 420)
        self._boxes: dict[int, tuple[QCheckBox, QLineEdit]] = {}
        inner = QWidget()
        grid = QGridLayout(inner)
        for column, words in enumerate(("one mount", "log", "began", "tested under")):
            grid.addWidget(text(words, style="muted", wrap=False), 0, column)
        for row, (one, run) in enumerate(((m, r) for m in (mount, *others) for r in m.live_runs), 1):
            self._add_row(grid, row, one, run, guesses.get(run.id, run.condition), mount)
        grid.setColumnStretch(1, 1)
        grid.setRowStretch(grid.rowCount(), 1)
        scroll = QScrollArea()
        scroll.setWidgetResizable(True)
        scroll.setWidget(inner)
        buttons = QDialogButtonBox(QDialogButtonBox.StandardButton.Cancel)
        self.take = buttons.addButton("They are one mount", QDialogButtonBox.ButtonRole.AcceptRole)
        buttons.accepted.connect(self.accept)
        buttons.rejected.connect(self.reject)
        layout = QVBoxLayout(self)
        layout.addWidget(
            text(
                f"Choose the logs that were recorded on the same mount as {mount.candidate.name}, round {mount.round}: put "
                "together once, and not taken apart between them. They count as one piece of evidence for each condition."
            )
        )
        layout.addWidget(scroll, 1)
        layout.addWidget(buttons)
        self._look()

    def _add_row(self, grid: QGridLayout, row: int, one: Mount, run: Run, condition: str, kept: Mount) -> None:
        box, line = QCheckBox(f"round {one.round}"), QLineEdit(condition)
        box.setChecked(one is kept)
        box.setEnabled(one is not kept)
        box.setAccessibleName(f"{run.source or 'run'}, round {one.round}, is a test of this mount")
        box.toggled.connect(self._look)
        line.setPlaceholderText("such as stock, 240 W")
        line.setAccessibleName(f"What {run.source or 'the run'} was tested under")
        self._boxes[run.id] = box, line
        begun = (run.started_at or "").replace("T", " ")[5:16]
        for column, widget in ((0, box), (1, text(run.source, wrap=False)), (2, text(begun, wrap=False)), (3, line)):
            grid.addWidget(widget, row, column)

    def _look(self) -> None:
        self.take.setEnabled(any(box.isChecked() and box.isEnabled() for box, _ in self._boxes.values()))

    def chosen(self) -> dict[int, str]:
        """The runs that are tests of the mount, with their conditions."""
        return {run: " ".join(line.text().split()) for run, (box, line) in self._boxes.items() if box.isChecked()}
