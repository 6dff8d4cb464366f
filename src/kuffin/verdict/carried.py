"""Outcomes of all mounts, carried from where they were measured to where they were not: by their curves, or by what is known of the way."""

from __future__ import annotations

from collections.abc import Callable, Hashable, Iterator, Mapping, Sequence
from dataclasses import dataclass, field, replace
from functools import cached_property, partial
from typing import Any, TypeVar

import numpy as np

from kuffin.core.base.errors import KuffinError
from kuffin.core.base.language import tr
from kuffin.core.bench.conditions import Condition
from kuffin.core.bench.outcomes import MEASURED as OUTCOMES
from kuffin.core.bench.outcomes import Outcome
from kuffin.core.bench.sweepaxes import SWEEP_AXES
from kuffin.core.compare.along import Curves, read_along
from kuffin.core.predict.carrying import (
    BY_POWER,
    CARRIED,
    ESTIMATED,
    MEASURED,
    Answers,
    Foreseen,
    Pooled,
    one_more,
    scatters,
    worst,
)
from kuffin.verdict.along import Sweep, sweep_of
from kuffin.verdict.outcomes import MountReading, readings_under
from kuffin.verdict.study import StudyVerdict

T = TypeVar("T")

_SAME = 0.03  # share within which two settings are the same
_NEAR = 0.10  # outside what was measured, from which it is said
SETTINGS_ASKED = {
    "fan": "fan_percent",
    "pump": "pump_percent",
}  # what is asked for, and the setting of a test that it is
ALONG = ("fan", "pump", "power")  # what an outcome may have been swept along


@dataclass(frozen=True, kw_only=True)
class OtherPart:
    """A part that was measured in another study, taken in for what the bench has in its place.

    Attributes
    ----------
    kind, name, study : str
        Such as ``radiators``, ``Sedge``, and the study that measured it.
    flight : str
        The flight of the staircase that it makes.
    verdict : StudyVerdict
        Of the study that measured it.
    same_bench : bool
    """

    kind: str
    name: str
    study: str
    flight: str
    verdict: StudyVerdict
    same_bench: bool


@dataclass(frozen=True, kw_only=True)
class OtherFlow:
    """What other parts or another coolant do to the flow: the factor, its half-width as a share, and how it is known."""

    factor: float
    share: float
    why: str


@dataclass(frozen=True, kw_only=True)
class OtherCoolant:
    """Another coolant: what it does to each flight, as a factor with its half-width as a share."""

    name: str
    flights: Mapping[str, tuple[float, float]]


@dataclass(frozen=True, kw_only=True)
class WhatIf:
    """What is asked for; None: as it was measured.

    Attributes
    ----------
    power_w : float or None
        Of the device that is asked about.
    others_w : float or None
        Of all others that heat the coolant.
    part : OtherPart or None
    coolant : OtherCoolant or None
    flow : OtherFlow or None
        What the two do to the flow.
    """

    power_w: float | None = None
    air_c: float | None = None
    fan: float | None = None
    pump: float | None = None
    limit_c: float | None = None
    others_w: float | None = None
    part: OtherPart | None = None
    coolant: OtherCoolant | None = None
    flow: OtherFlow | None = None


@dataclass(frozen=True, kw_only=True)
class Carried:
    """An outcome of every mount, carried to what is asked: by candidate, with further half-widths as shares of it."""

    values: Mapping[str, list[float]]
    readings_half: float
    shares: tuple[float, ...] = ()
    label: str = MEASURED
    beyond: tuple[str, ...] = ()
    why: tuple[str, ...] = ()
    along: tuple[str, ...] = ()  # the settings that it was carried along
    spread: str = "moderated"

    def of(self, name: str) -> float:
        """A candidate's mean."""
        return float(np.mean(self.values[name]))

    def foreseen(self, name: str) -> Foreseen:
        """What one more mount of a candidate would show."""
        also = [self.readings_half, *(s * abs(self.of(name)) for s in self.shares)]
        return one_more(self.values[name], self.scatters[name], also, self.label)

    @cached_property
    def scatters(self) -> dict[str, Pooled]:
        """What mounts of each candidate scatter by, as the study takes it."""
        return scatters(self.values, self.spread)


@dataclass(frozen=True)
class MeasuredAt:
    """Where the study was measured, as far as it is told: power, fans and pump in per cent; with what was looked up of it so far."""

    levels: Mapping[str, tuple[float, ...]] = field(default_factory=dict)
    _found: dict[Hashable, Any] = field(default_factory=dict, repr=False, compare=False)

    def once(self, key: Hashable, look_up: Callable[[], T]) -> T:
        """What a key stands for, looked up the first time: a question asks for the same readings at many powers."""
        if key not in self._found:
            self._found[key] = look_up()
        found: T = self._found[key]
        return found

    def usual(self, key: str) -> float | None:
        """The middle of a setting's levels; None where it is not told."""
        values = self.levels.get(key)
        return float(np.median(values)) if values else None


