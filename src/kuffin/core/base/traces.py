"""Traces: time stamps as they came, spikes marked, box averages, first-order lags.

Missing is missing (NaN); nothing is interpolated for statistics but at the edges of boxes.
"""

from __future__ import annotations

import numpy as np
from numpy.typing import NDArray

Array = NDArray[np.float64]
Mask = NDArray[np.bool_]

_MAD = 1.4826


def few(x: Array, most: int = 20_000) -> Array:
    """Every so-many-th value: enough to judge scale and spread of a long trace by.

    >>> few(np.arange(6.0), most=3).tolist()
    [0.0, 2.0, 4.0]
    """
    return x[:: max(1, x.size // most)]


def span_of(times: Array, values: Array, since: float, until: float) -> Array:
    """The values that are there from a time on and before another.

    >>> span_of(np.arange(5.0), np.array([0.0, 1.0, np.nan, 3.0, 4.0]), 1.0, 4.0).tolist()
    [1.0, 3.0]
    """
    a, b = np.searchsorted(times, (since, until))
    inside = values[a:b]
    return inside[np.isfinite(inside)]


def peaks(times: Array, values: Array, factor: int) -> tuple[Array, Array]:
    """The lowest and the highest of each so many samples; NaN only where all are missing.

    Returns
    -------
    (times, values), each of shape (2·⌈n/factor⌉,)

    >>> peaks(np.arange(4.0), np.array([1.0, 3.0, 2.0, 0.0]), 2)[1].tolist()
    [1.0, 3.0, 0.0, 2.0]
    """
    n = -(-values.size // factor) * factor
    padded = np.concatenate((values, np.full(n - values.size, np.nan))).reshape(-1, factor)
    bare = ~np.isfinite(padded)
    low = np.where(bare, np.inf, padded).min(axis=1)
    high = np.where(bare, -np.inf, padded).max(axis=1)
    low, high = np.where(np.isfinite(low), low, np.nan), np.where(np.isfinite(high), high, np.nan)
    at = times[np.minimum(np.arange(low.size) * factor, times.size - 1)]
    later = times[np.minimum(np.arange(low.size) * factor + factor // 2, times.size - 1)]
    return np.column_stack((at, later)).ravel(), np.column_stack((low, high)).ravel()


def decimal_step(value: float) -> float:
    """The step of the last digit that a value was told with: 1 for whole numbers, else a power of ten down to 0.001.

    >>> decimal_step(61.0), decimal_step(31.5), decimal_step(0.25)
    (1.0, 0.1, 0.01)
    """
    for digits in range(3):
        if abs(value - round(value, digits)) <= 1e-9 * max(1.0, abs(value)):
            return float(10.0**-digits)
    return 0.001


def quantum(values: Array) -> float:
    """The step of a coarse sensor: the smallest common step between readings, 0 where there is none.

    Parameters
    ----------
    values : ndarray, shape (n,)

    >>> quantum(np.array([20.0, 20.5, 21.5, 20.5]))
    0.5
    """
    present = few(values)
    present = present[np.isfinite(present)]
    finite, counts = np.unique(present, return_counts=True)
    if np.count_nonzero(counts > 1) >= 2:
        finite = finite[counts > 1]  # a glitch stands alone and must not spoil the step
    if finite.size < 2:
        return 0.0
    if finite.size > 0.5 * present.size and finite.size > 50:
        return 0.0
    steps = np.diff(finite)
    steps = steps[steps > 1e-9 * max(1.0, float(np.abs(finite).max()))]
    if not steps.size:
        return 0.0
    q = float(np.min(steps))
    places = (finite - finite[0]) / q  # a correction may have moved them off the sensor's own marks
    misfit = np.abs(places - np.round(places))
    return q if float(np.mean(misfit < 0.05)) > 0.9 else 0.0


def smooth_spikes(values: Array, window: int = 11, mads: float = 6.0) -> Mask:
    """Mark spikes in a smooth trace (coolant, air) with a Hampel filter.

    A sample is a spike where it lies over the larger of `mads` local median absolute deviations and three sensor
    steps from the local median.

    Source: F. R. Hampel, "The influence curve and its role in robust estimation", JASA 69 (1974); window and limits:
    docs/methods.md.

    >>> coolant = 30 + 0.1 * np.arange(30)
    >>> coolant[12] = 90.0
    >>> np.flatnonzero(smooth_spikes(coolant)).tolist()
    [12]
    """
    ok = np.isfinite(values)
    x = values if ok.all() else values[ok]
    if x.size < window:
        return np.zeros(values.size, bool)
    some = np.arange(0, x.size, max(1, x.size // 20_000))
    typical = _MAD * float(np.median(_away(x, some, window)))
    limit = max(0.75 * mads * typical, 3 * quantum(x), 1e-9)
    far = _standing_off(x, limit, window)
    away = _away(x, far, window)
    far, away = far[away > limit], away[away > limit]
    if far.size:  # only there the spread about it has to be known
        around = np.clip(far[:, None] + np.arange(window) - window // 2, 0, x.size - 1)
        nearby, which = np.unique(around, return_inverse=True)
        spread = _MAD * np.median(_away(x, nearby, window)[which].reshape(around.shape), axis=1)
        far = far[away > mads * spread]
    return _mark(ok, far)


def _mark(ok: Mask, at: NDArray[np.intp]) -> Mask:
    """Marks at some of the values that are there, as marks on all."""
    marked = np.zeros(ok.size, bool)
    marked[at if ok.all() else np.flatnonzero(ok)[at]] = True
    return marked


def _away(x: Array, at: NDArray[np.intp], window: int) -> Array:
    """How far some samples lie from the median about them; beyond its ends a trace goes on as it ended."""
    if 4 * at.size > x.size:
        from scipy import ndimage  # off the start-up path

        return np.asarray(np.abs(x - ndimage.median_filter(x, window, mode="nearest"))[at])
    half = window // 2
    about = x[np.clip(at[:, None] + np.arange(-half, window - half), 0, x.size - 1)]
    about.partition(half, axis=1)
    return np.asarray(np.abs(x[at] - about[:, half]))


def _standing_off(x: Array, limit: float, window: int) -> NDArray[np.intp]:
    """The samples that may lie farther than a limit from the median about them, and only few others.

    Such a sample is as far from most of those about it, so from one at least of its next window//4 + 1 on either side.
    """
    half, near = window // 2, window // 4 + 1
    off = np.zeros(x.size, bool)
    off[:half] = off[x.size - half :] = True
    for k in range(1, near + 1):
        pair = np.abs(x[k:] - x[:-k]) > limit
        off[k:] |= pair
        off[:-k] |= pair
    if 4 * np.count_nonzero(off) > x.size:
        # a limit next to nothing: a sample about which all only rises or only falls is the median itself
        step = np.diff(x)
        turns = np.flatnonzero(step[1:] * step[:-1] <= 0) + 1
        if 4 * half * turns.size < x.size:
            turned = np.zeros(x.size, bool)
            turned[np.clip(turns[:, None] + np.arange(-half, half + 1), 0, x.size - 1)] = True
            off &= turned
            off[:half] = off[x.size - half :] = True
    return np.flatnonzero(off)


def lone_spikes(values: Array, companion: Array | None = None, mads: float = 8.0) -> Mask:
    """Mark single samples of a lively trace (die, power) that stand off from both neighbours.

    A sample stays where the companion (power for the die, the die for power) moves with it at that moment.

    >>> np.flatnonzero(lone_spikes(np.array([60.0, 60.5, 60.0, 99.0, 60.5, 60.0]))).tolist()
    [3]
    """
    ok = np.isfinite(values)
    x = values if ok.all() else values[ok]
    if x.size < 5:
        return np.zeros(values.size, bool)
    step = np.diff(x)
    some = few(step)
    limit = max(mads * _MAD * float(np.median(np.abs(some - np.median(some)))), 3 * quantum(x), 1e-9)
    large = np.abs(step) > limit
    lone = np.flatnonzero(large[:-1] & large[1:])
    lone = lone[np.sign(step[lone]) == -np.sign(step[lone + 1])] + 1
    # what the part cannot read: an ended sensor (-40, 0, 127, 999.9) well outside everything else
    low, high = np.percentile(few(x), [1.0, 99.0])
    reach = max(0.25 * (high - low), limit)
    odd = np.union1d(np.flatnonzero((x > high + reach) | (x < low - reach)), lone)
    if companion is not None and odd.size:
        far = (x[odd] > high + 3 * reach) | (x[odd] < low - 3 * reach)
        odd = odd[far | ~_moves_along(odd, step, companion if x is values else companion[ok])]
    return _mark(ok, odd)


def _moves_along(at: NDArray[np.intp], step: Array, companion: Array) -> Mask:
    """Whether the companion moves with a trace at some of its samples: into the sample or, a little late, out of it."""
    cs = np.diff(companion)
    good = few(cs[np.isfinite(cs)])
    noise = _MAD * float(np.median(np.abs(good - np.median(good)))) if good.size else 0.0
    inside = (at > 0) & (at < step.size)
    into = np.sign(step[at[inside] - 1])
    moved = np.fmax(into * cs[at[inside] - 1], -into * cs[at[inside]])
    along = np.zeros(at.size, bool)
    along[inside] = np.where(np.isfinite(moved), moved, 0.0) > max(2.5 * noise, 1e-9)
    return along


def bridged(times: Array, values: Array, ok: Mask) -> Array:
    """A trace with straight lines where it does not count; beyond its ends it goes on as it ended.

    >>> bridged(np.arange(4.0), np.array([1.0, np.nan, 9.0, 4.0]), np.array([True, False, False, True])).tolist()
    [1.0, 2.0, 3.0, 4.0]
    """
    if ok.all() or not ok.any():
        return values
    missing, begins, ends = runs_without(ok)
    left = np.where(begins > 0, begins - 1, np.minimum(ends, ok.size - 1))
    right = np.where(ends < ok.size, ends, left)
    slope = (values[right] - values[left]) / np.where(right > left, times[right] - times[left], 1.0)
    each = np.repeat(np.arange(begins.size), ends - begins)
    out = values.copy()
    out[missing] = values[left][each] + slope[each] * np.maximum(times[missing] - times[left][each], 0.0)
    return out


def runs_without(ok: Mask) -> tuple[NDArray[np.intp], NDArray[np.intp], NDArray[np.intp]]:
    """Where a flag does not hold: the places, and where each run of them begins and ends (the first place after it).

    >>> [x.tolist() for x in runs_without(np.array([True, False, False, True, False]))]
    [[1, 2, 4], [1, 4], [3, 5]]
    """
    missing = np.flatnonzero(~ok)
    apart = np.diff(missing) > 1
    begins = missing[np.concatenate(([True], apart))] if missing.size else missing
    ends = missing[np.concatenate((apart, [True]))] + 1 if missing.size else missing
    return missing, begins, ends


def lagged(times: Array, values: Array, tau: float, initial: float | None = None, step: float | None = None) -> Array:
    """Pass a trace through a first-order lag: τ·dz/dt = x − z, exactly for a piecewise linear x.

    Parameters
    ----------
    times, values : ndarray, shape (n,)
        Missing values are bridged linearly.
    tau : float
        Time constant in s.
    initial : float, optional
        The lag's first value; default: the first value of the trace.
    step : float, optional
        The distance of the times in s, where they are known to be even.

    >>> lagged(np.array([0.0, 10.0, 20.0]), np.array([0.0, 1.0, 1.0]), 10.0).round(2).tolist()
    [0.0, 0.37, 0.77]
    """
    x = bridged(times, values, np.isfinite(values))
    z0 = float(x[0]) if initial is None else initial
    if times.size < 2:
        return np.full(times.size, z0)
    h = np.empty(0)
    if step is None:
        h = np.diff(times)
        typical = float(np.median(few(h)))
        step = typical if float(np.abs(h - typical).max()) < 1e-6 * typical else None
    if step is not None:
        a = np.exp(-step / tau)
        b = tau / step * (1 - a)
        from scipy import signal  # off the start-up path

        drive = np.concatenate(([0.0], (1 - b) * x[1:] + (b - a) * x[:-1]))
        out, _ = signal.lfilter([1.0], [1.0, -a], drive, zi=np.array([z0]))
        out = np.asarray(out, float)
        # the filter's first output holds z0 already
        return out
    a = np.exp(-h / tau)
    b = np.where(h > 0, tau / np.maximum(h, 1e-12) * (1 - a), 1.0)
    drive = (1 - b) * x[1:] + (b - a) * x[:-1]
    out = np.empty(times.size)
    out[0] = z0
    z = z0
    for i, (ai, di) in enumerate(zip(a.tolist(), drive.tolist(), strict=True), 1):
        z = ai * z + di
        out[i] = z
    return out


def inflation(residuals: Array) -> float:
    """By how much autocorrelation inflates the variance of a mean, at least 1 (initial positive sequence).

    Source: C. J. Geyer, "Practical Markov chain Monte Carlo", Statistical Science 7 (1992), section 3.3.

    >>> round(inflation(np.tile([1.0, -1.0], 50)), 1)
    1.0
    """
    r = residuals[np.isfinite(residuals)]
    n = r.size
    if n < 6:
        return 1.0
    r = r - r.mean()
    size = 1 << (2 * n - 1).bit_length()
    spectrum = np.fft.rfft(r, size)
    rho = np.fft.irfft(spectrum * np.conj(spectrum), size)[: n // 2]
    if rho[0] <= 0:
        return 1.0
    rho = rho / rho[0]
    total = 1.0
    for m in range(0, (rho.size - 1) // 2):
        pair = float(rho[2 * m] + rho[2 * m + 1]) if m else float(1.0 + rho[1])
        if pair <= 0:
            break
        total = total + 2 * pair if m else 2 * pair - 1.0
    return max(1.0, min(total, n / 4))


def comes_and_goes(power: Array) -> bool:
    """Whether a power shows a load that begins or ends: its upper level is well above its lower one."""
    known = power[np.isfinite(power)]
    if known.size < 8:
        return False
    low, high = np.percentile(known, (2, 90))
    return bool(high - low > max(0.25 * abs(high), 5.0))


def showing_load(own: Array | None, all_of_it: Array | None) -> Array | None:
    """The power by which a load is seen: the device's own, or that of all devices where its own stands still.

    >>> showing_load(None, np.array([5.0, 6.0])).tolist()
    [5.0, 6.0]
    """
    if own is None or (all_of_it is not None and not comes_and_goes(own) and comes_and_goes(all_of_it)):
        return all_of_it
    return own
