"""Values that a person reads off and types: a clamp meter, a sound meter, an infrared spot."""

from __future__ import annotations

import threading

from kuffin.instruments.meterlines import ToldValue


class HandSource:
    """Tells each typed value once, at the moment it was typed.

    Parameters
    ----------
    names : dict of name to (unit, quantity)
    """

    def __init__(self, names: dict[str, tuple[str | None, str]]) -> None:
        self.names = names
        self._typed: dict[str, float] = {}
        self._lock = threading.Lock()

    def put(self, name: str, value: float) -> None:
        """Type a value."""
        with self._lock:
            self._typed[name] = value

    def read(self) -> dict[str, ToldValue]:
        with self._lock:
            typed, self._typed = self._typed, {}
        return {name: ToldValue(value, *self.names[name]) for name, value in typed.items() if name in self.names}

    def complaint(self) -> str:
        return ""

    def close(self) -> None:
        """Nothing to let go of."""
