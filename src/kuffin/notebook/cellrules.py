"""What each cell of a notebook's tables must be: its type by the entity, its bounds and words by the table here."""

from __future__ import annotations

import datetime as dt
import json
import math
from collections.abc import Mapping
from dataclasses import dataclass
from typing import Any

from sqlalchemy import JSON, Boolean, Column, Float, Integer, LargeBinary, Table

from kuffin.core.base.saying import say
from kuffin.core.bench.parts import KINDS
from kuffin.core.bench.undertest import KINDS as UNDER_TEST
from kuffin.core.bench.undertest import PAIRS
from kuffin.core.flow.curvekinds import CURVE_KINDS, SOURCES
from kuffin.core.heat.normalise import SCHOOLS
from kuffin.notebook.entities import Base
from kuffin.notebook.jsonforms import FORMS, part_fields, sheet_values

_LONGEST_TEXT, _LONGEST_JSON, _DEEPEST = 100_000, 20_000_000, 40
_SPOILT = object()

_BETWEEN: dict[tuple[str, str], tuple[float, float]] = {
    ("study", "margin_k"): (0.0, 1000.0),
    ("study", "confidence"): (0.5, 0.9999),
    ("study", "tolerance_k"): (0.001, 100.0),
    ("study", "reference_power_w"): (0.1, 100_000.0),
    ("study", "reference_air_c"): (-50.0, 100.0),
    ("study", "planned_rounds"): (1, 200),
    ("mount", "round"): (1, 1000),
    ("mount", "position"): (-1_000_000, 1_000_000),
    ("candidate", "position"): (-1_000_000, 1_000_000),
    ("place", "position"): (-1_000_000, 1_000_000),
    ("channel", "position"): (0, 100_000),
    ("chunk", "sequence"): (0, 100_000_000),
    ("chunk", "rows"): (1, 100_000_000),
    ("chunk", "columns"): (2, 100_001),
    ("run", "rows"): (0, 1_000_000_000),
    ("run", "duration_s"): (0.0, 1e9),
    ("claim", "amount"): (0.0, 1e9),
    ("claim", "high"): (0.0, 1e9),
    ("part", "price"): (0.0, 1e9),
    ("tick", "seconds"): (0.0, 1e7),
    ("curve", "temperature_c"): (-40.0, 150.0),
}
_ONE_OF: dict[tuple[str, str], frozenset[str]] = {
    ("study", "under_test"): frozenset({**UNDER_TEST, **PAIRS}),
    ("study", "school"): frozenset(SCHOOLS),
    ("part", "kind"): frozenset(KINDS),
    ("curve", "kind"): frozenset(CURVE_KINDS),
    ("curve", "source"): frozenset(SOURCES),
}
_MOMENTS = {"started_at", "created_at", "added_at", "begun_at", "ready_at", "done_at"}
_NOT_LOOKED_INTO = {("reading", "values"), ("edit", "changes")}  # the one on use, the other by itself


@dataclass(frozen=True)
class Spoilt:
    """A cell that is not what it must be.

    Attributes
    ----------
    put : object
        What takes its place.
    lost : bool
        Nothing can: the row goes.
    what : str
        In words.
    """

    put: Any = None
    lost: bool = False
    what: str = ""


def look_at(table: Table, column: Column[Any], value: Any, row: Mapping[str, Any]) -> Spoilt | None:
    """What is wrong with a cell as SQLite gives it; None for nothing.

    Parameters
    ----------
    row : mapping
        The whole row, by column.
    """
    key = table.name, column.name
    if value is None:
        return None if column.nullable else _in_its_place(column, say("is missing"))
    kind = column.type
    if isinstance(kind, JSON):
        return _json(table, column, value, row)
    if isinstance(kind, LargeBinary):
        return None if isinstance(value, bytes) else _in_its_place(column, say("is no data"))
    if isinstance(kind, (Integer, Boolean)):
        if not isinstance(value, int) or (isinstance(kind, Boolean) and value not in {0, 1}):
            return _in_its_place(column, say("is no whole number"))
        if not 0 < value < 2**53 and column.primary_key:
            return Spoilt(lost=True, what=say("has an impossible number"))
    elif isinstance(kind, Float):
        if not isinstance(value, (int, float)) or not math.isfinite(value) or abs(value) > 1e12:
            return _in_its_place(column, say("is no number"))
    elif not isinstance(value, str) or len(value) > _LONGEST_TEXT or not _sound_text(value):
        return _in_its_place(column, say("is no text"))
    if key in _BETWEEN and not _BETWEEN[key][0] <= value <= _BETWEEN[key][1]:
        return _in_its_place(column, say("is out of all bounds"))
    if isinstance(kind, (Integer, Float)) and abs(value) > 1e15:
        return _in_its_place(column, say("is out of all bounds"))
    if key in _ONE_OF and value not in _ONE_OF[key]:
        return _in_its_place(column, say("is “{value}”, which this Kuffin does not know", value=str(value)[:40]))
    if column.name in _MOMENTS and not _is_moment(value):
        return _in_its_place(column, say("is no moment"))
    return None


