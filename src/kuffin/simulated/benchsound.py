"""The simulated bench's microphone in place of a sound card: it records what turns, and plays into nothing."""

from __future__ import annotations

import numpy as np
from numpy.typing import NDArray

from kuffin.core.base.language import mark
from kuffin.simulated.hydraulics import Pump
from kuffin.simulated.microphone import RATE, Sounding, calibrator, recorded

Array = NDArray[np.float64]


class SimulatedSound:
    """Records the simulated bench.

    Parameters
    ----------
    running : (fans in rpm, pump in rpm, power in W)
        All nothing: the booth alone.
    calibrates : bool
        Whether a calibrator sits on the microphone.
    """

    name = mark("simulated microphone")

    def __init__(self, running: tuple[float, float, float] = (0.0, 0.0, 0.0), calibrates: bool = False) -> None:
        self._running, self._calibrates = running, calibrates
        self.played: list[tuple[int, int]] = []

    def play(self, samples: Array, rate: int) -> None:
        """Play into nothing; what was played is remembered."""
        self.played.append((samples.size, rate))

    def stop(self) -> None:
        """Nothing to stop: it records faster than time goes by."""

    def record(self, seconds: float) -> tuple[Array, int]:
        """A recording of what runs; the same bench never sounds quite the same twice."""
        rng = np.random.default_rng()
        if self._calibrates:
            return calibrator(rng, seconds=seconds), RATE
        fans, pump, power = self._running
        speed = pump / Pump().full_rpm
        return recorded(Sounding(fan_rpm=fans, pump_speed=speed, power_w=power), rng, seconds), RATE
