"""Judge a trace: the one door to settling."""

from __future__ import annotations

import numpy as np
from numpy.typing import NDArray

from kuffin.core.errors import TraceError
from kuffin.core.settle.analysis import Analysis
from kuffin.core.settle.judge import judge
from kuffin.core.settle.load import loop_period
from kuffin.core.settle.prepare import box_starts, clean, is_fast, jump_share, load_of
from kuffin.core.settle.result import Settling

Array = NDArray[np.float64]

LEAD_S = 60.0  # after load start, before the first box
BOX_S = 30.0


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
    start, end = load_of(times, response, over, load) if begin_s is None else (begin_s, float(times[-1]))
    begin = float(times[0]) if start is None else start
    s = clean(times, response, over, per, load, air, begin, end)
    period = loop_period(times, load, begin, end) if load is not None else None
    width = period if period is not None else BOX_S
    stride = width / 4 if period is not None else width
    first = begin + (LEAD_S if start is not None else 0.0)
    if end - first < 4 * stride + width:
        first = begin
    share = jump_share(s, begin, end, start is not None, width)
    fast = is_fast(s, share)
    starts = box_starts(first, end, width, stride)
    if starts.size < 4:
        raise TraceError(f"only {end - begin:.0f} s lie under load; that is too short to judge, record for longer")
    analysis = Analysis(s, starts, width, stride, fast, share, tolerance, period, begin, end)
    step_at = analysis.find_step()
    fit = analysis.fit()
    return judge(analysis, fit, start, end, step_at, window)
