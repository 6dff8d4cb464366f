"""Averages of traces over boxes of time, by the trapezium rule."""

from __future__ import annotations

from functools import cached_property

import numpy as np
from numpy.typing import NDArray

from kuffin.core.base.traces import Array, Mask, bridged, few, runs_without

_Places = NDArray[np.intp]


class Boxes:
    """Boxes over given times, laid once and used for any number of traces.

    Parameters
    ----------
    times : ndarray, shape (n,)
        Rising.
    width : float
        Width of a box in s.
    starts : ndarray, shape (m,)
        Where the boxes begin.
    """

    def __init__(self, times: Array, width: float, starts: Array) -> None:
        self._times, self._width, self._starts = times, width, starts
        self._ends = starts + width

    def means(self, values: Array) -> Array:
        """Averages of a trace over the boxes; missing values are skipped.

        Parameters
        ----------
        values : ndarray, shape (n,)
            At the boxes' times.

        Returns
        -------
        ndarray, shape (m,)
            NaN where a box has no reading or is mostly a gap.
        """
        out = np.full(self._starts.size, np.nan)
        ok = np.isfinite(values)
        if self._times.size < 2 or np.count_nonzero(ok) < 2:
            return out
        if ok.all():
            x, known = values, self._known
        else:
            x, known = bridged(self._times, values, ok), self._known_where(ok)
        # the area up to a sample: each sample before it by its weight, itself by the half step that leads to it
        sums = np.add.reduceat(x * self._weights, self._knots)
        upto = np.concatenate(([0.0], np.cumsum(sums[:-1])))[self._of_knots] + x[self._at] * self._half_step_before
        area = upto + x[self._at] * self._after + (x[self._at + 1] - x[self._at]) * self._slope_weight
        m = self._starts.size
        out[known] = (area[m:] - area[:m])[known] / self._width
        return out

    # --- what the times alone say ----------------------------------------------------------------------------------

    @cached_property
    def _steps(self) -> Array:
        return np.diff(self._times)

    @cached_property
    def _weights(self) -> Array:
        """Half of the steps before and after each sample."""
        weights = np.empty(self._times.size)
        weights[0], weights[-1] = self._steps[0], self._steps[-1]
        np.subtract(self._times[2:], self._times[:-2], out=weights[1:-1])
        weights *= 0.5
        return weights

    @cached_property
    def _at(self) -> _Places:
        """The sample before each box's begin, then before each box's end."""
        edges = np.concatenate((self._starts, self._ends))
        return np.clip(np.searchsorted(self._times, edges, side="right") - 1, 0, self._times.size - 2)

    @cached_property
    def _after(self) -> Array:
        """The time from there to the edge."""
        return np.concatenate((self._starts, self._ends)) - self._times[self._at]

    @cached_property
    def _slope_weight(self) -> Array:
        return 0.5 * self._after**2 / np.maximum(self._steps[self._at], 1e-12)

    @cached_property
    def _half_step_before(self) -> Array:
        return np.where(self._at > 0, 0.5 * self._steps[self._at - 1], 0.0)

    @cached_property
    def _knots(self) -> _Places:
        return np.unique(self._at)

    @cached_property
    def _of_knots(self) -> _Places:
        return np.searchsorted(self._knots, self._at)

    # --- which boxes are known -------------------------------------------------------------------------------------

    def _long(self, steps: Array) -> float:
        """From which length on a step is a gap, s."""
        return max(0.5 * self._width, 3 * float(np.median(few(steps))))

    @cached_property
    def _count(self) -> _Places:
        return self._inside(self._times)

    @cached_property
    def _known(self) -> Mask:
        """Whether a box has a reading and is not mostly a gap, where none is missing."""
        gaps = np.flatnonzero(self._steps > self._long(self._steps))
        return self._known_with(self._count, self._times[[0, -1]], self._times[gaps], self._times[gaps + 1])

    def _known_where(self, ok: Mask) -> Mask:
        """The same, where some are missing: each run of them is a step."""
        t, (missing, begins, ends) = self._times, runs_without(ok)
        limit = self._long(np.diff(t[ok]))
        between = (begins > 0) & (ends < t.size)
        since, until = t[begins[between] - 1], t[ends[between]]
        long = until - since > limit
        gaps = np.flatnonzero(self._steps > limit)
        gaps = gaps[ok[gaps] & ok[gaps + 1]]
        since, until = np.append(since[long], t[gaps]), np.append(until[long], t[gaps + 1])
        first, last = int(np.argmax(ok)), ok.size - 1 - int(np.argmax(ok[::-1]))
        return self._known_with(
            self._count - self._inside(t[missing]), t[[first, last]], np.sort(since), np.sort(until)
        )

    def _inside(self, times: Array) -> _Places:
        return np.asarray(
            np.searchsorted(times, self._ends, side="right") - np.searchsorted(times, self._starts, side="left")
        )

    def _known_with(self, count: _Places, span: Array, since: Array, until: Array) -> Mask:
        known = (count >= 1) & (self._starts >= span[0] - 1e-9) & (self._ends <= span[1] + 1e-9)
        if since.size:
            lost = np.repeat(np.concatenate(([0.0], np.cumsum(until - since))), 2)[1:-1]
            edges = np.column_stack((since, until)).ravel()
            known &= np.interp(self._ends, edges, lost) - np.interp(self._starts, edges, lost) <= 0.5 * self._width
        return np.asarray(known, bool)


def box_means(times: Array, values: Array, width: float, starts: Array) -> Array:
    """Averages of one trace over boxes of a given width, as `Boxes.means`.

    >>> box_means(np.arange(0.0, 50.0, 10.0), np.arange(5.0), 20.0, np.array([0.0, 20.0])).tolist()
    [1.0, 3.0]
    """
    return Boxes(times, width, starts).means(values)
