"""The conditions of a run: its load steps, each with its stretch of time."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from kuffin.core.base.pointers import CHANNELS
from kuffin.core.base.saying import chained, say
from kuffin.core.bench.configuration import OF_TEST
from kuffin.core.bench.protocol import Step
from kuffin.core.bench.roles import ROLES
from kuffin.core.bench.testsettings import Value, settings_words, short_words

Array = NDArray[np.float64]

LEAD_S = 90.0  # of the state before, kept in front so that a load's rise can be seen
IDLE_S = 120.0  # of idling before a load, so that it says something
SHORTEST_S = 240.0  # a level that is held for less is no step
_BOX_S = 15.0
_SMALLEST = 0.05  # share by which two levels of one quantity differ at least


@dataclass(frozen=True)
class Condition:
    """What mounts are tested under, as far as it is told: from a step of the protocol, or for logs of their own.

    Attributes
    ----------
    label : str
        In a few signs, for a table's head.
    settings : mapping
        By `core.bench.configuration.OF_TEST`, or by names of the person's own.
    """

    name: str
    label: str
    settings: Mapping[str, Value]

    @property
    def power_w(self) -> float | None:
        """The power that it is under, W."""
        found = self.settings.get("power_w")
        return float(found) if isinstance(found, (int, float)) else None

    @property
    def words(self) -> str:
        """All that is told of it; its name where nothing is."""
        told = settings_words(self.settings)
        return f"{self.name}: {told}" if told else self.name


def of_steps(steps: Sequence[Step], idle: bool = False) -> tuple[Condition, ...]:
    """The conditions that a protocol's steps are; none where it has fewer than two."""
    under = condition_steps(steps, idle)
    labels = [condition_words(s, under) for s in under]
    if len(set(labels)) < len(labels):  # two steps with the same settings keep their names
        labels = [s.name for s in under]
    made = tuple(Condition(s.name, label, s.settings) for s, label in zip(under, labels, strict=True))
    return made if len(made) > 1 else ()


@dataclass(frozen=True)
class Stretch:
    """One load step of a run: its name, and from when to when it was held, s."""

    name: str
    begin_s: float
    end_s: float


def load_steps(steps: Sequence[Step]) -> list[Step]:
    """The steps under load in which something is measured: a study's conditions."""
    return [s for s in steps if s.load and s.measure_min > 0]


def condition_steps(steps: Sequence[Step], idle: bool = False) -> list[Step]:
    """The steps that are conditions: those under load in which something is measured, and idle ones where they are asked for."""
    return [s for s in steps if s.measure_min > 0 and (s.load or idle)]


def main_condition(steps: Sequence[Step], wanted: str | None = None, idle: bool = False) -> str | None:
    """The condition that the verdict is about: the wanted one, else the load with the highest power, else the last load.

    None where there are fewer than two.
    """
    every, under = condition_steps(steps, idle), load_steps(steps)
    if len(every) < 2 or not under:
        return None
    if wanted in {s.name for s in every}:
        return wanted
    with_power = [s for s in under if s.power_w is not None]
    if with_power:
        return max(with_power, key=lambda s: s.power_w or 0.0).name
    return under[-1].name


def condition_words(step: Step, among: Sequence[Step] = ()) -> str:
    """A condition in a few signs: ``180 W``, ``pump 60 %``; its name where nothing is set.

    Parameters
    ----------
    among : sequence of Step
        All conditions: what is the same in all is not said.
    """

    def varies(key: str) -> bool:
        return len(among) < 2 or len({s.value_of(key) for s in among}) > 1

    said = [short_words(key, value) for key, value in step.settings.items() if key != "load" and varies(key)]
    return ", ".join(said) or step.name


