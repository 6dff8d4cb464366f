"""Guess what the columns of a log are, and whose, from their names, units and readings. A guess is shown and can be changed."""

from __future__ import annotations

import re
from collections.abc import Collection, Sequence
from dataclasses import dataclass

from kuffin.core.bench.devices import BOARD, CARD, DEVICE_KINDS, HEATER, PROCESSOR, kind_of_device
from kuffin.core.bench.roles import DIE, FURTHER_PARTS, ROLES, cannot_be

_INTO = frozenset(["in", "inlet", "supply", "cold", "into", "feed", "inflow", "before"])
_OUT = frozenset(["out", "outlet", "return", "hot", "warm", "outflow", "back", "after"])
_RADIATOR = frozenset(["radiator", "rad"])
_ELSEWHERE = frozenset(["pump"])  # before or after it, the coolant is that of the loop
_AWAY = frozenset(["out", "outlet", "exhaust", "outflow", "after", "behind"])
_TEMPERATURE = frozenset(["temp", "temps", "temperature", "t"])
_SPEED = frozenset(["rpm", "tacho", "tach", "speed"])
_NO_LEVEL = frozenset(
    [
        "load",
        "level",
        "on",
        "mark",
        "fan",
        "fans",
        "pump",
        "clock",
        "clk",
        "power",
        "voltage",
        "current",
        "usage",
        "duty",
        "pwm",
    ]
)
_OF_ONE_DEVICE = frozenset({"hot_spot", "power", "clock", "load"})  # they go to the only device that there is
_SUMMARIES = frozenset(
    ["max", "maximum", "min", "minimum", "avg", "average", "mean", "hottest", "coolest", "highest", "lowest"]
)
_HIGHEST_DIE = 600.0  # a bare number beyond it is a clock
_MOST_SOCKETS = 4


@dataclass(frozen=True)
class Named:
    """A column, as far as its name and its readings go.

    Attributes
    ----------
    middle : float or None
        Its median reading.
    """

    name: str
    quantity: str
    unit: str | None
    middle: float | None = None


@dataclass(frozen=True)
class Guess:
    """What a column is taken for, and whose; None: it is not known."""

    role: str | None
    device: str | None = None


def words_of(name: str) -> frozenset[str]:
    """The words of a column's name, in small letters."""
    parted = re.sub(r"(?<=[a-z])(?=[A-Z])|(?<=[A-Z])(?=[A-Z][a-z])", " ", name)
    return frozenset(w for w in re.split(r"[^a-z]+", f"{parted} {name}".lower()) if w)


_DIFFERENCES = frozenset(
    [
        "delta",
        "diff",
        "difference",
        "dt",
        "over",
        "above",
        "minus",
        "less",
        "versus",
        "vs",
        "rise",
        "distance",
        "margin",
        "headroom",
        "gradient",
        "deviation",
        "offset",
    ]
)


def is_difference(name: str) -> bool:
    """Whether a column is what two temperatures differ by, by its name: ``Delta T``, ``Coolant over air``, ``Distance to limit``.

    >>> is_difference("ΔT loop"), is_difference("Coolant over air"), is_difference("Coolant out")
    (True, True, False)
    """
    return bool(_DIFFERENCES & words_of(name)) or bool(re.search("[Δ∆δ]", name))


def is_summary(name: str) -> bool:
    """Whether a channel is made of others, by its name: the largest, the smallest, the mean of them."""
    return bool(_SUMMARIES & words_of(name))


def guess_role(name: str, quantity: str, unit: str | None, middle: float | None = None) -> str | None:
    """Guess a channel's role.

    Parameters
    ----------
    name : str
        As written in the log, without its unit.
    quantity : str
        One of the quantities of `kuffin.core.base.units`, or ``unknown``.
    unit : str or None
        Canonical unit; None where the log names none (then the name, and what it reads, decide).
    middle : float, optional
        Its median reading.
    """
    words = words_of(name)
    if quantity in {"temperature", "unknown"} and is_difference(name):
        return None
    if quantity == "temperature":
        return None if unit == "K" else _temperature(name, words)
    if quantity != "unknown":
        return _of_quantity(quantity, words)
    if words & ROLES["leak"].words:
        return "leak"
    if words & ROLES["score"].words:
        return "score"
    if unit is not None:
        return None
    for told in ("power", "flow"):
        if words & ROLES[told].words and not (told == "flow" and words & _TEMPERATURE):
            return _of_quantity(ROLES[told].quantity, words)
    if words & _SPEED and (words & (ROLES["pump"].words | ROLES["fan"].words)):
        return _of_quantity("rotational_speed", words)
    if words & ROLES["clock"].words:
        return _of_quantity("frequency", words)
    if words & _NO_LEVEL:
        return None
    role = _temperature(name, words)
    if role is not None and middle is not None and cannot_be(role, middle):
        return "clock" if role in DIE and may_be_clock(middle) else None
    return role


def may_be_clock(middle: float) -> bool:
    """Whether what reads so, and was taken for a die, is its clock in MHz: a bare “CPU” that reads 4,700."""
    return middle > _HIGHEST_DIE and not cannot_be("clock", middle)


