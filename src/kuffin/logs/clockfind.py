"""Which column, or pair of columns, of a log is its clock."""

from __future__ import annotations

import re
from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from kuffin.core.base.units import parse_unit
from kuffin.logs.clock import ParsedClock, clock_kind
from kuffin.logs.header import ColumnName
from kuffin.logs.values import parse_number

_TIMEISH = re.compile(
    r"(?i)^(?:.*\b|_*)(time|times|timestamp|elapsed|epoch|unix|seconds|secs?|millis|milliseconds|minutes|hours|uptime|runtime|duration|"
    r"zeit|uhrzeit|laufzeit|dauer|datum|date|temps|heure|tiempo|hora|tempo|t)(?:\b|_|$)"
)
_COUNTER = re.compile(
    r"(?i)^\W*(no|nr|num|number|index|idx|samples?|rows?|n|records?|count|counter|scan|id|points?|lines?|seq|sequence|frame|step|i|#)\W*$|^#$"
)
_SUFFIX = {
    "ms": 1e-3,
    "millis": 1e-3,
    "milliseconds": 1e-3,
    "us": 1e-6,
    "min": 60.0,
    "mins": 60.0,
    "minutes": 60.0,
    "h": 3600.0,
    "hours": 3600.0,
    "s": 1.0,
    "sec": 1.0,
    "secs": 1.0,
    "seconds": 1.0,
}
_UNIX = ((1e9, 1.0), (1e12, 1e-3), (1e15, 1e-6), (1e18, 1e-9))


def is_timeish(name: str) -> bool:
    """Whether a column's name speaks of time."""
    return _TIMEISH.match(name) is not None


@dataclass(frozen=True, kw_only=True)
class ClockChoice:
    """The clock: its kind, its columns, all columns that hold time, and the seconds in one unit of it."""

    kind: str  # datetime, date+time, unix, spreadsheet, time, elapsed
    columns: tuple[int, ...]
    time_columns: frozenset[int]
    scale: float = 1.0
    unit_known: bool = True

    @property
    def text(self) -> bool:
        """Whether the clock is written as a date or a time of day, not as a number."""
        return self.kind in {"datetime", "date+time", "time"}


def find_clock(names: Sequence[ColumnName], rows: Sequence[Sequence[str]], decimal: str) -> ClockChoice | None:
    """Choose the clock from the header and the first rows; None where there is no clock.

    A calendar clock is preferred to a time of day, that to elapsed seconds. A row counter is no clock.
    """
    columns = list(zip(*rows[:160], strict=False))
    kinds = {j: clock_kind(cells) for j, cells in enumerate(columns)}
    numbers = {
        j: np.array([parse_number(c, decimal)[0] for c in cells])
        for j, cells in enumerate(columns)
        if kinds[j] in {None, "date8"}
    }
    elapsed: dict[int, tuple[str, float]] = {}
    for j, values in numbers.items():
        found = _numeric_clock(names[j], values)
        if found:
            elapsed[j] = found
    text_columns = {j for j, k in kinds.items() if k in {"datetime", "date", "time"}}
    everything = frozenset(text_columns | {j for j in elapsed if j in elapsed})

    def first(*wanted: str) -> int | None:
        return next((j for j in sorted(kinds) if kinds[j] in wanted), None)

    whole = first("datetime")
    if whole is not None:
        return ClockChoice(kind="datetime", columns=(whole,), time_columns=everything)
    time_of_day = first("time")
    date = first("date")
    if date is None:
        date = next((j for j, k in kinds.items() if k == "date8" and re.search(r"(?i)dat", names[j].name)), None)
    if date is not None and time_of_day is not None:
        return ClockChoice(kind="date+time", columns=(date, time_of_day), time_columns=everything | {date})
    for wanted in ("unix", "spreadsheet"):
        for j, (kind, scale) in sorted(elapsed.items()):
            if kind == wanted:
                return ClockChoice(kind=kind, columns=(j,), time_columns=everything, scale=scale)
    if time_of_day is not None:
        return ClockChoice(kind="time", columns=(time_of_day,), time_columns=everything)
    if elapsed:
        j = min(elapsed, key=lambda k: (not _TIMEISH.match(names[k].name), k))
        scale = elapsed[j][1]
        return ClockChoice(
            kind="elapsed", columns=(j,), time_columns=everything, scale=abs(scale), unit_known=scale > 0
        )
    return None


def _numeric_clock(column: ColumnName, values: NDArray[np.float64]) -> tuple[str, float] | None:
    finite = values[np.isfinite(values)]
    if finite.size < 0.9 * values.size or finite.size < 2 or _COUNTER.match(column.name):
        return None
    steps = np.diff(finite)
    rising = float(np.mean(steps >= 0))
    if rising < 0.85 or np.median(steps) < 0 or not np.any(steps > 0):
        return None
    unit = parse_unit(column.unit) if column.unit else None
    if column.unit and (unit is None or unit.quantity != "time"):
        return None
    typical = float(np.median(finite))
    for size, scale in _UNIX:
        if 0.9 * size < typical < 2.6 * size:
            return "unix", scale
    timeish = _TIMEISH.match(column.name) is not None
    if timeish and unit is None and 30000 < typical < 80000 and 0 < np.median(steps) < 0.5:
        return "spreadsheet", 86400.0
    # a clock moves on: nearly every step is a rise of much the same size
    moves = steps[steps != 0]
    steady = (
        float(np.mean(steps > 0)) > 0.5
        and moves.size > 0
        and float(np.median(np.abs(moves - np.median(moves)))) < 0.6 * abs(float(np.median(moves)))
    )
    if not steady:
        return None
    if unit is not None:
        return "elapsed", unit.scale
    if timeish:
        tail = re.split(r"[^a-z]+", column.name.lower())
        return "elapsed", next((_SUFFIX[w] for w in reversed(tail) if w in _SUFFIX), -1.0)  # below 0: nothing names it
    return None


def numbered_clock(choice: ClockChoice, values: NDArray[np.float64]) -> ParsedClock:
    """The times of a clock that is a column of numbers."""
    with np.errstate(over="ignore"):  # endless times are none
        seconds = values if choice.scale == 1.0 else values * choice.scale
    if choice.kind == "unix":
        return ParsedClock(seconds=seconds, wall=seconds)
    if choice.kind == "spreadsheet":
        wall = np.round((seconds - 25569 * 86400.0) * 1000) / 1000
        return ParsedClock(seconds=wall, wall=wall)
    return ParsedClock(seconds=seconds, wall=None)
