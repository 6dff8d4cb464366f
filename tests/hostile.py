"""Notebooks that a stranger, a bad disk or a bad mood could have made: the demo's, with anything in it changed."""

from __future__ import annotations

import json
import random
import shutil
import sqlite3
from pathlib import Path
from typing import Any

CELLS: tuple[Any, ...] = (
    None, "", "x", "<img src=/dev/zero>", "=1+1", "\x00", "a" * 50_000, "ß" * 300, "%s{0}%n", "../../etc", "NaN", "-",
    0, 1, -1, 2, 7, 10**6, 10**9, 2**53, 2**63 - 1, -(2**63), 0.5, -0.0, 1e-300, 1e300, float("inf"), float("-inf"),
    b"", b"\xff\xfe\x00", b"\x00" * 5000, "[]", "{}", "null", "[[[[]]]]", "{\"a\": {\"b\": []}}", "[1e999]", "[NaN]",
    "{\"goal\": 5}", "[" * 3000, "2026-13-40T99:00", "2026-05-04T13:00:00", "9999-12-31", "undone", "0001-01-01T00:00:00",
    "radiator", "block", "coolant", "die", "degC", "kuffin", "*", "stage", "value",
)  # fmt: skip
JSONS: tuple[Any, ...] = (
    None,
    True,
    -1,
    1e300,
    "x",
    [],
    {},
    [[]],
    {"": None},
    "2026-05-04",
    10**30,
    [1, "a", None],
    "9" * 500,
)
SCHEMA = (
    "CREATE VIEW v AS WITH RECURSIVE c(x) AS (SELECT 1 UNION ALL SELECT x + 1 FROM c) SELECT x FROM c",
    "CREATE TRIGGER t AFTER INSERT ON mark BEGIN INSERT INTO mark (run_id, at_s, kind, text, unit) VALUES (1, 1, 'a', 'b', ''); END",
    "CREATE TABLE extra (x)",
    "DROP TABLE sheet",
    "ALTER TABLE mount ADD COLUMN more",
    "ALTER TABLE mount RENAME TO mounts",
    "CREATE INDEX i ON run (rows + 1)",
    "CREATE VIRTUAL TABLE f USING fts5(x)",
    "PRAGMA user_version = 3",
    "PRAGMA user_version = -5",
    "PRAGMA application_id = 7",
    "PRAGMA writable_schema = ON; UPDATE sqlite_master SET sql = 'CREATE TABLE run (id)' WHERE name = 'run'",
    "PRAGMA writable_schema = ON; UPDATE sqlite_master SET rootpage = 99999 WHERE name = 'mount'",
)


def small(demo: Path, target: Path) -> None:
    """A notebook of all kinds of things, but few of each: of the demo's studies the first, with two mounts of two candidates."""
    from kuffin.notebook import bin as bin_
    from kuffin.notebook.edits import to_bin
    from kuffin.notebook.entities import Candidate, Mount, Study
    from kuffin.notebook.store import Notebook
    from kuffin.verdict.study import judge

    shutil.copyfile(demo, target)
    notebook = Notebook.open(target)
    try:
        first, *others = notebook.studies()
        for study in others:
            to_bin(notebook, Study, study.id, "a study")
        kept = notebook.study(first.id).live_candidates
        for candidate in kept[2:]:
            to_bin(notebook, Candidate, candidate.id, "a candidate")
        for candidate in kept[:2]:
            for mount in candidate.live_mounts[2:]:
                to_bin(notebook, Mount, mount.id, "a mount")
        bin_.empty(notebook)
        to_bin(notebook, Mount, kept[0].live_mounts[1].id, "a mount, that something lies in the bin")
        notebook.undo()
        judge(notebook, notebook.study(first.id))
    finally:
        notebook.close()


