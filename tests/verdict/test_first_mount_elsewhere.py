"""The notebook's only mount of a study: held against the same device in other studies, else against what is usual in general."""

from __future__ import annotations

from collections.abc import Iterator
from contextlib import closing
from dataclasses import replace
from pathlib import Path

import pytest

from kuffin.core.findings import DOUBT, REMARK, Finding
from kuffin.notebook import edits
from kuffin.notebook.entities import Mount, Run
from kuffin.notebook.shelf import add_bench
from kuffin.notebook.store import Notebook
from kuffin.reading.runresult import RunResult
from kuffin.said.mountcheck import check_mount, siblings
from kuffin.verdict.openfindings import sibling_of
from kuffin.verdict.study import judge
from tests.verdict.test_outcomes import log, made


@pytest.fixture
def book(tmp_path: Path) -> Iterator[Notebook]:
    """Three blocks measured before, on a bench; and a new study of a fourth one, with a single mount to come."""
    with closing(made(tmp_path)) as made_one:
        bench = add_bench(made_one, "booth seven")
        edits.change_study(made_one, 1, "on a bench", bench_id=bench, name="Blocks, winter")
        edits.add_study(made_one, "Is the new one any good?", "block", ["Dunlin", "Ruff"], 1.0)
        edits.change_study(made_one, 2, "on a bench", bench_id=bench)
        yield made_one


def first(book: Notebook, more_k_w: float) -> None:
    """One mount of Dunlin: Plover's own log, its die so much warmer over the coolant."""
    table = log("Plover", 9)
    by = {c.name: c.values for c in table.channels}
    warm = by["Die"] + more_k_w * by["Power"]
    channels = [replace(c, values=warm) if c.name == "Die" else c for c in table.channels]
    edits.add_logs(book, 2, [edits.NewRun("Dunlin", replace(table, channels=channels), round=1)])


def doubts(book: Notebook) -> list[Finding]:
    v = judge(book, book.study(2))
    return [f for found in v.findings.values() for f in found if f.kind == "first mount"]


def test_a_sound_one_is_left_alone_and_bad_contact_is_found_by_the_other_study(book: Notebook) -> None:
    first(book, 0.0)
    assert doubts(book) == []
    book.undo()
    first(book, 0.2)  # 40 K at 200 W
    (found,) = doubts(book)
    assert found.weight == DOUBT and "with the notebook’s other studies of this device (3 candidates)" in found.seen
    assert {n for n, _ in found.others} == {f"{n} in “Blocks, winter”" for n in ("Tern", "Plover", "Knot")}
    # and while it is recorded
    study = book.study(2)
    others = siblings(book, study, study.live_candidates[0].live_mounts[0].id)
    (own,) = siblings(book, study, None)
    check = check_mount(study, "Dunlin", own.signals, own.load_start_s, others, 20)
    assert len(others) == 9 and check is not None and check.worse
    assert "than in the notebook’s other studies of this device" in check.sentence


def test_another_bench_is_another_device_and_what_is_usual_in_general_is_only_a_remark(book: Notebook) -> None:
    edits.change_study(book, 2, "elsewhere", bench_id=add_bench(book, "booth four"))
    first(book, 0.0)
    assert doubts(book) == []
    book.undo()
    first(book, 0.2)  # 0.44 K/W
    (found,) = doubts(book)
    assert found.weight == REMARK and "nothing else was measured on this device yet" in found.seen
    assert "up to 60.0 K is taken for usual in general" in found.seen
    edits.change_study(book, 2, "set its own", plan={**book.study(2).plan, "thresholds": {"usual_die_k_w": 0.6}})
    assert doubts(book) == []


def test_a_limit_met_in_another_step_does_not_hide_the_power_of_this_one() -> None:
    met = Finding(kind="throttled", seen="the clock fell", weight=DOUBT)

    def of(condition: str, *findings: Finding, steps: tuple[RunResult, ...] = ()) -> RunResult:
        return RunResult(
            traces={}, problems={}, means={}, window_s=None, names={}, condition=condition, figures={"power": 180.0},
            findings=findings, steps=steps,
        )  # fmt: skip

    calm, held = of("180 W"), of("240 W", met)
    mount = Mount(id=1, round=1, runs=[Run(id=7, closed=True, condition="")], exclusions=[])
    for main, kept in ((of("180 W", met, steps=(calm, held)), True), (of("240 W", met, steps=(calm, held)), False)):
        found = sibling_of("Tern", mount, {7: main}, main.condition)
        assert ("power" in found.figures) == kept
