"""The recorder and the live simulated bench: nothing holds up anything else, nothing is lost, and the truth comes out."""

from __future__ import annotations

import json
import os
import random
import re
import signal
import subprocess
import sys
import time
from collections.abc import Callable, Sequence
from pathlib import Path
from typing import Any

import numpy as np
import pytest
from sqlalchemy import func, select

from kuffin.cli import main
from kuffin.core.base.errors import BenchError, NotebookError
from kuffin.core.bench.limits import Limits
from kuffin.core.bench.protocol import Step
from kuffin.demo.practice import bench_for
from kuffin.instruments.instrument import LiveChannel
from kuffin.logs.reader import read_log
from kuffin.notebook import bin as bin_of_notebook
from kuffin.notebook import edits, planedits
from kuffin.notebook.entities import Mark, Run
from kuffin.notebook.runwriter import close_run, cut_off_runs
from kuffin.notebook.samples import read_run
from kuffin.notebook.store import Notebook
from kuffin.recording.liverun import LiveRun
from kuffin.recording.ofstudy import open_simulated
from kuffin.recording.recorder import Recorder
from kuffin.simulated.hydraulics import Pump
from kuffin.simulated.livebench import SimulatedBench
from kuffin.simulated.station import built
from kuffin.verdict.study import judge
from tests.recording.jumpingclock import JumpingClock
from tests.recording.waiting import wait_until


class Meter:
    """An instrument that counts, slowly or not at all if wanted."""

    def __init__(self, name: str, act: Callable[[int], float], interval_s: float = 0.02) -> None:
        self.name, self._act, self.interval_s = name, act, interval_s
        self.channels = (LiveChannel(name=name, unit="W", quantity="power", role=None),)
        self.reads = 0
        self.closed = False

    def read(self) -> Sequence[float]:
        self.reads += 1
        return [self._act(self.reads)]

    def complaint(self) -> str:
        return ""

    def close(self) -> None:
        self.closed = True


def unplugged(count: int) -> float:
    if count > 3:
        raise BenchError("no answer; is it plugged in?")
    return float(count)


def recorded(
    instruments: Sequence[Meter], seconds: float, sink: Callable[[np.ndarray], None], clock: JumpingClock
) -> Recorder:
    recorder = Recorder(instruments, sink, interval_s=0.05, pace=clock)
    recorder.KEEP_S = 0.2  # type: ignore[misc]
    recorder.start()
    clock.sleep(seconds)
    return recorder


def test_a_slow_and_a_dead_instrument_hold_up_nobody() -> None:
    blocks: list[np.ndarray] = []
    clock = JumpingClock(6)

    def hanging(count: int) -> float:
        clock.sleep(0.4)
        return float(count)

    good, slow, dead = Meter("good", float), Meter("slow", hanging), Meter("dead", unplugged)
    recorder = recorded([good, slow, dead], 2.0, blocks.append, clock)
    assert "dead: no answer; is it plugged in?" in [t.text for t in recorder.troubles()]
    recorder.stop()
    rows = np.vstack(blocks)
    assert rows.shape[0] == recorder.rows and rows.shape[0] == pytest.approx(40, abs=1)
    assert np.diff(rows[:, 0]) == pytest.approx(0.05, abs=0.026)
    seen = [np.isfinite(rows[:, i]).sum() for i in (1, 2, 3)]
    assert seen[0] == rows.shape[0]
    assert 4 <= seen[1] <= 5 and seen[2] == 2  # each reading counts once; what is missing is missing
    assert good.closed and dead.closed


