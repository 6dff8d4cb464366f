"""What both ways of comparing share: the verdict on a pair, letters, chances, mounts needed."""

from __future__ import annotations

from collections.abc import Callable, Sequence
from functools import lru_cache

import numpy as np
from numpy.typing import NDArray

from kuffin.core.compare.evidence import MountValue, PairResult
from kuffin.core.compare.letters import tie_letters

Array = NDArray[np.float64]

MOST_MOUNTS = 99
DRAWS = 10_000

# the family's critical value at a level, with n mounts of each candidate (0: as they are)
Critical = Callable[[float, int], float]


def pair_verdict(low: float, high: float, narrow: tuple[float, float], margin: float | None, difference: float) -> str:
    """The verdict on a pair: same, a_lower, b_lower or unsettled, from its wide and its narrow interval."""
    if margin is not None and -margin < narrow[0] and narrow[1] < margin:
        return "same"
    if low > 0 or high < 0:
        return "a_lower" if difference < 0 else "b_lower"
    return "unsettled"


def judged_pair(
    a: str,
    b: str,
    difference: float,
    se: float,
    df: float,
    wide: float,
    narrow: float,
    p: float,
    margin: float | None,
    needed: int | None,
) -> PairResult:
    """A pair's verdict from its difference, its standard error, and the critical values at C and at 2C − 1.

    Parameters
    ----------
    needed : int or None
        Mounts it would take, kept only where the pair is open.

    >>> judged_pair("Reed", "Rush", -2.0, 0.4, 6.0, 2.45, 1.94, 0.002, 0.5, None).verdict
    'a_lower'
    """
    low, high = difference - wide * se, difference + wide * se
    inner = (difference - narrow * se, difference + narrow * se)
    verdict = pair_verdict(low, high, inner, margin, difference)
    needed = needed if verdict == "unsettled" else None
    return PairResult(
        a=a,
        b=b,
        difference=difference,
        se=se,
        df=df,
        q=wide,
        q_narrow=narrow,
        p=p,
        verdict=verdict,
        mounts_needed=needed,
    )


def group_letters(
    names: list[str], means: Array, pairs: Sequence[PairResult], confidence: float, better: str
) -> list[str]:
    """Letters of the ties, the best candidate first; two share one where p is not below 1 − confidence.

    >>> from kuffin.core.compare import MountValue, compare
    >>> values = (("Reed", 1.0), ("Reed", 1.2), ("Rush", 3.0), ("Rush", 3.2))
    >>> mounts = [MountValue(candidate=c, mount=f"{c} {x}", value=x) for c, x in values]
    >>> found = compare(mounts)
    >>> group_letters(["Reed", "Rush"], np.array([1.1, 3.1]), found.pairs, 0.95, "lower")
    ['a', 'b']
    """
    apart = np.zeros((len(names), len(names)), bool)
    for pair in pairs:
        i, j = names.index(pair.a), names.index(pair.b)
        apart[i, j] = apart[j, i] = pair.p < 1 - confidence
    order = np.argsort(means if better == "lower" else -means, kind="stable")
    return tie_letters(apart, order)


def sample_counts(names: Sequence[str], mounts: Sequence[MountValue]) -> dict[str, int]:
    """How many samples each candidate was measured with, at least one."""
    return {
        name: max(1, len({m.sample for m in mounts if m.candidate == name and m.sample is not None})) for name in names
    }


@lru_cache(maxsize=64)
def standard_draws(k: int) -> Array:
    """Seeded standard normal draws, shape (DRAWS, k): the same for every verdict, so that it does not flicker."""
    return np.random.default_rng(20).standard_normal((DRAWS, k))


@lru_cache(maxsize=256)
def _stretches(df: float) -> Array:
    """√(df/χ²) for each draw, shape (DRAWS, 1)."""
    return np.asarray(np.sqrt(df / np.random.default_rng(21).chisquare(df, (DRAWS, 1))), float)


def chances_of_best(means: Array, covariance: Array, df: float, better: str) -> list[float]:
    """Share of draws from the joint t of the adjusted means (flat prior) in which each is best.

    >>> chances = chances_of_best(np.array([1.0, 3.0]), 0.01 * np.eye(2), 5.0, "lower")
    >>> [round(x, 2) for x in chances]
    [1.0, 0.0]
    """
    k = means.size
    values, vectors = np.linalg.eigh(covariance)
    root = vectors * np.sqrt(np.maximum(values, 0.0))
    draws = means + (standard_draws(k) @ root.T) * _stretches(float(df))
    best = draws.argmin(axis=1) if better == "lower" else draws.argmax(axis=1)
    return [float(c) for c in np.bincount(best, minlength=k) / DRAWS]


def mounts_needed(
    difference: float, sd: float, margin: float | None, confidence: float, critical: Critical, floor: float = 0.0
) -> int | None:
    """Mounts in each candidate at which an open pair is expected to settle, if difference and spread stay as they are.

    Parameters
    ----------
    critical : callable
        ``critical(level, n)``: the family's critical value with n mounts of each candidate.
    floor : float
        The pair's standard error that no number of mounts takes away: the scatter between the samples there are.

    Returns
    -------
    int or None
        None past 99.

    >>> mounts_needed(1.0, 0.5, None, 0.95, lambda level, n: 2.0)
    3
    """

    def settles(n: int) -> bool:
        root = np.hypot(floor, sd * np.sqrt(2 / n))
        if abs(difference) > critical(confidence, n) * root:
            return True
        return margin is not None and abs(difference) + critical(2 * confidence - 1, n) * root < margin

    if not settles(MOST_MOUNTS):
        return None
    low, high = 1, MOST_MOUNTS
    while high - low > 1:
        middle = (low + high) // 2
        if settles(middle):
            high = middle
        else:
            low = middle
    return high
