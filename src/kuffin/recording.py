"""Recording a run without a window: the bench, the recorder, the protocol's lead, and the notebook, put together."""

from __future__ import annotations

import datetime as dt
import time
from collections.abc import Callable
from pathlib import Path
from typing import Any

from kuffin.bench.hydraulics import Pump
from kuffin.bench.recorder import Recorder
from kuffin.bench.simulated import SimulatedBench
from kuffin.core.errors import BenchError, KuffinError
from kuffin.core.protocol import Step
from kuffin.demo.practice import bench_for
from kuffin.notebook.entities import Candidate, Study
from kuffin.notebook.planning import protocols
from kuffin.notebook.recording import RunWriter
from kuffin.notebook.samples import read_run
from kuffin.notebook.store import Notebook
from kuffin.verdicts.leading import Leader, Stage
from kuffin.verdicts.line import verdict_line
from kuffin.verdicts.planning import steps_of
from kuffin.verdicts.results import main_trace
from kuffin.verdicts.signals import Signals, signals
from kuffin.verdicts.study import judge

Tell = Callable[[dict[str, Any]], None]
SIMULATED = "simulated"


def record_run(path: Path, study: str, candidate: str, bench: str | None, speed: float, tell: Tell) -> int:
    """Record a candidate's next run and return its id.

    Parameters
    ----------
    bench : str or None
        ``simulated`` for the one that ships.
    speed : float
        How fast the simulated bench runs.
    tell : callable
        Told about once a second where the run stands.

    Raises
    ------
    KuffinError
        Where study, candidate or bench are not there, or the speed makes no sense.
    """
    notebook = Notebook.open(path)
    try:
        found = _study(notebook, study)
        chosen = _candidate(found, candidate)
        if bench != SIMULATED:
            raise BenchError(
                "Kuffin reads no instruments of a real bench yet; “--bench simulated” records from the one that ships"
            )
        if not 0.1 <= speed <= 1000:
            raise BenchError("the simulated bench runs at 0.1 to 1000 times life's speed")
        return _record(notebook, found, chosen, speed, tell)
    finally:
        notebook.close()


def _study(notebook: Notebook, name: str) -> Study:
    there = notebook.studies()
    for one in there:
        if name.strip().lower() in {one.name.lower(), one.question.lower()}:
            return notebook.study(one.id)
    listed = ", ".join(f"“{s.name}”" for s in there) or "none"
    raise KuffinError(f"{notebook.path.name} has no study “{name}”; there is {listed}")


def _candidate(study: Study, name: str) -> Candidate:
    for one in study.live_candidates:
        if one.name.lower() == name.strip().lower():
            return one
    listed = ", ".join(c.name for c in study.live_candidates) or "none"
    raise KuffinError(f"“{study.name}” has no candidate “{name}”; there is {listed}")


def _recorded_steps(study: Study, notebook: Notebook) -> list[Step]:
    """The protocol's steps up to the last one under load: what cools down afterwards is no part of the run."""
    chosen = next((p for p in protocols(notebook) if p.id == study.protocol_id), None)
    steps = list(steps_of(chosen))
    while steps and not steps[-1].load:
        steps.pop()
    if not steps:
        raise KuffinError("the protocol has no step under load; add one on the Plan desk")
    return steps


def _record(notebook: Notebook, study: Study, candidate: Candidate, speed: float, tell: Tell) -> int:
    steps = _recorded_steps(study, notebook)
    waiting = next((m for m in candidate.live_mounts if not m.live_runs), None)
    number = waiting.round if waiting is not None else len(candidate.live_mounts) + 1
    bench = SimulatedBench(bench_for(study.under_test, candidate.name, number), Pump(), number, speed)
    roles = [(c.name, c.role) for c in bench.channels]
    started = dt.datetime.now().isoformat(timespec="seconds")
    channels = [(c.name, c.unit, c.quantity, c.role) for c in bench.channels]
    writer = RunWriter(notebook, study.id, candidate.name, channels, "simulated bench", started)
    recorder = Recorder([bench], writer.add, bench.interval_s, speed)

    def so_far() -> Signals | None:
        return None if writer.run_id is None else signals(read_run(notebook, writer.run_id), roles)

    leader = Leader(steps, main_trace(study.under_test), study.tolerance_k, so_far)
    before: Stage | None = None
    recorder.start()
    try:
        while (stage := leader.at(recorder.elapsed_s)) is not None:
            said = ""
            if before is None or stage.number != before.number:
                bench.set_speeds(stage.step.pump_percent, stage.step.fan_percent)
                bench.set_load((stage.step.power_w or bench.usual_load_w) if stage.step.load else None)
            if before is None or stage != before:
                said = f"{recorder.elapsed_s / 60:6.1f} min  {stage.words}" + (f" ({stage.why})" if stage.why else "")
            before = stage
            names = ["t_s", *(c.name for c in bench.channels)]
            values = dict(zip(names, recorder.last, strict=False))
            tell({"stage": stage.step.name, "phase": stage.phase, "rows": recorder.rows, **values, "said": said})
            for trouble in recorder.troubles():
                tell({"said": trouble})
            time.sleep(min(1.0, 60.0 / speed))
    except KeyboardInterrupt:
        tell({"said": f"{recorder.elapsed_s / 60:6.1f} min  ended by hand"})
    finally:
        recorder.stop()
        writer.end()
    if writer.run_id is None:
        raise KuffinError("nothing was recorded: the run ended within its first second")
    line = verdict_line(judge(notebook, notebook.study(study.id))).sentence
    tell({"run": writer.run_id, "rows": recorder.rows, "said": line})
    return writer.run_id
