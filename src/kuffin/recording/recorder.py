"""The recorder: reads every instrument at its own rate, makes rows, and hands them on: each in threads of their own.

Nothing that reads, or looks at what was read, waits for what is kept: a notebook that is locked, or a slow disk, holds up
the keeping of rows alone.
"""

from __future__ import annotations

import threading
import time
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
Heard = Callable[[int, Sequence[float], float], None]
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
        keeping thread, so often that no row waits for longer than a second by the wall, whatever the speed. Where it
        fails, the rows wait in memory and are offered again, every second.
    interval_s : float
        The distance of rows, in seconds of the bench.
    speed : float
        How many seconds pass on the bench in one of the clock's; 1 but for the simulated bench.
    pace : Pace
        The clock it goes by, and how its threads wait.
    seen : callable, optional
        Gets every row as it is made, from the recorder's thread.
    heard : callable, optional
        Gets every reading as it comes, from its instrument's thread: the number of its first channel, its values, and the
        bench's time.
    beside : callable, optional
        Called by the keeping thread whenever it has handed on rows, or had none: what else is to be kept.
    from_s : float
        The bench's time of the first row: above 0 where a run that was cut off goes on.

    Attributes
    ----------
    spill : callable or None
        Keeps rows elsewhere where too many wait; returns what is said of it.
    """

    KEEP_S = 0.5  # between two blocks, by the wall
    SLOW_S = 3.0  # keeping that takes longer is told of
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
        heard: Heard | None = None,
        beside: Callable[[], None] | None = None,
    ) -> None:
        if not 0.05 <= interval_s <= 5.0:
            raise BenchError("rows are recorded every 0.05 to 5 s")
        self._instruments, self._sink, self._pace = instruments, sink, pace or Pace()
        self._every, self._speed = interval_s / speed, speed
        self._latest = [_Latest([float("nan")] * len(i.channels)) for i in instruments]
        self._remembers = all(isinstance(i, RememberingInstrument) for i in instruments)
        self._seen, self._from_s, self._heard, self._beside = seen, from_s, heard, beside
        self._rows: list[list[float]] = []
        self._made = threading.Lock()
        self._keeping_since: float | None = None
        self._blocks: list[Array] = []  # rows that the sink has refused
        self._handing = threading.Lock()
        self.spill: Callable[[Array], str] | None = None
        self._spilt: str = ""
        self._stop = threading.Event()
        self._told = threading.Condition()
        self._began, self._ended = 0.0, float("inf")
        self._threads: list[threading.Thread] = []
        self._keeper = threading.Thread(target=self._keep, daemon=True, name="keeper")
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
        elif (since := self._keeping_since) is not None and time.monotonic() - since > self.SLOW_S:
            text = say(
                "the notebook takes no rows: {n} wait in memory; limits are watched all the same", n=self.waiting
            )
            found.append(Trouble(text, "rows wait"))
        return found + ([Trouble(self._spilt)] if self._spilt else [])

    def start(self) -> None:
        """Begin."""
        self._began = self._pace.now()
        firsts = np.cumsum([0, *(len(i.channels) for i in self._instruments)]).tolist()
        polled = [] if self._remembers else zip(self._instruments, self._latest, firsts[:-1], strict=True)
        jobs: list[Callable[[], None]] = [partial(self._poll, i, s, n) for i, s, n in polled]
        for job in (*jobs, self._tick):
            thread = threading.Thread(target=job, daemon=True, name="recorder")
            self._threads.append(thread)
            thread.start()
        self._keeper.start()

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
        if self._keeper.is_alive():
            self._keeper.join()  # it is keeping rows: what comes after must not overtake it
        self.hand_on()
        for thread in self._threads[:-1]:
            thread.join(0.5)
        for instrument in self._instruments:
            instrument.close()

    def _poll(self, instrument: LiveInstrument, latest: _Latest, first: int) -> None:
        every = instrument.interval_s / self._speed
        due = self._began - min(every, self._every) / 2  # half-way between rows, so that no reading falls on their edge
        while not self._stop.is_set():
            try:
                values, trouble = instrument.read(), ""
            except Exception as error:  # a driver's fault must not end the run
                values, trouble = None, str(error) or type(error).__name__
            if values is not None and self._heard is not None:
                self._heard(first, values, self.elapsed_s)
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
        due = self._began + self._every / 2
        while self._is_on(due):
            self._pace.looked("recorder")
            row = self._remembered(due) if self._remembers else [self.elapsed_s, *self._row()]
            if self.last and row[0] - self.last[0] > (self._every + _GAP_S) * self._speed:
                self.gaps.append((self.last[0], row[0]))
            self.last = row
            with self._made:
                self._rows.append(row)
            if self._seen is not None:
                self._seen(row)
            if self._remembers and self._heard is not None:
                self._heard(0, row[1:], row[0])
            now = self._pace.now()
            due += self._every
            if due < now - self._pace.catch_up_s:  # suspended, or held up for long: no rows are made up for the gap
                due = now

    def _keep(self) -> None:
        """Hand on what was made, twice a second by the wall; what is refused is offered again every second."""
        while not self._pace.by_wall(self._stop, self.KEEP_S if not self._blocks else 2 * self.KEEP_S):
            self.hand_on()
            if self._beside is not None:
                self._beside()

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
            self._keeping_since = time.monotonic()
            try:
                self._sink(block)
            except Exception as error:  # whatever it is, recording goes on and nothing is thrown away
                said = error if str(error) else type(error).__name__
                self.trouble = say(
                    "the last {n} rows wait in memory until they can be kept: {said}", n=block.shape[0], said=said
                )
                self._bound()
                return False
            finally:
                self._keeping_since = None
            self.trouble = ""
            self.rows += block.shape[0]
            self._blocks = []
            return True

    def _set_aside(self) -> None:
        with self._made:
            rows, self._rows = self._rows, []
        if rows:
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
