"""This computer's bench: which instruments it reads, what their channels are, which commands start loads.

It is kept in the person's own settings, as JSON, and never in a notebook: a notebook from a stranger must not run
commands, open ports or call other computers.
"""

from __future__ import annotations

import json
from contextlib import suppress
from dataclasses import asdict, dataclass, field, replace
from pathlib import Path
from typing import Any

from kuffin.core.base.errors import BenchError, KuffinError
from kuffin.core.base.language import tr
from kuffin.core.base.plaindata import PlainError, typed
from kuffin.core.base.wholefile import write_whole
from kuffin.core.bench.calibration import Calibration, Within

_MOST_BYTES, _LONGEST = 2_000_000, 10_000

KINDS = {
    "hwmon": "sensors of this computer",
    "processor": "clocks and power of the processor",
    "serial": "meter on a serial or USB port",
    "network": "lines over the network",
    "command": "a command's output",
    "hand": "typed by hand",
}


@dataclass(frozen=True, kw_only=True)
class ChannelSetting:
    """One channel that is recorded.

    Attributes
    ----------
    source : str
        What the driver calls it.
    unit, quantity : str
        Canonical; of a source that names no unit, what the person said.
    scale : float
        From what the source tells to that unit, where the source names none.
    """

    source: str
    name: str
    unit: str | None = None
    quantity: str = "unknown"
    role: str | None = None
    scale: float = 1.0
    shift: float = 0.0
    calibration: Calibration = field(default_factory=Calibration)
    accuracy: Within = field(default_factory=Within)
    device: str | None = None


@dataclass(frozen=True, kw_only=True)
class InstrumentSetting:
    """One instrument: its kind, where it is, how often it is read, its channels.

    Attributes
    ----------
    where : str
        A folder, a port, ``host:port``, or a command line.
    """

    kind: str
    name: str
    where: str = ""
    interval_s: float = 1.0
    baud: int = 9600
    question: str = ""
    channels: tuple[ChannelSetting, ...] = ()


@dataclass(frozen=True)
class BenchSetup:
    """All instruments of this computer, its loads by name, and how often a row is kept.

    Attributes
    ----------
    set_aside : tuple of str
        What of the file was damaged and is left out, in words.
    """

    instruments: tuple[InstrumentSetting, ...] = ()
    loads: dict[str, str] = field(default_factory=dict)
    row_s: float = 1.0
    set_aside: tuple[str, ...] = ()

    @property
    def channels(self) -> list[ChannelSetting]:
        """The channels of all instruments."""
        return [c for i in self.instruments for c in i.channels]

    def with_instrument(self, instrument: InstrumentSetting, at: int | None = None) -> BenchSetup:
        """The same with one more instrument, or with the one at a place replaced."""
        kept = list(self.instruments)
        if at is None:
            kept.append(instrument)
        else:
            kept[at] = instrument
        return replace(self, instruments=tuple(kept))

    def without(self, at: int) -> BenchSetup:
        """The same without the instrument at a place."""
        return replace(self, instruments=self.instruments[:at] + self.instruments[at + 1 :])


