"""The first picture: what was last kept, marked as such, and only for the notebook that is opened."""

from __future__ import annotations

from collections.abc import Callable
from pathlib import Path

from pytestqt.qtbot import QtBot

from kuffin.app.frame.earlywindow import EarlyWindow
from kuffin.app.frame.window import MainWindow
from kuffin.app.look import theme as looks


def test_the_verdict_as_last_kept_stands_there_at_once(
    qtbot: QtBot, demo_window: MainWindow, demo: Path, at_rest: Callable[[], None]
) -> None:
    at_rest()
    question, verdict = demo_window.header.question.text(), demo_window.header.verdict.text()
    assert verdict.startswith("So far")
    demo_window.close()
    early = EarlyWindow(demo_window.settings, looks.LIGHT, 1.0, str(demo))
    qtbot.addWidget(early)
    early.show()
    assert (early.question.text(), early.verdict.text()) == (question, verdict)
    assert early.state.text().startswith("as last kept")
    other = EarlyWindow(demo_window.settings, looks.DARK, 1.5, "/another.kuffin")
    qtbot.addWidget(other)
    assert (other.question.text(), other.verdict.text(), other.state.text()) == ("", "", "opening …")
