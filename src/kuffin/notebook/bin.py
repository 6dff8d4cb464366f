"""The bin: what was deleted stays in the notebook until the bin is emptied."""

from __future__ import annotations

from dataclasses import dataclass

from sqlalchemy import delete, select, text
from sqlalchemy.orm import selectinload

from kuffin.notebook.entities import (
    Binnable,
    Candidate,
    Channel,
    Chunk,
    Edit,
    Exclusion,
    Mount,
    Reading,
    Run,
    Sample,
    Study,
    Window,
)
from kuffin.notebook.journal import BY_UNDO
from kuffin.notebook.store import Notebook


@dataclass(frozen=True)
class Binned:
    """Something in the bin."""

    kind: str
    id: int
    label: str
    binned_at: str


_KINDS: dict[str, type[Binnable]] = {"study": Study, "candidate": Candidate, "mount": Mount, "run": Run}


def contents(notebook: Notebook) -> list[Binned]:
    """What lies in the bin, newest first."""
    out = []
    with notebook.session() as session:
        for study in session.scalars(select(Study).where(Study.binned_at.is_not(None))):
            out.append(Binned("study", study.id, f"study “{study.name}”", study.binned_at or ""))
        for candidate in session.scalars(select(Candidate).where(Candidate.binned_at.is_not(None))):
            out.append(Binned("candidate", candidate.id, f"candidate {candidate.name}", candidate.binned_at or ""))
        for mount in session.scalars(
            select(Mount).where(Mount.binned_at.is_not(None)).options(selectinload(Mount.candidate))
        ):
            out.append(Binned("mount", mount.id, f"{mount.candidate.name}, round {mount.round}", mount.binned_at or ""))
        for run in session.scalars(select(Run).where(Run.binned_at.is_not(None))):
            out.append(Binned("run", run.id, f"run {run.source}", run.binned_at or ""))
    return sorted((b for b in out if b.binned_at != BY_UNDO), key=lambda b: b.binned_at, reverse=True)


def restore(notebook: Notebook, item: Binned) -> None:
    """Take something out of the bin."""
    with notebook.edit(f"take {item.label} out of the bin") as session:
        session.get_one(_KINDS[item.kind], item.id).binned_at = None


def empty(notebook: Notebook) -> None:
    """Delete for good what lies in the bin, and with it the history that could bring it back."""
    with notebook.session() as session:
        studies = set(session.scalars(select(Study.id).where(Study.binned_at.is_not(None))))
        candidates = set(
            session.scalars(
                select(Candidate.id).where(Candidate.binned_at.is_not(None) | Candidate.study_id.in_(studies))
            )
        )
        mounts = set(
            session.scalars(select(Mount.id).where(Mount.binned_at.is_not(None) | Mount.candidate_id.in_(candidates)))
        )
        runs = set(session.scalars(select(Run.id).where(Run.binned_at.is_not(None) | Run.mount_id.in_(mounts))))
        for table in (Chunk, Channel, Window, Reading):
            session.execute(delete(table).where(table.run_id.in_(runs)))
        session.execute(delete(Run).where(Run.id.in_(runs)))
        session.execute(delete(Exclusion).where(Exclusion.mount_id.in_(mounts)))
        session.execute(delete(Mount).where(Mount.id.in_(mounts)))
        session.execute(delete(Sample).where(Sample.candidate_id.in_(candidates)))
        session.execute(delete(Candidate).where(Candidate.id.in_(candidates)))
        session.execute(delete(Study).where(Study.id.in_(studies)))
        session.execute(delete(Edit))
        session.commit()
        session.execute(text("VACUUM"))
    notebook.changed()
