"""What the checks found about a study's mounts and about the study itself, and how it was answered."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass, replace

import numpy as np

from kuffin.core.base.language import tr
from kuffin.core.base.numbers import number
from kuffin.core.base.saying import say
from kuffin.core.base.student import t_quantile
from kuffin.core.compare.pairwords import several
from kuffin.core.findings import DOUBT, REMARK, CheckLimits, Finding, Sibling, against_siblings
from kuffin.core.findings.firstmount import first_mounts
from kuffin.notebook.entities import Mount
from kuffin.reading.judgingrules import limits_of
from kuffin.reading.runresult import RunResult
from kuffin.verdict.baseline import baseline_chart, moved_words
from kuffin.verdict.evidence import Evidence, Mounts
from kuffin.verdict.outcomes import OutcomeResult
from kuffin.verdict.runreadings import limit_seen


@dataclass(frozen=True)
class OpenFinding:
    """A finding that waits for an answer, and whose it is."""

    mount_id: int
    label: str
    finding: Finding


def findings_of(evidence: Evidence, main: OutcomeResult, power_w: float) -> dict[int, tuple[Finding, ...]]:
    """What was found about each mount: by its runs themselves, and against its siblings; doubts first.

    Tests of a mount under another condition than the verdict's are remarks, and are not held against siblings.
    """
    study, mounts, results, condition = evidence.study, evidence.mounts, evidence.results, evidence.condition
    limits = limits_of(study)
    found: dict[int, list[Finding]] = {
        m.id: [f for run in m.live_runs for f in _of_test(results[run.id], condition)] for _, m in mounts
    }
    unreliable = {m for m, own in found.items() if any(f.kind in {"stuck", "swapped", "unreadable"} for f in own)}
    # a mount that is left out, or whose probes tell nothing, is no sibling to hold others against
    siblings = [
        sibling_of(name, m, results, condition)
        for name, m in mounts
        if _main_runs(m, results, condition) and not m.left_out and m.id not in unreliable
    ]
    apart = against_siblings(siblings, study.under_test, power_w, limits)
    # those left out are still held against the rest, one by one, so that the reason stays to be seen
    for name, mount in mounts:
        if mount.left_out and _main_runs(mount, results, condition) and mount.id not in unreliable:
            one = sibling_of(name, mount, results, condition)
            apart[mount.id] = against_siblings([*siblings, one], study.under_test, power_w, limits)[mount.id]
    for told in (apart, first_mounts(siblings, study.under_test, power_w, limits, evidence.elsewhere)):
        for mount_id, more in told.items():
            found[mount_id] += more
    _standing_apart(mounts, main, found, limits)
    order = {DOUBT: 0, REMARK: 1}
    return {m: tuple(sorted(f, key=lambda x: order[x.weight])) for m, f in found.items() if f}


def _main_runs(mount: Mount, results: Mapping[int, RunResult], condition: str | None) -> list[RunResult]:
    """The results of a mount's runs that hold a condition."""
    return [found for r in mount.live_runs if (found := results[r.id].at(condition)) is not None]


def _of_test(result: RunResult, condition: str | None) -> tuple[Finding, ...]:
    """A run's findings; of a test under another condition than the verdict's, they do not doubt it."""
    if not result.condition or result.steps or result.at(condition) is not None:
        return result.findings
    return tuple(
        replace(f, weight=REMARK, seen=say("{condition}: {seen}", condition=result.condition or "", seen=f.said))
        for f in result.findings
    )


def sibling_of(candidate: str, mount: Mount, results: Mapping[int, RunResult], condition: str | None) -> Sibling:
    """A mount with its figures under a condition."""
    runs = _main_runs(mount, results, condition)
    keys = {k for r in runs for k in r.figures}
    if any(limit_seen(r) for r in runs):
        keys.discard("power")  # it drew what its limit let through, and that has its own finding
    means = {k: float(np.mean([r.figures[k] for r in runs if k in r.figures])) for k in keys}
    return Sibling(
        mount_id=mount.id,
        candidate=candidate,
        label=tr("{candidate}, round {round}", candidate=candidate, round=mount.round),
        figures=means,
        channels=runs[-1].roles,
    )


