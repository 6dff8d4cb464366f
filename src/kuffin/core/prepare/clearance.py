"""Does it fit: what parts take against the room there is, currents against headers, threads against threads.

Sizes along one line add up: at worst by the sum of their tolerances, most likely by the root of their squares (ISO 286 gives the sizes;
the two sums are usual practice). Nothing fits where a size is not known: then it fits as far as is known.
"""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass

import numpy as np

from kuffin.core.base.language import tr
from kuffin.core.base.numbers import plain
from kuffin.core.bench.partfields import tolerance_key
from kuffin.core.bench.parts import KINDS

FITS, TIGHT, CONFLICT, UNKNOWN, NOT_BUILT = "fits", "tight", "conflict", "unknown", "not built in"
STATES = (CONFLICT, TIGHT, UNKNOWN, FITS, NOT_BUILT)  # the worst first


@dataclass(frozen=True)
class SizeOf:
    """A field of whatever part takes a slot; `times` is the field of a part that counts them, by slot and key.

    Where it is `if_told`, it counts where it is told, and is not missed where it is not.
    """

    slot: str
    field: str
    times: tuple[str, str] | None = None
    if_told: bool = False

    share = 1.0  # of the field, that counts; no field of the record


class HalfOf(SizeOf):
    """Half of a field, as of a diameter about its middle."""

    share = 0.5


@dataclass(frozen=True, kw_only=True)
class Clearance:
    """Something that has to fit. A new one is one more record here.

    Attributes
    ----------
    takes : tuple of SizeOf
        What adds up.
    room : SizeOf
        What there is.
    may_lack : tuple of str
        Slots that count nothing where no part takes them.
    said : str
        The conflict in words, with ``{room}``, ``{takes}`` and ``{missing}``.
    """

    key: str
    label: str
    takes: tuple[SizeOf, ...]
    room: SizeOf
    said: str
    unit: str = "mm"
    may_lack: tuple[str, ...] = ()


CLEARANCES: tuple[Clearance, ...] = (
    Clearance(
        key="radiator depth",
        label="radiator and fans, how deep",
        takes=(
            SizeOf("radiator", "thickness_mm"),
            SizeOf("fans", "thickness_mm"),
            SizeOf("fan_screws", "head_mm", if_told=True),
        ),
        room=SizeOf("case", "radiator_depth_mm"),
        said="radiator and fans are {takes} deep, and the case has {room}",
        may_lack=("fans", "fan_screws"),
    ),
    Clearance(
        key="radiator length",
        label="radiator, how long",
        takes=(SizeOf("radiator", "length_mm"),),
        room=SizeOf("case", "radiator_length_mm"),
        said="the radiator is {takes} long, and the case has {room}",
    ),
    Clearance(
        key="radiator width",
        label="radiator, how wide",
        takes=(SizeOf("radiator", "width_mm"),),
        room=SizeOf("case", "radiator_width_mm"),
        said="the radiator is {takes} wide, and the case has {room}",
    ),
    Clearance(
        key="memory",
        label="memory under the block",
        takes=(SizeOf("memory", "height_mm"),),
        room=SizeOf("block", "memory_clearance_mm"),
        said="it does not clear memory over {room}, and this one is {takes} high",
    ),
    Clearance(
        key="side",
        label="block and fitting, how high",
        takes=(SizeOf("block", "height_mm"), SizeOf("fitting", "height_mm")),
        room=SizeOf("case", "side_clearance_mm"),
        said="block and fitting stand {takes} high, and up to the side there are {room}",
        may_lack=("fitting",),
    ),
    Clearance(
        key="card slots",
        label="card with its block, slots",
        takes=(SizeOf("block", "slots"),),
        room=SizeOf("case", "card_slots"),
        said="the card takes {takes} with its block, and the case has {room}",
        unit="slots",
    ),
    Clearance(
        key="ports",
        label="fittings side by side on the block",
        takes=(SizeOf("fitting", "diameter_mm"),),
        room=SizeOf("block", "port_spacing_mm"),
        said="two fittings need {takes} from middle to middle, and the block’s ports are {room} apart",
    ),
    Clearance(
        key="radiator ports",
        label="fittings side by side on the radiator",
        takes=(SizeOf("fitting", "diameter_mm"),),
        room=SizeOf("radiator", "port_spacing_mm"),
        said="two fittings need {takes} from middle to middle, and the radiator’s ports are {room} apart",
    ),
    Clearance(
        key="radiator ports' place",
        label="radiator's ports in the case",
        takes=(SizeOf("case", "ports_blocked_mm"), HalfOf("fitting", "diameter_mm")),
        room=SizeOf("radiator", "port_from_end_mm"),
        said="what stands at that end and half a fitting take {takes}, and the middle of the "
        "radiator’s ports is {room} from its end",
    ),
    Clearance(
        key="stack",
        label="board and backplate under the block’s screws",
        takes=(SizeOf("board", "thickness_mm"), SizeOf("backplate", "thickness_mm")),
        room=SizeOf("block", "screw_reach_mm"),
        said="board and backplate are {takes} thick, and the block’s screws reach through {room}",
    ),
    Clearance(
        key="behind the board",
        label="backplate behind the board",
        takes=(SizeOf("backplate", "thickness_mm"),),
        room=SizeOf("case", "behind_board_mm"),
        said="the backplate stands {takes} off the board, and behind it there are {room}",
    ),
    Clearance(
        key="fan header",
        label="fans on one header",
        takes=(SizeOf("fans", "current_a", ("radiator", "fan_count")),),
        room=SizeOf("board", "fan_header_a"),
        said="the fans draw {takes} together, and a header gives {room}",
        unit="A",
    ),
    Clearance(
        key="pump header",
        label="pump on its header",
        takes=(SizeOf("pump", "current_a"),),
        room=SizeOf("board", "pump_header_a"),
        said="the pump draws {takes}, and its header gives {room}",
        unit="A",
    ),
)


