"""The main path in a real window: an X server of its own, the xcb platform, keys and clicks."""

from __future__ import annotations

import os
import shutil
import subprocess
import sys
import time
from pathlib import Path

SCRIPT = """
import sys, time
from pathlib import Path
from PySide6.QtCore import Qt
from PySide6.QtTest import QTest
from kuffin.app.main import application
from kuffin.app.look import theme as looks
from kuffin.app.settings import Settings
from kuffin.app.window import MainWindow

place = Path(sys.argv[1])
app = application()
assert app.platformName() == "xcb", app.platformName()
settings = Settings(place / "window.ini")
looks.apply(app, looks.LIGHT)
window = MainWindow(settings)
window.resize(1280, 800)
window.show()
assert QTest.qWaitForWindowExposed(window)

def rest():
    end = time.monotonic() + 40
    QTest.qWait(50)
    while window.jobs.running:
        assert time.monotonic() < end
        QTest.qWait(20)
    QTest.qWait(50)

assert window.notebooks.open_path(sys.argv[2])
rest()
print(window.header.verdict.text())
QTest.mouseClick(window.header.next, Qt.MouseButton.LeftButton)
rest()
print(window.inspect._title.text())
QTest.keyClicks(window.inspect._reason, "air in the radiator")
QTest.keyClick(window.inspect._reason, Qt.Key.Key_Return)
rest()
window.show_desk("Compare")
rest()
print(window.header.verdict.text())
shot = window.grab()
assert (shot.width(), shot.height()) == (1280, 800), shot.size()
colours = {shot.toImage().pixelColor(x, y).name() for x in range(330, 1250, 7) for y in range(230, 460, 3)}
assert {"#009e73", "#0072b2", "#d55e00"} <= colours, "the candidates' colours are not on screen"
window.close()
print("closed")
"""


def test_the_main_path_in_a_real_window(demo: Path, tmp_path: Path) -> None:
    server = shutil.which("Xvfb")
    assert server, "Xvfb is missing; make install brings it"
    script = tmp_path / "drive.py"
    script.write_text(SCRIPT)
    read, write = os.pipe()
    x = subprocess.Popen(
        [server, "-displayfd", str(write), "-screen", "0", "1400x900x24", "-nolisten", "tcp"],
        pass_fds=[write],
        stderr=subprocess.DEVNULL,
    )
    os.close(write)
    try:
        display = ""
        end = time.monotonic() + 20
        while not display.endswith("\n") and time.monotonic() < end:
            display += os.read(read, 16).decode()
        env = {**os.environ, "DISPLAY": f":{display.strip()}", "QT_QPA_PLATFORM": "xcb"}
        done = subprocess.run(
            [sys.executable, str(script), str(tmp_path), str(demo)],
            env=env,
            capture_output=True,
            text=True,
            timeout=120,
            check=False,
        )
    finally:
        x.terminate()
        x.wait(10)
        os.close(read)
    assert done.returncode == 0, done.stderr[-1500:]
    before, title, after, closed = done.stdout.strip().splitlines()
    assert "cooler than Rush" in before
    assert title == "Bulrush, round 2"
    assert "Bulrush (" in after
    assert closed == "closed"
