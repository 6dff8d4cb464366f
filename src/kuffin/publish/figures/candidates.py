"""Candidates with their mounts, means and intervals, the best on top; those not told apart are joined by brackets."""

from __future__ import annotations

from functools import partial

from matplotlib.axes import Axes

from kuffin.core.base.numbers import begun
from kuffin.core.base.worked import Worked
from kuffin.core.bench.outcomes import Outcome
from kuffin.core.compare import Comparison
from kuffin.core.compare.pairwords import digits_for, joined, number, several, span
from kuffin.look.candidatemarks import mark
from kuffin.look.colours import TEXT
from kuffin.publish.figures.basis import basis_of, interval_words, mounts_words
from kuffin.publish.figures.canvas import Canvas
from kuffin.publish.figures.drawing import BuildStep, Drawing, Shown
from kuffin.said.comparisonwords import pair_rows, title
from kuffin.said.line import verdict_line
from kuffin.verdict.outcomes import MountReading, OutcomeResult
from kuffin.verdict.study import StudyVerdict


def candidates_drawing(v: StudyVerdict, result: OutcomeResult, key: str = "verdict") -> Drawing | None:
    """The study by one outcome; None where no mount can be read by it."""
    if not any(r.value is not None for r in result.readings):
        return None
    names = result.ranking()
    names += [n for n in v.candidates if n not in names and result.of(n)]
    doubtful = {o.mount_id for o in v.open_findings()}
    marks = "open marks: single mounts" + ("; ? a finding is open" if doubtful else "")
    marks += "; struck: left out" if any(r.left_out for r in result.readings) else ""
    condition, *rest = basis_of(v, result)
    return Drawing(
        key=key,
        title=title(v, result.outcome),
        basis=(condition, begun(marks), *rest),
        alt=alt_text(v, result),
        lines=2.7 * len(names) + 1.8,
        paint=partial(_paint, v.candidates, result, names, frozenset(doubtful)),
        stages=tuple(_stages(v, result, names)),
    )


def table_drawing(found: Comparison, what: str, unit: str) -> Drawing:
    """A comparison of a table of readings, which knows no study."""
    outcome = Outcome(key="table", label=what, unit=unit, higher_is_better=found.better == "higher")
    readings = tuple(
        MountReading(
            mount_id=i,
            candidate=m.candidate,
            round=1,
            worked=Worked(name="Value", symbol="y", value=m.value, source="as the table says"),
            settled=True,
            left_out=None,
        )
        for i, m in enumerate(found.mounts)
    )
    result = OutcomeResult(outcome=outcome, readings=readings, comparison=found, why_not=None)
    return Drawing(
        key="table",
        title=begun(what),
        basis=("Open marks: single mounts", f"{begun(mounts_words(result))} · {interval_words(result)}"),
        alt=_alt_text(begun(what), result),
        lines=2.7 * len(found.candidates) + 1.8,
        paint=partial(_paint, tuple(c.name for c in found.candidates), result, result.ranking(), frozenset()),
    )


def alt_text(v: StudyVerdict, result: OutcomeResult) -> str:
    """The picture in words, made from the verdict."""
    return _alt_text(title(v, result.outcome), result)


def _alt_text(what: str, result: OutcomeResult) -> str:
    found, unit = result.comparison, result.outcome.unit
    if found is None:
        return f"{what}: single mounts, no comparison yet. {result.why_not or ''}".strip()
    rows = []
    for name in result.ranking():
        c = found.candidate(name)
        digits = digits_for((c.high - c.low) / 2)
        bound = "at least " if c.bound else ""
        rows.append(f"{name} {bound}{number(c.mean, digits)} {unit} ({span(c.low, c.high, unit, digits)})")
    told = [r.verdict.rstrip(".") for r in pair_rows(result, 6)]
    return f"{what}, best first: {'; '.join(rows)}. {'. '.join(told)}."


def _stages(v: StudyVerdict, result: OutcomeResult, names: list[str]) -> list[BuildStep]:
    found, outcome = result.comparison, result.outcome
    unit = outcome.unit
    way = "right" if outcome.higher_is_better else "left"
    stages = [
        BuildStep(
            cue=f"{title(v, outcome)}, in {unit or 'numbers'}. Further {way} is better.",
            shown=Shown(rows=0, intervals=False, ties=False),
        )
    ]
    for i, name in enumerate(reversed(names), 1):
        values = [r.value for r in result.of(name) if r.value is not None and r.left_out is None]
        cue = (
            f"{name}: no mount that can be read."
            if not values
            else f"{name}: {several(len(values), 'mount')}, "
            + (f"{number(values[0])} {unit}." if len(values) == 1 else f"from {span(min(values), max(values), unit)}.")
        )
        stages.append(BuildStep(cue=cue, shown=Shown(rows=i, intervals=False, ties=False)))
    if found is not None:
        halves = [(c.high - c.low) / 2 for c in found.candidates]
        digits = digits_for(min(halves))
        stages.append(
            BuildStep(
                cue=f"Each mean with its interval: half-widths {span(min(halves), max(halves), outcome.difference_unit, digits)}.",
                shown=Shown(ties=False),
            )
        )
        ties = [joined(t) for t in tied(result)]
        if ties:
            stages.append(BuildStep(cue=f"Not told apart: {'; '.join(ties)}.", shown=Shown()))
    sentence = verdict_line(v).sentence
    stages.append(BuildStep(cue=sentence, shown=Shown(sentence=sentence)))
    return stages


