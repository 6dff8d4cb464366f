"""The same mounts under every school: the order side by side, the school in use first."""

from __future__ import annotations

from functools import partial

from kuffin.core.compare.pairwords import joined
from kuffin.look.candidatemarks import mark
from kuffin.publish.figures.basis import mounts_words
from kuffin.publish.figures.canvas import Canvas, wrapped
from kuffin.publish.figures.drawing import Drawing, Shown
from kuffin.verdict.measuredconditions import measured_words
from kuffin.verdict.schoolflips import SchoolRow, side_by_side, summary
from kuffin.verdict.study import StudyVerdict


def schools_drawing(v: StudyVerdict) -> Drawing | None:
    """Where the order depends on what was taken out; None where fewer than two candidates can be ranked."""
    if len(v.temperature.ranking()) < 2:
        return None
    rows = side_by_side(v)
    ranked = [r for r in rows if r.ranking]
    measured = measured_words(v)
    return Drawing(
        key="schools",
        title="The order under every way of taking out room, power and flow",
        basis=(
            f"{mounts_words(v.temperature)}" + (f" · measured at {measured}" if measured else ""),
            "Places by means alone: whether neighbours are told apart is another matter, see the intervals",
        ),
        alt=f"{summary(v, rows)} " + "; ".join(f"{r.school.label}: {joined(r.ranking)}" for r in ranked) + ".",
        lines=1.9 * len(v.candidates) + 4.6,
        paint=partial(_paint, v.candidates, ranked),
    )


def _paint(candidates: tuple[str, ...], rows: list[SchoolRow], canvas: Canvas, shown: Shown) -> None:
    em, colours = canvas.em, canvas.colours
    left = min(canvas.widest(candidates, bold=True), 0.2 * canvas.width) + 0.8 * em
    width = (canvas.width - left) / len(rows)
    labels = [
        wrapped(r.school.label + (" (in use)" if r.in_use else ""), (width - 0.6 * em) / (0.8 * em)) for r in rows
    ]
    head = 1.2 * em * max(len(x) for x in labels) + 0.6 * em
    height = canvas.height - head
    canvas.block(left, 0, width, canvas.height, colours.raised)
    for i, (row, label) in enumerate(zip(rows, labels, strict=True)):
        colour = colours.warn if row.first_differs or row.flips else colours.ink
        for j, line in enumerate(label):
            canvas.say(left + width * (i + 0.5), (0.7 + 1.15 * j) * em, line, size=0.8, side="center", colour=colour)
    area = canvas.axes(left, head, canvas.width - left, height)
    area.axis("off")
    area.set_xlim(0, len(rows))
    area.set_ylim(len(candidates), 0)
    for at, name in enumerate(candidates):
        places = [(i + 0.5, r.ranking.index(name) + 0.5) for i, r in enumerate(rows) if name in r.ranking]
        if not places:
            continue
        m = mark(at)
        canvas.line(area, [x for x, _ in places], [y for _, y in places], m.on(colours.name), 0.14)
        for x, y in places:
            canvas.mark(area, x, y, m, 0.4)
        first = head + height * places[0][1] / len(candidates)
        canvas.say(0, first, name, bold=True, most=left - 0.6 * em)
