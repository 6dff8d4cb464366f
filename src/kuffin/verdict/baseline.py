"""The baseline over the study's days: its control chart, and what correcting by it would change."""

from __future__ import annotations

from dataclasses import dataclass, replace
from typing import TYPE_CHECKING, Any

import numpy as np

from kuffin.core.base.errors import CompareError
from kuffin.core.base.language import tr
from kuffin.core.base.numbers import plain
from kuffin.core.bench.outcomes import Outcome
from kuffin.core.compare.control import ControlChart, control_chart
from kuffin.core.compare.linear import fit_linear
from kuffin.notebook.entities import Mount, Study
from kuffin.notebook.entities.evidence import in_bench_order
from kuffin.verdict.evidence import Evidence
from kuffin.verdict.outcomes import MountReading, OutcomeResult, under_outcome

if TYPE_CHECKING:
    from kuffin.verdict.study import StudyVerdict


@dataclass(frozen=True, kw_only=True)
class BaselineChart:
    """The chart with what its points are.

    Attributes
    ----------
    name : str
        The baseline.
    readings, days : tuple
        One for each point, in bench order.
    day_numbers : dict of day to number
        All days of the study, counted from one.
    """

    name: str
    chart: ControlChart
    readings: tuple[MountReading, ...]
    days: tuple[str, ...]
    day_numbers: dict[str, int]

    def when(self) -> str:
        """When it moved, in words; blank where it did not."""
        moved = self.chart.moved
        if moved is None:
            return ""
        if moved.way == "trend":
            return tr("steadily over the study")
        day = self.days[moved.at]
        if self.days[moved.at - 1] != day:
            return tr(
                "between day {begin} and day {end}",
                begin=self.day_numbers[self.days[moved.at - 1]],
                end=self.day_numbers[day],
            )
        return tr("on day {day_numbers}", day_numbers=self.day_numbers[day])


def day_of(mount: Mount) -> str:
    """The day a mount's run began; its round where no clock tells."""
    started = next((r.started_at for r in mount.live_runs if r.started_at), None)
    return started[:10] if started else tr("round {round}", round=mount.round)


def is_baseline(study: Study, mount: Mount) -> bool:
    """Whether a mount is one of the baseline, or a retest."""
    return mount.control or (study.baseline_id is not None and mount.candidate_id == study.baseline_id)


def baseline_chart(evidence: Evidence, result: OutcomeResult) -> BaselineChart | None:
    """Chart the baseline's readings under a school; None where the study has no baseline with a reading."""
    by_id = {r.mount_id: r for r in result.readings if r.value is not None and r.left_out is None}
    ordered = in_bench_order([m for _, m in evidence.mounts])
    days = list(dict.fromkeys(day_of(m) for m in ordered))
    chosen = [m for m in ordered if is_baseline(evidence.study, m) and m.id in by_id]
    names = {m.candidate_id for m in chosen}
    if not chosen or len(names) > 1:
        return None
    sd, df = _scatter(result, {m.id: day_of(m) for m in ordered})
    values = [(by_id[m.id].value or 0.0) + by_id[m.id].shift for m in chosen]
    chart = control_chart(values, [day_of(m) for m in chosen], sd, df)
    return BaselineChart(
        name=by_id[chosen[0].id].candidate,
        chart=chart,
        readings=tuple(by_id[m.id] for m in chosen),
        days=tuple(day_of(m) for m in chosen),
        day_numbers={d: i + 1 for i, d in enumerate(days)},
    )


def _scatter(result: OutcomeResult, day: dict[int, str]) -> tuple[float | None, float]:
    """How far mounts scatter within a day, whatever the days did: candidates and days fitted together."""
    used = [r for r in result.readings if r.value is not None and r.left_out is None and r.mount_id in day]
    names = list(dict.fromkeys(r.candidate for r in used))
    y = np.array([(r.value or 0.0) + r.shift for r in used])
    index = np.array([names.index(r.candidate) for r in used])
    try:
        fit = fit_linear(y, index, len(names), [day[r.mount_id] for r in used])
    except CompareError:
        return None, 0.0
    return fit.sd, fit.df


