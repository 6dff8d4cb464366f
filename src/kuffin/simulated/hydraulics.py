"""Pump curve against restriction: the flow of a loop; and how loud fans and pump are.

Sources: the affinity laws of pumps and fans (head ∝ n², flow ∝ n; sound level +50·log₁₀ of the speed ratio), and the sum
of sound levels by energy (ISO 9613-2, for incoherent sources).
"""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

BACKGROUND_DBA = 18.0  # of the booth with everything off
FAN_DBA = 31.0  # of the fans on an open radiator at 1000 rpm, at the meter


@dataclass(frozen=True)
class Pump:
    """A pump's curve at full speed: Δp = head_kpa − fall·V̇² (V̇ in L/h)."""

    head_kpa: float = 38.0
    free_flow_l_h: float = 620.0
    full_rpm: float = 4800.0
    sound_dba: float = 31.0  # at full speed, at the meter

    def head(self, flow_l_h: float, speed: float) -> float:
        """Pressure that the pump gives at a share of full speed, kPa."""
        return self.head_kpa * (speed**2 - (flow_l_h / self.free_flow_l_h) ** 2)


@dataclass(frozen=True)
class Restriction:
    """Δp = a·V̇ + b·V̇² in kPa, V̇ in L/h."""

    a: float
    b: float

    def drop(self, flow_l_h: float) -> float:
        """Pressure drop, kPa."""
        return self.a * flow_l_h + self.b * flow_l_h**2


def loop_flow(pump: Pump, speed: float, parts: list[Restriction]) -> float:
    """Where the pump's curve crosses the loop's restriction, L/h."""
    a = sum(p.a for p in parts)
    b = sum(p.b for p in parts) + pump.head_kpa / pump.free_flow_l_h**2
    c = pump.head_kpa * speed**2
    return float((-a + np.sqrt(a * a + 4 * b * c)) / (2 * b))


def sound_level(
    pump: Pump,
    pump_speed: float | NDArray[np.float64],
    fan_rpm: float | NDArray[np.float64],
    fan_dba_at_1000: float,
    background_dba: float = BACKGROUND_DBA,
) -> NDArray[np.float64]:
    """Level at the meter from fans, pump and background, dBA; of the speeds' shape."""
    fans = fan_dba_at_1000 + 50 * np.log10(np.maximum(fan_rpm, 50.0) / 1000.0)
    pump_level = pump.sound_dba + 50 * np.log10(np.maximum(pump_speed, 0.05))
    levels = (fans, pump_level, background_dba)
    return np.asarray(10 * np.log10(sum(10 ** (np.asarray(level) / 10) for level in levels)), float)
