"""Ageing against what the demo's study of half a year really did, and against drawn studies on a bench that moves."""

from __future__ import annotations

import datetime as dt
import shutil
from collections.abc import Iterator
from contextlib import closing
from dataclasses import replace
from pathlib import Path

import numpy as np
import pytest
from benchmarks.ageing import study as drawn

from kuffin.core.base.errors import BenchError
from kuffin.core.compare.ageing import SO_FAR, STEP, TREND, AgedReading, ageing
from kuffin.core.plan.order import Slot
from kuffin.core.plan.rechecks import days_written, next_due
from kuffin.demo.halfyear import AGED_K, DAYS, NAME, PROBES_K, aged_k
from kuffin.notebook import edits, planedits
from kuffin.notebook.entities import Mount, Study
from kuffin.notebook.store import Notebook
from kuffin.said.ageingwords import aged_words, ageing_working
from kuffin.said.line import verdict_line
from kuffin.verdict.ageing import ageing_of, due_rechecks, planned_rechecks, rechecks_of
from kuffin.verdict.planbasis import next_mount, slots_of
from kuffin.verdict.study import StudyVerdict, judge


@pytest.fixture
def book(demo: Path) -> Iterator[Notebook]:
    with closing(Notebook.open(demo)) as opened:
        yield opened


def half_year(book: Notebook) -> Study:
    return book.study(next(s.id for s in book.studies() if s.name == NAME))


@pytest.fixture(scope="module")
def verdict(demo_master: Path, tmp_path_factory: pytest.TempPathFactory) -> StudyVerdict:
    path = tmp_path_factory.mktemp("aged") / "demo.kuffin"
    shutil.copyfile(demo_master, path)
    with closing(Notebook.open(path)) as opened:
        return judge(opened, half_year(opened))


class TestTheDemo:
    def test_what_aged_is_told_and_the_benchs_move_is_not(self, verdict: StudyVerdict) -> None:
        found = {m.candidate: m for m in ageing_of(verdict).mounts}
        marl, loam = found["Marl"].found, found["Loam"].found
        assert marl is not None and loam is not None and set(found) == {"Marl", "Loam"}
        assert marl.aged and marl.way == TREND and abs(marl.change - AGED_K) < marl.half < 0.45
        assert not loam.aged and abs(loam.change) < loam.half
        raw = [r.read.value for r in found["Loam"].readings if r.read is not None]
        assert raw[-1] - raw[0] > PROBES_K - 0.3  # as read, all are warmer since the probes were changed
        for days in DAYS[1:]:
            assert abs(marl.at(days) - aged_k("Marl", days)) < marl.half

    def test_the_comparison_goes_by_what_was_new(self, verdict: StudyVerdict) -> None:
        first = {r.candidate: r for r in verdict.temperature.readings}
        assert all(len(r.runs) == 1 for r in first.values()) and verdict.mounts == 3
        marl = next(m for m in ageing_of(verdict).mounts if m.candidate == "Marl")
        assert marl.readings[0].read is not None and first["Marl"].value == marl.readings[0].read.value

    def test_its_working_tells_each_reading(self, verdict: StudyVerdict) -> None:
        found = ageing_of(verdict)
        told = ageing_working(found.mounts[0], found)
        assert told.answer.startswith("Marl, round 1 is 1.3 K warmer")
        assert sum(r.label.startswith("Less the baseline") for r in told.rows) == len(DAYS)

    def test_without_a_baseline_nothing_is_said(self, book: Notebook) -> None:
        study = half_year(book)
        edits.change_study(book, study.id, "no baseline", baseline_id=None)
        found = ageing_of(judge(book, half_year(book)))
        assert found.baseline == "" and all(m.found is None for m in found.mounts)
        assert "the bench" in aged_words(found.mounts[0], found.baseline)


