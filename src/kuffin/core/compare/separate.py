"""Each candidate keeps its own spread: Welch for two, Games–Howell for more."""

from __future__ import annotations

from dataclasses import replace
from itertools import combinations

import numpy as np
from numpy.typing import NDArray

from kuffin.core.base.language import tr
from kuffin.core.base.ranges import tukey_critical, tukey_p
from kuffin.core.base.student import t_quantile
from kuffin.core.compare.evidence import CandidateResult, Comparison
from kuffin.core.compare.judging import DRAWS, group_letters, judged_pair, mounts_needed
from kuffin.core.compare.mounttable import CompareOptions, MountTable

Array = NDArray[np.float64]


def compare_separate(table: MountTable, asked: CompareOptions, warnings: list[str]) -> Comparison:
    """All pairs of candidates that keep their own means and spreads, with Welch's degrees of freedom each."""
    names, y, index, mounts = table.names, table.y, table.index, table.mounts
    margin, confidence, better = asked.margin, asked.confidence, asked.better
    k = len(names)
    groups = [y[index == i] for i in range(k)]
    n = np.array([g.size for g in groups], float)
    means, variances = np.array([g.mean() for g in groups]), np.array([g.var(ddof=1) for g in groups])
    if np.any(variances == 0):
        warnings.append(
            tr("some mounts of a candidate do not scatter at all; check that they are different recordings")
        )
    share = variances / n
    pairs = []
    for a, b in combinations(range(k), 2):
        difference = float(means[a] - means[b])
        se = float(np.sqrt(share[a] + share[b]))
        df = (
            se**4 / float(share[a] ** 2 / (n[a] - 1) + share[b] ** 2 / (n[b] - 1)) if se > 0 else float(n[a] + n[b] - 2)
        )
        wide, narrow_c = tukey_critical(confidence, k, df), tukey_critical(2 * confidence - 1, k, df)
        p = tukey_p(difference / se, k, df) if se > 0 else (1.0 if difference == 0 else 0.0)
        both = float(np.sqrt((variances[a] + variances[b]) / 2))
        pair = judged_pair(names[a], names[b], difference, se, df, wide, narrow_c, p, margin, None)
        if not pair.settled:
            # Welch's degrees of freedom for each mount more, at these spreads
            squares = float(variances[a] ** 2 + variances[b] ** 2)
            each = float((variances[a] + variances[b]) ** 2 / squares) if squares > 0 else float(k)

            def later(level: float, m: int, each: float = each) -> float:
                return tukey_critical(level, k, float(f"{each * (m - 1):.2g}"))  # an estimate: two figures do

            pair = replace(pair, mounts_needed=mounts_needed(difference, both, margin, confidence, later))
        pairs.append(pair)
    rng = np.random.default_rng(20)
    draws = means + rng.standard_t(n - 1, (DRAWS, k)) * np.sqrt(share)
    best = draws.argmin(axis=1) if better == "lower" else draws.argmax(axis=1)
    chances = np.bincount(best, minlength=k) / DRAWS
    letters = group_letters(names, means, pairs, confidence, better)
    samples = table.samples
    candidates = tuple(
        CandidateResult(
            name=name,
            mounts=int(n[i]),
            samples=samples[name],
            mean=float(means[i]),
            se=float(np.sqrt(share[i])),
            t=t_quantile(0.5 + confidence / 2, n[i] - 1),
            weights=tuple(((index == i) / n[i]).tolist()),
            group=letters[i],
            p_best=float(chances[i]),
            sd=float(np.sqrt(variances[i])),
        )
        for i, name in enumerate(names)
    )
    residuals = y - means[index]
    with np.errstate(all="ignore"):
        studentized = residuals / np.sqrt(variances[index] * (1 - 1 / n[index]))
    return Comparison(
        method=tr("Welch on mount means") if k == 2 else tr("Games-Howell on mount means"),
        confidence=confidence,
        margin=margin,
        better=better,
        sd=None,
        df=None,
        candidates=candidates,
        pairs=tuple(pairs),
        components=(),
        mounts=tuple(mounts),
        residuals=residuals,
        studentized=np.where(np.isfinite(studentized), studentized, np.nan),
        warnings=tuple(warnings),
    )
