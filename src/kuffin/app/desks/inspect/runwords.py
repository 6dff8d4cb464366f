"""What the Inspect desk says; no widgets, so that it can be tested without a window."""

from __future__ import annotations

import numpy as np

from kuffin.core.base.language import tr
from kuffin.core.base.units import shown
from kuffin.core.bench.configuration import OF_TEST
from kuffin.core.bench.roles import spoken
from kuffin.core.bench.testsettings import written_or
from kuffin.core.bench.undertest import kind_under_test
from kuffin.core.compare.pairwords import number
from kuffin.core.heat.heatpath import Rise, StairLevel, step
from kuffin.core.settle import Settled
from kuffin.notebook.entities import Mount, Run
from kuffin.reading.runresult import RunResult
from kuffin.reading.traceview import TraceView, trace_label
from kuffin.said.equations import figure
from kuffin.verdict.ageing import recheck_reading
from kuffin.verdict.outcomes import MountReading
from kuffin.verdict.runreadings import trace_reading
from kuffin.verdict.study import StudyVerdict

_FACTS = ("air_in", "room", "coolant_in", "power", "flow", "pump", "fan", "sound", "clock", "hot_spot")  # roles


def trace_choices(under_test: str) -> list[tuple[str, str]]:
    """The traces that can be looked at: key and label."""
    return [(t, trace_label(t)) for t in kind_under_test(under_test).traces]


def test_words(run: Run) -> str:
    """One of a mount's tests: its condition, or when it began, or its log."""
    if run.recheck:
        return tr("recheck, {started_at}", started_at=(run.started_at or "")[:10])
    return run.condition or (run.started_at or "").replace("T", " ")[5:16] or run.source or tr("a run")


def state_words(v: StudyVerdict | None, mount: Mount, result: RunResult | None) -> str:
    """How the run stands, in words."""
    if mount.left_out:
        return tr("left out: {left_out}", left_out=mount.left_out)
    if v is None or result is None:
        return tr("being read …")
    if result.typed is not None:
        return typed_words(result)
    trace = result.traces.get(v.school.trace) or next(iter(result.traces.values()), None)
    kept = tr("; kept: {kept_because}", kept_because=mount.kept_because) if mount.kept_because else ""
    step = f"{result.condition}: " if result.condition and result.steps else ""
    if trace is None:
        return tr("{step}cannot be judged{kept}", step=step, kept=kept)
    if result.by_hand:
        return (
            tr("{step}window set by the clock", step=step)
            if result.window_by == "clock"
            else tr("{step}window set by hand", step=step) + kept
        )
    if trace.settled:
        since = (trace.settled_at_s or 0) - (result.begun_s or 0)
        of_it = tr(" of it") if step else ""
        return (
            tr(
                "{step}settled after {since:.0f} min{of_it}{still_to_go}",
                step=step,
                since=since / 60,
                of_it=of_it,
                still_to_go=_still_to_go(v, trace),
            )
            + kept
        )
    return step + (tr("level known, drift not yet bounded") if trace.level_known else tr("not settled")) + kept


def typed_words(result: RunResult) -> str:
    """That figures were typed, and when they were read."""
    when = None if result.typed is None else result.typed.minutes
    return tr("typed from a screen, ") + (
        tr("when is not told") if when is None else tr("{when:g} min after the load began", when=when)
    )


def _still_to_go(v: StudyVerdict, trace: Settled) -> str:
    # another trace stands in where the school's own cannot be judged; that is in kelvins already
    own = v.school.per_watt and trace in [r.traces.get(v.school.trace) for r in v.results.values()]
    scale = v.reference_power_w if own else 1.0
    return tr(", {to_go} K still to go at the end", to_go=number(abs(trace.level.to_go) * scale, 2))


def plain_mean(view: TraceView, begin: float, end: float) -> str:
    """The judged trace's plain mean over a stretch, while a window is dragged."""
    if view.settling is None:
        return ""
    trace = view.settling.trace
    inside = (view.times[: trace.size] >= begin) & (view.times[: trace.size] <= end) & np.isfinite(trace)
    if inside.sum() < 3:
        return tr("too few samples for a window")
    digits = 2 if abs(view.settling.warm_up.final) > 1 else 4
    mean, scatter = float(trace[inside].mean()), float(trace[inside].std())
    return tr(
        "{begin} to {end} min: plain mean {mean}, scatter {scatter}",
        begin=number(begin / 60, 1),
        end=number(end / 60, 1),
        mean=number(mean, digits),
        scatter=number(scatter, digits),
    )


def reading_of(v: StudyVerdict | None, mount: Mount, run: Run | None) -> MountReading | None:
    """The mount's reading; of a recheck its own."""
    found = None if v is None else next((r for r in v.main.readings if r.mount_id == mount.id), None)
    if v is None or found is None or run is None or not run.recheck:
        return found
    return recheck_reading(v, run, found)


