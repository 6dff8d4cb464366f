"""A bench that runs faster than life waits for those who follow it; one of the real world waits for nobody."""

from __future__ import annotations

import threading
import time
from pathlib import Path

import numpy as np

from kuffin.core.bench.limits import Limits
from kuffin.core.bench.protocol import Step
from kuffin.notebook.samples import read_run
from kuffin.notebook.store import Notebook
from kuffin.recording.liverun import LiveRun
from kuffin.recording.ofstudy import open_simulated
from kuffin.recording.pace import FollowedPace


class TestTheClock:
    def test_it_goes_no_further_than_those_who_follow_allow(self) -> None:
        real = [100.0]
        pace = FollowedPace(0.3, lambda: real[0])
        pace.looked("window")
        pace.looked("thinker")
        real[0] += 0.2
        assert pace.now() == 100.2
        pace.looked("window")
        real[0] += 5.0
        assert pace.now() == 100.3  # the thinker is behind
        pace.looked("thinker")
        real[0] += 0.1
        assert pace.now() == 100.3 + 0.1  # and what was lost is not made up for
        pace.left("thinker")
        pace.left("window")
        real[0] += 7.0
        assert abs(pace.now() - 107.4) < 1e-9  # nobody follows any more: it need not wait

    def test_who_waits_is_let_go_when_something_happens_though_it_stands_still(self) -> None:
        pace, event = FollowedPace(0.05), threading.Event()
        pace.looked("window")
        done: list[bool] = []
        waiting = threading.Thread(target=lambda: done.append(pace.wait(event, 10.0)))
        waiting.start()
        event.set()
        waiting.join(5)
        assert done == [True]


def test_a_window_that_stalls_misses_nothing_of_a_fast_bench(demo: Path) -> None:
    notebook = Notebook.open(demo)
    study = notebook.study(1)
    candidate = study.live_candidates[1]
    steps = (
        Step(name="idle", settle="clock", longest_min=2, measure_min=1),
        Step(name="load", load="batch stretch", power_w=180.0, settle="clock", longest_min=5, measure_min=2),
    )
    bench = open_simulated(study, candidate, None, 300)
    live = LiveRun(notebook, study, candidate.name, None, bench, steps, Limits())
    live.start()
    seen: list[tuple[float, str]] = []
    while (now := live.tick()).running:
        seen.append((now.elapsed_s, now.stage.words if now.stage is not None else ""))
        time.sleep(0.9)  # 270 s of the bench, were it not to wait
    assert live.close()
    assert np.max(np.diff([at for at, _ in seen])) <= 91
    assert [w for i, (_, w) in enumerate(seen) if i == 0 or w != seen[i - 1][1]] == [
        "idle, waiting",
        "idle, measuring",
        "load, warming up",
        "load, measuring",
    ]
    assert now.check is not None and now.check.check.stretch_s[1] >= 119  # the thinker kept up, too
    times = read_run(notebook, live.run_id or 0).times
    assert np.allclose(np.diff(times), bench.interval_s)  # nor did the recorder, however little of the machine it had
    notebook.close()
