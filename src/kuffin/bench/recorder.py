"""The recorder: reads every instrument at its own rate, in threads of their own, and hands on rows about once a second."""

from __future__ import annotations

import threading
import time
from collections.abc import Callable, Sequence
from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from kuffin.bench.instrument import Instrument
from kuffin.core.errors import BenchError

Array = NDArray[np.float64]
Sink = Callable[[Array], None]
_GAP_S = 3.0
_CATCH_UP_S = 1.0  # what is late by less is caught up with


def steady() -> float:
    """Seconds that a changed system time does not touch, and that pass while the computer is suspended."""
    return time.clock_gettime(time.CLOCK_BOOTTIME)


@dataclass
class _Latest:
    """The last reading of an instrument, and what it complains of."""

    values: Sequence[float]
    fresh: bool = False
    trouble: str = ""
    expected: bool = False  # it told something for the row before, so it is likely to for this one


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
        Seconds, steady: a changed system time does not touch it, and it goes on while the computer is suspended.
    seen : callable, optional
        Gets every row as it is made, from the recorder's thread.
    from_s : float
        The bench's time of the first row: above 0 where a run that was cut off goes on.
    """

    KEEP_S = 1.0

    def __init__(
        self,
        instruments: Sequence[Instrument],
        sink: Sink,
        interval_s: float = 1.0,
        speed: float = 1.0,
        clock: Callable[[], float] = steady,
        seen: Callable[[list[float]], None] | None = None,
        from_s: float = 0.0,
    ) -> None:
        if not 0.05 <= interval_s <= 5.0:
            raise BenchError("rows are recorded every 0.05 to 5 s")
        self._instruments, self._sink, self._clock = instruments, sink, clock
        self._every, self._speed = interval_s / speed, speed
        self._latest = [_Latest([float("nan")] * len(i.channels)) for i in instruments]
        self._seen, self._from_s = seen, from_s
        self._rows: list[list[float]] = []
        self._stop = threading.Event()
        self._told = threading.Condition()
        self._began = 0.0
        self._threads: list[threading.Thread] = []
        self.rows = 0
        self.trouble = ""
        self.last: list[float] = []
        self.gaps: list[tuple[float, float]] = []

    @property
    def elapsed_s(self) -> float:
        """Seconds of the bench since the run's start."""
        return self._from_s + ((self._clock() - self._began) * self._speed if self._threads else 0.0)

    def troubles(self) -> list[str]:
        """What the instruments and the sink complain of now."""
        found = []
        for instrument, latest in zip(self._instruments, self._latest, strict=True):
            if trouble := latest.trouble or instrument.complaint():
                found.append(f"{instrument.name}: {trouble}")
        return found + ([self.trouble] if self.trouble else [])

    def start(self) -> None:
        """Begin."""
        self._began = self._clock()
        pollers = [(self._poll, (i, s)) for i, s in zip(self._instruments, self._latest, strict=True)]
        for target, args in [*pollers, (self._tick, ())]:
            thread = threading.Thread(target=target, args=args, daemon=True, name="recorder")
            self._threads.append(thread)
            thread.start()

    @property
    def waiting(self) -> int:
        """Rows that could not be handed on yet."""
        return len(self._rows)

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
        due = self._began - min(every, self._every) / 2  # half-way between rows, so that no reading falls on their edge
        while not self._stop.is_set():
            try:
                values, trouble = instrument.read(), ""
            except Exception as error:  # a driver's fault must not end the run
                values, trouble = None, str(error) or type(error).__name__
            with self._told:
                if latest.fresh and every > 0.99 * self._every:
                    # one reading for each row: where both are late, none takes the place of another
                    self._told.wait_for(lambda: not latest.fresh, max(1.5 * self._every, 0.5))
                latest.trouble = trouble
                if values is not None:
                    latest.values, latest.fresh = values, True
                    self._told.notify_all()
            due += every
            if due < self._clock() - _CATCH_UP_S:
                due = self._clock()
            self._stop.wait(max(0.0, due - self._clock()))

    def _tick(self) -> None:
        due, kept = self._began + self._every / 2, self._began
        while not self._stop.wait(max(0.0, due - self._clock())):
            values = self._row()
            row = [self.elapsed_s, *values]
            if self.last and self._clock() - due > _GAP_S:
                self.gaps.append((self.last[0], row[0]))
            self.last = row
            self._rows.append(row)
            if self._seen is not None:
                self._seen(row)
            now = self._clock()
            due += self._every
            if due < now - _CATCH_UP_S:  # suspended, or held up for long: no rows are made up for the gap
                due = now
            if now - kept >= self.KEEP_S:
                kept = now
                self._hand_on()

    def _row(self) -> list[float]:
        """What was told since the row before. A reading that is a little late is waited for, up to half a row."""
        row: list[float] = []
        with self._told:
            self._told.wait_for(lambda: all(x.fresh for x in self._latest if x.expected), self._every / 2)
            for latest in self._latest:
                row += list(latest.values) if latest.fresh else [float("nan")] * len(latest.values)
                latest.expected, latest.fresh = latest.fresh, False
            self._told.notify_all()
        return row

    def _hand_on(self) -> None:
        if not self._rows:
            return
        block = np.array(self._rows, dtype=np.float64)
        try:
            self._sink(block)
        except Exception as error:  # whatever it is, recording goes on and nothing is thrown away
            self.trouble = str(error) or type(error).__name__
            return
        self.trouble = ""
        self.rows += block.shape[0]
        del self._rows[: block.shape[0]]
