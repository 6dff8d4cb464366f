"""What stands on every picture: the conditions that it was measured under, and what its intervals are."""

from __future__ import annotations

from kuffin.core.base.numbers import begun
from kuffin.core.bench.outcomes import Outcome
from kuffin.core.compare.pairwords import several
from kuffin.core.heat.normalise import School
from kuffin.verdict.measuredconditions import measured_words
from kuffin.verdict.outcomes import OutcomeResult
from kuffin.verdict.study import StudyVerdict


def conditions_words(v: StudyVerdict, outcome: Outcome) -> str:
    """The conditions: the load step, what was measured of power, air and flow, and what is left in or was carried."""
    about = next((c for c in v.conditions if c.name == v.condition), None)
    said = [f"Under {about.words}"] if about is not None and not outcome.of_run else []
    measured = measured_words(v)
    if measured:
        said.append(f"measured at {measured}")
    if isinstance(outcome, School) and outcome.rebased:
        said.append(f"carried to a room of {v.reference_air_c:g} °C")
    if outcome.leaves_in:
        said.append(f"as read: {outcome.leaves_in} still in it")
    if v.corrected and v.baseline is not None:
        said.append(f"corrected by the baseline {v.baseline.name}")
    return begun(" · ".join(said))


def mounts_words(result: OutcomeResult) -> str:
    """How many mounts there are of each, and how many were left out."""
    found = result.comparison
    counts = (
        [c.mounts for c in found.candidates]
        if found is not None
        else [sum(r.value is not None and r.left_out is None for r in result.of(n)) for n in result.ranking()]
    )
    if not counts:
        return "no mount counts"
    few, most = min(counts), max(counts)
    each = several(few, "mount") if few == most else f"{few} to {most} mounts"
    out = sum(bool(r.left_out) for r in result.readings)
    return f"{each} of each" + (f", {several(out, 'mount')} left out" if out else "")


def interval_words(result: OutcomeResult, drawn: str = "bars") -> str:
    """What the intervals of means are, and how pairs are judged."""
    found = result.comparison
    if found is None:
        return "no interval yet: " + (result.why_not or "too few mounts")
    over = f" over {len(found.pairs)} pairs together" if len(found.pairs) > 1 else ""
    level = f"{100 * found.confidence:.4g} %"
    return f"{drawn}: {level} interval of each mean alone; pairs judged at {level}{over}"


def basis_of(v: StudyVerdict, result: OutcomeResult, drawn: str = "bars") -> tuple[str, ...]:
    """The lines below a picture of one comparison."""
    told = conditions_words(v, result.outcome), f"{begun(mounts_words(result))} · {interval_words(result, drawn)}"
    scope = begun(result.scope_words.removeprefix("it is ")) if result.comparison is not None else ""
    return tuple(line for line in (*told, scope) if line)