def _sound_text(value: str) -> bool:
    """Text that is text: no halves of signs, which is what damaged UTF-8 comes as, and no noughts."""
    halves = not value.isascii() and any("\ud800" <= c <= "\udfff" for c in value)
    return not halves and "\x00" not in value


def _is_moment(value: str) -> bool:
    try:
        dt.datetime.fromisoformat(value)
    except ValueError:
        return False
    return True


def _in_its_place(column: Column[Any], what: str) -> Spoilt:
    said = say("its {column} {what}", column=column.name.replace("_", " "), what=what)
    if column.nullable:
        return Spoilt(None, what=said)
    default = usual(column)
    if default is _SPOILT and column.type.python_type is str and (column.table.name, column.name) not in _ONE_OF:
        return Spoilt("(damaged)", what=said)
    if default is _SPOILT:
        return Spoilt(lost=True, what=said)
    return Spoilt(default, what=said)


def usual(column: Column[Any]) -> Any:
    """What a column holds unless it is told."""
    default = getattr(column.default, "arg", None)
    if callable(default):
        default = default(None)
    if default is None or column.foreign_keys:
        return _SPOILT
    return json.dumps(default) if isinstance(default, (list, dict)) else default


def _json(table: Table, column: Column[Any], value: Any, row: Mapping[str, Any]) -> Spoilt | None:
    key = table.name, column.name
    if key in _NOT_LOOKED_INTO:
        return None
    if key == ("part", "fields"):
        form = part_fields(str(row.get("kind")))
    elif key == ("sheet", "values"):
        form = sheet_values(str(row.get("kind")))
    else:
        form = FORMS[key]
    named = column.name.replace("_", " ")
    try:
        if not isinstance(value, str) or len(value) > _LONGEST_JSON or not _sound_text(value):
            raise ValueError
        found = json.loads(value)
        if _depth(found) > _DEEPEST:
            raise ValueError
    except (ValueError, RecursionError):
        return Spoilt(json.dumps(form(None)[0]), what=say("its {column} cannot be read", column=named))
    sound, left = form(found)
    return (
        Spoilt(json.dumps(sound), what=say("its {column}: {left}", column=named, left=", ".join(left[:5])))
        if left
        else None
    )


def _depth(value: Any) -> int:
    deepest, level = 0, [value]
    while level and deepest <= _DEEPEST:
        deepest += 1
        level = [
            inner
            for one in level
            if isinstance(one, (dict, list))
            for inner in (one.values() if isinstance(one, dict) else one)
        ]
    return deepest


def sound_changes(changes: Any) -> bool:
    """Whether an edit's rows before and after are such as could stand in the tables."""
    if not isinstance(changes, list):
        return False
    for change in changes:
        if not isinstance(change, dict) or not {"table", "id", "before", "after"} <= set(change):
            return False
        table = Base.metadata.tables.get(change["table"]) if isinstance(change["table"], str) else None
        if table is None or type(change["id"]) is not int:
            return False
        for row in (change["before"], change["after"]):
            if row is None:
                continue
            if not isinstance(row, dict) or not set(row) <= set(table.c.keys()):
                return False
            for name, value in row.items():
                column = table.c[name]
                kept = json.dumps(value) if isinstance(column.type, JSON) else value
                if isinstance(column.type, Boolean) and isinstance(value, bool):
                    kept = int(value)
                if look_at(table, column, kept, row) is not None:
                    return False
    return True
