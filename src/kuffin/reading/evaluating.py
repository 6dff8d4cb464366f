"""From a run's samples to its result: each trace settled, the window's means, the checks."""

from __future__ import annotations

import contextlib
from collections.abc import Collection, Mapping, Sequence
from dataclasses import replace

import numpy as np

from kuffin.core.base.errors import TraceError
from kuffin.core.base.pointers import CHANNELS
from kuffin.core.base.saying import chained, say
from kuffin.core.bench.conditions import LEAD_S, Stretch, load_steps, stretches_of
from kuffin.core.bench.configuration import OF_TEST
from kuffin.core.bench.roles import COOLANT, FURTHER_PARTS
from kuffin.core.bench.stepcheck import step_doubts
from kuffin.core.bench.undertest import kind_under_test
from kuffin.core.findings import DOUBT, REMARK, CheckLimits, Finding, Recorded, check_run, figures
from kuffin.core.findings.figures import OF_RUN
from kuffin.core.findings.running import minutes_to_limit
from kuffin.core.heat.normalise import SCHOOLS, School, default_school
from kuffin.core.settle import Settled, Settling, settle
from kuffin.core.settle.spots import SpotReading, spot_reading
from kuffin.notebook.entities import Study
from kuffin.notebook.samples import RunData
from kuffin.reading.judgingrules import ClockWindow, JudgingRules, clock_window
from kuffin.reading.runresult import DeviceResult, RunResult
from kuffin.reading.signals import Array, Signals, signals
from kuffin.reading.wholefits import kept, whole_fits, with_sum


def parse_trace(trace: str) -> tuple[str, str, bool]:
    """Part, base and whether per watt: ``memory_over_coolant_per_watt``."""
    part, _, rest = trace.partition("_over_")
    return part, rest.removesuffix("_per_watt"), rest.endswith("_per_watt")


def settle_trace(
    s: Signals, trace: str, tolerance_k: float, window: tuple[float, float] | None = None, begin_s: float | None = None
) -> Settling:
    """Settle one of the traces of the heat path.

    Parameters
    ----------
    trace : str
        See `parse_trace`.
    begin_s : float, optional
        When the step that is judged began, where that is known.

    Raises
    ------
    TraceError
        Where a channel is missing or the trace cannot be judged.
    """
    part, over, per_watt = parse_trace(trace)
    response, base = s.get(part), s.base(part, over)
    power = s.power_for(part)
    told_as = "heat" if part in COOLANT and s.shared else "power"
    for name, x in ((part, response), (over, base), *([(told_as, power)] if per_watt else [])):
        if x is None:
            raise TraceError(s.problems.get(name) or f"no channel has the role “{name}”; give it one {CHANNELS}")
    assert response is not None
    if per_watt and s.shared and (part, over) == ("die", "air"):
        raise TraceError(
            "several devices heat this loop, so that its die over air has no one power to be divided by; judge it in kelvins at the same powers, or each step by its own: die over coolant, coolant over air"
        )
    tolerance = tolerance_k
    if per_watt and power is not None:
        if not np.isfinite(power).any():
            raise TraceError("the power channel holds no reading; choose another {channels}", channels=CHANNELS)
        tolerance /= max(float(np.nanpercentile(power, 75)), 1.0)
    return settle(
        s.times,
        response,
        over=base,
        per=power if per_watt else None,
        load=power if part in COOLANT and power is not None else s.load(),
        air=s.air,
        tolerance=tolerance,
        window=window,
        begin_s=begin_s,
        over_is_air=over == "air",
    )


