"""The notebook file: opening, closing, copying, edits, undo and redo."""

from __future__ import annotations

import fcntl
import os
import sqlite3
from collections.abc import Callable, Iterator
from contextlib import contextmanager
from pathlib import Path
from typing import IO, Any

from sqlalchemy import create_engine, delete, event, func, select
from sqlalchemy.engine import Engine
from sqlalchemy.exc import DBAPIError
from sqlalchemy.orm import Session, selectinload
from sqlalchemy.orm.attributes import set_committed_value

from kuffin.core.errors import NotebookError
from kuffin.notebook import journal
from kuffin.notebook.entities import APPLICATION_ID, SCHEMA_VERSION, Base, Candidate, Edit, Mount, Part, Run, Study
from kuffin.notebook.migrations import bring_up_to_date

SUFFIX = ".kuffin"
_KEPT_EDITS = 200


class Notebook:
    """An open notebook.

    Every edit is a transaction of its own: it is kept when made, or nothing of it is. Callables in `listeners` are
    called after each.
    """

    def __init__(self, path: Path, engine: Engine, lock: IO[str] | None, read_only: bool) -> None:
        self.path = path
        self.read_only = read_only
        self.listeners: list[Callable[[], None]] = []
        self.kept_before_update: Path | None = None  # the file in its older format, where it was brought up to date
        self._engine = engine
        self._lock = lock

    # --- opening and closing -------------------------------------------------------------------------------------

    @classmethod
    def create(cls, path: Path | str) -> Notebook:
        """Make a new notebook; refuses to write over a file.

        Raises
        ------
        NotebookError
        """
        path = Path(path)
        if path.exists():
            raise NotebookError(f"{path.name}: there is a file of this name already; choose another name")
        try:
            path.touch()
        except OSError as error:
            raise NotebookError(
                f"{path.name}: cannot be written there ({error.strerror}); choose another folder"
            ) from None
        lock = _take_lock(path)
        engine = _engine(path, read_only=False)
        with _plain_errors(path), engine.begin() as connection:
            Base.metadata.create_all(connection)
            connection.exec_driver_sql(f"PRAGMA application_id = {APPLICATION_ID}")
            connection.exec_driver_sql(f"PRAGMA user_version = {SCHEMA_VERSION}")
        return cls(path, engine, lock, read_only=False)

    @classmethod
    def open(cls, path: Path | str) -> Notebook:
        """Open a notebook; read-only where the file cannot be written.

        Raises
        ------
        NotebookError
            Where it is missing, no notebook, damaged, of a newer version, or open already.
        """
        path = Path(path)
        if not path.is_file():
            raise NotebookError(f"{path}: there is no such notebook; was it moved?")
        if path.stat().st_size == 0:
            raise NotebookError(f"{path.name}: the file is empty, so it is no notebook")
        read_only = not (os.access(path, os.W_OK) and os.access(path.parent, os.W_OK))
        lock = None if read_only else _take_lock(path)
        kept: Path | None = None
        try:
            version = _check(path)
            if version < SCHEMA_VERSION:
                if read_only:
                    raise NotebookError(
                        f"{path.name} is in an older format and read-only; copy it to where it can be written, "
                        "and open the copy"
                    )
                kept = bring_up_to_date(path, version)
        except NotebookError:
            if lock is not None:
                lock.close()
                Path(lock.name).unlink(missing_ok=True)
            raise
        found = cls(path, _engine(path, read_only), lock, read_only)
        found.kept_before_update = kept
        return found

    def close(self) -> None:
        """Close the file; everything is in it already."""
        self._engine.dispose()
        if self._lock is not None:
            self._lock.close()
            Path(self._lock.name).unlink(missing_ok=True)
            self._lock = None

    def save_copy(self, target: Path | str) -> None:
        """Write a copy of the whole notebook.

        Raises
        ------
        NotebookError
        """
        target = Path(target)
        if target.resolve() == self.path.resolve():
            raise NotebookError("this is the notebook itself; choose another name for the copy")
        partial = target.with_name(target.name + ".part")
        try:
            partial.unlink(missing_ok=True)
            source = sqlite3.connect(f"file:{self.path}?mode=ro", uri=True)
            copy = sqlite3.connect(partial)
            try:
                source.backup(copy)
            finally:
                copy.close()
                source.close()
            partial.replace(target)
        except (OSError, sqlite3.Error) as error:
            partial.unlink(missing_ok=True)
            raise NotebookError(
                f"the copy could not be written to {target.name} ({error}); the notebook itself is untouched"
            ) from None

    # --- reading -------------------------------------------------------------------------------------------------

    @contextmanager
    def session(self) -> Iterator[Session]:
        """A session for reading (or for results that are no edits)."""
        with _plain_errors(self.path), Session(self._engine, expire_on_commit=False) as session:
            yield session

    def studies(self) -> list[Study]:
        """The studies that are not in the bin, oldest first."""
        with self.session() as session:
            return list(session.scalars(select(Study).where(Study.binned_at.is_(None)).order_by(Study.id)))

    def study(self, study_id: int) -> Study:
        """A study with its candidates, mounts, runs, channels, windows and exclusions (not its samples' chunks).

        Raises
        ------
        NotebookError
        """
        mounts = selectinload(Study.candidates).selectinload(Candidate.mounts)
        runs = mounts.selectinload(Mount.runs)
        with self.session() as session:
            found = session.scalars(
                select(Study)
                .where(Study.id == study_id)
                .options(
                    mounts.selectinload(Mount.exclusions),
                    mounts.selectinload(Mount.answers),
                    runs.selectinload(Run.channels),
                    runs.selectinload(Run.windows),
                    runs.selectinload(Run.marks),
                    mounts.selectinload(Mount.sample),
                    selectinload(Study.candidates).selectinload(Candidate.part).selectinload(Part.samples),
                    selectinload(Study.claims),
                )
            ).first()
            if found is None:
                raise NotebookError("this study is no longer in the notebook")
            for candidate in found.candidates:  # the way up, so that no part asks the file again
                for mount in candidate.mounts:
                    set_committed_value(mount, "candidate", candidate)
                    for run in mount.runs:
                        set_committed_value(run, "mount", mount)
            return found

    # --- editing -------------------------------------------------------------------------------------------------

    @contextmanager
    def edit(self, label: str, *, tell: bool = True) -> Iterator[Session]:
        """Change something: all of it is kept at the end, or nothing.

        Parameters
        ----------
        label : str
            What is done, as the Undo menu names it ("leave out Rush, round 2").
        tell : bool
            Whether listeners are told at the end; an edit from a thread of its own tells them later.

        Raises
        ------
        NotebookError
            Where the notebook is read-only or the disk is full.
        """
        if self.read_only:
            raise NotebookError(
                f"{self.path.name} is read-only, so nothing can be changed in it; save a copy and work on that"
            )
        changes: list[journal.Change] = []
        with self.session() as session:
            journal.watch(session, changes)
            yield session
            session.flush()
            if changes:
                session.execute(delete(Edit).where(Edit.undone))
                session.add(Edit(label=label, changes=changes))
                session.flush()
                oldest = session.scalar(select(func.max(Edit.id)))
                session.execute(delete(Edit).where(Edit.id <= (oldest or 0) - _KEPT_EDITS))
            session.commit()
        if tell:
            self.changed()

    def changed(self) -> None:
        """Tell everyone who listens."""
        for listener in list(self.listeners):
            listener()

    @property
    def undo_label(self) -> str | None:
        """What Undo would take back, None for nothing."""
        with self.session() as session:
            return session.scalar(select(Edit.label).where(~Edit.undone).order_by(Edit.id.desc()).limit(1))

    @property
    def redo_label(self) -> str | None:
        """What Redo would do again, None for nothing."""
        with self.session() as session:
            return session.scalar(select(Edit.label).where(Edit.undone).order_by(Edit.id).limit(1))

    def undo(self) -> str | None:
        """Take the last edit back; returns its label."""
        return self._move(select(Edit).where(~Edit.undone).order_by(Edit.id.desc()).limit(1), backwards=True)

    def redo(self) -> str | None:
        """Make the last undone edit again; returns its label."""
        return self._move(select(Edit).where(Edit.undone).order_by(Edit.id).limit(1), backwards=False)

    def _move(self, which: Any, backwards: bool) -> str | None:
        if self.read_only:
            raise NotebookError(f"{self.path.name} is read-only, so nothing can be changed in it")
        with self.session() as session:
            edit = session.scalars(which).first()
            if edit is None:
                return None
            label: str = edit.label
            journal.apply(session, edit.changes, backwards)
            edit.undone = backwards
            session.commit()
        self.changed()
        return label