@dataclass(frozen=True)
class Built:
    """A part that takes a slot: its name, its kind and its fields."""

    name: str
    kind: str
    fields: Mapping[str, object]


@dataclass(frozen=True, kw_only=True)
class Fit:
    """How something fits.

    Attributes
    ----------
    state : str
        One of `STATES`; ``tight`` where it fits but for the tolerances at their worst.
    spare : float or None
        Room that is left, at the sizes as told; negative: what is missing.
    worst, likely : float
        Half of what the tolerances make of it: their sum, and the root of their squares.
    unknown : tuple of str
        Sizes that are not told.
    mends : tuple of str
        What would mend a conflict.
    """

    key: str
    label: str
    state: str
    sentence: str
    spare: float | None = None
    worst: float = 0.0
    likely: float = 0.0
    unit: str = "mm"
    unknown: tuple[str, ...] = ()
    mends: tuple[str, ...] = ()


def _number(fields: Mapping[str, object], key: str) -> float | None:
    value = fields.get(key)
    return float(value) if isinstance(value, (int, float)) else None


def _has_field(part: Built, key: str) -> bool:
    """Whether parts of its kind have such a size at all: a card block has nothing over memory."""
    return part.kind not in KINDS or any(f.key == key for f in KINDS[part.kind].fields)


def _label(part: Built, key: str) -> str:
    found = next((f.label for f in KINDS[part.kind].fields if f.key == key), key) if part.kind in KINDS else key
    return tr("“{found}” of {name}", found=found, name=part.name)


