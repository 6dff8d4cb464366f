"""How many mounts a question takes."""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np

from kuffin.core.errors import CompareError
from kuffin.core.ranges import dunnett_critical, even_correlation, tukey_critical
from kuffin.core.student import noncentral_t_cdf

MOST = 1000


@dataclass(frozen=True)
class MountPlan:
    """Mounts of each candidate, the power they give, and the expected half-width of a pair's interval."""

    mounts: int
    power: float
    half_width: float


def planned_power(
    n: int, candidates: int, sd: float, difference: float, confidence: float = 0.95, reference: bool = False
) -> MountPlan:
    """Power to find a true difference between one given pair with n mounts of each candidate.

    The comparison is simultaneous over all pairs (Tukey), or over comparisons with one reference (Dunnett); the power
    is that of the noncentral t with ``candidates·(n − 1)`` degrees of freedom.
    """
    df = candidates * (n - 1)
    critical = (
        dunnett_critical(confidence, even_correlation(candidates - 1), df)
        if reference
        else tukey_critical(confidence, candidates, df)
    )
    shift = abs(difference) / (sd * np.sqrt(2 / n))
    if shift > 35:
        power = 1.0
    else:
        power = float(1 - noncentral_t_cdf(critical, df, shift) + noncentral_t_cdf(-critical, df, shift))
    return MountPlan(n, min(max(power, 0.0), 1.0), float(critical * sd * np.sqrt(2 / n)))


def plan_mounts(
    candidates: int, sd: float, difference: float, power: float = 0.8, confidence: float = 0.95, reference: bool = False
) -> MountPlan:
    """The fewest mounts of each candidate that find a difference with the wanted power.

    Raises
    ------
    CompareError
        Where the question makes no sense, or takes more than 1000 mounts.
    """
    if candidates < 2:
        raise CompareError("a comparison takes at least two candidates")
    if not sd > 0 or not np.isfinite(sd):
        raise CompareError("the spread between mounts must be above 0 K")
    if not abs(difference) > 0 or not np.isfinite(difference):
        raise CompareError("the difference to be found must not be 0; no number of mounts finds nothing")
    if not 0 < power < 1:
        raise CompareError(f"a power of {power:g} makes no sense; choose one between 0 and 1, such as 0.8")
    if not 0.5 < confidence < 1:
        raise CompareError(
            f"a confidence of {confidence:g} makes no sense here; choose one between 0.5 and 1, such as 0.95"
        )

    def at(n: int) -> MountPlan:
        return planned_power(n, candidates, sd, difference, confidence, reference)

    low, high = 1, 2
    while at(high).power < power:
        low, high = high, high * 2
        if low > MOST:
            raise CompareError(
                f"more than {MOST} mounts of each candidate would be needed; "
                "ask for a larger difference or reduce the scatter between mounts"
            )
    while high - low > 1:
        middle = (low + high) // 2
        low, high = (low, middle) if at(middle).power >= power else (middle, high)
    return at(high)
