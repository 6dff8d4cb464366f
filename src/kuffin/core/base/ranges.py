"""Distributions of simultaneous comparison: the studentized range, and Dunnett's many-to-one t.

Both are double integrals of normal and chi densities; they are worked out by fixed Gauss–Legendre quadrature, fast
enough to be asked at every edit. Tests hold them against SciPy's own (slower) studentized range and against R's values.

References
----------
H. O. Lund and J. R. Lund, "Probabilities and upper quantiles for the studentized range", Applied Statistics 32
(1983), AS 190. C. W. Dunnett, JASA 50 (1955), 1096–1121.
"""

from __future__ import annotations

from collections.abc import Callable
from functools import lru_cache

import numpy as np
from numpy.typing import NDArray
from scipy import special

from kuffin.core.base.student import t_quantile, t_two_sided_p

Array = NDArray[np.float64]

_INNER_X, _INNER_W = np.polynomial.legendre.leggauss(64)
_OUTER_X, _OUTER_W = np.polynomial.legendre.leggauss(44)
_FINE_X, _FINE_W = np.polynomial.legendre.leggauss(120)
_Z = 8.75 * _INNER_X
_ZW = 8.75 * _INNER_W * np.exp(-(_Z**2) / 2) / np.sqrt(2 * np.pi)


@lru_cache(maxsize=256)
def _scale_nodes(df: float) -> tuple[Array, Array]:
    """Nodes and weights of s = √(χ²/df)."""
    if df > 25_000:
        return np.array([1.0]), np.array([1.0])
    low = 0.0 if df < 3 else float(np.sqrt(2 * special.gammaincinv(df / 2, 1e-15) / df))
    high = float(np.sqrt(special.chdtri(df, 1e-15) / df))
    if df < 5:
        # much of it lies near nought, where large quantiles are decided: the nodes are crowded there
        v = 0.5 * (_FINE_X + 1)
        s, step = high * v**4, 0.5 * _FINE_W * 4 * high * v**3
    else:
        s, step = low + (high - low) * 0.5 * (_OUTER_X + 1), 0.5 * (high - low) * _OUTER_W
    log_density = np.log(2.0) + df / 2 * np.log(df / 2) - special.gammaln(df / 2) + (df - 1) * np.log(s) - df * s**2 / 2
    return s, step * np.exp(log_density)


def _power(x: Array, n: int) -> Array:
    """x to a whole power by squaring: several times faster than the general power."""
    out: Array | None = None
    while n:
        if n & 1:
            out = x if out is None else out * x
        n >>= 1
        if n:
            x = x * x
    return np.ones_like(x) if out is None else out


def studentized_range_cdf(q: float, k: int, df: float) -> float:
    """P(Q ≤ q) for the range of k means over an independent estimate of their spread with df degrees of freedom."""
    return float(_range_cdf(np.array([q], float), k, df)[0])


def _range_cdf(q: Array, k: int, df: float) -> Array:
    """The same for many q at once, shape (m,)."""
    s, weight = _scale_nodes(float(df))
    lower = special.ndtr(_Z[None, None, :] - np.maximum(q, 0.0)[:, None, None] * s[None, :, None])
    inside = np.maximum(special.ndtr(_Z)[None, None, :] - lower, 0.0)
    inner = k * (_power(inside, k - 1) @ _ZW)
    return np.asarray(np.clip(inner @ weight, 0.0, 1.0), float)


def _quantile(cdf: Callable[[float], float], p: float) -> float:
    high = 4.0
    while cdf(high) < p:
        high *= 2
        if high > 1e5:
            return high
    return _root(lambda x: cdf(x) - p, 0.0, high)


