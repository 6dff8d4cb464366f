"""Edits of the shelf and the bench: parts, samples, the loop, instruments, probes."""

from __future__ import annotations

from collections.abc import Sequence
from typing import Any, NamedTuple

from sqlalchemy import select
from sqlalchemy.orm import Session, selectinload

from kuffin.core.base.errors import NotebookError
from kuffin.core.base.saying import say
from kuffin.core.bench.parts import KINDS, kind_of
from kuffin.notebook.entities import Bench, Candidate, Curve, Instrument, Part, Place, Probe, Sample, now_text
from kuffin.notebook.store import Notebook


def parts(notebook: Notebook) -> list[Part]:
    """All parts on the shelf with their samples, by kind and name."""
    with notebook.session() as session:
        found = session.scalars(
            select(Part)
            .where(Part.binned_at.is_(None))
            .options(
                selectinload(Part.samples),
                selectinload(Part.curves).options(selectinload(Curve.part), selectinload(Curve.coolant)),
            )
        )
        return sorted(found, key=lambda p: (p.kind, p.name.lower()))


def add_part(notebook: Notebook, kind: str, name: str, **values: Any) -> int:
    """Put a part on the shelf, with one sample; returns its id.

    Raises
    ------
    NotebookError
        Without a name, or where the shelf has a part of this kind and name.
    BenchError
        For an unknown kind.
    """
    kind_of(kind)
    name = name.strip()
    if not name:
        raise NotebookError("a part needs a name")
    with notebook.edit(say("put {name} on the shelf", name=name)) as session:
        _refuse_twin(session, kind, name, None)
        part = Part(kind=kind, name=name, samples=[Sample(label="1")], **values)
        session.add(part)
        session.flush()
        return part.id


def _refuse_twin(session: Session, kind: str, name: str, except_id: int | None) -> None:
    for other in session.scalars(select(Part).where(Part.kind == kind, Part.binned_at.is_(None))):
        if other.name.lower() == name.lower() and other.id != except_id:
            raise NotebookError(
                "there is a {kind} {name} on the shelf already; add a sample to it instead", kind=kind, name=name
            )


def change_part(notebook: Notebook, part_id: int, label: str, **values: Any) -> None:
    """Change a part; candidates that carry its name follow a new one."""
    with notebook.edit(label) as session:
        part = session.get_one(Part, part_id)
        if "name" in values:
            name = str(values["name"]).strip()
            if not name:
                raise NotebookError("a part needs a name")
            _refuse_twin(session, part.kind, name, part_id)
            for candidate in session.scalars(select(Candidate).where(Candidate.part_id == part_id)):
                if candidate.name == part.name:
                    candidate.name = name
        for key, value in values.items():
            setattr(part, key, value)


def bin_part(notebook: Notebook, part_id: int) -> None:
    """Put a part into the bin.

    Raises
    ------
    NotebookError
        Where a study or a bench uses it.
    """
    with notebook.edit("put a part into the bin") as session:
        part = session.get_one(Part, part_id)
        used = session.scalars(
            select(Candidate).where(Candidate.part_id == part_id, Candidate.binned_at.is_(None))
        ).first()
        if used is not None:
            raise NotebookError("{name} is a candidate of a study; take it out there first", name=part.name)
        if session.scalars(select(Place).where(Place.part_id == part_id, Place.binned_at.is_(None))).first():
            raise NotebookError("{name} is built into a bench; take it out of the loop first", name=part.name)
        part.binned_at = now_text()


def add_sample(notebook: Notebook, part_id: int, label: str, came: str = "", note: str = "") -> int:
    """Add a specimen of a part; returns its id.

    Raises
    ------
    NotebookError
        Without a label, or where one has this label.
    """
    with notebook.edit("add a sample") as session:
        part = session.scalars(select(Part).where(Part.id == part_id).options(selectinload(Part.samples))).one()
        label = label.strip()
        if not label:
            raise NotebookError("a sample needs a label that can be written on it, such as 2 or B")
        if any(s.label.lower() == label.lower() for s in part.live_samples):
            raise NotebookError("{name} has a sample {label} already", name=part.name, label=label)
        sample = Sample(part_id=part_id, label=label, came=came, note=note)
        session.add(sample)
        session.flush()
        return sample.id


def change_sample(notebook: Notebook, sample_id: int, **values: str) -> None:
    """Change a sample's label, how it came, or the note on it."""
    with notebook.edit("change a sample") as session:
        sample = session.get_one(Sample, sample_id)
        for key, value in values.items():
            setattr(sample, key, value)


# --- the bench ---------------------------------------------------------------------------------------------------------


def bench_of(notebook: Notebook, bench_id: int | None) -> Bench | None:
    """The bench of this id, None where there is none."""
    return next((b for b in benches(notebook) if b.id == bench_id), None)


