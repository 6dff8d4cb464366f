"""The demo that ships is the one that a fresh build makes: same runs, same readings, nothing left to work out."""

from __future__ import annotations

from contextlib import closing
from pathlib import Path

import numpy as np
import pytest
from sqlalchemy import select

from kuffin.demo.scenario import build_demo
from kuffin.notebook.entities import Part, Reading, Run
from kuffin.notebook.samples import read_run
from kuffin.notebook.store import Notebook
from kuffin.reading.judgingrules import ways_of
from kuffin.reading.keptresults import made_from, run_result
from kuffin.reading.runresult import from_json, to_json
from kuffin.verdict.evidence import mounts_of


@pytest.fixture(scope="module")
def fresh(tmp_path_factory: pytest.TempPathFactory) -> Path:
    path = tmp_path_factory.mktemp("fresh") / "fresh.kuffin"
    build_demo(path, judged=False)
    return path


def test_a_fresh_build_is_the_same(demo_notebook: Notebook, fresh: Path) -> None:
    """Pack it anew with tools/pack_demo.py where this fails."""
    with closing(Notebook.open(fresh)) as other:
        with demo_notebook.session() as mine, other.session() as theirs:
            parts = [
                [(p.kind, p.name, p.fields) for p in s.scalars(select(Part).order_by(Part.id))] for s in (mine, theirs)
            ]
            assert parts[0] == parts[1]
            runs = [
                [(r.id, r.source, r.started_at, r.rows) for r in s.scalars(select(Run).order_by(Run.id))]
                for s in (mine, theirs)
            ]
            assert runs[0] == runs[1]
        for run_id, *_ in runs[0]:
            a, b = read_run(demo_notebook, run_id), read_run(other, run_id)
            assert list(a.values) == list(b.values)
            for name in a.values:
                # readings are rounded as their sensors tell them: at the edge one may fall otherwise on another machine
                apart = ~np.isclose(a.values[name], b.values[name], rtol=0, atol=1e-9, equal_nan=True)
                assert apart.mean() < 1e-3, (run_id, name)


@pytest.mark.parametrize("name", ["Radiators, spring", "Card blocks, spring"])
def test_a_kept_reading_is_what_a_run_gives(demo_notebook: Notebook, fresh: Path, name: str) -> None:
    """The last run of a study, worked out anew; the others came about in the same way."""
    with closing(Notebook.open(fresh)) as other:
        both = []
        for book in (demo_notebook, other):
            study = book.study(next(s.id for s in book.studies() if s.name == name))
            _, mount = mounts_of(study)[-1]
            both.append(to_json(run_result(book, study, mount.live_runs[-1])))
        assert_alike(*both)


def assert_alike(a: object, b: object, at: str = "") -> None:
    """The same, figures to what a reading that was rounded otherwise makes of them."""
    if isinstance(a, dict) and isinstance(b, dict):
        assert set(a) == set(b), at
        for key in a:
            assert_alike(a[key], b[key], f"{at}.{key}")
    elif isinstance(a, list | tuple) and isinstance(b, list | tuple):
        assert len(a) == len(b), at
        for i, pair in enumerate(zip(a, b, strict=True)):
            assert_alike(*pair, f"{at}.{i}")
    else:
        assert a == (pytest.approx(b, rel=1e-3, abs=1e-3, nan_ok=True) if isinstance(b, float) else b), at


def test_its_readings_are_there_and_of_this_method(demo_notebook: Notebook) -> None:
    for listed in demo_notebook.studies():
        study = demo_notebook.study(listed.id)
        ways = ways_of(demo_notebook, study)
        for c in study.live_candidates:
            for m in c.live_mounts:
                for run in m.live_runs:
                    key = made_from(study, run, ways, ways.of(study, c))
                    with demo_notebook.session() as session:
                        kept = session.scalars(
                            select(Reading).where(Reading.run_id == run.id, Reading.made_from == key)
                        )
                        assert from_json(kept.one().values).findings is not None
