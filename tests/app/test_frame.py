"""The frame: figures begin high up, pages share names, anything is found by typing, and what is seen can be copied."""

from __future__ import annotations

from collections.abc import Callable
from pathlib import Path
from typing import Any

import pytest
from PySide6.QtCore import QPoint, Qt
from PySide6.QtTest import QTest
from PySide6.QtWidgets import (
    QApplication,
    QFileDialog,
    QPushButton,
    QScrollArea,
    QTableWidget,
    QTableWidgetItem,
    QVBoxLayout,
    QWidget,
)
from pytestqt.qtbot import QtBot

from kuffin.app.frame.copying import cells_of, table_data
from kuffin.app.frame.finder import Finder, matching, places
from kuffin.app.frame.window import MainWindow
from kuffin.app.widgets.fewlines import FewLines
from kuffin.app.widgets.texts import text

Wait = Callable[[], None]


def top_of(window: MainWindow, widget: QWidget) -> int:
    return widget.mapTo(window, QPoint(0, 0)).y()


@pytest.mark.parametrize("size", [(1280, 800), (1024, 700)])
def test_the_first_figure_begins_within_200_pixels_or_two_rows_of_names(
    demo_window: MainWindow, at_rest: Wait, size: tuple[int, int]
) -> None:
    demo_window.resize(*size)
    demo_window.show_desk("Compare")
    at_rest()
    most = 200 if size[0] > 1200 else 230
    assert top_of(demo_window, demo_window.compare.plot) <= most
    demo_window.show_desk("Inspect")
    at_rest()
    assert top_of(demo_window, demo_window.inspect.run_page.plot) <= most


def test_few_lines_show_no_more_than_fits_and_keep_the_whole_text(qtbot: QtBot) -> None:
    words = "Sedge runs the coolant cooler than Rush, and Reed and Bulrush are not told apart yet."
    label = FewLines(2, "why ›", opens=True)
    qtbot.addWidget(label)
    label.setText(words)
    label.resize(220, 60)
    label.show()
    assert len(label.shown()) == 2 and label.is_cut() and label.shown()[-1].endswith("…")
    assert label.text() == words and label.toolTip() == words
    label.resize(2000, 60)
    assert label.shown() == [words] and not label.is_cut()
    with qtbot.waitSignal(label.opened):
        QTest.mouseClick(label, Qt.MouseButton.LeftButton)


def test_pages_that_answer_one_question_share_a_name_and_are_all_reached(
    demo_window: MainWindow, at_rest: Wait
) -> None:
    demo_window.show_desk("Compare")
    paged = demo_window.compare.paged
    names = paged.group.buttons()
    assert len(names) <= 7
    trust = next(b for b in names if b.text().startswith("Trust"))
    action = next(a for a in trust.menu().actions() if a.text().startswith("Scatter"))
    action.trigger()
    at_rest()
    assert paged.page == "scatter" and trust.isChecked() and trust.text().startswith("Scatter") and action.isChecked()
    seen = {paged.page}
    for _ in range(len(paged.keys)):
        QTest.keyClick(demo_window, Qt.Key.Key_PageDown, Qt.KeyboardModifier.ControlModifier)
        seen.add(paged.page)
    assert seen == set(paged.keys)


def test_anything_is_found_by_typing(demo_window: MainWindow, at_rest: Wait) -> None:
    finder = Finder(demo_window)
    for typed, first in (("bulrush 2", "Bulrush, round 2"), ("scatter", "Scatter"), ("text larger", "Larger text")):
        finder.line.setText(typed)
        assert finder.found.item(0).text().startswith(first)
    finder.line.setText("no such thing")
    QTest.keyClick(finder.line, Qt.Key.Key_Return)
    finder.line.setText("rush")
    QTest.keyClick(finder.line, Qt.Key.Key_Down)
    assert finder.found.currentRow() == 1
    finder.line.setText("page scatter")
    QTest.keyClick(finder.line, Qt.Key.Key_Return)
    at_rest()
    assert demo_window.compare.paged.page == "scatter"
    reed = next(p for p in matching(places(demo_window), "reed") if p.what == "candidate")
    reed.go()
    assert demo_window.working.isVisible() and "Reed" in demo_window.working.shown.title
    dipper = next(p for p in places(demo_window) if p.name == "Dipper")
    dipper.go()
    at_rest()
    assert demo_window.stack.currentWidget() is demo_window.shelf_desk


def test_escape_closes_the_working_from_anywhere(demo_window: MainWindow, at_rest: Wait) -> None:
    demo_window.show_desk("Plan")
    at_rest()
    demo_window.header.explain()
    assert demo_window.working.isVisible()
    demo_window.plan.question.question.setFocus()
    QTest.keyClick(QApplication.focusWidget() or demo_window, Qt.Key.Key_Escape)
    assert not demo_window.working.isVisible()


