"""Compare candidates: the one door."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import replace

import numpy as np

from kuffin.core.compare.evidence import Comparison, MountValue
from kuffin.core.compare.linear import fit_linear
from kuffin.core.compare.pooled import compare_pooled
from kuffin.core.compare.separate import compare_separate
from kuffin.core.errors import CompareError


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
            found = compare_separate(names, y, index, mounts, margin, confidence, better, warnings)
            if reference is None:
                return found
            # against a reference there are no ties to show
            return replace(found, candidates=tuple(replace(c, group=None) for c in found.candidates))
        warnings.append("one candidate has a single mount: both are taken to scatter alike")
    fit = fit_linear(y, index, len(names), rounds, covariates, covariate_names)
    if float(np.ptp(y)) == 0 or fit.sd <= 1e-12 * max(1.0, float(np.abs(y).max())):
        warnings.append("the mounts do not scatter at all; check that they are different recordings")
    return compare_pooled(names, fit, counts, mounts, reference, margin, confidence, better, warnings)
