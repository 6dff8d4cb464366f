"""The clock that recordings go by."""

from __future__ import annotations

import time


def steady() -> float:
    """Seconds that a changed system time does not touch, and that pass while the computer is suspended."""
    return time.clock_gettime(time.CLOCK_BOOTTIME)
