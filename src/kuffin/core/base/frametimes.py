"""Frame times: average rate and the 1 % low, by both common definitions.

The average rate is frames over time, not the mean of rates. “1 % low” is used for two things that differ: the rate at the
99th percentile of frame times, and the average rate of the slowest 1 % of frames. Both are given, each by its name.
"""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from kuffin.core.base.errors import TraceError

Array = NDArray[np.float64]


@dataclass(frozen=True, kw_only=True)
class FrameRates:
    """Rates in frames a second.

    Attributes
    ----------
    average : float
        ``n / Σt``.
    low_percentile : float
        The rate at the 99th percentile of frame times.
    low_average : float
        The average rate of the slowest 1 % of frames (at least one).
    frames : int
    seconds : float
    """

    average: float
    low_percentile: float
    low_average: float
    frames: int
    seconds: float


def frame_rates(frame_ms: Array) -> FrameRates:
    """Rates from frame times in ms, shape (n,).

    Raises
    ------
    TraceError
        With fewer than 100 frames (no 1 % of them), or times that are not above 0.
    """
    t = frame_ms[np.isfinite(frame_ms)]
    if t.size < 100:
        raise TraceError("{size} frames are too few for a 1 % low; at least 100 are needed", size=t.size)
    if not (t > 0).all():
        raise TraceError("frame times must be above 0 ms; choose the column that holds them")
    slowest = np.sort(t)[-max(1, int(np.ceil(t.size / 100))) :]
    return FrameRates(
        average=1000 * t.size / float(t.sum()),
        low_percentile=1000 / float(np.percentile(t, 99)),
        low_average=1000 * slowest.size / float(slowest.sum()),
        frames=int(t.size),
        seconds=float(t.sum()) / 1000,
    )
