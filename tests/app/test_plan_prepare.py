"""From an empty notebook to a mount that is ready to run, and found again after a restart: driven through the window."""

from __future__ import annotations

import datetime as dt
from collections.abc import Callable
from pathlib import Path

import pytest
from icalendar import Calendar
from PIL import Image
from PySide6.QtCore import QDateTime, Qt
from PySide6.QtGui import QDesktopServices
from PySide6.QtTest import QTest
from PySide6.QtWidgets import QDialog, QFileDialog, QPushButton
from pytestqt.qtbot import QtBot

from kuffin.app.base.settings import Settings
from kuffin.app.dialogs.newstudy import NewStudy
from kuffin.app.frame.window import MainWindow
from kuffin.core.plan.order import fairness
from kuffin.verdict.planbasis import order_of, slots_of
from tests.app.driving import action, choose, drop, press, type_in, with_dialog, write_cell

Wait = Callable[[], None]


def monday() -> dt.datetime:
    """Next week's Monday, nine o'clock."""
    today = dt.datetime.now().replace(hour=9, minute=0, second=0, microsecond=0)
    return today + dt.timedelta(days=7 - today.weekday())


def blocks(dialog: QDialog) -> None:
    assert isinstance(dialog, NewStudy)
    dialog.question.setText("Which block is worth its price?")
    dialog.candidates.setPlainText("Tern\nPlover\nDunlin")
    dialog.kind.setCurrentIndex(dialog.kind.findData("block"))
    dialog.margin.setValue(0.5)
    dialog.rounds.setValue(4)
    dialog.accept()


@pytest.fixture
def planned(window: MainWindow, at_rest: Wait, tmp_path: Path) -> MainWindow:
    """An empty notebook with a study of three blocks, four mounts each."""
    with_dialog(action(window, "New notebook …"), choose(tmp_path / "blocks.kuffin"))
    with_dialog(action(window, "Start a study …"), blocks)
    at_rest()
    return window


def study(window: MainWindow):  # type: ignore[no-untyped-def]
    assert window.state.study is not None
    return window.state.study


def ask(window: MainWindow, at_rest: Wait) -> None:
    """The question page: a second sample of Plover, Knot as the baseline outside the rounds, one claim."""
    page = window.plan.question
    page.candidates.setCurrentCell(1, 0)
    opened = with_dialog(lambda: press(page, "Add a sample of it"), type_in("2"), type_in("lent by the maker"))
    assert opened == ["Add a sample", "Add a sample"]
    with_dialog(lambda: press(page, "Add a candidate"), type_in("Knot"))
    at_rest()
    page.baseline.setCurrentIndex(page.baseline.findText("Knot"))
    page.baseline.activated.emit(page.baseline.currentIndex())
    press(page, "Add a claim")
    at_rest()
    write_cell(page.claims, 0, 0, "Dunlin")
    write_cell(page.claims, 0, 3, "Plover")
    write_cell(page.claims, 0, 1, "1,5 K")
    write_cell(page.claims, 0, 4, "Oxbow Works")
    write_cell(page.claims, 0, 5, "on its box")
    at_rest()


def lay(window: MainWindow, at_rest: Wait, calendar: Path) -> None:
    """The order is drawn, one mount moved, all of it laid over next week, and the calendar written."""
    order = window.plan.order
    window.plan.go("order")
    press(order, "Draw the order")
    at_rest()
    when = window.plan.when
    window.plan.go("when")
    when.begin.setDateTime(QDateTime(monday()))  # type: ignore[call-overload]
    at_rest()
    press(when, "deadline")
    at_rest()
    when.deadline.setDateTime(QDateTime(monday() + dt.timedelta(days=11, hours=9)))  # type: ignore[call-overload]
    at_rest()
    with_dialog(lambda: press(when, "Write iCalendar …"), choose(calendar))


def prepare(window: MainWindow, at_rest: Wait, photo: Path) -> None:
    """The first mount, ticked to “ready to run” with the keyboard; the leak test holds, a photo is dropped on a step."""
    desk, page = window.prepare, window.prepare.changeover
    QTest.mouseClick(window.header.next, Qt.MouseButton.LeftButton)
    at_rest()
    assert window.stack.currentWidget() is desk
    desk.go("leak")
    begin = dt.datetime.now()
    for minute in range(0, 31):
        desk.leak.watched.add(begin + dt.timedelta(minutes=minute), [40.0 + 0.02 * (minute % 2), 21.5])
    at_rest()
    desk.go("changeover")
    first = page.rows[0]
    press(first, "note")
    QTest.keyClicks(first.note, "plug out, board dry")
    QTest.keyClick(first.note, Qt.Key.Key_Return)
    drop(page.rows[1], photo)
    at_rest()
    page.rows[0].box.setFocus()
    for _ in range(len(page.rows)):
        box = window.focusWidget()
        assert box is not None
        QTest.keyClick(box, Qt.Key.Key_Return)
        at_rest()
    assert window.focusWidget() is page.ready
    QTest.keyClick(page.ready, Qt.Key.Key_Space)
    at_rest()


