"""Column names and the units written with them."""

from __future__ import annotations

import re
from collections.abc import Sequence
from dataclasses import dataclass

from kuffin.core.base.units import parse_unit

_BRACKET = re.compile(
    r"^(?P<name>.*?)\s*(?P<open>[\[({])\s*(?P<unit>[^\[\](){}]*(?:\([^()]*\)[^\[\](){}]*)?)\s*[\])}]\s*$"
)
_COMMA = re.compile(r"^(?P<name>.+?)\s*,\s*(?P<unit>[^,]+?)\s*$")
_QUALIFIERS = {
    "max",
    "min",
    "avg",
    "mean",
    "average",
    "in",
    "out",
    "top",
    "left",
    "right",
    "bottom",
    "front",
    "rear",
    "cpu",
    "gpu",
    "core",
    "total",
    "est",
    "set",
    "raw",
    "sum",
    "peak",
    "current",
    "now",
    "smoothed",
    "filtered",
    "inlet",
    "outlet",
}


@dataclass(frozen=True)
class ColumnName:
    """A column's name without its unit, and the unit as written (None: none)."""

    name: str
    unit: str | None


_LONGEST = 200  # signs of a column's name


def fold(text: str) -> str:
    """White space counts as one space; no name is longer than a screen is wide."""
    folded = " ".join(text[: 4 * _LONGEST].replace("\ufeff", "").split())
    return folded if len(folded) <= _LONGEST else folded[: _LONGEST - 1] + "…"


def _looks_like_unit(text: str, bracket: str) -> bool:
    if parse_unit(text) is not None:
        return True
    if bracket == "[":
        return bool(text)
    return bool(text) and len(text) <= 8 and text.lower() not in _QUALIFIERS and not text.isdigit() and " " not in text


def split_names(cells: Sequence[str]) -> list[ColumnName]:
    """Separate names from units over a whole header row.

    A round bracket or a comma counts as introducing an unknown unit only where the row uses it so for known ones
    (``Frame rate (fps)`` beside ``Die (°C)``).
    """
    folded = [fold(c) for c in cells]
    brackets = [m for c in folded if (m := _BRACKET.match(c))]
    round_style = any(m["open"] == "(" and parse_unit(m["unit"]) for m in brackets)
    comma_style = any((m := _COMMA.match(c)) and parse_unit(m["unit"]) for c in folded)
    out = []
    for cell in folded:
        match = _BRACKET.match(cell)
        if match and match["unit"] and match["name"]:
            known = parse_unit(match["unit"]) is not None
            if known or ((match["open"] != "(" or round_style) and _looks_like_unit(match["unit"], match["open"])):
                out.append(ColumnName(fold(match["name"]).rstrip(",;:"), fold(match["unit"])))
                continue
        if match and match["name"] and not match["unit"]:
            out.append(ColumnName(fold(match["name"]), None))
            continue
        comma = _COMMA.match(cell)
        if comma and (parse_unit(comma["unit"]) or (comma_style and _looks_like_unit(comma["unit"], ","))):
            out.append(ColumnName(fold(comma["name"]), fold(comma["unit"])))
            continue
        by_slash = _split_at_slash(cell)
        if by_slash is not None:
            out.append(by_slash)
            continue
        last = cell.rsplit(" ", 1)[-1]
        degrees = last if last != cell and re.fullmatch(r"(°|º|˚)[CcFf]|[℃℉]", last) else None
        out.append(ColumnName(cell, degrees))
    return out


def _split_at_slash(cell: str) -> ColumnName | None:
    """``T / °C`` and ``Flow/L/h``: the first slash after which a whole unit stands."""
    for at in (i for i, sign in enumerate(cell) if sign == "/"):
        head, tail = cell[:at].strip(), cell[at + 1 :].strip()
        if head and parse_unit(tail) and parse_unit(f"{head.rsplit(' ', 1)[-1]}/{tail}") is None:
            return ColumnName(fold(head), fold(tail))
    return None


def unique_names(names: Sequence[str]) -> list[str]:
    """Give equal names a number from the second on, left to right: ``Fan``, ``Fan (2)``."""
    seen: dict[str, int] = {}
    taken = set(names)
    out = []
    for name in names:
        seen[name] = seen.get(name, 0) + 1
        label = name
        if seen[name] > 1:
            number = seen[name]
            while (label := f"{name} ({number})") in taken:
                number += 1
            taken.add(label)
        out.append(label)
    return out


def without_brackets(cell: str) -> str:
    """A unit without the brackets round it; those within it stay: ``[dB(A)]`` is ``dB(A)``."""
    text = cell.strip()
    pairs = {"[": "]", "(": ")", "{": "}"}
    while len(text) > 1 and pairs.get(text[0]) == text[-1]:
        text = text[1:-1].strip()
    return text


def is_unit_row(cells: Sequence[str]) -> bool:
    """Whether a row gives the units of the columns."""
    filled = [without_brackets(c) for c in cells if without_brackets(c).strip("-")]
    if not filled:
        return False
    known = sum(parse_unit(c) is not None or bool(re.fullmatch(r"(?i)[hmsydt:.\-/ f]{2,}", c)) for c in filled)
    return known >= 0.5 * len(filled) and not any(re.fullmatch(r"[+-]?\d+([.,]\d+)?", c) for c in filled)
