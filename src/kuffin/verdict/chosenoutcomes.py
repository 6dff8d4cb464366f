"""Which outcomes a study can be judged by, which stand in its grid, and which its verdict is about."""

from __future__ import annotations

from typing import TYPE_CHECKING

from kuffin.core.bench.outcomes import FREE, MEASURED, Outcome, asked_name, asked_outcome
from kuffin.core.bench.roles import FURTHER_PARTS
from kuffin.core.bench.undertest import kind_under_test
from kuffin.core.findings.running import THROTTLED
from kuffin.core.heat.normalise import SCHOOLS, School
from kuffin.reading.asked import asked_names, usual_units
from kuffin.reading.evaluating import school_of
from kuffin.reading.runresult import RunResult
from kuffin.verdict.evidence import Evidence

if TYPE_CHECKING:
    from kuffin.verdict.study import StudyVerdict


def possible_outcomes(evidence: Evidence) -> list[Outcome]:
    """What some run of the study tells, the school's temperature first, then the other parts', then all else."""
    school, results = school_of(evidence.study), list(evidence.results.values())
    held = {name for r in results for name in r.names}
    parts = [p for p in FURTHER_PARTS if p in held] if school.part == "die" else []
    keys = (p + school.key.removeprefix(school.part) for p in parts)  # a whole trace is only the heat path's
    out: list[Outcome] = [school, *(SCHOOLS[k] for k in keys if k in SCHOOLS)]
    met = any(f.kind == THROTTLED for r in results for f in r.findings)
    told = [o for o in MEASURED.values() if any(_told(o, r) for r in results) or _recorded(o, evidence)]
    out += [o for o in told if o.bounded != FREE or met]
    lower = set(evidence.study.plan.get("lower_is_better", ()))
    asked = usual_units(r for _, m in evidence.mounts for r in m.live_runs)
    return out + [asked_outcome(n, u, n in lower) for n, u in asked.items()]


def _candidates_told(evidence: Evidence, outcome: Outcome) -> int:
    """How many candidates a run tells an outcome of."""
    if isinstance(outcome, School):
        tells = {n for n, m in evidence.mounts for r in m.live_runs if outcome.part in evidence.results[r.id].names}
    elif outcome.asked:
        tells = {n for n, m in evidence.mounts for r in m.live_runs if outcome.asked in asked_names(r)}
    else:
        tells = {n for n, m in evidence.mounts for r in m.live_runs if _told(outcome, evidence.results[r.id])}
        tells |= {n for n, m in evidence.mounts if _recorded(outcome, evidence) and m.id in evidence.sounds}
    return len(tells)


def _recorded(outcome: Outcome, evidence: Evidence) -> bool:
    """Whether recordings tell an outcome."""
    levels = (r.sound.worked for each in evidence.sounds.values() for r in each)
    return outcome.role == "sound" and any(x is not None for x in levels)


def _told(outcome: Outcome, result: RunResult) -> bool:
    roles = result.names if outcome.role == "power" else result.roles
    return any(
        outcome.figure in r.figures if outcome.figure else roles.get(outcome.role) in r.means
        for r in (result, *result.steps)
    )


def outcome_named(evidence: Evidence, key: str) -> Outcome | None:
    """The outcome of a key; None where there is none such."""
    if asked_name(key):
        return next((o for o in possible_outcomes(evidence) if o.key == key), asked_outcome(asked_name(key), ""))
    return SCHOOLS.get(key) or MEASURED.get(key)


def outcome_of(evidence: Evidence) -> Outcome:
    """What the verdict is about: what was chosen, else the temperature of the school in use."""
    chosen = evidence.study.plan.get("outcome")
    return (outcome_named(evidence, chosen) if chosen else None) or school_of(evidence.study)


def grid_outcomes(evidence: Evidence) -> list[Outcome]:
    """The outcomes that stand in the study's grid: those chosen, else what one usually looks at for what is under test.

    What the verdict is about stands there always, and first.
    """
    possible, chosen = possible_outcomes(evidence), evidence.study.plan.get("outcomes")
    about = outcome_of(evidence)
    usual = kind_under_test(evidence.study.under_test).outcomes
    if chosen is not None:
        wanted = [o for o in possible if o.key in chosen]
    else:
        usual_too = [o for o in possible if isinstance(o, School) or o.key in usual or o.asked]
        wanted = [o for o in usual_too if _candidates_told(evidence, o) > 1]
    return [about, *(o for o in wanted if o.key != about.key)]


def instead_of(v: StudyVerdict) -> list[Outcome]:
    """What can be compared instead of a temperature that a limit held: the clock that was held, a score, a rate of frames."""
    return [o for o in v.possible_outcomes if o.higher_is_better and o.noticed]
