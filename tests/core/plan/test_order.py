"""Orders: balanced over many seeds, never twice running, whole plots kept together, honest about what a change costs."""

from __future__ import annotations

from collections import Counter
from itertools import pairwise

import numpy as np
import pytest
from scipy import stats

from kuffin.core.base.errors import BenchError
from kuffin.core.plan.order import Slot, change_over_minutes, controls_after, fairness, moved, out_of_step, plan_order

NAMES = ["Reed", "Rush", "Sedge", "Bulrush"]


def rounds_of(order: list[Slot]) -> dict[int, list[str]]:
    out: dict[int, list[str]] = {}
    for slot in order:
        if not slot.control:
            out.setdefault(slot.round, []).append(slot.candidate)
    return out


@pytest.mark.parametrize("names", [NAMES[:3], NAMES])
def test_over_many_seeds_every_candidate_comes_as_often_in_each_place_as_chance_allows(names: list[str]) -> None:
    counts = np.zeros((len(names), len(names)))
    followed: Counter[tuple[str, str]] = Counter()
    for seed in range(150):
        order = plan_order(names, 2, seed)
        for drawn in rounds_of(order).values():
            assert sorted(drawn) == sorted(names)
            for place, name in enumerate(drawn):
                counts[names.index(name), place] += 1
        for a, b in pairwise(order):
            assert a.candidate != b.candidate
            followed[a.candidate, b.candidate] += 1
    expected = 300 / len(names)
    # both rounds of one plan hang together, so half of the counts is independent evidence
    assert stats.chi2.sf(float(((counts - expected) ** 2 / expected).sum()) / 2, (len(names) - 1) ** 2) > 0.001
    pairs = np.array([followed[a, b] for a in names for b in names if a != b])
    assert pairs.min() > 0.7 * pairs.mean() and pairs.max() < 1.3 * pairs.mean()


def test_the_same_seed_gives_the_same_order_and_places_even_out() -> None:
    assert plan_order(NAMES, 4, 7) == plan_order(NAMES, 4, 7)
    assert plan_order(NAMES, 4, 7) != plan_order(NAMES, 4, 8)
    by_chance = [
        fairness([Slot(n, r) for r in range(4) for n in np.random.default_rng([s, r]).permutation(NAMES)]).worst_gap
        for s in range(50)
    ]
    assert np.median([fairness(plan_order(NAMES, 4, s)).worst_gap for s in range(50)]) < 0.4 * np.median(by_chance)


def test_two_candidates_take_turns_at_coming_first() -> None:
    order = plan_order(["Reed", "Rush"], 4, 3)
    assert fairness(order).worst_gap == 0


def test_the_baseline_comes_at_the_start_at_the_end_and_between() -> None:
    order = plan_order(NAMES, 5, 1, baseline="Rush", control_every=2)
    assert order[0] == Slot("Rush", 1, control=True) and order[-1].candidate == "Rush" and order[-1].control
    assert [s.candidate for s in order].count("Rush") == len(controls_after(5, 2)) == 4
    assert all("Rush" not in drawn for drawn in rounds_of(order).values())
    assert fairness(order).uneven_rounds == ()


def test_whole_plots_stay_together_and_change_over_time_is_saved_where_it_costs_no_fairness() -> None:
    plots = {"Reed": "Rill", "Rush": "Rill", "Sedge": "Brook", "Bulrush": "Brook"}
    for seed in range(20):
        for drawn in rounds_of(plan_order(NAMES, 3, seed, plots=plots)).values():
            levels = [plots[n] for n in drawn]
            assert levels[0] == levels[1] and levels[2] == levels[3]
    minutes = {(a, b): 5.0 if plots[a] == plots[b] else 60.0 for a in NAMES for b in NAMES if a != b}
    saved = [change_over_minutes(plan_order(NAMES, 3, s, minutes=minutes), minutes) for s in range(20)]
    plain = [change_over_minutes(plan_order(NAMES, 3, s), minutes) for s in range(20)]
    assert np.mean(saved) < np.mean(plain)


def test_what_is_done_stays_and_only_the_rest_is_drawn() -> None:
    done = [Slot("Rush", 1), Slot("Sedge", 1), Slot("Reed", 1), Slot("Bulrush", 1), Slot("Sedge", 2)]
    for seed in range(30):
        order = plan_order(NAMES, 3, seed, done=done)
        assert order[:5] == done and len(order) == 12
        assert all(sorted(drawn) == sorted(NAMES) for drawn in rounds_of(order).values())
        assert all(a.candidate != b.candidate for a, b in pairwise(order))


def test_what_a_drag_costs_is_said() -> None:
    order = [Slot(n, r) for r in (1, 2) for n in (NAMES if r == 1 else NAMES[::-1])]
    assert fairness(order).worst_gap == 0
    assert "cancels" in fairness(order).sentence()
    first = moved(order, 7, 4)  # Reed, last of the second round, comes first in it
    found = fairness(first)
    assert first[4] == Slot("Reed", 2)
    assert found.early == "Reed" and found.worst_gap == pytest.approx(2 / 3)  # 0 against the mean of 1/3 and 1
    assert "0.67 K" in found.sentence()
    away = fairness(moved(order, 0, 6))
    assert away.uneven_rounds == (1, 2) and "cannot serve as blocks" in away.sentence()


def test_an_order_that_no_longer_fits_its_plan_says_in_what() -> None:
    drawn = plan_order(["Reed", "Rush", "Sedge"], 3, 1)
    assert out_of_step(drawn, ["Reed", "Rush", "Sedge"], 3) == []
    assert out_of_step([], ["Reed", "Rush"], 3) == []
    assert out_of_step(drawn, ["Reed", "Rush", "Sedge", "Bulrush"], 3) == ["Bulrush is not in it"]
    assert out_of_step(drawn, ["Reed", "Rush", "Sedge"], 5) == ["it has 3 rounds, 5 are planned"]
    (said,) = out_of_step(drawn, ["Reed", "Rush", "Sedge"], 3, "Sedge")
    assert said.startswith("Sedge does not come between the rounds")
    with_base = plan_order(["Reed", "Rush", "Sedge"], 3, 1, baseline="Sedge")
    assert out_of_step(with_base, ["Reed", "Rush", "Sedge"], 3, "Sedge") == []


def test_impossible_orders_are_refused() -> None:
    for names, rounds, baseline in (
        (["Reed"], 3, None),
        (["Reed", "Reed"], 3, None),
        (NAMES, 0, None),
        (NAMES, 3, "Tern"),
    ):
        with pytest.raises(BenchError):
            plan_order(names, rounds, 1, baseline=baseline)
