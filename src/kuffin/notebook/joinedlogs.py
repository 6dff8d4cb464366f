"""Further logs of a run: joined to it by their lag, kept as they came, and taken apart again."""

from __future__ import annotations

from collections.abc import Mapping

from kuffin.core.base.errors import NotebookError
from kuffin.core.base.saying import say
from kuffin.logs.table import LogTable
from kuffin.notebook.channels import keep_channels
from kuffin.notebook.entities import Run
from kuffin.notebook.samples import write_chunks
from kuffin.notebook.store import Notebook


def join_log(
    notebook: Notebook,
    run_id: int,
    table: LogTable,
    roles: Mapping[str, str | None],
    lag_s: float,
    devices: Mapping[str, str | None] | None = None,
) -> int:
    """Join a log to a run; returns the id it is kept under.

    Parameters
    ----------
    roles, devices : mapping of channel name to role, and to device
    lag_s : float
        Added to the log's times, they stand on the run's clock.

    Raises
    ------
    NotebookError
        Where the run is itself a further log, or is no longer there.
    """
    with notebook.edit(say("join {file}", file=table.file)) as session:
        base = session.get(Run, run_id)
        if base is None or base.joins_id is not None:
            raise NotebookError("a log is joined to a run of a mount; choose one on the loom")
        run = Run(
            mount_id=base.mount_id,
            joins_id=run_id,
            lag_s=float(lag_s),
            source=table.file,
            started_at=table.start,
            rows=table.rows,
            duration_s=table.duration_s,
            warnings=list(table.warnings),
        )
        session.add(run)
        session.flush()
        keep_channels(session, run.id, table, roles, devices or {})
        write_chunks(session, run, table.times, [c.values for c in table.channels])
        return run.id


def set_lag(notebook: Notebook, run_id: int, lag_s: float) -> None:
    """Move a joined log along the run's clock."""
    with notebook.edit("move the joined log") as session:
        session.get_one(Run, run_id).lag_s = float(lag_s)
