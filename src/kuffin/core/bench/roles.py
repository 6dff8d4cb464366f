"""What a channel can be on the bench: the one owner of roles. A new role is one more record here.

A role says what a channel measures, what it can read, whose it is, which signal of the heat path it can serve as, how its
spikes look, where it is drawn, and by which words a log's column is taken for it.
"""

from __future__ import annotations

from collections.abc import Collection
from dataclasses import dataclass
from typing import Any

from kuffin.core.base.language import mark

_ANY = (-1e18, 1e18)


@dataclass(frozen=True, kw_only=True)
class Role:
    """One role.

    Attributes
    ----------
    key : str
    label : str
        What it is called where one is chosen.
    spoken : str
        What it is called beside a figure.
    quantity : str
    can_be : (float, float)
        What it can read, in the quantity's canonical unit.
    of_device : bool
        Whether it belongs to one device (a processor, a card); else it is the bench's.
    signal : str
        The signal of the heat path that it can serve as (see `SIGNALS`), blank for none.
    further_part : bool
        A temperature of another part of a device, which rises from the coolant as the die does.
    mean : bool
        Whether several channels of it count as their mean; else the first one counts.
    spikes : str
        ``smooth``: it moves slowly, so that a jump is a spike; ``lively``: only a lone one is; blank: none is looked for.
    flickers : bool
        Whether its last digit always flickers, so that one that stands still is stuck.
    needed : bool
        Whether a verdict rests on it.
    row : str
        The trace row that it is drawn in.
    words : frozenset of str
        By which it goes in the names of columns.
    """

    key: str
    label: str
    spoken: str
    quantity: str
    can_be: tuple[float, float] = _ANY
    of_device: bool = False
    signal: str = ""
    further_part: bool = False
    mean: bool = False
    spikes: str = ""
    flickers: bool = False
    needed: bool = False
    row: str = "other"
    words: frozenset[str] = frozenset()


def _role(key: str, label: str, quantity: str, words: str = "", spoken: str = "", **rest: Any) -> Role:
    return Role(key=key, label=label, spoken=spoken or label, quantity=quantity, words=frozenset(words.split()), **rest)


_LIVELY_DIE: dict[str, Any] = {
    "of_device": True,
    "spikes": "lively",
    "flickers": True,
    "needed": True,
    "row": "die",
    "mean": True,
}
_PART: dict[str, Any] = {"of_device": True, "further_part": True, "flickers": True, "row": "die", "mean": True}
_COOLANT: dict[str, Any] = {"signal": "coolant", "spikes": "smooth", "flickers": True, "needed": True, "row": "coolant"}

