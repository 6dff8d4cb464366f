"""The clock that a recorder goes by, and how its threads wait on it: one object, so that a test can hand in another."""

from __future__ import annotations

import threading
from collections.abc import Callable

from kuffin.instruments.steadyclock import steady


class Pace:
    """The computer's own clock: a changed system time does not touch it, and it goes on while the computer is suspended."""

    def now(self) -> float:
        """Seconds."""
        return steady()

    def wait(self, event: threading.Event, seconds: float) -> bool:
        """Wait so long, or until an event is set; whether it is."""
        return event.wait(seconds)

    def wait_for(self, condition: threading.Condition, true: Callable[[], bool], seconds: float) -> bool:
        """Wait until something is true, for so long at most, holding a condition that tells of changes; whether it is."""
        return condition.wait_for(true, seconds)