def test_a_full_disk_loses_nothing_once_there_is_room_again() -> None:
    kept: list[np.ndarray] = []
    full = [True]

    def sink(block: np.ndarray) -> None:
        if full[0]:
            raise NotebookError("the disk is full")
        kept.append(block)

    clock = JumpingClock(4)
    recorder = recorded([Meter("good", float)], 1.0, sink, clock)
    (trouble,) = recorder.troubles()
    assert re.fullmatch(r"the last \d+ rows wait in memory until they can be kept: the disk is full", trouble.text)
    assert recorder.rows == 0 and trouble.key == "rows wait"
    full[0] = False
    clock.sleep(1.2)
    recorder.stop()
    times = np.vstack(kept)[:, 0]
    assert (
        times[0] < 0.06
        and times[-1] > 2.1
        and times.size == pytest.approx(44, abs=1)
        and recorder.troubles() == []
        and recorder.waiting == 0
    )


@pytest.mark.parametrize("every", [0.2, 0.3, 1.0])
def test_no_row_waits_for_longer_than_a_second(every: float) -> None:
    waited: list[float] = []
    clock = JumpingClock(4)
    recorder = Recorder(
        [Meter("good", float)], lambda b: waited.append(recorder.elapsed_s - b[0, 0]), every, pace=clock
    )
    recorder.start()
    clock.sleep(60.0)
    recorder.stop()
    assert len(waited) >= 50 and max(waited) <= 0.6


def test_too_many_rows_that_wait_go_to_another_place(tmp_path: Path) -> None:
    def sink(_block: np.ndarray) -> None:
        raise NotebookError("the disk is full")

    spilt: list[np.ndarray] = []

    def spill(block: np.ndarray) -> str:
        spilt.append(block)
        return "rows are elsewhere"

    clock = JumpingClock(4)
    recorder = Recorder([Meter("good", float)], sink, 0.05, pace=clock)
    recorder.MOST_WAITING, recorder.KEEP_S = 40, 0.1  # type: ignore[misc]
    recorder.spill = spill
    recorder.start()
    clock.sleep(2.5)
    recorder.stop()
    assert spilt and "rows are elsewhere" in [t.text for t in recorder.troubles()]
    times = np.concatenate([*(b[:, 0] for b in spilt), recorder.take_waiting()[:, 0]])
    assert times[0] < 0.06 and np.all(np.diff(times) > 0) and np.max(np.diff(times)) < 0.08 and times.size >= 49


class TestAFullDiskAtTheEnd:
    """349 of 535 rows were dropped, and the run was left open."""

    def begun(self, demo: Path, monkeypatch: pytest.MonkeyPatch) -> tuple[Notebook, LiveRun, list[bool]]:
        notebook = Notebook.open(demo)
        full = [False]
        writing = Notebook.writing

        def no_room(book: Notebook) -> Any:
            if full[0]:
                raise NotebookError("the disk is full")
            return writing(book)

        monkeypatch.setattr(Notebook, "writing", no_room)
        study = notebook.study(1)
        steps = (Step(name="idle", settle="clock", longest_min=60),)
        bench = open_simulated(study, study.live_candidates[1], None, 60)
        live = LiveRun(notebook, study, study.live_candidates[1].name, None, bench, steps, Limits())
        live.start()
        wait_until(lambda: live.tick().rows > 60)
        full[0] = True
        wait_until(lambda: any("wait in memory" in t for t in live.tick().troubles) and live.recorder.waiting > 20)
        live.mark("after it was full")
        live.stop()
        assert not live.close() and live.recorder.waiting > 20 and "full" in live.keeping.unkept
        return notebook, live, full

    def test_the_rows_wait_and_are_kept_when_there_is_room(self, demo: Path, monkeypatch: pytest.MonkeyPatch) -> None:
        notebook, live, full = self.begun(demo, monkeypatch)
        assert not live.keeping.keep()
        full[0] = False
        assert live.keeping.keep() and live.keeping.unkept == ""
        data = read_run(notebook, live.run_id or 0)
        assert data.times.size == live.recorder.rows > 60 and np.all(np.diff(data.times) > 0)
        with notebook.session() as session:
            run = session.get_one(Run, live.run_id)
            assert run.closed and "after it was full" in [m.text for m in run.marks]
        assert not notebook.recording
        notebook.close()

    def test_or_they_are_written_elsewhere_as_a_log(
        self, demo: Path, monkeypatch: pytest.MonkeyPatch, tmp_path: Path
    ) -> None:
        notebook, live, full = self.begun(demo, monkeypatch)
        kept, waiting = live.recorder.rows, live.recorder.waiting
        monkeypatch.setattr("kuffin.recording.keeping.elsewhere", lambda: [tmp_path / "no such folder"])
        with pytest.raises(NotebookError, match="kept nowhere"):
            live.keeping.rescue()
        assert live.recorder.waiting == waiting
        monkeypatch.setattr("kuffin.recording.keeping.elsewhere", lambda: [tmp_path / "none", tmp_path])
        said = live.keeping.rescue()
        (log,) = tmp_path.glob("*.csv")
        assert str(waiting) in said and log.name in said and "cut off" in said
        full[0] = False
        data = read_run(notebook, live.run_id or 0)
        table = read_log(log)
        assert data.times.size == kept and table.times.size == waiting
        assert {c.name for c in table.channels} == set(data.values)
        assert [c.unit for c in table.channels] == [data.units[c.name] for c in table.channels]
        (run,) = cut_off_runs(notebook, 1)
        assert run.id == live.run_id and not notebook.recording
        notebook.close()


