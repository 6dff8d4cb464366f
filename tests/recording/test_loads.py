"""Loads by command: started, ended with all their children, also when Kuffin is killed; what does not run is said."""

from __future__ import annotations

import os
import signal
import subprocess
import sys
import time
from pathlib import Path

import pytest

from kuffin.core.base.errors import BenchError
from kuffin.core.bench.leading import SETTLING, WAITING
from kuffin.core.bench.limits import Limits
from kuffin.core.bench.protocol import Step
from kuffin.demo.practice import bench_for
from kuffin.instruments.setup import BenchSetup, save_setup
from kuffin.notebook import edits, planedits
from kuffin.notebook.entities import Mount
from kuffin.notebook.store import Notebook
from kuffin.recording import loadguard
from kuffin.recording.liverun import LiveRun
from kuffin.recording.loads import LoadByCommand, command_words, filled_in
from kuffin.recording.openbench import OpenBench
from kuffin.recording.thisbench import load_for, usual_place
from kuffin.simulated.hydraulics import Pump
from kuffin.simulated.livebench import SimulatedBench
from kuffin.simulated.served import ServedBench
from tests.recording.waiting import wait_until

# a load that takes no hint: it and its child turn a deaf ear, the child leaves the group
STUBBORN = """
import os, signal, sys, time
signal.signal(signal.SIGTERM, signal.SIG_IGN); signal.signal(signal.SIGHUP, signal.SIG_IGN)
def told():
    with open(sys.argv[1], "a") as file:
        file.write(f"{os.getpid()}\\n")
told()  # the load is told of first, whichever of the two is quicker
if os.fork() == 0:
    os.setsid()
    if os.fork():
        os._exit(0)
    told()
time.sleep(300)
"""


def pids(path: Path, wanted: int = 2, seconds: float = 30.0) -> list[int]:
    end = time.monotonic() + seconds
    while True:
        found = [int(x) for x in path.read_text().split()] if path.exists() else []
        if len(found) >= wanted:
            return found
        assert time.monotonic() < end, found
        time.sleep(0.02)


def living(found: list[int]) -> list[int]:
    out = []
    for pid in found:
        try:
            state = Path(f"/proc/{pid}/stat").read_text().rpartition(")")[2].split()[0]
        except OSError:
            continue
        if state != "Z":
            out.append(pid)
    return out


def all_gone(found: list[int], seconds: float) -> bool:
    end = time.monotonic() + seconds
    while living(found):
        if time.monotonic() > end:
            return False
        time.sleep(0.02)
    return True


@pytest.fixture
def stubborn(tmp_path: Path) -> str:
    script = tmp_path / "stubborn.py"
    script.write_text(STUBBORN)
    return f"{sys.executable} {script} {tmp_path / 'pids'}"


def reed(notebook: Notebook) -> list[Mount]:
    return next(c for c in notebook.study(1).live_candidates if c.name == "Reed").live_mounts


def until_trouble(load: LoadByCommand) -> str:
    wait_until(lambda: load.trouble() != "")
    return load.trouble()


def test_it_is_started_once_and_stopped_with_all_its_children(tmp_path: Path, stubborn: str) -> None:
    load = LoadByCommand({"bounce": stubborn}, tmp_path / "load.log")
    load.apply(Step(name="load", load="bounce"))
    load.apply(Step(name="load", load="bounce"))  # the next step of the same load lets it run
    found = pids(tmp_path / "pids")
    assert load.trouble() == "" and len(living(found)) == 2
    assert load.stop() and all_gone(found, 5)
    time.sleep(0.2)
    assert pids(tmp_path / "pids") == found


