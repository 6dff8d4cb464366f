"""A clock's cells read block by block: those of one shape, where only the digits differ, are read together."""

from __future__ import annotations

import re
import unicodedata
from collections.abc import Iterator, Sequence

import numpy as np
from numpy.typing import NDArray

from kuffin.logs.clock import (
    BY_ITS_FILE,
    BY_TODAY,
    CTIME,
    DAY,
    FULL,
    LONGEST_CLOCK,
    TIME_ONLY,
    DateHints,
    DateParts,
    ParsedClock,
    date_order,
    day_s,
    looks_like_minutes,
)
from kuffin.logs.growing import Growing

Array = NDArray[np.float64]
_MOST_SHAPES = 60  # in a block; beyond that each row is read by itself
_NOUGHT, _NINE = ord("0"), ord("9")
_DATE_NUMBERS = ("y1", "m1", "d1", "a", "b", "y2", "d3", "y3", "d4", "y4", "y5", "m5", "d5")
_DATE_WORDS = ("sep", "mon3", "mon4")
_TRIED = 20  # of the cells of one shape, until one is a moment: 20261732 is of the shape of a date and is none


class ClockCells:
    """The written cells of a clock.

    Parameters
    ----------
    dated : bool
        Whether each cell holds a date too.
    column : str
        The clock's name, and
    unit : str or None
        its unit as written: both say what two parts (``12:28``) are.
    """

    def __init__(self, dated: bool, column: str = "", unit: str | None = None) -> None:
        self._dated, self._column, self._unit = dated, column, (unit or "").lower().replace(" ", "")
        self._minutes: bool | None = None
        self._dates: dict[tuple[str | None, ...], int] = {}
        self._codes = Growing(np.int32)  # each row's date, -1: none
        self._times = Growing(np.float64)
        self._offsets = Growing(np.float32)
        self._offset_seen = self._half_day = False

    def expect(self, rows: int) -> None:
        """Make room for so many rows altogether."""
        for held in (self._times, self._codes, self._offsets):
            held.expect(rows)

    def add(self, cells: Sequence[str]) -> NDArray[np.bool_]:
        """Read some more cells; returns which hold a moment."""
        if self._minutes is None:
            self._minutes = self._unit in {"mm:ss", "m:s", "min:s", "min:sec"} or (
                self._unit != "hh:mm" and not self._dated and looks_like_minutes(cells[:400], self._column)
            )
        n = len(cells)
        times, codes, offsets = np.full(n, np.nan), np.full(n, -1, np.int32), np.zeros(n, np.float32)
        for rows, match, digits in _shapes([_plain(c) for c in cells], self._dated):
            fields = _Fields(match, digits)
            times[rows] = fields.seconds(self._minutes)
            if self._dated:
                codes[rows] = self._date_codes(fields)
            if fields.text("off"):
                offsets[rows] = fields.offset_s()
                self._offset_seen = True
            self._half_day = self._half_day or bool(fields.text("ap"))
        self._times.add(times)
        self._codes.add(codes)
        self._offsets.add(offsets)
        return np.asarray(np.isfinite(times), dtype=bool)

    def _date_codes(self, fields: _Fields) -> NDArray[np.int32]:
        names = [n for n in _DATE_NUMBERS if fields.text(n)]
        words = {n: fields.text(n) for n in _DATE_WORDS}
        packed = np.zeros(fields.rows, np.int64)
        for name in names:
            packed = packed * 10 ** fields.width(name) + fields.number(name).astype(np.int64)
        found, inverse = np.unique(packed, return_inverse=True)
        codes = []
        for value in found.tolist():
            parts: dict[str, str | None] = dict(words)
            for name in reversed(names):
                value, rest = divmod(value, 10 ** fields.width(name))
                parts[name] = f"{rest:0{fields.width(name)}d}"
            key = tuple(parts.get(n) for n in (*_DATE_NUMBERS, *_DATE_WORDS))
            codes.append(self._dates.setdefault(key, len(self._dates)))
        return np.array(codes, np.int32)[inverse]

    @property
    def has_offsets(self) -> bool:
        """Whether times carry their offset from UTC."""
        return self._offset_seen

    def finish(self, hints: DateHints | None = None) -> ParsedClock:
        """The moments of all cells.

        Parameters
        ----------
        hints : DateHints, optional
            Which way round ``03/04/26`` goes where the cells leave it open.
        """
        seconds, codes, offsets = self._times.taken(), self._codes.taken(), self._offsets.taken()
        if not self._dated:
            return ParsedClock(seconds=seconds, wall=None)
        dates: list[DateParts] = [dict(zip((*_DATE_NUMBERS, *_DATE_WORDS), key, strict=True)) for key in self._dates]
        order, open_orders, notes = date_order(dates, self._half_day, hints or DateHints())
        days = [day_s(d, order) for d in dates]
        of_code = np.array([*[np.nan if d is None else d for d in days], np.nan])
        seconds += of_code[codes]
        wall = seconds
        if self._offset_seen:
            seconds = wall - offsets
        told = hints is not None and hints.order in open_orders
        unsettled = (
            "ymd" in open_orders and not told and not any(by in n for n in notes for by in (BY_ITS_FILE, BY_TODAY))
        )
        return ParsedClock(
            seconds=seconds,
            wall=wall,
            warnings=notes,
            order=order if open_orders else None,
            open_orders=open_orders,
            unsettled=unsettled,
        )


