"""A run with a broken input: the others' verdict stands, and what is wrong is said."""

from __future__ import annotations

from dataclasses import replace

import numpy as np
import pytest

from kuffin.demo.scenario import demo_runs
from kuffin.notebook import edits
from kuffin.notebook.samples import RunData, read_run
from kuffin.notebook.shelf import bench_of
from kuffin.notebook.store import Notebook
from kuffin.reading import keptresults as kept
from kuffin.reading.evaluating import evaluate
from kuffin.reading.judgingrules import ways_of
from kuffin.reading.keptresults import run_result
from kuffin.reading.runresult import RunResult, from_json, to_json
from kuffin.said.line import verdict_line
from kuffin.said.working import mount_working
from kuffin.verdict.budget import budget_of
from kuffin.verdict.evidence import Evidence, mounts_of
from kuffin.verdict.study import judge, verdict_from

HEAT_PATH = {"die", "coolant_in", "air_in", "power", "flow"}
BREAKS = {
    "nought": lambda x: np.zeros_like(x),
    "missing": lambda x: np.full_like(x, np.nan),
    "endless": lambda x: np.where(np.arange(x.size) % 7 == 0, np.inf, x),
    "huge": lambda x: x * 1e12,
    "negative": lambda x: -x,
    "one reading": lambda x: np.where(np.arange(x.size) == 5, x, np.nan),
}


def broken(data: RunData, channel: str, how: str) -> RunData:
    return replace(data, values={**data.values, channel: BREAKS[how](data.values[channel])})


@pytest.mark.parametrize("how", BREAKS)
def test_whatever_breaks_in_one_run_the_others_are_judged(demo_notebook: Notebook, how: str) -> None:
    """Each channel of one run’s heat path in turn, through evaluating, keeping, judging, the line, its budget and its working."""
    study = demo_notebook.study(next(s.id for s in demo_notebook.studies() if s.name.startswith("Radiators")))
    mounts, ways, bench = mounts_of(study)[:6], ways_of(demo_notebook, study), bench_of(demo_notebook, study.bench_id)
    results = {r.id: run_result(demo_notebook, study, r, ways) for _, m in mounts for r in m.live_runs}
    _, mount = mounts[0]
    data = read_run(demo_notebook, mount.live_runs[0].id)
    data = replace(data, times=data.times[::16], values={n: x[::16] for n, x in data.values.items()})
    sound = {r.mount_id: r.value for r in verdict_from(Evidence(study, mounts, results, ways)).main.readings}
    for channel in [c.name for c in data.channels if c.role in HEAT_PATH]:
        try:
            found: RunResult = from_json(to_json(evaluate(broken(data, channel, how), study, ways)))
        except Exception as error:
            found = kept.unreadable(error)
            assert isinstance(error, kept.KuffinError), f"{channel}, {how}: {error!r}"
        v = verdict_from(Evidence(study, mounts, {**results, mount.live_runs[0].id: found}, ways))
        assert v.main.comparison is not None, (channel, how)
        assert {r.mount_id: r.value for r in v.main.readings if r.mount_id != mount.id} == {
            k: x for k, x in sound.items() if k != mount.id
        }
        assert verdict_line(v).sentence
        mine = next(r for r in v.main.readings if r.mount_id == mount.id)
        budget_of(v, mine, found, bench)
        mount_working(v, mine)


def test_a_meter_that_reads_nothing_all_through_is_said_and_the_study_judged(demo_notebook: Notebook) -> None:
    """Through the notebook, as in the window."""
    study = edits.add_study(demo_notebook, "Which radiator?", "radiator", ["Reed", "Rush"])
    for run in demo_runs():
        if run.candidate in {"Reed", "Rush"}:
            table = run.table
            if (run.candidate, run.round) == ("Reed", 1):
                off = [replace(c, values=np.zeros_like(c.values)) if c.role == "power" else c for c in table.channels]
                table = replace(table, channels=off)
            edits.add_log(demo_notebook, study, run.candidate, table, round_number=run.round)
    v = judge(demo_notebook, demo_notebook.study(study))
    assert v.main.comparison is not None
    lost = [r for r in v.main.readings if r.value is None]
    assert [r.label for r in lost] == ["Reed, round 1"]
    assert verdict_line(v).step.action == "inspect"
