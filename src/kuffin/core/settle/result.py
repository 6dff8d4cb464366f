"""What is known of a trace's way to equilibrium, and the reading that follows from it."""

from __future__ import annotations

from dataclasses import dataclass, field

import numpy as np
from numpy.typing import NDArray

Array = NDArray[np.float64]


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
