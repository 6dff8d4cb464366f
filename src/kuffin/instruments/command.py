"""A command whose output lines hold numbers. It comes from the person's own settings, never from a notebook."""

from __future__ import annotations

import contextlib
import os
import select
import shlex
import shutil
import signal
import subprocess
import time

from kuffin.core.base.errors import BenchError
from kuffin.core.base.saying import say
from kuffin.instruments.badge import badge, end_all, wearing
from kuffin.instruments.meterlines import LONGEST_WAIT, LineBuffer, ToldValue

_MOST_BYTES = 8_000_000  # of one reading


def _bounded(seconds: float) -> list[str]:
    """What ends a command in time even where Kuffin is gone by then, if this computer has it."""
    found = shutil.which("timeout")
    return [found, "-k", "1", f"{seconds + 2:g}"] if found else []


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
            raise BenchError(
                "the command “{command}” cannot be read ({error}); mind its quotation marks",
                command=command,
                error=error,
            ) from None
        if not self._words:
            raise BenchError("the command is empty; write the program and its arguments")
        self._timeout_s = timeout_s
        self.lines = LineBuffer(separator=separator)

    def read(self) -> dict[str, ToldValue]:
        name, worn = self._words[0], badge()
        try:
            return self._lines_of(name, worn)
        finally:
            end_all(worn)  # nothing it started goes on between readings, also not in a session of its own

    def _lines_of(self, name: str, worn: str) -> dict[str, ToldValue]:
        try:
            running = subprocess.Popen(
                [*_bounded(self._timeout_s), *self._words] if shutil.which(name) else self._words,
                stdin=subprocess.DEVNULL,
                stdout=subprocess.PIPE,
                stderr=subprocess.DEVNULL,
                start_new_session=True,
                env={**os.environ, **wearing(worn)},
            )
        except (OSError, ValueError) as error:
            raise BenchError(
                "{name} cannot be started ({what})", name=name, what=getattr(error, "strerror", None) or error
            ) from None
        said, why = self._listen(running)
        if why:
            with contextlib.suppress(OSError):
                os.killpg(running.pid, signal.SIGKILL)
        code = running.wait()
        if running.stdout is not None:
            running.stdout.close()
        if why:
            raise BenchError("{name} {why} and was ended", name=name, why=why)
        if code != 0:
            raise BenchError("{name} ended with code {code}", name=name, code=code)
        return self.lines.take(said + b"\n")

    def _listen(self, running: subprocess.Popen[bytes]) -> tuple[bytes, str]:
        """The end of what it prints, and why it has to be ended, blank where it ended by itself."""
        until, said, total = time.monotonic() + self._timeout_s, b"", 0
        out = running.stdout
        while out is not None and (left := until - time.monotonic()) > 0:
            if not select.select([out], [], [], left)[0]:
                break
            piece = os.read(out.fileno(), 65_536)
            if not piece:
                try:
                    running.wait(max(0.0, until - time.monotonic()))
                    return said, ""
                except subprocess.TimeoutExpired:
                    break
            total += len(piece)
            said = (said + piece)[-LONGEST_WAIT:]
            if total > _MOST_BYTES:
                return b"", say("printed more than {n} MB", n=_MOST_BYTES // 1_000_000)
        return b"", say("took longer than {s:g} s", s=float(self._timeout_s))

    def complaint(self) -> str:
        return self.lines.complaint()

    def close(self) -> None:
        """Nothing runs between readings."""