class TestThePlan:
    def test_what_is_due_is_next_and_one_that_was_done_is_not(self, book: Notebook) -> None:
        study = half_year(book)
        (first, *_), now = due_rechecks(study), dt.datetime(2027, 4, 1)
        assert first.days == 365 and first.at.date() == dt.date(2027, 3, 23)
        v = judge(book, study)
        line = verdict_line(v, next_mount(study), dt.datetime(2026, 12, 1))
        assert line.sentence.startswith("Marl, round 1 is 1.3 K warmer") and "no ageing seen" in line.sentence
        assert (line.step.label, line.step.action) == ("look at the ageing", "ageing")
        assert "Chalk, round 1, day 365, on 23 March 2027" in line.step.hint
        step = verdict_line(v, next_mount(study), now).step
        assert step.label == "recheck Chalk, round 1" and "due since 23 March 2027" in step.hint
        assert (step.action, step.mount_id) == ("run", first.mount.id)
        assert not verdict_line(v, next_mount(study), dt.datetime(2026, 12, 1)).step.label.startswith("recheck")
        kept = study.plan["rechecks"]
        planedits.set_plan(book, study.id, "fewer", rechecks={**kept, "days": [30, 400, 800]})
        assert [d.days for d in planned_rechecks(half_year(book))][:3] == [400.0] * 3

    def test_a_later_run_is_a_recheck_only_where_one_is_planned(self, book: Notebook) -> None:
        study = half_year(book)
        mount = next(m for c in study.live_candidates for m in c.live_mounts if c.name == "Loam")
        run = mount.rechecks[0]
        edits.call_recheck(book, run.id, False)
        again = next(m for c in half_year(book).live_candidates for m in c.live_mounts if m.id == mount.id)
        assert run.id in [r.id for r in again.live_runs] and len(again.rechecks) == len(DAYS) - 2
        book.undo()
        assert len(half_year(book).live_candidates[2].live_mounts[0].rechecks) == len(DAYS) - 1

    def test_a_mount_gets_its_rest(self, book: Notebook) -> None:
        study = half_year(book)
        planedits.set_plan(book, study.id, "one more", rechecks={**study.plan["rechecks"], "rest_h": 24.0})
        planedits.plan_round(book, study.id, [*slots_of(study), Slot("Chalk", 2)], "one more")
        planned = next_mount(half_year(book))
        assert planned is not None
        with book.edit("ready") as session:
            session.get_one(Mount, planned.id).ready_at = "2026-12-01T10:00:00"
        study = half_year(book)
        v = judge(book, study)
        step = verdict_line(v, next_mount(study), dt.datetime(2026, 12, 1, 18)).step
        assert step.label.endswith("rest until 10:00 on 2 December 2026") and step.label.startswith("let Chalk")
        assert verdict_line(v, next_mount(study), dt.datetime(2026, 12, 2, 11)).step.label.startswith("run Chalk")

    def test_days_are_written_as_one_writes_them(self) -> None:
        assert days_written("6 months, 1 week;2 d") == (2.0, 7.0, 180.0)
        for wrong, said in (("soon", "is no time"), ("0", "outside half a day"), ("1, 1 d", "comes twice")):
            with pytest.raises(BenchError, match=said):
                days_written(wrong)
        first = dt.datetime(2026, 1, 1)
        assert next_due(first, [first + dt.timedelta(days=40)], (7.0, 30.0)) is None

    def test_a_plan_survives_being_opened_again(self, demo: Path) -> None:
        with closing(Notebook.open(demo)) as opened:
            assert rechecks_of(half_year(opened)).rest_h == 24.0


class TestTheFit:
    def rows(self, values: np.ndarray, days: tuple[float, ...] = DAYS) -> list[AgedReading]:
        return [AgedReading(days=d, value=float(v), u95=0.1) for d, v in zip(days, values, strict=True)]

    def test_a_step_is_told_from_a_trend(self) -> None:
        noise = np.array([0.02, -0.01, 0.01, -0.02, 0.0, 0.02, -0.01, 0.01])
        step = ageing({"a": self.rows(30 + noise + 1.0 * (np.array(DAYS) > 45))})["a"]
        assert step.way == STEP and step.step_after == 30 and step.aged and abs(step.change - 1.0) < step.half

    def test_with_fewer_than_three_rechecks_it_is_so_far(self) -> None:
        two = ageing({"a": self.rows(np.array([30.0, 30.2, 33.0]), (0, 1, 7))})["a"]
        assert two.way == SO_FAR and not two.aged and two.change == pytest.approx(3.0)
        assert ageing({"a": self.rows(np.array([30.0]), (0,))}) == {}

    def test_a_move_of_the_bench_is_rarely_told_as_ageing_and_true_ageing_is_found(self) -> None:
        """As in `python -m benchmarks ageing`, on fewer studies."""
        rng = np.random.default_rng(7)
        told = [one for _ in range(150) for one in drawn(rng).values()]
        steady = [t for aged, t, _ in told if not aged]
        aged = [t for is_so, t, could in told if is_so and could]
        assert np.mean(steady) <= 0.06 and np.mean(aged) >= 0.9 and len(aged) > 15

    def test_a_baseline_at_another_level_widens_what_is_said(self) -> None:
        plain = self.rows(30 + np.zeros(len(DAYS)))
        unlike = [replace(r, unlike=0.3 * (r.days > 45)) for r in plain]
        assert ageing({"a": unlike})["a"].half == pytest.approx(ageing({"a": plain})["a"].half + 0.3)
