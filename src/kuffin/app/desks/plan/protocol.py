"""The protocol: the steps of each run, their limits, and protocols kept to be used again."""

from __future__ import annotations

from dataclasses import replace
from typing import Any

from PySide6.QtWidgets import QCheckBox, QInputDialog

from kuffin.app.desks.plan.page import Page
from kuffin.app.state.shelfstate import ShelfState
from kuffin.app.state.windowstate import State
from kuffin.app.widgets.forms import NumberLine, WritingTable, button, choice, flowing, named, refill, row
from kuffin.app.widgets.texts import text
from kuffin.core.base.errors import BenchError, KuffinError
from kuffin.core.base.language import mark, tr
from kuffin.core.base.numbers import begun, plain
from kuffin.core.base.saying import say
from kuffin.core.bench.conditions import condition_steps
from kuffin.core.bench.configuration import OF_TEST
from kuffin.core.bench.limits import NO_SAFETY_DEVICE, Limits
from kuffin.core.bench.partfields import Field
from kuffin.core.bench.parts import read_field
from kuffin.core.bench.protocol import (
    SETTLES,
    Step,
    read_window,
    run_minutes,
    step_minutes,
    sweep,
    window_words,
    with_mount_check,
)
from kuffin.core.bench.testsettings import read_settings, settings_words
from kuffin.notebook import edits, planedits
from kuffin.notebook.entities import Protocol

_NAME = mark("the usual three steps")
_COLUMNS = {
    "name": mark("step"),
    "load": mark("load"),
    "power_w": mark("power"),
    "pump_percent": mark("pump"),
    "fan_percent": mark("fans"),
    "also": mark("also set"),
    "settle": mark("settles"),
    "longest_min": mark("at most"),
    "measure_min": mark("measure"),
    "window": mark("window"),
    "ask": mark("ask for"),
    "expected": mark("expected"),
}
_KEYS = tuple(_COLUMNS)
_AS_IS = mark("as is")
_FIELDS = {
    **{
        k: Field(key=k, label=s.label, kind="number", unit=s.unit, options=(), low=s.low, high=s.high)
        for k, s in OF_TEST.items()
        if k in _COLUMNS and s.kind == "number"
    },
    "longest_min": Field(
        key="longest_min", label="longest time", kind="number", unit="min", options=(), low=0, high=1440
    ),
    "measure_min": Field(
        key="measure_min", label="time to measure", kind="number", unit="min", options=(), low=0, high=1440
    ),
}


def _swept() -> dict[str, str]:
    """What a sweep can vary, as it is called, and its key."""
    return {f"{tr(s.label)}, {s.unit}": key for key, s in OF_TEST.items() if s.kind == "number"}


