"""Columns of a log, gathered block by block and brought to canonical units."""

from __future__ import annotations

from collections import Counter
from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from kuffin.core.base.units import Unit, parse_unit, to_canonical
from kuffin.logs.growing import Growing
from kuffin.logs.values import is_missing, parse_number

Array = NDArray[np.float64]
_MOSTLY = 0.8  # of a column's numbers: then what they carry is the column's unit


@dataclass(kw_only=True)
class Column:
    """A column as it was read.

    Attributes
    ----------
    values : ndarray, shape (n,)
    unit, quantity : str
        Canonical.
    written : str or None
        The unit as written.
    odd : int
        Cells that hold something, but no number of this column: they are missing.
    example : (int, str) or None
        The first of them: its row, and what stands there.
    """

    values: Array
    unit: str | None
    quantity: str
    written: str | None
    odd: int = 0
    example: tuple[int, str] | None = None


class ColumnBuilder:
    """One column while it is being read. Values may carry their own units; what these mean is decided at the end.

    A column's unit is its header's, or what nearly all of its cells carry; it is never taken from a few. A cell with
    another unit of the same quantity is converted, any other is missing.
    """

    def __init__(self, decimal: str) -> None:
        self._decimal = decimal
        self._values = Growing(np.float64)
        self._codes = Growing(np.int16)  # which unit each cell carries, 0 for none; empty: none does
        self._units: list[str] = [""]
        self._odd: Counter[str] = Counter()
        self._example: tuple[int, str] | None = None

    def expect(self, rows: int) -> None:
        """Make room for so many rows altogether."""
        self._values.expect(rows)

    def add_numbers(self, values: Array) -> Array:
        """Add numbers; returns what they are taken for."""
        part = values.astype(np.float64, copy=True)
        endless = np.flatnonzero(np.isinf(part))
        if endless.size:
            self._note(self._values.size + int(endless[0]), "endless, or too large", endless.size)
            part[endless] = np.nan
        self._take(part, None)
        return part

    def _take(self, values: Array, codes: NDArray[np.int16] | None) -> None:
        if codes is not None and not self._codes.size:
            self._codes.add(np.zeros(self._values.size, np.int16))
        if codes is not None:
            self._codes.add(codes)
        elif self._codes.size:
            self._codes.add(np.zeros(values.size, np.int16))
        self._values.add(values)

    def add_cells(self, cells: Sequence[object]) -> Array:
        """Add written cells; equal ones are read once. Returns the numbers of those that carry no unit."""
        known: dict[object, tuple[float, int]] = {}
        values, codes = np.empty(len(cells)), np.zeros(len(cells), dtype=np.int16)
        for i, cell in enumerate(cells):
            if cell not in known:
                known[cell] = self._read(cell)
            values[i], codes[i] = known[cell]
            if codes[i] < 0:
                self._note(self._values.size + i, str(cell))
                codes[i] = 0
        self._take(values, codes if codes.any() else None)
        return np.where(codes == 0, values, np.nan)

    def _note(self, row: int, text: str, times: int = 1) -> None:
        self._odd[""] += times
        if self._example is None or row < self._example[0]:
            self._example = row, text

    def _read(self, cell: object) -> tuple[float, int]:
        """The number and the code of its unit; below 0: it is something else."""
        if cell is None or (isinstance(cell, float) and cell != cell):
            return float("nan"), 0
        if isinstance(cell, bool):
            return float("nan"), -1
        if isinstance(cell, float):
            return (cell, 0) if np.isfinite(cell) else (float("nan"), -1)
        text = str(cell)
        value, unit = parse_number(text, self._decimal)
        if value != value:
            return value, 0 if is_missing(text) else -1
        if not unit:
            return value, 0
        if unit not in self._units:
            if len(self._units) > 1000:
                return float("nan"), -1
            self._units.append(unit)
        return value, self._units.index(unit)

    def finish(self, header_unit: str | None) -> Column:
        """All of the column, in its canonical unit."""
        values, codes = self._values.taken(), self._codes.taken()
        if codes.size:
            found = self._with_units(values, codes, header_unit)
        else:
            found = _in_unit(values, header_unit)
        found.odd, found.example = self._odd[""], self._example
        return found

    def _with_units(self, values: Array, codes: NDArray[np.int16], header_unit: str | None) -> Column:
        counts = np.bincount(codes[np.isfinite(values)], minlength=len(self._units))
        written = header_unit
        if written is None and counts[1:].sum() >= _MOSTLY * counts.sum():
            # those of one meaning count together: "°C" and "C"
            meanings: Counter[str] = Counter()
            for text, n in zip(self._units[1:], counts[1:], strict=True):
                meanings[_meaning(text)] += int(n)
            best = meanings.most_common(1)[0][0]
            written = next(t for t in self._units[1:] if _meaning(t) == best)
        unit = cell_unit(written) if written else None
        if unit is None and header_unit:
            unit = parse_unit(header_unit)
        several = len({_meaning(t) for t, n in zip(self._units, counts, strict=True) if t and n}) > 1
        out = np.full(values.size, np.nan)
        bare = codes == 0
        if header_unit is not None or not several or written is None:
            out[bare] = values[bare]  # in the column's own unit
        canonical = ""
        if unit is not None:
            own = bare | np.isin(codes, [i for i, t in enumerate(self._units) if t and cell_unit(t) == unit])
            out[own] = values[own]
            out, canonical = to_canonical(out, unit)
        for code, text in enumerate(self._units[1:], 1):
            here = codes == code
            if not here.any():
                continue
            told = cell_unit(text)
            if unit is None:
                if written is not None and text.casefold() == written.casefold():
                    out[here] = values[here]
            elif told is not None and told != unit:
                out[here] = _converted(values[here], told, canonical, unit.quantity)
        lost = np.isfinite(values) & ~np.isfinite(out)
        if lost.any():
            row = int(np.flatnonzero(lost)[0])
            self._note(row, f"{values[row]:g} {self._units[codes[row]]}".strip(), int(lost.sum()))
        if unit is None:
            return Column(values=out, unit=written, quantity="unknown", written=written)
        return Column(values=out, unit=canonical, quantity=unit.quantity, written=written)


def _meaning(text: str) -> str:
    unit = cell_unit(text)
    return text.casefold() if unit is None else unit.quantity


def cell_unit(text: str) -> Unit | None:
    """What a unit behind a number means; ``31k`` is no kelvins."""
    unit = parse_unit(text)
    return (
        None if unit is not None and unit.canonical == "K" and text.strip() not in {"K", "Kelvin", "kelvin"} else unit
    )


def _converted(values: Array, told: Unit, canonical: str, quantity: str) -> Array:
    """Cells with a unit of their own in the column's unit; NaN where it is of another quantity."""
    if told.quantity != quantity:
        return np.full(values.size, np.nan)
    if told.canonical == canonical:
        return values * told.scale + told.offset
    if told.canonical == "K" and canonical == "degC":
        return np.where(values > 150, values - 273.15, np.nan)
    return np.full(values.size, np.nan)


def _in_unit(values: Array, written: str | None) -> Column:
    unit = parse_unit(written) if written else None
    if unit is None:
        return Column(values=values, unit=written, quantity="unknown", written=written)
    values, canonical = to_canonical(values, unit)
    return Column(values=values, unit=canonical, quantity=unit.quantity, written=written)
