"""The language of the window: what it says goes through `tr`. Files, commands and what is kept in a notebook stay English."""

from __future__ import annotations

import string
from collections.abc import Callable, Iterator
from contextlib import contextmanager
from contextvars import ContextVar
from typing import Any

_look_up: Callable[[str], str] | None = None
_decimal = "."
_for_files: ContextVar[bool] = ContextVar("for_files", default=False)


def speak(look_up: Callable[[str], str] | None, decimal: str = ".") -> None:
    """Say everything through `look_up`, which gives the translation of a message, or the message; None: English."""
    global _look_up, _decimal
    _look_up, _decimal = look_up, decimal


def speaks_english() -> bool:
    """Whether what is said now is said in English."""
    return _look_up is None or _for_files.get()


@contextmanager
def in_english() -> Iterator[None]:
    """Whatever the window speaks, what is said meanwhile is English: it goes into a file.

    >>> with in_english():
    ...     speaks_english()
    True
    """
    token = _for_files.set(True)
    try:
        yield
    finally:
        _for_files.reset(token)


def written(figure: str) -> str:
    """A figure with the decimal sign of the window's language.

    >>> written("1.5")
    '1.5'
    """
    return figure if _decimal == "." or speaks_english() else figure.replace(".", _decimal)


class _Formatter(string.Formatter):
    """Numbers in a message have the language's decimal sign."""

    def format_field(self, value: Any, format_spec: str) -> str:
        told = str(super().format_field(value, format_spec))
        return written(told) if format_spec and isinstance(value, float) else told


_formatter = _Formatter()


def tr(message: str, /, **places: object) -> str:
    """A message in the window's language, with what is put into its places.

    Parameters
    ----------
    message : str
        In English, as it stands in the source, with places as `str.format` has them.
    places : object
        What stands in each place; it is data, and never looked up.

    >>> tr("{name}, round {n}", name="Reed", n=2)
    'Reed, round 2'
    """
    found = message if _look_up is None or _for_files.get() else _look_up(message)
    return _formatter.vformat(found, (), places) if places else found


def mark(message: str) -> str:
    """A message that is told elsewhere, through `tr`: a label in a table, say.

    >>> mark("settled")
    'settled'
    """
    return message


def counted(n: int, one: str, many: str, /, **places: object) -> str:
    """One message for one thing and another for none or several; `n` is put into its place, too.

    >>> counted(1, "{n} sheet", "{n} sheets"), counted(3, "{n} sheet", "{n} sheets")
    ('1 sheet', '3 sheets')
    """
    return tr(one if n == 1 else many, n=n, **places)