def measured_at(v: StudyVerdict) -> MeasuredAt:
    """The settings that the study's tests had: told by their conditions, else by the bench; power as it was measured."""
    ways = v.evidence.ways
    usual = {} if ways is None or ways.bench is None else ways.bench.settings
    levels: dict[str, list[float]] = {"fan": [], "pump": [], "power": []}
    for condition in v.conditions or (Condition("", "", {}),):
        name = condition.name or None
        for key, setting in SETTINGS_ASKED.items():
            told = condition.settings.get(setting, usual.get(setting))
            if isinstance(told, (int, float)):
                levels[key].append(float(told))
        power = v.evidence.typical_power("die", name)
        if power is not None:
            levels["power"].append(power)
    return MeasuredAt({k: tuple(x) for k, x in levels.items() if x})


def carry(
    v: StudyVerdict,
    outcome: Outcome,
    asked: WhatIf,
    there: MeasuredAt,
    power_w: float | None,
    answers: Mapping[str, Answers],
    along: Sequence[str] = ALONG,
) -> Carried | None:
    """An outcome of all mounts at what is asked: along what was swept by its curve, along the rest by what is known of it; None without readings."""
    swept = _swept_along(v, outcome, asked, power_w, along)
    rise = swept[0] if swept is not None else _mean_near(v, outcome, asked)
    if rise is None:
        return None
    rise, taken = replace(rise, spread=v.evidence.study.spread), "" if swept is None else swept[1]
    for key, answer in answers.items():
        want, was = getattr(asked, key), there.usual(key)
        if key == taken or want is None:
            continue
        if was is None:
            rise = replace(
                rise,
                why=(*rise.why, tr("the setting of the tests is not told, and taken as it was: {key}", key=tr(key))),
            )
        elif abs(want / was - 1) > _SAME:
            factor, share = answer.factor(want / was)
            told = tr("{key} at {want:g} %, measured at {was:g} %", key=tr(key), want=want, was=was)
            rise = replace(times(rise, factor, share, ESTIMATED, told, key), along=(*rise.along, key))
    if power_w is not None and taken != "power":
        rise = _to_power(rise, power_w, there.levels.get("power", ()))
    return rise


def _to_power(rise: Carried, power_w: float, levels: Sequence[float]) -> Carried:
    """A rise per watt stays what it is, as far as anybody knows: that grows less sure the further it is carried."""
    if not levels:
        return rise
    low, high = min(levels), max(levels)
    nearest = min(levels, key=lambda p: abs(np.log(power_w / p)))
    if abs(power_w / nearest - 1) <= _SAME:
        return rise
    inside = low * (1 - _NEAR) <= power_w <= high * (1 + _NEAR)
    share = BY_POWER * abs(float(np.log(power_w / nearest)))
    said = tr("{power_w:.0f} W, measured at {nearest:.0f} W", power_w=power_w, nearest=nearest)
    return times(rise, 1.0, share, CARRIED, said, "" if inside else "power")


def times(rise: Carried, factor: float, share: float, label: str, why: str, beyond: str) -> Carried:
    """A rise by a factor that is itself known to a share of it only."""
    return replace(
        rise,
        values={n: [x * factor for x in xs] for n, xs in rise.values.items()},
        shares=(*rise.shares, share),
        label=worst([rise.label, label]),
        why=(*rise.why, why),
        beyond=(*rise.beyond, *((beyond,) if beyond else ())),
    )


def _swept_along(
    v: StudyVerdict, outcome: Outcome, asked: WhatIf, power_w: float | None, along: Sequence[str]
) -> tuple[Carried, str] | None:
    """All mounts off their own curves, where the study swept something that is asked for; None where it did not."""
    there = {a.key for a in v.sweep_axes}
    wanted = {"fan": ("fan_percent", asked.fan), "pump": ("pump_percent", asked.pump), "power": ("power", power_w)}
    for key, (axis, at) in wanted.items():
        if key not in along or axis not in there or at is None:
            continue
        try:
            sweep, curves = v.measured.once((outcome.key, axis, at), partial(_curves, v, outcome, axis, at))
        except KuffinError:
            continue
        values: dict[str, list[float]] = {}
        halves = []
        for m in curves.mounts:
            values.setdefault(m.mount.candidate, []).append(m.fitted)
            halves.append(m.u95 or 0.0)
        low, high = sweep.span
        inside = low * (1 - _SAME) <= at <= high * (1 + _SAME)
        near = min(max(at, low), high)
        share = 0.0 if inside else 0.15 * abs(float(np.log(at / near)))
        unit = "W" if key == "power" else "%"
        why = (
            tr(
                "{key} at {at:g} {unit}, along the curve of {low:g} to {high:g} {unit}",
                key=tr(key),
                at=at,
                unit=unit,
                low=low,
                high=high,
            ),
        )
        found = Carried(
            values=values,
            along=(key,),
            readings_half=float(np.median(halves)),
            shares=(share,),
            label=MEASURED if inside else ESTIMATED,
            beyond=() if inside else (key,),
            why=why,
        )
        return found, key
    return None


