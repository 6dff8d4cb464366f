"""The linear model of a study: y = candidate + round + covariates + mount."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from kuffin.core.base.errors import CompareError

Array = NDArray[np.float64]


@dataclass(frozen=True, kw_only=True)
class LinearFit:
    """Least-squares means of the candidates.

    Attributes
    ----------
    means : ndarray, shape (k,)
        Adjusted to the mounts' mean covariates, each round with the same weight.
    unscaled : ndarray, shape (k, k)
        Their covariance over σ².
    sd, df : float
        Residual standard deviation and degrees of freedom.
    residuals, leverage : ndarray, shape (n,)
    weights : ndarray, shape (k, n)
        By which the mounts go into each mean.
    """

    means: Array
    unscaled: Array
    sd: float
    df: float
    residuals: Array
    leverage: Array
    weights: Array

    @property
    def covariance(self) -> Array:
        """Of the coefficients, shape (coefficients, coefficients)."""
        return self.unscaled * self.sd**2

    @property
    def studentized(self) -> Array:
        """Externally studentized residuals (NaN where a mount determines its own fit).

        Source: R. D. Cook and S. Weisberg, *Residuals and Influence in Regression* (1982), section 2.2.
        """
        rest = 1 - self.leverage
        with np.errstate(all="ignore"):
            inner = self.residuals / (self.sd * np.sqrt(rest))
            out = inner * np.sqrt((self.df - 1) / (self.df - inner**2))
        return np.where((rest > 1e-9) & np.isfinite(out), out, np.nan)


def fit_linear(
    y: Array,
    candidate: NDArray[np.int64],
    k: int,
    rounds: Sequence[str] | None = None,
    covariates: Array | None = None,
    covariate_names: Sequence[str] = (),
    within: Array | None = None,
) -> LinearFit:
    """Fit the model by least squares.

    Parameters
    ----------
    y : ndarray, shape (n,)
        One value for each mount.
    candidate : ndarray of int, shape (n,)
        0 to k − 1.
    rounds : sequence of str, length n, optional
    covariates : ndarray, shape (n, c), optional
    within : ndarray, shape (n, s), optional
        Further columns that sum to nought within each candidate, such as its samples.

    Raises
    ------
    CompareError
        Where rounds and candidates are confounded, a covariate is constant, or nothing is left to judge scatter by.

    Notes
    -----
    Candidates are coded one column each; rounds with weights that sum to nought and covariates about their mean, so the
    candidates' coefficients are the least-squares means (S. R. Searle, F. M. Speed and G. A. Milliken, The American
    Statistician 34 (1980), 216–221).

    >>> fit_linear(np.array([1.0, 1.2, 3.0, 3.2]), np.array([0, 0, 1, 1]), 2).df
    2.0
    """
    design = design_matrix(candidate, k, rounds, covariates, covariate_names)
    if within is not None and within.size:
        design = np.hstack([design, within])
    n = y.size
    df = n - design.shape[1]
    if df < 1:
        raise CompareError(
            "{n} mounts leave nothing to judge the scatter by ({fitted} quantities are fitted); make at least one more mount, or fit fewer",
            n=n,
            fitted=design.shape[1],
        )
    q, r = np.linalg.qr(design)
    r_inverse = np.linalg.inv(r)
    coefficients = r_inverse @ (q.T @ y)
    residuals = y - design @ coefficients
    unscaled = (r_inverse @ r_inverse.T)[:k, :k]
    sd = float(np.sqrt(residuals @ residuals / df))
    return LinearFit(
        means=coefficients[:k],
        unscaled=unscaled,
        sd=sd,
        df=float(df),
        residuals=residuals,
        leverage=np.asarray((q**2).sum(axis=1), float),
        weights=(r_inverse @ q.T)[:k],
    )


def design_matrix(
    candidate: NDArray[np.int64],
    k: int,
    rounds: Sequence[str] | None = None,
    covariates: Array | None = None,
    covariate_names: Sequence[str] = (),
) -> Array:
    """The fixed effects' columns, the candidates' first; their coefficients are the least-squares means.

    Returns
    -------
    ndarray, shape (n, k + rounds − 1 + covariates)

    Raises
    ------
    CompareError
        Where rounds and candidates are confounded, or a covariate is constant or says nothing more.

    >>> design_matrix(np.array([0, 1, 0, 1]), 2, ["1", "1", "2", "2"])[:, 2].tolist()
    [1.0, 1.0, -1.0, -1.0]
    """
    parts = [np.eye(k)[candidate]]
    if rounds is not None:
        names = list(dict.fromkeys(rounds))
        if len(names) > 1:
            index = np.array([names.index(r) for r in rounds])
            effects = np.vstack((np.eye(len(names) - 1), -np.ones(len(names) - 1)))
            parts.append(effects[index])
            if np.linalg.matrix_rank(np.hstack(parts)) < k + len(names) - 1:
                raise CompareError(
                    "rounds and candidates cannot be told apart: some candidates share no round with the others, even by way of a third; compare without rounds, or mount them together once more"
                )
    if covariates is not None and covariates.size:
        for j in range(covariates.shape[1]):
            spread = float(np.ptp(covariates[:, j]))
            if spread <= 1e-9 * max(1.0, float(np.abs(covariates[:, j]).max())):
                name = covariate_names[j] if j < len(covariate_names) else f"covariate {j + 1}"
                raise CompareError(
                    "“{name}” is the same in all mounts, so it cannot be adjusted for; leave it out", name=name
                )
        before = np.linalg.matrix_rank(np.hstack(parts))
        centred = covariates - covariates.mean(axis=0)
        parts.append(centred / centred.std(axis=0))
        if np.linalg.matrix_rank(np.hstack(parts)) < before + covariates.shape[1]:
            raise CompareError(
                "the covariates say nothing beyond candidates and rounds (or repeat each other); leave one out"
            )
    return np.hstack(parts)
