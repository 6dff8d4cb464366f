"""Python's cycle collector, kept to the window's thread and to moments that are not felt.

Python would tear down old widgets in whichever thread its collector happens to run, so here it runs between the window's
events only: often, so that it never has much to look through. What is loaded once (modules, classes) is set apart; all that
has lived for long is looked through where it has grown: sooner while the window is not the one in use.
"""

from __future__ import annotations

import gc
import sys

from PySide6.QtCore import Qt, QTimer
from PySide6.QtGui import QGuiApplication

_EVERY_MS = 200
_GROWN_IN_USE, _GROWN_UNUSED = 2.0, 1.1
_FEW = 2_500_000  # blocks of memory: as many as an open notebook takes; below that nothing is looked for


def collect_in_window_thread(app: QGuiApplication) -> QTimer:
    """Let the collector run between the events of `app` only."""
    gc.disable()
    lived = 0

    def collect() -> None:
        nonlocal lived
        young, _, old = gc.get_count()
        for_young, _, for_old = gc.get_threshold()
        if young <= for_young:
            return
        used = app.applicationState() == Qt.ApplicationState.ApplicationActive
        grown = _GROWN_IN_USE if used else _GROWN_UNUSED
        if old > for_old and sys.getallocatedblocks() > grown * max(lived, _FEW):
            gc.collect()
            lived = sys.getallocatedblocks()
        else:
            gc.collect(1)

    timer = QTimer(app)
    timer.setInterval(_EVERY_MS)
    timer.timeout.connect(collect)
    timer.start()
    return timer


def set_loaded_apart() -> None:
    """What is in memory now stays: the collector need not look through it again."""
    gc.freeze()
