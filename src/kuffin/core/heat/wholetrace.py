"""The whole-trace fit: resistance and time constant from power and measured air, over the whole warm-up.

``C·dT_c/dt = P(t) − G·(T_c − T_air(t))`` from 60 s after load (docs/methods.md, "Equilibrium"). Its solution is linear in
the resistance once the time constant is given, ``T_c = lag_τ(T_air) + R·lag_τ(P) + A·e^(−t/τ)``, so that R and A come by
least squares for each τ and τ by a search (variable projection; G. H. Golub and V. Pereyra, SIAM J. Numer. Anal. 10
(1973)). A room that drifts, power that moves, or a warm-up cut short do no harm: they are in the equation.
"""

from __future__ import annotations

from dataclasses import dataclass, replace

import numpy as np
from numpy.typing import NDArray

from kuffin.core.base.boxes import Boxes, box_means
from kuffin.core.base.errors import TraceError
from kuffin.core.base.language import tr
from kuffin.core.base.student import t_quantile
from kuffin.core.base.traces import inflation, lagged, lone_spikes, smooth_spikes
from kuffin.core.base.worked import Worked, worked

Array = NDArray[np.float64]

MODEL = "C·dT/dt = P(t) − (T − T_base(t))/R"
_FROM_S = 60.0
_BOX_S = 30.0
_TAUS = np.geomspace(60.0, 5400.0, 40)
# what the residuals do not show: one capacity is a little too few for a loop (measured on simulated warm-ups)
_WIDEN, _FLOOR = 2.0, 0.006


@dataclass(frozen=True, kw_only=True)
class WholeTrace:
    """Resistance in K/W, time constant in s and heat capacity in J/K, each with the half-width of its 95 % interval.

    Attributes
    ----------
    resistance : Worked
    tau_s, tau_u95 : float or None
        None for what answers within seconds.
    span_s : tuple of float
    rms_k : float
        What the fit leaves, root mean square.
    times, residuals : ndarray, shape (m,)
        Middles of the boxes, and what the fit leaves of them, K.
    bent : bool
        Whether the residuals bend: a second, slower mode is there, and the resistance is biased by about its share.
    """

    resistance: Worked
    tau_s: float | None
    tau_u95: float | None
    span_s: tuple[float, float]
    rms_k: float
    times: Array
    residuals: Array
    bent: bool

    @property
    def resistance_k_w(self) -> float:
        """Kelvins per watt, from all of the trace."""
        return self.resistance.value

    @property
    def resistance_u95(self) -> float:
        """The half-width of that, K/W."""
        return self.resistance.u95 or 0.0

    @property
    def capacity(self) -> Worked | None:
        """The loop's heat capacity; None where no time constant was fitted."""
        if self.tau_s is None or self.resistance_k_w <= 0:
            return None
        tau = Worked(name=tr("Time constant"), symbol="τ", value=self.tau_s, unit="s", digits=0, half=Worked(name=tr("Half-width of τ"), symbol="U_τ", value=self.tau_u95 or 0.0, unit="s", digits=0, source=tr("95 %, of the fit")))  # fmt: skip
        return worked(tr("Heat capacity"), "C", "τ/R", [tau, replace(self.resistance, half=None)], "J/K", digits=0)

    def at(self, power_w: float) -> Worked:
        """The rise at a power, K."""
        power = Worked(name=tr("Power"), symbol="P", value=power_w, unit="W", digits=0)
        assert self.resistance.half is not None
        half = worked(tr("Half-width of the rise"), "U_T", "U*P", [self.resistance.half, power], "K", digits=3)
        return worked(tr("Rise by the whole-trace fit"), "ΔT", "R*P", [self.resistance, power], "K", half=half)


def _half_width(r: Worked, error: float, t95: float) -> Worked:
    terms = [
        Worked(name=tr("Student’s t"), symbol="t", value=t95, source="95 %"),
        Worked(name=tr("Standard error of R"), symbol="s_R", value=error, unit="K/W", digits=6, source=tr("of the fit, with the autocorrelation of what it leaves")),
        r,
    ]  # fmt: skip
    said = tr("twice Student’s t, and {share:g} % for what one capacity is too few for", share=100 * _FLOOR)
    return worked(tr("Half-width"), "U", f"hypot({_WIDEN:g}*t*s_R, {_FLOOR:g}*R)", terms, "K/W", digits=5, source=said)


