"""Undo and redo: every edit keeps the rows it changed, before and after.

Things that hold others (studies, candidates, samples, mounts, runs) are never deleted by an edit; they go to the bin, so
undoing their making is putting them there. Small rows (windows, exclusions, mappings) are written and removed.
"""

from __future__ import annotations

from typing import Any

from sqlalchemy import Table, delete, event, func, insert, inspect, select, update
from sqlalchemy.orm import Session

from kuffin.core.base.saying import Saying, say
from kuffin.notebook.entities import Base, Blob, Channel, Chunk, Edit, Reading

_NOT_KEPT = (Blob, Chunk, Edit, Reading)
_MOST_KEPT = 200
BY_UNDO = "undone"

Change = dict[str, Any]


def watch(session: Session, changes: list[Change]) -> None:
    """Write down every row that this session changes."""

    @event.listens_for(session, "after_flush")
    def _note(session: Session, _context: object) -> None:
        for obj in session.new:
            if isinstance(obj, (*_NOT_KEPT, Channel)):
                continue
            changes.append({"table": obj.__tablename__, "id": obj.id, "before": None, "after": _image(obj)})
        for obj in session.dirty:
            if isinstance(obj, _NOT_KEPT) or not session.is_modified(obj, include_collections=False):
                continue
            before, after = {}, {}
            for column in inspect(obj).mapper.column_attrs:
                history = inspect(obj).attrs[column.key].history
                if history.has_changes():
                    before[column.key] = history.deleted[0] if history.deleted else None
                    after[column.key] = history.added[0] if history.added else None
            changes.append({"table": obj.__tablename__, "id": obj.id, "before": before, "after": after})
        for obj in session.deleted:
            if isinstance(obj, _NOT_KEPT):
                continue
            changes.append({"table": obj.__tablename__, "id": obj.id, "before": _image(obj), "after": None})


def _image(obj: Any) -> Change:
    return {c.key: getattr(obj, c.key) for c in inspect(obj).mapper.column_attrs}


def _table(name: str) -> Table:
    return Base.metadata.tables[name]


def keep(session: Session, label: str, changes: list[Change]) -> None:
    """Keep an edit; what was undone before it cannot be done again, and the oldest are forgotten."""
    session.execute(delete(Edit).where(Edit.undone))
    session.add(Edit(label=_said(label), changes=changes))
    session.flush()
    newest = session.scalar(select(func.max(Edit.id)))
    session.execute(delete(Edit).where(Edit.id <= (newest or 0) - _MOST_KEPT))


def merge(session: Session, after: int, label: str) -> None:
    """Make the edits after one a single one."""
    edits = session.scalars(select(Edit).where(Edit.id > after).order_by(Edit.id)).all()
    for edit in edits[1:]:
        session.delete(edit)
    if edits:
        edits[0].label, edits[0].changes = _said(label), [c for e in edits for c in e.changes]


def _said(label: str) -> Saying:
    return label if isinstance(label, Saying) else say(label)


def runs_made(changes: list[Change]) -> set[int]:
    """The runs that an edit made."""
    return {c["id"] for c in changes if c["table"] == "run" and c["before"] is None}


def apply(session: Session, changes: list[Change], backwards: bool) -> None:
    """Bring the rows of an edit back to how they were before it, or after it."""
    for change in reversed(changes) if backwards else changes:
        table = _table(change["table"])
        now, then = (change["after"], change["before"]) if backwards else (change["before"], change["after"])
        key = table.c.id == change["id"]
        if then is None and "binned_at" in table.c:
            session.execute(update(table).where(key).values(binned_at=BY_UNDO))
        elif now is None and "binned_at" in table.c:
            session.execute(update(table).where(key).values(binned_at=then.get("binned_at")))
        elif then is None:
            session.execute(delete(table).where(key))
        elif now is None:
            session.execute(insert(table).values(**then))
        else:
            session.execute(update(table).where(key).values(**then))
