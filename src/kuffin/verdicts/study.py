"""From a study in the notebook to its verdict under every school."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import dataclass, field, replace

import numpy as np

from kuffin.core.compare import MountValue, compare
from kuffin.core.errors import KuffinError
from kuffin.core.findings import REMARK, Finding
from kuffin.core.normalise import SCHOOLS, School, as_read_school, default_school, schools_for
from kuffin.core.settle import Settled
from kuffin.notebook.entities import Mount, Run, Study
from kuffin.notebook.shelf import bench_of, parts
from kuffin.notebook.store import Notebook
from kuffin.verdicts.fairness import unfair
from kuffin.verdicts.findings import OpenFinding, about_the_study, answers_of, findings_of
from kuffin.verdicts.results import run_result
from kuffin.verdicts.runresult import RunResult
from kuffin.verdicts.schools import MountReading, SchoolResult
from kuffin.verdicts.ways import ways_of

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
    # a mount that is only planned is no evidence yet
    mounts = [(c.name, m) for c in study.live_candidates for m in c.live_mounts if m.live_runs]
    runs: list[Run] = [r for _, m in mounts for r in m.live_runs]
    results: dict[int, RunResult] = {}
    ways = ways_of(notebook, study)
    for done, run in enumerate(runs):
        results[run.id] = run_result(notebook, study, run, ways)
        if seen is not None:
            seen(run, results[run.id])
        if progress is not None:
            progress(done + 1, len(runs))
    verdict = verdict_from(study, mounts, results)
    bench = bench_of(notebook, study.bench_id)
    differing = unfair(study, bench, parts(notebook), verdict)
    open_ = [d for d in differing if d.strength > 0 and d.key not in study.fair_because]
    return replace(
        verdict, of_study=(*verdict.of_study, *(Finding("differs", d.sentence.rstrip("."), REMARK) for d in open_))
    )


def verdict_from(study: Study, mounts: list[tuple[str, Mount]], results: dict[int, RunResult]) -> StudyVerdict:
    """Judge a study from its runs' results; reads no samples."""
    power = study.reference_power_w or _typical_power(mounts, results)
    schools = {}
    for school in schools_for(study.under_test):
        schools[school.key] = _under(study, school, mounts, results, power)
    wanted = SCHOOLS.get(study.school or "") or default_school(study.under_test)
    if wanted.key not in schools:
        schools[wanted.key] = _under(study, wanted, mounts, results, power)
    excluded = any(m.left_out for _, m in mounts)
    without = _under(study, wanted, mounts, results, power, heed_exclusions=False) if excluded else None
    findings = findings_of(study, mounts, results, schools[wanted.key], power)
    return StudyVerdict(
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
    )


def _typical_power(mounts: list[tuple[str, Mount]], results: dict[int, RunResult]) -> float:
    values = [p for _, m in mounts for r in m.live_runs if (p := results[r.id].mean_of("power")) is not None]
    return float(round(float(np.median(values)))) if values else 100.0


def _under(
    study: Study,
    school: School,
    mounts: list[tuple[str, Mount]],
    results: dict[int, RunResult],
    power: float,
    heed_exclusions: bool = True,
) -> SchoolResult:
    readings = [_reading(study, school, name, m, results, power, heed_exclusions) for name, m in mounts]
    values = [
        MountValue(
            r.candidate,
            str(r.mount_id),
            r.value,
            str(r.round) if study.blocks else None,
            str(m.sample_id) if m.sample_id is not None else None,
        )
        for r, (_, m) in zip(readings, mounts, strict=True)
        if r.value is not None and r.left_out is None
    ]
    order = {c.name: i for i, c in enumerate(study.live_candidates)}
    values.sort(key=lambda v: order.get(v.candidate, 0))
    margin = study.margin_k
    try:
        chosen = study.candidate(study.reference_id)
        reference = chosen.name if chosen is not None and chosen.name in {v.candidate for v in values} else None
        found = compare(values, reference=reference, margin=margin, confidence=study.confidence)
        return SchoolResult(school, tuple(readings), found, None)
    except KuffinError as error:
        return SchoolResult(school, tuple(readings), None, str(error))


def _reading(
    study: Study,
    school: School,
    candidate: str,
    mount: Mount,
    results: dict[int, RunResult],
    power: float,
    heed_exclusions: bool,
) -> MountReading:
    left_out = mount.left_out if heed_exclusions else None
    found: list[tuple[float, float, bool]] = []
    problem: str | None = None
    for run in mount.live_runs:
        result = results[run.id]
        if school.over is None:
            name = result.names.get(school.part)
            # the channel's plain mean, as one reads it off; its window is the main trace's
            if name in result.means and result.window_s is not None:
                mean, sd = result.means[name]
                found.append((mean, 1.96 * sd / np.sqrt(10), True))
            else:
                problem = f"no channel has the role “{school.part}”"
            continue
        if school.whole:
            fit = result.whole.get(school.trace)
            if fit is None:
                problem = "the whole-trace fit needs both temperatures, power, and six minutes of load"
                continue
            value = school.shown(fit.resistance_k_w, power, study.reference_air_c)
            found.append((value, school.shown_u95(fit.resistance_u95, power), True))
            continue
        trace: Settled | None = result.traces.get(school.trace)
        if trace is None:
            problem = result.problems.get(school.trace, "cannot be judged")
            continue
        found.append(
            (
                school.shown(trace.value, power, study.reference_air_c),
                school.shown_u95(trace.u95, power),
                trace.settled or result.by_hand,
            )
        )
    runs = tuple(r.id for r in mount.live_runs)
    if not found:
        return MountReading(
            mount.id, candidate, mount.round, None, None, False, left_out, problem or "no run yet", runs
        )
    n = len(found)
    value = float(np.mean([f[0] for f in found]))
    u95 = float(np.sqrt(sum(f[1] ** 2 for f in found)) / n)
    return MountReading(mount.id, candidate, mount.round, value, u95, all(f[2] for f in found), left_out, None, runs)
