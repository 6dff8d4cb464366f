"""Clocks of many kinds: calendar time, time of day, elapsed time, Unix time."""

from __future__ import annotations

import datetime as dt
import math
import re
from collections.abc import Iterable, Mapping, Sequence
from dataclasses import dataclass, field
from itertools import pairwise

import numpy as np
from numpy.typing import NDArray

from kuffin.core.base.saying import say

DAY = 86400.0
DateParts = Mapping[str, str | None]
LONGEST_CLOCK = 100  # signs of a cell that holds a time
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
FULL = re.compile(rf"^\s*{_DATE}[T\s,_;-]+{_TIME}{_OFFSET}\s*$", re.VERBOSE)
CTIME = re.compile(
    r"^\s*[A-Za-z]{3}\s+(?P<mon4>[A-Za-z]{3})\s+(?P<d4>\d{1,2})\s+(?P<H>\d{1,2}):(?P<M>\d{2}):(?P<S>\d{2})\s+(?P<y4>\d{4})\s*$"
)
_DATE_ONLY = re.compile(rf"^\s*{_DATE}\s*$", re.VERBOSE)
TIME_ONLY = re.compile(rf"^\s*T?{_TIME}{_OFFSET}\s*$", re.VERBOSE)


@dataclass(kw_only=True)
class ParsedClock:
    """Times of rows.

    Attributes
    ----------
    seconds : ndarray, shape (n,)
        Seconds on one running scale (UTC where offsets are given); NaN where a cell could not be read.
    wall : ndarray, shape (n,), or None
        Seconds since 1970 as written on the wall, None without a calendar.
    order : str or None
        How the date was read (dm, md, ymd) where the cells leave it open; None where they do not.
    open_orders : tuple of str
        The orders that they leave open.
    unsettled : bool
        Whether day and year could be each other, and nothing says which: then a person has to.
    """

    seconds: NDArray[np.float64]
    wall: NDArray[np.float64] | None
    warnings: list[str] = field(default_factory=list)
    order: str | None = None
    open_orders: tuple[str, ...] = ()
    unsettled: bool = False

    @property
    def calendar(self) -> bool:
        """Whether the clock knows the date."""
        return self.wall is not None

    def wall_text(self, row: int) -> str | None:
        """The wall clock of a row as ISO text to the second, None without a calendar."""
        if self.wall is None or not math.isfinite(self.wall[row]):
            return None
        try:
            when = dt.datetime(1970, 1, 1) + dt.timedelta(seconds=math.floor(self.wall[row] + 1e-6))
        except OverflowError:
            return None
        return when.isoformat(timespec="seconds")


def clock_kind(cells: Sequence[str]) -> str | None:
    """What clock the written cells of a column are: 'datetime', 'date', 'time', or None for none of them."""
    cells = [c for c in cells if c.strip()]
    if not cells or max(map(len, cells)) > LONGEST_CLOCK:
        return None
    for kind, patterns in (("datetime", (FULL, CTIME)), ("date", (_DATE_ONLY,)), ("time", (TIME_ONLY,))):
        hits = sum(any(p.match(c) for p in patterns) for c in cells)
        if hits >= 0.8 * len(cells):
            if kind == "date" and all(re.fullmatch(r"\d{8}", c.strip()) for c in cells):
                return "date8"
            if kind == "time" and not any(re.search(r"[:hd]", c) for c in cells):
                return None
            return kind
    return None


def looks_like_minutes(cells: Sequence[str], name: str = "") -> bool:
    """Whether two-part times (``12:28``) are minutes and seconds, not hours and minutes.

    A fraction, or minutes past 23, settle it; so does a name that speaks of what has elapsed, or a count from nought.
    Where the last part goes on by one each row, or by less, it is taken for minutes: loggers write each minute so.
    """
    parts = [c.strip().split(":") for c in cells if ":" in c]
    if not parts or any(len(p) != 2 for p in parts):
        return False
    if any("." in p[1] or "," in p[1] for p in parts):
        return True
    if not all(p[0].strip().isdigit() and p[1][:2].isdigit() for p in parts):
        return False
    firsts, lasts = [int(p[0]) for p in parts], [int(p[1][:2]) for p in parts]
    if any(first > 23 for first in firsts):
        return True
    if re.search(r"(?i)elapsed|lauf|run ?time|duration|dauer", name) or (firsts[0] == 0 and lasts[0] <= 5):
        return True
    steps = [b - a for a, b in pairwise(60 * f + s for f, s in zip(firsts, lasts, strict=True))]
    return bool(steps) and float(np.median(steps)) > 1 and len(set(firsts)) < 0.5 * len(parts)


