"""When a trace reached equilibrium, and what it settled at.

The steps are those of docs/methods.md, "Equilibrium": clean, find the load, its loops, boxes, slow or fast, steps
within the run, fit, judge.
"""

from __future__ import annotations

from dataclasses import dataclass, field

import numpy as np
from numpy.typing import NDArray
from scipy import stats

from kuffin.core.errors import TraceError
from kuffin.core.load import load_level, load_span, loop_period, rise_start
from kuffin.core.steps import fast_split, slow_split
from kuffin.core.traces import Mask, box_means, inflation, lagged, lone_spikes, quantum, smooth_spikes
from kuffin.core.warmup import SlowData, WarmUp, fit_fast, fit_slow

Array = NDArray[np.float64]

LEAD_S = 60.0  # after load start, before the first box
BOX_S = 30.0
LEAST_WINDOW_S = 300.0


@dataclass(frozen=True)
class Settling:
    """What is known of a trace's way to equilibrium. Times in s from the log's first row.

    Attributes
    ----------
    load_start_s, period_s, tau_s, step_s : float or None
    settled : bool
    settled_at_s : float or None
    window_s : tuple of float
        The settled stretch, else the last stretch looked at.
    mean, mean_u95, n_eff, sd : float
        Of the window: mean, half-width of its 95 % interval, effective number of samples, scatter.
    final, final_u95 : float
        The level the whole warm-up points to.
    still_to_go : float
        `final` less the level at the window's end.
    drift_per_10min, drift_u95 : float
    left_in_window : float
        What the fitted warm-up still had above its final level, on average over the window.
    by_hand : bool
        Whether the window was set by a person.
    fast : bool
        Whether the trace jumps at once (die over coolant) or creeps (coolant over air).
    spikes : int
        Samples left out as spikes.
    trace : ndarray, shape (n,)
        The judged trace at the log's times (air lagged, spikes missing).
    fit_times, fit : ndarray, shape (m,)
        The fitted curve.
    """

    load_start_s: float | None
    load_end_s: float
    period_s: float | None
    tau_s: float | None
    settled: bool
    settled_at_s: float | None
    window_s: tuple[float, float]
    mean: float
    mean_u95: float
    n_eff: float
    sd: float
    final: float
    final_u95: float
    still_to_go: float
    still_to_go_u95: float
    drift_per_10min: float
    drift_u95: float
    step_s: float | None
    tolerance: float
    left_in_window: float
    by_hand: bool
    fast: bool
    spikes: int
    samples: int
    quantum: float
    trace: Array = field(repr=False)
    fit_times: Array = field(repr=False)
    fit: Array = field(repr=False)


@dataclass
class _Signals:
    """Cleaned channels up to the load's end."""

    t: Array
    response: Array
    over: Array | None
    per: Array | None
    load: Array | None
    air: Array | None
    spikes: int


def reading(
    mean: float, mean_u95: float, left_in_window: float, final: float, final_u95: float, settled: bool, by_hand: bool
) -> tuple[float, float]:
    """The reading of a settled trace and the half-width of its 95 % interval.

    A window that Kuffin found is corrected for the warm-up still left in it (its size then counts for a third, not in
    full). A window set by hand is read as it is. What did not settle is read as the level it points to.
    """
    if by_hand:
        return mean, mean_u95
    if not settled:
        return final, final_u95
    rest = max(mean_u95 - abs(left_in_window), 0.0)
    return mean - left_in_window, float(np.hypot(rest, abs(left_in_window) / 3))


def settle(
    times: Array,
    response: Array,
    *,
    over: Array | None = None,
    per: Array | None = None,
    load: Array | None = None,
    air: Array | None = None,
    tolerance: float = 0.2,
    window: tuple[float, float] | None = None,
) -> Settling:
    """Judge a trace: `response`, less `over`, divided by `per`.

    Parameters
    ----------
    times, response : ndarray, shape (n,)
        Seconds from the log's first row, and the response; missing is NaN.
    over, per, load, air : ndarray, shape (n,), optional
        What is taken off, what it is divided by, the channel that shows the load (usually power), and the air, which
        helps to tell where the coolant under a fast trace is heading.
    tolerance : float
        The drift that still counts as settled, in the trace's unit per 10 minutes.
    window : (float, float), optional
        A window set by hand: mean and drift are taken from it, and it counts as settled by the person's word.

    Raises
    ------
    TraceError
        Where there is too little to judge.
    """
    if not tolerance > 0:
        raise TraceError("the tolerance must be above 0")
    present = np.isfinite(response)
    if over is not None:
        present &= np.isfinite(over)
    if present.sum() < 8:
        raise TraceError("the trace has fewer than 8 readings; choose another column or record for longer")
    start, end = _span(times, response, over, load)
    begin = float(times[0]) if start is None else start
    s = _clean(times, response, over, per, load, air, begin, end)
    period = loop_period(times, load, begin, end) if load is not None else None
    width = period if period is not None else BOX_S
    stride = width / 4 if period is not None else width
    first = begin + (LEAD_S if start is not None else 0.0)
    if end - first < 4 * stride + width:
        first = begin
    fast = _is_fast(s, begin, end, start is not None, width)
    starts = _box_starts(first, end, width, stride)
    if starts.size < 4:
        raise TraceError(f"only {end - begin:.0f} s lie under load; that is too short to judge, record for longer")
    analysis = _Analysis(s, starts, width, stride, fast, tolerance, period, begin, end)
    step_at = analysis.find_step()
    fit = analysis.fit()
    return _judge(analysis, fit, start, end, step_at, window)


