"""Intervals one below the other on one scale, each with what it is held against; claims are drawn so."""

from __future__ import annotations

from collections.abc import Sequence
from functools import partial

from kuffin.core.base.numbers import begun
from kuffin.core.compare.pairwords import several
from kuffin.look.candidatemarks import mark
from kuffin.publish.figures.basis import basis_of
from kuffin.publish.figures.canvas import Canvas
from kuffin.publish.figures.drawing import BuildStep, Drawing, Shown
from kuffin.said.intervalline import IntervalLine, claim_line
from kuffin.verdict.study import StudyVerdict


def claims_drawings(v: StudyVerdict) -> list[Drawing]:
    """A picture for each unit that is claimed in: kelvins and litres an hour have no axis in common."""
    by_unit: dict[str, list[int]] = {}
    for i, claim in enumerate(v.claims):
        by_unit.setdefault(claim.unit, []).append(i)
    out = []
    for n, (unit, places) in enumerate(by_unit.items()):
        claims = [v.claims[i] for i in places]
        rows = [claim_line(c, v.candidates.index(c.candidate) if c.candidate in v.candidates else -1) for c in claims]
        differences = all(c.against for c in claims)
        said = (
            "Shaded: where the claim would hold"
            if any(r.beyond for r in rows)
            else "The upright stroke is what is claimed"
        )
        condition, *rest = basis_of(v, v.main)
        tested = "; ".join(dict.fromkeys(c.tested for c in claims if c.tested))
        basis = (f"Tested: {tested}" if tested else condition, said, *rest[:1])
        out.append(
            Drawing(
                key=f"claims{f'-{n + 1}' if n else ''}",
                title=f"{begun(several(len(rows), 'claim'))} against what was measured",
                basis=basis,
                alt="; ".join(f"{r.label}: {r.said} ({r.note})" for r in rows) + ".",
                lines=3.4 * len(rows) + 2.6,
                paint=partial(_paint, rows, unit, "no difference" if differences else ""),
                stages=tuple(line_stages(rows)),
            )
        )
    return out


def line_stages(rows: Sequence[IntervalLine]) -> list[BuildStep]:
    """A row after the other, from the last to the first."""
    first = BuildStep(cue="What was said, and what was measured.", shown=Shown(rows=0))
    return [
        first,
        *(BuildStep(cue=f"{r.label}: {r.said}.", shown=Shown(rows=i)) for i, r in enumerate(reversed(rows), 1)),
    ]


def _paint(rows: Sequence[IntervalLine], unit: str, zero: str, canvas: Canvas, shown: Shown) -> None:
    em, colours, size = canvas.em, canvas.colours, 0.9
    left = min(
        max(canvas.widest([r.label for r in rows]), canvas.widest([r.note for r in rows], 0.8)), 0.26 * canvas.width
    )
    left += 0.8 * em
    right = min(canvas.widest([r.said for r in rows], size), 0.3 * canvas.width) + 0.8 * em
    head = 1.5 * em if zero else 0.2 * em
    height = min(canvas.height - head - 1.8 * em, 5.0 * em * len(rows))
    head += max((canvas.height - head - 1.8 * em - height) / 2, 0.0)
    area = canvas.axes(left, head, canvas.width - left - right, height, unit)
    values = [x for r in rows for x in (r.low, r.high, r.target) if x is not None] + ([0.0] if zero else [])
    low, high = min(values), max(values)
    room = max(0.08 * (high - low), 0.1)
    area.set_ylim(len(rows), 0)
    canvas.tick_words(area, low - room, high + room)
    if zero:
        canvas.line(area, [0, 0], [0, len(rows)], colours.muted, 0.1)
        share = room / (high - low + 2 * room) if low == 0 else (room - low) / (high - low + 2 * room)
        canvas.say(
            left + share * (canvas.width - left - right),
            head - 0.7 * em,
            zero,
            size=0.8,
            colour=colours.muted,
            side="center",
        )
    for i, row in enumerate(rows):
        if not shown.has(i, len(rows)):
            continue
        m = mark(row.position) if row.position >= 0 else None
        colour = m.on(colours.name) if m is not None else colours.ink
        middle, y = head + height * (i + 0.5) / len(rows), i + 0.5
        half = 0.9 * em * len(rows) / height
        canvas.say(0, middle - (0.65 * em if row.note else 0), row.label, bold=True, most=left - 0.6 * em)
        if row.note:
            canvas.say(0, middle + 0.65 * em, row.note, size=0.8, colour=colours.muted, most=left - 0.6 * em)
        if row.target is not None:
            if row.beyond == "right":
                area.fill_between(
                    [row.target, high + room], y - half, y + half, color=colours.accent_ground, linewidth=0
                )
            canvas.line(area, [row.target, row.target], [y - half, y + half], colours.accent, 0.16)
        if row.low is not None and row.high is not None and row.middle is not None:
            canvas.line(area, [row.low, row.high], [y, y], colour, 0.2, solid_capstyle="butt")
            for x in (row.low, row.high):
                canvas.line(area, [x, x], [y - 0.3 * half, y + 0.3 * half], colour, 0.16)
            if m is not None:
                canvas.mark(area, row.middle, y, m, 0.36)
        canvas.say_lines(
            canvas.width - right + 0.8 * em, middle, row.said, right - 0.8 * em, size=size,
            colour=colours.warn if row.loud else "",
        )  # fmt: skip
