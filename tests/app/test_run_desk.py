"""The Run desk, driven as at the bench: start, marks, a bad mount, a limit, a load by hand, a pulled plug, practice."""

from __future__ import annotations

import json
import math
import os
import signal
import subprocess
import sys
from collections.abc import Callable
from pathlib import Path

import numpy as np
import pytest
from PIL import Image
from PySide6.QtCore import Qt
from PySide6.QtTest import QTest
from PySide6.QtWidgets import QMessageBox, QPushButton

from kuffin.app.frame.window import MainWindow
from kuffin.core.bench.limits import Limits
from kuffin.core.bench.protocol import Step
from kuffin.demo.practice import bench_for
from kuffin.demo.practising import draw
from kuffin.instruments.setup import BenchSetup, ChannelSetting, InstrumentSetting, save_setup
from kuffin.notebook import planedits
from kuffin.notebook.edits import change_study
from kuffin.notebook.entities import Mark, Run
from kuffin.simulated.hydraulics import Pump
from kuffin.simulated.station import built
from tests.app.driving import action, choose, drop, press, pump_until, with_dialog

AtRest = Callable[[], None]
SHORT = (
    Step(name="idle", settle="clock", longest_min=2, measure_min=1),
    Step(
        name="load",
        load="batch stretch",
        power_w=180.0,
        pump_percent=62.0,
        fan_percent=55.0,
        settle="clock",
        longest_min=20,
        measure_min=3,
        ask="score, frame rate [1/s]",
    ),
    Step(name="cool down", settle="clock", longest_min=2, measure_min=0),
)


def take_protocol(window: MainWindow, steps: tuple[Step, ...] = SHORT, limits: Limits | None = None) -> None:
    notebook, study = window.state.notebook, window.state.study
    assert notebook is not None and study is not None
    kept = planedits.keep_protocol(notebook, "short", steps, limits or Limits())
    change_study(notebook, study.id, "take a protocol", protocol_id=kept)


def on_desk(window: MainWindow, speed: int = 300) -> None:
    window.settings.set_value("bench", f"simulated {speed}")
    QTest.keyClick(window, Qt.Key.Key_3, Qt.KeyboardModifier.ControlModifier)
    window.run.renew()


def marks(window: MainWindow, kind: str = "") -> list[Mark]:
    found = [r for m in window.state.mounts() for r in m.runs if r.marks]
    return [m for m in found[-1].marks if kind in {"", m.kind}] if found else []


def recorded(window: MainWindow) -> Run:
    return next(r for m in window.state.mounts() for r in m.live_runs if r.marks)


def test_the_next_mount_is_run_and_the_verdict_line_changes(demo_window: MainWindow, at_rest: AtRest) -> None:
    window = demo_window
    on_desk(window, 300)
    assert window.run.ready.title.text() == "Reed, round 4"
    before = window.state.verdict.main.comparison.candidate("Reed")
    line = window.header.verdict.text()
    assert line.startswith("So far, after twelve mounts: ")
    assert "no safety device" in " ".join(w.text() for w in window.run.ready.findChildren(type(window.run.ready.title)))
    QTest.keyClick(window.run.ready.start, Qt.Key.Key_Space)
    seen: dict[str, int] = {}
    words: set[str] = set()

    def over() -> bool:
        now = window.running.now
        if now is not None and now.stage is not None:
            seen.setdefault(now.stage.words, len(seen))
            words.add(window.run.page.what.text())
            words.add(window.run.page.figures[2].state.text())
        return not window.running.active

    pump_until(lambda: window.running.active)
    mount_id = window.running.mount_id
    pump_until(lambda: (over(), "recording" in window.strip.bench.text() and "coolant" in window.strip.bench.text())[1])
    assert {window.side.loom.state_of(m) for m in window.state.mounts() if m.id == mount_id} == {"recording"}
    pump_until(over, 120)
    at_rest()
    assert next(iter(seen)) == "idle, waiting"  # at this speed a short stage may pass between two looks
    assert list(seen)[-3:] == ["load, warming up", "load, measuring", "cool down, waiting"]
    said = " ".join(words)
    assert "Heading for" in said and "time constant" in said
    assert "Mount check: looks like Reed's other mounts" in said
    assert "dips" in said  # the looped load is recognised
    after = window.state.verdict.main.comparison.candidate("Reed")
    assert window.header.verdict.text().startswith("So far, after 13 mounts: ")
    assert after.mounts == before.mounts + 1 and after.mean != before.mean
    reading = window.state.reading(mount_id)
    loop, _ = built(bench_for("radiator", "Reed", 4), Pump(), 0.55 * 1636, 0.60)
    truth = loop.r_radiator * window.state.verdict.reference_power_w
    assert reading.value == pytest.approx(truth, abs=2 * reading.u95 + 0.1)
    assert window.caller.calls[-1][0] == "person" and ("settled", "load has settled") in window.caller.calls
    press(window.run, "Look at this run")
    assert window.stack.currentWidget() is window.inspect and window.inspect.title.text() == "Reed, round 4"
    window.inspect.run_page.show_happened()
    assert any("load, measuring" in row.text for row in window.working.shown.rows)


