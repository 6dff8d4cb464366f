"""Another program's data package (Frictionless): its tables as logs with their units in the head, to be looked at before they are added."""

from __future__ import annotations

import csv
import io
import json
import re
import zipfile
from collections.abc import Mapping
from pathlib import Path
from typing import Any

from kuffin.core.base.csvtext import plain
from kuffin.core.base.errors import KuffinError
from kuffin.publish.unpacking import checked_zip

_MOST_TABLES = 400
_LARGEST = 500_000_000  # bytes of one table


def is_own(path: Path) -> bool:
    """Whether a package is a study that Kuffin sent; False also where it cannot be read.

    Raises
    ------
    KuffinError
        Where it is no data package at all, or not one to be opened.
    """
    about = _about(path)
    return isinstance(about.get("kuffin"), dict)


def tables_as_logs(path: Path, folder: Path) -> list[Path]:
    """Write a package's tables into a folder as delimited logs, units behind the columns' names; returns the files.

    Parameters
    ----------
    path : Path
        The ``.zip``, or a ``datapackage.json`` beside its tables.
    folder : Path
        Where they are written; nothing in the package says where.

    Raises
    ------
    KuffinError
        What is wrong with the package, and where.
    """
    resources = _about(path).get("resources")
    if not isinstance(resources, list) or not resources:
        raise KuffinError("{name} names no tables in its datapackage.json", name=path.name)
    written: list[Path] = []
    left: list[str] = []
    for resource in resources[:_MOST_TABLES]:
        if not isinstance(resource, dict) or not _is_table(resource):
            left.append(str(resource.get("name", "?") if isinstance(resource, dict) else "?")[:40])
            continue
        name = re.sub(r"[^\w .-]", "_", str(resource.get("name") or "table"))[:60].strip(". ") or "table"
        target = folder / f"{name}.csv"
        if target in written:
            target = folder / f"{name} {len(written) + 1}.csv"
        target.write_text(_with_units(path, resource), encoding="utf-8")
        written.append(target)
    if not written:
        raise KuffinError(
            "{name} holds no table that Kuffin can read (CSV with a path of its own); it has {left}",
            name=path.name,
            left=", ".join(left[:5]),
        )
    return written


def _is_table(resource: Mapping[str, Any]) -> bool:
    where = resource.get("path")
    if not isinstance(where, str):
        return False
    return str(resource.get("format") or Path(where).suffix.removeprefix(".")).lower() in {"csv", "tsv", "txt"}


def _about(path: Path) -> dict[str, Any]:
    try:
        found = json.loads(_read(path, "datapackage.json"))
    except (ValueError, RecursionError):
        raise KuffinError(
            "{name}: its datapackage.json cannot be read; ask for the package again", name=path.name
        ) from None
    if not isinstance(found, dict):
        raise KuffinError("{name}: its datapackage.json says nothing of a package", name=path.name)
    return found


def _read(path: Path, name: str) -> bytes:
    """A file of the package; a path that leads out of it is refused."""
    parts = name.replace("\\", "/").split("/")
    if name.startswith(("/", "\\")) or ".." in parts or ":" in parts[0]:
        raise KuffinError(
            "{name} names a path that leads out of it ({entry}); it is not opened", name=path.name, entry=name[:60]
        )
    try:
        if path.suffix.lower() == ".json":
            where = path if name == "datapackage.json" else path.parent / name
            if where.resolve().parent != path.parent.resolve() and path.parent.resolve() not in where.resolve().parents:
                raise KuffinError(
                    "{name} names a path that leads out of its folder ({entry}); it is not opened",
                    name=path.name,
                    entry=name[:60],
                )
            if where.stat().st_size > _LARGEST:
                raise KuffinError(
                    "{name}: {entry} is larger than {largest} MB; it is not opened",
                    name=path.name,
                    entry=name[:60],
                    largest=_LARGEST // 1_000_000,
                )
            return where.read_bytes()
        with checked_zip(path) as packed:
            # the package may lie in a folder of its own within the file
            inside = next((n for n in packed.namelist() if n == name), None)
            root = next(
                (n.removesuffix("datapackage.json") for n in packed.namelist() if n.endswith("/datapackage.json")), ""
            )
            if packed.getinfo(inside or root + name).file_size > _LARGEST:
                raise KuffinError(
                    "{name}: {entry} is larger than {largest} MB; it is not opened",
                    name=path.name,
                    entry=name[:60],
                    largest=_LARGEST // 1_000_000,
                )
            return packed.read(inside or root + name)
    except KeyError:
        raise KuffinError("{name} lacks {entry}", name=path.name, entry=name[:60]) from None
    except (OSError, RuntimeError, EOFError, zipfile.BadZipFile) as error:
        raise KuffinError(
            "{name}: {entry} cannot be read ({error})", name=path.name, entry=name[:60], error=error
        ) from None


def _with_units(path: Path, resource: Mapping[str, Any]) -> str:
    """A table as comma-separated text, each column's unit behind its name where its schema tells one."""
    dialect = resource.get("dialect") if isinstance(resource.get("dialect"), dict) else {}
    assert isinstance(dialect, dict)
    where = str(resource["path"])
    try:
        text = _read(path, where).decode(str(resource.get("encoding") or "utf-8"))
    except (UnicodeDecodeError, LookupError) as error:
        raise KuffinError(
            "{name}: {where} cannot be read ({error})", name=path.name, where=where[:60], error=error
        ) from None
    delimiter = str(dialect.get("delimiter") or ("\t" if where.lower().endswith(".tsv") else ","))[:1]
    rows = list(csv.reader(io.StringIO(text.removeprefix("\ufeff"), newline=""), delimiter=delimiter))
    schema = resource.get("schema")
    fields = schema.get("fields", []) if isinstance(schema, dict) else []
    told = {str(f.get("name")): str(f.get("unit") or "") for f in fields if isinstance(f, dict)}
    if rows:
        rows[0] = [_head(plain(name), told.get(name, "")) for name in rows[0]]
    out = io.StringIO()
    csv.writer(out, lineterminator="\n").writerows(rows)
    return out.getvalue()


def _head(name: str, unit: str) -> str:
    return f"{name} [{unit}]" if unit and f"[{unit}]" not in name and f"({unit})" not in name else name
