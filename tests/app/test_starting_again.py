"""A second start hands its files to the window that is open; and what puts Kuffin into the desktop's menu."""

from __future__ import annotations

import json
import os
import subprocess
import sys
import threading
from collections.abc import Callable
from pathlib import Path

import pytest
from PySide6.QtNetwork import QLocalSocket
from pytestqt.qtbot import QtBot

from kuffin.app.base.secondstart import SecondStart, door, hand_over
from kuffin.app.frame.window import MainWindow
from kuffin.app.main import take_named

_GIVE = """
import sys
from PySide6.QtCore import QCoreApplication
from kuffin.app.base.secondstart import hand_over
app = QCoreApplication([])
print(hand_over(sys.argv[1], sys.argv[2:]))
"""


def test_another_process_hands_its_files_over(
    qtbot: QtBot, window: MainWindow, demo: Path, tmp_path: Path, at_rest: Callable[[], None]
) -> None:
    name = door(str(tmp_path / "window.ini"))
    assert not hand_over(name, [str(demo)])  # nobody is there yet
    got: list[list[str]] = []
    SecondStart(window, name, got.append)
    log = tmp_path / "a log.csv"
    log.write_text("time_s,Coolant_degC\n0,20\n")
    given = subprocess.Popen(
        [sys.executable, "-c", _GIVE, name, str(demo), str(log), str(tmp_path / "gone.csv")],
        stdout=subprocess.PIPE,
        text=True,
    )
    qtbot.waitUntil(lambda: bool(got), timeout=20_000)
    assert given.communicate(timeout=20)[0].strip() == "True"
    assert got == [[str(demo.resolve()), str(log.resolve())]]
    take_named(window, [str(demo)])
    at_rest()
    assert window.state.notebook is not None and window.state.notebook.path == demo.resolve()


def test_what_makes_no_sense_is_not_taken(qtbot: QtBot, window: MainWindow, tmp_path: Path) -> None:
    name = door(str(tmp_path / "other.ini"))
    got: list[list[str]] = []
    SecondStart(window, name, got.append)
    for sent in (
        b"not json\n",
        json.dumps({"a": 1}).encode() + b"\n",
        json.dumps([1, "/no/such/file"]).encode() + b"\n",
    ):
        socket = QLocalSocket()
        socket.connectToServer(name)
        socket.waitForConnected(1000)
        socket.write(sent)
        socket.flush()
        qtbot.waitUntil(lambda s=socket: s.bytesAvailable() > 0, timeout=5000)
        socket.close()
    assert got == []


def test_the_socket_is_where_only_this_account_can_go(tmp_path: Path, monkeypatch: pytest.MonkeyPatch) -> None:
    monkeypatch.setenv("XDG_RUNTIME_DIR", "")
    monkeypatch.setenv("XDG_CACHE_HOME", str(tmp_path / "c"))
    place = Path(door(str(tmp_path / "window.ini"))).parent
    found = place.stat()
    assert found.st_uid == os.getuid() and not found.st_mode & 0o077


def test_a_second_start_does_not_take_the_sockets_place(qtbot: QtBot, window: MainWindow, tmp_path: Path) -> None:
    name, got = door(str(tmp_path / "third.ini")), ([], [])  # type: tuple[str, tuple[list[object], list[object]]]
    first = SecondStart(window, name, got[0].append)
    given = subprocess.Popen(
        [
            sys.executable,
            "-c",
            "import sys\nfrom PySide6.QtCore import QCoreApplication, QObject\n"
            "from kuffin.app.base.secondstart import SecondStart\n"
            "app = QCoreApplication([])\nkept = SecondStart(QObject(), sys.argv[1], print)\nprint('up', flush=True)\nsys.stdin.read()",
            name,
        ],
        stdin=subprocess.PIPE,
        stdout=subprocess.PIPE,
        text=True,
    )
    assert given.stdout is not None
    up: list[str] = []
    threading.Thread(target=lambda: up.append(given.stdout.readline()), daemon=True).start()  # type: ignore[union-attr]
    qtbot.waitUntil(lambda: bool(up), timeout=20_000)  # it asks the first one, which has to answer meanwhile
    log = tmp_path / "a.csv"
    log.write_text("x")
    third = subprocess.Popen([sys.executable, "-c", _GIVE, name, str(log)])
    qtbot.waitUntil(lambda: bool(got[0]), timeout=20_000)
    third.wait(20)
    given.kill()
    given.wait(20)
    assert first is not None and got[1] == []
