"""From start to a painted verdict line of the demo, against a bare window that plots 10,000 points."""

from __future__ import annotations

import os
import statistics
import subprocess
import sys
import tempfile
from pathlib import Path

from benchmarks.timing import say, seconds

BARE = """
import numpy as np, pyqtgraph as pg
from PySide6.QtWidgets import QApplication, QMainWindow
app = QApplication([])
window = QMainWindow()
plot = pg.PlotWidget()
plot.plot(np.arange(10_000.0), np.random.default_rng(1).normal(size=10_000))
window.setCentralWidget(plot)
window.resize(1280, 800)
window.show()
window.grab()
app.processEvents()
"""
OURS = """
import sys
from pathlib import Path
from kuffin.app.look.application import application
from kuffin.app.look import theme as looks
from kuffin.app.base.settings import Settings
from kuffin.app.frame.window import MainWindow
app = application()
looks.apply(app, looks.LIGHT)
window = MainWindow(Settings(Path(sys.argv[1]).with_name("w.ini")))
window.show()
window.notebooks.open_path(sys.argv[1])
while window.state.verdict is None:
    app.processEvents()
window.grab()
app.processEvents()
assert window.header.verdict.text().startswith("So far, after twelve mounts: Sedge")
window.close()
"""


FIRST = """
import sys
from pathlib import Path
from kuffin.app.look.application import application
from kuffin.app.look import theme as looks
from kuffin.app.base.settings import Settings
from kuffin.app.frame.earlywindow import EarlyWindow
app = application()
looks.apply(app, looks.LIGHT)
early = EarlyWindow(Settings(Path(sys.argv[1]).with_name("w.ini")), looks.LIGHT, 1.0, str(Path(sys.argv[1])))
early.show()
early.grab()
app.processEvents()
assert early.verdict.text().startswith("So far, after twelve mounts: Sedge"), early.verdict.text()
"""


def report() -> None:
    """Print the ratio; the demo's readings are worked out already, as after its first opening."""
    from kuffin.demo.scenario import build_demo
    from kuffin.notebook.store import Notebook
    from kuffin.verdict.study import judge

    env = {**os.environ, "QT_QPA_PLATFORM": os.environ.get("QT_QPA_PLATFORM", "offscreen"), "OMP_NUM_THREADS": "1"}
    with tempfile.TemporaryDirectory() as tmp:
        demo = Path(tmp) / "demo.kuffin"
        build_demo(demo)
        book = Notebook.open(demo)
        judge(book, book.study(1))
        book.close()

        def ours() -> None:
            subprocess.run([sys.executable, "-c", OURS, str(demo)], env=env, check=True, stderr=subprocess.DEVNULL)

        def bare() -> None:
            subprocess.run([sys.executable, "-c", BARE], env=env, check=True, stderr=subprocess.DEVNULL)

        def first() -> None:
            subprocess.run([sys.executable, "-c", FIRST, str(demo)], env=env, check=True, stderr=subprocess.DEVNULL)

        ours()
        bare()
        first()
        pairs = [(seconds(ours), seconds(bare), seconds(first)) for _ in range(5)]
    say(
        "start to the verdict as it was last kept",
        statistics.median(p[2] for p in pairs),
        statistics.median(p[1] for p in pairs),
        "a bare window with 10,000 points",
        "≤ 1.5",
    )
    say(
        "start to a painted verdict line, worked out anew",
        statistics.median(p[0] for p in pairs),
        statistics.median(p[1] for p in pairs),
        "a bare window with 10,000 points",
        "≤ 2",
    )
