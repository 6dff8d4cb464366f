"""What puts the machine under load: the simulated bench, a command from the person's settings, or the person."""

from __future__ import annotations

import os
import shlex
import signal
import subprocess
from pathlib import Path
from typing import Protocol

from kuffin.bench.simulated import SimulatedBench
from kuffin.core.errors import BenchError
from kuffin.core.protocol import Step


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
        """What is wrong with it now, blank for nothing."""
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
        self._running: subprocess.Popen[bytes] | None = None
        self._name = ""

    def apply(self, step: Step) -> None:
        """Start the step's load, or stop the one that runs.

        Raises
        ------
        BenchError
            Where it cannot be started.
        """
        if step.load and step.load == self._name and self._running is not None and self._running.poll() is None:
            return
        self.stop()
        if not step.load:
            return
        words = shlex.split(self._commands[step.load])
        self._log.parent.mkdir(parents=True, exist_ok=True)
        try:
            with self._log.open("ab") as said:
                self._running = subprocess.Popen(
                    words, stdin=subprocess.DEVNULL, stdout=said, stderr=said, start_new_session=True
                )
        except OSError as error:
            raise BenchError(
                f"the load “{step.load}” cannot be started ({error.strerror}): {words[0]}; see its command on the Bench page"
            ) from None
        self._name = step.load

    def stop(self) -> bool:
        running, self._running, self._name = self._running, None, ""
        if running is None or running.poll() is not None:
            return True
        for how, wait in ((signal.SIGTERM, 1.5), (signal.SIGKILL, 2.0)):
            try:
                os.killpg(running.pid, how)
                running.wait(wait)
                return True
            except ProcessLookupError:
                return True
            except subprocess.TimeoutExpired:
                continue
        return False

    def trouble(self) -> str:
        if self._running is not None and (code := self._running.poll()) is not None:
            how = "ended by itself" if code == 0 else f"ended by itself with code {code}"
            return f"the load “{self._name}” has {how}; what it said is in {self._log}"
        return ""
