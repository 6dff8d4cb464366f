"""Told to end from outside (log-out, a closed terminal, a kill): the window closes in order, and the load is stopped."""

from __future__ import annotations

import signal
import socket
from collections.abc import Callable

from PySide6.QtCore import QObject, QSocketNotifier

_SIGNALS = (signal.SIGTERM, signal.SIGHUP, signal.SIGINT)


class EndSignals(QObject):
    """Calls `leave` in the window's thread at a signal that says to end."""

    def __init__(self, parent: QObject, leave: Callable[[], None]) -> None:
        super().__init__(parent)
        self._leave = leave
        self._here, there = socket.socketpair()
        self._here.setblocking(False)
        there.setblocking(False)
        self._there = there
        for one in _SIGNALS:
            if signal.getsignal(one) is not signal.SIG_IGN:  # nohup asks for that
                signal.signal(one, lambda *_: None)  # Python's part; the byte below is what is heard
        signal.set_wakeup_fd(there.fileno(), warn_on_full_buffer=False)
        self._notifier = QSocketNotifier(self._here.fileno(), QSocketNotifier.Type.Read, self)
        self._notifier.activated.connect(self._heard)

    def _heard(self) -> None:
        if set(self._here.recv(64)) & {int(one) for one in _SIGNALS}:
            self._leave()
