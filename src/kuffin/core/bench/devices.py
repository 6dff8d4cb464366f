"""What a bench cools: its devices. A channel has a role and, where the role is a device's, whose it is.

The name of a device is its kind, numbered where a bench has several (``card 1``, ``card 2``), or any word of the person's.
"""

from __future__ import annotations

import re
from collections.abc import Collection, Sequence
from dataclasses import dataclass, field
from typing import NamedTuple

from kuffin.core.base.language import tr
from kuffin.core.base.pointers import BENCH, CHANNELS, QUESTION
from kuffin.core.bench.roles import DIE, ROLES


@dataclass(frozen=True, kw_only=True)
class DeviceKind:
    """A kind of device.

    Attributes
    ----------
    key : str
        How a device of it is called.
    words : frozenset of str
        By which it goes in the names of columns.
    keeps : frozenset of str
        Roles that are its own where nothing is said of whose they are.
    may_have : frozenset of str
        Roles of other devices that are taken for its own where it is the only one with a die.
    part_kinds : frozenset of str
        The kinds of part that cool it.
    """

    key: str
    words: frozenset[str]
    keeps: frozenset[str] = frozenset()
    may_have: frozenset[str] = frozenset()
    part_kinds: frozenset[str] = frozenset()


PROCESSOR, CARD, BOARD = "processor", "card", "board"
HEATER = "heater"  # needs no name: a bench with a heater has nothing else to be told apart from it

DEVICE_KINDS: dict[str, DeviceKind] = {
    d.key: d
    for d in (
        DeviceKind(
            key=CARD,
            words=frozenset(["gpu", "card", "graphics", "vram", "gddr", "video"]),
            keeps=frozenset({"backplate"}),
            may_have=frozenset({"memory", "regulator", "backplate"}),
            part_kinds=frozenset({"card block"}),
        ),
        DeviceKind(
            key=PROCESSOR,
            words=frozenset(["cpu", "apu", "processor", "tctl", "tdie", "ccd"]),
            part_kinds=frozenset({"processor block"}),
        ),
        DeviceKind(
            key=BOARD,
            words=frozenset(["board", "motherboard", "mainboard", "mobo", "dimm", "dimms", "spd"]) | ROLES["chipset"].words | ROLES["storage"].words,
            keeps=frozenset({"chipset", "storage", "memory", "regulator"}),
        ),
    )
}  # fmt: skip


USUAL_DEVICES = (PROCESSOR, CARD, BOARD, f"{CARD} 1", f"{CARD} 2")


def kind_of_device(device: str) -> str:
    """A device's kind: its name without its number; blank for one that goes by a word of the person's.

    >>> kind_of_device("card 2")
    'card'
    """
    kind = re.sub(r"\s*\d+$", "", device)
    return kind if kind in DEVICE_KINDS else ""


def device_in_words(said: str) -> str:
    """The one kind of device that a sentence speaks of, blank where it speaks of none or of several.

    >>> device_in_words("my processor here")
    'processor'
    """
    words = set(re.split(r"[^a-z]+", said.lower()))
    found = [d.key for d in DEVICE_KINDS.values() if words & d.words]
    return found[0] if len(found) == 1 else ""


def cooled_by(part_kind: str) -> str:
    """The kind of device that a part of a kind cools, blank where that is left open.

    >>> cooled_by("card block")
    'card'
    """
    return next((d.key for d in DEVICE_KINDS.values() if part_kind in d.part_kinds), "")


class ChannelRole(NamedTuple):
    """A channel, what it is, and whose; no device: the bench's, or not told."""

    name: str
    role: str | None
    device: str | None = None


@dataclass(frozen=True)
class Cooled:
    """What a bench cools, as far as that is told.

    Attributes
    ----------
    device : str or None
        The device that is asked about; a kind serves where there is one of it.
    loop : tuple of str
        The devices in the loop, in the direction of flow; empty: not told.
    """

    device: str | None = None
    loop: tuple[str, ...] = ()


NOT_TOLD = Cooled()


@dataclass(frozen=True, kw_only=True)
class Whose:
    """Whose channels speak in a run (docs/methods.md, “Devices”).

    Attributes
    ----------
    device : str or None
        Whose die, power and clock speak; None: the only one there is, which has no name, or none.
    channels : tuple of ChannelRole
        All channels; those of other devices have no role here.
    heating : tuple of str
        The power channels whose sum is the heat that goes into the coolant; empty: that of `device`, or none.
    upstream : tuple of str
        The power channels of the devices that the coolant passes before it comes to `device`.
    others : tuple of str
        Other devices with a die.
    problems : dict
        Why no ``die``, ``power`` or ``heat`` may speak.
    every : tuple of ChannelRole
        All channels as they are told.
    cooled : Cooled
        What was asked.
    """

    device: str | None
    channels: tuple[ChannelRole, ...]
    heating: tuple[str, ...] = ()
    upstream: tuple[str, ...] = ()
    others: tuple[str, ...] = ()
    problems: dict[str, str] = field(default_factory=dict)
    every: tuple[ChannelRole, ...] = ()
    cooled: Cooled = NOT_TOLD


