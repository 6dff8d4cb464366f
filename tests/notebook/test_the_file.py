"""The file under an open notebook: odd names, links, moves, replacements, deletion, a full disk; nothing is lost, nothing mixes."""

from __future__ import annotations

import os
import shutil
import sqlite3
import subprocess
import sys
from collections.abc import Callable, Iterator
from pathlib import Path

import numpy as np
import pytest

from kuffin.core.base.errors import NotebookError
from kuffin.core.base.wholefile import write_whole
from kuffin.notebook import bin as bin_
from kuffin.notebook import edits
from kuffin.notebook.entities import Mount, Run
from kuffin.notebook.runwriter import ChannelRow, NewMark, RunWriter, close_run
from kuffin.notebook.samples import read_run
from kuffin.notebook.store import Notebook
from tests.notebook.test_notebook import log

ODD = ["#1", "which?", "100%", "a%20b", "?mode=memory", "x&mode=ro", "semi;colon", "it's “so”", "-rf", "new\nline"]


def rows(notebook: Notebook, study: int) -> list[int]:
    return [r.rows for c in notebook.study(study).live_candidates for m in c.live_mounts for r in m.live_runs]


def study_of(path: Path) -> list[int]:
    book = Notebook.open(path)
    try:
        return rows(book, book.studies()[0].id)
    finally:
        book.close()


@pytest.fixture
def open_one(tmp_path: Path) -> Iterator[tuple[Notebook, int]]:
    (tmp_path / "desk").mkdir()
    book = Notebook.create(tmp_path / "desk" / "bench.kuffin")
    study = edits.add_study(book, "Which?", "block", ["Tern", "Plover"])
    edits.add_log(book, study, "Tern", log(rows=30))
    yield book, study
    book.close()


@pytest.mark.parametrize("odd", ODD)
def test_any_name_a_file_can_have_is_only_its_name(odd: str, tmp_path: Path) -> None:
    folder = tmp_path / odd
    folder.mkdir()
    path = folder / f"{odd}.kuffin"
    book = Notebook.create(path)
    study = edits.add_study(book, "Which?", "block", ["Tern", "Plover"])
    edits.add_log(book, study, "Tern", log(rows=30))
    book.save_copy(folder / f"copy {odd}.kuffin")
    write_whole(folder / f"{odd}.csv", "x")
    path.rename(folder / f"{odd} moved.kuffin")
    edits.add_log(book, study, "Plover", log(rows=31, seed=2))
    book.close()
    assert study_of(folder / f"copy {odd}.kuffin") == [30]
    assert study_of(folder / f"{odd} moved.kuffin") == [30, 31]
    assert sorted(p.name for p in tmp_path.rglob("*") if p.is_file()) == sorted(
        [f"copy {odd}.kuffin", f"{odd} moved.kuffin", f"{odd}.csv"]
    )


def rename(path: Path) -> Path:
    return path.rename(path.with_name("renamed.kuffin"))


def to_another_folder(path: Path) -> Path:
    (path.parent.parent / "other").mkdir()
    return path.rename(path.parent.parent / "other" / path.name)


def with_what_is_beside(path: Path) -> Path:
    (path.parent.parent / "other").mkdir()
    for one in list(path.parent.iterdir()):
        one.rename(path.parent.parent / "other" / one.name)
    return path.parent.parent / "other" / path.name


def folder_renamed(path: Path) -> Path:
    return path.parent.rename(path.parent.parent / "tidied") / path.name


@pytest.mark.parametrize("move", [rename, to_another_folder, with_what_is_beside, folder_renamed])
def test_a_moved_notebook_is_followed(open_one: tuple[Notebook, int], move: Callable[[Path], Path]) -> None:
    book, study = open_one
    writer = RunWriter(
        book, study, "Plover", [ChannelRow("Die", "°C", "temperature", "die")], "bench", "2026-05-04T12:00:00"
    )
    writer.begin()
    block = read_run(book, 1)
    rows_there = [[t, v] for t, v in zip(block.times, block.values["Die"], strict=True)]
    writer.add(np.array(rows_there[:10]))
    there = move(book.path)
    writer.add(np.array(rows_there[10:14]))
    edits.add_log(book, study, "Tern", log(rows=40, seed=3))
    writer.mark(NewMark(at_s=1.0, kind="mark", text="after the move"))
    writer.end(tell=False)
    assert book.path == there and len(book.news) == 1 and str(there) in book.news[0]
    assert sorted(rows(book, study)) == [14, 30, 40]
    assert book.undo() == "add tern_round1.csv to Tern" or book.undo_label
    with pytest.raises(NotebookError, match="open in another"):
        Notebook.open(there)
    book.redo()
    book.close()
    assert sorted(study_of(there)) == [14, 30, 40]
    assert [p.name for p in there.parent.iterdir()] == [there.name]  # nothing is left beside it


