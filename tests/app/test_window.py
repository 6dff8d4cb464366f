"""The window, driven as a person drives it (offscreen)."""

from __future__ import annotations

import csv
import json
from collections.abc import Callable
from pathlib import Path

import pytest
from PySide6.QtCore import QMimeData, QPointF, Qt, QUrl
from PySide6.QtGui import QDesktopServices, QDropEvent, QImage
from PySide6.QtWidgets import QFileDialog, QMessageBox, QPushButton
from pytestqt.qtbot import QtBot

from kuffin.app.dialogs.binview import BinView
from kuffin.app.dialogs.channels import Channels
from kuffin.app.dialogs.newstudy import NewStudy
from kuffin.app.frame.window import MainWindow
from kuffin.demo.scenario import write_logs
from kuffin.notebook.store import Notebook
from tests.app.driving import pump_until, renewed, shown_words

Wait = Callable[[], None]
LEFT = Qt.MouseButton.LeftButton


def mount(window: MainWindow, label: str) -> int:
    assert window.state.verdict is not None
    return next(r.mount_id for r in window.state.verdict.main.readings if r.label == label)


class TestTheFirstPage:
    def test_it_offers_the_demo_a_study_and_logs(self, window: MainWindow) -> None:
        assert window.pages.currentWidget() is window.start
        assert not window.header.isVisible()

    def test_the_demo_opens_and_speaks(self, window: MainWindow, at_rest: Wait) -> None:
        window.notebooks.open_demo()
        at_rest()
        assert window.header.question.text() == "Which slim radiator keeps booth seven cool?"
        assert "Sedge is ahead so far" in window.header.verdict.text()
        assert window.header.next.text().endswith("look at Bulrush, round 2")
        first = window.state.notebook
        window.notebooks.open_demo()  # a fresh copy each time
        at_rest()
        assert window.state.notebook is not first

    def test_recent_notebooks_come_back(self, demo_window: MainWindow) -> None:
        pump_until(lambda: demo_window.settings.recent)  # once it is seen to work
        assert demo_window.settings.recent[0].endswith("booth seven.kuffin")

    def test_another_opens_while_the_window_goes_on_and_what_is_none_leaves_it(
        self, demo_window: MainWindow, at_rest: Wait, tmp_path: Path
    ) -> None:
        first, other, odd = demo_window.state.notebook, tmp_path / "other.kuffin", tmp_path / "odd.kuffin"
        assert first is not None
        first.save_copy(other)
        odd.write_text("nothing " * 40)
        demo_window.studies.add_logs([str(other)])  # as it is dropped
        assert demo_window.state.notebook is first
        at_rest()
        now = demo_window.state.notebook
        assert now is not None and now.path == other and demo_window.header.question.isVisible()
        demo_window.start.recent_wanted.emit(str(odd))
        at_rest()
        assert demo_window.state.notebook is now and "no Kuffin notebook" in demo_window.strip.trouble.text()

    def test_what_is_no_notebook_is_said_in_the_strip(self, window: MainWindow, tmp_path: Path) -> None:
        odd = tmp_path / "odd.kuffin"
        odd.write_text("nothing " * 40)
        assert not window.notebooks.open_path(odd)
        assert "no Kuffin notebook" in window.strip.trouble.text()
        assert window.strip.trouble.isVisible()


