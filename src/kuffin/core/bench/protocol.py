"""Protocols: the steps of a run, how each settles, how long each takes."""

from __future__ import annotations

import re
from collections.abc import Mapping, Sequence
from dataclasses import asdict, dataclass, field, replace
from typing import Any

import numpy as np

from kuffin.core.base.errors import BenchError
from kuffin.core.base.language import mark, tr
from kuffin.core.base.numbers import outside
from kuffin.core.base.saying import chained, say
from kuffin.core.bench.configuration import OF_TEST
from kuffin.core.bench.testsettings import short_words

DEFAULT_TAU_S = 600.0
DEFAULT_RISE_K = 12.0
CHECK_MIN = 2.0  # under the load, until a mount is checked
_LIGHT = 0.5  # of the full load: enough to be seen, and cool enough with a bad contact
SETTLES = {"detect": "by itself", "clock": "by the clock", "check": "by the check"}  # and how one says it
OWN_FIELDS = ("load", "power_w", "pump_percent", "fan_percent")  # settings that a step has a field of its own for


_ASKED = re.compile(r"^(?P<name>[^\[]+?)\s*(?:\[(?P<unit>[^\]]*)\])?$")


@dataclass(frozen=True, kw_only=True)
class Step:
    """One step of a run.

    Attributes
    ----------
    load : str
        What runs meanwhile; blank for idle.
    power_w, pump_percent, fan_percent : float or None
        None: as it stands.
    settle : str
        A key of `SETTLES`. ``detect``: until the trace has settled, at most `longest_min`; ``clock``: `longest_min` by the
        clock; ``check``: until the mount check is made, a light load before the full one; it holds where it looks bad.
    measure_min : float
        How long is measured after settling.
    ask : str
        Numbers that are asked for when the step ends, such as ``score, frame rate [1/s]``; blank for none.
    window_from_min, window_to_min : float or None
        A window by the clock, minutes from the load's start; without a beginning: the last `window_to_min` minutes. None
        and None: the window is found.
    also : dict
        What else is set, by `core.bench.configuration.OF_TEST`, or by a name of the person's own: ``power_limit_w``, ``driver`` …
    """

    name: str
    load: str = ""
    power_w: float | None = None
    pump_percent: float | None = None
    fan_percent: float | None = None
    settle: str = "detect"
    longest_min: float = 45.0
    measure_min: float = 5.0
    ask: str = ""
    window_from_min: float | None = None
    window_to_min: float | None = None
    also: dict[str, float | str] = field(default_factory=dict, hash=False)

    def value_of(self, key: str) -> float | str | None:
        """What it sets a setting to (by `core.bench.configuration.OF_TEST`, or a name of the person's own); None: as it stands."""
        found = getattr(self, key) if key in OWN_FIELDS else self.also.get(key)
        return None if found == "" else found

    @property
    def settings(self) -> dict[str, float | str]:
        """All that it sets, in the order of the settings, the person's own last."""
        keys = (*OF_TEST, *(k for k in self.also if k not in OF_TEST))
        return {k: value for k in keys if (value := self.value_of(k)) is not None}


def usual_steps() -> tuple[Step, ...]:
    """The three steps that most tests are made of: idle, load, cool down.

    >>> [step.name for step in usual_steps()]
    ['idle', 'load', 'cool down']
    """
    return (
        Step(name="idle", settle="clock", longest_min=5, measure_min=2),
        Step(name="load", load="batch stretch", settle="detect", longest_min=45, measure_min=5),
        Step(name="cool down", settle="clock", longest_min=8, measure_min=0),
    )


