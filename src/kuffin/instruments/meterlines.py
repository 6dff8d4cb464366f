"""Lines of text from meters and microcontrollers: bare numbers in order, ``name=value`` pairs, or JSON.

Whatever comes over a cable may be garbage, half a line, a line without an end, or a flood; nothing of it may crash or
grow without bound. What cannot be read is counted.
"""

from __future__ import annotations

import json
import math
import re
from dataclasses import dataclass, field

from kuffin.core.base.saying import say
from kuffin.core.base.units import parse_unit
from kuffin.logs.values import is_missing, parse_number

LONGEST_LINE = 4096
LONGEST_WAIT = 262_144  # bytes taken in at one reading; of a flood, the newest
MOST_LINES = 200  # lines looked at in one reading; of a flood, the newest
MOST_NAMES = 256

_PAIR = re.compile(r"\s*(?P<name>[^\W\d][^=:;,\t|]{0,40}?|\d{1,3}[A-Za-z_]\w{0,20})\s*[=:]\s*(?P<cell>[^;\t|]*)")
# words are taken whole (``*+``, and only from their beginning): a long one is looked at once, not once from each letter
_HAS_PAIRS = re.compile(r"(?<!\w)\d{0,3}[^\W\d]\w*+\s*+[=:]")
_SPLIT_PAIRS = re.compile(r"[;\t|]|,(?!\d)|,(?=\s*[^\W\d][^,=:]*[=:])")
_SPLIT_BLANKS = re.compile(r"(?<!\s)\s++(?=[^\W\d]\w*+\s*+[=:])")
_NUMBER_CELL = re.compile(r"^[~≈]?\s*[+\-−]?\s*(?:\d|[.,]\d)")


@dataclass(frozen=True)
class ToldValue:
    """One value of a line: canonical where its unit is known (None: the line names none)."""

    value: float
    unit: str | None = None
    quantity: str = "unknown"


def read_line(line: str, separator: str | None = None) -> dict[str, ToldValue] | None:
    """What a line tells, by name; bare numbers are called by their place, ``1``, ``2``, …

    Parameters
    ----------
    separator : str, optional
        Between bare numbers; found by itself where it is not given.

    Returns
    -------
    dict, or None where nothing of the line can be read. A value that is missing is NaN.
    """
    line = line.strip().lstrip("\ufeff")
    if not line:
        return None
    if line[0] in "{[":
        return _json(line)
    if _HAS_PAIRS.search(line):
        found = _pairs(line)
        if found:
            return found
    return _in_order(line, separator)


def _told(cell: str, decimal: str = ".") -> ToldValue | None:
    value, unit = parse_number(cell, decimal)
    if math.isnan(value) and not is_missing(cell):
        return None
    known = parse_unit(unit) if unit else None
    if unit and known is None:
        return None if math.isnan(value) else ToldValue(value)
    if known is not None:
        return ToldValue(value * known.scale + known.offset, known.canonical, known.quantity)
    return ToldValue(value)


def _json(line: str) -> dict[str, ToldValue] | None:
    try:
        found = json.loads(line)
    except (ValueError, RecursionError):
        return None
    if isinstance(found, list):
        found = {str(place): value for place, value in enumerate(found, 1)}
    if not isinstance(found, dict):
        return None
    if isinstance(found.get("channel", found.get("name")), str) and "value" in found:
        found = {str(found.get("channel", found.get("name"))): found}
    out: dict[str, ToldValue] = {}
    for name, value in list(found.items())[:MOST_NAMES]:
        unit = None
        if isinstance(value, dict):
            given = value
            value, unit = given.get("value"), given.get("unit")
        if isinstance(value, bool) or not isinstance(value, (int, float, str, type(None))):
            continue
        cell = "" if value is None else f"{value} {unit}" if isinstance(unit, str) else str(value)
        told = _told(cell)
        if told is not None and (value is None or not math.isnan(told.value)):
            out[str(name)[:60]] = told
    return out or None


def _pairs(line: str) -> dict[str, ToldValue]:
    out: dict[str, ToldValue] = {}
    pieces = _SPLIT_PAIRS.split(line)[:MOST_NAMES]
    for piece in [q for p in pieces for q in (_SPLIT_BLANKS.split(p) if len(re.findall("[=:]", p)) > 1 else [p])]:
        match = _PAIR.match(piece or "")
        if match is None:
            continue
        cell = match["cell"].strip()
        told = _told(cell, "," if re.search(r"\d,\d", cell) and "." not in cell else ".")
        if told is not None and (not math.isnan(told.value) or not cell):
            out[match["name"].strip()] = told
    return out


