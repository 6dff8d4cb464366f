"""Staircases: heat falls from the die to the coolant to the air; step heights are kelvins or kelvins per watt."""

from __future__ import annotations

from collections.abc import Sequence
from functools import partial

from kuffin.core.base.numbers import begun
from kuffin.core.compare.pairwords import number
from kuffin.core.heat.heatpath import Flight, Tread
from kuffin.publish.figures.basis import conditions_words, mounts_words
from kuffin.publish.figures.canvas import Canvas
from kuffin.publish.figures.drawing import BuildStep, Drawing, Shown
from kuffin.reading.runresult import RunResult
from kuffin.said.stairs import candidate_flights, flight_words, flights_of
from kuffin.verdict.study import StudyVerdict


def candidates_stairs(v: StudyVerdict) -> Drawing | None:
    """A flight for each candidate, side by side; None where none has one."""
    flights = candidate_flights(v, per_watt=False)
    if not flights:
        return None
    basis = (
        conditions_words(v, v.outcome),
        f"{begun(mounts_words(v.temperature))} · whiskers: 95 % interval from the scatter between mounts",
        "Kelvins over the air of each run's window; as measured, not carried to one power or one room",
    )
    return _drawing("staircase", "Where the kelvins are: from the air up to the die", basis, flights)


def run_stairs(result: RunResult, label: str, key: str) -> Drawing | None:
    """The flight of one run, one for each device; None where it has none."""
    flights = flights_of(result, label, per_watt=False)
    basis = ("One mount, as measured in its window", "Whiskers: 95 % interval of that window alone")
    return _drawing(key, f"{label}: from the air up to the die", basis, flights) if flights else None


def _drawing(key: str, title: str, basis: tuple[str, ...], flights: Sequence[Flight]) -> Drawing:
    first = BuildStep(cue="Heat falls from the die to the coolant to the air.", shown=Shown(rows=0))
    build = [
        BuildStep(cue=f"{flight_words(f)}.", shown=Shown(rows=len(flights) - i)) for i, f in enumerate(flights)
    ]  # the first flight first: rows are counted from the last
    return Drawing(
        key=key,
        title=title,
        basis=basis,
        alt="; ".join(flight_words(f) for f in flights) + ".",
        lines=16.0,
        paint=partial(_paint, tuple(flights)),
        stages=(first, *reversed(build)),
    )


def _paint(flights: tuple[Flight, ...], canvas: Canvas, shown: Shown) -> None:
    em = canvas.em
    top = 1.04 * max(t.height + t.u95 for f in flights for t in (*f.treads, *f.side))
    width = canvas.width / len(flights)
    for i, flight in enumerate(flights):
        if shown.has(i, len(flights)):
            _paint_flight(
                canvas,
                flight,
                (i * width, 2.6 * em, width - (1.2 * em if len(flights) > 1 else 0), canvas.height - 4.8 * em),
                top,
            )


def _paint_flight(canvas: Canvas, flight: Flight, box: tuple[float, float, float, float], top: float) -> None:
    em, colours = canvas.em, canvas.colours
    x, y, width, height = box
    digits = 1 if flight.unit == "K" else 4
    foot = y + height
    column = width / (len(flight.treads) + 0.62 * len(flight.side))
    size = min(1.0, column / canvas.text_width("+10.0 K", 1.0))
    size = max(size, 0.5)

    def up(value: float) -> float:
        return foot - max(value, 0.0) / max(top, 1e-9) * height

    canvas.say(x, 0.6 * em, flight.label, bold=True, most=width)
    for i, tread in enumerate(flight.treads):
        left, level = x + i * column, up(tread.height)
        canvas.block(left, level, column - 0.08 * em, foot - level, colours.levels[min(i, 3)])
        canvas.rule(left, level, left + column - 0.08 * em, level, width=0.16)
        _whisker(canvas, tread, left + 0.82 * column, up)
        above = up(tread.height + tread.u95) if tread.u95 > 0 else level
        canvas.say(left + 0.2 * em, above - 0.75 * em * size, number(tread.height, digits), size=1.05 * size, bold=True)
        canvas.say(
            left + column / 2,
            foot + 0.8 * em,
            tread.name,
            size=canvas.fitted(tread.name, column, 0.8 * size, 0.4),
            colour=colours.muted,
            side="center",
            most=column,
        )
        if i:
            step = flight.steps[i - 1]
            lines = [f"+{number(step.height, digits)} {flight.unit}", f"± {number(step.u95, digits)}"]
            for j, line in enumerate(lines):
                place = level + (0.95 + 1.25 * j) * em * size
                if place + 0.6 * em * size < foot:
                    canvas.say(left + 0.25 * em, place, line, size=0.85 * size)
    at = x + len(flight.treads) * column
    for j, tread in enumerate(flight.side):
        level = up(tread.height)
        canvas.block(
            at + 0.2 * em, level, 0.62 * column - 0.3 * em, foot - level, colours.levels[0], colours.muted, dashed=True
        )
        _whisker(canvas, tread, at + 0.31 * column, up)
        canvas.say(
            at + 0.31 * column,
            up(tread.height + tread.u95) - 0.7 * em * size,
            number(tread.height, digits),
            size=0.85 * size,
            side="center",
        )
        canvas.say(
            at + 0.31 * column,
            foot + (0.8 + j % 2) * em,  # narrow columns: their names stand on two lines in turn
            tread.name,
            size=canvas.fitted(tread.name, 1.2 * column, 0.72 * size, 0.4),
            colour=colours.muted,
            side="center",
            most=1.24 * column,
        )
        at += 0.62 * column


def _whisker(canvas: Canvas, tread: Tread, x: float, up: object) -> None:
    if tread.u95 <= 0:
        return
    low, high = up(tread.height - tread.u95), up(tread.height + tread.u95)  # type: ignore[operator]
    canvas.rule(x, low, x, high, width=0.09)
    for y in (low, high):
        canvas.rule(x - 0.2 * canvas.em, y, x + 0.2 * canvas.em, y, width=0.09)
