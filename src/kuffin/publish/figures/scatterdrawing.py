"""What the scatter between mounts is made of: a bar for each source."""

from __future__ import annotations

from functools import partial

from kuffin.publish.figures.basis import conditions_words, mounts_words
from kuffin.publish.figures.canvas import Canvas
from kuffin.publish.figures.drawing import Drawing, Shown
from kuffin.verdict.scatter import scatter_of
from kuffin.verdict.study import StudyVerdict

Bars = list[tuple[str, float, str]]


def scatter_drawing(v: StudyVerdict) -> Drawing | None:
    """The sources of scatter; None where no candidate has a second mount."""
    found = scatter_of(v)
    if found is None:
        return None
    unit = v.outcome.difference_unit
    bars = found.bars(unit)
    silent = f"Not to be seen apart here: {'; '.join(found.scatter.silent)}" if found.scatter.silent else ""
    return Drawing(
        key="scatter",
        title="What the scatter between mounts is made of",
        basis=tuple(
            line
            for line in (
                conditions_words(v, v.outcome),
                f"{mounts_words(v.main)} · standard deviations, by restricted maximum likelihood",
                silent,
            )
            if line
        ),
        alt="; ".join(f"{label}: {said}" for label, _, said in bars) + ".",
        lines=2.4 * len(bars) + 2.0,
        paint=partial(_paint, bars, unit),
    )


def _paint(bars: Bars, unit: str, canvas: Canvas, shown: Shown) -> None:
    em, colours = canvas.em, canvas.colours
    left = canvas.widest([label for label, _, _ in bars]) + 0.8 * em
    right = min(canvas.widest([said for _, _, said in bars], 0.9), 0.4 * canvas.width) + 0.8 * em
    height = min(canvas.height - 1.8 * em, 4.0 * em * len(bars))
    area = canvas.axes(left, 0, canvas.width - left - right, height, unit)
    area.set_ylim(len(bars), 0)
    canvas.tick_words(area, 0.0, max(max(sd for _, sd, _ in bars), 0.05) * 1.08)
    thick = min(0.6, 1.1 * em * len(bars) / height)
    area.barh([i + 0.5 for i in range(len(bars))], [sd for _, sd, _ in bars], height=thick, color=colours.muted)
    for i, (label, _, said) in enumerate(bars):
        middle = height * (i + 0.5) / len(bars)
        canvas.say(0, middle, label)
        canvas.say_lines(canvas.width - right + 0.8 * em, middle, said, right - 0.8 * em, size=0.9)
