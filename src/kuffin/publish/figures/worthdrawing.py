"""Price against temperature: each candidate with its interval, and those that nothing cheaper beats joined by a line."""

from __future__ import annotations

from functools import partial

from kuffin.core.base.numbers import begun
from kuffin.core.compare.pairwords import number, span
from kuffin.look.candidatemarks import mark
from kuffin.publish.figures.basis import basis_of
from kuffin.publish.figures.canvas import Canvas
from kuffin.publish.figures.drawing import Drawing, Shown
from kuffin.verdict.study import StudyVerdict
from kuffin.verdict.value import Value, Worth, unbeaten, worth_sentence


def worth_drawing(v: StudyVerdict, found: Value | None) -> Drawing | None:
    """What a difference costs; None where fewer than two candidates have a price in one currency."""
    rows = [] if found is None else [r for r in found.rows if r.price is not None]
    if found is None or len(rows) < 2 or v.temperature.comparison is None:
        return None
    unit = v.school.unit
    cheapest = min(rows, key=lambda r: (r.price or 0.0, r.mean)).name
    told = [worth_sentence(r, cheapest, found.currency, v.temperature.comparison.confidence) for r in rows]
    alt = "; ".join(
        f"{r.name}: {number(r.price or 0.0, 0)} {found.currency}, {span(r.low, r.high, unit)}"
        + (f", {said}" if said else "")
        for r, said in zip(rows, told, strict=True)
    )
    return Drawing(
        key="value",
        title="Price against temperature",
        basis=(*basis_of(v, v.temperature), "The line joins those that nothing as cheap or cheaper beats by its mean"),
        alt=alt + ".",
        lines=17.0,
        paint=partial(_paint, v.candidates, tuple(rows), found.currency, unit),
    )


def _paint(
    candidates: tuple[str, ...], rows: tuple[Worth, ...], currency: str, unit: str, canvas: Canvas, shown: Shown
) -> None:
    em, colours = canvas.em, canvas.colours
    left, head = 3.2 * em, 1.5 * em
    width, height = canvas.width - left - 0.5 * em, canvas.height - head - 1.8 * em
    canvas.say(0, 0.4 * em, f"{begun(unit)}, lower is cooler", size=0.85, colour=colours.muted)
    area = canvas.axes(left, head, width, height, currency)
    area.yaxis.set_visible(True)
    area.grid(axis="y", color=colours.hairline, linewidth=0.06 * canvas.point)
    prices = [r.price or 0.0 for r in rows]
    room = max(0.1 * (max(prices) - min(prices)), 1.0)
    low, high = min(r.low for r in rows), max(r.high for r in rows)
    spare = max(0.08 * (high - low), 0.1)
    canvas.tick_words(area, max(min(prices) - room, 0.0), max(prices) + 1.6 * room)
    area.unit = unit  # type: ignore[attr-defined]
    canvas.tick_words(area, low - spare, high + spare, upright=True)
    best = unbeaten(rows)
    canvas.line(area, [r.price or 0.0 for r in best], [r.mean for r in best], colours.muted, 0.1, linestyle="--")
    for r in rows:
        m, x = mark(candidates.index(r.name)), r.price or 0.0
        canvas.line(area, [x, x], [r.low, r.high], m.on(colours.name), 0.18)
        canvas.mark(area, x, r.mean, m, 0.4)
        area.annotate(
            r.name, (x, r.mean), (0.7 * canvas.point, 0.35 * canvas.point), textcoords="offset points",
            color=colours.ink, fontsize=0.95 * canvas.point, fontweight="bold", parse_math=False,
        )  # fmt: skip
