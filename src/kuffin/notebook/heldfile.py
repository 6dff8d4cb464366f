"""The file of an open notebook: held against a second opening, and watched, so that a move or a replacement is noticed."""

from __future__ import annotations

import fcntl
import math
import os
import sqlite3
import stat
import threading
import time
from pathlib import Path

from kuffin.core.base.errors import NotebookError

Identity = tuple[int, int]  # device and inode

# Closing any descriptor of a file gives up all of SQLite's own locks on it in this process: so a file that this process
# holds is never opened a second time.
_held: set[Identity] = set()
_guard = threading.Lock()


class TimedConnection(sqlite3.Connection):
    """A connection whose statements end when they go on for too long: nothing that a file holds keeps Kuffin busy for ever."""

    until = math.inf

    def limit_time(self, seconds: float) -> None:
        """End whatever runs past a time from now."""
        self.until = time.monotonic() + seconds

    def watch_time(self) -> None:
        """Look at the clock now and then while a statement runs."""
        self.set_progress_handler(lambda: int(time.monotonic() > self.until), 100_000)


def connect(path: Path, mode: str = "rw", immutable: bool = False) -> TimedConnection:
    """Open a database file; whatever signs are in its name (`#`, `?`, `%`), they are its name.

    Parameters
    ----------
    mode : str
        ``rw`` (never makes a file), ``rwc`` (makes one) or ``ro``.
    immutable : bool
        Nobody changes the file: for read-only media.
    """
    options = f"?mode={mode}" + ("&immutable=1" if immutable else "")
    made = sqlite3.connect(
        path.absolute().as_uri() + options, uri=True, check_same_thread=False, timeout=10, factory=TimedConnection
    )
    made.watch_time()
    return made


def identity(path: Path) -> Identity | None:
    """Which file this name stands for now, None for none."""
    try:
        found = path.stat()
    except OSError:
        return None
    return found.st_dev, found.st_ino


class HeldFile:
    """A notebook's file while it is open here; by no name can it be opened a second time meanwhile.

    The lock is on the file itself, so links of any kind and a new name change nothing.

    Attributes
    ----------
    path : Path
        Where it was when it was opened, links resolved.
    """

    def __init__(self, path: Path, descriptor: int, who: Identity) -> None:
        self.path, self._descriptor, self._who = path, descriptor, who

    @classmethod
    def hold(cls, path: Path) -> HeldFile:
        """Hold a file.

        Raises
        ------
        NotebookError
            Where it is open already, or is no ordinary file.
        """
        path = path.resolve()
        taken = NotebookError(f"{path.name} is open in another Kuffin window; use that one, or close it first")
        with _guard:
            if identity(path) in _held:
                raise taken
            try:
                descriptor = os.open(path, os.O_RDWR | os.O_NOFOLLOW | os.O_NONBLOCK)
            except OSError as error:
                raise NotebookError(
                    "{name}: cannot be opened ({strerror})", name=path.name, strerror=error.strerror
                ) from None
            found = os.fstat(descriptor)
            who = found.st_dev, found.st_ino
            try:
                if not stat.S_ISREG(found.st_mode):
                    raise NotebookError("{name}: this is no ordinary file", name=path.name)
                fcntl.flock(descriptor, fcntl.LOCK_EX | fcntl.LOCK_NB)
            except OSError:
                os.close(descriptor)
                raise taken from None
            except NotebookError:
                os.close(descriptor)
                raise
            _held.add(who)
        return cls(path, descriptor, who)

    def release(self) -> None:
        """Let it go."""
        with _guard:
            if self._descriptor >= 0:
                _held.discard(self._who)
                os.close(self._descriptor)
                self._descriptor = -1

    @property
    def in_place(self) -> bool:
        """Whether its name still stands for it."""
        return identity(self.path) == self._who

    def now_at(self) -> Path | None:
        """Where it is now, None where it was deleted or its name went to another file."""
        if self.in_place:
            return self.path
        try:
            there = Path(f"/proc/self/fd/{self._descriptor}").readlink()
        except OSError:
            return None
        return there if identity(there) == self._who else None


def is_open(path: Path) -> bool:
    """Whether a notebook is open in some window."""
    if not path.is_file():
        return False
    try:
        HeldFile.hold(path).release()
    except NotebookError:
        return True
    return False
