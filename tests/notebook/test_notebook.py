"""The notebook: kept at once, undone and redone, binned, copied; and what happens to odd files."""

from __future__ import annotations

import os
import sqlite3
import subprocess
import sys
from pathlib import Path

import numpy as np
import pytest

from kuffin.core.base.errors import NotebookError
from kuffin.logs.table import LogChannel, LogTable
from kuffin.notebook import answering, channels, edits
from kuffin.notebook import bin as bin_
from kuffin.notebook.entities import APPLICATION_ID, SCHEMA_VERSION, Mount, Study
from kuffin.notebook.samples import ROWS_A_CHUNK, read_run
from kuffin.notebook.store import Notebook


def log(name: str = "sedge_round1.csv", rows: int = 30, seed: int = 1) -> LogTable:
    rng = np.random.default_rng(seed)
    channels = [
        LogChannel(
            name="Die",
            unit="degC",
            quantity="temperature",
            role="die",
            values=rng.normal(60, 1, rows),
            written_unit="°C",
        ),
        LogChannel(
            name="Coolant",
            unit="degC",
            quantity="temperature",
            role="coolant",
            values=rng.normal(30, 1, rows),
            written_unit="°C",
        ),
    ]
    channels[0].values[3] = np.nan
    return LogTable(
        file=name,
        encoding="utf-8",
        delimiter=",",
        decimal=".",
        times=np.arange(rows) * 2.0,
        start="2026-03-03T13:00:00",
        channels=channels,
        dropped_rows=0,
    )


@pytest.fixture
def study(notebook: Notebook) -> int:
    return edits.add_study(notebook, "Which radiator?", "radiator", ["Sedge", "Reed"])


def crossing(notebook: Notebook, study: int) -> list[tuple[str, int, str | None]]:
    return [(c.name, m.round, m.left_out) for c in notebook.study(study).live_candidates for m in c.live_mounts]


def test_samples_come_back_to_the_bit_over_several_chunks(notebook: Notebook, study: int) -> None:
    table = log(rows=ROWS_A_CHUNK * 2 + 17)
    run = edits.add_log(notebook, study, "Sedge", table)
    data = read_run(notebook, run)
    assert np.array_equal(data.times, table.times)
    for channel in table.channels:
        assert np.array_equal(data.values[channel.name], channel.values, equal_nan=True)
    assert data.roles == {"die": "Die", "coolant": "Coolant"}


def test_everything_is_there_after_closing_and_opening(tmp_path: Path) -> None:
    path = tmp_path / "bench.kuffin"
    book = Notebook.create(path)
    study = edits.add_study(book, "Which?", "block", ["Tern", "Plover"], 0.7)
    edits.add_log(book, study, "Tern", log())
    edits.leave_out(book, crossing_mounts(book, study)[0], "Tern", "paste too thick")
    book.close()
    assert [p.name for p in tmp_path.iterdir()] == ["bench.kuffin"]
    again = Notebook.open(path)
    found = again.study(study)
    assert (found.question, found.margin_k, found.under_test) == ("Which?", 0.7, "block")
    assert crossing(again, study) == [("Tern", 1, "paste too thick")]
    again.close()
    head = path.read_bytes()[:100]
    assert head.startswith(b"SQLite format 3\x00")
    assert int.from_bytes(head[68:72], "big") == APPLICATION_ID


def crossing_mounts(notebook: Notebook, study: int) -> list[int]:
    return [m.id for c in notebook.study(study).live_candidates for m in c.live_mounts]


def test_each_log_goes_to_the_next_free_round_and_a_new_candidate_is_made(notebook: Notebook, study: int) -> None:
    for i, (name, given) in enumerate((("Sedge", None), ("sedge", None), ("Reed", 3), ("Bulrush", None))):
        edits.add_log(notebook, study, name, log(seed=i), round_number=given)
    assert crossing(notebook, study) == [
        ("Sedge", 1, None),
        ("Sedge", 2, None),
        ("Reed", 3, None),
        ("Bulrush", 1, None),
    ]
    with pytest.raises(NotebookError, match="which candidate"):
        edits.add_log(notebook, study, " ", log())


def test_many_logs_are_one_edit_and_a_log_can_join_a_mount(notebook: Notebook, study: int) -> None:
    runs = [edits.NewRun(name, log(seed=i)) for i, name in enumerate(("Sedge", "Sedge", "Reed"))]
    ids = edits.add_logs(notebook, study, runs)
    assert crossing(notebook, study) == [("Sedge", 1, None), ("Sedge", 2, None), ("Reed", 1, None)]
    mount = crossing_mounts(notebook, study)[0]
    edits.add_logs(notebook, study, [edits.NewRun("", log(seed=9), mount_id=mount)])
    first = notebook.study(study).candidates[0].mounts[0]
    assert next(r.id for r in first.live_runs) == ids[0]
    assert len(first.live_runs) == 2
    notebook.undo()
    assert notebook.undo_label == "add 3 logs"
    notebook.undo()
    assert crossing(notebook, study) == []
    assert read_run(notebook, ids[2]).times.size == 30


