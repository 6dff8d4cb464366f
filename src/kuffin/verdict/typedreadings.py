"""Readings of figures that were typed, under a school."""

from __future__ import annotations

from dataclasses import replace

from kuffin.core.base.errors import TraceError
from kuffin.core.base.language import tr
from kuffin.core.base.pointers import CHANNELS
from kuffin.core.base.worked import Worked, in_quadrature, worked
from kuffin.core.heat.normalise import School
from kuffin.core.settle.typed import TypedValue, together, typed_rise
from kuffin.reading.runresult import RunResult, TypedReadings
from kuffin.verdict.evidence import Evidence
from kuffin.verdict.noreading import NoReading


def typed_temperature(
    school: School, evidence: Evidence, result: RunResult, typed: TypedReadings, power_w: float
) -> tuple[Worked, bool]:
    """A reading of typed figures under a school, as it is shown, and whether it is known to have settled.

    Raises
    ------
    NoReading
    """
    if school.whole:
        raise NoReading(tr("figures that were typed have no trace to fit"))
    part = typed_figures(result, typed, result.names.get(school.part, ""), school.part, "T_p")
    if school.over is None:
        return replace(part, symbol="T"), True
    base = typed_figures(result, typed, result.names.get(school.over, ""), school.over, "T_b")
    tau_s = evidence.typical_tau_s(school.trace) if not school.per_watt else None
    tau_s = evidence.typical_tau_s(f"{school.part}_over_{school.over}") if tau_s is None else tau_s
    try:
        rise, settled = typed_rise(part, base, typed.minutes, tau_s)
    except TraceError as error:
        raise NoReading(str(error)) from None
    air = evidence.study.reference_air_c
    if not school.per_watt:
        return school.shown(replace(rise, symbol=school.trace_symbol), power_w, air), settled
    key = "heat" if school.of_coolant and "heat" in result.names else "power"
    power = typed_figures(result, typed, result.names.get(key, ""), "power", "P")
    if not power.value > 0 or power.half is None or rise.half is None:
        raise NoReading(tr("the power that was typed must be above 0 W"))
    bare = [replace(rise, symbol="ΔT", half=None), replace(power, half=None)]
    by_rise = worked(tr("Of the rise"), "U_1", "U/P", [replace(rise.half, symbol="U"), bare[1]], "K/W", digits=5)
    by_power = worked(tr("Of the power"), "U_2", "ΔT*U_P/P**2", [bare[0], replace(power.half, symbol="U_P"), bare[1]], "K/W", digits=5)  # fmt: skip
    half = in_quadrature(tr("Half-width"), "U", [by_rise, by_power], "K/W", digits=5)
    each = worked(tr("Per watt"), "R", "ΔT/P", bare, "K/W", digits=4, half=half, source=rise.source)
    return school.shown(each, power_w, air), settled


def typed_figures(result: RunResult, typed: TypedReadings, names: str, what: str, symbol: str) -> Worked:
    """What was typed of the channels that serve as something, with the half-width of their last digit.

    Raises
    ------
    NoReading
    """
    found = [
        TypedValue(name=n, value=result.means[n][0], unit=typed.units.get(n, ""), resolution=typed.resolutions[n])
        for n in names.split(", ")
        if n in result.means and n in typed.resolutions
    ]
    if not found:
        raise NoReading(
            tr(
                "no figure was typed of the {what}; give it one, or its role {channels}",
                what=what.replace("_", " "),
                channels=tr(CHANNELS),
            )
        )
    return together(found[0].name if len(found) == 1 else what, symbol, found)
