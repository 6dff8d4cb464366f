"""Boxes of one run, from which steps and fits are made."""

from __future__ import annotations

from functools import partial

import numpy as np
from numpy.typing import NDArray

from kuffin.core.base.boxes import Boxes
from kuffin.core.base.errors import TraceError
from kuffin.core.base.traces import few, lagged
from kuffin.core.settle.coarse import rounding_u
from kuffin.core.settle.load import load_level
from kuffin.core.settle.prepare import CleanSignals
from kuffin.core.settle.secondpart import least_rss, with_second_part
from kuffin.core.settle.steps import fast_split, slow_split
from kuffin.core.settle.warmup import SlowData, WarmUp, fit_fast, fit_slow

Array = NDArray[np.float64]


class Analysis:
    """Boxes of one run, from which steps and fits are made."""

    def __init__(
        self,
        s: CleanSignals,
        starts: Array,
        width: float,
        stride: float,
        fast: bool,
        jump: float,
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
        # what comes at once in a slow trace (die over air); little of it is the block's own delay, not a jump
        self.jump = jump if jump > 0.25 else 0.0
        self.spacing = 4 if period is not None else 1
        boxes = Boxes(s.t, width, starts)
        box = boxes.means(s.response)
        if s.over is not None:
            box_over = boxes.means(s.over)
            ok = np.isfinite(box) & np.isfinite(box_over)
        else:
            box_over, ok = None, np.isfinite(box)
        box_per = None if s.per is None else boxes.means(s.per)
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
        self.load = None if level is None else boxes.means(level)[ok]
        self.from_box = 0
        # what the steps of coarse sensors leave open, in the unit of the response
        self.rounding = rounding_u(s.t, [x for x in (s.response, s.over) if x is not None], float(starts[0]), width)
        self._step = float(np.clip(np.median(few(np.diff(s.t))), 2.0, 5.0))
        self._grid = np.arange(float(s.t[0]), end + 10.0, self._step)
        self._boxes = Boxes(self._grid, width, self.starts)
        self._steps = Boxes(s.t, self._step, self._grid - self._step / 2)
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
        means = self._steps.means(x)
        bare = ~np.isfinite(means)
        if bare.any():
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
        return self._boxes.means(lagged(self._grid, x_grid, tau, initial, self._step))

    def slow_data(self, tau: float) -> tuple[Array, Array]:
        """Boxes of the response less the lagged air, and of what drives it."""
        if tau not in self._cache:
            y = self.y if self._over_grid is None else self.y - self._lagged_boxes(self._over_grid, tau)
            if self._per_grid is None or self.per is None:
                drive = self._drive(tau, self.jump)
            else:
                late = self._lagged_boxes(self._per_grid, tau, float(np.median(self._per_grid)))
                drive = self.jump * self.per + (1 - self.jump) * late
            self._cache[tau] = (y, drive)
        return self._cache[tau]

    def _drive(self, tau: float, jump: float = 0.0) -> Array:
        """1, and what the load's wandering adds to it: a share at once, the rest after the lag."""
        if self._wander is None:
            return np.ones(self.t.size)
        drive = 1.0 + (1 - jump) * self._lagged_boxes(self._wander, tau)
        return drive + jump * self._boxes.means(self._wander) if jump else drive

    def piece(self) -> SlowData:
        """The slow trace from where the box of heat has gone by: for a slow part's time constant, what is seen and what drives it."""
        a = self.from_box

        def data(tau: float) -> tuple[Array, Array]:
            y, drive = self.slow_data(tau)
            return y[a:], drive[a:]

        return data

    def fast_trace(self) -> Array:
        """What the fast part is read from: the response, over another channel and per another one where that is asked."""
        y = self.y if self.over is None else self.y - self.over
        return y if self.per is None else y / self.per

    @property
    def scale(self) -> float:
        """What the response is divided by, on average; 1 where it is not per watt."""
        return 1.0 if self.per is None else float(np.mean(self.per))

    def find_step(self) -> float | None:
        """Look for steps, at most three; afterwards everything concerns the last state."""
        at = None
        for _ in range(3):
            a = self.from_box
            tolerance = self.tolerance if self.per is None or self.fast else self.tolerance * float(np.mean(self.per))
            if self.fast:
                x = None if self.over is None else self.over[a:]
                rounding = self.rounding / self.scale
                cut = fast_split(
                    self.t[a:], self.fast_trace()[a:], x, self._power(a), tolerance, self.spacing, rounding
                )
            else:
                cut = slow_split(
                    self.t[a:], self.piece(), tolerance, self.spacing, self.rounding, partial(self._least, a)
                )
            if cut is None:
                break
            at = float(self.t[a + cut] - 0.5 * self.stride)
            self.from_box = a + cut
            if self.period is not None:
                # boxes that reach over the step belong to neither state
                skip = int(np.searchsorted(self.starts, at - 0.5 * self.stride))
                self.from_box = min(max(self.from_box, skip), self.t.size - 8)
        return at

    def _least(self, a: int) -> float:
        """What the best single piece from a box on leaves, a second slow part allowed for."""
        t = self.t[a:]
        return least_rss(t, self.piece(), self.end, fit_slow(t, self.piece(), self.end))

    def fit(self) -> WarmUp:
        """The warm-up that fits from the box to the end of the load."""
        a = self.from_box
        t = self.t[a:]
        if not self.fast:
            return with_second_part(t, self.piece(), self.end, fit_slow(t, self.piece(), self.end))
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

        tolerance = self.tolerance if self.per is None else self.tolerance * float(np.mean(self.per))
        cut = slow_split(t, data, tolerance, self.spacing, self.rounding)
        if cut is not None:  # a fan was changed: only its last state tells where it is heading
            whole = data

            def data(tau: float) -> tuple[Array, Array]:
                y, drive = whole(tau)
                return y[cut:], drive[cut:]

            t = t[cut:]
        own = fit_slow(t, data, self.end, np.geomspace(60, 4000, 24))
        last = 0.0
        if air is not None and self._air_grid is not None:
            recent = air[(self.s.t > self.end - 600) & np.isfinite(air)]
            last = float(recent.mean()) if recent.size else float(np.nanmean(air))
        level = own.final + last
        reach = 3 * float(np.ptp(x)) + 1.0
        return float(np.clip(level, x[-1] - reach, x[-1] + reach))
