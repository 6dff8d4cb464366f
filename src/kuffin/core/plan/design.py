"""How many mounts a question takes."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray
from scipy import special

from kuffin.core.base.errors import CompareError
from kuffin.core.base.ranges import dunnett_critical, even_correlation, tukey_critical
from kuffin.core.base.student import noncentral_t_cdf, t_quantile

MOST = 1000
Array = NDArray[np.float64]


@dataclass(frozen=True)
class MountPlan:
    """Mounts of each candidate, the power they give, and the expected half-width of a pair's interval."""

    mounts: int
    power: float
    half_width: float


@dataclass(frozen=True)
class Model:
    """The comparison that will judge a planned study.

    Attributes
    ----------
    candidates : int
        The reference included.
    rounds : bool
        Whether rounds are taken out as blocks.
    reference : bool
        All against one (Dunnett) instead of all pairs (Tukey).
    """

    candidates: int
    rounds: bool = False
    reference: bool = False

    @property
    def welch(self) -> bool:
        """Two candidates without rounds keep their own spreads."""
        return self.candidates == 2 and not self.rounds

    def df(self, n: int) -> int:
        """Residual degrees of freedom with n mounts of each: K·(n − 1), and n − 1 fewer where rounds are taken out."""
        return (self.candidates - 1 if self.rounds else self.candidates) * (n - 1)

    def critical(self, level: float, df: float) -> float:
        """The family's t-like critical value."""
        if self.reference and self.candidates > 2:
            return dunnett_critical(level, even_correlation(self.candidates - 1), df)
        return tukey_critical(level, self.candidates, df)

    def criticals(self, level: float, n: int) -> tuple[Array, Array]:
        """Critical values with n mounts of each and their weights: one, but for Welch's, whose degrees of freedom vary.

        There they are (n − 1)/(u² + (1 − u)²), where u, one's share of both variances, follows a beta distribution with
        (n − 1)/2 twice, independently of their sum.
        """
        if not self.welch:
            return np.array([self.critical(level, self.df(n))]), np.ones(1)
        shares = special.betaincinv((n - 1) / 2, (n - 1) / 2, (np.arange(40) + 0.5) / 80)  # its other half is the same
        df = (n - 1) / (shares**2 + (1 - shares) ** 2)
        return np.array([t_quantile(0.5 + level / 2, float(d)) for d in df]), np.full(df.size, 1 / df.size)


def planned_power(
    n: int,
    candidates: int,
    sd: float,
    difference: float,
    confidence: float = 0.95,
    reference: bool = False,
    rounds: bool = False,
) -> MountPlan:
    """Power to find a true difference between one given pair with n mounts of each candidate.

    The comparison is the one that will judge (see `Model`): simultaneous over all pairs (Tukey), or over comparisons with one
    reference (Dunnett), or Welch's; the power is that of the noncentral t with the residual degrees of freedom.
    """
    model = Model(candidates, rounds, reference)
    df = model.df(n)
    critical, weight = model.criticals(confidence, n)
    shift = abs(difference) / (sd * np.sqrt(2 / n))
    if shift > 35:
        power = 1.0
    else:
        power = sum(
            float(w * (1 - noncentral_t_cdf(c, df, shift) + noncentral_t_cdf(-c, df, shift)))
            for c, w in zip(critical.tolist(), weight.tolist(), strict=True)
        )
    return MountPlan(n, min(max(power, 0.0), 1.0), float(critical @ weight * sd * np.sqrt(2 / n)))


def power_to_show_sameness(
    n: int,
    candidates: int,
    sd: float,
    margin: float,
    confidence: float = 0.95,
    reference: bool = False,
    rounds: bool = False,
) -> MountPlan:
    """Power to show that two candidates which do not differ are the same within a margin, with n mounts of each.

    Two one-sided tests: the simultaneous interval at confidence ``2C − 1`` must lie inside ±margin. With the spread s
    estimated at ν degrees of freedom the power is the mean of ``2Φ((margin − c·s·√(2/n)) / (σ·√(2/n))) − 1`` (not
    below 0) over ``s²·ν/σ² ~ χ²(ν)``, taken at 400 equally likely values of s.
    """
    model = Model(candidates, rounds, reference)
    df = model.df(n)
    critical, weight = model.criticals(2 * confidence - 1, n)
    error = np.sqrt(2 / n)
    s = np.sqrt(special.chdtri(df, 1 - (np.arange(400) + 0.5) / 400) / df)
    room = (abs(margin) / sd - critical[:, None] * s * error) / error
    power = float(weight @ np.maximum(2 * special.ndtr(room) - 1, 0.0).mean(axis=1))
    return MountPlan(n, power, float(critical @ weight * sd * error))


