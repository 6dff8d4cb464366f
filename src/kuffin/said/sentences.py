"""In words: two or three sentences for each pair, to be printed as they are; never more than the interval says."""

from __future__ import annotations

from typing import TYPE_CHECKING

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
        f"{several(ca.mounts, 'mount')} of each"
        if ca.mounts == cb.mounts
        else f"{count(ca.mounts)} and {count(cb.mounts)} mounts"
    )
    basis = f"{_asked_about(v)}, {mounts}"
    first, second, low, high = better_first(pair, found.better)
    if pair.verdict == "same":
        limit = f"{found.margin:.3g} {unit}".rstrip()
        narrow = sorted((pair.narrow_low, pair.narrow_high), key=abs)[-1]
        alike = "cool alike: they are" if v.outcome.temperature else "are"
        told = f"{pair.a} and {pair.b} {alike} within {limit} of each other ({basis})."
        more = (
            f"{first} is {said.better} by a real but small {span(low, high, unit, digits)}, which is less than matters here."
            if low > 0
            else f"Whichever is ahead, it is by less than {number(abs(narrow), digits)} {unit}".rstrip()
            + f", and the smallest difference that matters here is {limit}."
        )
    elif pair.settled and pair.held:
        least = f"{beside_nothing(low, digits)} {unit}".rstrip()
        told = f"{first} is at least {least} {said.better} than {second} ({basis})."
        more = f"{was_held(pair.held, pair.free)}, so that how much more it is cannot be told."
    elif pair.settled:
        told = f"{first} is {span(low, high, unit, digits)} {said.better} than {second} ({basis})."
        matter = "" if found.margin is None else f"the {found.margin:.3g} {unit}".rstrip() + " that matter here"
        if found.margin is not None and low > found.margin:
            more = f"That is more than {matter}, even in the worst case."
        elif found.margin is not None and high > found.margin:
            more = f"Whether it reaches {matter} is not certain."
        else:
            more = "It is a small difference, and whether it matters is the reader's to say."
    elif pair.held:
        told = f"By this, {pair.a} and {pair.b} cannot be compared ({basis})."
        more = f"{to_settle(pair, found)[:1].upper()}{to_settle(pair, found)[1:]}."
    else:
        told = f"We could not tell {pair.a} and {pair.b} apart ({basis})."
        more = (
            f"The difference lies somewhere between {_side(v, pair, pair.low, digits)} and "
            f"{_side(v, pair, pair.high, digits)}; {to_settle(pair, found)}."
        )
    return f"{told} {more} {_fine_print(v, found)}"


def _side(v: StudyVerdict, pair: PairResult, difference: float, digits: int) -> str:
    better = pair.a if (difference < 0) != v.outcome.higher_is_better else pair.b
    by = f"{number(abs(difference), digits)} {v.outcome.difference_unit}".rstrip()
    return f"{better} {by} {v.outcome.wording.better}"


def _asked_about(v: StudyVerdict) -> str:
    said = v.outcome.label[:1].lower() + v.outcome.label[1:]
    if v.outcome.per_watt:
        return f"{said.replace(', per watt', '')}, as at {v.reference_power_w:g} W"
    return said


def _fine_print(v: StudyVerdict, found: Comparison) -> str:
    together = f" over all {count(len(found.pairs))} pairs together" if len(found.pairs) > 1 else ""
    said = [f"{100 * found.confidence:.4g} % interval{together}; {v.main.scope_words}"]
    if v.corrected and v.baseline is not None:
        said.append(f"readings are corrected by the baseline {v.baseline.name}")
    out = sum(bool(r.left_out) for r in v.main.readings)
    if out:
        said.append(f"{several(out, 'mount')} left out, with reasons")
    return f"({'; '.join(said)}.)"


def paragraphs(v: StudyVerdict) -> list[tuple[str, str]]:
    """Title and sentences of every pair and every claim, the leader's pairs first."""
    found = v.main.comparison
    out = []
    if found is not None:
        best = best_of(found)
        for pair in sorted(found.pairs, key=lambda p: (best not in {p.a, p.b}, p.p)):
            out.append((f"{pair.a} and {pair.b}", pair_paragraph(v, pair)))
    for claim in v.claims:
        out.append((f"Claim: {claim.claimed}", claim_sentences(v, claim)))
    return out
