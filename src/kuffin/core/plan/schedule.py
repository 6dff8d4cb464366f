"""A plan laid over days and hours."""

from __future__ import annotations

import datetime as dt
from collections.abc import Iterable, Mapping, Sequence
from dataclasses import dataclass

from kuffin.core.base.days import day_words
from kuffin.core.base.errors import BenchError
from kuffin.core.base.language import tr

DAYS = ("Monday", "Tuesday", "Wednesday", "Thursday", "Friday", "Saturday", "Sunday")
_FAR = 366


@dataclass(frozen=True)
class Hours:
    """When there is somebody at the bench.

    Attributes
    ----------
    week : mapping of weekday (0 is Monday) to (from, to) in hours
        A day that is missing is free.
    days_off : frozenset of dates
    """

    week: Mapping[int, tuple[float, float]]
    days_off: frozenset[dt.date] = frozenset()

    def of(self, day: dt.date) -> tuple[dt.datetime, dt.datetime] | None:
        """From when to when there is work on a day, None where there is none."""
        span = self.week.get(day.weekday())
        if span is None or day in self.days_off or span[1] <= span[0]:
            return None
        midnight = dt.datetime.combine(day, dt.time())
        return midnight + dt.timedelta(hours=span[0]), midnight + dt.timedelta(hours=span[1])


@dataclass(frozen=True)
class BenchJob:
    """Something to be laid: its phases come one after the other on one day.

    Attributes
    ----------
    phases : tuple of (name, minutes)
    """

    key: int
    label: str
    phases: tuple[tuple[str, float], ...]
    sample: str = ""

    @property
    def named(self) -> str:
        """Its label with the sample: ``Reed, round 4, sample 1``."""
        return tr("{label}, sample {sample}", label=self.label, sample=self.sample) if self.sample else self.label

    @property
    def minutes(self) -> float:
        """How long its phases take together, min."""
        return sum(m for _, m in self.phases)


@dataclass(frozen=True)
class Laid:
    """A job in its place."""

    job: BenchJob
    begin: dt.datetime
    end: dt.datetime

    def phases(self) -> list[tuple[str, dt.datetime, dt.datetime]]:
        """Each phase with its begin and end."""
        out, at = [], self.begin
        for name, minutes in self.job.phases:
            end = at + dt.timedelta(minutes=minutes)
            out.append((name, at, end))
            at = end
        return out


@dataclass(frozen=True)
class Plan:
    """Jobs in their places; those past the deadline are laid all the same, and counted.

    Attributes
    ----------
    late : int
        How many end after the deadline.
    """

    laid: tuple[Laid, ...]
    late: int
    deadline: dt.datetime | None

    @property
    def end(self) -> dt.datetime | None:
        """When the last job ends; None where none is laid out."""
        return self.laid[-1].end if self.laid else None


def lay(
    jobs: Sequence[BenchJob],
    hours: Hours,
    begin: dt.datetime,
    deadline: dt.datetime | None = None,
    pause_min: float = 0.0,
) -> Plan:
    """Lay jobs over working hours, in order, none across the end of a day.

    Parameters
    ----------
    jobs : sequence of Job
    hours : Hours
    begin : datetime
        Nothing is laid before it.
    deadline : datetime, optional
    pause_min : float
        Between two jobs.

    Raises
    ------
    BenchError
        Without hours, with a deadline before the begin, or with a job longer than any day.
    """
    if not any(b > a for a, b in hours.week.values()):
        raise BenchError("there are no hours at the bench in any week; give at least one day its hours")
    if deadline is not None and deadline <= begin:
        raise BenchError(
            "the deadline ({deadline}) has passed before the first mount ({begin})",
            deadline=_when(deadline),
            begin=_when(begin),
        )
    longest = max((b - a for a, b in hours.week.values() if b > a), default=0.0) * 60
    for job in jobs:
        if job.minutes > longest + 1e-9:
            raise BenchError(
                "{label} takes {minutes:.1f} h, but the longest day at the bench has {longest:.1f} h; lengthen a day or shorten the protocol",
                label=job.label,
                minutes=job.minutes / 60,
                longest=longest / 60,
            )
    laid: list[Laid] = []
    at = begin
    for job in jobs:
        at = _next_start(at, job.minutes, hours, job.label)
        end = at + dt.timedelta(minutes=job.minutes)
        laid.append(Laid(job, at, end))
        at = end + dt.timedelta(minutes=pause_min)
    late = sum(1 for j in laid if deadline is not None and j.end > deadline)
    return Plan(tuple(laid), late, deadline)


def _next_start(at: dt.datetime, minutes: float, hours: Hours, label: str) -> dt.datetime:
    needed = dt.timedelta(minutes=minutes)
    for ahead in range(_FAR):
        span = hours.of(at.date() + dt.timedelta(days=ahead))
        if span is None:
            continue
        start = max(at, span[0]) if ahead == 0 else span[0]
        if start + needed <= span[1] + dt.timedelta(seconds=1):
            return start
    raise BenchError("no day within a year has room for {label}; are too many days marked as off?", label=label)


def _when(moment: dt.datetime) -> str:
    return f"{DAYS[moment.weekday()]} {day_words(moment)}, {moment:%H:%M}"


def days_between(first: dt.date, last: dt.date) -> Iterable[dt.date]:
    """All dates from the first to the last."""
    for n in range((last - first).days + 1):
        yield first + dt.timedelta(days=n)
