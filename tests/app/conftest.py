"""A window to work with, offscreen."""

from __future__ import annotations

from collections.abc import Callable, Iterator
from pathlib import Path

import pytest
from PySide6.QtCore import Qt
from PySide6.QtWidgets import QApplication
from pytestqt.qtbot import QtBot

from kuffin.app.base.collecting import set_loaded_apart
from kuffin.app.base.settings import Settings
from kuffin.app.frame.window import MainWindow
from kuffin.app.look import theme as looks
from kuffin.app.look.application import application
from kuffin.app.look.speech import speak_language


@pytest.fixture(scope="session")
def qapp() -> object:
    """The application, dressed as it starts."""
    app = application()
    looks.apply(app, looks.LIGHT)
    set_loaded_apart()
    return app


@pytest.fixture(autouse=True)
def own_dialogs(qapp: QApplication) -> None:
    """Qt's own file dialogs, which a test can reach."""
    qapp.setAttribute(Qt.ApplicationAttribute.AA_DontUseNativeDialogs)


@pytest.fixture
def german(qapp: QApplication) -> Iterator[None]:
    """Whatever window is made meanwhile speaks German."""
    speak_language(qapp, "de")
    yield
    speak_language(qapp, "en")


@pytest.fixture
def window(qtbot: QtBot, tmp_path: Path, qapp: object) -> Iterator[MainWindow]:
    settings = Settings(tmp_path / "window.ini")
    settings.set_value("theme", "light")
    if isinstance(qapp, QApplication):
        looks.apply(qapp, looks.LIGHT)  # whatever size or theme the window before it had
    made = MainWindow(settings)
    made.resize(1280, 800)
    # after a test that failed in the midst of a run the window would ask, and wait
    qtbot.addWidget(made, before_close_func=lambda w: w.running.stop_now())
    made.show()
    made.activateWindow()
    qtbot.waitUntil(made.isActiveWindow)  # else no shortcut reaches it
    yield made
    made.close()


@pytest.fixture
def at_rest(qtbot: QtBot, window: MainWindow) -> Callable[[], None]:
    """Wait until the window has nothing left to do."""

    def wait() -> None:
        qtbot.waitUntil(lambda: not window.jobs.running, timeout=90_000)
        qtbot.wait(20)

    return wait


@pytest.fixture
def demo_window(window: MainWindow, demo: Path, at_rest: Callable[[], None]) -> MainWindow:
    assert window.notebooks.open_path(demo)
    at_rest()
    return window
