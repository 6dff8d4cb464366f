"""Two logs on one clock: the best lag between them, and one log's values at the other's times.

The lag is found by cross-correlation of a quantity that both logs show, or of the load's step in each (docs/methods.md,
"Traces"). It is shown for approval, never taken silently.
"""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from kuffin.core.base.boxes import box_means
from kuffin.core.base.errors import TraceError
from kuffin.core.base.traces import smooth_spikes

Array = NDArray[np.float64]

_LEAST_OVERLAP_S = 60.0


@dataclass(frozen=True)
class Lag:
    """What is added to the second log's times, how well the two then agree, and how sure the place is.

    Attributes
    ----------
    seconds : float
    correlation : float
        Of the two at that lag, -1 to 1.
    width_s : float
        How far the lag may be moved either way before clearly more is left unexplained: its uncertainty.
    overlap_s : float
    """

    seconds: float
    correlation: float
    width_s: float
    overlap_s: float


def onto(times: Array, other_times: Array, values: Array) -> Array:
    """A log's values at another log's times: means where it is the faster one, else straight lines between its samples.

    Parameters
    ----------
    times : ndarray, shape (n,)
    other_times, values : ndarray, shape (m,)

    Returns
    -------
    ndarray, shape (n,)
        NaN outside the other log, and in its gaps (over five of its usual steps).
    """
    ok = np.isfinite(values)
    t, x = other_times[ok], values[ok]
    if t.size < 2 or times.size < 2:
        return np.full(times.size, np.nan)
    own, step = float(np.median(np.diff(t))), float(np.median(np.diff(times)))
    if own < 0.5 * step:
        return box_means(t, x, step, times - step / 2)
    out = np.interp(times, t, x, left=np.nan, right=np.nan)
    after = np.clip(np.searchsorted(t, times), 1, t.size - 1)
    out[t[after] - t[after - 1] > max(5 * own, 2 * step)] = np.nan
    return out


def best_lag(times: Array, values: Array, other_times: Array, other_values: Array) -> Lag:
    """The lag at which two logs of one thing agree best.

    Both are averaged over boxes of one common step; at each lag with enough overlap Pearson's correlation is taken, and
    its peak is refined by a parabola.

    Parameters
    ----------
    times, values : ndarray, shape (n,)
    other_times, other_values : ndarray, shape (m,)

    Raises
    ------
    TraceError
        Where one of them never changes, or they never overlap enough.
    """
    values, other_values = (np.where(smooth_spikes(x), np.nan, x) for x in (values, other_values))
    a_ok, b_ok = np.isfinite(values), np.isfinite(other_values)
    if a_ok.sum() < 20 or b_ok.sum() < 20:
        raise TraceError("one of the two channels has fewer than 20 readings; choose another pair")
    ta, xa, tb, xb = times[a_ok], values[a_ok], other_times[b_ok], other_values[b_ok]
    span = max(ta[-1] - ta[0], tb[-1] - tb[0])
    step = float(max(np.median(np.diff(ta)), np.median(np.diff(tb)), span / 20_000, 0.25))
    a = box_means(ta, xa, step, np.arange(ta[0], ta[-1] - step, step))
    b = box_means(tb, xb, step, np.arange(tb[0], tb[-1] - step, step))
    least = int(max(_LEAST_OVERLAP_S / step, 0.5 * min(a.size, b.size)))
    if np.nanstd(a) < 1e-9 or np.nanstd(b) < 1e-9:
        raise TraceError("one of the two channels never changes, so nothing shows how they lie; choose another pair")
    if least < 8:
        raise TraceError("the two logs are too short to be laid over each other; give the lag by hand")
    lags, r = _correlations(a, b, max(least, 8))
    offset = ta[0] - tb[0]
    if not r.size or not np.isfinite(r).any():
        raise TraceError("the two logs agree at no lag; give it by hand")
    i = int(np.nanargmax(r))
    shift = 0.0
    if 0 < i < r.size - 1:
        before, here, after = (float(r[i + k]) for k in (-1, 0, 1))
        bend = before - 2 * here + after
        shift = 0.5 * (before - after) / bend if np.isfinite(bend) and bend < -1e-12 else 0.0
    overlap = float(min(a.size, b.size + lags[i]) - max(0, lags[i])) * step
    left = right = i
    # what is left unexplained grows quickly away from the right place, however high the correlation stays
    unexplained = 1 - np.clip(r, -1, 1 - 1e-9) ** 2
    limit = float(unexplained[i]) * (1 + 4 / min(max(overlap / step / 4, 8.0), 200.0))
    while left > 0 and unexplained[left - 1] <= limit:
        left -= 1
    while right < r.size - 1 and unexplained[right + 1] <= limit:
        right += 1
    width = 0.5 * step * max(right - left, 1)
    return Lag(float((lags[i] + shift) * step + offset), float(r[i]), width, overlap)


def _correlations(a: Array, b: Array, least: int) -> tuple[NDArray[np.int64], Array]:
    """Pearson's correlation of a[k + lag] with b[k] over the overlap, for every lag with at least `least` boxes."""
    size = 1 << (a.size + b.size).bit_length()
    am, bm = np.isfinite(a).astype(float), np.isfinite(b).astype(float)
    az = np.where(am > 0, a - np.nanmean(a), 0.0)
    bz = np.where(bm > 0, b - np.nanmean(b), 0.0)

    def cross(x: Array, y: Array) -> Array:
        found = np.fft.irfft(np.fft.rfft(x, size) * np.conj(np.fft.rfft(y, size)), size)
        return np.concatenate((found[size - (b.size - 1) :], found[: a.size]))

    lags = np.arange(-(b.size - 1), a.size)
    n = cross(am, bm)
    sa, sb, sab = cross(az, bm), cross(am, bz), cross(az, bz)
    saa, sbb = cross(az * az, bm), cross(am, bz * bz)
    with np.errstate(invalid="ignore", divide="ignore"):
        covariance = sab - sa * sb / n
        va, vb = saa - sa**2 / n, sbb - sb**2 / n
        r = covariance / np.sqrt(va * vb)
    # a stretch in which one of them hardly moves tells nothing
    calm = (va < 0.02 * saa.max()) | (vb < 0.02 * sbb.max())
    r[(n < least) | calm | ~np.isfinite(r)] = -np.inf
    # with little overlap a chance likeness is easily perfect: what is short counts a little less
    r = r * np.where(np.isfinite(r), np.sqrt(np.clip(n / n.max(), 0, 1)) ** 0.25, 1.0)
    return lags, r