class TestTheMainPath:
    def test_look_leave_out_undo_redo(self, demo_window: MainWindow, qtbot: QtBot, at_rest: Wait) -> None:
        w = demo_window
        qtbot.mouseClick(w.header.next, LEFT)
        at_rest()
        assert w.stack.currentWidget() is w.inspect
        assert w.inspect.title.text() == "Bulrush, round 2"
        assert "27 % below" in shown_words(w.inspect.run_page)
        qtbot.mouseClick(w.inspect.run_page.answers.leave, LEFT)  # without a reason
        assert "only with a reason" in w.strip.trouble.text()
        qtbot.keyClicks(w.inspect.run_page.answers.reason, "air trapped in the radiator")
        qtbot.keyClick(w.inspect.run_page.answers.reason, Qt.Key.Key_Return)
        at_rest()
        assert w.side.loom.state_of(w.state.mount()) == "left out"  # type: ignore[arg-type]
        assert "The claim that Rush is at least 1 K cooler than Reed does not hold." in w.header.verdict.text()
        assert w.header.next.text().endswith("look at Reed, round 3")
        assert w.menus.undo.text() == "Undo: leave out Bulrush, round 2"
        w.menus.undo.trigger()
        at_rest()
        assert w.side.loom.state_of(w.state.mount()) == "doubtful"  # type: ignore[arg-type]
        w.menus.redo.trigger()
        at_rest()
        qtbot.mouseClick(w.inspect.run_page.answers.leave, LEFT)  # now it takes back in
        at_rest()
        assert w.state.mount().left_out is None  # type: ignore[union-attr]

    def test_keep_a_doubtful_mount(self, demo_window: MainWindow, qtbot: QtBot, at_rest: Wait) -> None:
        w = demo_window
        w.open_mount(mount(w, "Reed, round 3"))
        at_rest()
        assert "not settled" in w.inspect.state_word.text()
        qtbot.keyClicks(w.inspect.run_page.answers.reason, "known well enough")
        qtbot.mouseClick(w.inspect.run_page.answers.keep, LEFT)
        at_rest()
        assert w.side.loom.state_of(w.state.mount()) == "kept"  # type: ignore[arg-type]

    def test_drag_the_window_and_let_kuffin_find_it_again(
        self, demo_window: MainWindow, qtbot: QtBot, at_rest: Wait
    ) -> None:
        w = demo_window
        w.open_mount(mount(w, "Sedge, round 1"))
        at_rest()
        before = w.inspect.run_page.answer.text()
        region = w.inspect.run_page.plot.region
        assert region is not None
        region.setRegion([12.0, 15.0])
        at_rest()
        assert "set by hand" in w.inspect.state_word.text()
        assert w.inspect.run_page.answer.text() != before
        assert w.inspect.run_page.plot.region.getRegion() == pytest.approx((12.0, 15.0), abs=0.02)  # type: ignore[union-attr]
        qtbot.mouseClick(w.inspect.run_page.find_button, LEFT)
        at_rest()
        assert w.inspect.run_page.answer.text() == before

    def test_a_window_dragged_to_nothing_is_refused(self, demo_window: MainWindow, at_rest: Wait) -> None:
        w = demo_window
        w.open_mount(mount(w, "Sedge, round 1"))
        at_rest()
        w.inspect.run_page.plot.region.setRegion([12.0, 12.01])  # type: ignore[union-attr]
        at_rest()
        assert "at least 10 s" in w.strip.trouble.text()
        assert "set by hand" not in w.inspect.state_word.text()


class TestTheLoom:
    def test_it_is_walked_with_the_keys(self, demo_window: MainWindow, qtbot: QtBot, at_rest: Wait) -> None:
        loom = demo_window.side.loom
        demo_window.focus_loom()
        for key in (Qt.Key.Key_Down, Qt.Key.Key_Down, Qt.Key.Key_Right, Qt.Key.Key_Return):
            qtbot.keyClick(loom, key)
        at_rest()
        assert demo_window.state.mount_id == mount(demo_window, "Bulrush, round 2")
        assert demo_window.stack.currentWidget() is demo_window.inspect

    def test_a_click_opens_a_mount(self, demo_window: MainWindow, qtbot: QtBot, at_rest: Wait) -> None:
        loom = demo_window.side.loom
        qtbot.mouseClick(loom, LEFT, pos=loom.centre(3, 0).toPoint())
        at_rest()
        assert demo_window.state.mount_id == mount(demo_window, "Rush, round 1")

    def test_it_is_told_in_words(self, demo_window: MainWindow) -> None:
        spoken = demo_window.side.loom.accessibleDescription()
        assert "Bulrush round 2: doubtful, 14.0 K" in spoken
        assert "Sedge round 1: settled" in spoken

    def test_files_dropped_on_a_crossing_go_there(self, demo_window: MainWindow, at_rest: Wait, tmp_path: Path) -> None:
        loom = demo_window.side.loom
        path = renewed(write_logs(tmp_path / "logs")[0])
        data = QMimeData()
        data.setUrls([QUrl.fromLocalFile(str(path))])
        event = QDropEvent(
            QPointF(loom.centre(1, 3)), Qt.DropAction.CopyAction, data, LEFT, Qt.KeyboardModifier.NoModifier
        )
        loom.dropEvent(event)
        at_rest()
        dialog = demo_window.importer.dialog
        assert dialog is not None
        assert (dialog.logs[0].candidate, dialog.logs[0].mount.round) == ("Reed", 4)
        dialog.accept()
        at_rest()
        assert mount(demo_window, "Reed, round 4")


