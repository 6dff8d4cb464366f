"""Leaving out a mount in a study of 8 × 6 mounts: the new verdict, against SciPy's own comparison of the same numbers, and the bare fit."""

from __future__ import annotations

import numpy as np
import scipy.stats

from benchmarks.timing import in_turn, say
from kuffin.core.compare import MountValue, compare


def report() -> None:
    """Print the ratio, the first time a number of mounts is met and afterwards."""
    rng = np.random.default_rng(1)
    mounts = [
        MountValue(candidate=f"Candidate {c}", mount=f"{c}-{r}", value=10 + 0.4 * c + rng.normal(0, 0.4), round=str(r))
        for c in range(8)
        for r in range(6)
    ]
    left = [mounts[:i] + mounts[i + 1 :] for i in range(len(mounts))]
    design = np.column_stack((np.repeat(np.eye(8), 6, axis=0), np.tile(np.eye(6)[:, 1:], (8, 1))))
    y = np.array([m.value for m in mounts])
    turn = iter(range(10**9))

    def verdict() -> None:
        compare(left[next(turn) % len(left)], margin=0.5)

    def fit() -> None:
        keep = np.arange(48) != next(turn) % 48
        np.linalg.lstsq(design[keep], y[keep], rcond=None)

    def tukey() -> None:
        scipy.stats.tukey_hsd(*np.split(y, 8)).confidence_interval(0.95)

    whole, tukeys = in_turn(verdict, tukey, 7)
    say(
        "leaving out one of 8 × 6 mounts, 28 pairs judged",
        whole,
        tukeys,
        "scipy.stats.tukey_hsd with its intervals",
        "≤ 0.1",
    )
    ours, theirs = in_turn(verdict, fit, 200)
    say("leaving out one of 8 × 6 mounts, 28 pairs judged", ours, theirs, "the bare fit", "≤ 5")
