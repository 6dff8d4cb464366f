"""How a second log lies beside a run: by a quantity both show, by the load's step, or by their clocks."""

from __future__ import annotations

import datetime as dt
from collections.abc import Mapping
from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from kuffin.core.base.clocklag import Lag, best_lag
from kuffin.core.base.errors import TraceError
from kuffin.core.base.language import tr
from kuffin.core.compare.pairwords import number
from kuffin.logs.table import LogTable
from kuffin.notebook.samples import RunData

Array = NDArray[np.float64]

_SURE = 0.6
# what of a run shows the load's step, and what of another log may
_OWN = ("power", "die", "coolant_in", "coolant", "coolant_out", "clock", "air_in")
_MOST_PAIRS = 24


@dataclass(frozen=True, kw_only=True)
class Proposal:
    """A lag to be looked at before it is taken.

    Attributes
    ----------
    lag_s : float
    own, other : str
        The channels it was found by; blank where it was not found by any.
    found : Lag or None
    sentence : str
    """

    lag_s: float
    own: str
    other: str
    found: Lag | None
    sentence: str


def propose(data: RunData, started_at: str | None, table: LogTable, roles: Mapping[str, str | None]) -> Proposal:
    """The best lag of a log beside a run.

    Pairs with the same role come first; then what shows the load in the run against each channel of the log. Where no
    pair agrees, the two clocks are taken, if both logs have one.
    """
    best: tuple[float, Lag, str, str] | None = None
    for same, own, other in _pairs(data, table, roles)[:_MOST_PAIRS]:
        channel = next(c for c in table.channels if c.name == other)
        try:
            lag = best_lag(data.times, data.values[own], table.times, channel.values)
        except TraceError:
            continue
        score = -float(np.log(1 - min(max(lag.correlation, 0.0), 0.999999) ** 2)) + (0.7 if same else 0.0)
        if best is None or score > best[0]:
            best = (score, lag, own, other)
    if best is not None and best[1].correlation >= _SURE:
        _, lag, own, other = best
        return Proposal(
            lag_s=lag.seconds, own=own, other=other, found=lag, sentence=_found_words(lag, own, other, data, table)
        )
    clock = by_clocks(started_at, table.start)
    if clock is not None:
        where = _overlap(clock, data, table)
        return Proposal(
            lag_s=clock,
            own="",
            other="",
            found=None,
            sentence=tr(
                "No channel of the two goes with the other; by their clocks the lag is {lag} s{where}.",
                lag=number(clock, 0),
                where=where,
            ),
        )
    return Proposal(
        lag_s=0.0,
        own="",
        other="",
        found=None,
        sentence=tr(
            "Nothing shows how the two lie: no channel goes with the other, and they have no two clocks. Give the lag by hand."
        ),
    )


def at_lag(data: RunData, table: LogTable, own: str, other: str) -> Proposal:
    """The best lag by a pair that a person chose.

    Raises
    ------
    TraceError
        Where the pair tells nothing.
    """
    channel = next(c for c in table.channels if c.name == other)
    lag = best_lag(data.times, data.values[own], table.times, channel.values)
    return Proposal(
        lag_s=lag.seconds, own=own, other=other, found=lag, sentence=_found_words(lag, own, other, data, table)
    )


def by_clocks(started_at: str | None, start: str | None) -> float | None:
    """The lag by the calendar clocks of run and log, None where one has none."""
    try:
        ours, theirs = dt.datetime.fromisoformat(started_at or ""), dt.datetime.fromisoformat(start or "")
    except ValueError:
        return None
    return (theirs.replace(tzinfo=None) - ours.replace(tzinfo=None)).total_seconds()


def _pairs(data: RunData, table: LogTable, roles: Mapping[str, str | None]) -> list[tuple[bool, str, str]]:
    out: list[tuple[bool, str, str]] = []
    for c in table.channels:
        role = roles.get(c.name, c.role)
        if role and role in data.roles:
            out.append((True, data.roles[role], c.name))
    for role in _OWN:
        own = data.roles.get(role)
        if own is not None:
            out += [(False, own, c.name) for c in table.channels if (True, own, c.name) not in out]
    return out


def _overlap(lag_s: float, data: RunData, table: LogTable) -> str:
    begin = max(float(data.times[0]), float(table.times[0]) + lag_s)
    end = min(float(data.times[-1]), float(table.times[-1]) + lag_s)
    if end <= begin:
        return tr(", and then they overlap nowhere: is it the log of this run?")
    return tr("; they overlap for {overlap:.0f} min", overlap=(end - begin) / 60)


def _found_words(lag: Lag, own: str, other: str, data: RunData, table: LogTable) -> str:
    sure = "" if lag.correlation >= _SURE else tr(" That is little: look at the picture before you believe it.")
    return tr(
        "Found by {own} and {other}: {lag} s (± {half} s), correlation {correlation}{overlap}.{sure}",
        own=own,
        other=other,
        lag=number(lag.seconds, 1),
        half=number(lag.width_s, 1),
        correlation=number(lag.correlation, 2),
        overlap=_overlap(lag.seconds, data, table),
        sure=sure,
    )
