"""What may be under test: the one owner. A new kind is one more record here."""

from __future__ import annotations

from dataclasses import dataclass, replace
from typing import Any

from kuffin.core.base.language import Told, tr
from kuffin.core.bench.roles import TEMPERATURES, spoken

ALL_TRACES = tuple(
    f"{part}_over_{base}{end}"
    for part, base in (("coolant", "air"), ("die", "coolant"), ("die", "air"))
    for end in ("", "_per_watt")
)


@dataclass(frozen=True, kw_only=True)
class UnderTest:
    """A kind of thing that is compared.

    Attributes
    ----------
    key, label : str
        In the notebook; and as several of them are spoken of.
    example : str
        Candidates, one a line, as an example.
    made, make : str
        What is done to each: ``fitted``, ``fit``.
    keeps : str
        How a cooler one is spoken of: ``runs the coolant``.
    part_kinds : tuple of str
        The kinds of part that may be candidates, the usual one first.
    slot : str
        The place of the loop or the mount that a candidate takes; blank for several.
    brings : frozenset of str
        The settings that a candidate brings with it, which may therefore differ.
    part : str
        ``die``, ``coolant`` or another part: whose temperature is asked about.
    over : str
        What its rise is taken over, where a study says so by itself; blank: as its schools do.
    any_temperature : bool
        Whether a study says which temperature it asks about, over which other one.
    school : str
        The usual way to normalise.
    over_coolant : bool
        Whether its rise over the coolant says something of it.
    per_watt : bool
        Whether the power of its device makes its rise.
    wet : bool
        Whether the loop is opened to change it.
    oriented : bool
        Whether it can be built in this way or that.
    dry_bench : bool
        Whether the bench has no loop: nothing is filled, and no leak is tested.
    sits_on_die : bool
        Whether the candidate itself is screwed down on the die.
    fins : bool
        Whether it has fins that cut.
    on_die : bool
        Whether what sits on the die is taken off to change it.
    spread_k : float
        How far mounts usually scatter, K, until a notebook knows its own.
    block_side, loop_side : bool
        Whether it makes the step from die to coolant, and the one from coolant to air.
    main_trace : str
        The trace whose window the plain readings are taken from.
    outcomes : tuple of str
        What one usually looks at beside temperatures (`core.bench.outcomes`), where the bench tells it.
    traces : tuple of str
        The traces that are settled: those of its schools, and the steps of the staircase.
    """

    key: str
    label: Told = Told()
    example: str
    made: Told = Told("mounted")
    make: Told = Told("mount")
    keeps: Told = Told("keeps the die")
    part_kinds: tuple[str, ...]
    slot: str
    brings: frozenset[str]
    part: str = "die"
    over: str = ""
    any_temperature: bool = False
    school: str = "die_over_coolant_per_watt"
    over_coolant: bool = True
    per_watt: bool = True
    wet: bool = False
    oriented: bool = False
    dry_bench: bool = False
    sits_on_die: bool = False
    fins: bool = False
    on_die: bool = False
    spread_k: float = 0.6
    block_side: bool = False
    loop_side: bool = False
    main_trace: str = "die_over_coolant"
    outcomes: tuple[str, ...] = ("clock", "power", "flow", "idle_die")
    traces: tuple[str, ...] = ALL_TRACES

    @property
    def words(self) -> str:
        """What is compared, with the temperatures where a study chooses them: ``anything else (storage over room)``."""
        return (
            tr("{label} ({part} over {over})", label=self.label, part=tr(spoken(self.part)), over=tr(spoken(self.over)))
            if self.any_temperature
            else self.label
        )


_WHOLE = ("die_over_air", "die_over_air_per_watt", "die_over_coolant", "coolant_over_air")
_FITTED: dict[str, Any] = {"made": "fitted", "make": "fit"}
# what is judged by the coolant over the air, and what by the die over it
_RADIATOR_SIDE: dict[str, Any] = {
    **_FITTED,
    "keeps": "runs the coolant",
    "part": "coolant",
    "school": "coolant_over_air_per_watt",
    "over_coolant": False,
    "spread_k": 0.4,
    "loop_side": True,
    "main_trace": "coolant_over_air",
    "outcomes": ("flow", "sound"),
    "traces": ("coolant_over_air", "coolant_over_air_per_watt", "die_over_coolant"),
}
_WHOLE_LOOP: dict[str, Any] = {
    "school": "die_over_air_per_watt",
    "over_coolant": False,
    "block_side": True,
    "loop_side": True,
    "main_trace": "die_over_air",
    "outcomes": ("clock", "power", "flow", "sound"),
    "traces": _WHOLE,
}


def _over_coolant(part: str) -> tuple[str, ...]:
    """The traces of a part that is not the die."""
    return (f"{part}_over_coolant", f"{part}_over_air", "coolant_over_air", "die_over_coolant")


def _board_block(part: str) -> dict[str, Any]:
    """A block for another part of the board, whose own power no channel tells."""
    return {
        "key": f"{part} block",
        "label": f"{part} blocks",
        "example": "Curlew\nSnipe",
        "keeps": f"keeps the {spoken(part)}",
        "part_kinds": (f"{part} block",),
        "slot": "",
        "brings": frozenset(),
        "part": part,
        "school": f"{part}_over_coolant",
        "per_watt": False,
        "wet": True,
        "main_trace": f"{part}_over_coolant",
        "traces": _over_coolant(part),
    }