def answer(v: StudyVerdict | None, reading: MountReading | None, result: RunResult | None = None) -> str:
    """The reading as a line that opens its working; beside a window that was set, what would have been found."""
    if v is None or reading is None:
        return "…"
    if reading.worked is None:
        return tr("no reading: {problem}", problem=reading.problem)
    mark = "" if reading.settled else tr("  (heading for; not settled)")
    said = f"{figure(reading.worked)}{mark}\n{tr(v.outcome.label)} ›"
    found = result.detected.get(v.school.trace) if result is not None and v.outcome == v.school else None
    if result is not None and found is not None and result.window_by != "found":
        by = tr("by the clock") if result.window_by == "clock" else tr("by hand")
        begin, end = (x / 60 for x in found.window.span_s)
        would = v.school.shown(trace_reading(v.school, found), v.reference_power_w, v.reference_air_c)
        said += tr(
            "\nwindow {by}; found: {begin} to {end} min, {value} ± {u95} {unit}",
            by=by,
            begin=number(begin, 0),
            end=number(end, 0),
            value=number(would.value, 2),
            u95=number(would.u95 or 0, 2),
            unit=would.unit,
        )
        said += "" if found.settled else tr(", not settled")
    return said


def readings(v: StudyVerdict | None, mount_id: int) -> list[tuple[str, str, str]]:
    """The mount's reading under every school: the school's key, its label, value and half-width."""
    out = []
    for key, result in v.schools.items() if v is not None else ():
        found = next((r for r in result.readings if r.mount_id == mount_id), None)
        if found is not None and found.worked is not None:
            out.append((key, tr(result.outcome.label), figure(found.worked)))
    return out


def staircase(result: RunResult | None) -> tuple[list[StairLevel], list[Rise]]:
    """Levels and steps of a run in its window."""
    if result is None:
        return [], []
    own, heat = result.power_w, result.heat_w
    air_role = "air_in" if "air_in" in result.roles else "room"
    air = result.mean_of(air_role)
    levels, steps = [], []
    if air is None:
        return [], []
    levels.append(StairLevel(tr("air"), air))
    if result.typed is not None:
        return _typed_stairs(result, air)
    coolant, die = result.traces.get("coolant_over_air"), result.traces.get("die_over_coolant")
    if coolant is not None:
        levels.append(StairLevel(tr("coolant"), air + coolant.value))
        steps.append(step("air", "coolant", coolant.value, coolant.u95, heat, trace="coolant_over_air"))
        if die is not None:
            levels.append(StairLevel(tr("die"), air + coolant.value + die.value))
            steps.append(step("coolant", "die", die.value, die.u95, own, trace="die_over_coolant"))
    elif (whole := result.traces.get("die_over_air")) is not None:
        levels.append(StairLevel(tr("die"), air + whole.value))
        steps.append(step("air", "die", whole.value, whole.u95, own, trace="die_over_air"))
    return levels, steps


def _typed_stairs(result: RunResult, air: float) -> tuple[list[StairLevel], list[Rise]]:
    """Levels and steps of figures that were typed, with what their last digits leave open."""
    levels, steps, under = [StairLevel(tr("air"), air)], [], "air"
    assert result.typed is not None
    for part, power in (("coolant", result.heat_w), ("die", result.power_w)):
        names = [n for n in result.names.get(part, "").split(", ") if n in result.typed.resolutions]
        if names:
            below = levels[-1]
            level = sum(result.means[n][0] for n in names) / len(names)
            u95 = 1.96 / 12**0.5 * max(result.typed.resolutions[n] for n in names)
            steps.append(step(below.name, part, level - below.temperature_c, u95, power, trace=f"{part}_over_{under}"))
            levels.append(StairLevel(tr(part), level))
            under = part
    return levels, steps


def facts(result: RunResult | None, run: Run) -> list[tuple[str, str]]:
    """Window means of the plain channels, and where the run came from."""
    out = []
    units = {c.name: c.unit for c in run.channels}
    for role in _FACTS:
        name = result.roles.get(role) if result is not None else None
        if result is None or name is None or name not in result.means:
            continue
        mean, _ = result.means[name]
        digits = 0 if abs(mean) >= 1000 else 1
        out.append((tr(spoken(role)), f"{number(mean, digits)} {shown(units.get(name))}"))
    out.append((tr("length"), tr("{duration_s:.0f} min, {rows} rows", duration_s=run.duration_s / 60, rows=run.rows)))
    if run.started_at:
        out.append((tr("began"), run.started_at.replace("T", " ")[:16]))
    out += [(tr(OF_TEST[k].label) if k in OF_TEST else k, _cut(written_or(k, v))) for k, v in run.settings.items()]
    if run.source:
        out.append((tr("log"), _cut(run.source)))
    return out


def _cut(words: str) -> str:
    return words if len(words) < 30 else "…" + words[-28:]
