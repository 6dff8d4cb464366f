"""The pages of the Plan desk on the demo, driven: what is written there, what it says, what it refuses."""

from __future__ import annotations

import datetime as dt
from collections.abc import Callable
from dataclasses import replace
from pathlib import Path

import pytest
from PySide6.QtCore import QDateTime, QMimeData, QPointF, Qt
from PySide6.QtGui import QDropEvent
from PySide6.QtTest import QTest
from PySide6.QtWidgets import QLineEdit
from sqlalchemy import select

from kuffin.app.desks.plan.claimstable import ITSELF
from kuffin.app.frame.window import MainWindow
from kuffin.core.bench.leading import ALL, to_do
from kuffin.core.bench.limits import Limits, Newest, Watch
from kuffin.core.compare.looks import look_confidences, usual_looks
from kuffin.core.plan.design import planned_power
from kuffin.core.plan.order import fairness
from kuffin.notebook import edits, planedits
from kuffin.notebook import shelf as shelfedits
from kuffin.notebook.entities import Protocol, Sample, now_text
from kuffin.verdict.planbasis import order_of, slots_of
from tests.app.driving import choose, give, press, type_in, with_dialog, write_cell

Wait = Callable[[], None]


@pytest.fixture
def plan(demo_window: MainWindow) -> MainWindow:
    demo_window.show_desk("Plan")
    return demo_window


def order(window: MainWindow) -> list[tuple[str, int]]:
    assert window.state.study is not None
    return [(s.candidate, s.round) for s in slots_of(window.state.study)]


class TestTheQuestion:
    def test_what_is_written_is_kept_and_can_be_undone(self, plan: MainWindow, at_rest: Wait) -> None:
        page = plan.plan.question
        page.question.selectAll()
        QTest.keyClicks(page.question, "Which radiator for the small booth?")
        QTest.keyClick(page.question, Qt.Key.Key_Return)
        at_rest()
        assert plan.header.question.text() == "Which radiator for the small booth?"
        plan.notebooks.undo()
        at_rest()
        assert plan.header.question.text() == "Which slim radiator keeps booth seven cool?"

    def test_a_claim_is_taken_from_the_shelf_and_judged(self, plan: MainWindow, at_rest: Wait) -> None:
        page, study, notebook = plan.plan.question, plan.state.study, plan.state.notebook
        assert study is not None and notebook is not None
        odd = next(m for m in plan.state.mounts() if (m.candidate.name, m.round) == ("Bulrush", 2))
        edits.leave_out(notebook, odd.id, "Bulrush, round 2", "trapped air")
        at_rest()
        assert "refuted" in page.claims.item(0, 6).text()  # the demo's Rush was said to be cooler than Reed
        sedge = next(c for c in study.live_candidates if c.name == "Sedge")
        shelfedits.change_part(
            notebook, sedge.part_id, "fill in", claim="0.4 °C below Rush at any power", claim_where="its page"
        )
        plan.state.refresh()
        at_rest()
        press(page, "Add a claim")
        at_rest()
        row = [page.claims.item(1, c).text() for c in range(7)]
        assert row[:5] == ["Sedge", "at least 0.4 K", "temperature", "Rush", "Oxbow Works"]
        assert "0.4 °C below Rush" in row[5] and "its page" in row[5]
        assert row[6].startswith("borne out")
        write_cell(page.claims, 1, 1, "much")
        at_rest()
        assert plan.strip.trouble.text().startswith("“much” claims nothing; write “at least 3 K”")
        assert page.claims.item(1, 1).text() == "at least 0.4 K"
        write_cell(page.claims, 1, 1, "up to 20 %")
        at_rest()
        assert page.claims.item(1, 1).text() == "up to 20 %" and "% measured" in page.claims.item(1, 6).text()
        write_cell(page.claims, 1, 2, "flow")
        write_cell(page.claims, 1, 3, ITSELF)
        write_cell(page.claims, 1, 1, "at least 120 L/h")
        at_rest()
        assert (
            page.claims.item(1, 6).text().startswith("borne out (") and "L/h measured" in page.claims.item(1, 6).text()
        )

    def test_typing_outlives_a_verdict_that_comes_in_between(self, plan: MainWindow) -> None:
        table = plan.plan.question.candidates
        table.setCurrentCell(0, 0)
        table.editItem(table.item(0, 0))
        QTest.qWait(10)
        editor = table.findChild(QLineEdit)
        assert editor is not None
        QTest.keyClicks(editor, "Sedge the")
        plan.plan.question.show_now()
        QTest.keyClicks(editor, " second")
        assert editor.text() == "Sedge the second"
        QTest.keyClick(editor, Qt.Key.Key_Escape)

    def test_what_has_runs_stays_the_part_it_is(self, plan: MainWindow, at_rest: Wait) -> None:
        page = plan.plan.question
        write_cell(page.candidates, 0, 1, "Reed")
        at_rest()
        assert "has runs already" in plan.strip.trouble.text()
        assert page.candidates.item(0, 1).text() == "Sedge"


