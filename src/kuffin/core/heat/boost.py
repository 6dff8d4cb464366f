"""Clock against temperature: boost steps, throttling, and what a kelvin buys.

A boosting part gives up clock in steps as it warms. The steps are found as a monotone function (isotonic regression,
R. E. Barlow et al., *Statistical Inference under Order Restrictions*, 1972), merged to the clock's own quantum.
Throttling is something else: the clock falls while the temperature stands at its limit under unchanged load.
"""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from kuffin.core.base.traces import quantum

Array = NDArray[np.float64]
Mask = NDArray[np.bool_]

_LOST = 0.97  # of the free clock
_BLOCK_S = 30.0


@dataclass(frozen=True)
class BoostStep:
    """A step lost: above this temperature, in °C, the clock falls from one level to another, in MHz."""

    at_c: float
    from_mhz: float
    to_mhz: float


@dataclass(frozen=True, kw_only=True)
class Boost:
    """Clock against temperature under load.

    Attributes
    ----------
    temperatures_c, clock_mhz : ndarray, shape (k,)
        Means by whole degrees, and how the monotone function runs through them in `fitted_mhz`.
    steps : tuple of BoostStep
    mhz_per_k : float
        What a kelvin costs on average between the coolest and the warmest tenth; with its standard error.
    held_mhz, held_low_mhz : float
        Mean clock in the stretch asked about, and the level it stayed above 99 % of the time.
    """

    temperatures_c: Array
    clock_mhz: Array
    fitted_mhz: Array
    steps: tuple[BoostStep, ...]
    mhz_per_k: float
    mhz_per_k_se: float
    held_mhz: float
    held_low_mhz: float
    quantum_mhz: float


def boost(die_c: Array, clock_mhz: Array, loaded: Mask, window: Mask) -> Boost | None:
    """Boost steps of a run.

    Parameters
    ----------
    die_c, clock_mhz : ndarray, shape (n,)
    loaded, window : ndarray of bool, shape (n,)
        Samples under load, and those of the window.

    Returns
    -------
    Boost or None
        None where the die went through fewer than 4 K under load, or fewer than 60 samples are there.
    """
    ok = loaded & np.isfinite(die_c) & np.isfinite(clock_mhz)
    # a moment of idling between two passes is not the load's clock
    if ok.any():
        ok &= clock_mhz > 0.6 * np.percentile(clock_mhz[ok], 90)
    if ok.sum() < 60:
        return None
    die, clock = die_c[ok], clock_mhz[ok]
    low, high = np.percentile(die, [1, 99])
    if high - low < 4:
        return None
    inside = (die >= low) & (die <= high)
    degree = np.round(die[inside]).astype(int)
    at, which, counts = np.unique(degree, return_inverse=True, return_counts=True)
    means = np.bincount(which, clock[inside]) / counts
    enough = counts >= 3
    at, means, counts = at[enough].astype(float), means[enough], counts[enough]
    if at.size < 4:
        return None
    from scipy.optimize import isotonic_regression  # off the start-up path

    fitted = np.asarray(isotonic_regression(means, weights=counts, increasing=False).x, float)
    step = quantum(clock)
    levels = np.round(fitted / step) * step if step > 0 else np.round(fitted, 1)
    steps: list[BoostStep] = []
    for i in range(at.size - 1):
        if levels[i + 1] < levels[i] - 1e-9:
            begin, top = float((at[i] + at[i + 1]) / 2), float(levels[i])
            if steps and begin - steps[-1].at_c <= 1.0 + 1e-9:
                # a degree that holds some of both levels is no step of its own
                last = steps.pop()
                begin, top = (last.at_c + begin) / 2, last.from_mhz
            steps.append(BoostStep(begin, top, float(levels[i + 1])))
    x = at - np.average(at, weights=counts)
    sxx = float(np.sum(counts * x * x))
    b = float(np.sum(counts * x * means) / sxx)
    rest = means - np.average(means, weights=counts) - b * x
    se = float(np.sqrt(np.sum(counts * rest**2) / max(at.size - 2, 1) / sxx))
    held = clock_mhz[window & np.isfinite(clock_mhz)]
    if held.size:
        held = held[held > 0.6 * np.percentile(held, 90)]
    mean, lowest = (float(held.mean()), float(np.percentile(held, 1))) if held.size else (float("nan"), float("nan"))
    return Boost(
        temperatures_c=at,
        clock_mhz=means,
        fitted_mhz=fitted,
        steps=tuple(steps),
        mhz_per_k=b,
        mhz_per_k_se=se,
        held_mhz=mean,
        held_low_mhz=lowest,
        quantum_mhz=step,
    )


@dataclass(frozen=True, kw_only=True)
class Throttling:
    """Clock lost at the temperature limit: the limit in °C, the clock before and then in MHz, the share, since when.

    `as_coolant_warmed` where the clock before is that at the coolest coolant: a free one was not seen.
    """

    limit_c: float
    clock_free_mhz: float
    clock_held_mhz: float
    share: float
    since_s: float
    as_coolant_warmed: bool = False


