"""A study's sweeps: outcomes along a speed, a flow, a level or a power, each mount by its own curve, compared at one place.

The mount stays the unit: it is read off its own curve (`kuffin.core.compare.along`), then compared as everywhere.
"""

from __future__ import annotations

from collections.abc import Callable, Mapping, Sequence
from contextlib import suppress
from dataclasses import dataclass, field

import numpy as np
from numpy.typing import NDArray

from kuffin.core.base.errors import CompareError, KuffinError
from kuffin.core.base.language import tr
from kuffin.core.bench.outcomes import MEASURED, Outcome
from kuffin.core.bench.sweepaxes import SWEEP_AXES, SweepAxis
from kuffin.core.compare import Comparison, MountValue
from kuffin.core.compare.along import Curves, Swept, places_for, read_along
from kuffin.notebook.entities import Mount
from kuffin.verdict.noreading import NoReading
from kuffin.verdict.outcomes import MountReading, compared, readings_under
from kuffin.verdict.recordedsound import recorded_level
from kuffin.verdict.study import StudyVerdict

Array = NDArray[np.float64]
_FEWEST = 3  # settings that make a sweep
_PLACES = 25  # at which candidates are compared along the range
_APART = 0.02  # of their middle, by which two settings differ at least


@dataclass(frozen=True)
class SweptPoint:
    """One mount at one setting: where it stood along the axis, and its outcome."""

    candidate: str
    condition: str
    x: float
    y: float


@dataclass(frozen=True, kw_only=True)
class Sweep:
    """All that a study's mounts tell of an outcome along an axis.

    Attributes
    ----------
    swept : tuple of Swept
    conditions : tuple of str
        The settings it was swept over.
    left_out : mapping of str to str
        Points and mounts that are not in it, and why.
    """

    axis: SweepAxis
    outcome: Outcome
    swept: tuple[Swept, ...] = field(repr=False)
    points: tuple[SweptPoint, ...] = field(repr=False)
    conditions: tuple[str, ...]
    left_out: Mapping[str, str] = field(default_factory=dict)

    @property
    def candidates(self) -> list[str]:
        """Those that were swept."""
        return list(dict.fromkeys(s.mount.candidate for s in self.swept))

    @property
    def span(self) -> tuple[float, float]:
        """From where to where any mount was swept."""
        every = np.concatenate([s.x for s in self.swept])
        return float(every.min()), float(every.max())

    @property
    def common(self) -> tuple[float, float]:
        """From where to where every candidate was swept; empty where the first is past the second."""
        each = {n: [s for s in self.swept if s.mount.candidate == n] for n in self.candidates}
        lows = [min(float(s.x.min()) for s in own) for own in each.values()]
        highs = [max(float(s.x.max()) for s in own) for own in each.values()]
        return max(lows), min(highs)


@dataclass(frozen=True, kw_only=True)
class ReadThere:
    """Candidates compared at one place, each mount off its own curve.

    Attributes
    ----------
    comparison : Comparison or None
        None where there is too little; `why_not` says why.
    refused : tuple of str
        Candidates that were not swept as far as that.
    """

    at: float
    outcome: Outcome
    curves: Curves
    comparison: Comparison | None
    why_not: str
    refused: tuple[str, ...]


def axes_told(v: StudyVerdict) -> list[SweepAxis]:
    """What the study was swept along: axes that at least three conditions differ by, in two candidates."""
    if len(v.conditions) < _FEWEST:
        return []
    return [a for a in SWEEP_AXES.values() if _goes_along(v, a)]


def _goes_along(v: StudyVerdict, axis: SweepAxis) -> bool:
    if axis.setting:
        return len(_levels([c.settings.get(axis.setting) for c in v.conditions])) >= _FEWEST
    swept: dict[str, int] = {}
    for name, mount in v.evidence.mounts:
        xs = _levels([_mean_of(v, mount, axis.role, c.name) for c in v.conditions])
        swept[name] = max(swept.get(name, 0), len(xs))
    return sum(n >= _FEWEST for n in swept.values()) > 1


def _levels(values: Sequence[object]) -> list[float]:
    """Values that are told apart."""
    out: list[float] = []
    for x in sorted(float(x) for x in values if isinstance(x, (int, float)) and np.isfinite(x)):
        if not out or x - out[-1] > _APART * abs(out[-1]):
            out.append(x)
    return out


def _mean_of(v: StudyVerdict, mount: Mount, role: str, condition: str) -> float | None:
    """A channel's mean in a mount's runs under a condition."""
    found = []
    for run in mount.live_runs:
        one = v.evidence.results[run.id].at(condition)
        name = None if one is None else (one.names.get(role) if role == "power" else one.roles.get(role))
        if one is not None and name in one.means:
            found.append(one.means[name][0])
    if not found and role == "sound":
        with suppress(NoReading):
            return recorded_level(v.evidence.sounds, mount.id, condition).value
    return float(np.mean(found)) if found else None