def with_mount_check(steps: Sequence[Step]) -> tuple[Step, ...]:
    """The steps with a light load before the first one, under which the mount is checked.

    Raises
    ------
    BenchError
        Where nothing runs under a load, or a check is there already.

    >>> [step.name for step in with_mount_check(usual_steps())]
    ['idle', 'mount check', 'load', 'cool down']
    """
    first = next((i for i, s in enumerate(steps) if s.load), None)
    if first is None:
        raise BenchError("no step has a load; give one its load first")
    if steps[first].settle == "check":
        raise BenchError("“{name}” checks the mount already", name=steps[first].name)
    full = steps[first].power_w
    light = replace(
        steps[first],
        name="mount check",
        power_w=None if full is None else round(_LIGHT * full, -1),
        settle="check",
        longest_min=5.0,
        measure_min=0.0,
        ask="",
        window_from_min=None,
        window_to_min=None,
    )
    return (*steps[:first], light, *steps[first:])


_LAST, _FROM = mark("last {end:g} min"), mark("from {begin:g} min")


def window_words(step: Step) -> str:
    """A step's window in words, as `read_window` reads it.

    >>> window_words(Step(name="load")), window_words(Step(name="load", window_to_min=3.0))
    ('found', 'last 3 min')
    """
    begin, end = step.window_from_min, step.window_to_min
    if begin is None and end is None:
        return tr("found")
    if begin is None:
        return tr(_LAST, end=end)
    return tr(_FROM, begin=begin) if end is None else tr("{begin:g}–{end:g} min", begin=begin, end=end)


def read_window(written: str) -> tuple[float | None, float | None]:
    """A window by the clock as people write it: ``27 to 30 min``, ``27-30``, ``last 3 min``, ``from 27``, ``found``.

    Raises
    ------
    BenchError
        Where it is none of these.
    """
    said = written.strip().lower().replace(",", ".")
    last, since = (tr(pattern).partition("{")[0].strip().lower() for pattern in (_LAST, _FROM))
    numbers = [float(n) for n in re.findall(r"\d+(?:\.\d+)?", said)]
    if not numbers and said in {"", "found", tr("found"), "detect", "auto", "automatic"}:
        return None, None
    if len(numbers) == 1 and said.startswith(("last", last)):
        return None, numbers[0]
    if len(numbers) == 1 and said.startswith(("from", "after", since)):
        return numbers[0], None
    if len(numbers) == 2 and numbers[1] > numbers[0]:
        return numbers[0], numbers[1]
    raise BenchError(
        "“{written}” is no window; write it like “27 to 30 min”, “last 3 min”, or “found”", written=written
    )


def check(steps: Sequence[Step]) -> None:
    """Refuse steps that cannot be run.

    Raises
    ------
    BenchError

    >>> check(usual_steps())
    """
    if not steps:
        raise BenchError("a protocol needs at least one step")
    for i, step in enumerate(steps, 1):
        where = f"step {i} ({step.name or 'no name'})"
        if not step.name.strip():
            raise BenchError("step {i} has no name", i=i)
        if step.settle not in SETTLES:
            raise BenchError(
                "{where}: it settles in one of these ways: {values}",
                where=where,
                values=chained([say(v) for v in SETTLES.values()], ", "),
            )
        if step.settle == "check" and (not step.load or any(s.load for s in steps[: i - 1])):
            raise BenchError("{where}: the mount is checked under the first load, before any other", where=where)
        if not 0 <= step.longest_min <= 1440 or not 0 <= step.measure_min <= 1440:
            raise BenchError("{where}: times are between 0 and 1440 minutes", where=where)
        for key, value in step.settings.items():
            setting = OF_TEST.get(key)
            if setting is None or setting.kind != "number":
                continue
            if isinstance(value, str):
                raise BenchError("{where}: {label} must be a number", where=where, label=say(setting.label))
            if not setting.low <= value <= setting.high:
                said = outside(value, setting.low, setting.high, setting.unit)
                raise BenchError("{where}: {label}: {said}", where=where, label=say(setting.label), said=said)
        begin, end = step.window_from_min, step.window_to_min
        if (begin is not None and begin < 0) or (end is not None and end <= (begin or 0.0)):
            raise BenchError(
                "{where}: a window by the clock begins at 0 min or later and ends after it begins", where=where
            )
    if not any(step.measure_min > 0 for step in steps):
        raise BenchError("nothing is measured: at least one step needs time to measure")