def tied(result: OutcomeResult) -> list[list[str]]:
    """Candidates that are not told apart, by the brackets that join them."""
    found = result.comparison
    if found is None or any(c.group is None for c in found.candidates):
        return []
    group = {c.name: c.group or "" for c in found.candidates}
    letters = sorted({letter for g in group.values() for letter in g})
    out = [[n for n in result.ranking() if letter in group[n]] for letter in letters]
    return [names for names in out if len(names) > 1]


def _paint(
    candidates: tuple[str, ...],
    result: OutcomeResult,
    names: list[str],
    doubtful: frozenset[int],
    canvas: Canvas,
    shown: Shown,
) -> None:
    found, unit, em, colours = result.comparison, result.outcome.unit, canvas.em, canvas.colours
    there = {c.name: c for c in found.candidates} if found is not None else {}
    figures = {n: _figure(result, n) for n in names}
    brackets = tied(result)
    left = min(canvas.widest(names, bold=True), 0.3 * canvas.width) + 0.8 * em
    right = canvas.widest(list(figures.values()), 1.05) + 0.6 * em + (0.9 * em * len(brackets[:4]) if brackets else 0)
    height = canvas.height - 1.8 * em
    area = canvas.axes(left, 0, canvas.width - left - right, height, unit)
    values = [r.value for r in result.readings if r.value is not None]
    values += [x for c in there.values() if not c.bound for x in (c.low, c.high)]
    low, high = min(values), max(values)
    room = max(0.06 * (high - low), 0.1)
    area.set_ylim(len(names), 0)
    canvas.tick_words(area, low - room, high + room)
    row_height = height / len(names)
    apart = min(0.75 * em / row_height, 0.3)  # of a mount from the middle of its row
    for row, name in enumerate(names):
        if not shown.has(row, len(names)):
            continue
        m, middle = mark(candidates.index(name) if name in candidates else 0), row_height * (row + 0.5)
        colour = m.on(colours.name)
        canvas.say(0, middle, name, bold=True, most=left - 0.6 * em)
        for reading in result.of(name):
            _paint_mount(
                canvas, area, reading, row + 0.5 - apart, candidates.index(name) if name in candidates else 0, doubtful
            )
        c = there.get(name)
        if c is not None and shown.intervals:
            y = row + 0.5 + 0.6 * apart
            if not c.bound:
                canvas.line(area, [c.low, c.high], [y, y], colour, 0.19, solid_capstyle="butt")
            canvas.mark(area, c.mean, y, m, 0.42)
            canvas.say(canvas.width, middle, figures[name], size=1.05, side="right")
        elif c is None:
            canvas.say(canvas.width, middle, figures[name], size=1.05, side="right", colour=colours.muted)
    if shown.ties:
        for place, joint in enumerate(brackets[:4]):
            rows = [names.index(n) for n in joint]
            x = canvas.width - right + 0.7 * em + 0.9 * em * place
            a, b = row_height * (rows[0] + 0.5) - em, row_height * (rows[-1] + 0.5) + em
            canvas.rule(x, a, x, b, width=0.12)
            for y in (a, b):
                canvas.rule(x - 0.3 * em, y, x, y, width=0.12)


def _figure(result: OutcomeResult, name: str) -> str:
    found = result.comparison
    c = next((c for c in found.candidates if c.name == name), None) if found is not None else None
    if c is None:
        return "–"
    half = (c.high - c.low) / 2
    digits = digits_for(half)
    plus = "" if c.bound else f" ± {number(half, digits)}"
    return f"{'≥ ' if c.bound else ''}{number(c.mean, digits)}{plus} {result.outcome.unit}".rstrip()


def _paint_mount(
    canvas: Canvas, area: Axes, reading: MountReading, y: float, position: int, doubtful: frozenset[int]
) -> None:
    if reading.value is None:
        return
    canvas.mark(area, reading.value, y, mark(position), 0.26, filled=False, struck=reading.left_out is not None)
    if reading.mount_id in doubtful and reading.left_out is None:
        area.annotate(
            "?", (reading.value, y), (0.5 * canvas.point, 0.2 * canvas.point), textcoords="offset points",
            color=canvas.colours.warn, fontsize=0.85 * canvas.point, fontweight="bold", family=TEXT,
        )  # fmt: skip
