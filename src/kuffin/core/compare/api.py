"""Compare candidates: the one door."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import replace

import numpy as np
from numpy.typing import NDArray

from kuffin.core.base.errors import CompareError
from kuffin.core.compare.evidence import Comparison, MountValue
from kuffin.core.compare.judging import sample_counts
from kuffin.core.compare.linear import design_matrix, fit_linear
from kuffin.core.compare.mixed import compare_mixed, sample_columns, sample_levels
from kuffin.core.compare.pooled import compare_pooled
from kuffin.core.compare.separate import compare_separate
from kuffin.core.compare.spreads import unequal_spread

Array = NDArray[np.float64]


def compare(
    mounts: Sequence[MountValue],
    *,
    reference: str | None = None,
    margin: float | None = None,
    confidence: float = 0.95,
    better: str = "lower",
    spread: str = "pooled",
    covariate_names: Sequence[str] = (),
    scope: str = "products",
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
    spread : {'pooled', 'separate', 'as noticed'}
        One for all candidates; each its own (Games–Howell); or its own where one scatters more than chance allows, and the
        design lets it. Rounds are then not taken out: what they add stands in each candidate's own spread.
    scope : {'products', 'samples'}
        With several samples of a candidate: whether the verdict is about the products, so that the samples' own scatter is
        in it, or about these samples, each with the same weight.

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
    separate = spread == "separate"
    few_df: float | None = None
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
    several = sorted(n for n, many in sample_counts(names, mounts).items() if many > 1)
    if several and separate:
        raise CompareError("separate spreads do not go with several samples; choose one of the two")
    if (len(names) == 2 and plain and not several) or separate:
        if separate and counts.min() < 2:
            raise CompareError(f"“{names[int(counts.argmin())]}” has one mount only; a spread of its own takes two")
        if counts.min() >= 2:
            found = compare_separate(names, y, index, mounts, margin, confidence, better, warnings)
            if reference is None:
                return found
            # against a reference there are no ties to show
            return replace(
                found, candidates=tuple(replace(c, group=None) for c in found.candidates), reference=reference
            )
        warnings.append("one candidate has a single mount: both are taken to scatter alike")
    if several:
        if scope == "samples":
            return _of_these_samples(
                mounts,
                names,
                y,
                index,
                counts,
                rounds,
                covariates,
                covariate_names,
                reference,
                margin,
                confidence,
                better,
            )
        design = design_matrix(index, len(names), rounds, covariates, covariate_names)
        told, why = _samples_tell(y, design, mounts)
        if told:
            mixed = compare_mixed(names, y, design, counts, mounts, reference, margin, confidence, better, warnings)
            if mixed is not None:
                return mixed
            few_df = float(max(sum(sample_counts(names, mounts).values()) - len(names), 1))
            warnings.append(
                "samples scatter no more than mounts of one sample do: their own scatter is put at 0, which few samples "
                f"cannot prove, so the interval keeps the samples' own {few_df:g} degree{'' if few_df == 1 else 's'} of freedom"
            )
        else:
            warnings.append(why)
    fit = fit_linear(y, index, len(names), rounds, covariates, covariate_names)
    if float(np.ptp(y)) == 0 or fit.sd <= 1e-12 * max(1.0, float(np.abs(y).max())):
        warnings.append("the mounts do not scatter at all; check that they are different recordings")
    design = design_matrix(index, len(names), rounds, covariates, covariate_names)
    wide = None if several else unequal_spread(y, design, index, names)
    if wide is not None:
        if spread == "as noticed" and covariates is None and reference is None:
            warnings.append(
                f"{wide.sentence()}: each candidate keeps its own spread"
                + ("" if plain else ", with what the rounds add to it")
            )
            return replace(
                compare_separate(names, y, index, mounts, margin, confidence, better, warnings), unequal=wide
            )
        warnings.append(
            f"{wide.sentence()}, but one spread is shared by all: intervals with {wide.name} are too narrow, the others too "
            "wide; separate spreads would be right"
        )
    found = compare_pooled(names, fit, counts, mounts, reference, margin, confidence, better, warnings, few_df)
    found = replace(found, unequal=wide)
    if few_df is not None:
        found = replace(found, components=(("sample", 0.0), *found.components))
    return found


def _of_these_samples(
    mounts: Sequence[MountValue],
    names: list[str],
    y: Array,
    index: NDArray[np.int64],
    counts: NDArray[np.int64],
    rounds: list[str] | None,
    covariates: Array | None,
    covariate_names: Sequence[str],
    reference: str | None,
    margin: float | None,
    confidence: float,
    better: str,
) -> Comparison:
    """Candidates as the plain means of their samples, which are taken as they are."""
    warnings: list[str] = []
    design, own = design_matrix(index, len(names), rounds, covariates, covariate_names), sample_columns(mounts)
    both = np.hstack([design, own])
    within: Array | None = own
    if np.linalg.matrix_rank(both) < both.shape[1] or both.shape[1] >= y.size:
        within = None
        warnings.append(
            "samples changed together with rounds, or have too few mounts, so their mounts are taken together"
        )
    fit = fit_linear(y, index, len(names), rounds, covariates, covariate_names, within)
    return compare_pooled(names, fit, counts, mounts, reference, margin, confidence, better, warnings)


def _samples_tell(y: Array, design: Array, mounts: Sequence[MountValue]) -> tuple[bool, str]:
    """Whether scatter between samples can be told from scatter between mounts; if not, why."""
    levels = sample_levels(mounts)
    both = np.hstack([design, np.equal.outer(levels, np.unique(levels)).astype(float)])
    rank_all, rank = int(np.linalg.matrix_rank(both)), int(np.linalg.matrix_rank(design))
    if rank_all == rank:
        return False, (
            "samples and rounds changed together, so the samples' own scatter cannot be seen; "
            "the verdict is about these samples"
        )
    if rank_all >= y.size:
        return False, (
            "each sample has one mount, so scatter between samples and between mounts cannot be told apart; "
            "the interval holds both together"
        )
    within = y - both @ np.linalg.lstsq(both, y, rcond=None)[0]
    if float(np.ptp(y)) > 0 and float(np.abs(within).max()) <= 1e-9 * float(np.ptp(y)):
        return False, "the mounts of each sample do not scatter at all; check that they are different recordings"
    return float(np.ptp(y)) > 0, "the mounts do not scatter at all; check that they are different recordings"
