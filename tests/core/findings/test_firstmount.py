"""A first mount: how often a sound one is doubted, and how often bad contact is found."""

from __future__ import annotations

import numpy as np
import pytest

from kuffin.core.findings.firstmount import KIND, first_mounts
from kuffin.core.findings.siblings import Sibling
from kuffin.core.findings.thresholds import CheckLimits

POWER_W = 200.0


def drawn(rng: np.random.Generator, candidates: int, contact_k: float) -> list[Sibling]:
    """A device under some candidates, each mounted once to three times, and a further one mounted once.

    Candidates differ by 7 % in both figures, mounts by 1.5 and 3 %. Bad contact raises the die over the coolant, and the hot
    spot over the die by as much: it lies where the contact is lost.
    """
    resistance, gap = 0.17 * (1 + rng.normal(0, 0.15)), rng.uniform(0.03, 0.09)
    out: list[Sibling] = []
    for i in range(candidates + 1):
        new = i == candidates
        r, g = resistance * (1 + rng.normal(0, 0.07)), gap * (1 + rng.normal(0, 0.07))
        for _ in range(1 if new else rng.integers(1, 4)):
            more = contact_k / POWER_W if new else 0.0
            figures = {
                "die_over_coolant": r * (1 + rng.normal(0, 0.015)) + more,
                "hot_spot_over_die": g * (1 + rng.normal(0, 0.03)) + more,
            }
            out.append(
                Sibling(mount_id=-1 if new else len(out), candidate=f"c{i}", label="", figures=figures, channels={})
            )
    return out


@pytest.mark.parametrize("candidates", [1, 3])
def test_sound_ones_are_seldom_doubted_and_contact_of_3_k_or_worse_is_found(candidates: int) -> None:
    rng = np.random.default_rng(16)
    doubted = found = 0
    for _ in range(2000):
        sound = first_mounts(drawn(rng, candidates, 0.0), "block", POWER_W, CheckLimits())
        bad = first_mounts(drawn(rng, candidates, float(rng.uniform(3, 15))), "block", POWER_W, CheckLimits())
        doubted += bool(sound[-1])
        found += bool(bad[-1])
    assert doubted / 2000 <= 0.02
    assert found / 2000 >= 0.90


def test_it_says_what_it_was_with_the_others_and_what_would_be_usual() -> None:
    def one(candidate: str, gap_k: float, mount_id: int) -> Sibling:
        figures = {"hot_spot_over_die": gap_k / POWER_W, "die_over_coolant": 0.17}
        return Sibling(mount_id=mount_id, candidate=candidate, label="", figures=figures, channels={"hot_spot": "Hot"})

    mounts = [one("stock", 13.0, 1), one("stock", 13.4, 2), one("Tern", 41.0, 3)]
    (finding,) = first_mounts(mounts, "block", POWER_W, CheckLimits())[3]
    assert finding.kind == KIND and finding.seen.startswith(
        "hot spot over die 41.0 K at 200 W; with the other candidate it was 13.2 K, and "
    )
    assert finding.limit is not None and 14 < finding.limit < 19
    # whose candidates differ more says so, and it is then no longer unusual
    told = CheckLimits(own={"first_hot_spot_percent": 120.0})
    assert first_mounts(mounts, "block", POWER_W, told)[3] == []
    # a radiator makes neither of the two, and what has siblings is held against them
    assert first_mounts(mounts, "radiator", POWER_W, CheckLimits()).get(3, []) == []
    assert 1 not in first_mounts(mounts, "block", POWER_W, CheckLimits())
