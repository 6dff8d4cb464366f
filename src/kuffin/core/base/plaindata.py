"""Plain data from files (JSON) as the types they should be; what is not as it should be is named, never guessed."""

from __future__ import annotations

import math
from typing import Any, TypeVar

import msgspec

T = TypeVar("T")


class PlainError(ValueError):
    """Data of another form than expected; the message says where and what."""


def typed(value: Any, kind: type[T], finite: bool = True) -> T:
    """Plain data as a type: a dataclass, a tuple of them, a dict with typed values.

    Parameters
    ----------
    finite : bool
        Whether numbers that are none (NaN, endless) are refused.

    Raises
    ------
    PlainError
    """
    try:
        found = msgspec.convert(value, kind, strict=True)
    except (msgspec.ValidationError, RecursionError) as error:
        said = str(error).replace("`$.", "`").replace(" - at `$`", "")
        raise PlainError(said[:1].lower() + said[1:]) from None
    if finite and not _finite(value):
        raise PlainError("it holds a number that is none (NaN or endless)")
    return found


def _finite(value: Any, depth: int = 0) -> bool:
    if isinstance(value, float):
        return math.isfinite(value)
    if depth > 50:
        return False
    if isinstance(value, dict):
        return all(_finite(v, depth + 1) for v in value.values())
    return all(_finite(v, depth + 1) for v in value) if isinstance(value, (list, tuple)) else True
