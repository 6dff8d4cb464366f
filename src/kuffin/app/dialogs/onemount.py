"""The tests of a mount: what each log was tested under; and logs that became several mounts are tests of one again."""

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

from kuffin.app.widgets.dialogsize import open_at
from kuffin.app.widgets.settingsline import SettingsLine
from kuffin.app.widgets.texts import text
from kuffin.core.base.language import tr
from kuffin.core.bench.testsettings import read_settings
from kuffin.notebook.edits import ToldCondition
from kuffin.notebook.entities import Mount, Run


class OneMount(QDialog):
    """Which runs of a candidate are tests of one mount, and what each was tested under.

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
        self.setWindowTitle(tr("Tests of this mount"))
        open_at(self, 900, 420)
        self._boxes: dict[int, tuple[QCheckBox, QLineEdit, SettingsLine]] = {}
        self._before = {r.id: (r.condition, r.settings) for r in mount.live_runs}
        inner = QWidget()
        grid = QGridLayout(inner)
        for column, words in enumerate((tr("this mount"), "log", "began", tr("tested under"), tr("run with"))):
            grid.addWidget(text(words, style="muted", wrap=False), 0, column)
        for row, (one, run) in enumerate(((m, r) for m in (mount, *others) for r in m.live_runs), 1):
            self._add_row(grid, row, one, run, guesses.get(run.id, run.condition), mount)
        grid.setColumnStretch(1, 1)
        grid.setColumnStretch(4, 2)
        grid.setRowStretch(grid.rowCount(), 1)
        scroll = QScrollArea()
        scroll.setWidgetResizable(True)
        scroll.setWidget(inner)
        buttons = QDialogButtonBox(QDialogButtonBox.StandardButton.Cancel)
        self.take = buttons.addButton(tr("Take it so"), QDialogButtonBox.ButtonRole.AcceptRole)
        buttons.accepted.connect(self.accept)
        buttons.rejected.connect(self.reject)
        layout = QVBoxLayout(self)
        layout.addWidget(
            text(
                tr(
                    "The logs that were recorded on {name}, round {round}: put together once, and not "
                    "taken apart between them. They count as one piece of evidence for each condition.",
                    name=mount.candidate.name,
                    round=mount.round,
                )
            )
        )
        self._problem = text(style="warn")
        layout.addWidget(scroll, 1)
        layout.addWidget(self._problem)
        layout.addWidget(buttons)
        self._look()

    def _add_row(self, grid: QGridLayout, row: int, one: Mount, run: Run, condition: str, kept: Mount) -> None:
        box, line = QCheckBox(tr("round {round}", round=one.round)), QLineEdit(condition)
        with_what = SettingsLine(tr("What {source} was run with", source=run.source or tr("the run")), run.settings)
        box.setChecked(one is kept)
        box.setEnabled(one is not kept)
        box.setAccessibleName(
            tr("{source}, round {round}, is a test of this mount", source=run.source or "run", round=one.round)
        )
        box.toggled.connect(self._look)
        line.setPlaceholderText(tr("such as stock, 240 W"))
        line.setAccessibleName(tr("What {source} was tested under", source=run.source or tr("the run")))
        for edit in (line, with_what):
            edit.textChanged.connect(lambda _t: self._look())
        self._boxes[run.id] = box, line, with_what
        begun = (run.started_at or "").replace("T", " ")[5:16]
        for column, widget in (
            (0, box),
            (1, text(run.source, wrap=False)),
            (2, text(begun, wrap=False)),
            (3, line),
            (4, with_what),
        ):
            grid.addWidget(widget, row, column)

    def _look(self) -> None:
        problems = [line.problem for box, _, line in self._boxes.values() if line.problem and box.isChecked()]
        self._problem.setText(" · ".join(problems))
        self._problem.setVisible(bool(problems))
        chosen = {run: (told.name, dict(told.settings)) for run, told in self.chosen().items()} if not problems else {}
        self.take.setEnabled(not problems and chosen != self._before)

    def chosen(self) -> dict[int, ToldCondition]:
        """The runs that are tests of the mount, with what each was tested under."""
        return {
            run: ToldCondition(" ".join(line.text().split()), read_settings(with_what.text()))
            for run, (box, line, with_what) in self._boxes.items()
            if box.isChecked()
        }