def evaluate(
    data: RunData,
    study: Study,
    ways: JudgingRules,
    window: tuple[float, float] | None = None,
    limits: CheckLimits | None = None,
    stages: Sequence[tuple[float, int]] = (),
    condition: str = "",
) -> RunResult:
    """Work a run out from its samples: as a whole, or each load step of the study's protocol by itself.

    Parameters
    ----------
    window : (float, float), optional
        Set by a person, s from the run's first row; it goes before a window by the protocol's clock.
    stages : sequence of (time, step number)
        What the recorder wrote down.
    condition : str
        What the whole of it was tested under, where that is told.
    """
    limits = limits or ways.limits
    data = data.about(ways.cooled)
    data = replace(data, values={n: np.where(np.isfinite(x), x, np.nan) for n, x in data.values.items()})
    stretches: list[Stretch] = []
    unsure: list[Finding] = []
    problem = ""
    if ways.condition is not None and not condition:
        showing = {s.shown_by for s in OF_TEST.values() if s.shown_by}
        channels = {r: data.role(r) for r in showing} | {"power": signals(data).load()}
        stretches, problem = stretches_of(data.times, channels, ways.steps, stages, ways.idle)
        doubts = step_doubts(data.times, channels, ways.steps, stretches)
        undone = {d.step for d in doubts if d.refuted}
        stretches = [s for s in stretches if s.name not in undone]  # never labelled as what was not done
        not_done = (say("“{step}” was not done: {seen}", step=d.step, seen=d.said) for d in doubts if d.refuted)
        problem = chained([x for x in (problem, *not_done) if x], "; ")
        unsure = [
            Finding(kind="steps", seen=say("“{step}”: {seen}", step=d.step, seen=d.said), weight=REMARK)
            for d in doubts
            if not d.refuted
        ]
    if not stretches:
        whole = evaluate_stretch(data, study, window, clock_window(ways.steps), limits)
        loads = load_steps(ways.steps)
        if ways.condition is not None and len(loads) == 1:  # where its one load begins is then found as ever
            condition = condition or loads[0].name
        return replace(whole, condition=condition, findings=(*_steps_missing(problem, DOUBT), *unsure, *whole.findings))
    found = []
    for k, stretch in enumerate(stretches):
        # what stood before the first step is idling; before the others a little of the state before
        begin = float(data.times[0]) if k == 0 else max(stretch.begin_s - LEAD_S, float(data.times[0]))
        last = stretch is stretches[-1]
        end = stretch.end_s if not last else stretch.end_s + 1e-6
        own = window if window is not None and stretch.begin_s <= sum(window) / 2 < stretch.end_s else None
        known = None if k == 0 and begin < stretch.begin_s - 30 else stretch.begin_s
        part = data.between(begin, end)
        is_main = stretch.name == ways.condition or (last and ways.condition not in {s.name for s in stretches})
        one = evaluate_stretch(part, study, own, clock_window(ways.steps, stretch.name), limits, known, is_main)
        found.append(replace(one, condition=stretch.name, stretch_s=(begin, end), begun_s=known))
    once = {k: x for one in reversed(found) for k, x in one.figures.items() if k in OF_RUN}
    found = [replace(one, figures={**one.figures, **once}) for one in found]
    main = next((r for r in found if r.condition == ways.condition), None)
    weight = REMARK
    if main is None:
        main, weight = found[-1], DOUBT
        problem = say("{problem}; the verdict is about “{condition}”", problem=problem, condition=ways.condition or "")
    idle = {s.name for s in ways.steps if not s.load}
    said = (*_of_all_steps(main, found, idle), *_steps_missing(problem, weight), *unsure)
    return replace(main, steps=tuple(found), findings=said)


def _steps_missing(problem: str, weight: str) -> list[Finding]:
    return [Finding(kind="steps", seen=problem, weight=weight)] if problem else []


def _of_all_steps(main: RunResult, found: Sequence[RunResult], idle: Collection[str]) -> list[Finding]:
    """The main step's findings, and of the others what it does not have; of idling only remarks."""
    out, kinds = list(main.findings), {f.kind for f in main.findings}
    for one in found:
        for f in one.findings:
            if f.kind not in kinds:
                kinds.add(f.kind)
                weight = REMARK if one.condition in idle and one is not main else f.weight
                out.append(
                    replace(
                        f, seen=say("{condition}: {seen}", condition=one.condition or "", seen=f.said), weight=weight
                    )
                )
    return out


def school_of(study: Study) -> School:
    """The school in use."""
    return SCHOOLS.get(study.school or "") or default_school(study.under_test)


def own_trace(study: Study) -> str:
    """The trace that the school in use is read from; the usual one's where it takes a temperature as it is read."""
    school = school_of(study)
    return school.trace.removesuffix("_whole") if school.over is not None else default_school(study.under_test).trace


def traces_of(study: Study, s: Signals, main: bool = True) -> tuple[str, ...]:
    """The traces that are settled: those of all schools, and of other parts that have a temperature (memory, regulators)
    under the school in use. Of a load step that is not the main one: the school in use and the steps of the staircase.
    """
    school = school_of(study)
    own = own_trace(study)
    if main:
        wanted = list(kind_under_test(study.under_test).traces)
    else:
        wanted = ["coolant_over_air", "die_over_coolant", default_school(study.under_test).trace, own]
    if school.part == "die":
        wanted += [own.replace("die_", f"{part}_", 1) for part in FURTHER_PARTS if part in s.further]
    return tuple(dict.fromkeys(wanted))


