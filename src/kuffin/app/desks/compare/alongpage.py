"""A sweep on Compare: any outcome along a speed, a flow, a level or a power; a line that one drags reads all candidates off."""

from __future__ import annotations

from collections.abc import Sequence

import numpy as np

from kuffin.app.desks.renewedpage import RenewedPage
from kuffin.app.look.theme import Theme
from kuffin.app.state.windowstate import State
from kuffin.app.widgets.curveplot import CurvePlot, DrawnCurve
from kuffin.app.widgets.figuretable import FigureTable
from kuffin.app.widgets.forms import choice, flowing, number, refill
from kuffin.app.widgets.texts import text
from kuffin.core.base.errors import KuffinError
from kuffin.core.base.language import counted, mark, tr
from kuffin.core.base.numbers import begun
from kuffin.core.bench.sweepaxes import SWEEP_AXES
from kuffin.core.heat.normalise import School
from kuffin.said.alongwords import (
    along_working,
    mean_words,
    needed_words,
    quietest_words,
    ranking_words,
    there_words,
    unbeaten_rows,
)
from kuffin.said.comparisonwords import title
from kuffin.verdict.along import AlongRange, ReadThere, Sweep, along_range, needed_there, read_there, sweep_of
from kuffin.verdict.chosenoutcomes import outcome_named
from kuffin.verdict.grid import Cell, cell_result
from kuffin.verdict.study import StudyVerdict
from kuffin.verdict.unbeatensettings import settings_of

_PURPOSE = mark(
    "Sweep sets an outcome against fan speed, pump speed, flow, power or loudness. It needs mounts that were tested at three "
    "settings or more: let the protocol sweep one (Plan · Protocol), or type readings for each setting."
)


def _labels(v: StudyVerdict) -> dict[str, str]:
    """What each mount is called, by its number."""
    return {str(m.id): tr("{n}, round {round}", n=n, round=m.round) for n, m in v.evidence.mounts}