class TestFairness:
    def test_a_difference_is_named_answered_and_mended(self, plan: MainWindow, at_rest: Wait) -> None:
        page, study = plan.plan.fair, plan.state.study
        assert study is not None
        plan.plan.go("fair")
        keys = [page.table.data_of(i) for i in range(page.table.rowCount())]
        at = keys.index("fan_percent")
        column = 2 + [c.name for c in study.live_candidates].index("Rush")
        write_cell(page.table, at, column, "70")
        at_rest()
        card = page.answers["fan_percent"]
        assert page.open_count() == 1
        assert "Rush: 70 %" in page.shown[0][0].sentence
        card.setText("the box says so")
        QTest.keyClick(card, Qt.Key.Key_Return)
        at_rest()
        assert page.open_count() == 0
        assert plan.state.study is not None and plan.state.study.fair_because == {"fan_percent": "the box says so"}
        press(page, "Make it 55 % for all")
        at_rest()
        assert "fan_percent" not in page.answers
        plan.notebooks.undo()
        at_rest()
        assert "fan_percent" in page.answers

    def test_a_number_out_of_range_and_a_word_are_refused(self, plan: MainWindow, at_rest: Wait) -> None:
        page = plan.plan.fair
        plan.plan.go("fair")
        at = [page.table.data_of(i) for i in range(page.table.rowCount())].index("pump_percent")
        for written in ("140", "fast"):
            write_cell(page.table, at, 2, written)
            at_rest()
            assert plan.strip.trouble.text().startswith("Pump speed: ")
            assert page.table.item(at, 2).text() == "·"


class TestHowMany:
    def test_the_page_says_what_the_calculation_says(self, plan: MainWindow, at_rest: Wait) -> None:
        page, notebook, study = plan.plan.mounts, plan.state.notebook, plan.state.study
        assert notebook is not None and study is not None
        plan.plan.go("mounts")
        planedits.set_plan(notebook, study.id, "assume", spread_k=0.5, difference_k=1.0, power=0.8)
        plan.state.refresh()
        at_rest()
        # the fewest whose last look, in rounds, has that chance
        wanted = next(
            n
            for n in range(2, 20)
            if planned_power(n, 4, 0.5, 1.0, look_confidences(usual_looks(n), n, n, 0.95)[-1][1], rounds=True).power
            >= 0.8
        )
        assert page.wanted == wanted
        press(page, page.use.text())
        at_rest()
        assert plan.state.study is not None and plan.state.study.planned_rounds == wanted

    def test_the_scatter_is_learnt_from_the_mounts_and_said_to_be(self, plan: MainWindow) -> None:
        page = plan.plan.mounts
        plan.plan.go("mounts")
        assert "degrees of freedom" in page.where.text()
        assert "guess" in page.where_samples.text()
        assert "one sample says nothing of the next" in page.buys.text()

    def test_parts_without_a_sample_are_planned_all_the_same(self, plan: MainWindow, at_rest: Wait) -> None:
        notebook, study = plan.state.notebook, plan.state.study
        assert notebook is not None and study is not None
        with notebook.edit("bin the samples") as session:
            for sample in session.scalars(select(Sample)):
                sample.binned_at = now_text()
        at_rest()
        plan.plan.go("mounts")
        assert plan.plan.mounts.buys.text().startswith("As planned (one sample, ")


