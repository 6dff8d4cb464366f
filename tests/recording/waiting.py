"""Wait for what should come, however busy the machine is; only what never comes fails."""

from __future__ import annotations

import time
from collections.abc import Callable


def wait_until(true: Callable[[], bool], seconds: float = 60.0) -> None:
    """Wait until something is so.

    Raises
    ------
    AssertionError
        Where it is not in that time.
    """
    end = time.monotonic() + seconds
    while not true():
        assert time.monotonic() < end, "it did not come to that"
        time.sleep(0.01)
