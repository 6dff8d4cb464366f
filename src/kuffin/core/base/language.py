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
    """Whether what is said now is said in English.

    >>> speaks_english()
    True
    """
    return _look_up is None or _for_files.get()


def speaks_another_language() -> bool:
    """Whether the window speaks another language than files do.

    >>> speaks_another_language()
    False
    """
    return _look_up is not None


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


def figure(formatted: str) -> str:
    """A formatted number for a sentence: with a true minus, none in front of nothing, and the language's decimal sign.

    >>> figure("-0.0"), figure("-1.25")
    ('0.0', '−1.25')
    """
    if formatted.startswith("-") and not formatted.strip("-0."):
        formatted = formatted[1:]
    return written(formatted.replace("-", "−"))


class _Formatter(string.Formatter):
    """Numbers in a message have the language's decimal sign."""

    def format_field(self, value: Any, format_spec: str) -> str:
        told = str(super().format_field(value, format_spec))
        return figure(told) if format_spec and isinstance(value, float) else told


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


def inside(label: str) -> str:
    """A label inside a sentence: in English it begins small there.

    >>> inside("Coolant over air")
    'coolant over air'
    """
    return label[:1].lower() + label[1:] if speaks_english() else label


class Told:
    """A field of a record that is told in the window's language.

    Parameters
    ----------
    default : str, optional
        As of any field.
    unless : str
        The name of another field that, where it is told, makes this one a person's own word: data.
    """

    def __init__(self, default: str | None = None, unless: str = "") -> None:
        self._default, self._unless = default, unless

    def __set_name__(self, owner: type, name: str) -> None:
        self._name = f"_{name}"

    def __get__(self, record: object, owner: type | None = None) -> str:
        if record is None:
            if self._default is None:
                raise AttributeError(self._name)  # by which a dataclass knows that the field has no default
            return self._default
        kept = str(getattr(record, self._name))
        return kept if self._unless and getattr(record, self._unless) else tr(kept)

    def __set__(self, record: object, value: str) -> None:
        object.__setattr__(record, self._name, value)
