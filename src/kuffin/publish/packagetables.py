"""What of a notebook goes into a study's data package: its tables, which of their columns refer to others, what is private."""

from __future__ import annotations

import json
from collections.abc import Mapping
from dataclasses import dataclass, field
from typing import Any

from sqlalchemy import JSON, Boolean, Column, Float, Integer, Table

from kuffin.core.base.csvtext import cell, plain
from kuffin.core.base.errors import KuffinError
from kuffin.core.base.plaindata import json_text
from kuffin.notebook.entities import (
    Answer,
    Attachment,
    Base,
    Bench,
    Candidate,
    Channel,
    Claim,
    Curve,
    Exclusion,
    Instrument,
    Mark,
    Mount,
    Part,
    Place,
    Probe,
    Protocol,
    Run,
    Sample,
    Sheet,
    Study,
    Tick,
    Window,
)
from kuffin.reading.failed import FAILED

FORMAT = 1
OWN_PLAN = frozenset({"begin", "deadline", "hours", "days_off"})  # a person's own time, in a study's plan
OPEN_MARKS = frozenset(
    {"stage", "value", "trouble", "alarm", "skip", FAILED}
)  # a person's own words are not among them


@dataclass(frozen=True, kw_only=True)
class PackedTable:
    """One table of a package.

    Attributes
    ----------
    refers : mapping of column to table
        Whose ids it holds.
    private : frozenset of str
        Columns that are left out unless they are asked for.
    asked : bool
        Whether the whole table is left out unless it is asked for.
    later : bool
        Whether earlier packages have none.
    """

    entity: type[Base]
    refers: Mapping[str, str] = field(default_factory=dict)
    private: frozenset[str] = frozenset()
    asked: bool = False
    later: bool = False

    @property
    def name(self) -> str:
        """As the table is called."""
        return self.table.name

    @property
    def table(self) -> Table:
        """Its columns."""
        found = Base.metadata.tables[self.entity.__tablename__]
        assert isinstance(found, Table)
        return found

    def columns(self, everything: bool) -> list[Column[Any]]:
        """Those that are written; `binned_at` never is."""
        left = frozenset({"binned_at"}) | (frozenset() if everything else self.private)
        return [c for c in self.table.columns if c.name not in left]


# in the order in which they are read back: what is referred to comes first, but for the references in LATER
TABLES = (
    PackedTable(entity=Part, private=frozenset({"price", "currency", "note"})),
    PackedTable(entity=Sample, refers={"part_id": "part"}, private=frozenset({"note"})),
    PackedTable(
        entity=Curve, refers={"part_id": "part", "coolant_id": "part"}, private=frozenset({"note"}), later=True
    ),
    PackedTable(entity=Bench, private=frozenset({"note"})),
    PackedTable(entity=Place, refers={"bench_id": "bench", "part_id": "part"}),
    PackedTable(entity=Instrument, refers={"bench_id": "bench"}, private=frozenset({"note"})),
    PackedTable(entity=Probe, refers={"instrument_id": "instrument"}),
    PackedTable(entity=Protocol, private=frozenset({"note"})),
    PackedTable(
        entity=Study,
        refers={
            "bench_id": "bench",
            "protocol_id": "protocol",
            "reference_id": "candidate",
            "baseline_id": "candidate",
        },
        private=frozenset({"published"}),
    ),
    PackedTable(entity=Candidate, refers={"study_id": "study", "part_id": "part"}),
    PackedTable(entity=Claim, refers={"study_id": "study", "candidate_id": "candidate", "against_id": "candidate"}),
    PackedTable(
        entity=Mount,
        refers={"candidate_id": "candidate", "sample_id": "sample", "follows_id": "mount"},
        private=frozenset({"note"}),
    ),
    PackedTable(entity=Tick, refers={"mount_id": "mount"}, private=frozenset({"note"}), later=True),
    PackedTable(
        entity=Attachment,
        refers={"mount_id": "mount", "part_id": "part", "bench_id": "bench", "run_id": "run"},
        asked=True,
        later=True,
    ),
    PackedTable(entity=Sheet, refers={"mount_id": "mount"}, later=True),
    PackedTable(entity=Exclusion, refers={"mount_id": "mount"}),
    PackedTable(entity=Answer, refers={"mount_id": "mount"}),
    PackedTable(entity=Run, refers={"mount_id": "mount", "joins_id": "run"}, private=frozenset({"note"})),
    PackedTable(entity=Channel, refers={"run_id": "run"}),
    PackedTable(entity=Window, refers={"run_id": "run"}),
    PackedTable(entity=Mark, refers={"run_id": "run"}),
)
LATER = {
    ("study", "reference_id"),
    ("study", "baseline_id"),
    ("mount", "follows_id"),
    ("run", "joins_id"),
    ("attachment", "run_id"),
}


def tables(everything: bool) -> list[PackedTable]:
    """Those that go out."""
    return [t for t in TABLES if everything or not t.asked]


def photos_of_sheet(values: Mapping[str, Any], ids: Mapping[int, int] | None) -> dict[str, Any]:
    """A sheet's values with the photos that it names counted anew; without them where there are none."""
    out = dict(values)
    for key, side in values.items():
        if isinstance(side, dict) and "photo" in side:
            kept = {k: v for k, v in side.items() if k != "photo"}
            photo = None if ids is None else ids.get(side["photo"])
            out[key] = kept if photo is None else {**kept, "photo": photo}
    return out


def kind_of_column(column: Column[Any]) -> str:
    """The type of a column by the Table Schema: ``integer``, ``number``, ``boolean``, ``any`` (JSON) or ``string``."""
    kinds: tuple[tuple[type[Any], str], ...] = (
        (Boolean, "boolean"),
        (Integer, "integer"),
        (Float, "number"),
        (JSON, "any"),
    )
    return next((name for kind, name in kinds if isinstance(column.type, kind)), "string")


def written(value: Any, column: Column[Any]) -> str:
    """A value as it stands in a cell."""
    if value is None:
        return ""
    kind = kind_of_column(column)
    if kind == "any":
        return str(cell(json_text(value, indent=None)))
    if kind == "boolean":
        return "true" if value else "false"
    return str(cell(value)) if kind == "string" else repr(value)


def read_back(text: str, column: Column[Any], where: str) -> Any:
    """A cell's value.

    Raises
    ------
    KuffinError
        Where it is not of the column's type.
    """
    kind = kind_of_column(column)
    text = plain(text)
    if text == "" and (column.nullable or kind != "string"):
        return None
    try:
        if kind == "any":
            return json.loads(text)
        if kind == "boolean":
            return {"true": True, "false": False}[text]
        return int(text) if kind == "integer" else float(text) if kind == "number" else text
    except (ValueError, KeyError, RecursionError):
        raise KuffinError(
            "{where}, column {name}: “{text}” is no {kind}", where=where, name=column.name, text=text[:40], kind=kind
        ) from None
