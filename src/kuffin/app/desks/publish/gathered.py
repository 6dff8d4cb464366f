"""What the pages of the Publish desk share: the study's material, gathered once for each verdict, off the window's thread."""

from __future__ import annotations

from typing import TYPE_CHECKING

from PySide6.QtCore import QObject, Signal

from kuffin.app.base.jobs import Job, Task
from kuffin.app.state.windowstate import State
from kuffin.core.base.language import in_english, speaks_another_language, tr
from kuffin.verdict.study import StudyVerdict, judge

if TYPE_CHECKING:
    from kuffin.publish.page.material import Material


class Gathered(QObject):
    """The material of the verdict in use. `changed` tells when it is there, or why there is none (`problem`)."""

    changed = Signal()

    def __init__(self, state: State) -> None:
        super().__init__()
        self._state = state
        self.material: Material | None = None
        self.problem = ""
        self._of: StudyVerdict | None = None
        self._job: Job | None = None

    def want(self) -> None:
        """Gather it, where that was not done for the verdict in use."""
        verdict, notebook = self._state.verdict, self._state.notebook
        if verdict is self._of and (
            verdict is None or self._job is not None or self.material is not None or self.problem
        ):
            return
        if self._job is not None:
            self._job.cancel()
        self._of, self.material, self.problem, self._job = verdict, None, "", None
        if verdict is None or notebook is None:
            self.changed.emit()
            return

        @in_english()  # what goes out is English, whatever the window speaks
        def work(job: Task) -> Material:
            from kuffin.publish.page.material import gather  # brings the drawing library, off the window's start

            told = judge(notebook, verdict.evidence.study) if speaks_another_language() else verdict
            return gather(notebook, told, job.report)

        def done(material: Material) -> None:
            if verdict is self._of:
                self.material, self._job = material, None
                self.changed.emit()

        def failed(sentence: str) -> None:
            if verdict is self._of:
                self.problem, self._job = sentence, None
                self.changed.emit()

        self._job = self._state.jobs.start(tr("gathering what is published"), work, done, failed)
