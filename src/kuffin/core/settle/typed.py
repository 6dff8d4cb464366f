"""Readings that a person typed from a screen or a meter: what a single figure can be trusted to.

Its last digit is what is known of it: a resolution ``r`` leaves ± 1.96·r/√12 at 95 % (a uniform distribution, JCGM 100:2008,
4.3.7). What the warm-up still had to go follows from the time constant of the bench's own recorded runs: a rise that grows as
``R·(1 − exp(−t/τ))`` lacks ``ΔT·e/(1 − e)`` with ``e = exp(−t/τ)``. It is added, and half of it counts as uncertain.
"""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass, replace

import numpy as np

from kuffin.core.base.errors import TraceError
from kuffin.core.base.language import tr
from kuffin.core.base.worked import Worked, in_quadrature, mean_of, worked

TYPED = "typed"
_LARGEST_SHARE = 0.5  # of the rise, still to come: past it the reading says little


@dataclass(frozen=True, kw_only=True)
class TypedValue:
    """One figure as it was read off: of which channel, in which unit, and the step of its last digit."""

    name: str
    value: float
    unit: str
    resolution: float

    def worked(self, symbol: str) -> Worked:
        """The figure with its half-width."""
        step = Worked(name=tr("Step of the last digit of {name}", name=self.name), symbol="r", value=self.resolution, unit=self.unit, digits=2)  # fmt: skip
        unit = "K" if self.unit == "°C" else self.unit
        half = worked(tr("Half-width"), f"U_{symbol}", "1.96*r/sqrt(12)", [replace(step, unit=unit)], unit, digits=3)
        return Worked(name=self.name, symbol=symbol, value=self.value, unit=self.unit, half=half, source=TYPED)


def together(name: str, symbol: str, figures: Sequence[TypedValue]) -> Worked:
    """One figure, or the mean of several that stand for the same (cores, probes at the intake).

    >>> read = (("Core 1", 60.0), ("Core 2", 64.0))
    >>> cores = [TypedValue(name=core, value=value, unit="°C", resolution=1.0) for core, value in read]
    >>> together("die", "T", cores).value
    62.0
    """
    if len(figures) == 1:
        return figures[0].worked(symbol)
    each = [f.worked(f"{symbol}_{i}") for i, f in enumerate(figures, 1)]
    halves = [e.half for e in each if e.half is not None]
    half = in_quadrature("Half-width", f"U_{symbol}", halves, halves[0].unit, over=len(halves))
    return mean_of(name, symbol, each, figures[0].unit, half=half)


def typed_rise(part: Worked, base: Worked, minutes: float | None, tau_s: float | None) -> tuple[Worked, bool]:
    """The rise of one typed figure over another, with what the warm-up still lacked.

    Parameters
    ----------
    part, base : Worked
        In °C, with half-widths.
    minutes : float or None
        Since the load began; None: not told.
    tau_s : float or None
        The time constant of this rise on this bench; 0 where it follows at once, None where no recorded run tells it.

    Returns
    -------
    rise : Worked
        K.
    settled : bool
        False where nobody can say whether it had settled.

    Raises
    ------
    TraceError
        Where more than half of the rise was still to come.
    """
    assert part.half is not None and base.half is not None
    read_half = in_quadrature(tr("Half-width of the figures"), "U_r", [part.half, base.half], "K")
    plain = worked(tr("Rise as read"), "ΔT_r", f"{part.symbol} - {base.symbol}", [part, base], "K", half=read_half)
    if minutes is None or tau_s is None:
        why = (
            tr("no recorded run of this bench tells its time constant")
            if tau_s is None
            else tr("when it was read is not told")
        )
        return replace(plain, source=tr("whether it had settled is not known: {why}", why=why)), False
    share = float(np.exp(-60 * minutes / tau_s)) if tau_s > 0 else 0.0
    if share > _LARGEST_SHARE:
        raise TraceError(
            "it was read after {minutes:g} min, and with this bench's time constant of {tau_s:.1f} min more than half of the rise was still to come; read it later",
            minutes=minutes,
            tau_s=tau_s / 60,
        )
    if share < 1e-4:
        return plain, True
    time = Worked(
        name=tr("Time since the load began"), symbol="t", value=60 * minutes, unit="s", digits=0, source=TYPED
    )
    tau = Worked(name=tr("Time constant"), symbol="τ", value=tau_s, unit="s", digits=0, source=tr("the median of this bench's recorded runs"))  # fmt: skip
    to_come = worked(tr("Share still to come"), "e", "exp(-t/τ)", [time, tau], digits=4)
    bare = replace(plain, half=None)
    lacking = worked(tr("Still to go"), "a", "ΔT_r*e/(1 - e)", [bare, to_come], "K", digits=3)
    grown = worked(tr("Half-width, grown with it"), "U_g", "U_r/(1 - e)", [read_half, to_come], "K", digits=3)
    half = worked(tr("Half-width"), "U", "hypot(U_g, a/2)", [grown, lacking], "K", digits=3, source=tr("95 %; half of what was added counts"))  # fmt: skip
    return worked(tr("Rise, settled"), "ΔT", "ΔT_r + a", [bare, lacking], "K", half=half), True