def test_every_edit_can_be_undone_and_redone_to_the_end(notebook: Notebook, study: int) -> None:
    edits.add_log(notebook, study, "Sedge", log())
    mount = crossing_mounts(notebook, study)[0]
    run = notebook.study(study).candidates[0].mounts[0].runs[0].id
    edits.set_window(notebook, run, (10.0, 40.0))
    edits.set_window(notebook, run, (12.0, 44.0))
    edits.leave_out(notebook, mount, "Sedge, round 1", "air")
    edits.change_study(notebook, study, "change the margin", margin_k=0.4)
    channels.set_roles(notebook, run, {"Coolant": "coolant_out"})
    answering.accept(notebook, mount, "Sedge, round 1", ["flow off", "contact"], "it is fine")
    answering.remount(notebook, mount, "Sedge, round 1", "once more")
    edits.to_bin(notebook, Mount, mount, "Sedge, round 1")

    def state() -> object:
        found = notebook.study(study)
        return (
            found.margin_k,
            found.binned_at,
            [
                (
                    m.round,
                    m.binned_at is None,
                    m.left_out,
                    m.kept_because,
                    [
                        (r.binned_at, [(w.begin_s, w.end_s) for w in r.windows], [c.role for c in r.channels])
                        for r in m.runs
                    ],
                )
                for m in found.candidates[0].mounts
            ],
        )

    states, labels = [state()], []
    while (label := notebook.undo()) is not None:
        labels.append(label)
        states.append(state())
    assert labels[0] == "put Sedge, round 1 into the bin"
    assert labels[-1] == "start a study"
    assert notebook.studies() == []
    for expected in reversed(states[:-1]):
        assert notebook.redo() is not None
        assert state() == expected
    assert notebook.redo() is None
    assert read_run(notebook, run).times.size == 30


def test_a_new_edit_ends_what_could_be_redone(notebook: Notebook, study: int) -> None:
    edits.change_study(notebook, study, "one", margin_k=0.3)
    notebook.undo()
    assert notebook.redo_label == "one"
    edits.change_study(notebook, study, "two", margin_k=0.9)
    assert (notebook.redo_label, notebook.undo_label) == (None, "two")


def test_an_edit_that_fails_leaves_nothing_behind(notebook: Notebook, study: int) -> None:
    with pytest.raises(RuntimeError), notebook.edit("half done") as session:
        session.get_one(Study, study).margin_k = 9.0
        session.flush()
        raise RuntimeError
    assert notebook.study(study).margin_k == 1.0
    assert notebook.undo_label == "start a study"


def test_listeners_hear_of_every_edit(notebook: Notebook, study: int) -> None:
    heard: list[int] = []
    notebook.listeners.append(lambda: heard.append(1))
    edits.change_study(notebook, study, "margin", margin_k=0.3)
    notebook.undo()
    assert len(heard) == 2


def test_the_bin_gives_back_and_can_be_emptied(notebook: Notebook, study: int) -> None:
    edits.add_log(notebook, study, "Sedge", log(rows=20_000))
    edits.add_log(notebook, study, "Reed", log())
    mount = crossing_mounts(notebook, study)[0]
    edits.to_bin(notebook, Mount, mount, "Sedge, round 1")
    assert [i.label for i in bin_.contents(notebook)] == ["Sedge, round 1"]
    bin_.restore(notebook, bin_.contents(notebook)[0])
    assert len(crossing(notebook, study)) == 2
    edits.to_bin(notebook, Mount, mount, "Sedge, round 1")
    bin_.empty(notebook)
    assert bin_.contents(notebook) == []
    assert notebook.undo_label is None
    notebook.close()
    assert notebook.path.stat().st_size < 20_000 * 3 * 8  # the samples are gone from the file


def test_roles_are_remembered_for_logs_of_the_same_shape(notebook: Notebook, study: int) -> None:
    table = log()
    assert channels.remembered(notebook, table.shape_key) is None
    edits.add_log(notebook, study, "Sedge", table, {"Die": "hot_spot", "Coolant": None})
    assert channels.remembered(notebook, table.shape_key) == channels.Remembered(
        {"Die": "hot_spot", "Coolant": None}, {}
    )
    run = notebook.study(study).candidates[0].mounts[0].runs[0]
    assert [c.role for c in run.channels] == ["hot_spot", None]


@pytest.mark.parametrize(
    ("question", "names", "says"), [("  ", ["A"], "begins with a question"), ("Q?", ["A", "a"], "same name")]
)
def test_a_study_needs_a_question_and_names_of_their_own(
    notebook: Notebook, question: str, names: list[str], says: str
) -> None:
    with pytest.raises(NotebookError, match=says):
        edits.add_study(notebook, question, "block", names)


