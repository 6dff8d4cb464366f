"""What a run tells: its settled traces and window means, kept by what they were made from."""

from __future__ import annotations

import hashlib
import json
from dataclasses import asdict, dataclass, field
from typing import Any

import numpy as np
from sqlalchemy import select
from sqlalchemy.dialects.sqlite import insert

from kuffin.core.errors import TraceError
from kuffin.core.settle import Settled, Settling, settle
from kuffin.notebook.entities import Reading, Run, Study
from kuffin.notebook.samples import read_run
from kuffin.notebook.store import Notebook
from kuffin.verdicts.signals import Signals, signals

METHOD_VERSION = 8

# trace -> (part, over, per watt)
TRACES: dict[str, tuple[str, str, bool]] = {
    "coolant_over_air": ("coolant", "air", False),
    "coolant_over_air_per_watt": ("coolant", "air", True),
    "die_over_coolant": ("die", "coolant", False),
    "die_over_coolant_per_watt": ("die", "coolant", True),
    "die_over_air": ("die", "air", False),
    "die_over_air_per_watt": ("die", "air", True),
}


@dataclass(frozen=True)
class RunResult:
    """All that is kept of a run's evaluation.

    Attributes
    ----------
    traces : dict of Settled
    problems : dict of str
        Why a trace could not be judged.
    means : dict
        Window means of the plain channels by name, as (mean, scatter).
    window_s : tuple or None
        Of the main trace.
    names : dict
        Which channels serve as die, coolant, air, power.
    by_hand : bool
        Whether the window was set by a person.
    """

    traces: dict[str, Settled]
    problems: dict[str, str]
    means: dict[str, tuple[float, float]]
    window_s: tuple[float, float] | None
    names: dict[str, str]
    by_hand: bool = False
    roles: dict[str, str] = field(default_factory=dict)

    def mean_of(self, role: str) -> float | None:
        """Window mean of the channel with a role."""
        name = self.roles.get(role)
        return self.means[name][0] if name in self.means else None


_WANTED = {
    "radiator": ("coolant_over_air", "coolant_over_air_per_watt", "die_over_coolant"),
    "coolant": ("die_over_air", "die_over_air_per_watt", "die_over_coolant", "coolant_over_air"),
    "set": ("die_over_air", "die_over_air_per_watt", "die_over_coolant", "coolant_over_air"),
}


def traces_for(under_test: str) -> tuple[str, ...]:
    """The traces that are settled for what is under test: those of its schools, and the steps of the staircase."""
    return _WANTED.get(under_test, tuple(TRACES))


def main_trace(under_test: str) -> str:
    """The trace whose window the plain readings are taken from."""
    return {"radiator": "coolant_over_air", "coolant": "die_over_air", "set": "die_over_air"}.get(
        under_test, "die_over_coolant"
    )


def made_from(study: Study, run: Run) -> str:
    """A digest of all that a run's result depends on."""
    told = {
        "v": METHOD_VERSION,
        "run": run.id,
        "rows": run.rows,
        "roles": [(c.name, c.role) for c in run.channels],
        "window": [(w.begin_s, w.end_s) for w in run.windows],
        "tolerance": study.tolerance_k,
        "test": study.under_test,
    }
    return hashlib.sha256(json.dumps(told).encode()).hexdigest()[:32]


def run_result(notebook: Notebook, study: Study, run: Run) -> RunResult:
    """A run's result: the kept one where nothing it was made from has changed, else worked out anew and kept."""
    key = made_from(study, run)
    with notebook.session() as session:
        kept = session.scalars(select(Reading).where(Reading.run_id == run.id, Reading.made_from == key)).first()
        if kept is not None:
            return _from_json(kept.values)
    found = evaluate(notebook, study, run)
    if not notebook.read_only:
        with notebook.session() as session:
            # two judgements may come to the same result at once; either serves
            row = insert(Reading).values(run_id=run.id, made_from=key, values=_to_json(found))
            session.execute(row.on_conflict_do_nothing())
            session.commit()
    return found


def run_signals(notebook: Notebook, run: Run) -> Signals:
    """The heat path's signals of a run."""
    return signals(read_run(notebook, run.id), [(c.name, c.role) for c in run.channels])


def hand_window(run: Run) -> tuple[float, float] | None:
    """The window a person set, None for detection."""
    return (run.windows[-1].begin_s, run.windows[-1].end_s) if run.windows else None


def settle_trace(s: Signals, trace: str, tolerance_k: float, window: tuple[float, float] | None = None) -> Settling:
    """Settle one of the traces of the heat path.

    Raises
    ------
    TraceError
        Where a channel is missing or the trace cannot be judged.
    """
    part, over, per_watt = TRACES[trace]
    response, base = s.get(part), s.get(over)
    for name, x in ((part, response), (over, base), *([("power", s.power)] if per_watt else [])):
        if x is None:
            raise TraceError(f"no channel has the role “{name}”; give it one under Channels")
    assert response is not None
    tolerance = tolerance_k
    if per_watt and s.power is not None:
        tolerance /= max(float(np.nanpercentile(s.power, 75)), 1.0)
    return settle(
        s.times,
        response,
        over=base,
        per=s.power if per_watt else None,
        load=s.power,
        air=s.air,
        tolerance=tolerance,
        window=window,
    )


def evaluate(notebook: Notebook, study: Study, run: Run) -> RunResult:
    """Work a run out from its samples."""
    data = read_run(notebook, run.id)
    s = signals(data, [(c.name, c.role) for c in run.channels])
    window = hand_window(run)
    traces, problems = {}, {}
    for trace in traces_for(study.under_test):
        try:
            traces[trace] = settle_trace(s, trace, study.tolerance_k, window).summary()
        except TraceError as error:
            problems[trace] = str(error)
    main = traces.get(main_trace(study.under_test)) or next(iter(traces.values()), None)
    span = window or (main.window_s if main is not None else None)
    means: dict[str, tuple[float, float]] = {}
    if span is not None:
        inside = (data.times >= span[0]) & (data.times <= span[1])
        for name, values in data.values.items():
            part = values[inside & np.isfinite(values)]
            if part.size:
                means[name] = (float(part.mean()), float(part.std()))
    roles: dict[str, str] = {}
    for channel in run.channels:
        if channel.role:
            roles.setdefault(channel.role, channel.name)
    return RunResult(traces, problems, means, span, s.names, window is not None, roles)


def _to_json(found: RunResult) -> dict[str, Any]:
    return asdict(found)


def _from_json(values: dict[str, Any]) -> RunResult:
    traces = {k: Settled(**{**v, "window_s": tuple(v["window_s"])}) for k, v in values["traces"].items()}
    span = values["window_s"]
    return RunResult(
        traces,
        values["problems"],
        {k: (v[0], v[1]) for k, v in values["means"].items()},
        None if span is None else (span[0], span[1]),
        values["names"],
        values["by_hand"],
        values["roles"],
    )
