"""The notebook's other studies with their verdicts, read in the background; what was judged before is quick."""

from __future__ import annotations

from collections.abc import Callable
from functools import partial

from kuffin.app.base.jobs import Job, Task
from kuffin.app.state.windowstate import State
from kuffin.core.base.language import tr
from kuffin.verdict.across import Judged
from kuffin.verdict.study import judge


class OtherStudies:
    """Reads them for a page that asks; a newer question takes the place of an older one."""

    def __init__(self, state: State) -> None:
        self._state = state
        self._job: Job | None = None

    @property
    def reading(self) -> bool:
        """Whether they are being read."""
        return self._job is not None

    def forget(self) -> None:
        """Stop reading."""
        if self._job is not None:
            self._job.cancel()
            self._job = None

    def read(self, then: Callable[[list[Judged]], None]) -> None:
        """Judge all but the study that is open, and hand them on."""
        self.forget()
        notebook, study = self._state.notebook, self._state.study
        if notebook is None or study is None:
            return
        others = [s.id for s in notebook.studies() if s.id != study.id]

        def work(job: Task) -> list[Judged]:
            found = []
            for i, study_id in enumerate(others):
                other = notebook.study(study_id)
                begun = i / max(len(others), 1)
                found.append(Judged(other, judge(notebook, other, partial(_held_at, job, begun))))
            return found

        def done(found: list[Judged]) -> None:
            self._job = None
            then(found)

        self._job = self._state.jobs.start(tr("reading the other studies"), work, done, self._state.trouble.emit)


def _held_at(job: Task, share: float, _done: int, _all: int) -> None:
    """While one study is judged, what is shown as done stays."""
    job.report(share)
