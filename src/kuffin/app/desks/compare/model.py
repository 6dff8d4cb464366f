"""What the Compare desk says; no widgets, so that it can be tested without a window."""

from __future__ import annotations

from dataclasses import dataclass

from kuffin.core.compare import PairResult
from kuffin.core.compare.pairwords import digits_for, number, pair_sentence, span, to_settle
from kuffin.core.heat.normalise import School
from kuffin.verdict.schools import SchoolResult, scope
from kuffin.verdict.study import StudyVerdict


@dataclass(frozen=True, kw_only=True)
class PairRow:
    """One row of the table of pairs."""

    pair: PairResult
    names: str
    difference: str
    interval: str
    verdict: str
    open: bool


def title(v: StudyVerdict, school: School) -> str:
    """What the plot shows."""
    if school.per_watt:
        return f"{school.label}, as kelvins at {v.reference_power_w:g} W"
    if school.rebased:
        return f"{school.label} to a room of {v.reference_air_c:g} °C"
    return school.label


def pair_rows(result: SchoolResult) -> list[PairRow]:
    """The table of pairs, settled ones first."""
    found = result.comparison
    if found is None:
        return []
    unit = "K"
    rows = []
    for pair in found.pairs:
        digits = digits_for(pair.high - pair.low)
        words = pair_sentence(pair, found, unit, "cooler")
        if not pair.settled:  # the interval stands beside it already
            words = f"Not told apart yet: {to_settle(pair, found)}."
        difference = f"{number(pair.difference, digits)} {unit}"
        interval = span(pair.low, pair.high, unit, digits)
        rows.append(
            PairRow(
                pair=pair,
                names=f"{pair.a} − {pair.b}",
                difference=difference,
                interval=interval,
                verdict=words,
                open=not pair.settled,
            )
        )
    return sorted(rows, key=lambda r: (r.open, r.pair.p))


def school_warnings(v: StudyVerdict, shown: SchoolResult) -> list[str]:
    """Where ranking or verdict depends on the school, and what “as read” would have said."""
    out: list[str] = []
    ranking = shown.ranking()
    if not ranking:
        return out
    as_read = v.as_read
    if as_read is not None and as_read.school.key != shown.school.key and as_read.ranking():
        first = as_read.ranking()[0]
        if first != ranking[0]:
            out.append(f"As read, without taking the room out, {first} would have won.")
        elif as_read.ranking() != ranking:
            out.append(f"As read, the order would have been {', '.join(as_read.ranking())}.")
    verdicts = _verdicts(shown)
    for other in v.schools.values():
        if other.school.key in {shown.school.key, as_read.school.key if as_read else ""} or other.comparison is None:
            continue
        if other.ranking() and other.ranking()[0] != ranking[0]:
            out.append(
                f"The ranking depends on the school: {other.school.label.lower()} puts {other.ranking()[0]} first."
            )
            continue
        flipped = [pair for pair, verdict in _verdicts(other).items() if verdicts.get(pair, verdict) != verdict]
        if flipped and not other.school.rebased:  # re-based differs from over air by a constant only
            some = "; ".join(f"{a} and {b}" for a, b in flipped[:2])
            out.append(f"The verdict depends on the school for {some}: {other.school.label.lower()} judges otherwise.")
    told = list(dict.fromkeys(out))
    return told if len(told) < 3 else [*told[:2], "More on the Schools page."]


def _verdicts(result: SchoolResult) -> dict[tuple[str, str], str]:
    return {} if result.comparison is None else {(p.a, p.b): p.verdict for p in result.comparison.pairs}


def left_out_lines(v: StudyVerdict) -> list[str]:
    """What was left out, why, and what it changed."""
    out = [f"Left out: {r.label} ({r.left_out})." for r in v.main.readings if r.left_out]
    without = v.without_exclusions
    if out and without is not None:
        now, before = v.main.comparison, without.comparison
        if now is not None and before is not None:
            changed = sum(1 for pair, verdict in _verdicts(v.main).items() if _verdicts(without).get(pair) != verdict)
            same = (
                "every verdict would be the same"
                if changed == 0
                else f"{changed} of {len(now.pairs)} verdicts would differ"
            )
            out.append(f"With it counted, {same}." if len(out) == 1 else f"With them counted, {same}.")
    return out


def footnote(v: StudyVerdict, result: SchoolResult) -> str:
    """Scope, evidence and confidence in one line."""
    found = result.comparison
    if found is None:
        return result.why_not or ""
    mounts = sorted({c.mounts for c in found.candidates})
    counts = f"{mounts[0]}" if len(mounts) == 1 else f"{mounts[0]} to {mounts[-1]}"
    pairs = f"{len(found.pairs)} pairs together" if len(found.pairs) > 1 else "the pair"
    return (
        f"About {scope(found).split(';')[0]} · {counts} mounts of each · {100 * found.confidence:.4g} % over {pairs} · "
        f"differences under {v.margin_k:g} K do not matter here · click any number for its working"
    )
