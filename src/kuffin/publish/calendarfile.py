"""The plan as an iCalendar file, for whatever calendar a person keeps (RFC 5545)."""

from __future__ import annotations

import datetime as dt
import hashlib
from pathlib import Path

from kuffin.core.base.wholefile import write_whole
from kuffin.core.plan.schedule import Plan


def to_icalendar(plan: Plan, question: str, identity: str = "", now: dt.datetime | None = None) -> bytes:
    """One event for each mount, its phases in the description; times are local, without a zone.

    Parameters
    ----------
    plan : Plan
    question : str
        The study's question.
    identity : str
        What tells this study from others for good: an event keeps its own identity with it, so that a plan laid again moves it.
    now : datetime, optional
        When it was written.
    """
    from icalendar import Calendar, Event

    calendar = Calendar()
    calendar.add("prodid", "-//Kuffin//plan//EN")
    calendar.add("version", "2.0")
    stamp = now or dt.datetime.now(dt.UTC)
    for laid in plan.laid:
        event = Event()
        own = hashlib.sha256(f"{identity} {laid.job.key} {laid.job.label}".encode()).hexdigest()[:20]
        event.add("uid", f"{own}@kuffin")
        event.add("sequence", int(stamp.timestamp() // 60))
        event.add("dtstamp", stamp)
        event.add("dtstart", laid.begin)
        event.add("dtend", laid.end)
        event.add("summary", laid.job.named)
        phases = "\n".join(f"{begin:%H:%M} {name}" for name, begin, _ in laid.phases())
        event.add("description", f"{question}\n{phases}")
        calendar.add_component(event)
    return bytes(calendar.to_ical())


def write_icalendar(plan: Plan, question: str, path: Path, identity: str = "") -> None:
    """Write the plan to a file.

    Raises
    ------
    KuffinError
    """
    write_whole(path, to_icalendar(plan, question, identity))
