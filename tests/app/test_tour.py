"""The two-minute tour, done as it asks."""

from __future__ import annotations

from collections.abc import Callable

from PySide6.QtCore import Qt
from PySide6.QtTest import QTest
from PySide6.QtWidgets import QApplication, QDialog, QPushButton
from pytestqt.qtbot import QtBot

from kuffin.app.frame.finder import Finder
from kuffin.app.frame.tour import STOPS
from kuffin.app.frame.window import MainWindow
from tests.app.driving import with_dialog

Wait = Callable[[], None]
LEFT = Qt.MouseButton.LeftButton


def test_each_stop_is_done_by_what_it_asks_for_and_the_demo_is_left_as_it_was(
    window: MainWindow, at_rest: Wait, qtbot: QtBot
) -> None:
    button = next(b for b in window.start.findChildren(QPushButton) if b.text() == "Take the tour")
    qtbot.mouseClick(button, LEFT)
    at_rest()
    tour = window.tour

    def key(code: Qt.Key, modifier: Qt.KeyboardModifier = Qt.KeyboardModifier.NoModifier) -> None:
        QTest.keyClick(QApplication.focusWidget() or window, code, modifier)

    def drag_the_window() -> None:
        region = window.inspect.run_page.plot.region
        assert region is not None
        begin, end = region.getRegion()
        region.setRegion([begin + 1.0, end])
        at_rest()

    def find_the_pastes(dialog: QDialog) -> None:
        assert isinstance(dialog, Finder)
        qtbot.keyClicks(dialog.line, "pastes")
        texts = [dialog.found.item(i).text() for i in range(dialog.found.count())]
        dialog.found.setCurrentRow(next(i for i, said in enumerate(texts) if said.startswith("Pastes, winter")))
        qtbot.keyClick(dialog.line, Qt.Key.Key_Return)

    control = Qt.KeyboardModifier.ControlModifier
    acts: tuple[Callable[[], object], ...] = (
        lambda: qtbot.keyClick(window.header.verdict, Qt.Key.Key_F1),
        lambda: key(Qt.Key.Key_Escape),
        lambda: qtbot.mouseClick(window.side.loom, LEFT, pos=window.side.loom.centre(2, 1).toPoint()),
        drag_the_window,
        lambda: key(Qt.Key.Key_Z, control),
        lambda: key(Qt.Key.Key_5, control),
        lambda: with_dialog(lambda: key(Qt.Key.Key_K, control), find_the_pastes),
        lambda: qtbot.mouseClick(window.header.next, LEFT),
    )
    assert len(acts) == len(STOPS)
    for i, act in enumerate(acts):
        assert tour.where.text() == f"{i + 1} of {len(STOPS)}" and tour.does.text() == STOPS[i].does
        qtbot.wait(400)
        assert tour.does.text() == STOPS[i].does  # it waits for what it asks
        act()
        at_rest()
        qtbot.waitUntil(lambda i=i: tour.where.text() != f"{i + 1} of {len(STOPS)}")  # type: ignore[misc]
    assert tour.where.text() == "done" and tour.practise.isVisible() and not tour.skip.isVisible()
    assert window.state.notebook is not None and window.state.notebook.undo_label is None
    qtbot.mouseClick(tour.end, LEFT)
    assert not tour.isVisible()


def test_a_stop_can_be_skipped_and_the_tour_ended_at_any_time(window: MainWindow, at_rest: Wait, qtbot: QtBot) -> None:
    window.tour.begin()
    at_rest()
    for i in range(len(STOPS)):
        assert window.tour.where.text() == f"{i + 1} of {len(STOPS)}"
        window.tour.skip.click()
    assert window.tour.where.text() == "done"
    window.tour.begin()
    at_rest()
    qtbot.mouseClick(window.tour.end, LEFT)
    window.show_desk("Plan")
    qtbot.wait(400)
    assert not window.tour.isVisible()
