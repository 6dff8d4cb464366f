"""What the desks say, without a window."""

from __future__ import annotations

import threading
from pathlib import Path

import pytest
from pytestqt.qtbot import QtBot

from kuffin.app.base.jobs import Jobs, Task
from kuffin.app.base.settings import Settings
from kuffin.app.desks.inspect import runwords as inspectmodel
from kuffin.app.dialogs.changestudy import ChangeStudy
from kuffin.app.frame.window import MainWindow
from kuffin.app.widgets.intervalplot import nice_step
from kuffin.core.base.errors import KuffinError
from kuffin.notebook import edits
from kuffin.notebook.store import Notebook
from kuffin.said import comparisonwords as comparemodel
from kuffin.verdict.study import StudyVerdict, judge


@pytest.fixture
def verdict(demo_notebook: Notebook) -> StudyVerdict:
    return judge(demo_notebook, demo_notebook.study(1))


class TestCompareModel:
    def test_told_apart_pairs_come_first_with_their_figures(
        self, verdict: StudyVerdict, demo_notebook: Notebook
    ) -> None:
        first = comparemodel.pair_rows(judge(demo_notebook, demo_notebook.study(2)).main)[0]
        assert first.names == "Chalk − Loam" and first.verdict.startswith("Chalk is cooler than Loam by")
        rows = comparemodel.pair_rows(verdict.main)
        assert [r.open for r in rows] == sorted(r.open for r in rows)
        assert rows[0].names == "Sedge − Rush"
        assert rows[0].difference.startswith("−2.3")
        assert rows[-1].verdict.startswith("Not told apart yet: about")

    def test_titles_name_the_school(self, verdict: StudyVerdict) -> None:
        titles = [comparemodel.title(verdict, s.outcome) for s in verdict.schools.values()]
        assert titles == [
            "Coolant as read",
            "Coolant over air",
            "Coolant re-based to a room of 22 °C",
            "Coolant over air, per watt, as kelvins at 182 W",
            "Coolant over air, whole trace, as kelvins at 182 W",
        ]

    def test_a_school_that_judges_otherwise_is_named(self, verdict: StudyVerdict) -> None:
        notes = comparemodel.school_warnings(verdict, verdict.main)
        assert notes[0] == "As read, without taking the room out, Rush would have won."
        assert len(notes) == len(set(notes)) <= 3
        as_read = verdict.as_read
        assert as_read is not None
        assert not any("As read" in n for n in comparemodel.school_warnings(verdict, as_read))

    def test_what_was_left_out_is_listed_with_what_it_changed(
        self, demo_notebook: Notebook, verdict: StudyVerdict
    ) -> None:
        assert comparemodel.left_out_lines(verdict) == []
        odd = next(r for r in verdict.main.readings if r.label == "Bulrush, round 2")
        edits.leave_out(demo_notebook, odd.mount_id, odd.label, "trapped air")
        lines = comparemodel.left_out_lines(judge(demo_notebook, demo_notebook.study(1)))
        assert lines[0] == "Left out: Bulrush, round 2 (trapped air)."
        assert "verdicts would differ" in lines[1]

    def test_the_footnote_gives_the_scope(self, verdict: StudyVerdict) -> None:
        note = comparemodel.footnote(verdict, verdict.main)
        assert note.startswith("About these samples, one of each · 3 mounts of each · 98.79 % over 6 pairs together")


class TestInspectModel:
    def test_the_staircase_stands_on_the_air_and_adds_up(self, verdict: StudyVerdict) -> None:
        result = next(iter(verdict.results.values()))
        levels, steps = inspectmodel.staircase(result)
        assert [level.name for level in levels] == ["air", "coolant", "die"]
        for lower, upper, step in zip(levels, levels[1:], steps, strict=False):
            assert upper.temperature_c - lower.temperature_c == pytest.approx(step.rise_k)
            assert step.resistance_k_w == pytest.approx(step.rise_k / (result.mean_of("power") or 1))
        assert inspectmodel.staircase(None) == ([], [])

    def test_states_are_said_in_words(self, demo_notebook: Notebook, verdict: StudyVerdict) -> None:
        study = demo_notebook.study(1)
        words = {
            f"{m.candidate.name} {m.round}": inspectmodel.state_words(verdict, m, verdict.results[m.runs[0].id])
            for c in study.candidates
            for m in c.mounts
            if m.runs
        }
        assert words["Reed 3"] == "not settled"
        assert words["Sedge 1"].startswith("settled after ")
        assert inspectmodel.state_words(None, study.candidates[0].mounts[0], None) == "being read …"

    def test_facts_have_units(self, demo_notebook: Notebook, verdict: StudyVerdict) -> None:
        run = demo_notebook.study(1).candidates[0].mounts[0].runs[0]
        facts = dict(inspectmodel.facts(verdict.results[run.id], run))
        assert facts["power"].endswith(" W")
        assert facts["flow"].endswith(" L/h")
        assert facts["pump"] == "2976 rpm"
        assert facts["log"] == "sedge_round1.csv"

    def test_the_answer_marks_what_did_not_settle(self, verdict: StudyVerdict) -> None:
        early = next(r for r in verdict.main.readings if r.label == "Reed, round 3")
        assert "not settled" in inspectmodel.answer(verdict, early)
        assert inspectmodel.answer(None, None) == "…"


