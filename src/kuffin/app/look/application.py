"""The Qt application, as every window and every picture of Kuffin needs it."""

from __future__ import annotations

import sys

from PySide6.QtWidgets import QApplication

from kuffin.app.base.collecting import collect_in_window_thread
from kuffin.app.look import theme as looks


def application() -> QApplication:
    """The Qt application, dressed."""
    app = QApplication.instance()
    if app is None:
        app = QApplication(sys.argv[:1])
        collect_in_window_thread(app)
        sys.setswitchinterval(
            0.00005
        )  # the window gets its turn at once while workers compute, each time it comes back from Qt
    assert isinstance(app, QApplication)
    app.setApplicationName("Kuffin")
    app.setDesktopFileName("kuffin")
    looks.load_fonts()
    return app
