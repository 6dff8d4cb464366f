"""From a study in the notebook to its verdict under every school."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import dataclass, field, replace

from kuffin.core.bench.conditions import Condition
from kuffin.core.findings import REMARK, Finding
from kuffin.core.heat.normalise import School, as_read_school, schools_for
from kuffin.notebook.entities import Run, Study
from kuffin.notebook.shelf import bench_of, parts
from kuffin.notebook.store import Notebook
from kuffin.reading.evaluating import school_of
from kuffin.reading.judgingrules import Ways, ways_of
from kuffin.reading.keptresults import run_result
from kuffin.reading.runresult import RunResult
from kuffin.verdict.baseline import BaselineChart, baseline_chart, with_baseline
from kuffin.verdict.claims import JudgedClaim, judged_claims
from kuffin.verdict.fairness import unfair
from kuffin.verdict.looks import LooksSoFar, looks_so_far
from kuffin.verdict.openfindings import OpenFinding, about_the_study, answers_of, findings_of
from kuffin.verdict.schools import Mounts, SchoolResult, typical_power

Progress = Callable[[int, int], None]


@dataclass(frozen=True)
class StudyVerdict:
    """All that the evidence of a study says so far."""

    study_id: int
    question: str
    under_test: str
    margin_k: float
    reference_power_w: float
    reference_air_c: float
    school: School
    schools: dict[str, SchoolResult]
    findings: dict[int, tuple[Finding, ...]]
    of_study: tuple[Finding, ...]
    answers: dict[int, dict[str, str]]
    mounts: int
    planned_rounds: int
    candidates: tuple[str, ...]
    results: dict[int, RunResult] = field(repr=False, default_factory=dict)
    without_exclusions: SchoolResult | None = None
    conditions: tuple[Condition, ...] = ()
    condition: str | None = None
    looks: LooksSoFar | None = None  # None only where nothing was judged
    baseline: BaselineChart | None = None
    corrected: bool = False
    blocks: bool = False
    claims: tuple[JudgedClaim, ...] = ()

    @property
    def main(self) -> SchoolResult:
        return self.schools[self.school.key]

    @property
    def as_read(self) -> SchoolResult | None:
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
    mounts = mounts_of(study)
    runs: list[Run] = [r for _, m in mounts for r in m.live_runs]
    results: dict[int, RunResult] = {}
    ways = ways_of(notebook, study)
    for done, run in enumerate(runs):
        results[run.id] = run_result(notebook, study, run, ways)
        if seen is not None:
            seen(run, results[run.id])
        if progress is not None:
            progress(done + 1, len(runs))
    verdict = verdict_from(study, mounts, results, ways)
    bench = bench_of(notebook, study.bench_id)
    differing = unfair(study, bench, parts(notebook), verdict)
    open_ = [d for d in differing if d.strength > 0 and d.key not in study.fair_because]
    return replace(
        verdict, of_study=(*verdict.of_study, *(Finding("differs", d.sentence.rstrip("."), REMARK) for d in open_))
    )


def mounts_of(study: Study) -> Mounts:
    """A study's mounts with a run, with their candidates; one that is only planned is no evidence yet."""
    return [(c.name, m) for c in study.live_candidates for m in c.live_mounts if m.live_runs]


def first_rounds(mounts: Mounts, n: int) -> Mounts:
    """The mounts of each candidate's first n rounds."""
    rounds: dict[str, set[int]] = {}
    for name, m in mounts:
        rounds.setdefault(name, set()).add(m.round)
    return [(name, m) for name, m in mounts if m.round in sorted(rounds[name])[:n]]


def verdict_from(study: Study, mounts: Mounts, results: dict[int, RunResult], ways: Ways | None = None) -> StudyVerdict:
    """Judge a study from its runs' results; reads no samples."""
    condition = None if ways is None else ways.condition
    power = study.reference_power_w or typical_power(mounts, results, school_of(study).part, condition) or 100.0
    correct = bool(study.plan.get("correct_by_baseline"))

    def under(
        school: School, confidence: float, heed_exclusions: bool = True, those: Mounts = mounts, correct: bool = correct
    ) -> SchoolResult:
        return with_baseline(
            study,
            school,
            those,
            results,
            power,
            heed_exclusions=heed_exclusions,
            condition=condition,
            confidence=confidence,
            correct=correct,
        )

    wanted = school_of(study)
    looks = looks_so_far(
        study, mounts, lambda n, level: under(wanted, level, those=first_rounds(mounts, n), correct=False).comparison
    )
    schools = {
        s.key: under(s, looks.confidence) for s in {s.key: s for s in (*schools_for(study.under_test), wanted)}.values()
    }
    excluded = any(m.left_out for _, m in mounts)
    without = under(wanted, looks.confidence, heed_exclusions=False) if excluded else None
    findings = findings_of(study, mounts, results, schools[wanted.key], power, condition)
    made = StudyVerdict(
        study.id,
        study.question,
        study.under_test,
        study.margin_k,
        power,
        study.reference_air_c,
        wanted,
        schools,
        findings,
        about_the_study(study, mounts, schools[wanted.key]),
        answers_of(mounts, findings),
        len(mounts),
        study.planned_rounds,
        tuple(c.name for c in study.live_candidates),
        results,
        without,
        ways.conditions if ways is not None and ways.condition is not None else (),
        ways.condition if ways is not None else None,
        looks,
        baseline_chart(study, mounts, schools[wanted.key]),
        schools[wanted.key].moved is not None,
        study.blocks,
    )
    return replace(made, claims=tuple(judged_claims(made, study)))