class TestJobs:
    def test_progress_and_result_arrive_in_the_windows_thread(self, qtbot: QtBot) -> None:
        jobs, heard, threads = Jobs(), [], set()

        def work(job: Task) -> int:
            threads.add(threading.get_ident())
            job.report(0.5)
            return 42

        job = jobs.start("counting", work, lambda r: heard.append((r, threading.get_ident())))
        shares: list[float] = []
        job.progressed.connect(shares.append)
        qtbot.waitUntil(lambda: not jobs.running)
        assert heard == [(42, threading.get_ident())]
        assert threading.get_ident() not in threads

    def test_a_job_can_be_stopped(self, qtbot: QtBot) -> None:
        jobs, heard, go = Jobs(), [], threading.Event()

        def work(job: Task) -> None:
            go.wait(5)
            for _ in range(100):
                job.report(0.1)
            heard.append("ran to the end")

        job = jobs.start("long work", work, lambda _: heard.append("done"))
        job.cancel()
        go.set()
        qtbot.waitUntil(lambda: not jobs.running)
        assert heard == []

    def test_what_was_on_its_way_when_a_job_was_stopped_does_not_arrive(self, qtbot: QtBot) -> None:
        jobs, heard, finished = Jobs(), [], threading.Event()

        def work(job: Task) -> str:
            job.show("a part")
            finished.set()
            return "the rest"

        job = jobs.start("short work", work, heard.append, heard.append)
        job.shown.connect(heard.append)
        assert finished.wait(5)
        job.cancel()  # all is told already, and none of it heard yet
        qtbot.waitUntil(lambda: not jobs.running)
        assert heard == []

    @pytest.mark.parametrize(
        ("error", "says"),
        [(KuffinError("the log is empty"), "the log is empty"), (ZeroDivisionError("x"), "fault of Kuffin's own")],
    )
    def test_what_goes_wrong_is_a_sentence(
        self, qtbot: QtBot, error: Exception, says: str, capsys: pytest.CaptureFixture[str]
    ) -> None:
        jobs, heard = Jobs(), []

        def work(_job: Task) -> None:
            raise error

        jobs.start("work", work, lambda _: None, heard.append)
        qtbot.waitUntil(lambda: not jobs.running)
        assert says in heard[0]

    def test_a_worker_never_tears_down_what_belongs_to_the_window(self, qtbot: QtBot, qapp: object) -> None:
        class Knot:
            def __init__(self) -> None:
                self.itself = self

            def __del__(self) -> None:
                freed_in.append(threading.get_ident())

        def work(_task: Task) -> None:
            keep = []
            for _ in range(200_000):  # enough for Python's collector to start many times, wherever it may
                keep.append([keep])

        jobs, freed_in = Jobs(), list[int]()
        Knot()
        jobs.start("making lists", work, lambda _: None)
        qtbot.waitUntil(lambda: not jobs.running)
        qtbot.waitUntil(lambda: bool(freed_in))
        assert freed_in == [threading.get_ident()]


class TestChangingAStudy:
    def test_candidates_are_renamed_added_and_taken_away(self, window: MainWindow, demo: Path, qtbot: QtBot) -> None:
        window.notebooks.open_path(demo)
        qtbot.waitUntil(lambda: not window.jobs.running, timeout=20_000)
        study = window.state.study
        assert study is not None
        dialog = ChangeStudy(study, 180.0, window)
        dialog.candidates.item(0).setText("Sedge 2")
        dialog.candidates.setCurrentRow(3)
        dialog.remove()
        dialog.add()
        dialog.candidates.item(3).setText("Cattail")
        dialog.power.setValue(200)
        window.studies.apply_changes(dialog)
        qtbot.waitUntil(lambda: not window.jobs.running, timeout=20_000)
        verdict = window.state.verdict
        assert verdict is not None
        assert verdict.candidates == ("Sedge 2", "Reed", "Bulrush", "Cattail")
        assert (verdict.mounts, verdict.reference_power_w) == (9, 200.0)
        window.notebooks.undo()
        window.notebooks.undo()
        qtbot.waitUntil(lambda: not window.jobs.running, timeout=20_000)
        assert window.state.verdict.candidates == ("Sedge", "Reed", "Bulrush", "Rush")  # type: ignore[union-attr]

    def test_two_of_one_name_are_refused(self, window: MainWindow, demo: Path, qtbot: QtBot) -> None:
        window.notebooks.open_path(demo)
        qtbot.waitUntil(lambda: not window.jobs.running, timeout=20_000)
        dialog = ChangeStudy(window.state.study, 180.0, window)  # type: ignore[arg-type]
        dialog.candidates.item(0).setText("reed")
        window.studies.apply_changes(dialog)
        assert "same name" in window.strip.trouble.text()


@pytest.mark.parametrize(("span", "step"), [(3.4, 0.5), (0.9, 0.2), (14.0, 2.0), (0.031, 0.005), (0.0, 1.0)])
def test_ticks_are_round_numbers(span: float, step: float) -> None:
    assert nice_step(span) == pytest.approx(step)


def test_settings_survive_and_forget_what_is_gone(tmp_path: Path) -> None:
    first = Settings(tmp_path / "w.ini")
    for name in ("a.kuffin", "b.kuffin"):
        (tmp_path / name).touch()
        first.remember(tmp_path / name)
    first.set_value("theme", "dark")
    first.store.sync()
    again = Settings(tmp_path / "w.ini")
    assert [Path(p).name for p in again.recent] == ["b.kuffin", "a.kuffin"]
    (tmp_path / "b.kuffin").unlink()
    assert [Path(p).name for p in again.recent] == ["a.kuffin"]
    assert again.value("theme", "light") == "dark"
