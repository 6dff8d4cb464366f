"""The bench: the loop in order, its instruments with their accuracy, and where each probe sits."""

from __future__ import annotations

import math
from collections.abc import Callable
from pathlib import Path
from typing import Any

from PySide6.QtCore import Signal
from PySide6.QtWidgets import QInputDialog

from kuffin.app.desks.plan.page import Page
from kuffin.app.desks.shelf.thiscomputer import ThisComputer
from kuffin.app.desks.shelf.wallpower import WallPowerRow
from kuffin.app.look.theme import Theme
from kuffin.app.shelfstate import ShelfState
from kuffin.app.state import State
from kuffin.app.widgets.bits import text
from kuffin.app.widgets.forms import WritingTable, button, choice, refill, row
from kuffin.app.widgets.loopring import LoopRing
from kuffin.core.loop import loop_volume_ml, metal_warnings
from kuffin.core.parts import KINDS
from kuffin.core.roles import ROLES
from kuffin.core.uncertainty import Accuracy
from kuffin.notebook import shelf as edits
from kuffin.notebook.edits import change_study
from kuffin.notebook.entities import Bench, Instrument
from kuffin.verdicts.configurations import held_by
from kuffin.verdicts.words import number as figure

_IN_LOOP = {"block", "radiator", "pump", "reservoir", "tube", "fitting", "sensor"}
_UNITS = ("degC", "L/h", "kPa", "W", "rpm", "dBA", "%", "V", "A")
_SHOWN_UNIT = {"degC": "°C"}
_COLUMNS = (
    "instrument",
    "unit",
    "% of reading",
    "% of full scale",
    "full scale",
    "counts",
    "of",
    "calibrated",
    "offset",
    "± at",
)
_KEYS = (
    "name",
    "unit",
    "reading_percent",
    "full_scale_percent",
    "full_scale",
    "counts",
    "count_size",
    "calibrated_on",
    "offset",
)