def _standing_apart(mounts: Mounts, main: OutcomeResult, found: dict[int, list[Finding]], limits: CheckLimits) -> None:
    """Mounts whose reading under the school in use stands apart, where no figure has told why already."""
    comparison = main.comparison
    if comparison is None or comparison.studentized.size < 6:
        return
    n = comparison.studentized.size
    df = (comparison.df or n - len(comparison.candidates) - comparison.rounds + 1) - 1
    if df < 2:
        return
    limit = t_quantile(1 - 0.05 / 2 / n, df)
    explained = {"contact", "radiator side", "swapped", "stuck"}
    labels = {m.id: tr("{name}, round {round}", name=name, round=m.round) for name, m in mounts}
    for value, t in zip(comparison.mounts, comparison.studentized, strict=True):
        mount_id = int(value.mount)
        if not np.isfinite(t) or abs(t) <= limit or any(f.kind in explained for f in found[mount_id]):
            continue
        others = {v.mount: v.value for v in comparison.mounts if v.candidate == value.candidate and v is not value}
        mean = float(np.mean(list(others.values()))) if others else comparison.candidate(value.candidate).mean
        away, unit = value.value - mean, main.outcome.unit
        if abs(away) < limits.of("rise_k"):
            continue
        said = (
            tr(
                "{value} {unit}, {away} K above this candidate's other mounts, more than their scatter explains",
                value=number(value.value, 1),
                unit=unit,
                away=number(away, 1),
            )
            if away > 0
            else tr(
                "{value} {unit}, {away} K below this candidate's other mounts, more than their scatter explains",
                value=number(value.value, 1),
                unit=unit,
                away=number(-away, 1),
            )
        )
        beside = tuple((labels[int(m)], v) for m, v in others.items())
        found[mount_id].append(
            Finding(
                kind="unlike",
                seen=said,
                weight=DOUBT,
                span_s=None,
                channels=(),
                value=value.value,
                limit=None,
                unit=unit,
                others=beside,
                figure=main.outcome.label,
            )
        )


def answers_of(mounts: Mounts, found: Mapping[int, tuple[Finding, ...]]) -> dict[int, dict[str, str]]:
    """The findings of each mount that were accepted: the reason by kind."""
    out: dict[int, dict[str, str]] = {}
    for _, mount in mounts:
        for answer in mount.answers:
            kinds = {f.kind for f in found.get(mount.id, ())} if answer.kind == "*" else {answer.kind}
            out.setdefault(mount.id, {}).update(dict.fromkeys(kinds, answer.reason))
    return out


def about_the_study(evidence: Evidence, main: OutcomeResult) -> tuple[Finding, ...]:
    """What was found about the study as a whole: few mounts, one sample, a bench that moved."""
    study, mounts = evidence.study, evidence.mounts
    out = []
    counting = [r for r in main.readings if r.left_out is None and r.value is not None]
    if not counting:
        return ()
    each = {c.name: sum(r.candidate == c.name for r in counting) for c in study.live_candidates}
    few = [name for name, n in each.items() if n < 3]
    if few:
        least = min(each[n] for n in few)
        names = ", ".join(few)
        said = f"{names}: {several(least, 'mount')} {'each' if len(few) > 1 else ''}".strip()
        out.append(
            Finding(
                kind="few mounts",
                seen=tr("{told}; three show how far mounts scatter", told=said),
                weight=REMARK,
                value=float(least),
                limit=3.0,
            )
        )
    used = {(m.candidate_id, m.sample_id) for _, m in mounts}
    if len(used) == len({c for c, _ in used}) and len(used) > 1:
        out.append(
            Finding(
                kind="one sample",
                seen=tr("one sample of each: a verdict is about these samples, not about the products"),
                weight=REMARK,
            )
        )
    return (*out, *_bench_moved(evidence, main))


def _bench_moved(evidence: Evidence, main: OutcomeResult) -> list[Finding]:
    """A move of the baseline, from its control chart."""
    study = evidence.study
    found = baseline_chart(evidence, main)
    if found is None or found.chart.moved is None:
        return []
    by = found.chart.moved.by
    beside = tuple(
        (tr("{candidate}, round {round}", candidate=r.candidate, round=r.round), float(r.value or 0.0))
        for r in found.readings
    )
    corrected = bool(study.plan.get("correct_by_baseline"))
    serious = abs(by) > study.margin_k / 2 and not corrected
    said = moved_words(found) + (tr("; its move is taken out of all mounts") if corrected else "")
    weight = DOUBT if serious else REMARK
    limit, unit = study.margin_k / 2, main.outcome.unit
    return [Finding(kind="bench moved", seen=said, weight=weight, value=by, limit=limit, unit=unit, others=beside)]
