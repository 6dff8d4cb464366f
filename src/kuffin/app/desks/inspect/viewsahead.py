"""Runs as they are drawn: kept for a while, and those of the mounts beside the one that is looked at read ahead."""

from __future__ import annotations

from collections import OrderedDict
from collections.abc import Callable, Hashable, Sequence
from dataclasses import dataclass
from typing import TYPE_CHECKING

from PySide6.QtCore import QObject, QTimer

from kuffin.app.base.jobs import Job, Task
from kuffin.app.state.windowstate import State
from kuffin.core.base.language import tr
from kuffin.notebook.entities import Mount, Run, Study
from kuffin.notebook.store import Notebook
from kuffin.reading.runresult import RunResult

if TYPE_CHECKING:
    from kuffin.reading.judgingrules import JudgingRules
    from kuffin.reading.traceview import TraceView

_MOST_SAMPLES = 4_000_000  # that are kept, of all views together
_STAYS_MS = 250  # so long one looks at a mount before those beside it are read


@dataclass(frozen=True, kw_only=True)
class WantedView:
    """What a run's view is made from; `key` tells what is seen in it."""

    notebook: Notebook
    study: Study
    run: Run
    trace: str
    window: tuple[float, float] | None
    result: RunResult | None
    ways: JudgingRules | None
    key: Hashable

    def read(self) -> TraceView:
        """Read the samples and judge them: takes a moment."""
        from kuffin.reading.traceview import axis_label, view_of

        label = axis_label(self.trace)
        return view_of(self.notebook, self.study, self.run, self.trace, label, self.window, self.result, self.ways)


def wanted_view(state: State, mount: Mount, run: Run, trace: str, window: tuple[float, float] | None) -> WantedView:
    """What a run's traces are drawn from, as the study that is open judges it."""
    notebook, study, result, joined = state.notebook, state.study, state.result(run.id), mount.joined_to(run.id)
    assert notebook is not None and study is not None
    roles = tuple((c.name, c.role) for r in (run, *joined) for c in r.channels)
    lags = tuple(r.lag_s for r in joined)
    stretch = None if result is None else result.stretch_s
    told = str(notebook.path), run.id, trace, study.tolerance_k, study.reference_power_w, len(run.marks)
    key = (*told, roles, lags, window, stretch)
    ways = None if state.verdict is None or result is None else state.verdict.evidence.ways
    return WantedView(
        notebook=notebook, study=study, run=run, trace=trace, window=window, result=result, ways=ways, key=key
    )


class ViewsAhead(QObject):
    """Views that were read, the latest last; the oldest go when there are too many samples."""

    def __init__(self, state: State, parent: QObject) -> None:
        super().__init__(parent)
        self._state = state
        self._views: OrderedDict[Hashable, tuple[TraceView, RunResult | None]] = OrderedDict()
        self._beside: Sequence[WantedView] = ()
        self._job: Job | None = None
        self._soon = QTimer(self, singleShot=True, interval=_STAYS_MS)
        self._soon.timeout.connect(self._read)
        state.notebook_changed.connect(self.forget)

    def view(self, wanted: WantedView) -> TraceView | None:
        """What was read already of the run as it is judged now."""
        found = self._views.get((wanted.key, id(wanted.result)))
        return None if found is None else found[0]

    def keep(self, wanted: WantedView, view: TraceView) -> None:
        """Keep what was read; with its result, whose identity it is known by."""
        key = wanted.key, id(wanted.result)
        self._views[key] = view, wanted.result
        self._views.move_to_end(key)
        while len(self._views) > 1 and sum(v.samples for v, _ in self._views.values()) > _MOST_SAMPLES:
            self._views.popitem(last=False)

    def read_beside(self, mount: Mount, wanted: Callable[[Mount, Run], WantedView]) -> None:
        """Read the mounts before and after one too, once that has been looked at for a moment."""
        self.stop()
        verdict, made = self._state.verdict, [m for m in self._state.mounts() if m.live_runs]
        at = next((i for i, m in enumerate(made) if m.id == mount.id), None)
        if at is None:
            return
        beside = (*made[at + 1 : at + 2], *made[max(at - 1, 0) : at])
        runs = [(m, m.run_under(None if verdict is None else verdict.condition)) for m in beside]
        self._beside = [w for m, r in runs if r is not None and self.view(w := wanted(m, r)) is None]
        if self._beside:
            self._soon.start()

    def forget(self) -> None:
        """Keep none of them any longer."""
        self.stop()
        self._views.clear()

    def stop(self) -> None:
        """Read nothing ahead."""
        self._soon.stop()
        if self._job is not None:
            self._job.cancel()
            self._job = None

    def _read(self) -> None:
        wanted = list(self._beside)

        def work(task: Task) -> None:
            for i, one in enumerate(wanted):
                task.show((one, one.read()))
                task.report((i + 1) / len(wanted))

        def done(_nothing: object) -> None:
            self._job = None

        self._job = self._state.jobs.start(tr("reading ahead"), work, done, lambda _why: None)
        self._job.shown.connect(lambda found: self.keep(*found))
