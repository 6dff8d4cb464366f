"""Several samples of a candidate: samples as a random effect, with degrees of freedom for each pair."""

from __future__ import annotations

from collections.abc import Sequence
from itertools import combinations

import numpy as np
from numpy.typing import NDArray

from kuffin.core.base.language import tr
from kuffin.core.base.ranges import dunnett_critical, dunnett_p, tukey_critical, tukey_p
from kuffin.core.base.student import t_quantile
from kuffin.core.compare.evidence import CandidateResult, Comparison, MountValue
from kuffin.core.compare.judging import chances_of_best, group_letters, judged_pair, mounts_needed
from kuffin.core.compare.mounttable import CompareOptions, MountTable
from kuffin.core.compare.reml import Reml, fit_reml

Array = NDArray[np.float64]


def sample_levels(mounts: Sequence[MountValue]) -> NDArray[np.int64]:
    """Which sample each mount was made with, as a number; labels belong to their candidate. Shape (n,).

    >>> from kuffin.core.compare import MountValue
    >>> made = (("Reed", "A"), ("Reed", "B"), ("Rush", "A"))
    >>> sample_levels([MountValue(candidate=c, sample=s, mount=c + s, value=1.0) for c, s in made])
    array([0, 1, 2])
    """
    keys = [(m.candidate, m.sample or "") for m in mounts]
    order = {key: i for i, key in enumerate(dict.fromkeys(keys))}
    return np.array([order[key] for key in keys], np.int64)


def sample_columns(mounts: Sequence[MountValue]) -> Array:
    """Columns for samples within their candidate, with weights that sum to nought. Shape (n, samples − candidates).

    With them the candidates' coefficients are the plain means of their samples.
    """
    columns = []
    for name in dict.fromkeys(m.candidate for m in mounts):
        own = list(dict.fromkeys(m.sample for m in mounts if m.candidate == name))
        for sample in own[:-1]:
            columns.append(
                [
                    0.0 if m.candidate != name else 1.0 if m.sample == sample else -1.0 if m.sample == own[-1] else 0.0
                    for m in mounts
                ]
            )
    return np.array(columns, float).T.reshape(len(mounts), len(columns))


def compare_mixed(table: MountTable, asked: CompareOptions, warnings: list[str]) -> Comparison | None:
    """All pairs, or all against a reference, with samples as a random effect.

    Returns
    -------
    Comparison or None
        None where the samples' variance comes out at nought: the fixed model then says the same with less.
    """
    names, y, design, mounts = table.names, table.y, table.design, table.mounts
    reference, margin, confidence, better = asked.reference, asked.margin, asked.confidence, asked.better
    k = len(names)
    fit = fit_reml(y, design, [sample_levels(mounts)])
    sd_sample, sd_mount = fit.sds
    if sd_sample == 0:
        return None
    if not fit.converged:
        warnings.append(
            tr(
                "the scatter between samples and between mounts could not be told apart sharply; the interval rests on "
                "the best found"
            )
        )
    if reference is None:
        places = list(combinations(range(k), 2))
        correlation = None
        method = tr("Tukey-Kramer, samples as a random effect (REML, Kenward-Roger)")
    else:
        r = names.index(reference)
        places = [(min(r, i), max(r, i)) for i in range(k) if i != r]
        correlation = _many_to_one(fit, places, r, design.shape[1])
        method = tr(
            "Dunnett, against {reference}, samples as a random effect (REML, Kenward-Roger)", reference=reference
        )

    def critical(level: float, df: float) -> float:
        return tukey_critical(level, k, df) if correlation is None else dunnett_critical(level, correlation, df)

    samples = table.samples
    between = max(sum(samples.values()) - k, 1)
    pairs = []
    for a, b in places:
        line = np.zeros(design.shape[1])
        line[a], line[b] = 1.0, -1.0
        se, df = fit.se_df(line)
        df = min(df, 1e6)
        difference = float(fit.beta[a] - fit.beta[b])
        t = abs(difference) / se if se > 0 else (0.0 if difference == 0 else 1e6)
        p = tukey_p(t, k, df) if correlation is None else dunnett_p(t, correlation, df)
        # more mounts of the samples there are: the scatter between samples stays
        needed = mounts_needed(
            difference,
            sd_mount,
            margin,
            confidence,
            lambda level, n: critical(level, between),
            floor=sd_sample * float(np.sqrt(1 / samples[names[a]] + 1 / samples[names[b]])),
        )
        pairs.append(
            judged_pair(
                names[a],
                names[b],
                difference,
                se,
                df,
                critical(confidence, df),
                critical(2 * confidence - 1, df),
                p,
                margin,
                needed,
            )
        )
    candidates = []
    chances = chances_of_best(fit.beta[:k], fit.covariance[:k, :k], max(1.0, min(p.df for p in pairs)), better)
    letters = None if reference is not None else group_letters(names, fit.beta[:k], pairs, confidence, better)
    for i, name in enumerate(names):
        line = np.zeros(design.shape[1])
        line[i] = 1.0
        se, df = fit.se_df(line)
        candidates.append(
            CandidateResult(
                name=name,
                mounts=int(table.counts[i]),
                samples=samples[name],
                mean=float(fit.beta[i]),
                se=se,
                t=t_quantile(0.5 + confidence / 2, min(df, 1e6)),
                weights=tuple(fit.weights[i].tolist()),
                group=None if letters is None else letters[i],
                p_best=chances[i],
            )
        )
    with np.errstate(all="ignore"):
        inner = fit.residuals / np.sqrt(max(sd_sample**2 + sd_mount**2, 1e-300))
    return Comparison(
        method=method,
        confidence=confidence,
        margin=margin,
        better=better,
        sd=sd_mount,
        df=None,
        candidates=tuple(candidates),
        pairs=tuple(pairs),
        components=(("sample", sd_sample), ("mount", sd_mount)),
        mounts=tuple(mounts),
        residuals=fit.residuals,
        studentized=inner,
        warnings=tuple(warnings),
        reference=reference,
    )


def _many_to_one(fit: Reml, places: list[tuple[int, int]], reference: int, width: int) -> Array:
    contrasts = np.zeros((len(places), width))
    for row, (a, b) in enumerate(places):
        contrasts[row, a if b == reference else b], contrasts[row, reference] = 1.0, -1.0
    covariance = contrasts @ fit.covariance @ contrasts.T
    size = np.sqrt(np.diag(covariance))
    return np.asarray(covariance / np.outer(size, size), float)
