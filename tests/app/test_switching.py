"""Whatever belongs to a notebook, a study or a refusal goes with it: another notebook on every desk, stale words, keys."""

from __future__ import annotations

import gc
import shutil
import weakref
from collections.abc import Callable
from pathlib import Path

import pytest
from PySide6.QtCore import QCoreApplication, QEvent, QObject, Qt
from PySide6.QtTest import QTest
from PySide6.QtWidgets import QApplication, QLabel, QMenu, QWidget

from kuffin.app.base.settings import Settings
from kuffin.app.dialogs.newstudy import NewStudy
from kuffin.app.frame.strip import with_capital
from kuffin.app.frame.window import MainWindow
from kuffin.app.look import theme as looks
from kuffin.app.widgets.messages import tell
from kuffin.notebook.entities import Mount
from tests.app.driving import give, press, pump_until, with_dialog

Wait = Callable[[], None]


@pytest.fixture
def other(demo_master: Path, tmp_path: Path) -> Path:
    """Another notebook with the very same numbers for its mounts, runs and parts."""
    path = tmp_path / "other bench.kuffin"
    shutil.copyfile(demo_master, path)
    return path


def mount_of(window: MainWindow, name: str, round_: int) -> Mount:
    return next(m for m in window.state.mounts() if (m.candidate.name, m.round) == (name, round_))


class TestAnotherNotebook:
    def test_no_desk_keeps_what_belonged_to_the_one_before(
        self, demo_window: MainWindow, at_rest: Wait, other: Path
    ) -> None:
        window = demo_window
        reed = mount_of(window, "Reed", 2)
        window.open_mount(reed.id)
        at_rest()
        rush = mount_of(window, "Rush", 1)
        window.inspect.run_page.over.choose(rush.id)
        window.prepare_mount(reed.id)
        window.run_mount(mount_of(window, "Sedge", 4).id)
        window.show_behind("Shelf")
        window.shelf_page.part_id = 3
        window.explain()
        window.show_desk("Compare")
        window.header.explain()
        assert window.working.isVisible()
        before = window.inspect.run_page.shown
        for desk in window.desks:
            window.show_desk(desk)
            at_rest()
        assert window.notebooks.open_path(other)
        at_rest()
        assert not window.working.isVisible()
        assert window.state.mount_id is None and window.run.shown is None and window.run.choosing.practice is None
        assert window.prepare.chosen is None and window.shelf_page.part_id is None
        assert window.inspect.run_page.over.mount_id is None
        for desk in window.desks:
            window.show_desk(desk)
            at_rest()
        assert window.prepare.mount is not None and window.prepare.mount.id == window.run.choosing.chosen
        window.open_mount(reed.id)
        at_rest()
        assert window.inspect.run_page.shown != before  # the run was read from this notebook

    def test_a_run_that_is_over_stays_with_its_notebook(
        self, demo_window: MainWindow, at_rest: Wait, other: Path
    ) -> None:
        """“Look at the run” opened a stranger's mount, a comment landed on a stranger's run."""
        window = demo_window
        window.settings.set_value("demo bench", "simulated 300")
        window.settings.set_value("bench", "simulated 300")
        window.show_desk("Run")
        press(window.run.ready, window.run.ready.start.text())
        pump_until(lambda: window.running.now is not None and window.running.now.elapsed_s > 5)
        window.running.stop()
        pump_until(lambda: not window.running.active)
        at_rest()
        assert window.run.shown is not None
        assert window.notebooks.open_path(other)
        at_rest()
        assert window.run.stack.currentWidget() is window.run.ready
        window.run.noted("comment", "for nobody")
        window.run.look_at_run()
        at_rest()
        assert window.state.mount_id is None
        assert all(not r.note for m in window.state.mounts() for r in m.runs)

    def test_ones_own_notebook_is_no_other_window(self, demo_window: MainWindow, demo: Path) -> None:
        assert demo_window.notebooks.open_path(demo)
        said = demo_window.strip.trouble.text()
        assert "is the notebook that is open here" in said and "another Kuffin window" not in said


