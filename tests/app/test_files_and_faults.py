"""Notebooks that move or are damaged while the window has them, starts that break off, disks that are full, faults of our own."""

from __future__ import annotations

import sqlite3
import sys
from collections.abc import Callable
from pathlib import Path
from typing import Any

import numpy as np
import pytest
from PySide6.QtCore import QRect, Qt
from PySide6.QtGui import QPainter
from PySide6.QtTest import QTest
from PySide6.QtWidgets import QInputDialog, QMessageBox, QPushButton
from pytestqt.qtbot import QtBot

from kuffin.app.base.faults import Faults
from kuffin.app.base.settings import Settings
from kuffin.app.frame.window import MainWindow
from kuffin.app.widgets.painted import Painted
from kuffin.core.base.errors import NotebookError
from kuffin.notebook.store import Notebook
from tests.app.driving import pump_until
from tests.app.test_run_desk import on_desk, take_protocol

AtRest = Callable[[], None]


def boxes(window: MainWindow) -> list[QMessageBox]:
    return [b for b in window.findChildren(QMessageBox) if b.isVisible()]


def close_boxes(window: MainWindow) -> None:
    for box in boxes(window):
        box.close()


class TestTheFileIsTakenAway:
    def test_a_moved_notebook_is_followed_and_told(self, demo_window: MainWindow, at_rest: AtRest) -> None:
        window, book = demo_window, demo_window.state.notebook
        assert book is not None
        there = book.path.rename(book.path.with_name("elsewhere.kuffin"))
        window.notebooks.look_after()
        at_rest()
        (box,) = boxes(window)
        assert "moved or renamed" in box.text() and str(there) in box.text()
        assert window.strip.where.text() == there.name or there.name in window.strip.where.toolTip()
        close_boxes(window)

    def test_a_deleted_one_is_rescued_while_a_run_is_recorded(self, demo_window: MainWindow, at_rest: AtRest) -> None:
        window, book = demo_window, demo_window.state.notebook
        assert book is not None
        take_protocol(window)
        on_desk(window, 60)
        window.run.ready.start.click()
        pump_until(lambda: window.running.live is not None and window.running.live.run_id is not None)
        live, rows = window.running.live, window.running.live.recorder.rows
        book.path.unlink()
        pump_until(lambda: live.recorder.rows > rows + 60)
        window.notebooks.look_after()
        (box,) = boxes(window)
        assert "was deleted" in box.text() and "rescued" in book.path.name and book.path.exists()
        close_boxes(window)
        window.running.stop()
        pump_until(lambda: not window.running.active)
        at_rest()
        from kuffin.notebook.samples import read_run

        times = read_run(book, live.run_id or 0).times
        seen = live.seen.now(live.recorder.elapsed_s).rows[:, 0]  # what the window was shown, before and after
        assert times.size == live.recorder.rows > rows + 60 and np.array_equal(times, seen)


class TestAFullDisk:
    @pytest.fixture
    def full(self, monkeypatch: pytest.MonkeyPatch) -> list[bool]:
        is_full, writing = [False], Notebook.writing

        def no_room(book: Notebook) -> Any:
            if is_full[0]:
                raise NotebookError("the disk is full")
            return writing(book)

        monkeypatch.setattr(Notebook, "writing", no_room)
        return is_full

    def ended(self, window: MainWindow, full: list[bool]) -> QMessageBox:
        take_protocol(window)
        on_desk(window, 60)
        window.run.ready.start.click()
        pump_until(lambda: window.running.live is not None and window.running.live.run_id is not None)
        full[0] = True
        pump_until(lambda: window.running.live.recorder.waiting > 30)
        window.running.stop()
        pump_until(lambda: window.unkept.box is not None and window.unkept.box.isVisible())
        box = window.unkept.box
        assert box is not None and "rows wait in memory" in box.informativeText() and window.running.active
        return box

    def test_the_end_waits_and_is_kept_by_itself(
        self, demo_window: MainWindow, at_rest: AtRest, full: list[bool]
    ) -> None:
        self.ended(demo_window, full)
        run_id = demo_window.running.live.run_id
        full[0] = False
        pump_until(lambda: not demo_window.running.active)
        at_rest()
        assert demo_window.unkept.box is None and not boxes(demo_window)
        assert any(r.id == run_id and r.closed for m in demo_window.state.mounts() for r in m.runs)

    def test_or_it_is_written_elsewhere(
        self,
        demo_window: MainWindow,
        at_rest: AtRest,
        full: list[bool],
        tmp_path: Path,
        monkeypatch: pytest.MonkeyPatch,
    ) -> None:
        box = self.ended(demo_window, full)
        monkeypatch.setattr("kuffin.recording.keeping.elsewhere", lambda: [tmp_path])
        elsewhere = next(b for b in box.findChildren(QPushButton) if b.text() == "Write it elsewhere")
        QTest.mouseClick(elsewhere, Qt.MouseButton.LeftButton)
        at_rest()
        assert not demo_window.running.active and len(list(tmp_path.glob("*.csv"))) == 1
        assert "rows that the notebook could not take are in" in demo_window.strip.trouble.text()
        full[0] = False

    def test_closing_the_window_writes_it_elsewhere(
        self, demo_window: MainWindow, full: list[bool], tmp_path: Path, monkeypatch: pytest.MonkeyPatch
    ) -> None:
        self.ended(demo_window, full)
        monkeypatch.setattr("kuffin.recording.keeping.elsewhere", lambda: [tmp_path])
        said: list[str] = []
        monkeypatch.setattr(QMessageBox, "exec", lambda box: said.append(box.text()) or QMessageBox.StandardButton.Yes)
        assert demo_window.close()
        assert len(list(tmp_path.glob("*.csv"))) == 1 and any("could not take" in s for s in said)