def _plain(cell: str) -> str:
    if len(cell) > LONGEST_CLOCK:
        return ""
    return cell if cell.isascii() else "".join(str(unicodedata.decimal(sign, sign)) for sign in cell)


def _shapes(cells: Sequence[str], dated: bool) -> Iterator[tuple[NDArray[np.int64], re.Match[str], NDArray[np.uint32]]]:
    """Rows of one shape, what the pattern makes of the first of them, and the signs of all of them; others are no moments."""
    text = np.array(cells, dtype=str)
    if not text.size or not text.dtype.itemsize:
        return
    signs = text.view(np.uint32).reshape(len(cells), -1)
    shape = np.where((signs >= _NOUGHT) & (signs <= _NINE), _NOUGHT, signs)
    left = np.arange(len(cells))
    for _ in range(_MOST_SHAPES):
        if not left.size:
            return
        same = (shape[left] == shape[left[0]]).all(axis=1)
        rows, left = left[same], left[~same]
        tried = (_match(str(text[row]), dated) for row in rows[:_TRIED])
        if (match := next((m for m in tried if m is not None), None)) is not None:
            yield rows, match, signs[rows]
    for row in left:
        if (match := _match(str(text[row]), dated)) is not None:
            yield np.array([row]), match, signs[[row]]


def _match(cell: str, dated: bool) -> re.Match[str] | None:
    return FULL.match(cell) or CTIME.match(cell) if dated else TIME_ONLY.match(cell)


class _Fields:
    """The groups of a pattern for rows of one shape."""

    def __init__(self, match: re.Match[str], signs: NDArray[np.uint32]) -> None:
        self._match, self._signs = match, signs
        self._groups = match.groupdict()
        self.rows = int(signs.shape[0])

    def text(self, name: str) -> str | None:
        """As the first row has it."""
        return self._groups.get(name)

    def width(self, name: str) -> int:
        start, end = self._match.span(name)
        return end - start

    def number(self, name: str, start: int = 0, end: int | None = None) -> Array:
        """A group of digits, or some of its signs, of each row."""
        if not self._groups.get(name):
            return np.zeros(self.rows)
        first, last = self._match.span(name)
        digits = self._signs[:, first + start : last if end is None else first + end].astype(np.float64) - _NOUGHT
        return np.asarray(digits @ 10.0 ** np.arange(digits.shape[1] - 1, -1, -1))

    def seconds(self, minutes_first: bool) -> Array:
        """The time of day, or what has elapsed; NaN where there is no such time."""
        fraction = next((f for f in ("f", "f2", "f6", "fh") if self.text(f)), None)
        if self.text("H"):
            h, m, s = self.number("H"), self.number("M"), self.number("S")
            short = not self.text("S") and (minutes_first or bool(self.text("f2")))
            value = 60 * h + m if short else 3600 * h + 60 * m + s
            value = np.where((m > 59) | (s > 60), np.nan, value) + DAY * self.number("days")
        else:
            h, m, s = (
                (self.number("H6"), self.number("M6"), self.number("S6"))
                if self.text("H6")
                else (self.number("Hh"), self.number("Mh"), self.number("Sh"))
            )
            value = 3600 * h + 60 * m + s
            if self.text("H6"):
                value = np.where((h > 29) | (m > 59) | (s > 59), np.nan, value)
        if fraction:
            value = value + self.number(fraction) / 10 ** self.width(fraction)
        half = (self.text("ap") or "").replace(".", "").lower()
        if half:
            # 13:05 PM is what it says; 13:05 AM is no time
            odd = (h > 12) | (h < 1)
            noon = 12 * 3600.0 * ((h != 12) if half == "pm" else -(h == 12).astype(float))
            value = np.where(odd, np.where((half == "pm") | (h == 0), value, np.nan), value + noon)
        return value

    def offset_s(self) -> Array:
        """What a written offset from UTC is in seconds."""
        text = self.text("off") or ""
        if text.upper() in {"Z", "UTC", "GMT"}:
            return np.zeros(self.rows)
        value = self.number("off", 1, 3) * 3600 + self.number("off", len(text) - 2) * 60
        return -value if text[0] == "-" else value
