"""What the instruments make of the truth: noise, steps, dropouts and glitches."""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

Array = NDArray[np.float64]
GLITCHES = (0.0, -40.0, 127.0, 999.9)


@dataclass(frozen=True, kw_only=True)
class Sensor:
    """An instrument's faults.

    Attributes
    ----------
    noise : float
        Standard deviation of one reading.
    quantum : float
        Step of the reading; 0: none.
    offset : float
        What it reads too much.
    dropout, glitch : float
        Share of readings that are missing, and that are nonsense.
    """

    noise: float = 0.0
    quantum: float = 0.0
    offset: float = 0.0
    dropout: float = 0.0
    glitch: float = 0.0

    def read(self, truth: Array, rng: np.random.Generator) -> Array:
        """Readings of the truth, shape (n,); missing is NaN."""
        values = truth + self.offset + rng.normal(0.0, self.noise, truth.size) if self.noise else truth + self.offset
        if self.quantum:
            values = np.round(values / self.quantum) * self.quantum
        if self.glitch:
            hit = rng.random(truth.size) < self.glitch
            nonsense = np.where(
                rng.random(truth.size) < 0.6, rng.choice(GLITCHES, truth.size), values + rng.uniform(3, 12, truth.size)
            )
            values = np.where(hit, nonsense, values)
        if self.dropout:
            values = np.where(rng.random(truth.size) < self.dropout, np.nan, values)
        return values
