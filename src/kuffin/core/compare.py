"""Compare candidates with the mount as the unit of evidence, and say what may be said of each pair.

Methods: docs/methods.md, "Comparing". Welch for two candidates; least squares with Tukey–Kramer for all pairs or
Dunnett against a reference; Games–Howell where each candidate keeps its own spread.
"""

from __future__ import annotations

from collections.abc import Callable, Sequence
from dataclasses import dataclass, field
from itertools import combinations

import numpy as np
from numpy.typing import NDArray
from scipy import stats

from kuffin.core.errors import CompareError
from kuffin.core.letters import tie_letters
from kuffin.core.linear import LinearFit, fit_linear
from kuffin.core.ranges import dunnett_critical, dunnett_p, even_correlation, tukey_critical, tukey_p

Array = NDArray[np.float64]

MOST_MOUNTS = 99
_DRAWS = 20_000


@dataclass(frozen=True)
class MountValue:
    """One mount's normalised reading: the unit of evidence."""

    candidate: str
    mount: str
    value: float
    round: str | None = None
    sample: str | None = None
    covariates: tuple[float, ...] = ()


@dataclass(frozen=True)
class CandidateResult:
    """A candidate's adjusted mean with its plain interval, letters of the ties it belongs to, chance of being best."""

    name: str
    mounts: int
    samples: int
    mean: float
    low: float
    high: float
    group: str | None
    p_best: float
    sd: float | None = None


@dataclass(frozen=True)
class PairResult:
    """A pair's difference a − b with its simultaneous interval, and the verdict on it."""

    a: str
    b: str
    difference: float
    low: float
    high: float
    p: float
    verdict: str
    mounts_needed: int | None
    narrow_low: float
    narrow_high: float
    se: float
    df: float

    @property
    def settled(self) -> bool:
        return self.verdict != "unsettled"


@dataclass(frozen=True)
class Comparison:
    """The whole comparison of a study under one school."""

    method: str
    confidence: float
    margin: float | None
    better: str
    sd: float | None
    df: float | None
    candidates: tuple[CandidateResult, ...]
    pairs: tuple[PairResult, ...]
    components: tuple[tuple[str, float], ...]
    mounts: tuple[MountValue, ...] = field(repr=False, default=())
    residuals: Array = field(repr=False, default_factory=lambda: np.empty(0))
    studentized: Array = field(repr=False, default_factory=lambda: np.empty(0))
    warnings: tuple[str, ...] = ()

    def candidate(self, name: str) -> CandidateResult:
        return next(c for c in self.candidates if c.name == name)

    def pair(self, a: str, b: str) -> PairResult:
        return next(p for p in self.pairs if {p.a, p.b} == {a, b})


# critical value and p of a family, given a pair's place in it
_Critical = Callable[[float, int], float]
_P = Callable[[float, int], float]


def compare(
    mounts: Sequence[MountValue],
    *,
    reference: str | None = None,
    margin: float | None = None,
    confidence: float = 0.95,
    better: str = "lower",
    separate: bool = False,
    covariate_names: Sequence[str] = (),
) -> Comparison:
    """Compare the candidates of a study.

    Parameters
    ----------
    mounts : sequence of MountValue
        In the order in which candidates shall appear. Either all have a round or none.
    reference : str, optional
        Compare every candidate with this one only.
    margin : float, optional
        The smallest difference that matters, in the response's unit; without it nothing is called the same.
    confidence : float
        Simultaneous, over all the pairs shown.
    better : {'lower', 'higher'}
    separate : bool
        Each candidate keeps its own spread (Games–Howell).

    Raises
    ------
    CompareError
    """
    if not 0.5 < confidence < 1:
        raise CompareError(
            f"a confidence of {confidence:g} makes no sense here; choose one between 0.5 and 1, such as 0.95"
        )
    if margin is not None and not margin > 0:
        raise CompareError(
            f"a margin of {margin:g} makes no sense; it is the smallest difference that matters, so above 0"
        )
    names = list(dict.fromkeys(m.candidate for m in mounts))
    if len(names) < 2:
        raise CompareError(
            "there is only one candidate to compare; add mounts of another"
            if names
            else "there are no mounts to compare; add logs, or take one back in"
        )
    if reference is not None and reference not in names:
        raise CompareError(f"the reference “{reference}” has no mounts; it is one of {', '.join(names)}")
    warnings: list[str] = []
    rounds = [m.round or "" for m in mounts] if any(m.round for m in mounts) else None
    covariates = np.array([m.covariates for m in mounts], float) if mounts[0].covariates else None
    y = np.array([m.value for m in mounts], float)
    index = np.array([names.index(m.candidate) for m in mounts])
    counts = np.bincount(index, minlength=len(names))
    plain = covariates is None and (rounds is None or len(set(rounds)) < 2)
    if separate and not plain:
        raise CompareError("separate spreads go with neither rounds nor covariates; choose one of the two")
    if separate and reference is not None:
        raise CompareError("separate spreads go with all pairs only, not with a reference; choose one of the two")
    if (len(names) == 2 and plain) or separate:
        if separate and counts.min() < 2:
            raise CompareError(f"“{names[int(counts.argmin())]}” has one mount only; a spread of its own takes two")
        if counts.min() >= 2:
            return _separate(names, y, index, mounts, margin, confidence, better, warnings)
        warnings.append("one candidate has a single mount: both are taken to scatter alike")
    fit = fit_linear(y, index, len(names), rounds, covariates, covariate_names)
    if float(np.ptp(y)) == 0 or fit.sd <= 1e-12 * max(1.0, float(np.abs(y).max())):
        warnings.append("the mounts do not scatter at all; check that they are different recordings")
    return _pooled(names, fit, counts, mounts, reference, margin, confidence, better, warnings)


