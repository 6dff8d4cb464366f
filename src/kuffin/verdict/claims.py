"""What makers claim, held against what was measured: under which conditions it was tested, and under which it was made."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from typing import TYPE_CHECKING

import numpy as np

from kuffin.core.base.language import inside, mark, tr, written
from kuffin.core.bench.outcomes import Outcome
from kuffin.core.compare.claims import WAYS, Claimed, judge_claim
from kuffin.core.compare.evidence import Comparison, PairResult
from kuffin.core.compare.pairwords import beside_nothing, better_first, digits_for, span, to_settle, was_held
from kuffin.notebook.entities import Claim
from kuffin.verdict.measuredconditions import measured_words
from kuffin.verdict.partfacts import fact_named, fact_of

if TYPE_CHECKING:
    from kuffin.verdict.outcomes import OutcomeResult
    from kuffin.verdict.study import StudyVerdict

TITLES = {
    "refuted": mark("Refuted"),
    "borne out": mark("Borne out"),
    "open": mark("Open"),
    "gone": mark("Cannot be judged"),
}


@dataclass(frozen=True, kw_only=True)
class JudgedClaim:
    """A claim and what became of it.

    Attributes
    ----------
    against : str
        Blank where it is about the value itself.
    amount : Claimed
    outcome : Outcome
        What it is about.
    found : (float, float, float) or None
        By how much the candidate is better than the other, or its value: low, estimate, high; None where that cannot be told.
        Of “up to”, where it comes out best.
    judged : str
        ``refuted``, ``borne out``, ``open``, or ``gone`` where it cannot be judged.
    tested, made : str
        The conditions, in words.
    """

    claim_id: int
    candidate: str
    against: str
    amount: Claimed
    outcome: Outcome
    said_by: str
    said_where: str
    found: tuple[float, float, float] | None
    judged: str
    tested: str
    made: str
    why_not: str = ""

    @property
    def unit(self) -> str:
        """Of what is claimed."""
        return "%" if self.amount.percent else self.outcome.difference_unit if self.against else self.outcome.unit

    @property
    def gist(self) -> str:
        """What is claimed, without who says it: ``Reed is up to 8 K cooler than Rush``."""
        amount = self.amount.written(self.unit)
        if self.against:
            return tr(
                "{candidate} is {amount} {better} than {against}",
                candidate=self.candidate,
                amount=amount,
                better=self.outcome.wording.better,
                against=self.against,
            )
        if self.outcome.fact:
            return tr(
                "{candidate} has a {label} of {amount}",
                candidate=self.candidate,
                label=self.outcome.label,
                amount=amount,
            )
        return tr(
            "{candidate} has {amount} of {label}",
            candidate=self.candidate,
            amount=amount,
            label=inside(self.outcome.label),
        )

    @property
    def claimed(self) -> str:
        """What is claimed, and by whom."""
        return f"{f'{self.said_by}: ' if self.said_by else ''}{self.gist}"


class _Gone(Exception):
    """Why a claim cannot be judged."""


def judged_claim(v: StudyVerdict, claim: Claim, results: Sequence[OutcomeResult]) -> JudgedClaim:
    """A claim, judged by what was measured.

    Parameters
    ----------
    results : sequence of OutcomeResult
        By the claim's outcome: one; for “up to” under every condition that was tested; none for what the shelf tells.
    """
    study = v.evidence.study
    by_id = {c.id: c.name for c in study.candidates}
    a = by_id.get(claim.candidate_id, "?")
    b = "" if claim.against_id is None else by_id.get(claim.against_id, "?")
    amount = Claimed(way=claim.way, low=claim.amount, high=claim.high, percent=claim.percent)
    live = {c.name for c in study.live_candidates}
    fact = fact_named(study, claim.outcome)
    found, why = None, ""
    try:
        gone = [n for n in (a, b) if n and n not in live]
        if gone:
            raise _Gone(
                tr("{gone} is no longer in this study; take it in again, or put the claim into the bin", gone=gone[0])
            )
        each = [_fact(v, fact, a, b, amount)] if fact is not None else [_interval(r, a, b, amount) for r in results]
        judged = judge_claim(amount, [(low, high) for low, _, high in each])
        found = max(each, key=lambda x: x[2])
    except _Gone as reason:
        judged, why = "gone", str(reason)
    return JudgedClaim(
        claim_id=claim.id,
        candidate=a,
        against=b,
        amount=amount,
        outcome=fact or results[0].outcome,
        said_by=claim.said_by,
        said_where=claim.said_where,
        found=found,
        judged=judged,
        tested=tr("the shelf")
        if fact is not None
        else measured_words(v, of=(a, b)) or tr("no conditions were recorded"),
        made=claim.said_where or tr("not said"),
        why_not=why,
    )


def _fact(v: StudyVerdict, fact: Outcome, a: str, b: str, amount: Claimed) -> tuple[float, float, float]:
    """What the shelf tells: low, estimate, high."""
    told = fact_of(v.evidence.study, fact, a, b, amount)
    if isinstance(told, str):
        raise _Gone(told)
    half = told.u95 or 0.0
    return told.value - half, told.value, told.value + half


def _interval(result: OutcomeResult, a: str, b: str, amount: Claimed) -> tuple[float, float, float]:
    """By how much one is better than the other, or its value where there is no other: low, estimate, high."""
    found = result.comparison
    if found is None:
        raise _Gone(result.why_not or tr("too few mounts"))
    lacking = [n for n in (a, b) if n and n not in {c.name for c in found.candidates}]
    if lacking:
        raise _Gone(tr("{lacking} has no mount that counts", lacking=lacking[0]))
    if not b:
        if amount.percent:
            raise _Gone(tr("a share needs another candidate that it is a share of; choose one"))
        own = found.candidate(a)
        if own.bound:
            raise _Gone(tr("{was_held}, so that its value is only a bound", was_held=was_held([a], found.free)))
        return own.low, own.mean, own.high
    pair = next((p for p in found.pairs if {p.a, p.b} == {a, b}), None)
    if pair is None:
        raise _Gone(tr("only pairs with the reference are compared; choose all pairs on the Plan desk"))
    if pair.held:
        raise _Gone(to_settle(pair, found))
    return _share(found, pair, a, b, result.outcome) if amount.percent else _gain(found, pair, a)


def _gain(found: Comparison, pair: PairResult, a: str) -> tuple[float, float, float]:
    first, _, low, high = better_first(pair, found.better)
    middle = abs(pair.difference)
    return (low, middle, high) if first == a else (-high, -middle, -low)


def _share(found: Comparison, pair: PairResult, a: str, b: str, outcome: Outcome) -> tuple[float, float, float]:
    """By how many per cent of the other's value it is better: ``1 − A/B``, or ``A/B − 1`` where more is better.

    The half-width follows from both means' standard errors (JCGM 100:2008, 5.1.2) at the pair's critical value.
    """
    if outcome.unit == "°C":
        raise _Gone(tr("a share of a temperature in °C says nothing: its nought is arbitrary; choose a rise"))
    one, other = found.candidate(a), found.candidate(b)
    if not other.mean > 0:
        raise _Gone(tr("{b}'s value is not above 0, so that there is no share of it", b=b))
    sign = 1.0 if outcome.higher_is_better else -1.0
    middle = 100 * sign * (one.mean / other.mean - 1)
    half = 100 * pair.q * float(np.hypot(one.se / other.mean, one.mean * other.se / other.mean**2))
    return middle - half, middle, middle + half


def claim_sentences(v: StudyVerdict, j: JudgedClaim) -> str:
    """Two or three sentences on a claim, to be printed as they are."""
    where = f" ({j.said_where})" if j.said_where else ""
    who = tr("{said_by} says", said_by=j.said_by) if j.said_by else tr("It is said")
    first = tr("{who}{where} that {gist}.", who=who, where=where, gist=j.gist)
    worth = f" {tr(WAYS[j.amount.way].worth)}" if WAYS[j.amount.way].worth else ""
    if j.found is None:
        return tr("{first} That cannot be judged here: {why_not}.{worth}", first=first, why_not=j.why_not, worth=worth)
    low, _, high = j.found
    digits, unit, said = digits_for(high - low), j.unit, j.outcome.wording
    best = tr(", where it comes out best,") if j.amount.way == "up to" and len(v.conditions) > 1 else ""
    if not j.against:
        measured = tr("We found {low}{best}", low=span(low, high, unit, digits), best=best)
    elif low > 0:
        measured = tr(
            "We found it{best} {low} {better}", best=best, low=span(low, high, unit, digits), better=tr(said.better)
        )
    elif high < 0:
        measured = tr(
            "We found it{best} {interval} {worse}",
            best=best,
            interval=span(-high, -low, unit, digits),
            worse=tr(said.worse),
        )
    else:
        ends = tr(
            "{low} {unit} {worse} and {high} {unit} {better}",
            low=beside_nothing(-low, digits),
            unit=unit,
            worse=tr(said.worse),
            high=beside_nothing(high, digits),
            better=tr(said.better),
        )
        measured = tr("We found a difference{best} between {ends}", best=best, ends=ends)
    reaches = j.amount.way in {"at least", "up to"}
    short, there = (tr("falls short of"), tr("reaches")) if reaches else (tr("does not agree with"), tr("agrees with"))
    amount = written(f"{j.amount.low:g} {unit}") if reaches else j.amount.written(unit)
    under = "" if j.outcome.fact else tr(" under our conditions")
    verdict = {
        "refuted": tr(
            "even the best case {short} {amount}, so the claim does not hold{under}",
            short=short,
            amount=amount,
            under=under,
        ),
        "borne out": tr(
            "even the worst case {there} {amount}, so the claim holds{under}", there=there, amount=amount, under=under
        ),
        "open": tr("{amount} may or may not be so, and the claim is neither borne out nor refuted", amount=amount),
    }[j.judged]
    how = (
        tr("It is as the shelf tells it")
        if j.outcome.fact
        else tr("Tested at {tested}; {scope}", tested=j.tested, scope=v.temperature.scope_words)
    )
    return f"{first} {measured}: {verdict}. {how}.{worth}"
