"""Tables of flow and pressure drop, and of a pump's curve: their columns in canonical units."""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from kuffin.core.base.errors import CompareError
from kuffin.core.base.saying import say
from kuffin.core.base.units import parse_unit, to_canonical
from kuffin.core.flow.curvekinds import CurveKind, checked_rows
from kuffin.logs.header import split_names
from kuffin.logs.tidy import TidyTable, blanks_left_out, tidy_text
from kuffin.logs.values import is_missing, parse_number

Array = NDArray[np.float64]


@dataclass(frozen=True, kw_only=True)
class FlowPoints:
    """Points of one part: L/h, kPa, and how many were in series."""

    flow: Array
    drop: Array
    count: Array


def points_by_part(
    table: TidyTable, part: str, flow: str, drop: str, count: str | None = None
) -> tuple[dict[str, FlowPoints], list[str]]:
    """A table's points by part, in the order of first appearance, and warnings.

    Raises
    ------
    CompareError
        Where a column is missing, or a cell is no number: the sentence says which.
    """
    part_at = table.find(part)
    columns = [_column(table, name, quantity) for name, quantity in ((flow, "flow"), (drop, "pressure"))]
    counts = np.ones(len(table.rows)) if count is None else _column(table, count, "")
    found: dict[str, list[int]] = {}
    blank = 0
    for i, row in enumerate(table.rows):
        if not row[part_at] or any(not np.isfinite(c[i]) for c in (*columns, counts)):
            blank += 1
            continue
        found.setdefault(row[part_at], []).append(i)
    if not found:
        raise CompareError("{file}: no row has a part, a flow and a drop", file=table.file)
    warnings = blanks_left_out(blank)
    return {
        name: FlowPoints(flow=columns[0][at], drop=columns[1][at], count=counts[at]) for name, at in found.items()
    }, warnings


def points_of_kind(table: TidyTable, kind: CurveKind) -> list[list[float]]:
    """A table's rows as readings of a kind: columns by their names or, where none has such a name, in the kind's order.

    Raises
    ------
    CompareError, BenchError
        Where a column is missing or in a unit of another quantity, or a cell is no number.
    """
    named = [_by_name(table, c.name) for c in kind.columns]
    at = named if None not in named[:2] else [i if i < len(table.columns) else None for i in range(3)]
    if None in at[:2]:
        wanted = " and ".join(f"“{c.name}”" for c in kind.columns[:2])
        raise CompareError(
            "{file}: columns for {wanted} are needed; it has {columns}",
            file=table.file,
            wanted=wanted,
            columns=", ".join(table.columns),
        )
    columns = [
        None if i is None else _column(table, table.columns[i], c.quantity)
        for i, c in zip(at, kind.columns, strict=True)
    ]
    rows = [
        [None if c is None or not np.isfinite(c[i]) else float(c[i]) for c in columns] for i in range(len(table.rows))
    ]
    return checked_rows(kind, [r for r in rows if r[0] is not None and r[1] is not None])


def _by_name(table: TidyTable, name: str) -> int | None:
    """The one column whose name holds all of the words."""
    found = [i for i, c in enumerate(table.columns) if all(w in c.casefold() for w in name.split())]
    exact = [i for i in found if split_names([table.columns[i]])[0].name.casefold().strip() == name]
    chosen = exact or found
    return chosen[0] if len(chosen) == 1 else None


def pump_points(table: TidyTable) -> tuple[Array, Array, Array]:
    """A pump's speed as a share, its flow in L/h and its head in kPa; columns are found by their names.

    Raises
    ------
    CompareError
    """
    speed = _column(table, "speed", "share") / 100
    flow, head = _column(table, "flow", "flow"), _column(table, "head", "pressure")
    ok = np.isfinite(speed) & np.isfinite(flow) & np.isfinite(head)
    if ok.any() and float(np.max(speed[ok])) <= 0.02:
        raise CompareError(
            "{file}: the pump's speed is {most:g} % at most; write per cent of full speed, 100 for full speed",
            file=table.file,
            most=100 * float(np.max(speed[ok])),
        )
    return speed[ok], flow[ok], head[ok]


def _column(table: TidyTable, name: str, quantity: str) -> Array:
    """A column in its quantity's canonical unit; NaN where it is blank."""
    at = table.find(name)
    values = np.full(len(table.rows), np.nan)
    for i, row in enumerate(table.rows):
        if is_missing(row[at]):
            continue
        values[i], _ = parse_number(row[at], table.decimal)
        if not np.isfinite(values[i]):
            raise CompareError(
                "{file}: line {i}, column “{columns}”: “{row}” is no number; mend or blank it",
                file=table.file,
                i=i + 2,
                columns=table.columns[at],
                row=row[at],
            )
    written = split_names([table.columns[at]])[0].unit
    unit = parse_unit(written) if written else None
    if unit is None or not quantity:
        if written and quantity and unit is None:
            raise CompareError(
                "{file}: “{written}” of column “{columns}” is no unit that Kuffin knows",
                file=table.file,
                written=written,
                columns=table.columns[at],
            )
        return values
    if unit.quantity != quantity:
        raise CompareError(
            "{file}: column “{columns}” is in {written}, which is no unit of {quantity}",
            file=table.file,
            columns=table.columns[at],
            written=written,
            quantity=quantity,
        )
    return to_canonical(values, unit)[0]


def pasted_points(text: str, kind: CurveKind) -> list[list[float]]:
    """Readings of a kind from pasted text, with or without a head.

    Raises
    ------
    CompareError, BenchError, LogError
    """
    lines = [line for line in text.splitlines() if line.strip()]
    if not lines:
        raise CompareError("there is nothing to paste: copy rows of a table first")
    first = lines[0]
    delimiter = next((d for d in ("\t", ";", "|") if d in first), None)
    if delimiter is None and not any(c.isalpha() for c in first):
        blanks = first.count(" ") >= 1 and len(first.split()) in {2, 3}
        lines = [";".join(line.split()) if blanks else line.replace(",", ";") for line in lines]
        delimiter = ";"
    if not any(c.isalpha() for c in first):
        columns = len(lines[0].split(delimiter or ","))
        lines.insert(0, (delimiter or ",").join(c.name for c in kind.columns[:columns]))
    return points_of_kind(tidy_text("\n".join(lines), say("what was pasted")), kind)
