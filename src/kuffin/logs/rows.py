"""The rows of a log, gathered block by block: columns, clock, and the lines that are no rows."""

from __future__ import annotations

import io
import warnings
from dataclasses import dataclass, field

import numpy as np
import pandas as pd
from numpy.typing import NDArray

from kuffin.logs.blocks import LineBlock
from kuffin.logs.clockcells import ClockCells
from kuffin.logs.clockfind import ClockChoice
from kuffin.logs.columns import ColumnBuilder
from kuffin.logs.growing import Growing
from kuffin.logs.layout import Layout, split_line
from kuffin.logs.values import MISSING

MOST_ODD = 20_000  # lines that are looked at; what is more is counted only
_LONGEST_ODD = 2000  # signs


@dataclass(kw_only=True)
class Rows:
    """What is gathered while the rows are read.

    Attributes
    ----------
    builders : list of ColumnBuilder
    clock : ClockCells or None
        None where the clock is a column of numbers.
    lines : Growing
        Each row's line, from 0.
    odd : list of (int, str)
        Lines with another number of fields.
    odd_unseen : int
        Of these, how many were not kept.
    unclear : dict
        Rows whose clock holds no moment, by their number.
    """

    layout: Layout
    choice: ClockChoice
    builders: list[ColumnBuilder]
    clock: ClockCells | None
    lines: Growing = field(default_factory=lambda: Growing(np.int32))
    odd: list[tuple[int, str]] = field(default_factory=list)
    odd_unseen: int = 0
    unclear: dict[int, str] = field(default_factory=dict)

    def add(self, block: LineBlock) -> None:
        """Read one block."""
        text = np.frombuffer(block.text, dtype=np.uint8)
        if not text.size:
            return
        ends = np.flatnonzero(text == 10)
        if not block.text.endswith(b"\n"):
            ends = np.append(ends, text.size)
        starts = np.concatenate(([0], ends[:-1] + 1)).astype(np.int64)
        counts = _fields(block.text, text, starts, ends, self.layout.delimiter)
        good = counts == self.layout.fields
        if self.layout.delimiter != "\t":
            first = text[np.minimum(starts, text.size - 1)]
            good &= first != ord("#")
        # one delimiter too many at a line's end says nothing
        last = text[np.maximum(ends - 1, 0)] == ord(self.layout.delimiter)
        spare = (counts == self.layout.fields + 1) & last
        good |= spare
        for i in np.flatnonzero(~good & (ends > starts)):
            if len(self.odd) >= MOST_ODD:
                self.odd_unseen += int(np.count_nonzero((~good & (ends > starts))[i:]))
                break
            content = block.text[starts[i] : ends[i]][:_LONGEST_ODD].decode("utf-8", "replace")
            if content.strip():
                self.odd.append((block.line + int(i), content))
        if not good.any():
            return
        plain = bool(good.all()) and not spare.any()
        kept = (
            block.text
            if plain
            else b"\n".join(block.text[starts[i] : ends[i] - int(spare[i])] for i in np.flatnonzero(good))
        )
        at = np.flatnonzero(good)
        if not self.lines.size:
            self._expect(int(at.size / max(block.share, 1e-3) * 1.1))
        clear = self._columns(_frame(kept, self.layout, self.choice, at.size))
        for i in np.flatnonzero(~clear):
            if len(self.unclear) >= MOST_ODD:
                break
            line = block.text[starts[at[i]] : ends[at[i]]]
            self.unclear[self.lines.size + int(i)] = line.decode("utf-8", "replace")
        self.lines.add(at + block.line)

    def _expect(self, rows: int) -> None:
        self.lines.expect(rows)
        for builder in self.builders:
            builder.expect(rows)
        if self.clock is not None:
            self.clock.expect(rows)

    def _columns(self, frame: pd.DataFrame) -> NDArray[np.bool_]:
        """Take in the cells; returns which rows have a clock."""
        clear = np.ones(len(frame), bool)
        text_clock = self.choice.columns if self.clock is not None else ()
        for j in range(self.layout.fields):
            column = frame[j]
            if j in text_clock:
                continue
            if column.dtype.kind in "fiu":
                found = self.builders[j].add_numbers(column.to_numpy(np.float64))
            else:
                found = self.builders[j].add_cells(column.astype(object).where(column.notna(), None).tolist())
            if j in self.choice.columns:
                clear = np.isfinite(found)
        if self.clock is not None:
            cells = [frame[j].fillna("").astype(str).tolist() for j in text_clock]
            clear = self.clock.add(cells[0] if len(cells) == 1 else [" ".join(c) for c in zip(*cells, strict=True)])
        return clear


def _fields(
    block: bytes, text: NDArray[np.uint8], starts: NDArray[np.int64], ends: NDArray[np.int64], delimiter: str
) -> NDArray[np.int64]:
    """How many fields each line has."""
    is_mark = text == ord(delimiter)
    if b'"' in block:  # a delimiter inside quotes is none
        marks, quotes = np.flatnonzero(is_mark), np.flatnonzero(text == 34)
        owner = np.searchsorted(ends, marks)
        before = np.searchsorted(quotes, marks) - np.searchsorted(quotes, starts)[owner]
        return np.asarray(np.bincount(owner[before % 2 == 0], minlength=ends.size) + 1, dtype=np.int64)
    counts = np.add.reduceat(is_mark.view(np.uint8), np.minimum(starts, text.size - 1), dtype=np.int64) + 1
    counts[starts >= text.size] = 1
    return np.asarray(counts, dtype=np.int64)


def _frame(kept: bytes, layout: Layout, choice: ClockChoice, expected: int) -> pd.DataFrame:
    text = {j: str for j in choice.columns} if choice.text else {}
    try:
        with warnings.catch_warnings():
            warnings.simplefilter("error", pd.errors.ParserWarning)
            frame = _parsed(kept, layout, text)
        if len(frame) == expected:
            return frame
    except (ValueError, OverflowError, pd.errors.ParserError, pd.errors.ParserWarning):
        pass
    lines = kept.decode("utf-8", "replace").split("\n")[:expected]
    cells = [(split_line(line, layout.delimiter) + [""] * layout.fields)[: layout.fields] for line in lines]
    return pd.DataFrame(cells, columns=list(range(layout.fields)), dtype=object)


def _parsed(kept: bytes, layout: Layout, text: dict[int, type[str]]) -> pd.DataFrame:
    return pd.read_csv(
        io.BytesIO(kept),
        sep=layout.delimiter,
        header=None,
        names=list(range(layout.fields)),
        index_col=False,
        decimal=layout.decimal,
        na_values=list(MISSING),
        skipinitialspace=True,
        dtype=text,
        low_memory=False,
        skip_blank_lines=False,
        encoding_errors="replace",
        on_bad_lines="skip",
    )
