"""Each candidate keeps a spread of its own, drawn towards that of all: what few mounts tell of it is not taken at its word.

A spread that is shared by all is wrong for a candidate that scatters more (false "cooler" in 8 to 18 % where one scatters
three to five times as far); one of its own, from two or three mounts, costs a mount and more. Between the two stands a
moderated one: the mean of the candidate's own variance and of a usual one, weighted by degrees of freedom. The usual one is
the square of the candidates' mean standard deviation, so that a single candidate that scatters far does not make all others
look as if they did.
"""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import dataclass, replace
from itertools import combinations

import numpy as np
from numpy.typing import NDArray
from scipy import special

from kuffin.core.base.language import tr
from kuffin.core.base.ranges import dunnett_critical, dunnett_p, tukey_critical, tukey_ps
from kuffin.core.base.student import t_quantile
from kuffin.core.compare.evidence import CandidateResult, Comparison, Moderation, PairResult
from kuffin.core.compare.judging import chances_of_best, group_letters, judged_pair, mounts_needed
from kuffin.core.compare.linear import LinearFit
from kuffin.core.compare.mounttable import CompareOptions, MountTable

Array = NDArray[np.float64]

_PRIOR, _POWER = 1.2, 1.3  # ν0 = 1.2·((n − 1)/2)^1.3, n the candidate's mounts, three at least
_SEEN = 0.05  # a candidate with fewer degrees of freedom shows no scatter of its own


def prior_df(mounts: int) -> float:
    """The weight, in degrees of freedom, of the usual scatter beside a candidate's own.

    Chosen by drawn studies (3 to 8 candidates, 2 to 8 mounts, one of them scattering 1 to 5 times as far as the others,
    with rounds and without): false verdicts stay at 6 % or so for ratios up to 3 and under 8 % up to 5 from three mounts on, and
    equal spreads cost 0.2 to 0.4 of a mount (docs/methods.md, "Unequal scatter").

    >>> [round(prior_df(n), 1) for n in (2, 3, 5, 8)]
    [1.2, 1.2, 3.0, 6.1]
    """
    return float(_PRIOR * ((max(mounts, 3) - 1) / 2) ** _POWER)


@dataclass(frozen=True, kw_only=True)
class _Spreads:
    """Moderated variances, and how well they are known.

    Attributes
    ----------
    variances, own, own_df : ndarray, shape (k,)
    usual : float
        The variance that they are drawn towards.
    prior : ndarray, shape (k,)
        Its weight beside each one's own, in degrees of freedom.
    shares : ndarray, shape (k,)
        How much of it each candidate's own makes.
    """

    variances: Array
    own: Array
    own_df: Array
    usual: float
    shares: Array
    prior: Array

    def df(self, g: Array) -> float:
        """Degrees of freedom of Σ gᵢ·s̃ᵢ² (F. E. Satterthwaite, Biometrics Bulletin 2 (1946), 110–114).

        The usual variance is made of the own ones as well: what each candidate adds to the sum is counted once, in both.
        """
        seen = self.own_df > _SEEN
        pull = self.prior / (self.prior + self.own_df)
        adds = g * (1 - pull) * self.variances + self.shares * self.usual * float(g @ pull)
        total = float(g @ self.variances)
        unsure = float(np.sum(adds[seen] ** 2 / self.own_df[seen]))
        return total**2 / unsure if unsure > 0 else float(self.own_df.sum())


