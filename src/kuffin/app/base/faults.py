"""Faults of Kuffin's own, wherever they come from: written to standard error, said in a sentence, and the window goes on."""

from __future__ import annotations

import contextlib
import sys
import threading
import traceback
from collections.abc import Callable
from types import TracebackType

from PySide6.QtCore import QObject, Signal

from kuffin.core.base.language import tr

_MOST = 50  # told; one that comes with every event must not fill the screen


class Faults(QObject):
    """Catches what no one has caught: in slots, in Qt's calls back into Kuffin, in threads."""

    _came = Signal(str)

    def __init__(self, parent: QObject, tell: Callable[[str], None]) -> None:
        super().__init__(parent)
        self._told: set[str] = set()
        self._came.connect(tell)
        sys.excepthook = self._caught
        threading.excepthook = lambda args: self._caught(
            args.exc_type, args.exc_value or args.exc_type(), args.exc_traceback
        )

    def _caught(self, kind: type[BaseException], error: BaseException, where: TracebackType | None) -> None:
        if issubclass(kind, KeyboardInterrupt):
            sys.__excepthook__(kind, error, where)
            return
        traceback.print_exception(kind, error, where)
        said = tr(
            "a fault of Kuffin's own ({name}: {error}); what was kept is safe, go on elsewhere",
            name=kind.__name__,
            error=str(error)[:200],
        )
        if said not in self._told and len(self._told) < _MOST:
            self._told.add(said)
            with contextlib.suppress(RuntimeError):  # the window is gone already
                self._came.emit(said)
