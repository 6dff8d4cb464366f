"""What watches a run's limits, in a thread of its own: it waits for nothing, and switches the load off before all else.

It hears every reading as it comes. Neither the window, nor the notebook, nor the disk is in its way; as long as it goes on
it gives the load's guard a sign of life, and where it does not, the guard ends the load.
"""

from __future__ import annotations

import threading
from collections import deque
from collections.abc import Callable, Sequence

from kuffin.core.base.saying import say
from kuffin.core.bench.limits import Alarm, Limits, Watch
from kuffin.recording.openbench import OpenBench

_LOOK_S = 0.25
_ASLEEP_S = 5.0  # a longer time between two looks is the computer's own: nobody could speak


class Lookout:
    """Watches limits from a run's start to its end.

    Parameters
    ----------
    loaded : callable
        Whether the load runs.
    now : callable
        Seconds of the bench since the run's start.
    passed : callable
        Called once, from the lookout's thread, with the alarm of the limit that was passed. It stops the load first.
    noticed : callable
        Called with each alarm that is new, from the same thread.
    """

    def __init__(
        self,
        bench: OpenBench,
        limits: Limits,
        loaded: Callable[[], bool],
        now: Callable[[], float],
        passed: Callable[[Alarm], None],
        noticed: Callable[[Alarm], None],
    ) -> None:
        self._bench, self._loaded, self._now = bench, loaded, now
        self._passed, self._noticed = passed, noticed
        self._watch = Watch(limits=limits, patience_s=bench.patience_s)
        self._roles = [(c.name, c.role) for c in bench.roles]
        self._values = [float("nan")] * len(self._roles)
        self._spoke: dict[str, float] = {}
        self._heard: deque[tuple[int, Sequence[float], float]] = deque()
        self._news = threading.Event()
        self._over = threading.Event()
        self._alarms: dict[str, Alarm] = {}
        self._warned: set[tuple[str, bool]] = set()
        self._thread = threading.Thread(target=self._run, daemon=True, name="lookout")

    @property
    def alarms(self) -> tuple[Alarm, ...]:
        """What is near its limit, past it or silent now; what was passed stays."""
        return tuple(self._alarms.values())

    def start(self) -> None:
        """Begin."""
        self._bench.pace.looked("lookout")
        self._thread.start()

    def end(self) -> None:
        """The run is over."""
        self._over.set()
        self._news.set()

    def hear(self, first: int, values: Sequence[float], at_s: float) -> None:
        """A reading has come, from any thread: the number of its first channel, its values, and when."""
        self._heard.append((first, values, at_s))
        self._news.set()

    def _run(self) -> None:
        try:
            self._go_on()
        except Exception as error:  # a limit that is watched no longer must not look like one that is
            self._passed(Alarm("lookout", True, say("the limits could not be watched any more: {error}", error=error)))
        finally:
            self._bench.pace.left("lookout")

    def _go_on(self) -> None:
        before = self._now()
        while not self._over.is_set():
            self._bench.pace.looked("lookout")
            self._bench.load.alive()
            self._news.wait(_LOOK_S)
            self._news.clear()
            now = self._now()
            if now - before > _ASLEEP_S * max(self._bench.speed, 1.0):
                self._watch.excuse(now)
            before = now
            while self._heard and not self._over.is_set():
                self._take(*self._heard.popleft())
            if not self._over.is_set():
                self._look(max(now, max(self._spoke.values(), default=0.0)))

    def _take(self, first: int, values: Sequence[float], at_s: float) -> None:
        for i, value in enumerate(values, first):
            if value == value:
                self._values[i] = value
                self._spoke[self._roles[i][0]] = at_s
        self._look(at_s)

    def _look(self, now_s: float) -> None:
        patience = self._watch.patience_s
        newest = [
            (name, role, value if now_s - self._spoke.get(name, now_s) <= patience.get(name, 0.0) else float("nan"))
            for (name, role), value in zip(self._roles, self._values, strict=True)
        ]
        alarms = self._watch.look(now_s, newest, self._loaded(), self._spoke)
        stopping = next((a for a in alarms if a.stop), None)
        still = {a.key: a for a in alarms}
        self._alarms = {**{k: a for k, a in self._alarms.items() if a.stop and k not in still}, **still}
        if stopping is not None:
            self._over.set()
            self._passed(stopping)
        for alarm in alarms:
            if (
                alarm.key,
                alarm.stop,
            ) not in self._warned:  # once each: a level that hovers must not cry again and again
                self._warned.add((alarm.key, alarm.stop))
                self._noticed(alarm)
