"""Readings without a log: figures typed from a screen or a meter, of one mount under one condition."""

from __future__ import annotations

from collections.abc import Sequence

from PySide6.QtCore import Qt
from PySide6.QtWidgets import QCheckBox, QDialog, QDialogButtonBox, QLineEdit, QVBoxLayout, QWidget

from kuffin.app.base.guarded import guarded
from kuffin.app.widgets.choice import Choice
from kuffin.app.widgets.dialogsize import open_at
from kuffin.app.widgets.forms import WritingTable, choice
from kuffin.app.widgets.texts import Form, text
from kuffin.core.base.errors import KuffinError
from kuffin.core.base.language import mark, tr
from kuffin.core.base.numbers import number, plain, typed_number
from kuffin.core.base.units import canonical_unit, shown
from kuffin.core.bench.roles import ROLES, SIGNALS
from kuffin.core.bench.writtenfigures import read_figure, taken_apart, with_emissivity
from kuffin.notebook.entities import Mount, Study
from kuffin.notebook.typedruns import TypedFigure, TypedRun

_WHAT, _VALUE, _STEP, _TAKEN = range(4)
_HEAD = (mark("what"), mark("as it stood there"), mark("step of its last digit"), mark("taken as"))


def _labels() -> dict[str, str]:
    """What a figure may be, as it is called, and its role."""
    return {tr(r.label): r.key for r in ROLES.values()}


def _alike(one: str, other: str) -> bool:
    """Whether two roles can stand for the same thing: coolant, and coolant into the block."""
    return one == other or any({one, other} <= set(s.roles) and s.key in {"coolant", "air"} for s in SIGNALS.values())


