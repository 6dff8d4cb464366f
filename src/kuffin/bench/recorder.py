"""The recorder: reads every instrument at its own rate, in threads of their own, and hands on rows about once a second."""

from __future__ import annotations

import threading
import time
from collections.abc import Callable, Sequence
from dataclasses import dataclass, field

import numpy as np
from numpy.typing import NDArray

from kuffin.bench.instrument import Instrument
from kuffin.core.errors import BenchError, KuffinError

Array = NDArray[np.float64]
Sink = Callable[[Array], None]


@dataclass
class _Latest:
    """The last reading of an instrument, and what it complains of."""

    values: Sequence[float]
    fresh: bool = False
    trouble: str = ""
    lock: threading.Lock = field(default_factory=threading.Lock)


class Recorder:
    """Records instruments until it is stopped.

    A slow or dead instrument never holds up the others: what it has not told since the row before is missing.

    Parameters
    ----------
    instruments : sequence of Instrument
    sink : callable
        Gets blocks of shape (rows, 1 + channels), seconds from the start in the first column, about once a second of the
        clock, from the recorder's thread. Where it fails, the block is kept and offered again.
    interval_s : float
        The distance of rows, in seconds of the bench.
    speed : float
        How many seconds pass on the bench in one of the clock's; 1 but for the simulated bench.
    clock : callable
        Seconds, steady: a changed system time does not touch it.
    """

    KEEP_S = 1.0

    def __init__(
        self,
        instruments: Sequence[Instrument],
        sink: Sink,
        interval_s: float = 1.0,
        speed: float = 1.0,
        clock: Callable[[], float] = time.monotonic,
    ) -> None:
        if not 0.05 <= interval_s <= 5.0:
            raise BenchError("rows are recorded every 0.05 to 5 s")
        self._instruments, self._sink, self._clock = instruments, sink, clock
        self._every, self._speed = interval_s / speed, speed
        self._latest = [_Latest([float("nan")] * len(i.channels)) for i in instruments]
        self._rows: list[list[float]] = []
        self._stop = threading.Event()
        self._began = 0.0
        self._threads: list[threading.Thread] = []
        self.rows = 0
        self.trouble = ""
        self.last: list[float] = []

    @property
    def elapsed_s(self) -> float:
        """Seconds of the bench since the start."""
        return (self._clock() - self._began) * self._speed if self._threads else 0.0

    def troubles(self) -> list[str]:
        """What the instruments and the sink complain of now."""
        found = [f"{i.name}: {s.trouble}" for i, s in zip(self._instruments, self._latest, strict=True) if s.trouble]
        return found + ([self.trouble] if self.trouble else [])

    def start(self) -> None:
        """Begin."""
        self._began = self._clock()
        pollers = [(self._poll, (i, s)) for i, s in zip(self._instruments, self._latest, strict=True)]
        for target, args in [*pollers, (self._tick, ())]:
            thread = threading.Thread(target=target, args=args, daemon=True, name="recorder")
            self._threads.append(thread)
            thread.start()

    def stop(self) -> None:
        """End in order: the last rows are handed on, the instruments let go."""
        self._stop.set()
        self._threads[-1].join(10)
        self._hand_on()
        for thread, instrument in zip(self._threads, self._instruments, strict=False):
            thread.join(0.5)
            instrument.close()

    def _poll(self, instrument: Instrument, latest: _Latest) -> None:
        every = instrument.interval_s / self._speed
        due = self._clock()
        while not self._stop.is_set():
            try:
                values, trouble = instrument.read(), ""
            except Exception as error:  # a driver's fault must not end the run
                values, trouble = None, str(error) or type(error).__name__
            with latest.lock:
                latest.trouble = trouble
                if values is not None:
                    latest.values, latest.fresh = values, True
            due = max(due + every, self._clock() - every)
            self._stop.wait(max(0.0, due - self._clock()))

    def _tick(self) -> None:
        due, kept = self._began, self._began
        while not self._stop.wait(max(0.0, due - self._clock())):
            self.last = [self.elapsed_s, *self._row()]
            self._rows.append(self.last)
            now = self._clock()
            due += self._every
            if due < now - self._every:  # suspended, or held up: no rows are made up for the gap
                due = now
            if now - kept >= self.KEEP_S:
                kept = now
                self._hand_on()

    def _row(self) -> list[float]:
        row: list[float] = []
        for latest in self._latest:
            with latest.lock:
                row += list(latest.values) if latest.fresh else [float("nan")] * len(latest.values)
                latest.fresh = False
        return row

    def _hand_on(self) -> None:
        if not self._rows:
            return
        block = np.array(self._rows, dtype=np.float64)
        try:
            self._sink(block)
        except KuffinError as error:
            self.trouble = str(error)
            return
        self.trouble = ""
        self.rows += block.shape[0]
        del self._rows[: block.shape[0]]
