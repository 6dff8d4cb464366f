"""Values that are only bounds: nothing is said in favour of a candidate that was held by its limit."""

from __future__ import annotations

import numpy as np
import pytest

from kuffin.core.base.errors import CompareError
from kuffin.core.bench.outcomes import COOLER
from kuffin.core.compare import MountValue, compare
from kuffin.core.compare.pairwords import pair_sentence, to_settle

LIMIT = 84.0


def study(values: dict[str, list[float]], rounds: bool = False) -> list[MountValue]:
    """Mounts of true temperatures, as a part that holds itself at its limit shows them."""
    return [
        MountValue(
            candidate=name, mount=f"{name} {i}", value=min(x, LIMIT), round=str(i) if rounds else None, held=x > LIMIT
        )
        for name, them in values.items()
        for i, x in enumerate(them)
    ]


def test_over_500_studies_nothing_is_said_in_favour_of_one_that_was_held_and_the_rest_holds() -> None:
    rng = np.random.default_rng(16)
    held_pairs = free = holds = bounds = bounds_hold = 0
    for n in range(500):
        true = dict(zip("ABCD", rng.uniform(76, 88, 4), strict=True))
        mounts = study({c: list(t + rng.normal(0, 0.7, 4)) for c, t in true.items()}, rounds=bool(n % 2))
        if sum(not m.held for m in mounts) < 8:  # too little is free, which the last test is about
            continue
        found = compare(mounts, margin=1.0)
        for p in found.pairs:
            truth = true[p.a] - true[p.b]
            if not p.held:
                free += 1
                holds += p.low <= truth <= p.high
                continue
            held_pairs += 1
            if p.settled:
                winner, loser = (p.a, p.b) if p.verdict == "a_lower" else (p.b, p.a)
                assert winner not in p.held and p.verdict != "same" and loser in p.held
                bounds += 1
                least = -p.high if p.verdict == "a_lower" else p.low
                bounds_hold += true[loser] - true[winner] >= least
        assert all(c.bound == (true[c.name] > LIMIT) or abs(true[c.name] - LIMIT) < 3 for c in found.candidates)
    assert held_pairs > 600 and bounds > 200
    assert bounds_hold / bounds > 0.98
    # six pairs are judged together at 95 %: one alone holds more often
    assert 0.975 < holds / free < 0.998


def test_of_the_power_held_at_a_limit_those_that_met_none_are_better_by_at_least_and_never_worse() -> None:
    rng = np.random.default_rng(17)
    asked, said, true_said = 240.0, 0, 0
    for _ in range(300):
        true = dict(zip("ABC", rng.uniform(200, 280, 3), strict=True))  # the power that each could hold
        mounts = []
        for name, power in true.items():
            could = power + rng.normal(0, 1.5, 4)
            mounts += [
                MountValue(candidate=name, mount=f"{name}{i}", value=float(min(x, asked)), held=bool(x > asked))
                for i, x in enumerate(could)
            ]
        if sum(not m.held for m in mounts) < 4:
            continue
        found = compare(mounts, margin=5.0, better="higher", free=True)
        for p in (p for p in found.pairs if p.held):
            assert p.verdict != "same" and p.free
            if p.settled:
                worse, better = (p.a, p.b) if p.verdict == "a_lower" else (p.b, p.a)
                assert p.held == (better,)
                said += 1
                true_said += true[better] - true[worse] >= (p.low if better == p.a else -p.high)
    assert said > 100 and true_said / said > 0.98


def test_two_candidates_one_of_them_held() -> None:
    found = compare(study({"Reed": [78.0, 78.4, 77.7], "Rush": [86.0, 87.0, 88.0]}), margin=1.0)
    (pair,) = found.pairs
    assert pair.verdict == "a_lower" and pair.held == ("Rush",)
    said = pair_sentence(pair, found, "K", COOLER)
    assert said.startswith("Reed is cooler than Rush by at least ") and said.endswith("Rush was held by a limit.")
    assert found.candidate("Rush").bound and not found.candidate("Reed").bound


def test_one_that_looks_cooler_only_because_it_was_held_wins_nothing() -> None:
    warm = {"Reed": [85.5, 85.4, 85.7], "Rush": [86.0, 87.0, 88.0]}
    # a higher limit lets Reed run free; Rush is held at 84
    mounts = [
        MountValue(candidate=n, mount=f"{n}{i}", value=x if n == "Reed" else LIMIT + 0.1 * i, held=n == "Rush")
        for n, them in warm.items()
        for i, x in enumerate(them)
    ]
    (pair,) = compare(mounts, margin=5.0).pairs
    assert pair.difference > 1 and pair.verdict == "unsettled" and pair.mounts_needed is None
    assert "compare the clock that was held, or a score, instead" in to_settle(pair, compare(mounts, margin=5.0))


def test_where_all_were_held_the_reason_is_said() -> None:
    with pytest.raises(CompareError, match="too few mounts have values that are no bounds"):
        compare(study({"Reed": [86.0, 87.0], "Rush": [88.0, 86.0]}), margin=1.0)
