"""Processes that were started from here are known by a badge in their surroundings: also what they started, and let go."""

from __future__ import annotations

import contextlib
import os
import signal
import time
import uuid
from pathlib import Path

_NAME = "KUFFIN_BADGE"
_UNTIL_S = 2.0


def badge() -> str:
    """A new badge."""
    return uuid.uuid4().hex


def wearing(worn: str) -> dict[str, str]:
    """What a process has to find in its environment to wear a badge; what it starts inherits it."""
    return {_NAME: worn}


def wearers(worn: str) -> list[int]:
    """The processes that wear a badge and still live, whatever session or parent they have by now."""
    mark, found = f"{_NAME}={worn}".encode(), []
    for one in Path("/proc").iterdir():
        if one.name.isdigit() and int(one.name) != os.getpid():
            with contextlib.suppress(OSError, IndexError):
                if mark in (one / "environ").read_bytes().split(b"\0"):
                    state = (one / "stat").read_text(errors="replace").rpartition(")")[2].split()[0]
                    if state != "Z":
                        found.append(int(one.name))
    return found


def end_all(worn: str) -> None:
    """End all that wear a badge, by force, until none is left."""
    until = time.monotonic() + _UNTIL_S
    while worn and (living := wearers(worn)) and time.monotonic() < until:
        for pid in living:
            with contextlib.suppress(OSError):
                os.kill(pid, signal.SIGKILL)
        time.sleep(0.02)