def test_one_that_ends_by_itself_or_cannot_start_is_said(tmp_path: Path) -> None:
    commands = {
        "short": f"{sys.executable} -c 'print(12); raise SystemExit(4)'",
        "none": "/no/such --thing",
        "empty": "  ",
        "open": "stress 'half",
    }
    load = LoadByCommand(commands, tmp_path / "log")
    load.apply(Step(name="load", load="short"))
    assert "“short” has ended by itself with code 4" in until_trouble(load)
    assert (tmp_path / "log").read_text() == "12\n"
    for name, says in (
        ("none", "cannot be started (No such file or directory): /no/such"),
        ("empty", "has no command"),
        ("open", "cannot be read"),
        ("unheard of", "has no command"),
    ):
        load.apply(Step(name="load", load=name))
        assert f"“{name}”" in load.trouble() and says in load.trouble()
    load.apply(Step(name="idle"))
    assert load.trouble() == ""
    with pytest.raises(BenchError, match="mind its quotation marks"):
        command_words("x", '"')
    asks = LoadByCommand({"burn": "burn --watts={power_w} '{pump_percent} %' {other}"}, tmp_path / "log")
    step = Step(name="load", load="burn", power_w=180.0, pump_percent=60.0)
    assert filled_in(command_words("burn", "burn --watts={power_w} '{pump_percent} %' {other}"), step) == [
        "burn",
        "--watts=180",
        "60 %",
        "{other}",
    ]
    assert asks.sets(step) == {"load", "power_w", "pump_percent"}
    asks.apply(Step(name="load", load="burn"))
    assert "asks for {power_w}, and the step “load” does not say it" in asks.trouble()
    steps = (Step(name="load", load="empty"),)
    assert load_for(BenchSetup(loads=commands), steps).by_hand  # without a command the person is asked


def test_the_guard_outlives_its_own_group_and_ends_the_load_where_it_is_killed(tmp_path: Path, stubborn: str) -> None:
    load = LoadByCommand({"bounce": stubborn}, tmp_path / "load.log")
    load.apply(Step(name="load", load="bounce"))
    found = pids(tmp_path / "pids")
    guard = load.guard
    assert guard is not None
    for one in (signal.SIGTERM, signal.SIGHUP, signal.SIGINT):
        os.kill(guard.pid, one)
    time.sleep(0.3)
    assert guard.poll() is None and len(living(found)) == 2
    os.kill(guard.pid, signal.SIGKILL)
    wait_until(lambda: guard.poll() is not None)
    load.alive()  # as what watches limits does several times a second
    assert all_gone(found, 10)  # also what has left its session
    assert "guard of the load “bounce” was killed" in until_trouble(load)


def test_the_guard_ends_the_load_where_kuffin_gives_no_sign_of_life(tmp_path: Path, stubborn: str) -> None:
    load = LoadByCommand({"bounce": stubborn}, tmp_path / "load.log")
    load.apply(Step(name="load", load="bounce"))
    found = pids(tmp_path / "pids")
    begun = time.monotonic()
    while time.monotonic() - begun < loadguard.SILENT_S + 1.0:
        load.alive()
        time.sleep(0.1)
    assert len(living(found)) == 2 and load.trouble() == ""
    assert all_gone(found, 20.0)  # nobody says anything any more
    assert "Kuffin had stood still" in until_trouble(load)


def test_what_a_load_prints_has_a_bound(tmp_path: Path) -> None:
    command = f"{sys.executable} -c \"while True: print('x' * 9000)\""
    load = LoadByCommand({"flood": command}, tmp_path / "log")
    load.apply(Step(name="load", load="flood"))
    wait_until(lambda: b"left out" in (tmp_path / "log").read_bytes()[-200:])
    begun = (tmp_path / "log").stat().st_size
    end = time.monotonic() + 1.0
    while time.monotonic() < end:
        load.alive()
        time.sleep(0.1)
    assert (tmp_path / "log").stat().st_size == begun < loadguard.MOST_SAID + 200
    assert load.trouble() == "" and load.stop()