@pytest.mark.parametrize(
    "how", ["deleted", "folder deleted", "replaced", "replaced with its wal", "moved and replaced"]
)
def test_a_deleted_or_replaced_notebook_is_rescued_and_nothing_mixes(
    open_one: tuple[Notebook, int], how: str, tmp_path: Path, monkeypatch: pytest.MonkeyPatch
) -> None:
    book, study = open_one
    path = book.path
    monkeypatch.setattr("kuffin.notebook.rescue.elsewhere", lambda: [tmp_path])
    other = tmp_path / "other.kuffin"
    foreign = Notebook.create(other)
    theirs = edits.add_study(foreign, "Theirs?", "block", ["Heron"])
    edits.add_log(foreign, theirs, "Heron", log(rows=77, seed=9))
    wal = other.with_name("other.kuffin-wal")
    before = wal.read_bytes()
    assert before
    if how == "deleted":
        path.unlink()
    elif how == "folder deleted":
        shutil.rmtree(path.parent)
    else:
        if how == "moved and replaced":
            path.rename(path.with_name("aside.kuffin"))
        if how == "replaced with its wal":  # as a sync service brings both, of a Kuffin that runs elsewhere
            shutil.copy(other, tmp_path / "new")
            shutil.copy(wal, tmp_path / "new-wal")
            (tmp_path / "new-wal").replace(path.with_name("bench.kuffin-wal"))
        else:
            foreign.close()
            shutil.copy(other, tmp_path / "new")
        (tmp_path / "new").replace(path)
    edits.add_log(book, study, "Plover", log(rows=31, seed=2))
    edits.add_log(book, study, "Plover", log(rows=32, seed=3))
    assert book.path != path and len(book.news) == 1
    assert sorted(rows(book, study)) == [30, 31, 32]
    mine = book.path
    book.close()
    foreign.close()
    assert sorted(study_of(mine)) == [30, 31, 32]
    if how == "moved and replaced":
        assert mine.name == "aside.kuffin"
    elif how.startswith("replaced"):
        assert "rescued" in mine.name and mine.parent == path.parent and "replaced" in open_one[0].news[0]
    if "replaced" in how:
        assert study_of(path) == [77]
    else:
        assert not path.exists()


def test_where_nothing_can_be_rescued_nothing_is_written_and_it_is_tried_again(
    open_one: tuple[Notebook, int], tmp_path: Path, monkeypatch: pytest.MonkeyPatch
) -> None:
    book, study = open_one
    monkeypatch.setattr("kuffin.notebook.store.rescue_place", lambda _: tmp_path / "no such folder" / "x.kuffin")
    book.path.unlink()
    with pytest.raises(NotebookError, match="could not be kept elsewhere"):
        edits.add_log(book, study, "Plover", log(rows=31, seed=2))
    monkeypatch.undo()
    edits.add_log(book, study, "Plover", log(rows=31, seed=2))
    assert rows(book, study) == [30, 31] and "rescued" in book.path.name


def test_by_no_name_is_a_notebook_opened_twice(open_one: tuple[Notebook, int]) -> None:
    book, _ = open_one
    hard, soft = book.path.with_name("hard.kuffin"), book.path.with_name("soft.kuffin")
    os.link(book.path, hard)
    soft.symlink_to(book.path)
    program = (
        "import sys; from kuffin.notebook.store import Notebook; from kuffin.core.base.errors import KuffinError\n"
        "for p in sys.argv[1:]:\n"
        "    try: Notebook.open(p); print('opened')\n"
        "    except KuffinError as e: print('refused' if 'open in another' in str(e) else e)\n"
    )
    names = [str(p) for p in (hard, soft, book.path)]
    done = subprocess.run([sys.executable, "-c", program, *names], capture_output=True, text=True, check=True)
    assert done.stdout.split() == ["refused"] * 3
    for name in names:
        with pytest.raises(NotebookError, match="open in another"):
            Notebook.open(name)
        with pytest.raises(NotebookError, match="notebook itself"):
            book.save_copy(name)


