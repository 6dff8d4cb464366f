"""An instrument as it was set up: its source's values, named, in the right unit and calibrated."""

from __future__ import annotations

import math
from collections.abc import Sequence
from pathlib import Path

from kuffin.core.base.errors import BenchError
from kuffin.core.base.units import parse_unit
from kuffin.instruments.byhand import HandSource
from kuffin.instruments.command import CommandSource
from kuffin.instruments.hwmon import CPU, HWMON, HwmonSource, ProcessorSource
from kuffin.instruments.instrument import LiveChannel
from kuffin.instruments.meterlines import ToldValue
from kuffin.instruments.setup import ChannelSetting, InstrumentSetting
from kuffin.instruments.source import ChannelSource
from kuffin.logs.channelguess import Named, guess_all, guess_role


def open_source(setting: InstrumentSetting) -> ChannelSource:
    """The driver for an instrument; nothing is connected before it is read.

    Raises
    ------
    BenchError
        Where the settings make no sense.
    """
    if setting.kind == "hwmon":
        return HwmonSource(setting.where or HWMON)
    if setting.kind == "processor":
        return ProcessorSource(setting.where or CPU)
    if setting.kind == "command":
        return CommandSource(setting.where, max(1.0, min(setting.interval_s, 10.0)))
    if setting.kind == "hand":
        return HandSource({c.source: (c.unit, c.quantity) for c in setting.channels})
    from kuffin.instruments.ports import NetworkSource, SerialSource  # pyserial is loaded only where it is needed

    if setting.kind == "serial":
        return SerialSource(setting.where, setting.baud, setting.question)
    host, _, port = setting.where.rpartition(":")
    if not host or not port.isdigit() or not 0 < int(port) < 65536:
        raise BenchError(
            "{name}: “{where}” is no network address; write it as host:port", name=setting.name, where=setting.where
        )
    return NetworkSource(host.strip("[]"), int(port), setting.question)


class ConfiguredInstrument:
    """What the recorder reads: the set-up channels of a source, in order; NaN where one told nothing new."""

    def __init__(self, setting: InstrumentSetting, source: ChannelSource | None = None) -> None:
        self.setting = setting
        self.name = setting.name
        self.interval_s = setting.interval_s
        self.channels = tuple(
            LiveChannel(name=c.name, unit=c.unit, quantity=c.quantity, role=c.role, device=c.device)
            for c in setting.channels
        )
        self.source = open_source(setting) if source is None else source

    def read(self) -> Sequence[float]:
        told = self.source.read()
        return [calibrated(told.get(c.source), c) for c in self.setting.channels]

    def complaint(self) -> str:
        """What is wrong with what it tells, blank for nothing."""
        return self.source.complaint()

    def close(self) -> None:
        self.source.close()


def calibrated(told: ToldValue | None, channel: ChannelSetting) -> float:
    """A channel's value from what its source told; NaN where it told nothing, or something of another quantity."""
    if told is None or math.isnan(told.value):
        return math.nan
    if told.unit is None:
        value = told.value * channel.scale + channel.shift
    elif channel.unit is not None and told.unit != channel.unit:
        return math.nan  # another unit than was set up: no guess is made
    else:
        value = told.value
    return channel.calibration.apply(value)


def proposed(name: str, told: ToldValue, taken: set[str]) -> ChannelSetting:
    """A channel setting for something that was found, to be changed by the person."""
    shown, n = name if not name.isdigit() else f"value {name}", 2
    base = shown
    while shown.lower() in taken:
        shown, n = f"{base} {n}", n + 1
    (guess,) = guess_all([Named(name, told.quantity, told.unit)])
    return ChannelSetting(
        source=name, name=shown, unit=told.unit, quantity=told.quantity, role=guess.role, device=guess.device
    )


def in_unit(channel: ChannelSetting, written: str) -> ChannelSetting:
    """The channel with the unit that a person says its bare numbers have.

    Raises
    ------
    BenchError
    """
    from dataclasses import replace

    unit = parse_unit(written)
    if unit is None:
        raise BenchError("“{written}” is no unit Kuffin knows; write °C, W, L/h, L/min, rpm, dBA, V …", written=written)
    role = channel.role or guess_role(channel.name, unit.quantity, unit.canonical)
    return replace(channel, unit=unit.canonical, quantity=unit.quantity, scale=unit.scale, shift=unit.offset, role=role)


def typed_channels(written: str) -> tuple[ChannelSetting, ...]:
    """What is typed during a run, from names with units in brackets: ``infrared spot [°C], score``.

    Raises
    ------
    BenchError
        Where a unit is none.
    """
    channels = []
    for piece in written.split(","):
        name, _, unit = piece.partition("[")
        channel = ChannelSetting(source=name.strip(), name=name.strip())
        channels.append(in_unit(channel, unit.strip(" ]")) if unit.strip(" ]") else channel)
    return tuple(channels)


def lasting_ports(root: Path = Path("/dev")) -> list[str]:
    """Serial ports, by their lasting names where they have one."""
    lasting = sorted((root / "serial" / "by-id").glob("*")) if (root / "serial" / "by-id").is_dir() else []
    covered = {p.resolve() for p in lasting}
    plain = [p for pattern in ("ttyUSB*", "ttyACM*") for p in sorted(root.glob(pattern)) if p.resolve() not in covered]
    return [str(p) for p in (*lasting, *plain)]