def stretches_of(
    times: Array,
    channels: Mapping[str, Array | None],
    steps: Sequence[Step],
    stages: Sequence[tuple[float, int]] = (),
    idle: bool = False,
) -> tuple[list[Stretch], str]:
    """Where each load step of the protocol lies in a run.

    Parameters
    ----------
    times : ndarray, shape (n,)
        s, rising.
    channels : mapping
        By the role that shows a setting (`core.bench.configuration.OF_TEST`), each of shape (n,) or None.
    steps : sequence of Step
        The whole protocol.
    stages : sequence of (time, step number)
        Where the recorder wrote down when each step began; then they are taken as they are.
    idle : bool
        Whether idle steps are conditions too; without `stages` that is what lies before the first load.

    Returns
    -------
    stretches : list of Stretch
        Empty where the protocol has fewer than two conditions, or they cannot be found.
    problem : str
        Why some or all were not found; blank where all were.
    """
    every, under = condition_steps(steps, idle), load_steps(steps)
    if len(every) < 2 or times.size < 8:
        return [], ""
    if stages:
        return _from_stages(float(times[-1]), steps, every, stages)
    found, problem = _loads(times, channels, under)
    if not idle or not found:
        return found, problem
    before = next((s for s in every if not s.load), None)
    first = min(s.begin_s for s in found)
    if before is not None and first - times[0] >= IDLE_S:
        return [Stretch(before.name, float(times[0]), first), *found], problem
    lacks = (
        say("“{name}” is not in this run: it needs two minutes before the load", name=before.name)
        if before is not None
        else ""
    )
    return found, chained([x for x in (problem, lacks) if x], "; ")


def _loads(times: Array, channels: Mapping[str, Array | None], under: list[Step]) -> tuple[list[Stretch], str]:
    """Where the load steps lie, by what the channels show."""
    power = channels.get("power")
    if len(under) == 1:
        loaded = (
            [] if power is None else [h for h in _held(times, [power]) if _level(times, power, h) > 0.5 * _full(power)]
        )
        if not loaded:
            return [], say(
                "no power channel shows where the load begins; give one the role “power” {where}", where=say(CHANNELS)
            )
        return [Stretch(under[0].name, loaded[0][0], loaded[-1][1])], ""
    levels = [
        (key, setting.shown_by)
        for key, setting in OF_TEST.items()
        if setting.shown_by and len({v for s in under if (v := s.value_of(key)) is not None}) > 1
    ]
    if not levels:
        return [], say("the protocol's load steps differ in nothing that a channel could show")
    shown = [(key, x) for key, c in levels if (x := channels.get(c)) is not None]
    if not shown:
        return [], say(
            "no channel shows the protocol's steps; give one the role “{role}” {where}",
            role=say(ROLES[levels[0][1]].label),
            where=say(CHANNELS),
        )
    looked = [x for _, x in shown] + ([power] if power is not None and levels[0][1] != "power" else [])
    return _matched(times, shown, under, _held(times, looked), power)


def _held(times: Array, looked: Sequence[Array]) -> list[tuple[float, float]]:
    """The stretches between jumps that are long enough."""
    cuts = sorted({c for x in looked for c in jumps(times, x)})
    spans = zip([float(times[0]), *cuts], [*cuts, float(times[-1])], strict=True)
    return [(a, b) for a, b in spans if b - a >= SHORTEST_S]


def _level(times: Array, x: Array, span: tuple[float, float]) -> float:
    part = x[(times >= span[0] + 15) & (times <= span[1] - 5) & np.isfinite(x)]
    return float(np.median(part)) if part.size else float("nan")


def _full(power: Array) -> float:
    known = power[np.isfinite(power)]
    return float(np.percentile(known, 90)) if known.size else float("inf")


def _from_stages(
    last: float, steps: Sequence[Step], under: list[Step], stages: Sequence[tuple[float, int]]
) -> tuple[list[Stretch], str]:
    begun: list[tuple[float, int]] = []
    for at, number in sorted(stages):
        if not begun or begun[-1][1] != number:
            begun.append((at, number))
    ends = [at for at, _ in begun[1:]] + [last]
    found: dict[str, Stretch] = {}
    for (at, number), end in zip(begun, ends, strict=True):
        step = steps[number - 1] if 0 < number <= len(steps) else None
        if step is not None and step in under and end - at >= 60:
            found[step.name] = Stretch(step.name, at, end)  # a step that was repeated counts as its last
    lacking = [s.name for s in under if s.name not in found]
    return list(found.values()), say("not in this run: {names}", names=", ".join(lacking)) if lacking else ""


