"""The recorder: reads every instrument at its own rate, in threads of their own, and hands on rows about once a second."""

from __future__ import annotations

import threading
from collections.abc import Callable, Sequence
from dataclasses import dataclass
from functools import partial

import numpy as np
from numpy.typing import NDArray

from kuffin.core.base.errors import BenchError
from kuffin.core.base.saying import say
from kuffin.instruments.instrument import LiveInstrument, RememberingInstrument
from kuffin.recording.pace import Pace

Array = NDArray[np.float64]
Sink = Callable[[Array], None]
_GAP_S = 3.0
_LEAST_S = 1e-6  # no two rows at one moment, even where the clock stands still


@dataclass
class _Latest:
    """The last reading of an instrument, and what it complains of."""

    values: Sequence[float]
    fresh: bool = False
    trouble: str = ""
    expected: bool = False  # it told something for the row before, so it is likely to for this one


@dataclass(frozen=True)
class Trouble:
    """Something that goes wrong while it is recorded.

    Attributes
    ----------
    same_as : str
        What it is known by, where its words change as it goes on.
    counted : bool
        Whether it is told of by counts.
    """

    text: str
    same_as: str = ""
    counted: bool = False

    @property
    def key(self) -> str:
        """What makes two troubles the same one."""
        return self.same_as or self.text


