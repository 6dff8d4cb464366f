"""Leading a run: by itself where it can, with the person where it must."""

from __future__ import annotations

from dataclasses import replace

import pytest

from kuffin.core.base.errors import BenchError
from kuffin.core.bench.leading import Leader, to_do
from kuffin.core.bench.protocol import Step, check, with_mount_check

STEPS = (
    Step(name="idle", settle="clock", longest_min=5, measure_min=2),
    Step(name="load", load="bounce", longest_min=20, measure_min=5),
    Step(name="cool down", settle="clock", longest_min=8, measure_min=0),
)


def course(leader: Leader, settled_from_s: float = 1e9) -> dict[str, int]:
    seen: dict[str, int] = {}
    for second in range(0, 60 * 60):
        stage = leader.at(float(second), second >= settled_from_s)
        seen.setdefault(f"{stage.words} {stage.why}".strip() if stage is not None else "over", second)
    return seen


def test_it_leads_by_the_clock_where_nothing_settles() -> None:
    assert course(Leader(STEPS)) == {
        "idle, waiting": 0,
        "idle, measuring by the clock": 300,
        "load, warming up measured": 420,
        "load, measuring the longest time is over, not settled": 1620,
        "cool down, waiting measured": 1920,
        "over": 2400,
    }


def test_it_measures_as_soon_as_it_has_settled() -> None:
    seen = course(Leader(STEPS), settled_from_s=1000)
    assert seen["load, measuring settled"] == 1000 and seen["over"] == 1000 + 300 + 480


def test_a_load_by_hand_is_waited_for_at_its_start_and_at_its_end() -> None:
    leader = Leader(STEPS, lambda _: ())
    seen = course(leader)
    assert seen["load, waiting for you measured"] == 420 and "over" not in seen
    leader.acted(3600)
    assert leader.stage is not None and leader.stage.words == "load, warming up" and leader.left_s(3600) == 1200
    assert leader.left_s(3600, expected_s=700.0) == 700.0
    leader.at(4800, False)
    stage = leader.at(5100, False)
    assert stage is not None and stage.words == "cool down, waiting for you"


def test_a_mount_check_comes_before_the_full_load_and_holds_where_it_looks_bad() -> None:
    steps = with_mount_check((STEPS[0], replace(STEPS[1], power_w=180.0), STEPS[2]))
    assert [(s.name, s.power_w) for s in steps[:3]] == [("idle", None), ("mount check", 90.0), ("load", 180.0)]
    check(steps)
    with pytest.raises(BenchError, match="under the first load, before any other"):
        check((*steps[:1], steps[2], steps[1], *steps[3:]))
    for looks_bad, words in (
        (False, "load, warming up"),
        (True, "mount check, warming up"),
        (None, "mount check, warming up"),
    ):
        leader = Leader(steps)
        for second in range(0, 560):
            leader.at(float(second), False, looks_bad if second >= 545 else None)
        assert leader.stage is not None and leader.stage.words == words and leader.stage.held == bool(looks_bad)
    # it looked bad: held until a person carries on; without an answer the full load comes in the end, and why is said
    bad = Leader(steps)
    for second in range(0, 3000):
        bad.at(float(second), False, True if second >= 545 else None)
    assert bad.stage is not None and bad.stage.held and bad.stage.number == 2
    bad.hold(False, 3000)
    assert (bad.stage.number, bad.stage.why) == (3, "carried on")
    none = Leader(steps)
    for second in range(0, 725):
        none.at(float(second), False)
    assert none.stage is not None and (none.stage.number, none.stage.why) == (3, "the mount could not be checked")


def test_holding_repeating_and_skipping() -> None:
    leader = Leader(STEPS)
    leader.at(300, False)
    leader.hold(True, 310)
    held = leader.at(3000, False)
    assert held is not None and held.words == "idle, measuring" and leader.left_s(3000) is None
    leader.hold(False, 3000)
    assert leader.left_s(3000) == 120  # a measurement that was held begins anew
    leader.skip(3010)
    assert leader.stage is not None and leader.stage.words == "load, warming up"
    leader.skip(3100)
    assert leader.stage.words == "load, measuring"
    leader.repeat(3200)
    assert (leader.stage.words, leader.stage.attempt, leader.stage.begun_s) == ("load, warming up", 2, 3200)


def test_what_the_bench_does_not_set_is_asked_for_and_confirmed() -> None:
    steps = (
        Step(
            name="idle",
            load="",
            power_w=None,
            pump_percent=60.0,
            fan_percent=55.0,
            settle="clock",
            longest_min=1,
            measure_min=0,
        ),
        Step(
            name="low",
            load="bounce",
            power_w=180.0,
            pump_percent=60.0,
            fan_percent=55.0,
            settle="clock",
            longest_min=1,
            measure_min=1,
        ),
        Step(
            name="high",
            load="bounce",
            power_w=240.0,
            pump_percent=40.0,
            fan_percent=55.0,
            settle="clock",
            longest_min=1,
            measure_min=1,
        ),
    )
    asked = [to_do(s, b, ()) for s, b in zip(steps, (None, *steps), strict=False)]
    assert asked == [
        ("set the pump to 60 %", "set the fans to 55 %"),
        ("start the load “bounce” at 180 W",),
        ("set the pump to 40 %", "set the load to 240 W"),
    ]
    assert to_do(steps[2], steps[1], {"load", "power_w"}) == ("set the pump to 40 %",)
    leader = Leader(steps, lambda _: {"load", "power_w"})
    assert leader.stage is not None and leader.stage.phase == "waiting"
    leader.acted(5)
    leader.at(65, False)
    assert leader.stage.phase == "settling" and leader.stage.step.name == "low"
    leader.at(125, False)
    stage = leader.at(185, False)
    assert stage is not None and (stage.phase, stage.to_do) == ("waiting", ("set the pump to 40 %",))
