"""Read a delimited log: from a file to times and channels in canonical units."""

from __future__ import annotations

import datetime as dt
import io
import re
import warnings
from collections.abc import Callable, Sequence
from dataclasses import dataclass, field, replace
from pathlib import Path
from typing import Any

import numpy as np
import pandas as pd
from numpy.typing import NDArray

from kuffin.core.errors import LogError, OpenReading
from kuffin.core.units import parse_unit
from kuffin.logs.blocks import blocks, line_begins
from kuffin.logs.clockfind import ClockChoice, find_clock, read_clock
from kuffin.logs.clockrun import running
from kuffin.logs.columns import ColumnBuilder
from kuffin.logs.decimalsign import DecimalSign, decimal_sign
from kuffin.logs.encoding import load_text
from kuffin.logs.header import ColumnName, split_names, unique_names, without_brackets
from kuffin.logs.layout import SAMPLE_LINES, Layout, sniff, split_line
from kuffin.logs.leftout import count_left_out
from kuffin.logs.quoted import one_line_each
from kuffin.logs.roles import guess_role, is_summary
from kuffin.logs.table import LogChannel, LogTable, Told
from kuffin.logs.values import MISSING, parse_number

_MOST_ODD = 20_000
_LONGEST_STEP_S = 100.0  # between rows, of a clock that says no unit
_US_UNITS = {"gph", "gpm", "psi", "psig", "°f", "f", "degf", "inhg", "℉"}

Progress = Callable[[float], None]


@dataclass
class _Rows:
    """What is gathered while the rows are read."""

    builders: list[ColumnBuilder]
    clock: list[list[Any]]
    starts: list[NDArray[np.int64]] = field(default_factory=list)
    lines: list[NDArray[np.int64]] = field(default_factory=list)
    odd: list[tuple[int, str]] = field(default_factory=list)  # lines with another number of fields
    odd_unseen: int = 0  # of these, how many were not looked at


def read_log(path: Path | str, progress: Progress | None = None, told: Told | None = None) -> LogTable:
    """Read a delimited log of any layout that Kuffin knows.

    Encoding, delimiter, decimal sign, header, units and the clock are worked out from the file. Rows are sorted by
    time; times count from the first row.

    Parameters
    ----------
    path : path
    progress : callable, optional
        Called with the share done, 0 to 1; may raise to stop the reading.
    told : Told, optional
        What the person says of it.

    Raises
    ------
    OpenReading
        Where the file can be read in two ways and only a person can say which.
    LogError
        Where the file is unusable; the message says what, where and what to do.
    """
    path, told = Path(path), told or Told()
    decoded = load_text(path)
    data = one_line_each(decoded.data)
    layout = sniff(_first_lines(data), path.name)
    names = split_names(layout.header)
    names = [
        ColumnName(n.name, n.unit or (without_brackets(u) or None)) for n, u in zip(names, layout.units, strict=True)
    ]
    delimiter = layout.delimiter
    if delimiter.strip(" ") == "":
        gap = rb"[ \t]{2,}|\t" if delimiter == "  " else rb"[ \t]+"
        data = b"\n".join(re.sub(gap, b"\t", line.strip(b" \t")) for line in data.split(b"\n"))
        layout.delimiter = "\t"
    begin = line_begins(data, layout.first_data_line)
    found = (
        DecimalSign(told.decimal)
        if told.decimal
        else decimal_sign(data, begin, layout.delimiter, names, layout.sample, path.name)
    )
    if found.open_cell and "," in found.open_cell:
        raise OpenReading(
            f"{path.name}: “{found.open_cell}” may be {found.open_cell.replace(',', '.')} or {found.open_cell.replace(',', '')}, "
            "and nothing in the log says which; say what its decimal sign is",
            "decimal",
        )
    if found.open_cell:
        layout.warnings.append(
            f"“{found.open_cell}” was read with a decimal point; the log does not say whether the point marks thousands"
        )
    layout.decimal = found.sign
    choice = find_clock(names, layout.sample, layout.decimal)
    if choice is not None and choice.kind == "elapsed" and not choice.unit_known:
        choice = _with_unit(choice, names, layout, told.time_unit, path.name)
    if choice is None:
        raise LogError(
            f"{path.name}: no column holds a readable clock (date, time of day, or seconds); "
            "add one to the log, as a row counter does not say when"
        )
    rows = _read_rows(data, layout, choice, progress, path.name)
    table = _assemble(path.name, rows, data, layout, names, choice, told.dates, written_on(path))
    table.path, table.told = path, told
    table.encoding = decoded.encoding
    table.delimiter = " " if delimiter.strip(" ") == "" else delimiter
    table.warnings = [*decoded.warnings, *layout.warnings, *table.warnings]
    return table


