"""The restriction of a part: drop = a·V̇ + b·V̇², fitted with errors in both flow and drop, with its band.

References
----------
J. Orear, "Least squares when both variables have uncertainties", American Journal of Physics 50 (1982), 912–916, for the effective
variance; F. M. White, *Fluid Mechanics*, chapter 6, for the laminar and the turbulent part of a drop.
"""

from __future__ import annotations

from dataclasses import dataclass, field, replace

import numpy as np
from numpy.typing import NDArray
from scipy import stats
from scipy.optimize import nnls

from kuffin.core.base.errors import CompareError
from kuffin.core.flow.accuracy import Accuracies

Array = NDArray[np.float64]
DRAWS = 4000
_FEWEST = 3


@dataclass(frozen=True, kw_only=True)
class PartCurve:
    """A part's fitted curve.

    Attributes
    ----------
    a, b : float
        kPa per L/h, and per (L/h)²; neither is negative.
    flow, drop : ndarray, shape (n,)
        The points, the drop of one piece.
    residuals : ndarray, shape (n,)
        Measured less fitted, in effective standard uncertainties.
    covariance : ndarray, shape (2, 2)
        Of a and b, from the readings' scatter.
    chi2, freedom : float, int
    """

    name: str
    a: float
    b: float
    flow: Array = field(repr=False)
    drop: Array = field(repr=False)
    residuals: Array = field(repr=False)
    covariance: Array = field(repr=False)
    chi2: float
    freedom: int

    @property
    def measured(self) -> tuple[float, float]:
        """The least and the most flow that was measured."""
        return float(self.flow.min()), float(self.flow.max())

    def at(self, flow: float) -> float:
        """The drop at a flow, kPa."""
        return self.a * flow + self.b * flow**2

    def beyond(self, flow: float) -> bool:
        """Whether a flow lies outside what was measured."""
        low, high = self.measured
        return not low <= flow <= high

    def carried(self, viscosity: float, density: float) -> PartCurve:
        """In another coolant (the ratios to the one it was measured in): a goes with viscosity, b with density."""
        by = np.diag((viscosity, density))
        return replace(self, a=self.a * viscosity, b=self.b * density, covariance=by @ self.covariance @ by)

    @property
    def standing_off(self) -> list[int]:
        """Points that lie more than three effective standard uncertainties off the curve."""
        return [int(i) for i in np.flatnonzero(np.abs(self.residuals) > 3)]

    def draws(self, rng: np.random.Generator) -> Array:
        """Values of a and b that the readings allow, none negative, shape (DRAWS, 2)."""
        return drawn((self.a, self.b), self.covariance, self.freedom, self.chi2, rng)


def fit_restriction(
    name: str, flow: Array, drop: Array, accuracies: Accuracies, count: Array | None = None
) -> PartCurve:
    """Fit a part's curve.

    Parameters
    ----------
    flow : ndarray, shape (n,)
        L/h.
    drop : ndarray, shape (n,)
        kPa over `count` pieces in series.
    count : ndarray, shape (n,), optional
        One where it is not told.

    Raises
    ------
    CompareError
        Where there are too few points, or they are none of a restriction: the sentence names the part.

    >>> q = np.array([60.0, 120.0, 180.0, 240.0])
    >>> fit = fit_restriction("Tern", q, 0.01 * q + 0.0003 * q**2, Accuracies())
    >>> round(fit.a, 4), round(fit.b, 6)
    (0.01, 0.0003)
    """
    pieces = np.ones_like(flow) if count is None else count
    _look_at(name, flow, drop, pieces)
    each = drop / pieces
    design = np.column_stack((flow, flow**2))
    sigma_p, sigma_q = accuracies.sigma_drop(drop) / pieces, accuracies.sigma_flow(flow)
    fitted = nnls(design / np.maximum(np.abs(each), 1e-6)[:, None], each / np.maximum(np.abs(each), 1e-6))[0]
    floor = 1e-4 * float(np.abs(each).max())
    for _ in range(25):
        slope = fitted[0] + 2 * fitted[1] * flow
        sigma = np.sqrt(sigma_p**2 + (slope * sigma_q) ** 2 + floor**2)
        before, fitted = fitted, nnls(design / sigma[:, None], each / sigma)[0]
        if np.allclose(before, fitted, rtol=1e-9, atol=0):
            break
    residuals = (each - design @ fitted) / sigma
    weighted = design / sigma[:, None]
    covariance = np.linalg.pinv(weighted.T @ weighted)
    return PartCurve(
        name=name,
        a=float(fitted[0]),
        b=float(fitted[1]),
        flow=flow,
        drop=each,
        residuals=residuals,
        covariance=covariance,
        chi2=float(residuals @ residuals),
        freedom=int(flow.size - 2),
    )


def _look_at(name: str, flow: Array, drop: Array, pieces: Array) -> None:
    if flow.size < _FEWEST or np.unique(flow).size < _FEWEST:
        raise CompareError(
            "a curve needs three points at three different flows; {name} has {n} at {flows}",
            name=name,
            n=flow.size,
            flows=np.unique(flow).size,
        )
    if (flow < 0).any() or (drop < 0).any():
        raise CompareError(
            "{name} has a negative flow; look at its sign"
            if (flow < 0).any()
            else "{name} has a negative drop; look at its sign, or at which side the gauge sat on",
            name=name,
        )
    if (pieces < 1).any():
        raise CompareError("{name}: how many were in series is under one", name=name)
    if float(stats.spearmanr(flow, drop / pieces).statistic) < 0:
        raise CompareError(
            "the drop of {name} falls as the flow grows: the columns may be swapped, or the gauge sat the wrong way round",
            name=name,
        )


def drawn(fitted: tuple[float, float], covariance: Array, freedom: int, chi2: float, rng: np.random.Generator) -> Array:
    """Draws of two coefficients that are not negative, shape (DRAWS, 2); spread wider where the points scatter more than they should."""
    inflated = chi2 / freedom if freedom > 0 else 1.0
    cov = covariance * max(inflated, 1.0)
    steps = rng.multivariate_normal((0.0, 0.0), cov, 4 * DRAWS, method="eigh")
    if inflated > 1 and freedom > 0:
        steps *= np.sqrt(freedom / rng.chisquare(freedom, 4 * DRAWS))[:, None]
    tried = np.asarray(fitted) + steps
    kept = tried[(tried >= 0).all(axis=1)]
    if len(kept) < DRAWS:  # a coefficient at nothing: the other one takes what it loses
        kept = np.concatenate((kept, np.maximum(tried, 0.0)))
    return np.asarray(kept[:DRAWS], float)
