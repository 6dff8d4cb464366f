"""Means, extremes, and why a maximum is a poor thing to rank by."""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray
from scipy import special

Array = NDArray[np.float64]


@dataclass(frozen=True, kw_only=True)
class Extremes:
    """A channel in a window.

    Attributes
    ----------
    mean, scatter : float
    highest : float
        As seen, spikes and all.
    one_percent : float
        The level exceeded 1 % of the time.
    by_chance : float
        How far above the mean the highest of so many samples of this scatter lies by chance alone.
    twice_as_long : float
        By how much that grows when the window is twice as long.
    samples : int
    """

    mean: float
    scatter: float
    highest: float
    one_percent: float
    by_chance: float
    twice_as_long: float
    samples: int


def expected_highest(n: float) -> float:
    """The expected highest of n standard normal values, by Blom's approximation ``Φ⁻¹((n − 0.375)/(n + 0.25))``.

    Source: G. Blom, *Statistical Estimates and Transformed Beta-Variables* (1958).
    """
    return float(special.ndtri((n - 0.375) / (n + 0.25)))


def extremes(values: Array) -> Extremes | None:
    """What a window's samples say of their extremes; None below ten samples.

    Parameters
    ----------
    values : ndarray, shape (n,)
        As recorded; missing is NaN.
    """
    seen = values[np.isfinite(values)]
    n = seen.size
    if n < 10:
        return None
    mean, scatter = float(seen.mean()), float(seen.std(ddof=1))
    # neighbours that move together are fewer independent ones
    r = float(np.corrcoef(seen[:-1], seen[1:])[0, 1]) if scatter > 0 and n > 20 else 0.0
    effective = max(n * (1 - max(r, 0.0)) / (1 + max(r, 0.0)), 3.0)
    here, longer = expected_highest(effective), expected_highest(2 * effective)
    return Extremes(
        mean=mean,
        scatter=scatter,
        highest=float(seen.max()),
        one_percent=float(np.percentile(seen, 99)),
        by_chance=here * scatter,
        twice_as_long=(longer - here) * scatter,
        samples=n,
    )