def test_the_demo_is_not_written_over_one_that_is_open(tmp_path: Path, monkeypatch: pytest.MonkeyPatch) -> None:
    from kuffin.app.acts import notebooks
    from kuffin.demo.shipped import unpack_demo

    monkeypatch.setattr(notebooks, "demo_cache", lambda: tmp_path)
    first = notebooks.not_open("demo")
    unpack_demo(first)
    program = (
        "import sys; from kuffin.notebook.store import Notebook\n"
        "book = Notebook.open(sys.argv[1]); print('open', flush=True); sys.stdin.read()"
    )
    other = subprocess.Popen(
        [sys.executable, "-c", program, str(first)], stdin=subprocess.PIPE, stdout=subprocess.PIPE, text=True
    )
    try:
        assert other.stdout is not None and other.stdout.readline() == "open\n"
        before = first.stat().st_ino
        assert notebooks.not_open("demo").name == "demo-2.kuffin"
        with pytest.raises(NotebookError, match="open in a Kuffin window"):
            unpack_demo(first)
        assert first.stat().st_ino == before
    finally:
        other.communicate("")
    assert notebooks.not_open("demo") == first


def test_a_statement_without_an_end_is_ended(open_one: tuple[Notebook, int], monkeypatch: pytest.MonkeyPatch) -> None:
    monkeypatch.setattr("kuffin.notebook.database._LONGEST_S", 0.2)
    endless = "WITH RECURSIVE c(x) AS (SELECT 1 UNION ALL SELECT x + 1 FROM c) SELECT count(*) FROM c"
    with pytest.raises(NotebookError, match="far too long"), open_one[0].session() as session:
        session.connection().exec_driver_sql(endless)
    assert open_one[0].studies()


def test_what_lies_under_the_old_locks_name_is_left_alone(tmp_path: Path) -> None:
    mine = tmp_path / "letters.txt"
    mine.write_text("dear")
    (tmp_path / ".bench.kuffin.lock").symlink_to(mine)
    (tmp_path / ".other.kuffin.lock").mkdir()
    for name in ("bench.kuffin", "other.kuffin"):
        Notebook.create(tmp_path / name).close()
        Notebook.open(tmp_path / name).close()
    assert mine.read_text() == "dear"


def test_what_cannot_be_opened_is_said(tmp_path: Path) -> None:
    (tmp_path / "folder.kuffin").mkdir()
    os.mkfifo(tmp_path / "pipe.kuffin")
    for name in ("folder.kuffin", "pipe.kuffin"):
        with pytest.raises(NotebookError):
            Notebook.open(tmp_path / name)
        with pytest.raises(NotebookError, match="already"):
            Notebook.create(tmp_path / name)


def test_the_last_edits_beside_a_file_that_cannot_be_written_are_told_of(
    open_one: tuple[Notebook, int], tmp_path: Path, monkeypatch: pytest.MonkeyPatch
) -> None:
    book, _ = open_one
    for ending in ("", "-wal"):
        shutil.copy(book.path.with_name(book.path.name + ending), tmp_path / f"still.kuffin{ending}")

    def no_room(*_: object, **__: object) -> sqlite3.Connection:
        raise sqlite3.OperationalError("unable to open database file")

    monkeypatch.setattr(os, "access", lambda *_: False)
    monkeypatch.setattr("kuffin.notebook.door.connect", no_room)
    with pytest.raises(NotebookError, match=r"last edits are in “still\.kuffin-wal”"):
        Notebook.open(tmp_path / "still.kuffin")


