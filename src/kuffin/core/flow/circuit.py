"""A loop of parts in series and in parallel: its drop at a flow, and where its curve crosses a pump's.

In series the drops add at the same flow, in parallel the flows add at the same drop (F. M. White, *Fluid Mechanics*, section 6.9).
"""

from __future__ import annotations

from collections.abc import Callable, Mapping, Sequence
from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from kuffin.core.base.errors import CompareError

Array = NDArray[np.float64]
Coefficients = Mapping[str, tuple[Array, Array]]  # a and b of each part, each of shape (draws,)
_CLOSE = 1e-13  # of itself; where Newton's steps stop
_STEPS = 60


@dataclass(frozen=True)
class Branch:
    """So many pieces of a part, one after the other."""

    name: str
    count: int = 1


Stage = tuple[Branch, ...]  # branches beside one another; mostly there is one
Circuit = tuple[Stage, ...]  # one after the other


def in_series(names: Sequence[str]) -> Circuit:
    """Parts one after the other.

    >>> words_of(in_series(["Tern", "Reed"]))
    'Tern + Reed'
    """
    return tuple((Branch(name),) for name in names)


def names_of(circuit: Circuit) -> list[str]:
    """The parts of a loop, each once.

    >>> names_of(((Branch("Sedge"), Branch("Reed")), (Branch("Tern"),), (Branch("Reed"),)))
    ['Sedge', 'Reed', 'Tern']
    """
    return list(dict.fromkeys(b.name for stage in circuit for b in stage))


def words_of(circuit: Circuit) -> str:
    """A loop in words.

    >>> words_of(((Branch("Sedge"), Branch("Reed")), (Branch("Tern", 2),)))
    '(Sedge beside Reed) + 2 × Tern'
    """

    def one(b: Branch) -> str:
        return b.name if b.count == 1 else f"{b.count} × {b.name}"

    stages = [" beside ".join(map(one, s)) for s in circuit]
    return " + ".join(f"({w})" if len(s) > 1 else w for s, w in zip(circuit, stages, strict=True))


def circuit_drop(circuit: Circuit, of: Coefficients, flow: Array | float) -> Array:
    """The drop of a loop at a flow (or one for each draw), kPa, shape (draws,).

    >>> tern = {"Tern": (np.array([0.0]), np.array([0.0004]))}
    >>> two = (Branch("Tern"), Branch("Tern"))
    >>> [round(float(circuit_drop((stage,), tern, 100.0)[0]), 3) for stage in ((Branch("Tern", 2),), two)]
    [8.0, 1.0]
    """
    total = np.zeros(1)
    for drop, _ in stage_drops(circuit, of, flow):
        total = total + drop
    return np.asarray(total, float)


def stage_drops(circuit: Circuit, of: Coefficients, flow: Array | float) -> list[tuple[Array, Stage]]:
    """The drop of each stage."""
    return [(_stage_drop(stage, of, np.asarray(flow, float)), stage) for stage in circuit]


def _stage_drop(stage: Stage, of: Coefficients, flow: Array) -> Array:
    each = [(of[b.name][0] * b.count, of[b.name][1] * b.count) for b in stage]
    if len(each) == 1:
        a, b = each[0]
        return np.asarray(a * flow + b * flow**2, float)

    def lacking(drop: Array) -> tuple[Array, Array]:
        together = np.sum([_flow_at(a, b, drop) for a, b in each], axis=0)
        return np.asarray(together - flow, float), _flow_slope(each, drop)

    # With equal shares the easiest branch needs no more than all of them together; the flow against the drop bends
    # downwards, so from there every step stays on this side.
    share = flow / len(each)
    return _newton(lacking, np.min([a * share + b * share**2 for a, b in each], axis=0))


def _stage_slope(stage: Stage, of: Coefficients, flow: Array, drop: Array) -> Array:
    """What a stage's drop rises by for each L/h more."""
    each = [(of[b.name][0] * b.count, of[b.name][1] * b.count) for b in stage]
    if len(each) == 1:
        return np.asarray(each[0][0] + 2 * each[0][1] * flow, float)
    return np.asarray(1 / _flow_slope(each, drop), float)


def _flow_slope(each: Sequence[tuple[Array, Array]], drop: Array) -> Array:
    """What the flow of branches beside one another rises by for each kPa more."""
    return np.asarray(np.sum([1 / np.maximum(np.sqrt(a**2 + 4 * b * drop), 1e-300) for a, b in each], axis=0), float)


def _flow_at(a: Array, b: Array, drop: Array) -> Array:
    """The flow at which a part has a drop; written so that it stays exact where b is nothing."""
    root = np.sqrt(a**2 + 4 * b * drop)
    return np.asarray(2 * drop / np.maximum(a + root, 1e-300), float)


def _newton(lacking: Callable[[Array], tuple[Array, Array]], start: Array) -> Array:
    """Where a rising function that bends one way is nothing, for many at once, by Newton's steps.

    `lacking` gives the function and its slope; `start` is on the side from which no step goes too far.
    """
    at = start
    for _ in range(_STEPS):
        value, slope = lacking(at)
        step = value / slope
        at = np.asarray(at - step, float)
        if np.all(np.abs(step) <= _CLOSE * np.abs(at)):
            break
    return at


def crossing(a: Array | float, b: Array | float, h: Array | float, k: Array | float, speed: float) -> Array:
    """The flow at which a·V̇ + b·V̇² = h·s² − k·V̇², L/h; the root is written so that it stays exact for small flows.

    >>> round(float(crossing(0.0, 0.0003, 30.0, 0.0001, 1.0)) ** 2 * 0.0004, 6)
    30.0
    """
    square = np.asarray(b, float) + np.asarray(k, float)
    given = np.asarray(h, float) * speed**2
    return np.asarray(
        2 * given / (np.asarray(a, float) + np.sqrt(np.asarray(a, float) ** 2 + 4 * square * given)), float
    )


def circuit_flow(circuit: Circuit, of: Coefficients, h: Array, k: Array, speed: float) -> Array:
    """The flow of a loop on a pump at a share of its full speed, L/h, shape (draws,).

    Raises
    ------
    CompareError
        Where the pump does not turn.
    """
    if not speed > 0:
        raise CompareError("at no speed the pump moves nothing; give its speed in per cent of full speed")
    if all(len(stage) == 1 for stage in circuit):
        a, b = (
            np.sum([of[s[0].name][i] * s[0].count for s in circuit], axis=0) if circuit else np.zeros(1) for i in (0, 1)
        )
        return crossing(a, b, h, k, speed)

    def lacking(flow: Array) -> tuple[Array, Array]:
        drops = stage_drops(circuit, of, flow)
        slope = sum((_stage_slope(stage, of, flow, drop) for drop, stage in drops), 2 * k * flow)
        over = sum((drop for drop, _ in drops), k * flow**2 - h * speed**2)
        return np.asarray(over, float), np.asarray(slope, float)

    # no loop at all gets the most; drops bend upwards, so from there every step stays on this side
    return _newton(lacking, np.sqrt(h / k) * speed)


def speed_for(circuit: Circuit, of: Coefficients, h: Array, k: Array, flow: float) -> Array:
    """The share of full speed at which a loop gets a flow, shape (draws,); over 1 where the pump is too weak."""
    return np.asarray(np.sqrt((circuit_drop(circuit, of, flow) + k * flow**2) / h), float)