class TestTheOrder:
    def test_a_key_and_a_drag_move_a_mount_and_undo_brings_it_back(self, plan: MainWindow, at_rest: Wait) -> None:
        page = plan.plan.order
        plan.plan.go("order")
        before = order(plan)
        page.list.setCurrentRow(12)
        QTest.keyClick(page.list, Qt.Key.Key_Down, Qt.KeyboardModifier.AltModifier)
        at_rest()
        assert order(plan)[12:14] == [before[13], before[12]]
        assert page.list.currentRow() == 13
        plan.notebooks.undo()
        at_rest()
        assert order(plan) == before
        page.list.setCurrentRow(15)
        where = page.list.visualItemRect(page.list.item(12))
        event = QDropEvent(
            QPointF(where.center()),
            Qt.DropAction.MoveAction,
            QMimeData(),
            Qt.MouseButton.LeftButton,
            Qt.KeyboardModifier.NoModifier,
        )
        page.list.dropEvent(event)
        at_rest()
        assert order(plan)[12] == before[15]
        assert sorted(order(plan)) == sorted(before)

    def test_a_change_that_costs_fairness_says_so(self, plan: MainWindow, at_rest: Wait) -> None:
        page, notebook, study = plan.plan.order, plan.state.notebook, plan.state.study
        assert notebook is not None and study is not None
        plan.plan.go("order")
        page.rounds.setValue(6)
        at_rest()
        press(page, "Draw the order again")
        at_rest()
        was = fairness(slots_of(plan.state.study))  # type: ignore[arg-type]
        for source, target in ((23, 20), (19, 16), (15, 12)):
            page.move_mount(source, target)
            at_rest()
        now = fairness(slots_of(plan.state.study))  # type: ignore[arg-type]
        assert now.worst_gap > was.worst_gap
        assert "costs fairness" in page.cost_of_change.text()

    def test_what_is_done_stays_put(self, plan: MainWindow, at_rest: Wait) -> None:
        before = order(plan)
        plan.plan.order.move_mount(2, 14)
        plan.plan.order.move_mount(14, 3)
        at_rest()
        assert "stays where it is" in plan.strip.trouble.text()
        assert order(plan) == before

    def test_a_draw_keeps_what_is_done_and_each_is_another(self, plan: MainWindow, at_rest: Wait) -> None:
        page = plan.plan.order
        plan.plan.go("order")
        page.rounds.setValue(8)
        at_rest()
        assert "it has 4 rounds, 8 are planned. Draw it again" in page.said.text()
        done = order(plan)[:12]
        seen = set()
        for _ in range(4):
            press(page, "Draw the order again")
            at_rest()
            now = order(plan)
            assert now[:12] == done and len(now) == 32
            seen.add(tuple(now[12:]))
        assert len(seen) > 1
        assert plan.side.loom.rounds() == 9  # the loom shows the plan

    def test_one_candidate_is_no_comparison(self, plan: MainWindow, at_rest: Wait) -> None:
        notebook, study = plan.state.notebook, plan.state.study
        assert notebook is not None and study is not None
        first = study.live_candidates[0]
        edits.change_candidates(notebook, study.id, [(first.id, first.name)])
        plan.state.refresh()
        at_rest()
        plan.plan.order.draw()
        assert "at least two candidates" in plan.strip.trouble.text()


