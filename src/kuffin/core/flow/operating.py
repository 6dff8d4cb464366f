"""A pump's curve, parts in series and in parallel, and where a loop's curve crosses the pump's."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass, field

import numpy as np
from numpy.typing import NDArray
from scipy.optimize import nnls

from kuffin.core.base.errors import CompareError
from kuffin.core.flow.accuracy import Accuracies
from kuffin.core.flow.restriction import DRAWS, PartCurve, drawn

Array = NDArray[np.float64]


@dataclass(frozen=True, kw_only=True)
class PumpCurve:
    """head = h·s² − k·V̇² (the affinity laws: flow ∝ s, head ∝ s²), s the share of full speed.

    Attributes
    ----------
    h, k : float
        kPa at full speed without flow; kPa per (L/h)².
    """

    h: float
    k: float
    covariance: Array = field(repr=False)
    chi2: float
    freedom: int
    flow: Array = field(repr=False)

    def head(self, flow: float, speed: float) -> float:
        """What it gives at a flow, kPa."""
        return self.h * speed**2 - self.k * flow**2

    def draws(self, rng: np.random.Generator) -> Array:
        """Values of h and k that the readings allow, shape (DRAWS, 2)."""
        return drawn((self.h, self.k), self.covariance, self.freedom, self.chi2, rng)


def fit_pump(speed: Array, flow: Array, head: Array, accuracies: Accuracies) -> PumpCurve:
    """Fit a pump's curve to points at one or several speeds (shares of full speed).

    Raises
    ------
    CompareError
        Where there are too few points, or the head does not fall as the flow grows.
    """
    if flow.size < 3:
        raise CompareError(f"the pump has {flow.size} point{'' if flow.size == 1 else 's'}; its curve needs three")
    if (flow < 0).any() or (speed <= 0).any() or (speed > 1.5).any():
        raise CompareError("the pump's table has a negative flow, or a speed that is no share of full speed")
    design = np.column_stack((speed**2, -(flow**2)))
    sigma_p, sigma_q = accuracies.sigma_drop(head), accuracies.sigma_flow(flow)
    floor = 1e-4 * float(np.abs(head).max())
    fitted = nnls(design, head)[0]
    for _ in range(25):
        sigma = np.sqrt(sigma_p**2 + (2 * fitted[1] * flow * sigma_q) ** 2 + floor**2)
        before, fitted = fitted, nnls(design / sigma[:, None], head / sigma)[0]
        if np.allclose(before, fitted, rtol=1e-9, atol=0):
            break
    if fitted[0] <= 0 or fitted[1] <= 0:
        raise CompareError("the pump's head does not fall as the flow grows: the columns may be swapped")
    residuals = (head - design @ fitted) / sigma
    weighted = design / sigma[:, None]
    return PumpCurve(
        h=float(fitted[0]),
        k=float(fitted[1]),
        covariance=np.linalg.pinv(weighted.T @ weighted),
        chi2=float(residuals @ residuals),
        freedom=int(flow.size - 2),
        flow=flow,
    )


@dataclass(frozen=True, kw_only=True)
class OperatingPoint:
    """Where a loop's curve crosses the pump's.

    Attributes
    ----------
    flow, low, high : float
        L/h, with the 95 % interval.
    head : float
        kPa.
    beyond : tuple of str
        Parts whose curves were not measured at that flow.
    """

    flow: float
    low: float
    high: float
    head: float
    beyond: tuple[str, ...]


def crossing(a: Array | float, b: Array | float, h: Array | float, k: Array | float, speed: float) -> Array:
    """The flow at which a·V̇ + b·V̇² = h·s² − k·V̇², L/h; the root is written so that it stays exact for small flows.

    >>> round(float(crossing(0.0, 0.0003, 30.0, 0.0001, 1.0)) ** 2 * 0.0004, 6)
    30.0
    """
    square = np.asarray(b, float) + np.asarray(k, float)
    given = np.asarray(h, float) * speed**2
    return np.asarray(
        2 * given / (np.asarray(a, float) + np.sqrt(np.asarray(a, float) ** 2 + 4 * square * given)), float
    )


def operating_point(
    parts: Sequence[PartCurve], drawn_parts: Sequence[Array], pump: PumpCurve, speed: float, rng: np.random.Generator
) -> OperatingPoint:
    """The flow of parts in series on a pump.

    Parameters
    ----------
    drawn_parts : sequence of ndarray, shape (DRAWS, 2)
        Draws of each part's coefficients, the instruments' common part in them.
    speed : float
        The share of full speed.

    Raises
    ------
    CompareError
        Where the pump cannot turn at that speed.
    """
    if not speed > 0:
        raise CompareError("at no speed the pump moves nothing; give its speed in per cent of full speed")
    flow = float(crossing(sum(p.a for p in parts), sum(p.b for p in parts), pump.h, pump.k, speed))
    a, b = (np.sum([d[:, i] for d in drawn_parts], axis=0) for i in (0, 1))
    pumps = pump.draws(rng)
    many = crossing(a, b, pumps[:, 0], pumps[:, 1], speed)
    low, high = np.percentile(many, [2.5, 97.5])
    return OperatingPoint(
        flow=flow,
        low=float(low),
        high=float(high),
        head=pump.head(flow, speed),
        beyond=tuple(dict.fromkeys(p.name for p in parts if p.beyond(flow))),
    )


def with_common(draws: Array, flow_gain: Array, drop_gain: Array) -> Array:
    """Draws of a part's coefficients with errors that all readings share: a gain of the flow meter, and one of the gauge."""
    assert draws.shape == (DRAWS, 2)
    return np.column_stack(
        (draws[:, 0] * (1 + flow_gain) * (1 + drop_gain), draws[:, 1] * (1 + flow_gain) ** 2 * (1 + drop_gain))
    )
