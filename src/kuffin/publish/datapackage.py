"""A study as a data package (Frictionless Data Package and Table Schema): what another lab needs to come to the same verdict.

The same notebook gives the same bytes: ids are counted anew, files stand in one order, and no present moment is written.
"""

from __future__ import annotations

import csv
import hashlib
import io
import zipfile
from collections.abc import Callable, Iterator, Sequence
from pathlib import Path, PurePosixPath
from typing import Any

import numpy as np
from numpy.typing import NDArray
from sqlalchemy import select
from sqlalchemy.orm import Session

from kuffin.core.base.csvtext import cell
from kuffin.core.base.errors import KuffinError
from kuffin.core.base.plaindata import json_text
from kuffin.core.base.wholefile import written_whole
from kuffin.core.bench.configuration import SETTINGS
from kuffin.notebook.entities import (
    SCHEMA_VERSION,
    Attachment,
    Base,
    Blob,
    Chunk,
    Mount,
    Part,
    Place,
    Run,
    Sheet,
    Study,
    Tick,
)
from kuffin.notebook.store import Notebook
from kuffin.publish.packagetables import (
    FORMAT,
    OPEN_MARKS,
    OWN_PLAN,
    TABLES,
    PackedTable,
    kind_of_column,
    photos_of_sheet,
    tables,
    written,
)
from kuffin.said.line import verdict_line
from kuffin.verdict.study import judge

Progress = Callable[[int, int], None]
_MOMENT = (1980, 1, 1, 0, 0, 0)


def package_study(
    notebook: Notebook, study_id: int, target: Path, *, everything: bool = False, progress: Progress | None = None
) -> int:
    """Write a study as a data package; returns how many runs are in it.

    Parameters
    ----------
    everything : bool
        With notes, prices, samples' own labels, logs' paths, photos and a person's own marks and words, left out otherwise.
    progress : callable, optional
        Called with the runs done and their number; may raise to stop, and then nothing is left behind.

    Raises
    ------
    KuffinError
        Where nothing was measured yet, or the file cannot be written.
    """
    study = notebook.study(study_id)
    if not any(m.live_runs for c in study.live_candidates for m in c.live_mounts):
        raise KuffinError("“{name}” has no run yet: there is nothing to send", name=study.name)
    sentence = verdict_line(judge(notebook, study)).sentence
    with notebook.session() as session:
        rows = _rows(session, session.get_one(Study, study_id), everything)
        ids = {name: {r.id: i for i, r in enumerate(found, 1)} for name, found in rows.items()}
        runs: list[Run] = rows["run"]
        resources = []
        with written_whole(target) as partial, zipfile.ZipFile(partial, "w", zipfile.ZIP_DEFLATED) as packed:
            for table in tables(everything):
                content = _table_csv(table, rows[table.name], ids, everything)
                resources.append(
                    _resource(packed, f"tables/{table.name}.csv", table.name, content, _schema(table, everything))
                )
            for i, photo in enumerate(rows["attachment"] if everything else (), 1):
                resources.append(_photo(packed, session, photo, i))
            for i, run in enumerate(runs, 1):
                content = _samples_csv(session, run)
                resources.append(_resource(packed, f"runs/{i:04d}.csv", f"run-{i:04d}", content, _run_schema(run)))
                if progress is not None:
                    progress(i, len(runs))
            _put(packed, "README.md", _readme(study, sentence, everything))
            about = {
                "profile": "tabular-data-package",
                "name": f"kuffin-study-{FORMAT}",
                "title": study.question,
                "description": sentence,
                "created": f"{study.created_at}Z" if "T" in study.created_at else study.created_at,
                "kuffin": {"format": FORMAT, "schema": SCHEMA_VERSION},
                "resources": resources,
            }
            _put(packed, "datapackage.json", json_text(about, indent=1) + "\n")
    return len(runs)


