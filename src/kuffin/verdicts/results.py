"""What a run tells: its settled traces and window means, kept by what they were made from."""

from __future__ import annotations

import contextlib
import hashlib
import json
from dataclasses import asdict, dataclass, field, replace
from typing import Any

import numpy as np
from sqlalchemy import select
from sqlalchemy.dialects.sqlite import insert

from kuffin.core.coolanttable import SHARES_PERCENT, TABLE
from kuffin.core.errors import TraceError
from kuffin.core.findings import Finding, Limits, Recorded, check_run, figures
from kuffin.core.heatbalance import Mix
from kuffin.core.protocol import from_plain
from kuffin.core.settle import Settled, Settling, settle
from kuffin.core.uncertainty import Accuracy
from kuffin.notebook.entities import Bench, Candidate, Part, Protocol, Reading, Run, Study
from kuffin.notebook.samples import RunData, read_run
from kuffin.notebook.shelf import bench_of, parts
from kuffin.notebook.store import Notebook
from kuffin.verdicts.configurations import parts_of
from kuffin.verdicts.signals import Signals, signals
from kuffin.verdicts.wholetrace import WholeReading, kept, whole_fits, with_sum

METHOD_VERSION = 13

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
        Whether the window was set by a person, or by the protocol's clock.
    window_by : str
        ``hand``, ``clock`` or ``found``.
    detected : dict of Settled
        Where the window was set: what would have been found, by trace.
    figures : dict
        What the mount is held against its siblings by; see `kuffin.core.findings.figures`.
    whole : dict of WholeReading
        The whole-trace fits, by the trace of their school.
    findings : tuple of Finding
        What the run shows by itself.
    """

    traces: dict[str, Settled]
    problems: dict[str, str]
    means: dict[str, tuple[float, float]]
    window_s: tuple[float, float] | None
    names: dict[str, str]
    by_hand: bool = False
    roles: dict[str, str] = field(default_factory=dict)
    window_by: str = "found"
    detected: dict[str, Settled] = field(default_factory=dict)
    figures: dict[str, float] = field(default_factory=dict)
    whole: dict[str, WholeReading] = field(default_factory=dict)
    findings: tuple[Finding, ...] = ()

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


def limits_of(study: Study, bench: Bench | None = None) -> Limits:
    """The thresholds of a study's checks, and what the bench's instruments are good for."""
    return Limits(dict(study.plan.get("thresholds") or {}), accuracies(bench))


def accuracies(bench: Bench | None) -> dict[str, Accuracy]:
    """What the bench's instruments are good for, by the role of their probes."""
    out: dict[str, Accuracy] = {}
    for i in bench.live_instruments if bench is not None else []:
        said = Accuracy(i.reading_percent, i.full_scale_percent, i.full_scale or 0.0, i.counts, i.count_size)
        if said.reading_percent or said.offset_part:
            for probe in i.live_probes:
                if probe.role:
                    out[probe.role] = said
    return out


def made_from(study: Study, run: Run, clock: ClockWindow | None = None, limits: Limits | None = None) -> str:
    """A digest of all that a run's result depends on."""
    told = {
        "v": METHOD_VERSION,
        "run": run.id,
        "rows": run.rows,
        "roles": [(c.name, c.role) for c in run.channels],
        "joined": [(r.id, r.lag_s, [(c.name, c.role) for c in r.channels]) for r in run.mount.joined_to(run.id)],
        "window": [(w.begin_s, w.end_s) for w in run.windows],
        "clock": None if clock is None else asdict(clock),
        "tolerance": study.tolerance_k,
        "test": study.under_test,
        "limits": asdict(limits or limits_of(study)),
    }
    return hashlib.sha256(json.dumps(told).encode()).hexdigest()[:32]


@dataclass(frozen=True)
class Ways:
    """How a study's runs are judged: its protocol's window by the clock, its checks' thresholds, its bench and the shelf."""

    clock: ClockWindow | None
    limits: Limits
    bench: Bench | None
    shelf: tuple[Part, ...]

    def of(self, study: Study, candidate: Candidate) -> Limits:
        """The thresholds for one candidate's runs, with the coolant that they are run with."""
        coolant = parts_of(study, candidate, self.bench, self.shelf).get("coolant")
        glycol = str(coolant.fields.get("glycol") or "none") if coolant is not None else "none"
        share = coolant.fields.get("share_percent") if coolant is not None else None
        if glycol not in TABLE or not share:
            return self.limits
        return replace(self.limits, mix=Mix(glycol, min(float(share), float(SHARES_PERCENT[-1]))))


def ways_of(notebook: Notebook, study: Study) -> Ways:
    """How a study's runs are judged; the same for all of them."""
    bench = bench_of(notebook, study.bench_id)
    return Ways(clock_window(notebook, study), limits_of(study, bench), bench, tuple(parts(notebook)))