def test_leaving_out_and_keeping_need_a_reason(notebook: Notebook, study: int) -> None:
    edits.add_log(notebook, study, "Sedge", log())
    mount = crossing_mounts(notebook, study)[0]
    for act, more in ((edits.leave_out, ()), (answering.accept, (["flow off"],)), (answering.remount, ())):
        with pytest.raises(NotebookError, match="reason"):
            act(notebook, mount, "Sedge", *more, "  ")
    edits.leave_out(notebook, mount, "Sedge", "air")
    edits.take_back_in(notebook, mount, "Sedge")
    assert crossing(notebook, study) == [("Sedge", 1, None)]


def test_a_copy_is_whole_and_the_notebook_is_never_written_over(notebook: Notebook, study: int, tmp_path: Path) -> None:
    run = edits.add_log(notebook, study, "Sedge", log())
    notebook.save_copy(tmp_path / "copy.kuffin")
    with pytest.raises(NotebookError, match="notebook itself"):
        notebook.save_copy(notebook.path)
    with pytest.raises(NotebookError, match="could not be written"):
        notebook.save_copy(tmp_path / "no such folder" / "copy.kuffin")
    with pytest.raises(NotebookError, match="already"):
        Notebook.create(notebook.path)
    copy = Notebook.open(tmp_path / "copy.kuffin")
    assert read_run(copy, run).times.size == 30
    copy.close()


def test_a_notebook_is_open_in_one_window_only(notebook: Notebook) -> None:
    with pytest.raises(NotebookError, match="open in another Kuffin window"):
        Notebook.open(notebook.path)


def test_what_is_no_notebook_is_refused_in_a_sentence(tmp_path: Path) -> None:
    empty, words, other = tmp_path / "empty.kuffin", tmp_path / "words.kuffin", tmp_path / "other.kuffin"
    empty.touch()
    words.write_text("not a notebook at all, but long enough to look at " * 4)
    connection = sqlite3.connect(other)
    connection.execute("CREATE TABLE t (x)")
    connection.close()
    for path, says in (
        (tmp_path / "none.kuffin", "no such notebook"),
        (empty, "empty"),
        (words, "no Kuffin notebook"),
        (other, "another program"),
    ):
        with pytest.raises(NotebookError, match=says):
            Notebook.open(path)


def test_a_newer_notebook_is_refused_and_left_as_it_is(notebook: Notebook) -> None:
    notebook.close()
    connection = sqlite3.connect(notebook.path)
    connection.execute(f"PRAGMA user_version = {SCHEMA_VERSION + 1}")
    connection.close()
    before = notebook.path.read_bytes()
    with pytest.raises(NotebookError, match="newer Kuffin"):
        Notebook.open(notebook.path)
    assert notebook.path.read_bytes() == before


def test_a_damaged_notebook_is_refused(notebook: Notebook, study: int) -> None:
    edits.add_log(notebook, study, "Sedge", log(rows=5000))
    notebook.close()
    raw = bytearray(notebook.path.read_bytes())
    raw[4096:9000] = os.urandom(4904)
    notebook.path.write_bytes(raw)
    with pytest.raises(NotebookError, match="damaged"):
        Notebook.open(notebook.path)
    notebook.path.write_bytes(bytes(raw[:6000]))
    with pytest.raises(NotebookError, match="damaged"):
        Notebook.open(notebook.path)


def test_a_read_only_notebook_shows_and_refuses_edits(
    notebook: Notebook, study: int, monkeypatch: pytest.MonkeyPatch
) -> None:
    edits.add_log(notebook, study, "Sedge", log())
    notebook.close()
    monkeypatch.setattr(os, "access", lambda path, mode: mode != os.W_OK)
    book = Notebook.open(notebook.path)
    assert book.read_only
    assert crossing(book, study) == [("Sedge", 1, None)]
    with pytest.raises(NotebookError, match="read-only"):
        edits.change_study(book, study, "margin", margin_k=0.1)
    with pytest.raises(NotebookError, match="read-only"):
        book.undo()
    book.close()


def test_a_full_disk_keeps_what_was_there(notebook: Notebook, study: int) -> None:
    edits.add_log(notebook, study, "Sedge", log())
    with notebook.session() as session:
        pages = session.connection().exec_driver_sql("PRAGMA page_count").scalar()
        session.connection().exec_driver_sql(f"PRAGMA max_page_count = {pages + 2}")
    with pytest.raises(NotebookError, match="disk is full"):
        edits.add_log(notebook, study, "Reed", log(rows=200_000))
    assert crossing(notebook, study) == [("Sedge", 1, None)]


def test_a_killed_process_leaves_everything_that_was_kept(tmp_path: Path) -> None:
    path = tmp_path / "killed.kuffin"
    program = (
        "import os, sys; from kuffin.notebook.store import Notebook; from kuffin.notebook import edits;"
        "book = Notebook.create(sys.argv[1]); edits.add_study(book, 'Which?', 'block', ['Tern', 'Plover']);"
        "os.kill(os.getpid(), 9)"
    )
    done = subprocess.run([sys.executable, "-c", program, str(path)], check=False)
    assert done.returncode == -9
    book = Notebook.open(path)
    assert [c.name for c in book.study(book.studies()[0].id).candidates] == ["Tern", "Plover"]
    assert book.undo() == "start a study"
    book.close()
