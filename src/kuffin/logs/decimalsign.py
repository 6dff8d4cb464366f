"""The decimal sign of a log, decided over all its columns and all its rows together; where two readings remain, it is asked.

``31,512`` may be thirty-one and a half or thirty-one thousand. What settles it: a cell that can be only one of the two
(``31,5``, ``0,512``, ``1.234,5``), in any column and any row; else which of the two can be true of a temperature, a flow,
a speed.
"""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from kuffin.core.base.units import parse_unit
from kuffin.core.bench.roles import QUANTITY_OF
from kuffin.logs.blocks import DataBlocks
from kuffin.logs.channelguess import guess_role
from kuffin.logs.clock import clock_kind
from kuffin.logs.clockfind import is_timeish
from kuffin.logs.header import ColumnName

Bools = NDArray[np.bool_]
Ints = NDArray[np.int64]

_QUOTE, _COMMA, _POINT = 34, 44, 46
_ENOUGH = 1000  # cells of a column
_STRAYS = 2
_STRAY = 0.02  # cells that can be only one, fewer than this share of those that may be either, are strays
# what a reading can be, in canonical units; both ends are generous, for the two readings of a cell are a thousand apart
_CAN_BE = {
    "temperature": (-100.0, 900.0),
    "flow": (4.0, 8000.0),
    "frequency": (40.0, 20_000.0),
    "rotational_speed": (40.0, 60_000.0),
    "sound_level": (5.0, 160.0),
    "voltage": (0.0, 900.0),
    "share": (0.0, 250.0),
}


@dataclass(frozen=True)
class DecimalSign:
    """The sign, and a cell that leaves it open (blank: nothing does)."""

    sign: str
    open_cell: str = ""


@dataclass
class _Votes:
    """Counted by column: cells that can only have a comma, or a point, as decimal sign; and cells that may be either."""

    comma: Ints
    point: Ints
    either_comma: Ints
    either_point: Ints

    def settled(self, columns: int) -> bool:
        """Whether more than half of the columns have spoken for one sign, thousands of times, and none for the other."""
        return any(
            not other.any() and 2 * int(np.count_nonzero(sign > _ENOUGH)) > columns
            for sign, other in ((self.comma, self.point), (self.point, self.comma))
        )


def decimal_sign(
    blocks: DataBlocks, delimiter: str, names: Sequence[ColumnName], sample: Sequence[Sequence[str]]
) -> DecimalSign:
    """Decide a log's decimal sign.

    Parameters
    ----------
    blocks : DataBlocks
        All its rows.
    delimiter : str
        Between their cells.
    names : sequence of ColumnName
    sample : sequence of rows
        Some of its rows as cells.
    """
    if delimiter == "," and not blocks.log.quotes:
        return DecimalSign(".")
    clocks = np.array([_is_clock(n, [r[j] for r in sample[:60] if j < len(r)]) for j, n in enumerate(names)])
    votes = _Votes(*(np.zeros(len(names), np.int64) for _ in range(4)))
    for block in blocks:
        _count_block(block.text, delimiter, len(names), votes)
        for counted in (votes.comma, votes.point, votes.either_comma, votes.either_point):
            counted[clocks] = 0
        if votes.settled(int(np.count_nonzero(~clocks))):
            break
    sign = _by_votes(votes)
    if not sign:
        for one, counted in ((",", votes.either_comma), (".", votes.either_point)):
            if counted.any():
                return _by_what_can_be(one, np.flatnonzero(counted), names, sample)
        return DecimalSign(".")
    sure, other, doubtful = (
        (votes.comma, ".", votes.either_point) if sign == "," else (votes.point, ",", votes.either_comma)
    )
    if not doubtful.any():
        return DecimalSign(sign)
    # cells that the sign makes thousands of: a few stray cells must not multiply them, nor may what cannot be true be taken
    as_decimal, as_thousands, seen = _can_be(other, np.flatnonzero(doubtful), names, sample)
    strong = int(sure.sum()) > max(_STRAYS, _STRAY * int(doubtful.sum()))
    if as_thousands and (strong or not as_decimal):
        return DecimalSign(sign)
    if as_decimal and not as_thousands and not strong:
        return DecimalSign(other)
    return DecimalSign(sign, seen) if as_decimal and seen else DecimalSign(sign)


def _by_votes(votes: _Votes) -> str:
    """The sign that more columns can only have, then more cells; blank where they leave it open."""
    comma = int(np.count_nonzero(votes.comma > votes.point))
    point = int(np.count_nonzero(votes.point > votes.comma))
    if comma == point:
        comma, point = int(votes.comma.sum()), int(votes.point.sum())
    return "" if comma == point else "," if comma > point else "."


def _is_clock(name: ColumnName, cells: Sequence[str]) -> bool:
    return clock_kind(cells) is not None or (is_timeish(name.name) and guess_role(name.name, "unknown", None) is None)


def _by_what_can_be(
    sign: str, columns: Ints, names: Sequence[ColumnName], sample: Sequence[Sequence[str]]
) -> DecimalSign:
    """Which of the two readings of such cells can be true of what their columns measure; where both, it is asked."""
    as_decimal, as_thousands, seen = _can_be(sign, columns, names, sample)
    other = "." if sign == "," else ","
    if as_decimal != as_thousands:
        return DecimalSign(sign if as_decimal else other)
    return DecimalSign(".", seen)