def _cleaned(times: Array, x: Array, companion: Array | None, smooth: bool) -> Array:
    marked = smooth_spikes(x) if smooth else lone_spikes(x, companion)
    return np.where(marked, np.nan, x)


def whole_trace(
    times: Array,
    coolant: Array,
    air: Array,
    power: Array,
    load_start_s: float,
    end_s: float,
    period_s: float | None = None,
) -> WholeTrace:
    """Fit coolant over air.

    Parameters
    ----------
    times, coolant, air, power : ndarray, shape (n,)
        s, °C, °C, W; missing is NaN.
    load_start_s, end_s : float
        Where the load begins, and where what is fitted ends.
    period_s : float, optional
        Of a looped load; boxes are then as wide as one pass.

    Raises
    ------
    TraceError
        Where there are fewer than five minutes of it, or a channel is missing throughout.
    """
    keep = times <= end_s + 1e-9
    t = times[keep]
    channels = (
        _cleaned(t, coolant[keep], None, True),
        _cleaned(t, air[keep], None, True),
        _cleaned(t, power[keep], None, False),
    )
    if any(np.isfinite(x).sum() < 20 for x in channels):
        raise TraceError("the whole-trace fit needs coolant, air and power; one of them is missing")
    if end_s - load_start_s - _FROM_S < 300:
        raise TraceError("the whole-trace fit needs at least six minutes under load")
    width = period_s or _BOX_S
    stride = width / 4 if period_s else width
    starts = np.arange(load_start_s + _FROM_S, end_s - width + 1e-6, stride)
    step = float(np.clip(np.median(np.diff(t)), 0.5, 5.0))
    grid = np.arange(float(t[0]), end_s + step, step)
    c, a, p = (_on_grid(t, x, grid, step) for x in channels)
    known = np.isfinite(box_means(t, channels[0], width, starts))
    starts = starts[known]
    if starts.size < 8:
        raise TraceError("the whole-trace fit needs more of the warm-up; there are too many gaps in it")
    boxes = Boxes(grid, width, starts)
    at = starts + width / 2
    y = boxes.means(c)

    def fit(tau: float) -> tuple[float, Array, Array, Array]:
        base, drive = boxes.means(lagged(grid, a, tau, None, step)), boxes.means(lagged(grid, p, tau, None, step))
        basis = np.column_stack((drive, np.exp(-(at - at[0]) / tau)))
        found, *_ = np.linalg.lstsq(basis, y - base, rcond=None)
        rest = y - base - basis @ found
        return float(rest @ rest), found, rest, np.column_stack((drive, basis[:, 1]))

    scores = [fit(float(tau))[0] for tau in _TAUS]
    best = int(np.argmin(scores))
    from scipy.optimize import minimize_scalar  # off the start-up path

    low, high = _TAUS[max(best - 1, 0)], _TAUS[min(best + 1, _TAUS.size - 1)]
    refined = minimize_scalar(lambda s: fit(float(np.exp(s)))[0], bounds=(np.log(low), np.log(high)), method="bounded")
    tau = float(np.exp(refined.x))
    rss, (r, _), rest, basis = fit(tau)
    nearby = fit(tau * 1.01)
    by_tau = (rest - nearby[2]) / 0.01  # what a change of ln τ does to the fit, with R and A following it
    df = max(at.size - 3, 1)
    overlap = 4.0 if period_s else 1.0
    spread = max(inflation(rest), overlap) * rss / df
    jacobian = np.column_stack((basis, basis @ (nearby[1] - fit(tau)[1]) / 0.01 + by_tau))
    scale = np.sqrt((jacobian**2).sum(axis=0))
    scale[scale == 0] = 1.0
    covariance = (
        np.linalg.pinv((jacobian / scale).T @ (jacobian / scale), rcond=1e-10) / np.outer(scale, scale) * spread
    )
    # how R follows τ along the valley of good fits
    along = float((nearby[1][0] - r) / 0.01)
    curvature = float(by_tau @ by_tau)
    u_log_tau = float(np.sqrt(spread / curvature)) if curvature > 0 else float("inf")
    u_r = float(np.hypot(np.sqrt(max(covariance[0, 0], 0.0)), min(abs(along) * u_log_tau, abs(r))))
    t95 = t_quantile(0.975, max(df / max(inflation(rest), overlap), 2.0))
    said = tr(
        "{model}, with power and base temperature as they were measured; R, C and the first level fitted", model=MODEL
    )
    bare = Worked(name=tr("Resistance"), symbol="R", value=float(r), unit="K/W", digits=4, source=said)
    return WholeTrace(
        resistance=replace(bare, half=_half_width(bare, u_r, t95)),
        tau_s=tau,
        tau_u95=t95 * tau * min(u_log_tau, 3.0),
        span_s=(float(starts[0]), float(end_s)),
        rms_k=float(np.sqrt(rss / df)),
        times=at,
        residuals=rest,
        bent=_bends(at, rest),
    )