def _curves(v: StudyVerdict, outcome: Outcome, axis: str, at: float) -> tuple[Sweep, Curves]:
    sweep: Sweep = v.measured.once((outcome.key, axis), lambda: sweep_of(v, SWEEP_AXES[axis], outcome))
    return sweep, read_along(sweep.swept, at, sweep.axis.way, lacking=True)


def _readings(v: StudyVerdict, outcome: Outcome, condition: str | None) -> list[MountReading]:
    return v.measured.once(
        ("readings", outcome.key, condition),
        lambda: readings_under(v.evidence, outcome, v.reference_power_w, condition=condition),
    )


def _mean_near(v: StudyVerdict, outcome: Outcome, asked: WhatIf) -> Carried | None:
    """Each mount's own reading under the condition that lies nearest to what is asked, of those under which most can be read."""
    best: tuple[dict[str, list[float]], list[float]] = ({}, [])
    for condition in _by_nearness(v, asked):
        values: dict[str, list[float]] = {}
        halves = []
        for r in _readings(v, outcome, condition):
            if r.value is not None and r.left_out is None and not r.held:
                values.setdefault(r.candidate, []).append(r.value)
                halves.append(r.u95 or 0.0)
        if len(halves) > len(best[1]):
            best = values, halves
    return Carried(values=best[0], readings_half=float(np.median(best[1]))) if best[1] else None


def _by_nearness(v: StudyVerdict, asked: WhatIf) -> Iterator[str | None]:
    """The conditions from the one whose settings lie nearest to what is asked; the verdict's first among equals."""
    if not v.conditions:
        yield v.condition
        return

    def far(c: Condition) -> tuple[float, bool]:
        pairs = [(c.settings.get(s), getattr(asked, k)) for k, s in SETTINGS_ASKED.items()]
        pairs.append((v.evidence.typical_power("die", c.name), asked.power_w))
        gaps = [
            abs(float(np.log(want / was))) for was, want in pairs if isinstance(was, (int, float)) and was > 0 and want
        ]
        return sum(gaps), c.name != v.condition

    yield from (c.name for c in sorted(v.conditions, key=far))


def flow_ratio(v: StudyVerdict, flow: Carried) -> float:
    """The flow that is foreseen over the one that was measured, over all candidates."""
    was = [r.value for r in _readings(v, OUTCOMES["flow"], v.condition) if r.value]
    now = [x for xs in flow.values.values() for x in xs]
    return float(np.mean(now) / np.mean(was)) if was and now else 1.0


def with_flow(rise: Carried, ratio: float, answers: Answers, asked: WhatIf, there: MeasuredAt) -> Carried:
    """What another flow does to a rise that was not swept over it."""
    if abs(ratio - 1) <= _SAME or "pump" in rise.along:
        return rise
    factor, share = answers.factor(ratio)
    was = there.usual("pump")
    said = tr(
        "{ratio:.0f} % of the flow, as the pump is at {pump:g} % and not {was:g} %",
        ratio=100 * ratio,
        pump=asked.pump or 0,
        was=was or 0,
    )
    return times(rise, factor, share, ESTIMATED, said, "pump")


def together(rises: Sequence[Carried], watts: Sequence[float], reference_w: float) -> Carried:
    """The flights added mount by mount, so that what one mount has in both stands together; candidates that lack one are left out."""
    names = [n for n in rises[0].values if all(len(r.values.get(n, ())) == len(rises[0].values[n]) for r in rises)]
    factors = [w / reference_w for w in watts]
    values = {
        n: [
            float(sum(x * f for x, f in zip(xs, factors, strict=True)))
            for xs in zip(*(r.values[n] for r in rises), strict=True)
        ]
        for n in names
    }
    level = {id(r): float(np.mean([np.mean(r.values[n]) for n in names])) for r in rises} if names else {}
    total = sum(level[id(r)] * f for r, f in zip(rises, factors, strict=True)) if names else 1.0
    shares = [
        float(np.sqrt(sum(s**2 for s in r.shares))) * level.get(id(r), 0.0) * f / max(total, 1e-9)
        for r, f in zip(rises, factors, strict=True)
    ]
    half = float(np.sqrt(sum((r.readings_half * f) ** 2 for r, f in zip(rises, factors, strict=True))))
    return Carried(
        values=values,
        readings_half=half,
        shares=tuple(shares),
        label=worst([r.label for r in rises]),
        beyond=tuple(b for r in rises for b in r.beyond),
        along=tuple(a for r in rises for a in r.along),
        spread=rises[0].spread,
    )
