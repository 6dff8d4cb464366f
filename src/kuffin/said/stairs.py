"""The staircase of a run, and of candidates side by side, in kelvins or kelvins per watt."""

from __future__ import annotations

import numpy as np

from kuffin.core.base.language import tr
from kuffin.core.base.numbers import number
from kuffin.core.base.student import t_quantile
from kuffin.core.bench.roles import FURTHER_PARTS, spoken
from kuffin.core.heat.heatpath import Flight, flight
from kuffin.reading.runresult import RunResult
from kuffin.verdict.study import StudyVerdict


def flight_of(result: RunResult | None, label: str, per_watt: bool) -> Flight | None:
    """A run's flight in its window; None where it has no air, or neither coolant nor die."""
    if result is None:
        return None
    own, heat = (_per(p) if per_watt else 1.0 for p in (result.power_w, result.heat_w))
    steps: list[tuple[str, float, float]] = []
    coolant, die, whole = (result.traces.get(k) for k in ("coolant_over_air", "die_over_coolant", "die_over_air"))
    if coolant is not None and heat is not None:
        steps.append(("coolant", coolant.value * heat, coolant.u95 * heat))
        steps += _at_inlet(result.warmed_k, per_watt)
        if die is not None and own is not None:
            steps.append(("die", die.value * own, die.u95 * own))
    elif whole is not None and own is not None and not result.devices:
        steps.append(("die", whole.value * own, whole.u95 * own))
    if not steps:
        return None
    return flight(label, steps, _sides(result, 1.0 if own is None else own), "K/W" if per_watt else "K")


def flights_of(result: RunResult | None, label: str, per_watt: bool) -> list[Flight]:
    """A run's flight, and one for each other device that rises from the same coolant."""
    own = flight_of(
        result,
        f"{label}: {result.device}" if result is not None and result.device and result.devices else label,
        per_watt,
    )
    out = [] if own is None else [own]
    coolant = None if result is None else result.traces.get("coolant_over_air")
    if result is None or coolant is None:
        return out
    for device, told in result.devices.items():
        heat, of_it = (_per(p) if per_watt else 1.0 for p in (result.heat_w, told.power_w))
        die = told.over_coolant
        if die is not None and heat is not None and of_it is not None:
            steps = [
                ("coolant", coolant.value * heat, coolant.u95 * heat),
                *_at_inlet(told.warmed_k, per_watt),
                ("die", die.value * of_it, die.u95 * of_it),
            ]
            out.append(flight(f"{label}: {device}", steps, [], "K/W" if per_watt else "K"))
    return out


def _at_inlet(warmed_k: float | None, per_watt: bool) -> list[tuple[str, float, float]]:
    """By what the devices before it warm the coolant: a step in kelvins; no power of its own makes it."""
    return [] if warmed_k is None or per_watt else [(tr("at its inlet"), warmed_k, 0.0)]


def _per(power_w: float | None) -> float | None:
    return None if power_w is None or power_w <= 1 else 1 / power_w


def _sides(result: RunResult, scale: float) -> list[tuple[str, float, float]]:
    """What else rises from the coolant, over air; plain window means, so their interval is that of the mean."""
    if scale != 1.0 and result.heat_w != result.power_w:
        return []  # over the air they rise by their own power and by all that heats the coolant
    air = result.mean_of("air_in") if "air_in" in result.roles else result.mean_of("room")
    out = []
    for role in FURTHER_PARTS:
        channel = result.roles.get(role)
        if air is None or channel is None or channel not in result.means:
            continue
        mean, sd = result.means[channel]
        out.append((tr(spoken(role)), (mean - air) * scale, 1.96 * sd / np.sqrt(10) * scale))
    return out


def candidate_flights(v: StudyVerdict, per_watt: bool) -> list[Flight]:
    """A flight for each candidate: means over its mounts that count, intervals from the scatter between mounts.

    The scatter is pooled over the candidates; with one mount each there is none, and the interval is that of the window.
    """
    flights: dict[str, list[Flight]] = {}
    for reading in v.temperature.readings:
        if reading.left_out is None and reading.value is not None and reading.runs:
            own = flight_of(v.results[reading.runs[-1]], reading.label, per_watt)
            if own is not None:
                flights.setdefault(reading.candidate, []).append(own)
    names = {s.name for own in flights.values() for f in own for s in (*f.steps, *f.side)}
    heights = {
        n: {c: [s.height for f in own for s in (*f.steps, *f.side) if s.name == n] for c, own in flights.items()}
        for n in names
    }
    half: dict[tuple[str, str], float] = {}
    for name, by_candidate in heights.items():
        df = sum(len(x) - 1 for x in by_candidate.values() if len(x) > 1)
        ss = sum((len(x) - 1) * float(np.var(x, ddof=1)) for x in by_candidate.values() if len(x) > 1)
        for candidate, x in by_candidate.items():
            if df and x:
                half[name, candidate] = t_quantile(0.975, df) * float(np.sqrt(ss / df / len(x)))
    out = []
    for candidate in v.candidates:
        mine = flights.get(candidate)
        if not mine:
            continue
        order = [s.name for s in mine[-1].steps]

        def told(name: str, own: list[Flight] = mine, candidate: str = candidate) -> tuple[str, float, float]:
            own_u = max((s.u95 for f in own for s in (*f.steps, *f.side) if s.name == name), default=0.0)
            return name, float(np.mean(heights[name][candidate])), half.get((name, candidate), own_u)

        out.append(flight(candidate, [told(n) for n in order], [told(s.name) for s in mine[-1].side], mine[-1].unit))
    return out


def flight_words(flight: Flight) -> str:
    """A flight in words."""
    digits = 1 if flight.unit == "K" else 4
    steps = ", ".join(
        f"{tr(s.name)} {number(s.height, digits)} ± {number(s.u95, digits)} {flight.unit}" for s in flight.steps
    )
    side = ", ".join(
        tr("{name} {height} over air", name=tr(s.name), height=number(s.height, digits)) for s in flight.side
    )
    return f"{flight.label}: {steps}" + (f"; {side}" if side else "")