def _span(times: Array, response: Array, over: Array | None, load: Array | None) -> tuple[float | None, float]:
    if load is not None and np.isfinite(load).sum() >= 8:
        cleaned = load.copy()
        cleaned[lone_spikes(load, response)] = np.nan
        start, end = load_span(times, cleaned)
        if start is not None or end < times[-1]:
            return start, end
        if float(np.nanpercentile(load, 90)) > 0:
            return None, end
    trace = response if over is None else response - over
    cleaned = trace.copy()
    cleaned[lone_spikes(trace)] = np.nan
    return rise_start(times, cleaned), float(times[-1])


def _jumps(t: Array, x: Array, begin: float) -> bool:
    """Whether a channel answers the load at once: by 0.4 of its final rise within 20 to 50 s."""

    def level(a: float, b: float) -> float:
        inside = (t >= a) & (t < b) & np.isfinite(x)
        return float(np.median(x[inside])) if inside.sum() >= 2 else float("nan")

    before, soon = level(begin - 60, begin - 0.5), level(begin + 20, begin + 50)
    late = level(t[-1] - 300, t[-1] + 1)
    if not np.isfinite([before, soon, late]).all() or abs(late - before) < 1.0:
        return False
    return (soon - before) / (late - before) > 0.4


def _clean(
    times: Array,
    response: Array,
    over: Array | None,
    per: Array | None,
    load: Array | None,
    air: Array | None,
    begin: float,
    end: float,
) -> _Signals:
    keep = times <= end + 1e-9
    t = times[keep]

    def cut(x: Array | None) -> Array | None:
        return None if x is None else x[keep].astype(float, copy=True)

    y, o, p, q, a = cut(response), cut(over), cut(per), cut(load), cut(air)
    assert y is not None
    spikes = 0
    marks_y = lone_spikes(y, q) if _jumps(t, y, begin) else smooth_spikes(y)
    for x, marks in ((o, None), (a, None), (y, marks_y)):
        if x is not None:
            found: Mask = smooth_spikes(x) if marks is None else marks
            x[found] = np.nan
            if x is not a:
                spikes += int(found.sum())
    raw = cut(response)
    for x in (q, p):
        if x is not None:
            x[lone_spikes(x, raw)] = np.nan
    return _Signals(t, y, o, p, q, a, spikes)


def _is_fast(s: _Signals, begin: float, end: float, has_start: bool, width: float) -> bool:
    y = s.response if s.over is None else s.response - s.over
    if not has_start:
        # no start to look at: a trace that shares no slow approach with time is taken for slow all the same
        return False
    inside = s.t >= begin
    late = inside & (s.t >= end - max(300.0, width))

    def level(mask: Mask) -> float:
        v = y[mask & np.isfinite(y)]
        return float(np.mean(v)) if v.size else float("nan")

    before = level((s.t < begin - 1) & (s.t >= begin - 60))
    before = 0.0 if not np.isfinite(before) else before
    soon = level((s.t >= begin + 20) & (s.t < begin + 50))
    final = level(late)
    if not np.isfinite([soon, final]).all() or abs(final - before) < 1e-9:
        return False
    return (soon - before) / (final - before) > 0.4


def _box_starts(first: float, end: float, width: float, stride: float) -> Array:
    count = int(np.floor((end - width - first) / stride + 1e-9)) + 1
    if count < 1:
        return np.empty(0)
    # the last box ends with the log
    return np.asarray(end - width - stride * np.arange(count)[::-1], float)


