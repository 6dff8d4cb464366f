"""One spread for all candidates: least squares with Tukey–Kramer or Dunnett."""

from __future__ import annotations

from collections.abc import Sequence
from itertools import combinations

import numpy as np
from numpy.typing import NDArray

from kuffin.core.compare.evidence import CandidateResult, Comparison, MountValue, PairResult
from kuffin.core.compare.judging import chances_of_best, group_letters, mounts_needed, pair_verdict, sample_counts
from kuffin.core.compare.linear import LinearFit
from kuffin.core.ranges import dunnett_critical, dunnett_p, even_correlation, tukey_critical, tukey_p
from kuffin.core.student import t_quantile


def compare_pooled(
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
    """All pairs, or all against a reference, from a linear fit with one spread for all candidates."""
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
        verdict = pair_verdict(low, high, narrow, margin, difference)
        p = p_of(difference / se, place) if se > 0 else (1.0 if difference == 0 else 0.0)
        needed = mounts_needed(difference, fit.sd, margin, confidence, critical) if verdict == "unsettled" else None
        pairs.append(PairResult(names[a], names[b], difference, low, high, p, verdict, needed, *narrow, se, df))
    half = t_quantile(0.5 + confidence / 2, df) * fit.sd * np.sqrt(np.diag(fit.unscaled))
    chances = chances_of_best(fit.means, fit.covariance, df, better)
    letters = None if reference is not None else group_letters(names, fit.means, pairs, confidence, better)
    samples = sample_counts(names, mounts)
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
