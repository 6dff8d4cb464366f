"""The Compare desk's pages, driven as a person drives them (offscreen)."""

from __future__ import annotations

from collections.abc import Callable
from typing import Any

import numpy as np
import pytest
from PySide6.QtCore import QPoint, Qt
from PySide6.QtTest import QTest
from PySide6.QtWidgets import QApplication, QComboBox, QPushButton

from kuffin.app.desks.compare.desk import PAGES
from kuffin.app.frame.window import MainWindow
from kuffin.app.look import theme as looks
from kuffin.app.widgets.axis import decimals, round_step, ticks
from kuffin.app.widgets.keywalked import Walked
from kuffin.demo import blocks
from kuffin.demo.quiet import NAME as QUIET
from kuffin.notebook import edits
from kuffin.verdict.grid import Cell
from tests.app.driving import give, press, shown_words
from tests.verdict.test_whatnext import bench

Wait = Callable[[], None]
LEFT = Qt.MouseButton.LeftButton


def open_study(w: MainWindow, name: str, rest: Wait) -> None:
    assert w.state.notebook is not None
    w.state.choose_study(next(s.id for s in w.state.notebook.studies() if name in s.name))
    w.show_desk("Compare")
    rest()


def page(w: MainWindow, key: str, rest: Wait) -> Any:
    w.compare.go(key)
    rest()
    return w.compare.page(key)


@pytest.fixture
def desk(demo_window: MainWindow, at_rest: Wait) -> MainWindow:
    open_study(demo_window, "Blocks", at_rest)
    return demo_window


