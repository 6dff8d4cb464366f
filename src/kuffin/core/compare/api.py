"""Compare candidates: the one door."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import replace

import numpy as np
from numpy.typing import NDArray

from kuffin.core.base.errors import CompareError
from kuffin.core.base.language import counted, mark, tr
from kuffin.core.compare.evidence import Comparison, MountValue
from kuffin.core.compare.held import with_bounds
from kuffin.core.compare.linear import LinearFit
from kuffin.core.compare.mixed import compare_mixed, sample_columns, sample_levels
from kuffin.core.compare.moderated import compare_moderated
from kuffin.core.compare.mounttable import CompareOptions, MountTable
from kuffin.core.compare.pooled import FLOOR_DF, compare_pooled
from kuffin.core.compare.separate import compare_separate
from kuffin.core.compare.spreads import unequal_spread

Array = NDArray[np.float64]

_NO_SCATTER = mark("the mounts do not scatter at all; check that they are different recordings")


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
    free: bool = False,
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
    spread : {'pooled', 'separate', 'moderated'}
        One for all candidates; each its own (Games–Howell), where rounds are not taken out; or each its own, drawn towards
        that of all (`kuffin.core.compare.moderated`).
    scope : {'products', 'samples'}
        With several samples of a candidate: whether the verdict is about the products, so that the samples' own scatter is
        in it, or about these samples, each with the same weight.

    free : bool
        Whether values that are only bounds are those of parts that met no limit, and so are better still.

    Raises
    ------
    CompareError

    Examples
    --------
    >>> values = {"Reed": (10.0, 10.2, 9.9), "Rush": (12.1, 11.9, 12.2)}
    >>> mounts = [
    ...     MountValue(candidate=name, mount=f"{name} {i}", value=x) for name, xs in values.items() for i, x in enumerate(xs)
    ... ]
    >>> found = compare(mounts, margin=0.5)
    >>> found.method, found.pairs[0].verdict
    ('Welch on mount means', 'a_lower')
    """
    table = MountTable(mounts, covariate_names)
    asked = CompareOptions(
        reference=reference, margin=margin, confidence=confidence, better=better, spread=spread, scope=scope
    )
    asked.check(table.names)
    if spread == "separate":
        _separate_goes(table, asked)
    warnings: list[str] = []
    if table.held.any():
        found = compare_pooled(table, asked, table.fit_beside_bounds(), warnings)
        return with_bounds(replace(found, residual_df=None), free)
    if not table.several_samples and (coarse := _beneath_the_readings(table, warnings)) is not None:
        return compare_pooled(table, asked, coarse, warnings, floor=coarse.sd)
    if (len(table.names) == 2 and table.plain and not table.several_samples) or spread == "separate":
        if table.counts.min() >= 2:
            return _each_its_own(table, asked, warnings)
        warnings.append(tr("one candidate has a single mount: both are taken to scatter alike"))
    if table.several_samples:
        return _with_samples(table, asked, warnings)
    wide = unequal_spread(table.y, table.design, table.index, table.names) if len(table.names) > 2 else None
    fit = table.fit()
    _say_no_scatter(table, fit, warnings)
    if wide is not None:
        warnings.append(wide.sentence())
    if spread == "moderated" and len(table.names) > 2:
        if table.counts.min() < 3:
            warnings.append(
                tr("with two mounts of a candidate, nobody can see whether it scatters more than the others")
            )
        moderated = compare_moderated(table, asked, fit, warnings)
        if moderated is not None:
            return replace(moderated, unequal=wide)
    elif wide is not None:
        warnings.append(
            tr(
                "one spread is shared by all: if {name} really scatters more, its intervals are too narrow and the others too wide",
                name=wide.name,
            )
        )
    return replace(compare_pooled(table, asked, fit, warnings), unequal=wide)


def _beneath_the_readings(table: MountTable, warnings: list[str]) -> LinearFit | None:
    """The fit with what the readings leave open for its scatter, where the mounts scatter by less; else None.

    Then the mounts show not their scatter but the readings' steps: whole degrees, say. A step is common to all mounts of a
    candidate, so that averaging takes nothing off it: each mean has the standard error u, however many its mounts.

    References
    ----------
    METHODS "The floor"; JCGM 101:2008, 6.4.3 (resolution).
    """
    halves = np.array([m.half if m.half is not None else np.nan for m in table.mounts])
    if not np.isfinite(halves).any():
        return None
    u = float(np.sqrt(np.nanmean(halves**2))) / 1.96
    fit = table.fit()
    if fit.sd >= u:
        return None
    warnings.append(
        tr(
            "the mounts scatter less ({sd:.2g}) than the readings themselves leave open ({u:.2g}): more mounts do not help, finer readings do",
            sd=fit.sd,
            u=u,
        )
    )
    return replace(fit, unscaled=np.eye(len(table.names)), sd=u, df=FLOOR_DF)