class TestTheProtocol:
    def test_steps_are_written_swept_kept_and_used_again(self, plan: MainWindow, at_rest: Wait) -> None:
        page = plan.plan.protocol
        plan.plan.go("protocol")
        steps = len(plan.shelf.steps)
        load = next(i for i, s in enumerate(plan.shelf.steps) if s.load)
        write_cell(page.table, load, 2, "200 W")
        at_rest()
        assert plan.shelf.steps[load].power_w == 200
        page.table.setCurrentCell(load, 0)
        opened = with_dialog(
            lambda: press(page, "Make a sweep of it …"), type_in("fans, %"), type_in("40, 60, 80, 100")
        )
        at_rest()
        assert opened == ["Make a sweep", "Make a sweep"]
        assert len(plan.shelf.steps) == steps + 3
        assert [s.fan_percent for s in plan.shelf.steps[load : load + 4]] == [40, 60, 80, 100]
        with_dialog(lambda: press(page, "Keep it as …"), type_in("fans, spring"))
        at_rest()
        plan.studies.begin_study("Which paste?", "paste", ["Chalk", "Marl"], 0.5, 3)
        at_rest()
        page.which.setCurrentIndex(page.which.findText("fans, spring"))
        page.which.activated.emit(page.which.currentIndex())
        at_rest()
        assert [s.fan_percent for s in plan.shelf.steps[load : load + 4]] == [40, 60, 80, 100]

    @pytest.mark.parametrize(("values", "says"), [("fast, slow", "are no numbers"), ("40, 300", "fan"), ("", "")])
    def test_a_sweep_that_cannot_be(self, plan: MainWindow, at_rest: Wait, values: str, says: str) -> None:
        before = plan.shelf.steps
        plan.plan.protocol.make_sweep(1, "fan_percent", values)
        at_rest()
        assert says in plan.strip.trouble.text() and plan.strip.trouble.text()
        assert plan.shelf.steps == before

    def test_what_else_a_step_sets_is_written_in_words_and_asked_of_the_person(
        self, plan: MainWindow, at_rest: Wait
    ) -> None:
        page = plan.plan.protocol
        plan.plan.go("protocol")
        load = next(i for i, s in enumerate(plan.shelf.steps) if s.load)
        write_cell(page.table, load, 5, "power limit 240 W; driver 12.4; fans 60 %")
        at_rest()
        step = plan.shelf.steps[load]
        assert step.also == {"power_limit_w": 240.0, "driver": "12.4"} and step.fan_percent == 60
        assert page.table.item(load, 5).text() == "power limit 240 W; driver 12.4"
        wanted = to_do(step, plan.shelf.steps[load - 1], ALL)
        assert wanted == ("set the power limit to 240 W", "set the driver to 12.4")
        write_cell(page.table, load, 5, "quiet")
        at_rest()
        assert "no setting that Kuffin knows" in plan.strip.trouble.text() and plan.shelf.steps[load] == step

    def test_the_limits_say_that_kuffin_is_no_safety_device(self, plan: MainWindow) -> None:
        from PySide6.QtWidgets import QLabel

        assert any("no safety device" in label.text() for label in plan.plan.protocol.findChildren(QLabel))

    LIMITS = (
        ("die", "88", "die_c", [("Die", "die", 89.0)], "the die is at 89 °C"),
        ("coolant", "47", "coolant_c", [("Out", "coolant_out", 48.0)], "the coolant is at 48 °C"),
        ("flow", "70", "flow_l_h", [("Flow", "flow", 60.0)], "the flow has fallen to 60 L/h"),
        ("pump", "1600", "pump_rpm", [("Pump", "pump", 900.0)], "the pump has fallen to 900 rpm"),
        ("rise", "2.5", "rise_k_min", [("In", "coolant_in", 30.0)], "the coolant rises by"),
        ("leak", "", "leak", [("Leak", "leak", 1.0)], "the leak sensor answers"),
    )

    @pytest.mark.parametrize(("box", "written", "key", "newest", "says"), LIMITS)
    def test_each_limit_goes_from_the_form_through_the_notebook_to_the_alarm(
        self, plan: MainWindow, at_rest: Wait, box: str, written: str, key: str, newest: list[Newest], says: str
    ) -> None:
        page = plan.plan.protocol
        plan.plan.go("protocol")
        if written:
            give(getattr(page, box), written)
        else:
            page.leak.click()
            at_rest()
            page.leak.click()
        at_rest()
        assert plan.state.notebook is not None and plan.state.study is not None
        with plan.state.notebook.session() as session:
            kept = Limits.from_plain(session.get_one(Protocol, plan.state.study.protocol_id).limits)
        assert getattr(kept, key) == (float(written) if written else True)
        watch = Watch(limits=replace(Limits(die_c=None, coolant_c=None, leak=False), **{key: getattr(kept, key)}))
        found = []
        for t in range(60):
            now = [(n, r, v + (0.1 * t if key == "rise_k_min" else 0.0)) for n, r, v in newest]
            found += [a for a in watch.look(float(t), now, True) if a.stop]
        assert found and says in found[0].sentence


