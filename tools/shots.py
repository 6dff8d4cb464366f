"""Take pictures of the main views from the demo data.

python tools/shots.py FOLDER
"""

from __future__ import annotations

import datetime as dt
import sys
import tempfile
import time
from collections.abc import Callable
from dataclasses import replace
from pathlib import Path

from PySide6.QtWidgets import QApplication

from kuffin.app.base.settings import Settings
from kuffin.app.frame.window import MainWindow
from kuffin.app.look import theme as looks
from kuffin.app.look.application import application
from kuffin.demo import practising
from kuffin.demo.cards import card_runs
from kuffin.demo.halfyear import NAME as HALF_A_YEAR
from kuffin.demo.practising import draw as drawn
from kuffin.demo.quiet import NAME as QUIET
from kuffin.demo.shipped import unpack_demo
from kuffin.notebook import answering, edits, planedits, preparationedits
from kuffin.simulated.station import as_csv


def settle_down(app: QApplication, window: MainWindow, least: float = 0.3) -> None:
    """Let the window work until nothing is left to do."""
    begin = time.monotonic()
    while window.jobs.running or time.monotonic() - begin < least:
        app.processEvents()
        time.sleep(0.01)
        if time.monotonic() - begin > 60:
            raise SystemExit("the window did not come to rest")
    app.processEvents()


def plan(window: MainWindow, shoot: Callable[[str], None]) -> None:
    """The pages of the Plan desk, with a difference that is not under test and a baseline that is."""
    study, notebook = window.state.study, window.state.notebook
    assert study is not None and notebook is not None
    begin = dt.datetime.now().replace(hour=9, minute=0, second=0, microsecond=0)
    begin += dt.timedelta(days=7 - begin.weekday())
    deadline = begin + dt.timedelta(days=4, hours=9)
    planedits.set_plan(notebook, study.id, "plan", begin=begin.isoformat(), deadline=deadline.isoformat())
    edits.change_study(notebook, study.id, "plan", planned_rounds=6)
    rush = next(c for c in study.live_candidates if c.name == "Rush")
    planedits.configure(notebook, rush.id, "fan_percent", 70.0)
    window.state.refresh()
    window.show_desk("Plan")
    window.plan.go("order")
    window.plan.order.draw()
    window.plan.go("question")
    shoot("plan-question")


def inspect(app: QApplication, window: MainWindow, shoot: Callable[[str], None]) -> None:
    """A mount of the paste study that sits askew; the heat path and the figures of the run stopped early."""
    notebook = window.state.notebook
    assert notebook is not None
    radiators = window.state.study.id
    window.state.choose_study(next(s.id for s in notebook.studies() if s.id != radiators))
    settle_down(app, window)
    askew = next(m for m in window.state.mounts() if (m.candidate.name, m.round) == ("Marl", 2))
    window.open_mount(askew.id)
    window.inspect.show_finding(askew.id, "contact")
    shoot("inspect-findings")
    window.state.choose_study(radiators)
    settle_down(app, window)
    early = next(m for m in window.state.mounts() if (m.candidate.name, m.round) == ("Reed", 3))
    window.open_mount(early.id)


def prepare(window: MainWindow, shoot: Callable[[str], None]) -> None:
    """The change-over half done, and a leak test under way."""
    window.prepare.choose(None)
    window.show_desk("Prepare")
    page = window.prepare.changeover
    for row in page.rows[:4]:
        seconds = round(60 * row.task.minutes * 1.1)
        preparationedits.tick(
            window.state.notebook, window.prepare.mount.id, row.task.key, row.task.text, True, seconds
        )
    window.state.refresh()
    page._note(page.rows[1].task.key, "about 20 mL stayed in")
    window.prepare.go("changeover")
    shoot("prepare-changeover")


def until(app: QApplication, true: Callable[[], object]) -> None:
    """Let a run go on until something is so."""
    begin = time.monotonic()
    while not true():
        app.processEvents()
        time.sleep(0.005)
        if time.monotonic() - begin > 120:
            raise SystemExit("the run did not come to that")


def run(app: QApplication, window: MainWindow, shoot: Callable[[str], None]) -> None:
    """A run warming up."""
    window.settings.set_value("bench", "simulated 60")
    window.show_desk("Run")
    window.run.renew()
    window.run.ready.start.click()
    until(app, lambda: window.running.now.forecast.settling is not None and window.running.now.elapsed_s > 1500)
    shoot("run")
    window.running.stop()
    until(app, lambda: not window.running.active)
    settle_down(app, window)
    window.run.look_at_run()


def bench(app: QApplication, window: MainWindow, shoot: Callable[[str], None]) -> None:
    """The bench, and this computer's instruments: the simulated bench through real interfaces."""
    window.show_desk("Bench")
    live = window.bench_page.live
    live.loads.serve()
    live.instruments.setCurrentCell(1, 0)
    window.strip.say("")
    until(app, lambda: live.channels.rowCount() == 3)
    settle_down(app, window, 2.0)
    bar = window._bench_scroll.verticalScrollBar()
    bar.setValue(bar.maximum())
    shoot("bench-live")
    live.loads.close_served()


