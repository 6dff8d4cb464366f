"""Compare · Ageing in the window, on the demo's pastes of half a year: read, planned, run when it is due."""

from __future__ import annotations

import datetime as dt
from collections.abc import Callable

import pytest
from PySide6.QtCore import Qt
from PySide6.QtTest import QTest
from PySide6.QtWidgets import QPushButton

from kuffin.app.frame.window import MainWindow
from kuffin.demo.halfyear import NAME
from kuffin.notebook import planedits
from tests.app.driving import pump_until
from tests.app.test_compare_pages import open_study

Wait = Callable[[], None]


@pytest.fixture
def window(demo_window: MainWindow, at_rest: Wait) -> MainWindow:
    open_study(demo_window, NAME, at_rest)
    demo_window.show_desk("Compare")
    demo_window.compare.go("ageing")
    at_rest()
    return demo_window


def test_what_aged_is_told_drawn_and_explained(window: MainWindow, at_rest: Wait) -> None:
    page = window.compare.page("ageing")
    assert (
        "Marl, round 1 is 1.3 K warmer" in page.heading.text()
        and "Loam, round 1: no ageing seen" in page.heading.text()
    )
    assert page.plot.isVisible() and "Marl" in page.plot.accessibleDescription()
    next(b for b in page.table.findChildren(QPushButton) if b.text().startswith("1.3")).click()
    assert window.working.shown.title == "Ageing of Marl, round 1"
    page.plot.setFocus()
    QTest.keyClick(page.plot, Qt.Key.Key_Down)
    QTest.keyClick(page.plot, Qt.Key.Key_Return)
    assert window.working.shown.title == "Ageing of Marl, round 1"


def test_what_stays_and_when_is_planned_and_undone(window: MainWindow, at_rest: Wait) -> None:
    page = window.compare.page("ageing")
    assert page.days.text() == "1, 7, 30, 60, 90, 120, 180, 365" and all(b.isChecked() for b in page.boxes.values())
    page.days.setText("soon")
    page.days.editingFinished.emit()
    assert "“soon” is no time" in window.strip.trouble.text()
    page.days.setText("1 w, 6 m, 12 m")
    page.days.editingFinished.emit()
    at_rest()
    assert window.state.study.plan["rechecks"]["days"] == [7, 180, 360]
    next(iter(page.boxes.values())).click()
    at_rest()
    assert len(window.state.study.plan["rechecks"]["mounts"]) == 2
    window.notebooks.undo()
    window.notebooks.undo()
    at_rest()
    assert page.days.text().endswith("365") and all(b.isChecked() for b in page.boxes.values())


def test_a_due_recheck_is_next_and_is_run_on_its_mount(window: MainWindow, at_rest: Wait) -> None:
    state = window.state
    due = (dt.datetime.now() - dt.datetime(2026, 3, 23)).days - 2
    kept = state.study.plan["rechecks"]
    planedits.set_plan(state.notebook, state.study.id, "due", rechecks={**kept, "days": [180, due]})
    state.refresh()
    at_rest()
    assert window.header.next.text().endswith("recheck Chalk, round 1") and f"day {due}" in window.header.hint.text()
    window.settings.set_value("bench", "simulated 300")
    window.do_next()
    assert window.run.ready.title.text() == "Chalk, round 1, recheck"
    window.run.ready.start.click()
    pump_until(lambda: window.running.active)
    mount_id = window.running.mount_id
    pump_until(lambda: window.running.now is not None and window.running.now.rows > 30, 60)
    window.running.stop()
    pump_until(lambda: not window.running.active)
    at_rest()
    mount = next(m for m in state.mounts() if m.id == mount_id)
    assert mount.candidate.name == "Chalk" and len(mount.live_runs) == 1
    assert mount.rechecks[-1].started_at[:10] == dt.date.today().isoformat()
    window.open_mount(mount.id)
    state.look_at_run(mount.rechecks[2].id)
    at_rest()
    assert window.inspect.recheck.isChecked() and window.inspect.tests.currentText() == "recheck, 2026-04-22"
    first = state.reading(mount.id).value
    assert f"{first:.2f}" not in window.inspect.run_page.answer.text()  # it tells its own reading
    window.inspect.recheck.click()
    at_rest()
    assert len(next(m for m in state.mounts() if m.id == mount_id).live_runs) == 2
