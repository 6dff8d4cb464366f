"""The database under a notebook: its connections, and a whole copy of it."""

from __future__ import annotations

import math
import sqlite3
import time
from pathlib import Path

from sqlalchemy import QueuePool, create_engine, event
from sqlalchemy.engine import Engine

from kuffin.core.base.errors import NotebookError
from kuffin.core.base.wholefile import written_whole
from kuffin.notebook.door import beside
from kuffin.notebook.entities import APPLICATION_ID, SCHEMA_VERSION, Base
from kuffin.notebook.heldfile import TimedConnection, connect, identity

_PATIENCE_S = 3.0
_LONGEST_S = 60.0  # of one statement


class Database:
    """The connections to a notebook's file.

    One stays open all the time: where the file is deleted under it, everything can still be read through that one.

    Attributes
    ----------
    raw : sqlite3.Connection
        The one that stays; for copies.
    """

    def __init__(self, path: Path, read_only: bool = False) -> None:
        self.path, self.read_only = path, read_only
        self._immutable = read_only and not beside(path, "-wal").exists()
        self._who = identity(path)
        self.raw = self._connect()
        self.raw.execute("SELECT count(*) FROM sqlite_master").fetchone()  # so that it has all its files open
        self.engine: Engine = create_engine("sqlite://", creator=self._connect, poolclass=QueuePool)
        event.listen(self.engine, "before_cursor_execute", _limit_time)

    def _connect(self) -> sqlite3.Connection:
        connection = connect(self.path, "ro" if self.read_only else "rw", self._immutable)
        try:
            if identity(self.path) != self._who:
                raise sqlite3.OperationalError("the file was moved or replaced by another; open the notebook again")
            connection.execute("PRAGMA foreign_keys = ON")
            if not self.read_only:
                connection.execute("PRAGMA journal_mode = WAL")
                connection.execute("PRAGMA synchronous = FULL")  # what is kept outlasts a power loss
        except BaseException:
            connection.close()
            raise
        return connection

    def make(self) -> None:
        """Make the tables of a new notebook."""
        with self.engine.begin() as connection:
            Base.metadata.create_all(connection)
            connection.exec_driver_sql(f"PRAGMA application_id = {APPLICATION_ID}")
            connection.exec_driver_sql(f"PRAGMA user_version = {SCHEMA_VERSION}")

    def settle(self) -> None:
        """Bring everything into the one file, and leave nothing beside it.

        Raises
        ------
        NotebookError
            Where somebody reads it all the time.
        """
        until = time.monotonic() + _PATIENCE_S
        while self.raw.execute("PRAGMA wal_checkpoint(TRUNCATE)").fetchone() != (0, 0, 0):
            if time.monotonic() > until:
                raise NotebookError("the notebook is busy; it is tried again")
            time.sleep(0.02)

    def wait_for_readers(self) -> None:
        """Wait until nobody reads.

        Raises
        ------
        NotebookError
            Where somebody does all the time.
        """
        until = time.monotonic() + _PATIENCE_S
        while self.engine.pool.checkedout():  # type: ignore[attr-defined]
            if time.monotonic() > until:
                raise NotebookError("the notebook is busy; it is tried again")
            time.sleep(0.01)

    def close(self) -> None:
        """Close all of them."""
        self.engine.dispose()
        self.raw.close()


def _limit_time(_c: object, cursor: sqlite3.Cursor, statement: str, *_: object) -> None:
    connection = cursor.connection
    if isinstance(connection, TimedConnection):
        connection.limit_time(math.inf if statement.startswith("VACUUM") else _LONGEST_S)


def copy_database(source: sqlite3.Connection, target: Path) -> None:
    """Write a whole copy of a database, the last edits included.

    Raises
    ------
    KuffinError
        Where it cannot be written; what was at the target is as it was.
    """
    with written_whole(target) as partial:
        copy = connect(partial)
        try:
            source.backup(copy)
            copy.execute("PRAGMA journal_mode = DELETE")
        except sqlite3.Error as error:
            raise OSError(0, str(error)) from None
        finally:
            copy.close()
