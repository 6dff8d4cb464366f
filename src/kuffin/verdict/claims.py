"""What makers claim, held against what was measured: under which conditions it was tested, and under which it was made."""

from __future__ import annotations

from dataclasses import dataclass
from typing import TYPE_CHECKING

import numpy as np

from kuffin.core.compare.claims import judge_claim
from kuffin.core.compare.pairwords import digits_for, number, span

if TYPE_CHECKING:
    from kuffin.verdict.evidence import Evidence
    from kuffin.verdict.outcomes import OutcomeResult
    from kuffin.verdict.study import StudyVerdict

TITLES = {"refuted": "Refuted", "borne out": "Borne out", "open": "Open", "gone": "Cannot be judged"}


@dataclass(frozen=True, kw_only=True)
class JudgedClaim:
    """A claim and what became of it.

    Attributes
    ----------
    cooler_k : (float, float, float) or None
        By how much the candidate is cooler than the other: low, estimate, high; None where that cannot be told.
    judged : str
        ``refuted``, ``borne out``, ``open``, or ``gone`` where it cannot be judged.
    tested, made : str
        The conditions, in words.
    """

    claim_id: int
    candidate: str
    against: str
    at_least_k: float
    said_by: str
    said_where: str
    cooler_k: tuple[float, float, float] | None
    judged: str
    tested: str
    made: str
    why_not: str = ""

    @property
    def claimed(self) -> str:
        """What is claimed, in words."""
        who = f"{self.said_by}: " if self.said_by else ""
        return f"{who}{self.candidate} is at least {self.at_least_k:g} K cooler than {self.against}"


def judged_claims(evidence: Evidence, main: OutcomeResult, result: OutcomeResult | None = None) -> list[JudgedClaim]:
    """Every claim of a study, judged by the simultaneous interval of its pair under the school in use.

    Parameters
    ----------
    main : OutcomeResult
        The verdict's own.
    result : OutcomeResult, optional
        Of another condition, where it is judged by that.
    """
    study = evidence.study
    by_id = {c.id: c.name for c in study.candidates}
    live = {c.name for c in study.live_candidates}
    result = result or main
    found = result.comparison
    out = []
    for claim in study.live_claims:
        a, b = by_id.get(claim.candidate_id, "?"), by_id.get(claim.against_id, "?")
        cooler, why = None, ""
        gone = [n for n in (a, b) if n not in live]
        if gone:
            why = f"{gone[0]} is no longer in this study; take it in again, or put the claim into the bin"
        elif found is None:
            why = result.why_not or "too few mounts"
        else:
            pair = next((p for p in found.pairs if {p.a, p.b} == {a, b}), None)
            if pair is None:
                lacking = [n for n in (a, b) if n not in {c.name for c in found.candidates}]
                why = (
                    f"{lacking[0]} has no mount that counts"
                    if lacking
                    else "only pairs with the reference are compared; choose all pairs on the Plan desk"
                )
            else:
                sign = -1.0 if pair.a == a else 1.0
                low, high = sorted((sign * pair.low, sign * pair.high))
                cooler = (low, sign * pair.difference, high)
        judged = "gone" if cooler is None else judge_claim(-cooler[2], -cooler[0], claim.at_least_k)
        out.append(
            JudgedClaim(
                claim_id=claim.id,
                candidate=a,
                against=b,
                at_least_k=claim.at_least_k,
                said_by=claim.said_by,
                said_where=claim.said_where,
                cooler_k=cooler,
                judged=judged,
                tested=_tested_words(evidence, main, (a, b)),
                made=claim.said_where or "not said",
                why_not=why,
            )
        )
    return out


def _tested_words(evidence: Evidence, main: OutcomeResult, names: tuple[str, ...]) -> str:
    """Under which conditions a pair was tested, from what was measured: power, room, flow, fans."""
    said = []
    for role, label, unit, digits in (
        ("power", "", "W", 0),
        ("air_in", "air", "°C", 1),
        ("flow", "flow", "L/h", 0),
        ("fan", "fans", "rpm", 0),
    ):
        values = [
            m
            for r in main.readings
            if r.candidate in names and r.left_out is None
            for run in r.runs
            if run in evidence.results and (m := evidence.results[run].mean_of(role)) is not None
        ]
        if values:
            low, high = float(np.min(values)), float(np.max(values))
            if number(low, digits) == number(high, digits):
                text = f"{number(low, digits)} {unit}"
            else:
                text = f"{number(low, digits)} to {number(high, digits)} {unit}"
            said.append(f"{label} {text}".strip())
    return ", ".join(said) or "no conditions were recorded"


def claim_sentences(v: StudyVerdict, j: JudgedClaim) -> str:
    """Two or three sentences on a claim, to be printed as they are."""
    where = f" ({j.said_where})" if j.said_where else ""
    who = f"{j.said_by} says" if j.said_by else "It is said"
    first = f"{who}{where} that {j.candidate} is at least {j.at_least_k:g} K cooler than {j.against}."
    if j.cooler_k is None:
        return f"{first} That cannot be judged here: {j.why_not}."
    low, _, high = j.cooler_k
    digits = digits_for(high - low)
    if low > 0:
        measured = f"We found it {span(low, high, 'K', digits)} cooler"
    elif high < 0:
        measured = f"We found it {span(-high, -low, 'K', digits)} warmer"
    else:
        measured = f"We found a difference between {number(-low, digits)} K warmer and {number(high, digits)} K cooler"
    verdict = {
        "refuted": f"even the best case falls short of {j.at_least_k:g} K, so the claim does not hold under our conditions",
        "borne out": f"even the worst case reaches {j.at_least_k:g} K, so the claim holds under our conditions",
        "open": f"{j.at_least_k:g} K lie within that, so the claim is neither borne out nor refuted",
    }[j.judged]
    return f"{first} {measured}: {verdict}. Tested at {j.tested}; {v.temperature.scope_words}."
