"""Columns of a log, gathered block by block and brought to canonical units."""

from __future__ import annotations

from collections.abc import Sequence

import numpy as np
from numpy.typing import NDArray

from kuffin.core.units import Unit, parse_unit, to_canonical
from kuffin.logs.values import parse_number


class ColumnBuilder:
    """One column while it is being read.

    Values may carry their own units; those are brought to the canonical unit at once, the others at the end with
    the header's unit.
    """

    def __init__(self, decimal: str) -> None:
        self._decimal = decimal
        self._parts: list[NDArray[np.float64]] = []
        self._own: list[NDArray[np.bool_] | None] = []
        self._value_units: dict[str, int] = {}

    def add_numbers(self, values: NDArray[np.float64]) -> None:
        part = values.astype(np.float64, copy=True)
        part[~np.isfinite(part)] = np.nan
        self._parts.append(part)
        self._own.append(None)

    def add_cells(self, cells: Sequence[object]) -> None:
        """Add written cells; equal ones are read once."""
        known: dict[object, tuple[float, bool]] = {}
        values = np.empty(len(cells))
        own = np.zeros(len(cells), dtype=bool)
        for i, cell in enumerate(cells):
            if cell not in known:
                known[cell] = self._read(cell)
            values[i], own[i] = known[cell]
        self._parts.append(values)
        self._own.append(own if own.any() else None)

    def _read(self, cell: object) -> tuple[float, bool]:
        if isinstance(cell, bool) or cell is None:
            return float("nan"), False
        if isinstance(cell, (int, float)):
            return float(cell), False
        value, text = parse_number(str(cell), self._decimal)
        if value != value or not text:
            return value, False
        unit = parse_unit(text)
        self._value_units[text] = self._value_units.get(text, 0) + 1
        if unit is None or unit.canonical == "K":
            return value, unit is not None
        return value * unit.scale + unit.offset, True

    def finish(self, header_unit: str | None) -> tuple[NDArray[np.float64], str | None, str, str | None]:
        """The values, their canonical unit, their quantity and the unit as written."""
        values = np.concatenate(self._parts) if self._parts else np.empty(0)
        own = (
            np.concatenate(
                [np.zeros(p.size, bool) if o is None else o for p, o in zip(self._parts, self._own, strict=True)]
            )
            if any(o is not None for o in self._own)
            else None
        )
        self._parts, self._own = [], []
        written = header_unit or (
            max(self._value_units, key=lambda u: self._value_units[u]) if self._value_units else None
        )
        if written is None:
            return values, None, "unknown", None
        unit = parse_unit(written)
        if unit is None:
            return values, written, "unknown", written
        if own is None:
            values, canonical = to_canonical(values, unit)
            return values, canonical, unit.quantity, written
        value_unit = next((u for t in self._value_units if (u := parse_unit(t)) is not None), unit)
        canonical = value_unit.canonical
        if canonical == "K":
            values, canonical = to_canonical(values, Unit("K", "temperature"))
        elif unit.canonical == canonical:
            values[~own], _ = to_canonical(values[~own], unit)
        return values, canonical, value_unit.quantity, written