def clearance(check: Clearance, built: Mapping[str, Built], shelf: Sequence[Built] = (), keep: str = "") -> Fit:
    """Whether something fits, with what would mend it from the parts there are.

    Parameters
    ----------
    keep : str
        The slot that is not changed to mend it: the one under test.

    >>> room = Built("booth case", "case", {"radiator_depth_mm": 55.0})
    >>> thick = Built("Reed", "radiator", {"thickness_mm": 30.0})
    >>> fans = Built("Wagtail", "fan", {"thickness_mm": 27.0})
    >>> found = clearance(CLEARANCES[0], {"case": room, "radiator": thick, "fans": fans})
    >>> found.state, found.spare
    ('conflict', -2.0)
    >>> clearance(CLEARANCES[0], {"case": room, "radiator": thick}).state
    'fits'
    """
    lacking = [s.slot for s in (*check.takes, check.room) if s.slot not in built and s.slot not in check.may_lack]
    asked = ((built.get(s.slot), s.field) for s in (*check.takes, check.room))
    if lacking or any(p is not None and not _has_field(p, key) for p, key in asked):
        return Fit(key=check.key, label=tr(check.label), state=NOT_BUILT, sentence="", unit=check.unit)
    unknown, total, tolerances = [], 0.0, []
    for size in check.takes:
        part = built.get(size.slot)
        if part is None:
            continue
        value, count = _number(part.fields, size.field), size.share
        if size.times is not None:
            counting = built.get(size.times[0])
            told = None if counting is None else _number(counting.fields, size.times[1])
            if told is None:
                unknown.append(tr("how many {slot} there are", slot=size.slot))
            count *= told or 1.0
        if value is None and size.if_told:
            continue
        if value is None:
            unknown.append(_label(part, size.field))
            continue
        total += count * value
        tolerances.append(count * (_number(part.fields, tolerance_key(size.field)) or 0.0))
    holder = built[check.room.slot]
    room = _number(holder.fields, check.room.field)
    if room is None:
        unknown.append(_label(holder, check.room.field))
    else:
        tolerances.append(_number(holder.fields, tolerance_key(check.room.field)) or 0.0)
    worst, likely = float(sum(tolerances)), float(np.sqrt(sum(t**2 for t in tolerances)))
    if room is None or unknown:
        over = room is not None and total > room + worst
        known = tr("fits as far as is known") if not over else tr(check.said, **_told(total, room or 0.0, check.unit))
        said = tr("{known}; unknown: {unknown}", known=known, unknown=", ".join(unknown))
        state = CONFLICT if over else UNKNOWN
        return Fit(
            key=check.key, label=tr(check.label), state=state, sentence=said, unit=check.unit, unknown=tuple(unknown)
        )
    spare = room - total
    state = CONFLICT if spare < 0 else TIGHT if spare < worst else FITS
    return Fit(
        key=check.key,
        label=tr(check.label),
        state=state,
        sentence=_sentence(check, state, spare, worst, likely, total, room),
        spare=spare,
        worst=worst,
        likely=likely,
        unit=check.unit,
        mends=tuple(_mends(check, built, shelf, spare, keep)) if state == CONFLICT else (),
    )


def _told(total: float, room: float, unit: str) -> dict[str, str]:
    return {
        "takes": f"{plain(total)} {unit}",
        "room": f"{plain(room)} {unit}",
        "missing": f"{plain(total - room)} {unit}",
    }


def _sentence(
    check: Clearance, state: str, spare: float, worst: float, likely: float, total: float, room: float
) -> str:
    if state == CONFLICT:
        return tr(
            "{told}: {over:.3g} {unit} too much",
            told=tr(check.said, **_told(total, room, check.unit)),
            over=-spare,
            unit=check.unit,
        )
    if worst == 0:
        return tr("fits with {spare:.3g} {unit} to spare, if all sizes are as told", spare=spare, unit=check.unit)
    least = tr(
        "{worst:.3g} {unit} at worst, {likely:.3g} most likely at least",
        worst=spare - worst,
        unit=check.unit,
        likely=spare - likely,
    )
    if state == TIGHT:
        return tr(
            "fits by {spare:.3g} {unit} as told, but may lack {worst:.3g} {unit} with all tolerances at their worst",
            spare=spare,
            unit=check.unit,
            worst=worst - spare,
        )
    return tr("fits with {spare:.3g} {unit} to spare ({least})", spare=spare, unit=check.unit, least=least)


def _mends(check: Clearance, built: Mapping[str, Built], shelf: Sequence[Built], spare: float, keep: str) -> list[str]:
    """Parts of the same kind on the shelf with which it would fit."""
    out = []
    for size in (*check.takes, check.room):
        part = built.get(size.slot)
        own = None if part is None else _number(part.fields, size.field)
        if part is None or own is None or size.slot == keep:
            continue
        times = size.share
        if size.times is not None and size.times[0] in built:
            times *= _number(built[size.times[0]].fields, size.times[1]) or 1.0
        for other in shelf:
            value = _number(other.fields, size.field)
            if other.kind != part.kind or other.name == part.name or value is None:
                continue
            gained = (value - own) if size is check.room else times * (own - value)
            if spare + gained >= 0:
                out.append(tr("with {other} instead of {name} it fits", other=other.name, name=part.name))
    return list(dict.fromkeys(out))
