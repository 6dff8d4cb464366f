"""A clock that jumps to the next moment at which anything happens: recordings of minutes pass at once, the same each time."""

from __future__ import annotations

import threading
from collections.abc import Callable

from kuffin.recording.pace import Pace


class JumpingClock(Pace):
    """Time stands still while any of the threads works; once all of them wait, it jumps to the first that has waited enough.

    Parameters
    ----------
    threads : int
        How many there are: the recorder's two (rows, keeping), one for each instrument, and the test's.
    """

    def __init__(self, threads: int) -> None:
        self._threads, self._time = threads, 0.0
        self._waiting: dict[int, float] = {}
        self._changed = threading.Condition()

    def now(self) -> float:
        return self._time

    def skip(self, seconds: float) -> None:
        """Pass over a time in which nobody worked, as a suspended computer does."""
        with self._changed:
            self._time += seconds

    def sleep(self, seconds: float) -> None:
        """Wait, for the test or for an instrument that takes its time."""
        self.wait(threading.Event(), seconds)

    def wait(self, event: threading.Event, seconds: float) -> bool:
        me = threading.get_ident()
        with self._changed:
            until = self._time + max(seconds, 0.0)
            self._waiting[me] = until
            try:
                while not event.is_set():
                    if self._time >= until:
                        return False
                    first = min(self._waiting.values())
                    if len(self._waiting) >= self._threads and first > self._time:
                        self._time = first
                        self._changed.notify_all()
                    else:  # whose time has come has its turn; and an event tells nobody that it was set
                        self._changed.wait(0.001)
                return True
            finally:
                del self._waiting[me]

    def by_wall(self, event: threading.Event, seconds: float) -> bool:
        return self.wait(event, seconds)

    def wait_for(self, condition: threading.Condition, true: Callable[[], bool], seconds: float) -> bool:
        end = self._time + seconds
        while not true():
            if self._time >= end:
                return False
            condition.release()
            try:
                self.sleep(min(0.002, end - self._time))
            finally:
                condition.acquire()
        return True
