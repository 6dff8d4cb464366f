"""A run while it is recorded: begun, added to about once a second, ended; a kill loses at most what was not yet added."""

from __future__ import annotations

import threading
from collections.abc import Iterator, Mapping, Sequence
from contextlib import contextmanager, suppress
from dataclasses import dataclass
from typing import NamedTuple

import numpy as np
from numpy.typing import NDArray
from sqlalchemy import delete, func, select

from kuffin.core.base.errors import NoRoomError, NotebookError
from kuffin.core.base.saying import say
from kuffin.core.bench.testsettings import Value
from kuffin.logs.table import LogChannel, LogTable
from kuffin.notebook.edits import NewRun, add_logs
from kuffin.notebook.entities import Chunk, Mark, Run
from kuffin.notebook.samples import ROWS_A_CHUNK, write_chunks
from kuffin.notebook.store import Notebook

Array = NDArray[np.float64]


class ChannelRow(NamedTuple):
    """A channel that is recorded."""

    name: str
    unit: str | None
    quantity: str
    role: str | None
    device: str | None = None


@dataclass(frozen=True, kw_only=True)
class NewMark:
    """A mark that is to be kept; see `kuffin.notebook.entities.Mark`."""

    at_s: float
    kind: str
    text: str
    value: float | None = None
    unit: str = ""


class RunWriter:
    """Writes one run. Its first rows make it, in one edit; later rows are no edits and nobody is told of each.

    Parameters
    ----------
    candidate : str
        The run goes to this candidate's next planned mount, or to a new one.
    channels : sequence of (name, unit, quantity, role)
    source : str
        What recorded it.
    started_at : str
        ISO 8601, on the wall.
    mount_id : int, optional
        The mount that gets the run.
    settings : mapping
        What the bench is told to be run with, as it stands now.
    """

    def __init__(
        self,
        notebook: Notebook,
        study_id: int,
        candidate: str,
        channels: Sequence[ChannelRow],
        source: str,
        started_at: str,
        mount_id: int | None = None,
        settings: Mapping[str, Value] | None = None,
    ) -> None:
        self._notebook, self._study_id, self._candidate, self._mount_id = notebook, study_id, candidate, mount_id
        self.channels, self._source, self.started_at = channels, source, started_at
        self._settings = dict(settings or {})
        self._sequence = 0
        self._waiting: list[NewMark] = []
        # rows come from the keeping thread, and may wait for the file; marks come from any, and never wait
        self._lock, self._noting = threading.RLock(), threading.Lock()
        self._ended = False
        self.run_id: int | None = None

    def begin(self) -> None:
        """From now on the notebook knows that a run is being recorded."""
        self._notebook.recording.add(self.run_id or 0)

    def go_on_with(self, run_id: int) -> None:
        """Add to a run that was cut off, instead of making one."""
        with self._lock, self._notebook.session() as session:
            last = session.scalar(select(func.max(Chunk.sequence)).where(Chunk.run_id == run_id))
            self._sequence = 0 if last is None else last + 1
            self.run_id = run_id

    def add(self, block: Array) -> None:
        """Keep rows, shape (rows, 1 + channels), seconds from the run's start first.

        Raises
        ------
        NotebookError
            Where the disk is full or the notebook cannot be written; nothing of the block is kept then.
        """
        with self._lock, self._own_words():
            self._add(block)

    def _add(self, block: Array) -> None:
        if self.run_id is None:
            channels = [
                LogChannel(
                    name=c.name,
                    unit=c.unit,
                    quantity=c.quantity,
                    role=c.role,
                    values=block[:, i].copy(),
                    written_unit=c.unit,
                    device=c.device,
                )
                for i, c in enumerate(self.channels, 1)
            ]
            table = LogTable(
                file=self._source,
                encoding="",
                delimiter="",
                decimal="",
                times=block[:, 0].copy(),
                start=self.started_at,
                channels=channels,
                dropped_rows=0,
            )
            new = NewRun(
                candidate=self._candidate, table=table, mount_id=self._mount_id, closed=False, settings=self._settings
            )
            label = say("record a run of {candidate}", candidate=self._candidate)
            (self.run_id,) = add_logs(self._notebook, self._study_id, [new], tell=False, label=label)
            self._notebook.recording.add(self.run_id)
        else:
            self._append(block, self.run_id)
        self._sequence += 1
        self._keep_waiting()

    @contextmanager
    def _own_words(self) -> Iterator[None]:
        """A full disk, as it is said of a recording: nothing has to be done again."""
        try:
            yield
        except NoRoomError:
            raise NoRoomError("the disk that {name} is on is full", name=self._notebook.path.name) from None

    def mark(self, mark: NewMark) -> None:
        """Note a mark; it is kept with the next rows, or by `keep_marks`. Never waits, but for one after the run's end."""
        with self._noting:
            self._waiting.append(mark)
        if self._ended:
            self.keep_marks()

    def keep_marks(self) -> None:
        """Keep the marks that wait; on a full disk they wait on."""
        with self._lock:
            self._keep_waiting()

    def _keep_waiting(self) -> None:
        if self.run_id is None or not self._waiting:
            return
        with suppress(NotebookError):
            self._keep_noted()

    def _keep_noted(self) -> None:
        with self._noting:
            waiting, self._waiting = self._waiting, []
        try:
            if waiting and self.run_id is not None:
                add_marks(self._notebook, self.run_id, waiting)
        except BaseException:
            with self._noting:
                self._waiting = waiting + self._waiting
            raise

    def _append(self, block: Array, run_id: int) -> None:
        data = np.ascontiguousarray(block.astype("<f8"))
        rows, columns = data.shape
        with self._notebook.writing() as session:
            session.add(Chunk(run_id=run_id, sequence=self._sequence, rows=rows, columns=columns, data=data.tobytes()))
            run = session.get_one(Run, run_id)
            run.rows += rows
            run.duration_s = float(data[-1, 0])

    def end(self, tell: bool = True, closed: bool = True) -> None:
        """End the run: it counts from now on, unless it is left open, to be gone on with.

        Raises
        ------
        NotebookError
            Where that cannot be written; it may be tried again.
        """
        with self._lock:
            if self.run_id is not None:
                with self._own_words():
                    self._keep_noted()
                    if closed:
                        close_run(self._notebook, self.run_id, tell)
            self.let_go()

    def let_go(self) -> None:
        """It is no longer recorded; where it was not ended, it is as one that was cut off."""
        self._ended = True
        self._notebook.recording -= {0, self.run_id or 0}


