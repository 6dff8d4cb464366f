"""Settled or not: the window, its drift and its mean, judged from boxes and fit."""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from kuffin.core.base.errors import TraceError
from kuffin.core.base.student import t_quantile
from kuffin.core.base.traces import inflation, lagged
from kuffin.core.settle.analysis import Analysis
from kuffin.core.settle.result import Drift, Level, Load, ReadingWindow, Settling, WarmUpFit
from kuffin.core.settle.warmup import WarmUp

Array = NDArray[np.float64]

LEAST_WINDOW_S = 300.0


def judge(
    an: Analysis,
    fit: WarmUp,
    start: float | None,
    end: float,
    step_at: float | None,
    window: tuple[float, float] | None,
) -> Settling:
    """Find the settled window (or take the one set by hand) and put together what is known of the trace."""
    a = an.from_box
    t, starts = an.t[a:], an.starts[a:]
    tolerance = an.tolerance
    if an.fast:
        y = an.fast_trace()[a:]
        drive = np.ones(t.size)
    else:
        assert fit.tau_s is not None
        y, drive = an.piece()(fit.tau_s)
        y = y / drive if an.per is not None else y - fit.final * (drive - 1.0)
    y = y - fit.nuisance
    transient = fit.transient if an.fast or an.per is None else fit.transient / drive
    scale = 1.0 if an.fast or an.per is None else float(drive[-1])
    left, left_se = fit.left / scale, fit.left_se / scale
    still = -left
    amplitude = float(abs(transient[0])) if transient.size else 0.0
    t95 = fit.t95
    # what the residuals do not show: the load's own average over the run counts in full for a fast trace
    warm_up = WarmUpFit(
        tau_s=fit.tau_s, final=fit.final, final_se=fit.final_se, t95=t95, widen=1.8 if an.fast else 1.5, size=amplitude
    )
    still_u95 = float(np.sqrt((t95 * left_se) ** 2 + (0.15 * still) ** 2))
    noise = _Noise(float(np.sqrt(fit.rss / fit.df)) / scale, max(fit.inflation, 0.6 * an.spacing), t95, an.spacing)
    least = max(LEAST_WINDOW_S, 3 * an.period if an.period else 0.0)
    settled, chosen = False, max(float(starts[0]), end - least)
    if window is None:
        near = np.flatnonzero(np.abs(transient) > tolerance)
        candidate = int(near[-1]) + 1 if near.size else 0
        while candidate < starts.size and end - starts[candidate] >= least - 1e-6:
            drift, u95 = _drift(t[candidate:], y[candidate:], noise)
            if abs(drift) + u95 <= tolerance:
                settled = abs(still) + still_u95 <= 1.5 * tolerance
                chosen = float(starts[candidate])
                break
            candidate += max(1, (starts.size - candidate) // 24)
        span = (chosen, end)
    else:
        span = (max(float(window[0]), float(an.s.t[0])), min(float(window[1]), float(an.s.t[-1])))
        if span[1] - span[0] <= 0 or np.isfinite(an.s.response[(an.s.t >= span[0]) & (an.s.t <= span[1])]).sum() < 3:
            raise TraceError("the window holds fewer than three readings; drag its edges further apart")
        settled, chosen = True, span[0]
    inside = starts >= span[0] - 1e-6
    if window is not None:
        inside &= starts + an.width <= span[1] + 1e-6
    if inside.sum() < 3:
        inside = np.zeros(starts.size, bool)
        inside[-min(3, starts.size) :] = True
    drift, drift_u95 = _drift(t[inside], y[inside], noise)
    trace = _sample_trace(an, fit)
    left_in_window = float(np.mean(transient[inside]))
    fitted = y - fit.residuals / (1.0 if an.fast or an.per is None else drive)
    return Settling(
        load=Load(start_s=start, end_s=end, period_s=an.period, step_s=step_at),
        warm_up=warm_up,
        window=_window(an, trace, span, left_in_window, 2.0 * fit.transient_se / scale),
        level=Level(still, still_u95),
        drift=Drift(drift, drift_u95),
        settled=settled,
        settled_at_s=chosen if settled else None,
        tolerance=tolerance,
        by_hand=window is not None,
        fast=an.fast,
        spikes=an.s.spikes,
        samples=int(np.isfinite(an.s.response).sum()),
        rounding_u=an.rounding / an.scale,
        trace=trace,
        fit_times=t,
        fit=fitted,
    )


@dataclass(frozen=True)
class _Noise:
    """The scatter of the boxes about the fit, and how many boxes make one independent one."""

    sd: float
    inflation: float
    t95: float
    spacing: int


def _drift(t: Array, y: Array, noise: _Noise) -> tuple[float, float]:
    """Slope per 10 minutes and the half-width of its 95 % interval.

    The scatter is that of the whole fit, or the window's own where that tells more: the quiet end of a run need not
    pay for an open door in its middle.
    """
    n = t.size
    if n < 3:
        return 0.0, float("inf")
    x = t - t.mean()
    sxx = float(x @ x)
    slope = float(x @ y) / sxx
    pooled = noise.t95 * noise.sd * float(np.sqrt(noise.inflation / sxx))
    residuals = y - y.mean() - slope * x
    ips = max(inflation(residuals), 0.6 * noise.spacing)
    own = float(
        t_quantile(0.975, max(n / noise.spacing - 2, 1.0))
        * np.sqrt(float(residuals @ residuals) / max(n - 2, 1) / sxx * ips)
    )
    return slope * 600, min(pooled, own) * 600


def _sample_trace(an: Analysis, fit: WarmUp) -> Array:
    """The judged trace at the log's own times."""
    s = an.s
    if s.over is None:
        out = s.response.copy()
    elif an.fast or fit.tau_s is None:
        out = s.response - s.over
    else:
        out = s.response - lagged(s.t, s.over, fit.tau_s)
    if s.per is not None:
        if an.fast or fit.tau_s is None:
            per = np.interp(s.t, an.t, an.per) if an.per is not None else np.ones(s.t.size)
        else:
            per = lagged(s.t, s.per, fit.tau_s, float(np.nanmedian(s.per)))
            if an.jump and an.per is not None:
                per = an.jump * np.interp(s.t, an.t, an.per) + (1 - an.jump) * per
        out = out / per
    return out


def _window(an: Analysis, trace: Array, span: tuple[float, float], left: float, second_part: float) -> ReadingWindow:
    """The window's sums, and the means of its parts (of whole loops, where there are any), by which its mean is judged."""
    t = an.s.t
    begin, end = span
    if an.period is not None and end - begin > an.period:
        begin = end - an.period * np.floor((end - begin) / an.period + 1e-9)  # whole loops
    first, last = np.searchsorted(t, (begin, np.nextafter(end, np.inf)))
    ok = np.isfinite(trace[first:last])
    values, at = trace[first:last][ok], t[first:last][ok]
    n = values.size
    if n < 3:
        raise TraceError("the window holds fewer than three readings; record for longer or widen it")
    if an.period is not None:
        loops = int(np.floor((end - begin) / an.period + 1e-9))
        each = max(1, int(np.ceil(30.0 / an.period)))
        batches = loops // each
        width = an.period * each
    else:
        batches, width = 12, (end - begin) / 12
    batches = max(batches, 2)
    if an.period is None or batches * width > end - begin + 1e-6:
        width = (end - begin) / batches
    parts = np.searchsorted(at, end - width * np.arange(batches, 0, -1))  # the last one ends with the window
    counts = np.diff(parts, append=n)
    used = counts > 0
    means = np.add.reduceat(values, parts[used]) / counts[used]
    m = int(used.sum())
    ips = inflation(means) if m > 1 else 1.0
    return ReadingWindow(
        span_s=span,
        total=float(values.sum()),
        count=n,
        sd=float(values.std(ddof=1)),
        batches=m,
        batch_sd=float(means.std(ddof=1)) if m > 1 else float("nan"),
        inflation=ips,
        t95=float(t_quantile(0.975, max(m / ips - 1, 1.0))),
        left=left,
        second_part=second_part,
    )
