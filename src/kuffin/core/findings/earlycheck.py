"""The early check of a mount: does it look like the others, a minute or two after the load has begun?

The die warms within seconds, long before the coolant; so die over coolant per watt shows a bad contact at once.
"""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray
from scipy import stats

Array = NDArray[np.float64]

FROM_S, TO_S = 60.0, 120.0
GUESSED_SCATTER = 0.04  # of the resistance, until the study knows its own
_SURE = 0.99
_LEAST_K = 0.4  # nobody remounts for less


@dataclass(frozen=True)
class EarlyCheck:
    """What a mount's first two minutes say.

    Attributes
    ----------
    state : str
        ``like`` the others, ``worse``, ``better``, or ``alone`` where there is nothing to compare with.
    resistance_k_w, others_k_w : float
        Die over coolant per watt of this mount, and the mean of the others (NaN where there are none).
    difference_k, u95_k : float
        This mount less the others at the power it has now, with the half-width of its 95 % prediction interval.
    scatter_k_w, df : float
        The scatter between mounts that was reckoned with; no degrees of freedom: guessed.
    others : int
        How many mounts it was held against.
    """

    state: str
    resistance_k_w: float
    others_k_w: float
    difference_k: float
    u95_k: float
    scatter_k_w: float
    df: float
    others: int
    power_w: float
    stretch_s: tuple[float, float]


def early_resistance(
    times: Array,
    die: Array,
    coolant: Array,
    power: Array,
    load_start_s: float,
    begin_s: float = FROM_S,
    end_s: float = TO_S,
) -> tuple[float, float, float] | None:
    """Die over coolant per watt in a stretch after load start.

    Parameters
    ----------
    times, die, coolant, power : ndarray, shape (n,)
    begin_s, end_s : float
        Of the stretch, from the load's start. Samples in a dip of the load (under 80 % of the stretch's usual power) are
        passed over.

    Returns
    -------
    (resistance in K/W, its standard uncertainty, power in W), or None where fewer than five samples are there.
    """
    inside = (times >= load_start_s + begin_s) & (times <= load_start_s + end_s)
    inside &= np.isfinite(die) & np.isfinite(coolant) & np.isfinite(power)
    if inside.sum() < 5:
        return None
    usual = float(np.percentile(power[inside], 75))
    inside &= power > 0.8 * usual
    # what follows a dip is still on its way up
    if inside.sum() < 5 or usual <= 0:
        return None
    ratio = (die[inside] - coolant[inside]) / power[inside]
    middle = float(np.median(ratio))
    spread = 1.4826 * float(np.median(np.abs(ratio - middle)))
    return middle, 1.25 * spread / np.sqrt(inside.sum()), float(power[inside].mean())


def pooled_scatter(groups: Sequence[Sequence[float]]) -> tuple[float, float]:
    """Scatter within groups of mounts and its degrees of freedom: ``s² = Σ(n−1)s²/Σ(n−1)``; (NaN, 0) where unknown."""
    df = sum(len(g) - 1 for g in groups if len(g) > 1)
    if df < 1:
        return float("nan"), 0.0
    total = sum((len(g) - 1) * float(np.var(g, ddof=1)) for g in groups if len(g) > 1)
    return float(np.sqrt(total / df)), float(df)


def early_check(
    resistance_k_w: float,
    u_k_w: float,
    power_w: float,
    others: Sequence[float],
    scatter_k_w: float,
    df: float,
    stretch_s: tuple[float, float],
) -> EarlyCheck:
    """Hold a mount against the others.

    ``t = (R − mean) / √(s²·(1 + 1/n) + u²)`` against Student's t (a prediction interval for one further observation,
    D. C. Montgomery, *Introduction to Statistical Quality Control*, section 3.5): 99 % one-sided, so that a sound mount
    is taken for a bad one once in a hundred.

    Parameters
    ----------
    others : sequence of float
        The other mounts' resistances in the same stretch, K/W.
    scatter_k_w, df : float
        Between mounts, from the study; NaN and 0: a guess of 4 % is used.
    """
    n = len(others)
    if n == 0:
        nan = float("nan")
        return EarlyCheck("alone", resistance_k_w, nan, nan, nan, scatter_k_w, df, 0, power_w, stretch_s)
    mean = float(np.mean(others))
    if not np.isfinite(scatter_k_w) or df < 1:
        scatter_k_w, df = GUESSED_SCATTER * abs(mean), 0.0
    scatter = max(scatter_k_w, 0.003 * abs(mean))
    spread = float(np.sqrt(scatter**2 * (1 + 1 / n) + u_k_w**2))
    law = stats.t(df) if df >= 1 else stats.norm()
    difference = resistance_k_w - mean
    ratio = difference / spread
    state = "like"
    if abs(difference) * power_w >= _LEAST_K and abs(ratio) > float(law.ppf(_SURE)):
        state = "worse" if difference > 0 else "better"
    u95 = float(law.ppf(0.975)) * spread * power_w
    return EarlyCheck(state, resistance_k_w, mean, difference * power_w, u95, scatter, df, n, power_w, stretch_s)