def _of_quantity(quantity: str, words: Collection[str]) -> str | None:
    words = frozenset(words)
    movers = ROLES["pump"].words | ROLES["fan"].words
    if quantity == "power":
        if words & movers:
            return None
        return "wall_power" if words & ROLES["wall_power"].words else "power"
    if quantity == "frequency":
        return None if words & (ROLES["memory"].words | {"bus", "fabric", "ring", "uncore"}) else "clock"
    if quantity == "rotational_speed":
        return next((r for r in ("pump", "fan") if words & ROLES[r].words), None)
    if quantity == "share":
        return next((r for r in ("humidity", "load") if words & ROLES[r].words), None)
    return {"sound_level": "sound"}.get(quantity, quantity if quantity in ROLES else None)


def _temperature(name: str, words: frozenset[str]) -> str | None:
    joined = " ".join(re.split(r"[^a-z]+", name.lower()))
    if "south bridge" in joined or "north bridge" in joined:
        return "chipset"
    spot = bool(words & ROLES["hot_spot"].words) or "hot spot" in joined
    if words & ROLES["coolant"].words and "air" not in words:
        return _coolant(words)
    for part in reversed(FURTHER_PARTS):  # a memory’s regulator is a regulator
        if words & ROLES[part].words or (part == "hot_spot" and spot):
            return part
    if words & ROLES["room"].words:
        return "room"
    if words & ROLES["air_in"].words:
        return None if words & _AWAY else "air_in"
    return "die" if words & ROLES["die"].words else None


def _coolant(words: frozenset[str]) -> str:
    into, out = bool(words & _INTO), bool(words & _OUT)
    if into == out or words & _ELSEWHERE:
        return "coolant"
    if words & _RADIATOR:  # what leaves the radiator goes into the block
        into = not into
    return "coolant_in" if into else "coolant_out"


# --- whose -------------------------------------------------------------------------------------------------------------


def guess_all(columns: Sequence[Named]) -> list[Guess]:
    """What each of a log's columns is, and whose, decided together.

    A column that is made of others (the hottest core) has no role where they have it. A device is numbered where there
    are several of its kind. What says nothing of whose it is belongs to the only device with a die; a die, where no other
    device has one, to the processor.
    """
    roles = [guess_role(c.name, c.quantity, c.unit, c.middle) for c in columns]
    plain = {r for c, r in zip(columns, roles, strict=True) if not is_summary(c.name)}
    roles = [None if r in plain and is_summary(c.name) else r for c, r in zip(columns, roles, strict=True)]
    said = _said(columns, roles)
    dies = {s for r, s in zip(roles, said, strict=True) if r in DIE}
    heater, known = HEATER in dies, dies - {HEATER, ""}
    if not known and "" in dies and not heater:
        known = {PROCESSOR}
    only = next(iter(known)) if len(known) == 1 and not heater else None
    return [Guess(r, _whose(r, s, only)) for r, s in zip(roles, said, strict=True)]


def _said(columns: Sequence[Named], roles: Sequence[str | None]) -> list[str]:
    """The device that each name tells, blank for none."""
    kinds = [_kind(c.name) if r is not None and ROLES[r].of_device else "" for c, r in zip(columns, roles, strict=True)]
    numbers = [_number(c.name, k) for c, k in zip(columns, kinds, strict=True)]
    out = list(kinds)
    for kind in (CARD, PROCESSOR):
        if kind == PROCESSOR and not _sockets(kinds, numbers, roles):
            continue
        there = {n for k, n in zip(kinds, numbers, strict=True) if k == kind}
        told = sorted(n for n in there if n is not None)
        unnumbered = 1 if None in there and told and told[0] > 1 else None  # “card” beside “card 2”
        told = [1, *told] if unnumbered else told
        if len(told) < 2:
            continue
        for i, (k, n) in enumerate(zip(kinds, numbers, strict=True)):
            if k == kind:
                n = unnumbered if n is None else n
                out[i] = "" if n is None else f"{kind} {told.index(n) + 1}"
    return out


def _sockets(kinds: Sequence[str], numbers: Sequence[int | None], roles: Sequence[str | None]) -> bool:
    """Whether numbered processors are processors; “CPU 1” to “CPU 8” are the cores of one."""
    own = [(r, n) for k, n, r in zip(kinds, numbers, roles, strict=True) if k == PROCESSOR]
    dies = {n for r, n in own if r in DIE and n is not None}
    powers = {n for r, n in own if r == "power"}
    if len(powers - {None}) > 1:
        return len(powers) <= _MOST_SOCKETS
    return len(dies) == 2 and not powers


def _kind(name: str) -> str:
    words = words_of(name)
    if HEATER in words:
        return HEATER
    return next((d.key for d in DEVICE_KINDS.values() if words & d.words), "")


def _number(name: str, kind: str) -> int | None:
    if kind not in DEVICE_KINDS or kind == BOARD:
        return None
    words = "|".join(DEVICE_KINDS[kind].words)
    match = re.search(rf"(?:{words})[\s_#\-\[(]*(\d{{1,2}})(?![\d.])", name.lower())
    return int(match[1]) if match else None


def _whose(role: str | None, said: str, only: str | None) -> str | None:
    """Whose a channel is; `only` is the device whose die is the only one in the log."""
    if role is None or not ROLES[role].of_device or said == HEATER:
        return None
    if said:
        return said
    keeper = next((d.key for d in DEVICE_KINDS.values() if role in d.keeps), None)
    if keeper is not None:
        kind = DEVICE_KINDS.get(kind_of_device(only or ""))
        return only if kind is not None and role in kind.may_have else keeper
    if role == "die":
        return only if only is not None and kind_of_device(only) == PROCESSOR else None
    return only if role in _OF_ONE_DEVICE else None
