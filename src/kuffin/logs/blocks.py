"""A log's rows in blocks of whole lines, so that a long one is never held whole."""

from __future__ import annotations

import re
from collections.abc import Iterator
from dataclasses import dataclass

from kuffin.logs.encoding import LogText
from kuffin.logs.quoted import one_line_each


@dataclass(frozen=True)
class LineBlock:
    """Some lines.

    Attributes
    ----------
    text : bytes
    line : int
        The first line's number, from 0.
    share : float
        How much of the log has been read with it, 0 to 1.
    """

    text: bytes
    line: int
    share: float


@dataclass(frozen=True)
class DataBlocks:
    """The lines of a log from its first row on; may be gone through several times.

    Attributes
    ----------
    log : LogText
    first_line : int
    delimiter : str
        Runs of blanks between cells (``" "`` or two of them) become one tab.
    """

    log: LogText
    first_line: int
    delimiter: str

    def __iter__(self) -> Iterator[LineBlock]:
        line = 0
        for piece, share in self.log.pieces():
            text = piece if line else one_line_each(piece)
            begin = 0
            for _ in range(max(0, self.first_line - line)):
                found = text.find(b"\n", begin) + 1
                if not found:
                    begin = len(text)
                    break
                begin = found
            at, line = max(line, self.first_line), line + text.count(b"\n")
            if begin < len(text):
                yield LineBlock(self._tabbed(text[begin:]), at, share)

    def _tabbed(self, text: bytes) -> bytes:
        if self.delimiter.strip(" "):
            return text
        gap = rb"[ \t]{2,}|\t" if self.delimiter == "  " else rb"[ \t]+"
        return b"\n".join(re.sub(gap, b"\t", line.strip(b" \t")) for line in text.split(b"\n"))
