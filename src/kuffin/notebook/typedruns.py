"""Figures that a person typed, kept as a run of a mount."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass, field

import numpy as np

from kuffin.core.base.errors import NotebookError
from kuffin.core.base.saying import say
from kuffin.core.base.units import canonical_unit
from kuffin.core.bench.roles import ROLES, cannot_be
from kuffin.logs.table import LogChannel, LogTable
from kuffin.notebook.edits import NewRun, add_logs
from kuffin.notebook.entities import Mark
from kuffin.notebook.store import Notebook

SOURCE = "typed from a screen"


@dataclass(frozen=True, kw_only=True)
class TypedFigure:
    """One figure, in its role's canonical unit.

    Attributes
    ----------
    resolution : float
        The step of its last digit.
    name : str
        What it is called; blank: as its role.
    """

    role: str
    value: float
    resolution: float
    name: str = ""
    device: str | None = None


@dataclass(frozen=True, kw_only=True)
class TypedRun:
    """What was typed of one mount under one condition.

    Attributes
    ----------
    minutes : float or None
        Since the load began; None: not told.
    round, mount_id : as in `NewRun`
    numbers : sequence of (name, value, unit)
        What else was told: a score, a rate.
    """

    candidate: str
    figures: Sequence[TypedFigure]
    minutes: float | None = None
    condition: str = ""
    round: int | None = None
    mount_id: int | None = None
    settings: Mapping[str, float | str] = field(default_factory=dict)
    numbers: Sequence[tuple[str, float, str]] = ()


def add_typed(notebook: Notebook, study_id: int, runs: Sequence[TypedRun]) -> list[int]:
    """Keep what was typed, all in one edit; returns the runs' ids.

    Raises
    ------
    NotebookError
        Without a figure, with one that cannot be, or with a step of nought.
    """
    kept = []
    for run in runs:
        if not run.figures and not run.numbers:
            raise NotebookError(
                "nothing was typed of {what}; type at least one figure", what=run.candidate or "the mount"
            )
        if run.minutes is not None and not 0 < run.minutes < 1e5:
            raise NotebookError(
                "{minutes:g} min since the load began cannot be; leave it open if nobody looked", minutes=run.minutes
            )
        kept.append(
            NewRun(
                run.candidate,
                _table(run),
                roles={n: f.role for n, f in _named(run.figures)},
                round=run.round,
                mount_id=run.mount_id,
                condition=run.condition,
                settings=dict(run.settings),
            )
        )
    label = "type readings" if len(runs) == 1 else say("type readings of {n} mounts", n=len(runs))
    with notebook.one_step(label):
        ids = add_logs(notebook, study_id, kept, label=label)
        if any(run.numbers for run in runs):
            with notebook.edit(label) as session:
                for run_id, run in zip(ids, runs, strict=True):
                    at_s = 60 * (run.minutes or 0.0)
                    for name, value, unit in run.numbers:
                        session.add(Mark(run_id=run_id, at_s=at_s, kind="value", text=name, value=value, unit=unit))
    return ids


def _named(figures: Sequence[TypedFigure]) -> list[tuple[str, TypedFigure]]:
    """Every figure with a name of its own."""
    out: dict[str, TypedFigure] = {}
    for f in figures:
        name = f.name or ROLES[f.role].label.capitalize()
        n = 2
        while name in out:
            name, n = f"{f.name or ROLES[f.role].label.capitalize()} {n}", n + 1
        out[name] = f
    return list(out.items())


def _table(run: TypedRun) -> LogTable:
    channels = []
    for name, f in _named(run.figures):
        if not f.resolution > 0:
            raise NotebookError("{name}: the step of its last digit must be above 0", name=name)
        if cannot_be(f.role, f.value):
            raise NotebookError(
                "{name} cannot be {value:g} {canonical_unit}; look at it again",
                name=name,
                value=f.value,
                canonical_unit=canonical_unit(ROLES[f.role].quantity),
            )
        unit = canonical_unit(ROLES[f.role].quantity)
        channels.append(
            LogChannel(
                name=name,
                unit=unit,
                quantity=ROLES[f.role].quantity,
                role=f.role,
                values=np.array([f.value]),
                written_unit=unit,
                device=f.device,
                resolution=f.resolution,
            )
        )
    return LogTable(
        file=SOURCE,
        encoding="",
        delimiter="",
        decimal="",
        times=np.array([60 * (run.minutes or 0.0)]),
        start=None,
        channels=channels,
        dropped_rows=0,
    )