class TestStarting:
    def test_a_start_that_broke_off_leads_to_the_first_page(
        self, qtbot: QtBot, tmp_path: Path, demo: Path, qapp: object
    ) -> None:
        settings = Settings(tmp_path / "window.ini")
        settings.remember(demo)
        first = MainWindow(settings)
        qtbot.addWidget(first)
        first.notebooks.open_last()
        assert first.state.notebook is not None
        kept = Settings(tmp_path / "window.ini").value("opening", "")
        assert Path(kept) == demo  # here it is killed, before anything was drawn
        first.state.close()
        again = MainWindow(Settings(tmp_path / "window.ini"))
        qtbot.addWidget(again)
        again.notebooks.open_last()
        assert again.state.notebook is None
        assert f"ended without a word while it opened {demo.name}" in again.strip.trouble.text()
        assert again.notebooks.open_path(demo)  # the person may
        qtbot.waitUntil(lambda: Settings(tmp_path / "window.ini").value("opening", "") == "", timeout=30_000)

    def test_what_is_no_notebook_is_not_remembered(self, window: MainWindow, tmp_path: Path) -> None:
        (tmp_path / "no.kuffin").write_text("no")
        assert not window.notebooks.open_path(tmp_path / "no.kuffin")
        assert window.settings.recent == []

    def test_broken_settings_do_not_lock_one_out(self, qtbot: QtBot, tmp_path: Path, qapp: object) -> None:
        (tmp_path / "window.ini").write_text(
            "[General]\nscale=wide\ntheme=@Variant(\\0\\0)\nrecent=@Invalid()\nbench=simulated fast\nopening=7\n"
            "page\\compare=77\n[x\n\x00"
        )
        made = MainWindow(Settings(tmp_path / "window.ini"))
        qtbot.addWidget(made)
        made.show()
        assert made.settings.recent == [] and made.run.choosing.bench == "this"
        heard: list[str] = []
        made.state.trouble.connect(heard.append)
        made.notebooks.open_last()
        assert "“scale” is “wide”" in heard[0] and "damaged" in heard[0]


def test_what_is_damaged_is_told_and_the_rest_works(window: MainWindow, demo: Path, at_rest: AtRest) -> None:
    db = sqlite3.connect(demo)
    db.execute("UPDATE study SET margin_k = 'wide' WHERE id = 1")
    db.execute("UPDATE part SET fields = '[1' WHERE id = 2")
    db.execute("DELETE FROM candidate WHERE id = 1")
    db.commit()
    db.close()
    assert window.notebooks.open_path(demo)
    at_rest()
    (box,) = boxes(window)
    assert "its margin k is no number" in box.text() and "kept as “booth seven (damaged).kuffin”" in box.text()
    close_boxes(window)
    assert window.state.verdict is not None and window.state.verdict.main.comparison is not None


def test_a_fault_of_our_own_is_told_and_the_window_goes_on(
    window: MainWindow, qtbot: QtBot, monkeypatch: pytest.MonkeyPatch, capsys: pytest.CaptureFixture[str]
) -> None:
    monkeypatch.setattr(sys, "excepthook", sys.excepthook)
    Faults(window, window.state.trouble.emit)

    class Broken(Painted):
        def draw(self, painter: QPainter, seen: QRect) -> None:
            painter.save()
            raise ZeroDivisionError("in a picture")

    picture = Broken(window)
    picture.setGeometry(10, 10, 200, 100)
    picture.show()
    for _ in range(3):
        picture.repaint()
    assert "A fault of Kuffin's own (ZeroDivisionError: in a picture)" in window.strip.trouble.text()
    assert capsys.readouterr().err.count("ZeroDivisionError: in a picture") == 1
    picture.hide()


def test_what_a_log_leaves_open_is_asked(
    demo_window: MainWindow, at_rest: AtRest, tmp_path: Path, monkeypatch: pytest.MonkeyPatch
) -> None:
    path = tmp_path / "sedge odd.csv"
    path.write_text(
        "Time\tX\n" + "".join(f"2026-03-02 10:{i // 60:02d}:{i % 60:02d}\t1,{830 + i % 7}\n" for i in range(99))
    )
    asked: list[str] = []

    def pick(_parent: object, _title: str, label: str, items: list[str], *_: object) -> tuple[str, bool]:
        asked.append(label)
        return items[0], True

    monkeypatch.setattr(QInputDialog, "getItem", pick)
    demo_window.studies.add_logs([str(path)])
    at_rest()
    dialog = demo_window.importer.dialog
    assert dialog is not None and len(asked) == 1 and "“1,830” may be 1.830 or 1830" in asked[0]
    assert dialog.logs[0].table.channels[0].values[0] == 1.83
    dialog.details.decimal.setCurrentIndex(0)
    dialog.details.decimal.activated.emit(0)
    at_rest()
    assert dialog.logs[0].table.channels[0].values[0] == 1830
    dialog.reject()
