"""Pumps and loops: what a pump gives, the flow of any loop of the shelf's parts on it, and what it takes to reach a flow."""

from __future__ import annotations

import numpy as np
from PySide6.QtCore import Signal
from PySide6.QtWidgets import QHBoxLayout, QVBoxLayout, QWidget

from kuffin.app.desks.renewedpage import RenewedPage
from kuffin.app.desks.shelf.coolantchoice import CoolantChoice
from kuffin.app.desks.shelf.newreadings import NewReadings
from kuffin.app.look.theme import Theme
from kuffin.app.state.shelfstate import ShelfState
from kuffin.app.state.windowstate import State
from kuffin.app.widgets.curveplot import CurvePlot, DrawnCurve
from kuffin.app.widgets.forms import WritingTable, button, choice, flowing, number, refill
from kuffin.app.widgets.texts import text
from kuffin.core.base.errors import KuffinError
from kuffin.core.base.language import mark, tr
from kuffin.core.compare.pairwords import joined
from kuffin.core.flow.circuit import Branch, Circuit, names_of
from kuffin.core.flow.measured import Measured
from kuffin.notebook.entities import Curve
from kuffin.reading.shelfcurves import ShelfCurves, shelf_curves, usual_pump
from kuffin.said.flowwords import enough_words, flow_words, point_words, second_words

_PURPOSE = mark(
    "Pumps and loops put measured parts together: the flow of any loop, what a second block would cost, and which pump speed a flow "
    "needs. It takes a pump's curve, from its maker's sheet or measured, and the restriction of a part or two."
)
_AFTER, _BESIDE = mark("after the one above"), mark("beside the one above")
_STEPS = 40


