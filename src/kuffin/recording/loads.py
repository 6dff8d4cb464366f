"""What puts the machine under load: the simulated bench, a command from the person's settings, or the person."""

from __future__ import annotations

import contextlib
import os
import select
import shlex
import subprocess
import sys
from collections.abc import Collection
from pathlib import Path
from typing import Protocol

from kuffin.core.base.errors import BenchError
from kuffin.core.base.language import tr
from kuffin.core.base.saying import say
from kuffin.core.bench.configuration import OF_TEST
from kuffin.core.bench.leading import ALL
from kuffin.core.bench.protocol import Step
from kuffin.instruments.badge import badge, end_all, wearers, wearing
from kuffin.recording import loadguard
from kuffin.simulated.livebench import SimulatedBench

_GUARD = Path(loadguard.__file__)
_START_S = 5.0
_MOST_LOG = 4_000_000  # bytes: then the log of what loads print begins anew


class LoadControl(Protocol):
    """Starts and stops a load.

    Attributes
    ----------
    by_hand : bool
        Whether a person has to start and stop it when asked.
    """

    by_hand: bool

    def sets(self, step: Step) -> Collection[str]:
        """What of a step it sets by itself: ``load``, or its ``power_w``, ``pump_percent``, ``fan_percent``."""
        ...

    def apply(self, step: Step) -> None:
        """Bring load, pump and fans to what a step wants."""
        ...

    def stop(self) -> bool:
        """Stop the load at once; False where only a person can."""
        ...

    def trouble(self) -> str:
        """Why the load that was asked for does not run, blank where it does (or none is wanted)."""
        ...

    def alive(self) -> None:
        """Kuffin goes on and watches: said several times a second while a run is recorded, from whoever watches limits."""
        ...


class SimulatedLoad:
    """The simulated bench does as it is told."""

    by_hand = False

    def __init__(self, bench: SimulatedBench) -> None:
        self._bench = bench

    def sets(self, _step: Step) -> Collection[str]:
        return ALL

    def apply(self, step: Step) -> None:
        self._bench.set_speeds(step.pump_percent, step.fan_percent)
        self._bench.set_load((step.power_w or self._bench.usual_load_w) if step.load else None)

    def stop(self) -> bool:
        self._bench.set_load(None)
        return True

    def trouble(self) -> str:
        return ""

    def alive(self) -> None:
        """It runs in Kuffin itself."""


class LoadByHand:
    """A person starts and stops the load."""

    by_hand = True

    def sets(self, _step: Step) -> Collection[str]:
        return ()

    def apply(self, step: Step) -> None:
        """The person does it."""

    def stop(self) -> bool:
        return False

    def trouble(self) -> str:
        return ""

    def alive(self) -> None:
        """The person watches it."""


