"""Mounts that were left in place: what each read later, less the baseline, and what is due."""

from __future__ import annotations

import datetime as dt
from dataclasses import dataclass, replace

from kuffin.core.base.language import tr
from kuffin.core.base.worked import Worked
from kuffin.core.bench.outcomes import Outcome
from kuffin.core.compare.ageing import (
    LEAST_RECHECKS,
    SO_FAR,
    AgedReading,
    Ageing,
    ageing,
    less_baseline,
    nearest_in_time,
)
from kuffin.core.plan.rechecks import Rechecks, next_due
from kuffin.notebook.entities import Mount, Run, Study
from kuffin.verdict.baseline import is_baseline
from kuffin.verdict.noreading import NoReading
from kuffin.verdict.outcomes import MountReading
from kuffin.verdict.runreadings import run_reading
from kuffin.verdict.study import StudyVerdict


@dataclass(frozen=True, kw_only=True)
class ReadAgain:
    """One reading of a mount that stays in place.

    Attributes
    ----------
    days : float
        Since the mount's first reading.
    read : Worked or None
    base : float or None
        The baseline's reading at that time.
    why_not : str
        Why it says nothing of ageing; blank where it does.
    """

    run_id: int
    at: dt.datetime
    days: float
    read: Worked | None
    base: float | None = None
    why_not: str = ""


@dataclass(frozen=True, kw_only=True)
class AgedMount:
    """A mount that stays in place.

    Attributes
    ----------
    found : Ageing or None
        None without two readings that say something.
    rows : tuple of AgedReading
        Those that do.
    """

    mount_id: int
    candidate: str
    label: str
    readings: tuple[ReadAgain, ...]
    rows: tuple[AgedReading, ...]
    found: Ageing | None


@dataclass(frozen=True, kw_only=True)
class StudyAgeing:
    """All of a study's; `baseline` is blank where it has none that was read again, else `base_mounts` are what was read of it."""

    outcome: Outcome
    mounts: tuple[AgedMount, ...]
    baseline: str = ""
    base_mounts: tuple[AgedMount, ...] = ()


@dataclass(frozen=True, kw_only=True)
class DueRecheck:
    """A recheck that is planned.

    Attributes
    ----------
    days : float
        After the first reading.
    """

    mount: Mount
    days: float
    at: dt.datetime

    @property
    def label(self) -> str:
        """The mount in words."""
        return tr("{name}, round {round}", name=self.mount.candidate.name, round=self.mount.round)


def rechecks_of(study: Study) -> Rechecks:
    """What a study plans of rechecks."""
    kept = study.plan.get("rechecks") or {}
    return Rechecks(
        days=tuple(float(d) for d in kept.get("days", ())),
        rest_h=float(kept.get("rest_h", 0.0)),
        mounts=tuple(int(m) for m in kept.get("mounts", ())),
    )


def due_rechecks(study: Study) -> list[DueRecheck]:
    """The next planned recheck of each mount that stays in place, the earliest first."""
    plan = rechecks_of(study)
    out = []
    for mount in (m for c in study.live_candidates for m in c.live_mounts):
        if mount.id not in plan.mounts or mount.left_out or mount.first_read is None:
            continue
        done = [dt.datetime.fromisoformat(r.started_at) for r in mount.rechecks if r.started_at]
        found = next_due(dt.datetime.fromisoformat(mount.first_read), done, plan.days)
        if found is not None:
            out.append(DueRecheck(mount=mount, days=found[0], at=found[1]))
    return sorted(out, key=lambda d: d.at)


def planned_rechecks(study: Study) -> list[DueRecheck]:
    """All rechecks that are still to come, the earliest first."""
    days, out = rechecks_of(study).days, []
    for due in due_rechecks(study):
        first = due.at - dt.timedelta(days=due.days)
        out += [DueRecheck(mount=due.mount, days=d, at=first + dt.timedelta(days=d)) for d in days if d >= due.days]
    return sorted(out, key=lambda d: d.at)


def rest_ends(study: Study, mount: Mount) -> dt.datetime | None:
    """When a mount that is ready has rested as long as the plan, or its paste, asks for; None where nothing is to be waited for."""
    own = mount.candidate.part.fields.get("rest_h")
    rest = max(rechecks_of(study).rest_h, float(own) if isinstance(own, (int, float)) else 0.0)
    if not rest or not mount.ready_at or mount.live_runs:
        return None
    return dt.datetime.fromisoformat(mount.ready_at) + dt.timedelta(hours=rest)


def ageing_of(v: StudyVerdict) -> StudyAgeing:
    """How the mounts that were tested again have changed, by the study's temperature."""
    outcome = v.school
    each = {m.id: _readings(v, outcome, m) for _, m in v.evidence.mounts if m.left_out is None}
    base = [
        [(r.at, r.read) for r in each[m.id] if r.read is not None]
        for _, m in v.evidence.mounts
        if m.id in each and is_baseline(v.evidence.study, m)
    ]
    told: dict[int, tuple[tuple[ReadAgain, ...], tuple[AgedReading, ...]]] = {}
    for _, m in v.evidence.mounts:
        if m.id in each and m.rechecks and not is_baseline(v.evidence.study, m):
            told[m.id] = _less_baseline(each[m.id], base)
    found = _with_the_controls_own(ageing({str(i): rows for i, (_, rows) in told.items()}), each, base)

    def aged(name: str, m: Mount) -> AgedMount:
        readings, rows = told.get(m.id, (tuple(each[m.id]), ()))
        label = tr("{name}, round {round}", name=name, round=m.round)
        return AgedMount(
            mount_id=m.id, candidate=name, label=label, readings=readings, rows=rows, found=found.get(str(m.id))
        )

    again = [(n, m) for n, m in v.evidence.mounts if m.id in each and m.rechecks]
    mounts = tuple(aged(n, m) for n, m in again if m.id in told)
    names = {n for n, m in v.evidence.mounts if is_baseline(v.evidence.study, m)}
    return StudyAgeing(
        outcome=outcome,
        mounts=mounts,
        baseline=", ".join(sorted(names)) if any(len(b) > 1 for b in base) else "",
        base_mounts=tuple(aged(n, m) for n, m in again if m.id not in told),
    )


