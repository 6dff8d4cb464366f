"""The sections on what was found: answer, ranking, staircase, outcomes, claims, value, what depends on the school."""

from __future__ import annotations

from collections.abc import Iterator

from kuffin.core.base.numbers import begun
from kuffin.core.compare.pairwords import digits_for, number, span
from kuffin.publish.figures.alongdrawing import ALONG
from kuffin.publish.figures.candidates import tied
from kuffin.publish.page.blocks import Block, Grid, Picture, Terms, Words
from kuffin.publish.page.material import Material
from kuffin.publish.summarytable import row_cells, summary_rows
from kuffin.said.comparisonwords import footnote, left_out_lines, school_warnings
from kuffin.said.line import verdict_line
from kuffin.said.sentences import paragraphs
from kuffin.said.soundwords import heard_words, set_up_words
from kuffin.said.warmings import warmings
from kuffin.verdict.claims import claim_sentences
from kuffin.verdict.grid import Cell
from kuffin.verdict.scatter import buys_words, scatter_of
from kuffin.verdict.schoolflips import both_ways, side_by_side, summary
from kuffin.verdict.tonesheard import tones_of
from kuffin.verdict.tradeoffs import grid_said, less_than_the_verdict, standings
from kuffin.verdict.value import worth_sentence


def pictures(m: Material, key: str) -> Iterator[Block]:
    """The pictures of a key."""
    yield from (Picture(d) for d in m.pictures(key))


def answer(m: Material) -> Iterator[Block]:
    """The question and the short answer, with all its cautions."""
    v = m.verdict
    yield Words(verdict_line(v).sentence, "lead")
    told = [f"What matters here: {v.margin_k:g} K."] if v.outcome.temperature else []
    if v.main.comparison is not None:
        told.append(f"It is about {v.main.scope_words.removeprefix('it is about ')}.")
    yield Words(" ".join(told), "small")


def ranking(m: Material) -> Iterator[Block]:
    """Every candidate's mean, interval and place; places are joint where candidates are not told apart."""
    v = m.verdict
    yield from pictures(m, "verdict")
    found, unit = v.main.comparison, v.outcome.unit
    if found is None:
        yield Words(f"No ranking yet: {v.main.why_not or 'too few mounts'}.")
        return
    stands, n = standings(v.main), len(found.candidates)
    rows = []
    for name in v.main.ranking():
        c = found.candidate(name)
        first, last = 1 + len(stands[name].worse_than), n - len(stands[name].better_than)
        digits = digits_for((c.high - c.low) / 2)
        mean = f"{'≥ ' if c.bound else ''}{number(c.mean, digits)} {unit}".rstrip()
        interval = "only a bound" if c.bound else span(c.low, c.high, unit, digits)
        place = "–" if found.reference is not None else str(first) if first == last else f"{first} to {last}"
        chance = f"{'at most ' if c.bound else ''}{100 * c.p_best:.0f} %"
        rows.append((place, name, mean, interval, str(c.mounts), str(c.samples), chance))
    head = (
        "place",
        "candidate",
        "mean",
        f"{100 * found.confidence:.4g} % interval",
        "mounts",
        "samples",
        "chance of being best",
    )
    yield Grid(
        caption="Places, joint where candidates are not told apart", head=head, rows=rows, words=frozenset({0, 1})
    )
    if tied(v.main):
        yield Words(
            "A place like “1 to 3” is joint: with these mounts its holder cannot be told apart from others.", "small"
        )
    yield Words(f"{footnote(v, v.main)}.", "small")


def pairs(m: Material) -> Iterator[Block]:
    """What may be said of each pair, in words."""
    told = [(title, said) for title, said in paragraphs(m.verdict) if not title.startswith("Claim: ")]
    if told:
        yield Terms(told[:40])
    if len(told) > 40:
        yield Words(f"{len(told) - 40} further pairs are in the tables beside this page.", "small")


def staircase(m: Material) -> Iterator[Block]:
    """Where the kelvins are."""
    yield from pictures(m, "staircase")
    for warming in warmings(m.verdict.evidence):
        yield Words(warming.sentence)


