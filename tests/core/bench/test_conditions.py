"""Load steps found in a run: from what the recorder wrote down, or from power, pump and fans."""

from __future__ import annotations

import numpy as np
import pytest
from numpy.typing import NDArray

from kuffin.core.bench.conditions import condition_words, jumps, main_condition, of_steps, stretches_of
from kuffin.core.bench.protocol import Step

Array = NDArray[np.float64]
T = np.arange(0.0, 4200.0, 2.0)
POWERS = (120.0, 180.0, 240.0)
STEPS = (
    Step(name="idle", measure_min=0),
    *(Step(name=f"load {p:g} W", load="batch stretch", power_w=p) for p in POWERS),
    Step(name="cool down", measure_min=0),
)


def load(levels: tuple[float, ...], dips: bool, seed: int = 1, end: float = 3400.0) -> Array:
    """Idle for four minutes, each power for 1,000 s, then idle; with dips between passes of 96 s or without."""
    power = np.full(T.size, 24.0)
    for i, level in enumerate(levels):
        power[240 + 1000 * i <= T] = level
    if dips:
        power[((T - 240) % 96 > 88) & (T >= 240)] = 60.0
    power[end <= T] = 24.0
    return power * (1 + 0.01 * np.random.default_rng(seed).normal(size=T.size))


@pytest.mark.parametrize("dips", [False, True])
@pytest.mark.parametrize("order", [(120.0, 180.0, 240.0), (240.0, 180.0, 120.0), (180.0, 240.0, 120.0)])
def test_powers_are_found_in_any_order_with_dips_or_without(order: tuple[float, ...], dips: bool) -> None:
    found, problem = stretches_of(T, {"power": load(order, dips)}, STEPS)
    assert problem == ""
    for i, level in enumerate(order):
        step = next(s for s in found if s.name == f"load {level:g} W")
        assert step.begin_s == pytest.approx(240 + 1000 * i, abs=10)
        assert step.end_s == pytest.approx((1240, 2240, 3400)[i], abs=10)


def test_a_missing_step_is_named_and_the_others_are_judged() -> None:
    found, problem = stretches_of(T, {"power": load((120.0, 180.0), False)}, STEPS)
    assert [s.name for s in found] == ["load 120 W", "load 180 W"]
    assert "load 240 W" in problem


def test_fans_at_one_power_are_found_by_their_speed() -> None:
    rng = np.random.default_rng(2)
    fan = np.where(T < 1240, 600.0, np.where(T < 2240, 900.0, 1200.0)) + rng.normal(0, 4, T.size)
    steps = [
        Step(name="idle", measure_min=0),
        *(Step(name=f"fans {p:g} %", load="x", power_w=180.0, fan_percent=p) for p in (40.0, 60.0, 80.0)),
    ]
    found, problem = stretches_of(T, {"power": load((180.0,), True, end=9e9), "fan": fan}, steps)
    assert problem == ""
    assert [round(s.begin_s, -1) for s in found] == [240, 1240, 2240]
    lacking = stretches_of(T, {"power": load((180.0,), True), "fan": None}, steps)
    assert lacking[0] == [] and "role “fan”" in lacking[1]


def test_what_the_recorder_wrote_goes_before_what_is_seen() -> None:
    stages = [(0.0, 1), (250.0, 2), (1250.0, 3), (1400.0, 3), (2250.0, 4), (3300.0, 5)]
    found, problem = stretches_of(T, {"power": None}, STEPS, stages)
    assert problem == ""
    assert [(s.begin_s, s.end_s) for s in found] == [(250, 1250), (1250, 2250), (2250, 3300)]
    assert "load 240 W" in stretches_of(T, {"power": None}, STEPS, stages[:4])[1]


def test_a_load_that_only_drifts_has_no_steps() -> None:
    rng = np.random.default_rng(3)
    drifting = 200 * (1 + 0.03 * (1 - np.exp(-T / 700))) + rng.normal(0, 1.5, T.size)
    assert jumps(T, drifting) == []


def test_the_main_condition_and_its_words() -> None:
    assert main_condition(STEPS) == "load 240 W"
    assert main_condition(STEPS, "load 120 W") == "load 120 W"
    assert main_condition(STEPS[:2]) is None
    under = [s for s in STEPS if s.load]
    assert condition_words(under[0], under) == "120 W"
    assert condition_words(Step(name="quiet", load="x", power_w=180.0, fan_percent=40.0), ()) == "180 W, fans 40 %"


IDLING = (
    Step(name="idle", measure_min=2),
    Step(name="load", load="batch stretch", power_w=180.0),
    Step(name="cool down", measure_min=0),
)


def test_idle_is_a_condition_where_it_is_asked_for() -> None:
    assert [c.name for c in of_steps(IDLING, idle=True)] == ["idle", "load"] and of_steps(IDLING) == ()
    assert main_condition(IDLING, idle=True) == "load" and main_condition(IDLING) is None
    channels = {"power": load((180.0,), True)}
    assert stretches_of(T, channels, IDLING) == ([], "")
    (before, under), problem = stretches_of(T, channels, IDLING, idle=True)
    assert problem == "" and (before.name, under.name, before.begin_s) == ("idle", "load", 0.0)
    assert before.end_s == under.begin_s == pytest.approx(240, abs=10) and under.end_s == pytest.approx(3400, abs=20)
    assert [s.name for s in stretches_of(T, channels, IDLING, [(0, 1), (240, 2), (3400, 3)], idle=True)[0]] == [
        "idle",
        "load",
    ]


def test_an_idle_that_is_too_short_or_not_seen_is_said() -> None:
    late = T > 150
    (only,), problem = stretches_of(T[late], {"power": load((180.0,), False)[late]}, IDLING, idle=True)
    assert only.name == "load" and "needs two minutes before the load" in problem
    assert "no power channel" in stretches_of(T, {"power": None}, IDLING, idle=True)[1]