def test_a_study_of_ones_own_is_not_filled_from_the_made_up_bench_by_mistake(demo_window: MainWindow) -> None:
    window = demo_window  # a notebook outside the place of the demo
    window.show_desk("Run")
    assert window.run.ready.bench.currentText() == "this computer's instruments"
    assert not window.run.ready.start.isEnabled()
    assert "No instruments are set up" in window.run.ready.bench_words.text()
    window.run.ready.bench.setCurrentIndex(2)
    window.run.ready.bench.activated.emit(2)
    assert window.run.ready.start.isEnabled() and "it would count as evidence" in window.run.ready.bench_words.text()


def test_keys_and_small_buttons(demo_window: MainWindow, at_rest: AtRest, tmp_path: Path) -> None:
    window = demo_window
    take_protocol(window)
    on_desk(window, 6)  # slow enough that on the busiest machine no phase ends by itself between two keys
    window.run.ready.start.click()
    page, big = window.run.page, window.run.page.big
    pump_until(lambda: window.running.live is not None and window.running.live.run_id is not None)
    QTest.keyClick(big, Qt.Key.Key_M)
    assert page.asking == "mark" and page.answer.hasFocus()
    QTest.keyClicks(page.answer, "door shut, room M")  # Space and M go into the word
    QTest.keyClick(page.answer, Qt.Key.Key_Return)
    QTest.keyClick(big, Qt.Key.Key_M)
    QTest.keyClick(page.answer, Qt.Key.Key_Escape)
    QTest.keyClick(big, Qt.Key.Key_Space)  # nothing to do: nothing happens
    assert window.running.active and page.big.text() == "Nothing to do"
    press(page, "Hold")
    pump_until(lambda: page.doing.key == "go on")
    assert page.togo.text() == "held"
    QTest.keyClick(big, Qt.Key.Key_Space)
    pump_until(lambda: page.doing.key == "")
    press(page, "Skip …")
    QTest.keyClick(page.answer, Qt.Key.Key_Return)
    assert "only with a reason" in window.strip.trouble.text()
    press(page, "Skip …")
    QTest.keyClicks(page.answer, "it is cold already")
    QTest.keyClick(page.answer, Qt.Key.Key_Return)
    pump_until(lambda: window.running.now.stage.phase == "measuring")
    press(page, "Repeat the step")
    pump_until(lambda: window.running.now.stage.phase == "settling" and window.running.now.stage.attempt == 2)
    picture = tmp_path / "bench.png"
    Image.fromarray(np.full((60, 80, 3), 120, np.uint8)).save(picture)
    drop(window.run, picture)
    assert not window.notebooks.open_path(tmp_path / "other.kuffin")
    assert "a run is being recorded" in window.strip.trouble.text().lower()
    press(page, "Stop the run")
    assert page.asking == "stop" and window.running.active  # one slip stops nothing
    QTest.keyClick(page.answer, Qt.Key.Key_Escape)
    assert not page.asking and window.running.active
    press(page, "Stop the run")
    QTest.keyClick(page.answer, Qt.Key.Key_Return)
    pump_until(lambda: not window.running.active)
    at_rest()
    assert "the run is over" in [f.state.text() for f in page.figures]
    run_id = window.run.shown[0].run_id
    press(page, "Go on with it")
    pump_until(lambda: window.running.active and window.running.live.run_id == run_id)
    press(page, "Stop the run")
    QTest.keyClick(page.answer, Qt.Key.Key_Return)
    pump_until(lambda: not window.running.active)
    at_rest()
    assert any(m.kind == "trouble" and "went on after" in m.text for m in marks(window))
    found = [(m.kind, m.text) for m in marks(window)]
    for wanted in (
        ("mark", "door shut, room M"),
        ("mark", ""),
        ("skip", "idle, waiting skipped: it is cold already"),
        ("stage", "the step is repeated"),
        ("photo", "photo bench.png"),
        ("stage", "ended: stopped by hand"),
    ):
        assert wanted in found, found


