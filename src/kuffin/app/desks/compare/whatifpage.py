"""What if: candidates at another power, in another room, with other fans, another pump speed, part or coolant."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import replace

import numpy as np

from kuffin.app.base.jobs import Job, Task
from kuffin.app.desks.compare.otherstudies import OtherStudies
from kuffin.app.desks.renewedpage import RenewedPage
from kuffin.app.look.theme import Theme
from kuffin.app.state.windowstate import State
from kuffin.app.widgets.curveplot import CurvePlot, DrawnCurve
from kuffin.app.widgets.figuretable import FigureTable
from kuffin.app.widgets.forms import NumberLine, choice, flowing, named, number, refill
from kuffin.app.widgets.texts import text
from kuffin.core.base.errors import KuffinError
from kuffin.core.base.language import mark, tr
from kuffin.core.base.numbers import begun
from kuffin.core.compare.pairwords import joined
from kuffin.core.predict.carrying import ESTIMATED
from kuffin.said.predictionwords import asked_words, difference_words, foreseen_words, prediction_working
from kuffin.verdict.across import Judged
from kuffin.verdict.carried import OtherPart, WhatIf
from kuffin.verdict.otherparts import coolants_of, parts_elsewhere, with_parts
from kuffin.verdict.predicting import Prediction, as_measured, predict_all
from kuffin.verdict.study import StudyVerdict
from kuffin.verdict.whatif import WhatIfAnswer, answer

_PURPOSE = mark(
    "What if carries what was measured to another power, room, fan or pump speed, part or coolant. It needs temperatures per watt of two mounts of a "
    "candidate at least; every step says whether it was measured, carried or estimated."
)
_AS_THERE = mark("as on the bench")
_POWERS = 11


class WhatIfPage(RenewedPage):
    """Nothing is edited here."""

    def __init__(self, state: State, theme: Theme) -> None:
        super().__init__(state, theme, tr(_PURPOSE))
        self.power = number(1, 5000, "W", 0, 10, tr("Power of the device"))
        self.air = number(-20, 60, "°C", 1, 1, tr("Air"))
        self.fan = NumberLine("%", tr("Fans"), 5, 120)
        self.pump = NumberLine("%", tr("Pump"), 5, 120)
        self.limit = NumberLine("°C", tr("Limit"), 20, 130)
        for box in (self.power, self.air):
            box.valueChanged.connect(lambda _v: self._ask())
        for line in (self.fan, self.pump, self.limit):
            line.given.connect(lambda _v: self._ask())
            line.refused.connect(state.trouble.emit)

        self.part = choice([(tr(_AS_THERE), None)], tr("Another part"))
        self.coolant = choice([(tr(_AS_THERE), None)], tr("Another coolant"))
        for chooser in (self.part, self.coolant):
            chooser.activated.connect(lambda _i: self._ask())
        self._part_row = named(tr("with"), self.part)
        self.column.addWidget(
            flowing(
                named(tr("at"), self.power),
                named(tr("air"), self.air),
                named(tr("fans"), self.fan),
                named(tr("pump"), self.pump),
                named(tr("limit"), self.limit),
                self._part_row,
                named(tr("coolant"), self.coolant),
            )
        )
        self.trouble = text(style="warn")
        self.column.addWidget(self.trouble)
        self.heading = text(style="heading")
        self.plot = CurvePlot(theme, tr("Temperature against power"), 320)
        self.plot.moved.connect(self.power.setValue)
        self.table = FigureTable(tr("Candidates as they would be"))
        self.pairs = text()
        self.note = text(
            tr(
                "Intervals are for one more mount of each (95 %). Measured: along what was swept. Carried: a rise per watt, taken to another power. "
                "Estimated: beyond that, or by what fans and flow usually do; dashed in the picture."
            ),
            style="small",
        )
        for widget in (self.heading, self.plot, self.table, self.pairs, self.note):
            self.column.addWidget(widget)
        self.found: dict[str, Prediction] = {}
        self._of: int | None = None
        self._job: Job | None = None
        self._others = OtherStudies(state)
        self._judged: list[Judged] = []
        self._parts: list[OtherPart] = []
        self._curves: list[DrawnCurve] = []

    def set_theme(self, theme: Theme) -> None:
        super().set_theme(theme)
        self.plot.set_theme(theme)

    def renew(self) -> None:
        v = self.state.verdict
        if v is None or v.mounts == 0:
            self.show_purpose(tr(_PURPOSE))
            return
        if self._of != v.study_id:
            self._of = v.study_id
            self._judged, self._parts = [], []
            self.found, self._curves = {}, []
            for widget in (self.heading, self.table, self.pairs, self.note):  # until the first answer is there
                widget.hide()
            self._offer(v)
            for box, value in ((self.power, v.reference_power_w), (self.air, v.reference_air_c)):
                box.blockSignals(True)
                box.setValue(value)
                box.blockSignals(False)
            usual = as_measured(v)
            self.fan.show_value(usual.fan)
            self.pump.show_value(usual.pump)
            self.limit.show_value(None)
        self._ask()
        self._others.read(self._judge_with)

    def _judge_with(self, judged: list[Judged]) -> None:
        """The other studies are read: their parts can be chosen."""
        v = self.state.verdict
        if v is None or self.state.study is None:
            return
        self._judged = judged
        self._parts, _ = parts_elsewhere(Judged(self.state.study, v), judged)
        self._offer(v)

    def _offer(self, v: StudyVerdict) -> None:
        """Fill the choices of parts and coolants; one that is there no longer is as on the bench."""
        ways = v.evidence.ways
        named = [(f"{p.name} ({p.study})", f"{p.study}\n{p.name}") for p in self._parts]
        refill(self.part, [(tr(_AS_THERE), None), *named], self.part.currentData())
        water, *mixes = coolants_of(() if ways is None else ways.shelf)
        coolants = [(tr("water"), water.name), *((m.name, m.name) for m in mixes)]
        refill(self.coolant, [(tr(_AS_THERE), None), *coolants], self.coolant.currentData())
        self._part_row.setVisible(bool(self._parts))

    def asked(self) -> WhatIf:
        """What stands in the fields, with the part and the coolant that are chosen.

        Raises
        ------
        CompareError
            Where nothing tells what another coolant would do.
        """
        plain = self._plain()
        v, study = self.state.verdict, self.state.study
        if v is None or study is None:
            return plain
        part = next((p for p in self._parts if f"{p.study}\n{p.name}" == self.part.currentData()), None)
        source = next((j for j in self._judged if part is not None and j.verdict is part.verdict), None)
        shelf = () if v.evidence.ways is None else v.evidence.ways.shelf
        coolant = next((m for m in coolants_of(shelf) if m.name == self.coolant.currentData()), None)
        return with_parts(Judged(study, v), plain, part, source, coolant)

    def _plain(self) -> WhatIf:
        return WhatIf(
            power_w=self.power.value(),
            air_c=self.air.value(),
            fan=self.fan.value(),
            pump=self.pump.value(),
            limit_c=self.limit.value(),
        )

    def _ask(self) -> None:
        v = self.state.verdict
        if v is None:
            return
        if self._job is not None:
            self._job.cancel()
        self._place()  # the line goes along at once
        try:
            asked = self.asked()
        except KuffinError as error:
            self._refuse(str(error))
            return
        self._job = self._work(v, asked)

    def _refuse(self, why: str) -> None:
        self._shown(f"{begun(why)}.")

    def _shown(self, trouble: str) -> None:
        """Show the picture and its tables, or why there are none; what is asked for can be changed in either case."""
        self.show_purpose("")
        self.trouble.setText(trouble)
        self.trouble.setVisible(bool(trouble))
        for widget in (self.heading, self.plot, self.table, self.pairs, self.note):
            widget.setVisible(not trouble)

    def _show(self, told: WhatIfAnswer) -> None:
        self._shown("")
        order, asked, fans = told.predictions, told.asked, told.fans
        self.found = {p.candidate: p for p in order}
        best = order[0]
        what = tr("the die") if best.die is not None else tr("the coolant")
        beyond = (
            tr(" {beyond} beyond what was measured.", beyond=begun(joined([tr(b) for b in best.beyond])))
            if best.beyond
            else ""
        )
        self.heading.setText(
            tr(
                "{asked}: {coolest} is coolest under {candidate}, {foreseen}, {label}.{beyond}",
                asked=begun(asked_words(best.asked)),
                coolest=what,
                candidate=best.candidate,
                foreseen=foreseen_words(best.first, "°C"),
                label=tr(best.first.label),
                beyond=beyond,
            )
        )
        limit = asked.limit_c is not None
        rows: list[Sequence[str]] = []
        for p in order:
            highest: tuple[str, ...] = ()
            if limit:
                power, needed = p.highest_power, fans.get(p.candidate)
                highest = (
                    tr("not within what can be said") if power is None else foreseen_words(power, "W"),
                    tr("not by the fans") if needed is None else foreseen_words(needed, "%", 0),
                )
            how = "; ".join(f"{tr(f.name)} {tr(f.kelvins.label)}" for f in p.flights)
            rows.append(
                (
                    p.candidate,
                    foreseen_words(p.die, "°C"),
                    foreseen_words(p.coolant, "°C"),
                    foreseen_words(p.flow, "L/h"),
                    *highest,
                    how,
                )
            )
        head = (
            tr("candidate"),
            tr("die"),
            tr("coolant"),
            tr("flow"),
            *(
                (
                    tr("power at {limit_c:g} °C", limit_c=asked.limit_c),
                    tr("fans for {limit_c:g} °C", limit_c=asked.limit_c),
                )
                if limit
                else ()
            ),
            tr("how it is known"),
        )
        names = [p.candidate for p in order]

        def explain(i: int) -> None:
            self.working.emit(prediction_working(self.found[names[i]]))

        self.table.show_rows(head, rows, words=True, opens={1: explain, 2: explain})
        self.pairs.setText("\n".join(difference_words(a, b, apart) for a, b, apart in told.pairs))
        self._place()

    def _work(self, v: StudyVerdict, asked: WhatIf) -> Job:
        """The answer, then the curves over power, off the window's thread."""
        levels = v.measured.levels.get("power", (v.reference_power_w,))
        low, high = min(levels), max(levels)
        powers = np.linspace(0.6 * low, max(1.6 * high, 1.1 * self.power.value()), _POWERS)

        def work(job: Task) -> list[dict[str, Prediction]]:
            job.show(answer(v, asked))
            out = []
            for i, power in enumerate(powers):
                out.append(predict_all(v, replace(asked, power_w=float(power), limit_c=None)))
                job.report((i + 1) / len(powers))
            return out

        def done(found: list[dict[str, Prediction]]) -> None:
            curves = []
            for name in self.found:
                there = [(float(p), f[name].first) for p, f in zip(powers, found, strict=True) if name in f]
                curves.append(
                    DrawnCurve(
                        name=name,
                        place=self.state.position(name),
                        xs=[p for p, _ in there],
                        ys=[x.value for _, x in there],
                        low=[x.low for _, x in there],
                        high=[x.high for _, x in there],
                        solid=_known(powers, [f.get(name) for f in found], low, high),
                    )
                )
            self._curves, self._job = curves, None
            self._place()

        job = self.state.jobs.start(tr("carrying what was measured"), work, done, self._refuse)
        job.shown.connect(self._show)
        return job

    def _place(self) -> None:
        what = "die" if any(p.die is not None for p in self.found.values()) else "coolant"
        self.plot.show_curves(
            self._curves, tr("power, W"), f"{tr(what)}, °C", line=self.power.value(), spoken=self.heading.text()
        )


def _known(powers: np.ndarray, found: Sequence[Prediction | None], low: float, high: float) -> tuple[float, float]:
    """Where a curve is drawn solid: within the powers that were measured, as far as nothing of it is estimated."""
    warm = [None if p is None else p.first for p in found]
    inside = [(float(x), w) for x, w in zip(powers, warm, strict=True) if low <= x <= high]
    told = [x for x, w in inside if w is not None and w.label != ESTIMATED]
    if len(told) == len(inside):
        return low, high
    return (min(told), max(told)) if told else (0.0, 0.0)
