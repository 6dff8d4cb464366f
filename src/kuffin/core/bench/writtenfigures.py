"""Figures as a person writes them down from a screen: ``64``, ``31,5 °C``, a line of several with or without names."""

from __future__ import annotations

import re
from dataclasses import dataclass

import numpy as np

from kuffin.core.base.errors import BenchError
from kuffin.core.base.units import canonical_unit, parse_unit, to_canonical
from kuffin.core.bench.roles import ROLES

_NUMBER = r"[-+−]?\d+(?:[.,]\d+)?"
_FIGURE = re.compile(rf"^\s*(?P<number>{_NUMBER})\s*(?P<unit>\S.*?)?\s*$")
_PIECE = re.compile(
    rf"(?P<name>[^\d;\t|]*?)\s*[:=]?\s*(?P<number>{_NUMBER})\s*(?P<unit>°?[CFK]\b|[A-Za-z%]+(?:/[A-Za-z]+)?)?"
)


@dataclass(frozen=True, kw_only=True)
class WrittenFigure:
    """A figure, in its quantity's canonical unit, and the step of its last digit."""

    value: float
    resolution: float


def read_figure(written: str, quantity: str) -> WrittenFigure:
    """A figure of a quantity as it was written; without a unit it is in the canonical one.

    Raises
    ------
    BenchError
        What is no single figure of that quantity.

    >>> read_figure("31,5", "temperature")
    WrittenFigure(value=31.5, resolution=0.1)
    """
    found = _FIGURE.match(written)
    usual = canonical_unit(quantity)
    if found is None:
        raise BenchError("“{written}” is no figure; write one such as 31.5", written=written)
    digits = found["number"].replace("−", "-").replace(",", ".")
    value, step = float(digits), 10.0 ** -len(digits.partition(".")[2])
    if not found["unit"]:
        return WrittenFigure(value=value, resolution=step)
    unit = parse_unit(found["unit"])
    if unit is None or unit.quantity != quantity:
        raise BenchError(
            "“{found}” is no unit of a {what}; it is taken in {usual} without one",
            found=found["unit"],
            what=quantity.replace("_", " "),
            usual=usual,
        )
    canonical, _ = to_canonical(np.array([value]), unit)
    return WrittenFigure(value=float(canonical[0]), resolution=step * abs(unit.scale))


def taken_apart(line: str) -> list[tuple[str | None, str]]:
    """The figures of a pasted line, each with the role that its name tells, where it has a name that does.

    Columns are parted by tabs, semicolons, bars or spaces; a comma between two digits belongs to the number.

    >>> taken_apart("die 64; coolant 31,5; 22.1")
    [('die', '64'), ('coolant', '31,5'), (None, '22.1')]
    """
    found = []
    for piece in _PIECE.finditer(line):
        words = set(re.findall(r"[a-z]+", piece["name"].lower()))
        role = next((r.key for r in ROLES.values() if r.label == piece["name"].strip(" ,:=").lower()), None)
        role = role or next((r.key for r in ROLES.values() if words & r.words), None)
        found.append((role, f"{piece['number']} {piece['unit'] or ''}".strip()))
    return found


def with_emissivity(read_c: float, emissivity: float, reflected_c: float) -> float:
    """The true temperature of a surface that an infrared meter reads as a black one, °C.

    ``T⁴ = (T_read⁴ − (1 − ε)·T_reflected⁴)/ε`` in kelvins: what is seen is the surface's own radiation and what it reflects
    (F. P. Incropera et al., *Fundamentals of Heat and Mass Transfer*, section 12.4).

    Raises
    ------
    BenchError
        For bare metal, which mirrors its surroundings, and where no surface could look so.

    >>> round(with_emissivity(60.0, 0.95, 22.0), 1)
    61.7
    """
    if not 0 < emissivity <= 1:
        raise BenchError(
            "an emissivity of {emissivity:g} cannot be; it lies above 0 and up to 1", emissivity=emissivity
        )
    if emissivity < 0.6:
        raise BenchError(
            "at an emissivity of {emissivity:g} the meter sees mostly what the surface mirrors; stick tape or put paint of a known emissivity (above 0.9) on it, and read that",
            emissivity=emissivity,
        )
    read, around = read_c + 273.15, reflected_c + 273.15
    fourth = (read**4 - (1 - emissivity) * around**4) / emissivity
    if fourth <= 0:
        raise BenchError("no surface looks like that; look at the temperature that is reflected")
    return float(fourth**0.25 - 273.15)
