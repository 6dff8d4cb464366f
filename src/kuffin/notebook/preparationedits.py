"""Edits while a mount is prepared: steps ticked, sums kept, begun and ready."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from typing import Any

from sqlalchemy import select

from kuffin.core.base.errors import NotebookError
from kuffin.core.base.saying import say
from kuffin.notebook.entities import Mount, Sheet, Tick, now_text
from kuffin.notebook.store import Notebook


@dataclass(frozen=True)
class Prepared:
    """All that was ticked, timed, noted and worked out for a mount."""

    ticks: dict[str, Tick]
    sheets: dict[str, dict[str, Any]]


def prepared(notebook: Notebook, mount_id: int) -> Prepared:
    """What was done for a mount."""
    with notebook.session() as session:
        ticks = session.scalars(select(Tick).where(Tick.mount_id == mount_id).order_by(Tick.id))
        sheets = session.scalars(select(Sheet).where(Sheet.mount_id == mount_id))
        return Prepared({t.key: t for t in ticks}, {s.kind: dict(s.values) for s in sheets})


def tick(notebook: Notebook, mount_id: int, key: str, text: str, done: bool, seconds: float | None = None) -> None:
    """Tick a step, or take the tick back; the first tick begins the mount."""
    short = text.split(";")[0].split(",")[0].rstrip(".")
    with notebook.edit(say("tick “{short}”", short=short) if done else say("untick “{short}”", short=short)) as session:
        found = session.scalars(select(Tick).where(Tick.mount_id == mount_id, Tick.key == key)).first()
        if found is None:
            found = Tick(mount_id=mount_id, key=key, text=text)
            session.add(found)
        found.text = text
        found.done_at = now_text() if done else None
        found.seconds = seconds if done else None
        mount = session.get_one(Mount, mount_id)
        if done and mount.begun_at is None:
            mount.begun_at = now_text()


def note_step(notebook: Notebook, mount_id: int, key: str, text: str, note: str) -> None:
    """Write a note on a step."""
    with notebook.edit("note on a step") as session:
        found = session.scalars(select(Tick).where(Tick.mount_id == mount_id, Tick.key == key)).first()
        if found is None:
            found = Tick(mount_id=mount_id, key=key, text=text)
            session.add(found)
        found.note = note.strip()


def keep_sheet(notebook: Notebook, mount_id: int, kind: str, values: dict[str, Any]) -> None:
    """Keep what was typed for one of a mount's sums."""
    with notebook.edit(say("fill in the {kind} sheet", kind=say(kind))) as session:
        found = session.scalars(select(Sheet).where(Sheet.mount_id == mount_id, Sheet.kind == kind)).first()
        if found is None:
            found = Sheet(mount_id=mount_id, kind=say(kind))
            session.add(found)
        found.values = values


def make_ready(notebook: Notebook, mount_id: int, ready: bool = True) -> None:
    """Say that a mount is ready to run, or that it is not after all."""
    with notebook.edit("ready to run" if ready else "not ready to run") as session:
        mount = session.get_one(Mount, mount_id)
        mount.ready_at = now_text() if ready else None
        if ready and mount.begun_at is None:
            mount.begun_at = now_text()


def start_again(notebook: Notebook, mount_id: int) -> None:
    """Take all ticks of a mount back; notes and sums stay.

    Raises
    ------
    NotebookError
        Where the mount has a run.
    """
    with notebook.edit("start preparing again") as session:
        mount = session.get_one(Mount, mount_id)
        if any(r.binned_at is None for r in mount.runs):
            raise NotebookError("this mount has a run already; plan another one instead")
        for found in session.scalars(select(Tick).where(Tick.mount_id == mount_id)):
            found.done_at = found.seconds = None
        mount.begun_at = mount.ready_at = None


def set_note(notebook: Notebook, mount_id: int, note: str) -> None:
    """Write a note on a mount."""
    with notebook.edit("note on a mount") as session:
        session.get_one(Mount, mount_id).note = note.strip()


def sheets_of(notebook: Notebook, mounts: Sequence[int], kind: str) -> dict[int, dict[str, Any]]:
    """One kind of sheet of several mounts, by mount."""
    with notebook.session() as session:
        found = session.scalars(select(Sheet).where(Sheet.mount_id.in_(list(mounts)), Sheet.kind == kind))
        return {s.mount_id: dict(s.values) for s in found}