@pytest.mark.parametrize("interval", [0.0, 0.01, 9.0])
def test_rates_that_make_no_sense_are_refused(interval: float) -> None:
    with pytest.raises(BenchError, match=r"0\.05 to 5 s"):
        Recorder([], lambda _block: None, interval)


class TestTheLiveBench:
    """With a clock of its own, so that hours pass at once."""

    def run(self, speed: float, clock_s: float) -> dict[str, float]:
        now = [0.0]
        bench = SimulatedBench(self.plan, Pump(), 5, speed, clock=lambda: now[0])
        bench.set_speeds(62, 55)
        bench.set_load(180.0)
        readings = []
        for step in range(1, 1001):
            now[0] = clock_s * step / 1000
            if step > 900:
                readings.append(bench.read())
        means = np.mean(readings, axis=0)
        return {c.name: float(m) for c, m in zip(bench.channels, means, strict=True)}

    plan = bench_for("radiator", "Reed", 4)

    def test_it_comes_to_rest_where_the_model_says(self) -> None:
        found = self.run(1.0, 3 * 3600)
        loop, flow = built(self.plan, Pump(), 0.55 * 1636, 0.62)
        assert (found["Coolant in"] - found["Air in"]) / found["Package power"] == pytest.approx(
            loop.r_radiator, rel=0.02
        )
        assert found["Flow"] == pytest.approx(flow, abs=1.0)

    def test_at_sixty_times_the_speed_it_settles_at_the_same(self) -> None:
        life, fast = self.run(1.0, 2 * 3600), self.run(60.0, 2 * 60)
        for name in ("Coolant in", "Die", "Package power", "Flow"):
            assert fast[name] == pytest.approx(life[name], rel=0.01), name

    def test_the_same_candidate_is_the_same_each_time_and_each_mount_another(self) -> None:
        assert bench_for("paste", "Marl", 1) == bench_for("paste", "marl", 1)
        assert bench_for("paste", "Marl", 1).block != bench_for("paste", "Marl", 2).block
        assert bench_for("block", "Tern", 1).radiator == bench_for("block", "Plover", 1).radiator


@pytest.fixture
def short(demo: Path) -> Path:
    """The demo with a short protocol."""
    notebook = Notebook.open(demo)
    steps = (
        Step(name="idle", settle="clock", longest_min=2, measure_min=1),
        Step(
            name="load",
            load="batch stretch",
            power_w=180.0,
            pump_percent=62.0,
            fan_percent=55.0,
            settle="clock",
            longest_min=45,
            measure_min=5,
        ),
        Step(name="cool down", settle="clock", longest_min=8, measure_min=0),
    )
    kept = planedits.keep_protocol(notebook, "short", steps, Limits())
    edits.change_study(notebook, 1, "take a protocol", protocol_id=kept)
    notebook.close()
    return demo


