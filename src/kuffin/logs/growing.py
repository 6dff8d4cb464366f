"""An array that is filled part by part, in one place in memory."""

from __future__ import annotations

from typing import Any

import numpy as np
from numpy.typing import NDArray


class Growing:
    """Numbers of one kind, added at the end.

    Room that was asked for and is not used takes no memory.
    """

    def __init__(self, kind: type[np.generic]) -> None:
        self._held: NDArray[Any] = np.empty(0, kind)
        self.size = 0

    def expect(self, size: int) -> None:
        """Make room for so many numbers altogether."""
        if size > self._held.size:
            larger = np.empty(size, self._held.dtype)
            larger[: self.size] = self._held[: self.size]
            self._held = larger

    def add(self, part: NDArray[Any]) -> None:
        """Put a part behind what is held."""
        end = self.size + part.size
        if end > self._held.size:
            self.expect(end + end // 2)
        self._held[self.size : end] = part
        self.size = end

    def taken(self) -> NDArray[Any]:
        """All of them; they are held here no longer."""
        found = self._held[: self.size]
        self._held, self.size = np.empty(0, self._held.dtype), 0
        return found
