"""The load on a run: when it began, when it ended, and whether it loops."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from kuffin.core.base.traces import bridged, few

Array = NDArray[np.float64]

_HOLD_S = 30.0


@dataclass(frozen=True)
class LoadSpan:
    """When the load was on.

    Attributes
    ----------
    start : float or None
        None where the power shows no rise: it begins under load, or never comes.
    end : float
        The last time of the load (the log's end where it goes on), pauses passed over.
    passes : tuple of (float, float)
        Where it paused for a minute or more: each pass from its beginning to its end; else one.
    """

    start: float | None
    end: float
    passes: tuple[tuple[float, float], ...]


def load_span(times: Array, power: Array) -> LoadSpan:
    """When the load began and ended.

    The load begins with the first sample above the middle between the power's 1st and 90th percentiles that stays
    there for at least 70 % of the next 30 s; short bursts while idling are passed over. It ends where the power falls
    below the middle and stays there.

    Parameters
    ----------
    times, power : ndarray, shape (n,)
        Missing values are NaN.

    Returns
    -------
    LoadSpan
    """
    ok = np.isfinite(power)
    t, p = times[ok], power[ok]
    last = float(times[-1])
    if t.size < 8:
        return LoadSpan(None, last, ())
    low, high, top = np.percentile(few(p), [1, 90, 99])
    if top - low > 3 * (high - low):
        high = top  # load for less than a tenth of the log
    scale = max(abs(high), abs(low), 1e-12)
    noise = 1.4826 * float(np.median(np.abs(few(np.diff(p))))) / np.sqrt(2)
    if high - low < 0.12 * scale or high - low < 6 * noise:
        return LoadSpan(None, last, ())
    middle = 0.5 * (low + high)
    above = p > middle
    counted = np.concatenate(([0], np.cumsum(above)))
    first = _next_begin(t, above, counted, 0)
    if first is None:
        return LoadSpan(None, last, ())
    if first == 0:
        start: float | None = None  # the log begins under load
    else:
        start = float(t[first])
    falls = first + 1 + np.flatnonzero(above[first:-1] & ~above[first + 1 :])
    falls = falls[(t[-1] - t[falls] >= 20.0) & (1 - _share_ahead(t, counted, 60.0, falls) > 0.9)]
    passes, at = [], first
    for fall in falls.tolist():
        if fall < at:
            continue
        passes.append((float(t[at]), float(t[fall - 1])))
        again = _next_begin(t, above, counted, fall + 1)
        if again is None:
            return LoadSpan(start, float(t[fall - 1]), tuple(passes))
        at = again
    passes.append((float(t[at]), last))
    return LoadSpan(start, last, tuple(passes))


def _share_ahead(t: Array, counted: NDArray[np.intp], span: float, at: NDArray[np.intp]) -> Array:
    """Share of the samples in the next `span` seconds for which a flag holds, at some samples.

    Parameters
    ----------
    counted : ndarray, shape (n + 1,)
        For how many samples it held before each.
    """
    stop = np.searchsorted(t, t[at] + span, side="right")
    return np.asarray((counted[stop] - counted[at]) / np.maximum(stop - at, 1), float)


def _next_begin(t: Array, above: NDArray[np.bool_], counted: NDArray[np.intp], first: int) -> int | None:
    """The first sample from one on that is above and stays there; looked for piece by piece, as it mostly is near."""
    for begin in range(first, t.size, 10_000):
        at = begin + np.flatnonzero(above[begin : begin + 10_000])
        at = at[_share_ahead(t, counted, _HOLD_S, at) >= 0.7]
        if at.size:
            return int(at[0])
    return None


def rise_start(times: Array, values: Array) -> float | None:
    """When a temperature trace began to rise, where there is no power to tell; None where it does not."""
    ok = np.isfinite(values)
    t, v = times[ok], values[ok]
    if t.size < 20:
        return None
    step = max(float(np.median(np.diff(t))), 1e-9)
    width = max(3, round(20 / step))
    from scipy import ndimage  # off the start-up path

    smooth = ndimage.median_filter(v, min(width | 1, 2 * (t.size // 2) - 1), mode="nearest")
    noise = 1.4826 * float(np.median(np.abs(np.diff(v)))) + 1e-9
    low, high = float(np.percentile(smooth, 2)), float(np.percentile(smooth, 95))
    if high - low < max(8 * noise, 0.5) or smooth[0] > low + 0.5 * (high - low):
        return None
    base = float(np.median(smooth[: max(3, int(np.argmax(smooth > low + 0.3 * (high - low))) // 2)]))
    limit = base + max(0.04 * (high - base), 3 * noise)
    above = smooth > limit
    begins = np.flatnonzero(above)
    begins = begins[_share_ahead(t, np.concatenate(([0], np.cumsum(above))), 60.0, begins) > 0.9]
    if not begins.size or begins[0] == 0:
        return None
    i = int(begins[0])
    j = min(t.size - 1, i + max(2, round(30 / step)))
    slope = (smooth[j] - smooth[i]) / max(t[j] - t[i], 1e-9)
    back = (smooth[i] - base) / slope if slope > 0 else 0.0
    return float(max(t[0], t[i] - min(max(back, 0.0), 60.0)))


def loop_period(times: Array, power: Array, start: float, end: float) -> float | None:
    """The length of one pass of a looped load, None under four loops or where there is none.

    Autocorrelation of the power (clipped, smoothed twice over 5 s, detrended): the first peak of at least 0.3 and 0.7
    of the highest, confirmed at twice and three times the lag with a trough between, refined on the multiples.
    """
    return _period(times, power, start, end, lambda mean: 0.03 * mean, LEAST_LOOPS)


LEAST_LOOPS = 4


def cycle_period(times: Array, trace: Array, start: float, end: float, least: float) -> float | None:
    """The period of a trace that swings by itself under a steady load, as where fans switch by the coolant's temperature.

    Its warm-up is passed over: only the last two thirds are looked at.

    Parameters
    ----------
    least : float
        The smallest swing, peak to trough, that counts.
    """
    return _period(times, trace, start + (end - start) / 3, end, lambda _mean: least, LEAST_LOOPS)


def _period(
    times: Array, power: Array, start: float, end: float, least: Callable[[float], float], loops: int
) -> float | None:
    a, b = np.searchsorted(times, (start + 15, np.nextafter(end, np.inf)))
    ok = np.isfinite(power[a:b])
    t, p = times[a:b][ok], power[a:b][ok]
    if t.size < 40:
        return None
    from scipy import ndimage, signal  # off the start-up path

    sampling = float(np.median(few(np.diff(t))))
    h = max(1.0, float(t[-1] - t[0]) / 100_000)
    grid = np.arange(t[0], t[-1], h)
    n = grid.size
    if n < 40:
        return None
    x = np.interp(grid, t, np.clip(p, *np.percentile(few(p), [0.5, 99.5])))
    width = max(1, round(max(5.0, 2.4 * sampling) / h))
    if width > 1:
        x = ndimage.uniform_filter1d(ndimage.uniform_filter1d(x, width), width)
    level = abs(float(np.mean(x)))
    x = signal.detrend(x)
    size = 1 << (2 * n - 1).bit_length()
    spectrum = np.fft.rfft(x, size)
    acf = np.fft.irfft(spectrum * np.conj(spectrum), size)[:n]
    if acf[0] <= 0:
        return None
    acf = acf / acf[0] * n / (n - np.arange(n))
    longest = int(n / 4)
    peaks, _ = signal.find_peaks(acf[: longest + 1])
    peaks = peaks[peaks * h >= 15]
    if not peaks.size:
        return None
    highest = float(acf[peaks].max())
    for lag in peaks.astype(int).tolist():
        height = float(acf[lag])
        if height < 0.3 or height < 0.7 * highest:
            continue
        trough = float(acf[:lag].min())
        near = [
            float(acf[max(0, k * lag - max(1, lag // 10)) : k * lag + max(1, lag // 10) + 1].max(initial=-1.0))
            for k in (2, 3)
        ]
        if trough > 0.5 * height or min(near) < 0.6 * height:
            continue
        period = _refined(acf, lag, h)
        folded = _folded_depth(grid, x, period)
        if folded < least(level):
            return None
        if (t[-1] - start) / period < loops:
            return None
        return period
    return None


def _refined(acf: Array, lag: int, h: float) -> float:
    best = float(lag)
    k = 2
    while k * best < 0.75 * acf.size and k <= 12:
        centre = round(k * best)
        reach = max(1, round(best / 6))
        a, b = max(1, centre - reach), min(acf.size - 2, centre + reach)
        if b <= a:
            break
        i = a + int(np.argmax(acf[a : b + 1]))
        if acf[i] < 0.4 * acf[lag]:
            break
        denominator = acf[i - 1] - 2 * acf[i] + acf[i + 1]
        shift = 0.5 * (acf[i - 1] - acf[i + 1]) / denominator if denominator < 0 else 0.0
        best = (i + float(np.clip(shift, -0.5, 0.5))) / k
        k += 1
    return best * h


def _folded_depth(grid: Array, x: Array, period: float) -> float:
    """Peak to trough of the mean loop."""
    bins = max(4, min(20, int(period / 5)))
    which = ((grid % period) / period * bins).astype(int)
    total = np.bincount(which, x, bins)
    count = np.bincount(which, minlength=bins)
    mean = total / np.maximum(count, 1)
    return float(mean.max() - mean.min())


def load_level(times: Array, power: Array, start: float, period: float | None) -> Array:
    """The power while the load is up: dips between the passes of a loop, and what lies before the load, are bridged.

    A dip of a few seconds is sampled so coarsely that a box's mean says more about the sampling than about the load;
    how the load wanders is seen from the level between the dips.

    Returns
    -------
    ndarray, shape (n,)
    """
    ok = np.isfinite(power) & (times >= start)
    if ok.sum() < 4:
        return power.copy()
    if period is not None:
        ok &= power > 0.85 * float(np.median(power[ok]))
    if ok.sum() < 4:
        return power.copy()
    return bridged(times, power, ok)