def test_a_recording_is_never_undone_away(open_one: tuple[Notebook, int]) -> None:
    book, study = open_one
    writer = RunWriter(
        book, study, "Plover", [ChannelRow("Die", "°C", "temperature", "die")], "bench", "2026-05-04T12:00:00"
    )
    writer.begin()
    edits.change_study(book, study, "margin", margin_k=0.3)
    with pytest.raises(NotebookError, match="being recorded"):
        bin_.empty(book)
    writer.add(np.array([[0.0, 30.0], [1.0, 31.0]]))
    with pytest.raises(NotebookError, match="being recorded"):
        book.undo()
    with pytest.raises(NotebookError, match="being recorded"):
        bin_.empty(book)
    writer.end(tell=False)
    assert book.undo() == "record a run of Plover"
    assert rows(book, study) == [30]
    edits.change_study(book, study, "margin", margin_k=0.2)  # from here on Redo cannot bring it back
    (item,) = [b for b in bin_.contents(book) if b.kind == "run"]
    bin_.restore(book, item)
    assert rows(book, study) == [30, 2]
    assert read_run(book, writer.run_id or 0).values["Die"].tolist() == [30.0, 31.0]
    book.undo()
    bin_.empty(book)  # now it was asked for
    assert rows(book, study) == [30]


def test_what_is_taken_out_of_the_bin_brings_what_it_belongs_to(open_one: tuple[Notebook, int]) -> None:
    book, study = open_one
    mount = book.study(study).live_candidates[0].live_mounts[0]
    edits.to_bin(book, Run, mount.live_runs[0].id, "a run")
    edits.to_bin(book, Mount, mount.id, "its mount")
    (item,) = [b for b in bin_.contents(book) if b.kind == "run"]
    bin_.restore(book, item)
    assert rows(book, study) == [30]


def test_results_do_without_being_kept_on_a_full_disk(open_one: tuple[Notebook, int]) -> None:
    from kuffin.verdict.study import judge

    book, study = open_one
    with book.session() as session:
        pages = session.connection().exec_driver_sql("PRAGMA page_count").scalar()
        session.connection().exec_driver_sql(f"PRAGMA max_page_count = {pages}")
    assert judge(book, book.study(study)).results
    with pytest.raises(NotebookError, match="full"):
        edits.add_log(book, study, "Tern", log(rows=9000, seed=4))


def test_a_full_disk_leaves_an_old_export_as_it_was(tmp_path: Path) -> None:
    from kuffin.core.base.errors import KuffinError

    target = tmp_path / "verdict.csv"
    target.write_text("old")
    program = (
        "import resource, signal, sys; from kuffin.core.base.wholefile import write_whole\n"
        "signal.signal(signal.SIGXFSZ, signal.SIG_IGN); resource.setrlimit(resource.RLIMIT_FSIZE, (1000, 1000))\n"
        "try: write_whole(sys.argv[1], 'x' * 5000)\n"
        "except Exception as e: print(type(e).__name__, e)\n"
    )
    done = subprocess.run([sys.executable, "-c", program, str(target)], capture_output=True, text=True, check=True)
    assert "KuffinError" in done.stdout and "as it was" in done.stdout
    assert target.read_text() == "old" and [p.name for p in tmp_path.iterdir()] == ["verdict.csv"]
    with pytest.raises(KuffinError, match="is a folder"):
        write_whole(tmp_path, "x")


def test_a_recording_on_a_full_disk_says_so_in_its_own_words(open_one: tuple[Notebook, int]) -> None:
    book, study = open_one
    writer = RunWriter(
        book, study, "Plover", [ChannelRow("Die", "°C", "temperature", "die")], "bench", "2026-05-04T12:00:00"
    )
    writer.begin()
    writer.add(np.array([[0.0, 30.0]]))
    with book.session() as session:
        pages = session.connection().exec_driver_sql("PRAGMA page_count").scalar()
        session.connection().exec_driver_sql(f"PRAGMA max_page_count = {pages}")
    with pytest.raises(NotebookError, match=r"^the disk that bench\.kuffin is on is full$"):
        writer.add(np.zeros((5000, 2)))


def test_a_run_is_closed_once_there_is_room(open_one: tuple[Notebook, int]) -> None:
    book, study = open_one
    writer = RunWriter(
        book, study, "Plover", [ChannelRow("Die", "°C", "temperature", "die")], "bench", "2026-05-04T12:00:00"
    )
    writer.begin()
    for t in range(5):
        writer.add(np.array([[float(t), 30.0]]))
    writer.end(tell=False)
    assert not book.recording
    close_run(book, writer.run_id or 0)
    assert rows(book, study) == [30, 5]
