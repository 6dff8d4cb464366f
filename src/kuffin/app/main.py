"""Start the window."""

from __future__ import annotations

from collections.abc import Sequence
from pathlib import Path
from typing import TYPE_CHECKING

from PySide6.QtCore import QTimer
from PySide6.QtGui import QIcon

from kuffin.app.base.settings import Settings
from kuffin.app.look import theme as looks
from kuffin.app.look.application import application
from kuffin.app.look.speech import LANGUAGES, chosen_language, speak_language

if TYPE_CHECKING:
    from kuffin.app.frame.window import MainWindow


def take_named(window: MainWindow, paths: Sequence[str]) -> None:
    """Open what a further start was given, in the window that is open already."""
    from kuffin.notebook.store import SUFFIX

    notebook = next((p for p in paths if p.endswith(SUFFIX)), None)
    if notebook is not None:
        window.notebooks.open_path(notebook)
    others = [p for p in paths if not p.endswith(SUFFIX)]
    if others:
        window.take_all(others)
    if window.isMinimized():
        window.showNormal()
    window.raise_()
    window.activateWindow()


def run(notebook: str | None = None, demo: bool = False, files: Sequence[str] = ()) -> int:
    """Open the window on a notebook, on the demo, or on the last notebook; files are taken as if they were dropped on it.

    Where a window is open already it is handed what was named. What takes its time to load is imported behind a first picture.
    """
    app = application()
    settings = Settings()
    named = [*([notebook] if notebook else []), *files]
    door_name = ""
    if named:
        from kuffin.app.base.secondstart import door, hand_over

        door_name = door(settings.store.fileName())
        if hand_over(door_name, named):
            return 0
    speak_language(app, chosen_language(settings.value("language", "desktop", LANGUAGES)))
    scale = settings.number("scale", 1.0, *looks.SCALES)
    theme = looks.chosen(settings.value("theme", "desktop", looks.MODES))
    looks.apply(app, theme, scale)
    icon = Path(__file__).with_name("look") / "icons" / "kuffin.svg"
    app.setWindowIcon(QIcon(str(icon)))

    from kuffin.app.frame.earlywindow import EarlyWindow

    last = notebook or next(iter(settings.recent), None)
    early = EarlyWindow(settings, theme, scale, None if demo else last)
    early.show()
    app.processEvents()

    from kuffin.app.base.collecting import set_loaded_apart
    from kuffin.app.base.endsignals import EndSignals
    from kuffin.app.base.faults import Faults
    from kuffin.app.base.secondstart import SecondStart, door
    from kuffin.app.frame.window import MainWindow

    set_loaded_apart()
    window = MainWindow(settings)
    EndSignals(window, window.leave)
    Faults(window, window.state.trouble.emit)
    window.show()
    early.close()
    early.deleteLater()
    name = door_name or door(settings.store.fileName())
    QTimer.singleShot(0, window, lambda: SecondStart(window, name, lambda paths: take_named(window, paths)))
    if demo:
        window.notebooks.open_demo()
    elif notebook is not None:
        window.notebooks.open_path(notebook)
    else:
        window.notebooks.open_last()
    if files:
        QTimer.singleShot(0, window, lambda: window.take_all(list(files)))
    return int(app.exec())
