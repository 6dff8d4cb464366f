"""Drives one window through hostile notebooks, as a person would look at them; run as a program of its own.

Arguments: the demo, a folder, the first seed, how many. One line of JSON for each: its seed, what was done, how long the
longest step took, what went wrong.
"""

from __future__ import annotations

import contextlib
import json
import os
import sys
import time
from pathlib import Path

os.environ.setdefault("QT_QPA_PLATFORM", "offscreen")

from PySide6.QtWidgets import QApplication, QMessageBox

from kuffin.app.base.faults import Faults
from kuffin.app.base.settings import Settings
from kuffin.app.frame.window import MainWindow
from kuffin.app.look.application import application
from kuffin.app.widgets.paged import PagedDesk
from kuffin.core.base.errors import KuffinError
from kuffin.publish.tables import as_json
from tests.hostile import make


def most_memory_mb() -> int:
    """The most memory that this process ever had, MB; what `getrusage` tells is inherited from the process that started it."""
    status = Path("/proc/self/status").read_text()
    return next(int(line.split()[1]) // 1024 for line in status.splitlines() if line.startswith("VmHWM"))


def main() -> None:
    demo, folder, first, count = Path(sys.argv[1]), Path(sys.argv[2]), int(sys.argv[3]), int(sys.argv[4])
    app = application()
    window = MainWindow(Settings(folder / "window.ini"))
    faults: list[str] = []
    Faults(window, faults.append)
    window.state.trouble.connect(lambda said: faults.append(said) if "fault of Kuffin's own" in said else None)
    window.resize(1280, 800)
    window.show()
    for seed in range(first, first + count):
        path = folder / f"hostile {seed}.kuffin"
        done = make(seed, demo, path)
        print(json.dumps({"seed": seed, "begun": done}), flush=True)
        faults.clear()
        longest = [0.0]
        opened = step(longest, lambda p=path: window.notebooks.open_path(p))
        if opened:
            look_round(app, window, longest)
        told = {
            "seed": seed,
            "opened": bool(opened),
            "longest_s": round(longest[0], 2),
            "faults": faults[:3],
            "done": done,
        }
        told["memory_mb"] = most_memory_mb()
        print(json.dumps(told), flush=True)
        window.state.close()
        for one in folder.glob(f"hostile {seed}*"):
            one.unlink()
    os._exit(0)


def step(longest: list[float], act: object) -> object:
    begun = time.monotonic()
    try:
        return act()  # type: ignore[operator]
    finally:
        longest[0] = max(longest[0], time.monotonic() - begun)


def settle(app: QApplication, window: MainWindow, longest: list[float], seconds: float = 25.0) -> None:
    """Let the window work until nothing is left to do; how long it gave no answer counts."""
    end = time.monotonic() + seconds
    while True:
        step(longest, app.processEvents)
        for box in window.findChildren(QMessageBox):
            box.close()
        if not window.jobs.running or time.monotonic() > end:
            return
        time.sleep(0.005)


def look_round(app: QApplication, window: MainWindow, longest: list[float]) -> None:
    settle(app, window, longest)
    notebook = window.state.notebook
    if notebook is None:
        return
    for number, study in enumerate([s.id for s in notebook.studies()][:3]):
        step(longest, lambda s=study: window.state.choose_study(s))
        settle(app, window, longest)
        mounts = window.state.mounts()
        if mounts:
            step(longest, lambda m=mounts[0].id: window.open_mount(m))
        for desk in ("Plan", "Prepare", "Run", "Inspect", "Compare", "Shelf", "Bench"):
            step(longest, lambda d=desk: window.show_desk(d))
            settle(app, window, longest)
            for pages in [p for p in window.findChildren(PagedDesk) if p.isVisible()] if number == 0 else []:
                for key in pages.keys:
                    step(longest, lambda p=pages, k=key: p.go(k))
                    settle(app, window, longest)
        step(longest, window.explain)
        if window.state.verdict is not None:
            with contextlib.suppress(KuffinError):
                as_json(window.state.verdict)
    for _ in range(2):
        step(longest, window.notebooks.undo)
        settle(app, window, longest)


if __name__ == "__main__":
    main()
