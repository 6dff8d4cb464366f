"""What puts the machine under load: the simulated bench, a command from the person's settings, or the person."""

from __future__ import annotations

import contextlib
import select
import shlex
import subprocess
import sys
from pathlib import Path
from typing import Protocol

from kuffin.bench.simulated import SimulatedBench
from kuffin.core.errors import BenchError
from kuffin.core.protocol import Step
from kuffin.recording import loadguard

_GUARD = Path(loadguard.__file__)
_START_S = 5.0


class LoadControl(Protocol):
    """Starts and stops a load.

    Attributes
    ----------
    by_hand : bool
        Whether a person has to do it when asked.
    """

    by_hand: bool

    def apply(self, step: Step) -> None:
        """Bring load, pump and fans to what a step wants."""
        ...

    def stop(self) -> bool:
        """Stop the load at once; False where only a person can."""
        ...

    def trouble(self) -> str:
        """Why the load that was asked for does not run, blank where it does (or none is wanted)."""
        ...


class SimulatedLoad:
    """The simulated bench does as it is told."""

    by_hand = False

    def __init__(self, bench: SimulatedBench) -> None:
        self._bench = bench

    def apply(self, step: Step) -> None:
        self._bench.set_speeds(step.pump_percent, step.fan_percent)
        self._bench.set_load((step.power_w or self._bench.usual_load_w) if step.load else None)

    def stop(self) -> bool:
        self._bench.set_load(None)
        return True

    def trouble(self) -> str:
        return ""


class LoadByHand:
    """A person starts and stops the load."""

    by_hand = True

    def apply(self, step: Step) -> None:
        """The person does it."""

    def stop(self) -> bool:
        return False

    def trouble(self) -> str:
        return ""


class LoadByCommand:
    """Commands from the person's own settings, by the load's name; never from a notebook.

    Each runs under a guard, `kuffin.recording.loadguard`, that ends it when Kuffin is gone, even when it was killed.

    Parameters
    ----------
    commands : dict
        Name of the load to command line; ``{power_w}`` and the like are not filled in: what is written is run.
    log : Path
        What the load says goes there.
    """

    by_hand = False

    def __init__(self, commands: dict[str, str], log: Path) -> None:
        self._commands, self._log = commands, log
        self._guard: subprocess.Popen[bytes] | None = None
        self._name = ""
        self._failed = ""

    def apply(self, step: Step) -> None:
        """Start the step's load, or stop the one that runs. Where it cannot be started, `trouble` says why."""
        if step.load and step.load == self._name and self._guard is not None and self._guard.poll() is None:
            return
        self.stop()
        if step.load:
            self._name = step.load
            try:
                self._start(command_words(step.load, self._commands.get(step.load, "")))
            except BenchError as error:
                self._failed = str(error)

    def _start(self, words: list[str]) -> None:
        refused = f"the load “{self._name}” cannot be started"
        try:
            self._log.parent.mkdir(parents=True, exist_ok=True)
            with self._log.open("ab") as said:
                guard = subprocess.Popen(
                    [sys.executable, "-I", "-S", str(_GUARD), *words],
                    stdin=subprocess.PIPE,
                    stdout=subprocess.PIPE,
                    stderr=said,
                    start_new_session=True,
                )
        except OSError as error:
            raise BenchError(f"{refused} ({error.strerror}: {error.filename})") from None
        self._guard = guard
        answer = ""
        if guard.stdout is not None:
            if select.select([guard.stdout], [], [], _START_S)[0]:
                answer = guard.stdout.readline(400).decode("utf-8", "replace").strip()
            guard.stdout.close()
        if answer != "started":
            why = answer.removeprefix("failed").strip() or "its guard does not answer"
            self.stop()
            raise BenchError(f"{refused} ({why}): {words[0]}; see its command on the Bench page")

    def stop(self) -> bool:
        guard, self._guard, self._name, self._failed = self._guard, None, "", ""
        if guard is None:
            return True
        if guard.stdin is not None:
            with contextlib.suppress(OSError):
                guard.stdin.close()  # that is what the guard waits for
        try:
            guard.wait(loadguard.POLITE_S + 3)
        except subprocess.TimeoutExpired:
            return False
        return True

    def trouble(self) -> str:
        if self._failed:
            return self._failed
        if self._guard is not None and (code := self._guard.poll()) is not None:
            how = "ended by itself" if code == 0 else f"ended by itself with code {code}"
            return f"the load “{self._name}” has {how}; what it said is in {self._log}"
        return ""


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
            f"the command of the load “{name}” cannot be read ({error}); mind its quotation marks"
        ) from None
    if not words:
        raise BenchError(f"the load “{name}” has no command; write one on the Bench page, or start it by hand")
    return words