class TestAddingLogs:
    def test_a_study_grows_from_dropped_logs(self, window: MainWindow, at_rest: Wait, tmp_path: Path) -> None:
        window.notebooks.create(tmp_path / "new.kuffin")
        window.studies.begin_study("Which radiator?", "radiator", ["Sedge", "Reed", "Bulrush", "Rush"], 0.5, 3)
        at_rest()
        assert "no mount has a log" in window.header.verdict.text()
        assert window.compare.verdict.empty.isVisible()
        logs = write_logs(tmp_path / "logs")
        (tmp_path / "logs" / "notes.txt").write_text("remember the milk")
        window.studies.add_logs([str(tmp_path / "logs")])
        at_rest()
        dialog = window.importer.dialog
        assert dialog is not None
        assert len(dialog.logs) == len(logs) == 12
        assert {log.candidate for log in dialog.logs} == {"Sedge", "Reed", "Bulrush", "Rush"}
        assert dialog.add.text() == "Add 12 logs"
        dialog.accept()
        at_rest()
        assert window.state.verdict is not None
        assert window.state.verdict.mounts == 12
        assert "Sedge runs the coolant" in window.header.verdict.text()

    def test_roles_are_changed_once_for_all_of_a_shape_and_remembered(
        self, demo_window: MainWindow, at_rest: Wait, tmp_path: Path
    ) -> None:
        paths = [str(renewed(p)) for p in write_logs(tmp_path / "logs")[:2]]
        demo_window.studies.add_logs(paths)
        at_rest()
        dialog = demo_window.importer.dialog
        assert dialog is not None
        row = next(
            i
            for i in range(dialog.details.channels.rowCount())
            if dialog.details.channels.item(i, 0).text() == "Hot spot"
        )
        box = dialog.details.channels.cellWidget(row, 2)
        box.setCurrentIndex(box.findData("memory"))  # type: ignore[attr-defined]
        assert all(log.roles["Hot spot"] == "memory" for log in dialog.logs)
        dialog.accept()
        at_rest()
        demo_window.studies.add_logs(paths)
        at_rest()
        again = demo_window.importer.dialog
        assert again is not None
        assert again.logs[0].remembered
        assert again.logs[0].roles["Hot spot"] == "memory"
        again.reject()
        # and in another notebook too, for logs of this shape
        demo_window.notebooks.create(tmp_path / "other.kuffin")
        demo_window.studies.begin_study("Which?", "radiator", ["Sedge"], 0.5, 3)
        at_rest()
        demo_window.studies.add_logs(paths)
        at_rest()
        other = demo_window.importer.dialog
        assert other is not None and other.logs[0].roles["Hot spot"] == "memory"
        other.reject()

    def test_a_unit_that_the_log_does_not_name_is_told_and_remembered(
        self, demo_window: MainWindow, at_rest: Wait, tmp_path: Path
    ) -> None:
        path = tmp_path / "sedge bare.csv"
        path.write_text("Time,Die,Coolant\n" + "".join(f"{i},{104 + i % 3},{77 + i % 2}\n" for i in range(200)))
        demo_window.studies.add_logs([str(path)])
        at_rest()
        dialog = demo_window.importer.dialog
        assert dialog is not None
        box = dialog.details.channels.cellWidget(0, 1)
        box.setCurrentText("°F")  # type: ignore[attr-defined]
        box.activated.emit(0)  # type: ignore[attr-defined]
        die = dialog.logs[0].table.channels[0]
        assert (die.unit, die.quantity) == ("degC", "temperature")
        assert die.values[0] == pytest.approx(40.0)
        assert dialog.details.channels.item(0, 4).text().endswith("°C")
        dialog.accept()
        at_rest()
        demo_window.studies.add_logs([str(path)])
        at_rest()
        again = demo_window.importer.dialog
        assert again is not None
        assert again.logs[0].table.channels[0].values[0] == pytest.approx(40.0)
        again.reject()

    def test_a_date_that_can_be_read_two_ways_is_turned_round(
        self, demo_window: MainWindow, at_rest: Wait, tmp_path: Path
    ) -> None:
        path = tmp_path / "sedge dates.csv"
        rows = "".join(f"03/04/2026 10:{i // 60:02d}:{i % 60:02d},{40 + i % 3}\n" for i in range(200))
        path.write_text("Time,Die [°C]\n" + rows)
        demo_window.studies.add_logs([str(path)])
        at_rest()
        dialog = demo_window.importer.dialog
        assert dialog is not None
        assert dialog.details.dates.isVisible() and [dialog.details.dates.itemData(i) for i in range(2)] == ["dm", "md"]
        assert dialog.logs[0].table.start == "2026-04-03T10:00:00"
        dialog.details.dates.setCurrentIndex(1)
        dialog.details.dates.activated.emit(1)
        at_rest()
        assert dialog.logs[0].table.start == "2026-03-04T10:00:00"
        dialog.reject()

    def test_a_log_without_a_candidate_waits_for_one(
        self, demo_window: MainWindow, at_rest: Wait, tmp_path: Path
    ) -> None:
        path = renewed(write_logs(tmp_path / "logs")[0])
        odd = path.rename(path.with_name("monday.csv"))
        demo_window.studies.add_logs([str(odd)])
        at_rest()
        dialog = demo_window.importer.dialog
        assert dialog is not None
        assert not dialog.add.isEnabled()
        assert "without a candidate" in dialog.missing.text()
        dialog.table.box(0, 2).setCurrentText("Cattail")
        assert dialog.add.isEnabled()
        dialog.accept()
        at_rest()
        assert mount(demo_window, "Cattail, round 1")

    def test_what_cannot_be_read_is_said(self, demo_window: MainWindow, at_rest: Wait, tmp_path: Path) -> None:
        odd = tmp_path / "odd.csv"
        odd.write_bytes(b"")
        demo_window.studies.add_logs([str(odd)])
        at_rest()
        assert "odd.csv: the file is empty" in demo_window.strip.trouble.text().lower()