def spreads(residuals: Array, maker: Array, index: NDArray[np.int64], counts: NDArray[np.int64]) -> _Spreads | None:
    """Moderated variances from the residuals of a least-squares fit; None where fewer than two candidates show a scatter.

    Parameters
    ----------
    residuals : ndarray, shape (n,)
    maker : ndarray, shape (n, n)
        The matrix that makes them of the mounts' values.
    index : ndarray of int, shape (n,)
    counts : ndarray of int, shape (k,)
        Mounts of each candidate.

    References
    ----------
    G. K. Smyth, Statistical Applications in Genetics and Molecular Biology 3 (2004), article 3 (the moderated variance; here
    with a prior weight that is chosen, not estimated: a handful of candidates does not tell it). Own variances where rounds
    were taken out: the sums of squared residuals set equal to their expectations (C. R. Rao's MINQUE with equal weights,
    Journal of the American Statistical Association 65 (1970), 161–172).
    """
    k = counts.size
    member = np.equal.outer(np.arange(k), index).astype(float)
    squares, own_df = member @ residuals**2, member @ np.diag(maker)
    seen = own_df > _SEEN
    if int(seen.sum()) < 2:
        return None
    expected = member[seen] @ maker**2 @ member[seen].T
    own = np.zeros(k)
    own[seen] = np.maximum(np.linalg.lstsq(expected, squares[seen], rcond=None)[0], 0.0)
    unbiased = np.zeros(k)
    unbiased[seen] = np.sqrt(own[seen]) / usual_share(own_df[seen])
    usual = float(unbiased[seen].mean()) ** 2
    prior = np.array([prior_df(int(n)) for n in counts])
    own_df = np.where(seen, own_df, 0.0)
    variances = (prior * usual + own_df * own) / (prior + own_df)
    shares = unbiased / max(float(unbiased.sum()), 1e-300)
    return _Spreads(variances=variances, own=own, own_df=own_df, usual=usual, shares=shares, prior=prior)


def usual_share(df: Array) -> Array:
    """What a standard deviation with df degrees of freedom shows of the true one, on average.

    >>> np.round(usual_share(np.array([1.0, 2.0, 10.0])), 4)
    array([0.7979, 0.8862, 0.9754])
    """
    return np.asarray(np.exp(special.gammaln((df + 1) / 2) - special.gammaln(df / 2)) * np.sqrt(2 / df), float)


def own_scatter(values: list[Array]) -> list[tuple[float, float]] | None:
    """The moderated standard deviation and degrees of freedom of each group of values; None where two show none.

    >>> found = own_scatter([np.array([10.0, 10.2, 10.1]), np.array([12.0, 15.0, 9.0])])
    >>> [(round(s, 2), round(df, 1)) for s, df in found or []]
    [(1.07, 1.5), (2.6, 3.2)]
    """
    index = np.repeat(np.arange(len(values)), [v.size for v in values])
    counts = np.array([v.size for v in values])
    residuals = np.concatenate([v - v.mean() for v in values])
    member = np.equal.outer(index, index)
    maker = np.eye(index.size) - member / counts[index][:, None]
    found = spreads(residuals, maker, index, counts)
    if found is None:
        return None
    return [(float(np.sqrt(v)), found.df(row)) for v, row in zip(found.variances, np.eye(counts.size), strict=True)]


