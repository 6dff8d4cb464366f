"""Steps that were to be set are held against the channel that would show it."""

from __future__ import annotations

import numpy as np

from kuffin.core.bench.conditions import Stretch
from kuffin.core.bench.protocol import Step
from kuffin.core.bench.stepcheck import step_doubts

T = np.arange(0.0, 3000.0, 2.0)
STEPS = tuple(
    Step(
        name=f"pump {p} %",
        load="bounce",
        power_w=power,
        pump_percent=p,
        fan_percent=55.0,
        settle="clock",
        longest_min=10,
        measure_min=3,
    )
    for p, power in ((40, 180.0), (60, 180.0), (80, 240.0))
)
HELD = tuple(Stretch(s.name, 1000.0 * i, 1000.0 * (i + 1)) for i, s in enumerate(STEPS))


def steps(*levels: float) -> np.ndarray:
    return np.repeat(levels, T.size // 3).astype(float) + np.random.default_rng(1).normal(0, 5, T.size)


def test_what_was_set_raises_nothing() -> None:
    assert step_doubts(T, {"pump": steps(1900, 2900, 3800), "power": steps(181, 179, 243)}, STEPS, HELD) == []


def test_a_speed_that_did_not_move_or_went_the_other_way_was_not_set() -> None:
    found = step_doubts(T, {"pump": steps(2900, 2905, 2400), "power": steps(181, 179, 243)}, STEPS, HELD)
    assert [(d.step, d.refuted) for d in found] == [("pump 60 %", True), ("pump 80 %", True)]
    assert "had to go from 40 to 60 %" in found[0].said and "rpm" in found[0].said


def test_a_power_out_of_range_was_not_set_and_what_no_channel_shows_is_said() -> None:
    found = step_doubts(T, {"pump": None, "power": steps(181, 179, 180)}, STEPS, HELD)
    assert [(d.step, d.refuted) for d in found] == [
        ("pump 80 %", True),
        ("pump 40 %", False),
        ("pump 60 %", False),
        ("pump 80 %", False),
    ]
    assert "180 W were read" in found[0].said and "no channel shows the pump at 60 %" in found[2].said
