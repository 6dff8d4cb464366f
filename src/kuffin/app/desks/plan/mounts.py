"""How many mounts: the power of the planned comparison over their number, and what one more sample would buy."""

from __future__ import annotations

import math

from PySide6.QtWidgets import QGridLayout, QWidget

from kuffin.app.desks.plan.page import Page
from kuffin.app.look.theme import Theme
from kuffin.app.state.shelfstate import ShelfState
from kuffin.app.state.windowstate import State
from kuffin.app.widgets.forms import NumberLine, button, choice, number, row
from kuffin.app.widgets.sketch import Guide, Series, Sketch
from kuffin.app.widgets.texts import text
from kuffin.core.base.errors import KuffinError
from kuffin.core.base.language import tr
from kuffin.core.base.saying import say
from kuffin.core.compare.pairwords import count, several
from kuffin.core.compare.pairwords import number as figure
from kuffin.core.plan.design import MountPlan, power_curve, sample_or_mount
from kuffin.verdict.looks import last_confidence, plans_rounds

_MOST = 12


class MountsPage(Page):
    """The page."""

    def __init__(self, state: State, shelf: ShelfState, theme: Theme) -> None:
        super().__init__(state, shelf)
        self.goal = choice([(tr("find a difference of"), "find"), (tr("show sameness within"), "same")], tr("Goal"))
        self.goal.activated.connect(lambda: self.change_plan(say("change the goal"), goal=self.goal.currentData()))
        self.difference = NumberLine("K", tr("Difference or margin"), 0.01, 100)
        self.difference.given.connect(
            lambda v: self.change_plan(say("change the difference to be found"), difference_k=v)
        )
        self.power = number(50, 99, "%", 0, 5, tr("Wanted chance"))
        self.power.valueChanged.connect(lambda v: self.change_plan(say("change the wanted chance"), power=v / 100))
        self.spread = NumberLine("K", tr("Scatter between mounts"), 0.001, 100)
        self.spread.given.connect(lambda v: self.change_plan(say("change the scatter assumed"), spread_k=v))
        self.samples = NumberLine("K", tr("Scatter between samples"), 0.0, 100)
        self.samples.given.connect(
            lambda v: self.change_plan(say("change the scatter between samples"), sample_spread_k=v)
        )
        for line in (self.difference, self.spread, self.samples):
            line.refused.connect(self.state.trouble.emit)
        self.where, self.where_samples = text(style="muted"), text(style="muted")
        holder = QWidget()
        grid = QGridLayout(holder)
        grid.setContentsMargins(0, 0, 0, 0)
        grid.setHorizontalSpacing(10)
        grid.setColumnStretch(2, 1)
        for i, (label, box, words) in enumerate(
            (
                (
                    tr("I want to"),
                    row(
                        self.goal,
                        self.difference,
                        text(tr("K with a chance of"), style="muted", wrap=False),
                        self.power,
                    ),
                    None,
                ),
                (tr("Scatter between mounts"), row(self.spread, text("K", style="muted", wrap=False)), self.where),
                (
                    tr("Scatter between samples"),
                    row(self.samples, text("K", style="muted", wrap=False)),
                    self.where_samples,
                ),
            )
        ):
            grid.addWidget(text(label, wrap=False), i, 0)
            if words is None:
                grid.addWidget(box, i, 1, 1, 2)
            else:
                grid.addWidget(box, i, 1)
                grid.addWidget(words, i, 2)
        self.column.addWidget(holder)
        self.said = text(style="heading")
        self.column.addWidget(self.said)
        self.plot = Sketch(theme, tr("Chance over the number of mounts"), 230)
        self.column.addWidget(self.plot)
        self.use = button(tr("Plan so many mounts"), self._take)
        self._planned = text(style="muted")
        self.column.addWidget(self._planned)
        self.column.addWidget(row(self.use))
        self.heading(tr("One more mount, or one more sample?"))
        self.buys = text()
        self.column.addWidget(self.buys)
        self.column.addStretch(1)
        self.wanted: int | None = None

    def renew(self) -> None:
        study = self.state.study
        assert study is not None
        plan = study.plan
        goal = plan.get("goal", "find")
        self.goal.setCurrentIndex(self.goal.findData(goal))
        size = float(plan.get("difference_k") or study.margin_k)
        self.difference.show_value(size)
        self.power.setValue(100 * float(plan.get("power", 0.8)))
        assumed = self.shelf.scatter()
        assert assumed is not None
        own = plan.get("spread_k")
        spread = float(own or assumed.sd_k)
        self.spread.show_value(round(spread, 3))
        known = f"{figure(assumed.sd_k, 2)} K, {assumed.where}"
        self.where.setText(tr("your own figure; else {known}", known=known) if own else known)
        of_samples = float(plan["sample_spread_k"]) if "sample_spread_k" in plan else round(spread / 2, 3)
        self.samples.show_value(of_samples)
        self.where_samples.setText(
            tr("your own figure") if "sample_spread_k" in plan else tr("a guess: half of that between mounts")
        )
        k = max(2, len(study.live_candidates))
        reference = study.reference_id is not None
        try:
            curve = power_curve(
                k, spread, size, goal, lambda n: last_confidence(study, n), reference, _MOST, plans_rounds(study)
            )
        except KuffinError as error:
            self.said.setText(str(error))
            return
        self._show(curve, goal, size, float(plan.get("power", 0.8)), k)
        self._show_buys(of_samples, spread, k)

    def _show(self, curve: list[MountPlan], goal: str, size: float, wanted: float, k: int) -> None:
        study = self.state.study
        assert study is not None
        enough = next((p for p in curve if p.power >= wanted), None)
        self.wanted = enough.mounts if enough is not None else None
        what = (
            tr("show two candidates to be the same within {size:g} K", size=size)
            if goal == "same"
            else tr("find a difference of {size:g} K", size=size)
        )
        among = tr("between one pair among {k}", k=count(k)) + (
            tr(", against the reference") if study.reference_id else ""
        )
        among += tr(", with rounds taken out") if plans_rounds(study) else ""
        if enough is not None:
            self.said.setText(
                tr(
                    "{capitalize} mounts of each {what} {among} with a chance of {power:.0f} %; a pair's "
                    "interval is then about ±{figure} K.",
                    capitalize=count(enough.mounts).capitalize(),
                    what=what,
                    among=among,
                    power=100 * enough.power,
                    figure=figure(enough.half_width, 2),
                )
            )
        else:
            self.said.setText(
                tr(
                    "Even {MOST} mounts of each {what} with a chance of {power:.0f} % only: take a "
                    "larger difference, or reduce the scatter between mounts.",
                    MOST=count(_MOST),
                    what=what,
                    power=100 * curve[-1].power,
                )
            )
        planned = study.planned_rounds
        guides = [Guide(100 * wanted, tr("wanted")), Guide(planned, tr("planned"), vertical=True)]
        self.plot.show_series(
            [Series(xs=[p.mounts for p in curve], ys=[100 * p.power for p in curve], style="both")],
            tr("mounts of each candidate"),
            tr("chance, %"),
            guides,
            (0, 105),
            "; ".join(tr("{n} mounts: {chance:.0f} %", n=p.mounts, chance=100 * p.power) for p in curve),
        )
        now = next((p for p in curve if p.mounts == planned), None)
        self.use.setVisible(enough is not None and enough.mounts != planned)
        self.use.setText(tr("Plan {mounts} mounts of each", mounts=count(enough.mounts)) if enough else "")
        tail = (
            tr(": a chance of {power:.0f} %, ±{figure} K", power=100 * now.power, figure=figure(now.half_width, 2))
            if now is not None
            else ""
        )
        self._planned.setText(tr("Planned: {planned} of each{tail}.", planned=count(planned), tail=tail))

    def _show_buys(self, sd_sample: float, sd_mount: float, k: int) -> None:
        study = self.state.study
        assert study is not None
        samples = max((len(c.samples) for c in study.live_candidates), default=0) or 1
        each = max(1, math.ceil(study.planned_rounds / samples))
        lines = []
        for i, buys in enumerate(sample_or_mount(samples, each, sd_mount, sd_sample, k, study.confidence)):
            what = (tr("As planned"), tr("One more mount of each sample"), tr("One more sample"))[i]
            half = (
                tr("±{figure} K for the products", figure=figure(buys.half_width, 2))
                if math.isfinite(buys.half_width)
                else tr("nothing beyond the very samples tested: one sample says nothing of the next")
            )
            lines.append(
                tr(
                    "{layout} ({samples}, one mount on each): {half}.",
                    layout=what,
                    samples=several(buys.samples, "sample"),
                    half=half,
                )
                if buys.mounts_each == 1
                else tr(
                    "{layout} ({samples}, {mounts} mounts on each): {half}.",
                    layout=what,
                    samples=several(buys.samples, "sample"),
                    mounts=count(buys.mounts_each),
                    half=half,
                )
            )
        self.buys.setText("\n".join(lines))

    def _take(self) -> None:
        if self.wanted is not None:
            self.change(say("plan the number of mounts"), planned_rounds=self.wanted)
