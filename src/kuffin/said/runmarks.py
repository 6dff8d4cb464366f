"""What happened while a run was recorded: its marks, in order, in words."""

from __future__ import annotations

from typing import Any

from kuffin.core.base.language import mark, tr
from kuffin.core.base.numbers import plain
from kuffin.core.base.saying import told
from kuffin.notebook.entities import Run, Study
from kuffin.reading.failed import FAILED
from kuffin.said.shownworking import Working
from kuffin.verdict.planbasis import order_of

_KINDS = {
    "mark": mark("marked"),
    "stage": mark("stage"),
    "value": mark("asked for"),
    "trouble": mark("trouble"),
    "alarm": mark("limit"),
    "skip": mark("skipped"),
    FAILED: mark("could not be finished"),
    "photo": mark("photo"),
}


def happened(run: Run) -> Working:
    """The run's marks as a working: when, and what."""
    out = Working(
        title=tr("What happened in the run"),
        answer=tr(
            "recorded from {source}, {rows} rows in {duration_s:.1f} min",
            source=run.source,
            rows=run.rows,
            duration_s=run.duration_s / 60,
        ),
    )
    if run.note:
        out.say(tr("Comment"), run.note)
    for m in run.marks:
        seconds = int(m.at_s)
        said = told(m.text) or tr("a mark without a word")
        if m.kind == "value" and m.value is not None:
            said = f"{told(m.text)}: {plain(m.value)} {m.unit}".rstrip()
        out.say(f"{seconds // 60}:{seconds % 60:02d} min, {tr(_KINDS[m.kind]) if m.kind in _KINDS else m.kind}", said)
    return out


def rows_of_runs(study: Study) -> dict[str, list[dict[str, Any]]]:
    """What the runs of a study were tested under, and what happened in them: tables by name."""
    return {"tests": _tests(study), "happened": _marks(study)}


def _tests(study: Study) -> list[dict[str, Any]]:
    """What the runs of a study were tested under, in bench order: one row for each."""
    return [
        {
            "candidate": mount.candidate.name,
            "mount": mount.id,
            "round": mount.round,
            "log": run.source,
            "condition": run.condition,
            "run_with": dict(run.settings),
        }
        for mount in order_of(study)
        for run in mount.live_runs
    ]


def _marks(study: Study) -> list[dict[str, Any]]:
    """What happened in all runs of a study, in bench order: one row for each m."""
    return [
        {
            "candidate": mount.candidate.name,
            "round": mount.round,
            "at_s": m.at_s,
            "kind": m.kind,
            "text": m.text,
            "value": m.value,
            "unit": m.unit,
        }
        for mount in order_of(study)
        for run in mount.live_runs
        for m in run.marks
    ]
