"""Start the window."""

from __future__ import annotations

from collections.abc import Sequence
from pathlib import Path

from PySide6.QtCore import QTimer
from PySide6.QtGui import QIcon

from kuffin.app.base.endsignals import EndSignals
from kuffin.app.base.faults import Faults
from kuffin.app.base.settings import Settings
from kuffin.app.frame.dressing import SCALES
from kuffin.app.frame.window import MainWindow
from kuffin.app.look import theme as looks
from kuffin.app.look.application import application


def run(notebook: str | None = None, demo: bool = False, files: Sequence[str] = ()) -> int:
    """Open the window on a notebook, on the demo, or on the last notebook; files are taken as if they were dropped on it."""
    app = application()
    settings = Settings()
    looks.apply(
        app, looks.chosen(settings.value("theme", "desktop", looks.MODES)), settings.number("scale", 1.0, *SCALES)
    )
    icon = Path(__file__).with_name("look") / "icons" / "kuffin.svg"
    app.setWindowIcon(QIcon(str(icon)))
    window = MainWindow(settings)
    EndSignals(window, window.leave)
    Faults(window, window.state.trouble.emit)
    window.show()
    if demo:
        window.notebooks.open_demo()
    elif notebook is not None:
        window.notebooks.open_path(notebook)
    else:
        window.notebooks.open_last()
    if files:
        QTimer.singleShot(0, window, lambda: window.take_all(list(files)))
    return int(app.exec())
