"""All parts and pumps that were measured: their curves, what the same instruments make common, drops, differences, loops."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass, field
from itertools import pairwise

import numpy as np
from numpy.typing import NDArray

from kuffin.core.flow.accuracy import Accuracies, common_share
from kuffin.core.flow.circuit import Circuit, circuit_drop, circuit_flow, names_of, speed_for, stage_drops, words_of
from kuffin.core.flow.pump import PumpCurve
from kuffin.core.flow.restriction import DRAWS, PartCurve

Array = NDArray[np.float64]
_SEED = 18
_NOT_TOLD = Accuracies()


@dataclass(frozen=True)
class Taken:
    """How a curve was taken: how well its instruments measure, and which they are; blank: not told, so not the same as others'."""

    accuracies: Accuracies = _NOT_TOLD
    instruments: str = ""


@dataclass(frozen=True, kw_only=True)
class Spread:
    """A value with its 95 % interval; `beyond` where it was not measured there."""

    value: float
    low: float
    high: float
    beyond: bool = False

    @property
    def half(self) -> float:
        """Half of how wide it is."""
        return (self.high - self.low) / 2


@dataclass(frozen=True, kw_only=True)
class OperatingPoint:
    """Where a loop's curve crosses the pump's: the flow, L/h, the head there, kPa, and parts that were not measured there."""

    flow: Spread
    head: float
    beyond: tuple[str, ...]


@dataclass(frozen=True, kw_only=True)
class Measured:
    """Parts and a pump with draws of their curves; the same seed gives the same draws.

    Attributes
    ----------
    common : mapping
        By part, the share of the instruments' accuracy that is the same in all readings.
    """

    parts: Mapping[str, PartCurve]
    common: Mapping[str, float]
    draws: Mapping[str, tuple[Array, Array]] = field(repr=False)
    offsets: Mapping[str, Array] = field(repr=False)
    pump: PumpCurve | None = None
    pump_draws: tuple[Array, Array] | None = field(default=None, repr=False)

    def drop(self, name: str, flow: float) -> Spread:
        """A part's drop at a flow, kPa."""
        part = self.parts[name]
        found = _spread(part.at(flow), self._drawn(name, flow), beyond=part.beyond(flow))
        return Spread(value=found.value, low=max(found.low, 0.0), high=found.high, beyond=found.beyond)

    def difference(self, a: str, b: str, flow: float, pairs: int = 1) -> Spread:
        """a less b at the same flow, kPa, at 95 % over so many pairs together (Bonferroni); what both readings share cancels."""
        beyond = self.parts[a].beyond(flow) or self.parts[b].beyond(flow)
        value = self.parts[a].at(flow) - self.parts[b].at(flow)
        return _spread(value, self._drawn(a, flow) - self._drawn(b, flow), pairs, beyond=beyond)

    def apart_along(self, a: str, b: str, pairs: int = 1) -> list[tuple[float, float, int]]:
        """Over the flows that both were measured at: from, to, and −1 where a drops less, 1 where b does, 0 where nobody knows.

        The band holds at all flows together (the greatest departure over all of them, by drawing).
        """
        low, high = (f(self.parts[n].measured[i] for n in (a, b)) for i, f in ((0, max), (1, min)))
        if not high > low:
            return []
        flows = np.linspace(low, high, 60)
        value = np.array([self.parts[a].at(q) - self.parts[b].at(q) for q in flows])
        drawn = np.array([self._drawn(a, q) - self._drawn(b, q) for q in flows])
        sd = np.maximum(drawn.std(axis=1), 1e-12)
        most = np.percentile(np.max(np.abs(drawn - drawn.mean(axis=1)[:, None]) / sd[:, None], axis=0), 100 - 5 / pairs)
        signs = np.where(value + most * sd < 0, -1, np.where(value - most * sd > 0, 1, 0))
        ends = [0, *(np.flatnonzero(np.diff(signs)) + 1), flows.size]
        return [(float(flows[i]), float(flows[j - 1]), int(signs[i])) for i, j in pairwise(ends)]

    def loop_drop(self, circuit: Circuit, flow: float) -> Spread:
        """A loop's drop at a flow, kPa."""
        value = float(circuit_drop(circuit, self._fitted(circuit), flow)[0])
        beyond = any(self.parts[n].beyond(flow) for n in names_of(circuit))
        return _spread(value, circuit_drop(circuit, self.draws, flow), beyond=beyond)

    def shares(self, circuit: Circuit, flow: float) -> list[tuple[str, float]]:
        """What share of a loop's drop each stage has, the largest first."""
        each = [(float(d[0]), words_of((stage,))) for d, stage in stage_drops(circuit, self._fitted(circuit), flow)]
        total = sum(d for d, _ in each) or 1.0
        return sorted(((name, d / total) for d, name in each), key=lambda x: -x[1])

    def point(self, circuit: Circuit, speed: float) -> OperatingPoint:
        """The flow of a loop on the pump at a share of its full speed.

        Raises
        ------
        CompareError
            Where the pump does not turn.
        """
        h, k = self._pump_fitted()
        flow = float(circuit_flow(circuit, self._fitted(circuit), h, k, speed)[0])
        spread = _spread(flow, self.flows(circuit, speed))
        beyond = tuple(n for n in names_of(circuit) if self.parts[n].beyond(flow))
        return OperatingPoint(flow=spread, head=float(h[0] * speed**2 - k[0] * flow**2), beyond=beyond)

    def flows(self, circuit: Circuit, speed: float) -> Array:
        """Draws of that flow, shape (DRAWS,): those of two loops at the same speed go together."""
        assert self.pump_draws is not None
        return circuit_flow(circuit, self.draws, *self.pump_draws, speed)

    def change(self, circuit: Circuit, other: Circuit, speed: float) -> Spread:
        """How the flow changes from one loop to another at the same speed, L/h."""
        value = self.point(other, speed).flow.value - self.point(circuit, speed).flow.value
        return _spread(value, self.flows(other, speed) - self.flows(circuit, speed))

    def speed(self, circuit: Circuit, flow: float) -> Spread:
        """The share of full speed at which a loop gets a flow; over 1: the pump is too weak."""
        assert self.pump_draws is not None
        value = float(speed_for(circuit, self._fitted(circuit), *self._pump_fitted(), flow)[0])
        beyond = any(self.parts[n].beyond(flow) for n in names_of(circuit))
        return _spread(value, speed_for(circuit, self.draws, *self.pump_draws, flow), beyond=beyond)

    def head(self, flow: float, speed: float) -> Spread:
        """What the pump gives at a flow and a share of its full speed, kPa."""
        assert self.pump is not None and self.pump_draws is not None
        h, k = self.pump_draws
        low, high = self.pump.measured
        value = self.pump.head(flow, speed)
        return _spread(value, h * speed**2 - k * flow**2, beyond=not low <= flow / max(speed, 1e-9) <= high)

    def _fitted(self, circuit: Circuit) -> dict[str, tuple[Array, Array]]:
        return {n: (np.array([self.parts[n].a]), np.array([self.parts[n].b])) for n in names_of(circuit)}

    def _pump_fitted(self) -> tuple[Array, Array]:
        assert self.pump is not None
        return np.array([self.pump.h]), np.array([self.pump.k])

    def _drawn(self, name: str, flow: float) -> Array:
        a, b = self.draws[name]
        return np.asarray(a * flow + b * flow**2 + self.offsets[name], float)


