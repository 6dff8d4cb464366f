"""Were tests run alike? What their logs are said to be run with is watched by Fair?, and stands with the condition."""

from __future__ import annotations

from contextlib import closing

import pytest
from benchmarks.devices import drawn_loop

from kuffin.core.bench.protocol import Step
from kuffin.notebook import edits, planedits, shelf
from kuffin.notebook.edits import NewRun, ToldCondition
from kuffin.notebook.entities import Run
from kuffin.notebook.store import Notebook
from kuffin.reading.configurations import told_of_tests
from kuffin.verdict.fairness import unfair
from kuffin.verdict.study import StudyVerdict, judge


@pytest.fixture(scope="module")
def judged(tmp_path_factory: pytest.TempPathFactory) -> object:
    """Two blocks, two tests of a mount each: the driver differs under “stock”, the limit only under “open”."""
    with closing(Notebook.create(tmp_path_factory.mktemp("alike") / "n.kuffin")) as book:
        study = edits.add_study(book, "Which block keeps the card cooler?", "block", ["Tern", "Plover"])
        bench = shelf.add_bench(book, "booth")
        shelf.set_cooled(book, bench, drawn_loop(1000)[2])
        edits.change_study(book, study, "set up", bench_id=bench)
        told = {
            ("Tern", "stock"): {"driver": "12.4"},
            ("Plover", "stock"): {"driver": "12.5"},
            ("Tern", "open"): {"driver": "12.4", "power_limit_w": 300.0},
            ("Plover", "open"): {"driver": "12.4", "power_limit_w": 300.0},
        }
        runs = [
            NewRun(
                candidate=name,
                table=drawn_loop(1000 + i)[0],
                round=1,
                condition=condition,
                settings=settings,
                together=True,
            )
            for i, ((name, condition), settings) in enumerate(told.items())
        ]
        edits.add_logs(book, study, runs)
        yield book, study


def differing(book: Notebook, study: int, verdict: StudyVerdict) -> dict[str, object]:
    return {d.key: dict(d.groups) for d in unfair(book.study(study), None, (), verdict.evidence)}


def test_fair_watches_what_the_verdicts_tests_were_run_with(judged: tuple[Notebook, int]) -> None:
    book, study = judged
    verdict = judge(book, book.study(study))
    assert verdict.condition == "stock"
    assert differing(book, study, verdict)["tested driver"] == {"12.4": ("Tern",), "12.5": ("Plover",)}
    planedits.set_plan(book, study, "about open", condition="open")
    verdict = judge(book, book.study(study))
    assert [k for k in differing(book, study, verdict) if k.startswith("tested")] == ["tested driver under stock"]
    condition = next(c for c in verdict.conditions if c.name == "open")
    assert condition.words == "open: power limit 300 W; driver 12.4" and condition.power_w is None
    assert "driver" not in next(c for c in verdict.conditions if c.name == "stock").settings


def test_logs_of_one_mount_that_are_averaged_and_were_not_run_alike_are_named(judged: tuple[Notebook, int]) -> None:
    book, study = judged
    mount = next(m for c in book.study(study).live_candidates for m in c.live_mounts if c.name == "Tern")
    stock, opened = mount.live_runs
    edits.one_mount(
        book, mount.id, {opened.id: ToldCondition("Stock", {"driver": "13"}), stock.id: ToldCondition("stock")}
    )
    found = differing(book, study, judge(book, book.study(study)))
    assert set(found[f"tests of {mount.id}"]) == {"driver 13", "nothing said"}
    book.undo()
    with book.session() as session:
        assert session.get_one(Run, opened.id).settings == {"driver": "12.4", "power_limit_w": 300.0}
    assert f"tests of {mount.id}" not in differing(book, study, judge(book, book.study(study)))


def test_a_recording_takes_what_the_bench_is_told_to_be_run_with(judged: tuple[Notebook, int]) -> None:
    book, number = judged
    study = book.study(number)
    bench = shelf.bench_of(book, study.bench_id)
    assert bench is not None
    shelf.change_bench(
        book, bench.id, "set", settings={"driver": "12.6", "pump_percent": 60.0, "orientation": "hanging"}
    )
    bench = shelf.bench_of(book, study.bench_id)
    assert told_of_tests(study, "Tern", bench, (), ()) == {"driver": "12.6", "pump_percent": 60.0}
    assert told_of_tests(study, "Tern", bench, (), (Step(name="load", load="x", pump_percent=40.0),)) == {
        "driver": "12.6"
    }
