"""What is printed is text: a log's names and cells may hold a terminal's commands, and a file's name what is no text at all."""

from __future__ import annotations

import sys
import unicodedata
from collections.abc import Iterator
from contextlib import contextmanager
from typing import TextIO

_KEPT = "\n\t"


def harmless(text: str) -> str:
    """Text without a terminal's control signs: each as ``\\uXXXX``, which JSON reads back.

    >>> harmless("Die\\x1b[31m")
    'Die\\\\u001b[31m'
    """
    if text.isprintable():
        return text
    return "".join(
        c if c in _KEPT or unicodedata.category(c) not in {"Cc", "Cf", "Cs", "Zl", "Zp"} else f"\\u{ord(c):04x}"
        for c in text
    )


class _Printed:
    """A stream to which only harmless text is written."""

    def __init__(self, stream: TextIO) -> None:
        self._stream = stream

    def write(self, text: str) -> int:
        """Write it."""
        return self._stream.write(harmless(text))

    def __getattr__(self, name: str) -> object:
        return getattr(self._stream, name)


@contextmanager
def plain_output() -> Iterator[None]:
    """While it lasts, what is printed is harmless text."""
    before = sys.stdout, sys.stderr
    sys.stdout, sys.stderr = _Printed(sys.stdout), _Printed(sys.stderr)
    try:
        yield
    finally:
        sys.stdout, sys.stderr = before
