"""Making a clock run on: over midnight, the end of summer time, twelve hours without AM and PM, a clock set back, a restart."""

from __future__ import annotations

import numpy as np
from numpy.typing import NDArray

from kuffin.core.base.saying import say
from kuffin.logs.clock import DAY

Array = NDArray[np.float64]
_HALF_DAY = DAY / 2
_MOST_LOOKED_AT = 300  # steps back; a log with more has no order to be mended


def running(seconds: Array, *, calendar: bool, offsets: bool) -> tuple[Array, list[str]]:
    """Times that run on, still in the order of the rows (swapped rows are left for sorting).

    Parameters
    ----------
    seconds : ndarray, shape (n,)
        Times in the order of the rows, all finite.
    calendar, offsets : bool
        Whether the clock knows the date, and whether each time carries its offset from UTC.

    Returns
    -------
    seconds : ndarray, shape (n,)
    notes : list of str
        What was done, for the person.
    """
    t = seconds.copy()
    notes: list[str] = []
    if t.size < 2:
        return t, notes
    step = np.diff(t)
    typical = _typical(step)
    _half_days(t, step, typical, notes)
    del step  # a log may have ten million
    if not calendar:
        _midnights(t, notes)
    if not offsets:
        step = np.diff(t)
        for i in np.flatnonzero((step < -3000.0) & (step > -3720.0)):
            after = t[i + 1 : i + 6]
            if np.all(after - t[i] < -2400.0):  # it stays an hour back, so it is no swapped row
                t[i + 1 :] += 3600.0
                notes.append(say("the clock goes back an hour (end of summer time): time runs on"))
    return _set_back(t, calendar, typical, notes), notes


def _typical(step: Array) -> float:
    """The median step forward; of a very long log, of a million of its steps."""
    some = step[:: 1 + step.size // 1_000_000]
    some = some[some > 0]
    return float(np.median(some)) if some.size else 1.0


def _half_days(t: Array, step: Array, typical: float, notes: list[str]) -> None:
    """A clock of twelve hours without AM and PM: from 12:59:59 to 01:00:00 it is one second."""
    back, width = typical - _HALF_DAY, max(3 * typical, 2.0)
    found = np.flatnonzero((step > back - width) & (step < back + width))
    for i in found:
        t[i + 1 :] += _HALF_DAY
    if found.size:
        notes.append(say("the clock counts to twelve without AM or PM: time runs on"))


def _midnights(t: Array, notes: list[str]) -> None:
    days = 0.0
    step = np.diff(t)
    far = np.flatnonzero((step > _HALF_DAY) | (step < -_HALF_DAY))
    for i, forward in zip(far, step[far] > 0, strict=True):
        if not forward:
            days += 1.0
            t[i + 1 :] += DAY
        elif days > 0:
            days -= 1.0  # a row swapped with its neighbour over midnight
            t[i + 1 :] -= DAY
    if days:
        notes.append(say("the clock passes midnight: time runs on"))


def _taken(before: Array, behind: Array, typical: float) -> float:
    """The share of times at which there is a row already."""
    there = np.sort(before)
    at = np.searchsorted(there, behind)
    near = np.minimum(
        np.abs(there[np.minimum(at, there.size - 1)] - behind), np.abs(there[np.maximum(at - 1, 0)] - behind)
    )
    return float(np.mean(near < 0.6 * typical))


def _set_back(t: Array, calendar: bool, typical: float, notes: list[str]) -> Array:
    """A clock that was set back, or began again, runs on one step later.

    Rows that were swapped, or written late, fill a hole that they left before; a clock that was set back goes over times
    that are taken already. A calendar clock that goes back to before the log's first row is left alone: sorting puts
    that part in its place.
    """
    for i in np.flatnonzero(t[1:] < t[:-1])[:_MOST_LOOKED_AT]:
        low, high = t[i + 1], t[i]
        if low >= high:
            continue  # an earlier one has been mended, and this with it
        after = t[i + 1 :]
        there = np.flatnonzero(after >= high)
        behind = after[: there[0]] if there.size else after
        taken = _taken(t[: i + 1], behind, typical)
        if calendar and behind.size == after.size and after.max() < t[0] and after.size >= 3:
            continue
        if behind.size < 2 or taken < 0.5:
            continue
        back = high - low
        t[i + 1 :] += back + typical
        notes.append(
            say(
                "the clock goes back by {back:.0f} s after {after:.0f} s and runs on from there; how long the pause was cannot be known",
                back=float(back),
                after=float(t[i] - t[0]),
            )
        )
        if len(notes) > 20:
            notes.append(say("and so on"))
            break
    return t
