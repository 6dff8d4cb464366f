"""What is damaged in a notebook is named and set aside when it is opened; the rest works, and the file as it was is kept.

Everything that Kuffin reads later is looked at here, once: types, bounds, references, texts, and the JSON in it.
"""

from __future__ import annotations

import json
import sqlite3
from collections.abc import Iterator
from dataclasses import dataclass, field
from pathlib import Path
from typing import Any

from sqlalchemy import LargeBinary, Table

from kuffin.core.base.errors import KuffinError, NotebookError
from kuffin.core.base.language import mark
from kuffin.core.base.saying import say
from kuffin.notebook.cellrules import look_at, sound_changes
from kuffin.notebook.entities import Base
from kuffin.notebook.heldfile import TimedConnection, connect
from kuffin.notebook.migrations import changed_on_a_copy

_MOST_SAID = 12


@dataclass
class Damage:
    """What is to be done to make a notebook sound, and what is said of it."""

    statements: list[tuple[str, tuple[Any, ...]]] = field(default_factory=list)
    said: list[str] = field(default_factory=list)

    def put(self, table: Table, row: int, column: str, value: Any) -> None:
        """Note that a cell is to be set."""
        self.statements.append((f'UPDATE "{table.name}" SET "{column}" = ? WHERE rowid = ?', (value, row)))

    def drop(self, table: Table, row: int) -> None:
        """Note that a row is to go."""
        self.statements.append((f'DELETE FROM "{table.name}" WHERE rowid = ?', (row,)))


def look_over(db: sqlite3.Connection) -> Damage:
    """Look at every row; changes nothing.

    Parameters
    ----------
    db : sqlite3.Connection
        Open for reading; its text comes with damaged signs as lone surrogates.
    """
    damage = Damage()
    for table in Base.metadata.sorted_tables:
        for row_id, row in _rows(db, table):
            _look_at_row(table, row_id, row, damage)
    for said, sql in _TOGETHER:
        found = [r for (r,) in db.execute(sql)]
        if found:
            damage.said.append(say("{n} {said}", n=len(found), said=say(said)))
            table = Base.metadata.tables[sql.split('"')[1]]
            for row_id in found:
                damage.drop(table, row_id)
    _names_once(db, damage)
    _history(db, damage)
    broken = db.execute("PRAGMA foreign_key_check").fetchall()
    if broken:
        named = ", ".join(sorted({str(b[0]) for b in broken})[:4])
        damage.said.append(say("{n} rows belong to something that is not there ({named})", n=len(broken), named=named))
    return damage


def _rows(db: sqlite3.Connection, table: Table) -> Iterator[tuple[int, dict[str, Any]]]:
    columns = list(table.columns)
    # of data only what kind it is: it may be large
    asked = ", ".join(
        f"CASE typeof(\"{c.name}\") WHEN 'blob' THEN x'' WHEN 'null' THEN NULL ELSE 0 END"
        if isinstance(c.type, LargeBinary)
        else f'"{c.name}"'
        for c in columns
    )
    for found in db.execute(f'SELECT rowid, {asked} FROM "{table.name}"'):
        yield found[0], dict(zip([c.name for c in columns], found[1:], strict=True))


def _look_at_row(table: Table, row_id: int, row: dict[str, Any], damage: Damage) -> None:
    for column in table.columns:
        spoilt = look_at(table, column, row[column.name], row)
        if spoilt is None:
            continue
        name = row.get("name") or row.get("label") or row_id
        damage.said.append(
            say("{row}: {what}, so it is left out", row=f"{table.name} {str(name)[:40]}", what=spoilt.what)
            if spoilt.lost
            else say("{row}: {what}", row=f"{table.name} {str(name)[:40]}", what=spoilt.what)
        )
        if spoilt.lost:
            damage.drop(table, row_id)
            return
        damage.put(table, row_id, column.name, spoilt.put)


# what must hold between rows: in words, and which rows go
_TOGETHER = (
    (
        mark("blocks of samples have not the size they say"),
        'SELECT rowid FROM "chunk" WHERE length(data) != rows * columns * 8 OR columns != '
        "1 + (SELECT count(*) FROM channel WHERE channel.run_id = chunk.run_id)",
    ),
    (mark("windows end before they begin"), 'SELECT rowid FROM "window" WHERE NOT begin_s < end_s'),
    (
        mark("logs join a run that is none"),
        'SELECT rowid FROM "run" AS r WHERE joins_id IS NOT NULL AND NOT EXISTS '
        "(SELECT 1 FROM run AS o WHERE o.id = r.joins_id AND o.joins_id IS NULL AND o.mount_id = r.mount_id)",
    ),
    (mark("claims compare a candidate with itself"), 'SELECT rowid FROM "claim" WHERE candidate_id = against_id'),
    (
        mark("rows have the number of another"),
        'SELECT rowid FROM "channel" AS c WHERE EXISTS (SELECT 1 FROM channel AS o WHERE o.run_id = c.run_id AND '
        "o.position = c.position AND o.rowid < c.rowid)",
    ),
)