def compare(app: QApplication, window: MainWindow, shoot: Callable[[str], None]) -> None:
    """The Compare desk's pages, with the study of blocks; one of them in the dark."""
    assert window.state.notebook is not None and window.state.study is not None
    before = window.state.study.id
    blocks = next(s.id for s in window.state.notebook.studies() if "Blocks" in s.name)
    window.state.choose_study(blocks)
    settle_down(app, window)
    window.show_desk("Publish")
    settle_down(app, window)
    window.publish.page_page.words.setPlainText(
        "Plover keeps the die {Plover, Tern} than our old Tern. Dunlin is cooler than Knot."
    )
    window.publish.page_page.keep_words()
    for _ in range(2):  # the edit is judged, then set
        settle_down(app, window)
    shoot("publish-page")
    window.publish.go("pictures")
    settle_down(app, window)
    shoot("publish-pictures")
    window.publish.go("page")
    window.show_desk("Compare")
    window.set_mode("dark")
    window.compare.go("outcomes")
    settle_down(app, window)
    shoot("compare-outcomes")
    window.set_mode("light")
    window.compare.go("verdict")
    window.state.choose_study(before)
    settle_down(app, window)


def sweeps(app: QApplication, window: MainWindow, shoot: Callable[[str], None]) -> None:
    """Radiators along their loudness, a recording of one, and pastes over half a year."""
    assert window.state.notebook is not None and window.state.study is not None
    before = window.state.study.id
    window.state.choose_study(next(s.id for s in window.state.notebook.studies() if s.name == QUIET))
    settle_down(app, window)
    window.show_desk("Compare")
    window.compare.go("along")
    settle_down(app, window)
    shoot("compare-along")
    window.compare.go("verdict")
    window.open_mount(next(m.id for m in window.state.mounts() if m.candidate.name == "Sedge"))
    window.inspect.paged.go("sound")
    settle_down(app, window, 1.0)
    shoot("inspect-sound")
    window.inspect.paged.go("run")
    window.state.choose_study(next(s.id for s in window.state.notebook.studies() if s.name == HALF_A_YEAR))
    settle_down(app, window)
    window.show_desk("Compare")
    window.compare.go("ageing")
    settle_down(app, window)
    shoot("compare-ageing")
    window.compare.go("verdict")
    window.state.choose_study(before)
    settle_down(app, window)


def cards(app: QApplication, window: MainWindow, folder: Path, shoot: Callable[[str], None], save: Path) -> None:
    """Two devices in one loop: a run's flights, and logs that are given to mounts and conditions."""
    notebook, before = window.state.notebook, window.state.study
    assert notebook is not None and before is not None
    window.state.choose_study(next(s.id for s in notebook.studies() if s.name == "Card blocks, spring"))
    settle_down(app, window)
    window.open_mount(window.state.mounts()[0].id)
    both = next(r for r in window.state.mounts()[0].live_runs if r.condition == "both")
    window.state.look_at_run(both.id)
    window.inspect.heat._what.button(0).click()
    window.inspect.paged.go("heat")
    window.inspect.paged.go("run")
    for name, number, test, table in card_runs()[:6]:
        at = dt.datetime.fromisoformat(str(table.start)) + dt.timedelta(days=14)
        later = replace(table, start=at.isoformat(timespec="seconds"))
        (folder / f"{name.lower()} r{number + 3} {test}.csv").write_text(as_csv(later))
    window.studies.add_logs([str(folder)])
    until(app, lambda: window.importer.dialog is not None)
    dialog = window.importer.dialog
    assert dialog is not None
    dialog.resize(1180, 730)  # as on a screen with room
    settle_down(app, window)
    dialog.grab().save(str(save))
    dialog.reject()
    window.state.choose_study(before.id)
    settle_down(app, window)


def practice(app: QApplication, window: MainWindow, shoot: Callable[[str], None]) -> None:
    """A bad mount, seen after two minutes."""
    practising.draw = lambda: drawn(5, "contact")
    window.practise()
    settle_down(app, window, 1.0)
    window.run.ready.start.click()
    until(app, lambda: window.run.page.doing.key == "remount")
    settle_down(app, window, 1.5)
    shoot("run-mount-check")
    window.running.stop()
    until(app, lambda: not window.running.active)


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
        unpack_demo(place / "booth seven.kuffin")
        window.notebooks.open_path(place / "booth seven.kuffin")
        settle_down(app, window)
        verdict = window.state.verdict
        assert verdict is not None
        odd = next(r for r in verdict.main.readings if r.label == "Bulrush, round 2")
        window.open_mount(odd.mount_id)
        shoot("inspect-doubtful")
        inspect(app, window, shoot)
        (place / "logs").mkdir()
        cards(app, window, place / "logs", shoot, folder / "add-logs.png")
        edits.leave_out(window.state.notebook, odd.mount_id, odd.label, "air trapped in the radiator, flow low")
        settle_down(app, window)
        early = next(r for r in verdict.main.readings if r.label == "Reed, round 3")
        window.open_mount(early.mount_id)
        reason = "the level it points to is known well enough"
        answering.accept(window.state.notebook, early.mount_id, early.label, ["not settled"], reason)
        settle_down(app, window)
        window.show_desk("Compare")
        shoot("compare")
        window.compare.verdict._explain_pair(len(window.compare.verdict.pairs.selectedRanges()), 0)
        shoot("working")
        window.working.hide()
        window.compare.go("rounds")
        settle_down(app, window)
        shoot("compare-rounds")
        window.compare.go("verdict")
        compare(app, window, shoot)
        sweeps(app, window, shoot)
        plan(window, shoot)
        prepare(window, shoot)
        window.show_desk("Shelf")
        window.shelf_page.look_at(next(p.id for p in window.shelf.parts if p.name == "Reed"))
        shoot("shelf")
        bench(app, window, shoot)
        window.state.choose_study(window.state.notebook.studies()[0].id)
        settle_down(app, window)
        run(app, window, shoot)
        practice(app, window, shoot)
        window.close()


if __name__ == "__main__":
    main(Path(sys.argv[1] if len(sys.argv) > 1 else "docs/screenshots"))
