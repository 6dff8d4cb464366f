"""Long work off the window's thread, with progress and cancel.

Qt objects live and die in the window's thread: a worker holds a plain `Task` only, and speaks through one signal of
`Jobs`, which outlives every worker. That Python's cycle collector keeps to this rule is the work of `collecting`.
"""

from __future__ import annotations

import time
import traceback
from collections.abc import Callable
from concurrent.futures import ThreadPoolExecutor, wait
from typing import Any

from PySide6.QtCore import QObject, Qt, Signal

from kuffin.core.base.errors import KuffinError
from kuffin.core.base.language import tr

_TELL_EVERY_S = 0.05


class Cancelled(Exception):
    """The person stopped the work."""


class Task:
    """What the work sees of its job: how to say how far it is, and whether to go on."""

    def __init__(self, number: int, label: str, work: Callable[[Task], Any], tell: Callable[[int, str, Any], None]):
        self.number = number
        self.label = label
        self.work: Callable[[Task], Any] | None = work
        self.cancelled = False
        self._tell = tell
        self._told_at = 0.0

    def report(self, share: float) -> None:
        """Say how far it is; raises where the person has stopped it."""
        if self.cancelled:
            raise Cancelled
        now = time.monotonic()
        if now - self._told_at > _TELL_EVERY_S:  # what is told more often only keeps the window busy
            self._told_at = now
            self._tell(self.number, "progressed", share)

    def show(self, value: Any) -> None:
        """Hand a part of the result over while the rest is still being worked out."""
        if self.cancelled:
            raise Cancelled
        self._tell(self.number, "shown", value)

    def run(self) -> None:
        """Do the work (in a worker thread)."""
        work = self.work
        try:
            if work is not None and not self.cancelled:
                self._tell(self.number, "done", work(self))
        except Cancelled:
            pass
        except KuffinError as error:
            self._tell(self.number, "failed", str(error))
        except Exception as error:  # our own fault: say so plainly, keep the window alive
            traceback.print_exc()
            sentence = tr(
                "{label} failed by a fault of Kuffin's own ({name}: {error})",
                label=self.label,
                name=type(error).__name__,
                error=error,
            )
            self._tell(self.number, "failed", sentence)
        finally:
            del work  # what the work holds on to is let go in the window's thread
            self._tell(self.number, "ended", None)


class Job(QObject):
    """One piece of work, as the window sees it. `progressed` gives the share done, `shown` a part of the result."""

    progressed = Signal(float)
    shown = Signal(object)
    ended = Signal()

    def __init__(
        self, task: Task, done: Callable[[Any], object], failed: Callable[[str], None] | None, parent: QObject
    ):
        super().__init__(parent)
        self.label = task.label
        self.task = task
        self.done = done
        self.failed = failed

    def cancel(self) -> None:
        """Stop at the next step."""
        self.task.cancelled = True


class Jobs(QObject):
    """The jobs that run now."""

    changed = Signal()
    _told = Signal(int, str, object)

    def __init__(self, parent: QObject | None = None) -> None:
        super().__init__(parent)
        self._pool = ThreadPoolExecutor(2, thread_name_prefix="kuffin")
        self._futures: dict[int, Any] = {}
        self._count = 0
        self.running: list[Job] = []
        self._told.connect(self._hear, Qt.ConnectionType.QueuedConnection)

    def start(
        self,
        label: str,
        work: Callable[[Task], Any],
        done: Callable[[Any], object],
        failed: Callable[[str], None] | None = None,
    ) -> Job:
        """Start a job; `done` and `failed` are called in the window's thread."""
        self._count += 1
        task = Task(self._count, label, work, self._told.emit)
        job = Job(task, done, failed, self)
        self.running.append(job)
        self._futures[task.number] = self._pool.submit(task.run)
        self.changed.emit()
        return job

    def _hear(self, number: int, what: str, value: Any) -> None:
        job = next((j for j in self.running if j.task.number == number), None)
        if job is None or (
            job.task.cancelled and what != "ended"
        ):  # what was on its way when it was stopped is not asked for any more
            return
        if what == "progressed":
            job.progressed.emit(value)
        elif what == "shown":
            job.shown.emit(value)
        elif what == "done":
            job.done(value)
        elif what == "failed" and job.failed is not None:
            job.failed(value)
        elif what == "ended":
            self._futures.pop(number, None)
            self.running.remove(job)
            job.task.work = None
            job.ended.emit()
            job.deleteLater()
            self.changed.emit()

    def stop_all(self) -> None:
        """Cancel everything and wait for it."""
        for job in self.running:
            job.cancel()
        wait(list(self._futures.values()), timeout=10)