ARGUMENTS = ["--study", "radiators, spring", "--candidate", "reed", "--bench", "simulated"]


def test_a_run_is_recorded_and_its_reading_is_the_benchs_truth(short: Path, capsys: pytest.CaptureFixture[str]) -> None:
    assert main(["record", str(short), *ARGUMENTS, "--speed", "300", "--json"]) == 0
    lines = [json.loads(line) for line in capsys.readouterr().out.splitlines()]
    assert [s for s in dict.fromkeys(line.get("stage") for line in lines) if s] == ["idle", "load", "cool down"]
    assert "Sedge" in lines[-1]["said"] and lines[-1]["rows"] > 400
    notebook = Notebook.open(short)
    verdict = judge(notebook, notebook.study(1))
    (reading,) = [r for r in verdict.main.readings if (r.candidate, r.round) == ("Reed", 4)]
    loop, _ = built(bench_for("radiator", "Reed", 4), Pump(), 0.55 * 1636, 0.62)
    assert reading.value is not None and reading.u95 is not None
    assert reading.value == pytest.approx(loop.r_radiator * verdict.reference_power_w, abs=2 * reading.u95 + 0.1)
    notebook.close()


def test_kills_lose_at_most_the_last_second_each_and_each_run_can_be_closed(short: Path) -> None:
    draw = random.Random(7)
    command = [sys.executable, "-m", "kuffin.cli", "record", str(short), *ARGUMENTS, "--speed", "60", "--json"]
    there = Notebook.open(short)
    before = judge(there, there.study(1)).mounts
    with there.session() as session:
        runs = session.scalar(select(func.count()).select_from(Run))
    there.close()
    for kill in range(3):
        process = subprocess.Popen(
            command, stdout=subprocess.PIPE, env={**os.environ, "OMP_NUM_THREADS": "1"}, text=True
        )
        assert process.stdout is not None
        seconds, told, begin = draw.uniform(1.2, 2.5), 0.0, None
        for line in process.stdout:
            told = json.loads(line).get("t_s", told)
            begin = begin or (time.monotonic() if told else None)
            if begin is not None and time.monotonic() - begin > seconds:
                break
        process.send_signal(signal.SIGKILL)
        process.wait(10)
        notebook = Notebook.open(short)
        (run,) = cut_off_runs(notebook, 1)
        data = read_run(notebook, run.id)
        assert data.times.size == run.rows
        assert data.times[-1] >= told - 1.5 * 60, kill  # one second of the clock, and what the machine was late
        close_run(notebook, run.id)
        assert judge(notebook, notebook.study(1)).mounts == before + 1
        assert read_run(notebook, run.id).times.tolist() == data.times.tolist()
        edits.to_bin(notebook, Run, run.id, "the run")
        notebook.close()
    notebook = Notebook.open(short)
    bin_of_notebook.empty(notebook)
    with notebook.session() as session:
        assert session.scalar(select(func.count()).select_from(Mark)) == 0
        assert session.scalar(select(func.count()).select_from(Run)) == runs  # the demo’s own
    notebook.close()


@pytest.mark.parametrize(
    ("change", "says"),
    [
        ({"--study": "Fans"}, "has no study “Fans”; there is “Radiators, spring”"),
        ({"--candidate": "Tern"}, "has no candidate “Tern”; there is Sedge, Reed"),
        ({"--bench": "booth seven"}, "no instruments are set up on this computer"),
        ({"--speed": "0"}, "0.1 to 1000 times"),
    ],
)
def test_what_cannot_be_recorded_is_said_in_one_line(
    demo: Path, capsys: pytest.CaptureFixture[str], change: dict[str, str], says: str
) -> None:
    options = {**dict(zip(ARGUMENTS[::2], ARGUMENTS[1::2], strict=True)), **change}
    assert main(["record", str(demo), *[w for pair in options.items() for w in pair]]) == 2
    said = capsys.readouterr().err
    assert says in said and said.count("\n") == 1
