"""The schools: how a temperature is made comparable between runs.

Each school takes something out (the room, the radiator, the power). The table is that of docs/methods.md,
"Normalising".
"""

from __future__ import annotations

from dataclasses import dataclass

from kuffin.core.bench.roles import COOLANT, TEMPERATURES, spoken
from kuffin.core.bench.undertest import KINDS, OVER, kind_under_test


@dataclass(frozen=True)
class School:
    """One way to normalise.

    Attributes
    ----------
    key, label : str
    part : str
        The temperature that is asked about: ``die``, ``coolant`` or another part's.
    over : str or None
        What is taken off: ``air``, ``coolant`` or another temperature.
    per_watt : bool
        Divided by power; shown re-based to the study's reference power, in K.
    rebased : bool
        Shown as a temperature in a room at the reference temperature, in °C.
    takes_out, right_when : str
        For the person.
    whole : bool
        Whether its value comes from the whole-trace fit instead of a window.
    """

    key: str
    label: str
    part: str
    over: str | None
    per_watt: bool
    rebased: bool
    takes_out: str
    right_when: str
    whole: bool = False

    @property
    def trace(self) -> str:
        """The settled trace this school's value comes from."""
        if self.over is None:
            return f"{self.part}_as_read"
        if self.whole:
            return f"{self.part}_over_{self.over}_whole"
        return f"{self.part}_over_{self.over}" + ("_per_watt" if self.per_watt else "")

    @property
    def of_coolant(self) -> bool:
        """Whether the heat of all devices makes its rise, not that of one."""
        return self.part in COOLANT

    @property
    def leaves_in(self) -> str:
        """What it leaves in the numbers that a comparison should not rest on; blank where that is nothing.

        A rise is compared at the same power: what differs there is told by the fairness check.
        """
        return "the room and the power" if self.over is None else ""

    @property
    def unit(self) -> str:
        """The unit its values are shown in."""
        return "°C" if self.over is None or self.rebased else "K"

    def shown(self, value: float, reference_power_w: float, reference_air_c: float) -> float:
        """A trace's value as it is shown: ``R·P_ref`` per watt, ``T_ref + rise`` re-based."""
        if self.per_watt:
            return value * reference_power_w
        return value + reference_air_c if self.rebased else value

    def shown_u95(self, u95: float, reference_power_w: float) -> float:
        return u95 * reference_power_w if self.per_watt else u95


_ROOM = "the whole loop or a radiator, with the same power everywhere"


def _schools(part: str) -> list[School]:
    name = spoken(part).capitalize()
    found = [
        School(
            f"{part}_as_read",
            f"{name} as read",
            part,
            None,
            False,
            False,
            "nothing",
            "never for comparing; it shows what would have been said",
        ),
        School(f"{part}_over_air", f"{name} over air", part, "air", False, False, "the room", _ROOM),
        School(
            f"{part}_rebased",
            f"{name} re-based",
            part,
            "air",
            False,
            True,
            "the room; reads as a temperature in a room of its own",
            _ROOM,
        ),
        School(
            f"{part}_over_air_per_watt",
            f"{name} over air, per watt",
            part,
            "air",
            True,
            False,
            "the room and the power",
            "power differs between candidates, or drifts",
        ),
    ]
    bases = {"coolant": ("air",), "die": ("air", "coolant")}.get(part, ())  # whole traces are those of the heat path
    found += [
        School(
            f"{part}_over_{base}_whole",
            f"{name} over {base}, whole trace",
            part,
            base,
            True,
            False,
            "power, and what moved during the run",
            "the room moved, or the run was stopped early",
            True,
        )
        for base in bases
    ]
    if part != "coolant":
        found += [
            School(
                f"{part}_over_coolant",
                f"{name} over coolant",
                part,
                "coolant",
                False,
                False,
                "room, radiator and fans",
                "blocks, pastes and pads at the same power",
            ),
            School(
                f"{part}_over_coolant_per_watt",
                f"{name} over coolant, per watt",
                part,
                "coolant",
                True,
                False,
                "room, radiator, fans and power",
                "blocks, pastes and pads",
            ),
        ]
    return found


def _over(part: str, over: str) -> list[School]:
    """Any temperature over any other."""
    label = f"{spoken(part).capitalize()} over {spoken(over)}"
    takes, when = f"what moves the {spoken(over)}", "it is that difference which is asked about"
    return [
        School(f"{part}_over_{over}", label, part, over, False, False, takes, when),
        School(
            f"{part}_over_{over}_per_watt",
            f"{label}, per watt",
            part,
            over,
            True,
            False,
            f"{takes}, and the power",
            when,
        ),
    ]


# what may be asked about: the heat path's two, then whatever else a kind of thing under test is judged by, then all others
PARTS = tuple(dict.fromkeys(("coolant", "die", *(k.part for k in KINDS.values()), *TEMPERATURES)))
SCHOOLS: dict[str, School] = {s.key: s for part in PARTS for s in _schools(part)}
SCHOOLS |= {
    s.key: s for part in PARTS for over in OVER if part != over for s in _over(part, over) if s.key not in SCHOOLS
}
_HEAT_PATH = {None, "air", "coolant"}


def schools_for(under_test: str) -> list[School]:
    """The schools that make sense for what is under test."""
    kind = kind_under_test(under_test)
    if kind.any_temperature:
        return [s for s in SCHOOLS.values() if s.part == kind.part and s.over in {None, kind.over} and not s.rebased]
    return [
        s
        for s in SCHOOLS.values()
        if s.part == kind.part
        and s.over in _HEAT_PATH
        and (kind.over_coolant or s.over != "coolant")
        and (kind.per_watt or not s.per_watt)
    ]


def default_school(under_test: str) -> School:
    """The school that follows from what is under test."""
    return SCHOOLS[kind_under_test(under_test).school]


def as_read_school(under_test: str) -> School:
    """What is read off the screen without any taking out."""
    return SCHOOLS[f"{kind_under_test(under_test).part}_as_read"]
