"""Moderated scatter on drawn studies whose truth is known, and figures with steps."""

from __future__ import annotations

import numpy as np
import pytest

from kuffin.core.compare import MountValue, compare

STUDIES = 300


def wrong(spread: str, ratio: float, rounds: bool) -> float:
    """How often anything is called lower of four that are the same, one of which scatters so many times as far."""
    rng, told = np.random.default_rng(17), 0
    for _ in range(STUDIES):
        day = rng.normal(0, 1.0, 3) * rounds
        values = [
            MountValue(
                candidate=f"C{i}",
                mount=f"{i} {j}",
                value=float(rng.normal(0, ratio if i == 0 else 1.0) + day[j]),
                round=str(j) if rounds else None,
            )
            for i in range(4)
            for j in range(3)
        ]
        told += any(p.settled for p in compare(values, spread=spread).pairs)
    return told / STUDIES


@pytest.mark.parametrize("rounds", [False, True])
def test_one_that_scatters_far_more_makes_no_winners(rounds: bool) -> None:
    assert wrong("moderated", 3.0, rounds) <= 0.08  # 6 % with what 300 draws leave; a shared spread has 10 %
    assert wrong("moderated", 5.0, rounds) <= 0.10
    assert wrong("pooled", 5.0, rounds) > wrong("moderated", 5.0, rounds) + 0.015


def test_whole_figures_that_come_out_equal_prove_nothing_and_finer_ones_do() -> None:
    def told(half: float | None) -> str:
        values = [
            MountValue(candidate=c, mount=f"{c} {i}", value=v, half=half)
            for c, v in (("A", 61.0), ("B", 62.0))
            for i in range(4)
        ]
        (pair,) = compare(values).pairs
        return pair.verdict

    assert told(0.8) == "unsettled" and told(0.1) == "a_lower"
