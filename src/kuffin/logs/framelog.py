"""Further logs of a run: ordinary ones, and logs of frame times, whose clock is the sum of the times themselves."""

from __future__ import annotations

import re
from collections.abc import Callable
from pathlib import Path

import numpy as np

from kuffin.core.base.errors import LogError, OpenReading
from kuffin.logs.encoding import open_text
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
        found = _frame_log(Path(path))
        if found is None:
            raise error from None
        return found


def _frame_log(path: Path) -> LogTable | None:
    """A log with a column of frame times and no clock, None where it is not one."""
    with open_text(path) as log:
        encoding = log.encoding
        lines = [line for line in log.whole().decode("utf-8", "replace").splitlines() if line.strip()]
    head = next((i for i, line in enumerate(lines[:20]) if "frame" in line.lower() and "time" in line.lower()), None)
    if head is None:
        return None
    delimiter = next((d for d in (";", "\t", ",") if d in lines[head]), ",")
    names = [n.strip().strip('"') for n in lines[head].split(delimiter)]
    column = next((i for i, n in enumerate(names) if "frametime" in re.sub(r"[^a-z]", "", n.lower())), None)
    if column is None:
        return None
    values, dropped = [], 0
    for line in lines[head + 1 :]:
        cells = line.split(delimiter)
        match = _NUMBER.fullmatch(cells[column].strip().strip('"')) if column < len(cells) else None
        if match is None:
            dropped += 1
            continue
        values.append(float(match.group().replace(",", ".")))
    if len(values) < 2:
        return None
    frame = np.array(values)
    in_ms = not re.search(r"[\[(]\s*s\s*[\])]", names[column])
    seconds = frame / 1000 if in_ms else frame
    times = np.concatenate(([0.0], np.cumsum(seconds)[:-1]))
    name = re.sub(r"\s*[\[(].*?[\])]", "", names[column])
    unit = "ms" if in_ms else "s"
    channel = LogChannel(name=name, unit=unit, quantity="time", role=None, values=frame, written_unit=unit)
    warnings = [f"{dropped} lines held no frame time and were left out"] if dropped else []
    return LogTable(
        file=path.name,
        encoding=encoding,
        delimiter=delimiter,
        decimal=".",
        times=times,
        start=None,
        channels=[channel],
        dropped_rows=dropped,
        warnings=warnings,
    )
