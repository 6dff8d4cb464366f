"""Steady stretches of a log in which a valve was opened step by step: each gives one pair of flow and pressure."""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from kuffin.core.base.errors import CompareError

Array = NDArray[np.float64]
_SHORTEST_S = 8.0
_FEWEST = 5  # samples
_SETTLE_S = 2.0  # left out at its beginning
_SAME = 0.015  # of the flow: what still counts as unmoved
_NOISE = 4.0  # standard errors


@dataclass(frozen=True, kw_only=True)
class SteadyStretch:
    """A stretch that was held, and its means."""

    begin_s: float
    end_s: float
    flow: float
    pressure: float
    samples: int


def steady_stretches(times: Array, flow: Array, pressure: Array) -> list[SteadyStretch]:
    """Where flow and pressure both were held.

    A stretch goes on as long as the mean of the next few samples lies within the scatter, or 1.5 %, of its own mean.

    Parameters
    ----------
    times, flow, pressure : ndarray, shape (n,)
        s (rising), L/h and kPa; NaN is missing.

    Raises
    ------
    CompareError
        Where there is none.
    """
    ok = np.isfinite(times) & np.isfinite(flow) & np.isfinite(pressure)
    t, both = times[ok], np.column_stack((flow, pressure))[ok]
    if t.size < _FEWEST:
        raise CompareError("flow and pressure are never there together")
    noise = _scatter(both)
    step = max(int(np.ceil(3.0 / max(float(np.median(np.diff(t))), 1e-3))), 3)
    found, begin = [], 0
    while begin < t.size:
        end = _end_of(both, begin, step, noise)
        stretch = _stretch(t, both, begin, end)
        if stretch is not None:
            found.append(stretch)
        begin = max(end, begin + 1)
    if not found:
        raise CompareError(
            "flow and pressure were never held for {shortest_s:.0f} s; hold each setting of the valve for 20 s",
            shortest_s=_SHORTEST_S,
        )
    return found


def _scatter(both: Array) -> Array:
    """Standard deviation of single samples, from neighbours' differences."""
    apart = np.abs(np.diff(both, axis=0))
    return np.asarray(np.median(apart, axis=0) / (0.6745 * np.sqrt(2)) + 1e-9, float)


def _end_of(both: Array, begin: int, step: int, noise: Array) -> int:
    end = min(begin + step, len(both))
    allowed = _NOISE * noise * np.sqrt(2 / step)
    if np.any(
        np.abs(both[begin] - np.median(both[begin:end], axis=0)) > np.maximum(6 * noise, _SAME * np.abs(both[begin]))
    ):
        return begin + 1
    while end < len(both):
        mean, ahead = both[begin:end].mean(axis=0), both[end : end + step].mean(axis=0)
        if np.any(np.abs(ahead - mean) > np.maximum(allowed, _SAME * np.abs(mean))):
            break
        end += 1
    return end


def _stretch(t: Array, both: Array, begin: int, end: int) -> SteadyStretch | None:
    last = t[min(end, t.size) - 1]
    inside = (t >= t[begin] + _SETTLE_S) & (t <= last)
    inside[:begin] = False
    if last - t[begin] < _SHORTEST_S or inside.sum() < _FEWEST:
        return None
    mean = both[inside].mean(axis=0)
    return SteadyStretch(
        begin_s=float(t[begin] + _SETTLE_S),
        end_s=float(last),
        flow=float(mean[0]),
        pressure=float(mean[1]),
        samples=int(inside.sum()),
    )
