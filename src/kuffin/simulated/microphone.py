"""The simulated bench's microphone: fans, a pump, coils that sing with the load, mains hum and the booth itself, in pascals.

Every source has the level that the bench's sound meter would read of it, so that a recording and the meter's channel agree; noise
is made in the frequency domain, so that its A-weighted energy is exact.
"""

from __future__ import annotations

from dataclasses import dataclass, field

import numpy as np
from numpy.typing import NDArray

from kuffin.core.sound.weighting import P0, a_weighting
from kuffin.simulated.hydraulics import BACKGROUND_DBA, FAN_DBA, Pump

Array = NDArray[np.float64]
RATE = 16_000
FULL_SCALE_PA = 2.0
BLADES, VANES = 9, 6  # of a fan, and of a pump's wheel
COIL_HZ = 5230.0
_COIL_DBA_AT_100W, _COIL_IDLE_W = 13.0, 60.0
_PUMP_TONAL, _FAN_TONAL, _FIN_TONAL = 0.6, 0.04, 0.8  # shares of their energy that are tones
_FIN_MULTIPLE = 4  # of the blades' passing: where tight fins whistle


@dataclass(frozen=True, kw_only=True)
class Sounding:
    """What sounds: the fans' speed, by how much the radiator's fins make them louder, the pump's share of full speed, the power; nothing where all is off."""

    fan_rpm: float = 0.0
    sound_db: float = 0.0
    pump_speed: float = 0.0
    power_w: float = 0.0
    pump: Pump = field(default_factory=Pump)

    @property
    def level_dba(self) -> float:
        """The level of all of it together, coils and background too."""
        return float(10 * np.log10(sum(10 ** (x / 10) for x in self.levels().values())))

    def levels(self) -> dict[str, float]:
        """Each source's level, dBA."""
        out = {"background": BACKGROUND_DBA}
        if self.fan_rpm > 0:
            out["fans"] = FAN_DBA + 50 * float(np.log10(self.fan_rpm / 1000))
            if self.sound_db > 0:
                out["fins"] = out["fans"] + 10 * float(np.log10(10 ** (self.sound_db / 10) - 1))
        if self.pump_speed > 0:
            out["pump"] = self.pump.sound_dba + 50 * float(np.log10(self.pump_speed))
        if self.power_w > _COIL_IDLE_W:
            out["coils"] = _COIL_DBA_AT_100W + 20 * float(np.log10(self.power_w / 100))
        return out


def recorded(what: Sounding, rng: np.random.Generator, seconds: float = 6.0, rate: int = RATE) -> Array:
    """A recording of the bench, in shares of full scale."""
    n, levels = int(seconds * rate), what.levels()
    t = np.arange(n) / rate
    total = _noise(n, rate, levels["background"], rng)
    if "fans" in levels:
        total += _noise(n, rate, levels["fans"] + 10 * np.log10(1 - _FAN_TONAL), rng)
        total += _tone(t, what.fan_rpm / 60 * BLADES, levels["fans"] + 10 * np.log10(_FAN_TONAL), rng)
    if "fins" in levels:
        total += _noise(n, rate, levels["fins"] + 10 * np.log10(1 - _FIN_TONAL), rng)
        whistle = what.fan_rpm / 60 * BLADES * _FIN_MULTIPLE
        total += _tone(t, whistle, levels["fins"] + 10 * np.log10(_FIN_TONAL), rng)
    if "pump" in levels:
        turns = what.pump.full_rpm * what.pump_speed / 60
        total += _noise(n, rate, levels["pump"] + 10 * np.log10(1 - _PUMP_TONAL), rng)
        for multiple, share in ((VANES, 0.8), (2 * VANES, 0.2)):
            total += _tone(t, turns * multiple, levels["pump"] + 10 * np.log10(_PUMP_TONAL * share), rng)
    if "coils" in levels:
        total += _tone(t, COIL_HZ, levels["coils"], rng)
    return np.asarray(total / FULL_SCALE_PA, float)


def calibrator(rng: np.random.Generator, level_db: float = 94.0, seconds: float = 4.0, rate: int = RATE) -> Array:
    """A calibrator's tone at 1 kHz, in shares of full scale."""
    t = np.arange(int(seconds * rate)) / rate
    pressure = P0 * 10 ** (level_db / 20) * np.sqrt(2) * np.sin(2 * np.pi * 1000.0 * t + rng.uniform(0, 6.28))
    return np.asarray((pressure + _noise(t.size, rate, 24.0, rng)) / FULL_SCALE_PA, float)


def _noise(n: int, rate: int, level_dba: float, rng: np.random.Generator) -> Array:
    """Noise that falls by 5 dB an octave, of an A-weighted level, in pascals."""
    hz = np.asarray(np.fft.rfftfreq(n, 1 / rate), float)
    shape = np.where(hz > 30, np.maximum(hz, 30.0) ** -0.83, 0.0)
    lines = shape * (rng.normal(size=hz.size) + 1j * rng.normal(size=hz.size))
    weighted = np.sum(np.abs(lines) ** 2 * 10 ** (a_weighting(hz) / 10))
    made = np.fft.irfft(lines, n)
    power = 2 * weighted / n**2
    return np.asarray(made * P0 * 10 ** (level_dba / 20) / np.sqrt(power), float)


def _tone(t: Array, hz: float, level_dba: float, rng: np.random.Generator) -> Array:
    """A tone of an A-weighted level, in pascals."""
    if not 0 < hz < 0.5 / (t[1] - t[0]):
        return np.zeros_like(t)
    amplitude = P0 * 10 ** ((level_dba - float(a_weighting(np.array([hz]))[0])) / 20) * np.sqrt(2)
    return np.asarray(amplitude * np.sin(2 * np.pi * hz * t + rng.uniform(0, 2 * np.pi)), float)
