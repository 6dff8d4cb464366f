"""The guard of a load: a small process that ends it when Kuffin is gone, however that came about.

It is started by its path, with nothing of Kuffin imported. It holds the other end of a pipe: where that closes (Kuffin
told it to, ended, or was killed), it ends the load with all its children, politely and then by force. It says one line:
``started``, or ``failed`` and why; then it ends with the load's own code.
"""

from __future__ import annotations

import contextlib
import ctypes
import os
import select
import signal
import subprocess
import sys
import time
from pathlib import Path

POLITE_S = 1.2  # between asking the load to end and ending it
_SIGNALS = (signal.SIGTERM, signal.SIGHUP, signal.SIGINT, signal.SIGQUIT)
_PR_SET_PDEATHSIG, _PR_SET_CHILD_SUBREAPER = 1, 36


def _prctl(option: int, value: int) -> None:
    with contextlib.suppress(OSError, AttributeError):
        ctypes.CDLL(None).prctl(option, value, 0, 0, 0)


def _descendants() -> list[int]:
    """All that the load has started and that still lives, also what has left its group."""
    children: dict[int, list[int]] = {}
    for one in Path("/proc").iterdir():
        if one.name.isdigit():
            with contextlib.suppress(OSError, ValueError, IndexError):
                fields = (one / "stat").read_text().rpartition(")")[2].split()
                if fields[0] != "Z":
                    children.setdefault(int(fields[1]), []).append(int(one.name))
    found, at = [], [os.getpid()]
    while at:
        more = children.get(at.pop(), [])
        found += more
        at += more
    return found


def _end(load: subprocess.Popen[bytes]) -> None:
    for how, until in (
        (signal.SIGTERM, time.monotonic() + POLITE_S),
        (signal.SIGKILL, time.monotonic() + POLITE_S + 2),
    ):
        while living := _descendants():
            for pid in living:
                with contextlib.suppress(OSError):
                    os.kill(pid, how)
            load.poll()
            with contextlib.suppress(OSError):
                while os.waitpid(-1, os.WNOHANG)[0]:
                    pass
            if time.monotonic() > until:
                break
            time.sleep(0.02)


def main(words: list[str]) -> int:
    """Run a load until it ends, or standard input closes."""
    for one in _SIGNALS:
        signal.signal(one, signal.SIG_IGN)  # who ends Kuffin with all its group does not end its guard
    _prctl(_PR_SET_CHILD_SUBREAPER, 1)

    def apart() -> None:
        for one in _SIGNALS:
            signal.signal(one, signal.SIG_DFL)
        _prctl(_PR_SET_PDEATHSIG, signal.SIGKILL)  # where the guard itself is killed

    said = sys.stderr.fileno()
    try:
        load = subprocess.Popen(
            words, stdin=subprocess.DEVNULL, stdout=said, stderr=said, start_new_session=True, preexec_fn=apart
        )
    except (OSError, ValueError, subprocess.SubprocessError) as error:
        print("failed", getattr(error, "strerror", None) or error, flush=True)
        return 127
    print("started", flush=True)
    while load.poll() is None:
        if select.select([0], [], [], 0.1)[0] and not os.read(0, 4096):
            break
    _end(load)
    return 0 if load.returncode is None else load.returncode if load.returncode >= 0 else 128 - load.returncode


if __name__ == "__main__":
    sys.exit(main(sys.argv[1:]))
