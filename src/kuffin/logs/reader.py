"""Read a delimited log: from a file to times and channels in canonical units."""

from __future__ import annotations

import io
import re
import warnings
from collections.abc import Callable, Iterator, Sequence
from dataclasses import dataclass, field, replace
from pathlib import Path
from typing import Any

import numpy as np
import pandas as pd
from numpy.typing import NDArray

from kuffin.core.errors import LogError
from kuffin.logs.clock import clock_kind, running
from kuffin.logs.clockfind import ClockChoice, find_clock, read_clock
from kuffin.logs.columns import ColumnBuilder
from kuffin.logs.encoding import load_text
from kuffin.logs.header import ColumnName, is_unit_row, split_names, unique_names, without_brackets
from kuffin.logs.layout import SAMPLE_LINES, Layout, is_value, sniff, split_line
from kuffin.logs.quoted import one_line_each
from kuffin.logs.roles import guess_role, is_summary
from kuffin.logs.table import LogChannel, LogTable
from kuffin.logs.values import MISSING, is_missing

_BLOCK = 4_000_000
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


def read_log(path: Path | str, progress: Progress | None = None, month_first: bool | None = None) -> LogTable:
    """Read a delimited log of any layout that Kuffin knows.

    Encoding, delimiter, decimal sign, header, units and the clock are worked out from the file. Rows are sorted by
    time; times count from the first row.

    Parameters
    ----------
    path : path
    progress : callable, optional
        Called with the share done, 0 to 1; may raise to stop the reading.
    month_first : bool, optional
        Which way round ``03/04/2026`` goes, where the file leaves it open and the person knows.

    Raises
    ------
    LogError
        Where the file is unusable; the message says what, where and what to do.
    """
    path = Path(path)
    decoded = load_text(path)
    data = one_line_each(decoded.data)
    layout = sniff(_first_lines(data), path.name)
    names = split_names(layout.header)
    names = [
        ColumnName(n.name, n.unit or (without_brackets(u) or None)) for n, u in zip(names, layout.units, strict=True)
    ]
    choice = find_clock(names, layout.sample, layout.decimal)
    if choice is None:
        raise LogError(
            f"{path.name}: no column holds a readable clock (date, time of day, or seconds); "
            "add one to the log, as a row counter does not say when"
        )
    delimiter = layout.delimiter
    if delimiter.strip(" ") == "":
        gap = rb"[ \t]{2,}|\t" if delimiter == "  " else rb"[ \t]+"
        data = b"\n".join(re.sub(gap, b"\t", line.strip(b" \t")) for line in data.split(b"\n"))
        layout.delimiter = "\t"
    rows = _read_rows(data, layout, choice, progress)
    table = _assemble(path.name, rows, data, layout, names, choice, month_first)
    table.path = path
    table.encoding = decoded.encoding
    table.delimiter = " " if delimiter.strip(" ") == "" else delimiter
    table.warnings = [*decoded.warnings, *layout.warnings, *table.warnings]
    return table


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


def _blocks(data: bytes, begin: int) -> Iterator[tuple[int, int]]:
    while begin < len(data):
        end = data.find(b"\n", begin + _BLOCK)
        end = len(data) if end < 0 else end + 1
        yield begin, end
        begin = end


def _read_rows(data: bytes, layout: Layout, choice: ClockChoice, progress: Progress | None) -> _Rows:
    begin = 0
    for _ in range(layout.first_data_line):
        begin = data.find(b"\n", begin) + 1
    rows = _Rows([ColumnBuilder(layout.decimal) for _ in range(layout.fields)], [[] for _ in choice.columns])
    line = layout.first_data_line
    for a, b in _blocks(data, begin):
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
    for i in np.flatnonzero(~good):
        content = block[starts[i] : ends[i]].decode("utf-8", "replace")
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
    month_first: bool | None,
) -> LogTable:
    n = sum(part.size for part in rows.lines)
    starts = np.concatenate(rows.starts) if rows.starts else np.empty(0, np.int64)
    lines = np.concatenate(rows.lines) if rows.lines else np.empty(0, np.int64)
    us_style = any((c.unit or "").lower().replace(" ", "") in _US_UNITS for c in names)
    columns: list[Any] = rows.clock if choice.text else [rows.builders[choice.columns[0]].finish(None)[0]]
    parsed, offsets = read_clock(choice, columns, names[choice.columns[0]].unit, us_style, month_first)
    readable = np.isfinite(parsed.seconds)
    dropped, notes = _count_dropped(name, rows, data, starts, lines, readable, layout, choice)
    if not readable.any():
        raise LogError(f"{name}: no row has a readable clock; check the column “{names[choice.columns[0]].name}”")
    times, ran_on = running(parsed.seconds[readable], calendar=parsed.calendar, offsets=offsets)
    times, more = continue_after_restart(times, parsed.calendar)
    keep = np.flatnonzero(readable)
    order = np.argsort(times, kind="stable")
    swapped = bool(np.any(np.diff(times) < 0))
    keep, times = keep[order], times[order]
    notes += [
        *parsed.warnings,
        *ran_on,
        *more,
        *(["some rows were out of order and have been sorted by time"] if swapped else []),
    ]
    straight = keep.size == n and not swapped
    channels = []
    unique = unique_names([c.name or f"Column {j + 1}" for j, c in enumerate(names)])
    for j, column in enumerate(names):
        if j in choice.time_columns or j in choice.columns:
            continue
        values, unit, quantity, written = rows.builders[j].finish(column.unit)
        values = values if straight else values[keep]
        if not np.isfinite(values).any():
            continue
        channels.append(LogChannel(unique[j], unit, quantity, guess_role(unique[j], quantity, unit), values, written))
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
        month_first=parsed.month_first,
    )


