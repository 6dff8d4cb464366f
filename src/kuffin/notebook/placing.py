"""Where logs go: to which candidate, which of its mounts, and under which condition they tested it."""

from __future__ import annotations

import datetime as dt
from collections.abc import Sequence
from dataclasses import dataclass
from pathlib import Path

from kuffin.logs.assigning import LogNamed, There, assign
from kuffin.logs.table import LogTable
from kuffin.notebook.entities import Mount, Study


@dataclass(frozen=True)
class MountChoice:
    """A mount of a log's candidate: one that is there, or (without an id) a new one in a round."""

    round: int
    mount_id: int | None = None


@dataclass(frozen=True)
class MountThere:
    """A mount of the study: its candidate, round, and the conditions it was tested under; None: it is only planned."""

    mount_id: int
    candidate: str
    round: int
    tests: tuple[str, ...] | None = None

    @property
    def words(self) -> str:
        """As it is offered."""
        if self.tests is None:
            return f"round {self.round}"
        told = ", ".join(t for t in self.tests if t)
        return f"round {self.round}, with {told or 'a run'}"


@dataclass(frozen=True)
class Placed:
    """A log's place; without a mount, the person has to say which."""

    candidate: str
    mount: MountChoice | None
    condition: str


def mounts_there(study: Study) -> list[MountThere]:
    """The study's mounts, as logs may be given to them."""
    return [
        MountThere(m.id, c.name, m.round, tuple(r.condition for r in m.live_runs) if m.live_runs else None)
        for c in study.live_candidates
        for m in c.live_mounts
    ]


def places(study: Study, tables: Sequence[LogTable], candidate: str = "", round_number: int = 0) -> list[Placed]:
    """The place of each log, as far as names and times tell it, or as they were dropped on a candidate or a mount.

    Where neither tells whether a log is another mount or another test of one that is there, it has no mount.
    """
    done = [
        There(c.name, m.round, _ended(m), tuple(r.condition for r in m.live_runs))
        for c in study.live_candidates
        for m in c.live_mounts
        if m.live_runs
    ]
    named = [LogNamed(Path(t.file).stem, t.start, t.duration_s) for t in tables]
    own = [candidate] if candidate else [c.name for c in study.live_candidates]
    there = mounts_there(study)
    out = []
    for found in assign(named, own, done):
        name, number = candidate or found.candidate, round_number or found.round
        mine = next((m for m in there if (m.candidate, m.round) == (name, number)), None)
        choice: MountChoice | None = MountChoice(number, mine.mount_id if mine is not None else None)
        known = {t.casefold() for t in (mine.tests or ())} if mine is not None else set()
        again = mine is not None and mine.tests is not None and found.condition.casefold() in {"", *known}
        if again or not (found.sure or round_number):
            choice = None
        out.append(Placed(name, choice, found.condition))
    return out


def _ended(mount: Mount) -> str | None:
    runs = [r for r in mount.live_runs if r.started_at]
    if not runs:
        return None
    ends = [dt.datetime.fromisoformat(str(r.started_at)) + dt.timedelta(seconds=r.duration_s) for r in runs]
    return max(ends).isoformat(timespec="seconds")
