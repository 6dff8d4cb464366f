"""The numbers of a run: chunks in, arrays out."""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray
from sqlalchemy import select
from sqlalchemy.orm import Session, selectinload

from kuffin.core.errors import NotebookError
from kuffin.notebook.entities import Chunk, Run
from kuffin.notebook.store import Notebook

Array = NDArray[np.float64]
ROWS_A_CHUNK = 4096


@dataclass(frozen=True)
class RunData:
    """A run's times (s from its first row) and channels, each of shape (n,)."""

    times: Array
    values: dict[str, Array]
    roles: dict[str, str]  # role -> channel name, the first of each role
    units: dict[str, str | None]

    def role(self, *roles: str) -> Array | None:
        """The channel of the first of these roles that the run has."""
        for role in roles:
            if role in self.roles:
                return self.values[self.roles[role]]
        return None


def write_chunks(session: Session, run: Run, times: Array, columns: list[Array]) -> None:
    """Keep a run's samples; the run must have its id."""
    block = np.column_stack([times, *columns]).astype("<f8")
    for sequence, at in enumerate(range(0, block.shape[0], ROWS_A_CHUNK)):
        part = np.ascontiguousarray(block[at : at + ROWS_A_CHUNK])
        session.add(
            Chunk(run_id=run.id, sequence=sequence, rows=part.shape[0], columns=part.shape[1], data=part.tobytes())
        )


def read_run(notebook: Notebook, run_id: int) -> RunData:
    """All samples of a run.

    Raises
    ------
    NotebookError
    """
    with notebook.session() as session:
        run = session.scalars(select(Run).where(Run.id == run_id).options(selectinload(Run.channels))).first()
        if run is None:
            raise NotebookError("this run is no longer in the notebook")
        chunks = session.execute(
            select(Chunk.rows, Chunk.columns, Chunk.data).where(Chunk.run_id == run_id).order_by(Chunk.sequence)
        ).all()
        if not chunks:
            raise NotebookError(f"the run from {run.source or 'this mount'} holds no samples")
        block = np.concatenate([np.frombuffer(data, "<f8").reshape(rows, columns) for rows, columns, data in chunks])
        roles: dict[str, str] = {}
        for channel in run.channels:
            if channel.role and channel.role not in roles:
                roles[channel.role] = channel.name
        return RunData(
            block[:, 0].copy(),
            {c.name: block[:, c.position + 1].copy() for c in run.channels},
            roles,
            {c.name: c.unit for c in run.channels},
        )