@guarded
class TypeReadings(QDialog):
    """A row for each figure; the value's last digit says how finely it was shown, and that can be changed.

    Parameters
    ----------
    roles : sequence of str
        What the study's school needs, and what one usually looks at beside it.
    conditions : sequence of str
        Those that the study has already.
    """

    def __init__(
        self,
        study: Study,
        mount: Mount | None,
        roles: Sequence[str],
        conditions: Sequence[str],
        parent: QWidget | None = None,
    ) -> None:
        super().__init__(parent)
        self.setWindowTitle(tr("Type readings"))
        open_at(self, 760, 560)
        self._roles, self._written, self._steps = list(roles), [""] * len(roles), [""] * len(roles)
        self._figures: list[TypedFigure | None] = [None] * len(roles)
        self.candidate = choice([(c.name, c.name) for c in study.live_candidates], tr("Candidate"))
        self._mounts = {c.name: c.live_mounts for c in study.live_candidates}
        self.mount = choice([], tr("Mount"))
        self.condition = Choice()
        self.condition.setEditable(True)
        self.condition.addItems(list(conditions) or [""])
        self.condition.setAccessibleName(tr("Tested under"))
        self.minutes = QLineEdit()
        self.minutes.setPlaceholderText(tr("not looked at"))
        self.minutes.setAccessibleName(tr("Minutes since the load began"))
        self.infrared = QCheckBox(
            tr("temperatures of the parts were read with an infrared meter, as of a black surface")
        )
        self.emissivity, self.reflected = QLineEdit("0.95"), QLineEdit("22")
        self.emissivity.setAccessibleName(tr("Emissivity"))
        self.reflected.setAccessibleName(tr("Reflected temperature, °C"))
        self.table = WritingTable([tr(h) for h in _HEAD], tr("Figures"), self._options, stretch=_TAKEN)
        self.line = QLineEdit()
        self.line.setPlaceholderText(tr("die 64; coolant 31.5; air 22.1; power 203"))
        self.line.setAccessibleName(tr("A line of figures, to be taken apart"))
        self.problem = text(style="warn")
        if mount is not None:
            self.candidate.setCurrentIndex(self.candidate.findData(mount.candidate.name))
        self._offer_mounts(mount)
        self._lay_out()
        self.candidate.activated.connect(lambda: self._offer_mounts(None))
        self.table.written.connect(self._take_cell)
        self.line.returnPressed.connect(self._take_line)
        for line in (self.minutes, self.emissivity, self.reflected):
            line.textChanged.connect(self._look)
        self.infrared.toggled.connect(self._look)
        self._look()

    def _lay_out(self) -> None:
        form = Form()
        form.addRow(tr("candidate"), self.candidate)
        form.addRow(tr("mount"), self.mount)
        form.addRow(tr("tested under"), self.condition)
        form.addRow(tr("minutes since the load began"), self.minutes)
        form.addRow(self.infrared)
        self._infrared = QWidget()
        surface = Form(self._infrared)
        surface.setContentsMargins(24, 0, 0, 0)
        surface.addRow(tr("emissivity of the surface"), self.emissivity)
        surface.addRow(tr("temperature that it reflects, °C"), self.reflected)
        buttons = QDialogButtonBox(QDialogButtonBox.StandardButton.Cancel)
        self.keep = buttons.addButton(tr("Keep these readings"), QDialogButtonBox.ButtonRole.AcceptRole)
        buttons.accepted.connect(self.accept)
        buttons.rejected.connect(self.reject)
        layout = QVBoxLayout(self)
        layout.addLayout(form)
        layout.addWidget(self._infrared)
        layout.addWidget(text(tr("a line to take apart (Enter), with names or in the order below"), style="small"))
        layout.addWidget(self.line)
        layout.addWidget(self.table, 1)
        layout.addWidget(self.problem)
        layout.addWidget(buttons)

    def _offer_mounts(self, chosen: Mount | None) -> None:
        there = self._mounts.get(self.candidate.currentData() or "", [])
        self.mount.clear()
        self.mount.addItem(tr("a new one"), None)
        for m in there:
            self.mount.addItem(
                tr("round {round}", round=m.round)
                if m.live_runs
                else tr("round {round}, without readings so far", round=m.round),
                m.id,
            )
        waiting = next((m for m in there if not m.live_runs), None)
        wanted = chosen.id if chosen is not None else waiting.id if waiting is not None else None
        self.mount.setCurrentIndex(max(self.mount.findData(wanted), 0))

    def _options(self, _row: int, column: int) -> Sequence[str] | None:
        return list(_labels()) if column == _WHAT else None

    def _take_cell(self, row: int, column: int, written: str) -> None:
        if column == _WHAT:
            self._roles[row] = _labels().get(written, self._roles[row])
        elif column == _VALUE:
            self._written[row], self._steps[row] = written.strip(), ""
        elif column == _STEP:
            self._steps[row] = written.strip()
        self._look()

    def _take_line(self) -> None:
        for role, figure in taken_apart(self.line.text()):
            free = [i for i, w in enumerate(self._written) if not w and (role is None or _alike(self._roles[i], role))]
            if free:
                self._written[free[0]], self._steps[free[0]] = figure, ""
            elif role is not None:
                self._roles.append(role)
                self._written.append(figure)
                self._steps.append("")
        self.line.clear()
        self._look()

    def _look(self) -> None:
        """Read every row, show what it is taken as, and say what is still in the way."""
        problems, rows = [], []
        self._infrared.setVisible(self.infrared.isChecked())
        if all(self._written):
            self._roles.append("die")
            self._written.append("")
            self._steps.append("")
        self._figures = []
        for role, written, step in zip(self._roles, self._written, self._steps, strict=True):
            figure, taken = None, ""
            if written:
                try:
                    figure = self._figure(role, written, step)
                    taken = f"{number(figure.value, 2)} ± {number(1.96 * figure.resolution / 12**0.5, 2)} {shown(canonical_unit(ROLES[role].quantity))}"
                except KuffinError as error:
                    problems.append(str(error))
            self._figures.append(figure)
            rows.append((tr(ROLES[role].label), written, step or (plain(figure.resolution) if figure else ""), taken))
        self.table.fill(rows, fixed=(_TAKEN,))
        if self.minutes.text().strip() and self._minutes() is None:
            problems.append(tr("“{text}” is no number of minutes", text=self.minutes.text()))
        told = any(self._figures)
        self.problem.setText(". ".join(p[:1].upper() + p[1:] for p in problems))
        self.keep.setEnabled(told and not problems)

    def _figure(self, role: str, written: str, step: str) -> TypedFigure:
        quantity = ROLES[role].quantity
        found = read_figure(written, quantity)
        value = found.value
        if self.infrared.isChecked() and quantity == "temperature" and ROLES[role].of_device:
            around = read_figure(self.reflected.text(), "temperature").value
            value = with_emissivity(value, read_figure(self.emissivity.text(), "share").value, around)
        resolution = read_figure(step, quantity).value if step else found.resolution
        return TypedFigure(role=role, value=value, resolution=resolution)

    def _minutes(self) -> float | None:
        try:
            return typed_number(self.minutes.text()) if self.minutes.text().strip() else None
        except ValueError:
            return None

    def typed(self) -> TypedRun:
        """What was typed."""
        return TypedRun(
            candidate=self.candidate.currentData(),
            figures=[f for f in self._figures if f is not None],
            minutes=self._minutes(),
            condition=self.condition.currentText().strip(),
            mount_id=self.mount.currentData(),
        )

    def keyPressEvent(self, event: object) -> None:
        """Enter in the line of figures takes it apart; it does not close the dialog."""
        if getattr(event, "key", lambda: 0)() in {Qt.Key.Key_Return, Qt.Key.Key_Enter} and not self.keep.hasFocus():
            return
        super().keyPressEvent(event)  # type: ignore[arg-type]
