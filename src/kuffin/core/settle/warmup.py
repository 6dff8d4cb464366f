"""Fit the way to equilibrium: slow traces (coolant over air) and fast ones (die over coolant).

*Slow*: y(t) = f·d(t) + A·e^(−t/τ) by variable projection over τ, where d is 1, or the power passed through the same
lag where the trace is asked for per watt.

*Fast*: y(t) = f + k·(x(t) − x∞) with the coolant x, 0 ≤ k ≤ 0.15, the power's departure from its trend taken out.

Source of the variable projection: G. H. Golub and V. Pereyra, SIAM J. Numer. Anal. 10 (1973); the models are those of
docs/methods.md, "Equilibrium".
"""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from kuffin.core.base.student import t_quantile
from kuffin.core.base.traces import inflation

Array = NDArray[np.float64]

TAUS = np.geomspace(30.0, 7200.0, 56)
K_MAX = 0.15
K_USUAL, K_SPREAD = 0.04, 0.04  # of die over coolant for each kelvin of coolant, with leaky silicon

# gives, for a time constant, the boxes' response with the air's lag taken off, and the drive
SlowData = Callable[[float], tuple[Array, Array]]


@dataclass(frozen=True, kw_only=True)
class WarmUp:
    """A fitted way to equilibrium.

    Attributes
    ----------
    final, final_se : float
        The level it points to, and its standard error with the residuals' autocorrelation.
    tau_s : float or None
        Time constant of a slow trace.
    transient : ndarray, shape (m,)
        What each box still has above its final level.
    left, left_se : float
        The transient at the end of the last box, and its standard error.
    residuals : ndarray, shape (m,)
    rss : float
    inflation : float
        Of the variance, by autocorrelation.
    df : float
    origin_s, amplitude : float
        Slow: transient(t) = amplitude·e^(−(t − origin_s)/τ).
    coupling : float
        Fast: kelvins for each kelvin of the coolant.
    drive : ndarray, shape (m,)
        What `final` is multiplied with to give the boxes.
    transient_se : float
        What the choice between models of the warm-up leaves open about its last quarter, on average.
    nuisance : float or ndarray, shape (m,)
        What the power's wandering adds to the boxes (fast traces).
    """

    final: float
    final_se: float
    tau_s: float | None
    transient: Array
    left: float
    left_se: float
    residuals: Array
    rss: float
    inflation: float
    df: float
    origin_s: float = 0.0
    amplitude: float = 0.0
    coupling: float = 0.0
    drive: Array | None = None
    transient_se: float = 0.0
    nuisance: Array | float = 0.0

    @property
    def n_eff(self) -> float:
        """How many samples the residuals are worth, as neighbours resemble one another."""
        return self.residuals.size / self.inflation

    @property
    def t95(self) -> float:
        """Student's factor of a 95 % interval, at the degrees of freedom those samples leave."""
        return float(t_quantile(0.975, max(self.df / self.inflation, 2.0)))


def _solve(basis: Array, y: Array) -> tuple[Array, Array, float]:
    """Least squares; coefficients, residuals, sum of squares."""
    coefficients, *_ = np.linalg.lstsq(basis, y, rcond=None)
    residuals = y - basis @ coefficients
    return np.asarray(coefficients, float), residuals, float(residuals @ residuals)


def fit_slow(t: Array, data: SlowData, end: float, taus: Array = TAUS) -> WarmUp:
    """Fit the slow model to boxes.

    Parameters
    ----------
    t : ndarray, shape (m,)
        Middles of the boxes, s.
    data : callable
        See `SlowData`; the response and the drive for a time constant, each of shape (m,).
    end : float
        The moment at which "still to go" is asked for.
    taus : ndarray
        Grid of time constants; the best is refined between its neighbours.
    """
    origin = float(t[0])

    def at(tau: float) -> tuple[float, Array, Array, Array, Array]:
        y, drive = data(tau)
        basis = np.column_stack((drive, np.exp(-(t - origin) / tau)))
        coefficients, residuals, rss = _solve(basis, y)
        return rss, coefficients, residuals, drive, y

    scores = [at(float(tau))[0] for tau in taus]
    best = int(np.argmin(scores))
    low, high = taus[max(0, best - 1)], taus[min(taus.size - 1, best + 1)]
    tau = _golden(lambda log_tau: at(float(np.exp(log_tau)))[0], np.log(low), np.log(high))
    tau = float(np.exp(tau))
    rss, (final, amplitude), residuals, drive, _ = at(tau)
    decay = np.exp(-(t - origin) / tau)
    # the derivative with respect to ln τ, with the lag's own dependence on τ, by difference
    y_up, d_up = data(tau * 1.01)
    y_here, _ = data(tau)
    by_tau = (-(y_up - y_here) / 0.01) + final * (d_up - drive) / 0.01 + amplitude * decay * (t - origin) / tau
    jacobian = np.column_stack((drive, decay, by_tau))
    df = max(t.size - 3.0, 1.0)
    ips = inflation(residuals)
    sigma2 = rss / df
    at_edge = best in {0, taus.size - 1}
    covariance = _covariance(jacobian, sigma2, drop_last=at_edge and best == 0)
    decay_end = float(np.exp(-(end - origin) / tau))
    towards = np.array([0.0, decay_end, amplitude * decay_end * (end - origin) / tau])
    left_var = float(towards @ covariance @ towards)
    return WarmUp(
        final=float(final),
        final_se=float(np.sqrt(max(covariance[0, 0], 0) * ips)),
        tau_s=tau,
        transient=amplitude * decay,
        left=float(amplitude * decay_end),
        left_se=float(np.sqrt(max(left_var, 0) * ips)),
        residuals=residuals,
        rss=rss,
        inflation=ips,
        df=df,
        origin_s=origin,
        amplitude=float(amplitude),
        coupling=0.0,
        drive=drive,
    )