def outcomes(m: Material) -> Iterator[Block]:
    """All conditions and outcomes: what they say together, the grid, the figures."""
    v, grid = m.verdict, m.grid
    said = grid_said(grid.axes, grid.results)
    less = less_than_the_verdict(v.main, grid.results.get(Cell(v.condition, v.outcome.key)))
    for line in (*said.first, *([less] if less else []), *said.rest):
        yield Words(line)
    yield from pictures(m, "outcomes")
    rows = [row_cells(r) for r in summary_rows(v)]
    if rows:
        where = next((c.words for c in v.conditions if c.name == v.condition), "")
        yield Grid(
            caption=f"Each candidate by each outcome{f', under {where}' if where else ''}",
            head=("outcome", "candidate", "mounts", "mean", "± half-width", "unit", "remark"),
            rows=rows,
            words=frozenset({0, 1, 5, 6}),
        )


def along(m: Material) -> Iterator[Block]:
    """How the ranking changes along what was swept."""
    for drawing in m.pictures(ALONG):
        yield Picture(drawing)
        yield Words(drawing.alt)


def sound(m: Material) -> Iterator[Block]:
    """The tones that are heard of each candidate, and how recordings were made."""
    v = m.verdict
    rows = heard_words(tones_of(v))
    if not v.evidence.sounds:
        return
    yield Words(set_up_words(m.bench.sound if m.bench is not None else {}), "small")
    if rows:
        yield Grid(
            caption="Tones that stand out to the ear",
            head=("candidate", "tone", "whose it may be, by its frequency alone"),
            rows=rows,
            words=frozenset({0, 1, 2}),
        )
    else:
        yield Words("No tone stands out to the ear in any recording.")


def claims(m: Material) -> Iterator[Block]:
    """What others say, held against what was measured."""
    v = m.verdict
    yield from pictures(m, "claims")
    if v.claims:
        yield Terms([(j.claimed, claim_sentences(v, j)) for j in v.claims])


def worth(m: Material) -> Iterator[Block]:
    """What a difference costs."""
    found, v = m.value, m.verdict
    priced = [] if found is None else [r for r in found.rows if r.price is not None]
    if found is None or len(priced) < 2 or v.temperature.comparison is None:
        return
    yield from pictures(m, "value")
    cheapest = min(priced, key=lambda r: (r.price or 0.0, r.mean)).name
    money, unit = found.currency, v.school.unit
    rows = []
    for r in found.rows:
        digits = digits_for(r.high - r.low)
        said = worth_sentence(r, cheapest, money, v.temperature.comparison.confidence)
        pieces = f" ({r.pieces} of it)" if r.pieces > 1 else ""
        price = "–" if r.price is None else f"{number(r.price, 0)} {money}{pieces}"
        reading = f"{number(r.mean, digits)} ± {number((r.high - r.low) / 2, digits)} {unit}"
        rows.append((r.name, price, reading, said or ("the cheapest" if r.name == cheapest else "")))
    yield Grid(
        caption="Price and temperature",
        head=("candidate", "price", "reading", "what the money buys"),
        rows=rows,
        words=frozenset({0, 3}),
    )
    if found.lacking:
        yield Words(f"{begun('; '.join(found.lacking))}.", "small")


def schools(m: Material) -> Iterator[Block]:
    """Whether the answer depends on how room, power and flow were taken out."""
    v = m.verdict
    if len(v.temperature.ranking()) < 2:
        return
    rows = side_by_side(v)
    yield Words(summary(v, rows))
    for said in school_warnings(v, v.main):
        yield Words(said, "warn")
    yield from pictures(m, "schools")
    flips = [
        (f"{f.pair[0]} − {f.pair[1]}", f.here, f.there, r.school.label.lower(), f.why)
        for r in rows
        if not r.school.rebased
        for f in r.flips
    ]
    if flips:
        yield Grid(
            caption="Pairs that another school judges otherwise",
            head=("pair", "in use", "other school", "which", "what makes the difference"),
            rows=flips,
            words=frozenset(range(5)),
        )


def scatter(m: Material) -> Iterator[Block]:
    """What the scatter between mounts is made of."""
    found = scatter_of(m.verdict)
    if found is None:
        return
    yield from pictures(m, "scatter")
    yield Words(buys_words(found, m.verdict.outcome.difference_unit))


def left_out(m: Material) -> Iterator[Block]:
    """Every mount that does not count, why, and what would be said if it did."""
    v = m.verdict
    lines = left_out_lines(v)
    if not lines:
        return
    yield from (Words(line) for line in lines)
    ways = both_ways(v)
    if ways:
        yield Grid(
            caption="Verdicts without and with them; * judged otherwise",
            head=("pair", "without", "with them counted"),
            rows=[(r.names + (" *" if r.differs else ""), r.without, r.counted) for r in ways],
            words=frozenset(range(3)),
        )