def _rows(session: Session, study: Study, everything: bool) -> dict[str, list[Any]]:
    """All that belongs to a study and is not in the bin, by table, in the order of their ids."""
    candidates = study.live_candidates
    mounts = sorted((m for c in candidates for m in c.live_mounts), key=lambda m: m.id)
    runs = [r for m in mounts for r in m.runs if r.binned_at is None and r.closed]
    wanted = {c.part_id for c in candidates} | {m.sample.part_id for m in mounts if m.sample is not None}
    bench, places = None, list[Place]()
    if study.bench_id is not None:
        bench = session.get_one(_entity("bench"), study.bench_id)
        places = list(bench.loop)
        wanted |= {p.part_id for p in places if p.part_id is not None} | set(_part_ids(bench.settings))
    for c in candidates:
        wanted |= set(_part_ids(c.configuration))
    parts = [p for p in session.scalars(select(Part).where(Part.id.in_(wanted)).order_by(Part.id))]
    wanted |= {c.coolant_id for p in parts for c in p.live_curves if c.coolant_id is not None}
    parts = [p for p in session.scalars(select(Part).where(Part.id.in_(wanted)).order_by(Part.id))]
    instruments = [] if bench is None else bench.live_instruments
    protocol = None if study.protocol_id is None else session.get(_entity("protocol"), study.protocol_id)
    marks = [k for r in runs for k in r.marks if everything or k.kind in OPEN_MARKS]
    found = {
        "part": parts,
        "sample": [s for p in parts for s in p.live_samples],
        "curve": [c for p in parts for c in p.live_curves],
        "bench": [] if bench is None else [bench],
        "place": places,
        "instrument": instruments,
        "probe": [p for i in instruments for p in i.live_probes],
        "protocol": [] if protocol is None else [protocol],
        "study": [study],
        "candidate": candidates,
        "claim": [
            c
            for c in study.live_claims
            if {c.candidate_id, c.against_id or c.candidate_id} <= {x.id for x in candidates}
        ],
        "mount": mounts,
        "tick": list(session.scalars(select(Tick).where(Tick.mount_id.in_([m.id for m in mounts])))),
        "sheet": list(session.scalars(select(Sheet).where(Sheet.mount_id.in_([m.id for m in mounts])))),
        "attachment": _attached(session, mounts, parts, study.bench_id) if everything else [],
        "exclusion": [e for m in mounts for e in m.exclusions],
        "answer": [a for m in mounts for a in m.answers],
        "run": runs,
        "channel": [c for r in runs for c in r.channels],
        "window": [w for r in runs for w in r.windows],
        "mark": marks,
    }
    return {name: sorted(rows, key=lambda r: r.id) for name, rows in found.items()}


def _attached(
    session: Session, mounts: Sequence[Mount], parts: Sequence[Part], bench_id: int | None
) -> list[Attachment]:
    """The photos and recordings of a study's mounts, parts and bench."""
    theirs = Attachment.mount_id.in_([m.id for m in mounts]) | Attachment.part_id.in_([p.id for p in parts])
    theirs |= Attachment.bench_id == bench_id if bench_id is not None else Attachment.id < 0
    return list(session.scalars(select(Attachment).where(theirs, Attachment.binned_at.is_(None))))


def _photo(packed: zipfile.ZipFile, session: Session, photo: Attachment, number: int) -> dict[str, Any]:
    """A photo's bytes beside the tables."""
    data = session.scalar(select(Blob.data).where(Blob.attachment_id == photo.id)) or b""
    path = f"photos/{number:04d}"
    _put_bytes(packed, path, data)
    return {
        "name": f"photo-{number:04d}",
        "path": path,
        "profile": "data-resource",
        "bytes": len(data),
        "hash": f"sha256:{hashlib.sha256(data).hexdigest()}",
    }


def _entity(name: str) -> Any:
    return next(t.entity for t in TABLES if t.name == name)


def _part_ids(settings: dict[str, Any]) -> Iterator[int]:
    """The parts that settings name."""
    for key, value in settings.items():
        if key in SETTINGS and SETTINGS[key].kind == "part" and isinstance(value, int):
            yield value


def _table_csv(table: PackedTable, rows: Sequence[Base], ids: dict[str, dict[int, int]], everything: bool) -> str:
    out = io.StringIO()
    writer = csv.writer(out, lineterminator="\n")
    columns = table.columns(everything)
    writer.writerow([c.name for c in columns])
    for row in rows:
        told = {c.name: getattr(row, c.key) for c in columns}
        told["id"] = ids[table.name][told["id"]]
        for column, to in table.refers.items():
            told[column] = ids[to].get(told[column])
        writer.writerow([written(_open(table.name, c.name, told, ids, everything), c) for c in columns])
    return out.getvalue()