def test_from_a_question_to_a_mount_that_is_ready_and_back_after_a_restart(
    planned: MainWindow, at_rest: Wait, tmp_path: Path, qtbot: QtBot
) -> None:
    window, calendar, photo = planned, tmp_path / "next week.ics", tmp_path / "paste on the die.png"
    Image.effect_noise((80, 60), 40).save(photo)
    assert window.stack.currentWidget() is window.plan
    ask(window, at_rest)
    lay(window, at_rest, calendar)

    slots = slots_of(study(window))
    for name in ("Tern", "Plover", "Dunlin"):
        assert sorted(s.round for s in slots if s.candidate == name and not s.control) == [1, 2, 3, 4]
    at = [i for i, s in enumerate(slots) if s.control]
    assert {slots[i].candidate for i in at} == {"Knot"} and at[0] == 0 and at[-1] == len(slots) - 1 and len(at) == 3
    assert fairness(slots).repeats == 0
    shared = [m.sample.label for m in order_of(study(window)) if m.candidate.name == "Plover"]
    assert sorted(shared) == ["1", "1", "2", "2"]

    plan = window.plan.when.plan
    assert plan is not None and plan.late == 0 and plan.end is not None
    events = [e for e in Calendar.from_ical(calendar.read_bytes()).walk("VEVENT")]
    assert len(events) >= len(slots)
    for event in events:
        start, end = event["DTSTART"].dt.replace(tzinfo=None), event["DTEND"].dt.replace(tzinfo=None)
        assert monday() <= start < end <= monday() + dt.timedelta(days=11, hours=9)
        assert start.weekday() < 5 and start.hour >= 9

    prepare(window, at_rest, photo)
    mount = order_of(study(window))[0]
    assert mount.ready_at is not None
    assert window.prepare.leak.result is not None and window.prepare.leak.result.verdict == "pass"
    window.show_desk("Plan")
    relaid = window.plan.when.plan.end
    assert relaid is not None and relaid < plan.end  # the change-over is behind us
    kept = [(s.candidate, s.round, s.control) for s in slots_of(study(window))]
    keys = [r.task.key for r in window.prepare.changeover.rows]
    window.close()

    again = MainWindow(Settings(tmp_path / "window.ini"))
    qtbot.addWidget(again)
    again.show()
    assert again.notebooks.open_path(tmp_path / "blocks.kuffin")
    qtbot.waitUntil(lambda: not again.jobs.running, timeout=30_000)
    found = study(again)
    assert [(s.candidate, s.round, s.control) for s in slots_of(found)] == kept
    assert found.candidate(found.baseline_id).name == "Knot"
    (claim,) = found.live_claims
    assert (claim.amount, claim.said_by, claim.said_where) == (1.5, "Oxbow Works", "on its box")
    assert (found.candidate(claim.candidate_id).name, found.candidate(claim.against_id).name) == ("Dunlin", "Plover")
    plover = next(c for c in found.live_candidates if c.name == "Plover")
    assert [(s.label, s.came) for s in plover.samples] == [("1", ""), ("2", "lent by the maker")]
    again.show_desk("Plan")
    assert again.plan.page == "when"  # where one was
    assert again.plan.when.plan is not None and again.plan.when.plan.end == relaid
    assert order_of(found)[0].ready_at == mount.ready_at
    again.show_desk("Prepare")
    again.prepare.choose(mount.id)
    rows = again.prepare.changeover.rows
    assert [r.task.key for r in rows] == keys and all(r.box.isChecked() for r in rows)
    assert rows[0].note.text() == "plug out, board dry"
    assert rows[1].photos.isVisibleTo(rows[1])
    again.prepare.go("leak")
    assert again.prepare.leak.result is not None and again.prepare.leak.result.verdict == "pass"
    assert "Ready since" in again.prepare.changeover.left.text()
    again.close()


def test_sheets_are_kept_as_pdf_or_opened_to_be_printed(
    demo_window: MainWindow, at_rest: Wait, tmp_path: Path, monkeypatch: pytest.MonkeyPatch
) -> None:
    w = demo_window
    w.show_desk("Prepare")
    w.prepare.go("changeover")
    at_rest()
    page = w.prepare.pages.currentWidget()
    assert page is not None
    press = {b.text(): b for b in page.findChildren(QPushButton)}
    monkeypatch.setattr(QFileDialog, "getSaveFileName", lambda *_: (str(tmp_path / "sheet"), ""))
    press["Sheet as PDF …"].click()
    at_rest()
    assert (tmp_path / "sheet.pdf").read_bytes().startswith(b"%PDF")
    assert w.strip.trouble.text() == f"Written: sheet.pdf, in {tmp_path}"
    opened: list[Path] = []
    monkeypatch.setattr(QDesktopServices, "openUrl", lambda url: not opened.append(Path(url.toLocalFile())))
    press["Print …"].click()
    at_rest()
    assert opened[0].read_bytes().startswith(b"%PDF") and "is open: print it there" in w.strip.trouble.text()
    monkeypatch.setattr(QDesktopServices, "openUrl", lambda _url: False)
    press["Print …"].click()
    at_rest()
    assert "no program that opens PDF" in w.strip.trouble.text()