class Recorder:
    """Records instruments until it is stopped.

    A slow or dead instrument never holds up the others: what it has not told since the row before is missing.

    Parameters
    ----------
    instruments : sequence of Instrument
    sink : callable
        Gets blocks of shape (rows, 1 + channels), seconds from the start in the first column, from the recorder's
        thread, so often that no row waits for longer than a second of the clock. Where it fails, the rows wait in memory
        and are offered again, every second.
    interval_s : float
        The distance of rows, in seconds of the bench.
    speed : float
        How many seconds pass on the bench in one of the clock's; 1 but for the simulated bench.
    pace : Pace
        The clock it goes by, and how its threads wait.
    seen : callable, optional
        Gets every row as it is made, from the recorder's thread.
    from_s : float
        The bench's time of the first row: above 0 where a run that was cut off goes on.

    Attributes
    ----------
    spill : callable or None
        Keeps rows elsewhere where too many wait; returns what is said of it.
    """

    KEEP_S = 1.0
    MOST_WAITING = 20_000_000  # values that wait in memory, 160 MB; of more, the oldest rows go to `spill`

    def __init__(
        self,
        instruments: Sequence[LiveInstrument],
        sink: Sink,
        interval_s: float = 1.0,
        speed: float = 1.0,
        pace: Pace | None = None,
        seen: Callable[[list[float]], None] | None = None,
        from_s: float = 0.0,
    ) -> None:
        if not 0.05 <= interval_s <= 5.0:
            raise BenchError("rows are recorded every 0.05 to 5 s")
        self._instruments, self._sink, self._pace = instruments, sink, pace or Pace()
        self._every, self._speed = interval_s / speed, speed
        self._latest = [_Latest([float("nan")] * len(i.channels)) for i in instruments]
        self._remembers = all(isinstance(i, RememberingInstrument) for i in instruments)
        self._seen, self._from_s = seen, from_s
        self._rows: list[list[float]] = []
        self._blocks: list[Array] = []  # rows that the sink has refused
        self._handing = threading.Lock()
        self.spill: Callable[[Array], str] | None = None
        self._spilt: str = ""
        self._stop = threading.Event()
        self._told = threading.Condition()
        self._began, self._ended = 0.0, float("inf")
        self._threads: list[threading.Thread] = []
        self.rows = 0
        self.trouble = ""
        self.last: list[float] = []
        self.gaps: list[tuple[float, float]] = []

    @property
    def elapsed_s(self) -> float:
        """Seconds of the bench since the run's start."""
        return self._from_s + ((self._pace.now() - self._began) * self._speed if self._threads else 0.0)

    def troubles(self) -> list[Trouble]:
        """What the instruments and the sink complain of now."""
        found = []
        for instrument, latest in zip(self._instruments, self._latest, strict=True):
            if latest.trouble:
                found.append(Trouble(say("{name}: {trouble}", name=instrument.name, trouble=latest.trouble)))
            elif complaint := instrument.complaint():
                found.append(
                    Trouble(
                        say("{name}: {trouble}", name=instrument.name, trouble=complaint),
                        f"{instrument.name} complains",
                        True,
                    )
                )
        if self.trouble:
            found.append(Trouble(self.trouble, "rows wait"))
        return found + ([Trouble(self._spilt)] if self._spilt else [])

    def start(self) -> None:
        """Begin."""
        self._began = self._pace.now()
        polled = [] if self._remembers else zip(self._instruments, self._latest, strict=True)
        jobs: list[Callable[[], None]] = [partial(self._poll, i, s) for i, s in polled]
        for job in (*jobs, self._tick):
            thread = threading.Thread(target=job, daemon=True, name="recorder")
            self._threads.append(thread)
            thread.start()

    @property
    def waiting(self) -> int:
        """Rows that could not be handed on yet."""
        return len(self._rows) + sum(len(b) for b in self._blocks)

    def take_waiting(self) -> Array:
        """The rows that wait; from now on they are the caller's."""
        with self._handing:
            self._set_aside()
            rows, self._blocks, self.trouble = _joined(self._blocks), [], ""
            return rows

    def wait_with(self, block: Array) -> None:
        """Take back rows that were taken, before all others."""
        with self._handing:
            self._blocks.insert(0, block)

    def stop(self) -> None:
        """End in order: the last rows are handed on, the instruments let go. What could not be handed on is `waiting`."""
        self._ended = self._pace.now()
        self._stop.set()
        self._pace.left("recorder")
        for thread in self._threads[-1:]:
            thread.join(10)
        self.hand_on()
        for thread in self._threads[:-1]:
            thread.join(0.5)
        for instrument in self._instruments:
            instrument.close()

    def _poll(self, instrument: LiveInstrument, latest: _Latest) -> None:
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
                    self._pace.wait_for(self._told, lambda: not latest.fresh, max(1.5 * self._every, 0.5))
                latest.trouble = trouble
                if values is not None:
                    latest.values, latest.fresh = values, True
                    self._told.notify_all()
            due += every
            if due < self._pace.now() - self._pace.catch_up_s:
                due = self._pace.now()
            self._pace.wait(self._stop, max(0.0, due - self._pace.now()))

    def _tick(self) -> None:
        due, kept, oldest = self._began + self._every / 2, self._began, 0.0
        while self._is_on(due):
            self._pace.looked("recorder")
            row = self._remembered(due) if self._remembers else [self.elapsed_s, *self._row()]
            if self.last and row[0] - self.last[0] > (self._every + _GAP_S) * self._speed:
                self.gaps.append((self.last[0], row[0]))
            self.last = row
            oldest = oldest if self._rows else self._pace.now()
            self._rows.append(row)
            if self._seen is not None:
                self._seen(row)
            now = self._pace.now()
            due += self._every
            if due < now - self._pace.catch_up_s:  # suspended, or held up for long: no rows are made up for the gap
                due = now
            # the row after this one, a little late as they are, would make the oldest wait for too long
            if now + 1.25 * self._every - oldest >= self.KEEP_S and (not self._blocks or now - kept >= self.KEEP_S):
                kept = now
                self.hand_on()

    def _is_on(self, due: float) -> bool:
        """Wait for a row's moment; whether it is to be made. One that is remembered is made however late it is."""
        now = self._pace.now()
        if self._remembers and due <= min(now, self._ended):
            return True
        return not self._pace.wait(self._stop, max(_LEAST_S, due - now))

    def _remembered(self, moment: float) -> list[float]:
        """The row of a moment that has passed, where all instruments still know it."""
        row = [self._from_s + (moment - self._began) * self._speed]
        for instrument in self._instruments:
            assert isinstance(instrument, RememberingInstrument)
            row += instrument.read_at(moment)
        return row

    def _row(self) -> list[float]:
        """What was told since the row before. A reading that is a little late is waited for, up to half a row."""
        row: list[float] = []
        with self._told:
            self._pace.wait_for(self._told, lambda: all(x.fresh for x in self._latest if x.expected), self._every / 2)
            for latest in self._latest:
                row += list(latest.values) if latest.fresh else [float("nan")] * len(latest.values)
                latest.expected, latest.fresh = latest.fresh, False
            self._told.notify_all()
        return row

    def hand_on(self) -> bool:
        """Hand on what waits; whether nothing waits any more."""
        with self._handing:
            self._set_aside()
            if not self._blocks:
                return True
            block = _joined(self._blocks)
            try:
                self._sink(block)
            except Exception as error:  # whatever it is, recording goes on and nothing is thrown away
                said = error if str(error) else type(error).__name__
                self.trouble = say(
                    "the last {n} rows wait in memory until they can be kept: {said}", n=block.shape[0], said=said
                )
                self._bound()
                return False
            self.trouble = ""
            self.rows += block.shape[0]
            self._blocks = []
            return True

    def _set_aside(self) -> None:
        if self._rows:
            rows, self._rows = self._rows, []
            self._blocks.append(np.array(rows, dtype=np.float64))

    def _bound(self) -> None:
        if self.spill is None or sum(b.size for b in self._blocks) <= self.MOST_WAITING:
            return
        block = _joined(self._blocks)
        half = block.shape[0] // 2
        try:
            self._spilt = self.spill(block[:half])
        except Exception as error:
            self._spilt = say(
                "too many rows wait, and they can be kept nowhere else ({error}): make room now", error=error
            )
            return
        self._blocks = [block[half:].copy()]


def _joined(blocks: list[Array]) -> Array:
    return blocks[0] if len(blocks) == 1 else np.concatenate(blocks) if blocks else np.empty((0, 0))
