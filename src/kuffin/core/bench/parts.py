"""The kinds of part on the shelf, and the fields each kind needs."""

from __future__ import annotations

from collections.abc import Mapping

from kuffin.core.base.errors import BenchError
from kuffin.core.base.language import tr
from kuffin.core.base.numbers import outside, typed_number
from kuffin.core.base.saying import chained, say
from kuffin.core.bench.partfields import MOST_KPA, Field, PartKind

METALS = ("copper", "brass", "nickel plate", "chrome plate", "aluminium", "stainless steel", "silver", "zinc", "tin")
THREADS = ("G1/4", "G3/8", "none")
CAME = ("bought", "lent by the maker", "given by the maker", "pre-production", "used")


_VOLUME = Field(key="volume_ml", label="volume inside", unit="mL", high=20_000)
_WEIGHT = Field(key="weight_g", label="weight, as weighed dry", unit="g", high=50_000)
_THREAD = Field(key="thread", label="threads", kind="choice", options=THREADS)
_METALS = Field(key="metals", label="wetted metals", kind="several", options=METALS)
_PRESSURE = Field(key=MOST_KPA, label="highest pressure its maker allows", unit="kPa over air", high=2000)
_SCREWS = Field(
    key="screw_pattern", label="screws", kind="choice", options=("two", "four", "four in a cross", "six", "eight")
)
_SIZE = Field(key="fan_size_mm", label="fan size", unit="mm", high=400)


SCREW_THREADS = ("M3", "M3.5", "M4", "UNC 6-32")


def _size(key: str, label: str, high: float = 400) -> Field:
    """A size that something has to fit by."""
    return Field(key=key, label=label, unit="mm", high=high, toleranced=True)


_HEIGHT = _size("height_mm", "height over the board")
_OVER_MEMORY = _size("memory_clearance_mm", "clears memory up to")
_CURRENT = Field(key="current_a", label="current at full speed", unit="A", high=20)
PLUGS = ("3 pins", "4 pins", "drive plug", "its own")
_PLUG = Field(key="plug", label="plug", kind="choice", options=PLUGS)
_PORTS = _size("port_spacing_mm", "ports, middle to middle")
_FROM_END = _size("port_from_end_mm", "ports, middle from its end")
_REACH = _size("screw_reach_mm", "its screws reach through at most", 100)


_IN_HAND = (
    Field(key="finish", label="finish, as found", kind="text", in_hand=True),
    Field(key="contents", label="what is in the box", kind="text", in_hand=True),
    Field(key="defects", label="defects", kind="text", in_hand=True),
)


def _kind(key: str, plural: str, *fields: Field, slot: str = "", cools: bool = True) -> PartKind:
    return PartKind(key=key, plural=plural, fields=fields, slot=slot, cools=cools)


