"""Further logs of a run: ordinary ones, and logs of frame times, whose clock is the sum of the times themselves."""

from __future__ import annotations

import re
from collections.abc import Callable, Sequence
from dataclasses import dataclass
from pathlib import Path

import numpy as np

from kuffin.core.base.errors import LogError, OpenReading
from kuffin.core.base.saying import say
from kuffin.logs.encoding import open_text
from kuffin.logs.growing import Growing
from kuffin.logs.table import LogChannel, LogTable, ToldOfLog

_NUMBER = re.compile(r"[-+]?\d+(?:[.,]\d+)?(?:[eE][-+]?\d+)?")


def is_frame_time(name: str, unit: str | None) -> bool:
    """Whether a channel holds frame times, by its name."""
    said = re.sub(r"[^a-z]", "", name.lower())
    return "frametime" in said and unit in {None, "", "ms", "s", "µs", "us"}


def read_further_log(
    path: Path | str, progress: Callable[[float], None] | None = None, told: ToldOfLog | None = None
) -> LogTable:
    """Read a log that is to be joined to a run.

    A log without a clock is read where one of its columns holds frame times: their running sum is its clock.

    Raises
    ------
    OpenReading
        Where only a person can say how.
    LogError
        Where it can be read in neither way.
    """
    from kuffin.logs.reader import read_log  # heavy, so only when it is needed

    try:
        return read_log(path, progress, told)
    except OpenReading:
        raise
    except LogError as error:
        found = _frame_log(Path(path), progress)
        if found is None:
            raise error from None
        return found


def _frame_log(path: Path, progress: Callable[[float], None] | None = None) -> LogTable | None:
    """A log with a column of frame times and no clock, None where it is not one; read piece by piece."""
    held, dropped = Growing(np.float64), 0
    columns: _Columns | None = None
    with open_text(path) as log:
        encoding = log.encoding
        for piece, share in log.pieces():
            lines = [line for line in piece.decode("utf-8", "replace").splitlines() if line.strip()]
            if columns is None:
                columns, start = _columns(lines)
                if columns is None:
                    return None
                lines = lines[start:]
            dropped += _add_frames(held, lines, columns)
            if progress is not None:
                progress(share)
    if columns is None or held.size < 2:
        return None
    frame, written = held.taken(), columns.name
    in_ms = not re.search(r"[\[(]\s*s\s*[\])]", written)
    seconds = frame / 1000 if in_ms else frame
    times = np.concatenate(([0.0], np.cumsum(seconds)[:-1]))
    name = re.sub(r"\s*[\[(].*?[\])]", "", written)
    unit = "ms" if in_ms else "s"
    channel = LogChannel(name=name, unit=unit, quantity="time", role=None, values=frame, written_unit=unit)
    warnings: list[str] = [say("{n} lines held no frame time and were left out", n=dropped)] if dropped else []
    return LogTable(
        file=path.name,
        encoding=encoding,
        delimiter=columns.delimiter,
        decimal=".",
        times=times,
        start=None,
        channels=[channel],
        dropped_rows=dropped,
        warnings=warnings,
    )


@dataclass(frozen=True)
class _Columns:
    """How a log of frame times is written: what parts its cells, the column that holds them, and its name."""

    delimiter: str
    column: int
    name: str


def _columns(lines: Sequence[str]) -> tuple[_Columns | None, int]:
    """How it is written, by the line of names among the first, and where the frames begin."""
    head = next((i for i, line in enumerate(lines[:20]) if "frame" in line.lower() and "time" in line.lower()), None)
    if head is None:
        return None, 0
    delimiter = next((d for d in (";", "\t", ",") if d in lines[head]), ",")
    names = [n.strip().strip('"') for n in lines[head].split(delimiter)]
    column = next((i for i, n in enumerate(names) if "frametime" in re.sub(r"[^a-z]", "", n.lower())), None)
    return (None, 0) if column is None else (_Columns(delimiter, column, names[column]), head + 1)


def _add_frames(held: Growing, lines: Sequence[str], how: _Columns) -> int:
    """Add the frame times of some lines; returns how many lines held none."""
    found = []
    for line in lines:
        cells = line.split(how.delimiter)
        match = _NUMBER.fullmatch(cells[how.column].strip().strip('"')) if how.column < len(cells) else None
        if match is not None:
            found.append(float(match.group().replace(",", ".")))
    held.add(np.array(found, np.float64))
    return len(lines) - len(found)