def whose(channels: Sequence[ChannelRole], cooled: Cooled) -> Whose:
    """Which channels speak.

    Dies of two devices are never taken together: where it is not told which is meant, none speaks, and it is said.

    >>> channels = [ChannelRole("Die", "die", "CPU"), ChannelRole("GPU die", "die", "GPU")]
    >>> whose(channels, Cooled("GPU")).device
    'GPU'
    """
    owners = _owners(channels, DIE)
    powered = _owners(channels, ("power",))
    all_of_them = tuple(dict.fromkeys((*owners, *powered)))
    if len(all_of_them) < 2:
        only = all_of_them[0] if all_of_them else None
        problems = {}
        if cooled.device and only and not _is(only, cooled.device):
            problems["die"] = tr(
                "the study is about the {wanted}; this log has the {only}’s channels only (say which the study is about, {where})",
                wanted=cooled.device,
                only=only,
                where=tr(QUESTION),
            )
        muted = _speaking(channels, "" if problems else only)
        return Whose(device=only, channels=muted, problems=problems, every=tuple(channels), cooled=cooled)
    device, why = _asked_about(owners, cooled.device, channels)
    problems = {"die": why} if why else {}
    speaking = _speaking(channels, "" if why else device)
    if not why and not any(c.role == "power" for c in speaking):
        unnamed = [c.name for c in channels if c.role == "power" and c.device is None]
        problems["power"] = (
            tr(
                "“{unnamed}” does not say whose power it is; give it a device {channels}",
                unnamed=unnamed[0],
                channels=tr(CHANNELS),
            )
            if unnamed
            else tr("the {device} has no power channel of its own", device=device)
        )
    heating, no_heat = _heating(channels, all_of_them, cooled.loop)
    if no_heat:
        problems["heat"] = no_heat
    upstream = _before(channels, cooled.loop, device) if not why else ()
    others = tuple(d for d in owners if d is not None and (why or d != device))
    return Whose(
        device=None if why else device,
        channels=speaking,
        heating=heating,
        upstream=upstream,
        others=others,
        problems=problems,
        every=tuple(channels),
        cooled=cooled,
    )


def _owners(channels: Sequence[ChannelRole], roles: Collection[str]) -> list[str | None]:
    return list(dict.fromkeys(c.device for c in channels if c.role in roles))


def _is(device: str, wanted: str) -> bool:
    return device == wanted or kind_of_device(device) == wanted


def _listed(devices: Sequence[str]) -> str:
    return tr(" and ").join((", ".join(devices[:-1]), devices[-1])) if len(devices) > 1 else "".join(devices)


def _asked_about(
    owners: Sequence[str | None], wanted: str | None, channels: Sequence[ChannelRole]
) -> tuple[str | None, str]:
    """The device whose die speaks, and why none may."""
    named = [d for d in owners if d is not None]
    fits = [d for d in named if wanted and _is(d, wanted)]
    if len(fits) == 1:
        return fits[0], ""
    if fits:
        return None, tr(
            "“{wanted}” may be {devices}; say which the study is about, {where}",
            wanted=wanted,
            devices=tr(" or ").join(fits),
            where=tr(QUESTION),
        )
    if wanted and named and None not in owners:
        return None, tr(
            "the study is about the {wanted}; this log has a die of the {devices} only (say which the study is about, {where})",
            wanted=wanted,
            devices=_listed(named),
            where=tr(QUESTION),
        )
    if len(owners) == 1:
        return owners[0], ""
    if not owners:
        return None, ""
    if None in owners:
        loose = next(c.name for c in channels if c.role in DIE and c.device is None)
        return None, tr(
            "“{channel}” does not say whose die it is; give it a device {where}", channel=loose, where=tr(CHANNELS)
        )
    return None, tr(
        "{devices} each have a die here; say which the study is about, {where}",
        devices=_listed(named),
        where=tr(QUESTION),
    )


def _speaking(channels: Sequence[ChannelRole], device: str | None) -> tuple[ChannelRole, ...]:
    """All channels; what belongs to another device, or may, has no role. Blank: no device speaks."""
    named = {c.device for c in channels if c.device is not None and c.role in {*DIE, "power"}}
    unnamed_too = device != "" and named <= {device}

    def speaks(c: ChannelRole) -> bool:
        if c.role is None or c.role not in ROLES or not ROLES[c.role].of_device:
            return True
        if c.device is None:
            return unnamed_too
        return c.device == device or (kind_of_device(c.device) == BOARD and device != "")

    return tuple(c if speaks(c) else c._replace(role=None) for c in channels)


def _power_of(channels: Sequence[ChannelRole], device: str | None) -> str | None:
    named = [c for c in channels if c.role == "power" and c.device is not None]
    if device is None:
        return next((c.name for c in channels if c.role == "power" and c.device is None), None)
    return next((c.name for c in named if c.device == device), None)


def _heating(
    channels: Sequence[ChannelRole], there: Sequence[str | None], loop: Sequence[str]
) -> tuple[tuple[str, ...], str]:
    """The power channels that make the coolant's heat together, and why they are not known."""
    named = [d for d in there if d is not None]
    if not loop:
        return (), tr(
            "{devices} are in this log, and nothing says which of them the loop cools; say it {where}",
            devices=_listed(named) if named else tr("several devices"),
            where=tr(BENCH),
        )
    found = []
    for one in loop:
        device = next((d for d in named if d == one), None) or next((d for d in named if _is(d, one)), one)
        power = _power_of(channels, device)
        if power is None:
            return (), tr("the {device} is in the loop and has no power channel", device=one)
        if power not in found:
            found.append(power)
    return tuple(found), ""


def _before(channels: Sequence[ChannelRole], loop: Sequence[str], device: str | None) -> tuple[str, ...]:
    """The power channels of the devices that stand before one in the loop."""
    at = next((i for i, d in enumerate(loop) if device is not None and _is(device, d)), None)
    powers = [_power_of(channels, d) for d in loop[: at or 0]]
    return tuple(p for p in powers if p is not None)