def _covariance(jacobian: Array, sigma2: float, drop_last: bool) -> Array:
    n = jacobian.shape[1]
    used = jacobian[:, : n - 1] if drop_last else jacobian
    scale = np.sqrt((used**2).sum(axis=0))
    scale[scale == 0] = 1.0
    inverse = np.linalg.pinv((used / scale).T @ (used / scale), rcond=1e-12)
    out = np.zeros((n, n))
    k = used.shape[1]
    out[:k, :k] = inverse / np.outer(scale, scale) * sigma2
    return out


def _golden(f: Callable[[float], float], a: float, b: float, steps: int = 18) -> float:
    ratio = 0.6180339887498949
    c, d = b - ratio * (b - a), a + ratio * (b - a)
    fc, fd = f(c), f(d)
    for _ in range(steps):
        if fc < fd:
            b, d, fd = d, c, fc
            c = b - ratio * (b - a)
            fc = f(c)
        else:
            a, c, fc = c, d, fd
            d = a + ratio * (b - a)
            fd = f(d)
    return 0.5 * (a + b)


def power_departure(t: Array, x: Array | None, power: Array) -> Array | None:
    """What the power does besides following time and the coolant; None where that is nothing."""
    if t.size <= 8 or not np.isfinite(power).all():
        return None
    trend = np.column_stack((np.ones(t.size), t - t.mean(), *([x - x.mean()] if x is not None else [])))
    rest = power - trend @ np.linalg.lstsq(trend, power, rcond=None)[0]
    return rest if float(np.std(rest)) > 1e-9 else None


def fit_fast(t: Array, y: Array, x: Array | None, x_final: float | None, power: Array | None, end: float) -> WarmUp:
    """Fit the fast model to boxes.

    Parameters
    ----------
    t, y : ndarray, shape (m,)
        Middles of the boxes and the trace.
    x : ndarray or None, shape (m,)
        The coolant; None where there is none.
    x_final : float or None
        The coolant's own final level.
    power : ndarray or None, shape (m,)
        Box means of the power; their departure from the trend is taken out.
    end : float
        The moment at which "still to go" is asked for.
    """
    m = t.size
    columns = [np.ones(m)]
    k_at = p_at = None
    if x is not None and x_final is not None and float(np.ptp(x)) > 0.3:
        k_at = len(columns)
        columns.append(x - x_final)
    rest = None if power is None else power_departure(t, x, power)
    if rest is not None:
        p_at = len(columns)
        columns.append(rest)
    basis = np.column_stack(columns)
    coefficients, residuals, rss = _solve(basis, y)
    df = max(m - basis.shape[1], 1)
    ips = inflation(residuals)
    if k_at is not None:
        # what leakage usually makes of it steadies the slope where the run is short or the die noisy
        weight = float(np.sqrt(max(rss / df * ips, 1e-12))) / K_SPREAD
        row = np.zeros(basis.shape[1])
        row[k_at] = weight
        basis = np.vstack((basis, row))
        coefficients, residuals, _ = _solve(basis, np.append(y, weight * K_USUAL))
        residuals = residuals[:-1]
        k = float(coefficients[k_at])
        if not 0.0 <= k <= K_MAX:
            k = float(np.clip(k, 0.0, K_MAX))
            rest_at = [i for i in range(len(columns)) if i != k_at]
            part, residuals, _ = _solve(np.column_stack([columns[i] for i in rest_at]), y - k * columns[k_at])
            coefficients[rest_at], coefficients[k_at] = part, k
        rss = float(residuals @ residuals)
        ips = inflation(residuals)
    else:
        k = 0.0
    nuisance: Array | float = 0.0 if rest is None or p_at is None else rest * float(coefficients[p_at])
    covariance = np.linalg.pinv(basis.T @ basis) * rss / df
    transient = k * (x - x_final) if x is not None and x_final is not None and k_at is not None else np.zeros(m)
    left = float(transient[-1]) if m else 0.0
    k_se = float(np.sqrt(max(covariance[k_at, k_at], 0))) if k_at is not None else 0.0
    x_left = float(x[-1] - x_final) if x is not None and x_final is not None else 0.0
    return WarmUp(
        final=float(coefficients[0]),
        final_se=float(np.sqrt(max(covariance[0, 0], 0) * ips)),
        tau_s=None,
        transient=transient,
        left=left,
        left_se=abs(x_left) * k_se * float(np.sqrt(ips)),
        residuals=residuals,
        rss=rss,
        inflation=ips,
        df=float(df),
        coupling=k,
        drive=np.ones(m),
        nuisance=nuisance,
    )