class LoadByCommand:
    """Commands from the person's own settings, by the load's name; never from a notebook.

    Each runs under a guard, `kuffin.recording.loadguard`, that ends it when Kuffin is gone, even when it was killed, or
    gives no sign of life any more. Where the guard itself is killed, all that the load has started is ended from here.

    Parameters
    ----------
    commands : dict
        Name of the load to command line. ``{power_w}``, ``{pump_percent}`` and ``{fan_percent}`` in it stand for the
        step's; nothing else of a notebook gets into it.
    log : Path
        What the load says goes there.
    """

    by_hand = False

    def __init__(self, commands: dict[str, str], log: Path) -> None:
        self._commands, self._log = commands, log
        self.guard: subprocess.Popen[bytes] | None = None
        self._name, self._words = "", [""]
        self._failed = ""
        self._badge = ""

    def sets(self, step: Step) -> Collection[str]:
        command = self._commands.get(step.load, "")
        return {"load", *(key for key in FILLED_IN if f"{{{key}}}" in command)}

    def apply(self, step: Step) -> None:
        """Start the step's load, or stop the one that runs. Where it cannot be started, `trouble` says why."""
        words, failed = [""], ""
        if step.load:
            try:
                words = filled_in(command_words(step.load, self._commands.get(step.load, "")), step)
            except BenchError as error:
                failed = str(error)
        running = self.guard is not None and self.guard.poll() is None
        if step.load and (step.load, words) == (self._name, self._words) and running and not failed:
            return
        self.stop()
        if step.load:
            self._name, self._words, self._failed = step.load, words, failed
            try:
                if not failed:
                    self._start(words)
            except BenchError as error:
                self._failed = str(error)

    def _start(self, words: list[str]) -> None:
        refused = tr("the load “{name}” cannot be started", name=self._name)
        try:
            self._log.parent.mkdir(parents=True, exist_ok=True)
            self._badge = badge()
            with self._log.open("ab") as said:
                if said.tell() > _MOST_LOG:
                    said.truncate(0)
                guard = subprocess.Popen(
                    [sys.executable, "-I", "-S", str(_GUARD), *words],
                    stdin=subprocess.PIPE,
                    stdout=subprocess.PIPE,
                    stderr=said,
                    start_new_session=True,
                    env={**os.environ, **wearing(self._badge)},
                )
                if guard.stdin is not None:
                    os.set_blocking(guard.stdin.fileno(), False)
        except OSError as error:
            raise BenchError(
                "{refused} ({strerror}: {filename})", refused=refused, strerror=error.strerror, filename=error.filename
            ) from None
        self.guard = guard
        answer = ""
        if guard.stdout is not None:
            if select.select([guard.stdout], [], [], _START_S)[0]:
                answer = guard.stdout.readline(400).decode("utf-8", "replace").strip()
            guard.stdout.close()
        if answer != "started":
            why = answer.removeprefix("failed").strip() or tr("its guard does not answer")
            self.stop()
            raise BenchError(
                "{refused} ({why}): {words}; see its command on the Bench page",
                refused=refused,
                why=why,
                words=words[0],
            )

    def stop(self) -> bool:
        guard, self.guard, self._name, self._failed = self.guard, None, "", ""
        self._words = [""]
        if guard is None:
            return True
        if guard.stdin is not None:
            with contextlib.suppress(OSError):
                guard.stdin.close()  # that is what the guard waits for
        try:
            guard.wait(loadguard.POLITE_S + 3)
        except subprocess.TimeoutExpired:
            guard.kill()
        if (
            guard.poll() is None or guard.returncode < 0
        ):  # it hung, or was killed: what it should have ended is ended here
            end_all(self._badge)
            return not wearers(self._badge)
        return True

    def trouble(self) -> str:
        if self._failed:
            return self._failed
        if self.guard is not None and (code := self.guard.poll()) is not None:
            if code < 0:
                end_all(self._badge)
                return say("the guard of the load “{name}” was killed; the load is ended", name=self._name)
            if code == loadguard.STOOD_STILL:
                return say(
                    "the load “{name}” was ended: Kuffin had stood still for {s:g} s and watched nothing",
                    name=self._name,
                    s=loadguard.SILENT_S,
                )
            return say(
                "the load “{name}” has ended by itself; what it said is in {log}"
                if code == 0
                else "the load “{name}” has ended by itself with code {code}; what it said is in {log}",
                name=self._name,
                code=code,
                log=self._log,
            )
        return ""

    def alive(self) -> None:
        guard = self.guard
        if guard is None or guard.stdin is None:
            return
        with contextlib.suppress(OSError, ValueError):  # it is full, or has ended
            os.write(guard.stdin.fileno(), b".")
        if (code := guard.poll()) is not None and code < 0:
            end_all(self._badge)


FILLED_IN = tuple(key for key, s in OF_TEST.items() if s.kind == "number")


def filled_in(words: list[str], step: Step) -> list[str]:
    """A load's words with the step's numbers in their places.

    Raises
    ------
    BenchError
        Where a number is asked for that the step does not say.
    """
    out = []
    for word in words:
        for key in FILLED_IN:
            value = step.value_of(key)
            if f"{{{key}}}" in word and value is None:
                raise BenchError(
                    "the load “{load}” asks for {{{key}}}, and the step “{name}” does not say it",
                    load=step.load,
                    key=key,
                    name=step.name,
                )
            word = word.replace(f"{{{key}}}", f"{value:g}" if value is not None else "")
        out.append(word)
    return out


def command_words(name: str, command: str) -> list[str]:
    """A load's command as program and arguments.

    Raises
    ------
    BenchError
        Where it is empty or its quotation marks do not close.
    """
    try:
        words = shlex.split(command)
    except ValueError as error:
        raise BenchError(
            "the command of the load “{name}” cannot be read ({error}); mind its quotation marks",
            name=name,
            error=error,
        ) from None
    if not words:
        raise BenchError(
            "the load “{name}” has no command; write one on the Bench page, or start it by hand", name=name
        )
    return words