def test_tables_pictures_and_words_are_copied(
    demo_window: MainWindow, at_rest: Wait, tmp_path: Path, monkeypatch: pytest.MonkeyPatch
) -> None:
    demo_window.show_desk("Compare")
    demo_window.compare.go("verdict")
    at_rest()
    clipboard, pairs = QApplication.clipboard(), demo_window.compare.verdict.pairs
    pairs.setFocus()
    demo_window.copier.copy_focused()
    lines = clipboard.text().split("\n")
    assert lines[0] == "pair\tdifference\tinterval\twhat may be said" and len(lines) == 1 + pairs.rowCount()
    assert clipboard.mimeData().html().count("<tr>") == len(lines)
    acts = dict(demo_window.copier.acts_for(demo_window.compare.plot))
    acts["Copy the picture"]()
    assert clipboard.image().width() == 2 * demo_window.compare.plot.width()
    for ending in ("svg", "png"):
        asked: Any = lambda *_a, e=ending: (str(tmp_path / f"seen.{e}"), "")  # noqa: E731
        monkeypatch.setattr(QFileDialog, "getSaveFileName", asked)
        acts[f"Picture as {ending.upper()} …"]()
    assert b"<svg" in (tmp_path / "seen.svg").read_bytes() and (tmp_path / "seen.png").stat().st_size > 2000
    assert "Written: seen.png, in " in demo_window.strip.trouble.text()
    dict(demo_window.copier.acts_for(demo_window.header.verdict))["Copy these words"]()
    assert clipboard.text() == demo_window.header.verdict.text()
    demo_window.strip.setFocus()
    asked = lambda *_a: (str(tmp_path / "not" / "there.png"), "")  # noqa: E731
    monkeypatch.setattr(QFileDialog, "getSaveFileName", asked)
    acts["Picture as PNG …"]()
    assert "could not be written" in demo_window.strip.trouble.text()


def test_what_is_copied_is_never_a_formula(qtbot: QtBot) -> None:
    table = QTableWidget(1, 2)
    qtbot.addWidget(table)
    table.setHorizontalHeaderLabels(["name", "K"])
    for column, said in enumerate(("=HYPERLINK(1)", "−2.3")):
        table.setItem(0, column, QTableWidgetItem(said))
    data = table_data(cells_of(table) or [])
    assert data.text() == "name\tK\n'=HYPERLINK(1)\t−2.3"
    table.item(0, 0).setText("<b>x</b>")
    assert "&lt;b&gt;" in table_data(cells_of(table) or []).html()


def test_the_confidence_is_chosen_and_taken_back(demo_window: MainWindow, at_rest: Wait) -> None:
    demo_window.show_desk("Compare")
    demo_window.compare.go("verdict")
    at_rest()
    page = demo_window.compare.verdict

    def widths() -> list[float]:
        result = page.shown()
        assert result is not None and result.comparison is not None
        return [p.high - p.low for p in result.comparison.pairs]

    before = widths()
    page.confidence.setValue(80.0)
    at_rest()
    assert demo_window.state.study is not None and demo_window.state.study.confidence == 0.8
    assert all(a < b for a, b in zip(widths(), before, strict=True))
    demo_window.notebooks.undo()
    at_rest()
    assert widths() == before and page.confidence.value() == 95.0


def test_the_mount_s_staircase_stands_beside_where_there_is_room(demo_window: MainWindow, at_rest: Wait) -> None:
    demo_window.show_desk("Inspect")
    at_rest()
    side, link = demo_window.side, next(b for b in demo_window.side.findChildren(QPushButton) if "shapes" in b.text())
    assert side.stairs.isHidden()  # the desk itself has it
    demo_window.show_desk("Compare")
    at_rest()
    assert side.stairs.isHidden()  # the legend takes its room
    link.click()
    at_rest()
    assert side.stairs.isVisible() and demo_window.settings.value("loom/legend", "") == "folded"
    side.stairs.chosen.emit("die")
    assert demo_window.stack.currentWidget() is demo_window.inspect
    demo_window.show_desk("Compare")
    demo_window.resize(1024, 600)
    at_rest()
    assert side.stairs.isHidden()


def test_the_mount_to_be_looked_at_next_is_told_of_until_one_is_chosen(demo_window: MainWindow, at_rest: Wait) -> None:
    side = demo_window.side
    demo_window.show_desk("Compare")
    assert demo_window.state.mount() is None and side.name.text() == "Next: Bulrush, round 2"
    assert "doubtful" in side.words.text()
    wanted = next(m for m in demo_window.state.mounts() if m.candidate.name == "Bulrush" and m.round == 2)
    side.stairs.chosen.emit("")  # its staircase opens it
    at_rest()
    assert demo_window.state.mount() == wanted and demo_window.desk == "Inspect"
    assert side.name.text() == "Bulrush, round 2"


def test_the_side_has_no_bar_until_one_asks_for_more_than_fits(demo_window: MainWindow, at_rest: Wait) -> None:
    side, link = demo_window.side, next(b for b in demo_window.side.findChildren(QPushButton) if "shapes" in b.text())
    bar = side.findChildren(QScrollArea)[0].verticalScrollBar()
    demo_window.show_desk("Compare")
    demo_window.resize(1024, 700)
    try:
        demo_window.scale_text(1.5)
        at_rest()
        assert bar.maximum() == 0 and "▾" in link.text()  # folded, as it would not fit
        link.click()
        at_rest()
        assert bar.maximum() > 0 and "▴" in link.text()
    finally:
        demo_window.scale_text(1 / 1.5)
    demo_window.resize(1280, 800)
    at_rest()
    assert bar.maximum() == 0 and "▴" in link.text()


def test_words_that_wrap_take_the_height_of_their_lines_again_when_they_become_fewer(qtbot: QtBot) -> None:
    holder, label = QWidget(), text("one line")
    qtbot.addWidget(holder)
    QVBoxLayout(holder).addWidget(label)
    holder.resize(200, 300)
    holder.show()
    one = label.minimumHeight()
    label.setText("word " * 60)
    assert label.minimumHeight() > 3 * one > 0
    label.setText("one line")
    assert label.minimumHeight() == one
