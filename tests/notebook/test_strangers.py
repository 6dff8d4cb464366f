"""Strangers' notebooks: opened with what is sound of them, or refused in a sentence; never a fault, never without an end."""

from __future__ import annotations

import json
import os
import sqlite3
import subprocess
import sys
import time
from pathlib import Path

import pytest

from kuffin.core.base.errors import KuffinError, NotebookError
from kuffin.notebook import bin as bin_
from kuffin.notebook.mending import look_over, reading
from kuffin.notebook.preparationedits import sheets_of
from kuffin.notebook.shelf import bench_of, parts
from kuffin.notebook.store import Notebook
from kuffin.publish.tables import as_json
from kuffin.reading.configurations import built_in
from kuffin.said.line import verdict_line
from kuffin.said.preparation import preparation_of
from kuffin.verdict.study import judge
from tests.hostile import SCHEMA, make, small

ROOT = Path(__file__).parents[2]


@pytest.fixture(scope="session")
def small_master(demo_master: Path, tmp_path_factory: pytest.TempPathFactory) -> Path:
    path = tmp_path_factory.mktemp("small") / "small.kuffin"
    small(demo_master, path)
    return path


def used(path: Path) -> str:
    """Open a notebook and do with it what does not need a window; what was said of it."""
    notebook = Notebook.open(path)
    try:
        for study in notebook.studies():
            found = notebook.study(study.id)
            verdict = judge(notebook, found)
            assert verdict_line(verdict).sentence
            assert json.loads(as_json(verdict))
            bench, shelf = bench_of(notebook, found.bench_id), parts(notebook)
            for candidate in found.live_candidates:
                for mount in candidate.live_mounts:
                    preparation_of(notebook, mount)
                    built_in(found, mount, bench, shelf)
                    sheets_of(notebook, [mount.id], "leak")
        bin_.contents(notebook)
        for _ in range(3):
            notebook.undo()
        return "; ".join(notebook.damaged)
    finally:
        notebook.close()


def test_the_demo_and_a_new_notebook_are_found_sound(demo: Path, small_master: Path, tmp_path: Path) -> None:
    Notebook.create(tmp_path / "new.kuffin").close()
    for path in (demo, small_master, tmp_path / "new.kuffin"):
        assert look_over(reading(path)).said == []
        before = path.read_bytes()
        notebook = Notebook.open(path)
        assert notebook.damaged == []
        notebook.close()
        assert path.read_bytes() == before


@pytest.mark.parametrize("block", range(5))
def test_hostile_notebooks_are_used_or_refused(block: int, small_master: Path, tmp_path: Path) -> None:
    for seed in range(10 * block, 10 * block + 10):
        path = tmp_path / f"{seed}.kuffin"
        done = make(seed, small_master, path)
        begun = time.monotonic()
        try:
            used(path)
            again = look_over(reading(path)).said  # what was mended is sound
            assert again == [], (seed, done)
        except KuffinError as error:
            assert 10 < len(str(error)) < 1500, (seed, done)
        except Exception as error:
            raise AssertionError(f"seed {seed}: {done}: {error!r}") from error
        assert time.monotonic() - begun < 20, (seed, done)


@pytest.mark.parametrize("sql", [s for s in SCHEMA if not s.startswith("PRAGMA")])
def test_another_structure_is_refused(sql: str, small_master: Path, tmp_path: Path) -> None:
    path = tmp_path / "odd.kuffin"
    path.write_bytes(small_master.read_bytes())
    db = sqlite3.connect(path)
    db.execute(sql)
    db.commit()
    db.close()
    before = path.read_bytes()
    with pytest.raises(NotebookError, match="no notebook as Kuffin writes it"):
        Notebook.open(path)
    assert path.read_bytes() == before