def _can_be(
    sign: str, columns: Ints, names: Sequence[ColumnName], sample: Sequence[Sequence[str]]
) -> tuple[bool, bool, str]:
    """Whether cells can be true with the sign as decimal sign, and as thousands sign; and one of them."""
    as_decimal = as_thousands = True
    seen = ""
    for j in columns:
        told = parse_unit(names[j].unit) if names[j].unit else None
        role = guess_role(names[j].name, told.quantity if told else "unknown", told.canonical if told else None)
        quantity = told.quantity if told is not None else QUANTITY_OF.get(role or "", "")
        cells = [r[j].strip().strip('"').split(" ")[0] for r in sample if j < len(r) and sign in r[j]]
        digits = [c.lstrip("+-−").replace(sign, "", 1) for c in cells]
        values = np.array(
            [float(d) * (-1 if c[0] in "-−" else 1) for c, d in zip(cells, digits, strict=True) if d.isdigit()]
        )
        if not values.size:
            continue
        seen = seen or cells[0]
        low, high = _CAN_BE.get(quantity, (-np.inf, np.inf))
        scale, offset = (told.scale, told.offset) if told is not None else (1.0, 0.0)
        for thousands in (False, True):
            read = (values if thousands else values / 1000) * scale + offset
            fits = float(np.mean((read >= low) & (read <= high))) > 0.9
            if thousands:
                as_thousands &= fits
            else:
                as_decimal &= fits
    return as_decimal, as_thousands, seen


def _count_block(block: bytes, delimiter: str, columns: int, votes: _Votes) -> None:
    text = np.frombuffer(b"\n" + block + b"\n", dtype=np.uint8)
    digit = (text >= 48) & (text <= 57)
    before, after = np.roll(digit, 1), np.roll(digit, -1)
    line_at = np.flatnonzero(text == 10)
    quoted = _quoted(text, line_at) if b'"' in block else None
    mark = text == ord(delimiter[0])
    comma, point = text == _COMMA, text == _POINT
    if quoted is not None:
        mark &= ~quoted
    comma &= ~mark
    sign = (comma | point) & after
    leading = sign & ~before  # ".5"
    sign &= before
    body = digit | sign
    edges = np.flatnonzero(np.diff(body.view(np.int8)))
    starts, ends = edges[0::2] + 1, edges[1::2] + 1
    at = np.flatnonzero(sign)
    first, last = np.searchsorted(at, starts), np.searchsorted(at, ends)
    some = last > first
    starts, ends, first, last = starts[some], ends[some], first[some], last[some]
    if starts.size:
        commas = np.cumsum(np.concatenate(([0], comma[at])))
        n, nc = last - first, commas[last] - commas[first]
        head, tail = at[first] - starts, ends - at[last - 1] - 1
        nought = text[starts] == 48
        sound = ~_part_of_more(text, starts, ends)
        ends_in_comma = comma[at[last - 1]]
        one = n == 1
        only = one & ((tail != 3) | nought | (head > 3))
        both = (nc > 0) & (nc < n)
        grouped = (n > 1) & ~both & (head <= 3) & (ends - starts - n == head + 3 * n)
        is_comma = (only & ends_in_comma) | (both & ends_in_comma) | (grouped & ~ends_in_comma)
        is_point = (only & ~ends_in_comma) | (both & ~ends_in_comma) | (grouped & ends_in_comma)
        column = _column_of(starts, mark, line_at)
        for chosen, kept in (
            (is_comma, votes.comma),
            (is_point, votes.point),
            (one & ~only & ends_in_comma, votes.either_comma),
            (one & ~only & ~ends_in_comma, votes.either_point),
        ):
            where = column[chosen & sound]
            kept += np.bincount(where[where < columns], minlength=columns)
    open_at = np.flatnonzero(leading & np.isin(np.roll(text, 1), np.frombuffer(b' \t;|"+-\n,', np.uint8)))
    if open_at.size:
        column = _column_of(open_at, mark, line_at)
        for chosen, kept in ((comma[open_at], votes.comma), (point[open_at], votes.point)):
            where = column[chosen]
            kept += np.bincount(where[where < columns], minlength=columns)


def _part_of_more(text: NDArray[np.uint8], starts: Ints, ends: Ints) -> Bools:
    """Whether digits belong to a date, a time, a version or a name, and are no number."""
    left, right = text[starts - 1], text[np.minimum(ends, text.size - 1)]
    letter = ((left | 32) >= 97) & ((left | 32) <= 122) | (left == 95)
    colon = np.isin(left, np.frombuffer(b":/", np.uint8)) | np.isin(right, np.frombuffer(b":/", np.uint8))
    far_left, far_right = text[np.maximum(starts - 2, 0)], text[np.minimum(ends + 1, text.size - 1)]
    dash = (left == 45) & (far_left >= 48) & (far_left <= 57) | (right == 45) & (far_right >= 48) & (far_right <= 57)
    return np.asarray(letter | colon | dash, dtype=bool)


def _column_of(at: Ints, mark: Bools, line_at: Ints) -> Ints:
    marks = np.flatnonzero(mark)
    begins = line_at[np.searchsorted(line_at, at) - 1]
    return np.asarray(np.searchsorted(marks, at) - np.searchsorted(marks, begins), dtype=np.int64)


def _quoted(text: NDArray[np.uint8], line_at: Ints) -> Bools:
    """Which signs stand within quotes; each line begins outside, and in one whose quotes do not close none does."""
    quotes = np.cumsum(text == _QUOTE)
    line = np.maximum(np.searchsorted(line_at, np.arange(text.size), side="right") - 1, 0)
    ends = np.append(line_at[1:], text.size - 1)
    whole = (quotes[ends] - quotes[line_at]) % 2 == 0
    return np.asarray(((quotes - quotes[line_at[line]]) % 2 == 1) & whole[line], dtype=bool)
