"""What parts restrict: drop against flow, with bands; parts at a reference flow and over all flows, in words."""

from __future__ import annotations

import itertools
from collections.abc import Sequence

import numpy as np
from PySide6.QtCore import Signal
from PySide6.QtWidgets import QCheckBox

from kuffin.app.desks.renewedpage import RenewedPage
from kuffin.app.desks.shelf.coolantchoice import CoolantChoice
from kuffin.app.desks.shelf.newreadings import NewReadings
from kuffin.app.look.theme import Theme
from kuffin.app.state.shelfstate import ShelfState
from kuffin.app.state.windowstate import State
from kuffin.app.widgets.curveplot import CurvePlot, DrawnCurve
from kuffin.app.widgets.figuretable import FigureTable
from kuffin.app.widgets.flowrow import FlowRow
from kuffin.app.widgets.forms import flowing, number
from kuffin.app.widgets.texts import empty, no_keys, text
from kuffin.core.base.language import mark, tr
from kuffin.core.base.numbers import number as figure
from kuffin.core.flow.measured import Measured
from kuffin.reading.shelfcurves import ShelfCurves, shelf_curves, usual_pump, with_and_without
from kuffin.said.flowwords import along_words, drop_words, ranking_words, without_gauge_words

_PURPOSE = mark(
    "Restriction shows what pressure each part costs at any flow. Type or paste pairs of flow and pressure drop for a block or a "
    "radiator, take them from a log, or read them live while you close a valve step by step."
)
_STEPS = 48
_MOST_PAIRS = 6  # told one by one over all flows