class TestWhen:
    def at(self, plan: MainWindow, at_rest: Wait, deadline: dt.datetime) -> str:
        page = plan.plan.when
        plan.plan.go("when")
        if not page.has_deadline.isChecked():
            press(page, "deadline")
            at_rest()
        page.deadline.setDateTime(QDateTime(deadline))  # type: ignore[call-overload]
        at_rest()
        return page.said.text()

    def test_a_deadline_that_has_passed_is_said_and_nothing_is_lost(self, plan: MainWindow, at_rest: Wait) -> None:
        said = self.at(plan, at_rest, dt.datetime.now() - dt.timedelta(days=3))
        assert "deadline" in said.lower() and "passed" in said
        assert len(order(plan)) == 16

    def test_what_fits_before_the_deadline_is_counted(self, plan: MainWindow, at_rest: Wait) -> None:
        page = plan.plan.when
        begin = dt.datetime.now().replace(hour=9, minute=0, second=0, microsecond=0)
        begin += dt.timedelta(days=7 - begin.weekday())
        page.begin.setDateTime(QDateTime(begin))  # type: ignore[call-overload]
        at_rest()
        said = self.at(plan, at_rest, begin.replace(hour=18))
        laid = page.plan
        assert laid is not None and 0 < laid.late < 4
        assert "fit" in said and "before the deadline" in said
        assert "All fit" in self.at(plan, at_rest, begin + dt.timedelta(days=30))

    def test_no_hours_at_all_is_said(self, plan: MainWindow, at_rest: Wait) -> None:
        page = plan.plan.when
        plan.plan.go("when")
        for on, _, _ in page.days:
            if on.isChecked():
                on.click()
                at_rest()
        assert page.plan is None
        assert "hours" in page.said.text()
        page.days[2][0].click()
        at_rest()
        assert page.plan is not None
        assert {laid.begin.weekday() for laid in page.plan.laid} == {2}

    def test_days_off_are_kept_free_and_nonsense_is_refused(self, plan: MainWindow, at_rest: Wait) -> None:
        page = plan.plan.when
        plan.plan.go("when")
        assert page.plan is not None
        first = page.plan.laid[0].begin.date()
        page.off.setText(first.isoformat())
        page.off.editingFinished.emit()
        at_rest()
        assert all(laid.begin.date() != first for laid in page.plan.laid)
        page.off.setText("Christmas")
        page.off.editingFinished.emit()
        assert "year-month-day" in plan.strip.trouble.text()

    def test_the_plan_is_laid_anew_when_a_mount_is_done(self, plan: MainWindow, at_rest: Wait) -> None:
        page, notebook = plan.plan.when, plan.state.notebook
        plan.plan.go("when")
        assert notebook is not None and plan.state.study is not None and page.plan is not None
        jobs = len(page.plan.laid)
        waiting = [m for m in order_of(plan.state.study) if not m.live_runs]
        edits.to_bin(notebook, type(waiting[0]), waiting[0].id, "a mount")
        plan.state.refresh()
        at_rest()
        assert page.plan is not None and len(page.plan.laid) == jobs - 1

    def test_the_calendar_cannot_be_written_everywhere(self, plan: MainWindow, at_rest: Wait, tmp_path: Path) -> None:
        plan.plan.go("when")
        with_dialog(lambda: press(plan.plan.when, "Write iCalendar …"), choose(tmp_path / "plan"))
        assert (tmp_path / "plan.ics").read_bytes().startswith(b"BEGIN:VCALENDAR")
        plan.plan.when.write_calendar(tmp_path / "nowhere" / "plan.ics")
        assert "could not be written" in plan.strip.trouble.text() or "cannot be written" in plan.strip.trouble.text()


def test_pages_are_turned_with_keys_and_remembered(plan: MainWindow, at_rest: Wait) -> None:
    plan.plan.go("question")
    plan.activateWindow()
    assert QTest.qWaitForWindowActive(plan)
    QTest.keyClick(plan.plan, Qt.Key.Key_PageDown, Qt.KeyboardModifier.ControlModifier)
    at_rest()
    assert plan.plan.page == "fair"
    assert plan.settings.value("page/plan", "") == "fair"


def test_on_an_empty_notebook_nothing_is_claimed(window: MainWindow, at_rest: Wait, tmp_path: Path) -> None:
    assert window.notebooks.create(tmp_path / "new.kuffin")
    window.studies.begin_study("Which block?", "block", ["Tern", "Plover"], 0.5, 3)
    at_rest()
    window.show_desk("Plan")
    window.plan.go("fair")
    assert window.plan.fair.said.text().startswith("Nothing is said yet")
    window.plan.go("mounts")
    assert "guess" in window.plan.mounts.where.text()
    window.plan.go("when")
    assert "draw an order first" in window.plan.when.said.text()
    window.plan.order.draw()
    at_rest()
    window.show_desk("Prepare")
    window.prepare.go("fill")
    assert window.prepare.fill.total.text().startswith("No loop is set up yet")
    assert not any("mL" in task.text for task in window.prepare.tasks())
    window.prepare.go("leak")
    assert window.prepare.leak.allowed.text().startswith("What pressure the parts allow is not on the shelf")
    window.prepare.go("fit")
    candidate = window.prepare.mount.candidate.name  # type: ignore[union-attr]
    assert window.prepare.fitting.metals.text() == f"Nothing is known of {candidate}."