def compare_moderated(
    table: MountTable, asked: CompareOptions, fit: LinearFit, warnings: list[str]
) -> Comparison | None:
    """All pairs, or all against a reference, with moderated spreads; None where there are none to moderate."""
    names, k, reference = table.names, len(table.names), asked.reference
    margin, confidence, better = asked.margin, asked.confidence, asked.better
    q, _ = np.linalg.qr(table.design)
    found = spreads(fit.residuals, np.eye(table.y.size) - q @ q.T, table.index, table.counts)
    if found is None:
        return None
    of_each = found.variances[table.index]
    covariance = (fit.weights * of_each) @ fit.weights.T
    member = np.equal.outer(np.arange(k), table.index).astype(float)
    places = list(combinations(range(k), 2))
    if reference is not None:
        r = names.index(reference)
        places = [(min(r, i), max(r, i)) for i in range(k) if i != r]
    contrasts = np.zeros((len(places), k))
    for row, (a, b) in enumerate(places):
        contrasts[row, a], contrasts[row, b] = 1.0, -1.0
    differences = contrasts @ fit.means
    errors = np.sqrt(np.maximum(np.einsum("pi,ij,pj->p", contrasts, covariance, contrasts), 0.0))
    dfs = [_two_figures(min(found.df(member @ (c @ fit.weights) ** 2), fit.df)) for c in contrasts]
    with np.errstate(all="ignore"):
        ratios = np.where(errors > 0, differences / errors, np.where(differences == 0, 0.0, np.inf))
    ratios = np.minimum(np.abs(ratios), 1e6)
    if reference is None:
        method = tr("Tukey-Kramer on mount means, moderated spreads")
        ps = _tukey_by_df(ratios, k, dfs)

        def critical(level: float, df: float) -> float:
            return tukey_critical(level, k, df)
    else:
        method = tr("Dunnett on mount means, moderated spreads, against {name}", name=reference)
        signs = np.array([1.0 if names[a] != reference else -1.0 for a, _ in places])
        together = (contrasts @ covariance @ contrasts.T) * np.outer(signs, signs)
        size = np.sqrt(np.maximum(np.diag(together), 1e-300))
        correlation = together / np.outer(size, size)
        ps = np.array([dunnett_p(float(t), correlation, df) for t, df in zip(ratios, dfs, strict=True)])

        def critical(level: float, df: float) -> float:
            return dunnett_critical(level, correlation, df)

    pairs = []
    for (a, b), difference, se, df, p in zip(places, differences, errors, dfs, ps, strict=True):
        wide, narrow = critical(confidence, df), critical(2 * confidence - 1, df)
        pair = judged_pair(names[a], names[b], float(difference), float(se), df, wide, narrow, float(p), margin, None)
        pairs.append(_with_needed(pair, found, table, (a, b), asked, critical))
    each_df = [min(found.df(member @ w**2), fit.df) for w in fit.weights]
    letters = None if reference is not None else group_letters(names, fit.means, pairs, confidence, better)
    chances = chances_of_best(fit.means, covariance, _two_figures(float(np.mean(dfs))), better)
    candidates = tuple(
        CandidateResult(
            name=name,
            mounts=int(table.counts[i]),
            samples=table.samples[name],
            mean=float(fit.means[i]),
            se=float(np.sqrt(covariance[i, i])),
            t=t_quantile(0.5 + confidence / 2, each_df[i]),
            weights=tuple(fit.weights[i].tolist()),
            group=None if letters is None else letters[i],
            p_best=chances[i],
            sd=float(np.sqrt(found.variances[i])),
        )
        for i, name in enumerate(names)
    )
    return Comparison(
        method=method,
        confidence=confidence,
        margin=margin,
        better=better,
        sd=fit.sd,
        df=fit.df,
        candidates=candidates,
        pairs=tuple(pairs),
        components=(("mount", fit.sd),),
        mounts=tuple(table.mounts),
        residuals=fit.residuals,
        studentized=fit.studentized,
        warnings=tuple(warnings),
        reference=reference,
        residual_df=fit.df,
        moderation=Moderation(
            own=tuple(np.sqrt(found.own).tolist()),
            own_df=tuple(found.own_df.tolist()),
            usual=float(np.sqrt(found.usual)),
            prior_df=tuple(found.prior.tolist()),
        ),
    )


def _two_figures(df: float) -> float:
    """Rounded down to two figures, so that many pairs share a critical value, none too small a one."""
    step = 10.0 ** (np.floor(np.log10(max(df, 1e-9))) - 1)
    return max(float(np.floor(df / step + 1e-9) * step), 0.1)


def _tukey_by_df(ratios: Array, k: int, dfs: list[float]) -> Array:
    out, each = np.empty(ratios.size), np.array(dfs)
    for df in np.unique(each):
        out[each == df] = tukey_ps(ratios[each == df], k, float(df))
    return out


def _with_needed(
    pair: PairResult,
    found: _Spreads,
    table: MountTable,
    places: tuple[int, int],
    asked: CompareOptions,
    critical: Callable[[float, float], float],
) -> PairResult:
    """The pair with the mounts it would take, if it is open."""
    if pair.settled:
        return pair
    now = float(np.mean(table.counts[list(places)]))
    both = float(np.sqrt(np.mean(found.variances[list(places)])))

    def later(level: float, n: int) -> float:
        grown = pair.df if n == 0 else max(pair.df * (n - 1) / max(now - 1, 1.0), 1.0)
        return critical(level, _two_figures(grown))

    return replace(pair, mounts_needed=mounts_needed(pair.difference, both, asked.margin, asked.confidence, later))