def _matched(
    times: Array,
    shown: list[tuple[str, Array]],
    under: list[Step],
    held: list[tuple[float, float]],
    power: Array | None,
) -> tuple[list[Stretch], str]:
    """Each stretch given to the step whose setting is nearest, where a channel shows the very figure; else by their order."""
    key, channel = shown[0]
    if power is not None and np.isfinite(power).any():
        full = max((_level(times, power, h) for h in held), default=0.0)
        held = [h for h in held if _level(times, power, h) > 0.25 * full]  # idle and cooling down are no load
    if OF_TEST[key].shown_in == OF_TEST[key].unit:
        found: list[Stretch] = []
        free = list(held)
        for step in under:
            wanted = float(step.value_of(key) or 0.0)
            near = [h for h in free if wanted and abs(_level(times, channel, h) / wanted - 1) < 0.15]
            if near:
                best = min(near, key=lambda h: abs(_level(times, channel, h) - wanted))
                free.remove(best)
                found.append(Stretch(step.name, *best))
        lacking = [s.name for s in under if s.name not in {f.name for f in found}]
        return found, say(
            "not found in this run by its {setting}: {names}", setting=say(OF_TEST[key].label), names=", ".join(lacking)
        ) if lacking else ""
    if len(held) != len(under):
        return [], say("the protocol has {n} load steps, this run shows {shown}", n=len(under), shown=len(held))
    return [Stretch(s.name, *h) for s, h in zip(under, held, strict=True)], ""


def jumps(times: Array, x: Array) -> list[float]:
    """When a held quantity was set to another level, s; dips between passes of a looped load are no jumps.

    Medians of two minutes before and after each box of 15 s are held against each other; a jump is a local extreme of
    their difference, larger than 5 % of the level and than five times the boxes' own noise.
    """
    ok = np.isfinite(x)
    t, v = times[ok], x[ok]
    if t.size < 40:
        return []
    edges = np.arange(t[0], t[-1] + _BOX_S, _BOX_S)
    which = np.searchsorted(edges, t, side="right") - 1
    boxes = np.array([np.median(v[which == i]) if (which == i).any() else np.nan for i in range(edges.size)])
    filled = np.isfinite(boxes)
    boxes = np.interp(np.arange(boxes.size), np.flatnonzero(filled), boxes[filled])
    n, w = boxes.size, 8
    difference = np.zeros(n)
    for i in range(3, n - 2):
        difference[i] = np.median(boxes[i : i + w]) - np.median(boxes[max(0, i - w) : i])
    noise = 1.4826 * float(np.median(np.abs(np.diff(boxes))))
    least = max(_SMALLEST * float(np.percentile(np.abs(boxes), 90)), 5 * noise)
    out: list[float] = []
    size = np.abs(difference)
    for i in np.flatnonzero(size >= least).tolist():
        near = size[max(0, i - w) : i + w + 1]
        if size[i] < near.max() or (out and edges[i] - out[-1] < w * _BOX_S):
            continue
        # among equal heights the middle one
        flat = [j for j in range(i, min(i + w, n)) if size[j] >= size[i] - 1e-12 * size[i]]
        at = float(edges[flat[len(flat) // 2]])
        before, after = np.median(boxes[max(0, i - w) : i]), np.median(boxes[flat[-1] + 1 : flat[-1] + 1 + w])
        out.append(_crossing(t, v, at, float(before), float(after if np.isfinite(after) else boxes[-1])))
    return out


def _crossing(t: Array, v: Array, near: float, before: float, after: float) -> float:
    middle = 0.5 * (before + after)
    inside = np.flatnonzero((t >= near - 75) & (t <= near + 75))
    beyond = (v[inside] > middle) if after > before else (v[inside] < middle)
    for k in range(beyond.size):
        if beyond[k] and beyond[k : k + 5].mean() > 0.7:
            return float(t[inside[k]])
    return near