class TestCompare:
    def test_another_school_warns_and_as_read_is_told(self, demo_window: MainWindow, at_rest: Wait) -> None:
        desk = demo_window.compare.verdict
        assert "As read, without taking the room out, Rush would have won." in desk.warning.text()
        desk.school.setCurrentIndex(desk.school.findData("coolant_as_read"))
        at_rest()
        assert demo_window.state.verdict is not None
        assert demo_window.state.verdict.main.ranking()[0] == "Rush"
        assert "puts Sedge first" in desk.warning.text() or "puts Reed first" in desk.warning.text()
        demo_window.menus.undo.trigger()
        at_rest()
        assert desk.school.currentData() == "coolant_over_air_per_watt"

    def test_the_margin_is_an_edit(self, demo_window: MainWindow, at_rest: Wait) -> None:
        demo_window.compare.verdict.margin.setValue(3.0)
        at_rest()
        assert "under 3 K do not matter" in demo_window.compare.verdict.foot.text()
        assert demo_window.menus.undo.text() == "Undo: change the margin"

    def test_working_opens_with_f1_follows_links_and_closes_with_esc(
        self, demo_window: MainWindow, qtbot: QtBot, at_rest: Wait
    ) -> None:
        w = demo_window
        w.compare.verdict.pairs.setFocus()
        w.compare.verdict.pairs.setCurrentCell(0, 0)
        qtbot.keyClick(w.compare.verdict.pairs, Qt.Key.Key_F1)
        assert w.working.isVisible()
        assert "moderated spreads" in w.working.text
        w.working.follow(0)  # to the candidate's mean
        assert "Mean of" in w.working.text
        w.working.follow(0)  # to a mount's reading
        assert "Warm-up" in w.working.text
        w.working.follow(0)  # down to the window's samples
        at_rest()
        assert "time s" in w.working.text and "Instrument: probe box" in w.working.text
        w.working.follow(0)  # back to the run
        at_rest()
        assert w.stack.currentWidget() is w.inspect
        qtbot.keyClick(w.working, Qt.Key.Key_Escape)
        assert not w.working.isVisible()

    def test_the_verdict_line_and_the_loom_open_their_working(self, demo_window: MainWindow, qtbot: QtBot) -> None:
        w = demo_window
        qtbot.mouseClick(w.header.verdict, LEFT)
        text = w.working.text
        assert "Sedge and Rush" in text
        assert "Sedge and Rush are not told apart" in text
        w.working.follow(0)  # on to a pair
        assert "Standard error" in w.working.text
        w.focus_loom()
        w.explain()
        assert w.working.shown.title.startswith("Sedge, round 1")

    def test_a_click_on_a_figure_or_a_mark_shows_its_working(self, demo_window: MainWindow, qtbot: QtBot) -> None:
        plot = demo_window.compare.plot
        plot.grab()
        box = next(b for b, _, m in plot.hot if m is None)
        qtbot.mouseClick(plot, LEFT, pos=box.center().toPoint())
        assert "mounts" in demo_window.working.text
        box = next(b for b, _, m in plot.hot if m is not None)
        qtbot.mouseClick(plot, LEFT, pos=box.center().toPoint())
        assert "Window" in demo_window.working.text

    def test_everything_can_be_written_out(self, demo_window: MainWindow, at_rest: Wait, tmp_path: Path) -> None:
        for name, what in (
            ("r.csv", "readings"),
            ("v.csv", "verdicts"),
            ("f.csv", "findings"),
            ("all.json", "everything"),
            ("p.svg", "picture"),
            ("p.png", "picture"),
        ):
            demo_window.studies.write_to(tmp_path / name, what)
        at_rest()
        assert len(list(csv.DictReader((tmp_path / "r.csv").open()))) == 12
        assert len(list(csv.DictReader((tmp_path / "v.csv").open()))) == 30
        assert "air in the" not in (tmp_path / "f.csv").read_text() and "flow off" in (tmp_path / "f.csv").read_text()
        assert json.loads((tmp_path / "all.json").read_text())["findings"]
        drawn = (tmp_path / "p.svg").read_text()  # torn out, it still says what it rests on
        assert "<svg" in drawn and "Three mounts of each" in drawn and "Measured at" in drawn
        assert not QImage(str(tmp_path / "p.png")).isNull()
        demo_window.studies.write_to(tmp_path / "none" / "r.csv", "readings")
        assert "could not be written" in demo_window.strip.trouble.text()