class AlongPage(RenewedPage):
    """Nothing is edited here; what is chosen is kept while the notebook is open."""

    def __init__(self, state: State, theme: Theme) -> None:
        super().__init__(state, theme, tr(_PURPOSE))
        self.outcome = choice([], tr("What is compared"))
        self.axis = choice([], tr("Along what"))
        for box in (self.outcome, self.axis):
            box.activated.connect(lambda _i: self._chosen())
        self.at = number(0, 1e5, "", 1, 1, tr("Place where candidates are read off"))
        self.at.valueChanged.connect(lambda _v: self._read_off())
        self.wanted = number(-1e5, 1e5, "", 1, 0.5, tr("Value that is wanted"))
        self.wanted.valueChanged.connect(lambda _v: self._need())
        self.column.addWidget(
            flowing(
                self.outcome,
                text(tr("along"), style="muted", wrap=False),
                self.axis,
                text(tr("read off at"), style="muted", wrap=False),
                self.at,
            )
        )
        self.heading = text(style="heading")
        self.plot = CurvePlot(theme, tr("Outcome along the sweep"), 330)
        self.plot.opened.connect(lambda name, _i: self._explain(name))
        self.plot.moved.connect(self.at.setValue)
        self.table = FigureTable(tr("Candidates at that place"))
        self.there = text()
        self.ranking_title = text(tr("Along the whole range"), style="heading")
        self.ranking = text()
        self.takes_title = text(tr("What it takes"), style="heading")
        self.takes_row = flowing(text(tr("for"), style="muted", wrap=False), self.wanted)
        self.takes = text()
        self.quietest = text()
        self.beaten_title = text(tr("Settings, and what beats them"), style="heading")
        self.beaten = FigureTable(tr("Settings, and what beats them"))
        self.lacking = text(style="muted")
        self.note = text(
            tr(
                "Small marks and thin lines are mounts, each with its own curve; bands are candidates’ means with their interval. A curve is read "
                "no further than a tenth (3 dB) outside its sweep. What a meter is off by in all mounts cancels between candidates, and is not in it."
            ),
            style="small",
        )
        for widget in (
            self.heading,
            self.plot,
            self.table,
            self.there,
            self.ranking_title,
            self.ranking,
            self.takes_title,
            self.takes_row,
            self.takes,
            self.quietest,
            self.beaten_title,
            self.beaten,
            self.lacking,
            self.note,
        ):
            self.column.addWidget(widget)
        self.sweep: Sweep | None = None
        self.range: AlongRange | None = None
        self.read: ReadThere | None = None

    def set_theme(self, theme: Theme) -> None:
        super().set_theme(theme)
        self.plot.set_theme(theme)

    # --- choosing --------------------------------------------------------------------------------------------------

    def renew(self) -> None:
        v = self.state.verdict
        axes = v.sweep_axes if v is not None else []
        if v is None or not axes:
            self.sweep = None
            self.show_purpose(tr(_PURPOSE))
            return
        self.show_purpose("")
        refill(self.axis, [(a.words, a.key) for a in axes], self.axis.currentData() or axes[0].key)
        outcomes = [(begun(tr(o.label)), o.key) for o in v.possible_outcomes if not o.of_run]
        refill(self.outcome, outcomes, self.outcome.currentData() or v.outcome.key)
        self._draw(v)

    def _chosen(self) -> None:
        if self.state.verdict is not None:
            self._draw(self.state.verdict)

    def _draw(self, v: StudyVerdict) -> None:
        axis = SWEEP_AXES[self.axis.currentData()]
        outcome = outcome_named(v.evidence, self.outcome.currentData()) or v.outcome
        before = None if self.sweep is None else (self.sweep.axis.key, self.sweep.outcome.key)
        content = (
            self.plot,
            self.table,
            self.there,
            self.ranking,
            self.ranking_title,
            self.takes,
            self.takes_title,
            self.takes_row,
            self.quietest,
            self.beaten,
            self.beaten_title,
        )
        try:
            if outcome.role and outcome.role == axis.role:
                raise KuffinError(
                    tr(
                        "{label} along itself says nothing; choose another outcome, or go along something else",
                        label=tr(outcome.label),
                    )
                )
            self.sweep = sweep_of(v, axis, outcome)
            self.range = along_range(v, self.sweep)
        except KuffinError as error:
            self.sweep = None
            self.heading.setText(f"{str(error)[:1].upper()}{str(error)[1:]}.")
            for widget in content:
                widget.hide()
            return
        for widget in content:
            widget.show()
        unit = title(v, outcome) if isinstance(outcome, School) else outcome.label
        self._y = f"{unit}, {outcome.unit}" if outcome.unit and outcome.unit not in unit else unit
        low, high = self.sweep.common if self.sweep.common[0] < self.sweep.common[1] else self.sweep.span
        decimals = 1 if axis.way == "level" else 0
        for box, suffix, digits in ((self.at, axis.unit, decimals), (self.wanted, outcome.unit, 1)):
            box.blockSignals(True)
            box.setDecimals(digits)
            box.setSuffix(f" {suffix}" if suffix else "")
            box.blockSignals(False)
        if before != (axis.key, outcome.key) or not self.sweep.span[0] <= self.at.value() <= self.sweep.span[1]:
            middle = (low + high) / 2
            self._put(self.at, round(middle, decimals))
            every = np.concatenate([s.y for s in self.sweep.swept])
            self._put(self.wanted, round(float(np.median(every)), 1))
        self.ranking.setText("\n".join(ranking_words(self.sweep, self.range)))
        self._quietest(v, low)
        self.beaten_title.setVisible(axis.is_cost)
        self.beaten.setVisible(axis.is_cost)
        rows = unbeaten_rows(self.sweep, settings_of(self.sweep, v.evidence.margin_of(outcome, self.wanted.value())))
        self.beaten.show_rows((tr("setting"), axis.label, tr("it gives"), tr("what beats it")), rows, words=True)
        lacking = [f"{where}: {why}" for where, why in self.sweep.left_out.items()]
        self.lacking.setText(tr("Not in it: {lacking}.", lacking="; ".join(lacking)) if lacking else "")
        self.lacking.setVisible(bool(lacking))
        self._read_off()
        self._need()

    @staticmethod
    def _put(box: object, value: float) -> None:
        box.blockSignals(True)  # type: ignore[attr-defined]
        box.setValue(value)  # type: ignore[attr-defined]
        box.blockSignals(False)  # type: ignore[attr-defined]

    def _quietest(self, v: StudyVerdict, low: float) -> None:
        assert self.sweep is not None
        self.quietest.setVisible(self.sweep.axis.key == "sound")
        if self.sweep.axis.key == "sound":
            self.quietest.setText(quietest_words(self.sweep, read_there(v, self.sweep, low)))

    # --- reading off -----------------------------------------------------------------------------------------------

    def _read_off(self) -> None:
        v, sweep = self.state.verdict, self.sweep
        if v is None or sweep is None or self.range is None:
            return
        self.read = read_there(v, sweep, self.at.value(), self.range.places[0].curves)
        said = there_words(sweep, self.read)
        self.heading.setText(said[0] if said else "")
        self.there.setText("\n".join([*said[1:], self._own_point(v, sweep)]).strip())
        curves = [*self._mount_curves(sweep), *self._candidate_curves(v, sweep, self.range)]
        self.plot.show_curves(curves, sweep.axis.words, self._y, line=self.at.value(), spoken=" ".join(said))
        found = self.read.comparison
        rows: list[Sequence[str]] = []
        if found is not None:
            order = sorted(found.candidates, key=lambda c: c.mean, reverse=sweep.outcome.higher_is_better)
            rows = [
                (c.name, mean_words(found, c.name, sweep.outcome), counted(c.mounts, "{n} mount", "{n} mounts"))
                for c in order
            ]
        self.table.show_rows(
            (tr("candidate"), sweep.axis.equal, ""), rows, words=True, opens={1: lambda i: self._explain(rows[i][0])}
        )

    def _own_point(self, v: StudyVerdict, sweep: Sweep) -> str:
        """Each at its own operating point: the setting whose mean lies nearest to the line, compared as it is."""
        if sweep.axis.setting:
            return ""
        nearest: dict[str, list[float]] = {}
        for p in sweep.points:
            nearest.setdefault(p.condition, []).append(p.x)
        label = min(nearest, key=lambda c: abs(float(np.mean(nearest[c])) - self.at.value()))
        condition = next(c for c in v.conditions if c.label == label)
        confidence = v.looks.confidence if v.looks is not None else v.evidence.study.confidence
        result = cell_result(v, Cell(condition.name, sweep.outcome.key), confidence)
        if result.comparison is None:
            return ""
        first, *rest = result.ranking()
        told = [f"{n} {mean_words(result.comparison, n, sweep.outcome)}" for n in (first, *rest)]
        return tr("Each at its own operating point ({label}): {told}.", label=label, told="; ".join(told))

    def _mount_curves(self, sweep: Sweep) -> list[DrawnCurve]:
        assert self.read is not None and self.state.verdict is not None
        labels, out = _labels(self.state.verdict), []
        for swept, read in zip(sweep.swept, self.read.curves.mounts, strict=True):
            xs = np.linspace(swept.x.min(), swept.x.max(), 30)
            out.append(
                DrawnCurve(
                    name="",
                    place=self.state.position(swept.mount.candidate),
                    xs=list(xs),
                    ys=list(self.read.curves.curve(read, xs)),
                    points=list(zip(swept.x, swept.y, strict=True)),
                    faint=True,
                    behind=swept.mount.candidate,
                    called=labels.get(swept.mount.mount, ""),
                )
            )
        return out

    def _candidate_curves(self, v: StudyVerdict, sweep: Sweep, found: AlongRange) -> list[DrawnCurve]:
        out = []
        for name in sweep.candidates:
            there = [
                (p.at, p.comparison.candidate(name))
                for p in found.places
                if p.comparison is not None and name in {c.name for c in p.comparison.candidates}
            ]
            own = [s.x for s in sweep.swept if s.mount.candidate == name]
            if there:
                out.append(
                    DrawnCurve(
                        name=name,
                        place=self.state.position(name),
                        xs=[x for x, _ in there],
                        ys=[c.mean for _, c in there],
                        low=[c.low for _, c in there],
                        high=[c.high for _, c in there],
                        solid=(min(float(x.min()) for x in own), max(float(x.max()) for x in own)),
                    )
                )
        return out

    def _need(self) -> None:
        v, sweep = self.state.verdict, self.sweep
        if v is not None and sweep is not None:
            self.takes.setText(
                "\n".join(needed_words(sweep, needed_there(v, sweep, self.wanted.value()), self.wanted.value()))
            )

    def _explain(self, name: str) -> None:
        v = self.state.verdict
        if v is not None and self.sweep is not None and self.read is not None:
            labels = _labels(v)
            self.working.emit(along_working(self.sweep, self.read, name, labels))
