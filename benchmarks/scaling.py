"""Settling: how time grows with the samples, and a million samples against one pass over them."""

from __future__ import annotations

import numpy as np

from benchmarks.timing import in_turn, say, seconds
from kuffin.core.settle import settle


def trace(n: int) -> dict[str, np.ndarray]:
    """An hour and a half of a warm-up, sampled n times."""
    rng = np.random.default_rng(1)
    t = np.linspace(0, 5400, n)
    air = 22 + 0.2 * np.sin(t / 500)
    coolant = air + np.where(t < 300, 0, 11 * (1 - np.exp(-(t - 300) / 500))) + rng.normal(0, 0.05, n)
    power = np.where(t < 300, 20.0, 180.0) + rng.normal(0, 0.8, n)
    return {"times": t, "response": coolant, "over": air, "load": power}


def report() -> None:
    """Print the growth and the ratio."""
    small, large, million = (trace(n) for n in (10_000, 100_000, 1_000_000))
    settle(**small)
    a, b = in_turn(lambda: settle(**large), lambda: settle(**small), 3)
    say("settling 100,000 samples", a, b, "10,000 samples", "≤ 12")

    def one_pass() -> None:
        np.diff(np.cumsum(million["response"]))

    one_pass()
    bare = sorted(seconds(one_pass) for _ in range(9))[4]
    say(
        "settling 1,000,000 samples",
        seconds(lambda: settle(**million)),
        bare,
        "a cumulative sum and difference",
        "≤ 60",
    )
