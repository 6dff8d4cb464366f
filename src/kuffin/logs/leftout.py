"""Rows of a log that could not be used: how many, which first, and why; and headers that come again."""

from __future__ import annotations

import re
from collections.abc import Sequence

import numpy as np
from numpy.typing import NDArray

from kuffin.core.base.errors import LogError
from kuffin.core.base.saying import say
from kuffin.logs.clock import clock_kind
from kuffin.logs.header import fold, is_unit_row, split_names, without_brackets
from kuffin.logs.layout import Layout, is_value, split_line
from kuffin.logs.rows import MOST_ODD, Rows
from kuffin.logs.values import is_missing


class _Again:
    """A header that comes again. Where it names the columns otherwise, what follows is not what it seems."""

    def __init__(self, name: str, layout: Layout) -> None:
        self._file = name
        named = split_names(layout.header)
        units = [without_brackets(u) for u in layout.units]
        self._columns = [(n.name.casefold(), (n.unit or u or "").casefold()) for n, u in zip(named, units, strict=True)]
        self._unit_row = any(units)

    def names_columns(self, cells: Sequence[str], clock: Sequence[int]) -> bool:
        """Whether a row of words names columns: the same in another order, or others beside the same clock."""
        if len(cells) != len(self._columns) or any(is_value(c) for c in cells if c):
            return False
        found = [n.name.casefold() for n in split_names(cells)]
        before = [n for n, _ in self._columns]
        return len(set(found) & set(before)) >= 0.5 * len(before) or all(found[j] == before[j] != "" for j in clock)

    def see(self, cells: Sequence[str], line: int, rows_follow: bool) -> None:
        """Refuse the log where this header names other columns, or other units, than the first.

        Raises
        ------
        LogError
        """
        if not rows_follow or len(cells) != len(self._columns):
            return
        if is_unit_row(list(cells)):
            now = [without_brackets(c).casefold() for c in cells]
            other = [
                u for (_, u), n in zip(self._columns, now, strict=True) if u and n.strip("-") and fold(n) != fold(u)
            ]
            what = say("other units") if other else ""
        else:
            found = [(n.name.casefold(), (n.unit or "").casefold()) for n in split_names(cells)]
            names, before = [n for n, _ in found], [n for n, _ in self._columns]
            same = [a == b for a, b in zip(names, before, strict=True)]
            other = [u for (_, u), (_, b) in zip(found, self._columns, strict=True) if u and b and u != b]
            what = (
                ""
                if all(same) and not other
                else say("other units")
                if all(same)
                else say("other columns, or another order")
            )
        if what:
            raise LogError(
                "{file}: line {line} is a header again, with {what} than the first; split the file there and add both parts",
                file=self._file,
                line=line + 1,
                what=what,
            )


def count_left_out(
    name: str, rows: Rows, lines: NDArray[np.int32], readable: NDArray[np.bool_]
) -> tuple[int, list[str]]:
    """How many data rows could not be used, and what to say of them."""
    layout, choice = rows.layout, rows.choice
    header = [c.strip() for c in layout.header]
    again = _Again(name, layout)
    reasons: list[tuple[int, str]] = []
    last_good = readable.size - 1 - int(np.argmax(readable[::-1])) if readable.any() else -1
    unreadable = np.flatnonzero(~readable)
    for i in unreadable[:MOST_ODD].tolist():
        if i not in rows.unclear:  # a day that there is not
            reasons.append((int(lines[i]), say("has an unreadable clock")))
            continue
        cells = split_line(rows.unclear[i], layout.delimiter)
        clock = " ".join(cells[j] for j in choice.columns if j < len(cells))
        if _is_headerish(cells, header) or again.names_columns(cells, choice.columns):
            again.see(cells, int(lines[i]), i < last_good)
            continue
        if all(is_missing(c) for c in cells):
            continue
        if i > last_good and not re.search(r"\d", clock):
            continue  # a summary at the end
        if not any(is_value(c) for k, c in enumerate(cells) if k not in choice.columns):
            continue
        reasons.append((int(lines[i]), say("has an unreadable clock")))
    for line, text in rows.odd:
        cells = split_line(text, layout.delimiter)
        if text.lstrip().startswith(("#", "//")) or _is_headerish(cells, header):
            continue
        filled = [c for c in cells if not is_missing(c)]
        if not filled:
            continue
        clocks = [cells[j] for j in choice.columns if j < len(cells)]
        timed = bool(clocks) and (clock_kind([" ".join(clocks)]) is not None if choice.text else is_value(clocks[0]))
        if (timed and len(filled) > 1) or (
            sum(map(is_value, filled)) >= 0.5 * len(filled) and len(filled) >= 0.5 * layout.fields
        ):
            reasons.append((line, say("has {n} of {fields} fields", n=len(cells), fields=layout.fields)))
    unseen = max(0, unreadable.size - MOST_ODD)
    warnings: list[str] = []
    if reasons:
        reasons.sort()
        line, why = reasons[0]
        count = len(reasons) + unseen
        told = (
            say("1 row could not be read: line {line} {why}", line=line + 1, why=why)
            if count == 1
            else say("{n} rows could not be read: line {line} {why}", n=count, line=line + 1, why=why)
        )
        warnings.append(told)
        if len(reasons) > max(5, 0.05 * int(readable.sum())):
            warnings.append(
                say(
                    "from line {line} on the columns seem to change; those rows were left out, so split the file there to read both parts",
                    line=line + 1,
                )
            )
    return len(reasons) + unseen + rows.odd_unseen, warnings


def _is_headerish(cells: Sequence[str], header: Sequence[str]) -> bool:
    folded = [" ".join(c.split()).lower() for c in cells]
    told = [" ".join(c.split()).lower() for c in header]
    same = sum(a == b for a, b in zip(folded, told, strict=False) if a)
    return same >= max(2, 0.6 * min(len([c for c in folded if c]), len(told))) or is_unit_row(list(cells))
