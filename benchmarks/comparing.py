"""Forty candidates × six mounts × six conditions × four parts: when the grid stands, and the window's longest pause."""

from __future__ import annotations

import tempfile
import time
from collections.abc import Callable
from dataclasses import replace
from pathlib import Path

import numpy as np

from benchmarks.settledvalues import settled
from kuffin.core.bench.limits import Limits
from kuffin.core.bench.protocol import Step
from kuffin.notebook import edits, planedits
from kuffin.notebook.entities import Candidate, Channel, Mount, Reading, Run
from kuffin.notebook.store import Notebook
from kuffin.reading.judgingrules import ways_of
from kuffin.reading.keptresults import made_from
from kuffin.reading.runresult import RunResult, to_json

_PARTS = ("die", "hot_spot", "memory", "regulator")
_POWERS = (80.0, 120.0, 160.0, 200.0, 240.0, 280.0)


def _step(name: str, power: float, levels: dict[str, float], rng: np.random.Generator) -> RunResult:
    traces = {}
    for part, r in levels.items():
        k_w = r * (1 + float(rng.normal(0, 0.004)))
        traces[f"{part}_over_coolant_per_watt"] = settled(k_w, 0.003)
        traces[f"{part}_over_coolant"] = settled(k_w * power, 0.003)
    means = {"Power": (power, 1.0), "Die": (30 + power * 0.17, 0.5)}
    names = {"die": "Die", "hot_spot": "Hot", "memory": "Memory", "regulator": "Regulators"}
    roles = {"die": "Die", "power": "Power"}
    return RunResult(
        traces=traces, problems={}, means=means, window_s=(400.0, 1000.0), names=names, roles=roles, condition=name
    )


def large(path: Path, candidates: int = 40, mounts: int = 6) -> None:
    """A notebook with such a study, its runs' results kept as if they had been worked out."""
    rng = np.random.default_rng(7)
    book = Notebook.create(path)
    names = [f"Block {i + 1}" for i in range(candidates)]
    study = edits.add_study(book, "Which of forty?", "block", names, 1.0, name="Forty", rounds=mounts)
    steps = tuple(Step(name=f"load {p:g} W", load="long mix", power_w=p) for p in _POWERS)
    protocol = planedits.keep_protocol(book, "six powers", steps, Limits())
    edits.change_study(book, study, "set up", protocol_id=protocol, reference_power_w=200.0)
    levels = {n: {p: 0.16 + 0.03 * i + 0.0006 * k for i, p in enumerate(_PARTS)} for k, n in enumerate(names)}
    with book.edit("lay out") as session:
        for c in session.query(Candidate).filter(Candidate.study_id == study):
            for r in range(mounts):
                m = Mount(candidate_id=c.id, round=r + 1, position=100 * r + c.position)
                session.add(m)
                session.flush()
                session.add(Run(mount_id=m.id, source="x.csv", started_at=f"2026-03-{r + 1:02d}T10:00:00", rows=1))
    with book.edit("channels") as session:
        for run in session.query(Run):
            for i, (name, role) in enumerate((("Die", "die"), ("Power", "power"))):
                session.add(Channel(run_id=run.id, position=i, name=name, unit="degC", role=role))
    whole = book.study(study)
    ways = ways_of(book, whole)
    kept = []
    for c in whole.live_candidates:
        for m in c.live_mounts:
            mount = {p: v * (1 + float(rng.normal(0, 0.012))) for p, v in levels[c.name].items()}
            found = [_step(s.name, s.power_w or 0.0, mount, rng) for s in steps]
            result = replace(found[-1], steps=tuple(found))
            run = m.live_runs[0]
            kept.append((run.id, made_from(whole, run, ways, ways.of(whole, c)), to_json(result)))
    with book.edit("keep") as session:
        session.add_all([Reading(run_id=a, made_from=b, values=v) for a, b, v in kept])
    book.close()


def report() -> None:
    """Print how long the grid takes, and the longest pause of the event loop while it does."""
    from kuffin.app.base.settings import Settings
    from kuffin.app.frame.window import MainWindow
    from kuffin.app.look import theme as looks
    from kuffin.app.look.application import application

    with tempfile.TemporaryDirectory() as folder:
        path = Path(folder) / "forty.kuffin"
        large(path)
        app = application()
        looks.apply(app, looks.LIGHT)
        window = MainWindow(Settings(Path(folder) / "window.ini"))
        window.resize(1280, 800)
        window.show()
        window.show_desk("Compare")

        def until(done: Callable[[], bool], limit_s: float = 120.0) -> tuple[float, float]:
            begin, longest = time.perf_counter(), 0.0
            while not done() and time.perf_counter() - begin < limit_s:
                now = time.perf_counter()
                app.processEvents()
                longest = max(longest, time.perf_counter() - now)
                time.sleep(0.001)
            return time.perf_counter() - begin, longest

        begun = time.perf_counter()
        window.notebooks.open_path(str(path))
        until(lambda: time.perf_counter() - begun > 1.0)  # the study's frame is there
        framed = time.perf_counter() - begun
        took, pause = until(lambda: window.state.verdict is not None)
        _, after = until(lambda: not window.jobs.running)
        print(
            f"verdict of 40 candidates × 6 mounts: {framed + took:.1f} s, longest pause up to its arrival {1000 * max(pause, after):.0f} ms (aim 50)"
        )
        now = time.perf_counter()
        window.compare.go("outcomes")
        app.processEvents()
        framed = time.perf_counter() - now
        page = window.compare.page("outcomes")
        took, pause = until(lambda: len(page.results) == 24 and not window.jobs.running)
        print(
            f"grid of 24 cells: its frame after {1000 * framed:.0f} ms, all {len(page.results)} cells after {took:.1f} s, "
            f"longest pause {1000 * pause:.0f} ms (aim 50)"
        )
        window.close()
