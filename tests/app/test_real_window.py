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
from kuffin.app.look.application import application
from kuffin.app.look import theme as looks
from kuffin.app.base.settings import Settings
from kuffin.app.frame.window import MainWindow

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
    begin, quiet = time.monotonic(), 0
    while quiet < 5:  # qWait would keep the interpreter from the workers
        assert time.monotonic() - begin < 60
        app.processEvents()
        time.sleep(0.01)
        quiet = 0 if window.jobs.running else quiet + 1

assert window.notebooks.open_path(sys.argv[2])
rest()
print(window.header.verdict.text())
QTest.mouseClick(window.header.next, Qt.MouseButton.LeftButton)
rest()
print(window.inspect.title.text())
window.activateWindow()
assert QTest.qWaitForWindowActive(window)
QTest.keyClick(window, Qt.Key.Key_PageDown, Qt.KeyboardModifier.ControlModifier)
rest()
assert window.inspect.paged.page == "findings"
findings = window.inspect.findings
while findings.shown.label != "Bulrush, round 2" or findings.shown.finding.kind != "flow off":
    QTest.keyClick(findings.list, Qt.Key.Key_Down)
    rest()
place = findings.picture.mapTo(window, findings.picture.rect().topLeft())
shot = window.grab().toImage()
drawn = {shot.pixelColor(place.x() + x, place.y() + 62).name() for x in range(0, findings.picture.width())}
assert looks.LIGHT.warn in drawn, "this mount is not in the finding's picture"
QTest.keyClicks(findings.answers.reason, "air in the radiator")
QTest.keyClick(findings.answers.reason, Qt.Key.Key_Return)
rest()
window.show_desk("Compare")
rest()
print(window.header.verdict.text())
shot = window.grab()
assert (shot.width(), shot.height()) == (1280, 800), shot.size()
colours = {shot.toImage().pixelColor(x, y).name() for x in range(330, 1250, 7) for y in range(230, 520, 3)}
assert {"#009e73", "#0072b2", "#d55e00"} <= colours, "the candidates' colours are not on screen"
def key(widget, code, modifier=Qt.KeyboardModifier.NoModifier):
    QTest.keyClick(widget, code, modifier)
    rest()

window.activateWindow()
assert QTest.qWaitForWindowActive(window)
key(window, Qt.Key.Key_1, Qt.KeyboardModifier.ControlModifier)
assert window.stack.currentWidget() is window.plan
window.plan.go("order")
rest()
order = window.plan.order
before = [order.list.item(i).text().split("  ")[1:] for i in range(12, 16)]
order.list.setCurrentRow(13)
key(order.list, Qt.Key.Key_Down, Qt.KeyboardModifier.AltModifier)
after = [order.list.item(i).text().split("  ")[1:] for i in range(12, 16)]
assert after == [before[0], before[2], before[1], before[3]], (before, after)
key(window, Qt.Key.Key_2, Qt.KeyboardModifier.ControlModifier)
rest()
assert window.stack.currentWidget() is window.prepare
rows = window.prepare.changeover.rows
rows[0].box.setFocus()
for _ in rows:
    key(window.focusWidget(), Qt.Key.Key_Return)
key(window.prepare.changeover.ready, Qt.Key.Key_Space)
print(window.prepare.changeover.left.text()[:11])
shot = window.grab().toImage()
colours = {shot.pixelColor(x, y).name() for x in range(330, 345) for y in range(200, 750)}
assert looks.LIGHT.accent in colours, "no tick is on screen"

# run the mount that was made ready, on the simulated bench
settings.set_value("bench", "simulated 300")
key(window, Qt.Key.Key_3, Qt.KeyboardModifier.ControlModifier)
print(window.run.ready.title.text(), window.run.ready.which.currentText())
assert window.stack.currentWidget() is window.run
before = window.header.verdict.text()
key(window.run.ready.start, Qt.Key.Key_Space)
stages, begin = [], time.monotonic()
while window.running.active:
    assert time.monotonic() - begin < 90
    app.processEvents()
    time.sleep(0.005)
    now = window.running.now
    if now is not None and now.stage is not None and now.stage.words not in stages:
        stages.append(now.stage.words)
        if now.stage.words == "load, measuring":
            shot = window.grab().toImage()
            levels = {shot.pixelColor(x, y).name() for x in range(330, 840, 5) for y in range(330, 600, 5)}
            assert set(looks.LIGHT.levels) <= levels, "the staircase is not on screen"
rest()
print(" > ".join(stages))
print(before != window.header.verdict.text() or "verdict unchanged")
key(window.run.page.big, Qt.Key.Key_Space)
assert window.stack.currentWidget() is window.inspect
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
    before, title, after, ready, coming, stages, changed, closed = done.stdout.strip().splitlines()
    assert "Sedge is ahead so far" in before
    assert title == "Bulrush, round 2"
    assert "The claim that Rush is at least 1 K cooler than Reed does not hold." in after
    assert ready == "Ready since"
    assert coming == "Reed, round 4 Reed, round 4 · ready to run"
    assert stages.split(" > ")[-3:] == ["load, warming up", "load, measuring", "cool down, waiting"]
    assert changed == "True"
    assert closed == "closed"
