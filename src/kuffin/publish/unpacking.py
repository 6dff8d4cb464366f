"""A data package back into a notebook. It may come from anybody: sizes, paths and types are looked at before anything is kept."""

from __future__ import annotations

import csv
import hashlib
import io
import json
import zipfile
from collections.abc import Callable, Mapping
from pathlib import Path
from typing import Any

import numpy as np
from numpy.typing import NDArray
from sqlalchemy import select
from sqlalchemy.orm import Session

from kuffin.core.base.errors import KuffinError
from kuffin.core.base.plaindata import json_text
from kuffin.core.base.saying import say
from kuffin.core.base.units import parse_unit, to_canonical
from kuffin.core.bench.configuration import SETTINGS
from kuffin.logs.audio import read_sound
from kuffin.notebook.cellrules import look_at
from kuffin.notebook.entities import Attachment, Blob, Channel, Part, Run, Study
from kuffin.notebook.entities.preparing import RECORDINGS
from kuffin.notebook.photos import open_photo
from kuffin.notebook.samples import write_chunks
from kuffin.notebook.store import Notebook
from kuffin.publish.packagetables import FORMAT, LATER, TABLES, PackedTable, photos_of_sheet, read_back

Progress = Callable[[int, int], None]
_LARGEST = 2_000_000_000  # bytes of all files together
_RATIO = 400  # of what a file unpacks to, against what it is packed in: text of numbers never comes near
_ROWS = 20_000_000  # values of one run


def checked_zip(path: Path) -> zipfile.ZipFile:
    """An archive that is open for reading: no path in it leads out of it, and it does not grow beyond all bounds.

    Raises
    ------
    KuffinError
    """
    try:
        packed = zipfile.ZipFile(path)
    except (OSError, zipfile.BadZipFile) as error:
        raise KuffinError(
            "{name} is no data package: {error}; choose the .zip file as it was sent", name=path.name, error=error
        ) from None
    for one in packed.infolist():
        parts = one.filename.replace("\\", "/").split("/")
        if one.filename.startswith(("/", "\\")) or ".." in parts or ":" in parts[0]:
            raise KuffinError(
                "{name} holds a path that leads out of it ({filename}); it is not opened",
                name=path.name,
                filename=one.filename[:60],
            )
        if one.file_size > 1_000_000 and one.file_size > _RATIO * max(one.compress_size, 1):
            raise KuffinError(
                "{name}: {filename} would grow {ratio} times and more; it is not opened",
                name=path.name,
                filename=one.filename[:60],
                ratio=_RATIO,
            )
    if sum(one.file_size for one in packed.infolist()) > _LARGEST:
        raise KuffinError(
            "{name} would unpack to more than {largest:.0f} GB; it is not opened",
            name=path.name,
            largest=_LARGEST / 1e9,
        )
    return packed


class Package:
    """A package that is open for reading.

    Raises
    ------
    KuffinError
        Where it is no package, or no sound one.
    """

    def __init__(self, path: Path) -> None:
        self.path = path
        self._zip = checked_zip(path)
        try:
            self.about: dict[str, Any] = json.loads(self._bytes("datapackage.json"))
            told = self.about["kuffin"]["format"]
            resources = {str(r["name"]): r for r in self.about["resources"]}
        except (ValueError, KeyError, TypeError, RecursionError):
            raise KuffinError(
                "{name}: its datapackage.json does not say that it is a study of a bench notebook; a table of readings can be dropped on the window instead",
                name=path.name,
            ) from None
        if not isinstance(told, int) or told > FORMAT:
            raise KuffinError(
                "{name} was written by a newer Kuffin (package format {told}); this one knows {format}",
                name=path.name,
                told=told,
                format=FORMAT,
            )
        self._resources = resources

    def _bytes(self, name: str) -> bytes:
        try:
            return self._zip.read(name)
        except KeyError:
            raise KuffinError("{name} lacks {entry}", name=self.path.name, entry=name) from None
        except (OSError, RuntimeError, zipfile.BadZipFile, EOFError) as error:
            raise KuffinError(
                "{name}: {entry} cannot be read ({error}); ask for it again",
                name=self.path.name,
                entry=name,
                error=error,
            ) from None

    def has(self, name: str) -> bool:
        """Whether there is such a resource."""
        return name in self._resources

    def data(self, name: str) -> bytes:
        """A resource's bytes, after its checksum was looked at."""
        resource = self._resources.get(name)
        if resource is None:
            raise KuffinError("{name} lacks “{entry}”", name=self.path.name, entry=name)
        data = self._bytes(str(resource.get("path")))
        told = str(resource.get("hash", ""))
        if told.startswith("sha256:") and hashlib.sha256(data).hexdigest() != told.removeprefix("sha256:"):
            raise KuffinError(
                "{name}: {resource} is not as it was sent (its checksum differs)",
                name=self.path.name,
                resource=resource["path"],
            )
        return data

    def rows(self, name: str) -> tuple[list[str], list[list[str]]]:
        """A resource's head and rows, after its checksum was looked at."""
        data, where = self.data(name), self._resources[name]["path"]
        try:
            lines = list(csv.reader(io.StringIO(data.decode("utf-8"), newline="")))
        except (UnicodeDecodeError, csv.Error) as error:
            raise KuffinError(
                "{name}: {where} cannot be read ({error})", name=self.path.name, where=where, error=error
            ) from None
        if not lines:
            raise KuffinError("{name}: {where} is empty", name=self.path.name, where=where)
        return lines[0], lines[1:]

    def close(self) -> None:
        """Let the file go."""
        self._zip.close()


