"""What the window is about: the open notebook, the study on the desk, its verdict, the mount looked at."""

from __future__ import annotations

import time
from collections.abc import Callable
from dataclasses import dataclass, field
from pathlib import Path

from PySide6.QtCore import QObject, Signal

from kuffin.app.base.jobs import Job, Jobs, Task
from kuffin.core.base.errors import KuffinError
from kuffin.core.base.language import in_english, speaks_another_language, tr
from kuffin.core.findings import Finding
from kuffin.notebook.entities import Mount, Run, Study
from kuffin.notebook.store import Notebook
from kuffin.reading.runresult import RunResult
from kuffin.said.line import verdict_line
from kuffin.verdict.outcomes import MountReading
from kuffin.verdict.study import StudyVerdict, judge

_PATIENCE_S = 0.6  # what is worked out sooner is shown at once, all of it


@dataclass
class SoFar:
    """What was found while a study is being judged: by mount, and the share of its runs that are done."""

    findings: dict[int, list[Finding]] = field(default_factory=dict)
    share: float = 0.0


class State(QObject):
    """The one place that knows what is open; desks and the loom listen to it.

    Judging runs off the window's thread; a newer edit makes an older judgement void.
    """

    notebook_changed = Signal()
    study_changed = Signal()  # another study, or its parts
    study_chosen = Signal()  # another one than before
    verdict_changed = Signal()
    mount_changed = Signal()  # the mount that is looked at
    so_far_changed = Signal()  # something was found while the study is still being judged
    trouble = Signal(str)
    said = Signal(str)  # what went well
    wrote = Signal(object, str, str)  # the folder, what was written into it, and what to do with it
    succeeded = Signal()  # an edit is made

    def __init__(self, jobs: Jobs) -> None:
        super().__init__(jobs)  # it goes with the window, and with it what listens to it
        self.jobs = jobs
        self.notebook: Notebook | None = None
        self.study: Study | None = None
        self.verdict: StudyVerdict | None = None
        self.mount_id: int | None = None
        self._run_id: int | None = None  # a test of the mount, where one was chosen
        self.untold = False  # practice: what was found is told after the person has said what it was
        self.so_far = SoFar()
        self.judging: Job | None = None
        self._generation = 0
        self._readings: dict[int, MountReading] = {}
        self._read_of: StudyVerdict | None = None

    # --- opening ---------------------------------------------------------------------------------------------------

    def open(self, notebook: Notebook) -> None:
        """Take over an open notebook (and close the one before)."""
        self.close()
        self.notebook = notebook
        notebook.listeners.append(self.refresh)
        self.notebook_changed.emit()
        self.choose_study(self._newest())

    def close(self) -> None:
        """Close the notebook."""
        self._generation += 1
        if self.judging is not None:
            self.judging.cancel()
        self.jobs.stop_all()
        if self.notebook is not None:
            self.notebook.close()
        self.notebook = self.study = self.verdict = self.mount_id = None
        self.untold = False

    # --- study and verdict -----------------------------------------------------------------------------------------

    def choose_study(self, study_id: int | None) -> None:
        """Put another study on the desk."""
        self.verdict = None
        self.mount_id = None
        self.study = None
        if self.notebook is not None and study_id is not None:
            self.study = self.notebook.study(study_id)
        self.study_chosen.emit()
        self.study_changed.emit()
        self.verdict_changed.emit()
        self.mount_changed.emit()
        self._judge()

    def _newest(self) -> int | None:
        """The study that was started last."""
        studies = self.notebook.studies() if self.notebook is not None else []
        return max(studies, key=lambda s: (s.created_at, s.id)).id if studies else None

    def refresh(self) -> None:
        """Read the study anew after an edit, and judge it again."""
        if self.notebook is None:
            return
        self.succeeded.emit()
        try:
            found = self.notebook.study(self.study.id) if self.study is not None else None
            if found is None or found.binned_at is not None:
                self.choose_study(self._newest())
                return
            self.study = found
        except KuffinError as error:
            self.trouble.emit(str(error))
            return
        if self.mount_id is not None and self.mount() is None:
            self.mount_id = None
            self.mount_changed.emit()
        self.study_changed.emit()
        self._judge()

    def _judge(self) -> None:
        if self.judging is not None:
            self.judging.cancel()
            self.judging = None
        notebook, study = self.notebook, self.study
        if notebook is None or study is None:
            return
        self._generation += 1
        generation = self._generation

        self.so_far = SoFar()
        begun = time.monotonic()

        def work(job: Task) -> StudyVerdict:
            def seen(run: Run, result: RunResult) -> None:
                if result.findings and time.monotonic() - begun > _PATIENCE_S:
                    job.show((run.mount_id, result.findings))

            verdict = judge(notebook, study, lambda done, total: job.report(done / total), seen)
            # what the window asks of it first, and keeps, is worked out here: the window does not wait for it
            verdict_line(verdict)
            _ = verdict.possible_outcomes
            return verdict

        def done(verdict: object) -> None:
            if generation == self._generation and isinstance(verdict, StudyVerdict):
                self.verdict = verdict
                self.verdict_changed.emit()

        def part(value: tuple[int, tuple[Finding, ...]]) -> None:
            if generation == self._generation:
                mount_id, found = value
                self.so_far.findings.setdefault(mount_id, []).extend(found)
                self.so_far_changed.emit()

        def ended() -> None:
            if generation == self._generation:
                self.judging = None
                self.so_far_changed.emit()

        def progressed(share: float) -> None:
            if generation == self._generation:
                self.so_far.share = share
                self.so_far_changed.emit()

        self.judging = self.jobs.start(tr("judging the study"), work, done, self.trouble.emit)
        self.judging.shown.connect(part)
        self.judging.progressed.connect(progressed)
        self.judging.ended.connect(ended)

    def judge_again(self) -> None:
        """Go on with judging after it was stopped; what was worked out already is kept."""
        if not self.busy:
            self._judge()

    @property
    def busy(self) -> bool:
        return self.judging is not None

    # --- the mount that is looked at -------------------------------------------------------------------------------

    def look_at(self, mount_id: int | None) -> None:
        """Look at a mount."""
        if mount_id != self.mount_id:
            self.mount_id, self._run_id = mount_id, None
            self.mount_changed.emit()

    def mount(self) -> Mount | None:
        """The mount that is looked at."""
        return next((m for m in self.mounts() if m.id == self.mount_id), None)

    def run(self) -> Run | None:
        """The run that is looked at: the chosen test of the mount, else that of the verdict's condition."""
        mount = self.mount()
        if mount is None:
            return None
        chosen = next((r for r in mount.read_runs if r.id == self._run_id), None)
        return chosen or mount.run_under(None if self.verdict is None else self.verdict.condition)

    def look_at_run(self, run_id: int | None) -> None:
        """Look at one of the mount's tests."""
        if run_id != self._run_id:
            self._run_id = run_id
            self.mount_changed.emit()

    def mounts(self) -> list[Mount]:
        """All mounts of the study that are not in the bin, candidate by candidate."""
        return [] if self.study is None else [m for c in self.study.live_candidates for m in c.live_mounts]

    def reading(self, mount_id: int) -> MountReading | None:
        """A mount's reading under the school in use."""
        if self.verdict is not self._read_of:
            self._read_of = self.verdict
            readings = () if self.verdict is None else self.verdict.main.readings
            self._readings = {r.mount_id: r for r in readings}
        return self._readings.get(mount_id)

    def result(self, run_id: int) -> RunResult | None:
        """A run's result, None while it is not judged."""
        return None if self.verdict is None else self.verdict.results.get(run_id)

    def position(self, candidate: str) -> int:
        """A candidate's place, which fixes its colour and shape."""
        names = [] if self.study is None else [c.name for c in self.study.live_candidates]
        return names.index(candidate) if candidate in names else 0

    def tell_all(self) -> None:
        """What was found in a practice run may be seen now."""
        self.untold = False
        self.verdict_changed.emit()

    def for_files(self) -> StudyVerdict | None:
        """The verdict as it goes into files: in English, whatever the window speaks."""
        if self.verdict is None or self.notebook is None or not speaks_another_language():
            return self.verdict
        with in_english():
            return judge(self.notebook, self.verdict.evidence.study)

    def write_out(self, path: Path, action: Callable[..., object], *args: object) -> None:
        """Write a file out and say where it is; what goes wrong is said, not thrown."""
        try:
            with in_english():
                action(*args)
        except KuffinError as error:
            self.trouble.emit(str(error))
        else:
            self.wrote.emit(path.parent, path.name, "")

    def attempt(self, action: object, *args: object, **kwargs: object) -> object:
        """Make an edit; what goes wrong is said, not thrown."""
        try:
            return action(*args, **kwargs)  # type: ignore[operator]
        except KuffinError as error:
            self.trouble.emit(str(error))
            return None