def _with_unit(
    choice: ClockChoice, names: Sequence[ColumnName], layout: Layout, time_unit: str | None, file: str
) -> ClockChoice:
    """A clock that counts and names no unit: seconds, unless its rows say otherwise."""
    if time_unit:
        unit = parse_unit(time_unit)
        if unit is None or unit.quantity != "time":
            raise LogError(f"{file}: “{time_unit}” is no unit of time; write s, ms, min or h")
        return replace(choice, scale=unit.scale)
    j = choice.columns[0]
    values = np.array([parse_number(r[j], layout.decimal)[0] for r in layout.sample if j < len(r)])
    step = float(np.nanmedian(np.diff(values))) if values.size > 1 else 1.0
    if step >= _LONGEST_STEP_S:
        raise OpenReading(
            f"{file}: “{names[j].name}” counts in steps of {step:g} and names no unit; say whether these are milliseconds, "
            "seconds or another",
            "time_unit",
        )
    return choice


def written_on(path: Path) -> dt.date | None:
    """When a file was last written, as far as its folder knows."""
    try:
        return dt.date.fromtimestamp(path.stat().st_mtime)
    except (OSError, OverflowError, ValueError):
        return None


def _first_lines(data: bytes) -> list[str]:
    end = 0
    for _ in range(SAMPLE_LINES):
        following = data.find(b"\n", end)
        if following < 0:
            end = len(data)
            break
        end = following + 1
        if end > 4_000_000:
            break
    return data[:end].decode("utf-8", "replace").split("\n")


def _read_rows(data: bytes, layout: Layout, choice: ClockChoice, progress: Progress | None, file: str) -> _Rows:
    begin = line_begins(data, layout.first_data_line)
    rows = _Rows([ColumnBuilder(layout.decimal) for _ in range(layout.fields)], [[] for _ in choice.columns])
    line = layout.first_data_line
    for a, b in blocks(data, begin, file):
        line += _read_block(data[a:b], a, line, layout, choice, rows)
        if progress is not None:
            progress(b / len(data))
    return rows


def _read_block(block: bytes, offset: int, first_line: int, layout: Layout, choice: ClockChoice, rows: _Rows) -> int:
    """Read one block of whole lines; returns how many lines it holds."""
    text = np.frombuffer(block, dtype=np.uint8)
    ends = np.flatnonzero(text == 10)
    if not block.endswith(b"\n"):
        ends = np.append(ends, text.size)
    starts = np.concatenate(([0], ends[:-1] + 1)).astype(np.int64)
    is_mark = text == ord(layout.delimiter)
    if b'"' in block:  # a delimiter inside quotes is none
        marks, quotes = np.flatnonzero(is_mark), np.flatnonzero(text == 34)
        owner = np.searchsorted(ends, marks)
        before = np.searchsorted(quotes, marks) - np.searchsorted(quotes, starts)[owner]
        counts = np.bincount(owner[before % 2 == 0], minlength=ends.size) + 1
    else:
        whole = np.minimum(starts, text.size - 1)
        counts = np.add.reduceat(is_mark.view(np.uint8), whole, dtype=np.int64) + 1
        counts[starts >= text.size] = 1
    good = counts == layout.fields
    if layout.delimiter != "\t":
        first = text[np.minimum(starts, text.size - 1)]
        good &= first != ord("#")
    # one delimiter too many at a line's end says nothing
    last = text[np.maximum(ends - 1, 0)] == ord(layout.delimiter)
    spare = (counts == layout.fields + 1) & last
    good |= spare
    for i in np.flatnonzero(~good & (ends > starts)):
        if len(rows.odd) >= _MOST_ODD:
            rows.odd_unseen += int(np.count_nonzero((~good & (ends > starts))[i:]))
            break
        content = block[starts[i] : ends[i]][:2000].decode("utf-8", "replace")
        if content.strip():
            rows.odd.append((first_line + int(i), content))
    if not good.any():
        return int(ends.size)
    plain = bool(good.all()) and not spare.any()
    kept = block if plain else b"\n".join(block[starts[i] : ends[i] - int(spare[i])] for i in np.flatnonzero(good))
    frame = _frame(kept, layout, choice, int(good.sum()))
    for j in range(layout.fields):
        column = frame[j]
        if choice.text and j in choice.columns:
            rows.clock[choice.columns.index(j)].extend(column.fillna("").tolist())
        elif column.dtype.kind in "fiu":
            rows.builders[j].add_numbers(column.to_numpy(np.float64))
        else:
            rows.builders[j].add_cells(column.astype(object).where(column.notna(), None).tolist())
    rows.starts.append(starts[good] + offset)
    rows.lines.append(np.flatnonzero(good) + first_line)
    return int(ends.size)


