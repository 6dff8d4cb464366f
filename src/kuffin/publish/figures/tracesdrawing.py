"""Traces of a run, or of several aligned at the load's start: the judged trace above, what was recorded below."""

from __future__ import annotations

from collections.abc import Sequence
from functools import partial

import numpy as np

from kuffin.core.base.traces import peaks
from kuffin.core.compare.pairwords import joined, number
from kuffin.look.candidatemarks import mark
from kuffin.publish.figures.canvas import Canvas
from kuffin.publish.figures.drawing import Drawing, Shown
from kuffin.reading.traceview import USUAL_ROWS, Array, TraceRow, TraceView

_MOST_POINTS = 1200  # of a line: more than a picture's columns show


def run_traces(view: TraceView, label: str, conditions: str, key: str) -> Drawing:
    """One run: the judged trace with its fitted warm-up and window, and the usual channels below."""
    rows = [r for r in view.rows if r.key in USUAL_ROWS]
    settled = view.settling
    if settled is None:
        how = view.problem or "not settled"
    else:
        how = "settled" if settled.settled else "not settled"
        digits = 2 if abs(settled.warm_up.final) > 1 else 4
        unit = view.label.rsplit(", ", 1)[-1]
        how += f"; heading for {number(settled.warm_up.final, digits)} {unit}"
        begin, end = (s / 60 for s in settled.window.span_s)
        how += f"; window from {number(begin, 1)} to {number(end, 1)} min, shaded"
    channels = joined([line.name for r in rows for line in r.lines][:8])
    return Drawing(
        key=key,
        title=f"{label}: {view.label.rsplit(', ', 1)[0].lower()}, minute by minute",
        basis=tuple(
            w
            for w in (conditions, f"One mount: {how}", "Peaks of each stretch are drawn; spikes are marked, not drawn")
            if w
        ),
        alt=f"{label}: {how}. Below it: {channels}.",
        lines=10.0 + 5.0 * len(rows),
        paint=partial(_paint_run, view, rows),
    )


def several_traces(views: Sequence[tuple[str, int, TraceView]], conditions: str, key: str = "traces") -> Drawing | None:
    """The judged traces of several mounts over each other, aligned at the load's start; None where fewer than two can be drawn.

    Parameters
    ----------
    views : sequence of (label, the candidate's position, view)
    """
    drawn = [(label, at, v) for label, at, v in views if v.settling is not None]
    if len(drawn) < 2:
        return None
    what = drawn[0][2].label
    ends = [
        f"{label} {number(v.settling.warm_up.final, 2 if abs(v.settling.warm_up.final) > 1 else 4)}"
        for label, _, v in drawn
        if v.settling
    ]
    return Drawing(
        key=key,
        title=f"{what.rsplit(', ', 1)[0]} of {len(drawn)} mounts, from the load's start",
        basis=tuple(
            w
            for w in (
                conditions,
                "Single mounts, averaged over half a minute: no interval; dashed lines: where each is heading",
            )
            if w
        ),
        alt=f"{what}, heading for: {'; '.join(ends)}.",
        lines=18.0,
        paint=partial(_paint_several, tuple(drawn)),
    )