def _separate_goes(table: MountTable, asked: CompareOptions) -> None:
    """
    Raises
    ------
    CompareError
        Where each candidate cannot keep its own spread.
    """
    if not table.plain:
        raise CompareError("separate spreads go with neither rounds nor covariates; choose one of the two")
    if asked.reference is not None:
        raise CompareError("separate spreads go with all pairs only, not with a reference; choose one of the two")
    if table.several_samples:
        raise CompareError("separate spreads do not go with several samples; choose one of the two")
    if table.counts.min() < 2:
        name = table.names[int(table.counts.argmin())]
        raise CompareError("“{name}” has one mount only; a spread of its own takes two", name=name)


def _each_its_own(table: MountTable, asked: CompareOptions, warnings: list[str]) -> Comparison:
    found = compare_separate(table, asked, warnings)
    if asked.reference is None:
        return found
    # against a reference there are no ties to show
    candidates = tuple(replace(c, group=None) for c in found.candidates)
    return replace(found, candidates=candidates, reference=asked.reference)


def _say_no_scatter(table: MountTable, fit: LinearFit, warnings: list[str]) -> None:
    if table.does_not_scatter or fit.sd <= 1e-12 * max(1.0, float(np.abs(table.y).max())):
        warnings.append(tr(_NO_SCATTER))


def _with_samples(table: MountTable, asked: CompareOptions, warnings: list[str]) -> Comparison:
    """Several samples of a candidate: about these samples, or with their own scatter as a random effect."""
    if asked.scope == "samples":
        return _of_these_samples(table, asked)
    told, why = _samples_tell(table)
    if not told:
        warnings.append(why)
        fit = table.fit()
        _say_no_scatter(table, fit, warnings)
        return compare_pooled(table, asked, fit, warnings)
    mixed = compare_mixed(table, asked, warnings)
    if mixed is not None:
        return mixed
    few_df = float(max(sum(table.samples.values()) - len(table.names), 1))
    warnings.append(
        counted(
            round(few_df),
            "samples scatter no more than mounts of one sample do: their own scatter is put at 0, which few samples "
            "cannot prove, so the interval keeps the samples' own {n} degree of freedom",
            "samples scatter no more than mounts of one sample do: their own scatter is put at 0, which few samples "
            "cannot prove, so the interval keeps the samples' own {n} degrees of freedom",
        )
    )
    fit = table.fit()
    _say_no_scatter(table, fit, warnings)
    found = compare_pooled(table, asked, fit, warnings, few_df)
    return replace(found, components=(("sample", 0.0), *found.components))


def _of_these_samples(table: MountTable, asked: CompareOptions) -> Comparison:
    """Candidates as the plain means of their samples, which are taken as they are."""
    warnings: list[str] = []
    own = sample_columns(table.mounts)
    both = np.hstack([table.design, own])
    within: Array | None = own
    if np.linalg.matrix_rank(both) < both.shape[1] or both.shape[1] >= table.y.size:
        within = None
        warnings.append(
            tr("samples changed together with rounds, or have too few mounts, so their mounts are taken together")
        )
    return compare_pooled(table, asked, table.fit(within), warnings)


def _samples_tell(table: MountTable) -> tuple[bool, str]:
    """Whether scatter between samples can be told from scatter between mounts; if not, why."""
    y, design, mounts = table.y, table.design, table.mounts
    levels = sample_levels(mounts)
    both = np.hstack([design, np.equal.outer(levels, np.unique(levels)).astype(float)])
    rank_all, rank = int(np.linalg.matrix_rank(both)), int(np.linalg.matrix_rank(design))
    if rank_all == rank:
        return False, tr(
            "samples and rounds changed together, so the samples' own scatter cannot be seen; "
            "the verdict is about these samples"
        )
    if rank_all >= y.size:
        return False, tr(
            "each sample has one mount, so scatter between samples and between mounts cannot be told apart; "
            "the interval holds both together"
        )
    within = y - both @ np.linalg.lstsq(both, y, rcond=None)[0]
    if float(np.ptp(y)) > 0 and float(np.abs(within).max()) <= 1e-9 * float(np.ptp(y)):
        return False, tr("the mounts of each sample do not scatter at all; check that they are different recordings")
    return float(np.ptp(y)) > 0, tr(_NO_SCATTER)