def _root(f: Callable[[float], float], a: float, b: float, tolerance: float = 1e-10) -> float:
    """Regula falsi with the Illinois rule (M. Dowell and P. Jarratt, BIT 11 (1971)); f(a) < 0 < f(b)."""
    fa, fb = f(a), f(b)
    side = 0
    for _ in range(200):
        c = (fa * b - fb * a) / (fa - fb) if fa != fb else 0.5 * (a + b)
        fc = f(c)
        if abs(fc) < 1e-14 or abs(b - a) < tolerance:
            return c
        if fc > 0:
            b, fb = c, fc
            fa = fa / 2 if side == 1 else fa
            side = 1
        else:
            a, fa = c, fc
            fb = fb / 2 if side == -1 else fb
            side = -1
    return 0.5 * (a + b)


@lru_cache(maxsize=4096)
def tukey_critical(confidence: float, k: int, df: float) -> float:
    """The t-like critical value of all pairs of k means: q / √2.

    >>> round(tukey_critical(0.95, 3, 10.0), 3)
    2.741
    """
    if k == 2:
        return t_quantile(0.5 + confidence / 2, df)
    root2 = float(np.sqrt(2))
    # between the t of one pair and Bonferroni's of all
    low = 0.999 * t_quantile(0.5 + confidence / 2, df)
    high = 1.001 * t_quantile(1 - (1 - confidence) / (k * (k - 1)), df)

    def over(t: float) -> float:
        return studentized_range_cdf(t * root2, k, df) - confidence

    if np.isfinite(high) and over(low) < 0 < over(high):
        return _root(over, low, high, 1e-9 * high)
    return _quantile(lambda q: studentized_range_cdf(q, k, df), confidence) / root2


def tukey_p(t: float, k: int, df: float) -> float:
    """The adjusted p of a difference t standard errors from 0 among all pairs of k means.

    >>> round(tukey_p(3.877, 3, 10.0), 3)
    0.008
    """
    return float(tukey_ps(np.array([t], float), k, df)[0])


def tukey_ps(t: Array, k: int, df: float) -> Array:
    """The same for all pairs of a family at once, shape (m,).

    >>> np.round(tukey_ps(np.array([3.877, 1.0]), 3, 10.0), 3)
    array([0.008, 0.593])
    """
    if k == 2:
        return np.array([t_two_sided_p(float(x), df) for x in t])
    # in parts, so that forty candidates do not fill the memory
    parts = [_range_cdf(np.abs(t[i : i + 64]) * np.sqrt(2), k, df) for i in range(0, t.size, 64)]
    return np.asarray(np.clip(1 - np.concatenate(parts), 0.0, 1.0), float)


def _one_factor(correlation: Array) -> Array | None:
    """λ with ρᵢⱼ = λᵢ·λⱼ, None where the matrix has no such form."""
    m = correlation.shape[0]
    if m == 1:
        return np.zeros(1)
    if m == 2:
        r = float(correlation[0, 1])
        return np.array([np.sqrt(abs(r)), np.sqrt(abs(r)) * np.sign(r)])
    loads = np.empty(m)
    for i in range(m):
        j, k = [x for x in range(m) if x != i][:2]
        ratio = correlation[i, j] * correlation[i, k] / correlation[j, k] if correlation[j, k] else -1.0
        if not 0 <= ratio < 1:
            return None
        loads[i] = np.sqrt(ratio)
    made = np.outer(loads, loads)
    np.fill_diagonal(made, 1.0)
    return loads if float(np.abs(made - correlation).max()) < 1e-6 else None


def many_to_one_cdf(c: float, correlation: Array, df: float) -> float:
    """P(all |Tᵢ| ≤ c) for the multivariate t with that correlation and df.

    Parameters
    ----------
    c : float
    correlation : ndarray, shape (m, m)
    df : float
    """
    if c <= 0:
        return 0.0
    loads = _one_factor(correlation)
    if loads is None:
        return _box_probability(c, correlation, df)
    s, weight = _scale_nodes(float(df))
    rest = np.sqrt(1 - loads**2)
    product = np.ones((s.size, _Z.size))
    for load, r in zip(loads, rest, strict=True):
        centre = load * _Z[None, :] / r
        reach = c * s[:, None] / r
        product *= special.ndtr(centre + reach) - special.ndtr(centre - reach)
    return float(np.clip(weight @ (product @ _ZW), 0.0, 1.0))


