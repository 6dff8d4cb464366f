"""Judge a trace: the one door to settling."""

from __future__ import annotations

from dataclasses import replace

import numpy as np
from numpy.typing import NDArray

from kuffin.core.base.errors import TraceError
from kuffin.core.base.saying import say
from kuffin.core.settle.analysis import Analysis
from kuffin.core.settle.judge import judge
from kuffin.core.settle.load import LoadSpan, cycle_period, loop_period
from kuffin.core.settle.prepare import CleanSignals, box_starts, clean, is_fast, jump_share, load_of
from kuffin.core.settle.result import Settling

Array = NDArray[np.float64]

LEAD_S = 60.0  # after load start, before the first box
BOX_S = 30.0
UNREST = 0.4  # of the tolerance: scatter of the boxes about the fit, above which a swing is looked for


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
    begin_s: float | None = None,
    over_is_air: bool | None = None,
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
    begin_s : float, optional
        When the state that is judged began, where that is known (a step of a protocol); else the load's start is sought.
    over_is_air : bool, optional
        Whether `over` is an air channel (any of them), which the response follows slowly; else only where it is `air` itself.

    Raises
    ------
    TraceError
        Where there is too little to judge.

    >>> rng, t = np.random.default_rng(1), np.arange(0.0, 5400.0, 2.0)
    >>> rise = 20.0 - 15.0 * np.exp(-t / 400.0) + rng.normal(0, 0.1, t.size)
    >>> found = settle(t, rise)
    >>> found.settled, abs(found.value - 20.0) < 0.1
    (True, True)
    """
    if not tolerance > 0:
        raise TraceError("the tolerance must be above 0")
    present = np.isfinite(response)
    if over is not None:
        present &= np.isfinite(over)
    if present.sum() < 8:
        raise TraceError("the trace has fewer than 8 readings; choose another column or record for longer")
    span = load_of(times, response, over, load) if begin_s is None else LoadSpan(begin_s, float(times[-1]), ())
    start, end = span.start, span.end
    begin = float(times[0]) if start is None else start
    period = loop_period(times, load, begin, end) if load is not None else None
    notes = plateau_notes(times, response, load, span, period)
    if period is None and len(span.passes) > 1:
        begin, end = longest_pass(span)
        start = start if (begin, end) == span.passes[0] else begin
        notes = (
            *notes,
            say(
                "the load came {n} times; this is about the longest, from {begin:.0f} to {end:.0f} s",
                n=len(span.passes),
                begin=begin,
                end=end,
            ),
        )
    is_air = over is not None and (over is air if over_is_air is None else over_is_air)
    s = clean(times, response, over, per, load, air, begin, end, is_air)
    analysis, step_at = _analysed(s, start, begin, end, period, tolerance)
    fit = analysis.fit()
    unrest = float(np.std(fit.residuals)) / (1.0 if analysis.fast else analysis.scale)
    if period is None and (step_at is not None or unrest > UNREST * tolerance):
        # what swings by itself looks like steps, or like a poor fit: a period is sought before either is believed
        swing = s.response if s.over is None else s.response - s.over
        period = cycle_period(s.t, swing, begin, end, tolerance * analysis.scale)
        if period is not None:
            analysis, since = _analysed(s, start, begin, end, period, tolerance)
            fit, step_at = analysis.fit(), None  # where the swinging began is no change of the bench
            swinging = (
                say("it swings by itself, every {period:.0f} s; whole swings are averaged", period=period)
                if since is None
                else say(
                    "it swings by itself, every {period:.0f} s from {since:.0f} s on; whole swings are averaged",
                    period=period,
                    since=since,
                )
            )
            notes = (*notes, swinging)
    return replace(judge(analysis, fit, start, end, step_at, window), notes=notes)


def _analysed(
    s: CleanSignals, start: float | None, begin: float, end: float, period: float | None, tolerance: float
) -> tuple[Analysis, float | None]:
    """The boxes of a run, and where it last changed its state."""
    width = period if period is not None else BOX_S
    stride = width / 4 if period is not None else width
    first = begin + (LEAD_S if start is not None else 0.0)
    if end - first < 4 * stride + width:
        first = begin
    share = jump_share(s, begin, end, start is not None, width)
    fast = is_fast(s, share)
    starts = box_starts(first, end, width, stride)
    if starts.size < 4:
        raise TraceError(
            "only {length:.0f} s lie under load; that is too short to judge, record for longer", length=end - begin
        )
    analysis = Analysis(s, starts, width, stride, fast, share, tolerance, period, begin, end)
    return analysis, analysis.find_step()


PASS_S = 900.0  # of a load's pass, to be judged by itself


def longest_pass(span: LoadSpan) -> tuple[float, float]:
    """The longest of a load's passes, where it is long enough to be judged by itself.

    Raises
    ------
    TraceError
        Where the load comes and goes, too seldom for an average over its passes and too often for a plateau.
    """
    begin, end = max(span.passes, key=lambda p: p[1] - p[0])
    if end - begin >= PASS_S:
        return begin, end
    raise TraceError(
        "the load comes and goes: {n} passes, the longest of {longest:.0f} min. Under four even passes nothing can be said of its level; record four or more, or one of {least:.0f} min",
        n=len(span.passes),
        longest=(end - begin) / 60,
        least=PASS_S / 60,
    )


def plateau_notes(
    times: Array, response: Array, load: Array | None, span: LoadSpan, period: float | None
) -> tuple[str, ...]:
    """Which plateau is judged, where that is not plainly the one that a warm-up leads to."""
    notes = []
    if span.start is None:
        ended = span.end < float(times[-1]) - 1
        under_load = load is not None and ended
        if load is not None and (under_load or float(np.nanpercentile(load, 90)) > 0):
            note = say("no load is seen to begin: the log begins under load, or stays at rest")
            notes.append(
                say("{note}, up to {end:.0f} s, where the load ended", note=note, end=span.end) if ended else note
            )
        early, late = (
            response[(times >= a) & (times <= b) & np.isfinite(response)]
            for a, b in ((times[0], times[0] + 60.0), (span.end - 120.0, span.end))
        )
        if early.size and late.size and float(np.mean(early) - np.mean(late)) > 2.0:
            notes.append(say("it only cools down; this is about the level that it comes down to"))
    return tuple(notes)
