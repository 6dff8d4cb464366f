"""The numbers of a run: chunks in, arrays out."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass, replace
from typing import Any

import numpy as np
from numpy.typing import NDArray
from sqlalchemy import select
from sqlalchemy.orm import Session, selectinload

from kuffin.core.base.clocklag import onto
from kuffin.core.base.errors import NotebookError
from kuffin.core.bench.devices import ChannelRole, Cooled, Whose, whose
from kuffin.notebook.entities import Bench, Candidate, Chunk, Mount, Run, Study
from kuffin.notebook.store import Notebook

Array = NDArray[np.float64]
ROWS_A_CHUNK = 4096
_LARGEST = 1e15  # of a reading


@dataclass(frozen=True)
class WallPower:
    """What was told of power read at the wall: what everything else draws, W, and the supply's efficiency, a share.

    Without it the wall's power stands as it is.
    """

    idle_w: float = 0.0
    efficiency: float = 1.0

    def of_part(self, at_wall: Array) -> Array:
        """The power of the part under test, as far as that is told."""
        return np.asarray((at_wall - self.idle_w) * self.efficiency, float)


def wall_power(settings: Mapping[str, Any]) -> WallPower | None:
    """What a bench's settings tell of power read at the wall; None where they tell nothing."""
    idle, percent = settings.get("wall_idle_w"), settings.get("wall_efficiency_percent")
    return None if not idle and not percent else WallPower(float(idle or 0.0), float(percent or 100.0) / 100)


@dataclass(frozen=True, kw_only=True)
class RunData:
    """A run's times (s from its first row) and channels, each of shape (n,)."""

    times: Array
    values: dict[str, Array]
    roles: dict[str, str]  # role -> channel name, the first of each role
    units: dict[str, str | None]
    channels: tuple[ChannelRole, ...] = ()  # every channel with its role, and whose it is
    wall: WallPower | None = None
    whose: Whose | None = None  # whose channels speak, where that has been looked at

    def between(self, begin_s: float, end_s: float) -> RunData:
        """The samples from a time up to another (without it), on the same clock."""
        a, b = np.searchsorted(self.times, [begin_s, end_s])
        cut = {name: x[a:b] for name, x in self.values.items()}
        return replace(self, times=self.times[a:b], values=cut)

    def about(self, cooled: Cooled) -> RunData:
        """The same with those channels speaking that are the bench's, or the device's that is asked about."""
        found = whose(self.whose.every if self.whose is not None else self.channels, cooled)
        return replace(self, channels=found.channels, roles=_first_of_each(found.channels), whose=found)

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
    """All samples of a run, with those of further logs that were joined to it, on its own clock.

    Raises
    ------
    NotebookError
    """
    with notebook.session() as session:
        run = session.scalars(select(Run).where(Run.id == run_id).options(selectinload(Run.channels))).first()
        if run is None:
            raise NotebookError("this run is no longer in the notebook")
        times, values, units, channels = own_samples(session, run)
        further = select(Run).where(Run.joins_id == run_id, Run.binned_at.is_(None)).options(selectinload(Run.channels))
        for other in session.scalars(further.order_by(Run.id)):
            other_times, other_values, other_units, other_channels = own_samples(session, other)
            for one in other_channels:
                free = one.name if one.name not in values else f"{one.name} ({other.source or 'second log'})"
                values[free] = onto(times, other_times + other.lag_s, other_values[one.name])
                units[free] = other_units[one.name]
                channels.append(one._replace(name=free))
        bench_id = session.scalar(select(Study.bench_id).join(Candidate).join(Mount).where(Mount.id == run.mount_id))
        bench = session.get(Bench, bench_id) if bench_id is not None else None
        wall = wall_power(bench.settings) if bench is not None else None
    return RunData(
        times=times, values=values, roles=_first_of_each(channels), units=units, channels=tuple(channels), wall=wall
    )


def _first_of_each(channels: Sequence[ChannelRole]) -> dict[str, str]:
    roles: dict[str, str] = {}
    for c in channels:
        if c.role:
            roles.setdefault(c.role, c.name)
    return roles


def read_own(notebook: Notebook, run_id: int) -> tuple[Array, dict[str, Array], dict[str, str | None]]:
    """A log's own times, values and units by channel, on its own clock: for what must not be brought to another (frame times)."""
    with notebook.session() as session:
        run = session.scalars(select(Run).where(Run.id == run_id).options(selectinload(Run.channels))).one()
        times, values, units, _ = own_samples(session, run)
        return times, values, units


_Own = tuple[Array, dict[str, Array], dict[str, str | None], list[ChannelRole]]


def own_samples(session: Session, run: Run) -> _Own:
    """A run's own times, values, units and channels with their roles."""
    chunks = session.execute(
        select(Chunk.rows, Chunk.columns, Chunk.data).where(Chunk.run_id == run.id).order_by(Chunk.sequence)
    ).all()
    if not chunks:
        raise NotebookError("the run from {what} holds no samples", what=run.source or "this mount")
    block = np.concatenate([np.frombuffer(data, "<f8").reshape(rows, columns) for rows, columns, data in chunks])
    block = np.where(np.abs(block) < _LARGEST, block, np.nan)  # endless ones are missing
    if not np.isfinite(block[:, 0]).all() or np.any(np.diff(block[:, 0]) < 0):
        raise NotebookError("the times of the run from {what} are damaged", what=run.source[:60] or "this mount")
    return (
        block[:, 0].copy(),
        {c.name: block[:, c.position + 1].copy() for c in run.channels},
        {c.name: c.unit for c in run.channels},
        [ChannelRole(c.name, c.role, c.device) for c in run.channels],
    )
