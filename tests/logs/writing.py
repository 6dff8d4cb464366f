"""Write logs the way loggers really write, with a truth to hold the reader against."""

from __future__ import annotations

import datetime as dt
from collections.abc import Callable
from dataclasses import dataclass, field

import numpy as np

START = dt.datetime(2026, 3, 17, 11, 38, 4)


@dataclass
class Recipe:
    """How to write a log; `write` gives its bytes."""

    delimiter: str = ","
    decimal: str = "."
    encoding: str = "utf-8"
    line_end: str = "\n"
    names: tuple[str, ...] = ("Coolant in [°C]", "Die [°C]", "Power [W]")
    unit_row: tuple[str, ...] | None = None
    clock_name: str = "Time"
    clock: Callable[[int], str] = lambda i: (START + dt.timedelta(seconds=2 * i)).strftime("%Y-%m-%d %H:%M:%S")
    formats: tuple[str, ...] = ("{:.2f}", "{:.0f}", "{:.1f}")
    before: tuple[str, ...] = ()
    after: tuple[str, ...] = ()
    changes: dict[int, str] = field(default_factory=dict)  # row -> what stands there instead
    rows: int = 120
    quote: bool = False
    bom: bool = False

    def values(self) -> np.ndarray:
        """The truth, shape (rows, 3), as far as the written digits go."""
        i = np.arange(self.rows)
        return np.column_stack((25 + 0.013 * i, np.round(40 + 0.2 * i), 1180.0 + 1.5 * i))

    def _number(self, text: str, value: float) -> str:
        written = text.format(value)
        if self.decimal == ",":
            written = written.translate(str.maketrans({".": ",", ",": "."}))
        return written

    def write(self) -> bytes:
        lines = list(self.before)
        quote = '"{}"' if self.quote else "{}"
        if self.names:
            lines.append(self.delimiter.join(quote.format(c) for c in (*self.clock_name.split("|"), *self.names)))
        if self.unit_row:
            lines.append(self.delimiter.join(self.unit_row))
        for i, row in enumerate(self.values()):
            cells = [*self.clock(i).split("|"), *(self._number(f, v) for f, v in zip(self.formats, row, strict=True))]
            lines.append(self.changes.get(i, self.delimiter.join(quote.format(c) for c in cells)))
        lines += self.after
        raw = (self.line_end.join(lines) + self.line_end).encode(self.encoding)
        return b"\xef\xbb\xbf" + raw if self.bom else raw


def clock(pattern: str, step_s: float = 2.0, start: dt.datetime = START) -> Callable[[int], str]:
    """A clock that is written with a strftime pattern."""
    return lambda i: (start + dt.timedelta(seconds=step_s * i)).strftime(pattern)


def elapsed(pattern: str, step_s: float = 2.0) -> Callable[[int], str]:
    """A clock that counts from nought; the pattern takes h, m, s and total."""

    def write(i: int) -> str:
        total = step_s * i
        return pattern.format(
            h=int(total // 3600),
            m=int(total // 60) % 60,
            mm=int(total // 60),
            s=int(total % 60),
            total=total,
            ms=int(total * 1000),
            f=total % 60,
        )

    return write
