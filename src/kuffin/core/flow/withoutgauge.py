"""Restriction without a pressure gauge: the flow with and without a part, at the same speed of the same pump."""

from __future__ import annotations

import numpy as np
from numpy.typing import NDArray

from kuffin.core.base.errors import CompareError
from kuffin.core.base.student import t_quantile
from kuffin.core.flow.accuracy import Accuracies
from kuffin.core.flow.measured import Measured, Spread
from kuffin.core.flow.restriction import DRAWS

Array = NDArray[np.float64]
_SEED = 19
# how the rest of the loop takes less flow: its drop falls with it, or with its square, or between
_EXPONENT = (1.0, 2.0)


def less_flow(without: Array, within: Array, accuracies: Accuracies) -> Spread:
    """By how many per cent a part lowers the flow, with the 95 % interval.

    A gain of the meter cancels. With several pairs of readings their scatter tells; one alone has the meter's accuracy, twice.

    Parameters
    ----------
    without, within : ndarray, shape (n,)
        L/h, without and with the part, in pairs.

    Raises
    ------
    CompareError
        Without readings, or with more flow with the part in than without it.
    """
    logs = _logs(without, within)
    half = _half(logs, without, within, accuracies)
    middle = float(logs.mean())
    low, value, high = (100 * (1 - float(np.exp(middle + s * half))) for s in (1.0, 0.0, -1.0))
    return Spread(value=value, low=low, high=high)


def drop_without_a_gauge(without: Array, within: Array, speed: float, pump: Measured, accuracies: Accuracies) -> Spread:
    """An estimate of the part's drop at the flow with it in, kPa, from the pump's curve.

    What the pump gives at that flow, less what the rest of the loop takes of it: as much as the pump gave without the part,
    lowered with the flow by a power between 1 and 2, which is what nobody knows; the interval holds all of them.

    Parameters
    ----------
    speed : float
        The pump's share of full speed, the same in all readings.
    pump : Measured
        With its pump.
    """
    assert pump.pump_draws is not None and pump.pump is not None
    logs = _logs(without, within)
    rng = np.random.default_rng(_SEED)
    half = _half(logs, without, within, accuracies)
    gain = accuracies.flow.half_width(float(within.mean())) / max(float(within.mean()), 1e-9) / 1.96
    level = float(without.mean()) * (1 + gain * rng.normal(size=DRAWS))
    ratio = np.exp(float(logs.mean()) + half / 1.96 * rng.normal(size=DRAWS))
    h, k = pump.pump_draws
    exponent = rng.uniform(*_EXPONENT, DRAWS)

    def drop(q: Array, r: Array, h: Array, k: Array, e: Array) -> Array:
        rest = (h * speed**2 - k * q**2) * r**e
        return np.asarray(h * speed**2 - k * (q * r) ** 2 - rest, float)

    middle = (float(without.mean()), float(np.exp(logs.mean())), pump.pump.h, pump.pump.k, np.mean(_EXPONENT))
    value = drop(*[np.array([float(x)]) for x in middle])[0]
    low, high = np.percentile(drop(level, ratio, h, k, exponent), [2.5, 97.5])
    return Spread(value=float(value), low=max(float(low), 0.0), high=float(high))


def _logs(without: Array, within: Array) -> Array:
    if without.size < 1 or without.size != within.size:
        raise CompareError("a flow without the part and one with it are needed, at the same pump speed")
    if (without <= 0).any() or (within <= 0).any():
        raise CompareError("a flow is above 0 L/h; look at the readings")
    logs = np.log(within / without)
    if logs.mean() > 0:
        raise CompareError(
            "there is more flow with the part in than without it: the columns may be swapped, or the pump's speed differed"
        )
    return np.asarray(logs, float)


def _half(logs: Array, without: Array, within: Array, accuracies: Accuracies) -> float:
    """Half-width of 95 % of the mean ratio's logarithm."""
    if logs.size > 1:
        return float(t_quantile(0.975, logs.size - 1.0) * logs.std(ddof=1) / np.sqrt(logs.size))
    if not accuracies.flow.known:
        raise CompareError("one pair of flows tells no interval; tell the meter's accuracy, or read another pair")
    a, b = (accuracies.flow.half_width(float(q[0])) / float(q[0]) for q in (without, within))
    return float(np.hypot(a, b))