class LoopPage(RenewedPage):
    """A loop to try things on; it begins as the bench's, and changes nothing there."""

    readings_wanted = Signal(int)
    new_wanted = Signal(int, str)

    def __init__(self, state: State, theme: Theme, behind: ShelfState) -> None:
        super().__init__(state, theme, tr(_PURPOSE))
        self._behind = behind
        self.rows: list[tuple[str, int, bool]] | None = None  # part, pieces, whether it stands beside the one above
        state.notebook_changed.connect(self._forget)
        self.found: ShelfCurves | None = None
        self.pump = choice([], tr("Pump"))
        self.pump.activated.connect(lambda _i: self.renew())
        self.speed = number(5, 120, "%", 0, 5, tr("Pump speed"))
        self.speed.setValue(100)
        self.speed.valueChanged.connect(lambda _v: self._show())
        self.wanted = number(1, 5000, "L/h", 0, 10, tr("Flow that is wanted"))
        self.wanted.setValue(150)
        self.wanted.valueChanged.connect(lambda _v: self._show())
        self.coolant = CoolantChoice()
        self.coolant.changed.connect(self.renew)
        self.new = NewReadings(self.new_wanted.emit)
        self.chooser = flowing(
            self.new,
            text(tr("pump"), style="muted", wrap=False),
            self.pump,
            text(tr("at"), style="muted", wrap=False),
            self.speed,
            text(tr("wanted"), style="muted", wrap=False),
            self.wanted,
            self.coolant,
        )
        self.table = WritingTable(
            [tr("part"), tr("pieces, in series"), tr("how it stands")], tr("The loop"), self._options, stretch=2
        )
        self.table.written.connect(self._written)
        self.buttons = flowing(
            button(tr("Add a part"), self._add),
            button(tr("Remove it"), self._remove),
            button(tr("As on the bench"), self._as_bench, tr("The parts of the bench's loop that have curves")),
        )
        self.said = text(style="heading")
        self.plot = CurvePlot(theme, tr("The loop's drop and the pump's head"), 290)
        self.by_speed = CurvePlot(theme, tr("Flow against pump speed"), 250)
        self.by_speed.moved.connect(self.speed.setValue)
        self.more = text()
        self.problems = text(style="warn")
        self.note = text(
            tr(
                "Intervals hold 95 %, from the readings and their instruments. A loop has more parts than those with curves: tubes, "
                "fittings and bends lower the flow further."
            ),
            style="small",
        )
        self.column.insertWidget(0, self.empty)
        self.loop = QWidget()
        beside = QVBoxLayout(self.loop)
        beside.setContentsMargins(0, 0, 0, 0)
        for widget in (self.table, self.buttons, self.more):
            beside.addWidget(widget)
        beside.addStretch(1)
        both = QHBoxLayout()
        both.addWidget(self.plot, 5)
        both.addWidget(self.loop, 4)
        self.column.addWidget(self.chooser)
        self.column.addWidget(self.said)
        self.column.addLayout(both)
        for widget in (self.by_speed, self.problems, self.note):
            self.column.addWidget(widget)

    def _forget(self) -> None:
        self.rows = None

    def set_theme(self, theme: Theme) -> None:
        super().set_theme(theme)
        self.plot.set_theme(theme)
        self.by_speed.set_theme(theme)

    # --- the loop --------------------------------------------------------------------------------------------------

    def _as_bench(self) -> None:
        self.rows = None
        self.renew()

    def _benchs(self, known: Measured) -> list[tuple[str, int, bool]]:
        bench = self._behind.bench
        names = [] if bench is None else [p.part.name for p in bench.loop if p.part is not None]
        there = [n for n in names if n in known.parts]
        return [(n, 1, False) for n in there] or [(n, 1, False) for n in list(known.parts)[:1]]

    def circuit(self) -> Circuit:
        """The loop as it stands in the table."""
        stages: list[list[Branch]] = []
        for name, count, beside in self.rows or []:
            if beside and stages:
                stages[-1].append(Branch(name, count))
            else:
                stages.append([Branch(name, count)])
        return tuple(tuple(s) for s in stages)

    def _options(self, at: int, column: int) -> list[str] | None:
        if column == 0:
            return [] if self.found is None else list(self.found.measured.parts)
        return None if column == 1 else [tr(_AFTER)] if at == 0 else [tr(_AFTER), tr(_BESIDE)]

    def _written(self, at: int, column: int, content: str) -> None:
        rows = list(self.rows or [])
        name, count, beside = rows[at]
        if column == 0 and self.found is not None and content in self.found.measured.parts:
            name = content
        elif column == 1:
            if not content.strip().isdigit() or not 1 <= int(content) <= 20:
                self.state.trouble.emit(tr("“{content}” is no number of pieces; write 1 to 20", content=content))
            else:
                count = int(content)
        elif column == 2:
            beside = content == tr(_BESIDE) and at > 0
        rows[at] = (name, count, beside)
        self.rows = rows
        self._show()

    def _add(self) -> None:
        if self.found is not None and self.found.measured.parts:
            self.rows = [*(self.rows or []), (next(iter(self.found.measured.parts)), 1, False)]
            self._show()

    def _remove(self) -> None:
        at = self.table.currentRow()
        if self.rows and len(self.rows) > 1 and at >= 0:
            self.rows = [*self.rows[:at], *self.rows[at + 1 :]]
            self._show()

    # --- showing ---------------------------------------------------------------------------------------------------

    def _pump_curve(self) -> Curve | None:
        chosen = self.pump.currentData()
        return next((c for c in usual_pump(self._behind.parts) if c.id == chosen), None)

    def renew(self) -> None:
        parts = self._behind.parts
        self.new.offer(parts)
        self.coolant.offer(parts)
        pumps = usual_pump(parts)
        refill(self.pump, [(c.part.name, c.id) for c in pumps], self.pump.currentData())
        self.found = shelf_curves(parts, self.coolant.state(), self._pump_curve())
        known = self.found.measured
        if self.rows is None or any(name not in known.parts for name, _, _ in self.rows):
            self.rows = self._benchs(known)
        self._show()

    def _show(self) -> None:
        if self.found is None:
            return
        known, rows = self.found.measured, self.rows or []
        ready = known.pump is not None and bool(rows)
        self.empty.setVisible(not ready)
        for widget in (self.plot, self.loop, self.said, self.by_speed, self.note):
            widget.setVisible(ready)
        problems = [f"{n}: {why}." for n, why in (*self.found.problems.items(), *self.found.notes.items())]
        self.problems.setText("\n".join(problems))
        self.problems.setVisible(bool(problems))
        if not ready:
            lacking = [
                w
                for w, there in (
                    (tr("a pump's curve"), known.pump is not None),
                    (tr("a part's restriction"), bool(rows)),
                )
                if not there
            ]
            self.empty.setText(tr("{PURPOSE} Missing: {lacking}.", PURPOSE=tr(_PURPOSE), lacking=joined(lacking)))
            return
        self.table.fill(
            [
                [name, str(count), tr(_BESIDE) if beside else tr(_AFTER) if i else "first"]
                for i, (name, count, beside) in enumerate(rows)
            ]
        )
        self.table.fit(6)
        try:
            self._show_loop(known, self.circuit(), self.speed.value() / 100)
        except KuffinError as error:
            self.said.setText(f"{error}")

    def _show_loop(self, known: Measured, circuit: Circuit, speed: float) -> None:
        assert known.pump is not None
        point = known.point(circuit, speed)
        said = point_words(known, circuit, speed)
        self.said.setText(said)
        told = [enough_words(known, circuit, self.wanted.value())]
        told += [second_words(known, circuit, name, speed) for name in names_of(circuit)]
        self.more.setText("\n".join(told))
        most = min(1.25 * point.flow.high, float(np.sqrt(known.pump.h / known.pump.k)) * speed)
        flows = np.linspace(0.0, max(most, 1.2 * point.flow.high), _STEPS)
        drops = [known.loop_drop(circuit, float(q)) for q in flows]
        heads = [known.head(float(q), speed) for q in flows]
        pump_low, pump_high = (speed * q for q in known.pump.measured)
        lows, highs = zip(*(known.parts[n].measured for n in names_of(circuit)), strict=True)
        own = [h for h in heads if h.value >= 0]
        self.plot.show_curves(
            [
                DrawnCurve(
                    name=tr("loop"),
                    xs=list(flows),
                    ys=[d.value for d in drops],
                    low=[max(d.low, 0.0) for d in drops],
                    high=[d.high for d in drops],
                    solid=(max(lows), min(highs)),
                ),
                DrawnCurve(
                    name=tr("pump"),
                    other=True,
                    xs=list(flows[: len(own)]),
                    ys=[h.value for h in own],
                    low=[max(h.low, 0.0) for h in own],
                    high=[h.high for h in own],
                    solid=(pump_low, pump_high),
                ),
            ],
            tr("flow, L/h"),
            tr("pressure, kPa"),
            crosses=[(point.flow.value, point.head, flow_words(point.flow))],
            spoken=said,
            from_nothing=True,
        )
        speeds = np.linspace(0.1, 1.0, 19)
        points = [known.point(circuit, float(s)) for s in speeds]
        inside = [100 * float(s) for s, p in zip(speeds, points, strict=True) if not p.beyond]
        self.by_speed.show_curves(
            [
                DrawnCurve(
                    name="",
                    xs=[100 * float(s) for s in speeds],
                    ys=[p.flow.value for p in points],
                    low=[p.flow.low for p in points],
                    high=[p.flow.high for p in points],
                    solid=(min(inside), max(inside)) if inside else (0.0, 0.0),
                )
            ],
            tr("pump speed, %"),
            tr("flow of this loop, L/h"),
            line=100 * speed,
            from_nothing=True,
        )
