"""The bench: the loop in order, its instruments with their accuracy, and where each probe sits."""

from __future__ import annotations

from collections.abc import Callable
from pathlib import Path

from PySide6.QtCore import Signal
from PySide6.QtWidgets import QInputDialog

from kuffin.app.desks.plan.page import Page
from kuffin.app.desks.shelf.measuring import Measuring
from kuffin.app.desks.shelf.soundsetup import SoundSetup
from kuffin.app.desks.shelf.thiscomputer import ThisComputer
from kuffin.app.desks.shelf.wallpower import WallPowerRow
from kuffin.app.look.theme import Theme
from kuffin.app.state.shelfstate import ShelfState
from kuffin.app.state.windowstate import State
from kuffin.app.widgets.forms import WritingTable, button, choice, refill, row
from kuffin.app.widgets.loopring import LoopRing
from kuffin.app.widgets.texts import text
from kuffin.core.base.language import tr
from kuffin.core.base.numbers import plain, typed_number
from kuffin.core.base.saying import say
from kuffin.core.bench.devices import USUAL_DEVICES
from kuffin.core.bench.parts import KINDS
from kuffin.core.prepare.fill import loop_volume_ml, metal_warnings
from kuffin.notebook import shelf as edits
from kuffin.notebook.edits import change_study
from kuffin.notebook.entities import Bench
from kuffin.reading.configurations import held_by