def make(seed: int, demo: Path, target: Path) -> str:
    """Write a hostile notebook; returns what was done."""
    rng = random.Random(seed)
    shutil.copyfile(demo, target)
    if rng.random() < 0.12:
        return _bytes(rng, target)
    db = sqlite3.connect(target)
    db.execute("PRAGMA foreign_keys = OFF")
    done = []
    if rng.random() < 0.12:
        sql = rng.choice(SCHEMA)
        try:
            for one in sql.split("; ") if sql.startswith("PRAGMA") else [sql]:
                db.execute(one)
            done.append(sql[:60])
        except sqlite3.Error as error:
            done.append(str(error))
    tables = [
        t for (t,) in db.execute("SELECT name FROM sqlite_master WHERE type = 'table' AND name NOT LIKE 'sqlite%'")
    ]
    for _ in range(rng.randint(1, 6)):
        table = rng.choice(tables)
        try:
            done.append(_change(rng, db, table))
        except (sqlite3.Error, OverflowError, ValueError, UnicodeError) as error:
            done.append(f"{table}: {error}")
    db.commit()
    db.close()
    return "; ".join(done)


def _bytes(rng: random.Random, target: Path) -> str:
    raw = bytearray(target.read_bytes())
    for _ in range(rng.randint(1, 30)):
        at = rng.randrange(len(raw))
        raw[at : at + rng.randint(1, 60)] = rng.randbytes(rng.randint(1, 60))
    target.write_bytes(bytes(raw[: rng.randint(200, len(raw))] if rng.random() < 0.3 else raw))
    return "bytes"


def _change(rng: random.Random, db: sqlite3.Connection, table: str) -> str:
    columns = [c[1] for c in db.execute(f'PRAGMA table_info("{table}")')]
    rows = [r for (r,) in db.execute(f'SELECT rowid FROM "{table}" LIMIT 3000')]
    if not rows:
        db.execute(f'INSERT INTO "{table}" DEFAULT VALUES')
        return f"{table}: an empty row"
    row, column, kind = rng.choice(rows), rng.choice(columns), rng.random()
    if kind < 0.1:
        db.execute(f'DELETE FROM "{table}" WHERE rowid = ?', (row,))
        return f"{table} {row} deleted"
    if kind < 0.18:
        others = ", ".join(f'"{c}"' for c in columns if c != "id")
        db.execute(f'INSERT INTO "{table}" ({others}) SELECT {others} FROM "{table}" WHERE rowid = ?', (row,))
        return f"{table} {row} twice"
    if kind < 0.3:
        ids = [c for c in columns if c.endswith("_id")] or [column]
        column = rng.choice(ids)
        db.execute(f'UPDATE "{table}" SET "{column}" = ? WHERE rowid = ?', (rng.randint(-1, 60), row))
        return f"{table} {row} {column} to another"
    written = db.execute(f'SELECT "{column}" FROM "{table}" WHERE rowid = ?', (row,)).fetchone()[0]
    if isinstance(written, str) and written[:1] in "[{" and kind < 0.75:
        value: Any = json.dumps(_bent(rng, json.loads(written)))
    else:
        value = rng.choice(CELLS)
    everywhere = rng.random() < 0.1
    where = "" if everywhere else " WHERE rowid = ?"
    db.execute(f'UPDATE OR IGNORE "{table}" SET "{column}" = ?{where}', (value,) if everywhere else (value, row))
    return f"{table} {'all' if everywhere else row} {column} = {str(value)[:40]!r}"


def _bent(rng: random.Random, value: Any) -> Any:
    """JSON with something in it changed."""
    if isinstance(value, dict) and value and rng.random() < 0.85:
        key = rng.choice(list(value))
        kind = rng.random()
        if kind < 0.15:
            return {k: v for k, v in value.items() if k != key}
        if kind < 0.25:
            return {**value, rng.choice(["", "x", "id", "kind"]): rng.choice(JSONS)}
        return {**value, key: _bent(rng, value[key])}
    if isinstance(value, list) and value and rng.random() < 0.85:
        at = rng.randrange(len(value))
        return [*value[:at], _bent(rng, value[at]), *value[at + 1 :]]
    return rng.choice(JSONS)
