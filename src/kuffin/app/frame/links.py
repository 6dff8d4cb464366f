"""Following a working's links: to a candidate, a pair, a reading, its samples, or a run."""

from __future__ import annotations

from PySide6.QtCore import QObject, Signal

from kuffin.app.base.jobs import Task
from kuffin.app.state.windowstate import State
from kuffin.notebook.shelf import bench_of
from kuffin.said.working import Link, Working, candidate_working, mount_working, pair_working


class Follower(QObject):
    """Turns links into workings; what needs a run's samples is read off the window's thread."""

    working = Signal(object)
    mount_wanted = Signal(int)

    def __init__(self, state: State) -> None:
        super().__init__()
        self._state = state

    def follow(self, link: Link) -> None:
        """Go where a link leads."""
        verdict = self._state.verdict
        if link.kind == "mount":
            self.mount_wanted.emit(int(link.key))
        elif verdict is None:
            return
        elif link.kind == "candidate":
            self.working.emit(candidate_working(verdict, verdict.main, link.key))
        elif link.kind == "pair":
            self.working.emit(pair_working(verdict, verdict.main, *link.key.split("\n")))
        elif link.kind == "reading":
            reading = self._state.reading(int(link.key))
            if reading is not None:
                self.working.emit(mount_working(verdict, reading))
        elif link.kind == "samples":
            run_id, school = link.key.split("\n")
            self._samples(int(run_id), school)

    def _samples(self, run_id: int, school_key: str) -> None:
        verdict, study, notebook = self._state.verdict, self._state.study, self._state.notebook
        run = next((r for m in self._state.mounts() for r in m.live_runs if r.id == run_id), None)
        if verdict is None or study is None or notebook is None or run is None or run_id not in verdict.results:
            return
        result, school = verdict.results[run_id], verdict.schools[school_key].school
        bench = bench_of(notebook, study.bench_id)

        def work(_job: Task) -> Working:
            from kuffin.said.sampleworking import samples_working  # only when it is needed

            return samples_working(notebook, study, run, result, school, bench)

        self._state.jobs.start("reading the samples", work, self.working.emit, self._state.trouble.emit)