class _Analysis:
    """Boxes of one run, from which steps and fits are made."""

    def __init__(
        self,
        s: _Signals,
        starts: Array,
        width: float,
        stride: float,
        fast: bool,
        tolerance: float,
        period: float | None,
        begin: float,
        end: float,
    ) -> None:
        self.s, self.width, self.stride, self.fast, self.tolerance, self.period, self.end = (
            s,
            width,
            stride,
            fast,
            tolerance,
            period,
            end,
        )
        self.spacing = 4 if period is not None else 1
        box = box_means(s.t, s.response, width, starts)
        if s.over is not None:
            box_over = box_means(s.t, s.over, width, starts)
            ok = np.isfinite(box) & np.isfinite(box_over)
        else:
            box_over, ok = None, np.isfinite(box)
        box_per = None if s.per is None else box_means(s.t, s.per, width, starts)
        if box_per is not None:
            ok &= np.isfinite(box_per) & (np.abs(box_per) > 1e-9)
        self.starts = starts[ok]
        if self.starts.size < 4:
            raise TraceError(
                "the trace has too few readings under load to judge; look for gaps or choose another column"
            )
        self.t = self.starts + width / 2
        self.y = box[ok]
        self.over = None if box_over is None else box_over[ok]
        self.per = None if box_per is None else box_per[ok]
        level = None if s.load is None else load_level(s.t, s.load, begin, period)
        self.load = None if level is None else box_means(s.t, level, width, self.starts)
        self.from_box = 0
        self._grid = np.arange(float(s.t[0]), end + 10.0, float(np.clip(np.median(np.diff(s.t)), 2.0, 5.0)))
        self._over_grid, self._per_grid, self._air_grid = (
            self._on_grid(s.over),
            self._on_grid(s.per),
            self._on_grid(s.air),
        )
        self._wander = self._load_wander(level, begin)
        self._cache: dict[float, tuple[Array, Array]] = {}

    def _on_grid(self, x: Array | None) -> Array | None:
        """A channel on a regular grid, for lags only."""
        if x is None or np.isfinite(x).sum() < 4:
            return None
        h = float(self._grid[1] - self._grid[0])
        means = box_means(self.s.t, x, h, self._grid - h / 2)
        bare = ~np.isfinite(means)
        ok = np.isfinite(x)
        means[bare] = np.interp(self._grid[bare], self.s.t[ok], x[ok])
        return means

    def _load_wander(self, level: Array | None, begin: float) -> Array | None:
        """The load's departure from its trend, as a share of its level, on the grid; 0 before the load.

        The trend is what goes with the response itself (leakage), so that only what the load does by itself remains.
        """
        if level is None or self.per is not None or self.load is None or not np.isfinite(self.load).all():
            return None
        mean = float(np.mean(self.load))
        grid = self._on_grid(level)
        response = self._on_grid(self.s.response)
        if grid is None or response is None or mean <= 0:
            return None
        during = (self._grid >= begin + 5) & (self._grid <= self.end)
        if during.sum() < 12:
            return None
        basis = np.column_stack((np.ones(self._grid.size), response))
        trend = basis @ np.linalg.lstsq(basis[during], grid[during], rcond=None)[0]
        return np.where(during, (grid - trend) / mean, 0.0)

    def _lagged_boxes(self, x_grid: Array, tau: float, initial: float | None = None) -> Array:
        return box_means(self._grid, lagged(self._grid, x_grid, tau, initial), self.width, self.starts)

    def slow_data(self, tau: float) -> tuple[Array, Array]:
        """Boxes of the response less the lagged air, and of the lagged drive."""
        if tau not in self._cache:
            y = self.y if self._over_grid is None else self.y - self._lagged_boxes(self._over_grid, tau)
            drive = (
                self._drive(tau)
                if self._per_grid is None
                else self._lagged_boxes(self._per_grid, tau, float(np.median(self._per_grid)))
            )
            self._cache[tau] = (y, drive)
        return self._cache[tau]

    def _drive(self, tau: float) -> Array:
        """1, and what the load's wandering adds to it after the lag."""
        return np.ones(self.t.size) if self._wander is None else 1.0 + self._lagged_boxes(self._wander, tau)

    def piece(self) -> SlowData:
        a = self.from_box

        def data(tau: float) -> tuple[Array, Array]:
            y, drive = self.slow_data(tau)
            return y[a:], drive[a:]

        return data

    def fast_trace(self) -> Array:
        y = self.y if self.over is None else self.y - self.over
        return y if self.per is None else y / self.per

    def find_step(self) -> float | None:
        """Look for steps, at most three; afterwards everything concerns the last state."""
        at = None
        for _ in range(3):
            a = self.from_box
            tolerance = self.tolerance if self.per is None or self.fast else self.tolerance * float(np.mean(self.per))
            if self.fast:
                x = None if self.over is None else self.over[a:]
                cut = fast_split(self.t[a:], self.fast_trace()[a:], x, self._power(a), tolerance, self.spacing)
            else:
                cut = slow_split(self.t[a:], self.piece(), tolerance, self.spacing)
            if cut is None:
                break
            at = float(self.t[a + cut] - 0.5 * self.stride)
            self.from_box = a + cut
            if self.period is not None:
                # boxes that reach over the step belong to neither state
                skip = int(np.searchsorted(self.starts, at - 0.5 * self.stride))
                self.from_box = min(max(self.from_box, skip), self.t.size - 8)
        return at

    def fit(self) -> WarmUp:
        a = self.from_box
        t = self.t[a:]
        if not self.fast:
            return fit_slow(t, self.piece(), self.end)
        x = None if self.over is None else self.over[a:]
        x_final = None if x is None else self._coolant_final(t, x)
        return fit_fast(t, self.fast_trace()[a:], x, x_final, self._power(a), self.end)

    def _power(self, a: int) -> Array | None:
        if self.load is None or self.per is not None or not np.isfinite(self.load[a:]).all():
            return None
        return self.load[a:]

    def _coolant_final(self, t: Array, x: Array) -> float:
        """Where the coolant itself is heading, with the air as it was over the last ten minutes."""
        a = self.from_box
        air = self.s.air

        def data(tau: float) -> tuple[Array, Array]:
            return (x if self._air_grid is None else x - self._lagged_boxes(self._air_grid, tau)[a:]), self._drive(tau)[
                a:
            ]

        own = fit_slow(t, data, self.end, np.geomspace(60, 4000, 24))
        last = 0.0
        if air is not None and self._air_grid is not None:
            recent = air[(self.s.t > self.end - 600) & np.isfinite(air)]
            last = float(recent.mean()) if recent.size else float(np.nanmean(air))
        level = own.final + last
        reach = 3 * float(np.ptp(x)) + 1.0
        return float(np.clip(level, x[-1] - reach, x[-1] + reach))


