"""Days in words, the same in every place and whatever the desktop's language."""

from __future__ import annotations

import datetime as dt

_MONTHS = (
    "January",
    "February",
    "March",
    "April",
    "May",
    "June",
    "July",
    "August",
    "September",
    "October",
    "November",
    "December",
)


def day_words(at: dt.date) -> str:
    """A day.

    >>> day_words(dt.datetime(2026, 3, 3, 9, 30))
    '3 March 2026'
    """
    return f"{short_day(at)} {at.year}"


def short_day(at: dt.date) -> str:
    """A day of a year that is known.

    >>> short_day(dt.date(2026, 12, 1))
    '1 December'
    """
    return f"{at.day} {_MONTHS[at.month - 1]}"
