"""A notebook of the first format opens with all it held; the file as it was is kept beside it."""

from __future__ import annotations

import shutil
import signal
import sqlite3
import subprocess
import sys
from contextlib import closing
from pathlib import Path

import pytest

from kuffin.core.base.errors import NotebookError
from kuffin.core.compare.claims import Claimed
from kuffin.notebook import edits, planedits
from kuffin.notebook.store import Notebook

SQL = Path(__file__).with_name("format1.sql").read_text(encoding="utf-8")


@pytest.fixture
def old(tmp_path: Path) -> Path:
    path = tmp_path / "spring.kuffin"
    db = sqlite3.connect(path)
    db.executescript(SQL)
    db.execute("PRAGMA application_id = 0x4B554646")
    db.execute("PRAGMA user_version = 1")
    db.close()
    return path


def test_the_first_format_opens_with_all_it_held(old: Path) -> None:
    before = old.read_bytes()
    notebook = Notebook.open(old)
    try:
        kept = notebook.kept_before_update
        assert kept is not None and kept.read_bytes() == before
        study = notebook.study(1)
        assert [c.name for c in study.live_candidates] == ["Reed", "Rush"]
        assert [(c.part.kind, c.part.name) for c in study.live_candidates] == [
            ("radiator", "Reed"),
            ("radiator", "Rush"),
        ]
        assert study.candidate(study.reference_id).name == "Rush"  # type: ignore[union-attr]
        (mount,) = study.live_candidates[0].live_mounts
        assert mount.sample is not None and mount.sample.part_id == study.live_candidates[0].part_id
        assert len(mount.live_runs[0].channels) > 3
        assert study.plan == {} and study.same == []
        assert [c.part.kind for c in notebook.study(2).live_candidates] == ["processor block", "processor block"]
        edits.add_study(notebook, "Which paste?", "paste", ["Chalk", "Marl"])
        notebook.undo()
    finally:
        notebook.close()
    again = Notebook.open(old)
    assert again.kept_before_update is None
    again.close()


def test_the_schema_is_the_same_as_of_a_new_notebook(old: Path, tmp_path: Path) -> None:
    Notebook.open(old).close()
    Notebook.create(tmp_path / "new.kuffin").close()

    def schema(path: Path) -> set[tuple[str, ...]]:
        db = sqlite3.connect(path)
        tables = [t for (t,) in db.execute("SELECT name FROM sqlite_master WHERE type = 'table'")]
        return {(t, *map(str, row)) for t in tables for row in db.execute(f"PRAGMA table_info({t})")} | {
            ("index", i) for (i,) in db.execute("SELECT name FROM sqlite_master WHERE type = 'index'")
        }

    assert schema(old) == schema(tmp_path / "new.kuffin")


def test_where_it_cannot_be_brought_up_to_date_it_stays_as_it_was(old: Path, monkeypatch: pytest.MonkeyPatch) -> None:
    before = old.read_bytes()

    def full(*_: object) -> None:
        raise sqlite3.OperationalError("database or disk is full")

    monkeypatch.setattr("kuffin.notebook.migrations.migrate", full)
    with pytest.raises(NotebookError, match="untouched"):
        Notebook.open(old)
    assert old.read_bytes() == before
    assert [p.name for p in old.parent.iterdir()] == ["spring.kuffin"]


def test_a_mount_that_was_kept_as_a_whole_keeps_its_reason(old: Path) -> None:
    db = sqlite3.connect(old)
    db.execute("UPDATE mount SET kept_because = 'seen on the print'")
    db.commit()
    db.close()
    notebook = Notebook.open(old)
    (mount,) = notebook.study(1).live_candidates[0].live_mounts
    assert [(a.kind, a.reason) for a in mount.answers] == [("*", "seen on the print")]
    assert mount.kept_because == "seen on the print" and mount.live_runs[0].joins_id is None
    notebook.close()


def beside(old: Path) -> sqlite3.Connection:
    """Leave the last edit of the old format beside the file, as a kill does."""
    db = sqlite3.connect(old)
    db.execute("PRAGMA journal_mode = WAL")
    db.execute("UPDATE study SET question = 'Which, after all?' WHERE id = 1")
    db.commit()
    return db


def question(path: Path) -> str:
    db = sqlite3.connect(path)
    try:
        return str(db.execute("SELECT question FROM study WHERE id = 1").fetchone()[0])
    finally:
        db.close()


# imports once; each child that it forks opens the notebook and is killed at its n-th call
KILLED = """
import os, sys
from kuffin.notebook.store import Notebook
def count(event, args):
    global left
    if event.split(".")[0] in {"os", "sqlite3", "shutil"} or event == "open" and ".kuffin" in str(args[0]):
        left -= 1
        if left == 0:
            os.kill(os.getpid(), 9)
for line in sys.stdin:
    left = int(line)
    child = os.fork()
    if child == 0:
        sys.addaudithook(count)
        Notebook.open(sys.argv[1]).close()
        os._exit(0)
    print(os.waitpid(child, 0)[1], flush=True)
"""


def test_a_kill_at_any_point_of_it_loses_no_edit(old: Path, tmp_path: Path) -> None:
    db = beside(old)
    desk = tmp_path / "killed"
    kills = 0
    killer = subprocess.Popen(
        [sys.executable, "-c", KILLED, str(desk / old.name)], stdin=subprocess.PIPE, stdout=subprocess.PIPE, text=True
    )
    assert killer.stdin is not None and killer.stdout is not None
    for n in range(1, 200):
        shutil.rmtree(desk, ignore_errors=True)
        desk.mkdir()
        for one in (old, old.with_name("spring.kuffin-wal")):
            shutil.copy(one, desk / one.name)
        print(n, file=killer.stdin, flush=True)
        ended = int(killer.stdout.readline())
        notebook = Notebook.open(desk / old.name)
        assert notebook.study(1).question == "Which, after all?", n
        notebook.close()
        kept = [p for p in desk.iterdir() if "(format 1" in p.name]
        assert len(kept) == 1 and question(kept[0]) == "Which, after all?", n
        if ended == 0:
            break
        assert ended == signal.SIGKILL, n
        kills += 1
    killer.stdin.close()
    assert killer.wait(10) == 0 and kills >= 15
    db.close()


def test_a_claim_of_format_6_keeps_what_it_claimed(tmp_path: Path) -> None:
    path = tmp_path / "n.kuffin"
    with closing(Notebook.create(path)) as book:
        study = edits.add_study(book, "Which block?", "block", ["Tern", "Plover"])
        a, b = (c.id for c in book.study(study).live_candidates)
        planedits.add_claim(book, study, a, b, Claimed(low=2.5), "Oxbow Works")
    db = sqlite3.connect(path)
    db.execute("ALTER TABLE claim RENAME COLUMN amount TO at_least_k")
    for table, column in (
        ("claim", "high"),
        ("claim", "way"),
        ("claim", "percent"),
        ("claim", "outcome"),
        ("channel", "resolution"),
    ):
        db.execute(f"ALTER TABLE {table} DROP COLUMN {column}")
    db.execute("PRAGMA user_version = 6")
    db.commit()
    db.close()
    with closing(Notebook.open(path)) as book:
        (claim,) = book.study(study).live_claims
        assert (claim.way, claim.amount, claim.high, claim.percent, claim.outcome) == ("at least", 2.5, None, False, "")
        assert (claim.candidate_id, claim.against_id, claim.said_by) == (a, b, "Oxbow Works")