def benches(notebook: Notebook) -> list[Bench]:
    """All benches with loops, instruments and probes."""
    with notebook.session() as session:
        return list(
            session.scalars(
                select(Bench)
                .where(Bench.binned_at.is_(None))
                .options(
                    selectinload(Bench.places).selectinload(Place.part),
                    selectinload(Bench.instruments).selectinload(Instrument.probes),
                )
                .order_by(Bench.id)
            )
        )


def add_bench(notebook: Notebook, name: str) -> int:
    """Set up a bench; returns its id."""
    if not name.strip():
        raise NotebookError("a bench needs a name, such as booth seven")
    with notebook.edit(say("set up {name}", name=name.strip())) as session:
        bench = Bench(name=name.strip())
        session.add(bench)
        session.flush()
        return bench.id


def change_bench(notebook: Notebook, bench_id: int, label: str, **values: Any) -> None:
    """Change a bench's name, note or usual settings."""
    with notebook.edit(label) as session:
        bench = session.get_one(Bench, bench_id)
        for key, value in values.items():
            setattr(bench, key, value)


class LoopPlace(NamedTuple):
    """One place of a loop.

    Attributes
    ----------
    part_id : int or None
        None: a place whose part is not told.
    settings : dict
        Such as ``length_mm`` of a tube.
    device : str or None
        What is cooled there.
    """

    part_id: int | None
    settings: dict[str, Any]
    device: str | None = None


def set_cooled(notebook: Notebook, bench_id: int, devices: Sequence[str]) -> None:
    """Say which devices a loop cools, in the direction of flow: at the places of its blocks, the first at the first."""
    bench = bench_of(notebook, bench_id)
    loop = [LoopPlace(p.part_id, dict(p.settings), p.device) for p in bench.loop] if bench is not None else []
    blocks = {p.id for p in parts(notebook) if p.kind in KINDS and KINDS[p.kind].slot == "block"}
    left = list(devices)
    told = []
    for place in loop:
        if place.part_id in blocks or (place.part_id is None and place.device):
            if place.part_id is None and not left:
                continue
            place = place._replace(device=left.pop(0) if left else None)
        told.append(place)
    set_loop(notebook, bench_id, [*told, *(LoopPlace(None, {}, d) for d in left)])


def set_loop(notebook: Notebook, bench_id: int, loop: Sequence[LoopPlace]) -> None:
    """Say what the loop consists of, in the direction of flow."""
    with notebook.edit("change the loop") as session:
        places = list(
            session.scalars(
                select(Place).where(Place.bench_id == bench_id, Place.binned_at.is_(None)).order_by(Place.position)
            )
        )
        for position, told in enumerate(loop):
            if position < len(places):
                place = places[position]
                place.part_id, place.settings, place.position = told.part_id, told.settings, position
                place.device = told.device
            else:
                session.add(Place(bench_id=bench_id, position=position, **told._asdict()))
        for place in places[len(loop) :]:
            place.binned_at = now_text()


def keep_instrument(notebook: Notebook, bench_id: int, instrument_id: int | None, **values: Any) -> int:
    """Add an instrument to a bench, or change one; returns its id.

    Raises
    ------
    NotebookError
        Without a name, or with an accuracy below zero.
    """
    if not str(values.get("name", "")).strip():
        raise NotebookError("an instrument needs a name")
    for key in ("reading_percent", "full_scale_percent", "counts"):
        if values.get(key, 0.0) < 0:
            raise NotebookError("an accuracy is not below zero")
    if values.get("full_scale_percent") and not values.get("full_scale"):
        raise NotebookError("an accuracy in % of full scale needs the full scale")
    with notebook.edit(
        say("change {name}", name=values["name"]) if instrument_id else say("add {name}", name=values["name"])
    ) as session:
        instrument = session.get(Instrument, instrument_id) if instrument_id is not None else None
        if instrument is None:
            instrument = Instrument(bench_id=bench_id, name="")
            session.add(instrument)
        for key, value in values.items():
            setattr(instrument, key, value)
        session.flush()
        return instrument.id


def bin_instrument(notebook: Notebook, instrument_id: int) -> None:
    """Put an instrument into the bin."""
    with notebook.edit("put an instrument into the bin") as session:
        session.get_one(Instrument, instrument_id).binned_at = now_text()


def set_probes(notebook: Notebook, instrument_id: int, probes: Sequence[tuple[str | None, str, str]]) -> None:
    """Say which probes an instrument has: (role, where it sits, channel in the logs)."""
    with notebook.edit("change where probes sit") as session:
        found = list(
            session.scalars(
                select(Probe).where(Probe.instrument_id == instrument_id, Probe.binned_at.is_(None)).order_by(Probe.id)
            )
        )
        for i, (role, where, channel) in enumerate(probes):
            if i < len(found):
                found[i].role, found[i].where, found[i].channel = role, where, channel
            else:
                session.add(Probe(instrument_id=instrument_id, role=role, where=where, channel=channel))
        for probe in found[len(probes) :]:
            probe.binned_at = now_text()
