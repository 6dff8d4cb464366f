"""A second start hands the files it was given to the window that is open, rather than opening another one."""

from __future__ import annotations

import hashlib
import json
import os
import socket as sockets
import stat
import struct
import tempfile
import time
from collections.abc import Callable, Sequence
from pathlib import Path

from platformdirs import user_cache_dir
from PySide6.QtCore import QObject
from PySide6.QtNetwork import QLocalServer, QLocalSocket

from kuffin.app.base.guarded import guarded

_WAIT_MS, _DEADLINE_S, _TAKEN, _MOST = 1000, 5.0, b"taken\n", 1_000_000
_LONGEST_PATH = 100  # of a socket


def door(settings_path: str) -> str:
    """Where the open window of this account with these settings is found: in a folder that only this account can enter."""
    name = f"kuffin-{hashlib.sha256(f'{os.getuid()} {settings_path}'.encode()).hexdigest()[:16]}"
    return str(_own_folder(len(name) + 1) / name)


def _own_folder(room: int) -> Path:
    """A folder of this account's alone: the session's own, else one that is made."""
    for place in (os.environ.get("XDG_RUNTIME_DIR", ""), user_cache_dir("kuffin")):
        if place and len(place.encode()) + room < _LONGEST_PATH and _is_ours(Path(place)):
            return Path(place)
    shared = Path(tempfile.gettempdir()) / f"kuffin-{os.getuid()}"
    return shared if _is_ours(shared) else Path(tempfile.mkdtemp(prefix="kuffin-"))  # somebody else sits there


def _is_ours(folder: Path) -> bool:
    try:
        folder.mkdir(mode=0o700, parents=True, exist_ok=True)
        there = folder.lstat()
        if stat.S_ISDIR(there.st_mode) and there.st_uid == os.getuid() and there.st_mode & 0o077:
            folder.chmod(0o700)
            there = folder.lstat()
    except OSError:
        return False
    return stat.S_ISDIR(there.st_mode) and there.st_uid == os.getuid() and not there.st_mode & 0o077


def _is_this_account(socket: QLocalSocket) -> bool:
    """Whether the other end of a connection belongs to this account."""
    try:
        with sockets.socket(fileno=os.dup(int(socket.socketDescriptor()))) as one:
            told = one.getsockopt(sockets.SOL_SOCKET, sockets.SO_PEERCRED, struct.calcsize("3i"))
    except OSError:
        return False
    return bool(struct.unpack("3i", told)[1] == os.getuid())


def hand_over(name: str, paths: Sequence[str]) -> bool:
    """Give files to the window that is open; False where there is none, it does not answer in time, or is somebody else's."""
    until = time.monotonic() + _DEADLINE_S
    socket = QLocalSocket()
    socket.connectToServer(name)
    if not socket.waitForConnected(_WAIT_MS) or not _is_this_account(socket):
        return False
    socket.write(json.dumps([str(Path(p).resolve()) for p in paths]).encode() + b"\n")
    socket.waitForBytesWritten(_WAIT_MS)
    while not socket.canReadLine():
        left = until - time.monotonic()
        if left <= 0 or socket.bytesAvailable() > len(_TAKEN) or not socket.waitForReadyRead(int(1000 * left)):
            return False
    return bytes(socket.readLine().data()) == _TAKEN


def _answers(name: str) -> bool:
    """Whether a window of this account listens there: its socket is not taken away."""
    socket = QLocalSocket()
    socket.connectToServer(name)
    return socket.waitForConnected(_WAIT_MS) and _is_this_account(socket)


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
        if _answers(name):  # to listen would put this socket in the place of the first window's
            return
        if not self._server.listen(name):
            QLocalServer.removeServer(name)  # one that ended without a word left it behind
            self._server.listen(name)

    def _connected(self) -> None:
        socket = self._server.nextPendingConnection()
        if socket is None:
            return
        if not _is_this_account(socket):
            socket.abort()
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
