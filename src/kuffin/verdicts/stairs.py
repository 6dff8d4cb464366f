"""The staircase of a run, and of candidates side by side, in kelvins or kelvins per watt."""

from __future__ import annotations

import numpy as np

from kuffin.core.heatpath import Flight, flight
from kuffin.core.roles import FURTHER_PARTS, spoken
from kuffin.core.student import t_quantile
from kuffin.verdicts.runresult import RunResult
from kuffin.verdicts.study import StudyVerdict


def flight_of(result: RunResult | None, label: str, per_watt: bool) -> Flight | None:
    """A run's flight in its window; None where it has no air, or neither coolant nor die."""
    if result is None:
        return None
    power = result.mean_of("power")
    if per_watt and (power is None or power <= 1):
        return None
    scale = 1 / power if per_watt and power else 1.0
    steps: list[tuple[str, float, float]] = []
    coolant, die, whole = (result.traces.get(k) for k in ("coolant_over_air", "die_over_coolant", "die_over_air"))
    if coolant is not None:
        steps.append(("coolant", coolant.value * scale, coolant.u95 * scale))
        if die is not None:
            steps.append(("die", die.value * scale, die.u95 * scale))
    elif whole is not None:
        steps.append(("die", whole.value * scale, whole.u95 * scale))
    if not steps:
        return None
    return flight(label, steps, _sides(result, scale), "K/W" if per_watt else "K")


def _sides(result: RunResult, scale: float) -> list[tuple[str, float, float]]:
    """What else rises from the coolant, over air; plain window means, so their interval is that of the mean."""
    air = result.mean_of("air_in") if "air_in" in result.roles else result.mean_of("room")
    out = []
    for role in FURTHER_PARTS:
        channel = result.roles.get(role)
        if air is None or channel is None or channel not in result.means:
            continue
        mean, sd = result.means[channel]
        out.append((spoken(role), (mean - air) * scale, 1.96 * sd / np.sqrt(10) * scale))
    return out


def candidate_flights(v: StudyVerdict, per_watt: bool) -> list[Flight]:
    """A flight for each candidate: means over its mounts that count, intervals from the scatter between mounts.

    The scatter is pooled over the candidates; with one mount each there is none, and the interval is that of the window.
    """
    flights: dict[str, list[Flight]] = {}
    for reading in v.main.readings:
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
