"""The control chart: the baseline's readings in bench order, day by day, with centre, limits and what moved."""

from __future__ import annotations

from functools import partial
from itertools import groupby

import numpy as np

from kuffin.core.base.numbers import begun
from kuffin.core.compare.pairwords import number, several
from kuffin.look.candidatemarks import mark
from kuffin.publish.figures.basis import conditions_words
from kuffin.publish.figures.canvas import Canvas
from kuffin.publish.figures.drawing import Drawing, Shown
from kuffin.verdict.baseline import BaselineChart, moved_words
from kuffin.verdict.study import StudyVerdict


def baseline_drawing(v: StudyVerdict) -> Drawing | None:
    """Whether the bench stayed the same; None where the study has no baseline with a reading."""
    found = v.baseline
    if found is None or not found.chart.values.size:
        return None
    chart, unit = found.chart, v.school.unit
    days = len(set(found.days))
    return Drawing(
        key="baseline",
        title=f"The baseline {found.name}, mounted again and again: did the bench move?",
        basis=(
            conditions_words(v, v.temperature.outcome),
            f"{begun(several(chart.values.size, 'mount'))} of {found.name} over {several(days, 'day')} · limits: {chart.factor:.1f} "
            f"standard deviations of {number(chart.sd, 2)} K ({chart.df:g} degrees of freedom) from the middle",
        ),
        alt=f"{begun(moved_words(found, 'K'))}. "
        + "; ".join(
            f"day {found.day_numbers[d]}: {number(float(x), 2)} {unit}"
            for d, x in zip(found.days, chart.values, strict=True)
        )
        + ".",
        lines=14.0,
        paint=partial(_paint, found, unit, v.candidates.index(found.name) if found.name in v.candidates else 0),
    )


def _paint(found: BaselineChart, unit: str, position: int, canvas: Canvas, shown: Shown) -> None:
    chart, em, colours = found.chart, canvas.em, canvas.colours
    ends = [x for x in (*map(float, chart.values), chart.low, chart.high) if np.isfinite(x)]
    low, high = min(ends), max(ends)
    room = max(0.08 * (high - low), 0.1)
    lines = [(chart.low, "lower limit"), (chart.centre, "centre"), (chart.high, "upper limit")]
    said = [f"{what} {number(x, 1)}" for x, what in lines if np.isfinite(x)]
    left, right = 3.2 * em, canvas.widest(said, 0.85) + 1.0 * em
    width, height = canvas.width - left - right, canvas.height - 2.0 * em
    area = canvas.axes(left, 0, width, height, unit, upright=True)
    n = chart.values.size
    area.set_xlim(0, n)
    canvas.tick_words(area, low - room, high + room, upright=True)
    at = 0
    for place, (day, points) in enumerate(groupby(found.days)):
        count = len(list(points))
        if place % 2:
            area.axvspan(at, at + count, color=colours.raised, linewidth=0, zorder=0)
        middle = left + width * (at + count / 2) / n
        canvas.say(
            middle, height + 1.0 * em, f"day {found.day_numbers[day]}", size=0.85, colour=colours.muted, side="center"
        )
        at += count
    for x, what in lines:
        if np.isfinite(x):
            canvas.line(area, [0, n], [x, x], colours.muted, 0.1, linestyle="-" if what == "centre" else "--")
            y = height * (high + room - x) / (high - low + 2 * room)
            canvas.say(left + width + 0.6 * em, y, f"{what} {number(x, 1)}", size=0.85, colour=colours.muted)
    if chart.moved is not None:
        step = chart.moved.way == "step"
        area.plot(
            np.arange(n) + 0.5,
            chart.levels,
            color=colours.accent,
            linewidth=0.2 * canvas.point,
            drawstyle="steps-mid" if step else "default",
        )
    for i, x in enumerate(chart.values):
        canvas.mark(area, i + 0.5, float(x), mark(position), 0.4)
        if i in chart.outside:
            area.plot(
                [i + 0.5],
                [x],
                marker="o",
                markersize=1.6 * canvas.point,
                markerfacecolor="none",
                markeredgecolor=colours.warn,
                clip_on=False,
            )
