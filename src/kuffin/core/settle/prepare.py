"""Before the fit: where the load lies, cleaned channels, and whether a trace jumps or creeps."""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from kuffin.core.base.traces import Mask, lone_spikes, smooth_spikes, span_of
from kuffin.core.settle.load import LoadSpan, load_span, rise_start

Array = NDArray[np.float64]


@dataclass(kw_only=True)
class CleanSignals:
    """Cleaned channels up to the load's end."""

    t: Array
    response: Array
    over: Array | None
    per: Array | None
    load: Array | None
    air: Array | None
    over_air: bool
    spikes: int


def load_of(times: Array, response: Array, over: Array | None, load: Array | None) -> LoadSpan:
    """When the load was on: from the load channel, else from the trace itself."""
    if load is not None and np.isfinite(load).sum() >= 8:
        cleaned = load.copy()
        cleaned[lone_spikes(load, response)] = np.nan
        span = load_span(times, cleaned)
        if span.start is not None or span.end < times[-1]:
            return span
        if float(np.nanpercentile(load, 90)) > 0:
            return span
    trace = response if over is None else response - over
    cleaned = trace.copy()
    cleaned[lone_spikes(trace)] = np.nan
    return LoadSpan(rise_start(times, cleaned), float(times[-1]), ())


def _jumps(t: Array, x: Array, begin: float) -> bool:
    """Whether a channel answers the load at once: by 0.4 of its final rise within 20 to 50 s."""

    def level(a: float, b: float) -> float:
        inside = span_of(t, x, a, b)
        return float(np.median(inside)) if inside.size >= 2 else float("nan")

    before, soon = level(begin - 60, begin - 0.5), level(begin + 20, begin + 50)
    late = level(t[-1] - 300, t[-1] + 1)
    if not np.isfinite([before, soon, late]).all() or abs(late - before) < 1.0:
        return False
    return (soon - before) / (late - before) > 0.4


def clean(
    times: Array,
    response: Array,
    over: Array | None,
    per: Array | None,
    load: Array | None,
    air: Array | None,
    begin: float,
    end: float,
    over_air: bool,
) -> CleanSignals:
    """Cleaned copies of all channels up to the load's end; spikes are missing in them, and counted."""
    upto = int(np.searchsorted(times, end + 1e-9, side="right"))
    t = times[:upto]

    def cut(x: Array | None) -> Array | None:
        return None if x is None else np.array(x[:upto], float)

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
    raw = response[:upto]
    for x in (q, p):
        if x is not None:
            x[lone_spikes(x, raw)] = np.nan
    return CleanSignals(t=t, response=y, over=o, per=p, load=q, air=a, over_air=over_air, spikes=spikes)


def jump_share(s: CleanSignals, begin: float, end: float, has_start: bool, width: float) -> float:
    """The share of its final level that the judged trace takes at once, 20 to 50 s after load; 0 to 1."""
    y = s.response if s.over is None else s.response - s.over
    if not has_start:  # no start to look at: what stands level on the coolant from the beginning is past its jump
        return 1.0 if s.over is not None and not s.over_air and _level_throughout(s.t, y, begin, end) else 0.0

    def level(since: float, until: float) -> float:
        v = span_of(s.t, y, since, until)
        return float(np.mean(v)) if v.size else float("nan")

    before = level(begin - 60, begin - 1)
    soon = level(begin + 20, begin + 50)
    final = level(max(begin, end - max(300.0, width)), np.inf)
    before = 0.0 if not np.isfinite(before) else before
    if abs(final - before) < 0.25 * abs(final):
        before = 0.0  # the state before was much the same: what counts is whether the level stood at once
    if not np.isfinite([soon, final]).all() or abs(final - before) < 1e-9:
        return 0.0
    return float(np.clip((soon - before) / (final - before), 0.0, 1.0))


def _level_throughout(t: Array, y: Array, begin: float, end: float) -> bool:
    """Whether a trace's first fifth stands within 5 % of its last."""
    fifth = (end - begin) / 5
    parts = [span_of(t, y, a, np.nextafter(a + fifth, np.inf)) for a in (begin, end - fifth)]
    if any(p.size < 3 for p in parts):
        return False
    first, last = (float(np.median(p)) for p in parts)
    return abs(first - last) < 0.05 * max(abs(first), abs(last))


def is_fast(s: CleanSignals, share: float) -> bool:
    """Whether the judged trace is a fast one (die over coolant).

    What stands on the air, or on nothing, creeps with the coolant however much of it comes at once.
    """
    return s.over is not None and not s.over_air and share > 0.4


def box_starts(first: float, end: float, width: float, stride: float) -> Array:
    """Where the boxes begin; the last one ends with the load."""
    count = int(np.floor((end - width - first) / stride + 1e-9)) + 1
    if count < 1:
        return np.empty(0)
    # the last box ends with the log
    return np.asarray(end - width - stride * np.arange(count)[::-1], float)