def sweep_of(v: StudyVerdict, axis: SweepAxis, outcome: Outcome) -> Sweep:
    """The study's mounts along an axis; what a limit held back is not in it, nor mounts that were left out.

    Raises
    ------
    CompareError
        Where fewer than two candidates were swept.
    """
    points: dict[int, list[SweptPoint]] = {}
    left_out: dict[str, str] = {}
    mounts = {m.id: (name, m) for name, m in v.evidence.mounts}
    for condition in v.conditions:
        for reading in readings_under(v.evidence, outcome, v.reference_power_w, condition=condition.name):
            _, mount = mounts[reading.mount_id]
            x = condition.settings.get(axis.setting) if axis.setting else _mean_of(v, mount, axis.role, condition.name)
            why = _why_not(reading, x, axis)
            if why:
                left_out[f"{reading.label}, {condition.label}"] = why
            elif reading.left_out is None and isinstance(x, (int, float)) and reading.value is not None:
                point = SweptPoint(reading.candidate, condition.label, float(x), reading.value)
                points.setdefault(reading.mount_id, []).append(point)
    swept = []
    for mount_id, own in points.items():
        name, mount = mounts[mount_id]
        if len(_levels([p.x for p in own])) < 2:
            left_out[f"{name}, round {mount.round}"] = tr("it was tested at one setting only")
            continue
        own.sort(key=lambda p: p.x)
        xs, ys = (np.array([getattr(p, k) for p in own], float) for k in ("x", "y"))
        swept.append(Swept(_value(v, name, mount), xs, ys))
    found = Sweep(
        axis=axis,
        outcome=outcome,
        swept=tuple(swept),
        points=tuple(p for own in points.values() for p in own),
        conditions=tuple(c.name for c in v.conditions),
        left_out=left_out,
    )
    if len(found.candidates) < 2:
        raise CompareError("fewer than two candidates were swept along {label}", label=axis.label)
    return found


def _why_not(reading: MountReading, x: object, axis: SweepAxis) -> str:
    if reading.left_out is not None:
        return ""  # which is told elsewhere
    if reading.value is None:
        return reading.problem or tr("it has no reading")
    if reading.held:
        return tr("held by a limit ({held}): only a bound", held=reading.held)
    return "" if isinstance(x, (int, float)) else tr("its {label} is not told", label=axis.label)


def _value(v: StudyVerdict, name: str, mount: Mount) -> MountValue:
    return MountValue(
        candidate=name,
        mount=str(mount.id),
        value=float("nan"),
        round=str(mount.round) if v.blocks else None,
        sample=str(mount.sample_id) if mount.sample_id is not None else None,
    )


def _confidence(v: StudyVerdict) -> float:
    return v.looks.confidence if v.looks is not None else v.evidence.study.confidence


def read_there(v: StudyVerdict, sweep: Sweep, at: float, curves: Curves | None = None, share: int = 1) -> ReadThere:
    """Compare candidates at one place.

    Parameters
    ----------
    curves : Curves, optional
        Of the same sweep at another place: what all curves have in common is taken from them.
    share : int
        Of so many comparisons together at the study's confidence (Bonferroni).
    """
    shape = None if curves is None else curves.shape
    found = read_along(sweep.swept, at, sweep.axis.way, shape, lacking=True)
    return _compared(v, sweep, sweep.outcome, found, share)


def needed_there(v: StudyVerdict, sweep: Sweep, wanted: float) -> ReadThere:
    """Compare what it takes: the speed or the loudness at which each mount has a wanted value."""
    found = places_for(sweep.swept, wanted, sweep.axis.way)
    axis = sweep.axis
    outcome = MEASURED.get(axis.role) or Outcome(
        key=axis.key, label=axis.label, unit=axis.unit, higher_is_better=not axis.fewer_is_better
    )
    return _compared(v, sweep, outcome, found, 1)


def _compared(v: StudyVerdict, sweep: Sweep, outcome: Outcome, found: Curves, share: int) -> ReadThere:
    values = found.values()
    there = {m.candidate for m in values}
    refused = tuple(n for n in sweep.candidates if n not in there)
    try:
        told = compared(v.evidence, outcome, values, 1 - (1 - _confidence(v)) / share)
        return ReadThere(at=found.at, outcome=outcome, curves=found, comparison=told, why_not="", refused=refused)
    except KuffinError as error:
        return ReadThere(
            at=found.at, outcome=outcome, curves=found, comparison=None, why_not=str(error), refused=refused
        )


@dataclass(frozen=True, kw_only=True)
class AlongStretch:
    """From where to where the same is said of two candidates: who is better, blank where they are not told apart."""

    begin: float
    end: float
    better: str
    same: bool


@dataclass(frozen=True, kw_only=True)
class AlongRange:
    """Candidates along the whole range.

    Attributes
    ----------
    places : tuple of ReadThere
    pairs : mapping of (a, b) to stretches
        All places together at the study's confidence, as many of them as there were settings.
    """

    places: tuple[ReadThere, ...]
    pairs: Mapping[tuple[str, str], tuple[AlongStretch, ...]]


def along_range(v: StudyVerdict, sweep: Sweep, report: Callable[[float], None] = lambda _: None) -> AlongRange:
    """Compare the candidates all along the range, for curves with bands and for how the ranking changes.

    A curve through k settings has k places that are independent, at most: the confidence is shared among so many.
    """
    low, high = sweep.span
    share = len(sweep.conditions)
    places: list[ReadThere] = []
    curves: Curves | None = None
    for n, at in enumerate(np.linspace(low, high, _PLACES)):
        places.append(read_there(v, sweep, float(at), curves, share))
        curves = places[-1].curves
        report((n + 1) / _PLACES)
    pairs: dict[tuple[str, str], list[AlongStretch]] = {}
    for there in places:
        for p in there.comparison.pairs if there.comparison is not None else ():
            better = (
                ""
                if p.verdict in {"same", "unsettled"}
                else (p.a if (p.verdict == "a_lower") != sweep.outcome.higher_is_better else p.b)
            )
            own = pairs.setdefault((p.a, p.b), [])
            told = (better, p.verdict == "same")
            if own and (own[-1].better, own[-1].same) == told:
                own[-1] = AlongStretch(begin=own[-1].begin, end=there.at, better=better, same=told[1])
            else:
                own.append(AlongStretch(begin=there.at, end=there.at, better=better, same=told[1]))
    return AlongRange(places=tuple(places), pairs={k: tuple(s) for k, s in pairs.items()})