def _spread(value: float, draws: Array, pairs: int = 1, *, beyond: bool = False) -> Spread:
    tail = 2.5 / max(pairs, 1)
    low, high = np.percentile(draws, [tail, 100 - tail])
    return Spread(value=value, low=float(low), high=float(high), beyond=beyond)


@dataclass(frozen=True)
class _Gains:
    """Errors that all readings of the same instruments share, drawn."""

    flow: Array
    drop: Array
    offset: Array


def measured(
    parts: Mapping[str, PartCurve],
    taken: Accuracies | Mapping[str, Taken],
    pump: PumpCurve | None = None,
    pump_taken: Taken | None = None,
) -> Measured:
    """Put together what was measured.

    Parameters
    ----------
    taken : Accuracies or mapping of part to Taken
        Accuracies alone: all parts were measured with the same instruments.

    >>> from kuffin.core.flow.restriction import fit_restriction
    >>> q = np.array([60.0, 120.0, 180.0, 240.0])
    >>> found = measured({"Tern": fit_restriction("Tern", q, 0.01 * q + 0.0003 * q**2, Accuracies())}, Accuracies())
    >>> round(found.drop("Tern", 150.0).value, 2)
    8.25
    """
    rng = np.random.default_rng(_SEED)
    told = {n: Taken(taken, "the same") if isinstance(taken, Accuracies) else taken.get(n, Taken()) for n in parts}
    groups: dict[object, list[str]] = {}
    for name, t in told.items():
        groups.setdefault((t.instruments, t.accuracies) if t.instruments else name, []).append(name)
    common: dict[str, float] = {}
    draws: dict[str, tuple[Array, Array]] = {}
    offsets: dict[str, Array] = {}
    for names in groups.values():
        share = common_share([parts[n].chi2 for n in names], [parts[n].freedom for n in names])
        gains = _gains(told[names[0]].accuracies, share, rng)
        for name in names:
            a, b = parts[name].draws(rng).T
            common[name], offsets[name] = share, gains.offset
            draws[name] = a * (1 + gains.flow) * (1 + gains.drop), b * (1 + gains.flow) ** 2 * (1 + gains.drop)
    of_pump = None
    if pump is not None:
        accuracies = (pump_taken or Taken()).accuracies
        gains = _gains(accuracies, common_share([pump.chi2], [pump.freedom]), rng)
        h, k = pump.draws(rng).T
        of_pump = h * (1 + gains.drop) + gains.offset, k * (1 + gains.flow) ** 2 * (1 + gains.drop)
    return Measured(parts=parts, common=common, draws=draws, offsets=offsets, pump=pump, pump_draws=of_pump)


def _gains(accuracies: Accuracies, share: float, rng: np.random.Generator) -> _Gains:
    return _Gains(
        flow=rng.normal(0, share * accuracies.flow.percent / 196, DRAWS),
        drop=rng.normal(0, share * accuracies.drop.percent / 196, DRAWS),
        offset=rng.normal(0, share * accuracies.drop.fixed / 1.96, DRAWS),
    )