def _parsed(kept: bytes, layout: Layout, text: dict[int, type[str]]) -> pd.DataFrame:
    return pd.read_csv(
        io.BytesIO(kept),
        sep=layout.delimiter,
        header=None,
        names=list(range(layout.fields)),
        index_col=False,
        decimal=layout.decimal,
        na_values=list(MISSING),
        skipinitialspace=True,
        dtype=text,
        low_memory=False,
        skip_blank_lines=False,
        encoding_errors="replace",
        on_bad_lines="skip",
    )


def _frame(kept: bytes, layout: Layout, choice: ClockChoice, expected: int) -> pd.DataFrame:
    text = {j: str for j in choice.columns} if choice.text else {}
    try:
        with warnings.catch_warnings():
            warnings.simplefilter("error", pd.errors.ParserWarning)
            frame = _parsed(kept, layout, text)
        if len(frame) == expected:
            return frame
    except (ValueError, OverflowError, pd.errors.ParserError, pd.errors.ParserWarning):
        pass
    lines = kept.decode("utf-8", "replace").split("\n")[:expected]
    cells = [(split_line(line, layout.delimiter) + [""] * layout.fields)[: layout.fields] for line in lines]
    return pd.DataFrame(cells, columns=list(range(layout.fields)), dtype=object)


def _assemble(
    name: str,
    rows: _Rows,
    data: bytes,
    layout: Layout,
    names: Sequence[ColumnName],
    choice: ClockChoice,
    dates: str | None,
    written_on: dt.date | None,
) -> LogTable:
    n = sum(part.size for part in rows.lines)
    starts = np.concatenate(rows.starts) if rows.starts else np.empty(0, np.int64)
    lines = np.concatenate(rows.lines) if rows.lines else np.empty(0, np.int64)
    us_style = any((c.unit or "").lower().replace(" ", "") in _US_UNITS for c in names)
    columns: list[Any] = rows.clock if choice.text else [rows.builders[choice.columns[0]].finish(None).values]
    parsed, offsets = read_clock(choice, columns, names[choice.columns[0]], us_style, dates, written_on)
    readable = np.isfinite(parsed.seconds)
    dropped, notes = count_left_out(name, rows.odd, data, starts, lines, readable, layout, choice)
    dropped += rows.odd_unseen
    if not readable.any():
        raise LogError(f"{name}: no row has a readable clock; check the column “{names[choice.columns[0]].name}”")
    times, ran_on = running(parsed.seconds[readable], calendar=parsed.calendar, offsets=offsets)
    keep = np.flatnonzero(readable)
    order = np.argsort(times, kind="stable")
    swapped = bool(np.any(np.diff(times) < 0))
    keep, times = keep[order], times[order]
    notes += [
        *parsed.warnings,
        *ran_on,
        *(["some rows were out of order and have been sorted by time"] if swapped else []),
    ]
    straight = keep.size == n and not swapped
    channels = []
    unique = unique_names([c.name or f"Column {j + 1}" for j, c in enumerate(names)])
    for j, column in enumerate(names):
        if j in choice.time_columns or j in choice.columns:
            continue
        read = rows.builders[j].finish(column.unit)
        values = read.values if straight else read.values[keep]
        numbers = int(np.isfinite(values).sum())
        if not numbers:
            continue
        if 0 < read.odd <= numbers and read.example is not None:  # more of them: words, with a number here and there
            row, cell = read.example
            cells = "1 cell" if read.odd == 1 else f"{read.odd} cells"
            notes.append(
                f"{cells} of “{unique[j]}” could not be read as numbers and count as missing: line {lines[row] + 1}, “{cell[:40]}”"
            )
        role = guess_role(unique[j], read.quantity, read.unit)
        channels.append(LogChannel(unique[j], read.unit, read.quantity, role, values, read.written))
    plain = {c.role for c in channels if not is_summary(c.name)}
    for i, c in enumerate(channels):
        if c.role in plain and is_summary(c.name):  # the largest of the cores is none of them
            channels[i] = replace(c, role=None)
    if not channels:
        raise LogError(f"{name}: it has a clock but no column of numbers beside it")
    preview = [
        list(layout.header),
        *([list(layout.units)] if any(layout.units) else []),
        *[list(r) for r in layout.sample[:30]],
    ]
    return LogTable(
        name,
        "",
        layout.delimiter,
        layout.decimal,
        times - times[0],
        parsed.wall_text(int(keep[0])),
        channels,
        dropped,
        notes,
        preview,
        dates=parsed.order,
        dates_open=parsed.open_orders,
    )
