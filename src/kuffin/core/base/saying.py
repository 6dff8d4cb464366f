"""Sentences that are kept in English and told in the window's language."""

from __future__ import annotations

import re
import string
from collections.abc import Mapping, Sequence
from typing import Any

from kuffin.core.base.language import in_english, tr


class Saying(str):
    """A sentence of Kuffin's own: as a string it is English; `told` gives it in the window's language.

    Attributes
    ----------
    message : str
        With places, as of `kuffin.core.base.language.tr`.
    places : mapping of str to str, int, float or Saying
        What stands in them. A string is data: it is put in as it is.
    """

    message: str
    places: Mapping[str, Any]

    def __new__(cls, message: str, places: Mapping[str, Any]) -> Saying:
        plain = {k: _plain(v) for k, v in places.items()}
        with in_english():
            made = super().__new__(cls, tr(message, **plain))
        made.message, made.places = message, plain
        return made

    def __getnewargs__(self) -> tuple[str, Mapping[str, Any]]:  # type: ignore[override]
        return self.message, self.places

    def to_plain(self) -> dict[str, Any]:
        """As it is kept beside its English."""
        places = {k: v.to_plain() if isinstance(v, Saying) else v for k, v in self.places.items()}
        return {"message": self.message, "places": places}


def _plain(place: Any) -> str | float | None:
    """What stands in a place, so that it can be kept: of an error its sentence, of NumPy's numbers Python's."""
    if isinstance(place, BaseException) and place.args and isinstance(place.args[0], Saying):
        return place.args[0]
    if hasattr(place, "item"):
        place = place.item()
    return place if isinstance(place, (str, int, float, type(None))) else str(place)


def say(message: str, /, **places: object) -> Saying:
    """A sentence with what is put into its places.

    >>> say("{name} stands {by:.1f} K below {other}", name="Die", by=1.25, other="Coolant")
    'Die stands 1.2 K below Coolant'
    """
    return Saying(message, places)


def chained(parts: Sequence[str], between: str) -> Saying:
    """Sentences one after another.

    >>> chained([say("flat"), say("and level")], ", ")
    'flat, and level'
    """
    places = {f"p{i}": part for i, part in enumerate(parts)}
    return Saying(between.join(f"{{{key}}}" for key in places), places)


def told(sentence: str) -> str:
    """A sentence in the window's language; one that is no `Saying` as it is.

    >>> told(say("flat")), told("as it came")
    ('flat', 'as it came')
    """
    if not isinstance(sentence, Saying):
        return sentence
    return tr(sentence.message, **{k: told(v) if isinstance(v, str) else v for k, v in sentence.places.items()})


def from_plain(kept: Mapping[str, Any]) -> Saying:
    """A sentence as it was kept.

    Raises
    ------
    KeyError, TypeError, ValueError, AttributeError
        Where what was kept is none.

    >>> from_plain(say("{n} gaps", n=2).to_plain())
    '2 gaps'
    """
    if not all(_plain_place(name, spec, how) for _, name, spec, how in string.Formatter().parse(kept["message"])):
        raise ValueError("its places are none of Kuffin's")
    places = {k: from_plain(v) if isinstance(v, Mapping) else v for k, v in kept["places"].items()}
    return Saying(kept["message"], places)


def _plain_place(name: str | None, spec: str | None, conversion: str | None) -> bool:
    """Whether a place is a name with digits at most: what a file brings must not reach further."""
    return name is None or (
        name.isidentifier() and not conversion and re.fullmatch(r"(\.\d)?[fg]?", spec or "") is not None
    )


def amount(x: float, digits: int = 1) -> Saying:
    """A number with so many decimals, as a place in a sentence.

    >>> amount(-1.25, 2), amount(3.0, 0)
    ('−1.25', '3')
    """
    return Saying(f"{{x:.{digits}f}}", {"x": float(x)})
