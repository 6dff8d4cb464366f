"""The guard of a load: a small process that ends it when Kuffin is gone, however that came about.

It is started by its path, with nothing of Kuffin imported. It holds the other end of a pipe: where that closes (Kuffin
told it to, ended, or was killed), or where no sign of life comes through it for a few seconds (Kuffin was stopped, hangs,
or the computer swaps), it ends the load with all its children, politely and then by force. It says one line: ``started``,
or ``failed`` and why; then it ends with the load's own code, or with `STOOD_STILL`. What the load prints goes to standard
error, up to a bound.
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
SILENT_S = 6.0  # without a sign of life from Kuffin for so long, the load is ended
STOOD_STILL = 75  # what the guard ends with then
MOST_SAID = 1_000_000  # bytes of what a load prints that are kept
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


def _listen(said: int, room: int) -> int:
    """Pass on what the load prints; how many bytes are left that may be passed on, -1 where it prints no more."""
    with contextlib.suppress(OSError):
        piece = os.read(said, 65_536)
        if not piece:
            return -1
        if room > 0:
            end = b"" if len(piece) < room else b"\n(the rest of what it printed is left out)\n"
            os.write(2, piece[:room] + end)
        return max(0, room - len(piece))
    return -1


def main(words: list[str]) -> int:
    """Run a load until it ends, standard input closes, or nothing comes through it any more."""
    for one in _SIGNALS:
        signal.signal(one, signal.SIG_IGN)  # who ends Kuffin with all its group does not end its guard
    _prctl(_PR_SET_CHILD_SUBREAPER, 1)

    def apart() -> None:
        for one in _SIGNALS:
            signal.signal(one, signal.SIG_DFL)
        _prctl(_PR_SET_PDEATHSIG, signal.SIGKILL)  # where the guard itself is killed

    hears, says = os.pipe()
    try:
        load = subprocess.Popen(
            words, stdin=subprocess.DEVNULL, stdout=says, stderr=says, start_new_session=True, preexec_fn=apart
        )
    except (OSError, ValueError, subprocess.SubprocessError) as error:
        print("failed", getattr(error, "strerror", None) or error, flush=True)
        return 127
    os.close(says)
    print("started", flush=True)
    room, alive, still = MOST_SAID, time.monotonic(), False
    while load.poll() is None and not still:
        ready = select.select([0] if room < 0 else [0, hears], [], [], 0.1)[0]
        if hears in ready:
            room = _listen(hears, room)
        if 0 in ready:
            if not os.read(0, 4096):
                break
            alive = time.monotonic()
        # it may be the guard that was stopped: what has come meanwhile is read first
        still = 0 not in ready and time.monotonic() - alive > SILENT_S
    _end(load)
    while room >= 0 and select.select([hears], [], [], 0)[0]:
        room = _listen(hears, room)
    if still:
        return STOOD_STILL
    return 0 if load.returncode is None else load.returncode if load.returncode >= 0 else 128 - load.returncode


if __name__ == "__main__":
    sys.exit(main(sys.argv[1:]))
