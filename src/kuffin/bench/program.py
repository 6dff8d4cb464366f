"""A command whose output lines hold numbers. It comes from the person's own settings, never from a notebook."""

from __future__ import annotations

import os
import shlex
import signal
import subprocess

from kuffin.bench.lines import LONGEST_WAIT, LineBuffer, Told
from kuffin.core.errors import BenchError


class CommandSource:
    """Runs a command at each reading and reads what it prints.

    Parameters
    ----------
    timeout_s : float
        It is ended where it takes longer.
    """

    def __init__(self, command: str, timeout_s: float = 5.0, separator: str | None = None) -> None:
        try:
            self._words = shlex.split(command)
        except ValueError as error:
            raise BenchError(f"the command “{command}” cannot be read ({error}); mind its quotation marks") from None
        if not self._words:
            raise BenchError("the command is empty; write the program and its arguments")
        self._timeout_s = timeout_s
        self.lines = LineBuffer(separator)

    def read(self) -> dict[str, Told]:
        name = self._words[0]
        try:
            running = subprocess.Popen(
                self._words,
                stdin=subprocess.DEVNULL,
                stdout=subprocess.PIPE,
                stderr=subprocess.DEVNULL,
                start_new_session=True,
            )
        except OSError as error:
            raise BenchError(f"{name} cannot be started ({error.strerror})") from None
        try:
            said, _ = running.communicate(timeout=self._timeout_s)
        except subprocess.TimeoutExpired:
            os.killpg(running.pid, signal.SIGKILL)
            running.communicate()
            raise BenchError(f"{name} took longer than {self._timeout_s:g} s and was ended") from None
        if running.returncode != 0:
            raise BenchError(f"{name} ended with code {running.returncode}")
        return self.lines.take(said[-LONGEST_WAIT:] + b"\n")

    def complaint(self) -> str:
        return self.lines.complaint()

    def close(self) -> None:
        """Nothing runs between readings."""
