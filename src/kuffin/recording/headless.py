"""Recording a run without a window."""

from __future__ import annotations

import time
from collections.abc import Callable
from pathlib import Path
from typing import Any

from kuffin.core.base.errors import BenchError, KuffinError, NotebookError
from kuffin.core.bench.leading import WAITING
from kuffin.core.compare.pairwords import joined
from kuffin.notebook.entities import Candidate, Mount, Study
from kuffin.notebook.named import study_named
from kuffin.notebook.runwriter import close_run, cut_off_runs
from kuffin.notebook.store import Notebook
from kuffin.recording.liverun import LiveRun, Now
from kuffin.recording.ofstudy import next_mount_of, open_simulated, protocol_of, steps_and_limits
from kuffin.recording.openbench import OpenBench
from kuffin.recording.thisbench import open_this_bench
from kuffin.said.line import verdict_line
from kuffin.verdict.study import judge

Tell = Callable[[dict[str, Any]], None]
SIMULATED = "simulated"
_PATIENCE_S = 60.0  # how long one waits for room on a full disk


def record_run(
    path: Path, study: str, candidate: str, bench: str | None, speed: float, tell: Tell, settings: Path | None = None
) -> int:
    """Record a candidate's next run and return its id.

    Parameters
    ----------
    bench : str or None
        ``simulated`` for the one that ships; else the instruments that are set up on this computer.
    speed : float
        How fast the simulated bench runs.
    tell : callable
        Told about once a second where the run stands.
    settings : Path, optional
        The person's bench settings; default: where they are kept.

    Raises
    ------
    KuffinError
        Where study, candidate or bench are not there, or the speed makes no sense.
    """
    notebook = Notebook.open(path)
    try:
        found = study_named(notebook, study)
        chosen = _candidate(found, candidate)
        for run in cut_off_runs(notebook, found.id):
            close_run(notebook, run.id)
            tell({"said": f"the run that was cut off after {run.duration_s / 60:.1f} min is closed and kept as it is"})
            found = notebook.study(found.id)
            chosen = _candidate(found, candidate)
        mount = next_mount_of(chosen)
        if bench == SIMULATED:
            opened = open_simulated(found, chosen, mount, speed)
        else:
            opened = open_this_bench(tuple(steps_and_limits(protocol_of(notebook, found))[0]), settings)
            if speed != 1:
                raise BenchError("only the simulated bench runs faster than life")
        return _record(notebook, found, chosen, mount, opened, tell)
    finally:
        notebook.close()


def _candidate(study: Study, name: str) -> Candidate:
    for one in study.live_candidates:
        if one.name.lower() == name.strip().lower():
            return one
    listed = ", ".join(c.name for c in study.live_candidates) or "none"
    raise KuffinError(
        "“{name}” has no candidate “{entry}”; there is {listed}", name=study.name, entry=name, listed=listed
    )


def _record(
    notebook: Notebook, study: Study, candidate: Candidate, mount: Mount | None, bench: OpenBench, tell: Tell
) -> int:
    steps, limits = steps_and_limits(protocol_of(notebook, study))
    live = LiveRun(notebook, study, candidate.name, mount, bench, steps, limits)
    said: set[str] = set()
    live.start()
    try:
        while True:
            now = live.tick()
            for sentence in _news(now):
                if sentence not in said:
                    said.add(sentence)
                    tell({"said": f"{now.elapsed_s / 60:6.1f} min  {sentence}"})
            if not now.running:
                break
            if now.load_trouble:
                live.stop(now.load_trouble)  # nobody stands here to mend it
                continue
            if now.stage is not None and now.stage.phase == WAITING:
                live.acted()  # nobody stands here to press a button: the load is taken to be as asked
            name = now.stage.step.name if now.stage is not None else ""
            phase = now.stage.phase if now.stage is not None else ""
            tell({"stage": name, "phase": phase, "rows": now.rows, "t_s": now.elapsed_s, **now.values})
            time.sleep(min(1.0, 60.0 / bench.speed))
    except KeyboardInterrupt:
        live.stop("ended by hand")
        tell({"said": f"{live.recorder.elapsed_s / 60:6.1f} min  ended by hand"})
    finally:
        _keep(live, tell)
    if live.run_id is None:
        raise KuffinError("nothing was recorded: the run ended within its first second")
    line = verdict_line(judge(notebook, notebook.study(study.id))).sentence
    tell({"run": live.run_id, "rows": live.recorder.rows, "said": line})
    return live.run_id


def _keep(live: LiveRun, tell: Tell) -> None:
    """Keep the last rows; where the disk is full they wait a while for room, then they are written elsewhere.

    Raises
    ------
    NotebookError
        Where they are not in the notebook in the end; it says where they are.
    """
    kept, said, until = live.close(), "", time.monotonic() + _PATIENCE_S
    try:
        while not kept and time.monotonic() < until:
            if live.keeping.unkept != said:
                said = live.keeping.unkept
                tell({"said": f"{said}; it is tried again for {_PATIENCE_S:.0f} s (Ctrl+C: write them elsewhere now)"})
            time.sleep(1.0)
            kept = live.keeping.keep()
    except KeyboardInterrupt:
        pass
    if not kept:
        raise NotebookError(live.keeping.rescue())


def _news(now: Now) -> list[str]:
    news = []
    if now.stage is not None:
        news.append(now.stage.words + (f" ({now.stage.why})" if now.stage.why else ""))
        if now.stage.phase == WAITING and not now.load_trouble:
            news.append(f"{joined([*now.stage.to_do])} now: no command for it is set on this computer")
    if now.check is not None:
        news.append(f"mount check: {now.check.sentence}")
    news += [a.sentence for a in now.alarms]
    news += list(now.troubles)
    if now.over:
        news.append(now.over)
    return news
