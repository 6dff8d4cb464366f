"""Mount check and forecast of a run, worked out in a thread of their own: they take a moment, and the run must not wait."""

from __future__ import annotations

import threading
from dataclasses import replace
from typing import TYPE_CHECKING

import numpy as np

from kuffin.core.bench.leading import WAITING, Stage, run_s
from kuffin.core.bench.undertest import kind_under_test
from kuffin.reading.forecast import Forecast, disturbance, forecast
from kuffin.reading.keptresults import run_result
from kuffin.said.mountcheck import MountCheck, OtherMount, check_mount, siblings

if TYPE_CHECKING:
    from kuffin.recording.liverun import LiveRun

_FROM_S, _CHECK_AT_S = 70.0, 120.0
_LOOK_EVERY_S = 45.0


class Thinker:
    """Looks at a run now and then. A fault in it never touches the run.

    Attributes
    ----------
    check : MountCheck or None
        Made once from 70 s on, and again at 120 s.
    forecast : Forecast
    usual_s : float or None
        How long the study's other runs took to settle.
    """

    def __init__(self, live: LiveRun) -> None:
        self._live = live
        self._trace = kind_under_test(live.study.under_test).main_trace
        self._others: list[OtherMount] | None = None
        self._step: tuple[tuple[int, int], float] | None = None
        self.check: MountCheck | None = None
        self.forecast = Forecast()
        self.usual_s: float | None = None
        self._thread = threading.Thread(target=self._run, daemon=True, name="thinker")

    @property
    def looks_bad(self) -> bool | None:
        """What the mount check says at last; None while it is not made, or may still change."""
        check = self.check
        return None if check is None or check.check.stretch_s[1] < _CHECK_AT_S - 1 else check.worse

    def start(self) -> None:
        """Begin."""
        self._live.bench.pace.looked("thinker")
        self._thread.start()

    def wait(self) -> None:
        """Wait until it is done, after the run has ended."""
        if self._thread.is_alive():
            self._thread.join(10)

    def forget(self) -> None:
        """A new step: what was forecast no longer counts."""
        self.forecast = Forecast()

    def _run(self) -> None:
        try:
            self._follow()
        finally:
            self._live.bench.pace.left("thinker")

    def _follow(self) -> None:
        live = self._live
        try:
            self._others = siblings(live.notebook, live.study, live.mount.id if live.mount is not None else None)
            self.usual_s = self._usual()
        except Exception:  # the check is a help; the run does not depend on it
            self._others = []
        looked = 0.0
        while not live.wait(min(0.5, 5.0 / live.bench.speed)):
            live.bench.pace.looked("thinker")
            stage = live.leader.stage
            if stage is None or not stage.step.load or stage.phase == WAITING:
                continue
            try:
                self._check()
                now = live.recorder.elapsed_s
                if now - looked >= _LOOK_EVERY_S or self.forecast.looked_s < stage.begun_s:
                    looked = now
                    self._look(stage)
            except Exception as error:
                self.forecast = Forecast(why_not=str(error))

    def _look(self, stage: Stage) -> None:
        live = self._live
        so_far = live.seen_now().so_far
        if so_far is None:
            return
        found = forecast(so_far, self._trace, live.study.tolerance_k, self._step_began(stage), self.usual_s)
        seen = live.seen_now()
        times, roles = seen.so_far, seen.so_far_by_role
        if times is not None:
            found = replace(found, disturbed=disturbance(times.times, roles, self._step_began(stage)))
        if live.leader.stage is not None and live.leader.stage.number == stage.number:
            self.forecast = found

    def _step_began(self, stage: Stage) -> float:
        """When the step on began (not its phase)."""
        key = (stage.number, stage.attempt)
        if self._step is None or self._step[0] != key:
            self._step = (key, stage.begun_s)
        return self._step[1]

    def _check(self) -> None:
        live, begin = self._live, self._live.began_load_s
        if begin is None or self._others is None:
            return
        since = live.recorder.elapsed_s - begin
        if since < _FROM_S or (self.looks_bad is not None):
            return
        so_far = live.seen_now().so_far
        if so_far is None:
            return
        left = run_s(live.steps, self.usual_s) / 60 - live.recorder.elapsed_s / 60
        found = check_mount(live.study, live.candidate, so_far, begin, self._others, max(left, 0.0))
        if found is not None and (self.check is None or since >= _CHECK_AT_S):
            self.check = found

    def _usual(self) -> float | None:
        """How long the study's other runs took to settle."""
        took = []
        for candidate in self._live.study.live_candidates:
            for mount in candidate.live_mounts:
                for run in mount.live_runs:
                    found = run_result(self._live.notebook, self._live.study, run).traces.get(self._trace)
                    if found is not None and found.settled_at_s is not None and found.load.start_s is not None:
                        took.append(found.settled_at_s - found.load.start_s)
        return float(np.median(took)) if took else None
