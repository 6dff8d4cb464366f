"""A few readings of a part, typed while a run is recorded: enough where all else is recorded beside them.

The part follows its coolant within minutes, and the coolant is recorded: each spot is held against the coolant (or air) of its own
moment, so that a warm-up that is not over yet is taken out. Their mean is the reading.
"""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from kuffin.core.base.language import tr
from kuffin.core.base.student import t_quantile
from kuffin.core.base.worked import Worked, mean_of, worked

Array = NDArray[np.float64]

LEAST, MOST = 2, 7  # fewer say nothing of their scatter; more are a trace
FROM_S = 300.0  # after the load began: until then the part itself is on its way
_BESIDE_S = 30.0


@dataclass(frozen=True, kw_only=True)
class SpotReading:
    """Spots of one trace: when each was, s, and what it was; and the step of their last digit."""

    at_s: tuple[float, ...]
    values: tuple[float, ...]
    step: float

    def worked(self, unit: str, digits: int = 2, symbol: str = "ΔT") -> Worked:
        """The mean of the spots; the half-width is their scatter's, and never below that of one last digit."""
        n = len(self.values)
        terms = [
            Worked(
                name=tr("At {at:.1f} min", at=at / 60),
                symbol=f"y_{i}",
                value=value,
                unit=unit,
                digits=digits,
                source=tr("typed"),
            )
            for i, (at, value) in enumerate(zip(self.at_s, self.values, strict=True), 1)
        ]
        scatter = Worked(name=tr("Scatter of the spots"), symbol="s", value=float(np.std(self.values, ddof=1)), unit=unit, digits=digits + 1)  # fmt: skip
        student = Worked(name=tr("Student’s t"), symbol="t", value=t_quantile(0.975, n - 1), source=tr("{df} degrees of freedom", df=n - 1))  # fmt: skip
        number = Worked(name=tr("Spots"), symbol="n", value=float(n), digits=0)
        step = Worked(name=tr("Step of their last digit"), symbol="r", value=self.step, unit=unit, digits=digits + 1)
        half = worked(tr("Half-width"), "U", "max(t*s/sqrt(n), 1.96*r/sqrt(12))", [student, scatter, number, step], unit, digits=digits + 1)  # fmt: skip
        return mean_of(tr("Mean of the spots"), symbol, terms, unit, digits=digits, half=half)


def spot_reading(
    times: Array, part: Array, base: Array, power: Array | None, begin_s: float, end_s: float
) -> SpotReading | None:
    """Spots of a part over a recorded channel; None where there are too few under load, or so many that they are a trace.

    Parameters
    ----------
    times, part, base, power : ndarray, shape (n,)
        `part` is missing but for a few; divided by `power` where that is given.
    begin_s, end_s : float
        Of the load.
    """
    there = np.flatnonzero(np.isfinite(part))
    if there.size > MOST:
        return None
    at, values, scale = [], [], []
    for i in there:
        t = float(times[i])
        beside = np.abs(times - t) <= _BESIDE_S
        low = _middle(base[beside])
        watts = 1.0 if power is None else _middle(power[beside])
        if begin_s + FROM_S <= t <= end_s and low is not None and watts is not None and watts > 0:
            at.append(t)
            values.append((float(part[i]) - low) / watts)
            scale.append(watts)
    if len(at) < LEAST:
        return None
    written = part[there]
    digits = next((d for d in (0, 1, 2) if np.allclose(written, np.round(written, d), atol=1e-9)), 3)
    return SpotReading(at_s=tuple(at), values=tuple(values), step=10.0**-digits / float(np.mean(scale)))


def _middle(x: Array) -> float | None:
    known = x[np.isfinite(x)]
    return float(np.median(known)) if known.size else None
