"""What is said beside a comparison: its title, its pairs, what depends on the school, what was left out, what it rests on."""

from __future__ import annotations

from dataclasses import dataclass

from kuffin.core.base.language import inside, tr, written
from kuffin.core.bench.outcomes import Outcome
from kuffin.core.compare import PairResult
from kuffin.core.compare.pairwords import digits_for, joined, number, pair_said, span, to_settle
from kuffin.core.heat.normalise import SCHOOLS, School
from kuffin.verdict.outcomes import OutcomeResult, scope
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


def title(v: StudyVerdict, outcome: Outcome) -> str:
    """What the plot shows."""
    if outcome.per_watt:
        return tr(
            "{label}, as kelvins at {reference_power_w:g} W", label=outcome.label, reference_power_w=v.reference_power_w
        )
    if isinstance(outcome, School) and outcome.rebased:
        return tr("{label} to a room of {reference_air_c:g} °C", label=outcome.label, reference_air_c=v.reference_air_c)
    return outcome.label[:1].upper() + outcome.label[1:]


def pair_rows(result: OutcomeResult, most: int | None = None) -> list[PairRow]:
    """The table of pairs, settled ones first; no more than `most` of them."""
    found = result.comparison
    if found is None:
        return []
    unit = result.outcome.difference_unit
    rows = []
    for pair in sorted(found.pairs, key=lambda p: (not p.settled, p.p))[:most]:
        digits = digits_for(pair.high - pair.low)
        words = pair_said(pair, found, result.outcome)
        if not pair.settled:  # the interval stands beside it already
            words = tr("Not told apart yet: {to_settle}.", to_settle=to_settle(pair, found))
        difference = f"{number(pair.difference, digits)} {unit}".rstrip()
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
    return rows


def school_warnings(v: StudyVerdict, shown: OutcomeResult) -> list[str]:
    """Where ranking or verdict depends on the school, and what “as read” would have said."""
    out: list[str] = []
    ranking = shown.ranking()
    if not ranking or not isinstance(shown.outcome, School):
        return out
    as_read = v.as_read
    if as_read is not None and as_read.outcome.key != shown.outcome.key and as_read.ranking():
        first = as_read.ranking()[0]
        if first != ranking[0]:
            out.append(tr("As read, without taking the room out, {first} would have won.", first=first))
        elif as_read.ranking() != ranking:
            out.append(tr("As read, the order would have been {ranking}.", ranking=", ".join(as_read.ranking())))
    verdicts = _verdicts(shown)
    for other in v.schools.values():
        if other.outcome.key in {shown.outcome.key, as_read.outcome.key if as_read else ""} or other.comparison is None:
            continue
        if other.ranking() and other.ranking()[0] != ranking[0]:
            out.append(
                tr(
                    "The ranking depends on the school: {label} puts {ranking} first.",
                    label=inside(other.outcome.label),
                    ranking=other.ranking()[0],
                )
            )
            continue
        flipped = [pair for pair, verdict in _verdicts(other).items() if verdicts.get(pair, verdict) != verdict]
        if flipped and not SCHOOLS[other.outcome.key].rebased:  # re-based differs from over air by a constant only
            some = "; ".join(joined(pair) for pair in flipped[:2])
            out.append(
                tr(
                    "The verdict depends on the school for {some}: {label} judges otherwise.",
                    some=some,
                    label=inside(other.outcome.label),
                )
            )
    return list(dict.fromkeys(out))


def _verdicts(result: OutcomeResult) -> dict[tuple[str, str], str]:
    return {} if result.comparison is None else {(p.a, p.b): p.verdict for p in result.comparison.pairs}


def left_out_lines(v: StudyVerdict) -> list[str]:
    """What was left out, why, and what it changed."""
    out = [
        tr("Left out: {label} ({left_out}).", label=r.label, left_out=r.left_out) for r in v.main.readings if r.left_out
    ]
    without = v.without_exclusions
    if out and without is not None:
        now, before = v.main.comparison, without.comparison
        if now is not None and before is not None:
            changed = sum(1 for pair, verdict in _verdicts(v.main).items() if _verdicts(without).get(pair) != verdict)
            same = (
                tr("every verdict would be the same")
                if changed == 0
                else tr("{changed} of {pairs} verdicts would differ", changed=changed, pairs=len(now.pairs))
            )
            out.append(
                tr("With it counted, {same}.", same=same)
                if len(out) == 1
                else tr("With them counted, {same}.", same=same)
            )
    return out


def footnote(v: StudyVerdict, result: OutcomeResult) -> str:
    """Scope, evidence and confidence in one line."""
    found = result.comparison
    if found is None:
        return result.why_not or ""
    mounts = sorted({c.mounts for c in found.candidates})
    counts = f"{mounts[0]}" if len(mounts) == 1 else tr("{fewest} to {most}", fewest=mounts[0], most=mounts[-1])
    pairs = tr("{pairs} pairs together", pairs=len(found.pairs)) if len(found.pairs) > 1 else tr("the pair")
    return tr(
        "About {scope} · {counts} mounts of each · {confidence:.4g} % over {pairs} · {matters}",
        scope=scope(found).split(";")[0],
        counts=counts,
        confidence=100 * found.confidence,
        pairs=pairs,
        matters=_matters(result),
    ).removesuffix(" · ")


def _matters(result: OutcomeResult) -> str:
    found = result.comparison
    if found is None or found.margin is None:
        return ""
    return tr(
        "differences under {margin} do not matter here · ",
        margin=f"{written(format(found.margin, '.3g'))} {result.outcome.difference_unit}".rstrip(),
    )
