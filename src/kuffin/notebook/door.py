"""The door: what is no notebook, damaged, newer or made to mislead is refused here, in a sentence, and nothing is changed."""

from __future__ import annotations

import sqlite3
from contextlib import suppress
from pathlib import Path

from kuffin.core.base.errors import NotebookError
from kuffin.notebook.entities import APPLICATION_ID, SCHEMA_VERSION
from kuffin.notebook.heldfile import connect
from kuffin.notebook.structure import odd_structure

_MAGIC = b"SQLite format 3\x00"
_PATIENCE_S = 20.0
_LARGE = 300_000_000  # bytes; a thorough look at more would keep the person waiting


def beside(path: Path, ending: str) -> Path:
    """What SQLite keeps beside a file: ``-wal`` has what is not yet in it."""
    return path.with_name(path.name + ending)


def clear_beside(path: Path) -> None:
    """Take away what was beside a file that is gone, where it is empty."""
    with suppress(OSError):
        if not path.exists() and beside(path, "-wal").stat().st_size == 0:
            beside(path, "-wal").unlink()
            beside(path, "-shm").unlink(missing_ok=True)


def read_format(path: Path) -> int:
    """Refuse what is no notebook, damaged, or newer than this Kuffin; returns the format it is in.

    Raises
    ------
    NotebookError
    """
    try:
        with path.open("rb") as file:
            head = file.read(100)
    except OSError as error:
        raise NotebookError(
            "{name}: cannot be read ({strerror}); see who may read it", name=path.name, strerror=error.strerror
        ) from None
    if not head:
        raise NotebookError("{name}: the file is empty, so it is no notebook", name=path.name)
    if not head.startswith(_MAGIC):
        raise NotebookError(
            "{name}: this is no Kuffin notebook, or its beginning is damaged; try a copy of it", name=path.name
        )
    try:
        connection = connect(path, "ro", immutable=not beside(path, "-wal").exists())
        connection.limit_time(_PATIENCE_S)
        try:
            version, sound = _look_inside(connection, path)
            if sound == "ok" and (odd := odd_structure(connection, version)):
                raise NotebookError(
                    "{name}: this is no notebook as Kuffin writes it: {odd}. It is not opened", name=path.name, odd=odd
                )
        finally:
            connection.close()
    except sqlite3.Error as error:
        if "unable to open" in str(error) and beside(path, "-wal").exists():
            raise NotebookError(
                "{name}: its last edits are in “{name}-wal” beside it, and this folder cannot be written; copy both to a folder of yours and open the copy there",
                name=path.name,
            ) from None
        version, sound = SCHEMA_VERSION, str(error)
    if sound != "ok":
        raise NotebookError(
            "{name}: the notebook is damaged ({why}); open a copy of it from before. Nothing was changed in it",
            name=path.name,
            why=sound.splitlines()[0],
        )
    return version


def _look_inside(connection: sqlite3.Connection, path: Path) -> tuple[int, str]:
    if connection.execute("PRAGMA application_id").fetchone()[0] != APPLICATION_ID:
        raise NotebookError("{name}: this is a database of another program, not a Kuffin notebook", name=path.name)
    version = int(connection.execute("PRAGMA user_version").fetchone()[0])
    if version > SCHEMA_VERSION:
        raise NotebookError(
            "{name}: it was written by a newer Kuffin (format {version}, this one knows {schema_version}); update Kuffin to open it",
            name=path.name,
            version=version,
            schema_version=SCHEMA_VERSION,
        )
    large = path.stat().st_size > _LARGE
    return version, "ok" if large else str(connection.execute("PRAGMA quick_check(1)").fetchone()[0])
