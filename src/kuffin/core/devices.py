"""What a bench cools: its devices. A channel has a role and, where the role is a device's, whose it is.

The name of a device is its kind, numbered where a bench has several (``card 1``, ``card 2``), or any word of the person's.
"""

from __future__ import annotations

import re
from dataclasses import dataclass


@dataclass(frozen=True)
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
    part_kinds : frozenset of str
        The kinds of part that cool it.
    """

    key: str
    words: frozenset[str]
    keeps: frozenset[str] = frozenset()
    part_kinds: frozenset[str] = frozenset()


PROCESSOR, CARD, BOARD = "processor", "card", "board"
HEATER = "heater"  # needs no name: a bench with a heater has nothing else to be told apart from it

DEVICE_KINDS: dict[str, DeviceKind] = {
    d.key: d
    for d in (
        DeviceKind(
            CARD, frozenset(["gpu", "card", "graphics", "vram", "gddr", "video"]), frozenset({"backplate"}), frozenset({"card block"})
        ),
        DeviceKind(
            PROCESSOR,
            frozenset(["cpu", "apu", "processor", "tctl", "tdie", "ccd"]),
            part_kinds=frozenset({"processor block"}),
        ),
        DeviceKind(
            BOARD,
            frozenset(["board", "motherboard", "mainboard", "mobo", "chipset", "pch", "dimm", "dimms", "spd", "drive", "drives", "ssd", "nvme", "southbridge"]),
            frozenset({"chipset", "storage", "memory", "regulator"}),
        ),
    )
}  # fmt: skip


def kind_of_device(device: str) -> str:
    """A device's kind: its name without its number; blank for one that goes by a word of the person's."""
    kind = re.sub(r"\s*\d+$", "", device)
    return kind if kind in DEVICE_KINDS else ""


def cooled_by(part_kind: str) -> str:
    """The kind of device that a part of a kind cools, blank where that is left open."""
    return next((d.key for d in DEVICE_KINDS.values() if part_kind in d.part_kinds), "")
