"""Numbers in sentences."""

from __future__ import annotations

import math

from kuffin.core.base.language import figure
from kuffin.core.base.language import written as in_language
from kuffin.core.base.saying import Saying, say


def number(x: float, digits: int = 1) -> str:
    """A number for a sentence, with a true minus.

    >>> number(-0.04), number(-1.25, 2)
    ('0.0', '−1.25')
    """
    return figure(f"{x:.{digits}f}")


def plain(x: float, digits: int = 6) -> str:
    """A number as short as it is written with so many digits at most: a setting, a length, a share.

    >>> plain(1.50), plain(0.123456, 2), plain(90.0)
    ('1.5', '0.12', '90')
    """
    return in_language(f"{x:.{digits}g}")


def typed_number(written: str) -> float:
    """A number as people type it: with decimal comma or point, and either minus.

    Raises
    ------
    ValueError
        Where it is none; what is not finite is none either.

    >>> typed_number(" −0,4 "), typed_number("1.5")
    (-0.4, 1.5)
    """
    found = float(written.replace(",", ".").replace("−", "-"))
    if not math.isfinite(found):
        raise ValueError(f"{written} is not finite")
    return found


def outside(value: float, low: float, high: float, unit: str = "") -> Saying:
    """What is said of a number that cannot be.

    >>> outside(-300.0, -50.0, 150.0, "°C"), outside(12.0, 0.0, 10.0)
    ('−300 °C is outside −50 to 150 °C', '12 is outside 0 to 10')
    """
    spaced = f" {unit}" if unit else ""
    return say(
        "{value:g}{unit} is outside {low:g} to {high:g}{unit}",
        value=float(value),
        unit=spaced,
        low=float(low),
        high=float(high),
    )


def begun(said: str) -> str:
    """A sentence that begins with a capital; nothing else in it is changed.

    >>> begun("air at 21 °C")
    'Air at 21 °C'
    """
    return said[:1].upper() + said[1:]


def minutes(seconds: float) -> str:
    """A moment on a run's clock, in minutes.

    >>> minutes(90.0)
    '1.5 min'
    """
    return f"{number(seconds / 60, 1)} min"
