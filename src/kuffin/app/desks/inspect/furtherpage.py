"""What the pages share that look into a run: they work it out off the window's thread, once for each run."""

from __future__ import annotations

from PySide6.QtCore import Signal
from PySide6.QtGui import QShowEvent
from PySide6.QtWidgets import QVBoxLayout, QWidget

from kuffin.app.base.guarded import guarded
from kuffin.app.base.jobs import Task
from kuffin.app.state.windowstate import State
from kuffin.app.widgets.texts import text
from kuffin.core.base.language import tr
from kuffin.notebook.entities import Bench, Mount, Run
from kuffin.notebook.shelf import bench_of
from kuffin.reading.furtherfigures import Inside, inside


@guarded
class InsidePage(QWidget):
    """A page that shows the chosen mount's run from the inside."""

    working = Signal(object)

    def __init__(self, state: State) -> None:
        super().__init__()
        self.state = state
        self.inside: Inside | None = None
        self._key: tuple[object, ...] = ()
        self.column = QVBoxLayout(self)
        self.column.setContentsMargins(0, 4, 12, 8)
        self.column.setSpacing(8)
        state.mount_changed.connect(self.renew)
        state.verdict_changed.connect(self.renew)

    def heading(self, said: str) -> None:
        """Add a heading."""
        self.column.addWidget(text(said, style="heading"))

    def mount(self) -> Mount | None:
        """The mount that is looked at, where it has a run."""
        mount = self.state.mount()
        return mount if mount is not None and mount.live_runs else None

    def run(self) -> Run | None:
        return self.state.run()

    def bench(self) -> Bench | None:
        """The study's bench."""
        study, notebook = self.state.study, self.state.notebook
        if study is None or notebook is None:
            return None
        return bench_of(notebook, study.bench_id)

    def showEvent(self, event: QShowEvent) -> None:
        super().showEvent(event)
        self.renew()

    def renew(self) -> None:
        """Show the chosen run as it is now."""
        run, study, notebook, verdict = self.run(), self.state.study, self.state.notebook, self.state.verdict
        if not self.isVisible() or run is None or study is None or notebook is None or verdict is None:
            return
        key = (id(verdict), run.id)
        if key == self._key:
            return
        self._key, self.inside = key, None
        self.show_run()

        def work(_job: Task) -> Inside:
            return inside(notebook, study, run)

        def done(found: object) -> None:
            if self._key == key and isinstance(found, Inside):
                self.inside = found
                self.show_run()

        self.state.jobs.start(tr("looking into the run"), work, done, self.state.trouble.emit)

    def show_run(self) -> None:
        """Show what is known; `inside` is None until it is worked out."""
        raise NotImplementedError
