"""Variance components by restricted maximum likelihood, and what they leave uncertain about fixed effects."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

Array = NDArray[np.float64]

_NOTHING = 1e-10  # a component's share of the residual variance below which it is nought


@dataclass(frozen=True, kw_only=True)
class Reml:
    """A fitted model y = X·β + Σ Zᵢ·bᵢ + e.

    Attributes
    ----------
    beta : ndarray, shape (p,)
    plain : ndarray, shape (p, p)
        The covariance of β with the variances taken for known.
    covariance : ndarray, shape (p, p)
        The same with Kenward and Roger's allowance for their being estimated.
    sds : tuple of float
        Standard deviation of each random effect, and of the residual last.
    changes : tuple of ndarray, each (p, p)
        How `plain` changes with each variance that is not nought.
    variance_covariance : ndarray
        Covariance of those variances, from their expected information.
    residuals, leverage : ndarray, shape (n,)
        About the fixed effects.
    weights : ndarray, shape (p, n)
        By which the rows go into each coefficient.
    converged : bool
    """

    beta: Array
    plain: Array
    covariance: Array
    sds: tuple[float, ...]
    changes: tuple[Array, ...]
    variance_covariance: Array
    residuals: Array
    leverage: Array
    weights: Array
    converged: bool

    def se_df(self, contrast: Array) -> tuple[float, float]:
        """Standard error of a contrast of β, and its degrees of freedom.

        For one contrast, Kenward and Roger's degrees of freedom are Satterthwaite's with the expected information:
        ``2·(l'Φl)² / (g'Wg)``, g being the derivatives of l'Φl by the variances.
        """
        known = float(contrast @ self.plain @ contrast)
        gradient = np.array([contrast @ c @ contrast for c in self.changes])
        spread = float(gradient @ self.variance_covariance @ gradient)
        df = 2 * known**2 / spread if spread > 0 else np.inf
        return float(np.sqrt(max(float(contrast @ self.covariance @ contrast), 0.0))), df


def fit_reml(y: Array, x: Array, groups: Sequence[NDArray[np.int64]]) -> Reml:
    """Fit a mixed model by REML.

    Parameters
    ----------
    y : ndarray, shape (n,)
    x : ndarray, shape (n, p)
        Of full rank, with n > p.
    groups : sequence of ndarray of int, shape (n,)
        For each random effect, which of its levels each row belongs to.

    References
    ----------
    M. G. Kenward and J. H. Roger, "Small sample inference for fixed effects from restricted maximum likelihood",
    Biometrics 53 (1997), 983–997; the covariances are linear in the variances, so that its second derivatives vanish.

    >>> y = np.array([1.0, 1.2, 3.0, 3.2])
    >>> fit = fit_reml(y, np.ones((4, 1)), [np.array([0, 0, 1, 1])])
    >>> fit.beta.round(2)
    array([2.1])
    """
    n = y.size
    z: list[Array] = [np.asarray(g[:, None] == np.unique(g)[None, :], float) for g in groups]
    size = max(float(np.std(y - x @ np.linalg.lstsq(x, y, rcond=None)[0])), 1e-300)
    made = [m @ m.T for m in z] + [np.eye(n)]
    variances, converged = _variances(y / size, x, made)
    keep = [i for i, v in enumerate(variances) if v > 0 or i == len(z)]
    inverse = np.linalg.inv(_sum(variances[keep], [made[i] for i in keep]))
    phi = np.asarray(np.linalg.inv(x.T @ inverse @ x), float)
    beta = phi @ x.T @ inverse @ y
    p = [-x.T @ inverse @ made[i] @ inverse @ x for i in keep]
    within = [[inverse @ made[i] @ inverse @ made[j] @ inverse for j in keep] for i in keep]
    q = [[x.T @ w @ x for w in row] for row in within]
    information = np.array(
        [
            [
                0.5
                * (
                    np.sum((inverse @ made[i]) * (inverse @ made[j]).T)
                    - 2 * np.trace(phi @ q[a][b])
                    + np.trace(phi @ p[a] @ phi @ p[b])
                )
                for b, j in enumerate(keep)
            ]
            for a, i in enumerate(keep)
        ]
    )
    w = np.linalg.pinv(information)
    inner = sum(w[a, b] * (q[a][b] - p[a] @ phi @ p[b]) for a in range(len(keep)) for b in range(len(keep)))
    adjusted = phi + 2 * phi @ inner @ phi
    scale = size**2
    return Reml(
        beta=beta,
        plain=np.asarray(phi * scale, float),
        covariance=np.asarray(adjusted * scale, float),
        sds=tuple(float(np.sqrt(v) * size) for v in variances),
        changes=tuple(-phi @ a @ phi * scale for a in p),
        variance_covariance=np.asarray(w, float),
        residuals=y - x @ beta,
        leverage=np.asarray(np.diag(x @ phi @ x.T @ inverse), float),
        weights=np.asarray(phi @ x.T @ inverse, float),
        converged=converged,
    )


def _sum(weights: Array, matrices: Sequence[Array]) -> Array:
    return np.asarray(np.tensordot(weights, np.stack(matrices), axes=1), float)


def _variances(y: Array, x: Array, made: list[Array]) -> tuple[Array, bool]:
    """The variances that maximise the restricted likelihood, none below nought.

    The relative standard deviations are sought first (D. Bates and others, Journal of Statistical Software 67 (2015),
    1–48); the variances are then brought home by Fisher scoring.
    """
    from scipy.optimize import minimize  # heavy, and only needed with several samples

    n, p = x.shape

    def deviance(relative: Array) -> float:
        v = _sum(np.append(relative**2, 1.0), made)
        lower = np.linalg.cholesky(v)
        wx, wy = np.linalg.solve(lower, x), np.linalg.solve(lower, y)
        q, r = np.linalg.qr(wx)
        rest = wy - q @ (q.T @ wy)
        free = n - p
        return float(
            2 * np.log(np.diag(lower)).sum()
            + 2 * np.log(np.abs(np.diag(r))).sum()
            + free * np.log(max(rest @ rest / free, 1e-300))
        )

    m = len(made) - 1
    best = None
    for start in (0.7, 3.0, 0.1) if m else ():
        found = minimize(deviance, np.full(m, start), method="L-BFGS-B", bounds=[(0.0, 1e4)] * m)
        if best is None or found.fun < best.fun - 1e-9:
            best = found
    # without random effects it is plain least squares
    relative = np.zeros(0) if best is None else np.where(np.asarray(best.x) ** 2 < 1e-8, 0.0, best.x)
    for i in range(m):  # nought is as good: then it is nought
        without = relative.copy()
        without[i] = 0.0
        if relative[i] > 0 and deviance(without) <= deviance(relative) + 1e-10:
            relative = without
    v = _sum(np.append(relative**2, 1.0), made)
    inverse = np.linalg.inv(v)
    project = inverse - inverse @ x @ np.linalg.solve(x.T @ inverse @ x, x.T @ inverse)
    residual = float(y @ project @ y / (n - p))
    variances = np.append(relative**2, 1.0) * residual
    return _scored(y, x, made, variances)


def _scored(y: Array, x: Array, made: list[Array], variances: Array) -> tuple[Array, bool]:
    keep = [i for i, v in enumerate(variances) if v > _NOTHING * variances[-1] or i == len(made) - 1]
    current = np.where(np.isin(np.arange(len(made)), keep), variances, 0.0)
    for _ in range(50):
        inverse = np.linalg.inv(_sum(current[keep], [made[i] for i in keep]))
        project = inverse - inverse @ x @ np.linalg.solve(x.T @ inverse @ x, x.T @ inverse)
        py = project @ y
        moved = [project @ made[i] for i in keep]
        score = np.array([-0.5 * np.trace(a) + 0.5 * py @ made[i] @ py for a, i in zip(moved, keep, strict=True)])
        information = np.array([[0.5 * np.sum(a * b.T) for b in moved] for a in moved])
        step = np.linalg.lstsq(information, score, rcond=None)[0]
        new = current[keep] + step
        short = 1.0
        while np.any(new <= 0) and short > 1e-6:
            short /= 2
            new = current[keep] + short * step
        if np.any(new <= 0):
            return current, False
        change = float(np.max(np.abs(new - current[keep]) / new))
        current[keep] = new
        if change < 1e-11:
            return current, True
    return current, change < 1e-5