def warm_up_min(tau_s: float, rise_k: float, tolerance_k: float) -> float:
    """How long a first-order warm-up takes to come within the tolerance: ``τ·ln(rise/tolerance)``, in minutes."""
    return float(tau_s * np.log(max(abs(rise_k) / tolerance_k, 1.0)) / 60)


def step_minutes(
    step: Step, tau_s: float = DEFAULT_TAU_S, rise_k: float = DEFAULT_RISE_K, tolerance_k: float = 0.2
) -> float:
    """How long a step is expected to take, from the loop's time constant where it settles by detection."""
    usual = {"detect": warm_up_min(tau_s, rise_k, tolerance_k) + 5.0, "check": CHECK_MIN}
    return min(usual.get(step.settle, step.longest_min), step.longest_min) + step.measure_min


def run_minutes(
    steps: Sequence[Step], tau_s: float = DEFAULT_TAU_S, rise_k: float = DEFAULT_RISE_K, tolerance_k: float = 0.2
) -> float:
    """How long a whole run is expected to take; steps after the first settle over a third of the rise.

    >>> round(run_minutes(usual_steps(), tau_s=60.0, rise_k=10.0))
    29
    """
    total, warmed = 0.0, False
    for step in steps:
        total += step_minutes(step, tau_s, rise_k / 3 if warmed else rise_k, tolerance_k)
        warmed = warmed or step.settle == "detect"
    return total


def sweep(base: Step, what: str, values: Sequence[float]) -> tuple[Step, ...]:
    """A protocol of many steps: one step, with one thing set to each of several values in turn.

    Parameters
    ----------
    what : str
        The setting: any of a test that is a number.

    Raises
    ------
    BenchError
        Where there is nothing to sweep.

    >>> [s.name for s in sweep(Step(name="load", load="long mix"), "fan_percent", [40, 70])]
    ['load, fans 40 %', 'load, fans 70 %']
    """
    setting = OF_TEST.get(what)
    if setting is None or setting.kind != "number":
        raise BenchError("“{what}” cannot be swept; choose power, pump or fans", what=what)
    if len(set(values)) < 2:
        raise BenchError("a sweep needs at least two different values")
    steps: tuple[Step, ...] = ()
    for value in values:
        change: dict[str, Any] = (
            {what: float(value)} if what in OWN_FIELDS else {"also": {**base.also, what: float(value)}}
        )
        steps = (
            *steps,
            replace(base, name=f"{base.name}{'' if what == 'power_w' else ','} {short_words(what, value)}", **change),
        )
    check(steps)
    return steps


def to_plain(steps: Sequence[Step]) -> list[dict[str, Any]]:
    """Steps as they are kept in a notebook.

    >>> to_plain(usual_steps())[0]["name"]
    'idle'
    """
    return [asdict(s) for s in steps]


def from_plain(kept: Sequence[Mapping[str, Any]]) -> tuple[Step, ...]:
    """Steps from a notebook; what an older Kuffin did not know takes its default.

    >>> [s.name for s in from_plain(to_plain(usual_steps()))]
    ['idle', 'load', 'cool down']
    """
    known = Step.__dataclass_fields__
    return tuple(Step(**{k: v for k, v in step.items() if k in known}) for step in kept)


def asked_for(ask: str) -> list[tuple[str, str]]:
    """The names and units of the numbers that a step asks for when it ends.

    >>> asked_for("score, frame rate [1/s]")
    [('score', ''), ('frame rate', '1/s')]
    """
    found = []
    for one in filter(None, (a.strip() for a in ask.split(","))):
        match = _ASKED.match(one)
        found.append((match["name"], match["unit"] or "") if match else (one, ""))
    return found
