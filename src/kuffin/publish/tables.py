"""Readings and verdicts as CSV and JSON."""

from __future__ import annotations

import csv
import io
from collections.abc import Iterator, Mapping, Sequence
from dataclasses import asdict
from typing import Any

from kuffin.core.base.csvtext import cell
from kuffin.core.base.plaindata import json_text
from kuffin.core.compare import Comparison, PairResult
from kuffin.core.compare.pairwords import pair_said, pair_sentence
from kuffin.core.findings import Finding
from kuffin.said.preparation import Preparation
from kuffin.said.sentences import paragraphs
from kuffin.said.shownworking import Working
from kuffin.said.working import candidate_working, mount_working, pair_working
from kuffin.verdict.outcomes import scope
from kuffin.verdict.study import StudyVerdict


def readings_rows(v: StudyVerdict) -> list[dict[str, Any]]:
    """One row for each mount, under every school: tidy enough for ``kuffin compare``."""
    rows = []
    by_mount = {key: {r.mount_id: r for r in s.readings} for key, s in v.schools.items()}
    for main in v.main.readings:
        row: dict[str, Any] = {
            "candidate": main.candidate,
            "mount": main.mount_id,
            "round": main.round,
            "settled": main.settled,
            "left_out": main.left_out or "",
            "typed": main.typed,
            "failed": main.failed,
            "held": main.held,
        }
        for key, school in v.schools.items():
            reading = by_mount[key][main.mount_id]
            unit = {"°C": "degC"}.get(school.outcome.unit, school.outcome.unit)
            row[f"{key} [{unit}]"] = reading.value
            row[f"{key} u95 [K]"] = reading.u95
        for role, unit in (("power", "W"), ("air_in", "degC"), ("flow", "L/h")):
            values = [x for run in main.runs if (x := v.results[run].mean_of(role)) is not None]
            row[f"{role} [{unit}]"] = sum(values) / len(values) if values else None
        rows.append(row)
    return rows


def verdict_rows(v: StudyVerdict) -> list[dict[str, Any]]:
    """One row for each pair and school."""
    rows = []
    for school in v.schools.values():
        found = school.comparison
        for p in found.pairs if found is not None else ():
            words = pair_said(p, found, school.outcome) if found is not None else ""
            rows.append({"school": school.outcome.key, **_pair(p, "_k"), "in_words": words})
    return rows


def comparison_rows(found: Comparison, unit: str = "") -> list[dict[str, Any]]:
    """One row for each pair of a comparison."""
    return [{**_pair(p), "in_words": pair_sentence(p, found, unit)} for p in found.pairs]


def finding_rows(v: StudyVerdict) -> list[dict[str, Any]]:
    """One row for each finding: of which mount, what was seen, how it was answered; those about the study last."""
    rows = []
    for r in v.main.readings:
        accepted = v.answers.get(r.mount_id, {})
        for f in v.findings.get(r.mount_id, ()):
            answer = "left out" if r.left_out else "accepted" if f.kind in accepted else "open" if f.serious else ""
            reason = r.left_out or accepted.get(f.kind, "")
            rows.append(_finding(f, r.candidate, r.round, answer, reason))
    return rows + [_finding(f, "", None, "", "") for f in v.of_study]


def _finding(f: Finding, candidate: str, number: int | None, answer: str, reason: str) -> dict[str, Any]:
    return {
        "candidate": candidate,
        "round": number,
        "kind": f.kind,
        "weight": f.weight,
        "seen": f.seen,
        "begin_s": f.span_s[0] if f.span_s else None,
        "end_s": f.span_s[1] if f.span_s else None,
        "answer": answer,
        "reason": reason,
    }


def _pair(p: PairResult, suffix: str = "") -> dict[str, Any]:
    return {
        "a": p.a,
        "b": p.b,
        f"difference{suffix}": p.difference,
        f"low{suffix}": p.low,
        f"high{suffix}": p.high,
        "p": p.p,
        "verdict": p.verdict,
        "mounts_needed": p.mounts_needed,
    }


def as_csv(rows: list[dict[str, Any]]) -> str:
    """Rows as CSV text; unknown is blank."""
    out = io.StringIO()
    if rows:
        writer = csv.writer(out, lineterminator="\n")
        writer.writerow(map(cell, rows[0]))
        writer.writerows([cell(row.get(k)) for k in rows[0]] for row in rows)
    return out.getvalue()


def as_json(
    v: StudyVerdict,
    preparations: Sequence[Preparation] = (),
    of_runs: Mapping[str, Sequence[dict[str, Any]]] | None = None,
) -> str:
    """The whole study as JSON: question, readings, verdicts, how each mount was prepared and tested, what happened in its runs."""
    found = v.main.comparison
    told = {
        "question": v.question,
        "under_test": v.under_test,
        "school": v.school.key,
        "margin_k": v.margin_k,
        "reference_power_w": v.reference_power_w,
        "method": found.method if found else None,
        "scope": scope(found) if found else None,
        "candidates": [
            {
                "name": c.name,
                "mounts": c.mounts,
                "mean": c.mean,
                "low": c.low,
                "high": c.high,
                "group": c.group,
                "p_best": c.p_best,
            }
            for c in found.candidates
        ]
        if found
        else [],
        "condition": v.condition,
        "conditions": [{"name": c.name, **c.settings} for c in v.conditions],
        "looks": None
        if v.looks is None
        else {
            "after_rounds": list(v.looks.declared),
            "declared_by_person": v.looks.by_person,
            "had": v.looks.had,
            "confidence": v.looks.confidence,
        },
        "bench_moved": _moved(v),
        "corrected_by_baseline": v.corrected,
        "claims": [
            {
                "candidate": c.candidate,
                "against": c.against,
                "way": c.amount.way,
                "amount": c.amount.low,
                "amount_high": c.amount.high,
                "unit": c.unit,
                "outcome": c.outcome.key,
                "said_by": c.said_by,
                "judged": c.judged,
                "low": c.found[0] if c.found else None,
                "high": c.found[2] if c.found else None,
                "tested": c.tested,
                "made": c.made,
            }
            for c in v.claims
        ],
        "in_words": [{"about": title, "said": said} for title, said in paragraphs(v)],
        "readings": readings_rows(v),
        "verdicts": verdict_rows(v),
        "workings": [w.plain() for w in workings(v)],
        "findings": finding_rows(v),
        "preparation": [asdict(p) for p in preparations],
        **(of_runs or {"tests": [], "happened": []}),
    }
    return json_text(told, indent=1) + "\n"


def workings(v: StudyVerdict) -> Iterator[Working]:
    """How the verdict, each pair, each mean and each reading came about, under the school in use."""
    found = v.main.comparison
    for pair in found.pairs if found is not None else ():
        yield pair_working(v, v.main, pair.a, pair.b)
    for c in found.candidates if found is not None else ():
        yield candidate_working(v, v.main, c.name)
    for reading in v.main.readings:
        yield mount_working(v, reading)


def _moved(v: StudyVerdict) -> dict[str, Any] | None:
    moved = None if v.baseline is None else v.baseline.chart.moved
    if v.baseline is None or moved is None:
        return None
    return {"baseline": v.baseline.name, "when": v.baseline.when(), "by": moved.by, "u95": moved.u95, "p": moved.p}
