"""The Inspect desk's pages, driven as a person drives them (offscreen)."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import replace
from pathlib import Path

import numpy as np
import pytest
from PySide6.QtCore import QPoint, Qt
from PySide6.QtTest import QTest
from PySide6.QtWidgets import QDoubleSpinBox, QPushButton

from kuffin.app.dialogs.joinlog import JoinLog
from kuffin.app.frame.window import MainWindow
from kuffin.app.widgets.texts import Opener
from kuffin.core.base.leads import ToSamples
from kuffin.core.base.traces import peaks
from kuffin.demo.scenario import demo_runs
from kuffin.notebook import edits
from kuffin.notebook.samples import read_run
from tests.app.driving import press, pump_until, shown_words, write_cell

Wait = Callable[[], None]
LEFT = Qt.MouseButton.LeftButton


def open_mount(window: MainWindow, name: str, number: int, rest: Wait, study: str = "Radiators") -> int:
    if window.state.study is None or study not in window.state.study.name:
        assert window.state.notebook is not None
        window.state.choose_study(next(s.id for s in window.state.notebook.studies() if study in s.name))
        rest()
    mount = next(m for m in window.state.mounts() if (m.candidate.name, m.round) == (name, number))
    window.open_mount(mount.id)
    rest()
    return mount.id


class TestFindings:
    def test_the_three_spoilt_runs_are_explained_and_answered(self, demo_window: MainWindow, at_rest: Wait) -> None:
        w, page = demo_window, demo_window.inspect.findings
        # trapped air: followed from the run's own line
        air = open_mount(w, "Bulrush", 2, at_rest)
        line = next(o for o in w.inspect.run_page.findChildren(Opener) if "Flow unlike" in o.text())
        QTest.mouseClick(line, LEFT)
        at_rest()
        assert w.inspect.paged.page == "findings" and page.picture.isVisible()
        said = shown_words(page)
        for part in (
            "27 % below the other mounts",
            "air in the loop",
            "1.  air in the loop",
            "Bleed it",
            "To do",
            "least departure of flow",
        ):
            assert part in said or part == "To do"
        QTest.keyClicks(page.answers.reason, "air in the radiator")
        press(page.answers, "Remount")
        at_rest()
        again = next(m for m in w.state.mounts() if m.candidate.name == "Bulrush" and m.round == 2 and m.id != air)
        assert w.side.loom.state_of(again) in {"to do", "next"}
        assert w.side.loom.state_of(next(m for m in w.state.mounts() if m.id == air)) == "left out"
        # the run that was stopped early: accepted, and opened again
        early = open_mount(w, "Reed", 3, at_rest)
        w.inspect.show_finding(early, "not settled")
        at_rest()
        assert "still to go at the end, 15 min after it began" in shown_words(page)
        QTest.keyClicks(page.answers.reason, "its level is known well enough")
        press(page.answers, "Accept")
        at_rest()
        assert "Accepted: its level is known well enough" in shown_words(page)
        assert w.state.verdict is not None and w.state.verdict.open_findings() == []
        press(page, "Open it again")
        at_rest()
        assert [o.finding.kind for o in w.state.verdict.open_findings()] == ["not settled"]
        # the loose probe, in the other study
        loose = open_mount(w, "Loam", 3, at_rest, "Pastes")
        w.inspect.show_finding(loose, "stuck")
        at_rest()
        assert "29.53 to the last digit from 21.8 min" in shown_words(page)
        assert page.picture.pieces and page.picture.pieces[0].name == "Coolant in"
        QTest.keyClicks(page.answers.reason, "the probe had come loose")
        press(page.answers, "Leave out")
        at_rest()
        assert w.side.loom.state_of(w.state.mount()) == "left out"  # type: ignore[arg-type]
        assert "left out: the probe had come loose" in w.inspect.state_word.text()

    def test_the_list_is_walked_with_the_keys_and_a_limit_is_set(self, demo_window: MainWindow, at_rest: Wait) -> None:
        w, page = demo_window, demo_window.inspect.findings
        open_mount(w, "Marl", 2, at_rest, "Pastes")
        w.inspect.paged.go("findings")
        at_rest()
        rows = [page.list.item(i).text() for i in range(page.list.count())]
        assert rows[0] == "Wait for an answer" and "?  Marl, round 2: core spread unlike the other mounts" in rows
        page.list.setCurrentRow(1)
        QTest.keyClick(page.list, Qt.Key.Key_Down)
        at_rest()
        assert page.shown is not None and page.shown.finding.kind == "core spread"
        assert "does not sit flat" in shown_words(page)
        box = next(
            b for b in page.findChildren(QDoubleSpinBox) if b.accessibleName() == "least departure of the core spread"
        )
        box.setValue(9.0)
        box.editingFinished.emit()
        at_rest()
        assert "core spread" not in {o.finding.kind for o in w.state.verdict.open_findings()}  # type: ignore[union-attr]
        w.menus.undo.trigger()
        at_rest()
        assert "core spread" in {o.finding.kind for o in w.state.verdict.open_findings()}  # type: ignore[union-attr]

    def test_what_is_found_is_seen_before_all_is_judged_and_goes_on_after_a_stop(
        self, demo_window: MainWindow, at_rest: Wait, monkeypatch: pytest.MonkeyPatch
    ) -> None:
        w, page = demo_window, demo_window.inspect.findings
        assert w.state.notebook is not None and w.state.study is not None
        monkeypatch.setattr("kuffin.app.state.windowstate._PATIENCE_S", 0.0)
        w.show_desk("Inspect")
        w.inspect.paged.go("findings")
        study = next(s.id for s in w.state.notebook.studies() if "Pastes" in s.name)
        edits.change_study(w.state.notebook, study, "another tolerance", tolerance_k=0.21)  # so nothing is kept
        w.state.choose_study(study)
        pump_until(lambda: bool(w.state.so_far.findings))
        w.state.judging.cancel()  # type: ignore[union-attr]
        at_rest()
        assert w.state.verdict is None and "Stopped after" in page.intro.text()
        assert (
            "Loam, round 3" in " ".join(page.list.item(i).text() for i in range(page.list.count()))
            or w.state.so_far.share < 1
        )
        press(page, "Go on")
        at_rest()
        assert w.state.verdict is not None and len(w.state.verdict.open_findings()) == 3


class TestTheRun:
    def test_the_cursor_reads_every_channel_and_another_run_is_laid_over(
        self, demo_window: MainWindow, at_rest: Wait
    ) -> None:
        w, page = demo_window, demo_window.inspect.run_page
        open_mount(w, "Bulrush", 2, at_rest)
        plot = page.plot
        view = plot.view
        assert view is not None and len(view.dips) > 20 and view.passes.size > 20
        plot.point_at(1500.0)
        pump_until(lambda: "25.0 min" in page.at_cursor.text())
        run = page.run()
        assert run is not None and w.state.notebook is not None
        data = read_run(w.state.notebook, run.id)
        at = int(np.searchsorted(data.times, 1500.0))
        assert f"Flow {data.values['Flow'][at]:.1f} L/h" in page.at_cursor.text()
        QTest.keyClick(page, Qt.Key.Key_Right, Qt.KeyboardModifier.ControlModifier)
        sedge = next(m for m in w.state.mounts() if (m.candidate.name, m.round) == ("Sedge", 1))
        page.over.choose(sedge.id)
        at_rest()
        other = plot.other
        assert other is not None and other[1] == "Sedge, round 1"
        page.show_row("clock", True)
        page.show_row("residuals", True)
        assert "clock" in plot.rows and plot.rest is not None
        assert w.settings.value("inspect/rows", "").endswith("residuals")
        page.show_row("clock", False)
        assert "clock" not in plot.rows

    def test_the_reading_follows_the_band_while_it_is_dragged(self, demo_window: MainWindow, at_rest: Wait) -> None:
        w, page = demo_window, demo_window.inspect.run_page
        open_mount(w, "Sedge", 1, at_rest)
        before = page.answer.text()
        page.plot.window_moving.emit(600.0, 900.0)
        assert page.at_cursor.text().startswith("10.0 to 15.0 min: plain mean 0.04")
        assert page.answer.text() == before
        page.plot.region.setRegion([27.0, 31.0])  # type: ignore[union-attr]
        at_rest()
        assert "window by hand; found: " in page.answer.text()

    def test_a_reading_is_followed_to_its_samples_and_copied(self, demo_window: MainWindow, at_rest: Wait) -> None:
        w = demo_window
        open_mount(w, "Sedge", 1, at_rest)
        QTest.mouseClick(w.inspect.run_page.answer, LEFT)
        lead = next(x.to for x in w.working.shown.links if isinstance(x.to, ToSamples))
        w.working.followed.emit(lead)
        at_rest()
        assert w.working.shown.title == "Sedge, round 1: the window's samples"
        press(w.working, "Copy as text")
        from PySide6.QtGui import QGuiApplication

        assert len(QGuiApplication.clipboard().text().splitlines()) > 600
        w.working.go_back()
        assert "coolant over air" in w.working.shown.title

    def test_the_steps_of_a_staircase_open_their_working(self, demo_window: MainWindow, at_rest: Wait) -> None:
        w = demo_window
        open_mount(w, "Sedge", 1, at_rest)
        stairs = w.inspect.run_page.stairs
        stairs.setFocus()
        titles = []
        for box in stairs.boxes:
            QTest.mouseClick(stairs, LEFT, pos=box.center().toPoint())
            titles.append(w.working.shown.title)
        assert titles == ["Sedge, round 1: coolant over air", "Sedge, round 1: die over coolant"]

    def test_every_figure_of_the_budget_and_the_ways_opens_its_working(
        self, demo_window: MainWindow, at_rest: Wait
    ) -> None:
        w = demo_window
        open_mount(w, "Sedge", 1, at_rest)
        w.inspect.paged.go("figures")
        at_rest()
        page = w.inspect.figures
        figures = [b for b in page.findChildren(QPushButton) if b.property("working") == "true" and b.isVisibleTo(page)]
        titles = []
        for figure in figures:
            figure.click()
            titles.append(w.working.shown.title)
            assert any(n.formula for n in w.working.shown.numbers), figure.text()
        assert {"Sedge, round 1: coolant over air, per watt", "Sedge, round 1: what makes its uncertainty"} <= set(
            titles
        )
        assert titles.count("Sedge, round 1: what makes its uncertainty") >= 10

    def test_a_window_by_the_clock_is_set_in_the_protocol(self, demo_window: MainWindow, at_rest: Wait) -> None:
        w = demo_window
        w.show_desk("Plan")
        w.plan.go("protocol")
        at_rest()
        write_cell(w.plan.protocol.table, 1, 9, "30 to 27")
        assert "is no window" in w.strip.trouble.text()
        write_cell(w.plan.protocol.table, 1, 9, "27-30")
        at_rest()
        assert w.plan.protocol.table.item(1, 9).text() == "27–30 min"
        open_mount(w, "Sedge", 1, at_rest)
        assert "window by the clock; found: " in w.inspect.run_page.answer.text()
        assert "set by the clock" in w.inspect.state_word.text()
        region = w.inspect.run_page.plot.region
        assert region is not None and region.getRegion() == pytest.approx((31.0, 34.0), abs=0.1)  # load from minute 4

    def test_the_mount_beside_is_drawn_at_once_and_anew_after_a_change(
        self, demo_window: MainWindow, at_rest: Wait
    ) -> None:
        w, page = demo_window, demo_window.inspect.run_page
        open_mount(w, "Sedge", 1, at_rest)
        beside = next(m for m in w.state.mounts() if (m.candidate.name, m.round) == ("Sedge", 2))
        QTest.qWait(350)  # somebody looks at it for a moment
        at_rest()
        first = page.plot.view
        w.open_mount(beside.id)
        ahead = page.plot.view  # with nothing to wait for
        assert ahead is not None and ahead is not first and page.plot.updatesEnabled()
        run = beside.live_runs[0]
        assert ahead.times.size == read_run(w.state.notebook, run.id).times.size  # type: ignore[arg-type]
        at_rest()
        study = w.state.study
        assert study is not None and w.state.notebook is not None
        edits.change_study(w.state.notebook, study.id, "tolerance", tolerance_k=0.5)
        w.state.refresh()
        at_rest()
        assert page.plot.view is not ahead  # judged by another tolerance

    def test_a_second_log_is_shown_before_it_is_joined(
        self, demo_window: MainWindow, at_rest: Wait, tmp_path: Path
    ) -> None:
        w = demo_window
        open_mount(w, "Sedge", 1, at_rest)
        run, notebook = w.inspect.run_page.run(), w.state.notebook
        assert run is not None and notebook is not None
        data = read_run(notebook, run.id)
        times = np.arange(0.0, 2500.0, 4.0)
        values = np.interp(times + 212.0, data.times, data.values["Coolant out"])
        rows = "\n".join(f"{t:.1f};{v:.2f}" for t, v in zip(times, values, strict=True))
        log = tmp_path / "probe box.csv"
        log.write_text("Time [s];Outlet probe [°C]\n" + rows, encoding="utf-8")
        w.joiner.join(run.id, str(log))
        at_rest()
        dialog = w.joiner.dialog
        assert isinstance(dialog, JoinLog) and "Found by Coolant out and Outlet probe" in dialog.said.text()
        assert dialog.lag.value() == pytest.approx(212, abs=3)
        dialog.lag.setValue(99_999.0)
        assert not dialog.take.isEnabled()  # overlaps nowhere
        press(dialog, "Find the lag by these")
        assert dialog.lag.value() == pytest.approx(212, abs=3) and dialog.take.isEnabled()
        dialog.accept()
        at_rest()
        assert any("Outlet probe" in [x.name for x in r.lines] for r in w.inspect.run_page.plot.view.rows)  # type: ignore[union-attr]
        assert "joined: probe box.csv" in shown_words(w.inspect.run_page)
        off = next(b for b in w.inspect.run_page.joined.findChildren(QPushButton) if b.text() == "take off")
        QTest.mouseClick(off, LEFT)
        at_rest()
        assert not w.inspect.run_page.joined.isVisible()


class TestInside:
    def test_the_heat_path_of_a_run_and_of_all_candidates(self, demo_window: MainWindow, at_rest: Wait) -> None:
        w, page = demo_window, demo_window.inspect.heat
        open_mount(w, "Sedge", 1, at_rest)
        w.inspect.paged.go("heat")
        at_rest()
        assert "The bottleneck is the step from coolant to die" in shown_words(page)
        assert "Into the coolant by flow and probes" in page.balance.text()
        QTest.mouseClick(page.balance, LEFT)
        assert w.working.shown.title == "Heat into the coolant"
        press(page, "kelvins per watt")
        press(page, "candidates side by side")
        assert [f.label for f in page.shown()] == ["Sedge", "Reed", "Bulrush", "Rush"]
        assert "Rush: coolant 0.0" in page.flights.accessibleDescription()

    def test_figures_budget_extremes_and_clock(self, demo_window: MainWindow, at_rest: Wait) -> None:
        w = demo_window
        open_mount(w, "Reed", 3, at_rest)
        w.inspect.paged.go("figures")
        at_rest()
        said = shown_words(w.inspect.figures)
        for part in (
            "heading for, 14 to 19 min",
            "Coolant in: offset",
            "cancels",
            "scatter between mounts (U95)",
            "exceeded 1 % of the time",
            "rank by the mean",
        ):
            assert part in said
        press_whole = next(b for b in w.inspect.figures.ways.findChildren(QPushButton) if "±" in b.text())
        QTest.mouseClick(press_whole, LEFT)
        assert w.working.shown.title == "Whole-trace fit: coolant over air"
        QTest.mouseClick(w.inspect.figures.advice, LEFT, pos=QPoint(5, 5))
        assert "what makes its uncertainty" in w.working.shown.title
        w.inspect.paged.go("clock")
        at_rest()
        said = shown_words(w.inspect.clock)
        assert "4700 → 4675 MHz" in said and "Not throttled" in said and "A kelvin costs" in said


def test_what_cannot_be_told_is_said_and_the_rest_is_told(demo_window: MainWindow, at_rest: Wait) -> None:
    w = demo_window
    notebook = w.state.notebook
    assert notebook is not None
    table = demo_runs()[0].table

    def cut(n: int) -> object:
        return replace(table, times=table.times[:n], channels=[replace(c, values=c.values[:n]) for c in table.channels])

    def without(*roles: str) -> object:
        return replace(table, channels=[c for c in table.channels if c.role not in roles])

    missing = replace(table, channels=[replace(c, values=np.full(c.values.size, np.nan)) for c in table.channels])
    swap = {"Die": "coolant_in", "Coolant in": "die"}
    contradict = replace(table, channels=[replace(c, role=swap.get(c.name, c.role)) for c in table.channels])
    cases = {
        1: (without("power"), "no channel has the role “power”"),
        2: (without("air_in", "room"), "no channel has the role “air”"),
        3: (replace(table, channels=table.channels[2:3]), "no channel has the role “air”"),
        4: (cut(10), "too short to judge"),
        5: (missing, "fewer than 8 readings"),
        6: (contradict, "that cannot be"),
    }
    study = edits.add_study(notebook, "What may be missing?", "radiator", ["Reed"], rounds=6)
    for number, (log, _) in cases.items():
        other = replace(log, channels=[replace(c, values=c.values + 1e-6 * number) for c in log.channels])  # type: ignore
        edits.add_log(notebook, study, "Reed", other, round_number=number)
    w.state.choose_study(study)
    at_rest()
    for number, (_, sentence) in cases.items():
        open_mount(w, "Reed", number, at_rest, "may be missing")
        said = shown_words(w.inspect.run_page) + w.inspect.run_page.answer.text()
        assert sentence in said, (number, said)
        assert w.inspect.run_page.plot.view is not None  # what there is is drawn
        for page in ("findings", "heat", "figures", "clock"):
            w.inspect.paged.go(page)
            at_rest()
        assert "fault of Kuffin" not in w.strip.trouble.text()
    open_mount(w, "Reed", 1, at_rest, "may be missing")
    assert w.inspect.run_page.plot.view.settling is None  # type: ignore[union-attr]
    w.inspect.run_page.trace = "coolant_over_air"
    w.inspect.run_page.renew()
    at_rest()
    assert w.inspect.run_page.plot.view.settling is not None  # type: ignore[union-attr]


def test_peaks_hold_every_extreme() -> None:
    rng = np.random.default_rng(1)
    t, x = np.arange(1003.0), rng.normal(0, 1, 1003)
    x[500:540] = np.nan
    at, coarse = peaks(t, x, 16)
    assert np.nanmax(coarse) == np.nanmax(x) and np.nanmin(coarse) == np.nanmin(x)
    assert at.size == coarse.size == 2 * 63 and (np.diff(at) >= 0).all()
    assert np.isnan(coarse).any()