_IN_LOOP = {"block", "radiator", "pump", "reservoir", "tube", "fitting", "sensor"}


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
        self.which = choice([], tr("Bench"))
        self.which.activated.connect(self._chosen)
        self.column.addWidget(
            row(
                text(tr("Bench"), wrap=False),
                self.which,
                button(tr("Set up a bench …"), self._ask_bench),
                button(tr("Rename it …"), self._ask_name),
            )
        )
        self.ring = LoopRing(theme)
        self.column.addWidget(self.ring)
        self.sums = text(style="muted")
        self.column.addWidget(self.sums)
        self.loop = WritingTable(
            [tr("part"), tr("kind"), tr("length, mm"), tr("cools")],
            tr("The loop, in the direction of flow"),
            self._loop_options,
            stretch=0,
        )
        self.loop.written.connect(self._loop_written)
        self.column.addWidget(self.loop)
        self.column.addWidget(
            row(
                button(tr("Add to the loop"), self.add_place),
                button(tr("Up"), lambda: self._move(-1)),
                button(tr("Down"), lambda: self._move(1)),
                button(tr("Take it out"), self._take_out),
            )
        )
        self.heading(tr("Instruments"))
        self.measuring = Measuring(self.edit, self.state.trouble)
        self.column.addWidget(self.measuring)
        self.column.addWidget(
            text(
                tr(
                    "Air counts at the radiator's intake: the room's middle is another channel, and "
                    "often a kelvin cooler."
                ),
                style="small",
            )
        )
        self.wall = WallPowerRow()
        self.wall.told.connect(self._tell_wall)
        self.wall.refused.connect(self.state.trouble)
        self.column.addWidget(self.wall)
        self.heading(tr("Sound"))
        self.sound = SoundSetup(state, self.edit)
        self.sound.refused.connect(state.trouble)
        self.column.addWidget(self.sound)
        if settings is not None:
            self.heading(tr("On this computer, live"))
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
            [(b.name, b.id) for b in self.shelf.benches] or [(tr("none yet"), None)],
            bench.id if bench else None,
        )
        places = bench.loop if bench is not None else []
        self.ring.show_loop(
            [
                (
                    p.part.kind if p.part is not None and not p.device else "",
                    p.part.name if p.part is not None else p.device or "?",
                    f"{plain(p.settings['length_mm'])} mm"
                    if p.settings.get("length_mm")
                    else tr("cools the {device}", device=p.device)
                    if p.device
                    else "",
                )
                for p in places
            ]
        )
        self.loop.fill(
            [
                [
                    p.part.name if p.part else "",
                    tr(p.part.kind) if p.part else "",
                    plain(p.settings["length_mm"]) if p.settings.get("length_mm") else "",
                    p.device or "",
                ]
                for p in places
            ],
            fixed=(1,),
        )
        self.loop.fit(16)
        self._say_sums(bench)
        self.measuring.show_bench(bench)
        self.sound.show_bench(bench)
        self.wall.show_told(bench.settings if bench is not None else {})

    def _say_sums(self, bench: Bench | None) -> None:
        if bench is None or not bench.loop:
            self.sums.setText(
                "" if bench is not None else tr("Set up a bench: what the loop is made of, and what measures it.")
            )
            return
        held = [h for p in bench.loop for h in held_by(p)]
        total, spread = loop_volume_ml(held)
        metals = {p.part.name: list(p.part.fields.get("metals") or []) for p in bench.loop if p.part is not None}
        warnings = metal_warnings(metals)
        guessed = ", ".join(h.name for h in held if h.guessed)
        if not held:
            self.sums.setText(tr("Which parts stand in the loop is not told yet."))
            return
        said = (
            tr("It holds about {total:.0f} ± {spread:.0f} mL", total=total, spread=spread)
            + (tr(" (estimated: {guessed})", guessed=guessed) if guessed else "")
            + ". "
        )
        self.sums.setText(said + " ".join(w[:1].upper() + w[1:] for w in warnings))

    # --- the bench itself ------------------------------------------------------------------------------------------

    def _chosen(self) -> None:
        if self.state.study is not None and isinstance(self.which.currentData(), int):
            self.edit(change_study, self.state.study.id, say("take another bench"), bench_id=self.which.currentData())

    def _ask_bench(self) -> None:
        name, ok = QInputDialog.getText(
            self, tr("Set up a bench"), tr("Its name, such as the booth or the table it stands on:")
        )
        if ok:
            self.set_up(name)

    def set_up(self, name: str) -> None:
        """Set up a bench and take it for the study."""
        made = self.edit(edits.add_bench, name)
        if isinstance(made, int) and self.state.study is not None:
            self.edit(change_study, self.state.study.id, say("take another bench"), bench_id=made)

    def _ask_name(self) -> None:
        if self.bench is not None:
            name, ok = QInputDialog.getText(self, tr("Rename the bench"), tr("Its name:"), text=self.bench.name)
            if ok and name.strip():
                self.edit(edits.change_bench, self.bench.id, say("rename the bench"), name=name.strip())

    def _tell_wall(self, key: str, value: float | None) -> None:
        if self.bench is not None:
            kept = {k: v for k, v in {**self.bench.settings, key: value}.items() if v is not None}
            self.edit(edits.change_bench, self.bench.id, say("tell what power at the wall holds"), settings=kept)

    # --- the loop --------------------------------------------------------------------------------------------------

    def _parts(self) -> dict[str, int]:
        return {p.name: p.id for p in self.shelf.parts if p.kind in KINDS and KINDS[p.kind].slot in _IN_LOOP}

    def _loop_options(self, _at: int, column: int) -> list[str] | None:
        return {0: list(self._parts()), 3: ["", *USUAL_DEVICES]}.get(column)

    def _now(self) -> list[edits.LoopPlace]:
        loop = self.bench.loop if self.bench is not None else []
        return [edits.LoopPlace(p.part_id, dict(p.settings), p.device) for p in loop]

    def _set_loop(self, loop: list[edits.LoopPlace]) -> None:
        if self.bench is not None:
            self.edit(edits.set_loop, self.bench.id, loop)

    def add_place(self, name: str | None = None) -> None:
        """Add a part to the loop, at the end."""
        parts = self._parts()
        if self.bench is None:
            self.state.trouble.emit(tr("set up a bench first"))
        elif not parts:
            self.state.trouble.emit(
                tr(
                    "there is nothing on the shelf that belongs into a loop; add blocks, radiators, "
                    "pumps or tubes there"
                )
            )
        else:
            if name is None:
                name, ok = QInputDialog.getItem(
                    self, tr("Add to the loop"), tr("A part from the shelf:"), list(parts), 0, False
                )
                if not ok:
                    return
            self._set_loop([*self._now(), edits.LoopPlace(parts[name], {})])

    def _loop_written(self, at: int, column: int, written: str) -> None:
        now = self._now()
        if column == 0 and written in self._parts():
            now[at] = now[at]._replace(part_id=self._parts()[written])
        elif column == 2:
            try:
                length = typed_number(written) if written.strip() else None
            except ValueError:
                length = -1.0
            if length is not None and not 0 < length <= 20_000:
                self.state.trouble.emit(tr("“{written}” is no length; give it in mm", written=written))
                self._renew()
                return
            now[at] = now[at]._replace(settings={} if length is None else {"length_mm": length})
        elif column == 3:
            now[at] = now[at]._replace(device=" ".join(written.split()) or None)
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
            self.state.trouble.emit(tr("choose a part of the loop in the table first"))
