"""Numbers that were told of a run: asked for at a step's end, or marked with a value while it ran."""

from __future__ import annotations

from collections import Counter
from collections.abc import Iterable, Sequence
from itertools import pairwise

from kuffin.core.bench.protocol import Step, asked_for
from kuffin.notebook.entities import Run
from kuffin.reading.runresult import RunResult

_LATE_S = 1.0  # a number is asked for in the tick after its step


def asked_names(run: Run) -> dict[str, str]:
    """The names of the numbers told of a run, with their units."""
    return {m.text: m.unit for m in run.marks if m.kind == "value" and m.value is not None and m.text}


def usual_units(runs: Iterable[Run]) -> dict[str, str]:
    """The names of the numbers told of several runs, each with the unit that most were told in."""
    told: dict[str, Counter[str]] = {}
    for run in runs:
        for name, unit in asked_names(run).items():
            told.setdefault(name, Counter())[unit] += 1
    return {name: units.most_common(1)[0][0] for name, units in told.items()}


def asked_values(run: Run, result: RunResult, steps: Sequence[Step], name: str) -> list[tuple[float, float]]:
    """When and what was told under a name, of the condition that a result is about.

    A number that a step asks for belongs to the last such step that was over by then; any other to the step that it was
    told in. Where the run holds one condition only, all of them belong to it.
    """
    told = [
        (m.at_s, m.value)
        for m in run.marks
        if m.kind == "value" and m.value is not None and m.text.casefold() == name.casefold()
    ]
    if result.stretch_s is None:
        return told
    asking = {s.name for s in steps if name.casefold() in {n.casefold() for n, _ in asked_for(s.ask)}}
    begin, end = result.stretch_s
    if result.condition not in asking:
        return [(at, value) for at, value in told if begin <= at < end] if not asking else []
    ends = sorted(end_s for step, end_s in _ends(run, steps) if step in asking)
    own = next((e for e in ends if abs(e - end) < 60.0), end)
    later = min((e for e in ends if e > own), default=float("inf"))
    return [(at, value) for at, value in told if own - _LATE_S <= at < later - _LATE_S]


def _ends(run: Run, steps: Sequence[Step]) -> list[tuple[str, float]]:
    """When each step was over, by what the recorder wrote down."""
    stages = [(m.at_s, round(m.value)) for m in run.marks if m.kind == "stage" and m.value is not None]
    out = []
    for (_, number), (at_s, then) in pairwise(stages):
        if then != number and 1 <= number <= len(steps):
            out.append((steps[number - 1].name, at_s))
    return out