def _verdict(low: float, high: float, narrow: tuple[float, float], margin: float | None, difference: float) -> str:
    if margin is not None and -margin < narrow[0] and narrow[1] < margin:
        return "same"
    if low > 0 or high < 0:
        return "a_lower" if difference < 0 else "b_lower"
    return "unsettled"


def _pooled(
    names: list[str],
    fit: LinearFit,
    counts: NDArray[np.int64],
    mounts: Sequence[MountValue],
    reference: str | None,
    margin: float | None,
    confidence: float,
    better: str,
    warnings: list[str],
) -> Comparison:
    k, df = len(names), fit.df
    if reference is None:
        places = list(combinations(range(k), 2))
        method = "Tukey-Kramer on mount means"

        def critical(level: float, n: int) -> float:
            return tukey_critical(level, k, df if n == 0 else k * (n - 1))

        def p_of(t: float, _: int) -> float:
            return tukey_p(t, k, df)
    else:
        r = names.index(reference)
        places = [(min(r, i), max(r, i)) for i in range(k) if i != r]
        method = f"Dunnett on mount means, against {reference}"
        contrasts = np.zeros((k - 1, k))
        for row, (a, b) in enumerate(places):
            contrasts[row, a if b == r else b], contrasts[row, r] = 1.0, -1.0
        covariance = contrasts @ fit.unscaled @ contrasts.T
        size = np.sqrt(np.diag(covariance))
        correlation = covariance / np.outer(size, size)

        def critical(level: float, n: int) -> float:
            return dunnett_critical(
                level, correlation if n == 0 else even_correlation(k - 1), df if n == 0 else k * (n - 1)
            )

        def p_of(t: float, _: int) -> float:
            return dunnett_p(t, correlation, df)

    wide, narrow_c = critical(confidence, 0), critical(2 * confidence - 1, 0)
    pairs = []
    for place, (a, b) in enumerate(places):
        difference = float(fit.means[a] - fit.means[b])
        se = float(fit.sd * np.sqrt(max(fit.unscaled[a, a] + fit.unscaled[b, b] - 2 * fit.unscaled[a, b], 0.0)))
        low, high = difference - wide * se, difference + wide * se
        narrow = (difference - narrow_c * se, difference + narrow_c * se)
        verdict = _verdict(low, high, narrow, margin, difference)
        p = p_of(difference / se, place) if se > 0 else (1.0 if difference == 0 else 0.0)
        needed = mounts_needed(difference, fit.sd, margin, confidence, critical) if verdict == "unsettled" else None
        pairs.append(PairResult(names[a], names[b], difference, low, high, p, verdict, needed, *narrow, se, df))
    half = float(stats.t.ppf(0.5 + confidence / 2, df)) * fit.sd * np.sqrt(np.diag(fit.unscaled))
    chances = _chances(fit.means, fit.covariance, df, better)
    letters = None if reference is not None else _letters(names, fit.means, pairs, confidence, better)
    samples = _sample_counts(names, mounts)
    candidates = tuple(
        CandidateResult(
            name,
            int(counts[i]),
            samples[name],
            float(fit.means[i]),
            float(fit.means[i] - half[i]),
            float(fit.means[i] + half[i]),
            None if letters is None else letters[i],
            chances[i],
        )
        for i, name in enumerate(names)
    )
    return Comparison(
        method,
        confidence,
        margin,
        better,
        fit.sd,
        df,
        candidates,
        tuple(pairs),
        (("mount", fit.sd),),
        tuple(mounts),
        fit.residuals,
        fit.studentized,
        tuple(warnings),
    )


