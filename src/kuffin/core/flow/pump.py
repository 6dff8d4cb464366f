"""A pump's curve: head = h·s² − k·V̇², s the share of full speed, fitted with errors in both flow and head.

Source: the affinity laws (flow ∝ s, head ∝ s²): F. M. White, *Fluid Mechanics*, chapter 11.
"""

from __future__ import annotations

from dataclasses import dataclass, field, replace

import numpy as np
from numpy.typing import NDArray
from scipy.optimize import nnls

from kuffin.core.base.errors import CompareError
from kuffin.core.flow.accuracy import Accuracies
from kuffin.core.flow.restriction import drawn

Array = NDArray[np.float64]


@dataclass(frozen=True, kw_only=True)
class PumpCurve:
    """head = h·s² − k·V̇² (the affinity laws: flow ∝ s, head ∝ s²), s the share of full speed.

    Attributes
    ----------
    h, k : float
        kPa at full speed without flow; kPa per (L/h)².
    residuals : ndarray, shape (n,)
        Measured less fitted, in effective standard uncertainties.
    """

    h: float
    k: float
    covariance: Array = field(repr=False)
    chi2: float
    freedom: int
    flow: Array = field(repr=False)
    residuals: Array = field(repr=False)

    def head(self, flow: float, speed: float) -> float:
        """What it gives at a flow, kPa."""
        return self.h * speed**2 - self.k * flow**2

    @property
    def measured(self) -> tuple[float, float]:
        """The least and the most flow that was measured."""
        return float(self.flow.min()), float(self.flow.max())

    def carried(self, density: float) -> PumpCurve:
        """In a coolant of another density (the ratio of the two): a pump gives the same metres, not the same kilopascals."""
        return replace(self, h=self.h * density, k=self.k * density, covariance=self.covariance * density**2)

    def draws(self, rng: np.random.Generator) -> Array:
        """Values of h and k that the readings allow, shape (DRAWS, 2)."""
        return drawn((self.h, self.k), self.covariance, self.freedom, self.chi2, rng)


def fit_pump(speed: Array, flow: Array, head: Array, accuracies: Accuracies) -> PumpCurve:
    """Fit a pump's curve to points at one or several speeds (shares of full speed).

    Raises
    ------
    CompareError
        Where there are too few points, or the head does not fall as the flow grows.

    >>> q = np.array([50.0, 150.0, 250.0, 350.0])
    >>> fit = fit_pump(np.ones(4), q, 38 - 0.0001 * q**2, Accuracies())
    >>> round(fit.h, 2), round(fit.k, 6), round(fit.head(100.0, 0.5), 2)
    (38.0, 0.0001, 8.5)
    """
    if flow.size < 3:
        raise CompareError("a pump's curve needs three points; this one has {n}", n=flow.size)
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
        residuals=residuals,
    )
