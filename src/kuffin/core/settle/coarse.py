"""What the step of a coarse sensor leaves open: a sensor of whole degrees that stands on a step says so much and no more."""

from __future__ import annotations

from collections.abc import Sequence

import numpy as np
from numpy.typing import NDArray

from kuffin.core.base.traces import decimal_step, quantum

Array = NDArray[np.float64]


def rounding_u(times: Array, channels: Sequence[Array], begin: float, width: float) -> float:
    """The standard uncertainty that the steps of the channels of a difference leave on its mean, √(Σ q²/12).

        A channel whose readings scatter by half a step or more within a box averages its step away; one that stands on a step does
        not. One that never moves shows no step: it is taken to be as coarse as the others, or, where none
    moves, as their digits say.

        Parameters
        ----------
        times : ndarray, shape (n,)
        channels : sequence of ndarray, each of shape (n,)
        begin : float
            What lies before is not looked at.
        width : float
            Of the boxes, s.
    """
    steps = [_standing_step(times, x, begin, width) for x in channels]
    coarsest = max((q for q in steps if q is not None), default=0.0)
    if all(q is None for q in steps):  # nothing moves: all there is to go by is how many digits are told
        coarsest = max((_digits(x) for x in channels), default=0.0)
    each = [coarsest if q is None else q for q in steps]
    return float(np.sqrt(sum(q**2 for q in each) / 12))


def _digits(values: Array) -> float:
    """The step of the last digit of a channel that never moves."""
    known = values[np.isfinite(values)]
    return decimal_step(float(known[0])) if known.size else 0.0


def _standing_step(times: Array, values: Array, begin: float, width: float) -> float | None:
    """A channel's step where its readings stand on it, 0 where noise blurs it, None where it never moves."""
    ok = np.isfinite(values)
    x = values if ok.all() else values[ok]
    if x.size < 4:
        return 0.0
    if float(np.ptp(x)) == 0:
        return None
    q = quantum(x)
    if not q:
        return 0.0
    t = times[ok]
    t, x = t[t >= begin], x[t >= begin]
    if t.size < 4:
        return 0.0
    box = ((t - begin) / width).astype(int)
    n = np.maximum(np.bincount(box), 1)
    mean = np.bincount(box, x) / n
    spread = np.sqrt(np.maximum(np.bincount(box, x**2) / n - mean**2, 0.0))[n > 1]
    return q if spread.size and float(np.median(spread)) < q / 2 else 0.0