def test_what_belongs_to_a_step_is_asked_for_when_it_ends(
    demo_window: MainWindow, at_rest: AtRest, tmp_path: Path
) -> None:
    window = demo_window
    take_protocol(window)
    on_desk(window)
    window.run.ready.start.click()
    pump_until(lambda: window.run.page.asking == "value", 30)
    page = window.run.page
    assert page.question.text() == "score of this step:" and not page.answer.hasFocus()
    pump_until(lambda: not window.running.active)  # the run does not wait for it
    for written in ("many", "12480"):
        page.answer.setText(written)
        QTest.keyClick(page.answer, Qt.Key.Key_Return)
        if written == "many":
            assert "is no number" in window.strip.trouble.text()
            window.run.ask_on()
    window.run.ask_on()
    assert page.question.text() == "frame rate [1/s] of this step:"
    page.answer.setText("143,5")
    QTest.keyClick(page.answer, Qt.Key.Key_Return)
    window.state.refresh()
    at_rest()
    out = tmp_path / "all.json"
    with_dialog(action(window, "Everything as JSON …"), choose(out))
    told = json.loads(out.read_text())["happened"]
    assert [(m["candidate"], m["text"], m["value"]) for m in told if m["kind"] == "value"] == [
        ("Reed", "score", 12480),
        ("Reed", "frame rate", 143.5),
    ]
    assert [(m.text, m.value, m.unit) for m in marks(window, "value")] == [
        ("score", 12480, ""),
        ("frame rate", 143.5, "1/s"),
    ]


def test_past_a_limit_the_load_is_stopped_and_it_shouts(demo_window: MainWindow, at_rest: AtRest) -> None:
    window = demo_window
    take_protocol(window, limits=Limits(die_c=50.0))
    on_desk(window, 60)
    window.run.ready.start.click()
    live = window.running.live
    pump_until(lambda: not window.running.active, 40)
    at_rest()
    assert live.bench.instruments[0].load.power_w == live.bench.instruments[0].plan.load.idle_w
    band = window.run.page.band
    assert (
        not band.isHidden() and band.kind == "stop" and "past its limit of 50 °C. The load is stopped" in band.sentence
    )
    assert [k for k, _ in window.caller.calls].count("alarm") == 1
    assert any("past its limit" in m.text for m in marks(window, "alarm"))