def _separate(
    names: list[str],
    y: Array,
    index: NDArray[np.int64],
    mounts: Sequence[MountValue],
    margin: float | None,
    confidence: float,
    better: str,
    warnings: list[str],
) -> Comparison:
    k = len(names)
    groups = [y[index == i] for i in range(k)]
    n = np.array([g.size for g in groups], float)
    means, variances = np.array([g.mean() for g in groups]), np.array([g.var(ddof=1) for g in groups])
    if np.any(variances == 0):
        warnings.append("some mounts of a candidate do not scatter at all; check that they are different recordings")
    share = variances / n
    pairs = []
    for a, b in combinations(range(k), 2):
        difference = float(means[a] - means[b])
        se = float(np.sqrt(share[a] + share[b]))
        df = (
            se**4 / float(share[a] ** 2 / (n[a] - 1) + share[b] ** 2 / (n[b] - 1)) if se > 0 else float(n[a] + n[b] - 2)
        )
        wide, narrow_c = tukey_critical(confidence, k, df), tukey_critical(2 * confidence - 1, k, df)
        low, high = difference - wide * se, difference + wide * se
        narrow = (difference - narrow_c * se, difference + narrow_c * se)
        verdict = _verdict(low, high, narrow, margin, difference)
        p = tukey_p(difference / se, k, df) if se > 0 else (1.0 if difference == 0 else 0.0)
        both = float(np.sqrt((variances[a] + variances[b]) / 2))
        needed = (
            mounts_needed(difference, both, margin, confidence, lambda level, m: tukey_critical(level, k, k * (m - 1)))
            if verdict == "unsettled"
            else None
        )
        pairs.append(PairResult(names[a], names[b], difference, low, high, p, verdict, needed, *narrow, se, df))
    half = np.array([float(stats.t.ppf(0.5 + confidence / 2, m - 1)) for m in n]) * np.sqrt(share)
    rng = np.random.default_rng(20)
    draws = means + rng.standard_t(n - 1, (_DRAWS, k)) * np.sqrt(share)
    best = draws.argmin(axis=1) if better == "lower" else draws.argmax(axis=1)
    chances = np.bincount(best, minlength=k) / _DRAWS
    letters = _letters(names, means, pairs, confidence, better)
    samples = _sample_counts(names, mounts)
    candidates = tuple(
        CandidateResult(
            name,
            int(n[i]),
            samples[name],
            float(means[i]),
            float(means[i] - half[i]),
            float(means[i] + half[i]),
            letters[i],
            float(chances[i]),
            float(np.sqrt(variances[i])),
        )
        for i, name in enumerate(names)
    )
    residuals = y - means[index]
    with np.errstate(all="ignore"):
        studentized = residuals / np.sqrt(variances[index] * (1 - 1 / n[index]))
    return Comparison(
        "Welch on mount means" if k == 2 else "Games-Howell on mount means",
        confidence,
        margin,
        better,
        None,
        None,
        candidates,
        tuple(pairs),
        (),
        tuple(mounts),
        residuals,
        np.where(np.isfinite(studentized), studentized, np.nan),
        tuple(warnings),
    )


def _letters(names: list[str], means: Array, pairs: Sequence[PairResult], confidence: float, better: str) -> list[str]:
    apart = np.zeros((len(names), len(names)), bool)
    for pair in pairs:
        i, j = names.index(pair.a), names.index(pair.b)
        apart[i, j] = apart[j, i] = pair.p < 1 - confidence
    order = np.argsort(means if better == "lower" else -means, kind="stable")
    return tie_letters(apart, order)


def _sample_counts(names: Sequence[str], mounts: Sequence[MountValue]) -> dict[str, int]:
    return {
        name: max(1, len({m.sample for m in mounts if m.candidate == name and m.sample is not None})) for name in names
    }


def _chances(means: Array, covariance: Array, df: float, better: str) -> list[float]:
    """Share of draws from the joint t of the adjusted means (flat prior) in which each is best."""
    k = means.size
    rng = np.random.default_rng(20)
    values, vectors = np.linalg.eigh(covariance)
    root = vectors * np.sqrt(np.maximum(values, 0.0))
    stretch = np.sqrt(df / rng.chisquare(df, (_DRAWS, 1)))
    draws = means + (rng.standard_normal((_DRAWS, k)) @ root.T) * stretch
    best = draws.argmin(axis=1) if better == "lower" else draws.argmax(axis=1)
    return [float(c) for c in np.bincount(best, minlength=k) / _DRAWS]


def mounts_needed(
    difference: float, sd: float, margin: float | None, confidence: float, critical: _Critical
) -> int | None:
    """Mounts in each candidate at which an open pair is expected to settle, if difference and spread stay as they are.

    Parameters
    ----------
    critical : callable
        ``critical(level, n)``: the family's critical value with n mounts of each candidate.

    Returns
    -------
    int or None
        None past 99.
    """

    def settles(n: int) -> bool:
        root = sd * np.sqrt(2 / n)
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
