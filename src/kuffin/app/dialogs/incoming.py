"""A log that is about to be added: Kuffin's guesses, and what the person makes of them."""

from __future__ import annotations

import datetime as dt
from collections.abc import Sequence
from dataclasses import dataclass, field

import numpy as np
from PySide6.QtWidgets import QComboBox

from kuffin.app.widgets.choice import Choice
from kuffin.core.base.language import tr
from kuffin.core.base.units import shown
from kuffin.core.bench.devices import USUAL_DEVICES, ChannelRole
from kuffin.core.bench.roles import ROLES, cannot_be
from kuffin.core.bench.testsettings import Value
from kuffin.logs.channelguess import may_be_clock
from kuffin.logs.table import LogChannel, LogTable, take_guesses
from kuffin.notebook.channels import Remembered
from kuffin.notebook.placing import MountChoice

UNITS = (
    "",
    "°C",
    "°F",
    "K",
    "W",
    "kW",
    "L/h",
    "L/min",
    "gph",
    "rpm",
    "MHz",
    "GHz",
    "%",
    "dBA",
    "kPa",
    "mbar",
    "bar",
    "psi",
    "V",
    "A",
    "s",
    "ms",
)


@dataclass(kw_only=True)
class Incoming:
    """A log that is about to be added.

    Attributes
    ----------
    mount : MountChoice or None
        Which mount it is a test of; None: the person has to say.
    condition : str
        What it was tested under; blank: its mount has one test only.
    settings : dict
        What it was run with, as far as the person tells it.
    shape : str
        That of the file, whatever is changed here.
    """

    table: LogTable
    candidate: str = ""
    mount: MountChoice | None = None
    condition: str = ""
    settings: dict[str, Value] = field(default_factory=dict)
    roles: dict[str, str | None] = field(default_factory=dict)
    devices: dict[str, str | None] = field(default_factory=dict)
    units: dict[str, str | None] = field(default_factory=dict)
    shape: str = ""
    remembered: bool = False

    @property
    def channels(self) -> tuple[ChannelRole, ...]:
        """Its channels as they stand now."""
        return tuple(
            ChannelRole(n, r, self.devices.get(n) if r in ROLES and ROLES[r].of_device else None)
            for n, r in self.roles.items()
        )

    def overlaps(self, other: Incoming) -> bool:
        """Whether another log of the same mount was recorded at the same time, which two tests cannot be."""
        if self.mount is None or (self.candidate, self.mount) != (other.candidate, other.mount):
            return False
        if not self.table.start or not other.table.start:
            return False
        mine, its = (dt.datetime.fromisoformat(t.table.start or "") for t in (self, other))
        ends = [begin + dt.timedelta(seconds=t.table.duration_s) for begin, t in ((mine, self), (its, other))]
        return mine < ends[1] and its < ends[0]

    def doubts(self) -> list[str]:
        """Readings that cannot be, as the roles stand: a die at 4,700 °C is none."""
        out = []
        for channel in self.table.channels:
            role = self.roles.get(channel.name)
            middle = float(np.nanmedian(channel.values))
            if role is not None and cannot_be(role, middle):
                unit = f" {shown(channel.unit)}" if channel.unit else ""
                out.append(
                    tr(
                        "“{name}” reads {middle:,.0f}{unit}: that is no {label}{perhaps}",
                        name=channel.name,
                        middle=middle,
                        unit=unit,
                        label=tr(ROLES[role].label),
                        perhaps=_perhaps(channel, middle),
                    )
                )
        return out

    def set_unit(self, name: str, text: str | None) -> None:
        """Take the person's word for the unit that a column was written in."""
        for i, channel in enumerate(self.table.channels):
            if channel.name == name and (text or None) != channel.written_unit:
                self.table.channels[i] = channel.written_in(text)
                take_guesses(self.table.channels)
                self.units[name] = text or None
                if self.roles.get(name) is None:
                    self.roles[name], self.devices[name] = self.table.channels[i].role, self.table.channels[i].device


def _perhaps(channel: LogChannel, middle: float) -> str:
    """What else a channel may be that reads so."""
    if channel.unit is not None and channel.quantity != "temperature":
        return ""
    return tr("; a clock?") if may_be_clock(middle) else ""


def incoming(table: LogTable, known: Remembered | None) -> Incoming:
    """A log with Kuffin's guesses, or with what was chosen for its like before."""
    log = Incoming(
        table=table,
        roles={c.name: c.role for c in table.channels},
        devices={c.name: c.device for c in table.channels},
        shape=table.shape_key,
        remembered=known is not None,
    )
    if known is not None:
        for name, unit in known.units.items():
            log.set_unit(name, unit)
        log.roles |= {k: v for k, v in known.roles.items() if k in log.roles}
        log.devices |= {k: v for k, v in known.devices.items() if k in log.devices}
    return log


def unit_box(channel: LogChannel) -> QComboBox:
    """A choice of units, or any other written in."""
    box = Choice()
    box.setEditable(True)
    box.addItems(UNITS)
    box.setCurrentText(channel.written_unit or "")
    line = box.lineEdit()
    if line is not None:
        line.setPlaceholderText(tr("no unit"))
    box.setAccessibleName(tr("Unit that {name} was written in", name=channel.name))
    return box


def role_box(role: str | None) -> QComboBox:
    """A choice of roles."""
    box = Choice()
    box.setMinimumWidth(216)
    box.addItem(tr("(no role)"), None)
    for key in ROLES:
        box.addItem(tr(ROLES[key].label), key)
    box.setCurrentIndex(max(0, box.findData(role)))
    return box


def device_box(device: str | None, name: str, more: Sequence[str] = ()) -> QComboBox:
    """A choice of devices, or any other written in."""
    box = Choice()
    box.setEditable(True)
    box.addItems(["", *dict.fromkeys((*USUAL_DEVICES, *more))])
    box.setCurrentText(device or "")
    box.setMinimumWidth(110)
    line = box.lineEdit()
    if line is not None:
        line.setPlaceholderText(tr("not said"))
    box.setAccessibleName(tr("Device of {name}", name=name))
    return box