def _engine(path: Path, read_only: bool) -> Engine:
    if read_only:
        uri = f"file:{path}?mode=ro" + ("" if path.with_name(path.name + "-wal").exists() else "&immutable=1")
        engine = create_engine("sqlite://", creator=lambda: sqlite3.connect(uri, uri=True, check_same_thread=False))
    else:
        engine = create_engine(f"sqlite:///{path}", connect_args={"timeout": 10})

    @event.listens_for(engine, "connect")
    def _pragmas(connection: sqlite3.Connection, _record: object) -> None:
        connection.execute("PRAGMA foreign_keys = ON")
        if not read_only:
            connection.execute("PRAGMA journal_mode = WAL")
            connection.execute("PRAGMA synchronous = NORMAL")

    return engine


def _check(path: Path) -> int:
    """Refuse what is no notebook, damaged, or newer than this Kuffin; returns the format it is in."""
    with path.open("rb") as file:
        head = file.read(100)
    version = SCHEMA_VERSION
    if not head.startswith(b"SQLite format 3\x00"):
        raise NotebookError(f"{path.name}: this is no Kuffin notebook, or its beginning is damaged; try a copy of it")
    try:
        wal = path.with_name(path.name + "-wal").exists()
        connection = sqlite3.connect(f"file:{path}?mode=ro" + ("" if wal else "&immutable=1"), uri=True)
        try:
            if connection.execute("PRAGMA application_id").fetchone()[0] != APPLICATION_ID:
                raise NotebookError(f"{path.name}: this is a database of another program, not a Kuffin notebook")
            version = connection.execute("PRAGMA user_version").fetchone()[0]
            if version > SCHEMA_VERSION:
                raise NotebookError(
                    f"{path.name}: it was written by a newer Kuffin (format {version}, this one knows {SCHEMA_VERSION}); "
                    "update Kuffin to open it"
                )
            # a thorough look at a very large file would keep the person waiting
            large = path.stat().st_size > 300_000_000
            sound = "ok" if large else connection.execute("PRAGMA quick_check(1)").fetchone()[0]
        finally:
            connection.close()
    except sqlite3.Error as error:
        sound = str(error)
    if sound != "ok":
        raise NotebookError(
            f"{path.name}: the notebook is damaged ({sound.splitlines()[0]}); open a copy of it from before. "
            "Nothing was changed in it"
        )
    return version


def _take_lock(path: Path) -> IO[str]:
    lock = path.with_name(f".{path.name}.lock").open("w")
    try:
        fcntl.flock(lock, fcntl.LOCK_EX | fcntl.LOCK_NB)
    except OSError:
        lock.close()
        raise NotebookError(f"{path.name} is open in another Kuffin window; use that one, or close it first") from None
    return lock


@contextmanager
def _plain_errors(path: Path) -> Iterator[None]:
    """Turn the database's errors into sentences."""
    try:
        yield
    except DBAPIError as error:
        text = str(error.orig)
        if "full" in text:
            raise NotebookError(
                f"the disk is full, so the last edit was not kept in {path.name}; make room and do it again"
            ) from None
        if "locked" in text:
            raise NotebookError(f"{path.name} is in use by another program; try again in a moment") from None
        if "readonly" in text or "read-only" in text:
            raise NotebookError(f"{path.name} can no longer be written; check its permissions or save a copy") from None
        if "malformed" in text or "not a database" in text:
            raise NotebookError(f"{path.name} is damaged; open a copy of it from before") from None
        raise NotebookError(f"{path.name}: {text}") from None
