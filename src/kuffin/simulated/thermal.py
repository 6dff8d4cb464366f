"""A lumped thermal model of a cooling loop: die, block, coolant, radiator to air.

Four heat capacities in a row, joined by resistances::

    power -> die --r_die--> block --r_block(flow)--> coolant --r_radiator(fan, flow)--> air

The die's power grows with its temperature (leakage). The model's truth (levels at rest, time constants) can be
read off, so that what Kuffin concludes from its logs can be held against it.

References
----------
The thermal-electrical analogy, e.g. F. P. Incropera et al., *Fundamentals of Heat and Mass Transfer*, chapter 3
(resistances) and 5 (lumped capacity). The leakage is linearised.
"""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

Array = NDArray[np.float64]
_LEAST_SHARE, _SHARE_PER_K = 0.3, 0.15


@dataclass(frozen=True, kw_only=True)
class Loop:
    """One cooling loop at a fixed setting of pump and fans.

    Attributes
    ----------
    r_die, r_block, r_radiator : float
        Resistances die to block, block to coolant, coolant to air, K/W.
    c_die, c_block, c_coolant : float
        Heat capacities, J/K.
    leakage : float
        Share by which the power grows for each kelvin of the die above `leakage_at_c`.
    limit_c : float or None
        The die's temperature from which the firmware lets it draw less.
    """

    r_die: float
    r_block: float
    r_radiator: float
    c_die: float = 45.0
    c_block: float = 180.0
    c_coolant: float = 4500.0
    leakage: float = 0.0
    leakage_at_c: float = 60.0
    limit_c: float | None = None

    def let_through(self, die_c: float) -> float:
        """Share of its power that the firmware lets the die draw at a temperature."""
        if self.limit_c is None:
            return 1.0
        return min(1.0, max(_LEAST_SHARE, 1.0 - _SHARE_PER_K * (die_c - self.limit_c)))

    def matrix(self, demand_w: float = 0.0) -> Array:
        """The system matrix A of dT/dt = A·T + b for the states die, block, coolant, in 1/s."""
        g1, g2, g3 = 1 / self.r_die, 1 / self.r_block, 1 / self.r_radiator
        return np.array(
            [
                [(-g1 + self.leakage * demand_w) / self.c_die, g1 / self.c_die, 0.0],
                [g1 / self.c_block, -(g1 + g2) / self.c_block, g2 / self.c_block],
                [0.0, g2 / self.c_coolant, -(g2 + g3) / self.c_coolant],
            ]
        )

    def at_rest(self, demand_w: float, air_c: float) -> Array:
        """Temperatures of die, block and coolant at rest, °C, under a steady demand."""
        b = np.array(
            [
                demand_w * (1 - self.leakage * self.leakage_at_c) / self.c_die,
                0.0,
                air_c / self.r_radiator / self.c_coolant,
            ]
        )
        return np.linalg.solve(self.matrix(demand_w), -b)

    def power_at_rest(self, demand_w: float, air_c: float) -> float:
        """Electrical power at rest with leakage, W."""
        die = float(self.at_rest(demand_w, air_c)[0])
        return demand_w * (1 + self.leakage * (die - self.leakage_at_c))

    def tau_s(self, demand_w: float) -> float:
        """The dominant time constant, s."""
        return float(-1.0 / np.max(np.linalg.eigvals(self.matrix(demand_w)).real))


@dataclass(frozen=True, kw_only=True)
class Course:
    """What a simulation gives, each of shape (n,): times in s, temperatures in °C, power in W, the share let through."""

    times: Array
    die: Array
    block: Array
    coolant: Array
    power: Array
    share: Array


def simulate(
    loop: Loop,
    times: Array,
    demand_w: Array,
    air_c: Array,
    *,
    start: Array | None = None,
    changes: list[tuple[float, Loop]] | None = None,
) -> Course:
    """Let a loop run (semi-implicit Euler; the step is that of `times`, at most about a second).

    Parameters
    ----------
    loop : Loop
    times, demand_w, air_c : ndarray, shape (n,)
        Seconds with a constant step, the load's demand in W, the air at the radiator's intake in °C.
    start : ndarray, shape (3,), optional
        First temperatures of die, block and coolant; default: at rest under the first demand.
    changes : list of (time, Loop), optional
        From that time on, the loop is another one (a fan slowed down, paste pumped out).
    """
    n = times.size
    h = float(times[1] - times[0])
    state = loop.at_rest(float(demand_w[0]), float(air_c[0])) if start is None else np.asarray(start, float)
    die, block, coolant = (float(s) for s in state)
    out = np.empty((n, 5))
    pending = sorted(changes or [], key=lambda c: c[0])
    demand, air = demand_w.tolist(), air_c.tolist()
    for i in range(n):
        if pending and times[i] >= pending[0][0]:
            loop = pending.pop(0)[1]
        share = loop.let_through(die)
        power = share * demand[i] * (1 + loop.leakage * (die - loop.leakage_at_c))
        out[i] = (die, block, coolant, power, share)
        g1, g2, g3 = 1 / loop.r_die, 1 / loop.r_block, 1 / loop.r_radiator
        die = (die + h * (power + g1 * block) / loop.c_die) / (1 + h * g1 / loop.c_die)
        block = (block + h * (g1 * die + g2 * coolant) / loop.c_block) / (1 + h * (g1 + g2) / loop.c_block)
        coolant = (coolant + h * (g2 * block + g3 * air[i]) / loop.c_coolant) / (1 + h * (g2 + g3) / loop.c_coolant)
    return Course(times=times, die=out[:, 0], block=out[:, 1], coolant=out[:, 2], power=out[:, 3], share=out[:, 4])