class TestStaleThings:
    def test_a_refusal_goes_with_the_next_edit_that_succeeds(self, demo_window: MainWindow, at_rest: Wait) -> None:
        window = demo_window
        window.state.trouble.emit("two candidates have the same name")
        assert window.strip.trouble.text().startswith("Two candidates")
        window.show_desk("Plan")
        window.plan.go("question")
        give(window.plan.question.question, "Another question?")
        at_rest()
        assert window.strip.trouble.text() == ""

    def test_file_names_keep_their_letters(self) -> None:
        assert with_capital("board.csv: the file is empty") == "board.csv: the file is empty"
        assert with_capital("/bench/run.log: there is no such file").startswith("/bench")
        assert with_capital("the disk is full") == "The disk is full"

    def test_logs_that_waited_for_a_study_go_with_the_form(
        self, window: MainWindow, at_rest: Wait, tmp_path: Path
    ) -> None:
        assert window.notebooks.create(tmp_path / "empty.kuffin")
        log = tmp_path / "reed 1.csv"
        log.write_text("Time [s],Die [°C]\n0,1\n1,2\n")

        def cancel(dialog: object) -> None:
            assert isinstance(dialog, NewStudy)
            dialog.reject()

        with_dialog(lambda: window.studies.add_logs([str(log)]), cancel)
        assert window.studies.pending == []

    def test_show_working_goes_with_its_study_and_with_escape(self, demo_window: MainWindow, at_rest: Wait) -> None:
        window = demo_window
        window.header.explain()
        assert window.working.isVisible()
        QTest.keyClick(window.side.loom, Qt.Key.Key_Escape)
        assert not window.working.isVisible()
        window.header.explain()
        assert window.state.notebook is not None and window.state.study is not None
        further = next(s.id for s in window.state.notebook.studies() if s.id != window.state.study.id)
        window.state.choose_study(further)
        at_rest()
        assert not window.working.isVisible()


class TestKeys:
    def test_undo_reaches_the_notebook_from_a_line_whose_writing_was_kept(
        self, demo_window: MainWindow, at_rest: Wait
    ) -> None:
        window = demo_window
        window.activateWindow()
        window.show_desk("Plan")
        window.plan.go("question")
        line = window.plan.question.question
        assert window.state.study is not None
        asked = window.state.study.question
        give(line, "Another question?")
        at_rest()
        assert window.state.study.question == "Another question?" and line.hasFocus()
        QTest.keyClick(line, Qt.Key.Key_Z, Qt.KeyboardModifier.ControlModifier)
        at_rest()
        assert window.state.study.question == asked

    def test_undo_takes_back_letters_while_a_line_is_being_written(self, demo_window: MainWindow) -> None:
        window = demo_window
        window.activateWindow()
        window.show_desk("Plan")
        window.plan.go("question")
        line = window.plan.question.question
        line.setFocus()
        QTest.keyClicks(line, " or not")
        QTest.keyClick(line, Qt.Key.Key_Z, Qt.KeyboardModifier.ControlModifier)
        assert not line.text().endswith("or not")
        assert window.state.study is not None and window.state.study.question in line.text()

    def test_f1_explains_the_number_that_has_the_focus(self, demo_window: MainWindow, at_rest: Wait) -> None:
        window = demo_window
        window.activateWindow()
        window.open_mount(mount_of(window, "Bulrush", 2).id)
        at_rest()
        window.inspect.paged.go("figures")
        at_rest()
        advice = window.inspect.figures.advice
        advice.setFocus()
        window.explain()
        assert window.working.shown is not None
        own = window.working.shown.title
        window.inspect.run_page.explain_focus()
        assert window.working.shown.title != own


