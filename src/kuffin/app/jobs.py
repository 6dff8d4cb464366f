"""Long work off the window's thread, with progress and cancel."""

from __future__ import annotations

import traceback
from collections.abc import Callable
from typing import Any

from PySide6.QtCore import QObject, QRunnable, QThreadPool, Signal

from kuffin.core.errors import KuffinError


class Cancelled(Exception):
    """The person stopped the work."""


class Job(QObject):
    """One piece of work. `done` gives its result, `failed` a sentence, `progressed` the share done."""

    done = Signal(object)
    failed = Signal(str)
    progressed = Signal(float)
    ended = Signal()

    def __init__(self, label: str, work: Callable[[Job], Any]) -> None:
        super().__init__()
        self.label = label
        self._work = work
        self._cancelled = False

    def cancel(self) -> None:
        """Stop at the next step."""
        self._cancelled = True

    def report(self, share: float) -> None:
        """Say how far it is; raises where the person has stopped it."""
        if self._cancelled:
            raise Cancelled
        self.progressed.emit(share)

    def run(self) -> None:
        """Do the work (in a worker thread)."""
        try:
            self.done.emit(self._work(self))
        except Cancelled:
            pass
        except KuffinError as error:
            self.failed.emit(str(error))
        except Exception as error:  # our own fault: say so plainly, keep the window alive
            traceback.print_exc()
            self.failed.emit(f"{self.label} failed by a fault of Kuffin's own ({type(error).__name__}: {error})")
        finally:
            self.ended.emit()


class _Runner(QRunnable):
    def __init__(self, job: Job) -> None:
        super().__init__()
        self._job = job

    def run(self) -> None:
        self._job.run()


class Jobs(QObject):
    """The jobs that run now."""

    changed = Signal()

    def __init__(self, parent: QObject | None = None) -> None:
        super().__init__(parent)
        self._pool = QThreadPool(self)
        self._pool.setMaxThreadCount(2)
        self.running: list[Job] = []

    def start(
        self,
        label: str,
        work: Callable[[Job], Any],
        done: Callable[[Any], None],
        failed: Callable[[str], None] | None = None,
    ) -> Job:
        """Start a job; `done` and `failed` are called in the window's thread."""
        job = Job(label, work)
        job.setParent(self)
        job.done.connect(done)
        if failed is not None:
            job.failed.connect(failed)
        job.ended.connect(lambda: self._ended(job))
        self.running.append(job)
        self.changed.emit()
        self._pool.start(_Runner(job))
        return job

    def _ended(self, job: Job) -> None:
        if job in self.running:
            self.running.remove(job)
        job.deleteLater()
        self.changed.emit()

    def stop_all(self) -> None:
        """Cancel everything and wait for it."""
        for job in list(self.running):
            job.cancel()
        self._pool.waitForDone(10_000)
