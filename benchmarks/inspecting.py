"""Findings of a study of 60 runs × 1 h × 40 channels: when the first are on screen, and the window's longest pause."""

from __future__ import annotations

import datetime as dt
import tempfile
import time
from dataclasses import replace
from pathlib import Path

import numpy as np

from kuffin.logs.table import LogChannel
from kuffin.notebook import edits
from kuffin.notebook.store import Notebook
from kuffin.simulated.faults import Fault
from kuffin.simulated.hydraulics import Pump
from kuffin.simulated.room import Room
from kuffin.simulated.station import Block, LoadPlan, Radiator, RunPlan, record

_RUNS, _CHANNELS = 60, 40
_NAMES = ("Tern", "Plover", "Dunlin", "Knot", "Ruff", "Godwit")


def study_of(path: Path, runs: int = _RUNS) -> None:
    """A notebook with a study of so many runs, one in seven with a fault."""
    rng = np.random.default_rng(4)
    book = Notebook.create(path)
    study = edits.add_study(book, "Which block?", "block", list(_NAMES), rounds=runs // len(_NAMES))
    new = []
    for i in range(runs):
        block = Block(
            name="x", r0_k_w=0.045 + 0.004 * (i % len(_NAMES)), paste_k_w=0.085 * (1 + float(rng.normal(0, 0.02)))
        )
        start = dt.datetime(2026, 1, 5) + dt.timedelta(hours=2 * i)
        load = LoadPlan(name="long mix", power_w=180.0 + float(rng.normal(0, 1)))
        plan = RunPlan(
            radiator=Radiator(name="Reed", k_w=0.06),
            block=block,
            load=load,
            room=Room(start_c=21.0, drift_k_h=0.3),
            start=start,
            load_s=3360.0,
            interval_s=1.0,
        )
        fault = Fault(stuck=("Coolant in", 1500.0)) if i % 7 == 3 else None
        table, _ = record(plan, Pump(), i, f"run{i}.csv", fault)
        more = [
            LogChannel(
                name=f"Board {k}",
                unit="degC",
                quantity="temperature",
                role=None,
                values=40 + rng.normal(0, 0.3, table.rows),
            )
            for k in range(_CHANNELS - len(table.channels))
        ]
        new.append(edits.NewRun(_NAMES[i % len(_NAMES)], replace(table, channels=[*table.channels, *more])))
    edits.add_logs(book, study, new)
    book.close()


def report(runs: int = _RUNS) -> None:
    """Print when the first findings are seen, when all are, and the longest pause of the event loop."""
    from kuffin.app.base.settings import Settings
    from kuffin.app.frame.window import MainWindow
    from kuffin.app.look import theme as looks
    from kuffin.app.look.application import application

    with tempfile.TemporaryDirectory() as folder:
        path = Path(folder) / "sixty.kuffin"
        study_of(path, runs)
        app = application()
        looks.apply(app, looks.LIGHT)
        window = MainWindow(Settings(Path(folder) / "window.ini"))
        window.resize(1280, 800)
        window.show()
        window.show_desk("Inspect")
        window.inspect.paged.go("findings")
        begin = time.perf_counter()
        window.notebooks.open_path(str(path))
        first = longest = 0.0
        while window.state.verdict is None:
            now = time.perf_counter()
            app.processEvents()
            longest = max(longest, time.perf_counter() - now)
            if not first and window.inspect.findings.list.count() > 1:
                first = time.perf_counter() - begin
            time.sleep(0.001)
        whole = time.perf_counter() - begin
        found = len(window.state.verdict.open_findings())
        print(
            f"findings of {runs} runs × 1 h × {_CHANNELS} channels: first on screen after {first:.1f} s, all ({found} to answer) after "
            f"{whole:.1f} s, longest pause of the event loop {1000 * longest:.0f} ms"
        )
        window.close()
