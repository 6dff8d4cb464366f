"""The bin: what was deleted stays in the notebook until the bin is emptied."""

from __future__ import annotations

from collections.abc import Callable
from contextlib import suppress
from dataclasses import dataclass
from typing import Any

from sqlalchemy import delete, or_, select, text
from sqlalchemy.orm import Session

from kuffin.core.base.errors import NotebookError
from kuffin.core.base.saying import Saying, say
from kuffin.notebook.entities import (
    Answer,
    Attachment,
    Base,
    Bench,
    Binnable,
    Blob,
    Candidate,
    Channel,
    Chunk,
    Claim,
    Curve,
    Edit,
    Exclusion,
    Instrument,
    Mark,
    Mount,
    Part,
    Place,
    Probe,
    Protocol,
    Reading,
    Run,
    Sample,
    Sheet,
    Study,
    Tick,
    Window,
)
from kuffin.notebook.entities.preparing import RECORDINGS
from kuffin.notebook.journal import BY_UNDO
from kuffin.notebook.store import Notebook


@dataclass(frozen=True)
class Binned:
    """Something in the bin."""

    kind: str
    id: int
    label: str
    binned_at: str


@dataclass(frozen=True)
class _Kind:
    entity: type[Binnable]
    said: Callable[[Any], Saying]


_KINDS: dict[str, _Kind] = {
    "study": _Kind(Study, lambda s: say("study “{name}”", name=s.name)),
    "candidate": _Kind(Candidate, lambda c: say("candidate {name}", name=c.name)),
    "mount": _Kind(Mount, lambda m: say("{name}, round {round}", name=m.candidate.name, round=m.round)),
    "run": _Kind(Run, lambda r: say("run {source}", source=r.source)),
    "part": _Kind(Part, lambda p: say("part {name}", name=p.name)),
    "sample": _Kind(Sample, lambda s: say("{name}, sample {label}", name=s.part.name, label=s.label)),
    "bench": _Kind(Bench, lambda b: say("bench “{name}”", name=b.name)),
    "instrument": _Kind(Instrument, lambda i: say("instrument {name}", name=i.name)),
    "protocol": _Kind(Protocol, lambda p: say("protocol “{name}”", name=p.name)),
    "curve": _Kind(Curve, lambda c: say("curve of {name}", name=c.part.name)),
    "attachment": _Kind(
        Attachment,
        lambda a: say("recording {name}", name=a.name) if a.kind in RECORDINGS else say("photo {name}", name=a.name),
    ),
}
# an edit that is undone and then given up leaves these: they came from outside, and may be nowhere else
_NEVER_UNDONE_AWAY = {"run", "attachment"}


def contents(notebook: Notebook) -> list[Binned]:
    """What lies in the bin, newest first."""
    out = []
    with notebook.session() as session:
        for key, kind in _KINDS.items():
            for item in session.scalars(select(kind.entity).where(kind.entity.binned_at.is_not(None))):
                if item.binned_at != BY_UNDO or key in _NEVER_UNDONE_AWAY:
                    out.append(Binned(key, item.id, kind.said(item), item.binned_at or ""))
    return sorted(out, key=lambda b: b.binned_at, reverse=True)


def restore(notebook: Notebook, item: Binned) -> None:
    """Take something out of the bin, and what it belongs to."""
    with notebook.edit(say("take {label} out of the bin", label=item.label)) as session:
        _take_out(session, _KINDS[item.kind].entity, item.id)


def _take_out(session: Session, entity: type[Base], at: int) -> None:
    found = session.get_one(entity, at)
    if isinstance(found, Binnable):
        found.binned_at = None
    for column, owner in dict(_BELONGS)[entity].items():
        if (whose := getattr(found, column)) is not None:
            _take_out(session, owner, whose)


# what goes with what: a table, and the columns that say whose its rows are
_BELONGS: tuple[tuple[type[Base], dict[str, type[Base]]], ...] = (
    (Study, {}),
    (Bench, {}),
    (Protocol, {}),
    (Candidate, {"study_id": Study}),
    (Claim, {"study_id": Study, "candidate_id": Candidate, "against_id": Candidate}),
    (Mount, {"candidate_id": Candidate}),
    (Exclusion, {"mount_id": Mount}),
    (Answer, {"mount_id": Mount}),
    (Tick, {"mount_id": Mount}),
    (Sheet, {"mount_id": Mount}),
    (Run, {"mount_id": Mount}),
    (Channel, {"run_id": Run}),
    (Chunk, {"run_id": Run}),
    (Window, {"run_id": Run}),
    (Mark, {"run_id": Run}),
    (Reading, {"run_id": Run}),
    (Place, {"bench_id": Bench}),
    (Instrument, {"bench_id": Bench}),
    (Probe, {"instrument_id": Instrument}),
    (Part, {}),
    (Sample, {"part_id": Part}),
    (Curve, {"part_id": Part}),
    (Attachment, {"mount_id": Mount, "part_id": Part, "bench_id": Bench, "run_id": Run}),
    (Blob, {"attachment_id": Attachment}),
)
# what still holds on to these keeps them, binned as they are
_HELD: dict[type[Base], tuple[tuple[type[Base], str], ...]] = {
    Part: ((Candidate, "part_id"), (Place, "part_id"), (Curve, "coolant_id")),
    Sample: ((Mount, "sample_id"),),
    Bench: ((Study, "bench_id"),),
    Protocol: ((Study, "protocol_id"),),
}


def empty(notebook: Notebook) -> None:
    """Delete for good what lies in the bin, and with it the history that could bring it back.

    Raises
    ------
    NotebookError
        While a run is being recorded: it may belong to something in the bin.
    """
    if notebook.recording:
        raise NotebookError("a run is being recorded; empty the bin when it has ended")
    with notebook.writing() as session:
        going: dict[type[Base], set[int]] = {}
        for entity, owners in _BELONGS:
            table = entity.__table__
            why = [table.c[column].in_(going[owner]) for column, owner in owners.items()]
            if issubclass(entity, Binnable):
                why.append(table.c.binned_at.is_not(None))
            going[entity] = set(session.scalars(select(table.c.id).where(or_(*why)))) if why else set()
            if entity is Run:  # a further log goes with the run that it joins
                joined = select(table.c.id).where(table.c.joins_id.in_(going[Run]))
                going[Run] |= set(session.scalars(joined))
            for holder, column in _HELD.get(entity, ()):
                held = holder.__table__
                staying = select(held.c[column]).where(held.c.id.not_in(going.get(holder, set())))
                going[entity] -= set(session.scalars(staying))
        for entity, _ in reversed(_BELONGS):
            table = Base.metadata.tables[entity.__tablename__]
            session.execute(delete(table).where(table.c.id.in_(going[entity])))
        session.execute(delete(Edit))
    with suppress(NotebookError), notebook.writing() as session:  # without room for it the file stays as large as it is
        session.execute(text("VACUUM"))
    notebook.changed()
