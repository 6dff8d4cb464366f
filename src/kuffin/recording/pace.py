"""The clock that a run goes by, and how its threads wait on it: one object, so that another can be handed in."""

from __future__ import annotations

import threading
from collections.abc import Callable

from kuffin.instruments.steadyclock import steady

_LOOK_S = 0.002


class Pace:
    """The computer's own clock: a changed system time does not touch it, and it goes on while the computer is suspended.

    Attributes
    ----------
    catch_up_s : float
        What is late by less is caught up with; more is a gap.
    """

    catch_up_s = 1.0

    def now(self) -> float:
        """Seconds."""
        return steady()

    def wait(self, event: threading.Event, seconds: float) -> bool:
        """Wait so long, or until an event is set; whether it is."""
        return event.wait(seconds)

    def by_wall(self, event: threading.Event, seconds: float) -> bool:
        """The same by the wall, whatever the speed."""
        return event.wait(seconds)

    def wait_for(self, condition: threading.Condition, true: Callable[[], bool], seconds: float) -> bool:
        """Wait until something is true, for so long at most, holding a condition that tells of changes; whether it is."""
        return condition.wait_for(true, seconds)

    def looked(self, who: str) -> None:
        """Somebody who follows the run has seen it up to now; a clock of the real world does not wait for that."""

    def left(self, who: str) -> None:
        """Somebody follows the run no longer."""


class FollowedPace(Pace):
    """The clock of a bench that runs faster than life: it stands still where somebody who follows it cannot keep up.

    A made-up hour that rushes past a busy computer would show nothing of what it is there to show.

    Parameters
    ----------
    ahead_s : float
        How far it may run ahead of those who follow, in seconds of the clock.
    """

    def __init__(self, ahead_s: float, clock: Callable[[], float] = steady) -> None:
        self._ahead, self._clock = ahead_s, clock
        self.catch_up_s = max(self.catch_up_s, 2 * ahead_s)
        self._lock = threading.Lock()
        self._seen: dict[str, float] = {}
        self._told = self._time = clock()

    def now(self) -> float:
        with self._lock:
            told = self._clock()
            wanted = self._time + max(told - self._told, 0.0)
            bound = min(self._seen.values(), default=wanted) + self._ahead
            self._time, self._told = max(self._time, min(wanted, bound)), told
            return self._time

    def looked(self, who: str) -> None:
        now = self.now()
        with self._lock:
            self._seen[who] = now

    def left(self, who: str) -> None:
        self.now()
        with self._lock:
            self._seen.pop(who, None)

    def wait(self, event: threading.Event, seconds: float) -> bool:
        return self._until(seconds, event.wait)

    def wait_for(self, condition: threading.Condition, true: Callable[[], bool], seconds: float) -> bool:
        return self._until(seconds, lambda s: condition.wait_for(true, s))

    def _until(self, seconds: float, wait: Callable[[float], bool]) -> bool:
        end = self.now() + seconds
        while (rest := end - self.now()) > 0:
            if wait(max(rest, _LOOK_S)):  # it may stand still
                return True
        return wait(0.0)