_ALL = (
    _role("die", "die", "temperature", "die core cores cpu gpu apu package pkg chip processor tctl tdie ccd heater heat asic edge card graphics", can_be=(-20.0, 130.0), signal="die", **_LIVELY_DIE),
    _role("hot_spot", "hot spot", "temperature", "hotspot junction tjunction tjmax", can_be=(-20.0, 140.0), signal="die", further_part=True, **_LIVELY_DIE),
    _role("memory", "memory", "temperature", "memory mem vram ram dimm dimms spd gddr", can_be=(-20.0, 130.0), **_PART),
    _role("regulator", "regulator", "temperature", "regulator regulators vrm vrms vr vrs mosfet mosfets mos vcore vsoc", "regulators", can_be=(-20.0, 160.0), **_PART),
    _role("chipset", "chipset", "temperature", "chipset pch southbridge northbridge", can_be=(-20.0, 130.0), **_PART),
    _role("storage", "storage", "temperature", "drive drives ssd nvme disk storage hdd", can_be=(-20.0, 110.0), **_PART),
    _role("backplate", "backplate", "temperature", "backplate backside rear", can_be=(-20.0, 130.0), **_PART),
    _role("coolant_in", "coolant into the block", "temperature", "", "coolant in", can_be=(-25.0, 95.0), **_COOLANT),
    _role("coolant", "coolant", "temperature", "coolant water liquid liq fluid loop reservoir res wtr", can_be=(-25.0, 95.0), **_COOLANT),
    _role("coolant_out", "coolant out of the block", "temperature", "", "coolant out", can_be=(-25.0, 95.0), **_COOLANT),
    _role("air_in", "air at the radiator", "temperature", "air intake inlet", "air", can_be=(-20.0, 60.0), signal="air", mean=True, spikes="smooth", flickers=True, needed=True, row="coolant"),
    _role("room", "room", "temperature", "room ambient amb booth environment surroundings", can_be=(-20.0, 50.0), signal="air", mean=True, spikes="smooth", flickers=True, row="coolant"),
    _role("power", "power", "power", "power watts pwr", can_be=(0.0, 3000.0), of_device=True, signal="power", spikes="lively", flickers=True, needed=True, row="power"),
    _role("wall_power", "power at the wall", "power", "wall mains plug system outlet", can_be=(0.0, 5000.0), signal="power", spikes="lively", row="power"),
    _role("clock", "clock", "frequency", "clock clk freq frequency", can_be=(0.0, 20_000.0), of_device=True, row="clock"),
    _role("flow", "flow", "flow", "flow q flowrate throughput", can_be=(0.0, 2000.0), flickers=True, needed=True, row="flow"),
    _role("pump", "pump", "rotational_speed", "pump pmp", can_be=(0.0, 20_000.0), row="speed"),
    _role("fan", "fan", "rotational_speed", "fan fans fn", "fans", can_be=(0.0, 20_000.0), row="speed"),
    _role("sound", "sound", "sound_level", "sound noise loudness spl", can_be=(0.0, 130.0), flickers=True, row="sound"),
    _role("pressure", "pressure", "pressure", "pressure", flickers=True, row="pressure"),
    _role("humidity", "humidity", "share", "humidity rh hum", can_be=(0.0, 100.0), spikes="smooth", row="share"),
    _role("load", "load", "share", "load usage utilisation utilization util busy", can_be=(0.0, 110.0), of_device=True, row="share"),
    _role("voltage", "voltage", "voltage", "voltage volts", of_device=True, row="electric"),
    _role("current", "current", "current", "current amps", of_device=True, row="electric"),
    _role("score", "score", "unknown", "score points", row="score"),
    _role("leak", "leak sensor", "unknown", "leak leakage", row="other"),
)  # fmt: skip
ROLES: dict[str, Role] = {r.key: r for r in _ALL}


@dataclass(frozen=True)
class Signal:
    """One level of the heat path, or the power that flows along it: what it is called, and the roles that tell it, the best first."""

    key: str
    called: str
    level: str
    roles: tuple[str, ...]


def _telling(signal: str) -> tuple[str, ...]:
    return tuple(r.key for r in _ALL if r.signal == signal)


SIGNALS: dict[str, Signal] = {
    s.key: s
    for s in (
        Signal("die", "a die", mark("the die"), _telling("die")),
        Signal("coolant", "a coolant probe", mark("the coolant"), _telling("coolant")),
        Signal("air", "an air probe", mark("the air"), _telling("air")),
        Signal("power", "power", mark("the power"), _telling("power")),
    )
}
DIE, COOLANT, AIR, POWER = (SIGNALS[s].roles for s in ("die", "coolant", "air", "power"))
FURTHER_PARTS = tuple(r.key for r in _ALL if r.further_part)
TEMPERATURES = tuple(r.key for r in _ALL if r.quantity == "temperature")
QUANTITY_OF = {r.key: r.quantity for r in _ALL}


def missing_signals(roles: Collection[str | None], wanted: Collection[str] | None = None) -> list[Signal]:
    """Which signals (of those wanted) channels of these roles do not tell.

    >>> [s.called for s in missing_signals(["die", "power"], ["die", "air"])]
    ['an air probe']
    """
    return [s for s in SIGNALS.values() if (wanted is None or s.key in wanted) and not set(s.roles) & set(roles)]


def spoken(role: str) -> str:
    """What a role is called beside a figure.

    >>> spoken("air_in"), spoken("regulator")
    ('air', 'regulators')
    """
    return ROLES[role].spoken if role in ROLES else role.replace("_", " ")


def needed(role: str | None) -> bool:
    """Whether a verdict rests on channels of this role."""
    return role in ROLES and ROLES[role].needed


def cannot_be(role: str | None, value: float) -> bool:
    """Whether a channel of this role cannot read so.

    >>> cannot_be("die", 64.0), cannot_be("die", 640.0)
    (False, True)
    """
    if role not in ROLES:
        return False
    low, high = ROLES[role].can_be
    return not low <= value <= high