def test_a_load_by_hand_is_waited_for(demo_window: MainWindow, at_rest: AtRest, tmp_path: Path) -> None:
    window = demo_window
    take_protocol(
        window,
        tuple(
            Step(
                name=s.name,
                load=s.load,
                power_w=None,
                pump_percent=None,
                fan_percent=None,
                settle="clock",
                longest_min=0.02,
                measure_min=0.02 if s.load else 0,
            )
            for s in SHORT
        ),
    )
    path = tmp_path / "hwmon" / "hwmon0"
    path.mkdir(parents=True)
    for file, content in {"name": "chip", "temp1_label": "Die", "temp1_input": "41000"}.items():
        (path / file).write_text(content + "\n")
    channel = ChannelSetting(source="chip Die", name="Die", unit="degC", quantity="temperature", role="die")
    sensor = InstrumentSetting(
        kind="hwmon", name="sensors", where=str(tmp_path / "hwmon"), interval_s=0.2, channels=(channel,)
    )
    spot = InstrumentSetting(
        kind="hand",
        name="typed by hand",
        channels=(ChannelSetting(source="Spot", name="Spot", unit="degC", quantity="temperature", role="regulator"),),
    )
    save_setup(window.settings.bench_path, BenchSetup((sensor, spot), row_s=0.2))
    on_desk(window)
    window.settings.set_value("bench", "this")
    window.run.renew()
    words = window.run.ready.bench_words.text()
    assert (
        "two channels of two instruments" in words.lower()
        and "No channel tells the coolant or the air or the power" in words
    )
    assert "a notebook may run nothing" in words
    assert "Not watched, as no channel tells it: coolant, leak sensor." in window.run.ready.limits.text()
    window.run.ready.start.click()
    page = window.run.page
    pump_until(lambda: page.doing.words == "The load runs")
    assert (page.figures[0].label.text(), page.figures[0].value.text()) == ("die", "41.0 °C")  # told as it is read
    assert page.what.text().startswith("Start the load “batch stretch”")
    page.type_reading.click()
    QTest.keyClicks(page.answer, "63.5")
    QTest.keyClick(page.answer, Qt.Key.Key_Return)
    QTest.keyClick(page.big, Qt.Key.Key_Space)
    pump_until(lambda: page.doing.words == "The load is stopped")
    QTest.keyClick(page.big, Qt.Key.Key_Space)
    pump_until(lambda: not window.running.active)
    at_rest()
    from kuffin.notebook.samples import read_run

    data = read_run(window.state.notebook, recorded(window).id)
    assert np.nanmedian(data.values["Die"]) == 41.0
    typed = data.values["Spot"][np.isfinite(data.values["Spot"])]
    assert typed.tolist() == [63.5]  # once, at its moment


SCRIPT = """
import sys, os, time, signal
from pathlib import Path
from kuffin.app.look.application import application
from kuffin.app.base.settings import Settings
from kuffin.app.frame.window import MainWindow
app = application()
settings = Settings(Path(sys.argv[1]) / "window.ini")
settings.set_value("bench", "simulated 60")
window = MainWindow(settings)
window.show()
assert window.notebooks.open_path(sys.argv[2])
window.show_desk("Run")
window.run.renew()
window.run.ready.start.click()
end = time.monotonic() + 4
while time.monotonic() < end:
    app.processEvents()
    time.sleep(0.005)
print(window.running.now.elapsed_s, flush=True)
os.kill(os.getpid(), signal.SIGKILL)
"""


