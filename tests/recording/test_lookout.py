"""A passed limit stops the load before anything else, whatever stands still meanwhile; what is not watched is said."""

from __future__ import annotations

import sqlite3
import threading
import time
from collections.abc import Callable, Iterator, Sequence
from contextlib import contextmanager
from pathlib import Path

import pytest

from kuffin.core.bench.limits import Limits, Watch
from kuffin.core.bench.protocol import Step
from kuffin.instruments.instrument import LiveChannel
from kuffin.notebook.store import Notebook
from kuffin.reading.failed import FAILED
from kuffin.recording.liverun import LiveRun
from kuffin.recording.loads import LoadByHand
from kuffin.recording.openbench import OpenBench
from kuffin.recording.pace import Pace
from tests.recording.waiting import wait_until

SPEED = 5.0
HOLD_S, WITHIN_S = 2.5 / SPEED, 4.0  # of the clock: two seconds, and as many again for a machine that is busy


class Die:
    """A die's temperature as it is told."""

    name, interval_s = "meter", 0.5
    channels = (
        LiveChannel(name="Die", unit="degC", quantity="temperature", role="die"),
        LiveChannel(name="Loop", unit="degC", quantity="temperature", role="coolant"),
    )

    def __init__(self) -> None:
        self.at: Callable[[int], float] = lambda _: 60.0
        self.reads = 0

    def read(self) -> Sequence[float]:
        self.reads += 1
        return [self.at(self.reads), float("nan")]

    def complaint(self) -> str:
        return ""

    def close(self) -> None:
        """Nothing."""


class Load(LoadByHand):
    """Knows when it was switched off."""

    def __init__(self) -> None:
        self.off_at: float | None = None
        self.signs = 0

    def sets(self, step: Step) -> Sequence[str]:
        return ("load", "power_w")

    def stop(self) -> bool:
        self.off_at = self.off_at or time.monotonic()
        return True

    def alive(self) -> None:
        self.signs += 1


class Leaping(Pace):
    """The computer's clock, with a sleep of an hour in it."""

    ahead = 0.0

    def now(self) -> float:
        return super().now() + self.ahead


@pytest.fixture
def running(demo: Path) -> Iterator[tuple[LiveRun, Die, Load]]:
    notebook = Notebook.open(demo)
    die, load = Die(), Load()
    opened = OpenBench(name="meter", instruments=[die], load=load, interval_s=1.0, speed=SPEED, pace=Leaping())
    steps = (Step(name="load", load="x", settle="clock", longest_min=90),)
    live = LiveRun(notebook, notebook.study(1), "Reed", None, opened, steps, Limits())
    live.start()
    live.tick()  # the load is on, and from now on nobody shows the run
    wait_until(lambda: live.run_id is not None)
    yield live, die, load
    live.close()
    notebook.close()


@contextmanager
def all_is_well(_live: LiveRun) -> Iterator[None]:
    yield


@contextmanager
def file_locked(live: LiveRun) -> Iterator[None]:
    other = sqlite3.connect(live.notebook.path, timeout=10, isolation_level=None)
    other.execute("BEGIN IMMEDIATE")
    try:
        yield
    finally:
        other.close()


@contextmanager
def package_coming_in(live: LiveRun) -> Iterator[None]:
    done = threading.Event()

    def takes_in() -> None:
        with live.notebook.writing():
            done.wait(60)

    thread = threading.Thread(target=takes_in)
    thread.start()
    try:
        yield
    finally:
        done.set()
        thread.join()


@contextmanager
def slow_disk(_live: LiveRun) -> Iterator[None]:
    done, real = threading.Event(), Notebook.writing

    def slow(book: Notebook) -> object:
        done.wait(60)
        return real(book)

    with pytest.MonkeyPatch.context() as patched:
        patched.setattr(Notebook, "writing", slow)
        try:
            yield
        finally:
            done.set()


@contextmanager
def overwritten(live: LiveRun) -> Iterator[None]:
    live.notebook.path.write_bytes(b"not a notebook any more")
    yield


@contextmanager
def a_busy_window(_live: LiveRun) -> Iterator[None]:
    end = time.monotonic() + 4.0
    yield
    while time.monotonic() < end:  # it computes, and lets nobody have the interpreter for long
        sum(range(10_000))


@contextmanager
def woken(live: LiveRun) -> Iterator[None]:
    live.bench.pace.ahead = 3600.0  # type: ignore[attr-defined]
    yield


TROUBLES = [all_is_well, file_locked, package_coming_in, slow_disk, overwritten, a_busy_window, woken]


@pytest.mark.parametrize("trouble", TROUBLES, ids=lambda t: t.__name__)
def test_the_load_is_off_within_two_seconds_of_the_hold(
    running: tuple[LiveRun, Die, Load], trouble: Callable[[LiveRun], object]
) -> None:
    live, die, load = running
    with trouble(live):  # type: ignore[attr-defined]
        wait_until(lambda: die.reads > 5)
        assert load.off_at is None
        begun, die.at = time.monotonic(), lambda _: 120.0
        wait_until(lambda: load.off_at is not None)
        assert load.off_at is not None and load.off_at - begun < HOLD_S + WITHIN_S
    wait_until(lambda: not live.running)
    assert "the die is at 120 °C, past its limit of 95 °C. The load is stopped" in live.over
    assert any(a.stop for a in live.tick().alarms)
    if trouble is not overwritten:
        live.close()
        marks = [
            m
            for c in live.notebook.study(1).live_candidates
            for m in c.live_mounts
            for r in m.live_runs
            for m in r.marks
        ]
        assert [m.text for m in marks if m.kind == FAILED] == ["the die is at 120 °C, past its limit of 95 °C"]


def test_nobody_starts_a_load_once_a_limit_was_passed(running: tuple[LiveRun, Die, Load]) -> None:
    live, die, load = running
    die.at = lambda _: 120.0
    wait_until(lambda: not live.running)
    applied: list[Step] = []
    load.apply = applied.append  # type: ignore[method-assign]
    live.tick()
    live.acted()
    live.repeat()
    live.tick()
    assert applied == []


def test_three_readings_of_four_past_the_limit_stop_it_and_one_of_four_does_not(
    running: tuple[LiveRun, Die, Load],
) -> None:
    live, die, load = running
    die.at = lambda n: 120.0 if n % 4 == 0 else 60.0
    until = die.reads + 40
    wait_until(lambda: die.reads > until)
    assert live.running
    die.at = lambda n: 60.0 if n % 4 == 0 else 120.0
    begun = time.monotonic()
    wait_until(lambda: load.off_at is not None)
    assert time.monotonic() - begun < 2 * HOLD_S + WITHIN_S


def test_a_channel_that_never_speaks_is_told_of_and_where_watching_fails_the_load_goes_off(
    running: tuple[LiveRun, Die, Load], monkeypatch: pytest.MonkeyPatch
) -> None:
    live, _, load = running
    wait_until(lambda: bool(live.tick().alarms))
    (alarm,) = live.tick().alarms
    assert not alarm.stop and "the coolant (Loop) has not spoken yet" in alarm.sentence
    signs = load.signs
    wait_until(lambda: load.signs > signs + 3)

    def fails(*_: object) -> list[object]:
        raise ValueError("a fault")

    monkeypatch.setattr(Watch, "look", fails)
    wait_until(lambda: load.off_at is not None)
    wait_until(lambda: not live.running)
    assert "could not be watched any more: a fault" in live.over
