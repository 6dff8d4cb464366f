"""Choosing another mount's run to lay over the one that is looked at."""

from __future__ import annotations

from typing import TYPE_CHECKING

from PySide6.QtCore import Signal
from PySide6.QtWidgets import QComboBox

from kuffin.app.base.jobs import Task
from kuffin.app.state.windowstate import State
from kuffin.core.base.language import tr
from kuffin.notebook.entities import Mount

if TYPE_CHECKING:
    from kuffin.reading.traceview import TraceView


class LayOver(QComboBox):
    """The study's other runs; the chosen one is read and given on for drawing, None where there is none."""

    read = Signal(object, str)  # a TraceView or None, and whose

    def __init__(self, state: State) -> None:
        super().__init__()
        self._state = state
        self._trace = ""
        self.mount_id: int | None = None
        self.setAccessibleName(tr("Another mount's run laid over"))
        self.activated.connect(lambda i: self.choose(self.itemData(i)))
        state.study_chosen.connect(self._forget)

    def _forget(self) -> None:
        self.mount_id = None

    def fill(self, mount: Mount, trace: str) -> None:
        """Offer the study's other runs beside a mount's."""
        self._trace = trace
        self.clear()
        self.addItem(tr("lay a run over …"), None)
        for other in self._state.mounts():
            if other.id != mount.id and other.live_runs:
                self.addItem(tr("{name}, round {round}", name=other.candidate.name, round=other.round), other.id)
        at = max(self.findData(self.mount_id), 0) if self.mount_id is not None else 0
        self.mount_id = self.itemData(at)
        self.setCurrentIndex(at)

    def choose(self, mount_id: int | None) -> None:
        """Read a mount's run, aligned and drawn by who listens."""
        self.mount_id = mount_id
        self.setCurrentIndex(max(self.findData(mount_id), 0) if mount_id is not None else 0)
        other = next((m for m in self._state.mounts() if m.id == mount_id and m.live_runs), None)
        study, notebook, trace = self._state.study, self._state.notebook, self._trace
        if other is None or study is None or notebook is None:
            self.read.emit(None, "")
            return

        beside = self._state.run()
        run = other.run_under(beside.condition if beside is not None else None)
        if run is None:
            return
        result = self._state.result(run.id)

        def work(_job: Task) -> TraceView:
            from kuffin.reading.traceview import view_of

            return view_of(notebook, study, run, trace, "", None, result)

        def done(found: object) -> None:
            if self.mount_id == other.id:
                self.read.emit(found, tr("{name}, round {round}", name=other.candidate.name, round=other.round))

        self._state.jobs.start(tr("drawing the other run"), work, done, self._state.trouble.emit)
