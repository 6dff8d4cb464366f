"""Every kind of thing under test is judged from a log to a sentence, and changed over by what it is."""

from __future__ import annotations

from contextlib import closing
from dataclasses import replace
from pathlib import Path

import numpy as np
import pytest

from kuffin.core.bench.parts import KINDS as PART_KINDS
from kuffin.core.bench.undertest import KINDS, kind_under_test
from kuffin.core.heat.normalise import default_school, schools_for
from kuffin.core.prepare.builtin import BuiltIn
from kuffin.core.prepare.changeover import change_over
from kuffin.demo.practice import bench_for
from kuffin.demo.scenario import demo_runs
from kuffin.logs.table import LogChannel, LogTable
from kuffin.notebook import edits
from kuffin.notebook.samples import read_run
from kuffin.notebook.store import Notebook
from kuffin.reading.signals import lacking
from kuffin.said.line import verdict_line
from kuffin.verdict.study import judge

FACTOR = {"One": 1.0, "Two": 1.1}


@pytest.fixture(scope="module")
def runs() -> list[LogTable]:
    return [r.table for r in demo_runs()][:4]


def with_parts(table: LogTable, part: str, factor: float, number: int) -> LogTable:
    """A demo log with other parts' temperatures, and the asked part's rise over the coolant (the coolant's over air) scaled."""
    values = {c.role: c.values for c in table.channels}
    over = values["die"] - values["coolant_in"]
    own = {"backplate": 0.4, "chipset": 0.5, "regulator": 0.6, "memory": 0.3}
    new = [
        LogChannel(name=role, unit="degC", quantity="temperature", role=role, values=values["coolant_in"] + share * over * (factor if role == part else 1), written_unit="degC", device="board")
        for role, share in own.items()
    ]  # fmt: skip
    scaled = {"die": values["coolant_in"] + over * factor} if part == "die" else {}
    if part == "coolant":
        lift = (factor - 1) * (values["coolant_in"] - values["air_in"])
        scaled = {r: values[r] + lift for r in ("coolant_in", "die", "hot_spot")}
    noise = np.random.default_rng(int(100 * factor)).normal(0, 0.01, table.times.size)  # no two recordings are the same
    kept = [replace(c, values=np.asarray(scaled.get(c.role or "", c.values)) + noise) for c in table.channels]
    return replace(table, file=f"{part}{number}{factor}.csv", channels=[*kept, *new])


@pytest.mark.parametrize("key", list(KINDS))
def test_each_kind_is_judged(key: str, runs: list[LogTable], tmp_path: Path) -> None:
    kind, school = KINDS[key], default_school(key)
    assert school in schools_for(key) and school.part == kind.part and set(kind.part_kinds) <= set(PART_KINDS)
    with closing(Notebook.create(tmp_path / "n.kuffin")) as book:
        study = edits.add_study(book, f"Which of the {kind.label}?", key, list(FACTOR), 0.2)
        new = [
            edits.NewRun(name, with_parts(table, kind.part, factor, i), round=i)
            for name, factor in FACTOR.items()
            for i, table in enumerate(runs[:2], 1)
        ]
        edits.add_logs(book, study, new)
        v = judge(book, book.study(study))
        assert all(r.value is not None and not r.problem for r in v.main.readings), [r.problem for r in v.main.readings]
        mean = {n: np.mean([r.value for r in v.main.of(n) if r.value is not None]) for n in FACTOR}
        assert 1.02 < mean["Two"] / mean["One"] < 1.11
        assert verdict_line(v).sentence


@pytest.mark.parametrize("key", list(KINDS))
def test_the_change_over_follows_what_is_under_test(key: str) -> None:
    parts = {"block": "Tern", "paste": "Chalk", "coolant": "Rill", "radiator": "Reed"}
    tasks = {
        t.key
        for t in change_over(
            BuiltIn(under_test=key, candidate="One", sample="", parts=parts),
            BuiltIn(under_test=key, candidate="Two", sample="", parts=parts),
        )
    }
    kind = KINDS[key]
    assert ("fill" in tasks, "leak" in tasks, "drain" in tasks) == ((kind.wet,) * 3)
    assert ("tighten" in tasks) == kind.on_die
    assert tasks & {"take off", "rinse"}
    first = {
        t.key
        for t in change_over(
            None, BuiltIn(under_test=key, candidate="One", sample="", parts={} if kind.dry_bench else parts)
        )
    }
    assert ("fill" in first) != kind.dry_bench


def test_what_has_fins_is_handled_with_their_caution() -> None:
    for key in ("radiator", "set", "air cooler", "memory cooler"):
        tasks = change_over(BuiltIn(under_test=key, candidate="One"), BuiltIn(under_test=key, candidate="Two"))
        off = [t for t in tasks if "One" in t.text and "fins" in t.cautions]
        on = [t for t in tasks if "Two" in t.text and "fins" in t.cautions]
        assert off and on, key
    new_radiator = change_over(
        BuiltIn(under_test="paste", candidate="One", parts={"radiator": "Reed"}),
        BuiltIn(under_test="paste", candidate="Two", parts={"radiator": "Rush"}),
    )
    assert sum("fins" in t.cautions for t in new_radiator) == 2


@pytest.mark.parametrize("key", ["fan", "pump", "coolant", "air cooler", "radiator", "block", "paste", "pad", "set"])
def test_the_simulated_bench_tells_two_candidates_apart(key: str) -> None:
    one, two = (bench_for(key, name, 1) for name in ("One", "Two"))
    assert (one.radiator.k_w, one.block.r0_k_w, one.block.paste_k_w) != (
        two.radiator.k_w,
        two.block.r0_k_w,
        two.block.paste_k_w,
    )


@pytest.mark.parametrize(
    "key", ["chipset over memory", "backplate over air", "regulator over coolant_in", "hot_spot over die"]
)
def test_any_temperature_over_any_other_is_judged_by_their_difference(
    key: str, runs: list[LogTable], tmp_path: Path
) -> None:
    kind = kind_under_test(key)
    assert [s.over for s in schools_for(key)].count(kind.over) >= 2 and kind.any_temperature
    with closing(Notebook.create(tmp_path / "n.kuffin")) as book:
        study = edits.add_study(book, "Which holder?", key, list(FACTOR), 0.2)
        for i, (name, factor) in enumerate(FACTOR.items()):
            edits.add_log(book, study, name, with_parts(runs[i], kind.part, factor, i))
        v = judge(book, book.study(study))
        assert v.school.key == kind.main_trace
        for reading in v.main.readings:
            (run,) = reading.runs
            data, result = read_run(book, run), v.results[run]
            assert result.window_s is not None and reading.value is not None and reading.u95 is not None
            inside = (data.times > result.window_s[0]) & (data.times < result.window_s[1])
            base = "air_in" if kind.over == "air" else kind.over
            level = {
                r: np.nanmean([data.values[c.name][inside] for c in data.channels if c.role == r])
                for r in (kind.part, base)
            }
            assert reading.value == pytest.approx(level[kind.part] - level[base], rel=0.015, abs=0.05)


def test_a_pair_that_a_log_does_not_hold_is_named(runs: list[LogTable], tmp_path: Path) -> None:
    school = default_school("storage over room")
    assert lacking(school, {"die", "room"}) == ["a channel with the role “storage”"]
    with closing(Notebook.create(tmp_path / "n.kuffin")) as book:
        study = edits.add_study(book, "Which holder?", "storage over room", list(FACTOR), 0.2)
        edits.add_log(book, study, "One", runs[0])
        (reading,) = judge(book, book.study(study)).main.readings
        assert reading.value is None and "storage" in str(reading.problem)