KINDS: dict[str, PartKind] = {
    k.key: k
    for k in (
        _kind(
            "processor block",
            "processor blocks",
            _WEIGHT,
            _HEIGHT,
            _OVER_MEMORY,
            _PORTS,
            _REACH,
            _VOLUME,
            _THREAD,
            _METALS,
            _PRESSURE,
            _SCREWS,
            *_IN_HAND,
            slot="block",
        ),
        _kind(
            "card block",
            "card blocks",
            _WEIGHT,
            Field(key="slots", label="slots that the card takes with it", unit="slots", high=10),
            _PORTS,
            _VOLUME,
            _THREAD,
            _METALS,
            _PRESSURE,
            _SCREWS,
            Field(key="step_mm", label="its die stands higher than its pads' face by", unit="mm", low=-5, high=10),
            *_IN_HAND,
            slot="block",
        ),
        _kind(
            "radiator",
            "radiators",
            _WEIGHT,
            _size("length_mm", "length", 2000),
            _size("width_mm", "width", 1000),
            _size("thickness_mm", "thickness", 300),
            _PORTS,
            _FROM_END,
            _SIZE,
            Field(key="fan_count", label="fans", high=20),
            Field(key="screw_thread", label="screw threads", kind="choice", options=SCREW_THREADS),
            Field(key="screw_depth_mm", label="depth from the flange to the core", unit="mm", high=50),
            Field(key="fins_per_cm", label="fins", unit="/cm", high=100, in_hand=True),
            _VOLUME,
            _THREAD,
            _METALS,
            _PRESSURE,
            *_IN_HAND,
            slot="radiator",
        ),
        _kind(
            "pump",
            "pumps",
            _WEIGHT,
            _VOLUME,
            _THREAD,
            _METALS,
            _PRESSURE,
            Field(key="voltage_v", label="voltage", unit="V", high=240),
            _CURRENT,
            _PLUG,
            *_IN_HAND,
            slot="pump",
        ),
        _kind("reservoir", "reservoirs", _VOLUME, _THREAD, _METALS, _PRESSURE, slot="reservoir"),
        _kind(
            "fan",
            "fans",
            _WEIGHT,
            _SIZE,
            _size("thickness_mm", "thickness", 100),
            _CURRENT,
            _PLUG,
            Field(key="max_rpm", label="highest speed", unit="rpm", high=20_000),
            Field(key="blades", label="blades", low=1, high=50),
            *_IN_HAND,
            slot="fans",
        ),
        _kind(
            "tube",
            "tubes",
            Field(key="inner_mm", label="inner diameter", unit="mm", high=50),
            Field(key="outer_mm", label="outer diameter", unit="mm", high=60),
            _PRESSURE,
            slot="tube",
        ),
        _kind(
            "fitting",
            "fittings",
            _size("height_mm", "height over the port"),
            _size("diameter_mm", "widest diameter", 100),
            _VOLUME,
            _THREAD,
            _METALS,
            _PRESSURE,
            slot="fitting",
        ),
        _kind(
            "adapter",
            "adapters",
            _THREAD,
            Field(key="thread_out", label="threads on the other side", kind="choice", options=THREADS),
            _METALS,
            slot="adapter",
        ),
        _kind(
            "screws",
            "screws",
            Field(key="length_mm", label="length under the head", unit="mm", high=200),
            _size("head_mm", "height of the head", 30),
            Field(key="screw_thread", label="thread", kind="choice", options=SCREW_THREADS),
            slot="fan_screws",
        ),
        _kind(
            "case",
            "cases",
            _size("radiator_length_mm", "room for a radiator, length", 2000),
            _size("ports_blocked_mm", "taken over the radiator's ports, from its end"),
            _size("radiator_width_mm", "room for a radiator, width", 1000),
            _size("radiator_depth_mm", "room for radiator and fans, depth", 500),
            _size("side_clearance_mm", "from the board to the side", 500),
            _size("behind_board_mm", "room behind the board", 100),
            Field(key="card_slots", label="slots for a card", unit="slots", high=12),
            slot="case",
            cools=False,
        ),
        _kind(
            "board",
            "boards",
            Field(key="fan_header_a", label="current of a fan header", unit="A", high=20),
            Field(key="pump_header_a", label="current of the pump header", unit="A", high=20),
            Field(key="fan_plug", label="fan headers take", kind="choice", options=PLUGS),
            Field(key="pump_plug", label="the pump header takes", kind="choice", options=PLUGS),
            _size("thickness_mm", "thickness", 10),
            slot="board",
            cools=False,
        ),
        _kind("memory", "memory", _size("height_mm", "height"), slot="memory", cools=False),
        _kind(
            "coolant",
            "coolants",
            Field(key="sort", label="sort", kind="choice", options=("ready mixed", "concentrate", "plain water")),
            Field(key="share_percent", label="concentrate in the mix, by volume", unit="%", high=100),
            Field(key="glycol_mass_percent", label="glycol in the mix, by mass", unit="%", high=100),
            Field(
                key="glycol",
                label="glycol in it",
                kind="choice",
                options=("none", "ethylene glycol", "propylene glycol", "unknown"),
            ),
            slot="coolant",
        ),
        _kind(
            "paste",
            "pastes",
            Field(
                key="sort",
                label="sort",
                kind="choice",
                options=("ordinary", "electrically conductive", "liquid metal", "sheet"),
            ),
            Field(key="conductivity_w_mk", label="conductivity, as claimed", unit="W/(m K)", high=1000),
            Field(key="rest_h", label="time to settle after mounting", unit="h", high=500),
            slot="paste",
        ),
        _kind(
            "pad",
            "pads",
            Field(key="thickness_mm", label="thickness", unit="mm", high=10),
            Field(key="least_percent", label="squeeze, at least", unit="%", high=90),
            Field(key="most_percent", label="squeeze, at most", unit="%", high=90),
            Field(key="conductivity_w_mk", label="conductivity, as claimed", unit="W/(m K)", high=1000),
            slot="pads",
        ),
        _kind(
            "air cooler",
            "air coolers",
            _WEIGHT,
            Field(key="height_mm", label="height", unit="mm", high=400),
            _SIZE,
            _SCREWS,
            *_IN_HAND,
        ),
        _kind("chipset block", "chipset blocks", _WEIGHT, _VOLUME, _THREAD, _METALS, _PRESSURE),
        _kind("regulator block", "regulator blocks", _WEIGHT, _VOLUME, _THREAD, _METALS, _PRESSURE),
        _kind("memory cooler", "memory coolers", Field(key="height_mm", label="height", unit="mm", high=400)),
        _kind(
            "backplate",
            "backplates",
            _size("thickness_mm", "thickness", 30),
            Field(key="screw_thread", label="screw threads", kind="text"),
            slot="backplate",
        ),
        _kind(
            "sensor",
            "sensors",
            Field(key="quantity", label="measures", kind="text"),
            _VOLUME,
            _THREAD,
            _METALS,
            slot="sensor",
        ),
        _kind("other part", "other parts", _VOLUME, _METALS, _PRESSURE),
        _kind(
            "whole set",
            "whole sets",
            _VOLUME,
            _METALS,
            _PRESSURE,
            _SIZE,
            Field(key="fan_count", label="fans", high=20),
            slot="set",
        ),
    )
}


