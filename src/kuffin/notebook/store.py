"""The notebook file: opening, closing, copying, edits, undo and redo."""

from __future__ import annotations

import os
import sqlite3
import threading
from collections.abc import Callable, Iterator
from contextlib import contextmanager
from pathlib import Path
from typing import Any

from sqlalchemy import func, select
from sqlalchemy.orm import Session, selectinload
from sqlalchemy.orm.attributes import set_committed_value

from kuffin.core.base.errors import KuffinError, NotebookError
from kuffin.core.base.wholefile import sweep
from kuffin.notebook import journal
from kuffin.notebook.database import Database, copy_database
from kuffin.notebook.door import beside, clear_beside, read_format
from kuffin.notebook.entities import SCHEMA_VERSION, Candidate, Edit, Mount, Part, Run, Study
from kuffin.notebook.heldfile import HeldFile, is_open
from kuffin.notebook.mending import Damage, look_over, mend, reading, words
from kuffin.notebook.migrations import bring_up_to_date
from kuffin.notebook.plainerrors import plain_errors
from kuffin.notebook.rescue import moved_words, rescue_place, rescued_words

SUFFIX = ".kuffin"


class Notebook:
    """An open notebook.

    Every edit is a transaction of its own: it is kept when made, or nothing of it is. Callables in `listeners` are
    called after each.

    Attributes
    ----------
    path : Path
        Where it is; another one after it was moved, or rescued.
    kept_before_update : Path or None
        The file in its older format, where it was brought up to date.
    damaged, as_it_was : list of str, Path or None
        What was damaged and is set aside, in words, and where the file is as it was.
    recording : set of int
        The runs that are being recorded into it now; 0 for one that has no rows yet.
    news : list of str
        What happened to the file meanwhile; whoever shows the notebook takes it from here and tells it.
    """

    def __init__(self, path: Path, database: Database, file: HeldFile | None) -> None:
        self.path = path
        self.listeners: list[Callable[[], None]] = []
        self.kept_before_update: Path | None = None
        self.damaged: list[str] = []
        self.as_it_was: Path | None = None
        self.recording: set[int] = set()
        self.news: list[str] = []
        self._database = database
        self._file = file
        self._steps = 0
        self._writing = threading.RLock()  # one write at a time, whatever thread it comes from
        self._switching = threading.RLock()  # nobody begins to read while another file takes its place

    @property
    def read_only(self) -> bool:
        """Whether nothing can be changed in it."""
        return self._database.read_only

    # --- opening and closing -------------------------------------------------------------------------------------

    @classmethod
    def create(cls, path: Path | str) -> Notebook:
        """Make a new notebook; refuses to write over a file.

        Raises
        ------
        NotebookError
        """
        path = Path(path)
        try:
            os.close(os.open(path, os.O_CREAT | os.O_EXCL | os.O_WRONLY, 0o666))
        except FileExistsError:
            raise NotebookError(
                "{name}: there is a file of this name already; choose another name", name=path.name
            ) from None
        except OSError as error:
            raise NotebookError(
                "{name}: cannot be written there ({strerror}); choose another folder",
                name=path.name,
                strerror=error.strerror,
            ) from None
        file = HeldFile.hold(path)
        try:
            with plain_errors(path):
                database = Database(file.path)
                database.make()
        except NotebookError:
            file.release()
            path.unlink(missing_ok=True)  # it holds nothing yet
            raise
        return cls(file.path, database, file)

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
            raise NotebookError("{path}: there is no such notebook; was it moved?", path=path)
        path = path.resolve()
        sweep(path.parent)
        read_only = not (os.access(path, os.W_OK) and os.access(path.parent, os.W_OK))
        file = None if read_only else HeldFile.hold(path)
        kept: Path | None = None
        try:
            version = read_format(path)
            if version < SCHEMA_VERSION:
                if file is None:
                    raise NotebookError(
                        "{name} is in an older format and read-only; copy it to where it can be written, and open the copy",
                        name=path.name,
                    )
                kept = bring_up_to_date(path, version)
                file.release()
                file = HeldFile.hold(path)
            damage = cls._look_over(path)
            as_it_was = None
            if damage.said:
                if file is None:
                    raise NotebookError(
                        "{name} is damaged ({said}) and read-only; copy it to where it can be written, and open the copy: what is sound of it will work",
                        name=path.name,
                        said=damage.said[0],
                    )
                as_it_was = mend(path, damage)
                file.release()
                file = HeldFile.hold(path)
            with plain_errors(path):
                found = cls(path, Database(path, read_only), file)
        except NotebookError:
            if file is not None:
                file.release()
            raise
        found.kept_before_update = kept
        found.damaged, found.as_it_was = words(damage.said), as_it_was
        return found

    @staticmethod
    def _look_over(path: Path) -> Damage:
        try:
            db = reading(path, immutable=not beside(path, "-wal").exists())
            db.limit_time(60.0)
            try:
                return look_over(db)
            finally:
                db.close()
        except (sqlite3.Error, OverflowError) as error:
            raise NotebookError(
                "{name}: the notebook is damaged ({error}); open a copy of it from before. Nothing was changed in it",
                name=path.name,
                error=error,
            ) from None

    def close(self) -> None:
        """Close the file; everything is in it already."""
        self._database.close()
        if self._file is not None:
            self._file.release()

    def save_copy(self, target: Path | str) -> None:
        """Write a copy of the whole notebook.

        Raises
        ------
        NotebookError
        """
        target = Path(target)
        if target.exists() and self.path.exists() and target.samefile(self.path):
            raise NotebookError("this is the notebook itself; choose another name for the copy")
        if is_open(target):
            raise NotebookError("{name} is open in a Kuffin window; choose another name for the copy", name=target.name)
        try:
            copy_database(self._database.raw, target)
        except KuffinError as error:
            raise NotebookError("the copy: {error}; the notebook itself is untouched", error=error) from None

    # --- where it is ----------------------------------------------------------------------------------------------

    def look_after(self, wait: bool = True) -> None:
        """See that the file is where it was. A moved one is followed; a deleted or replaced one is rescued into a new file.

        It is called before every write, and now and then by whoever shows the notebook; `news` has what happened.

        Parameters
        ----------
        wait : bool
            Whether to wait where something is being written just now. Who shows the notebook does not: the writer looks
            after the file as well.

        Raises
        ------
        NotebookError
            Where neither is possible; nothing is written then.
        """
        if not self._writing.acquire(blocking=wait):
            return
        try:
            self._follow_file()
        finally:
            self._writing.release()

    def _follow_file(self) -> None:
        if self._file is None or self._file.in_place:
            return
        before, there = self.path, self._file.now_at()
        replaced = before.exists()
        try:
            with self._switching:
                self._database.wait_for_readers()
                if there is not None:
                    self._database.settle()
                    self._file.path = there
                    words = moved_words(before, there)
                else:
                    there = rescue_place(before)
                    copy_database(self._database.raw, there)
                    self._database.settle()  # nothing of this one is left beside the other
                    new = HeldFile.hold(there)
                    self._file.release()
                    self._file = new
                    words = rescued_words(before, there, replaced)
                self._database.close()
                self._database, self.path = Database(there), there
        except (KuffinError, OSError, sqlite3.Error) as error:
            raise NotebookError(
                "“{name}” is no longer in {parent}, and could not be kept elsewhere ({error}). Nothing is written until it can: put it back, or save a copy now",
                name=before.name,
                parent=before.parent,
                error=error,
            ) from None
        if not replaced:
            clear_beside(before)
        self.news.append(words)

    # --- reading -------------------------------------------------------------------------------------------------

    @contextmanager
    def session(self) -> Iterator[Session]:
        """A session for reading."""
        with plain_errors(self.path):
            with self._switching:
                session = Session(self._database.engine, expire_on_commit=False)
                session.connection()
            with session:
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

    # --- writing -------------------------------------------------------------------------------------------------

    @contextmanager
    def writing(self) -> Iterator[Session]:
        """A session for what is written and is no edit (samples as they come, results); all is kept at the end, or nothing.

        Raises
        ------
        NotebookError
            Where the notebook is read-only, gone, or the disk is full.
        """
        if self.read_only:
            raise NotebookError(
                "{name} is read-only, so nothing can be changed in it; save a copy and work on that",
                name=self.path.name,
            )
        with self._writing:
            self.look_after()
            with self.session() as session:
                yield session
                session.commit()

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
        changes: list[journal.Change] = []
        with self.writing() as session:
            journal.watch(session, changes)
            yield session
            session.flush()
            if changes:
                journal.keep(session, label, changes)
        if tell and not self._steps:
            self.changed()

    @contextmanager
    def one_step(self, label: str, *, tell: bool = True) -> Iterator[None]:
        """Let several edits be one step for Undo, under one name; listeners are told at its end, not of each."""
        with self._writing:
            with self.session() as session:
                last = session.scalar(select(func.max(Edit.id))) or 0
            self._steps += 1
            try:
                yield
            finally:
                self._steps -= 1
                with self.writing() as session:
                    journal.merge(session, last, label)
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
        """Take the last edit back; returns its label.

        Raises
        ------
        NotebookError
            Also where it is the run that is being recorded.
        """
        return self._move(select(Edit).where(~Edit.undone).order_by(Edit.id.desc()).limit(1), backwards=True)

    def redo(self) -> str | None:
        """Make the last undone edit again; returns its label."""
        return self._move(select(Edit).where(Edit.undone).order_by(Edit.id).limit(1), backwards=False)

    def _move(self, which: Any, backwards: bool) -> str | None:
        with self.writing() as session:
            edit = session.scalars(which).first()
            if edit is None:
                return None
            label: str = edit.label
            if backwards and self.recording & journal.runs_made(edit.changes):
                raise NotebookError("the run is being recorded; stop it on the Run desk first")
            journal.apply(session, edit.changes, backwards)
            edit.undone = backwards
        self.changed()
        return label
