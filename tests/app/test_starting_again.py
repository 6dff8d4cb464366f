"""A second start hands its files to the window that is open; and what puts Kuffin into the desktop's menu."""

from __future__ import annotations

import json
import subprocess
import sys
from collections.abc import Callable
from pathlib import Path

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
