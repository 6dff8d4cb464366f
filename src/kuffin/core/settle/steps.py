"""Steps within a run: something changed for good (paste pumped out, a fan slowed down, flow fell)."""

from __future__ import annotations

from collections.abc import Callable

import numpy as np
from numpy.typing import NDArray

from kuffin.core.base.traces import inflation
from kuffin.core.settle.warmup import TAUS, SlowData, power_departure

Array = NDArray[np.float64]

PIECE_S = 240.0
PIECE_BOXES = 6


def slow_split(
    t: Array,
    data: SlowData,
    tolerance: float,
    spacing: int = 1,
    rounding: float = 0.0,
    without: Callable[[], float] | None = None,
) -> int | None:
    """The box at which a slow trace is best split in two, None where one piece serves as well.

    Both pieces follow the slow model with a time constant of their own. A split is accepted where
    n_eff·ln(RSS₁/RSS₂) > 20 and the residuals' improvement is over 0.35 of the tolerance.

    Parameters
    ----------
    spacing : int
        How many boxes make one independent one (4 where boxes overlap by three quarters).
    rounding : float
        What the steps of coarse sensors leave open: a gain that they alone explain is none.
    without : callable, optional
        The residual sum of squares of the best that one piece can do (a second slow part is no step); asked only where a split
        would be accepted.
    """
    m = t.size
    least = max(PIECE_BOXES, 2 * spacing, int(np.searchsorted(t, t[0] + PIECE_S)))
    if m < 2 * least + 2:
        return None
    pieces = [data(float(tau)) for tau in TAUS]
    y, drive = np.stack([a for a, _ in pieces]), np.stack([np.broadcast_to(b, m) for _, b in pieces])
    taus = TAUS[:, None]
    before = _running_rss(y, drive, np.exp(-(t - t[0]) / taus))
    # run backwards with the decay counted from the end, so that nothing underflows
    back = np.exp(np.minimum((t[-1] - t) / taus, 600.0))
    after = _running_rss(y[:, ::-1], drive[:, ::-1], back[:, ::-1])[:, ::-1]
    whole = float(before[:, -1].min())
    cuts = np.arange(least, m - least)
    two = before.min(axis=0)[cuts - 1] + after.min(axis=0)[cuts]
    best = int(np.argmin(two))
    cut = int(cuts[best])
    j1, j2 = int(np.argmin(before[:, cut - 1])), int(np.argmin(after[:, cut]))
    residuals = np.concatenate(
        (_residuals(t, data, TAUS[j1], slice(0, cut)), _residuals(t, data, TAUS[j2], slice(cut, m)))
    )
    if not _worth(whole, float(two[best]), residuals, tolerance, rounding):
        return None
    if without is not None and not _worth(without(), float(two[best]), residuals, tolerance, rounding):
        return None
    return cut


def fast_split(
    t: Array, y: Array, x: Array | None, power: Array | None, tolerance: float, spacing: int = 1, rounding: float = 0.0
) -> int | None:
    """The box at which a fast trace changed its level, None where it did not.

    Each piece has its own level; both share the same slope against the coolant.
    """
    m = t.size
    least = max(PIECE_BOXES, 2 * spacing, int(np.searchsorted(t, t[0] + PIECE_S)))
    if m < 2 * least + 2:
        return None
    regressor = np.zeros(m) if x is None else x - x.mean()
    rest = None if power is None else power_departure(t, x, power)
    base = np.column_stack((np.ones(m), regressor, *([] if rest is None else [rest])))
    # what a step at each cut takes off the sum of squares, by its part that the base does not hold (Frisch and Waugh)
    left, sizes, _ = np.linalg.svd(base, full_matrices=False)
    q = left[:, sizes > 1e-10 * sizes[0]]
    whole = y - q @ (q.T @ y)
    tail = np.cumsum(q[::-1], axis=0)[::-1]  # q'·step for a step at each box
    own = np.arange(m, 0, -1) - np.sum(tail**2, axis=1)
    gained = np.where(own > 1e-9 * m, np.cumsum(whole[::-1])[::-1] ** 2 / np.maximum(own, 1e-300), 0.0)
    cuts = np.arange(least, m - least)
    cut = int(cuts[int(np.argmax(gained[cuts]))])
    step = (np.arange(m) >= cut).astype(float)
    basis = np.column_stack((base, step))
    residuals = y - basis @ np.linalg.lstsq(basis, y, rcond=None)[0]
    return cut if _worth(float(whole @ whole), float(residuals @ residuals), residuals, tolerance, rounding) else None


def _worth(one: float, two: float, residuals: Array, tolerance: float, rounding: float) -> bool:
    n = residuals.size
    n_eff = n / inflation(residuals)
    two = max(two, 1e-12 * max(one, 1e-12))
    gain = float(np.sqrt(max(one - two, 0.0) / n))
    # without residuals there is nothing to gain, nor a ratio
    return gain > float(np.hypot(0.35 * tolerance, 1.2 * rounding)) and bool(n_eff * np.log(one / two) > 20.0)


def _running_rss(y: Array, drive: Array, decay: Array) -> Array:
    """Residual sum of squares of y on (drive, decay) over the first 1, 2, … boxes of each row, all of shape (k, m)."""

    def c(x: Array) -> Array:
        return np.asarray(np.cumsum(x, axis=-1), float)

    dd, de, ee = c(drive * drive), c(drive * decay), c(decay * decay)
    dy, ey, yy = c(drive * y), c(decay * y), c(y * y)
    with np.errstate(all="ignore"):
        determinant = dd * ee - de * de
        flat = determinant <= 1e-10 * dd * ee
        full = yy - (dy * (ee * dy - de * ey) + ey * (dd * ey - de * dy)) / np.where(flat, 1.0, determinant)
        plain = yy - dy * dy / dd
    return np.maximum(np.where(flat, plain, np.minimum(full, plain)), 0.0)


def _residuals(t: Array, data: SlowData, tau: float, piece: slice) -> Array:
    y, drive = data(float(tau))
    decay = np.exp(-(t[piece] - t[piece][0]) / tau)
    basis = np.column_stack((drive[piece], decay))
    return np.asarray(y[piece] - basis @ np.linalg.lstsq(basis, y[piece], rcond=None)[0], float)
