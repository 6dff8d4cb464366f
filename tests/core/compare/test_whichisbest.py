"""Which is best: against drawn studies whose truth is known, and against the pairs it rests on."""

from __future__ import annotations

import numpy as np
import pytest

from kuffin.core.compare import Comparison, MountValue, compare
from kuffin.core.compare.whichisbest import which_is_best

NAMES = ("Tern", "Plover", "Dunlin", "Knot", "Ruff", "Dotterel")


def judged(levels: list[float], n: int, rng: np.random.Generator, reference: str | None = None) -> Comparison:
    values = [
        MountValue(candidate=name, mount=f"{name} {i}", value=level + float(rng.normal(0, 0.6)))
        for name, level in zip(NAMES, levels, strict=False)
        for i in range(n)
    ]
    return compare(values, margin=1.0, confidence=0.95, reference=reference)


@pytest.mark.parametrize("levels", [[0.0, 0.0], [0.0, 0.0, 0.0, 2.5], [0.0, 0.0, 1.2, 3.0, 3.0, 3.0]])
@pytest.mark.parametrize("n", [3, 6])
def test_one_of_identical_ones_is_named_in_five_per_cent_at_most(levels: list[float], n: int) -> None:
    rng = np.random.default_rng(7)
    told = [which_is_best(judged(levels, n, rng)) for _ in range(500)]
    named = sum(t.answered and not t.alike for t in told)
    assert named <= 25 + 2 * np.sqrt(25 * 0.95)  # two standard deviations of what five per cent of 500 scatter by


@pytest.mark.parametrize("levels", [[0.0, 1.0, 1.0], [0.0, 1.0, 3.0, 3.0]])
def test_what_is_the_margin_apart_is_called_alike_in_five_per_cent_at_most(levels: list[float]) -> None:
    rng = np.random.default_rng(8)
    told = [which_is_best(judged(levels, 5, rng)) for _ in range(500)]
    assert sum(bool(t.alike) for t in told) <= 25 + 2 * np.sqrt(25 * 0.95)


def test_the_lead_is_held_by_its_lower_end_and_it_takes_fewer_mounts_than_all_pairs_together() -> None:
    rng = np.random.default_rng(9)
    levels = [0.0, 1.0, 1.0, 1.6, 2.0]
    named, by_pairs, too_far = 0, 0, 0
    for _ in range(300):
        found = judged(levels, 4, rng)
        told = which_is_best(found)
        if told.best == "Tern" and told.ahead is not None:
            named += 1
            too_far += told.ahead > 1.0
            by_pairs += all(p.verdict in {"a_lower", "b_lower"} for p in found.pairs if "Tern" in {p.a, p.b})
    assert named > 1.5 * by_pairs > 0
    assert too_far <= 0.05 * 300


def test_two_candidates_are_judged_as_their_pair_is_and_a_reference_only_by_its_pairs() -> None:
    rng = np.random.default_rng(10)
    for _ in range(60):
        found = judged([0.0, 0.8], 3, rng)
        assert which_is_best(found).answered == found.pairs[0].settled and not which_is_best(found).alone
        against = judged([0.0, 0.7, 1.0], 3, rng, reference="Tern")
        assert not which_is_best(against).alone


@pytest.mark.parametrize("levels", [[0.0, 1.0], [0.0, 1.0, 1.0, 1.0]])
def test_no_other_is_said_to_be_better_by_what_matters_falsely_in_five_per_cent_at_most(levels: list[float]) -> None:
    rng = np.random.default_rng(11)
    told = [which_is_best(judged(levels, 2, rng)) for _ in range(500)]
    wrong = sum(t.best != "Tern" and t.behind is not None for t in told)
    assert wrong <= 25 + 2 * np.sqrt(25 * 0.95)
    near = [which_is_best(judged([0.0, 0.3, 0.5], 4, rng)) for _ in range(200)]
    assert sum(t.behind is not None for t in near) > 1.5 * sum(t.answered for t in near) > 0
    assert all(t.behind is None or (t.open and t.behind < 1.0) for t in near)
