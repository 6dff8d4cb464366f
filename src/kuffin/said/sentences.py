"""In words: two or three sentences for each pair, to be printed as they are; never more than the interval says."""

from __future__ import annotations

from typing import TYPE_CHECKING

from kuffin.core.compare import Comparison, PairResult
from kuffin.core.compare.pairwords import count, digits_for, number, several, span, to_settle
from kuffin.verdict.claims import claim_sentences

if TYPE_CHECKING:
    from kuffin.verdict.study import StudyVerdict


def pair_paragraph(v: StudyVerdict, pair: PairResult) -> str:
    """Two or three sentences on one pair."""
    found = v.main.comparison
    assert found is not None
    digits, unit = digits_for(pair.high - pair.low), v.school.unit if v.school.unit != "°C" else "K"
    ca, cb = found.candidate(pair.a), found.candidate(pair.b)
    mounts = (
        f"{several(ca.mounts, 'mount')} of each"
        if ca.mounts == cb.mounts
        else f"{count(ca.mounts)} and {count(cb.mounts)} mounts"
    )
    basis = f"{_temperature(v)}, {mounts}"
    real = pair.low > 0 or pair.high < 0
    cool, warm = (pair.a, pair.b) if pair.difference < 0 else (pair.b, pair.a)
    low, high = sorted((abs(pair.low), abs(pair.high)))
    if pair.verdict == "same":
        limit = f"{found.margin:g} {unit}"
        narrow = sorted((pair.narrow_low, pair.narrow_high), key=abs)[-1]
        first = f"{pair.a} and {pair.b} cool alike: they are within {limit} of each other ({basis})."
        second = (
            f"{cool} is cooler by a real but small {span(low, high, unit, digits)}, which is less than matters here."
            if real
            else f"Whichever is ahead, it is by less than {number(abs(narrow), digits)} {unit}, and the smallest difference that "
            f"matters here is {limit}."
        )
    elif pair.verdict in {"a_lower", "b_lower"}:
        first = f"{cool} is {span(low, high, unit, digits)} cooler than {warm} ({basis})."
        if found.margin is not None and low > found.margin:
            second = f"That is more than the {found.margin:g} {unit} that matter here, even in the worst case."
        elif found.margin is not None and high > found.margin:
            second = f"Whether it reaches the {found.margin:g} {unit} that matter here is not certain."
        else:
            second = "It is a small difference, and whether it matters is the reader's to say."
    else:
        first = f"We could not tell {pair.a} and {pair.b} apart ({basis})."
        second = (
            f"The difference lies somewhere between {_side(pair, pair.low, digits, unit)} and "
            f"{_side(pair, pair.high, digits, unit)}; {to_settle(pair, found)}."
        )
    return f"{first} {second} {_fine_print(v, found)}"


def _side(pair: PairResult, difference: float, digits: int, unit: str) -> str:
    cooler = pair.a if difference < 0 else pair.b
    return f"{cooler} {number(abs(difference), digits)} {unit} cooler"


def _temperature(v: StudyVerdict) -> str:
    said = v.school.label[:1].lower() + v.school.label[1:]
    if v.school.per_watt:
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
        best = (min if found.better == "lower" else max)(found.candidates, key=lambda c: c.mean).name
        for pair in sorted(found.pairs, key=lambda p: (best not in {p.a, p.b}, p.p)):
            out.append((f"{pair.a} and {pair.b}", pair_paragraph(v, pair)))
    for claim in v.claims:
        out.append((f"Claim: {claim.claimed}", claim_sentences(v, claim)))
    return out
