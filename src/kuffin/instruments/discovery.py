"""Looking for instruments: what this computer has, and what listens at its ports."""

from __future__ import annotations

import time
from collections.abc import Callable
from dataclasses import dataclass, field
from pathlib import Path

from kuffin.core.base.errors import BenchError
from kuffin.core.base.saying import say
from kuffin.instruments.configured import lasting_ports, open_source
from kuffin.instruments.hwmon import CPU, HWMON
from kuffin.instruments.meterlines import ToldValue
from kuffin.instruments.setup import InstrumentSetting

BAUDS = (9600, 115_200, 19_200, 57_600)
_LISTEN_S = 1.2


@dataclass(frozen=True)
class Found:
    """An instrument that was found, with what it tells now; or why it could not be read."""

    setting: InstrumentSetting
    told: dict[str, ToldValue] = field(default_factory=dict)
    trouble: str = ""


def discover(
    progress: Callable[[float], None] | None = None,
    hwmon: Path = HWMON,
    cpu: Path = CPU,
    dev: Path = Path("/dev"),
    listen_s: float = _LISTEN_S,
) -> list[Found]:
    """Look at the kernel's sensors, the processor, and every serial port (listening only; nothing is sent).

    Parameters
    ----------
    progress : callable, optional
        Told the share done; may raise to stop.
    """
    ports = lasting_ports(dev)
    found = []
    wanted = [
        InstrumentSetting(kind="hwmon", name="this computer's sensors", where=str(hwmon)),
        InstrumentSetting(kind="processor", name="the processor", where=str(cpu)),
    ]
    for done, setting in enumerate(wanted):
        one = look(setting)
        if one.told:
            found.append(one)
        if progress is not None:
            progress((done + 1) / (len(wanted) + len(ports)))
    for done, port in enumerate(ports):
        found.append(_listen(port, listen_s))
        if progress is not None:
            progress((len(wanted) + done + 1) / (len(wanted) + len(ports)))
    return found


def look(setting: InstrumentSetting, listen_s: float = 0.0) -> Found:
    """Read an instrument until it tells something, or the time is over."""
    try:
        source = open_source(setting)
    except BenchError as error:
        return Found(setting, {}, str(error))
    told: dict[str, ToldValue] = {}
    trouble = ""
    end = time.monotonic() + listen_s
    try:
        while True:
            told.update(source.read())
            if told or time.monotonic() >= end:
                break
            time.sleep(0.05)
        trouble = source.complaint()
    except BenchError as error:
        trouble = str(error)
    finally:
        source.close()
    return Found(setting, told, trouble)


def _listen(port: str, listen_s: float) -> Found:
    """Find the speed at which a port's lines can be read."""
    name = Path(port).name
    best = Found(
        InstrumentSetting(kind="serial", name=name, where=port),
        {},
        say("it says nothing by itself; it may have to be asked"),
    )
    for baud in BAUDS:
        one = look(InstrumentSetting(kind="serial", name=name, where=port, baud=baud), listen_s)
        if one.told and not one.trouble:
            return one
        if one.trouble and not best.told:
            best = one
    return best