def _with_the_controls_own(
    found: dict[str, Ageing], each: dict[int, list[ReadAgain]], base: list[list[tuple[dt.datetime, Worked]]]
) -> dict[str, Ageing]:
    """What may not be told where a single control changed by itself, and the mount as it was read did not: then either aged."""
    again = [b for b in base if len(b) > LEAST_RECHECKS]
    if len(again) != 1:  # several that moved alike are the bench; without one nothing is told anyway
        return found
    start = again[0][0][0]
    own = _alone([((at - start).total_seconds() / 86400, read) for at, read in again[0]])
    if own is None or not own.aged:
        return found
    out = {}
    for key, one in found.items():
        mine = _alone([(r.days, r.read) for r in each[int(key)] if r.read is not None])
        out[key] = replace(one, control_open=one.way != SO_FAR and (mine is None or not mine.aged))
    return out


def _alone(read: list[tuple[float, Worked]]) -> Ageing | None:
    """How a mount changed as it was read, nothing taken off."""
    return ageing({"": [AgedReading(days=d, value=w.value, u95=w.u95 or 0.0) for d, w in read]}).get("")


def recheck_reading(v: StudyVerdict, run: Run, first: MountReading) -> MountReading:
    """A recheck's own reading, as its mount's first one is told."""
    worked, settled, why = _read(v, v.outcome, run)
    return replace(first, worked=worked, settled=settled, problem=why or None, runs=(run.id,))


def _read(v: StudyVerdict, outcome: Outcome, run: Run) -> tuple[Worked | None, bool, str]:
    """A run's reading, whether it settled, and why there is none."""
    result = v.results[run.id].at(v.evidence.condition)
    if result is None:
        return None, False, tr("does not hold “{condition}”", condition=v.evidence.condition)
    try:
        return *run_reading(outcome, v.evidence, run, result, v.reference_power_w), ""
    except NoReading as error:
        return None, False, str(error)


def _readings(v: StudyVerdict, outcome: Outcome, mount: Mount) -> list[ReadAgain]:
    """Its first reading, and each later one."""
    first = next((r for r in v.by(outcome.key).readings if r.mount_id == mount.id), None)
    if mount.first_read is None or first is None or first.worked is None or not mount.live_runs:
        return []
    begun = dt.datetime.fromisoformat(mount.first_read)
    out = [ReadAgain(run_id=mount.live_runs[0].id, at=begun, days=0.0, read=first.worked)]
    for run in mount.rechecks:
        if run.started_at:
            at = dt.datetime.fromisoformat(run.started_at)
            read, _, why = _read(v, outcome, run)
            days = (at - begun).total_seconds() / 86400
            out.append(ReadAgain(run_id=run.id, at=at, days=days, read=read, why_not=why))
    return out


def _less_baseline(
    readings: list[ReadAgain], base: list[list[tuple[dt.datetime, Worked]]]
) -> tuple[tuple[ReadAgain, ...], tuple[AgedReading, ...]]:
    """The readings with the control's of the same time, and what is left of them.

    Each control mount has a level of its own: it is held against itself, and only those that were read at both times count.
    """
    out: list[ReadAgain] = []
    rows: list[AgedReading] = []
    values = [[(at, read.value) for at, read in one] for one in base]
    halves = [[(at, read.u95 or 0.0) for at, read in one] for one in base]
    first = readings[0] if readings else None
    starts = [None if first is None else nearest_in_time(first.at, one) for one in values]
    for r in readings:
        both = [
            (s, now, nearest_in_time(r.at, h) or 0.0)
            for s, one, h in zip(starts, values, halves, strict=True)
            if s is not None and (now := nearest_in_time(r.at, one)) is not None
        ]
        start = sum(s for s, _, _ in both) / len(both) if both else None
        moved = sum(now for _, now, _ in both) / len(both) if both else None
        if r.read is None or first is None or first.read is None:
            out.append(r)
            continue
        if moved is None or start is None:
            why = tr("no reading of the baseline within two days") if base else tr("no baseline")
            out.append(ReadAgain(run_id=r.run_id, at=r.at, days=r.days, read=r.read, why_not=why))
            continue
        value, unlike = less_baseline(r.read.value, first.read.value, moved, start)
        half = ((r.read.u95 or 0.0) ** 2 + sum(h**2 for _, _, h in both) / len(both) ** 2) ** 0.5
        rows.append(AgedReading(days=r.days, value=value, u95=half, unlike=unlike))
        out.append(ReadAgain(run_id=r.run_id, at=r.at, days=r.days, read=r.read, base=moved))
    return tuple(out), tuple(rows)