def power_curve(
    candidates: int,
    sd: float,
    size: float,
    goal: str = "find",
    confidence: float | Callable[[int], float] = 0.95,
    reference: bool = False,
    most: int = 12,
    rounds: bool = False,
) -> list[MountPlan]:
    """Power over the number of mounts of each candidate, from 2 to `most`.

    Parameters
    ----------
    size : float
        The difference to be found, or the margin within which sameness is to be shown.
    goal : str
        ``find`` or ``same``.
    confidence : float or callable
        Of the family; or that of the last look of a plan with so many mounts of each.
    """
    at = power_to_show_sameness if goal == "same" else planned_power

    def level(n: int) -> float:
        return confidence(n) if callable(confidence) else confidence

    return [at(n, candidates, sd, size, level(n), reference, rounds) for n in range(2, most + 1)]


@dataclass(frozen=True)
class Buys:
    """What a number of samples and of mounts on each buys: the half-width of a pair's plain interval, in K."""

    samples: int
    mounts_each: int
    half_width: float


def sample_or_mount(
    samples: int, mounts_each: int, sd_mount: float, sd_sample: float, candidates: int, confidence: float = 0.95
) -> list[Buys]:
    """What one more mount of each sample buys, compared with one more sample (the first entry is as it stands).

    A candidate's mean scatters with ``√(σs²/S + σm²/(S·M))``. With one sample its own scatter cannot be told from the
    candidate's, so a claim beyond that sample has no interval (infinite); with more, its degrees of freedom are
    ``K(S − 1)``.
    """

    def at(s: int, m: int) -> Buys:
        spread = np.sqrt(sd_sample**2 / s + sd_mount**2 / (s * m))
        df = candidates * (s - 1)
        half = float("inf") if df < 1 else t_quantile(0.5 + confidence / 2, df) * spread * np.sqrt(2)
        return Buys(s, m, float(half))

    return [at(samples, mounts_each), at(samples, mounts_each + 1), at(samples + 1, mounts_each)]


def plan_mounts(
    candidates: int,
    sd: float,
    difference: float,
    power: float = 0.8,
    confidence: float = 0.95,
    reference: bool = False,
    rounds: bool = False,
) -> MountPlan:
    """The fewest mounts of each candidate that find a difference with the wanted power.

    Raises
    ------
    CompareError
        Where the question makes no sense, or takes more than 1000 mounts.

    >>> plan_mounts(4, 0.4, 1.0, 0.8, 0.95).mounts
    5
    """
    if candidates < 2:
        raise CompareError("a comparison takes at least two candidates")
    if not sd > 0 or not np.isfinite(sd):
        raise CompareError("the spread between mounts must be above 0 K")
    if not abs(difference) > 0 or not np.isfinite(difference):
        raise CompareError("the difference to be found must not be 0; no number of mounts finds nothing")
    if not 0 < power < 1:
        raise CompareError("a power of {power:g} makes no sense; choose one between 0 and 1, such as 0.8", power=power)
    if not 0.5 < confidence < 1:
        raise CompareError(
            "a confidence of {confidence:g} makes no sense here; choose one between 0.5 and 1, such as 0.95",
            confidence=confidence,
        )

    def at(n: int) -> MountPlan:
        return planned_power(n, candidates, sd, difference, confidence, reference, rounds)

    low, high = 1, 2
    while at(high).power < power:
        low, high = high, high * 2
        if low > MOST:
            raise CompareError(
                "more than {most} mounts of each candidate would be needed; ask for a larger difference or reduce the scatter between mounts",
                most=MOST,
            )
    while high - low > 1:
        middle = (low + high) // 2
        low, high = (low, middle) if at(middle).power >= power else (middle, high)
    return at(high)
