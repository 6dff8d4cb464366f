"""One spread for all candidates: least squares with Tukey–Kramer or Dunnett."""

from __future__ import annotations

from dataclasses import replace
from itertools import combinations

import numpy as np
from numpy.typing import NDArray

from kuffin.core.base.language import tr
from kuffin.core.base.ranges import dunnett_critical, dunnett_p, tukey_critical, tukey_ps
from kuffin.core.base.student import t_quantile
from kuffin.core.compare.evidence import CandidateResult, Comparison, blocks
from kuffin.core.compare.judging import chances_of_best, group_letters, judged_pair, mounts_needed
from kuffin.core.compare.linear import LinearFit
from kuffin.core.compare.mounttable import CompareOptions, MountTable
from kuffin.core.plan.design import Model

Array = NDArray[np.float64]

FLOOR_DF = 60.0  # how well it is known what readings leave open


def compare_pooled(
    table: MountTable,
    asked: CompareOptions,
    fit: LinearFit,
    warnings: list[str],
    df: float | None = None,
    floor: float | None = None,
) -> Comparison:
    """All pairs, or all against a reference, from a linear fit with one spread for all candidates.

    Parameters
    ----------
    df : float, optional
        Fewer degrees of freedom than the fit's, where more would promise too much.
    floor : float, optional
        What the readings leave open, where that is the fit's scatter: no number of mounts takes it away.
    """
    names, mounts, reference = table.names, table.mounts, asked.reference
    margin, confidence, better = asked.margin, asked.confidence, asked.better
    k, df = len(names), fit.df if df is None else min(df, fit.df)
    later = Model(k, blocks(mounts) > 1, reference is not None)
    if reference is None:
        places = list(combinations(range(k), 2))
        method = tr("Tukey-Kramer on mount means")

        def critical(level: float, n: int) -> float:
            return tukey_critical(level, k, df) if n == 0 else later.critical(level, later.df(n))

        def ps_of(t: Array) -> Array:
            return tukey_ps(t, k, df)
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
            return dunnett_critical(level, correlation, df) if n == 0 else later.critical(level, later.df(n))

        def ps_of(t: Array) -> Array:
            return np.array([dunnett_p(float(x), correlation, df) for x in t])

    wide, narrow_c = critical(confidence, 0), critical(2 * confidence - 1, 0)
    first, second = (np.array(side) for side in zip(*places, strict=True))
    differences = fit.means[first] - fit.means[second]
    variances = fit.unscaled[first, first] + fit.unscaled[second, second] - 2 * fit.unscaled[first, second]
    errors = fit.sd * np.sqrt(np.maximum(variances, 0.0))
    with np.errstate(all="ignore"):
        ratios = np.where(errors > 0, differences / errors, np.where(differences == 0, 0.0, np.inf))
    adjusted = ps_of(np.minimum(np.abs(ratios), 1e6))
    pairs = []
    for (a, b), difference, se, p in zip(places, differences.tolist(), errors.tolist(), adjusted.tolist(), strict=True):
        pair = judged_pair(names[a], names[b], difference, se, df, wide, narrow_c, p, margin, None)
        if not pair.settled and floor is None:
            pair = replace(pair, mounts_needed=mounts_needed(difference, fit.sd, margin, confidence, critical))
        pairs.append(pair)
    t = t_quantile(0.5 + confidence / 2, df)
    own_errors = fit.sd * np.sqrt(np.diag(fit.unscaled))
    chances = chances_of_best(fit.means, fit.covariance, df, better)
    letters = None if reference is not None else group_letters(names, fit.means, pairs, confidence, better)
    samples = table.samples
    candidates = tuple(
        CandidateResult(
            name=name,
            mounts=int(table.counts[i]),
            samples=samples[name],
            mean=float(fit.means[i]),
            se=float(own_errors[i]),
            t=t,
            weights=tuple(fit.weights[i].tolist()),
            group=None if letters is None else letters[i],
            p_best=chances[i],
        )
        for i, name in enumerate(names)
    )
    return Comparison(
        method=method,
        confidence=confidence,
        margin=margin,
        better=better,
        sd=fit.sd,
        df=df,
        candidates=candidates,
        pairs=tuple(pairs),
        components=(("mount", fit.sd),),
        mounts=tuple(mounts),
        residuals=fit.residuals,
        studentized=fit.studentized,
        warnings=tuple(warnings),
        reference=reference,
        residual_df=fit.df,
        floor=floor,
    )
