"""A log that is in a study already: one recording is one mount, whatever its file is called."""

from __future__ import annotations

import numpy as np
from sqlalchemy import select
from sqlalchemy.orm import Session, selectinload

from kuffin.logs.table import LogTable
from kuffin.notebook.entities import Candidate, Mount, Run
from kuffin.notebook.samples import own_samples


def twin_of(session: Session, study_id: int, table: LogTable) -> str | None:
    """The run of a study that holds the very samples of a log, whatever its file or channels are called; None: it is new."""
    alike = session.scalars(
        select(Run)
        .join(Mount)
        .join(Candidate)
        .where(
            Candidate.study_id == study_id,
            Candidate.binned_at.is_(None),
            Mount.binned_at.is_(None),
            Run.binned_at.is_(None),
            Run.rows == table.rows,
        )
        .options(selectinload(Run.mount).selectinload(Mount.candidate), selectinload(Run.channels))
    ).all()
    for run in alike:
        if abs(run.duration_s - table.duration_s) > 1e-6:
            continue
        _, values, _, _ = own_samples(session, run)
        # a channel that stands still, or holds nothing, is in many logs
        telling = [
            c.values
            for c in table.channels
            if np.isfinite(c.values).any() and np.nanmax(c.values) > np.nanmin(c.values)
        ]
        same = sum(any(np.array_equal(x, v, equal_nan=True) for v in values.values()) for x in telling)
        if same and same >= 0.8 * min(len(telling), len(values)):
            return f"{run.mount.candidate.name}, round {run.mount.round}"
    return None
