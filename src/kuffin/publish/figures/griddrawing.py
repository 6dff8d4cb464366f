"""Several outcomes and conditions at once: each cell how far every candidate is behind the best one."""

from __future__ import annotations

from collections.abc import Mapping
from functools import partial

from kuffin.core.base.numbers import begun
from kuffin.core.bench.outcomes import Outcome
from kuffin.core.compare.pairwords import best_of, joined, number
from kuffin.look.candidatemarks import mark
from kuffin.publish.figures.basis import mounts_words
from kuffin.publish.figures.canvas import Canvas
from kuffin.publish.figures.drawing import BuildStep, Drawing, Shown
from kuffin.verdict.grid import Axes, Cell, behind_best, family_confidence, reach, row_label, small_by
from kuffin.verdict.measuredconditions import measured_words
from kuffin.verdict.outcomes import OutcomeResult
from kuffin.verdict.study import StudyVerdict
from kuffin.verdict.tradeoffs import grid_said

Results = Mapping[Cell, OutcomeResult]

GRID = "outcomes"  # its key, and how those of its further pictures begin


def grid_drawings(v: StudyVerdict, axes: Axes, results: Results, together: int = 2) -> list[Drawing]:
    """The grid of all outcomes under all conditions, so many outcomes on a picture; none where there is only one cell."""
    if len(axes.cells) < 2 or not any(r.comparison is not None for r in results.values()):
        return []
    groups = [axes.outcomes[i : i + together] for i in range(0, len(axes.outcomes), together)]
    return [_drawing(v, axes, Axes(axes.conditions, group), results, i) for i, group in enumerate(groups)]


def _drawing(v: StudyVerdict, whole: Axes, axes: Axes, results: Results, number_: int) -> Drawing:
    order = v.main.ranking()
    order += [n for n in v.candidates if n not in order]
    here = {c: r for c, r in results.items() if c in axes.cells}
    said = grid_said(axes, here)
    measured = measured_words(v, without=("power",) if len(axes.conditions) > 1 else ())
    counts = mounts_words(next(iter(here.values())))
    names = [row_label(o) for o in axes.outcomes]
    return Drawing(
        key=f"{GRID}{f'-{number_ + 1}' if number_ else ''}",
        title=f"{begun(joined(names))}: how far each is behind the best",
        basis=(
            begun(" · ".join(w for w in (f"measured at {measured}" if measured else "", counts) if w)),
            f"Bars: interval of each mean; judged {family_confidence(v, whole)[1]}; 0 is the best candidate's mean",
        ),
        alt=" ".join([*said.first, *said.rest]) or "Nothing is told apart in any cell.",
        lines=len(axes.outcomes) * (1.25 * len(order) + 3.4) + 1.6,
        paint=partial(_paint, v.candidates, axes, here, order),
        stages=(
            BuildStep(cue="What was measured, one below the other.", shown=Shown(rows=0)),
            *(BuildStep(cue=f"{begun(name)}.", shown=Shown(rows=i)) for i, name in enumerate(reversed(names), 1)),
        ),
    )


def _ends(results: Results, outcome: Outcome) -> tuple[float, float]:
    """The ends of an outcome's scale: below the best, and behind it."""
    found = [r.comparison for c, r in results.items() if c.outcome == outcome.key and r.comparison is not None]
    below, most = reach(outcome, found)
    return 1.1 * below, 1.08 * most


def _paint(
    candidates: tuple[str, ...], axes: Axes, results: Results, order: list[str], canvas: Canvas, shown: Shown
) -> None:
    em = canvas.em
    size = min(1.0, canvas.height / (len(axes.outcomes) * (1.25 * len(order) + 3.4) + 1.6) / (1.35 * em) * 1.05)
    size = max(min(size, 1.0), 0.55)
    left = min(canvas.widest(order, size), 0.22 * canvas.width) + 2.8 * em * size
    head = 1.6 * em * size if len(axes.conditions) > 1 else 0.0
    tall = (canvas.height - head) / len(axes.outcomes)
    wide = (canvas.width - left) / len(axes.conditions)
    for column, (_, label) in enumerate(axes.conditions if head else ()):
        canvas.say(left + column * wide, 0.5 * em * size, label, bold=True, size=size, most=wide - em)
    for row, outcome in enumerate(axes.outcomes):
        if not shown.has(row, len(axes.outcomes)):
            continue
        top = head + row * tall
        inside = tall - 3.2 * em * size
        for i, name in enumerate(order):
            y = top + 1.5 * em * size + inside * (i + 0.5) / len(order)
            canvas.say(1.6 * em * size, y, name, size=size, most=left - 2.2 * em * size)
            canvas.mark(canvas.sheet, 0.7 * em * size, y, mark(_place(candidates, name)), 0.3 * size)
        ends = _ends(results, outcome)
        for column, (condition, _) in enumerate(axes.conditions):
            cell = Cell(condition, outcome.key)
            if cell in results:
                box = (left + column * wide, top + 1.5 * em * size, wide - 1.5 * em * size, inside)
                _paint_cell(canvas, candidates, outcome, results[cell], order, box, ends, size)


def _paint_cell(
    canvas: Canvas,
    candidates: tuple[str, ...],
    outcome: Outcome,
    result: OutcomeResult,
    order: list[str],
    box: tuple[float, float, float, float],
    ends: tuple[float, float],
    size: float,
) -> None:
    em, colours, found = canvas.em, canvas.colours, result.comparison
    x, y, width, height = box
    head = row_label(outcome)
    if found is None:
        canvas.say(
            x, y - 0.8 * em * size, f"{head}: {result.why_not}", size=0.85 * size, colour=colours.muted, most=width
        )
        return
    best = number(found.candidate(best_of(found)).mean, 0 if small_by(outcome, [found]) >= 3 else 1)
    over = "under" if outcome.higher_is_better else "over"
    canvas.say(x, y - 0.8 * em * size, f"{head}, {over} {best} {outcome.unit}".rstrip(), size=0.9 * size, most=width)
    area = canvas.axes(x, y, width, height, outcome.difference_unit)
    area.set_ylim(len(order), 0)
    canvas.tick_words(area, -ends[0], ends[1])
    area.tick_params(labelsize=0.75 * canvas.point * size)
    canvas.line(area, [0, 0], [0, len(order)], colours.muted, 0.08)
    there, failed = {c.name: c for c in found.candidates}, result.failed()
    scale = behind_best(outcome, found)
    for i, name in enumerate(order):
        c = there.get(name)
        instead = (
            ("met no limit" if found.free else "held by a limit: only a bound") if c is not None and c.bound else ""
        )
        instead = "could not be finished" if c is None and name in failed else instead
        if instead:
            place = x + width * (ends[0] / (ends[0] + ends[1])) + 0.4 * em
            canvas.say(place, y + height * (i + 0.5) / len(order), instead, size=0.75 * size, colour=colours.muted)
        elif c is not None:
            m = mark(_place(candidates, name))
            low, mean, high = scale[name]
            left, right = max(low, -ends[0]), min(high, ends[1])
            canvas.line(area, [left, right], [i + 0.5] * 2, m.on(colours.name), 0.14 * size)
            for end, beyond in ((left, low < left), (right, high > right)):
                if beyond:
                    canvas.goes_on(area, end, i + 0.5, end == left, m.on(colours.name), 0.5 * size)
            canvas.mark(area, mean, i + 0.5, m, 0.28 * size)


def _place(candidates: tuple[str, ...], name: str) -> int:
    return candidates.index(name) if name in candidates else 0
