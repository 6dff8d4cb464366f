"""Runs that are hard to read, on plants of their own: intervals hold, nothing is imagined, what cannot be judged is said."""

from __future__ import annotations

import numpy as np
import pytest
from benchmarks.hard_runs import coarse, long_loops, one_part, readings, second_part, switching_fans

from kuffin.core.base.errors import TraceError
from kuffin.core.base.traces import quantum
from kuffin.core.settle import settle

RUNS = 16


@pytest.mark.parametrize(
    ("kind", "least"),
    [("coarse sensors", 29), ("a second slow part", 27), ("one part only", 30), ("fans that switch", 29)],
)
def test_the_intervals_hold(kind: str, least: int) -> None:
    """Of 32 readings each; before 47 to 55 % (coarse) and 20 % (second part) held."""
    held = final = steps = 0
    for trace, h, found in readings(kind, RUNS, seed=77):
        assert found is not None
        true = h.coolant_k if trace == "coolant" else h.die_k
        held += abs(found.value - true) <= found.u95
        final += abs(found.warm_up.final - true) <= found.final_u95
        steps += found.load.step_s is not None
    assert held >= least and final >= least
    assert steps <= 1


def test_loops_of_which_there_are_too_few_give_no_number() -> None:
    assert all(found is None for _, _, found in readings("long loops", RUNS, seed=78))
    h = long_loops(np.random.default_rng(4))
    with pytest.raises(TraceError, match="the load comes and goes"):
        settle(h.times, h.die, over=h.coolant, load=h.power, air=h.air)


@pytest.mark.parametrize("share", [0.15, 0.8])
def test_the_longest_pass_of_a_quarter_of_an_hour_is_judged_and_said(share: float) -> None:
    """A load that was ended and begun again, early in the run or late."""
    h = one_part(np.random.default_rng(1))
    again = int(share * h.times.size)
    power = h.power.copy()
    power[again - 60 : again] = 20.0
    found = settle(h.times, h.die, over=h.coolant, load=power, air=h.air)
    begin, end = (h.times[again], h.times[-1]) if share < 0.5 else (120.0, h.times[again - 61])
    assert found.load.start_s == pytest.approx(begin, abs=6) and found.load.end_s == pytest.approx(end, abs=6)
    assert any("the load came 2 times; this is about the longest" in n for n in found.notes)


def test_allowing_for_a_second_part_costs_a_plain_run_little() -> None:
    half = [f.final_u95 for trace, _, f in readings("one part only", RUNS, seed=79) if trace == "coolant" and f]
    assert float(np.median(half)) < 0.16
    far = second_part(np.random.default_rng(6))
    found = settle(far.times, far.coolant, over=far.air, load=far.power, air=far.air)
    assert found.load.step_s is None  # it is no change of the bench


def test_fans_that_switch_are_a_period() -> None:
    h = switching_fans(np.random.default_rng([5, 2]))
    found = settle(h.times, h.coolant, over=h.air, load=h.power, air=h.air)
    assert found.load.period_s is not None and 100 < found.load.period_s < 1200
    assert any("swings by itself" in n for n in found.notes)


def test_the_step_of_a_sensor_is_seen_through_its_correction() -> None:
    """Whole degrees less 0.1: no value lies on a multiple of the step."""
    assert quantum(np.array([20.9, 21.9, 20.9, 22.9, 21.9])) == pytest.approx(1.0)
    h = coarse(np.random.default_rng(3))
    found = settle(h.times, h.coolant, over=h.air, load=h.power, air=h.air)
    assert found.rounding_u > 0.5 / np.sqrt(12) and found.final_u95 > 1.96 * found.rounding_u - 1e-9


@pytest.mark.parametrize("other", [False, True])
def test_air_is_known_by_its_role_whatever_probe_it_is(other: bool) -> None:
    """Die over a room probe was taken for a fast trace where another air channel stood beside it."""
    h = one_part(np.random.default_rng(8))
    room = h.air - 0.4
    found = settle(h.times, h.die, over=room, load=h.power, air=h.air if other else room, over_is_air=True)
    assert not found.fast
    assert abs(found.warm_up.final - (h.die_k + h.coolant_k + 0.4)) < found.final_u95 + 0.05


class TestWhichPlateau:
    def test_a_log_that_begins_hot_says_so(self) -> None:
        h = one_part(np.random.default_rng(9))
        late = h.times > h.times[-1] - 1800
        t = h.times[late] - h.times[late][0]
        power = np.where(t < 1200, h.power[late], 20.0)
        found = settle(t, h.die[late], over=h.coolant[late], load=power, air=h.air[late])
        assert found.load.start_s is None
        assert any("begins under load" in n and "up to" in n for n in found.notes)
        assert found.fast and abs(found.value - h.die_k) <= found.u95 < 0.3

    def test_a_log_that_only_cools_says_so(self) -> None:
        rng = np.random.default_rng(10)
        t = np.arange(0.0, 3000.0, 2.0)
        coolant = 21 + 10 * np.exp(-t / 500) + rng.normal(0, 0.03, t.size)
        air = np.full(t.size, 21.0) + rng.normal(0, 0.03, t.size)
        found = settle(t, coolant, over=air, load=np.full(t.size, 20.0) + rng.normal(0, 0.3, t.size), air=air)
        assert any("only cools down" in n for n in found.notes)

    def test_a_plain_warm_up_needs_no_note(self) -> None:
        h = one_part(np.random.default_rng(11))
        assert settle(h.times, h.die, over=h.coolant, load=h.power, air=h.air).notes == ()
