"""The whole-trace fits of a run, as schools read them."""

from __future__ import annotations

from dataclasses import dataclass, replace

import numpy as np

from kuffin.core.base.errors import TraceError
from kuffin.core.base.language import tr
from kuffin.core.base.worked import Worked, worked
from kuffin.core.findings import Recorded
from kuffin.core.heat.wholetrace import MODEL, WholeTrace, fast_trace, whole_trace
from kuffin.reading.signals import Signals


@dataclass(frozen=True, kw_only=True)
class WholeReading:
    """What is kept of a whole-trace fit: K/W with its half-width, the time constant where there is one, the stretch in s."""

    resistance_k_w: float
    resistance_u95: float
    tau_s: float | None
    span_s: tuple[float, float]
    bent: bool

    def worked(self) -> Worked:
        """The resistance with its half-width, and where it comes from."""
        bent = tr("; what the fit leaves is bent: a second, slower part is warming, and R is off by about its share")
        half = Worked(
            name=tr("Half-width"),
            symbol="U",
            value=self.resistance_u95,
            unit="K/W",
            digits=5,
            source=tr("95 %, of the fit"),
        )
        begin, end = (s / 60 for s in self.span_s)
        said = tr(
            "{model}, with power and base temperature as they were measured, from {begin:.1f} to {end:.1f} min; no window and no waiting",
            model=MODEL,
            begin=begin,
            end=end,
        )
        return Worked(name=tr("Whole-trace resistance"), symbol="R", value=self.resistance_k_w, unit="K/W", digits=4, half=half, source=said + (bent if self.bent else ""))  # fmt: skip


def whole_fits(s: Signals, seen: Recorded) -> tuple[dict[str, WholeTrace], dict[str, str]]:
    """The fits of ``coolant_over_air`` and ``die_over_coolant``, and why one is not to be had."""
    begin, end = seen.load_start_s, seen.load_end_s
    # after a change of state only the last state is one loop
    step = next((t.load.step_s for t in seen.traces.values() if t.load.step_s is not None), None)
    found: dict[str, WholeTrace] = {}
    problems: dict[str, str] = {}
    if begin is None:
        return {}, dict.fromkeys(("coolant_over_air", "die_over_coolant"), tr("the load's beginning is not known"))
    start = begin if step is None else step
    for key, upper, lower in (("coolant_over_air", s.coolant, s.air), ("die_over_coolant", s.die, s.inlet)):
        part = key.split("_")[0]
        power = s.power_for(part)
        if upper is None or lower is None or power is None:
            told = s.problems.get(part) or s.problems.get("heat" if part == "coolant" else "power")
            problems[key] = told or tr("it needs both temperatures and the power")
            continue
        try:
            fit = whole_trace if key == "coolant_over_air" else fast_trace
            found[key] = fit(s.times, upper, lower, power, start, end, seen.period_s)
        except TraceError as error:
            problems[key] = str(error)
    return found, problems


def kept(w: WholeTrace) -> WholeReading:
    """The same without its samples."""
    return WholeReading(
        resistance_k_w=w.resistance_k_w, resistance_u95=w.resistance_u95, tau_s=w.tau_s, span_s=w.span_s, bent=w.bent
    )


def with_sum(found: dict[str, WholeTrace]) -> dict[str, WholeTrace]:
    """The fits by the trace of their school; die over air is the sum of the two steps, half-widths in quadrature."""
    out = {f"{key}_whole": w for key, w in found.items()}
    lower, upper = found.get("coolant_over_air"), found.get("die_over_coolant")
    if lower is not None and upper is not None:
        r_c, r_d = replace(lower.resistance, symbol="R_c"), replace(upper.resistance, symbol="R_d")
        assert r_c.half is not None and r_d.half is not None
        halves = [replace(r_c.half, symbol="U_c"), replace(r_d.half, symbol="U_d")]
        half = worked(tr("Half-width"), "U", "hypot(U_c, U_d)", halves, "K/W", digits=5)
        out["die_over_air_whole"] = WholeTrace(
            resistance=worked(tr("Sum of the two steps"), "R", "R_c + R_d", [r_c, r_d], "K/W", digits=4, half=half),
            tau_s=lower.tau_s,
            tau_u95=lower.tau_u95,
            span_s=lower.span_s,
            rms_k=float(np.hypot(lower.rms_k, upper.rms_k)),
            times=np.empty(0),
            residuals=np.empty(0),
            bent=lower.bent or upper.bent,
        )
    return out
