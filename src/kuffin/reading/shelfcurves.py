"""From the readings of parts on the shelf to their fitted curves, carried to one coolant and temperature."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass, field

import numpy as np

from kuffin.core.base.errors import KuffinError, TraceError
from kuffin.core.base.language import tr
from kuffin.core.base.numbers import plain
from kuffin.core.flow.accuracy import Accuracies, read_accuracy
from kuffin.core.flow.curvekinds import CURVE_KINDS
from kuffin.core.flow.measured import Measured, Spread, Taken, measured
from kuffin.core.flow.pump import PumpCurve, fit_pump
from kuffin.core.flow.restriction import PartCurve, fit_restriction
from kuffin.core.flow.withoutgauge import drop_without_a_gauge, less_flow
from kuffin.core.heat.coolant import Mix, mix_told, properties
from kuffin.notebook.entities import Curve, Part


@dataclass(frozen=True)
class CoolantState:
    """A coolant at a temperature."""

    mix: Mix
    temperature_c: float

    @property
    def words(self) -> str:
        """In words."""
        return f"{self.mix.words} at {plain(self.temperature_c)} °C"


@dataclass(frozen=True, kw_only=True)
class ShelfCurves:
    """What the shelf tells of restriction.

    Attributes
    ----------
    measured : Measured
        By the parts' names, in the coolant that was asked for.
    curves : mapping of name to Curve
        Whose readings they are.
    problems : mapping of name to str
        What could not be fitted, and why.
    notes : mapping of name to str
        What was carried to the coolant in question, or could not be.
    """

    measured: Measured
    curves: Mapping[str, Curve]
    problems: Mapping[str, str] = field(default_factory=dict)
    notes: Mapping[str, str] = field(default_factory=dict)


def taken(curve: Curve) -> Taken:
    """How a curve's readings were taken."""
    accuracies = Accuracies(read_accuracy(curve.flow_accuracy, "L/h"), read_accuracy(curve.pressure_accuracy, "kPa"))
    return Taken(accuracies, " ".join(curve.instruments.casefold().split()))


def state_of(curve: Curve) -> CoolantState | None:
    """The coolant that it was measured in; None where that is not told."""
    mix = mix_told(curve.coolant.fields) if curve.coolant is not None else None
    return None if mix is None or curve.temperature_c is None else CoolantState(mix, curve.temperature_c)


def newest(part: Part, kind: str) -> Curve | None:
    """The curve of a kind that was added last."""
    return next((c for c in reversed(part.live_curves) if c.kind == kind and c.points), None)


def fit_part(curve: Curve) -> PartCurve:
    """The restriction that readings tell.

    Raises
    ------
    KuffinError
        Why they tell none.
    """
    flow, drop, count = np.asarray(curve.points, float).reshape(-1, 3).T
    return fit_restriction(curve.part.name, flow, drop, taken(curve).accuracies, count)


def fit_pump_of(curve: Curve) -> PumpCurve:
    """The pump's curve that readings tell.

    Raises
    ------
    KuffinError
        Why they tell none.
    """
    flow, head, percent = np.asarray(curve.points, float).reshape(-1, 3).T
    return fit_pump(percent / 100, flow, head, taken(curve).accuracies)


def shelf_curves(parts: Sequence[Part], asked: CoolantState | None = None, pump: Curve | None = None) -> ShelfCurves:
    """Fit the newest restriction of each part, and a pump's curve.

    Parameters
    ----------
    asked : CoolantState, optional
        Curves are carried to it: the laminar part of a drop goes with viscosity, the turbulent one and a pump's head with
        density. None leaves them as they were measured.
    """
    fits: dict[str, PartCurve] = {}
    curves: dict[str, Curve] = {}
    problems: dict[str, str] = {}
    notes: dict[str, str] = {}
    how: dict[str, Taken] = {}
    for part in parts:
        curve = newest(part, "restriction")
        if curve is None:
            continue
        name = part.name if part.name not in curves else f"{part.name} ({part.kind})"
        curves[name] = curve
        try:
            fits[name], notes[name] = _carried_part(fit_part(curve), curve, asked)
            how[name] = taken(curve)
        except KuffinError as error:
            problems[name] = str(error)
    found_pump = None
    if pump is not None:
        try:
            found_pump, notes[pump.part.name] = _carried_pump(fit_pump_of(pump), pump, asked)
        except KuffinError as error:
            problems[pump.part.name] = str(error)
    return ShelfCurves(
        measured=measured(fits, how, found_pump, taken(pump) if pump is not None else None),
        curves=curves,
        problems=problems,
        notes={n: w for n, w in notes.items() if w},
    )


def _ratios(curve: Curve, asked: CoolantState | None) -> tuple[float, float, str]:
    """Viscosity and density over those it was measured in, and what is to be said."""
    if asked is None:
        return 1.0, 1.0, ""
    own = state_of(curve)
    if own is None:
        return 1.0, 1.0, tr("coolant and temperature of its readings are not told: taken as they are")
    if own == asked:
        return 1.0, 1.0, ""
    try:
        was, now = (properties(s.temperature_c, s.mix) for s in (own, asked))
    except TraceError as error:
        return 1.0, 1.0, tr("not carried from {own}: {error}", own=own.words, error=error)
    words = tr("carried from {own}", own=own.words)
    return now.viscosity_mpa_s / was.viscosity_mpa_s, now.density_kg_m3 / was.density_kg_m3, words


def _carried_part(fit: PartCurve, curve: Curve, asked: CoolantState | None) -> tuple[PartCurve, str]:
    viscosity, density, words = _ratios(curve, asked)
    return fit.carried(viscosity, density), words


def _carried_pump(fit: PumpCurve, curve: Curve, asked: CoolantState | None) -> tuple[PumpCurve, str]:
    _, density, words = _ratios(curve, asked)
    return fit.carried(density), words


@dataclass(frozen=True, kw_only=True)
class WithAndWithout:
    """What flows with and without a part tell.

    Attributes
    ----------
    less : Spread
        By how many per cent it lowers the flow.
    drop : Spread or None
        The estimated drop, kPa, at `flow` L/h; None without the pump's curve.
    """

    part: str
    less: Spread
    flow: float
    speed_percent: float
    drop: Spread | None
    curve: Curve


def with_and_without(parts: Sequence[Part], pump: Curve | None = None) -> tuple[list[WithAndWithout], dict[str, str]]:
    """What flows with and without each part tell, and why some tell nothing."""
    found, problems = [], {}
    for part in parts:
        curve = newest(part, "with and without")
        if curve is None:
            continue
        try:
            without, within, percent = np.asarray(curve.points, float).reshape(-1, 3).T
            accuracies, drop = taken(curve).accuracies, None
            less = less_flow(without, within, accuracies)
            if pump is not None and np.ptp(percent) < 1.0:
                fitted = measured({}, {}, fit_pump_of(pump), taken(pump))
                drop = drop_without_a_gauge(without, within, float(percent.mean()) / 100, fitted, accuracies)
            found.append(
                WithAndWithout(
                    part=part.name,
                    less=less,
                    flow=float(within.mean()),
                    speed_percent=float(percent.mean()),
                    drop=drop,
                    curve=curve,
                )
            )
        except KuffinError as error:
            problems[part.name] = str(error)
    return found, problems


def usual_pump(parts: Sequence[Part]) -> list[Curve]:
    """All pumps' newest curves."""
    label = CURVE_KINDS["pump"].key
    return [c for p in parts if (c := newest(p, label)) is not None]