def fast_trace(
    times: Array,
    die: Array,
    coolant: Array,
    power: Array,
    load_start_s: float,
    end_s: float,
    period_s: float | None = None,
) -> WholeTrace:
    """The same for die over coolant, which answers within seconds: ``R = Σ(ΔT·P)/ΣP²`` over boxes from 60 s after load."""
    keep = times <= end_s + 1e-9
    t, p = times[keep], _cleaned(times[keep], power[keep], die[keep], False)
    rise = _cleaned(t, die[keep], p, False) - _cleaned(t, coolant[keep], None, True)
    width = period_s or _BOX_S
    starts = np.arange(load_start_s + _FROM_S, end_s - width + 1e-6, width)
    y, x = box_means(t, rise, width, starts), box_means(t, p, width, starts)
    ok = np.isfinite(y) & np.isfinite(x) & (x > 1)
    if ok.sum() < 4:
        raise TraceError(
            "the whole-trace fit needs at least four boxes (passes, or half minutes) of die, coolant and power under load"
        )
    y, x, at = y[ok], x[ok], (starts + width / 2)[ok]
    r = float(x @ y / (x @ x))
    rest = y - r * x
    df = max(y.size - 1, 1)
    ips = inflation(rest)
    rss = float(rest @ rest)
    u = float(np.sqrt(rss / df * ips / float(x @ x)))
    t95 = t_quantile(0.975, max(df / ips, 2.0))
    sums = [
        Worked(name=tr("Sum of rise times power"), symbol="Σyx", value=float(x @ y), unit="K·W", digits=1, source=tr("over passes or half minutes: the die answers within seconds")),
        Worked(name=tr("Sum of power squared"), symbol="Σxx", value=float(x @ x), unit="W²", digits=1),
    ]  # fmt: skip
    bare = worked(tr("Resistance"), "R", "Σyx/Σxx", sums, "K/W", digits=4)
    return WholeTrace(
        resistance=replace(bare, half=_half_width(bare, u, t95)),
        tau_s=None,
        tau_u95=None,
        span_s=(float(starts[0]), float(end_s)),
        rms_k=float(np.sqrt(rss / df)),
        times=at,
        residuals=rest,
        bent=_bends(at, rest),
    )


def _on_grid(t: Array, x: Array, grid: Array, step: float) -> Array:
    ok = np.isfinite(x)
    means = box_means(t, x, step, grid - step / 2)
    bare = ~np.isfinite(means)
    means[bare] = np.interp(grid[bare], t[ok], x[ok])
    return means


def _bends(at: Array, rest: Array) -> bool:
    """Whether the residuals are a smooth curve rather than noise: a quartic holds over two thirds of their variance."""
    if at.size < 24:
        return False
    x = (at - at.mean()) / (np.ptp(at) / 2)
    basis = np.polynomial.legendre.legvander(x, 4)
    found, *_ = np.linalg.lstsq(basis, rest, rcond=None)
    left = rest - basis @ found
    return bool(float(left @ left) < 0.33 * float(rest @ rest))
