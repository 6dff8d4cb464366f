"""Clocks of many kinds: calendar time, time of day, elapsed time, Unix time."""

from __future__ import annotations

import datetime as dt
import math
import re
import warnings
from collections.abc import Sequence
from dataclasses import dataclass, field

import numpy as np
from numpy.typing import NDArray

DAY = 86400.0
_MONTHS = {
    m: i for i, m in enumerate(["jan", "feb", "mar", "apr", "may", "jun", "jul", "aug", "sep", "oct", "nov", "dec"], 1)
}
_MONTHS |= {"mär": 3, "mai": 5, "okt": 10, "dez": 12, "mrz": 3, "ene": 1, "fév": 2, "avr": 4, "aoû": 8, "déc": 12}

_DATE = r"""(?:[A-Za-z]{2,9}\.?,?\s+)?(?:
    (?P<y1>\d{4})[-/.](?P<m1>\d{1,2})[-/.](?P<d1>\d{1,2})
  | (?P<a>\d{1,2})(?P<sep>[-/.])(?P<b>\d{1,2})(?P=sep)(?P<y2>\d{4}|\d{2})
  | (?P<d3>\d{1,2})[-/.\s]+(?P<mon3>[^\W\d_]{3,9})\.?[-/.,\s]+(?P<y3>\d{4}|\d{2})
  | (?P<mon4>[^\W\d_]{3,9})\.?\s+(?P<d4>\d{1,2}),?\s+(?P<y4>\d{4})
  | (?P<y5>(?:19|20)\d{2})(?P<m5>[01]\d)(?P<d5>[0-3]\d)
)"""
_TIME = r"""(?:
    (?:(?P<days>\d+)\s*(?:d|days?)[,\s]+)?
    (?P<H>\d{1,4}):(?P<M>\d{2})(?::(?P<S>\d{2})(?:[.,:](?P<f>\d{1,9}))?|\.(?P<f2>\d{1,9}))?
  | (?P<H6>[0-2]\d)(?P<M6>[0-5]\d)(?P<S6>[0-5]\d)(?:[.,](?P<f6>\d{1,9}))?
  | (?P<Hh>\d{1,3})\s*h\s*(?P<Mh>\d{1,2})\s*(?:m|min)\s*(?P<Sh>\d{1,2})(?:[.,](?P<fh>\d+))?\s*s
)\s*(?P<ap>[AaPp]\.?[Mm]\.?)?"""
_OFFSET = r"\s*(?P<off>[Zz]|UTC|GMT|[+-]\d{2}:?\d{2})?(?:\s*\[[\w/+-]+\])?(?:\s+[A-Z]{3,5})?"
_FULL = re.compile(rf"^\s*{_DATE}[T\s,_;-]+{_TIME}{_OFFSET}\s*$", re.VERBOSE)
_CTIME = re.compile(
    r"^\s*[A-Za-z]{3}\s+(?P<mon4>[A-Za-z]{3})\s+(?P<d4>\d{1,2})\s+(?P<H>\d{1,2}):(?P<M>\d{2}):(?P<S>\d{2})\s+(?P<y4>\d{4})\s*$"
)
_DATE_ONLY = re.compile(rf"^\s*{_DATE}\s*$", re.VERBOSE)
_TIME_ONLY = re.compile(rf"^\s*T?{_TIME}{_OFFSET}\s*$", re.VERBOSE)
_ISO = re.compile(r"^\d{4}-\d{2}-\d{2}[T ]\d{2}:\d{2}:\d{2}(?:\.\d{1,6})?$")


@dataclass
class ParsedClock:
    """Times of rows.

    Attributes
    ----------
    seconds : ndarray, shape (n,)
        Seconds on one running scale (UTC where offsets are given); NaN where a cell could not be read.
    wall : ndarray, shape (n,)
        Seconds since 1970 as written on the wall, NaN without a calendar.
    calendar : bool
        Whether the clock knows the date.
    month_first : bool or None
        How the date was read where the cells leave it open; None where they do not.
    """

    seconds: NDArray[np.float64]
    wall: NDArray[np.float64]
    calendar: bool
    warnings: list[str] = field(default_factory=list)
    month_first: bool | None = None

    def wall_text(self, row: int) -> str | None:
        """The wall clock of a row as ISO text to the second, None without a calendar."""
        if not self.calendar or not math.isfinite(self.wall[row]):
            return None
        when = dt.datetime(1970, 1, 1) + dt.timedelta(seconds=math.floor(self.wall[row] + 1e-6))
        return when.isoformat(timespec="seconds")