class TestDressing:
    def test_what_is_seen_is_dressed_at_once_and_the_rest_soon(self, demo_window: MainWindow, at_rest: Wait) -> None:
        """A sheet on all of a window's widgets took tenths of a second, on the application seconds (`benchmarks windows`)."""
        window = demo_window
        for desk in ("Plan", "Prepare", "Run", "Inspect", "Compare"):
            window.show_desk(desk)
            at_rest()
        seen, hidden = window.compare.verdict, window.plan
        dressed = list[QWidget]()

        class Counting(QObject):
            def eventFilter(self, watched: QObject, event: QEvent) -> bool:
                if event.type() == QEvent.Type.StyleChange and isinstance(watched, QWidget):
                    dressed.append(watched)
                return False

        app = QApplication.instance()
        assert isinstance(app, QApplication)
        counting = Counting()
        app.installEventFilter(counting)
        window.set_mode("dark")
        at_once = len(dressed)
        app.removeEventFilter(counting)
        dark = looks.sheet(looks.DARK)
        assert carried(seen) == dark and carried(hidden.question) == looks.sheet(looks.LIGHT)
        assert 50 < at_once < len(window.findChildren(QWidget)) / 3
        window.show_desk("Plan")
        assert carried(hidden.question) == dark
        pump_until(lambda: carried(window.run) == dark)
        pump_until(lambda: all(carried(w) == dark for w in window.findChildren(QLabel)))

    def test_a_desk_made_after_the_text_was_enlarged_has_large_text(self, demo_window: MainWindow) -> None:
        window = demo_window
        window.scale_text(1.25)
        window.show_desk("Plan")
        for page in (window.plan.question, window.compare.verdict, window.header):
            assert page.font().pointSizeF() == 1.25 * looks.USUAL_POINTS
        pump_until(lambda: window.compare.paged.font().pointSizeF() == 1.25 * looks.USUAL_POINTS)

    def test_windows_and_menus_are_dressed_as_well(self, demo_window: MainWindow) -> None:
        window = demo_window
        window.set_mode("dark")
        opened = list[str]()
        with_dialog(lambda: tell(window, "A title", "Words"), lambda d: (opened.append(carried(d)), d.reject()))
        window.show_desk("Plan")
        with_dialog(lambda: tell(window.plan, "A title", "Words"), lambda d: (opened.append(carried(d)), d.reject()))
        menu = QMenu(window)
        menu.addAction("One")
        menu.popup(window.mapToGlobal(window.rect().center()))
        opened.append(carried(menu))
        menu.close()
        assert opened == [looks.sheet(looks.DARK)] * 3


def carried(widget: QWidget) -> str:
    """The sheet that reaches a widget."""
    at: QWidget | None = widget
    while at is not None:
        if at.styleSheet():
            return at.styleSheet()
        at = at.parentWidget()
    return ""


def test_a_mount_is_drawn_once(demo_window: MainWindow, at_rest: Wait, monkeypatch: pytest.MonkeyPatch) -> None:
    window = demo_window
    window.open_mount(mount_of(window, "Reed", 1).id)
    at_rest()
    plot = window.inspect.run_page.plot
    drawn = []
    own = plot.draw
    monkeypatch.setattr(plot, "draw", lambda: (drawn.append(plot.view), own()))
    window.open_mount(mount_of(window, "Sedge", 2).id)
    at_rest()
    assert sum(v is not None for v in drawn) == 1


def looked_at_everywhere(window: MainWindow, path: Path) -> tuple[weakref.ref[object], ...]:
    """Open a notebook, show every desk, and give what was worked out and read."""
    window.show()
    assert window.notebooks.open_path(path)
    pump_until(lambda: not window.jobs.running and window.state.verdict is not None)
    for desk in window.desks:
        window.show_desk(desk)
    pump_until(lambda: not window.jobs.running)
    return weakref.ref(window.state.verdict), weakref.ref(window.state.study)


def test_a_closed_window_keeps_nothing_in_memory(qapp: object, demo: Path, tmp_path: Path) -> None:
    window = MainWindow(Settings(tmp_path / "window.ini"))
    kept = looked_at_everywhere(window, demo)
    assert all(k() is not None for k in kept)
    window.close()
    window.deleteLater()
    QCoreApplication.sendPostedEvents(None, QEvent.Type.DeferredDelete)
    del window
    gc.collect()
    assert not any(k() is not None for k in kept)
