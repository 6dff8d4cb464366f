"""Help at the bench: every topic is there once, is found by its words, and a term is explained where it stands."""

from __future__ import annotations

from collections.abc import Callable
from pathlib import Path

from PySide6.QtCore import Qt
from PySide6.QtTest import QTest
from pytestqt.qtbot import QtBot

from kuffin.app.frame.window import MainWindow
from kuffin.app.help.helpwindow import METHODS, terms_in, topics

ROOT = Path(__file__).parents[2]


def titles(window: MainWindow) -> list[str]:
    shown = window.help.titles
    return [t for i in range(shown.count()) if (t := shown.item(i).data(Qt.ItemDataRole.UserRole))]


def test_each_desk_has_its_page_and_the_methods_are_those_of_the_docs(window: MainWindow) -> None:
    told = [t.title for t in topics()]
    assert len(told) == len(set(told)) and set(window.desks) <= set(told)
    methods = (ROOT / "docs" / "methods.md").read_text("utf-8")
    assert all(t.text in methods for t in topics() if t.shelf == METHODS)


def test_it_is_searched_by_typing_and_turns_to_a_word(qtbot: QtBot, window: MainWindow) -> None:
    window.show_help()
    everything = titles(window)
    window.help.line.setText("leak test")
    found = titles(window)
    assert "Prepare" in found and len(found) < len(everything)
    assert "leak" in window.help.page.toPlainText().casefold() and window.help.page.textCursor().hasSelection()
    window.help.line.setText("xyzzy")
    assert titles(window) == [] and window.help.page.toPlainText() == ""
    window.show_help("Margin")
    assert window.help.page.toPlainText().startswith("Margin")
    window.help.show_topic("Keys")
    assert "Ctrl+K" in window.help.page.toPlainText()
    window.help.show_topic("Caution at the bench")
    assert "no safety device" in window.help.page.toPlainText()
    window.help.activateWindow()
    qtbot.waitUntil(window.help.isActiveWindow)
    QTest.keyClick(window.help, Qt.Key.Key_Escape)
    assert not window.help.isVisible()


def test_a_term_is_explained_where_it_stands(demo_window: MainWindow) -> None:
    acts = dict(demo_window.copier.acts_for(demo_window.header.verdict))
    acts["What does “not told apart” mean?"]()
    assert demo_window.help.isVisible() and demo_window.help.page.toPlainText().startswith("Not told apart")
    demo_window.help.close()


def test_the_help_speaks_the_windows_language_and_knows_its_words(
    german: None, demo_window: MainWindow, at_rest: Callable[[], None]
) -> None:
    demo_window.state.choose_study(2)
    at_rest()
    acts = dict(demo_window.copier.acts_for(demo_window.header.verdict))
    asked = next(a for a in acts if "unterscheidbar" in a.casefold())
    acts[asked]()
    assert demo_window.help.page.toPlainText().startswith("Nicht unterscheidbar")
    demo_window.help.line.setText("dichtprobe")
    listed = [demo_window.help.titles.item(i).text().strip() for i in range(demo_window.help.titles.count())]
    assert listed[:2] == ["Am Pult", "Rüsten"]
    assert terms_in("Drei Montagen, eingeschwungen") == ["Settled", "Mount"]
    demo_window.help.close()