@dataclass(frozen=True)
class DateHints:
    """What else speaks for the order of day, month and year.

    Attributes
    ----------
    order : str or None
        What the person says: ``dm``, ``md`` or ``ymd``.
    us_style : bool
        Whether other columns speak for the month first.
    written_on, read_on : date or None
        When the file was written, and when it is read.
    """

    order: str | None = None
    us_style: bool = False
    written_on: dt.date | None = None
    read_on: dt.date | None = None


BY_ITS_FILE = say(", which the file's own date speaks for")
BY_TODAY = say(", which the present date speaks for")
_ORDERS = {"dm": say("the day first"), "md": say("the month first"), "ymd": say("the year first")}


def date_order(dates: Iterable[DateParts], half_day: bool, hints: DateHints) -> tuple[str, tuple[str, ...], list[str]]:
    """The order of dates such as 03/04/26, all the orders that they leave open, and what is said of it.

    Parameters
    ----------
    dates : iterable of dict
        The parts of each date, by the names of the pattern's groups.
    half_day : bool
        Whether times are written with AM and PM.
    hints : DateHints
    """
    written = {(int(d["a"] or 0), int(d["b"] or 0), d["y2"] or "", d["sep"] or "") for d in dates if d.get("a")}
    if not written:
        return "dm", (), []
    days = {
        order: [day_s({"a": str(a), "b": str(b), "y2": y, "sep": s}, order) for a, b, y, s in written]
        for order in ("dm", "md", "ymd")
        if order != "ymd" or all(len(y) == 2 for _, _, y, _ in written)
    }
    possible = [o for o, found in days.items() if all(d is not None for d in found)]
    if len(possible) < 2:
        return (possible or ["dm"])[0], (), []
    firsts, seconds = {a for a, _, _, _ in written}, {b for _, b, _, _ in written}
    if "ymd" not in possible and len(firsts) != len(seconds) and 1 in {len(firsts), len(seconds)}:
        return ("dm", (), []) if len(firsts) > 1 else ("md", (), [])  # the days run on, the month stays
    a, b, y, sep = min(written)
    order, why = _likeliest(possible, days, sep, half_day, hints)
    if why is None:
        return order, (), []
    said = say(
        "the date {date} was read with {order}{why}; the file does not say which",
        date=f"{a:02d}{sep}{b:02d}{sep}{y}",
        order=_ORDERS[order],
        why=why,
    )
    return order, tuple(possible), [said]


def _likeliest(
    possible: list[str], days: dict[str, list[float | None]], sep: str, half_day: bool, hints: DateHints
) -> tuple[str, str | None]:
    """The order that is taken, and what speaks for it; None: it is certain enough not to be told."""
    if hints.order in possible:
        return str(hints.order), say(", as you say")
    if "ymd" in possible:
        # a log is mostly kept soon after it was recorded, and read within some years; never before
        for when, within, said in ((hints.written_on, 400, BY_ITS_FILE), (hints.read_on, 5 * 366, BY_TODAY)):
            if when is None:
                continue
            then = (when - dt.date(1970, 1, 1)).days * DAY
            late = {o: then - max(d or 0.0 for d in days[o]) for o in possible}
            near = [o for o in possible if -DAY <= late[o] < within * DAY]
            if len(near) == 1:
                return near[0], said
    if sep == "." and "ymd" not in possible:
        return "dm", None
    if "md" in possible and (hints.us_style or half_day):
        return "md", ""
    return "dm" if "dm" in possible else possible[0], ""


def day_s(g: DateParts, order: str) -> float | None:
    """A date in seconds since 1970; None where there is no such day."""
    if g.get("y1"):
        parts = (g["y1"], g["m1"], g["d1"])
    elif g.get("y2"):
        first, second, third = g["a"], g["b"], g["y2"]
        parts = {"md": (third, first, second), "dm": (third, second, first), "ymd": (first, second, third)}[order]
    elif g.get("y5"):
        parts = (g["y5"], g["m5"], g["d5"])
    else:
        which = "3" if g.get("y3") else "4"
        month = _MONTHS.get((g.get("mon" + which) or "")[:3].lower())
        if month is None:
            return None
        parts = (g["y" + which], str(month), g["d" + which])
    year, month_n, day_n = (int(p or 0) for p in parts)
    if g.get("y5") and not 1900 <= year < 2100:
        return None
    if year < 100:
        year += 2000 if year < 70 else 1900
    try:
        return (dt.date(year, month_n, day_n) - dt.date(1970, 1, 1)).days * DAY
    except ValueError:
        return None
