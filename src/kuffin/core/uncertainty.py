"""What an instrument's accuracy is worth (GUM, JCGM 100:2008, 4.3.7: a uniform distribution)."""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np


@dataclass(frozen=True)
class Accuracy:
    """An instrument's accuracy as its maker states it.

    Attributes
    ----------
    reading_percent, full_scale_percent : float
    full_scale : float
        In the instrument's unit.
    counts : float
        Of the smallest step shown, each `count_size` large.
    """

    reading_percent: float = 0.0
    full_scale_percent: float = 0.0
    full_scale: float = 0.0
    counts: float = 0.0
    count_size: float = 0.0

    def half_width(self, reading: float) -> float:
        """The largest error stated: ``a % · reading + b % · full scale + c counts``."""
        return (
            abs(reading) * self.reading_percent / 100
            + self.full_scale * self.full_scale_percent / 100
            + self.counts * self.count_size
        )

    def standard(self, reading: float) -> float:
        """The standard uncertainty: the half-width over √3."""
        return float(self.half_width(reading) / np.sqrt(3))
