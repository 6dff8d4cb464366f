"""Following a working's links: to a candidate, a pair, a reading, its samples, or a run."""

from __future__ import annotations

from PySide6.QtCore import QObject, Signal

from kuffin.app.base.jobs import Task
from kuffin.app.state.windowstate import State
from kuffin.core.base.language import tr
from kuffin.core.base.leads import Lead, ToCandidate, ToMount, ToPair, ToReading, ToSamples, Where
from kuffin.notebook.shelf import bench_of
from kuffin.said.shownworking import Working
from kuffin.said.working import candidate_working, mount_working, pair_working
from kuffin.verdict.chosenoutcomes import outcome_named
from kuffin.verdict.grid import cell_of
from kuffin.verdict.outcomes import OutcomeResult


class Follower(QObject):
    """Turns links into workings; what needs a run's samples is read off the window's thread."""

    working = Signal(object)
    mount_wanted = Signal(int)

    def __init__(self, state: State) -> None:
        super().__init__()
        self._state = state

    def follow(self, to: Lead) -> None:
        """Go where a number leads."""
        if isinstance(to, ToMount):
            self.mount_wanted.emit(to.mount)
            return
        found = self._working(to)
        if found is not None:
            self.working.emit(found)

    def _working(self, to: Lead) -> Working | None:
        verdict = self._state.verdict
        if verdict is None:
            return None
        match to:
            case ToCandidate(name=name, where=where):
                return candidate_working(verdict, self._under(where), name, where)
            case ToPair(a=a, b=b, where=where):
                return pair_working(verdict, self._under(where), a, b, where)
            case ToReading(mount=mount, where=where):
                under = self._under(where)
                reading = next((r for r in under.readings if r.mount_id == mount), None)
                return None if reading is None else mount_working(verdict, reading, under.outcome, where.condition)
            case ToSamples(run=run, where=where):
                self._samples(run, where)
        return None

    def _under(self, where: Where) -> OutcomeResult:
        """The study under a school, or a cell of its grid."""
        verdict = self._state.verdict
        assert verdict is not None
        if where.in_grid:
            return cell_of(verdict, where)
        if not where.school or where.school == verdict.outcome.key:
            return verdict.main
        return verdict.schools.get(where.school) or verdict.by(where.school)

    def _samples(self, run_id: int, where: Where) -> None:
        verdict, study, notebook = self._state.verdict, self._state.study, self._state.notebook
        run = next((r for m in self._state.mounts() for r in m.read_runs if r.id == run_id), None)
        if verdict is None or study is None or notebook is None or run is None or run_id not in verdict.results:
            return
        result = verdict.results[run_id].at(where.condition)
        outcome = (outcome_named(verdict.evidence, where.school) if where.school else None) or verdict.outcome
        if result is None:
            return
        bench = bench_of(notebook, study.bench_id)

        def work(_job: Task) -> Working:
            from kuffin.said.sampleworking import samples_working  # only when it is needed

            return samples_working(notebook, study, run, result, outcome, bench)

        self._state.jobs.start(tr("reading the samples"), work, self.working.emit, self._state.trouble.emit)