class TestTheRest:
    def test_themes_and_text_sizes_are_remembered(self, demo_window: MainWindow, at_rest: Wait) -> None:
        demo_window.open_mount(mount(demo_window, "Sedge, round 1"))
        at_rest()
        light = demo_window.grab().toImage().pixelColor(600, 20).lightness()
        demo_window.set_mode("dark")
        assert demo_window.grab().toImage().pixelColor(600, 20).lightness() < light - 100
        demo_window.scale_text(1.2)
        assert float(demo_window.settings.value("scale", "1")) == pytest.approx(1.2)
        demo_window.scale_text(0)
        demo_window.set_mode("light")

    def test_the_loom_folds(self, demo_window: MainWindow) -> None:
        demo_window.fold_loom()
        assert not demo_window.side.isVisible()
        demo_window.focus_loom()
        assert demo_window.side.isVisible()

    def test_the_bin_gives_a_mount_back(
        self, demo_window: MainWindow, qtbot: QtBot, at_rest: Wait, monkeypatch: pytest.MonkeyPatch
    ) -> None:
        w = demo_window
        w.studies.bin_mount()
        assert "choose a mount" in w.strip.trouble.text().lower()
        w.open_mount(mount(w, "Rush, round 1"))
        w.studies.bin_mount()
        at_rest()
        assert w.state.mount_id is None
        view = BinView(w.state, w)
        assert view.list.item(0).text().startswith("Rush, round 1")
        qtbot.mouseClick(view.back, LEFT)
        at_rest()
        assert mount(w, "Rush, round 1")
        for _ in range(len(w.state.notebook.studies())):
            w.studies.bin_study()
            at_rest()
        assert w.pages.currentWidget() is w.start
        monkeypatch.setattr(QMessageBox, "exec", lambda _: QMessageBox.StandardButton.Yes)
        view = BinView(w.state, w)
        qtbot.mouseClick(view.empty, LEFT)
        assert view.note.text() == "The bin is empty."

    def test_a_new_study_needs_a_question_and_two_names(self, window: MainWindow) -> None:
        dialog = NewStudy(window)
        assert not dialog.start.isEnabled()
        dialog.question.setText("Which paste?")
        dialog.candidates.setPlainText("Chalk\nchalk")
        assert dialog.missing.text() == "Two candidates have the same name."
        dialog.candidates.setPlainText("Chalk\nMarl\n")
        assert dialog.start.isEnabled()
        assert dialog.names() == ["Chalk", "Marl"]

    def test_channels_show_what_a_run_has(self, demo_window: MainWindow, at_rest: Wait) -> None:
        demo_window.open_mount(mount(demo_window, "Sedge, round 1"))
        at_rest()
        run = demo_window.inspect.run_page.run()
        assert run is not None
        dialog = Channels(run, demo_window)
        assert dialog.roles()["Coolant in"] == "coolant_in"

    def test_a_copy_is_saved_and_a_notebook_dropped_is_opened(
        self, demo_window: MainWindow, at_rest: Wait, tmp_path: Path, monkeypatch: pytest.MonkeyPatch
    ) -> None:
        monkeypatch.setattr(QFileDialog, "getSaveFileName", lambda *_: (str(tmp_path / "copy"), ""))
        opened: list[str] = []
        monkeypatch.setattr(QDesktopServices, "openUrl", lambda url: not opened.append(url.toLocalFile()))
        demo_window.notebooks.save_copy()
        assert (tmp_path / "copy.kuffin").exists()
        assert demo_window.strip.trouble.text() == f"Written: copy.kuffin, in {tmp_path}"
        demo_window.strip.folder.click()
        assert opened == [str(tmp_path)]
        demo_window.studies.add_logs([str(tmp_path / "copy.kuffin")])
        at_rest()
        assert demo_window.windowTitle() == "copy – Kuffin"

    def test_the_demos_logs_can_be_written_to_practise_with(
        self, window: MainWindow, at_rest: Wait, tmp_path: Path
    ) -> None:
        window.notebooks.write_demo_logs(tmp_path / "logs")
        at_rest()
        assert len(list((tmp_path / "logs").glob("*.csv"))) == 12
        assert "Written: 12 logs, in " in window.strip.trouble.text()

    def test_a_reading_under_another_school_opens_its_own_working(
        self, demo_window: MainWindow, qtbot: QtBot, at_rest: Wait
    ) -> None:
        w = demo_window
        w.open_mount(mount(w, "Sedge, round 1"))
        at_rest()
        buttons = [b for b in w.inspect.run_page.facts.findChildren(QPushButton) if b.isVisible()]
        assert len(buttons) == 5
        qtbot.mouseClick(buttons[2], LEFT)
        assert w.working.shown.title == "Sedge, round 1: coolant re-based"
        assert "22.0 °C = " in w.working.text

    def test_closing_stops_the_work_and_frees_the_notebook(self, window: MainWindow, demo: Path) -> None:
        assert window.notebooks.open_path(demo)
        window.close()
        book = Notebook.open(demo)
        assert len(book.studies()) == 7
        book.close()

    def test_zoom_and_pan_keep_the_middle(self, demo_window: MainWindow, at_rest: Wait) -> None:
        demo_window.open_mount(mount(demo_window, "Sedge, round 1"))
        at_rest()
        plot = demo_window.inspect.run_page.plot
        (a, b), _ = plot.top.viewRange()
        plot.zoom(0.5)
        (c, d), _ = plot.top.viewRange()
        assert (c + d) / 2 == pytest.approx((a + b) / 2)
        assert d - c == pytest.approx((b - a) / 2)
        plot.pan(0.5)
        assert plot.rows["flow"].viewRange()[0][0] == pytest.approx(c + 0.5 * (d - c), abs=0.05)

    def test_a_change_of_theme_keeps_the_time_axis(self, demo_window: MainWindow, at_rest: Wait) -> None:
        demo_window.open_mount(mount(demo_window, "Sedge, round 1"))
        at_rest()
        before = demo_window.inspect.run_page.plot.top.viewRange()[0]
        demo_window.set_mode("dark")
        assert demo_window.inspect.run_page.plot.top.viewRange()[0] == pytest.approx(before)
        demo_window.set_mode("light")
