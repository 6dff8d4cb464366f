"""The early check of a mount: does it look like the others, a minute or two after the load has begun?

The die warms within seconds, long before the coolant; so die over coolant per watt shows a bad contact at once.
"""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from functools import cached_property
from statistics import NormalDist

import numpy as np
from numpy.typing import NDArray

from kuffin.core.base.language import tr
from kuffin.core.base.student import t_quantile
from kuffin.core.base.worked import Worked, mean_of, worked

Array = NDArray[np.float64]

FROM_S, TO_S = 60.0, 120.0
GUESSED_SCATTER = 0.04  # of the resistance, until the study knows its own
_SURE = 0.99
_LEAST_K = 0.4  # nobody remounts for less


@dataclass(frozen=True, kw_only=True)
class EarlyCheck:
    """What a mount's first two minutes say.

    Attributes
    ----------
    resistance_k_w, u_k_w : float
        Die over coolant per watt of this mount, with its standard uncertainty.
    power_w : float
        What it has now.
    others : tuple of float
        The resistances of the mounts it was held against.
    scatter_k_w, df : float
        The scatter between mounts that was reckoned with; no degrees of freedom: guessed.
    stretch_s : tuple of float
    """

    resistance_k_w: float
    u_k_w: float
    power_w: float
    others: tuple[float, ...]
    scatter_k_w: float
    df: float
    stretch_s: tuple[float, float]

    @property
    def state(self) -> str:
        """``like`` the others, ``worse``, ``better``, or ``alone`` where there is nothing to compare with."""
        if not self.others:
            return "alone"
        away = self.difference.value
        sure = self._quantile(_SURE) * self.spread.value * self.power_w
        if abs(away) < _LEAST_K or abs(away) <= sure:
            return "like"
        return "worse" if away > 0 else "better"

    def _quantile(self, p: float) -> float:
        return t_quantile(p, self.df) if self.df >= 1 else NormalDist().inv_cdf(p)

    @cached_property
    def spread(self) -> Worked:
        """How far a further mount may lie from the mean of the others, as a standard deviation, K/W."""
        guessed = tr("guessed as {share:g} %, until the study knows its own", share=100 * GUESSED_SCATTER)
        return worked(
            tr("Spread of a further mount"),
            "s_p",
            "sqrt(s**2*(1 + 1/n) + u**2)",
            [
                Worked(name=tr("Scatter between mounts"), symbol="s", value=self.scatter_k_w, unit="K/W", digits=5, source=tr("from this study, {df:.0f} degrees of freedom", df=self.df) if self.df else guessed),
                Worked(name=tr("Other mounts"), symbol="n", value=float(len(self.others)), digits=0),
                Worked(name=tr("Standard uncertainty of this one"), symbol="u", value=self.u_k_w, unit="K/W", digits=5),
            ],
            "K/W",
            digits=5,
            source=tr("D. C. Montgomery, Introduction to Statistical Quality Control, 3.5"),
        )  # fmt: skip

    @cached_property
    def difference(self) -> Worked:
        """This mount less the others at the power it has now, with the half-width of its 95 % prediction interval."""
        own = Worked(name=tr("This mount"), symbol="R", value=self.resistance_k_w, unit="K/W", digits=4)
        power = Worked(name=tr("Power now"), symbol="P", value=self.power_w, unit="W", digits=0)
        each = [
            Worked(name=tr("Other mount {i}", i=i), symbol=f"R_{i}", value=r, unit="K/W", digits=4)
            for i, r in enumerate(self.others, 1)
        ]
        others = mean_of(tr("Mean of the others"), "R_o", each, "K/W", digits=4)
        student = Worked(name=tr("Student’s t"), symbol="t", value=self._quantile(0.975), source="95 %")
        half = worked(tr("Half-width"), "U", "t*s_p*P", [student, self.spread, power], "K", source=tr("95 % of sound mounts lie within this"))  # fmt: skip
        return worked(tr("Difference"), "d", "(R - R_o)*P", [own, others, power], "K", half=half)

    @property
    def difference_k(self) -> float:
        """How much warmer the mount is than the others, K; NaN where there are none."""
        return self.difference.value if self.others else float("nan")

    @property
    def u95_k(self) -> float:
        """The half-width of that, K; NaN where there are no others."""
        return (self.difference.u95 or 0.0) if self.others else float("nan")


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
    mean = float(np.mean(others)) if n else float("nan")
    if not np.isfinite(scatter_k_w) or df < 1:
        scatter_k_w, df = GUESSED_SCATTER * abs(mean), 0.0
    scatter = max(scatter_k_w, 0.003 * abs(mean)) if n else scatter_k_w
    return EarlyCheck(
        resistance_k_w=resistance_k_w,
        u_k_w=u_k_w,
        power_w=power_w,
        others=tuple(others),
        scatter_k_w=scatter,
        df=df,
        stretch_s=stretch_s,
    )