def _judge(
    an: _Analysis,
    fit: WarmUp,
    start: float | None,
    end: float,
    step_at: float | None,
    window: tuple[float, float] | None,
) -> Settling:
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
    final_u95 = float(
        np.sqrt((1.5 * t95 * fit.final_se) ** 2 + (tolerance / 4) ** 2 + (0.15 * still) ** 2 + (0.01 * amplitude) ** 2)
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
    mean, mean_u95, n_eff, sd = _window_mean(an, trace, span, float(np.mean(transient[inside])))
    q = quantum(an.s.response)
    coarse = q if an.per is None else q / float(np.mean(an.per))
    if coarse and sd < coarse / 2:
        mean_u95 = float(np.hypot(mean_u95, 1.96 * coarse / np.sqrt(12)))
    left_in_window = float(np.mean(transient[inside]))
    fitted = y - fit.residuals / (1.0 if an.fast or an.per is None else drive)
    return Settling(
        start,
        end,
        an.period,
        fit.tau_s,
        settled,
        chosen if settled else None,
        span,
        mean,
        mean_u95,
        n_eff,
        sd,
        fit.final,
        final_u95,
        still,
        still_u95,
        drift,
        drift_u95,
        step_at,
        tolerance,
        left_in_window,
        window is not None,
        an.fast,
        an.s.spikes,
        int(np.isfinite(an.s.response).sum()),
        q,
        trace,
        t,
        fitted,
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
        stats.t.ppf(0.975, max(n / noise.spacing - 2, 1.0))
        * np.sqrt(float(residuals @ residuals) / max(n - 2, 1) / sxx * ips)
    )
    return slope * 600, min(pooled, own) * 600


def _sample_trace(an: _Analysis, fit: WarmUp) -> Array:
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
        out = out / per
    return out


def _window_mean(
    an: _Analysis, trace: Array, span: tuple[float, float], warm_up_left: float
) -> tuple[float, float, float, float]:
    """Mean of the window, its half-width, effective number and scatter of the samples."""
    t = an.s.t
    begin, end = span
    if an.period is not None and end - begin > an.period:
        begin = end - an.period * np.floor((end - begin) / an.period + 1e-9)  # whole loops
    ok = (t >= begin) & (t <= end) & np.isfinite(trace)
    values, at = trace[ok], t[ok]
    n = values.size
    if n < 3:
        raise TraceError("the window holds fewer than three readings; record for longer or widen it")
    mean, sd = float(values.mean()), float(values.std(ddof=1))
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
    which = np.minimum(((at - (end - batches * width)) / width).astype(int), batches - 1)
    inside = which >= 0
    counts = np.bincount(which[inside], minlength=batches)
    sums = np.bincount(which[inside], values[inside], batches)
    used = counts > 0
    means = sums[used] / counts[used]
    m = int(used.sum())
    if m < 2:
        return mean, float("nan"), 1.0, sd
    ips = inflation(means)
    se = float(means.std(ddof=1) / np.sqrt(m) * np.sqrt(ips))
    t95 = float(stats.t.ppf(0.975, max(m / ips - 1, 1.0)))
    n_eff = float(min(n, (sd / se) ** 2)) if se > 0 else float(n)
    u95 = abs(warm_up_left) + float(np.hypot(t95 * se, an.tolerance / 4))
    return mean, u95, n_eff, sd
