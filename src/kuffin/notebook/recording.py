"""A run while it is recorded: begun, added to about once a second, ended; a kill loses at most what was not yet added."""

from __future__ import annotations

from collections.abc import Sequence

import numpy as np
from numpy.typing import NDArray
from sqlalchemy import delete, select

from kuffin.logs.table import LogChannel, LogTable
from kuffin.notebook.edits import NewRun, add_logs
from kuffin.notebook.entities import Chunk, Run
from kuffin.notebook.samples import ROWS_A_CHUNK, write_chunks
from kuffin.notebook.store import Notebook

Array = NDArray[np.float64]


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
    """

    def __init__(
        self,
        notebook: Notebook,
        study_id: int,
        candidate: str,
        channels: Sequence[tuple[str, str | None, str, str | None]],
        source: str,
        started_at: str,
    ) -> None:
        self._notebook, self._study_id, self._candidate = notebook, study_id, candidate
        self._channels, self._source, self._started_at = channels, source, started_at
        self._sequence = 0
        self.run_id: int | None = None

    def add(self, block: Array) -> None:
        """Keep rows, shape (rows, 1 + channels), seconds from the run's start first.

        Raises
        ------
        NotebookError
            Where the disk is full or the notebook cannot be written; nothing of the block is kept then.
        """
        if self.run_id is None:
            channels = [
                LogChannel(name, unit, quantity, role, block[:, i].copy(), unit)
                for i, (name, unit, quantity, role) in enumerate(self._channels, 1)
            ]
            table = LogTable(self._source, "", "", "", block[:, 0].copy(), self._started_at, channels, 0)
            (self.run_id,) = add_logs(self._notebook, self._study_id, [NewRun(self._candidate, table)], tell=False)
        else:
            self._append(block, self.run_id)
        self._sequence += 1

    def _append(self, block: Array, run_id: int) -> None:
        data = np.ascontiguousarray(block.astype("<f8"))
        rows, columns = data.shape
        with self._notebook.session() as session:
            session.add(Chunk(run_id=run_id, sequence=self._sequence, rows=rows, columns=columns, data=data.tobytes()))
            run = session.get_one(Run, run_id)
            run.rows += rows
            run.duration_s = float(data[-1, 0])
            session.commit()

    def end(self) -> None:
        """End the run: its many small chunks become a few large ones, and who shows the notebook is told."""
        if self.run_id is None:
            return
        with self._notebook.session() as session:
            chunks = session.execute(
                select(Chunk.rows, Chunk.columns, Chunk.data)
                .where(Chunk.run_id == self.run_id)
                .order_by(Chunk.sequence)
            ).all()
            if len(chunks) > 1 + sum(rows for rows, _, _ in chunks) // ROWS_A_CHUNK:
                block = np.concatenate([np.frombuffer(d, "<f8").reshape(n, m) for n, m, d in chunks])
                session.execute(delete(Chunk).where(Chunk.run_id == self.run_id))
                run = session.get_one(Run, self.run_id)
                write_chunks(session, run, block[:, 0], [block[:, i] for i in range(1, block.shape[1])])
            session.commit()
        self._notebook.changed()
