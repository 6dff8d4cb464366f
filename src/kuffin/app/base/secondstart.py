"""A second start hands the files it was given to the window that is open, rather than opening another one."""

from __future__ import annotations

import hashlib
import json
import os
from collections.abc import Callable, Sequence
from pathlib import Path

from PySide6.QtCore import QObject
from PySide6.QtNetwork import QLocalServer, QLocalSocket

from kuffin.app.base.guarded import guarded

_WAIT_MS, _BUSY_MS, _TAKEN, _MOST = 1000, 5000, b"taken\n", 1_000_000


def door(settings_path: str) -> str:
    """What the open window of this account with these settings is found by."""
    return f"kuffin-{hashlib.sha256(f'{os.getuid()} {settings_path}'.encode()).hexdigest()[:16]}"


def hand_over(name: str, paths: Sequence[str]) -> bool:
    """Give files to the window that is open; False where there is none, or it does not answer."""
    socket = QLocalSocket()
    socket.connectToServer(name)
    if not socket.waitForConnected(_WAIT_MS):
        return False
    socket.write(json.dumps([str(Path(p).resolve()) for p in paths]).encode() + b"\n")
    socket.waitForBytesWritten(_WAIT_MS)
    while not socket.canReadLine():
        if not socket.waitForReadyRead(_BUSY_MS):
            return False
    return bytes(socket.readLine().data()) == _TAKEN


@guarded
class SecondStart(QObject):
    """Listens for further starts; what they were given is taken as if it had been dropped on the window.

    Parameters
    ----------
    take : callable
        Takes the paths.
    """

    def __init__(self, parent: QObject, name: str, take: Callable[[list[str]], object]) -> None:
        super().__init__(parent)
        self._take = take
        self._server = QLocalServer(self)
        self._server.setSocketOptions(QLocalServer.SocketOption.UserAccessOption)
        self._server.newConnection.connect(self._connected)
        if not self._server.listen(name):
            QLocalServer.removeServer(name)  # one that ended without a word left it behind
            self._server.listen(name)

    def _connected(self) -> None:
        socket = self._server.nextPendingConnection()
        if socket is None:
            return
        socket.disconnected.connect(socket.deleteLater)
        socket.readyRead.connect(lambda: self._read(socket))
        self._read(socket)

    def _read(self, socket: QLocalSocket) -> None:
        if socket.bytesAvailable() > _MOST:
            socket.abort()
        if not socket.canReadLine():
            return
        try:
            told = json.loads(bytes(socket.readLine().data()))
        except ValueError:
            told = None
        paths = [p for p in told if isinstance(p, str) and Path(p).is_file()] if isinstance(told, list) else []
        socket.write(_TAKEN)
        socket.flush()
        if paths:
            self._take(paths)