def evaluate_stretch(
    data: RunData,
    study: Study,
    window: tuple[float, float] | None = None,
    clock: ClockWindow | None = None,
    limits: CheckLimits | None = None,
    begin_s: float | None = None,
    main_step: bool = True,
) -> RunResult:
    """Work one load step out, or a whole run that has only one.

    Parameters
    ----------
    clock : ClockWindow, optional
        From the load's start.
    begin_s : float, optional
        When the step began, where that is known.
    main_step : bool
        Whether it is the one that the verdict is about; of others only the school in use is settled.
    """
    limits = limits or CheckLimits()
    s = signals(data, limits.mix)
    main_name = kind_under_test(study.under_test).main_trace
    wanted = traces_of(study, s, main_step)
    detected: dict[str, Settled] = {}
    by = "hand" if window is not None else "found"
    for trace in wanted if window is not None or clock is not None else ():
        with contextlib.suppress(TraceError):  # it is said below, of the window itself
            detected[trace] = settle_trace(s, trace, study.tolerance_k, begin_s=begin_s).summary()
    load = next((t for t in detected.values() if t.load.start_s is not None), None)
    if window is None and clock is not None and load is not None and load.load.start_s is not None:
        window, by = clock.on(load.load.start_s, load.load.end_s), "clock"
    traces, problems = {}, {}
    for trace in wanted:
        try:
            traces[trace] = settle_trace(s, trace, study.tolerance_k, window, begin_s).summary()
        except TraceError as error:
            problems[trace] = str(error)
    spots = _spots(s, problems, traces)
    main = traces.get(main_name) or next(iter(traces.values()), None)
    span = window or (main.window.span_s if main is not None else None)
    means: dict[str, tuple[float, float]] = {}
    if span is not None:
        inside = (data.times >= span[0]) & (data.times <= span[1])
        for name, values in data.values.items():
            part = values[inside & np.isfinite(values)]
            if part.size:
                means[name] = (float(part.mean()), float(part.std()))
    seen = Recorded(
        times=data.times,
        values=data.values,
        roles=data.channels,
        traces=traces,
        window_s=span,
        by_hand=window is not None,
        by_clock=by == "clock",
        wall_told=data.wall is not None,
        heat=s.heat,
        shared=s.shared,
    )
    found = check_run(seen, traces.get(main_name), problems.get(main_name, "its channels do not allow it"), limits)
    if "upstream" in s.problems:
        found.append(Finding(kind="upstream", seen=s.problems["upstream"], weight=REMARK))
    return RunResult(
        traces=traces,
        problems=problems,
        means=means,
        window_s=span,
        names=s.names,
        by_hand=window is not None,
        roles=dict(data.roles),
        window_by=by,
        detected=detected,
        figures=figures(seen) | minutes_to_limit(seen, found),
        whole={k: kept(w) for k, w in with_sum(whole_fits(s, seen)[0]).items()},
        findings=tuple(found),
        device=data.whose.device if data.whose is not None else None,
        power_w=_level(s.power, data.times, span),
        heat_w=_level(s.heat, data.times, span),
        warmed_k=_level(_warming(s), data.times, span),
        devices=_other_devices(data, study.tolerance_k, limits, span, begin_s),
        whose=s.problems,
        spots=spots,
    )


def _spots(s: Signals, problems: Mapping[str, str], traces: Mapping[str, Settled]) -> dict[str, SpotReading]:
    """The traces that could not be judged, of parts that were read a few times only."""
    load = next((t.load for t in traces.values() if t.load.start_s is not None), None)
    out: dict[str, SpotReading] = {}
    for trace in problems if load is not None and load.start_s is not None else ():
        part, over, per_watt = parse_trace(trace)
        response, base, power = s.get(part), s.base(part, over), s.power_for(part) if per_watt else None
        if response is None or base is None or (per_watt and power is None) or load is None or load.start_s is None:
            continue
        found = spot_reading(s.times, response, base, power, load.start_s, load.end_s)
        if found is not None:
            out[trace] = found
    return out


def _warming(s: Signals) -> Array | None:
    return None if s.warmed is None or s.coolant is None else s.warmed - s.coolant


def _level(x: Array | None, times: Array, span: tuple[float, float] | None) -> float | None:
    """The mean of what is there in a window."""
    if x is None or span is None:
        return None
    part = x[(times >= span[0]) & (times <= span[1]) & np.isfinite(x)]
    return float(part.mean()) if part.size else None


def _other_devices(
    data: RunData, tolerance_k: float, limits: CheckLimits, span: tuple[float, float] | None, begin_s: float | None
) -> dict[str, DeviceResult]:
    """The other devices' dies over the coolant, in the same window: each has a flight of stairs of its own."""
    out: dict[str, DeviceResult] = {}
    for device in data.whose.others if data.whose is not None else ():
        assert data.whose is not None
        own = data.about(replace(data.whose.cooled, device=device))
        s = signals(own, limits.mix)
        power = _level(s.power, own.times, span)
        warmed = _level(_warming(s), own.times, span)
        try:
            found = settle_trace(s, "die_over_coolant", tolerance_k, span, begin_s).summary()
            out[device] = DeviceResult(found, power, warmed, s.problems.get("power", ""))
        except TraceError as error:
            out[device] = DeviceResult(None, power, warmed, str(error))
    return out