class ProtocolPage(Page):
    """The page."""

    def __init__(self, state: State, shelf: ShelfState) -> None:
        super().__init__(state, shelf)
        self.which = choice([], tr("Protocol"))
        self.which.activated.connect(self._chosen)
        self.column.addWidget(
            row(
                text(tr("Protocol"), wrap=False),
                self.which,
                button(tr("Keep it as …"), self._keep_as, tr("Under another name, to be used again in other studies")),
                button(tr("Put it into the bin"), self._bin),
            )
        )
        self.table = WritingTable([tr(c) for c in _COLUMNS.values()], tr("Steps"), self._options, stretch=1)
        self.table.written.connect(self._written)
        self.column.addWidget(self.table)
        self.column.addWidget(
            row(
                button(tr("Add a step"), self._add),
                button(
                    tr("Check the mount first"),
                    self._add_check,
                    tr(
                        "A light load before the first one: where the mount looks bad, the run holds before "
                        "the full load"
                    ),
                ),
                button(tr("Up"), lambda: self._move(-1)),
                button(tr("Down"), lambda: self._move(1)),
                button(tr("Remove it"), self._remove),
                button(
                    tr("Make a sweep of it …"),
                    self._sweep,
                    tr("Many steps from one, with power, pump, fans or another setting varied"),
                ),
            )
        )
        self.idle = QCheckBox(tr("Compare at idle too, where idle steps measure"))
        self.idle.clicked.connect(lambda on: self.change_plan(say("compare at idle too"), idle=on or None))
        self.column.addWidget(self.idle)
        self._takes = text(style="muted")
        self.column.addWidget(self._takes)
        self.heading(tr("When to stop a run"))
        self.die = NumberLine("°C", tr("Die limit"), 20, 150)
        self.coolant = NumberLine("°C", tr("Coolant limit"), 20, 95)
        self.flow = NumberLine("L/h", tr("Least flow"), 0, 5000)
        self.pump = NumberLine("rpm", tr("Least pump speed"), 0, 20000)
        self.rise = NumberLine("K/min", tr("Fastest rise of the coolant"), 0.1, 100)
        self.leak = QCheckBox(tr("or where a leak sensor answers"))
        self.leak.clicked.connect(lambda _on: self._save(self.shelf.steps))
        for box in (self.die, self.coolant, self.flow, self.pump, self.rise):
            box.given.connect(lambda _v: self._save(self.shelf.steps))
            box.refused.connect(self.state.trouble.emit)

        self.column.addWidget(
            flowing(
                named(tr("die at"), self.die),
                named(tr("coolant at"), self.coolant),
                named(tr("flow under"), self.flow),
                named(tr("pump under"), self.pump),
                named(tr("coolant rising faster than"), self.rise),
                self.leak,
            )
        )
        self.column.addWidget(
            text(
                tr(
                    "{NO_SAFETY_DEVICE} Coolant hotter than tubes and pump allow can burst a loop: their "
                    "manuals have the limit. Blank: not watched. “Window”: found (where it has settled), "
                    "or by the clock, such as: 27 to 30 min, last 3 min; what would have been found is "
                    "shown beside it. “Also set”: what a person sets when the step begins, such as: "
                    "power limit 240 W; driver 12.4. “Ask for”: numbers that are asked for when the step "
                    "ends, such as: score, frame rate [1/s].",
                    NO_SAFETY_DEVICE=tr(NO_SAFETY_DEVICE),
                ),
                style="small",
            )
        )
        self.column.addStretch(1)

    def renew(self) -> None:
        study, steps, takes = self.state.study, self.shelf.steps, self.shelf.durations()
        assert study is not None and takes is not None
        listed: list[tuple[str, object]] = [
            (tr("{NAME} (built in)", NAME=tr(_NAME)), None),
            *((p.name, p.id) for p in self.shelf.protocols),
        ]
        refill(self.which, listed, study.protocol_id)
        self.table.fill([self._row(s, takes.tau_s) for s in steps], fixed=(len(_KEYS) - 1,))
        self.table.fit(14)
        self.idle.setChecked(bool(study.plan.get("idle")))
        self.idle.setVisible(len(condition_steps(steps, idle=True)) > len(condition_steps(steps)))
        limits = self._limits()
        self.die.show_value(limits.die_c)
        self.coolant.show_value(limits.coolant_c)
        self.flow.show_value(limits.flow_l_h)
        self.pump.show_value(limits.pump_rpm)
        self.rise.show_value(limits.rise_k_min)
        self.leak.setChecked(limits.leak)
        total = run_minutes(steps, takes.tau_s, tolerance_k=study.tolerance_k)
        self._takes.setText(
            tr(
                "A run takes about {total:.0f} min; {run_from}. {limits}.",
                total=total,
                run_from=takes.run_from,
                limits=begun(limits.sentence()),
            )
        )

    def _row(self, step: Step, tau_s: float) -> list[str]:
        def shown(value: float | None, unit: str) -> str:
            return tr(_AS_IS) if value is None else f"{plain(value)} {unit}"

        return [
            step.name,
            step.load or tr("idle"),
            shown(step.power_w, "W"),
            shown(step.pump_percent, "%"),
            shown(step.fan_percent, "%"),
            settings_words(step.also),
            tr(SETTLES[step.settle]),
            f"{plain(step.longest_min)} min",
            f"{plain(step.measure_min)} min",
            window_words(step),
            step.ask,
            f"{step_minutes(step, tau_s):.0f} min",
        ]

    def _limits(self) -> Limits:
        return Limits.from_plain(self.shelf.protocol.limits if self.shelf.protocol is not None else None)

    def _options(self, _at: int, column: int) -> list[str] | None:
        return [tr(s) for s in SETTLES.values()] if _KEYS[column] == "settle" else None

    # --- writing ---------------------------------------------------------------------------------------------------

    def _save(self, steps: tuple[Step, ...]) -> None:
        """Keep changed steps and limits: in the study's protocol, or in a new one where it took the built-in one."""
        study, protocol = self.state.study, self.shelf.protocol
        if study is None or self.filling:
            return
        try:
            limits = Limits(
                die_c=self.die.value(),
                coolant_c=self.coolant.value(),
                flow_l_h=self.flow.value(),
                pump_rpm=self.pump.value(),
                rise_k_min=self.rise.value(),
                leak=self.leak.isChecked(),
            )
        except BenchError as error:
            self.state.trouble.emit(str(error))
            return
        name = protocol.name if protocol is not None else tr("{NAME}, changed", NAME=tr(_NAME))
        kept = self.edit(planedits.keep_protocol, name, steps, limits, protocol.id if protocol else None)
        if protocol is None and isinstance(kept, int):
            self.change(say("take a protocol"), protocol_id=kept)
        self.show_now()

    def _written(self, at: int, column: int, content: str) -> None:
        steps = list(self.shelf.steps)
        value: object = content.strip()
        key = _KEYS[column]
        try:
            if key in _FIELDS:
                value = (
                    None
                    if content.strip() in {"", tr(_AS_IS), tr("as it stands")}
                    else read_field(_FIELDS[key], content)
                )
                if value is None and key.endswith("_min"):
                    value = 0.0
            elif key == "settle":
                value = next((k for k, words in SETTLES.items() if tr(words) == content), "detect")
            elif key == "load" and content.strip().lower() in {"idle", tr("idle")}:
                value = ""
            change: dict[str, Any] = {key: value}
            if key == "window":
                begin, end = read_window(content)
                change = {"window_from_min": begin, "window_to_min": end}
            elif key == "also":
                told = read_settings(content)
                change = {k: told.pop(k) for k in _COLUMNS if k in told} | {"also": told}
            steps[at] = replace(steps[at], **change)
        except KuffinError as error:
            self.state.trouble.emit(str(error))
            self.show_now()
            return
        self._save(tuple(steps))

    def _add_check(self) -> None:
        try:
            steps = with_mount_check(self.shelf.steps)
            self._save(steps)
            if next(s for s in steps if s.settle == "check").power_w is None:
                self.state.trouble.emit(tr("the full load has no power of its own; give the mount check a lighter one"))
        except BenchError as error:
            self.state.trouble.emit(str(error))

    def _add(self) -> None:
        at = self.table.currentRow() + 1 if self.table.currentRow() >= 0 else len(self.shelf.steps)
        steps = self.shelf.steps
        self._save(
            (*steps[:at], Step(name=f"load {sum(s.load != '' for s in steps) + 1}", load="batch stretch"), *steps[at:])
        )

    def _at(self) -> int | None:
        at = self.table.currentRow()
        if not 0 <= at < len(self.shelf.steps):
            self.state.trouble.emit(tr("choose a step in the table first"))
            return None
        return at

    def _move(self, by: int) -> None:
        at = self._at()
        if at is not None and 0 <= at + by < len(self.shelf.steps):
            steps = list(self.shelf.steps)
            steps[at], steps[at + by] = steps[at + by], steps[at]
            self._save(tuple(steps))
            self.table.setCurrentCell(at + by, 0)

    def _remove(self) -> None:
        at = self._at()
        if at is not None:
            self._save((*self.shelf.steps[:at], *self.shelf.steps[at + 1 :]))

    def _sweep(self) -> None:
        at = self._at()
        if at is None:
            return
        what, ok = QInputDialog.getItem(self, tr("Make a sweep"), tr("What is varied:"), list(_swept()), 0, False)
        if ok:
            values, ok = QInputDialog.getText(
                self, tr("Make a sweep"), tr("{what}, one value for each step:", what=what), text="40, 55, 70, 85, 100"
            )
            if ok:
                self.make_sweep(at, _swept()[what], values)

    def make_sweep(self, at: int, what: str, values: str) -> None:
        """Put a sweep in the place of a step."""
        try:
            numbers = [float(v) for v in values.replace(";", ",").split(",") if v.strip()]
            made = sweep(self.shelf.steps[at], what, numbers)
        except ValueError:
            self.state.trouble.emit(tr("“{values}” are no numbers; write them with commas between", values=values))
            return
        except BenchError as error:
            self.state.trouble.emit(str(error))
            return
        self._save((*self.shelf.steps[:at], *made, *self.shelf.steps[at + 1 :]))

    def _chosen(self) -> None:
        self.change(say("take another protocol"), protocol_id=self.which.currentData())

    def _keep_as(self) -> None:
        name, ok = QInputDialog.getText(
            self, tr("Keep the protocol as"), tr("Its name:"), text=tr("the same tests as last spring")
        )
        if ok:
            self.keep_as(name)

    def keep_as(self, name: str) -> None:
        """Keep the steps under another name and take that for the study."""
        kept = self.edit(planedits.keep_protocol, name, self.shelf.steps, self._limits())
        if isinstance(kept, int):
            self.change(say("take another protocol"), protocol_id=kept)

    def _bin(self) -> None:
        protocol = self.shelf.protocol
        if protocol is None:
            self.state.trouble.emit(tr("the built-in protocol stays; keep it under another name to change it"))
            return
        self.change(say("take the usual protocol"), protocol_id=None)
        self.edit(edits.to_bin, Protocol, protocol.id, say("the protocol {name}", name=protocol.name))