def test_what_is_damaged_is_named_and_the_file_is_kept(small_master: Path, tmp_path: Path) -> None:
    path = tmp_path / "bench.kuffin"
    path.write_bytes(small_master.read_bytes())
    db = sqlite3.connect(path)
    db.execute("UPDATE study SET confidence = 7, question = CAST(x'ff00fe' AS TEXT), under_test = 'boiler'")
    db.execute("UPDATE mount SET round = 1000000000 WHERE id = (SELECT min(id) FROM mount)")
    db.execute("UPDATE chunk SET columns = columns + 1 WHERE id = (SELECT min(id) FROM chunk)")
    db.execute("UPDATE candidate SET name = 'same'")
    db.execute("UPDATE reading SET \"values\" = '[]'")
    db.commit()
    db.close()
    before = path.read_bytes()
    said = used(path)
    for words in (
        "its confidence is out of all bounds",
        "its question is no text",
        "“boiler”, which this Kuffin does not know",
        "its round is out of all bounds",
        "1 blocks of samples have not the size they say",
        "it is called “same (2)”",
    ):
        assert words in said, (words, said)
    kept = tmp_path / "bench (damaged).kuffin"
    assert kept.read_bytes()[100:] == before[100:]  # but for its head, which says how it is written
    assert used(path) == ""


def test_numbers_in_what_is_kept_as_json_are_held_to_their_fields(small_master: Path, tmp_path: Path) -> None:
    path = tmp_path / "odd.kuffin"
    path.write_bytes(small_master.read_bytes())
    db = sqlite3.connect(path)
    db.execute("UPDATE place SET settings = json('{\"length_mm\": -1}') WHERE id = 1")
    db.execute("UPDATE part SET fields = json_set(fields, '$.volume_ml', -5) WHERE kind = 'radiator'")
    db.execute("UPDATE bench SET settings = json_set(settings, '$.pump_percent', 4e9, '$.wall_efficiency_percent', 0)")
    db.execute("UPDATE protocol SET steps = json_set(steps, '$[0].ask', json('true')) WHERE id = 1")
    db.commit()
    db.close()
    said = used(path)
    assert "protocol" in said and "steps" in said
    for key in ("length_mm", "volume_ml", "pump_percent", "wall_efficiency_percent"):
        assert key in said or key.replace("_", " ") in said, said


def test_a_damaged_notebook_that_is_read_only_is_said_to_be(
    small_master: Path, tmp_path: Path, monkeypatch: pytest.MonkeyPatch
) -> None:
    path = tmp_path / "bench.kuffin"
    path.write_bytes(small_master.read_bytes())
    db = sqlite3.connect(path)
    db.execute("UPDATE study SET confidence = 7")
    db.commit()
    db.close()
    monkeypatch.setattr(os, "access", lambda path, mode: mode != os.W_OK)
    with pytest.raises(NotebookError, match="read-only; copy it"):
        Notebook.open(path)


def test_a_notebook_that_may_not_be_read_is_said_in_a_sentence(
    small_master: Path, tmp_path: Path, monkeypatch: pytest.MonkeyPatch
) -> None:
    def no(*_: object, **__: object) -> None:
        raise PermissionError(13, "Permission denied")

    path = tmp_path / "bench.kuffin"
    path.write_bytes(small_master.read_bytes())
    monkeypatch.setattr(Path, "open", no)
    with pytest.raises(NotebookError, match="cannot be read"):
        Notebook.open(path)


def test_a_window_goes_through_hostile_notebooks(small_master: Path, tmp_path: Path) -> None:
    """Some here, a thousand in the benchmark."""
    done = subprocess.run(
        [sys.executable, "-m", "tests.hostile_window", str(small_master), str(tmp_path), "500", "3"],
        cwd=ROOT,
        env={**os.environ, "QT_QPA_PLATFORM": "offscreen"},
        capture_output=True,
        text=True,
        timeout=240,
        check=False,
    )
    told = [json.loads(line) for line in done.stdout.splitlines()]
    assert done.returncode == 0, (told[-1], done.stderr[-2000:])
    ended = [t for t in told if "longest_s" in t]
    assert len(ended) == 3 and any(t["opened"] for t in ended)
    assert [t for t in ended if t["faults"]] == []
    assert ended[-1]["memory_mb"] < 1000
