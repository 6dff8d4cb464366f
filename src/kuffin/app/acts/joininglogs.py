"""Joining a further log to a run: read off the window's thread, shown over the run, joined when the person says so."""

from __future__ import annotations

from collections.abc import Callable
from pathlib import Path
from typing import TYPE_CHECKING

from PySide6.QtCore import QObject
from PySide6.QtWidgets import QFileDialog, QWidget

from kuffin.app.base.jobs import Task
from kuffin.app.base.settings import documents
from kuffin.app.dialogs.askingreadings import asking_on
from kuffin.app.look.theme import Theme
from kuffin.app.state.windowstate import State
from kuffin.core.base.language import tr
from kuffin.logs.table import LogTable, ToldOfLog
from kuffin.notebook.entities import Run
from kuffin.notebook.joinedlogs import join_log
from kuffin.notebook.samples import RunData, read_run

if TYPE_CHECKING:
    from kuffin.reading.loglag import Proposal


class Joiner(QObject):
    """Leads from a file to a joined log."""

    def __init__(self, state: State, window: QWidget, theme: Callable[[], Theme]) -> None:
        super().__init__(window)
        self._state, self._window, self._theme = state, window, theme
        self.dialog: object = None

    def ask(self, run_id: int) -> None:
        """Ask for the file."""
        path, _ = QFileDialog.getOpenFileName(self._window, tr("Join a log to this run"), str(documents()))
        if path:
            self.join(run_id, path)

    def join(self, run_id: int, path: str) -> None:
        """Read a log, find how it lies beside the run, and show both."""
        run = next((r for m in self._state.mounts() for r in m.live_runs if r.id == run_id), None)
        notebook = self._state.notebook
        if run is None or notebook is None:
            return

        def work(job: Task, told: ToldOfLog) -> tuple[RunData, LogTable, Proposal]:
            from kuffin.logs.framelog import read_further_log  # heavy, so only when it is needed
            from kuffin.reading.loglag import propose

            table = read_further_log(path, job.report, told)
            data = read_run(notebook, run_id)
            return data, table, propose(data, run.started_at, table, {})

        def done(found: object) -> None:
            self._show(run, *found)  # type: ignore[misc]

        asking_on(self._window, self._state, tr("reading {name}", name=Path(path).name), work, done)

    def _show(self, run: Run, data: RunData, table: LogTable, found: Proposal) -> None:
        from kuffin.app.dialogs.joinlog import JoinLog

        dialog = JoinLog(data, run.started_at, table, found, self._theme(), self._window)
        self.dialog = dialog

        def take() -> None:
            if self._state.notebook is not None:
                roles, lag = dialog.roles(), dialog.lag.value()
                self._state.attempt(join_log, self._state.notebook, run.id, table, roles, lag)

        dialog.accepted.connect(take)
        dialog.setModal(True)
        dialog.show()
