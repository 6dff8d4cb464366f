"""Ageing told of sound mounts: at most one study in twenty, over all its mounts and rechecks."""

from __future__ import annotations

import numpy as np

from kuffin.core.compare.ageing import AgedReading, ageing, log_time

DAYS = np.array([0.0, 1.0, 7.0, 30.0, 60.0, 90.0, 120.0, 180.0])
STUDIES = 150


def told(rng: np.random.Generator, mounts: int, ages_k: float, control_sd: float) -> tuple[bool, bool]:
    """Whether anything is ever called ageing of the mounts that are sound, and whether it is of the first in the end."""
    control = rng.normal(0, control_sd, DAYS.size)
    y = rng.normal(0, 0.15, (mounts, DAYS.size)) - (control - control[0])
    y[0] += ages_k * log_time(DAYS) / log_time(DAYS[-1])
    ever, last = False, False
    for upto in range(4, DAYS.size + 1):
        rows = {
            str(i): [
                AgedReading(days=float(d), value=float(v), u95=0.05) for d, v in zip(DAYS[:upto], y[i], strict=False)
            ]
            for i in range(mounts)
        }
        found = ageing(rows)
        ever = ever or any(f.aged for n, f in found.items() if n != "0" or ages_k == 0)
        last = found["0"].aged
    return ever, last


def test_six_sound_mounts_and_five_rechecks_are_one_study() -> None:
    """“Aged” was ever said of one of six sound mounts in half of all studies."""
    for control_sd in (0.05, 0.15, 0.4):
        rng = np.random.default_rng(5)
        wrong = sum(told(rng, 6, 0.0, control_sd)[0] for _ in range(STUDIES))
        assert wrong <= 0.09 * STUDIES, control_sd  # 5 % with what 150 draws leave


def test_what_ages_is_found_all_the_same() -> None:
    rng = np.random.default_rng(6)
    assert sum(told(rng, 3, 1.5, 0.15)[1] for _ in range(60)) >= 48


def test_so_far_holds_what_a_mount_differs_by_from_day_to_day() -> None:
    rng = np.random.default_rng(7)
    held = 0
    for _ in range(200):
        rows = [AgedReading(days=d, value=20 + float(rng.normal(0, 0.2)), u95=0.02) for d in (0.0, 7.0, 30.0)]
        found = ageing({"a": rows})["a"]
        held += abs(found.change) <= found.half
    assert held >= 186
