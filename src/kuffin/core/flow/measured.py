"""All parts that were measured with the same instruments: their curves, what is common to all readings, drops and differences."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass, field

import numpy as np
from numpy.typing import NDArray

from kuffin.core.flow.accuracy import Accuracies, common_share
from kuffin.core.flow.operating import OperatingPoint, PumpCurve, operating_point, with_common
from kuffin.core.flow.restriction import DRAWS, PartCurve

Array = NDArray[np.float64]
_SEED = 18


@dataclass(frozen=True)
class Drop:
    """A drop, or the difference of two, with its 95 % interval, kPa; `beyond` where it was not measured at that flow."""

    value: float
    low: float
    high: float
    beyond: bool


@dataclass(frozen=True, kw_only=True)
class Measured:
    """Parts with draws of their curves; the same seed gives the same draws.

    Attributes
    ----------
    common : float
        The share of the instruments' accuracy that is the same in all readings.
    """

    parts: Mapping[str, PartCurve]
    common: float
    accuracies: Accuracies
    draws: Mapping[str, Array] = field(repr=False)
    offset: Array = field(repr=False)

    def drop(self, name: str, flow: float) -> Drop:
        """A part's drop at a flow."""
        low, high = np.percentile(self._drawn(name, flow), [2.5, 97.5])
        part = self.parts[name]
        return Drop(part.at(flow), max(float(low), 0.0), float(high), part.beyond(flow))

    def difference(self, a: str, b: str, flow: float, pairs: int = 1) -> Drop:
        """a less b at the same flow, at 95 % over so many pairs together (Bonferroni); what both readings share cancels."""
        tail = 2.5 / max(pairs, 1)
        low, high = np.percentile(self._drawn(a, flow) - self._drawn(b, flow), [tail, 100 - tail])
        beyond = self.parts[a].beyond(flow) or self.parts[b].beyond(flow)
        return Drop(self.parts[a].at(flow) - self.parts[b].at(flow), float(low), float(high), beyond)

    def loop(self, names: list[str], pump: PumpCurve, speed: float) -> OperatingPoint:
        """The flow of parts in series on a pump."""
        rng = np.random.default_rng(_SEED + 1)
        return operating_point([self.parts[n] for n in names], [self.draws[n] for n in names], pump, speed, rng)

    def _drawn(self, name: str, flow: float) -> Array:
        a, b = self.draws[name].T
        return np.asarray(a * flow + b * flow**2 + self.offset, float)


def measured(parts: Mapping[str, PartCurve], accuracies: Accuracies) -> Measured:
    """Put together what was measured with the same instruments."""
    rng = np.random.default_rng(_SEED)
    common = common_share([p.chi2 for p in parts.values()], [p.freedom for p in parts.values()])
    flow_gain = rng.normal(0, common * accuracies.flow.percent / 196, DRAWS)
    drop_gain = rng.normal(0, common * accuracies.drop.percent / 196, DRAWS)
    offset = rng.normal(0, common * accuracies.drop.fixed / 1.96, DRAWS)
    draws = {name: with_common(p.draws(rng), flow_gain, drop_gain) for name, p in parts.items()}
    return Measured(parts=parts, common=common, accuracies=accuracies, draws=draws, offset=offset)
