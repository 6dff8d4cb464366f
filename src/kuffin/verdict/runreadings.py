"""What one run tells by an outcome: a temperature by its school, a channel's mean, a figure of the run, a number asked for."""

from __future__ import annotations

from dataclasses import replace

from kuffin.core.base.language import tr
from kuffin.core.base.pointers import CHANNELS
from kuffin.core.base.saying import told
from kuffin.core.base.worked import Worked, mean_of, worked
from kuffin.core.bench.outcomes import FREE, Outcome
from kuffin.core.bench.roles import spoken
from kuffin.core.findings.running import THROTTLED
from kuffin.core.heat.normalise import School
from kuffin.core.settle import Settled
from kuffin.notebook.entities import Run
from kuffin.reading.asked import asked_names, asked_values
from kuffin.reading.runresult import RunResult
from kuffin.verdict.evidence import Evidence
from kuffin.verdict.noreading import NoReading
from kuffin.verdict.recordedsound import recorded_level
from kuffin.verdict.typedreadings import typed_figures, typed_temperature


def run_reading(
    outcome: Outcome, evidence: Evidence, run: Run, result: RunResult, power_w: float
) -> tuple[Worked, bool]:
    """A run's reading by an outcome, as it is shown, and whether it settled.

    Parameters
    ----------
    result : RunResult
        Of the condition that is asked about.
    power_w : float
        The reference power, W.

    Raises
    ------
    NoReading
    """
    if isinstance(outcome, School) and result.typed is not None:
        return typed_temperature(outcome, evidence, result, result.typed, power_w)
    if isinstance(outcome, School):
        return _temperature(outcome, result, power_w, evidence.study.reference_air_c)
    settled = all(t.settled for t in result.traces.values()) or result.by_hand
    if outcome.role == "sound" and result.roles.get("sound") not in result.means:
        return recorded_level(evidence.sounds, run.mount_id, result.condition), settled
    if outcome.role:
        return _channel_mean(outcome, result), settled
    if outcome.figure:
        return _figure(outcome, result, power_w), settled
    return _asked(outcome, evidence, run, result), True


def limit_seen(result: RunResult) -> str:
    """How a run met its limit under its own condition; blank where it met none."""
    own = next((s for s in result.steps if s.condition == result.condition), result)  # not what other steps show
    return next((told(f.said) for f in own.findings if f.kind == THROTTLED), "")


def held_by(outcome: Outcome, result: RunResult) -> str:
    """Why a run's value by an outcome is only a bound: what held it back, or that nothing did; blank where it is a value.

    Per watt, the power that was held is divided by, and the value stays one.
    """
    if not outcome.bounded:
        return ""
    held = limit_seen(result)
    if outcome.bounded == FREE:
        return "" if held else tr("it met no limit")
    return held


def _channel_mean(outcome: Outcome, result: RunResult) -> Worked:
    name = result.names.get("power") if outcome.role == "power" else result.roles.get(outcome.role)
    if name not in result.means or result.window_s is None:
        raise NoReading(
            tr(
                "no channel has the role “{spoken}”; give it one {channels}",
                spoken=spoken(outcome.role),
                channels=tr(CHANNELS),
            )
        )
    if result.typed is not None:
        return typed_figures(result, result.typed, name, outcome.label, "y")
    mean = _plain_mean(name, *result.means[name], result.window_s, outcome.difference_unit)
    return replace(mean, name=outcome.label.capitalize(), symbol="y", unit=outcome.unit)


def _figure(outcome: Outcome, result: RunResult, power_w: float) -> Worked:
    value = result.figures.get(outcome.figure)
    if value is None:
        raise NoReading(tr("this run does not tell its {label}", label=outcome.label))
    name = outcome.label.capitalize()
    if not outcome.per_watt:
        return Worked(name=name, symbol="y", value=value, unit=outcome.unit, source=tr("from the run's samples"))
    each = Worked(
        name=tr("{name}, per watt", name=name),
        symbol="R",
        value=value,
        unit="K/W",
        digits=4,
        source=tr("mean over the window"),
    )
    power = Worked(
        name=tr("Reference power"), symbol="P_ref", value=power_w, unit="W", digits=0, source=tr("the study’s")
    )
    return worked(tr("Re-based to the study’s power"), "y", "R*P_ref", [each, power], outcome.unit)