def _open(table: str, column: str, told: dict[str, Any], ids: dict[str, dict[int, int]], everything: bool) -> Any:
    """A value as it goes out: ids within it counted anew, and nothing in it that was not to go."""
    value = told[column]
    if column in {"settings", "configuration"} and table in {"bench", "candidate"}:
        return {
            k: ids["part"].get(v, v) if k in SETTINGS and SETTINGS[k].kind == "part" else v for k, v in value.items()
        }
    if (table, column) == ("study", "plan"):
        plan = {k: x for k, x in value.items() if everything or k not in OWN_PLAN}
        places = (
            {"places": [ids["place"][p] for p in plan["places"] if p in ids["place"]]} if plan.get("places") else {}
        )
        return {**plan, **places}
    if (table, column) == ("sheet", "values"):
        return photos_of_sheet(value, ids["attachment"] if everything else None)
    if (table, column) == ("run", "source") and not everything:
        return PurePosixPath(value.replace("\\", "/")).name
    if (table, column) == ("sample", "label") and not everything:
        return str(told["id"])  # a label may be a serial number
    return value


def _samples_csv(session: Session, run: Run) -> str:
    """A run's samples as they were recorded: the time, then the channels in their order; unknown is blank."""
    out = io.StringIO()
    writer = csv.writer(out, lineterminator="\n")
    writer.writerow([name for name, _ in _columns_of(run)])
    chunks = session.execute(
        select(Chunk.rows, Chunk.columns, Chunk.data).where(Chunk.run_id == run.id).order_by(Chunk.sequence)
    )
    for rows, columns, data in chunks:
        block: NDArray[np.float64] = np.frombuffer(data, "<f8").reshape(rows, columns)
        writer.writerows([["" if x != x else repr(x) for x in line] for line in block.tolist()])
    return out.getvalue()


def _columns_of(run: Run) -> list[tuple[str, Any]]:
    """A run's columns by names of their own, each with its channel; the time first."""
    out: list[tuple[str, Any]] = [("time_s", None)]
    for channel in run.channels:
        name = str(cell(channel.name))
        while name in {n for n, _ in out}:
            name += "'"
        out.append((name, channel))
    return out


def _run_schema(run: Run) -> dict[str, Any]:
    fields: list[dict[str, Any]] = []
    for name, channel in _columns_of(run):
        about = {"name": name, "type": "number"}
        if channel is None:
            about |= {"description": "seconds from the run's first row", "unit": "s"}
        else:
            told = {"unit": channel.unit, "quantity": channel.quantity, "role": channel.role, "device": channel.device}
            about |= {k: v for k, v in told.items() if v}
        fields.append(about)
    return {"fields": fields, "missingValues": [""]}


def _schema(table: PackedTable, everything: bool) -> dict[str, Any]:
    names = {c.name for c in table.columns(everything)}
    return {
        "fields": [{"name": c.name, "type": kind_of_column(c)} for c in table.columns(everything)],
        "missingValues": [""],
        "primaryKey": "id",
        "foreignKeys": [
            {"fields": column, "reference": {"resource": "" if to == table.name else to, "fields": "id"}}
            for column, to in table.refers.items()
            if column in names
        ],
    }


def _resource(packed: zipfile.ZipFile, path: str, name: str, content: str, schema: dict[str, Any]) -> dict[str, Any]:
    data = _put(packed, path, content)
    return {
        "name": name,
        "path": path,
        "profile": "tabular-data-resource",
        "format": "csv",
        "mediatype": "text/csv",
        "encoding": "utf-8",
        "bytes": len(data),
        "hash": f"sha256:{hashlib.sha256(data).hexdigest()}",
        "schema": schema,
    }


def _put(packed: zipfile.ZipFile, path: str, content: str) -> bytes:
    data = content.encode("utf-8")
    _put_bytes(packed, path, data)
    return data


def _put_bytes(packed: zipfile.ZipFile, path: str, data: bytes) -> None:
    entry = zipfile.ZipInfo(path, _MOMENT)
    entry.compress_type, entry.external_attr = zipfile.ZIP_DEFLATED, 0o644 << 16
    packed.writestr(entry, data)


def _readme(study: Study, sentence: str, everything: bool) -> str:
    left = (
        ""
        if everything
        else "Notes, prices, labels of samples, paths of logs, photos, own marks and own words were left out.\n\n"
    )
    return (
        f"{study.question}\n\n{sentence}\n\n"
        "This is a study of a bench notebook as a data package. `datapackage.json` says what each file and column is, with its "
        "unit. `tables/` holds candidates, mounts, runs, protocol and bench; `runs/` what was recorded, one file a run, its first "
        f"column the seconds from the first row.\n\n{left}"
        "`kuffin unpack` puts it into a notebook, where it comes to the same verdict.\n"
    )
