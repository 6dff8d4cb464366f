"""The same device in the notebook's other studies: what a first mount is held against where its own study has nothing else."""

from __future__ import annotations

from collections.abc import Iterator

from kuffin.core.base.errors import KuffinError
from kuffin.core.base.language import tr
from kuffin.core.findings import Sibling
from kuffin.notebook.entities import Mount, Study
from kuffin.notebook.store import Notebook
from kuffin.reading.judgingrules import JudgingRules, ways_of
from kuffin.reading.keptresults import run_result
from kuffin.verdict.evidence import Mounts, mounts_of
from kuffin.verdict.openfindings import sibling_of


def alone(mounts: Mounts) -> bool:
    """Whether only one candidate has a mount that counts, and only one: there is nothing in its study to hold it against."""
    return len([m for _, m in mounts if not m.left_out]) == 1


def mounts_elsewhere(
    notebook: Notebook, study: Study, ways: JudgingRules
) -> Iterator[tuple[Study, JudgingRules, str, Mount]]:
    """The mounts of other studies that ask about the same device on the same bench."""
    for other in notebook.studies():
        if other.id == study.id or study.bench_id is None or other.bench_id != study.bench_id:
            continue
        whole = notebook.study(other.id)
        its = ways_of(notebook, whole)
        if its.cooled.device != ways.cooled.device:
            continue
        for name, mount in mounts_of(whole):
            if not mount.left_out:
                yield whole, its, name, mount


def siblings_elsewhere(notebook: Notebook, study: Study, ways: JudgingRules) -> tuple[Sibling, ...]:
    """Their figures, each candidate by its study."""
    out = []
    for other, its, name, mount in mounts_elsewhere(notebook, study, ways):
        try:
            results = {r.id: run_result(notebook, other, r, its) for r in mount.live_runs}
        except KuffinError:
            continue  # what cannot be read there is said there
        out.append(
            sibling_of(
                tr("{name} in “{study}”", name=name, study=other.name or other.question), mount, results, its.condition
            )
        )
    return tuple(out)