class TestTheBlocks:
    def test_the_top_line_says_all_of_it(self, desk: MainWindow) -> None:
        said = desk.header.verdict.text()
        for part in (
            "Plover keeps the die cooler than Dunlin",
            "Dunlin, Knot and Tern are the same within 1 K",
            "The claim that Plover is at least 3 K cooler than Tern does not hold",
            "The bench moved by 1.1 K between day 2 and day 3",
        ):
            assert part in said
        names = [b.text() for b in desk.compare.paged.group.buttons()]
        assert "Trust  moved" in names and "Claims  1" in names

    def test_conditions_sharpen_cell_by_cell_and_open_their_pairs(self, desk: MainWindow, at_rest: Wait) -> None:
        p = page(desk, "outcomes", at_rest)
        assert len(p.results) == 19  # seven outcomes; of idle there is one cell for all conditions
        said = shown_words(p)
        assert "A trade-off: Plover is among the coolest on the die and hot spot" in said
        assert "all 19 comparisons together" in said
        p.grid.setFocus()
        QTest.keyClick(p.grid, Qt.Key.Key_Right)
        QTest.keyClick(p.grid, Qt.Key.Key_Down)
        QTest.keyClick(p.grid, Qt.Key.Key_Return)
        assert desk.working.shown.title == "hot spot, 180 W"
        box = p.grid.box(Cell("load 240 W", "regulator_over_coolant_per_watt"))
        QTest.mouseClick(p.grid, LEFT, pos=box.center().toPoint())
        assert "Dunlin is coolest" in shown_words(desk.working)
        desk.working.follow(0)  # the coolest's mean in this cell, then one of its mounts, then the samples
        assert desk.working.shown.title == "Dunlin: regulators over coolant, per watt"
        cell = p.results[Cell("load 240 W", "regulator_over_coolant_per_watt")].comparison.candidate("Dunlin")
        assert desk.working.shown.numbers[0].value == pytest.approx(cell.mean)
        desk.working.follow(0)
        assert desk.working.shown.title == "Dunlin, round 1: regulators over coolant, per watt"
        desk.working.follow(0)
        at_rest()
        assert desk.working.shown.title == "Dunlin, round 1: the window's samples"
        assert "regulators" in desk.working.text.lower() or "vrm" in desk.working.text.lower()

    @pytest.mark.parametrize("key", ["scatter", "rounds", "value"])
    def test_every_figure_of_a_table_opens_its_working(self, desk: MainWindow, at_rest: Wait, key: str) -> None:
        p = page(desk, key, at_rest)
        figures = [b for b in p.findChildren(QPushButton) if b.property("working") == "true" and b.isVisible()]
        assert len(figures) >= 4
        titles = set()
        for figure in figures:
            figure.click()
            shown = desk.working.shown
            assert shown is not None and any(n.formula for n in shown.numbers), (key, figure.text())
            titles.add(shown.title)
        assert len(titles) == len(figures)

    @pytest.mark.parametrize(("key", "picture"), [("scatter", "bars"), ("value", "plot")])
    def test_what_a_picture_shows_opens_its_working(
        self, desk: MainWindow, at_rest: Wait, key: str, picture: str
    ) -> None:
        drawn = getattr(page(desk, key, at_rest), picture)
        assert isinstance(drawn, Walked) and drawn.item_count() == len(drawn.boxes) >= 3
        for i, box in enumerate(drawn.boxes):
            desk.working.leave()
            QTest.mouseClick(drawn, LEFT, pos=box.center().toPoint())
            by_mouse = desk.working.shown
            assert desk.working.isVisible() and by_mouse is not None and any(n.formula for n in by_mouse.numbers)
            desk.working.leave()
            drawn.setFocus()
            QTest.keyClick(drawn, Qt.Key.Key_Return)  # the item that was clicked keeps the focus
            assert desk.working.shown == by_mouse, i

    def test_the_family_and_the_main_condition_are_edits(self, desk: MainWindow, at_rest: Wait) -> None:
        p = page(desk, "outcomes", at_rest)
        p.family.setCurrentIndex(1)
        p.family.activated.emit(1)
        at_rest()
        assert "each of the 19 comparisons on its own" in shown_words(p)
        study, notebook = desk.state.study, desk.state.notebook
        assert study is not None and notebook is not None
        two = [(c.id, c.name) for c in study.live_candidates if c.name in {"Plover", "Dunlin"}]
        edits.change_candidates(notebook, study.id, two)  # every run is worked out anew below: eight are enough
        at_rest()
        p.main.setCurrentIndex(p.main.findData("load 120 W"))
        p.main.activated.emit(p.main.currentIndex())
        at_rest()
        assert desk.state.verdict is not None and desk.state.verdict.condition == "load 120 W"
        desk.menus.undo.trigger()
        at_rest()
        assert desk.state.verdict.condition == "load 240 W"

    def test_a_school_is_chosen_from_its_column(self, desk: MainWindow, at_rest: Wait) -> None:
        p = page(desk, "schools", at_rest)
        assert "would be judged otherwise by another school" in shown_words(p)
        p.rankings.setFocus()
        QTest.keyClick(p.rankings, Qt.Key.Key_Right)
        QTest.keyClick(p.rankings, Qt.Key.Key_Return)
        at_rest()
        assert desk.state.verdict is not None and desk.state.verdict.school.key == "die_as_read"
        desk.menus.undo.trigger()
        at_rest()
        assert desk.state.verdict.school.key == "die_over_coolant_per_watt"

    def test_a_claim_stands_against_its_interval(self, desk: MainWindow, at_rest: Wait) -> None:
        p = page(desk, "claims", at_rest)
        said = shown_words(p)
        assert "even the best case falls short of 3 K" in said and "on its box, at 250 W" in said
        p.lines.setFocus()
        desk.explain()  # what F1 does
        assert "Tukey-Kramer" in desk.working.text
        assert "Refuted" in p.lines.accessibleDescription()
        # three kelvins are claimed at whatever power: under less heat it is further off still
        assert [r.label for r in p.under.rows] == [f"Plover over Tern, {w} W" for w in (120, 180, 240)]
        assert p.under.rows[0].high < p.under.rows[2].high and all("Refuted" in r.said for r in p.under.rows)

    def test_the_baseline_moved_and_correcting_is_an_edit(self, desk: MainWindow, at_rest: Wait) -> None:
        p = page(desk, "baseline", at_rest)
        assert "rose by 1.1 ± 0.5 K between day 2 and day 3" in shown_words(p)
        assert "The rounds have taken out the bench's move already." in shown_words(p)
        p.plot.grab()
        QTest.mouseClick(p.plot, LEFT, pos=p.plot.points[4].toPoint())
        assert desk.working.shown.title.startswith("Tern, round 3")
        # with rounds as blocks there is nothing left to take out
        assert not p.correct.isEnabled() and not p.table.isVisible()
        assert "(taken out with the rounds)" in desk.header.verdict.text()
        assert desk.state.notebook is not None and desk.state.study is not None
        edits.change_study(desk.state.notebook, desk.state.study.id, "rounds are no blocks", blocks=False)
        at_rest()
        assert p.correct.isEnabled() and "Correcting changes" in shown_words(p)
        QTest.mouseClick(p.correct, LEFT, pos=QPoint(8, p.correct.height() // 2))
        at_rest()
        assert desk.state.verdict is not None and desk.state.verdict.corrected
        assert "(corrected by the baseline)" in desk.header.verdict.text()
        assert desk.menus.undo.text() == "Undo: correct by the baseline"

    def test_scatter_says_what_the_next_sample_buys(self, desk: MainWindow, at_rest: Wait) -> None:
        p = page(desk, "scatter", at_rest)
        said = shown_words(p)
        assert "one more sample of each buys more than three more mounts" in said
        assert "sample 2" in said
        p.scope.setCurrentIndex(2)
        p.scope.activated.emit(2)
        at_rest()
        assert "these products, as far as 1 to 2 samples of each tell" in shown_words(p)
        assert "told apart" in desk.header.verdict.text()

    def test_looks_are_written_refused_and_taken_back(self, desk: MainWindow, at_rest: Wait) -> None:
        p = page(desk, "rounds", at_rest)
        assert "Enough" in shown_words(p) and "99.84 %" in shown_words(p)
        give(p.looks, "1, 9")
        at_rest()
        assert p.looks.text() == "2, 4" and "round 2 at the earliest" in desk.strip.trouble.text()
        p.looks.clear()
        QTest.keyClick(p.looks, Qt.Key.Key_Return)
        at_rest()
        assert "These are the plan's usual looks" in shown_words(p) and p.looks.placeholderText() == "2, 3, 4"
        desk.menus.undo.trigger()
        at_rest()
        assert p.looks.text() == "2, 4"

    def test_what_was_left_out_is_told_both_ways(self, desk: MainWindow, at_rest: Wait) -> None:
        p = page(desk, "left out", at_rest)
        assert "Nothing is left out" in shown_words(p)
        assert desk.state.notebook is not None and desk.state.verdict is not None
        mount = next(r.mount_id for r in desk.state.verdict.main.readings if r.label == "Knot, round 2")
        edits.leave_out(desk.state.notebook, mount, "Knot, round 2", "put on dry")
        at_rest()
        said = shown_words(p)
        assert "put on dry" in said and "With it counted" in said
        press(p, "39.8 K")
        at_rest()
        assert desk.stack.currentWidget() is desk.inspect

    def test_value_has_prices_kelvins_and_the_clock(self, desk: MainWindow, at_rest: Wait) -> None:
        said = shown_words(page(desk, "value", at_rest))
        for part in (
            "118 EUR",
            "the cheapest",
            "EUR a kelvin",
            "23 EUR more than Ruff buy",
            "What a user would notice",
            "MHz",
        ):
            assert part in said

    def test_other_studies_are_linked_or_refused(self, desk: MainWindow, at_rest: Wait) -> None:
        p = page(desk, "across", at_rest)
        said = shown_words(p)
        assert "Nothing can be linked with this study" in said and "compares radiators" in said
        assert desk.state.notebook is not None and desk.state.study is not None
        nb = desk.state.notebook
        other = edits.add_study(nb, "Older blocks?", "block", ["Tern", "Knot"], 1.0, name="Older blocks")
        edits.change_study(nb, other, "as the first", protocol_id=desk.state.study.protocol_id, tolerance_k=0.5)
        runs = [r for r in blocks.block_runs() if r.candidate in {"Tern", "Knot"} and not r.control and r.round < 4]
        edits.add_logs(nb, other, [edits.NewRun(r.candidate, r.table, round=r.round) for r in runs])
        open_study(desk, "Blocks", at_rest)
        p = page(desk, "across", at_rest)
        at_rest()
        assert p.lines.isVisible() and p.link.baseline == "Tern"
        p.lines.setFocus()
        QTest.keyClick(p.lines, Qt.Key.Key_Return)
        assert "degrees of freedom" in desk.working.text
        knot = p.part.findText("Knot")
        p.part.setCurrentIndex(knot)
        p.part.activated.emit(knot)
        at_rest()
        assert "Older blocks" in shown_words(p.known)
        # the part's own page leads here too
        desk.show_behind("Shelf")
        desk.shelf_page.look_at(next(q.id for q in desk.shelf.parts if q.name == "Sedge"))
        press(desk.shelf_page, "All that is known of it")
        at_rest()
        assert desk.stack.currentWidget() is desk.compare and p.part.currentText() == "Sedge"
        assert "Radiators, spring" in shown_words(p.known)

    def test_the_words_are_copied_as_they_stand(self, desk: MainWindow, at_rest: Wait) -> None:
        p = page(desk, "words", at_rest)
        assert "Plover is 1.2 to 2.3 K cooler than Tern" in shown_words(p)
        press(p, "Copy all")
        copied = QApplication.clipboard().text()
        assert "Oxbow Works says (on its box, at 250 W)" in copied and copied.count("\n\n") == 10

    def test_pages_take_the_dark_theme_and_the_real_study_back(self, desk: MainWindow, at_rest: Wait) -> None:
        for key, _ in PAGES:
            page(desk, key, at_rest)
        desk.compare.set_theme(looks.DARK)
        for key, _ in PAGES:
            shot = page(desk, key, at_rest).grab().toImage()
            assert not shot.isNull()
        desk.compare.set_theme(looks.LIGHT)
        open_study(desk, "Radiators", at_rest)
        said = shown_words(page(desk, "outcomes", at_rest))
        assert "On the coolant nothing is told apart" in said
        assert "By loudness, Reed, Bulrush and Rush are within 1 dBA of the best" in said, said[
            :600
        ]  # Sedge's tight fins are not


def test_empty_pages_say_what_they_are_for(window: MainWindow, at_rest: Wait) -> None:
    for key, title in PAGES:
        p = page(window, key, at_rest)
        assert p.empty.text(), title


def test_ticks_are_round_and_cover_the_axis() -> None:
    rng = np.random.default_rng(5)
    for _ in range(200):
        low = float(rng.normal(0, 50))
        span = float(np.exp(rng.uniform(-4, 6)))
        found = ticks(low, low + span, 6)
        step = round_step(span, 6)
        assert 1 <= len(found) <= 8
        assert all(low - 1e-9 <= x <= low + span + 1e-6 * span for x in found)
        assert all(abs(x / step - round(x / step)) < 1e-6 for x in found)
        assert round(step, decimals(step)) == pytest.approx(step)


def choose(box: QComboBox, words: str) -> None:
    box.setCurrentIndex(next(i for i in range(box.count()) if words in box.itemText(i)))
    box.activated.emit(box.currentIndex())


class TestAlongASweep:
    """Compare · Along a sweep, on the demo's radiators that were swept over the fans."""

    def swept(self, window: MainWindow, at_rest: Wait) -> Any:
        open_study(window, QUIET, at_rest)
        return page(window, "along", at_rest)

    def test_a_line_is_dragged_and_candidates_are_read_off(self, demo_window: MainWindow, at_rest: Wait) -> None:
        along = self.swept(demo_window, at_rest)
        assert along.axis.currentText() == "loudness, dBA"
        place = QPoint(int(along.plot.place_of(31.0)), 150)
        QTest.mouseClick(along.plot, Qt.MouseButton.LeftButton, pos=place)
        assert along.at.value() == pytest.approx(31.0, abs=0.4)
        before = along.heading.text()
        assert "Reed is cooler than" in before and "Each at its own operating point (fans" in along.there.text()
        QTest.keyClick(along.plot, Qt.Key.Key_Right, Qt.KeyboardModifier.ShiftModifier)
        assert along.at.value() > 31.5
        along.plot.setFocus()
        QTest.keyClick(along.plot, Qt.Key.Key_Down)  # over the points, the mounts' own readings
        assert along.plot.accessibleDescription().startswith("Sedge, round 1: ")
        QTest.keyClick(demo_window, Qt.Key.Key_F1)
        assert demo_window.working.isVisible() and "Sedge" in demo_window.working.shown.title
        along.at.setValue(46.0)
        assert "Reed and Bulrush: not swept as far as that" in along.heading.text() + along.there.text()
        assert "Reed beats" not in along.ranking.text() and "Sedge and Reed: below" in along.ranking.text()
        choose(along.axis, "fan speed")
        assert "above" in along.ranking.text() and "Sedge is cooler" in along.ranking.text()
        assert not along.beaten.isVisibleTo(along) and along.at.suffix() == " rpm"
        along.wanted.setValue(9.0)
        assert along.takes.text().startswith("For 9.0 K: Sedge takes")

    def test_a_figure_shows_its_working_with_each_mounts_curve(self, demo_window: MainWindow, at_rest: Wait) -> None:
        along = self.swept(demo_window, at_rest)
        button = next(b for b in along.table.findChildren(QPushButton) if "K" in b.text())
        button.click()
        at_rest()
        numbers = [n for top in demo_window.working.shown.numbers for n in top.all()]
        assert any(n.name == "Reed, round 1" and "read off its own curve, 4 points" in n.source for n in numbers)

    def test_what_says_nothing_is_said_to(self, demo_window: MainWindow, at_rest: Wait) -> None:
        along = self.swept(demo_window, at_rest)
        choose(along.outcome, "Loudness")
        assert "along itself says nothing" in along.heading.text() and not along.plot.isVisibleTo(along)
        choose(along.axis, "fan speed")
        assert along.plot.isVisibleTo(along) and "quieter than Sedge" in along.heading.text() + along.there.text()
        demo_window.state.choose_study(demo_window.state.notebook.studies()[0].id)
        at_rest()
        assert "tested at three settings or more" in along.empty.text() and along.empty.isVisibleTo(along)


class TestWhatIf:
    def test_another_power_room_and_limit_are_asked_for_and_shown_to_be_known_less_well(
        self, desk: MainWindow, at_rest: Wait
    ) -> None:
        what = page(desk, "what if", at_rest)
        assert (what.power.value(), what.air.value(), what.fan.text()) == (240.0, 22.0, "55")
        assert "the die is coolest under Plover" in what.heading.text() and "measured" in what.heading.text()
        what.power.setValue(480)
        give(what.limit, "85")
        at_rest()
        assert "Power beyond what was measured" in what.heading.text() and "power at 85 °C" in shown_words(what.table)
        assert "fans for 85 °C" in shown_words(what.table)
        assert "Plover is cooler than Tern by" in what.pairs.text() and "(estimated)" in what.pairs.text()
        place = QPoint(int(what.plot.place_of(180.0)), 150)
        QTest.mouseClick(what.plot, LEFT, pos=place)
        at_rest()
        assert what.power.value() == pytest.approx(180, abs=6)
        next(b for b in what.table.findChildren(QPushButton) if "°C" in b.text()).click()
        assert desk.working.shown.title.startswith("Plover at 18")
        give(what.pump, "300")
        assert "lies between 5 and 120" in desk.strip.trouble.text()

    def test_another_studys_part_and_another_coolant_are_chosen_and_what_cannot_be_is_said_beside_the_fields(
        self, demo_window: MainWindow, at_rest: Wait
    ) -> None:
        open_study(demo_window, "Radiators, spring", at_rest)
        what = page(demo_window, "what if", at_rest)
        assert "die" not in what.heading.text().split(":")[1]
        choose(what.part, "Plover (Blocks, late winter)")
        choose(what.coolant, "Brook")
        at_rest()
        assert "with Plover, Brook as coolant: the die is coolest under" in what.heading.text()
        next(b for b in what.table.findChildren(QPushButton) if "°C" in b.text()).click()
        told = " ".join(r.text for r in demo_window.working.shown.rows)
        assert "Plover, 4 mounts in “Blocks, late winter”" in told and "Brook’s film" in told
        choose(what.part, "as on the bench")
        open_study(demo_window, "Pastes, winter", at_rest)
        choose(what.coolant, "water")
        assert "which coolant the bench has is not told" in what.trouble.text().lower() and what.coolant.isVisible()


class TestWhatToMountNext:
    def test_a_round_is_proposed_with_its_working_and_planned_with_a_button(
        self, demo_window: MainWindow, at_rest: Wait
    ) -> None:
        open_study(demo_window, "Radiators, spring", at_rest)
        rounds = page(demo_window, "rounds", at_rest)
        assert "next: " in rounds.next_said.text() and "which is best" in rounds.next_said.text()
        button = next(b for b in rounds.choices.findChildren(QPushButton) if b.text().endswith(" %"))
        button.click()
        assert "Drawn from" in [r.label for r in demo_window.working.shown.rows]
        names = set(rounds.next_said.text().split(" next:")[0].replace(" and ", ", ").split(", "))
        press(rounds, "Plan this round")
        at_rest()
        planned = {m.candidate.name for m in demo_window.state.mounts() if not m.live_runs}
        assert planned == names and planned

    def test_where_it_is_not_worth_it_what_would_be_enough_is_accepted_with_a_button(
        self, demo_window: MainWindow, at_rest: Wait
    ) -> None:
        open_study(demo_window, "Radiators, spring", at_rest)
        rounds = page(demo_window, "rounds", at_rest)
        alike = {"Sedge": [30.0, 31.5, 29.0, 30.6, 29.4, 31.0], "Reed": [30.7, 29.2, 31.4, 30.4, 31.1, 29.3]}
        demo_window.state.verdict = bench(alike, margin_k=0.05, plan={"looks": [6]}).judge()
        rounds.renew()
        at_rest()
        assert rounds.next_said.text().startswith("More mounts will hardly settle Sedge and Reed within 0.05 K")
        assert not rounds.plan_it.isVisibleTo(rounds.content)
        accepted = rounds.accept.text()
        press(rounds, accepted)
        at_rest()
        assert demo_window.state.study is not None
        assert accepted == f"Accept {demo_window.state.study.margin_k:g} K as what matters"