def test_a_stage_waits_where_its_load_does_not_run(demo: Path, tmp_path: Path) -> None:
    notebook = Notebook.open(demo)
    study = notebook.study(1)
    bench = SimulatedBench(bench_for("radiator", "Reed", 1), Pump(), 3, 60)
    flag = tmp_path / "works now"
    command = f"/bin/sh -c 'sleep 0.3; test -e \"{flag}\" && exec sleep 60'"
    opened = OpenBench(
        name="by command",
        instruments=[bench],
        load=LoadByCommand({"x": command}, tmp_path / "log"),
        interval_s=bench.interval_s,
        speed=60,
    )
    live = LiveRun(notebook, study, "Reed", None, opened, (Step(name="load", load="x", longest_min=90),), Limits())
    live.start()

    def until(phase: str, trouble: bool) -> None:
        end = time.monotonic() + 10
        while (now := live.tick()).stage is None or (now.stage.phase, bool(now.load_trouble)) != (phase, trouble):
            assert time.monotonic() < end, now.stage
            time.sleep(0.02)
        assert now.load_on == (phase != WAITING)

    until(WAITING, True)
    assert "“x” has ended by itself with code 1" in live.tick().load_trouble
    live.acted()
    until(WAITING, True)
    flag.touch()
    live.acted()
    until(SETTLING, False)
    time.sleep(0.5)
    assert live.tick().load_on
    live.stop()
    live.close()
    run = next(r for m in reed(notebook) for r in m.live_runs if r.id == live.run_id)
    said = [m.text for m in run.marks if m.kind == "trouble"]
    assert len(said) == 2 and "ended by itself" in said[0]
    stages = [m.text for m in run.marks if m.kind == "stage"]
    assert stages[:3] == ["load, warming up", "load, waiting for you", "load, warming up"]
    notebook.close()


@pytest.fixture
def bench_with_load(demo: Path, tmp_path: Path, stubborn: str) -> Path:
    notebook = Notebook.open(demo)
    kept = planedits.keep_protocol(
        notebook, "long", (Step(name="load", load="spin", settle="clock", longest_min=60),), Limits()
    )
    edits.change_study(notebook, 1, "take a protocol", protocol_id=kept)
    notebook.close()
    return demo


WINDOW = """
import sys, time
from pathlib import Path
from PySide6.QtCore import QTimer
from kuffin.app import main
from kuffin.app.frame.window import MainWindow
window_of = []
real = MainWindow.__init__
def init(self, *a, **k):
    real(self, *a, **k)
    window_of.append(self)
    QTimer.singleShot(300, begin)
MainWindow.__init__ = init
def begin():
    w = window_of[0]
    if w.state.study is None:
        return QTimer.singleShot(200, begin)
    w.state.choose_study(1)
    w.settings.set_value("bench", "this")
    w.show_desk("Run")
    w.run.renew()
    w.run.start()
sys.exit(main.run(sys.argv[1]))
"""


@pytest.mark.parametrize("how", [signal.SIGTERM, signal.SIGHUP, signal.SIGKILL], ids=["TERM", "HUP", "KILL"])
@pytest.mark.parametrize("by", ["command", "window"])
def test_the_load_ends_with_kuffin(
    by: str, how: signal.Signals, bench_with_load: Path, tmp_path: Path, stubborn: str
) -> None:
    served = ServedBench(SimulatedBench(bench_for("radiator", "Reed", 1), Pump(), 3), tmp_path / "hwmon", 0.1)
    save_setup(usual_place(), BenchSetup(tuple(served.settings()), {"spin": stubborn}, 0.5))
    if by == "command":
        words = [
            "-m",
            "kuffin.cli",
            "record",
            str(bench_with_load),
            "--study",
            "Radiators, spring",
            "--candidate",
            "Reed",
        ]
    else:
        (tmp_path / "window.py").write_text(WINDOW)
        words = [str(tmp_path / "window.py"), str(bench_with_load)]
    kuffin = subprocess.Popen(
        [sys.executable, *words],
        env={**os.environ, "QT_QPA_PLATFORM": "offscreen"},
        start_new_session=True,
        preexec_fn=lambda: signal.signal(signal.SIGHUP, signal.SIG_DFL),  # also where the tests themselves heed none
        stdout=subprocess.DEVNULL,
        stderr=subprocess.PIPE,
    )
    try:
        found = pids(tmp_path / "pids", seconds=60)
        time.sleep(2.5)
        assert len(living(found)) == 2 and kuffin.poll() is None
        os.killpg(kuffin.pid, how)  # as a closed terminal or a log-out does it: everything of its group
        assert all_gone(found, 6.0), how  # two seconds, and as many again for a machine that is busy
        kuffin.wait(15)
    finally:
        kuffin.kill()
        served.close()
        for pid in living(pids(tmp_path / "pids", 0)):
            os.kill(pid, signal.SIGKILL)
    notebook = Notebook.open(bench_with_load)
    runs = [r for m in reed(notebook) for r in m.runs if r.marks]
    # in order, where it could be; a closed window can resume its run
    assert runs and runs[-1].closed == (how is not signal.SIGKILL and by == "command")
    notebook.close()
