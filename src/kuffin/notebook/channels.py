"""What the columns of logs are, and whose: kept with a run, remembered for logs of the same shape, mended afterwards."""

from __future__ import annotations

from collections.abc import Mapping as MappingType
from dataclasses import dataclass, field

from sqlalchemy import select
from sqlalchemy.orm import Session, selectinload

from kuffin.core.bench.roles import ROLES
from kuffin.logs.table import LogTable
from kuffin.notebook.entities import Channel, Mapping, Run
from kuffin.notebook.store import Notebook


@dataclass(frozen=True)
class Remembered:
    """What a person chose for logs of one shape: roles and devices by channel, and units where the log's were changed."""

    roles: dict[str, str | None]
    units: dict[str, str | None]
    devices: dict[str, str | None] = field(default_factory=dict)


def remember(session: Session, shape: str, told: Remembered) -> None:
    """Keep what a person chose for logs of one shape."""
    known = session.scalars(select(Mapping).where(Mapping.shape == shape)).first()
    if known is None:
        session.add(Mapping(shape=shape, roles=told.roles, units=told.units, devices=told.devices))
    elif Remembered(known.roles, known.units, known.devices) != told:
        known.roles, known.units, known.devices = told.roles, told.units, told.devices


def remembered(notebook: Notebook, shape: str) -> Remembered | None:
    """What the person chose for logs of this shape, None where there was none yet."""
    with notebook.session() as session:
        known = session.scalars(select(Mapping).where(Mapping.shape == shape)).first()
        return None if known is None else Remembered(dict(known.roles), dict(known.units), dict(known.devices))


def keep_channels(
    session: Session,
    run_id: int,
    table: LogTable,
    roles: MappingType[str, str | None],
    devices: MappingType[str, str | None],
) -> None:
    """Keep what a log's columns are: what was said of them, else the guesses."""
    for position, c in enumerate(table.channels):
        role, device = roles.get(c.name, c.role), devices.get(c.name, c.device)
        session.add(
            Channel(
                run_id=run_id,
                position=position,
                name=c.name,
                unit=c.unit,
                quantity=c.quantity,
                role=role,
                device=device if role in ROLES and ROLES[role].of_device else None,
                resolution=c.resolution,
            )
        )


def set_roles(
    notebook: Notebook,
    run_id: int,
    roles: MappingType[str, str | None],
    alike: bool = False,
    devices: MappingType[str, str | None] | None = None,
) -> int:
    """Say what a run's channels are, and whose, all in one edit; returns in how many runs something changed.

    Parameters
    ----------
    alike : bool
        Also in the notebook's other runs with the same channels; what is said is then remembered for logs to come.
    """
    whose = devices or {}
    with notebook.edit("say what the channels are") as session:
        run = session.get_one(Run, run_id)
        runs = [run]
        if alike:
            names = {(c.name, c.unit) for c in run.channels}
            others = session.scalars(
                select(Run).where(Run.id != run_id, Run.binned_at.is_(None)).options(selectinload(Run.channels))
            )
            runs += [r for r in others if {(c.name, c.unit) for c in r.channels} == names]
        changed = 0
        for each in runs:
            before = [(c.role, c.device) for c in each.channels]
            for channel in each.channels:
                channel.role = roles.get(channel.name, channel.role)
                channel.device = whose.get(channel.name, channel.device)
            changed += before != [(c.role, c.device) for c in each.channels]
        if alike:
            for known in session.scalars(select(Mapping)):
                if set(known.roles) == {c.name for c in run.channels}:
                    known.roles, known.devices = {**known.roles, **roles}, {**known.devices, **whose}
        return changed
