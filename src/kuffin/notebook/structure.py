"""The tables of a notebook are the tables Kuffin makes: anything else in the file may run, or never end, and is refused."""

from __future__ import annotations

import sqlite3

from sqlalchemy import Table

from kuffin.core.base.saying import say
from kuffin.notebook.entities import SCHEMA_VERSION, Base

_SQLITES_OWN = ("sqlite_autoindex_", "sqlite_stat", "sqlite_sequence")
# rows; a notebook of years has a hundredth of it
_MOST_ROWS = {"study": 2_000, "candidate": 20_000, "part": 50_000, "mount": 100_000, "run": 100_000}
_MOST_OTHERS = 3_000_000


def odd_structure(db: sqlite3.Connection, version: int) -> str:
    """What of the file's structure is none of Kuffin's, in words; blank for nothing."""
    tables = Base.metadata.tables
    known = {index.name for table in tables.values() for index in table.indexes}
    there = set()
    for kind, name, of, sql in db.execute("SELECT type, name, tbl_name, sql FROM sqlite_master"):
        if not isinstance(name, str) or not isinstance(of, str) or not isinstance(sql, (str, type(None))):
            return say("a name in it is no text")
        if kind in {"view", "trigger"}:
            return say("it holds a {kind}, “{name}”", kind=str(kind), name=name[:40])
        if name.startswith(_SQLITES_OWN):
            continue
        if kind == "table" and (sql or "").lstrip().upper().startswith("CREATE VIRTUAL"):
            return say("it holds a virtual table, “{name}”", name=name[:40])
        if kind == "table" and name in tables:
            there.add(name)
        elif kind != "index" or of not in tables or (version == SCHEMA_VERSION and name not in known):
            return say("it holds “{name}”, which is none of its tables", name=name[:40])
        if kind == "index" and (" where " in (sql or "").lower() or _computed_index(db, name)):
            return say("it holds an index that is computed, “{name}”", name=name[:40])
    if version == SCHEMA_VERSION and set(tables) - there:
        return say("its table “{name}” is missing", name=min(set(tables) - there))
    for name in sorted(there):
        said = _odd_table(db, tables[name], version)
        if said:
            return said
    return ""


def _computed_index(db: sqlite3.Connection, name: str) -> bool:
    return any(row[1] == -2 for row in db.execute("SELECT * FROM pragma_index_xinfo(?)", (name,)))


def _odd_table(db: sqlite3.Connection, table: Table, version: int) -> str:
    found = db.execute("SELECT name, type, pk, hidden FROM pragma_table_xinfo(?)", (table.name,)).fetchall()
    if any(hidden for *_, hidden in found):
        return say("a column of its table “{name}” is computed", name=table.name)
    if version == SCHEMA_VERSION:
        have = {(name, bool(pk)) for name, _, pk, _ in found}
        if have != {(c.name, c.primary_key) for c in table.columns}:
            return say("its table “{name}” has other columns", name=table.name)
    count = db.execute(f'SELECT count(*) FROM "{table.name}"').fetchone()[0]
    most = _MOST_ROWS.get(table.name, _MOST_OTHERS)
    if count <= most:
        return ""
    return say("its table “{name}” has {n} rows, far more than a bench can make", name=table.name, n=count)
