"""What is known of a trace's way to equilibrium, and the reading that follows from it."""

from __future__ import annotations

from dataclasses import dataclass, field, fields
from functools import cached_property

import numpy as np
from numpy.typing import NDArray

from kuffin.core.base.worked import Worked
from kuffin.core.settle.reading import final_level, plain_window, reading

Array = NDArray[np.float64]


@dataclass(frozen=True, kw_only=True)
class Load:
    """The load that a trace answers. Times in s from the log's first row.

    Attributes
    ----------
    start_s : float or None
        None where the log begins under load.
    end_s : float
    period_s : float or None
        Of a load in loops, or of what swings by itself.
    step_s : float or None
        Where the bench last changed for good; only what comes after it is judged.
    """

    start_s: float | None
    end_s: float
    period_s: float | None
    step_s: float | None


@dataclass(frozen=True, kw_only=True)
class WarmUpFit:
    """The level that the whole warm-up points to, ``y(t) = f + A·exp(−t/τ)``.

    Attributes
    ----------
    tau_s : float or None
        None for a trace that jumps at once.
    final, final_se : float
        f and what the fit leaves open about it, as a standard error.
    t95, widen : float
        Student's t, and by how much it is widened for what the residuals do not show.
    size : float
        How much the fitted warm-up still covers where it begins.
    """

    tau_s: float | None
    final: float
    final_se: float
    t95: float
    widen: float
    size: float


@dataclass(frozen=True, kw_only=True)
class ReadingWindow:
    """The stretch that a reading is taken from: the settled one, else the last one looked at.

    Attributes
    ----------
    span_s : tuple of float
    total : float
        Sum of its samples.
    count : int
    sd : float
        Their scatter.
    batches, batch_sd, inflation, t95 : float
        Means of parts of it: how many, their scatter, by how much autocorrelation inflates the variance of their mean, and
        Student's t.
    left : float
        What the fitted warm-up still had above its final level, on average over the window.
    second_part : float
        Half-width of what a second, slower part could still add.
    """

    span_s: tuple[float, float]
    total: float
    count: int
    sd: float
    batches: int
    batch_sd: float
    inflation: float
    t95: float
    left: float
    second_part: float

    @property
    def mean(self) -> float:
        """The sum over the count."""
        return self.total / self.count

    @property
    def standard_error(self) -> float:
        """Of the mean: ``s_b/√b·√k``."""
        return float(self.batch_sd / np.sqrt(self.batches) * np.sqrt(self.inflation))

    @property
    def n_eff(self) -> float:
        """As many independent samples are as good as these."""
        error = self.standard_error
        if not np.isfinite(error):
            return 1.0
        return float(min(self.count, (self.sd / error) ** 2)) if error > 0 else float(self.count)


@dataclass(frozen=True)
class Level:
    """How far the trace has still to go: the final level less that at the window's end, with its half-width."""

    to_go: float
    to_go_u95: float


@dataclass(frozen=True)
class Drift:
    """The window's slope in 10 minutes, with its half-width."""

    per_10min: float
    u95: float


@dataclass(frozen=True, kw_only=True)
class Settled:
    """What is known of a trace's way to equilibrium, without its samples. Times in s from the log's first row.

    Attributes
    ----------
    load, warm_up, window, level, drift
    settled : bool
    settled_at_s : float or None
    tolerance : float
        The drift that still counts as settled, per 10 minutes.
    by_hand : bool
        Whether the window was set by a person.
    fast : bool
        Whether the trace jumps at once (die over coolant) or creeps (coolant over air).
    spikes, samples : int
        Samples left out as spikes, and how many there were.
    rounding_u : float
        Standard uncertainty that the steps of coarse sensors leave, in the trace's unit; 0 where noise blurs them.
    notes : tuple of str
        Which plateau this is about, and what else one should know of it; empty for a plain warm-up.
    """

    load: Load
    warm_up: WarmUpFit
    window: ReadingWindow
    level: Level
    drift: Drift
    settled: bool
    settled_at_s: float | None
    tolerance: float
    by_hand: bool
    fast: bool
    spikes: int
    samples: int
    rounding_u: float
    notes: tuple[str, ...] = ()

    def reading(self, unit: str = "", digits: int = 2, symbol: str = "y") -> Worked:
        """The reading with its half-width and where both come from; see `kuffin.core.settle.reading`."""
        return reading(self, unit, digits, symbol)

    @property
    def mean_u95(self) -> float:
        """Half-width of the window's mean as it is."""
        return plain_window(self).u95 or 0.0

    @property
    def final_u95(self) -> float:
        """Half-width of the level that the warm-up points to."""
        return final_level(self).u95 or 0.0

    @cached_property
    def _reading(self) -> Worked:
        return self.reading()

    @property
    def value(self) -> float:
        """The reading's value."""
        return self._reading.value

    @property
    def u95(self) -> float:
        """The reading's half-width."""
        return self._reading.u95 or 0.0

    @property
    def level_known(self) -> bool:
        """Whether what is still to go is surely within 1.5 tolerances, even where the drift cannot be bounded."""
        return abs(self.level.to_go) + self.level.to_go_u95 <= 1.5 * self.tolerance


@dataclass(frozen=True, kw_only=True)
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
