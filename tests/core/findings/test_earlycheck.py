"""The early check: how often it cries at sound mounts, and how often it finds bad ones."""

from __future__ import annotations

import numpy as np
import pytest

from kuffin.core.findings.earlycheck import early_check, early_resistance, pooled_scatter


def test_the_resistance_of_a_known_course_dips_left_out() -> None:
    t = np.arange(0.0, 300.0, 2.0)
    rng = np.random.default_rng(1)
    loaded = t >= 100
    power = np.where(loaded, 180.0, 24.0)
    dip = (t >= 189) & (t < 196)
    power[dip] = 60.0
    coolant = 25 + 0.02 * np.maximum(t - 100, 0)
    die = coolant + np.where(loaded, 30.0 * (1 - np.exp(-(t - 100).clip(0) / 8)), 4.0) + rng.normal(0, 0.5, t.size)
    die[dip] = coolant[dip] + 12.0
    found = early_resistance(t, die, coolant, power, 100.0)
    assert found is not None
    assert found[0] == pytest.approx(30 / 180, abs=3 * found[1] + 1e-4) and found[2] == pytest.approx(180.0)
    assert early_resistance(t, die, coolant, power, 290.0) is None


def test_a_sound_mount_is_doubted_once_in_a_hundred_and_a_bad_one_found() -> None:
    """2,000 studies of three mounts each of three candidates; scatter 1.5 % of the resistance, so 0.5 K at 180 W."""
    rng = np.random.default_rng(4)
    scatter, true = 0.015 * 0.17, 0.17
    doubted = found = shown_right = 0
    for _ in range(2000):
        groups = [list(rng.normal(true, scatter, 3)) for _ in range(3)]
        s, df = pooled_scatter(groups)
        sound = early_check(rng.normal(true, scatter), 2e-4, 180.0, groups[0], s, df, (60, 120))
        bad = early_check(rng.normal(true, scatter) + 3.0 / 180, 2e-4, 180.0, groups[0], s, df, (60, 120))
        doubted += sound.state == "worse"
        found += bad.state == "worse"
        shown_right += abs(sound.difference_k) <= sound.u95_k
    assert doubted / 2000 <= 0.02
    assert found / 2000 >= 0.95
    assert shown_right / 2000 == pytest.approx(0.95, abs=0.02)


def test_pooled_scatter_is_the_textbooks() -> None:
    s, df = pooled_scatter([[1.0, 2.0, 3.0], [10.0, 14.0], [5.0]])
    assert (s**2, df) == (pytest.approx((2 * 1.0 + 1 * 8.0) / 3), 3)
    assert pooled_scatter([[1.0]])[1] == 0


def test_alone_says_so_and_a_guess_is_used_where_the_scatter_is_unknown() -> None:
    alone = early_check(0.17, 1e-4, 180.0, [], float("nan"), 0, (60, 120))
    assert alone.state == "alone"
    guessed = early_check(0.20, 1e-4, 180.0, [0.17], float("nan"), 0, (60, 120))
    assert guessed.state == "worse" and guessed.df == 0 and guessed.scatter_k_w == pytest.approx(0.04 * 0.17)
