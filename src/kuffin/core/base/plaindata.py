"""Plain data from files (JSON) as the types they should be; what is not as it should be is named, never guessed."""

from __future__ import annotations

import json
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

    >>> typed([1, 2], tuple[int, ...])
    (1, 2)
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


def json_text(value: object, indent: int | None = None) -> str:
    """Plain data as JSON; numbers that are not known are null, never NaN.

    >>> json_text({"mean": 4.5, "half": float("nan")})
    '{"mean": 4.5, "half": null}'
    """
    return json.dumps(_known(value), ensure_ascii=False, indent=indent, allow_nan=False)


def _known(value: object) -> object:
    if isinstance(value, float):
        return value if math.isfinite(value) else None
    if isinstance(value, dict):
        return {k: _known(v) for k, v in value.items()}
    return [_known(v) for v in value] if isinstance(value, (list, tuple)) else value
