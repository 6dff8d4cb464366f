"""What recording costs, and what it loses: processor share, memory, samples at a high rate, kills."""

from __future__ import annotations

import json
import os
import random
import resource
import signal
import subprocess
import sys
import tempfile
import time
from collections.abc import Callable
from pathlib import Path

import numpy as np

from kuffin.core.bench.limits import Limits
from kuffin.core.bench.protocol import Step
from kuffin.instruments.instrument import LiveChannel
from kuffin.instruments.steadyclock import steady
from kuffin.notebook import edits
from kuffin.notebook.runwriter import RunWriter, cut_off_runs
from kuffin.notebook.samples import read_run
from kuffin.notebook.store import Notebook
from kuffin.recording.liverun import LiveRun
from kuffin.recording.loads import LoadByHand
from kuffin.recording.openbench import OpenBench
from kuffin.recording.tape import Tape

_ROLES = ("die", "coolant_in", "air_in", "power", "flow", "pump")
_KILLS = int(os.environ.get("KUFFIN_KILLS", "100"))


class Counter:
    """An instrument of many channels that counts its readings in the first one."""

    def __init__(self, channels: int, interval_s: float) -> None:
        self.name, self.interval_s, self.reads = "counter", interval_s, 0
        self.channels = tuple(
            LiveChannel(
                name=f"c{i}", unit="degC", quantity="temperature", role=_ROLES[i - 1] if 0 < i <= len(_ROLES) else None
            )
            for i in range(channels)
        )
        self._values = np.linspace(20, 60, channels)

    def read(self) -> list[float]:
        self.reads += 1
        values = (self._values + np.sin(self.reads / 50)).tolist()
        values[0] = float(self.reads)
        return values

    def complaint(self) -> str:
        return ""

    def close(self) -> None:
        """Nothing."""


def a_notebook(place: Path) -> Notebook:
    notebook = Notebook.create(place / "bench.kuffin")
    edits.add_study(notebook, "What does recording cost?", "radiator", ["Reed"], 1.0)
    return notebook


def share(seconds: float, channels: int, window: bool) -> float:
    """Processor time over time while recording at 1 Hz, in a process of its own."""
    code = f"from benchmarks.recording import _share; print(_share({seconds}, {channels}, {window}))"
    done = subprocess.run([sys.executable, "-c", code], capture_output=True, text=True, check=True)
    return float(done.stdout.strip().splitlines()[-1])


def _cpu() -> float:
    used = resource.getrusage(resource.RUSAGE_SELF)
    return used.ru_utime + used.ru_stime


def _share(seconds: float, channels: int, window: bool, interval_s: float = 1.0, speed: float = 1.0) -> float:
    """The same, here."""
    with tempfile.TemporaryDirectory() as tmp:
        notebook = a_notebook(Path(tmp))
        steps = (Step(name="idle", settle="clock", longest_min=999), Step(name="load", load="x"))
        counter = Counter(channels, interval_s)
        bench = OpenBench(name="counter", instruments=[counter], load=LoadByHand(), interval_s=interval_s, speed=speed)
        pump: Callable[[float], None] = time.sleep
        if window:
            app, shown = _window(Path(tmp), notebook)
            shown.running.start("Reed", None, bench)
            pump = _pumping(app)
            live = shown.running.live
        else:
            study = notebook.study(notebook.studies()[0].id)
            live = LiveRun(notebook, study, "Reed", None, bench, steps, Limits())
            live.start()
        pump(3.0)
        cpu, wall = _cpu(), time.monotonic()
        end = wall + seconds
        while time.monotonic() < end:
            pump(0.5)
            if not window:
                live.tick()
        found = (_cpu() - cpu) / (time.monotonic() - wall)
        if window:
            shown.running.stop_now()
            shown.close()
        else:
            live.stop()
            live.close()
            notebook.close()
    return found


def _window(place: Path, notebook: Notebook):
    from kuffin.app.base.settings import Settings
    from kuffin.app.frame.window import MainWindow
    from kuffin.app.look.application import application

    app = application()
    window = MainWindow(Settings(place / "window.ini"))
    window.show()
    window.state.open(notebook)
    window.show_desk("Run")
    _pumping(app)(1.0)
    return app, window


def _pumping(app):
    from PySide6.QtCore import QEventLoop

    def pump(seconds: float) -> None:
        # let Qt itself wait for what comes, as it does in real life
        loop = QEventLoop()
        from PySide6.QtCore import QTimer

        QTimer.singleShot(int(1000 * seconds), loop.quit)
        loop.exec()

    return pump


def growth_mb(rows: int, channels: int) -> tuple[float, float]:
    """Memory grown over so many samples, and the size of the samples themselves, MB."""
    code = f"from benchmarks.recording import _growth; print(_growth({rows}, {channels}))"
    done = subprocess.run([sys.executable, "-c", code], capture_output=True, text=True, check=True)
    return float(done.stdout.strip().splitlines()[-1]), rows * (channels + 1) * 8 / 1e6


def _resident_mb() -> float:
    pages = int(Path("/proc/self/statm").read_text().split()[1])
    return pages * resource.getpagesize() / 1e6


