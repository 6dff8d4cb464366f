"""When a mount that was left in place is to be tested again, and which of those times is due."""

from __future__ import annotations

import datetime as dt
from collections.abc import Sequence
from dataclasses import dataclass

from kuffin.core.base.errors import BenchError

USUAL_DAYS = (1.0, 7.0, 30.0, 90.0, 180.0)
_MOST_DAYS = 3660.0
_EARLY = 0.8


@dataclass(frozen=True, kw_only=True)
class Rechecks:
    """What a study plans.

    Attributes
    ----------
    days : tuple of float
        After the first reading, in order.
    rest_h : float
        How long a mount rests before its first reading, as pastes ask for it.
    mounts : tuple of int
        The ids of the mounts that stay in place.
    """

    days: tuple[float, ...] = ()
    rest_h: float = 0.0
    mounts: tuple[int, ...] = ()


def days_written(text: str) -> tuple[float, ...]:
    """Days as one writes them: ``1, 7, 30``, with w for weeks and m for months of 30 days.

    Raises
    ------
    BenchError
        Where something is no time, or comes twice.

    >>> days_written("1, 1w, 3 m")
    (1.0, 7.0, 90.0)
    """
    out = []
    for piece in (p.strip().casefold() for p in text.replace(";", ",").split(",")):
        if not piece:
            continue
        number, factor = piece, 1.0
        for word, times in (("days", 1.0), ("day", 1.0), ("d", 1.0), ("weeks", 7.0), ("week", 7.0), ("w", 7.0), ("months", 30.0), ("month", 30.0), ("m", 30.0)):  # fmt: skip
            if piece.endswith(word):
                number, factor = piece[: -len(word)].strip(), times
                break
        try:
            days = float(number) * factor
        except ValueError:
            raise BenchError("“{piece}” is no time; write days, such as 1, 7, 30, or 2 w, 3 m", piece=piece) from None
        if not 0.5 <= days <= _MOST_DAYS:
            raise BenchError("“{piece}” is outside half a day to ten years", piece=piece)
        out.append(days)
    if len(set(out)) < len(out):
        raise BenchError("a time comes twice")
    return tuple(sorted(out))


def next_due(
    first: dt.datetime, done: Sequence[dt.datetime], days: Sequence[float]
) -> tuple[float, dt.datetime] | None:
    """The next planned recheck, in days and as a moment; None where all are done.

    One that was done counts for a planned time of which four fifths had passed; what lies before it is past.

    >>> first = dt.datetime(2026, 3, 1, 10)
    >>> next_due(first, [], (1.0, 7.0))
    (1.0, datetime.datetime(2026, 3, 2, 10, 0))
    >>> next_due(first, [dt.datetime(2026, 3, 2, 15)], (1.0, 7.0))
    (7.0, datetime.datetime(2026, 3, 8, 10, 0))
    """
    past = 0.0
    for moment in done:
        since = (moment - first).total_seconds() / 86400
        past = max([past, *(d for d in days if since >= _EARLY * d)])
    left = [d for d in sorted(days) if d > past]
    return (left[0], first + dt.timedelta(days=left[0])) if left else None