WET_SLOTS = frozenset(k.slot for k in KINDS.values() if k.wet and k.slot)


def kind_of(key: str) -> PartKind:
    """A kind by its key.

    Raises
    ------
    BenchError
        For a kind that Kuffin does not know; the sentence names those it does.

    >>> kind_of("radiator").key
    'radiator'
    """
    found = KINDS.get(key)
    if found is None:
        raise BenchError("“{key}” is no kind of part; use one of: {kinds}", key=key, kinds=", ".join(KINDS))
    return found


def read_field(field: Field, written: str) -> float | str | list[str] | None:
    """What was written into a field, as it is kept; None where it is blank.

    Raises
    ------
    BenchError
        Where it is no number, out of range, or none of the choices.

    >>> [read_field(f, "2.5") for f in KINDS["radiator"].fields if f.unit][:1], read_field(KINDS["radiator"].fields[0], " ")
    ([2.5], None)
    """
    written = written.strip()
    if not written:
        return None
    if field.kind == "number":
        try:
            value = typed_number(written.removesuffix(field.unit).strip())
        except ValueError:
            raise BenchError("{label}: “{written}” is no number", label=say(field.label), written=written) from None
        if not field.low <= value <= field.high:
            said = outside(value, field.low, field.high, field.unit)
            raise BenchError("{label}: {said}", label=say(field.label), said=said)
        return value
    if field.kind == "several":
        chosen = [w.strip().lower() for w in written.replace(";", ",").replace("|", ",").split(",") if w.strip()]
        for word in chosen:
            if word not in field.options:
                raise BenchError(
                    "{label}: “{word}” is not known; use some of: {options}",
                    label=say(field.label),
                    word=word,
                    options=chained([say(o) for o in field.options], ", "),
                )
        return chosen
    if field.kind == "choice" and written not in field.options:
        raise BenchError(
            "{label}: “{written}” is not known; use one of: {options}",
            label=say(field.label),
            written=written,
            options=chained([say(o) for o in field.options], ", "),
        )
    return written


def show_field(field: Field, value: object) -> str:
    """A field's value as text, without its unit.

    >>> show_field(_WEIGHT, 760.0), show_field(_METALS, ["copper", "brass"]), show_field(_WEIGHT, None)
    ('760', 'copper, brass', '')
    """
    if value is None:
        return ""
    if isinstance(value, (list, tuple)):
        return ", ".join(map(str, value))
    return f"{value:g}" if isinstance(value, (int, float)) else str(value)


def gaps(kind: str, fields: Mapping[str, object]) -> list[str]:
    """The labels of the fields that are still blank."""
    return [tr(f.label) for f in kind_of(kind).fields if not f.in_hand and fields.get(f.key) in (None, "", [])]
