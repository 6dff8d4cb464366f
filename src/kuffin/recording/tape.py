"""The last of what was recorded, in memory: for drawing and for looking ahead. It thins itself out and never grows."""

from __future__ import annotations

import threading
from collections.abc import Sequence

import numpy as np
from numpy.typing import NDArray

Array = NDArray[np.float64]


class Tape:
    """Rows of time and channels; when it is full, neighbours are averaged two by two, so that a long run stays whole.

    Parameters
    ----------
    channels : int
    most : int
        The most rows it holds.
    """

    def __init__(self, channels: int, most: int = 12_000) -> None:
        self._block = np.empty((most, 1 + channels))
        self._used, self._every, self._pending = 0, 1, 0
        self._lock = threading.Lock()

    def add(self, row: Sequence[float]) -> None:
        """Add a row: seconds first."""
        with self._lock:
            self._pending += 1
            if self._pending < self._every:
                return
            self._pending = 0
            if self._used == self._block.shape[0]:
                self._thin()
            self._block[self._used] = row
            self._used += 1

    def add_block(self, block: Array) -> None:
        """Add rows that were recorded before."""
        for row in block:
            self.add(row)

    def _thin(self) -> None:
        half = self._used // 2
        pairs = self._block[: 2 * half].reshape(half, 2, -1)
        known = np.isfinite(pairs)
        total = np.where(known, pairs, 0.0).sum(axis=1)
        number = known.sum(axis=1)
        self._block[:half] = np.where(number > 0, total / np.maximum(number, 1), np.nan)
        self._used, self._every = half, 2 * self._every

    def so_far(self, last_s: float | None = None) -> Array:
        """A copy of all rows, or of those of the last seconds, shape (rows, 1 + channels)."""
        with self._lock:
            begin = 0
            if last_s is not None and self._used:
                times = self._block[: self._used, 0]
                begin = int(np.searchsorted(times, times[-1] - last_s))
            return self._block[begin : self._used].copy()