@lru_cache(maxsize=8)
def _lattice(m: int) -> Array:
    """A rank-one lattice in m dimensions with a baker's fold, shape (m, n): the same for every bound, so that roots are smooth.

    Its steps are the fractional parts of square roots of primes (R. D. Richtmyer's rule; A. Genz, J. Comput. Graph. Statist. 1
    (1992), 141–149).
    """
    primes = [2, 3, 5, 7, 11, 13, 17, 19, 23, 29, 31, 37, 41, 43, 47, 53, 59, 61, 67, 71, 73, 79, 83, 89, 97]
    while len(primes) < m:
        primes.append(next(n for n in range(primes[-1] + 2, 10_000, 2) if all(n % p for p in primes)))
    steps = np.sqrt(np.array(primes[:m], float))[:, None] * np.arange(1, 8_192 + 1)[None, :]
    return np.asarray(np.clip(np.abs(2 * (steps % 1.0) - 1), 1e-12, 1 - 1e-12), float)


def _box_probability(c: float, correlation: Array, df: float) -> float:
    """The same by A. Genz's separation of variables, where the correlation is no product."""
    m = correlation.shape[0]
    root = np.linalg.cholesky(correlation + 1e-10 * np.eye(m))
    u = _lattice(m + 1)
    s = np.sqrt(special.chdtri(df, 1 - u[0]) / df) if df < 25_000 else np.ones(u.shape[1])
    y = np.empty((m, u.shape[1]))
    inside = np.ones(u.shape[1])
    for i in range(m):
        centre = root[i, :i] @ y[:i]
        low = special.ndtr((-c * s - centre) / root[i, i])
        width = special.ndtr((c * s - centre) / root[i, i]) - low
        inside *= width
        y[i] = special.ndtri(np.clip(low + u[i + 1] * width, 1e-15, 1 - 1e-15))
    return float(inside.mean())


def dunnett_critical(confidence: float, correlation: Array, df: float) -> float:
    """Critical value of Dunnett's comparisons with one reference.

    >>> round(dunnett_critical(0.95, even_correlation(2), 10.0), 2)
    2.57
    """
    if correlation.shape[0] == 1:
        return t_quantile(0.5 + confidence / 2, df)
    return _dunnett_critical(confidence, tuple(map(tuple, np.round(correlation, 10).tolist())), float(df))


@lru_cache(maxsize=1024)
def _dunnett_critical(confidence: float, rows: tuple[tuple[float, ...], ...], df: float) -> float:
    correlation = np.array(rows)
    if _one_factor(correlation) is not None:
        return _quantile(lambda c: many_to_one_cdf(c, correlation, df), confidence)
    start = t_quantile(0.5 + confidence / 2, df)
    top = t_quantile(1 - (1 - confidence) / 2 / correlation.shape[0], df)
    return _root(lambda c: many_to_one_cdf(c, correlation, df) - confidence, 0.98 * start, 1.02 * top, 1e-5)


def dunnett_p(t: float, correlation: Array, df: float) -> float:
    """The adjusted p of a comparison t standard errors from 0 among comparisons with one reference.

    >>> round(dunnett_p(2.57, even_correlation(2), 10.0), 2)
    0.05
    """
    if correlation.shape[0] == 1:
        return t_two_sided_p(t, df)
    return float(np.clip(1 - many_to_one_cdf(abs(t), correlation, df), 0.0, 1.0))


def even_correlation(m: int) -> Array:
    """Correlation of m comparisons with one reference where all have as many mounts: ½.

    >>> even_correlation(2).tolist()
    [[1.0, 0.5], [0.5, 1.0]]
    """
    return np.asarray(np.full((m, m), 0.5) + 0.5 * np.eye(m), float)
