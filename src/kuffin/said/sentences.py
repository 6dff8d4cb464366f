"""In words: two or three sentences for each pair, to be printed as they are; never more than the interval says."""

from __future__ import annotations

from typing import TYPE_CHECKING

from kuffin.core.base.language import inside, tr, written
from kuffin.core.compare import Comparison, PairResult
from kuffin.core.compare.pairwords import (
    beside_nothing,
    best_of,
    better_first,
    count,
    digits_for,
    number,
    several,
    span,
    to_settle,
    was_held,
)
from kuffin.verdict.claims import claim_sentences

if TYPE_CHECKING:
    from kuffin.verdict.study import StudyVerdict


def pair_paragraph(v: StudyVerdict, pair: PairResult) -> str:
    """Two or three sentences on one pair."""
    found = v.main.comparison
    assert found is not None
    digits, unit, said = digits_for(pair.high - pair.low), v.outcome.difference_unit, v.outcome.wording
    ca, cb = found.candidate(pair.a), found.candidate(pair.b)
    mounts = (
        tr("{mounts} of each", mounts=several(ca.mounts, "mount"))
        if ca.mounts == cb.mounts
        else tr("{a} and {b} mounts", a=count(ca.mounts), b=count(cb.mounts))
    )
    basis = f"{_asked_about(v)}, {mounts}"
    first, second, low, high = better_first(pair, found.better)
    if pair.verdict == "same":
        limit = written(f"{found.margin:.3g} {unit}".rstrip())
        narrow = sorted((pair.narrow_low, pair.narrow_high), key=abs)[-1]
        alike = tr("cool alike: they are") if v.outcome.temperature else "are"
        told = tr(
            "{a} and {b} {alike} within {limit} of each other ({basis}).",
            a=pair.a,
            b=pair.b,
            alike=alike,
            limit=limit,
            basis=basis,
        )
        more = (
            tr(
                "{first} is {better} by a real but small {low}, which is less than matters here.",
                first=first,
                better=said.better,
                low=span(low, high, unit, digits),
            )
            if low > 0
            else tr(
                "Whichever is ahead, it is by less than {most}", most=f"{number(abs(narrow), digits)} {unit}".rstrip()
            )
            + tr(", and the smallest difference that matters here is {limit}.", limit=limit)
        )
    elif pair.settled and pair.held:
        least = f"{beside_nothing(low, digits)} {unit}".rstrip()
        told = tr(
            "{first} is at least {least} {better} than {second} ({basis}).",
            first=first,
            least=least,
            better=said.better,
            second=second,
            basis=basis,
        )
        more = tr("{was_held}, so that how much more it is cannot be told.", was_held=was_held(pair.held, pair.free))
    elif pair.settled:
        told = tr(
            "{first} is {low} {better} than {second} ({basis}).",
            first=first,
            low=span(low, high, unit, digits),
            better=said.better,
            second=second,
            basis=basis,
        )
        margin = "" if found.margin is None else written(f"{found.margin:.3g} {unit}".rstrip())
        matter = tr("the {margin} that matter here", margin=margin)
        if found.margin is not None and low > found.margin:
            more = tr("That is more than {matter}, even in the worst case.", matter=matter)
        elif found.margin is not None and high > found.margin:
            more = tr("Whether it reaches {matter} is not certain.", matter=matter)
        else:
            more = tr("It is a small difference, and whether it matters is the reader's to say.")
    elif pair.held:
        told = tr("By this, {a} and {b} cannot be compared ({basis}).", a=pair.a, b=pair.b, basis=basis)
        more = f"{to_settle(pair, found)[:1].upper()}{to_settle(pair, found)[1:]}."
    else:
        told = tr("We could not tell {a} and {b} apart ({basis}).", a=pair.a, b=pair.b, basis=basis)
        more = tr(
            "The difference lies somewhere between {low} and {high}; {to_settle}.",
            low=_side(v, pair, pair.low, digits),
            high=_side(v, pair, pair.high, digits),
            to_settle=to_settle(pair, found),
        )
    return f"{told} {more} {_fine_print(v, found)}"


def _side(v: StudyVerdict, pair: PairResult, difference: float, digits: int) -> str:
    better = pair.a if (difference < 0) != v.outcome.higher_is_better else pair.b
    by = f"{number(abs(difference), digits)} {v.outcome.difference_unit}".rstrip()
    return f"{better} {by} {v.outcome.wording.better}"


def _asked_about(v: StudyVerdict) -> str:
    said = inside(v.outcome.label)
    if v.outcome.per_watt:
        return tr(
            "{told}, as at {reference_power_w:g} W",
            told=said.replace(tr(", per watt"), ""),
            reference_power_w=v.reference_power_w,
        )
    return said


def _fine_print(v: StudyVerdict, found: Comparison) -> str:
    together = tr(" over all {pairs} pairs together", pairs=count(len(found.pairs))) if len(found.pairs) > 1 else ""
    said = [
        tr(
            "{confidence:.4g} % interval{together}; {scope}",
            confidence=100 * found.confidence,
            together=together,
            scope=v.main.scope_words,
        )
    ]
    if v.corrected and v.baseline is not None:
        said.append(tr("readings are corrected by the baseline {name}", name=v.baseline.name))
    out = sum(bool(r.left_out) for r in v.main.readings)
    if out:
        said.append(tr("{out} left out, with reasons", out=several(out, "mount")))
    return f"({'; '.join(said)}.)"


def paragraphs(v: StudyVerdict) -> list[tuple[str, str]]:
    """Title and sentences of every pair and every claim, the leader's pairs first."""
    found = v.main.comparison
    out = []
    if found is not None:
        best = best_of(found)
        for pair in sorted(found.pairs, key=lambda p: (best not in {p.a, p.b}, p.p)):
            out.append((tr("{a} and {b}", a=pair.a, b=pair.b), pair_paragraph(v, pair)))
    for claim in v.claims:
        out.append((tr("Claim: {claimed}", claimed=claim.claimed), claim_sentences(v, claim)))
    return out