def _thin(times: Array, values: Array) -> tuple[Array, Array]:
    factor = -(-values.size // (_MOST_POINTS // 2))
    return (times, values) if factor < 2 else peaks(times, values, factor)


def _averaged(times: Array, values: Array, width_s: float = 30.0) -> tuple[Array, Array]:
    """Means over stretches of half a minute; a stretch without a reading is missing."""
    if times.size < 2:
        return times, values
    edges = np.arange(times[0], times[-1] + width_s, width_s)
    place = np.digitize(times, edges) - 1
    ok = np.isfinite(values)
    count = np.bincount(place[ok], minlength=edges.size)
    total = np.bincount(place[ok], weights=values[ok], minlength=edges.size)
    means = np.where(count > 0, total / np.maximum(count, 1), np.nan)
    return edges + width_s / 2, means


def _range(values: Sequence[Array]) -> tuple[float, float]:
    finite = np.concatenate([v[np.isfinite(v)] for v in values] or [np.zeros(1)])
    low, high = np.percentile(finite, [0.2, 99.8]) if finite.size else (0.0, 1.0)
    room = max(0.12 * float(high - low), 1e-3 * max(abs(float(high)), 1.0))
    return float(low) - room, float(high) + room


def _paint_run(view: TraceView, rows: list[TraceRow], canvas: Canvas, shown: Shown) -> None:
    em, colours = canvas.em, canvas.colours
    left, foot, gap = 4.4 * em, 2.2 * em, 0.9 * em
    height = canvas.height - foot - gap * len(rows)
    share = height / (2.0 + len(rows))
    span = (float(view.times[0]) / 60, float(view.times[-1]) / 60) if view.times.size > 1 else (0.0, 1.0)
    y = 0.0
    s = view.settling
    for i in range(len(rows) + 1):
        tall = 2.0 * share if i == 0 else share
        row = rows[i - 1] if i else None
        area = canvas.axes(
            left,
            y,
            canvas.width - left,
            tall,
            view.label.rsplit(", ", 1)[-1] if row is None else row.unit,
            upright=True,
        )
        area.set_xlim(*span)
        for begin, end in view.dips[:400]:
            area.axvspan(begin / 60, end / 60, color=colours.hairline, alpha=0.5, linewidth=0)
        if row is None and s is not None:
            times, trace = _thin(view.times[: s.trace.size], s.trace)
            canvas.line(area, times / 60, trace, colours.muted, 0.05)  # type: ignore[arg-type]
            canvas.line(area, s.fit_times / 60, s.fit, colours.accent, 0.2)  # type: ignore[arg-type]
            canvas.line(area, span, [s.warm_up.final] * 2, colours.accent, 0.09, linestyle="--")
            area.axvspan(
                s.window.span_s[0] / 60, s.window.span_s[1] / 60, color=colours.accent, alpha=0.14, linewidth=0
            )
            canvas.tick_words(area, *_range([s.trace, np.array([s.warm_up.final])]), upright=True)
        elif row is not None:
            for n, line in enumerate(row.lines[:4]):
                times, values = _thin(line.times, line.values)
                canvas.line(area, times / 60, values, (colours.ink, colours.muted)[n % 2], 0.06)  # type: ignore[arg-type]
            canvas.tick_words(area, *_range([line.values for line in row.lines[:4]]), upright=True)
            names = " · ".join(line.name for line in row.lines[:4])
            canvas.say(left + 0.3 * em, y - 0.25 * em, names, size=0.75, colour=colours.muted, most=canvas.width - left)
        else:
            canvas.say(left + 0.3 * em, y + tall / 2, view.problem, size=0.9, most=canvas.width - left)
        if i == len(rows):
            area.xaxis.set_visible(True)
            area.grid(visible=False, axis="x")
            area.set_xlim(*span)
        y += tall + gap
    canvas.say(left, canvas.height - 0.3 * em, "minutes from the first row", size=0.8, colour=colours.muted)


def _paint_several(views: tuple[tuple[str, int, TraceView], ...], canvas: Canvas, shown: Shown) -> None:
    em, colours = canvas.em, canvas.colours
    right = min(canvas.widest([_name(label) for label, _, _ in views], 0.9, bold=True), 0.25 * canvas.width) + 1.8 * em
    left, foot = 4.4 * em, 2.6 * em
    unit = views[0][2].label.rsplit(", ", 1)[-1]
    height = canvas.height - foot
    area = canvas.axes(left, 0, canvas.width - left - right, height, unit, upright=True)
    lows, ends = [], []
    for label, position, view in views:
        s = view.settling
        assert s is not None
        m = mark(position)
        times, means = _averaged(view.times[: s.trace.size] - view.load_start_s, s.trace)
        canvas.line(area, times / 60, means, m.on(colours.name), 0.12)  # type: ignore[arg-type]
        lows.append(means[times >= 0])
        final = float(s.warm_up.final)
        ends.append((final, label, position, float(times[-1]) / 60))
        canvas.line(area, (0.0, ends[-1][3]), [final, final], m.on(colours.name), 0.06, linestyle="--")
    span = 0.0, max(end for _, _, _, end in ends)
    area.set_xlim(*span)
    low, high = _range([*lows, np.array([f for f, _, _, _ in ends])])
    canvas.tick_words(area, low, high, upright=True)
    taken = -1e9
    for name, position, final in _by_candidate(ends):
        y = max(height * (high - final) / (high - low), taken + 1.1 * em)
        canvas.rule(
            canvas.width - right + 0.2 * em, y, canvas.width - right + 1.2 * em, y, mark(position).on(colours.name), 0.2
        )
        canvas.say(canvas.width - right + 1.5 * em, y, name, size=0.9, bold=True, most=right - 1.5 * em)
        taken = y
    area.xaxis.set_visible(True)
    area.grid(visible=False, axis="x")
    canvas.say(left, canvas.height - 0.4 * em, "minutes under load", size=0.8, colour=colours.muted)


def _name(label: str) -> str:
    """The candidate of a mount's label."""
    return label.rsplit(", ", 1)[0]


def _by_candidate(ends: Sequence[tuple[float, str, int, float]]) -> list[tuple[str, int, float]]:
    """Each candidate's name, position and the mean of where its mounts are heading, from the highest down."""
    finals: dict[tuple[str, int], list[float]] = {}
    for final, label, position, _ in ends:
        finals.setdefault((_name(label), position), []).append(final)
    return sorted(((n, at, float(np.mean(x))) for (n, at), x in finals.items()), key=lambda t: -t[2])