def _in_order(line: str, separator: str | None) -> dict[str, ToldValue] | None:
    if separator is None:
        separator = next((s for s in (";", "\t", "|") if s in line), None)
    if separator is None and "," in line:
        # decimal commas stand between digits, with something else between the cells
        separator = None if re.search(r"\d,\d", line) and re.search(r"\d\s+[+\-]?\d", line) else ","
    cells = line.split(separator) if separator else line.split()
    decimal = "," if separator != "," and re.search(r"\d,\d", line) and "." not in line else "."
    if not separator and len(cells) > 1 and not any(_NUMBER_CELL.match(c) for c in cells[1::2]):
        # "31.2 C 22.1 C": a number and its unit by turns
        cells = [" ".join(cells[i : i + 2]) for i in range(0, len(cells), 2)]
    out: dict[str, ToldValue] = {}
    numbers = 0
    for place, cell in enumerate(cells[:MOST_NAMES], 1):
        told = _told(cell, decimal)
        if told is None and not separator:
            return None  # words between blanks are a sentence, not cells
        if told is not None:
            out[str(place)] = told
            numbers += not math.isnan(told.value)
    return out if numbers else None


@dataclass(kw_only=True)
class LineBuffer:
    """Takes bytes in, gives whole lines out; bounded whatever comes.

    Attributes
    ----------
    good, bad : int
        Lines read, and lines of which nothing could be read.
    skipped : int
        Bytes of a flood, or of lines without an end, that were thrown away.
    last_bad : str
        The beginning of the last line that could not be read, for the person.
    """

    separator: str | None = None
    good: int = 0
    bad: int = 0
    skipped: int = 0
    last_bad: str = ""
    rest: bytes = field(default=b"", repr=False)
    _overlong: bool = field(default=False, repr=False)

    def take(self, data: bytes) -> dict[str, ToldValue]:
        """What the bytes tell: of each name the mean of this reading's lines."""
        if len(data) > LONGEST_WAIT:
            self.skipped += len(data) - LONGEST_WAIT
            data = data[-LONGEST_WAIT:]
            self.rest, self._overlong = b"", True
        pieces = re.split(rb"[\r\n]+", self.rest + data)
        self.rest = pieces.pop()
        if self._overlong and pieces:
            self.skipped += len(pieces.pop(0))
            self._overlong = False
        if len(self.rest) > LONGEST_LINE:
            self.skipped += len(self.rest)
            self.bad += 1
            self.last_bad = _seen(self.rest)
            self.rest, self._overlong = b"", True
        lines = [p for p in pieces if p.strip()]
        if len(lines) > MOST_LINES:
            self.skipped += sum(map(len, lines[:-MOST_LINES]))
            lines = lines[-MOST_LINES:]
        return self._mean(lines)

    def _mean(self, lines: list[bytes]) -> dict[str, ToldValue]:
        sums: dict[str, tuple[float, int, ToldValue]] = {}
        for line in lines:
            found = read_line(line.decode("utf-8", "replace"), self.separator) if len(line) <= LONGEST_LINE else None
            if found is None:
                self.bad += 1
                self.last_bad = _seen(line)
                continue
            self.good += 1
            for name, told in found.items():
                if name not in sums and len(sums) >= MOST_NAMES:
                    continue
                total, n, _ = sums.get(name, (0.0, 0, told))
                known = not math.isnan(told.value)
                sums[name] = (total + (told.value if known else 0.0), n + known, told)
        return {
            name: ToldValue(total / n if n else math.nan, told.unit, told.quantity)
            for name, (total, n, told) in sums.items()
        }

    def complaint(self) -> str:
        """What is wrong with what comes, blank for nothing worth saying."""
        if self.bad and self.bad >= max(1, self.good // 20):
            return say(
                "{bad} of {all} lines cannot be read, such as “{example}”",
                bad=self.bad,
                all=self.good + self.bad,
                example=self.last_bad,
            )
        return ""


def _seen(line: bytes) -> str:
    return "".join(c if c.isprintable() else "·" for c in line[:40].decode("utf-8", "replace"))