def unpack_study(package: Path, notebook: Notebook, progress: Progress | None = None) -> int:
    """Put a package's study into a notebook, all of it or nothing; returns the study's id.

    Parameters
    ----------
    progress : callable, optional
        Called with the runs done and their number; may raise to stop.

    Raises
    ------
    KuffinError
        What is wrong with the package, and where.
    """
    found = Package(package)
    try:
        with notebook.edit(say("take in {name}", name=package.name), tell=False) as session:
            ids: dict[str, dict[int, int]] = {}
            later: list[tuple[Any, str, str, int]] = []
            runs: dict[int, Run] = {}
            for table in TABLES:
                ids[table.name] = {}
                if table.later and not found.has(table.name):
                    continue
                for n, told in enumerate(_told(found, table), 1):
                    where = f"{package.name}, tables/{table.name}.csv, row {n}"
                    own = told.pop("id", None)
                    wait = {c: told.pop(c, None) for t, c in LATER if t == table.name}
                    for column, to in table.refers.items():
                        if column in told:
                            told[column] = _new(ids[to], told[column], where, column)
                    row = table.entity(**_within(table.name, told, ids))
                    if isinstance(row, Part):
                        _stand_beside(session, row)
                    if isinstance(row, Study):
                        row.name = _free(
                            row.name, lambda n: _taken(session, Study.name == n, Study.binned_at.is_(None))
                        )
                    session.add(row)
                    session.flush()
                    if not isinstance(own, int) or own in ids[table.name]:
                        raise KuffinError("{where}: its id is missing or there twice", where=where)
                    ids[table.name][own] = row.id  # type: ignore[attr-defined]
                    later += [(row, c, table.refers[c], v) for c, v in wait.items() if v is not None]
                    if isinstance(row, Run):
                        runs[own] = row
                    if isinstance(row, Attachment):
                        data = found.data(f"photo-{own:04d}")
                        if row.kind in RECORDINGS:
                            read_sound(io.BytesIO(data), row.name)
                        else:
                            open_photo(data, row.name, 256)  # whoever brought it
                        session.add(Blob(attachment_id=row.id, data=data))
            for row, column, to, old in later:
                setattr(row, column, _new(ids[to], old, f"{package.name}, {to}", column))
            for i, (own, run) in enumerate(sorted(runs.items()), 1):
                block = _samples(found, f"run-{own:04d}", len(run.channels))
                for at, channel in enumerate(run.channels, 1):
                    _in_own_unit(channel, block, at)
                write_chunks(session, run, block[:, 0], list(block[:, 1:].T))
                run.rows = int(block.shape[0])
                if progress is not None:
                    progress(i, len(runs))
            (study,) = ids["study"].values()
    except (TypeError, ValueError) as error:
        raise KuffinError("{name} does not hold one whole study: {error}", name=package.name, error=error) from None
    finally:
        found.close()
    return study


def _stand_beside(session: Session, part: Part) -> None:
    """Another lab's part beside what stands on the shelf already: its samples are others, and what it is called stays known."""
    name = _free(part.name, lambda n: _taken(session, Part.kind == part.kind, Part.name == n, Part.binned_at.is_(None)))
    if name != part.name:
        part.product = part.product or part.name
        part.name = name


def _free(name: str, taken: Callable[[str], bool]) -> str:
    """A name, told apart from one that is there already."""
    n, free = 1, name
    while taken(free):
        n += 1
        free = f"{name} ({n})"
    return free


