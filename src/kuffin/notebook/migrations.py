"""Bringing an older notebook to the present format, on a copy; the file itself stays as it was until that worked."""

from __future__ import annotations

import json
import os
import shutil
import sqlite3
from collections.abc import Callable
from pathlib import Path
from typing import Any

from sqlalchemy import Table
from sqlalchemy.dialects import sqlite
from sqlalchemy.schema import CreateTable

from kuffin.core.base.errors import KuffinError, NotebookError
from kuffin.core.base.wholefile import written_whole
from kuffin.core.bench.undertest import kind_under_test
from kuffin.notebook.door import beside
from kuffin.notebook.entities import SCHEMA_VERSION, Base
from kuffin.notebook.heldfile import connect
from kuffin.notebook.rescue import free_name


def bring_up_to_date(path: Path, version: int) -> Path:
    """Write an older notebook in the present format under its own name.

    Parameters
    ----------
    path : Path
    version : int
        The format that the file is in.

    Returns
    -------
    Path
        The file as it was before, kept beside it.

    Raises
    ------
    NotebookError
        Where the copy cannot be written; the notebook itself is then untouched.
    """
    try:
        return changed_on_a_copy(path, lambda copy: migrate(copy, version), f"{path.stem} (format {version})")
    except (KuffinError, OSError, sqlite3.Error) as error:
        raise NotebookError(
            "{name} is in the older format {version} and could not be brought up to date ({error}); it is untouched. Copy it to a folder with room that you may write in, and open it there",
            name=path.name,
            version=version,
            error=error,
        ) from None


def changed_on_a_copy(path: Path, change: Callable[[sqlite3.Connection], None], kept_as: str) -> Path:
    """Change a whole notebook on a copy, which takes its name when that worked; the file as it was is kept, and returned.

    Raises
    ------
    KuffinError, OSError, sqlite3.Error
        The notebook is then untouched.
    """
    _settle(path)
    with written_whole(path) as partial:
        source, copy = connect(path, "ro"), connect(partial)
        try:
            source.backup(copy)
            change(copy)
        finally:
            copy.close()
            source.close()
        return _keep_as_it_was(path, kept_as)


def _settle(path: Path) -> None:
    """Bring what is beside the file into it, so that the file alone is all of it."""
    db = connect(path)
    try:
        db.execute("PRAGMA wal_checkpoint(TRUNCATE)")
        db.execute("PRAGMA journal_mode = DELETE")
    finally:
        db.close()
    if beside(path, "-wal").exists():
        raise NotebookError("another program reads it now")


def _keep_as_it_was(path: Path, stem: str) -> Path:
    """Keep a file as it was under another name beside it."""
    kept = path.with_name(f"{stem}{path.suffix}")
    if kept.exists() and kept.samefile(path):
        return kept  # a start that was cut off got as far as this
    kept = free_name(path.parent, stem, path.suffix)
    try:
        os.link(path, kept)
    except OSError:  # some disks know no second name for a file
        with written_whole(kept) as partial:
            shutil.copyfile(path, partial)
    return kept


def migrate(db: sqlite3.Connection, version: int) -> None:
    """Bring a notebook of an older format up to date, in one transaction."""
    db.execute("PRAGMA foreign_keys = OFF")
    db.execute("PRAGMA legacy_alter_table = ON")
    with db:
        if version < 2:
            _give_candidates_parts(db)
        kept = (
            db.execute("SELECT id, kept_because FROM mount WHERE kept_because IS NOT NULL").fetchall()
            if version < 4
            else []
        )
        if version < 7 and "at_least_k" in _columns(db, "claim"):
            db.execute('ALTER TABLE "claim" RENAME COLUMN "at_least_k" TO "amount"')
        for table in Base.metadata.sorted_tables:
            _rebuild(db, table)
        # up to format 3 a mount was kept as a whole; now its findings are answered one by one
        db.executemany("INSERT INTO answer (mount_id, kind, reason, at) VALUES (?, '*', ?, '')", kept)
        db.execute("DELETE FROM edit")  # what it would undo had another form
        db.execute(f"PRAGMA user_version = {SCHEMA_VERSION}")
    broken = db.execute("PRAGMA foreign_key_check").fetchall()
    if broken:
        raise sqlite3.IntegrityError(f"{len(broken)} rows lost what they belong to")
    db.execute("VACUUM")


def _columns(db: sqlite3.Connection, table: str) -> list[str]:
    return [row[1] for row in db.execute(f'PRAGMA table_info("{table}")')]


def _default(column: Any) -> Any:
    """What a new column holds in old rows, as SQLite stores it."""
    value = None if column.default is None else column.default.arg
    if callable(value):
        value = value(None)
    return json.dumps(value) if isinstance(value, (list, dict)) else value


def _rebuild(db: sqlite3.Connection, table: Table) -> None:
    """Make a table anew as it is now, with the rows it had."""
    had, wanted = _columns(db, table.name), [c.name for c in table.columns]
    create = str(CreateTable(table).compile(dialect=sqlite.dialect()))
    if had == wanted:
        return
    if not had:
        db.execute(create)
    else:
        db.execute(f'ALTER TABLE "{table.name}" RENAME TO "old_{table.name}"')
        db.execute(create)
        names = ", ".join(f'"{c}"' for c in wanted)
        sources = ", ".join(f'"{c}"' if c in had else "?" for c in wanted)
        fill = [_default(table.columns[c]) for c in wanted if c not in had]
        db.execute(f'INSERT INTO "{table.name}" ({names}) SELECT {sources} FROM "old_{table.name}"', fill)
        db.execute(f'DROP TABLE "old_{table.name}"')
    for index in table.indexes:
        columns = ", ".join(f'"{c.name}"' for c in index.columns)
        db.execute(f'CREATE INDEX IF NOT EXISTS "{index.name}" ON "{table.name}" ({columns})')


def _give_candidates_parts(db: sqlite3.Connection) -> None:
    """Format 1 had samples of candidates; from 2 on they are samples of parts on the shelf."""
    part_table = Base.metadata.tables["part"]
    db.execute(str(CreateTable(part_table).compile(dialect=sqlite.dialect())))
    # whatever columns the table has by now
    usual = {c.name: _default(c) for c in part_table.columns if c.default is not None and not c.nullable}
    for table in ("candidate", "sample"):
        db.execute(f"ALTER TABLE {table} ADD COLUMN part_id INTEGER")
    db.execute("ALTER TABLE study ADD COLUMN reference_id INTEGER")
    parts: dict[tuple[str, str], int] = {}
    rows = db.execute(
        "SELECT c.id, c.name, s.under_test FROM candidate c JOIN study s ON s.id = c.study_id ORDER BY c.id"
    ).fetchall()
    for candidate, name, under_test in rows:
        kind = kind_under_test(under_test).part_kinds[0]
        if (kind, name) not in parts:
            told = {**usual, "kind": kind, "name": name}
            places = ", ".join("?" * len(told))
            made = db.execute(f"INSERT INTO part ({', '.join(told)}) VALUES ({places})", tuple(told.values()))
            parts[kind, name] = int(made.lastrowid or 0)
        part = parts[kind, name]
        db.execute("UPDATE candidate SET part_id = ? WHERE id = ?", (part, candidate))
        db.execute("UPDATE sample SET part_id = ? WHERE candidate_id = ?", (part, candidate))
    db.execute(
        "UPDATE study SET reference_id = (SELECT id FROM candidate c WHERE c.study_id = study.id "
        "AND c.name = study.reference_candidate)"
    )
