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
_HALVINGS = 46


@dataclass(frozen=True)
class Branch:
    """So many pieces of a part, one after the other."""

    name: str
    count: int = 1


Stage = tuple[Branch, ...]  # branches beside one another; mostly there is one
Circuit = tuple[Stage, ...]  # one after the other


def in_series(names: Sequence[str]) -> Circuit:
    """Parts one after the other."""
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

    def lacking(drop: Array) -> Array:
        return np.asarray(sum(_flow_at(a, b, drop) for a, b in each) - flow, float)

    # no branch alone needs less than all of them together
    most = np.min([a * flow + b * flow**2 for a, b in each], axis=0)
    return _halved(lacking, np.zeros_like(most), most)


def _flow_at(a: Array, b: Array, drop: Array) -> Array:
    """The flow at which a part has a drop; written so that it stays exact where b is nothing."""
    root = np.sqrt(a**2 + 4 * b * drop)
    return np.asarray(2 * drop / np.maximum(a + root, 1e-300), float)


def _halved(rising: Callable[[Array], Array], low: Array, high: Array) -> Array:
    """Where a rising function is nothing, for many at once."""
    for _ in range(_HALVINGS):
        middle = (low + high) / 2
        over = rising(middle) > 0
        low, high = np.where(over, low, middle), np.where(over, middle, high)
    return np.asarray((low + high) / 2, float)


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
    most = np.sqrt(h / k) * speed

    def lacking(flow: Array) -> Array:
        return circuit_drop(circuit, of, flow) + k * flow**2 - h * speed**2

    return _halved(lacking, np.zeros_like(most), most)


def speed_for(circuit: Circuit, of: Coefficients, h: Array, k: Array, flow: float) -> Array:
    """The share of full speed at which a loop gets a flow, shape (draws,); over 1 where the pump is too weak."""
    return np.asarray(np.sqrt((circuit_drop(circuit, of, flow) + k * flow**2) / h), float)