def _growth(rows: int, channels: int) -> float:
    with tempfile.TemporaryDirectory() as tmp:
        notebook = a_notebook(Path(tmp))
        counter = Counter(channels, 1.0)
        names = [(c.name, c.unit, c.quantity, c.role) for c in counter.channels]
        writer = RunWriter(notebook, 1, "Reed", names, "counter", "2026-01-01T00:00:00")
        tape = Tape(channels)
        before = 0.0
        for at in range(0, rows + 30_000, 10):
            block = np.array([[float(at + i), *counter.read()] for i in range(10)])
            writer.add(block)
            for row in block:
                tape.add(row.tolist())
            if at == 30_000:
                before = _resident_mb()
        after = _resident_mb()
        notebook.close()
    return after - before


def an_hour(
    channels: int = 60, rate_hz: float = 10.0, speed: float = 40.0, window: bool = False
) -> tuple[int, int, float]:
    """(samples wanted, samples lost, processor share) of an hour at high speed."""
    code = f"from benchmarks.recording import _hour; print(*_hour({channels}, {rate_hz}, {speed}, {window}))"
    done = subprocess.run([sys.executable, "-c", code], capture_output=True, text=True, check=True)
    wanted, lost, used = done.stdout.strip().splitlines()[-1].split()
    return int(wanted), int(lost), float(used)


def _hour(channels: int, rate_hz: float, speed: float, window: bool) -> tuple[int, int, float]:
    with tempfile.TemporaryDirectory() as tmp:
        notebook = a_notebook(Path(tmp))
        counter = Counter(channels, 1 / rate_hz)
        bench = OpenBench(name="counter", instruments=[counter], load=LoadByHand(), interval_s=1 / rate_hz, speed=speed)
        wall, cpu = time.monotonic(), _cpu()
        if window:
            app, shown = _window(Path(tmp), notebook)
            wall, cpu = time.monotonic(), _cpu()
            shown.running.start("Reed", None, bench)
            live = shown.running.live
            _pumping(app)(3600 / speed)
            run_id = live.run_id
            shown.running.stop_now()
        else:
            study = notebook.study(1)
            steps = (Step(name="idle", settle="clock", longest_min=999), Step(name="load", load="x"))
            live = LiveRun(notebook, study, "Reed", None, bench, steps, Limits())
            live.start()
            end = time.monotonic() + 3600 / speed
            while time.monotonic() < end:
                live.tick()
                time.sleep(0.5)
            live.stop()
            live.close()
            run_id = live.run_id
        used = (_cpu() - cpu) / (time.monotonic() - wall)
        counts = read_run(notebook, run_id).values["c0"]
        counts = counts[np.isfinite(counts)]
        lost = int(counts[-1] - counts[0] + 1 - np.unique(counts).size)
        notebook.close()
    return int(3600 * rate_hz), lost, used


def kills(times: int) -> tuple[int, int, float]:
    """(notebooks that opened, runs that held all but the last second, the largest loss in s of the clock)."""
    from kuffin.demo.scenario import build_demo

    draw = random.Random(3)
    opened = whole = 0
    worst = 0.0
    with tempfile.TemporaryDirectory() as tmp:
        path = Path(tmp) / "kills.kuffin"
        build_demo(path)
        command = [sys.executable, "-m", "kuffin.cli", "record", str(path), "--study", "Radiators, spring"]
        command += ["--candidate", "Reed", "--bench", "simulated", "--speed", "60", "--json"]
        for _ in range(times):
            process = subprocess.Popen(command, stdout=subprocess.PIPE, text=True)
            assert process.stdout is not None
            told, begin, wanted = 0.0, None, draw.uniform(1.2, 4.0)
            for line in process.stdout:
                told = json.loads(line).get("t_s", told)
                begin = begin or (steady() if told else None)
                if begin is not None and steady() - begin > wanted:
                    break
            process.send_signal(signal.SIGKILL)
            process.wait()
            notebook = Notebook.open(path)
            opened += 1
            runs = cut_off_runs(notebook, 1)
            last = float(read_run(notebook, runs[-1].id).times[-1]) if runs else 0.0
            lost = (told - last) / 60
            worst = max(worst, lost)
            whole += lost <= 1.3  # a second, and what this machine was late
            notebook.close()
    return opened, whole, worst


def report() -> None:
    """Print the figures."""
    alone, shown = share(30, 40, False), share(30, 40, True)
    print(
        f"recording 40 channels at 1 Hz: {100 * alone:.1f} % of a core without a window (aim 1 %), {100 * shown:.1f} % with the Run desk (aim 5 %)"
    )
    grown, samples = growth_mb(100_000, 40)
    print(
        f"memory over 100,000 rows of 40 channels: {grown:+.1f} MB (the samples themselves are {samples:.0f} MB; aim: none)"
    )
    wanted, lost, used = an_hour()
    _, lost_shown, used_shown = an_hour(window=True)
    print(
        f"an hour of 60 channels at 10 Hz, 40 times as fast ({wanted} rows): {lost} lost without a window, {lost_shown} with it; "
        f"processor share {used:.2f} and {used_shown:.2f}, ratio {used_shown / used:.1f}"
    )
    opened, whole, worst = kills(_KILLS)
    print(
        f"{_KILLS} kills: {opened} notebooks open, {whole} runs hold all but the last second; worst loss {worst:.2f} s"
    )
