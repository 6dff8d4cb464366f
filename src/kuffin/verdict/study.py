"""From a study in the notebook to its verdict under every school."""

from __future__ import annotations

from collections.abc import Callable, Iterator, Mapping, Sequence
from dataclasses import dataclass, replace
from functools import cached_property
from typing import TYPE_CHECKING, Any

from kuffin.core.bench.conditions import Condition
from kuffin.core.bench.outcomes import Outcome
from kuffin.core.bench.sweepaxes import SweepAxis
from kuffin.core.findings import REMARK, Finding
from kuffin.core.heat.normalise import School, as_read_school, schools_for
from kuffin.notebook.entities import Run, Study
from kuffin.notebook.store import Notebook
from kuffin.reading.evaluating import school_of
from kuffin.reading.judgingrules import ways_of
from kuffin.reading.keptresults import run_result
from kuffin.reading.runresult import RunResult
from kuffin.verdict.baseline import BaselineChart, baseline_chart, with_baseline
from kuffin.verdict.chosenoutcomes import outcome_named, outcome_of
from kuffin.verdict.claims import JudgedClaim
from kuffin.verdict.elsewhere import alone, siblings_elsewhere
from kuffin.verdict.evidence import Evidence, mounts_of
from kuffin.verdict.fairness import unfair
from kuffin.verdict.looks import LooksSoFar, looks_so_far
from kuffin.verdict.openfindings import OpenFinding, about_the_study, answers_of, findings_of
from kuffin.verdict.outcomes import MountReading, OutcomeResult, readings_under
from kuffin.verdict.recordedsound import sounds_of

if TYPE_CHECKING:
    from kuffin.verdict.carried import MeasuredAt
    from kuffin.verdict.whatnext import WhatNext

Progress = Callable[[int, int], None]


@dataclass(frozen=True, kw_only=True)
class StudyVerdict:
    """All that the evidence of a study says so far.

    Attributes
    ----------
    evidence : Evidence
        What it is made from.
    schools : dict of OutcomeResult
        By key; `school` is the one in use for temperatures.
    outcome : Outcome
        What the verdict is about: that school's temperature, or something else.
    main : OutcomeResult
        The result by that outcome.
    findings : dict
        What was found about each mount, by its id; `of_study` is about the study.
    answers : dict
        Findings that were accepted: the reason by kind, by the mount's id.
    without_exclusions : OutcomeResult or None
        As it would be with the mounts that were left out, where there are any.
    looks : LooksSoFar or None
        None only where nothing was judged.
    """

    evidence: Evidence
    reference_power_w: float
    school: School
    schools: dict[str, OutcomeResult]
    outcome: Outcome
    main: OutcomeResult
    findings: dict[int, tuple[Finding, ...]]
    of_study: tuple[Finding, ...]
    answers: dict[int, dict[str, str]]
    without_exclusions: OutcomeResult | None = None
    looks: LooksSoFar | None = None
    baseline: BaselineChart | None = None
    corrected: bool = False
    claims: tuple[JudgedClaim, ...] = ()

    @cached_property
    def next_mounts(self) -> WhatNext | None:
        """What to mount next (`what_next`), drawn when it is first asked for: with many candidates that takes seconds, so a window asks
        where it judges, in the background."""
        from kuffin.verdict.whatnext import what_next  # which stands on this module

        return what_next(self)

    @cached_property
    def possible_outcomes(self) -> list[Outcome]:
        """The outcomes that some run tells (`possible_outcomes`), looked up once."""
        from kuffin.verdict.chosenoutcomes import possible_outcomes  # which stands on this module

        return possible_outcomes(self.evidence)

    @cached_property
    def sweep_axes(self) -> list[SweepAxis]:
        """What the study was swept along (`axes_told`), looked up once."""
        from kuffin.verdict.along import axes_told  # which stands on this module

        return axes_told(self)

    @cached_property
    def measured(self) -> MeasuredAt:
        """Where it was measured (`measured_at`), looked up once."""
        from kuffin.verdict.carried import measured_at  # which stands on this module

        return measured_at(self)

    @property
    def study_id(self) -> int:
        """Whose verdict it is."""
        return self.evidence.study.id

    @property
    def question(self) -> str:
        """What the study asks."""
        return self.evidence.study.question

    @property
    def under_test(self) -> str:
        """The kind of part that is compared."""
        return self.evidence.study.under_test

    @property
    def margin_k(self) -> float:
        """What differences do not matter, K."""
        return self.evidence.study.margin_k

    @property
    def reference_air_c(self) -> float:
        """The room that readings are carried to, °C."""
        return self.evidence.study.reference_air_c

    @property
    def mounts(self) -> int:
        """How many mounts were looked at."""
        return len(self.evidence.mounts)

    @property
    def planned_rounds(self) -> int:
        """How many rounds are planned."""
        return self.evidence.study.planned_rounds

    @property
    def candidates(self) -> tuple[str, ...]:
        """The candidates' names, in the study's order."""
        return tuple(c.name for c in self.evidence.study.live_candidates)

    @property
    def blocks(self) -> bool:
        """Whether the mounts of a round are compared with one another."""
        return self.evidence.blocks

    @property
    def results(self) -> Mapping[int, RunResult]:
        """Each run's result, by the run's id."""
        return self.evidence.results

    @property
    def condition(self) -> str | None:
        """The key of the condition that the verdict is about; None where there is only one."""
        return self.evidence.condition

    @property
    def conditions(self) -> tuple[Condition, ...]:
        """All conditions there are readings at."""
        return self.evidence.conditions

    @property
    def temperature(self) -> OutcomeResult:
        """The result under the school in use, whatever the verdict is about."""
        return self.schools[self.school.key]

    def by(self, key: str) -> OutcomeResult:
        """The result by another outcome, at the confidence of the verdict."""
        outcome = outcome_named(self.evidence, key) or self.outcome
        how = {"condition": self.condition, "confidence": self.looks.confidence if self.looks is not None else None}
        return with_baseline(self.evidence, outcome, self.reference_power_w, correct=self.corrected, **how)

    def readings_of(self, school: School) -> Sequence[MountReading]:
        """Every mount's reading under any school, also one that the study has no use for."""
        if school.key in self.schools:
            return self.schools[school.key].readings
        return readings_under(self.evidence, school, self.reference_power_w, condition=self.condition)

    @property
    def as_read(self) -> OutcomeResult | None:
        """The result without taking anything out; None where there is none."""
        return self.schools.get(as_read_school(self.under_test).key)

    def unanswered(self, mount_id: int) -> list[Finding]:
        """A mount's findings that have to be answered and were not."""
        accepted = self.answers.get(mount_id, {})
        return [f for f in self.findings.get(mount_id, ()) if f.serious and f.kind not in accepted]

    def kept(self, mount_id: int) -> bool:
        """Whether a mount counts in spite of what was found, by a person's word."""
        serious = [f for f in self.findings.get(mount_id, ()) if f.serious]
        return bool(serious) and not self.unanswered(mount_id)

    def open_findings(self) -> list[OpenFinding]:
        """What waits for an answer, in the order of the candidates; mounts that are left out are answered."""
        return [
            OpenFinding(r.mount_id, r.label, f)
            for r in self.main.readings
            if r.left_out is None
            for f in self.unanswered(r.mount_id)
        ]


