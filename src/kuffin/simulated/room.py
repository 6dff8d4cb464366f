"""A room whose air drifts, cycles with its air conditioner, and has a door."""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

Array = NDArray[np.float64]


@dataclass(frozen=True, kw_only=True)
class Room:
    """How the air at the radiator's intake behaves.

    Attributes
    ----------
    start_c : float
        Air at the beginning, °C.
    drift_k_h : float
        Steady drift, K/h.
    wander_k : float
        Size of a slow random wander (standard deviation after an hour), K.
    hvac_k, hvac_period_s : float
        Amplitude and period of the air conditioner's cycle.
    door_s, door_k : float or None, float
        When a door opens, and by how much the air falls at once; it comes back over some ten minutes.
    """

    start_c: float = 22.0
    drift_k_h: float = 0.0
    wander_k: float = 0.1
    hvac_k: float = 0.0
    hvac_period_s: float = 900.0
    door_s: float | None = None
    door_k: float = 0.0

    def air(self, times: Array, rng: np.random.Generator) -> Array:
        """Air temperature at the given times (constant step), °C, shape (n,)."""
        h = float(times[1] - times[0])
        knots = max(3, int(times[-1] / 300) + 2)
        walk = np.concatenate(([0.0], np.cumsum(rng.normal(0, self.wander_k * np.sqrt(300 / 3600), knots - 1))))
        wander = np.interp(times, np.linspace(0, times[-1], knots), walk)
        smooth = max(1, int(120 / h))
        padded = np.pad(wander, smooth, mode="edge")
        wander = np.convolve(padded, np.ones(2 * smooth + 1) / (2 * smooth + 1), mode="valid")
        phase = rng.uniform(0, 2 * np.pi)
        cycle = self.hvac_k * np.sin(2 * np.pi * times / self.hvac_period_s + phase)
        door = np.zeros_like(times)
        if self.door_s is not None:
            since = times - self.door_s
            door = np.where(since > 0, -self.door_k * np.exp(-np.maximum(since, 0) / 300.0), 0.0)
        return self.start_c + self.drift_k_h * times / 3600.0 + wander + cycle + door
