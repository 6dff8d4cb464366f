"""What one more round could still change."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from kuffin.core.compare.evidence import Comparison
from kuffin.core.compare.judging import standard_draws
from kuffin.core.plan.design import Model

Array = NDArray[np.float64]


@dataclass(frozen=True)
class NextRound:
    """Chances after one more mount of each candidate.

    Attributes
    ----------
    changes : mapping of (a, b) to float
        The chance that the pair's verdict is another one then.
    becomes : mapping of (a, b) to mapping of verdict to float
    leader : float
        The chance that another candidate has the best mean then.
    """

    changes: Mapping[tuple[str, str], float]
    becomes: Mapping[tuple[str, str], Mapping[str, float]]
    leader: float


def next_round(found: Comparison, confidence: float | None = None) -> NextRound:
    """Draw what one more mount of each candidate could bring.

    The scatter and the true means are drawn from what is known (flat prior), the new mounts from them; each draw is then
    judged as the study would be: with one scatter for all candidates, or with each candidate's own where it is so now.

    Parameters
    ----------
    confidence : float, optional
        The confidence in use at the next look; the present one without it.
    """
    level = found.confidence if confidence is None else confidence
    names = [c.name for c in found.candidates]
    k, n = len(names), np.array([c.mounts for c in found.candidates], float)
    means = np.array([c.mean for c in found.candidates])
    parts = dict(found.components)
    sd, df = found.scatter
    if sd <= 0 or df <= 0:
        sd, df = 1e-12, 1.0
    sample_sd = parts.get("sample", 0.0)
    samples = np.array([c.samples for c in found.candidates], float)
    rng = np.random.default_rng(22)
    draws = standard_draws(2 * k)[:4000]
    own = found.own_spreads
    # one scatter for all, or each candidate's own, with its own degrees of freedom
    sds = np.array([c.sd or 0.0 for c in found.candidates]) if own else np.full(k, sd)
    dfs = found.spread_dfs if own else np.full(k, df)
    stretch = (
        np.sqrt(dfs / rng.chisquare(dfs, (draws.shape[0], k)))
        if own
        else np.sqrt(df / rng.chisquare(df, (draws.shape[0], 1)))
    )
    sigma = sds * stretch
    true = means + draws[:, :k] * sigma / np.sqrt(n)
    new = true + draws[:, k:] * sigma
    later = (n * means + new) / (n + 1)
    moved = (new - means) ** 2 * n / (n + 1)
    blocked = found.rounds > 1
    model = Model(k, blocked, found.reference is not None)
    if own:
        variances = (dfs * sds**2 + moved) / (dfs + 1)
    else:
        df_later = df + k - blocked
        variances = np.repeat((df * sd**2 + moved.sum(axis=1, keepdims=True)) / df_later, k, axis=1)
    changes, becomes = {}, {}
    for pair in found.pairs:
        a, b = names.index(pair.a), names.index(pair.b)
        difference = later[:, a] - later[:, b]
        own_se = sample_sd**2 * (1 / samples[a] + 1 / samples[b])
        parts_of_se = variances[:, a] / (n[a] + 1), variances[:, b] / (n[b] + 1)
        se = np.sqrt(parts_of_se[0] + parts_of_se[1] + own_se)
        df_pair = float(np.median(_welch(*parts_of_se, dfs[a] + 1, dfs[b] + 1))) if own else df_later
        wide, narrow = model.critical(level, df_pair), model.critical(2 * level - 1, df_pair)
        verdict = np.full(difference.size, "unsettled", dtype="U9")
        apart = np.abs(difference) > wide * se
        verdict[apart & (difference < 0)] = "a_lower"
        verdict[apart & (difference > 0)] = "b_lower"
        if found.margin is not None:
            verdict[np.abs(difference) + narrow * se < found.margin] = "same"
        shares = {str(v): float(np.mean(verdict == v)) for v in np.unique(verdict)}
        becomes[(pair.a, pair.b)] = shares
        changes[(pair.a, pair.b)] = 1 - shares.get(pair.verdict, 0.0)
    best = later.argmin(axis=1) if found.better == "lower" else later.argmax(axis=1)
    now = int(means.argmin() if found.better == "lower" else means.argmax())
    return NextRound(changes, becomes, float(np.mean(best != now)))


def _welch(a: Array, b: Array, n_a: float, n_b: float) -> Array:
    """Welch's degrees of freedom after one more mount of each, from what each adds to the squared standard error."""
    return np.asarray((a + b) ** 2 / (a**2 / n_a + b**2 / n_b + 1e-300), float)