class BenchPage(Page):
    """The page."""

    said = Signal(str)

    def __init__(
        self,
        state: State,
        shelf: ShelfState,
        theme: Theme,
        settings: Path | None = None,
        busy: Callable[[], bool] = lambda: False,
    ) -> None:
        super().__init__(state, shelf)
        self.live: ThisComputer | None = None
        self.which = choice([], "Bench")
        self.which.activated.connect(self._chosen)
        self.column.addWidget(
            row(
                text("Bench", wrap=False),
                self.which,
                button("Set up a bench …", self._ask_bench),
                button("Rename it …", self._ask_name),
            )
        )
        self.ring = LoopRing(theme)
        self.column.addWidget(self.ring)
        self._sums = text(style="muted")
        self.column.addWidget(self._sums)
        self.loop = WritingTable(
            ["part", "kind", "length, mm"], "The loop, in the direction of flow", self._loop_options, stretch=0
        )
        self.loop.written.connect(self._loop_written)
        self.column.addWidget(self.loop)
        self.column.addWidget(
            row(
                button("Add to the loop", self.add_place),
                button("Up", lambda: self._move(-1)),
                button("Down", lambda: self._move(1)),
                button("Take it out", self._take_out),
            )
        )
        self.heading("Instruments")
        self.instruments = WritingTable(_COLUMNS, "Instruments", self._instrument_options, stretch=0)
        self.instruments.written.connect(self._instrument_written)
        self.instruments.currentCellChanged.connect(lambda *_: self._show_probes())
        self.column.addWidget(self.instruments)
        self.column.addWidget(
            row(button("Add an instrument", self.add_instrument), button("Bin it", self._bin_instrument))
        )
        self._probe_title = text(style="heading")
        self.column.addWidget(self._probe_title)
        self.probes = WritingTable(
            ["tells", "where it sits", "channel in the logs"], "Probes", self._probe_options, stretch=1
        )
        self.probes.written.connect(self._probe_written)
        self.column.addWidget(self.probes)
        self._probe_buttons = row(button("Add a probe", self.add_probe), button("Remove it", self._remove_probe))
        self.column.addWidget(self._probe_buttons)
        self.column.addWidget(
            text(
                "Air counts at the radiator's intake: the room's middle is another channel, and often a kelvin cooler.",
                style="small",
            )
        )
        self.wall = WallPowerRow()
        self.wall.told.connect(self._tell_wall)
        self.wall.refused.connect(self.state.trouble)
        self.column.addWidget(self.wall)
        if settings is not None:
            self.heading("On this computer, live")
            self.live = ThisComputer(settings, state.jobs, busy)
            self.live.trouble.connect(state.trouble)
            self.live.said.connect(self.said)
            self.column.addWidget(self.live)
        self.column.addStretch(1)

    def _renew(self) -> None:
        self.stale = not self.isVisible()
        if self.state.notebook is not None and not self.stale:
            self.filling = True
            self.renew()
            self.filling = False

    def set_theme(self, theme: Theme) -> None:
        self.ring.set_theme(theme)

    # --- showing ---------------------------------------------------------------------------------------------------

    @property
    def bench(self) -> Bench | None:
        return self.shelf.bench

    def renew(self) -> None:
        bench = self.bench
        refill(
            self.which,
            [(b.name, b.id) for b in self.shelf.benches] or [("none yet", None)],
            bench.id if bench else None,
        )
        places = bench.loop if bench is not None else []
        self.ring.show_loop(
            [
                (p.part.kind, p.part.name, f"{p.settings['length_mm']:g} mm" if p.settings.get("length_mm") else "")
                for p in places
                if p.part is not None
            ]
        )
        self.loop.fill(
            [
                [
                    p.part.name if p.part else "",
                    p.part.kind if p.part else "",
                    f"{p.settings['length_mm']:g}" if p.settings.get("length_mm") else "",
                ]
                for p in places
            ],
            fixed=(1,),
        )
        self.loop.fit(8)
        self._say_sums(bench)
        found = bench.live_instruments if bench is not None else []
        self.instruments.fill([self._instrument_row(i) for i in found], fixed=(9,), data=[i.id for i in found])
        self.instruments.fit(6)
        if found and self.instruments.currentRow() < 0:
            self.instruments.setCurrentCell(0, 0)
        self._show_probes()
        self.wall.show_told(bench.settings if bench is not None else {})

    def _say_sums(self, bench: Bench | None) -> None:
        if bench is None or not bench.loop:
            self._sums.setText(
                "" if bench is not None else "Set up a bench: what the loop is made of, and what measures it."
            )
            return
        held = [h for p in bench.loop for h in held_by(p)]
        total, spread = loop_volume_ml(held)
        metals = {p.part.name: list(p.part.fields.get("metals") or []) for p in bench.loop if p.part is not None}
        warnings = metal_warnings(metals)
        guessed = ", ".join(h.name for h in held if h.guessed)
        said = f"It holds about {total:.0f} ± {spread:.0f} mL" + (f" (estimated: {guessed})" if guessed else "") + ". "
        self._sums.setText(said + " ".join(warnings))

    def _instrument_row(self, i: Instrument) -> list[str]:
        unit = _SHOWN_UNIT.get(i.unit, i.unit)
        at = {"degC": 30.0, "L/h": 200.0, "kPa": 40.0, "W": 200.0}.get(i.unit, i.full_scale or 100.0)
        accuracy = Accuracy(i.reading_percent, i.full_scale_percent, i.full_scale or 0.0, i.counts, i.count_size)
        half = accuracy.half_width(at)
        known = half > 0 and math.isfinite(half)
        shown = f"{figure(half, 2)} {'K' if i.unit == 'degC' else unit} at {at:g} {unit}" if known else "not said"
        full = "" if i.full_scale is None else f"{i.full_scale:g}"
        return [
            i.name,
            unit,
            f"{i.reading_percent:g}",
            f"{i.full_scale_percent:g}",
            full,
            f"{i.counts:g}",
            f"{i.count_size:g}",
            i.calibrated_on,
            f"{i.offset:g}",
            shown,
        ]

    def _instrument(self) -> Instrument | None:
        bench, at = self.bench, self.instruments.currentRow()
        found = bench.live_instruments if bench is not None else []
        return found[at] if 0 <= at < len(found) else None

    def _show_probes(self) -> None:
        instrument = self._instrument()
        for widget in (self._probe_title, self.probes, self._probe_buttons):
            widget.setVisible(instrument is not None)
        if instrument is not None:
            self._probe_title.setText(f"Probes of {instrument.name}")
            self.probes.fill([[(p.role or "").replace("_", " "), p.where, p.channel] for p in instrument.live_probes])
            self.probes.fit(6)

    # --- the bench itself ------------------------------------------------------------------------------------------

    def _chosen(self) -> None:
        if self.state.study is not None and isinstance(self.which.currentData(), int):
            self.edit(change_study, self.state.study.id, "take another bench", bench_id=self.which.currentData())

    def _ask_bench(self) -> None:
        name, ok = QInputDialog.getText(
            self, "Set up a bench", "Its name, such as the booth or the table it stands on:"
        )
        if ok:
            self.set_up(name)

    def set_up(self, name: str) -> None:
        """Set up a bench and take it for the study."""
        made = self.edit(edits.add_bench, name)
        if isinstance(made, int) and self.state.study is not None:
            self.edit(change_study, self.state.study.id, "take another bench", bench_id=made)

    def _ask_name(self) -> None:
        if self.bench is not None:
            name, ok = QInputDialog.getText(self, "Rename the bench", "Its name:", text=self.bench.name)
            if ok and name.strip():
                self.edit(edits.change_bench, self.bench.id, "rename the bench", name=name.strip())

    def _tell_wall(self, key: str, value: float | None) -> None:
        if self.bench is not None:
            kept = {k: v for k, v in {**self.bench.settings, key: value}.items() if v is not None}
            self.edit(edits.change_bench, self.bench.id, "tell what power at the wall holds", settings=kept)

    # --- the loop --------------------------------------------------------------------------------------------------

    def _parts(self) -> dict[str, int]:
        return {p.name: p.id for p in self.shelf.parts if p.kind in KINDS and KINDS[p.kind].slot in _IN_LOOP}

    def _loop_options(self, _at: int, column: int) -> list[str] | None:
        return list(self._parts()) if column == 0 else None

    def _now(self) -> list[tuple[int, dict[str, Any]]]:
        return [(p.part_id, dict(p.settings)) for p in self.bench.loop if p.part_id] if self.bench is not None else []

    def _set_loop(self, loop: list[tuple[int, dict[str, Any]]]) -> None:
        if self.bench is not None:
            self.edit(edits.set_loop, self.bench.id, loop)

    def add_place(self, name: str | None = None) -> None:
        """Add a part to the loop, at the end."""
        parts = self._parts()
        if self.bench is None:
            self.state.trouble.emit("set up a bench first")
        elif not parts:
            self.state.trouble.emit(
                "there is nothing on the shelf that belongs into a loop; add blocks, radiators, pumps or tubes there"
            )
        else:
            if name is None:
                name, ok = QInputDialog.getItem(
                    self, "Add to the loop", "A part from the shelf:", list(parts), 0, False
                )
                if not ok:
                    return
            self._set_loop([*self._now(), (parts[name], {})])

    def _loop_written(self, at: int, column: int, written: str) -> None:
        now = self._now()
        if column == 0 and written in self._parts():
            now[at] = (self._parts()[written], now[at][1])
        elif column == 2:
            try:
                length = float(written.replace(",", ".")) if written.strip() else None
            except ValueError:
                length = -1.0
            if length is not None and not 0 < length <= 20_000:
                self.state.trouble.emit(f"“{written}” is no length; give it in mm")
                self._renew()
                return
            now[at] = (now[at][0], {} if length is None else {"length_mm": length})
        self._set_loop(now)

    def _move(self, by: int) -> None:
        now, at = self._now(), self.loop.currentRow()
        if 0 <= at < len(now) and 0 <= at + by < len(now):
            now[at], now[at + by] = now[at + by], now[at]
            self._set_loop(now)
            self.loop.setCurrentCell(at + by, 0)

    def _take_out(self) -> None:
        now, at = self._now(), self.loop.currentRow()
        if 0 <= at < len(now):
            self._set_loop(now[:at] + now[at + 1 :])
        else:
            self.state.trouble.emit("choose a part of the loop in the table first")

    # --- instruments and probes ------------------------------------------------------------------------------------

    def _instrument_options(self, _at: int, column: int) -> list[str] | None:
        return [_SHOWN_UNIT.get(u, u) for u in _UNITS] if column == 1 else None

    def add_instrument(self) -> None:
        """Add an instrument, to be named and filled in."""
        if self.bench is None:
            self.state.trouble.emit("set up a bench first")
            return
        n = len(self.bench.live_instruments) + 1
        self.edit(edits.keep_instrument, self.bench.id, None, name=f"instrument {n}")

    def _instrument_written(self, at: int, column: int, written: str) -> None:
        instrument_id, bench = self.instruments.data_of(at), self.bench
        if bench is None or not isinstance(instrument_id, int):
            return
        key = _KEYS[column]
        old = next(i for i in bench.live_instruments if i.id == instrument_id)
        value: Any = written.strip()
        if key == "unit":
            value = next((u for u in _UNITS if _SHOWN_UNIT.get(u, u) == value), value)
        elif key not in {"name", "calibrated_on"}:
            try:
                value = float(value.replace(",", ".")) if value else (None if key == "full_scale" else 0.0)
            except ValueError:
                self.state.trouble.emit(f"“{written}” is no number")
                self._renew()
                return
        kept = {k: getattr(old, k) for k in _KEYS}
        self.edit(edits.keep_instrument, bench.id, instrument_id, **{**kept, key: value})
        self._renew()

    def _bin_instrument(self) -> None:
        instrument = self._instrument()
        if instrument is not None:
            self.edit(edits.bin_instrument, instrument.id)

    def _probe_options(self, _at: int, column: int) -> list[str] | None:
        return ["", *(r.replace("_", " ") for r in ROLES)] if column == 0 else None

    def add_probe(self) -> None:
        """Add a probe to the chosen instrument."""
        instrument = self._instrument()
        if instrument is not None:
            self.edit(edits.set_probes, instrument.id, [*self._probes(instrument), ("air_in", "radiator intake", "")])

    def _probes(self, instrument: Instrument) -> list[tuple[str | None, str, str]]:
        return [(p.role, p.where, p.channel) for p in instrument.live_probes]

    def _probe_written(self, at: int, column: int, written: str) -> None:
        instrument = self._instrument()
        if instrument is None:
            return
        now = [list(p) for p in self._probes(instrument)]
        now[at][column] = (written.strip().replace(" ", "_") or None) if column == 0 else written.strip()
        self.edit(edits.set_probes, instrument.id, [(p[0], str(p[1]), str(p[2])) for p in now])

    def _remove_probe(self) -> None:
        instrument, at = self._instrument(), self.probes.currentRow()
        if instrument is not None and 0 <= at < len(instrument.live_probes):
            now = self._probes(instrument)
            self.edit(edits.set_probes, instrument.id, now[:at] + now[at + 1 :])