def load_setup(path: Path) -> BenchSetup:
    """Read the settings; none yet: an empty bench.

    What is damaged is named in `BenchSetup.set_aside` and left out, the rest is used; the file as it was is kept beside.

    Raises
    ------
    BenchError
        Where the file cannot be read at all; it is left as it is.
    """
    if not path.exists():
        return BenchSetup()
    try:
        with path.open("rb") as file:
            written = file.read(_MOST_BYTES + 1)
    except OSError as error:
        raise BenchError(
            "{path}: this computer's bench settings cannot be read ({strerror}); mend the file, or move it away to begin anew",
            path=path,
            strerror=error.strerror,
        ) from None
    aside: list[str] = []
    try:
        if len(written) > _MOST_BYTES:
            raise PlainError(tr("it is too large to be Kuffin's"))
        kept = json.loads(written)
        if not isinstance(kept, dict):
            raise PlainError(tr("it is no table"))
    except (ValueError, RecursionError) as error:
        kept = {}
        aside.append(tr("all of it: {error}", error=error))
    instruments = _sound_instruments(kept.get("instruments", []), aside)
    loads: dict[str, str] = {}
    for name, command in _each(kept.get("loads", {}), tr("the loads: they are no table"), aside).items():
        if isinstance(command, str) and len(command) <= _LONGEST and "\x00" not in name + command:
            loads[name] = command
        else:
            aside.append(tr("the load “{name}”: its command is no text", name=name[:60]))
    row_s = kept.get("row_s", 1.0)
    if not isinstance(row_s, (int, float)) or isinstance(row_s, bool) or not 0.05 <= row_s <= 5.0:
        aside.append(tr("how often a row is kept: it is once a second now"))
        row_s = 1.0
    if aside:
        copy = _keep_as_it_was(path, written[:_MOST_BYTES])
        aside = [
            tr(
                "{name}: damaged, and left out: {said}. The file as it was is kept as {copy}",
                name=path.name,
                said=said,
                copy=copy,
            )
            for said in aside
        ]
    return BenchSetup(instruments, loads, float(row_s), tuple(aside))


def _each(found: Any, complaint: str, aside: list[str]) -> dict[str, Any]:
    if isinstance(found, dict):
        return {str(k): v for k, v in found.items()}
    aside.append(complaint)
    return {}


def _sound_instruments(found: Any, aside: list[str]) -> tuple[InstrumentSetting, ...]:
    sound: list[InstrumentSetting] = []
    if not isinstance(found, list):
        aside.append(tr("the instruments: they are no list"))
        return ()
    for at, kept in enumerate(found, 1):
        name = str(kept.get("name", ""))[:60] if isinstance(kept, dict) else ""
        try:
            instrument = typed(kept, InstrumentSetting)
            check(BenchSetup((*sound, instrument)))
        except (PlainError, BenchError) as error:
            aside.append(f"instrument {at}{f' “{name}”' if name else ''}: {error}")
        else:
            sound.append(instrument)
    return tuple(sound)


def _keep_as_it_was(path: Path, written: bytes) -> str:
    copy = path.with_name(f"{path.stem} (damaged){path.suffix}")
    with suppress(OSError, KuffinError):
        if not copy.exists():
            write_whole(copy, written)
    return copy.name


def save_setup(path: Path, setup: BenchSetup) -> None:
    """Write the settings, all or nothing.

    Raises
    ------
    BenchError
    """
    check(setup)
    try:
        path.parent.mkdir(parents=True, exist_ok=True)
        plain = {k: v for k, v in asdict(setup).items() if k != "set_aside"}
        write_whole(path, json.dumps(plain, indent=1, ensure_ascii=False) + "\n")
    except OSError as error:
        raise BenchError(
            "{path} cannot be written ({strerror}); the settings stay as they were", path=path, strerror=error.strerror
        ) from None
    except KuffinError as error:
        raise BenchError(str(error)) from None


def check(setup: BenchSetup) -> None:
    """Refuse settings that cannot be recorded from.

    Raises
    ------
    BenchError
    """
    if not 0.05 <= setup.row_s <= 5.0:
        raise BenchError("a row is kept every 0.05 to 5 s (20 to 0.2 times a second)")
    names: set[str] = set()
    for instrument in setup.instruments:
        if instrument.kind not in KINDS:
            raise BenchError(
                "{name}: “{kind}” is no kind of instrument; there is {kinds}",
                name=instrument.name,
                kind=instrument.kind,
                kinds=", ".join(KINDS),
            )
        if not 0.05 <= instrument.interval_s <= 3600:
            raise BenchError("{name}: it is read every 0.05 to 3600 s", name=instrument.name)
        for channel in instrument.channels:
            if channel.name.strip().lower() in names:
                raise BenchError("two channels are called “{name}”; give each its own name", name=channel.name)
            names.add(channel.name.strip().lower())
