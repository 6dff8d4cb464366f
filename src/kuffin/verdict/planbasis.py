"""What a plan rests on: what differs, the scatter that is assumed, how long things take, and the calendar."""

from __future__ import annotations

import datetime as dt
from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np

from kuffin.core.base.errors import KuffinError
from kuffin.core.base.language import tr
from kuffin.core.bench.protocol import DEFAULT_RISE_K, DEFAULT_TAU_S, Step, from_plain, run_minutes, usual_steps
from kuffin.core.bench.undertest import kind_under_test
from kuffin.core.compare.pairwords import count
from kuffin.core.plan.order import Slot
from kuffin.core.plan.schedule import BenchJob, Hours, Plan, lay
from kuffin.core.prepare.changeover import change_over, minutes
from kuffin.notebook.entities import Bench, Mount, Part, Protocol, Study, in_bench_order
from kuffin.notebook.store import Notebook
from kuffin.reading.configurations import built_in
from kuffin.verdict.study import StudyVerdict, judge

USUAL_WEEK: dict[int, tuple[float, float]] = {d: (9.0, 18.0) for d in range(5)}


# --- scatter -------------------------------------------------------------------------------------------------------------


@dataclass(frozen=True)
class AssumedScatter:
    """The scatter between mounts that a plan assumes.

    Attributes
    ----------
    df : float
        Its degrees of freedom; 0 for a guess.
    where : str
        Where it comes from, in words.
    """

    sd_k: float
    df: float
    where: str
    guessed: bool


def scatter_of(study: Study, verdicts: Sequence[StudyVerdict]) -> AssumedScatter:
    """The scatter between mounts of the same kind, pooled over the notebook's studies; else a guess.

    ``s² = Σ νᵢ·sᵢ² / Σ νᵢ`` over the studies' own, whatever model each was judged by.
    """
    kept = [
        v.temperature.comparison.scatter
        for v in verdicts
        if v.under_test == study.under_test
        and v.temperature.comparison is not None
        and v.temperature.comparison.scatter[1] > 0
    ]
    total = sum(df for _, df in kept)
    if total >= 2:
        sd = float(np.sqrt(sum(df * s**2 for s, df in kept) / total))
        where = (
            tr("from this notebook's own mounts (one study, {df:.0f} degrees of freedom)", df=total)
            if len(kept) == 1
            else tr(
                "from this notebook's own mounts ({n} studies, {df:.0f} degrees of freedom)",
                n=count(len(kept)),
                df=total,
            )
        )
        return AssumedScatter(sd, total, where, False)
    guess = kind_under_test(study.under_test).spread_k
    return AssumedScatter(guess, 0, tr("a guess for its kind, until three mounts of one candidate are there"), True)


def judged_studies(notebook: Notebook) -> list[StudyVerdict]:
    """The verdicts of all studies in the notebook; one that cannot be judged is left out."""
    out = []
    for listed in notebook.studies():
        try:
            out.append(judge(notebook, notebook.study(listed.id)))
        except KuffinError:
            continue
    return out


# --- time --------------------------------------------------------------------------------------------------------------


@dataclass(frozen=True, kw_only=True)
class Durations:
    """How long things take, and where each figure comes from."""

    run_min: float
    tau_s: float
    run_from: str
    change_from: str
    change_min: float | None  # None: from the list of things to do


def durations(study: Study, steps: Sequence[Step], verdicts: Sequence[StudyVerdict]) -> Durations:
    """Learnt durations: medians of the notebook's own, else defaults."""
    taus, rises = [], []
    for verdict in verdicts:
        for result in verdict.results.values():
            found = result.traces.get("coolant_over_air")
            if found is not None and found.warm_up.tau_s:
                taus.append(found.warm_up.tau_s)
                rises.append(abs(found.warm_up.final))
    tau = float(np.median(taus)) if taus else DEFAULT_TAU_S
    rise = float(np.median(rises)) if rises else DEFAULT_RISE_K
    run_from = (
        tr(
            "warm-up from the loop's own time constant, {tau:.0f} min ({taus} runs)",
            tau=tau / 60,
            taus=count(len(taus)),
        )
        if taus
        else tr("warm-up from a usual time constant, {tau:.0f} min, until a run tells the loop's own", tau=tau / 60)
    )
    took = []
    for candidate in study.live_candidates:
        for mount in candidate.live_mounts:
            minutes_ = change_over_took(mount)
            if minutes_ is not None:
                took.append(minutes_)
    change = float(np.median(took)) if len(took) >= 2 else None
    change_from = (
        tr("median of {took} change-overs of this study", took=count(len(took)))
        if change is not None
        else tr("summed from the list of things to do")
    )
    return Durations(
        run_min=run_minutes(steps, tau, rise, study.tolerance_k),
        tau_s=tau,
        run_from=run_from,
        change_from=change_from,
        change_min=change,
    )


