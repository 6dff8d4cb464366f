"""Read a delimited log: from a file to times and channels in canonical units."""

from __future__ import annotations

import datetime as dt
from collections.abc import Callable, Sequence
from dataclasses import replace
from pathlib import Path

import numpy as np
from numpy.typing import NDArray

from kuffin.core.base.errors import LogError, OpenReading
from kuffin.core.base.saying import say
from kuffin.core.base.units import parse_unit
from kuffin.logs.blocks import DataBlocks
from kuffin.logs.channelguess import is_difference
from kuffin.logs.clock import DateHints
from kuffin.logs.clockcells import ClockCells
from kuffin.logs.clockfind import ClockChoice, find_clock, numbered_clock
from kuffin.logs.clockrun import running
from kuffin.logs.columns import ColumnBuilder
from kuffin.logs.decimalsign import DecimalSign, decimal_sign
from kuffin.logs.encoding import LogText, open_text
from kuffin.logs.header import ColumnName, split_names, unique_names, without_brackets
from kuffin.logs.layout import SAMPLE_LINES, Layout, sniff
from kuffin.logs.leftout import count_left_out
from kuffin.logs.quoted import one_line_each
from kuffin.logs.rows import Rows
from kuffin.logs.table import LogChannel, LogTable, ToldOfLog, take_guesses
from kuffin.logs.values import parse_number

_LEAP_S = 2 * 365 * 86400.0  # between two rows
_LONGEST_STEP_S = 100.0  # between rows, of a clock that says no unit
_US_UNITS = {"gph", "gpm", "psi", "psig", "°f", "f", "degf", "inhg", "℉"}

Progress = Callable[[float], None]


def read_log(path: Path | str, progress: Progress | None = None, told: ToldOfLog | None = None) -> LogTable:
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
    path, told = Path(path), told or ToldOfLog()
    with open_text(path) as log:
        table = _read(log, path, told, progress)
    table.path, table.told, table.encoding = path, told, log.encoding
    return table


def _read(log: LogText, path: Path, told: ToldOfLog, progress: Progress | None) -> LogTable:
    layout = sniff(_first_lines(one_line_each(log.head())), path.name)
    names = split_names(layout.header)
    names = [
        ColumnName(n.name, n.unit or (without_brackets(u) or None)) for n, u in zip(names, layout.units, strict=True)
    ]
    delimiter = layout.delimiter
    blocks = DataBlocks(log, layout.first_data_line, delimiter)
    layout.delimiter = delimiter if delimiter.strip(" ") else "\t"
    found = DecimalSign(told.decimal) if told.decimal else decimal_sign(blocks, layout.delimiter, names, layout.sample)
    if found.open_cell and ("," in found.open_cell or found.sign == ","):
        raise OpenReading(
            say(
                "{name}: “{open_cell}” may be {one} or {other}, and nothing in the log says which; say what its decimal sign is",
                name=path.name,
                open_cell=found.open_cell,
                one=found.open_cell.replace(",", "."),
                other=found.open_cell.replace(",", "").replace(".", ""),
            ),
            "decimal",
        )
    if found.open_cell:
        layout.warnings.append(
            say(
                "“{cell}” was read with a decimal point; the log does not say whether the point marks thousands",
                cell=found.open_cell,
            )
        )
    layout.decimal = found.sign
    choice = find_clock(names, layout.sample, layout.decimal)
    if choice is not None and choice.kind == "elapsed" and not choice.unit_known:
        choice = _with_unit(choice, names, layout, told.time_unit, path.name)
    if choice is None:
        raise LogError(
            "{name}: no column holds a readable clock (date, time of day, or seconds); add one to the log, as a row counter does not say when",
            name=path.name,
        )
    clock = names[choice.columns[0]]
    rows = Rows(
        layout=layout,
        choice=choice,
        builders=[ColumnBuilder(layout.decimal) for _ in range(layout.fields)],
        clock=ClockCells(choice.kind != "time", clock.name, clock.unit) if choice.text else None,
    )
    for block in blocks:
        rows.add(block)
        if progress is not None:
            progress(block.share)
    table = _assemble(path.name, rows, names, told.dates, written_on(path))
    table.delimiter = " " if delimiter.strip(" ") == "" else delimiter
    table.warnings = [*log.warnings, *layout.warnings, *table.warnings]
    return table


def _with_unit(
    choice: ClockChoice, names: Sequence[ColumnName], layout: Layout, time_unit: str | None, file: str
) -> ClockChoice:
    """A clock that counts and names no unit: seconds, unless its rows say otherwise."""
    if time_unit:
        unit = parse_unit(time_unit)
        if unit is None or unit.quantity != "time":
            raise LogError(
                "{file}: “{time_unit}” is no unit of time; write s, ms, min or h", file=file, time_unit=time_unit
            )
        return replace(choice, scale=unit.scale)
    j = choice.columns[0]
    values = np.array([parse_number(r[j], layout.decimal)[0] for r in layout.sample if j < len(r)])
    step = float(np.nanmedian(np.diff(values))) if values.size > 1 else 1.0
    if step >= _LONGEST_STEP_S:
        raise OpenReading(
            say(
                "{file}: “{name}” counts in steps of {step:g} and names no unit; say whether these are milliseconds, seconds or another",
                file=file,
                name=names[j].name,
                step=step,
            ),
            "time_unit",
        )
    return choice


