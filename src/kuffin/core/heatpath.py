"""The heat path: kelvins and kelvins per watt from air to coolant to die.

R = ΔT / P, thermal resistance (F. P. Incropera et al., *Fundamentals of Heat and Mass Transfer*, section 3.1.2).
"""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np


@dataclass(frozen=True)
class Level:
    """A tread of the staircase: what it is and its temperature in °C."""

    name: str
    temperature_c: float


@dataclass(frozen=True)
class Step:
    """One step of the staircase: from a lower level to a higher one."""

    lower: str
    upper: str
    rise_k: float
    u95_k: float
    resistance_k_w: float | None
    resistance_u95: float | None


def step(lower: str, upper: str, rise_k: float, u95_k: float, power_w: float | None, power_u95: float = 0.0) -> Step:
    """A step with its resistance; intervals combine in quadrature of relative half-widths.

    Source: JCGM 100:2008, 5.1.2, for a quotient of independent quantities.
    """
    if power_w is None or not power_w > 0:
        return Step(lower, upper, rise_k, u95_k, None, None)
    r = rise_k / power_w
    u = float(np.hypot(u95_k / power_w, rise_k * power_u95 / power_w**2))
    return Step(lower, upper, rise_k, u95_k, r, u)


def bottleneck(steps: list[Step]) -> Step | None:
    """The largest step, None where there is none."""
    return max(steps, key=lambda s: s.rise_k, default=None)
