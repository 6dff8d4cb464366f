"""What a part's readings are fitted to, as it is drawn and said: one way for the part's own page and for its readings."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from kuffin.app.widgets.curveplot import DrawnCurve
from kuffin.notebook.entities import Curve
from kuffin.reading.shelfcurves import fit_part, fit_pump_of, with_and_without
from kuffin.said.flowwords import pump_fit_words, restriction_fit_words, without_gauge_words

_STEPS = 40


@dataclass(frozen=True)
class FittedReadings:
    """Curves to draw, in the readings' order their residuals in standard uncertainties, and words.

    A curve without a name is the only one that its readings have.
    """

    curves: list[DrawnCurve]
    residuals: NDArray[np.float64]
    said: str


def fitted_readings(curve: Curve) -> FittedReadings:
    """What some readings tell.

    Raises
    ------
    KuffinError
        Why they tell nothing yet.
    """
    return _BY_KIND[curve.kind](curve)


def _restriction(curve: Curve) -> FittedReadings:
    fit = fit_part(curve)
    xs = np.linspace(0.0, 1.05 * fit.measured[1], _STEPS)
    drawn = DrawnCurve(
        name="",
        xs=list(xs),
        ys=[fit.at(float(x)) for x in xs],
        points=list(zip(fit.flow, fit.drop, strict=True)),
        odd=fit.standing_off,
        solid=fit.measured,
    )
    return FittedReadings([drawn], fit.residuals, restriction_fit_words(fit, _accuracy_told(curve)))


def _pump(curve: Curve) -> FittedReadings:
    pump, points = fit_pump_of(curve), np.asarray(curve.points, float).reshape(-1, 3)
    drawn = []
    for speed in sorted(set(points[:, 2])):
        rows = np.flatnonzero(points[:, 2] == speed)
        own = points[rows]
        most = min(1.08 * float(own[:, 0].max()), float(np.sqrt(pump.h / pump.k)) * speed / 100)
        xs = np.linspace(0.0, most, _STEPS)
        drawn.append(
            DrawnCurve(
                name=f"{speed:.0f} %",
                xs=list(xs),
                ys=[pump.head(float(x), speed / 100) for x in xs],
                points=[(float(p[0]), float(p[1])) for p in own],
                behind=tuple(int(r) for r in rows),
                solid=(float(own[:, 0].min()), float(own[:, 0].max())),
            )
        )
    return FittedReadings(drawn, pump.residuals, pump_fit_words(pump, _accuracy_told(curve)))


def _with_and_without(curve: Curve) -> FittedReadings:
    told, why = with_and_without([curve.part])
    said = "\n".join([*without_gauge_words(told), *(f"{w}." for w in why.values())])
    return FittedReadings([], np.empty(0), said)


def _accuracy_told(curve: Curve) -> bool:
    return bool(curve.flow_accuracy or curve.pressure_accuracy)


_BY_KIND: dict[str, Callable[[Curve], FittedReadings]] = {
    "restriction": _restriction,
    "pump": _pump,
    "with and without": _with_and_without,
}
