"""What is compared, laid out for the models, and how it shall be compared."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass, replace
from functools import cached_property

import numpy as np
from numpy.typing import NDArray

from kuffin.core.base.errors import CompareError
from kuffin.core.compare.evidence import MountValue
from kuffin.core.compare.judging import sample_counts
from kuffin.core.compare.linear import LinearFit, design_matrix, fit_linear

Array = NDArray[np.float64]


@dataclass(frozen=True, kw_only=True)
class CompareOptions:
    """How a comparison shall be made; see `kuffin.core.compare.compare`."""

    reference: str | None
    margin: float | None
    confidence: float
    better: str
    spread: str
    scope: str

    def check(self, names: Sequence[str]) -> None:
        """
        Raises
        ------
        CompareError
            What makes no sense, or does not go with these candidates.
        """
        if not 0.5 < self.confidence < 1:
            raise CompareError(
                "a confidence of {confidence:g} makes no sense here; choose one between 0.5 and 1, such as 0.95",
                confidence=self.confidence,
            )
        if self.margin is not None and not self.margin > 0:
            raise CompareError(
                "a margin of {margin:g} makes no sense; it is the smallest difference that matters, so above 0",
                margin=self.margin,
            )
        if len(names) < 2:
            raise CompareError(
                "there is only one candidate to compare; add mounts of another"
                if names
                else "there are no mounts to compare; add logs, or take one back in"
            )
        if self.reference is not None and self.reference not in names:
            raise CompareError(
                "the reference “{reference}” has no mounts; it is one of {names}",
                reference=self.reference,
                names=", ".join(names),
            )


@dataclass(frozen=True)
class MountTable:
    """The mounts of a comparison as the models take them; candidates in the order in which they appear."""

    mounts: Sequence[MountValue]
    covariate_names: Sequence[str] = ()

    @cached_property
    def names(self) -> list[str]:
        """The candidates, in the order of their first mounts."""
        return list(dict.fromkeys(m.candidate for m in self.mounts))

    @cached_property
    def y(self) -> Array:
        """The mounts' values, shape (n,)."""
        return np.array([m.value for m in self.mounts], float)

    @cached_property
    def index(self) -> NDArray[np.int64]:
        """Each mount's candidate, 0 to k − 1, shape (n,)."""
        return np.array([self.names.index(m.candidate) for m in self.mounts])

    @cached_property
    def counts(self) -> NDArray[np.int64]:
        """How many mounts each candidate has, shape (k,)."""
        return np.bincount(self.index, minlength=len(self.names))

    @cached_property
    def samples(self) -> dict[str, int]:
        """How many samples each candidate was measured with, at least one."""
        return sample_counts(self.names, self.mounts)

    @property
    def several_samples(self) -> bool:
        """Whether any candidate was measured on more than one sample."""
        return any(many > 1 for many in self.samples.values())

    @cached_property
    def rounds(self) -> list[str] | None:
        """Each mount's round, blank where it has none; None where no mount has one."""
        return [m.round or "" for m in self.mounts] if any(m.round for m in self.mounts) else None

    @cached_property
    def covariates(self) -> Array | None:
        """Shape (n, c), None where there are none."""
        return np.array([m.covariates for m in self.mounts], float) if self.mounts[0].covariates else None

    @property
    def plain(self) -> bool:
        """Whether nothing but the candidate is to be fitted."""
        return self.covariates is None and (self.rounds is None or len(set(self.rounds)) < 2)

    @property
    def does_not_scatter(self) -> bool:
        """Whether all readings are the same to the last digit."""
        return float(np.ptp(self.y)) == 0

    @cached_property
    def design(self) -> Array:
        """The fixed effects' columns; see `design_matrix`."""
        return design_matrix(self.index, len(self.names), self.rounds, self.covariates, self.covariate_names)

    @cached_property
    def held(self) -> NDArray[np.bool_]:
        """Which mounts' values are only bounds, shape (n,)."""
        return np.array([m.held for m in self.mounts], bool)

    def fit_beside_bounds(self) -> LinearFit:
        """The fit in which the scatter is that of the mounts whose values are no bounds: the others stand at one limit.

        Where their rounds leave nothing to judge it by, what rounds add stays in the scatter.

        Raises
        ------
        CompareError
            Where nothing is left to judge it by.
        """
        fit, free = self.fit(), ~self.held
        y = self.y[free]
        by_candidate = (self.index[free][:, None] == np.arange(len(self.names))).astype(float)
        for design in (self.design[free], by_candidate):
            df = float(y.size - np.linalg.matrix_rank(design)) if y.size else 0.0
            if df >= 1:
                break
        else:
            raise CompareError(
                "too few mounts have values that are no bounds to judge the scatter by; compare by something that no limit touches"
            )
        residuals = y - design @ np.linalg.lstsq(design, y, rcond=None)[0]
        return replace(fit, sd=float(np.sqrt(residuals @ residuals / df)), df=df)

    def fit(self, within: Array | None = None) -> LinearFit:
        """Least squares; see `fit_linear`."""
        return fit_linear(
            self.y, self.index, len(self.names), self.rounds, self.covariates, self.covariate_names, within
        )