def test_a_pulled_plug_loses_nothing_and_the_run_goes_on(
    window: MainWindow, demo: Path, at_rest: AtRest, tmp_path: Path
) -> None:
    script = tmp_path / "pull.py"
    script.write_text(SCRIPT)
    done = subprocess.run(
        [sys.executable, str(script), str(tmp_path), str(demo)],
        env={**os.environ, "QT_QPA_PLATFORM": "offscreen"},
        capture_output=True,
        text=True,
        timeout=60,
        check=False,
    )
    assert done.returncode == -signal.SIGKILL, done.stderr[-800:]
    told = float(done.stdout)
    assert window.notebooks.open_path(demo)
    at_rest()
    (run,) = [m.open_run for m in window.state.mounts() if m.open_run is not None]
    assert run.duration_s >= told - 90  # a second of the clock, and what the machine was late
    assert "cut off" in {window.side.loom.state_of(m) for m in window.state.mounts()}
    take_protocol(window)
    on_desk(window)
    rows = run.rows
    save_setup(
        window.settings.bench_path,
        BenchSetup(
            (InstrumentSetting(kind="hand", name="typed", channels=(ChannelSetting(source="Spot", name="Spot"),)),)
        ),
    )
    window.settings.set_value("bench", "this")
    window.run.renew()
    window.run.go_on(run.id)
    assert "has other channels (Air in, Room, Coolant in, Coolant out …)" in window.strip.trouble.text()
    window.settings.set_value("bench", "simulated 300")
    window.run.renew()
    at_rest()
    pump_until(
        lambda: [
            b for b in window.run.ready.findChildren(QPushButton) if b.text() == "Go on with it" and b.isVisible()
        ],
        5,
    )
    press(window.run.ready, "Go on with it")
    pump_until(lambda: not window.running.active)
    at_rest()
    again = next(r for m in window.state.mounts() for r in m.live_runs if r.id == run.id)
    assert again.rows > rows and again.closed
    gap = next(m for m in again.marks if m.kind == "trouble")
    assert gap.at_s == pytest.approx(run.duration_s) and "cut off here and went on after" in gap.text
    from kuffin.notebook.samples import read_run

    times = read_run(window.state.notebook, run.id).times
    after = np.searchsorted(times, gap.at_s, "right")
    assert np.all(np.diff(times) > 0) and times[after] - times[after - 1] >= gap.value > 0


class TestPractice:
    def start(self, window: MainWindow, at_rest: AtRest, monkeypatch: pytest.MonkeyPatch, key: str) -> None:
        monkeypatch.setattr("kuffin.demo.practising.draw", lambda: draw(5, key))
        window.start.practice_wanted.emit()
        pump_until(lambda: window.state.study is not None and not window.jobs.running)
        window.settings.set_value("bench", "simulated 60")
        window.run.renew()
        assert "one fault is hidden" in window.run.ready.bench_words.text()
        window.run.ready.start.click()

    def test_a_bad_mount_is_seen_after_two_minutes_and_told(
        self, window: MainWindow, at_rest: AtRest, monkeypatch: pytest.MonkeyPatch
    ) -> None:
        self.start(window, at_rest, monkeypatch, "contact")
        pump_until(lambda: window.run.page.doing.key == "remount", 30)
        assert window.running.now.elapsed_s < 420 + 400
        assert "worse than Tern's other mounts: likely contact. Remount now and save" in window.run.page.band.sentence
        working = window.running.now.check.working().as_text()
        assert "die over coolant per watt" in working and "Scatter between mounts" in working
        QTest.keyClick(window.run.page.big, Qt.Key.Key_Space)
        pump_until(lambda: not window.running.active)
        at_rest()
        QTest.keyClick(window.run.page.big, Qt.Key.Key_Space)
        page = window.run.practice_page
        assert window.run.stack.currentWidget() is page
        assert window.header.next.text().endswith("say what was wrong")  # what was found would give it away
        page.choices.button(2).click()
        page.tell.click()
        assert "look at Tern, round 4" in window.header.next.text()
        assert page.answer.text().startswith("Not trapped air: it was bad contact.")
        press(page, "Look at the run")
        assert window.stack.currentWidget() is window.inspect
        assert [b.text() for b in window.start.findChildren(type(page.tell)) if b.text() == "Practise"]

    def test_a_light_load_checks_the_mount_first_and_the_full_one_waits(
        self, window: MainWindow, at_rest: AtRest, monkeypatch: pytest.MonkeyPatch
    ) -> None:
        monkeypatch.setattr("kuffin.demo.practising.draw", lambda: draw(5, "contact"))
        window.start.practice_wanted.emit()
        pump_until(lambda: window.state.study is not None and not window.jobs.running)
        window.show_desk("Plan")
        window.plan.go("protocol")
        at_rest()
        press(window.plan, "Check the mount first")
        assert "give the mount check a lighter one" in window.strip.trouble.text()
        assert [s.name for s in window.shelf.steps][:3] == ["idle", "mount check", "load"]
        window.settings.set_value("bench", "simulated 60")
        window.show_desk("Run")
        window.run.renew()
        window.run.ready.start.click()
        page = window.run.page
        pump_until(lambda: window.running.now is not None and window.running.now.stage.held, 40)
        now = window.running.now
        assert now.stage.step.name == "mount check" and now.check.worse and page.doing.key == "remount"
        assert "Held before the full load: stop and remount, or carry on" in page.what.text()
        press(page, "Carry on")
        pump_until(lambda: window.running.now.stage.step.name == "load")
        assert window.running.now.stage.why == "carried on"
        window.running.stop()
        pump_until(lambda: not window.running.active)
        at_rest()
        assert any("in spite of the mount check" in m.text for m in marks(window, "mark"))

    def test_a_sound_looking_mount_is_not_cried_at(
        self, window: MainWindow, at_rest: AtRest, monkeypatch: pytest.MonkeyPatch
    ) -> None:
        self.start(window, at_rest, monkeypatch, "background")
        pump_until(lambda: window.running.now is not None and window.running.now.check is not None, 30)
        assert window.running.now.check.check.state == "like"  # per watt it is like the others
        assert window.running.now.by_role["power"] > 195
        window.running.stop()
        pump_until(lambda: not window.running.active)
        at_rest()


