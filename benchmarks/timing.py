"""Timing in one run: medians of repeats, taken in turn so that a drifting machine hits both sides."""

from __future__ import annotations

import statistics
import time
from collections.abc import Callable


def seconds(work: Callable[[], object]) -> float:
    """How long one call takes."""
    begin = time.perf_counter()
    work()
    return time.perf_counter() - begin


def in_turn(a: Callable[[], object], b: Callable[[], object], repeats: int = 5) -> tuple[float, float]:
    """Medians of two pieces of work, done in turn after one warm-up each."""
    a()
    b()
    pairs = [(seconds(a), seconds(b)) for _ in range(repeats)]
    return statistics.median(p[0] for p in pairs), statistics.median(p[1] for p in pairs)


def say(what: str, ours: float, theirs: float, bare: str, aim: str) -> None:
    """One line: the ratio, and what it is of."""
    print(f"{what}: {ours:.3g} s against {theirs:.3g} s of {bare}: ratio {ours / theirs:.2f} (aim {aim})")
