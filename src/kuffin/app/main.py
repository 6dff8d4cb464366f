"""Start the window."""

from __future__ import annotations

import sys
from pathlib import Path

from PySide6.QtGui import QIcon
from PySide6.QtWidgets import QApplication

from kuffin.app.dressing import SCALES
from kuffin.app.endsignals import EndSignals
from kuffin.app.faults import Faults
from kuffin.app.jobs import collect_in_window_thread
from kuffin.app.look import theme as looks
from kuffin.app.settings import Settings
from kuffin.app.window import MainWindow


def application() -> QApplication:
    """The Qt application, dressed."""
    app = QApplication.instance()
    if app is None:
        app = QApplication(sys.argv[:1])
        collect_in_window_thread(app)
        sys.setswitchinterval(0.001)  # the window gets its turn five times as soon while workers compute
    assert isinstance(app, QApplication)
    app.setApplicationName("Kuffin")
    app.setDesktopFileName("kuffin")
    looks.load_fonts()
    return app


def run(notebook: str | None = None, demo: bool = False) -> int:
    """Open the window on a notebook, on the demo, or on the last notebook."""
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
    return int(app.exec())
