"""The language of the window: what it says goes through `tr`. Files, commands and what is kept in a notebook stay English."""

from __future__ import annotations

from collections.abc import Callable

_look_up: Callable[[str], str] | None = None


def speak(look_up: Callable[[str], str] | None) -> None:
    """Say everything through `look_up`, which gives the translation of a message, or the message; None: English."""
    global _look_up
    _look_up = look_up


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
    found = message if _look_up is None else _look_up(message)
    return found.format(**places) if places else found


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
