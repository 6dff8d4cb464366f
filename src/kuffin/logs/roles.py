"""Guess what a channel is on the bench from its name and quantity. A guess is shown and can be changed."""

from __future__ import annotations

import re

ROLES = (
    "die",
    "hot_spot",
    "memory",
    "regulator",
    "coolant_in",
    "coolant_out",
    "coolant",
    "air_in",
    "room",
    "power",
    "wall_power",
    "clock",
    "flow",
    "pump",
    "fan",
    "sound",
    "pressure",
    "humidity",
    "load",
    "voltage",
    "current",
    "score",
    "leak",
)

ROLE_QUANTITY = {
    "die": "temperature",
    "hot_spot": "temperature",
    "memory": "temperature",
    "regulator": "temperature",
    "coolant_in": "temperature",
    "coolant_out": "temperature",
    "coolant": "temperature",
    "air_in": "temperature",
    "room": "temperature",
    "power": "power",
    "wall_power": "power",
    "clock": "frequency",
    "flow": "flow",
    "pump": "rotational_speed",
    "fan": "rotational_speed",
    "sound": "sound_level",
    "pressure": "pressure",
    "humidity": "share",
    "load": "share",
    "voltage": "voltage",
    "current": "current",
    "score": "unknown",
    "leak": "unknown",
}

_COOLANT = {"coolant", "water", "liquid", "fluid", "loop", "reservoir", "res"}
_INTO = {"in", "inlet", "supply", "cold", "into", "feed", "inflow"}
_OUT = {"out", "outlet", "return", "hot", "warm", "outflow", "back"}
_AIR = {"air", "intake", "inlet"}
_ROOM = {"room", "ambient", "amb", "booth", "environment", "surroundings"}
_SPOT = {"hotspot", "junction", "tjunction"}
_MEMORY = {"memory", "mem", "vram", "ram", "dimm", "dimms"}
_REGULATOR = {"regulator", "regulators", "vrm", "vr", "mosfet", "mosfets", "mos"}
_DIE = {
    "die",
    "core",
    "cores",
    "cpu",
    "gpu",
    "package",
    "chip",
    "processor",
    "tctl",
    "tdie",
    "heater",
    "heat",
    "asic",
    "edge",
}
_WALL = {"wall", "mains", "socket", "plug", "system"}


_SUMMARIES = {"max", "maximum", "min", "minimum", "avg", "average", "mean", "hottest", "coolest", "highest", "lowest"}


def is_summary(name: str) -> bool:
    """Whether a channel is made of others, by its name: the largest, the smallest, the mean of them."""
    return bool(_SUMMARIES & set(re.split(r"[^a-z]+", re.sub(r"(?<=[a-z])(?=[A-Z])", " ", name).lower())))


def guess_role(name: str, quantity: str, unit: str | None) -> str | None:
    """Guess a channel's role.

    Parameters
    ----------
    name : str
        As written in the log, without its unit.
    quantity : str
        One of the quantities of `kuffin.core.units`, or ``unknown``.
    unit : str or None
        Canonical unit; None where the log names none (then the name alone decides).
    """
    words = {w for w in re.split(r"[^a-z]+", re.sub(r"(?<=[a-z])(?=[A-Z])", " ", name).lower()) if w}
    joined = " ".join(re.split(r"[^a-z]+", name.lower()))
    open_quantity = quantity == "unknown" and unit is None
    if quantity == "temperature" and unit != "K":
        return _temperature(words, joined)
    if quantity == "power" or (open_quantity and words & {"power", "watts"}):
        if words & {"pump", "fan", "fans"}:
            return None
        return "wall_power" if words & _WALL else "power"
    if quantity == "frequency":
        return None if words & (_MEMORY | {"bus", "fabric", "ring"}) else "clock"
    if quantity == "flow" or (open_quantity and "flow" in words):
        return "flow"
    if quantity == "rotational_speed":
        return "pump" if "pump" in words else "fan" if words & {"fan", "fans"} else None
    if quantity == "sound_level":
        return "sound"
    if quantity == "pressure":
        return "pressure"
    if quantity == "share":
        if words & {"humidity", "rh", "hum"}:
            return "humidity"
        return "load" if words & {"load", "usage", "utilisation", "utilization", "busy"} else None
    if quantity in {"voltage", "current"}:
        return quantity
    if words & {"leak", "leakage"}:
        return "leak"
    if words & {"score", "points"}:
        return "score"
    return (
        _temperature(words, joined)
        if open_quantity and not words & {"load", "level", "on", "mark", "fan", "pump"}
        else None
    )


def _temperature(words: set[str], joined: str) -> str | None:
    if words & _SPOT or "hot spot" in joined:
        return "hot_spot"
    if words & _COOLANT and not words & {"air"}:
        if words & _INTO:
            return "coolant_in"
        if words & _OUT:
            return "coolant_out"
        return "coolant"
    if words & _MEMORY:
        return "memory"
    if words & _REGULATOR:
        return "regulator"
    if words & _ROOM:
        return "room"
    if words & _AIR:
        return None if words & {"out", "outlet", "exhaust", "outflow"} else "air_in"
    if words & _DIE:
        return "die"
    return None
