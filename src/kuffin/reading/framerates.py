"""Frame rates of a run and of the logs that are joined to it, over its load."""

from __future__ import annotations

from dataclasses import replace

import numpy as np

from kuffin.core.base.errors import KuffinError, TraceError
from kuffin.core.base.frametimes import FrameRates, frame_rates
from kuffin.logs.framelog import is_frame_time
from kuffin.notebook.entities import Run
from kuffin.notebook.samples import read_own
from kuffin.notebook.store import Notebook
from kuffin.reading.runresult import RunResult


def run_frame_rates(
    notebook: Notebook, run: Run, load_s: tuple[float | None, float]
) -> tuple[dict[str, FrameRates], str]:
    """Frame rates by channel and log, and why there are none of some; over the load, where its beginning is known.

    Parameters
    ----------
    load_s : (float or None, float)
        When the load began and ended, s of the run.
    """
    out: dict[str, FrameRates] = {}
    problem = ""
    begin, end = load_s
    for log in (run, *run.mount.joined_to(run.id)):
        names = [c.name for c in log.channels if is_frame_time(c.name, c.unit)]
        if not names:
            continue
        times, values, units = read_own(notebook, log.id)
        times = times + (log.lag_s if log is not run else 0.0)
        under_load = np.isfinite(times) if begin is None else (times >= begin) & (times <= end)
        for name in names:
            scale = {"s": 1000.0, "µs": 0.001, "us": 0.001}.get(units.get(name) or "ms", 1.0)
            try:
                out[f"{name} ({log.source})" if log.source else name] = frame_rates(values[name][under_load] * scale)
            except TraceError as error:
                problem = f"{name}: {error}"
    return out, problem


def with_frame_rates(notebook: Notebook, run: Run, found: RunResult) -> RunResult:
    """A run's result, and those of its steps, with the frame rates as figures, where there are any: of the first such log."""
    if not any(is_frame_time(c.name, c.unit) for log in (run, *run.mount.joined_to(run.id)) for c in log.channels):
        return found
    steps = tuple(_with(notebook, run, s) for s in found.steps)
    return replace(_with(notebook, run, found), steps=steps)


def _with(notebook: Notebook, run: Run, one: RunResult) -> RunResult:
    load = next((t.load for t in one.traces.values() if t.load.start_s is not None), None)
    span: tuple[float | None, float] = (load.start_s, load.end_s) if load is not None else (None, float("inf"))
    if load is None and one.stretch_s is not None:
        span = one.stretch_s
    try:
        rates = next(iter(run_frame_rates(notebook, run, span)[0].values()), None)
    except KuffinError:  # it is told where the run is looked at; the run's own readings stand without it
        return one
    if rates is None:
        return one
    told = {
        "frames_average": rates.average,
        "frames_low_percentile": rates.low_percentile,
        "frames_low_average": rates.low_average,
    }
    return replace(one, figures={**one.figures, **told})
