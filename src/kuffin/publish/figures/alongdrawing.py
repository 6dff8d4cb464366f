"""Candidates along a sweep: each mount's points, each candidate's curve with its band."""

from __future__ import annotations

from functools import partial

import numpy as np

from kuffin.core.base.errors import KuffinError
from kuffin.core.base.numbers import begun
from kuffin.core.compare.pairwords import several
from kuffin.look.candidatemarks import CandidateMark, mark
from kuffin.publish.figures.canvas import Canvas
from kuffin.publish.figures.drawing import Drawing, Shown
from kuffin.said.alongwords import ranking_words
from kuffin.said.comparisonwords import title
from kuffin.verdict.along import AlongRange, Sweep, along_range, sweep_of
from kuffin.verdict.study import StudyVerdict

ALONG = "along"


def along_drawings(v: StudyVerdict) -> list[Drawing]:
    """A picture for each channel that the study was swept along; settings alone are told by those."""
    out = []
    for axis in v.sweep_axes:
        if not axis.role or axis.role == v.outcome.role:
            continue
        try:
            sweep = sweep_of(v, axis, v.outcome)
        except KuffinError:  # what limits held back is on no curve, and too little is left
            continue
        found = along_range(v, sweep)
        mounts = len(sweep.swept)
        level = f"{100 * (v.looks.confidence if v.looks is not None else v.evidence.study.confidence):.4g} %"
        out.append(
            Drawing(
                key=f"{ALONG}-{axis.key}",
                title=begun(f"{v.outcome.label.lower()} along {axis.label}"),
                basis=(
                    f"{begun(several(mounts, 'mount'))}, each by its own curve through {several(len(sweep.conditions), 'setting')}; dashed: outside what was swept",
                    f"Bands: each mean alone, all settings together at {level}; what was held by a limit is not in it",
                ),
                alt=" ".join(ranking_words(sweep, found)),
                lines=19.0,
                paint=partial(_paint, v.candidates, sweep, found, title(v, v.outcome)),
            )
        )
    return out


def _paint(
    candidates: tuple[str, ...], sweep: Sweep, found: AlongRange, said: str, canvas: Canvas, _shown: Shown
) -> None:
    em, colours = canvas.em, canvas.colours
    left, head = 3.2 * em, 1.5 * em
    right = canvas.widest(sweep.candidates, 1.0, True) + 1.8 * em
    width, height = canvas.width - left - right, canvas.height - head - 1.8 * em
    unit = sweep.outcome.unit
    canvas.say(0, 0.4 * em, said if unit in said.split() else f"{said}, {unit}", size=0.85, colour=colours.muted)
    area = canvas.axes(left, head, width, height, sweep.axis.unit)
    area.yaxis.set_visible(True)
    area.grid(axis="y", color=colours.hairline, linewidth=0.06 * canvas.point)
    low, high = sweep.span
    room = 0.03 * (high - low)
    every = np.concatenate([s.y for s in sweep.swept])
    spare = 0.1 * float(np.ptp(every)) or 0.5
    canvas.tick_words(area, low - room, high + room)
    area.unit = unit  # type: ignore[attr-defined]
    canvas.tick_words(area, float(every.min()) - spare, float(every.max()) + spare, upright=True)
    ends: list[tuple[float, str, CandidateMark]] = []
    curves = found.places[0].curves
    for name in sweep.candidates:
        m = mark(candidates.index(name))
        colour = m.on(colours.name)
        there = [
            (p.at, c)
            for p in found.places
            if p.comparison is not None
            for c in p.comparison.candidates
            if c.name == name
        ]
        own = [s for s in sweep.swept if s.mount.candidate == name]
        first, last = min(float(s.x.min()) for s in own), max(float(s.x.max()) for s in own)
        if there:
            xs = np.array([x for x, _ in there])
            area.fill_between(
                xs, [c.low for _, c in there], [c.high for _, c in there], color=colour, alpha=0.18, linewidth=0
            )
            half = (xs[1] - xs[0]) / 2 if xs.size > 1 else 0.0
            inside = (xs >= first - half) & (xs <= last + half)
            means = np.array([c.mean for _, c in there])
            canvas.line(area, list(xs), list(means), colour, 0.12, linestyle="--")
            canvas.line(area, list(xs[inside]), list(means[inside]), colour, 0.2)
            ends.append((float(means[-1]), name, m))
        for s in own:
            along = np.linspace(s.x.min(), s.x.max(), 30)
            read = next(m for m in curves.mounts if m.mount is s.mount)
            canvas.line(area, list(along), list(curves.curve(read, along)), colour, 0.06)
            for x, y in zip(s.x, s.y, strict=True):
                canvas.mark(area, float(x), float(y), m, 0.24)
    _names(
        canvas, ends, left + width + 0.5 * em, head, height, (float(every.min()) - spare, float(every.max()) + spare)
    )


def _names(
    canvas: Canvas,
    ends: list[tuple[float, str, CandidateMark]],
    x: float,
    head: float,
    height: float,
    span: tuple[float, float],
) -> None:
    """Each candidate's name at its curve's end, none over another."""
    last = -1e9
    for value, name, m in sorted(ends, key=lambda e: -e[0]):
        y = head + height * (1 - (value - span[0]) / (span[1] - span[0]))
        last = max(y, last + 1.3 * canvas.em)
        canvas.mark(canvas.sheet, x + 0.3 * canvas.em, last, m, 0.34)
        canvas.say(x + 0.9 * canvas.em, last, name, bold=True)