class RestrictionPage(RenewedPage):
    """Nothing is edited here; each row leads to its readings."""

    readings_wanted = Signal(int)
    new_wanted = Signal(int, str)

    def __init__(self, state: State, theme: Theme, behind: ShelfState) -> None:
        super().__init__(state, theme, tr(_PURPOSE))
        self._behind = behind
        self._off: set[str] = set()  # parts that are not drawn
        self.found: ShelfCurves | None = None
        self.flow = number(1, 5000, "L/h", 0, 10, tr("Reference flow"))
        self.flow.setValue(150)
        self.flow.valueChanged.connect(lambda _v: self._read_off())
        self.coolant = CoolantChoice()
        self.coolant.changed.connect(self.renew)
        self.new = NewReadings(self.new_wanted.emit, lambda k: not k.of_pump)
        self.column.addWidget(flowing(self.new, text(tr("at"), style="muted", wrap=False), self.flow, self.coolant))
        self.column.insertWidget(0, self.empty)
        self.parts = FlowRow()
        self.column.addLayout(self.parts)
        self.plot = CurvePlot(theme, tr("Pressure drop against flow"), 330)
        self.plot.opened.connect(lambda curve_id, _i: self.readings_wanted.emit(curve_id))
        self.plot.moved.connect(self.flow.setValue)
        self.said = text(style="heading")
        self.table = FigureTable(tr("Drops at the reference flow"))
        self.along = text()
        self.problems = text(style="warn")
        self.gauge_title = text(tr("Without a pressure gauge"), style="heading")
        self.gauge = text()
        self.note = text(
            tr(
                "Bands hold 95 %, the instruments' accuracy in them; dashed is beyond what was measured. Differences hold 95 % over all pairs "
                "together; what the same instruments have in common cancels in them."
            ),
            style="small",
        )
        for widget in (
            self.plot,
            self.said,
            self.table,
            self.along,
            self.problems,
            self.gauge_title,
            self.gauge,
            self.note,
        ):
            self.column.addWidget(widget)

    def set_theme(self, theme: Theme) -> None:
        super().set_theme(theme)
        self.plot.set_theme(theme)

    def renew(self) -> None:
        parts = self._behind.parts
        self.new.offer(parts)
        self.coolant.offer(parts)
        self.found = shelf_curves(parts, self.coolant.state())
        pumps = usual_pump(parts)
        told, lacking = with_and_without(parts, pumps[0] if len(pumps) == 1 else None)
        there = bool(self.found.curves)
        self.empty.setVisible(not (there or told))
        for widget in (self.plot, self.said, self.table, self.along, self.coolant, self.flow, self.note):
            widget.setVisible(there)
        self.gauge_title.setVisible(bool(told))
        self.gauge.setVisible(bool(told))
        self.gauge.setText("\n".join(without_gauge_words(told)))
        problems = {**self.found.problems, **lacking}
        self.problems.setText("\n".join(f"{n}: {why}." for n, why in problems.items()))
        self.problems.setVisible(bool(problems))
        self._offer_parts()
        self._draw()

    def _offer_parts(self) -> None:
        assert self.found is not None
        empty(self.parts)
        for name in self.found.measured.parts:
            box = QCheckBox(no_keys(name))
            box.setChecked(name not in self._off)
            box.toggled.connect(lambda on, n=name: self._switch(n, on))
            self.parts.addWidget(box)

    def _switch(self, name: str, on: bool) -> None:
        self._off = self._off - {name} if on else self._off | {name}
        self._draw()

    def _shown(self) -> Measured:
        """The parts that are drawn."""
        assert self.found is not None
        whole = self.found.measured
        kept = {n: p for n, p in whole.parts.items() if n not in self._off}
        return Measured(parts=kept, common=whole.common, draws=whole.draws, offsets=whole.offsets)

    def _draw(self) -> None:
        assert self.found is not None
        whole, shown = self.found.measured, self._shown()
        most = max((p.measured[1] for p in shown.parts.values()), default=100.0)
        flows = np.linspace(0.0, 1.08 * most, _STEPS)
        curves = []
        places = self._places(list(whole.parts))
        for name, part in whole.parts.items():
            if name not in shown.parts:
                continue
            drops = [whole.drop(name, float(q)) for q in flows]
            curves.append(
                DrawnCurve(
                    name=name,
                    place=places[name],
                    xs=list(flows),
                    ys=[d.value for d in drops],
                    low=[d.low for d in drops],
                    high=[d.high for d in drops],
                    points=list(zip(part.flow, part.drop, strict=True)),
                    odd=part.standing_off,
                    solid=part.measured,
                    behind=self.found.curves[name].id,
                )
            )
        self._curves = curves
        pairs = list(itertools.combinations(shown.parts, 2))
        self.along.setText("\n".join(along_words(shown, a, b, len(pairs)) for a, b in pairs[:_MOST_PAIRS]))
        self._read_off()

    def _places(self, names: Sequence[str]) -> dict[str, int]:
        """Each part's colour and shape: a candidate of the study on the desk keeps its own, the others take those that are left."""
        study = self.state.study
        candidates = [] if study is None else [c.name for c in study.live_candidates]
        free = iter(range(len(candidates), len(candidates) + len(names)))
        return {n: candidates.index(n) if n in candidates else next(free) for n in names}

    def _read_off(self) -> None:
        if self.found is None or not self.isVisibleTo(self.window()):
            return
        shown, flow = self._shown(), self.flow.value()
        said = ranking_words(shown, flow)
        self.plot.show_curves(
            self._curves, tr("flow, L/h"), tr("pressure drop of one, kPa"), line=flow, spoken=said, from_nothing=True
        )
        self.said.setText(said)
        ids = []
        rows = []
        for name, part in sorted(shown.parts.items(), key=lambda x: x[1].at(flow)):
            curve = self.found.curves[name]
            low, high = part.measured
            ids.append(curve.id)
            rows.append(
                (
                    name,
                    drop_words(shown.drop(name, flow)),
                    f"{figure(part.a, 4)}·q + {figure(1e4 * part.b, 3)}·10⁻⁴·q²",
                    tr("{size} at {low:.0f} to {high:.0f} L/h", size=part.flow.size, low=low, high=high),
                    self.found.notes.get(name, "")
                    or (curve.source if curve.source != "measured" else curve.measured_on),
                )
            )
        self.table.show_rows(
            (tr("part"), tr("drop at {flow:.0f} L/h", flow=flow), tr("drop, kPa, of q in L/h"), tr("read"), ""),
            rows,
            words=True,
            left={3},
            opens={1: lambda i: self.readings_wanted.emit(ids[i])},
        )