def add_marks(notebook: Notebook, run_id: int, marks: Sequence[NewMark]) -> None:
    """Keep marks of a run. They come with the recording, so they are no edits."""
    with notebook.writing() as session:
        for m in marks:
            session.add(Mark(run_id=run_id, at_s=m.at_s, kind=m.kind, text=m.text, value=m.value, unit=m.unit))


def close_run(notebook: Notebook, run_id: int, tell: bool = True) -> None:
    """Close a run that was recorded, or cut off: its many small chunks become a few large ones, and it counts.

    Parameters
    ----------
    tell : bool
        Whether who shows the notebook is told; not from a thread of its own.
    """
    with notebook.writing() as session:
        run = session.get_one(Run, run_id)
        chunks = session.execute(
            select(Chunk.rows, Chunk.columns, Chunk.data).where(Chunk.run_id == run_id).order_by(Chunk.sequence)
        ).all()
        if len(chunks) > 1 + sum(rows for rows, _, _ in chunks) // ROWS_A_CHUNK:
            block = np.concatenate([np.frombuffer(d, "<f8").reshape(n, m) for n, m, d in chunks])
            session.execute(delete(Chunk).where(Chunk.run_id == run_id))
            write_chunks(session, run, block[:, 0], [block[:, i] for i in range(1, block.shape[1])])
        run.closed = True
    if tell:
        notebook.changed()


def reopen_run(notebook: Notebook, run_id: int) -> None:
    """Open a run that was stopped, to go on with it; until it is closed again it does not count."""
    with notebook.writing() as session:
        session.get_one(Run, run_id).closed = False
    notebook.changed()


def comment_on(notebook: Notebook, run_id: int, comment: str) -> None:
    """Write a comment on a run, under what was written before."""
    with notebook.edit("comment on a run") as session:
        run = session.get_one(Run, run_id)
        run.note = f"{run.note}\n{comment.strip()}".strip()


def cut_off_runs(notebook: Notebook, study_id: int) -> list[Run]:
    """Runs of a study that are still open: being recorded, or cut off by a kill or a power loss."""
    study = notebook.study(study_id)
    return [m.open_run for c in study.live_candidates for m in c.live_mounts if m.open_run is not None]