def run_result(notebook: Notebook, study: Study, run: Run, ways: Ways | None = None) -> RunResult:
    """A run's result: the kept one where nothing it was made from has changed, else worked out anew and kept."""
    ways = ways or ways_of(notebook, study)
    clock, limits = ways.clock, ways.of(study, run.mount.candidate)
    key = made_from(study, run, clock, limits)
    with notebook.session() as session:
        kept = session.scalars(select(Reading).where(Reading.run_id == run.id, Reading.made_from == key)).first()
        if kept is not None:
            return _from_json(kept.values)
    found = evaluate(read_run(notebook, run.id), study, hand_window(run), clock, limits)
    if not notebook.read_only:
        with notebook.session() as session:
            # two judgements may come to the same result at once; either serves
            row = insert(Reading).values(run_id=run.id, made_from=key, values=_to_json(found))
            session.execute(row.on_conflict_do_nothing())
            session.commit()
    return found


def run_signals(notebook: Notebook, run: Run) -> Signals:
    """The heat path's signals of a run."""
    data = read_run(notebook, run.id)
    return signals(data, list(data.channels))


@dataclass(frozen=True)
class ClockWindow:
    """A window by the clock, in minutes from the load's start; None at its end: up to the load's end.

    Without a beginning it is the last `to_min` minutes before the load's end.
    """

    from_min: float | None
    to_min: float | None

    def on(self, load_start_s: float, load_end_s: float) -> tuple[float, float]:
        """On a run's clock; never outside the load."""
        if self.from_min is None:
            return max(load_end_s - 60 * (self.to_min or 3.0), load_start_s), load_end_s
        begin = min(load_start_s + 60 * self.from_min, load_end_s - 30)
        end = load_end_s if self.to_min is None else min(load_start_s + 60 * self.to_min, load_end_s)
        return max(begin, load_start_s), max(end, begin + 30)


def clock_window(notebook: Notebook, study: Study) -> ClockWindow | None:
    """The window by the clock that the study's protocol asks for, None where windows are found."""
    if study.protocol_id is None:
        return None
    with notebook.session() as session:
        protocol = session.get(Protocol, study.protocol_id)
        steps = from_plain(protocol.steps) if protocol is not None else ()
    for step in steps:
        if step.load and (step.window_from_min is not None or step.window_to_min is not None):
            return ClockWindow(step.window_from_min, step.window_to_min)
    return None


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
        if not np.isfinite(s.power).any():
            raise TraceError("the power channel holds no reading; choose another under Channels")
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


def evaluate(
    data: RunData,
    study: Study,
    window: tuple[float, float] | None = None,
    clock: ClockWindow | None = None,
    limits: Limits | None = None,
) -> RunResult:
    """Work a run out from its samples.

    Parameters
    ----------
    window : (float, float), optional
        Set by a person, s from the run's first row.
    clock : ClockWindow, optional
        Set by the protocol, from the load's start; a person's own window goes before it.
    """
    s = signals(data, list(data.channels))
    main_name = main_trace(study.under_test)
    detected: dict[str, Settled] = {}
    by = "hand" if window is not None else "found"
    for trace in traces_for(study.under_test) if window is not None or clock is not None else ():
        with contextlib.suppress(TraceError):  # it is said below, of the window itself
            detected[trace] = settle_trace(s, trace, study.tolerance_k).summary()
    load = next((t for t in detected.values() if t.load_start_s is not None), None)
    if window is None and clock is not None and load is not None and load.load_start_s is not None:
        window, by = clock.on(load.load_start_s, load.load_end_s), "clock"
    traces, problems = {}, {}
    for trace in traces_for(study.under_test):
        try:
            traces[trace] = settle_trace(s, trace, study.tolerance_k, window).summary()
        except TraceError as error:
            problems[trace] = str(error)
    main = traces.get(main_name) or next(iter(traces.values()), None)
    span = window or (main.window_s if main is not None else None)
    means: dict[str, tuple[float, float]] = {}
    if span is not None:
        inside = (data.times >= span[0]) & (data.times <= span[1])
        for name, values in data.values.items():
            part = values[inside & np.isfinite(values)]
            if part.size:
                means[name] = (float(part.mean()), float(part.std()))
    seen = Recorded(data.times, data.values, data.channels, traces, span, window is not None, by == "clock")
    found = check_run(
        seen, traces.get(main_name), problems.get(main_name, "its channels do not allow it"), limits or limits_of(study)
    )
    return RunResult(
        traces,
        problems,
        means,
        span,
        s.names,
        window is not None,
        dict(data.roles),
        by,
        detected,
        figures(seen),
        {k: kept(w) for k, w in with_sum(whole_fits(s, seen)[0]).items()},
        tuple(found),
    )


def _to_json(found: RunResult) -> dict[str, Any]:
    return asdict(found)


def _settled(v: dict[str, Any]) -> Settled:
    return Settled(**{**v, "window_s": tuple(v["window_s"])})


def _from_json(values: dict[str, Any]) -> RunResult:
    span = values["window_s"]
    return RunResult(
        {k: _settled(v) for k, v in values["traces"].items()},
        values["problems"],
        {k: (v[0], v[1]) for k, v in values["means"].items()},
        None if span is None else (span[0], span[1]),
        values["names"],
        values["by_hand"],
        values["roles"],
        values["window_by"],
        {k: _settled(v) for k, v in values["detected"].items()},
        values["figures"],
        {k: WholeReading(**{**v, "span_s": tuple(v["span_s"])}) for k, v in values["whole"].items()},
        tuple(Finding.from_plain(f) for f in values["findings"]),
    )