def continue_after_restart(times: NDArray[np.float64], calendar: bool) -> tuple[NDArray[np.float64], list[str]]:
    """Let a clock that was set back, or began again, run on one step later.

    A calendar clock that goes back to before the log's first row is left alone: sorting puts that part in its place.
    """
    t = times.copy()
    if t.size < 12:
        return t, []
    step = np.diff(t)
    typical = float(np.median(step[step > 0])) if np.any(step > 0) else 1.0
    notes = []
    for i in np.flatnonzero(step < -10 * typical):
        after = t[i + 1 : i + 9]
        if t[i + 1] >= t[i] or not np.all(after < t[i]):
            continue
        if calendar and t[i + 1 :].max() < t[0]:
            continue
        back = t[i] - t[i + 1]
        t[i + 1 :] += back + typical
        notes.append(
            f"the clock goes back by {back:.0f} s after {t[i] - t[0]:.0f} s and runs on from there; "
            "how long the pause was cannot be known"
        )
    return t, notes


def _count_dropped(
    name: str,
    rows: _Rows,
    data: bytes,
    starts: NDArray[np.int64],
    lines: NDArray[np.int64],
    readable: NDArray[np.bool_],
    layout: Layout,
    choice: ClockChoice,
) -> tuple[int, list[str]]:
    """How many data rows could not be used, and what to say of them."""
    header = [c.strip() for c in layout.header]
    reasons: list[tuple[int, str]] = []
    last_good = int(lines[np.flatnonzero(readable)[-1]]) if readable.any() else -1
    for i in np.flatnonzero(~readable):
        end = data.find(b"\n", int(starts[i]))
        cells = split_line(
            data[int(starts[i]) : end if end >= 0 else len(data)].decode("utf-8", "replace"), layout.delimiter
        )
        clock = " ".join(cells[j] for j in choice.columns if j < len(cells))
        if _is_headerish(cells, header) or all(is_missing(c) for c in cells):
            continue
        if int(lines[i]) > last_good and not re.search(r"\d", clock):
            continue  # a summary at the end
        if not any(is_value(c) for k, c in enumerate(cells) if k not in choice.columns):
            continue
        reasons.append((int(lines[i]), "has an unreadable clock"))
    for line, text in rows.odd:
        cells = split_line(text, layout.delimiter)
        if text.lstrip().startswith(("#", "//")) or _is_headerish(cells, header):
            continue
        filled = [c for c in cells if not is_missing(c)]
        if not filled:
            continue
        clocks = [cells[j] for j in choice.columns if j < len(cells)]
        timed = bool(clocks) and (clock_kind([" ".join(clocks)]) is not None if choice.text else is_value(clocks[0]))
        if (timed and len(filled) > 1) or (
            sum(map(is_value, filled)) >= 0.5 * len(filled) and len(filled) >= 0.5 * layout.fields
        ):
            reasons.append((line, f"has {len(cells)} of {layout.fields} fields"))
    warnings = []
    if reasons:
        reasons.sort()
        line, why = reasons[0]
        plural = "1 row" if len(reasons) == 1 else f"{len(reasons)} rows"
        warnings.append(f"{plural} could not be read: line {line + 1} {why}")
        if len(reasons) > max(5, 0.05 * int(readable.sum())):
            warnings.append(
                f"from line {line + 1} on the columns seem to change; those rows were left out, so split the file there to read both parts"
            )
    return len(reasons), warnings


def _is_headerish(cells: Sequence[str], header: Sequence[str]) -> bool:
    folded = [" ".join(c.split()).lower() for c in cells]
    told = [" ".join(c.split()).lower() for c in header]
    same = sum(a == b for a, b in zip(folded, told, strict=False) if a)
    return same >= max(2, 0.6 * min(len([c for c in folded if c]), len(told))) or is_unit_row(list(cells))