def share_of_move(evidence: Evidence, result: OutcomeResult) -> dict[int, float]:
    """How much of the bench's move is in each mount, 0 to 1, by its id; empty where the baseline did not move.

    After a step between two days all of the later day's mounts have it in full; a trend grows evenly along the bench's order.
    """
    found = baseline_chart(evidence, result)
    if found is None or found.chart.moved is None:
        return {}
    ordered = in_bench_order([m for _, m in evidence.mounts])
    moved = found.chart.moved
    if moved.way == "trend":
        return {m.id: i / max(len(ordered) - 1, 1) for i, m in enumerate(ordered)}
    first, before = found.readings[moved.at].mount_id, found.readings[moved.at - 1].mount_id
    place = {m.id: i for i, m in enumerate(ordered)}
    if found.days[moved.at] != found.days[moved.at - 1]:
        day = found.day_numbers[found.days[moved.at]]
        return {m.id: float(found.day_numbers[day_of(m)] >= day) for m in ordered}
    half = (place[first] + place[before]) / 2
    return {m.id: float(place[m.id] > half) for m in ordered}


def with_baseline(evidence: Evidence, outcome: Outcome, power: float, *, correct: bool, **how: Any) -> OutcomeResult:
    """A study by an outcome, with the bench's move taken out where that is asked for and can be done.

    Parameters
    ----------
    correct : bool
        The move is then fitted beside the candidates. Where it cannot be told from them, or from the rounds, the study stays as
        it is, and `OutcomeResult.why_kept` says why.
    how
        As `under_outcome`.
    """
    plain = under_outcome(evidence, outcome, power, **how)
    share = share_of_move(evidence, plain) if correct and outcome.temperature else {}
    if not share or plain.comparison is None:
        return plain
    without = under_outcome(evidence, outcome, power, moved=share, **how)
    if without.comparison is not None:
        return without
    why = (
        tr("the rounds have taken out the bench's move already")
        if evidence.blocks
        else tr("the bench's move cannot be taken out: {why_not}", why_not=without.why_not)
    )
    return replace(plain, why_kept=why)


def moved_words(found: BaselineChart, unit: str = "K") -> str:
    """Whether the bench moved, in a sentence without its full stop."""
    from kuffin.core.compare.pairwords import number, several

    chart, n = found.chart, len(found.readings)
    if chart.moved is None:
        if chart.why_not:
            return chart.why_not
        half = (chart.high - chart.low) / 2
        return (
            tr(
                "the bench stood still as far as {n} of {name} tell: all within ± {half} {unit} of their middle",
                n=several(n, "reading"),
                name=found.name,
                half=number(half, 1),
                unit=unit,
            )
            if not chart.outside
            else tr(
                "{outside} of {name} outside the limits, but neither a step nor a trend",
                outside=several(len(chart.outside), "reading"),
                name=found.name,
            )
        )
    m = chart.moved
    chance = tr("below 0.1 %") if m.p < 0.001 else f"{plain(100 * m.p, 1)} %"
    return (
        tr(
            "the baseline {name} rose by {by} ± {u95} {unit} {when} (scatter alone does that in {chance} of studies)",
            name=found.name,
            by=number(m.by, 1),
            u95=number(m.u95, 1),
            unit=unit,
            when=found.when(),
            chance=chance,
        )
        if m.by > 0
        else tr(
            "the baseline {name} fell by {by} ± {u95} {unit} {when} (scatter alone does that in {chance} of studies)",
            name=found.name,
            by=number(-m.by, 1),
            u95=number(m.u95, 1),
            unit=unit,
            when=found.when(),
            chance=chance,
        )
    )


def with_and_without(v: StudyVerdict) -> tuple[OutcomeResult, OutcomeResult] | None:
    """The study as read and corrected by the baseline; None where the baseline did not move."""
    how: dict[str, Any] = {"condition": v.condition, "confidence": None if v.looks is None else v.looks.confidence}
    plain = under_outcome(v.evidence, v.school, v.reference_power_w, **how)
    without = with_baseline(v.evidence, v.school, v.reference_power_w, correct=True, **how)
    return (plain, without) if without.moved is not None or without.why_kept else None
