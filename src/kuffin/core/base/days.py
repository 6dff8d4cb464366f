"""Days in words, the same in every place and whatever the desktop's language; in the window's own."""

from __future__ import annotations

import datetime as dt

from kuffin.core.base.language import mark, tr

_MONTHS = (
    mark("January"),
    mark("February"),
    mark("March"),
    mark("April"),
    mark("May"),
    mark("June"),
    mark("July"),
    mark("August"),
    mark("September"),
    mark("October"),
    mark("November"),
    mark("December"),
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
    return tr("{day} {month}", day=at.day, month=tr(_MONTHS[at.month - 1]))
