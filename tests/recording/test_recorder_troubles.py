"""Suspended computers, changed clocks, loads that end by themselves; and a run from real interfaces without a window."""

from __future__ import annotations

import json
import os
import re
import sys
import time
from collections.abc import Sequence
from pathlib import Path

import numpy as np
import pytest

from kuffin.cli import main
from kuffin.core.bench.limits import Limits
from kuffin.core.bench.protocol import Step
from kuffin.demo.practice import bench_for
from kuffin.instruments.instrument import LiveChannel
from kuffin.instruments.setup import BenchSetup, save_setup
from kuffin.notebook import edits, planedits
from kuffin.notebook.samples import read_run
from kuffin.notebook.store import Notebook
from kuffin.reading.forecast import disturbance
from kuffin.recording.liverun import LiveRun
from kuffin.recording.loads import LoadByHand
from kuffin.recording.ofstudy import open_simulated
from kuffin.recording.openbench import OpenBench
from kuffin.recording.recorder import Recorder
from kuffin.recording.tape import Tape
from kuffin.recording.thisbench import usual_place
from kuffin.simulated.hydraulics import Pump
from kuffin.simulated.livebench import SimulatedBench
from kuffin.simulated.served import ServedBench
from tests.recording.jumpingclock import JumpingClock
from tests.recording.waiting import wait_until


class Counting:
    """Counts its readings."""

    name, interval_s = "counter", 0.05
    channels = (LiveChannel(name="count", unit="W", quantity="power", role=None),)

    def __init__(self) -> None:
        self.reads = 0

    def read(self) -> Sequence[float]:
        self.reads += 1
        return [float(self.reads)]

    def complaint(self) -> str:
        return ""

    def close(self) -> None:
        """Nothing."""


def test_a_suspended_computer_leaves_a_gap_that_is_known_and_no_made_up_rows() -> None:
    rows: list[np.ndarray] = []
    clock = JumpingClock(4)
    recorder = Recorder([Counting()], rows.append, 0.05, pace=clock)
    recorder.start()
    clock.sleep(0.6)
    clock.skip(3600.0)
    clock.sleep(0.6)
    recorder.stop()
    times = np.vstack(rows)[:, 0]
    ((begin, end),) = recorder.gaps
    assert end - begin == pytest.approx(3600, abs=0.2)
    assert np.all(np.diff(times) > 0) and np.sum(np.diff(times) > 1) == 1
    assert times.size == pytest.approx(24, abs=2)


def test_what_is_late_by_less_than_a_second_is_caught_up_with() -> None:
    clock = JumpingClock(4)

    class Stalling(Counting):
        def read(self) -> Sequence[float]:
            if self.reads == 8:
                clock.sleep(0.4)
            return super().read()

    rows: list[np.ndarray] = []
    recorder = Recorder([Stalling()], rows.append, 0.05, pace=clock)
    recorder.start()
    clock.sleep(2.0)
    recorder.stop()
    counts = np.vstack(rows)[:, 1]
    counts = counts[np.isfinite(counts)]
    assert np.all(np.diff(counts) == 1) and counts.size >= 33  # no reading took another's place


def test_a_changed_system_time_is_marked_and_touches_nothing(demo: Path, monkeypatch: pytest.MonkeyPatch) -> None:
    notebook = Notebook.open(demo)
    study = notebook.study(1)
    candidate = study.live_candidates[1]
    steps = (Step(name="idle", settle="clock", longest_min=60), Step(name="load", load="x"))
    live = LiveRun(notebook, study, candidate.name, None, open_simulated(study, candidate, None, 60), steps, Limits())
    live.start()
    wait_until(lambda: live.tick().rows > 10)
    real = time.time
    monkeypatch.setattr(time, "time", lambda: real() - 7200)
    live.tick()
    live.stop()
    live.close()
    run = next(
        r for c in notebook.study(1).live_candidates for m in c.live_mounts for r in m.live_runs if r.id == live.run_id
    )
    assert any("clock was set back by 7200 s" in m.text for m in run.marks if m.kind == "trouble")
    assert np.all(np.diff(read_run(notebook, run.id).times) > 0)
    notebook.close()


def test_the_tape_thins_itself_and_keeps_its_course() -> None:
    tape = Tape(1, most=1000)
    for i in range(100_000):
        tape.add([float(i), np.sin(i / 5000)])
    kept = tape.so_far()
    assert kept.shape[0] <= 1000 and kept[-1, 0] > 99_500 and kept[0, 0] < 200
    assert np.allclose(kept[:, 1], np.sin(kept[:, 0] / 5000), atol=0.02)
    assert tape.so_far(1000.0).shape[0] == np.sum(kept[:, 0] >= kept[-1, 0] - 1000)