def _names_once(db: sqlite3.Connection, damage: Damage) -> None:
    """Within a study each candidate has a name of its own; so has each channel of a run."""
    for table, owner in (("candidate", "study_id"), ("channel", "run_id")):
        taken: dict[Any, set[str]] = {}
        for row_id, whose, name in db.execute(f'SELECT rowid, {owner}, name FROM "{table}" ORDER BY rowid'):
            names = taken.setdefault(whose, set())
            told = name if isinstance(name, str) and name.strip() else f"{table} {row_id}"
            fresh, n = told, 1
            while fresh.casefold() in names if table == "candidate" else fresh in names:
                n += 1
                fresh = f"{told} ({n})"
            names.add(fresh.casefold() if table == "candidate" else fresh)
            if fresh != name:
                damage.put(Base.metadata.tables[table], row_id, "name", fresh)
                damage.said.append(
                    say(
                        "{table} “{name}” has a name that another has, or none: it is called “{fresh}”",
                        table=table,
                        name=told[:40],
                        fresh=fresh[:44],
                    )
                )


def _history(db: sqlite3.Connection, damage: Damage) -> None:
    for row_id, changes in db.execute('SELECT rowid, changes FROM "edit"'):
        try:
            sound = sound_changes(json.loads(changes))
        except (ValueError, TypeError, RecursionError):
            sound = False
        if not sound:
            damage.said.append(say("the history for Undo cannot be read, so it is left out"))
            damage.statements.append(('DELETE FROM "edit"', ()))
            return
        del row_id


def reading(path: Path, immutable: bool = False) -> TimedConnection:
    """A connection to look a notebook over."""
    db = connect(path, "ro", immutable)
    db.text_factory = lambda raw: raw.decode("utf-8", "surrogateescape")
    return db


def mend(path: Path, damage: Damage) -> Path:
    """Set aside what is damaged, on a copy that then takes the file's name; the file as it was is kept beside.

    Returns
    -------
    Path
        The file as it was.

    Raises
    ------
    NotebookError
        Where that cannot be written, or does not help; the notebook is then untouched.
    """
    try:
        return changed_on_a_copy(path, lambda copy: _apply(copy, damage), f"{path.stem} (damaged)")
    except (KuffinError, OSError, sqlite3.Error) as error:
        raise NotebookError(
            "{name} is damaged ({said}) and could not be mended ({error}); it is untouched. Copy it to a folder with room that you may write in, and open it there",
            name=path.name,
            said=damage.said[0],
            error=error,
        ) from None


def _apply(db: sqlite3.Connection, damage: Damage) -> None:
    db.execute("PRAGMA foreign_keys = OFF")
    with db:
        for sql, values in damage.statements:
            db.execute(sql, values)
        for _ in range(20):  # what belonged to what has gone goes too
            broken = db.execute("PRAGMA foreign_key_check").fetchall()
            if not broken:
                break
            for table_name, row_id, _, number in broken:
                table = Base.metadata.tables[table_name]
                column = next(
                    f[3]
                    for f in db.execute("SELECT * FROM pragma_foreign_key_list(?)", (table_name,))
                    if f[0] == number
                )
                if table.c[column].nullable and column != "joins_id":
                    db.execute(f'UPDATE "{table_name}" SET "{column}" = NULL WHERE rowid = ?', (row_id,))
                else:
                    db.execute(f'DELETE FROM "{table_name}" WHERE rowid = ?', (row_id,))
    left = look_over_again(db)
    if left.said:
        raise NotebookError(left.said[0])


def look_over_again(db: sqlite3.Connection) -> Damage:
    """The same look, at what was mended."""
    db.text_factory = lambda raw: raw.decode("utf-8", "surrogateescape")
    return look_over(db)


def words(said: list[str]) -> list[str]:
    """What is said of a damage, not more than one reads."""
    more = len(said) - _MOST_SAID
    return [*said[:_MOST_SAID], say("and {more} more", more=more)] if more > 0 else said
