"""The heat path: kelvins and kelvins per watt from air to coolant to die.

R = ΔT / P, thermal resistance (F. P. Incropera et al., *Fundamentals of Heat and Mass Transfer*, section 3.1.2).
"""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np


@dataclass(frozen=True)
class StairLevel:
    """A tread of the staircase: what it is and its temperature in °C; one beside does not rise from the tread before it."""

    name: str
    temperature_c: float
    beside: bool = False


@dataclass(frozen=True, kw_only=True)
class Rise:
    """One step of the staircase: from a lower level to a higher one, read from a trace where that is kept."""

    lower: str
    upper: str
    rise_k: float
    u95_k: float
    resistance_k_w: float | None
    resistance_u95: float | None
    trace: str = ""


def step(
    lower: str, upper: str, rise_k: float, u95_k: float, power_w: float | None, power_u95: float = 0.0, trace: str = ""
) -> Rise:
    """A step with its resistance; intervals combine in quadrature of relative half-widths.

    Source: JCGM 100:2008, 5.1.2, for a quotient of independent quantities.

    >>> step("air", "coolant", 12.0, 0.3, 200.0).resistance_k_w
    0.06
    """
    r, u = None, None
    if power_w is not None and power_w > 0:
        r, u = rise_k / power_w, float(np.hypot(u95_k / power_w, rise_k * power_u95 / power_w**2))
    return Rise(lower=lower, upper=upper, rise_k=rise_k, u95_k=u95_k, resistance_k_w=r, resistance_u95=u, trace=trace)


def bottleneck(steps: list[Rise]) -> Rise | None:
    """The largest step, None where there is none."""
    return max(steps, key=lambda s: s.rise_k, default=None)


@dataclass(frozen=True)
class Tread:
    """A level above air: its name, its height in K (or K/W), and the half-width of its 95 % interval."""

    name: str
    height: float
    u95: float


@dataclass(frozen=True, kw_only=True)
class Flight:
    """A flight of stairs from air upwards, with side flights (hot spot, memory, regulators) that rise from the coolant.

    Attributes
    ----------
    label : str
    treads : tuple of Tread
        Air first, at height 0.
    steps : tuple of Tread
        What each tread after the first rises over the one below.
    side : tuple of Tread
    unit : str
        ``K`` or ``K/W``.
    """

    label: str
    treads: tuple[Tread, ...]
    steps: tuple[Tread, ...]
    side: tuple[Tread, ...]
    unit: str

    @property
    def bottleneck(self) -> Tread | None:
        """The largest step, None where there is none."""
        return max(self.steps, key=lambda s: s.height, default=None)


def flight(
    label: str, steps: list[tuple[str, float, float]], side: list[tuple[str, float, float]], unit: str
) -> Flight:
    """Pile steps up, air at the foot; a level's interval is that of the steps below it in quadrature.

    Parameters
    ----------
    steps : list of (upper level's name, rise, half-width)
    side : list of (name, height over air, half-width)
    """
    treads, height, variance = [Tread("air", 0.0, 0.0)], 0.0, 0.0
    for name, rise, u95 in steps:
        height, variance = height + rise, variance + u95**2
        treads.append(Tread(name, height, float(np.sqrt(variance))))
    return Flight(
        label=label,
        treads=tuple(treads),
        steps=tuple(Tread(*s) for s in steps),
        side=tuple(Tread(*s) for s in side),
        unit=unit,
    )