def test_what_cannot_be_read_is_counted_and_told_once(demo: Path) -> None:
    class Babbling(Counting):
        def complaint(self) -> str:
            return f"{self.reads} of {2 * self.reads} lines cannot be read"

    notebook = Notebook.open(demo)
    study = notebook.study(1)
    opened = OpenBench(name="babble", instruments=[Babbling()], load=LoadByHand(), interval_s=0.1)
    live = LiveRun(notebook, study, "Reed", None, opened, (Step(name="idle", settle="clock", longest_min=9),), Limits())
    live.start()
    end = time.monotonic() + 2.0
    while time.monotonic() < end:
        live.tick()
        time.sleep(0.05)
    live.stop()
    live.close()
    reed = next(c for c in notebook.study(1).live_candidates if c.name == "Reed")
    run = next(r for m in reed.live_mounts for r in m.live_runs if r.id == live.run_id)
    said = [m.text for m in run.marks if "cannot be read" in m.text]
    assert len(said) == 2 and said[1].startswith("in the end: counter: ")
    assert int(re.findall(r"\d+", said[1])[0]) > int(re.findall(r"\d+", said[0])[0]) + 10
    notebook.close()


def test_fans_held_for_preheating_are_noticed() -> None:
    t = np.arange(0.0, 1200.0, 2.0)
    rng = np.random.default_rng(2)
    fans = np.where(t < 500, 400.0, 900.0) + rng.normal(0, 8, t.size)
    steady_fans = 900 + rng.normal(0, 8, t.size)
    steady_fans[100] = 0.0
    said = disturbance(t, {"fan": fans}, 100.0)
    found = re.match(r"the fans ran at (\d+) rpm until 7 min into the step and at (\d+) since", said)
    assert found is not None
    assert [int(x) for x in found.groups()] == [pytest.approx(400, abs=15), pytest.approx(900, abs=15)]
    assert disturbance(t, {"fan": steady_fans, "pump": 2900 + rng.normal(0, 7, t.size)}, 100.0) == ""


def test_a_run_from_this_computers_instruments_without_a_window(
    demo: Path, tmp_path: Path, capsys: pytest.CaptureFixture[str]
) -> None:
    served = ServedBench(SimulatedBench(bench_for("radiator", "Reed", 1), Pump(), 3), tmp_path / "hwmon", 0.1)
    loads = {"batch stretch": f"{sys.executable} -c 'import time; time.sleep(99)'"}
    save_setup(usual_place(), BenchSetup(tuple(served.settings()), loads, 0.5))
    notebook = Notebook.open(demo)
    steps = (
        Step(name="idle", settle="clock", longest_min=0.05, measure_min=0),
        Step(name="load", load="batch stretch", settle="clock", longest_min=0.05, measure_min=0.02),
    )
    kept = planedits.keep_protocol(notebook, "tiny", steps, Limits())
    edits.change_study(notebook, 1, "take a protocol", protocol_id=kept)
    notebook.close()
    arguments = ["record", str(demo), "--study", "Radiators, spring", "--candidate", "Reed", "--json"]
    assert main([*arguments, "--speed", "60"]) == 2
    assert "only the simulated bench runs faster" in capsys.readouterr().err
    assert main(arguments) == 0
    lines = [json.loads(line) for line in capsys.readouterr().out.splitlines()]
    assert {"idle", "load"} <= {line.get("stage") for line in lines}
    assert any((line.get("Coolant in") or 0) > 15 for line in lines)
    served.close()
    notebook = Notebook.open(demo)
    run_id = next(line["run"] for line in lines if "run" in line)
    data = read_run(notebook, run_id)
    assert set(data.roles) >= {"die", "coolant_in", "air_in", "power", "flow", "pump", "sound"}
    for name in ("Die", "Coolant in", "Flow"):
        assert np.isfinite(data.values[name]).mean() > 0.3, name
    notebook.close()
    assert os.environ["XDG_CONFIG_HOME"] in str(usual_place())


def test_a_load_that_only_a_person_can_stop_is_not_said_to_be_stopped(demo: Path) -> None:
    notebook = Notebook.open(demo)
    study = notebook.study(1)
    bench = SimulatedBench(bench_for("radiator", "Reed", 1), Pump(), 3, 60)
    bench.set_load(180.0)
    opened = OpenBench(name="by hand", instruments=[bench], load=LoadByHand(), interval_s=bench.interval_s, speed=60)
    live = LiveRun(notebook, study, "Reed", None, opened, (Step(name="load", load="x"),), Limits(die_c=45.0))
    live.start()
    seen = []

    def over() -> bool:
        seen.append(live.tick())
        live.acted()
        return not live.running

    wait_until(over)
    now = seen[-1]
    live.close()
    assert "past its limit of 45 °C" in live.over and "STOP THE LOAD NOW" in live.over
    assert "load is stopped" not in live.over and any(a.stop for a in now.alarms)
    notebook.close()
