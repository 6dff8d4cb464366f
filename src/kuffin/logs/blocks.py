"""A log in blocks of whole lines, so that a long one is never held several times over."""

from __future__ import annotations

from collections.abc import Iterator

from kuffin.core.errors import LogError

_BLOCK = 4_000_000
LONGEST_LINE = 400_000  # signs


def blocks(data: bytes, begin: int, name: str) -> Iterator[tuple[int, int]]:
    """Where each block begins and ends.

    Raises
    ------
    LogError
        Where a line is so long that this is no log.
    """
    while begin < len(data):
        end = data.find(b"\n", begin + _BLOCK)
        end = len(data) if end < 0 else end + 1
        if end - begin > _BLOCK + LONGEST_LINE:
            line = data.count(b"\n", 0, begin + _BLOCK) + 1
            raise LogError(f"{name}: line {line} is longer than {LONGEST_LINE // 1000} kB; this is no log of columns")
        yield begin, end
        begin = end


def line_begins(data: bytes, line: int) -> int:
    """Where a line begins, counted from 0."""
    begin = 0
    for _ in range(line):
        begin = data.find(b"\n", begin) + 1
    return begin