def change_over_took(mount: Mount) -> float | None:
    """How long it took to get a mount ready, min; None where that is not told, or was no one sitting."""
    if not mount.begun_at or not mount.ready_at:
        return None
    span = dt.datetime.fromisoformat(mount.ready_at) - dt.datetime.fromisoformat(mount.begun_at)
    return span.total_seconds() / 60 if 120 <= span.total_seconds() <= 6 * 3600 else None


def steps_of(protocol: Protocol | None) -> tuple[Step, ...]:
    """A protocol's steps; the usual three where none is chosen."""
    return from_plain(protocol.steps) if protocol is not None and protocol.steps else usual_steps()


def order_of(study: Study) -> list[Mount]:
    """All mounts of a study in bench order."""
    return in_bench_order([m for c in study.live_candidates for m in c.live_mounts])


def slots_of(study: Study) -> list[Slot]:
    """The order of a study as slots."""
    return [Slot(m.candidate.name, m.round, m.control) for m in order_of(study)]


def is_done(mount: Mount) -> bool:
    """Whether a mount has its run."""
    return bool(mount.live_runs)


def next_mount(study: Study) -> Mount | None:
    """The mount that comes next: the one that was begun, else the first without a run."""
    waiting = [m for m in order_of(study) if not is_done(m)]
    begun = [m for m in waiting if m.begun_at]
    return begun[-1] if begun else waiting[0] if waiting else None


def _in_fives(minutes_: float) -> float:
    return 5.0 * float(np.ceil(minutes_ / 5 - 1e-9))


def jobs_of(
    study: Study, bench: Bench | None, shelf: Sequence[Part], takes: Durations, steps: Sequence[Step]
) -> list[BenchJob]:
    """What is still to be laid over the days: each mount without a run, change-over and run."""
    out = []
    before = None
    for mount in order_of(study):
        after = built_in(study, mount, bench, shelf)
        if not is_done(mount):
            change = takes.change_min if takes.change_min is not None else minutes(change_over(before, after))
            first = () if mount.ready_at else ((tr("change over"), _in_fives(change)),)
            phases = (*first, ("run", _in_fives(takes.run_min)))
            sample = mount.sample.label if mount.sample is not None else ""
            out.append(
                BenchJob(
                    mount.id, tr("{name}, round {round}", name=mount.candidate.name, round=mount.round), phases, sample
                )
            )
        before = after
    return out


def hours_of(study: Study) -> Hours:
    """The hours at the bench, as the plan has them."""
    week = study.plan.get("hours")
    kept = {int(d): (float(a), float(b)) for d, (a, b) in week.items()} if isinstance(week, dict) else USUAL_WEEK
    days_off = frozenset(dt.date.fromisoformat(d) for d in study.plan.get("days_off", []))
    return Hours(kept, days_off)


def laid_plan(study: Study, jobs: Sequence[BenchJob], now: dt.datetime) -> Plan:
    """The calendar of what is still to do, from now or from the planned begin, whichever is later.

    Raises
    ------
    BenchError
        Where the plan is impossible.
    """
    begin_text, deadline_text = study.plan.get("begin"), study.plan.get("deadline")
    begin = dt.datetime.fromisoformat(begin_text) if begin_text else now
    deadline = dt.datetime.fromisoformat(deadline_text) if deadline_text else None
    now = now.replace(second=0, microsecond=0) + dt.timedelta(minutes=-now.minute % 5)
    return lay(jobs, hours_of(study), max(begin, now), deadline, float(study.plan.get("pause_min", 5.0)))