KINDS: dict[str, UnderTest] = {
    k.key: k
    for k in (
        UnderTest(
            key="radiator",
            label="radiators",
            example="Reed\nRush\nSedge",
            part_kinds=("radiator",),
            slot="radiator",
            brings=frozenset({"radiator"}),
            fins=True,
            wet=True,
            oriented=True,
            **_RADIATOR_SIDE,
        ),
        UnderTest(
            key="block",
            label="water blocks",
            example="Tern\nPlover\nDunlin",
            part_kinds=("processor block", "card block"),
            slot="block",
            brings=frozenset({"block"}),
            wet=True,
            sits_on_die=True,
            on_die=True,
            block_side=True,
        ),
        UnderTest(
            key="paste",
            label="pastes",
            example="Chalk\nMarl\nLoam",
            part_kinds=("paste",),
            slot="paste",
            brings=frozenset({"paste"}),
            on_die=True,
            block_side=True,
        ),
        UnderTest(
            key="pad",
            label="pads",
            example="Chalk\nMarl",
            part_kinds=("pad",),
            slot="pads",
            brings=frozenset({"pads"}),
            on_die=True,
            spread_k=0.8,
            block_side=True,
        ),
        UnderTest(
            key="coolant",
            label="coolants",
            example="Rill\nBrook",
            made="filled",
            make="fill in",
            part_kinds=("coolant",),
            slot="coolant",
            brings=frozenset({"coolant"}),
            wet=True,
            spread_k=0.4,
            **_WHOLE_LOOP,
        ),
        UnderTest(
            key="set",
            label="whole sets",
            example="Reed\nSedge",
            part_kinds=("whole set",),
            slot="",
            brings=frozenset({"block", "radiator", "pump", "fans", "coolant"}),
            fins=True,
            wet=True,
            oriented=True,
            on_die=True,
            sits_on_die=True,
            **_WHOLE_LOOP,
        ),
        UnderTest(
            key="air cooler",
            label="air coolers and heatsinks",
            example="Hill\nDown\nFell",
            part_kinds=("air cooler",),
            slot="",
            brings=frozenset({"fans", "fans_where"}),
            fins=True,
            school="die_over_air_per_watt",
            over_coolant=False,
            dry_bench=True,
            on_die=True,
            sits_on_die=True,
            block_side=True,
            main_trace="die_over_air",
            traces=("die_over_air", "die_over_air_per_watt"),
        ),
        UnderTest(
            key="fan",
            label="fans",
            example="Wagtail\nPipit",
            part_kinds=("fan",),
            slot="fans",
            brings=frozenset({"fans"}),
            **_RADIATOR_SIDE,
        ),
        UnderTest(
            key="pump",
            label="pumps",
            example="Dipper\nHeron",
            part_kinds=("pump",),
            slot="pump",
            brings=frozenset({"pump"}),
            wet=True,
            spread_k=0.4,
            **_FITTED,
            **_WHOLE_LOOP,
        ),
        UnderTest(
            key="backplate",
            label="backplates",
            example="Slate\nShale",
            keeps="keeps the backplate",
            part_kinds=("backplate",),
            slot="backplate",
            brings=frozenset({"backplate"}),
            part="backplate",
            school="backplate_over_coolant_per_watt",
            on_die=True,
            main_trace="backplate_over_coolant",
            traces=(*_over_coolant("backplate"), "backplate_over_coolant_per_watt", "backplate_over_air_per_watt"),
        ),
        UnderTest(**_board_block("chipset")),
        UnderTest(**_board_block("regulator")),
        UnderTest(
            key="memory cooler",
            label="memory coolers",
            example="Curlew\nSnipe",
            keeps="keeps the memory",
            part_kinds=("memory cooler",),
            slot="",
            brings=frozenset(),
            fins=True,
            part="memory",
            school="memory_over_air",
            over_coolant=False,
            per_watt=False,
            main_trace="memory_over_air",
            traces=("memory_over_air", "coolant_over_air", "die_over_coolant"),
        ),
        UnderTest(
            key="anything",
            label="anything else",
            example="Slate\nShale",
            made="fitted",
            make="fit",
            part_kinds=("other part",),
            slot="",
            brings=frozenset(),
            over="air",
            any_temperature=True,
            school="die_over_air",
            block_side=True,
            loop_side=True,
            main_trace="die_over_air",
            traces=("die_over_air", "die_over_air_per_watt"),
        ),
    )
}


def _pair(part: str, over: str) -> UnderTest:
    trace = f"{part}_over_{over}"
    return replace(
        KINDS["anything"],
        key=f"{part} over {over}",
        keeps=f"keeps the {spoken(part)}",
        part=part,
        over=over,
        school=trace,
        main_trace=trace,
        traces=tuple(dict.fromkeys((trace, f"{trace}_per_watt", "coolant_over_air", "die_over_coolant"))),
    )


OVER = ("air", *TEMPERATURES)  # “air” is whichever channel tells it
PAIRS: dict[str, UnderTest] = {
    k.key: k for k in (_pair(part, over) for part in TEMPERATURES for over in OVER if part != over)
}


def kind_under_test(key: str) -> UnderTest:
    """The kind of what is compared, or a pair of temperatures; a whole set where a notebook says something that there is not.

    >>> kind_under_test("paste").made, kind_under_test("memory over air").part
    ('mounted', 'memory')
    """
    return KINDS.get(key) or PAIRS.get(key) or KINDS["set"]