def throttling(times: Array, die_c: Array, clock_mhz: Array, loaded: Mask) -> Throttling | None:
    """Whether the clock fell while the temperature stood at its limit.

    The limit is the die's 99th percentile under load. Throttled are samples within 1.5 K of it with more than 3 % of
    the free clock lost beyond boost's own way down (a straight line through the cooler samples).

    Returns
    -------
    Throttling or None
        None where nothing of the kind is seen, or where the die stays below 60 °C.

    >>> throttling(np.arange(9.0), np.full(9, 40.0), np.full(9, 4000.0), np.ones(9, bool)) is None
    True
    """
    ok = loaded & np.isfinite(die_c) & np.isfinite(clock_mhz)
    if ok.any():
        ok &= clock_mhz > 0.3 * np.percentile(clock_mhz[ok], 90)
    if ok.sum() < 60:
        return None
    die, clock, at = die_c[ok], clock_mhz[ok], times[ok]
    limit = float(np.percentile(die, 99))
    free = float(np.percentile(clock, 95))
    if limit < 60:
        return None
    below = die < limit - 2.5
    expected = np.full(die.size, free)
    if below.sum() >= 30 and float(np.ptp(die[below])) >= 5:
        # boost's own way down, carried on to the limit
        slope, level = np.polyfit(die[below], clock[below], 1)
        expected = np.minimum(free, level + min(float(slope), 0.0) * die)
    near = die >= limit - 1.5 - max(quantum(die), 0.0)
    lost = near & (clock < expected - (1 - _LOST) * free)
    if not lost.any() or (below.sum() < 30 and float(np.mean(near)) < 0.5):
        return None
    return Throttling(
        limit_c=limit,
        clock_free_mhz=free,
        clock_held_mhz=float(clock[lost].mean()),
        share=float(lost.mean()),
        since_s=float(at[np.argmax(lost)]),
    )


def regulated(times: Array, die_c: Array, clock_mhz: Array, coolant_c: Array, loaded: Mask) -> Throttling | None:
    """Whether the temperature is held where it stands: the coolant warms, the die does not follow, and the clock gives way.

    A die under an unchanged load follows the coolant kelvin for kelvin (``T = T_coolant + R·P``); one that a limit holds
    does not, whatever its clock was before: it may have met its limit in the load's first seconds. Seen on means of half
    minutes: the die's slope over the coolant's temperature is below 0.4, and the clock's is surely negative.

    Returns
    -------
    Throttling or None
        None where the coolant moved by less than 1 K, or the die stays below 60 °C; `clock_free_mhz` is then the clock at
        the coolest coolant.
    """
    ok = loaded & np.isfinite(die_c) & np.isfinite(clock_mhz) & np.isfinite(coolant_c)
    if ok.any():
        ok &= clock_mhz > 0.3 * np.percentile(clock_mhz[ok], 90)
    if np.count_nonzero(ok) < 60:
        return None
    ok &= times >= times[ok][0] + _BLOCK_S
    at, die, clock, coolant = times[ok], die_c[ok], clock_mhz[ok], coolant_c[ok]
    block = ((at - at[0]) / _BLOCK_S).astype(int)
    counts = np.bincount(block)
    there = counts > 0
    mean = np.array([np.bincount(block, x)[there] / counts[there] for x in (die, clock, coolant)])
    limit = float(np.percentile(mean[0], 90))
    mean = mean[:, int(np.argmax(mean[0] >= limit - 1.0)) :]  # up to there it warmed
    if mean.shape[1] < 8 or limit < 60 or float(np.ptp(mean[2])) < 1.0:
        return None
    follows, _ = _slope_on(mean[2], mean[0])
    gives, t = _slope_on(mean[2], mean[1])
    if follows >= 0.4 or gives >= 0 or t > -6.0:
        return None
    near = die >= limit - 1.5 - max(quantum(die), 0.0)
    first, last = (mean[1].mean() + gives * (x - mean[2].mean()) for x in (mean[2].min(), mean[2].max()))
    return Throttling(
        limit_c=limit,
        clock_free_mhz=float(first),
        clock_held_mhz=float(last),
        share=float(near.mean()),
        since_s=float(at[np.argmax(near)]),
        as_coolant_warmed=True,
    )


def _slope_on(x: Array, y: Array) -> tuple[float, float]:
    """Slope of y over x by least squares, and by how many of its standard errors it is off nothing."""
    x, y = x - x.mean(), y - y.mean()
    sxx = float(x @ x)
    slope = float(x @ y) / sxx
    rest = y - slope * x
    se = float(np.sqrt(rest @ rest / max(x.size - 2, 1) / sxx))
    return slope, slope / max(se, 1e-12)
