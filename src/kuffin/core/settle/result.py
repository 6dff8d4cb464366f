"""What is known of a trace's way to equilibrium, and the reading that follows from it."""

from __future__ import annotations

from dataclasses import dataclass, field, fields

import numpy as np
from numpy.typing import NDArray

Array = NDArray[np.float64]


@dataclass(frozen=True)
class Settled:
    """What is known of a trace's way to equilibrium, without its samples. Times in s from the log's first row.

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
    still_to_go, still_to_go_u95 : float
        `final` less the level at the window's end.
    drift_per_10min, drift_u95 : float
    left_in_window : float
        What the fitted warm-up still had above its final level, on average over the window.
    by_hand : bool
        Whether the window was set by a person.
    fast : bool
        Whether the trace jumps at once (die over coolant) or creeps (coolant over air).
    spikes, samples : int
        Samples left out as spikes, and how many there were.
    rounding_u : float
        Standard uncertainty that the steps of coarse sensors leave, in the trace's unit; 0 where noise blurs them. It is in
        `mean_u95` and `final_u95`.
    notes : tuple of str
        Which plateau this is about, and what else one should know of it; empty for a plain warm-up.
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
    rounding_u: float
    notes: tuple[str, ...] = field(default=(), kw_only=True)

    @property
    def reading(self) -> tuple[float, float]:
        """The reading and the half-width of its 95 % interval.

        A window that Kuffin found is corrected for the warm-up still left in it (its size then counts for a third, not
        in full). A window set by hand is read as it is. What did not settle is read as the level it points to.
        """
        if self.by_hand:
            return self.mean, self.mean_u95
        if not self.settled:
            return self.final, self.final_u95
        rest = max(self.mean_u95 - abs(self.left_in_window), 0.0)
        return self.mean - self.left_in_window, float(np.hypot(rest, abs(self.left_in_window) / 3))

    @property
    def value(self) -> float:
        """The reading's value."""
        return self.reading[0]

    @property
    def u95(self) -> float:
        """The reading's half-width."""
        return self.reading[1]

    @property
    def level_known(self) -> bool:
        """Whether what is still to go is surely within 1.5 tolerances, even where the drift cannot be bounded."""
        return abs(self.still_to_go) + self.still_to_go_u95 <= 1.5 * self.tolerance


@dataclass(frozen=True)
class Settling(Settled):
    """A trace's settling with its samples and the fitted curve.

    Attributes
    ----------
    trace : ndarray, shape (n,)
        The judged trace at the log's times (air lagged, spikes missing).
    fit_times, fit : ndarray, shape (m,)
        The fitted curve.
    """

    trace: Array = field(repr=False)
    fit_times: Array = field(repr=False)
    fit: Array = field(repr=False)

    def summary(self) -> Settled:
        """The same without samples: what a notebook keeps."""
        return Settled(**{f.name: getattr(self, f.name) for f in fields(Settled)})
