"""The schools: how a temperature is made comparable between runs.

Each school takes something out (the room, the radiator, the power). The table is that of docs/methods.md,
"Normalising".
"""

from __future__ import annotations

from dataclasses import dataclass

from kuffin.core.base.language import Told, tr
from kuffin.core.base.worked import Worked, worked
from kuffin.core.bench.outcomes import HELD, Outcome
from kuffin.core.bench.roles import COOLANT, TEMPERATURES, spoken
from kuffin.core.bench.undertest import KINDS, OVER, kind_under_test


@dataclass(frozen=True, kw_only=True)
class School(Outcome):
    """A temperature as an outcome: one way to normalise it.

    Attributes
    ----------
    part : str
        The temperature that is asked about: ``die``, ``coolant`` or another part's.
    over : str or None
        What is taken off: ``air``, ``coolant`` or another temperature.
    rebased : bool
        Shown as a temperature in a room at the reference temperature, in °C.
    takes_out, right_when : str
        For the person.
    whole : bool
        Whether its value comes from the whole-trace fit instead of a window.
    """

    part: str
    over: str | None
    rebased: bool
    takes_out: Told = Told()
    right_when: Told = Told()
    whole: bool = False
    temperature: bool = True

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
    def trace_unit(self) -> str:
        """The unit of the trace that its values come from."""
        return "°C" if self.over is None else "K/W" if self.per_watt else "K"

    @property
    def trace_symbol(self) -> str:
        """By which formulas call a reading of that trace."""
        return "T" if self.over is None else "R" if self.per_watt else "ΔT"

    @property
    def trace_digits(self) -> int:
        """Decimals that a reading of that trace is shown with."""
        return 4 if self.per_watt else 2

    def shown(self, reading: Worked, reference_power_w: float, reference_air_c: float) -> Worked:
        """A trace's reading as it is shown: ``R·P_ref`` per watt, ``T_ref + ΔT`` re-based."""
        if self.per_watt:
            power = Worked(name=tr("Reference power"), symbol="P_ref", value=reference_power_w, unit="W", digits=0, source=tr("the study’s"))  # fmt: skip
            half = None
            if reading.half is not None:
                half = worked(tr("Half-width"), "U_T", "U*P_ref", [reading.half, power], "K", digits=3)
            return worked(tr("Re-based to the study’s power"), "ΔT", "R*P_ref", [reading, power], "K", half=half)
        if self.rebased:
            air = Worked(name=tr("Reference room"), symbol="T_ref", value=reference_air_c, unit="°C", digits=1, source=tr("the study’s"))  # fmt: skip
            return worked(
                tr("Re-based to the study’s room"), "T", "ΔT + T_ref", [reading, air], "°C", half=reading.half
            )
        return reading


def _school(
    key: str,
    label: str,
    part: str,
    over: str | None,
    takes_out: str,
    right_when: str,
    *,
    per_watt: bool = False,
    rebased: bool = False,
    whole: bool = False,
) -> School:
    unit = "°C" if over is None or rebased else "K"
    return School(
        key=key,
        label=label,
        unit=unit,
        part=part,
        over=over,
        per_watt=per_watt,
        rebased=rebased,
        takes_out=takes_out,
        right_when=right_when,
        whole=whole,
        normalised=f"it takes out {takes_out}",
        bounded="" if per_watt else HELD,
    )


_ROOM = "the whole loop or a radiator, with the same power everywhere"


def _schools(part: str) -> list[School]:
    name = spoken(part).capitalize()
    found = [
        _school(
            f"{part}_as_read",
            f"{name} as read",
            part,
            None,
            "nothing",
            "never for comparing; it shows what would have been said",
        ),
        _school(f"{part}_over_air", f"{name} over air", part, "air", "the room", _ROOM),
        _school(
            f"{part}_rebased",
            f"{name} re-based",
            part,
            "air",
            "the room; reads as a temperature in a room of its own",
            _ROOM,
            rebased=True,
        ),
        _school(
            f"{part}_over_air_per_watt",
            f"{name} over air, per watt",
            part,
            "air",
            "the room and the power",
            "power differs between candidates, or drifts",
            per_watt=True,
        ),
    ]
    bases = {"coolant": ("air",), "die": ("air", "coolant")}.get(part, ())  # whole traces are those of the heat path
    found += [
        _school(
            f"{part}_over_{base}_whole",
            f"{name} over {base}, whole trace",
            part,
            base,
            "power, and what moved during the run",
            "the room moved, or the run was stopped early",
            per_watt=True,
            whole=True,
        )
        for base in bases
    ]
    if part != "coolant":
        found += [
            _school(
                f"{part}_over_coolant",
                f"{name} over coolant",
                part,
                "coolant",
                "room, radiator and fans",
                "blocks, pastes and pads at the same power",
            ),
            _school(
                f"{part}_over_coolant_per_watt",
                f"{name} over coolant, per watt",
                part,
                "coolant",
                "room, radiator, fans and power",
                "blocks, pastes and pads",
                per_watt=True,
            ),
        ]
    return found


def _over(part: str, over: str) -> list[School]:
    """Any temperature over any other."""
    label = f"{spoken(part).capitalize()} over {spoken(over)}"
    takes, when = f"what moves the {spoken(over)}", "it is that difference which is asked about"
    return [
        _school(f"{part}_over_{over}", label, part, over, takes, when),
        _school(
            f"{part}_over_{over}_per_watt",
            f"{label}, per watt",
            part,
            over,
            f"{takes}, and the power",
            when,
            per_watt=True,
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
    """The schools that make sense for what is under test.

    >>> [s.key for s in schools_for("chipset block") if s.over]
    ['chipset_over_air', 'chipset_rebased', 'chipset_over_coolant']
    """
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
    """The school that follows from what is under test.

    >>> default_school("radiator").label
    'Coolant over air, per watt'
    """
    return SCHOOLS[kind_under_test(under_test).school]


def as_read_school(under_test: str) -> School:
    """What is read off the screen without any taking out."""
    return SCHOOLS[f"{kind_under_test(under_test).part}_as_read"]