def written_on(path: Path) -> dt.date | None:
    """When a file was last written, as far as its folder knows."""
    try:
        return dt.date.fromtimestamp(path.stat().st_mtime)
    except (OSError, OverflowError, ValueError):
        return None


def _before_the_clock_was_set(times: NDArray[np.float64]) -> int:
    """How many rows at the beginning are years before all that follows: a logger began at its clock's own beginning.

    Raises
    ------
    LogError
        Where years lie between rows elsewhere: no log of a bench lasts so long.
    """
    leaps = np.flatnonzero(np.diff(times) > _LEAP_S)
    if not leaps.size:
        return 0
    begin = int(leaps[-1]) + 1
    if begin > times.size / 2:
        raise LogError(
            "there are years between its rows, after row {row}: put what is of different days into logs of their own",
            row=begin,
        )
    return begin


def _first_lines(head: bytes) -> list[str]:
    end = 0
    for _ in range(SAMPLE_LINES):
        following = head.find(b"\n", end)
        if following < 0:
            end = len(head)
            break
        end = following + 1
    return head[:end].decode("utf-8", "replace").split("\n")


def _assemble(
    name: str, rows: Rows, names: Sequence[ColumnName], dates: str | None, written_on: dt.date | None
) -> LogTable:
    layout, choice = rows.layout, rows.choice
    lines = rows.lines.taken()
    us_style = any((c.unit or "").lower().replace(" ", "") in _US_UNITS for c in names)
    if rows.clock is not None:
        parsed = rows.clock.finish(DateHints(dates, us_style, written_on, dt.date.today()))
        offsets = rows.clock.has_offsets
    else:
        parsed = numbered_clock(choice, rows.builders[choice.columns[0]].finish(None).values)
        offsets = choice.kind == "unix"
    if parsed.unsettled:
        raise OpenReading(
            say(
                "{name}: its dates may have the day or the year first, and neither the log nor the file's own date says which; say how they are written",
                name=name,
            ),
            "dates",
        )
    readable = np.isfinite(parsed.seconds)
    dropped, notes = count_left_out(name, rows, lines, readable)
    if not readable.any():
        raise LogError(
            "{name}: no row has a readable clock; check the column “{entry}”",
            name=name,
            entry=names[choice.columns[0]].name,
        )
    times, ran_on = running(
        parsed.seconds if readable.all() else parsed.seconds[readable], calendar=parsed.calendar, offsets=offsets
    )
    swapped = bool(np.any(times[1:] < times[:-1]))
    keep = None if readable.all() and not swapped else np.flatnonzero(readable)  # None: all, as they stand
    if swapped and keep is not None:
        order = np.argsort(times, kind="stable")
        keep, times = keep[order], times[order]
    unset = _before_the_clock_was_set(times)
    if unset:
        keep = (np.arange(times.size) if keep is None else keep)[unset:]
        times = times[unset:]
        notes.append(
            say("the first row is from before the logger’s clock was set, and is left out")
            if unset == 1
            else say("the first {n} rows are from before the logger’s clock was set, and are left out", n=unset)
        )
        dropped += unset
    begun = parsed.wall_text(0 if keep is None else int(keep[0]))
    times = times - times[0]
    notes += [
        *parsed.warnings,
        *ran_on,
        *([say("some rows were out of order and have been sorted by time")] if swapped else []),
    ]
    channels = []
    unique = unique_names([c.name or f"Column {j + 1}" for j, c in enumerate(names)])
    for j, column in enumerate(names):
        if j in choice.time_columns or j in choice.columns:
            continue
        read = rows.builders[j].finish(column.unit)
        if read.unit == "degC" and is_difference(column.name):  # a logger's own difference: no 32 °F are taken off it
            told = parse_unit(read.written or "")
            read = replace(read, values=read.values - (told.offset if told is not None else 0.0), unit="K")
        values = read.values if keep is None else read.values[keep]
        numbers = int(np.isfinite(values).sum())
        if not numbers:
            continue
        if 0 < read.odd <= numbers and read.example is not None:  # more of them: words, with a number here and there
            row, cell = read.example
            there = {"name": unique[j], "line": int(lines[row]) + 1, "cell": cell[:40]}
            notes.append(
                say(
                    "1 cell of “{name}” could not be read as a number and counts as missing: line {line}, “{cell}”",
                    **there,
                )
                if read.odd == 1
                else say(
                    "{n} cells of “{name}” could not be read as numbers and count as missing: line {line}, “{cell}”",
                    n=read.odd,
                    **there,
                )
            )
        channels.append(
            LogChannel(
                name=unique[j],
                unit=read.unit,
                quantity=read.quantity,
                role=None,
                values=values,
                written_unit=read.written,
            )
        )
    take_guesses(channels)
    if not channels:
        raise LogError("{name}: it has a clock but no column of numbers beside it", name=name)
    preview = [
        list(layout.header),
        *([list(layout.units)] if any(layout.units) else []),
        *[list(r) for r in layout.sample[:30]],
    ]
    return LogTable(
        file=name,
        encoding="",
        delimiter=layout.delimiter,
        decimal=layout.decimal,
        times=times,
        start=begun,
        channels=channels,
        dropped_rows=dropped,
        warnings=notes,
        preview=preview,
        dates=parsed.order,
        dates_open=parsed.open_orders,
    )