def test_closing_the_window_asks_and_keeps_the_run(
    demo_window: MainWindow, at_rest: AtRest, monkeypatch: pytest.MonkeyPatch
) -> None:
    window = demo_window
    take_protocol(window)
    on_desk(window, 60)
    window.run.ready.start.click()
    pump_until(lambda: window.running.live is not None and window.running.live.run_id is not None)
    run_id, path = window.running.live.run_id, window.state.notebook.path
    answers = iter([QMessageBox.StandardButton.No, QMessageBox.StandardButton.Yes])
    monkeypatch.setattr(QMessageBox, "exec", lambda _box: next(answers))
    assert not window.close() and window.running.active
    assert window.close()
    from kuffin.notebook.runwriter import cut_off_runs
    from kuffin.notebook.samples import read_run
    from kuffin.notebook.store import Notebook

    notebook = Notebook.open(path)
    assert read_run(notebook, run_id).times.size > 5
    with notebook.session() as session:
        assert not session.get_one(Run, run_id).closed  # it can be gone on with
    assert [r.id for r in cut_off_runs(notebook, 1)] == [run_id]
    notebook.close()


def test_a_tick_of_nothing_known_still_shows() -> None:
    """A bench whose channels have all fallen silent has no figures, and nothing crashes."""
    from kuffin.reading.signals import Signals
    from kuffin.said.livewords import figures, stairs

    t = np.arange(50.0)
    silent = Signals(times=t, die=t * math.nan, coolant=t * math.nan, air=t * math.nan, power=t * math.nan, names={})
    assert {f.state for f in figures(silent, [("flow", "L/h", t * math.nan)], True)} == {"silent"}
    assert stairs(silent) == ([], [])


def test_a_passed_limit_is_said_in_the_strip_whatever_page_one_looks_at(
    window: MainWindow, demo: Path, at_rest: AtRest
) -> None:
    window.notebooks.open_path(demo)
    at_rest()
    take_protocol(window, limits=Limits(die_c=30.0))
    on_desk(window, 60)
    window.run.ready.start.click()
    window.show_desk("Plan")
    pump_until(lambda: not window.running.active)
    at_rest()
    assert "past its limit of 30 °C" in window.strip.trouble.text()
