"""Take pictures of the main views from the demo data.

python tools/shots.py FOLDER
"""

from __future__ import annotations

import sys
import tempfile
import time
from pathlib import Path

from PySide6.QtWidgets import QApplication

from kuffin.app.look import theme as looks
from kuffin.app.main import application
from kuffin.app.settings import Settings
from kuffin.app.window import MainWindow
from kuffin.demo.scenario import build_demo, write_logs
from kuffin.notebook import edits


def settle_down(app: QApplication, window: MainWindow, least: float = 0.3) -> None:
    """Let the window work until nothing is left to do."""
    begin = time.monotonic()
    while window.jobs.running or time.monotonic() - begin < least:
        app.processEvents()
        time.sleep(0.01)
        if time.monotonic() - begin > 60:
            raise SystemExit("the window did not come to rest")
    app.processEvents()


def main(folder: Path) -> None:
    """Take all pictures."""
    folder.mkdir(parents=True, exist_ok=True)
    app = application()
    with tempfile.TemporaryDirectory() as tmp:
        place = Path(tmp)
        settings = Settings(place / "window.ini")
        settings.set_value("theme", "light")
        looks.apply(app, looks.LIGHT)
        window = MainWindow(settings)
        window.resize(1280, 800)
        window.show()

        def shoot(name: str) -> None:
            settle_down(app, window)
            window.grab().save(str(folder / f"{name}.png"))

        shoot("start")
        build_demo(place / "booth seven.kuffin")
        window.notebooks.open_path(place / "booth seven.kuffin")
        settle_down(app, window)
        verdict = window.state.verdict
        assert verdict is not None
        odd = next(r for r in verdict.main.readings if r.label == "Bulrush, round 2")
        window.open_mount(odd.mount_id)
        shoot("inspect-doubtful")
        edits.leave_out(window.state.notebook, odd.mount_id, odd.label, "air trapped in the radiator, flow low")
        settle_down(app, window)
        early = next(r for r in verdict.main.readings if r.label == "Reed, round 3")
        window.open_mount(early.mount_id)
        shoot("inspect-not-settled")
        edits.keep(window.state.notebook, early.mount_id, early.label, "the level it points to is known well enough")
        settle_down(app, window)
        window.show_desk("Compare")
        shoot("compare")
        window.compare._explain_pair(len(window.compare.pairs.selectedRanges()), 0)
        shoot("working")
        window.working.hide()
        logs = write_logs(place / "logs")
        window.studies.add_logs([str(p) for p in logs[:5]])
        settle_down(app, window)
        dialog = window.importer.dialog
        assert dialog is not None
        dialog.grab().save(str(folder / "add-logs.png"))
        dialog.reject()
        window.set_mode("dark")
        shoot("compare-dark")
        window.close()


if __name__ == "__main__":
    main(Path(sys.argv[1] if len(sys.argv) > 1 else "docs/screenshots"))