def _taken(session: Session, *where: Any) -> bool:
    return session.scalar(select(1).where(*where).limit(1)) is not None


def _told(package: Package, table: PackedTable) -> list[dict[str, Any]]:
    head, rows = package.rows(table.name)
    columns = {c.name: c for c in table.columns(everything=True)}
    out = []
    for n, row in enumerate(rows, 1):
        where = f"{package.path.name}, tables/{table.name}.csv, row {n}"
        if len(row) != len(head):
            raise KuffinError(
                "{where}: it has {n} cells, and the head has {head}", where=where, n=len(row), head=len(head)
            )
        told = {
            name: read_back(text, columns[name], where) for name, text in zip(head, row, strict=True) if name in columns
        }
        lacking = [c.name for c in columns.values() if c.name not in told and not c.nullable and c.default is None]
        if lacking:
            raise KuffinError("{where}: it lacks {lacking}", where=where, lacking=", ".join(lacking))
        _hold_to_rules(table, told, where)
        # what is blank takes its default where nothing is no value
        out.append({k: v for k, v in told.items() if v is not None or columns[k].nullable})
    return out


def _hold_to_rules(table: PackedTable, told: Mapping[str, Any], where: str) -> None:
    """A row is held to what a notebook's own rows must be: bounds, words, the insides of JSON."""
    stored = {k: json_text(v, indent=None) if isinstance(v, (dict, list)) else v for k, v in told.items()}
    for name, value in stored.items():
        column = table.table.columns[name]
        if value is None or name == "id" or name in table.refers:
            continue
        spoilt = look_at(table.table, column, value, stored)
        if spoilt is not None:
            raise KuffinError("{where}: {what}", where=where, what=spoilt.what)


def _new(ids: Mapping[int, int], old: Any, where: str, column: str) -> int | None:
    if old is None:
        return None
    if old not in ids:
        raise KuffinError(
            "{where}: {column} names {old}, which is not in the package", where=where, column=column, old=old
        )
    return ids[old]


def _within(table: str, told: dict[str, Any], ids: dict[str, dict[int, int]]) -> dict[str, Any]:
    """Ids within settings and plans, as they are here."""
    if table in {"bench", "candidate"}:
        key = "settings" if table == "bench" else "configuration"
        told[key] = {
            k: ids["part"].get(v, v) if k in SETTINGS and SETTINGS[k].kind == "part" else v
            for k, v in dict(told.get(key) or {}).items()
        }
    if table == "study" and dict(told.get("plan") or {}).get("places"):
        told["plan"] = {
            **told["plan"],
            "places": [ids["place"][p] for p in told["plan"]["places"] if p in ids["place"]],
        }
    if table == "sheet":
        told["values"] = photos_of_sheet(told.get("values") or {}, ids["attachment"])
    return told


def _in_own_unit(channel: Channel, block: NDArray[np.float64], at: int) -> None:
    """A channel in the unit that Kuffin keeps its quantity in, whatever it was sent in; a unit that is not known stays."""
    unit = parse_unit(channel.unit) if channel.unit else None
    if unit is not None and unit.canonical != channel.unit:
        block[:, at], channel.unit = to_canonical(block[:, at], unit)
        channel.quantity = unit.quantity


def _samples(package: Package, name: str, channels: int) -> NDArray[np.float64]:
    """A run's samples, shape (rows, 1 + channels)."""
    head, rows = package.rows(name)
    if len(head) != 1 + channels or any(len(r) != len(head) for r in rows):
        raise KuffinError(
            "{name}, {entry}: its rows do not have a time and {channels} channels each",
            name=package.path.name,
            entry=name,
            channels=channels,
        )
    if not rows or len(rows) * len(head) > _ROWS:
        raise KuffinError(
            "{name}, {entry}: it has {n} rows, which is none or too many",
            name=package.path.name,
            entry=name,
            n=len(rows),
        )
    try:
        block = np.array([[float(x) if x else np.nan for x in r] for r in rows], dtype=np.float64)
    except ValueError as error:
        raise KuffinError("{name}, {entry}: {error}", name=package.path.name, entry=name, error=error) from None
    times = block[:, 0]
    if not np.isfinite(times).all() or np.any(np.diff(times) <= 0):
        raise KuffinError("{name}, {entry}: its times do not rise", name=package.path.name, entry=name)
    if np.isinf(block).any():
        raise KuffinError("{name}, {entry}: it holds an endless number", name=package.path.name, entry=name)
    return block
