"""The whole-trace fits of a run, as schools read them."""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np

from kuffin.core.base.errors import TraceError
from kuffin.core.findings import Recorded
from kuffin.core.heat.wholetrace import WholeTrace, fast_trace, whole_trace
from kuffin.reading.signals import Signals


@dataclass(frozen=True)
class WholeReading:
    """What is kept of a whole-trace fit: K/W with its half-width, the time constant where there is one, the stretch in s."""

    resistance_k_w: float
    resistance_u95: float
    tau_s: float | None
    span_s: tuple[float, float]
    bent: bool


def whole_fits(s: Signals, seen: Recorded) -> tuple[dict[str, WholeTrace], dict[str, str]]:
    """The fits of ``coolant_over_air`` and ``die_over_coolant``, and why one is not to be had."""
    begin, end = seen.load_start_s, seen.load_end_s
    # after a change of state only the last state is one loop
    step = next((t.step_s for t in seen.traces.values() if t.step_s is not None), None)
    found: dict[str, WholeTrace] = {}
    problems: dict[str, str] = {}
    if begin is None:
        return {}, dict.fromkeys(("coolant_over_air", "die_over_coolant"), "the load's beginning is not known")
    start = begin if step is None else step
    for key, upper, lower in (("coolant_over_air", s.coolant, s.air), ("die_over_coolant", s.die, s.inlet)):
        part = key.split("_")[0]
        power = s.power_for(part)
        if upper is None or lower is None or power is None:
            told = s.problems.get(part) or s.problems.get("heat" if part == "coolant" else "power")
            problems[key] = told or "it needs both temperatures and the power"
            continue
        try:
            fit = whole_trace if key == "coolant_over_air" else fast_trace
            found[key] = fit(s.times, upper, lower, power, start, end, seen.period_s)
        except TraceError as error:
            problems[key] = str(error)
    return found, problems


def kept(w: WholeTrace) -> WholeReading:
    """The same without its samples."""
    return WholeReading(w.resistance_k_w, w.resistance_u95, w.tau_s, w.span_s, w.bent)


def with_sum(found: dict[str, WholeTrace]) -> dict[str, WholeTrace]:
    """The fits by the trace of their school; die over air is the sum of the two steps, half-widths in quadrature."""
    out = {f"{key}_whole": w for key, w in found.items()}
    lower, upper = found.get("coolant_over_air"), found.get("die_over_coolant")
    if lower is not None and upper is not None:
        half = float(np.hypot(lower.resistance_u95, upper.resistance_u95))
        none = np.empty(0)
        out["die_over_air_whole"] = WholeTrace(
            lower.resistance_k_w + upper.resistance_k_w,
            half,
            lower.tau_s,
            lower.tau_u95,
            lower.capacity_j_k,
            float(np.hypot(lower.rms_k, upper.rms_k)),
            lower.span_s,
            none,
            none,
            lower.bent or upper.bent,
        )
    return out
