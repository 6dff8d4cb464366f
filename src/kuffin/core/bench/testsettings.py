"""What a test was run with, as people write it: ``power limit 240 W; driver 12.4; fan curve: quiet``."""

from __future__ import annotations

import re
from collections.abc import Iterable, Mapping

import numpy as np

from kuffin.core.base.errors import BenchError
from kuffin.core.base.language import tr
from kuffin.core.base.numbers import outside
from kuffin.core.base.saying import say
from kuffin.core.base.units import parse_unit, shown, to_canonical
from kuffin.core.bench.configuration import OF_TEST, Setting, written

Value = float | str
EXAMPLE = "such as: power limit 240 W; driver 12.4; fan curve: quiet"
_MOST = 200  # signs in a value or a name

# by which else a setting goes
_ALSO = {"program": "load", "fan": "fan_percent", "bios": "firmware", "limit": "power_limit_w"}


def _names() -> dict[str, Setting]:
    """What settings go by, in English and in the window's language, the longest first."""
    names = {name: s for s in OF_TEST.values() for said in (s.label, s.spoken) for name in (said, tr(said))}
    names |= {name: OF_TEST[key] for name, key in _ALSO.items()}
    return dict(sorted(names.items(), key=lambda item: -len(item[0])))


def how_to_write() -> str:
    """How settings are written, for the person."""
    return tr(
        "One after the other, with “;” between: {known}; anything else as a name, a colon and what it was",
        known=", ".join(tr(s.label) for s in OF_TEST.values()),
    )


def setting_words(key: str, value: Value) -> str:
    """One setting with its name, as `read_settings` reads it: ``power limit 240 W``."""
    setting = OF_TEST.get(key)
    return f"{setting.label} {written(setting, value)}" if setting is not None else f"{key}: {value}"


def short_words(key: str, value: Value) -> str:
    """One setting in a table's head: as `setting_words`, but a power needs no name.

    >>> short_words("power_w", 240.0), short_words("power_limit_w", 240.0)
    ('240 W', 'power limit 240 W')
    """
    return written(OF_TEST[key], value) if key == "power_w" else setting_words(key, value)


def settings_words(values: Mapping[str, Value], but: Iterable[str] = ()) -> str:
    """Settings in words, as `read_settings` reads them.

    Parameters
    ----------
    but : iterable of str
        Keys that are not said.

    >>> settings_words({"power_limit_w": 240.0})
    'power limit 240 W'
    """
    left = set(but)
    known = [k for k in OF_TEST if k in values and k not in left]
    return "; ".join(
        setting_words(k, values[k]) for k in (*known, *(k for k in values if k not in OF_TEST and k not in left))
    )


def read_settings(words: str) -> dict[str, Value]:
    """Settings from what a person wrote; numbers in the settings' own units.

    Raises
    ------
    BenchError
        Where a piece names no setting, a number is none, has another unit or is out of range, or one is told twice.

    >>> read_settings("power limit 240 W; driver 12.4")
    {'power_limit_w': 240.0, 'driver': '12.4'}
    """
    found: dict[str, Value] = {}
    for piece in words.replace("\n", ";").split(";"):
        piece = " ".join(piece.split())
        if not piece:
            continue
        key, value = _read(piece)
        if key in found:
            raise BenchError(
                "{called} is told twice: {one} and {other}",
                called=_called(key),
                one=written_or(key, found[key]),
                other=written_or(key, value),
            )
        found[key] = value
    return found


def written_or(key: str, value: Value) -> str:
    """A setting's value with its unit, or as it is where it is the person's own.

    >>> written_or("power_limit_w", 240.0), written_or("mine", "wide")
    ('240 W', 'wide')
    """
    return written(OF_TEST[key], value) if key in OF_TEST else str(value)


def _called(key: str) -> str:
    return OF_TEST[key].label if key in OF_TEST else f"“{key}”"


def _read(piece: str) -> tuple[str, Value]:
    names = _names()
    name, colon, said = (part.strip() for part in piece.partition(":"))
    known = next((n for n in names if re.match(rf"{re.escape(n)}(?!\w)", piece, re.IGNORECASE)), None)
    # “fan curve: quiet” is a name of one's own, “driver 12:4” is not
    own = known is None or re.fullmatch(r"[^\d]*[a-z][^\d]*", name[len(known) :], re.IGNORECASE) is not None
    if colon and own:
        if not name or not said:
            raise BenchError("“{piece}” does not say what it was set to; {example}", piece=piece, example=EXAMPLE)
        return name[:_MOST], _text(name, said)
    if known is None:
        raise BenchError(
            "“{piece}” is no setting that Kuffin knows; write a name, a colon and what it was, {example}",
            piece=piece,
            example=EXAMPLE,
        )
    setting, said = names[known], piece[len(known) :].strip().lstrip(":=").strip()
    if not said:
        raise BenchError("“{piece}” does not say what it was set to; {example}", piece=piece, example=EXAMPLE)
    return setting.key, _number(setting, said) if setting.kind == "number" else _text(setting.label, said)


def _text(label: str, said: str) -> str:
    after = [p.strip().casefold() for p in said.split(",")[1:]]
    if any(re.match(rf"{re.escape(name)}\b", one) for one in after for name in _names()):
        raise BenchError(
            "{label}: “{said}” seems to hold another setting; put a “;” between them", label=label, said=said
        )
    return said[:_MOST]


def _number(setting: Setting, said: str) -> float:
    match = re.fullmatch(r"([-+]?\d+(?:[.,]\d+)?)\s*(\D*)", said)
    if match is None:
        raise BenchError(
            "{label}: “{said}” is no number; put a “;” between settings, {example}",
            label=say(setting.label),
            said=said,
            example=EXAMPLE,
        )
    value, unit = float(match[1].replace(",", ".")), match[2].strip()
    if unit and unit != setting.unit:
        known, own = parse_unit(unit), parse_unit(setting.unit)
        if known is None or own is None or known.quantity != own.quantity:
            raise BenchError(
                "{label}: “{said}” is not in {shown}", label=say(setting.label), said=said, shown=shown(setting.unit)
            )
        value = float(to_canonical(np.array([value]), known)[0][0])
    if not setting.low <= value <= setting.high:
        found = outside(value, setting.low, setting.high, setting.unit)
        raise BenchError("{label}: {said}", label=say(setting.label), said=found)
    return value
