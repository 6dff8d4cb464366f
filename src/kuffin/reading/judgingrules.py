"""How a study's runs are judged: windows by the clock, thresholds, the bench's instruments, the protocol's steps."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass, replace
from functools import cached_property

from kuffin.core.base.uncertainty import Accuracy
from kuffin.core.bench.conditions import Condition, main_condition, of_steps
from kuffin.core.bench.devices import NOT_TOLD, Cooled
from kuffin.core.bench.protocol import Step, from_plain
from kuffin.core.bench.testsettings import Value
from kuffin.core.findings import CheckLimits
from kuffin.core.heat.coolant import mix_told
from kuffin.notebook.entities import Bench, Candidate, Part, Protocol, Study
from kuffin.notebook.shelf import bench_of, parts
from kuffin.notebook.store import Notebook
from kuffin.reading.configurations import cooled_by_bench, parts_of


def limits_of(study: Study, bench: Bench | None = None) -> CheckLimits:
    """The thresholds of a study's checks, and what the bench's instruments are good for."""
    return CheckLimits(dict(study.plan.get("thresholds") or {}), accuracies(bench))


def accuracies(bench: Bench | None) -> dict[str, Accuracy]:
    """What the bench's instruments are good for, by the role of their probes."""
    out: dict[str, Accuracy] = {}
    for i in bench.live_instruments if bench is not None else []:
        said = Accuracy(
            reading_percent=i.reading_percent,
            full_scale_percent=i.full_scale_percent,
            full_scale=i.full_scale or 0.0,
            counts=i.counts,
            count_size=i.count_size,
        )
        if said.reading_percent or said.offset_part:
            for probe in i.live_probes:
                if probe.role:
                    out[probe.role] = said
    return out


@dataclass(frozen=True)
class ClockWindow:
    """A window by the clock, in minutes from the load's start; None at its end: up to the load's end.

    Without a beginning it is the last `to_min` minutes before the load's end.
    """

    from_min: float | None
    to_min: float | None

    def on(self, load_start_s: float, load_end_s: float) -> tuple[float, float]:
        """On a run's clock; never outside the load."""
        if self.from_min is None:
            return max(load_end_s - 60 * (self.to_min or 3.0), load_start_s), load_end_s
        begin = min(load_start_s + 60 * self.from_min, load_end_s - 30)
        end = load_end_s if self.to_min is None else min(load_start_s + 60 * self.to_min, load_end_s)
        return max(begin, load_start_s), max(end, begin + 30)


@dataclass(frozen=True, kw_only=True)
class JudgingRules:
    """How a study's runs are judged: its protocol, its checks' thresholds, its bench and the shelf."""

    steps: tuple[Step, ...]
    limits: CheckLimits
    bench: Bench | None
    shelf: tuple[Part, ...]
    condition: str | None = None  # the condition that the verdict is about, where there are several
    cooled: Cooled = NOT_TOLD  # whose die is asked about, and what the loop cools
    idle: bool = False  # whether idle steps are conditions too
    tested: tuple[Condition, ...] = ()  # conditions that logs of their own were tested under

    @cached_property
    def conditions(self) -> tuple[Condition, ...]:
        """All conditions: the protocol's load steps, where there are several, and those of logs of their own."""
        planned = of_steps(self.steps, self.idle)
        names = {c.name.casefold() for c in planned}
        return (*planned, *(t for t in self.tested if t.name.casefold() not in names))

    def of(self, study: Study, candidate: Candidate) -> CheckLimits:
        """The thresholds for one candidate's runs, with the coolant that they are run with."""
        coolant = parts_of(study, candidate, self.bench, self.shelf).get("coolant")
        mix = mix_told(coolant.fields) if coolant is not None else None
        return self.limits if mix is None else replace(self.limits, mix=mix)


def ways_of(notebook: Notebook, study: Study) -> JudgingRules:
    """How a study's runs are judged; the same for all of them."""
    bench = bench_of(notebook, study.bench_id)
    steps = protocol_steps(notebook, study)
    tested = tested_under(study)
    idle = bool(study.plan.get("idle"))
    cooled = cooled_by_bench(study, bench)
    made = JudgingRules(
        steps=steps,
        limits=limits_of(study, bench),
        bench=bench,
        shelf=tuple(parts(notebook)),
        condition=None,
        cooled=cooled,
        idle=idle,
        tested=tested,
    )
    wanted = study.plan.get("condition")
    named = next((s.name for s in made.conditions if s.name == wanted), None)
    return replace(made, condition=named or main_condition(steps, idle=idle) or _commonest(study, made))


def tested_under(study: Study) -> tuple[Condition, ...]:
    """The conditions that a study's logs tell, in the order in which they came; none where there is only one.

    Of what its logs were run with, a condition has what they all were.
    """
    found: dict[str, tuple[str, list[dict[str, Value]]]] = {}
    for run in (r for c in study.live_candidates for m in c.live_mounts for r in m.live_runs if r.condition):
        found.setdefault(run.condition.casefold(), (run.condition, []))[1].append(run.settings)
    made = [
        Condition(name, name, {k: v for k, v in told[0].items() if all(one.get(k) == v for one in told)})
        for name, told in found.values()
    ]
    return tuple(made) if len(made) > 1 else ()


def _commonest(study: Study, ways: JudgingRules) -> str | None:
    """The condition that most mounts were tested under, the first of those."""
    counts = {
        s.name: sum(
            any(r.condition.casefold() == s.name.casefold() for r in m.live_runs)
            for c in study.live_candidates
            for m in c.live_mounts
        )
        for s in ways.conditions
    }
    return max(counts, key=lambda n: counts[n], default=None)


def protocol_steps(notebook: Notebook, study: Study) -> tuple[Step, ...]:
    """The steps of a study's protocol; none where it has no protocol."""
    if study.protocol_id is None:
        return ()
    with notebook.session() as session:
        protocol = session.get(Protocol, study.protocol_id)
        return from_plain(protocol.steps) if protocol is not None else ()


def clock_window(steps: Sequence[Step], condition: str = "") -> ClockWindow | None:
    """The window by the clock that a load step asks for, the first such step's where none is named; None: it is found."""
    for step in steps:
        by_clock = step.window_from_min is not None or step.window_to_min is not None
        if step.load and by_clock and condition in {"", step.name}:
            return ClockWindow(step.window_from_min, step.window_to_min)
    return None