def _asked(outcome: Outcome, evidence: Evidence, run: Run, result: RunResult) -> Worked:
    steps = evidence.ways.steps if evidence.ways is not None else ()
    told = asked_values(run, result, steps, outcome.asked)
    if not told:
        raise NoReading(tr("no {label} was told", label=outcome.label))
    other = next(
        (u for n, u in asked_names(run).items() if n.casefold() == outcome.asked.casefold() and u != outcome.unit), None
    )
    if other is not None:
        here, usual = (tr("in {u}", u=u) if u else tr("without a unit") for u in (other, outcome.unit))
        raise NoReading(
            tr(
                "{label} was told {here} in this run and {usual} in most; tell it in one unit",
                label=outcome.label,
                here=here,
                usual=usual,
            )
        )
    terms = [
        Worked(
            name=tr("Told at {at_s:.1f} min", at_s=at_s / 60),
            symbol=f"y_{i}",
            value=value,
            unit=outcome.unit,
            source=tr("typed"),
        )
        for i, (at_s, value) in enumerate(told, 1)
    ]
    return (
        terms[0]
        if len(terms) == 1
        else mean_of(tr("Mean of what was told of {label}", label=outcome.label), "y", terms, outcome.unit)
    )


def _temperature(school: School, result: RunResult, power_w: float, air_c: float) -> tuple[Worked, bool]:
    if school.over is None:
        name = result.names.get(school.part)
        # the channel's plain mean, as one reads it off; its window is the main trace's
        if name not in result.means or result.window_s is None:
            raise NoReading(
                tr("no channel has the role “{part}”; give it one {channels}", part=school.part, channels=tr(CHANNELS))
            )
        return replace(
            _plain_mean(name, *result.means[name], result.window_s, "K"), name=tr("As read"), symbol="T", unit="°C"
        ), True
    if school.whole:
        fit = result.whole.get(school.trace)
        if fit is None:
            raise NoReading(tr("the whole-trace fit needs both temperatures, power, and six minutes of load"))
        return school.shown(fit.worked(), power_w, air_c), True
    trace = result.traces.get(school.trace)
    if trace is None and school.trace in result.spots:
        spots = result.spots[school.trace].worked(school.trace_unit, school.trace_digits, school.trace_symbol)
        return school.shown(spots, power_w, air_c), True
    if trace is None:
        raise NoReading(result.problems.get(school.trace, "cannot be judged"))
    return school.shown(trace_reading(school, trace), power_w, air_c), trace.settled or result.by_hand


def trace_reading(school: School, trace: Settled) -> Worked:
    """A settled trace's reading, in the unit and with the symbol of its school's traces."""
    return trace.reading(school.trace_unit, school.trace_digits, school.trace_symbol)


def _plain_mean(channel: str, mean: float, sd: float, window_s: tuple[float, float], unit: str) -> Worked:
    """A channel's plain mean; ten of its samples are taken for independent."""
    scatter = Worked(name=tr("Scatter of the samples"), symbol="s", value=sd, unit=unit, digits=3)
    half = worked(
        tr("Half-width"), "U", "1.96*s/sqrt(10)", [scatter], unit, digits=3, source=tr("95 %, as good as ten samples")
    )
    span = tr(
        "the plain mean of {channel} from {begin:.1f} to {end:.1f} min; nothing is taken out",
        channel=channel,
        begin=window_s[0] / 60,
        end=window_s[1] / 60,
    )
    return Worked(name=tr("Mean"), symbol="y", value=mean, unit=unit, half=half, source=span)
