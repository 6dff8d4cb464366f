"""The same pair in several studies, each on its own bench: side by side, never pooled, and whether they agree."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

from kuffin.core.base.language import tr
from kuffin.core.compare.linking import LinkedDifference, through_baseline
from kuffin.core.compare.pairwords import digits_for, number, pair_said, span
from kuffin.notebook.entities import Part
from kuffin.verdict.across import Judged, standing_for, why_not


@dataclass(frozen=True, kw_only=True)
class SharedPair:
    """Two products that several studies set against each other, each on its own bench; nothing is pooled.

    Attributes
    ----------
    a, b : str
        As they are called in the first study.
    rows : tuple of (study, LinkedDifference, words)
        a less b in each study, at the first study's power, and what that study says of the pair.
    agreement : str
        Whether the studies agree, in a sentence.
    """

    a: str
    b: str
    rows: tuple[tuple[str, LinkedDifference, str], ...]
    agreement: str


def side_by_side(first: Judged, others: Sequence[Judged]) -> list[SharedPair]:
    """Every pair of the first study that another one has too, in each of them; only where the two may be linked."""
    taken = [o for o in others if not why_not(first, o)]
    found = first.verdict.temperature.comparison
    out = []
    for p in found.pairs if found is not None else ():
        by_name = {c.name: c.part for c in first.study.live_candidates}
        rows = [_pair_in(one, by_name[p.a], by_name[p.b], first.verdict.reference_power_w) for one in (first, *taken)]
        told = [r for r in rows if r is not None]
        if len(told) > 1:
            agreement = " ".join(_agreement(told[0], other, first.study.confidence) for other in told[1:])
            out.append(SharedPair(a=p.a, b=p.b, rows=tuple(told), agreement=agreement))
    return out


def _pair_in(one: Judged, a: Part, b: Part, power_w: float) -> tuple[str, LinkedDifference, str] | None:
    """A pair of products in a study: the first less the second; None where they were not both compared there."""
    v, found = one.verdict, one.verdict.temperature.comparison
    own = [standing_for(one.study, x) for x in (a, b)]
    if found is None or own[0] is None or own[1] is None:
        return None
    names = {own[0].name, own[1].name}
    pair = next((p for p in found.pairs if {p.a, p.b} == names), None)
    if pair is None:
        return None
    scale = power_w / v.reference_power_w if v.school.per_watt else 1.0
    sign = 1.0 if pair.a == own[0].name else -1.0
    step = LinkedDifference(sign * pair.difference * scale, pair.se * scale, pair.df)
    return one.study.name, step, pair_said(pair, found, v.temperature.outcome)


def _agreement(
    own: tuple[str, LinkedDifference, str], other: tuple[str, LinkedDifference, str], confidence: float
) -> str:
    """Whether two studies agree on a pair: the difference of their differences, by its plain interval."""
    apart = through_baseline(own[1], other[1])
    low, high = apart.interval(confidence)
    most = max(abs(low), abs(high))
    digits = digits_for(high - low)
    if low <= 0 <= high:
        return tr(
            "“{own}” and “{other}” agree, as far as they can tell: to within {most} K.",
            own=own[0],
            other=other[0],
            most=number(most, digits),
        )
    ends = sorted((abs(low), abs(high)))
    return tr(
        "“{own}” and “{other}” do not agree: they differ by {ends}. Other samples, or "
        "something that differs between the benches.",
        own=own[0],
        other=other[0],
        ends=span(ends[0], ends[1], "K", digits),
    )