def clock_kind(cells: Sequence[str]) -> str | None:
    """What clock the written cells of a column are: 'datetime', 'date', 'time', or None for none of them."""
    cells = [c for c in cells if c.strip()]
    if not cells:
        return None
    for kind, patterns in (("datetime", (_FULL, _CTIME)), ("date", (_DATE_ONLY,)), ("time", (_TIME_ONLY,))):
        hits = sum(any(p.match(c) for p in patterns) for c in cells)
        if hits >= 0.8 * len(cells):
            if kind == "date" and all(re.fullmatch(r"\d{8}", c.strip()) for c in cells):
                return "date8"
            if kind == "time" and not any(re.search(r"[:hd]", c) for c in cells):
                return None
            return kind
    return None


def parse_calendar(cells: Sequence[str], month_first: bool | None = None) -> ParsedClock:
    """Read cells that hold date and time of day.

    Parameters
    ----------
    cells : sequence of str
    month_first : bool, optional
        Which way round ``03/04/2026`` goes where the cells leave it open.
    """
    n = len(cells)
    if n and all(_ISO.match(c) for c in (cells[0], cells[n // 2], cells[-1])):
        try:
            with warnings.catch_warnings():
                warnings.simplefilter("error")  # a zone in some cell: the careful way below knows what to do
                stamps = np.array(cells, dtype="U26").astype("datetime64[us]")
            if len({len(c) for c in cells}) <= 7:
                wall = stamps.astype(np.int64) / 1e6
                return ParsedClock(wall, wall.copy(), True)
        except (ValueError, UserWarning):
            pass
    matches = [_FULL.match(c) or _CTIME.match(c) for c in cells]
    order, notes = _day_month_order(matches, month_first)
    seconds = np.full(n, np.nan)
    wall = np.full(n, np.nan)
    days: dict[tuple[str | None, ...], float] = {}
    for i, match in enumerate(matches):
        if match is None:
            continue
        g = match.groupdict()
        day = _day(g, order, days)
        if day is None:
            continue
        time_s = _time_s(g)
        if time_s is None:
            continue
        wall[i] = day + time_s
        seconds[i] = wall[i] - _offset_s(g.get("off"))
    return ParsedClock(seconds, wall, True, notes, (order == "md") if notes else None)


def parse_time_of_day(cells: Sequence[str], minutes_first: bool = False) -> ParsedClock:
    """Read cells that hold a time without a date: of day, or elapsed.

    Two parts are minutes and seconds (``12:28.3``) where `minutes_first`, else hours and minutes.
    """
    seconds = np.full(len(cells), np.nan)
    for i, cell in enumerate(cells):
        match = _TIME_ONLY.match(cell)
        if match is not None:
            value = _time_s(match.groupdict(), minutes_first)
            if value is not None:
                seconds[i] = value
    return ParsedClock(seconds, np.full(len(cells), np.nan), False)


def looks_like_minutes(cells: Sequence[str]) -> bool:
    """Whether two-part times are minutes and seconds: the last part moves from row to row, or has a fraction."""
    parts = [c.strip().split(":") for c in cells if ":" in c]
    if not parts or any(len(p) != 2 for p in parts):
        return False
    if any("." in p[1] or "," in p[1] for p in parts):
        return True
    first = [p[0] for p in parts]
    return len(set(first)) < 0.5 * len(parts) or any(int(p[0]) > 23 for p in parts if p[0].isdigit())


def running(seconds: NDArray[np.float64], *, calendar: bool, offsets: bool) -> tuple[NDArray[np.float64], list[str]]:
    """Make a clock run on over midnight, the end of summer time, and a logger's restart.

    Parameters
    ----------
    seconds : ndarray, shape (n,)
        Times in the order of the rows, all finite.
    calendar, offsets : bool
        Whether the clock knows the date, and whether each time carries its offset from UTC.

    Returns
    -------
    seconds : ndarray, shape (n,)
        Running times, still in the order of the rows (small swaps are left for sorting).
    notes : list of str
        What was done, for the person.
    """
    t = seconds.copy()
    notes: list[str] = []
    if t.size < 2:
        return t, notes
    if not calendar:
        shift, days = np.zeros(t.size), 0.0
        step = np.diff(t)
        for i in np.flatnonzero(np.abs(step) > DAY / 2):
            if step[i] < 0:
                days += 1.0
            elif days > 0:
                days -= 1.0  # a row swapped with its neighbour over midnight
            else:
                continue
            shift[i + 1 :] = days * DAY
        if days:
            notes.append("the clock passes midnight: time runs on")
        t += shift
    if not offsets:
        step = np.diff(t)
        for i in np.flatnonzero((step < -3000.0) & (step > -3720.0)):
            after = t[i + 1 : i + 6]
            if np.all(after - t[i] < -2400.0):  # it stays an hour back, so it is no swapped row
                t[i + 1 :] += 3600.0
                notes.append("the clock goes back an hour (end of summer time): time runs on")
    return t, notes


def _day_month_order(matches: Sequence[re.Match[str] | None], month_first: bool | None) -> tuple[str, list[str]]:
    pairs = {(int(m["a"]), int(m["b"]), m["sep"]) for m in matches if m is not None and "a" in m.groupdict() and m["a"]}
    if not pairs:
        return "dm", []
    if any(a > 12 for a, _, _ in pairs):
        return "dm", []
    if any(b > 12 for _, b, _ in pairs):
        return "md", []
    firsts, seconds = {a for a, _, _ in pairs}, {b for _, b, _ in pairs}
    if len(firsts) > 1 and len(seconds) == 1:
        return "dm", []
    if len(seconds) > 1 and len(firsts) == 1:
        return "md", []
    if next(iter(pairs))[2] == ".":
        return "dm", []
    half_day = any(m is not None and m.groupdict().get("ap") for m in matches)
    order = "md" if month_first or (month_first is None and half_day) else "dm"
    a, b, sep = next(iter(pairs))
    which = "month" if order == "md" else "day"
    return order, [f"the date {a:02d}{sep}{b:02d} was read with the {which} first; the file does not say which"]


def _day(g: dict[str, str | None], order: str, known: dict[tuple[str | None, ...], float]) -> float | None:
    key = tuple(
        g.get(k) for k in ("y1", "m1", "d1", "a", "b", "y2", "d3", "mon3", "y3", "mon4", "d4", "y4", "y5", "m5", "d5")
    )
    if key in known:
        return known[key]
    if g.get("y1"):
        parts = (g["y1"], g["m1"], g["d1"])
    elif g.get("y2"):
        parts = (g["y2"], g["b"], g["a"]) if order == "dm" else (g["y2"], g["a"], g["b"])
    elif g.get("y5"):
        parts = (g["y5"], g["m5"], g["d5"])
    else:
        which = "3" if g.get("y3") else "4"
        month = _MONTHS.get((g.get("mon" + which) or "")[:3].lower())
        if month is None:
            return None
        parts = (g["y" + which], str(month), g["d" + which])
    year, month_n, day_n = (int(p or 0) for p in parts)
    if year < 100:
        year += 2000 if year < 70 else 1900
    try:
        day = (dt.date(year, month_n, day_n) - dt.date(1970, 1, 1)).days * DAY
    except ValueError:
        return None
    known[key] = day
    return day


def _time_s(g: dict[str, str | None], minutes_first: bool = False) -> float | None:
    if g.get("H") is not None:
        h, m, s = int(g["H"] or 0), int(g["M"] or 0), g.get("S")
        fraction = g.get("f") or g.get("f2")
        if s is None and (minutes_first or g.get("f2")):
            value = h * 60.0 + m
        else:
            value = h * 3600.0 + m * 60.0 + (int(s) if s else 0)
        if m > 59 or (s and int(s) > 60):
            return None
        value += int(g.get("days") or 0) * DAY
    elif g.get("H6") is not None:
        value = int(g["H6"] or 0) * 3600.0 + int(g["M6"] or 0) * 60.0 + int(g["S6"] or 0)
        fraction = g.get("f6")
    elif g.get("Hh") is not None:
        value = int(g["Hh"] or 0) * 3600.0 + int(g["Mh"] or 0) * 60.0 + int(g["Sh"] or 0)
        fraction = g.get("fh")
    else:
        return None
    if fraction:
        value += int(fraction) / 10 ** len(fraction)
    half = (g.get("ap") or "").replace(".", "").lower()
    if half:
        hour = int(g.get("H") or 0)
        if hour > 12 or hour < 1:
            return value if half == "pm" or hour == 0 else None
        value += 12 * 3600.0 if half == "pm" and hour != 12 else -12 * 3600.0 if half == "am" and hour == 12 else 0.0
    return value


def _offset_s(text: str | None) -> float:
    if not text or text.upper() in {"Z", "UTC", "GMT"}:
        return 0.0
    digits = text[1:].replace(":", "")
    value = int(digits[:2]) * 3600.0 + int(digits[2:]) * 60.0
    return -value if text[0] == "-" else value


def has_offsets(cells: Sequence[str]) -> bool:
    """Whether the written times carry their offset from UTC."""
    return any((m := _FULL.match(c)) is not None and m["off"] is not None for c in cells[:50])