def judge(
    notebook: Notebook,
    study: Study,
    progress: Progress | None = None,
    seen: Callable[[Run, RunResult], None] | None = None,
) -> StudyVerdict:
    """Judge a study under every school.

    Parameters
    ----------
    progress : callable, optional
        Called with the runs done and their number; may raise to stop.
    seen : callable, optional
        Called with each run and its result as soon as that is there.
    """
    mounts, ways = mounts_of(study), ways_of(notebook, study)
    runs: list[Run] = [r for _, m in mounts for r in m.read_runs]
    results: dict[int, RunResult] = {}
    for done, run in enumerate(runs):
        results[run.id] = run_result(notebook, study, run, ways)
        if seen is not None:
            seen(run, results[run.id])
        if progress is not None:
            progress(done + 1, len(runs))
    others = siblings_elsewhere(notebook, study, ways) if alone(mounts) else ()
    return verdict_from(Evidence(study, mounts, results, ways, elsewhere=others, sounds=sounds_of(notebook, study)))


def verdict_from(evidence: Evidence) -> StudyVerdict:
    """Judge a study from its runs' results; reads no samples."""
    study, wanted = evidence.study, school_of(evidence.study)
    power = study.reference_power_w or evidence.typical_power(wanted.part, evidence.condition) or 100.0

    about = outcome_of(evidence)

    def under(outcome: Outcome, confidence: float, of: Evidence = evidence, **how: Any) -> OutcomeResult:
        how = {"correct": bool(study.plan.get("correct_by_baseline")), **how}
        return with_baseline(of, outcome, power, condition=evidence.condition, confidence=confidence, **how)

    looks = looks_so_far(
        evidence, lambda n, level: under(about, level, evidence.first_rounds(n), correct=False).comparison
    )
    each = {s.key: s for s in (*schools_for(study.under_test), wanted)}
    schools = {key: under(school, looks.confidence) for key, school in each.items()}
    temperature = schools[wanted.key]
    main = temperature if about.key == wanted.key else under(about, looks.confidence)
    excluded = any(m.left_out for _, m in evidence.mounts)
    findings = findings_of(evidence, temperature, power)
    made = StudyVerdict(
        evidence=evidence,
        reference_power_w=power,
        school=wanted,
        schools=schools,
        outcome=about,
        main=main,
        findings=findings,
        of_study=(*about_the_study(evidence, temperature), *_unlike(evidence)),
        answers=answers_of(evidence.mounts, findings),
        without_exclusions=under(about, looks.confidence, heed_exclusions=False) if excluded else None,
        looks=looks,
        baseline=baseline_chart(evidence, temperature),
        corrected=main.moved is not None,
    )
    from kuffin.verdict.grid import claims_of  # which takes a verdict apart

    return replace(made, claims=claims_of(made)) if study.live_claims else made


def _unlike(evidence: Evidence) -> Iterator[Finding]:
    """What differs between the candidates besides what is under test, where that is not said to be fair."""
    study, ways = evidence.study, evidence.ways
    if ways is not None:
        for d in unfair(study, ways.bench, ways.shelf, evidence):
            if d.strength > 0 and d.key not in study.fair_because:
                yield Finding(kind="differs", seen=d.sentence.rstrip("."), weight=REMARK)
