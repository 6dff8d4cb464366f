"""Errors of Kuffin's own: each carries a sentence for the person at the bench."""

from __future__ import annotations

from kuffin.core.base.saying import Saying, say, told


class KuffinError(Exception):
    """Something that the person can mend; the message says what, where and what to do.

    Parameters
    ----------
    message : str
        With places, as `kuffin.core.base.saying.say` has them; or a sentence as it stands.
    places : object
        What stands in them.

    >>> str(KuffinError("{name}: row {n} has no time", name="log.csv", n=7))
    'log.csv: row 7 has no time'
    """

    def __init__(self, message: str = "", /, **places: object) -> None:
        super().__init__(message if isinstance(message, Saying) else say(message, **places))

    def __str__(self) -> str:
        """The sentence in the window's language; English where none is spoken, and where it goes into a file."""
        return told(self.args[0])


class LogError(KuffinError):
    """A log that cannot be read."""


class OpenReading(LogError):
    """A log that can be read in two ways; only a person can say which.

    Attributes
    ----------
    asks : str
        What has to be said: ``decimal`` or ``time_unit``.
    """

    def __init__(self, message: str, asks: str) -> None:
        super().__init__(message)
        self.asks = asks


class TraceError(KuffinError):
    """A trace that cannot be judged."""


class CompareError(KuffinError):
    """A comparison that cannot be made."""


class NotebookError(KuffinError):
    """A notebook that cannot be opened or changed."""


class NoRoomError(NotebookError):
    """A notebook that cannot be written for want of room on its disk."""


class BenchError(KuffinError):
    """A part, a plan or a sum of the bench that makes no sense as it was given."""
