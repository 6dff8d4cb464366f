"""What a run has seen so far speaks as its verdict will."""

from __future__ import annotations

from types import SimpleNamespace
from typing import Any, cast

import pytest

from kuffin.core.bench.devices import ChannelRole, Cooled
from kuffin.core.bench.roles import ROLES
from kuffin.core.findings import CheckLimits
from kuffin.reading.judgingrules import JudgingRules
from kuffin.recording.seen import Seen
from kuffin.said.livewords import stairs


@pytest.mark.parametrize("role", ["die", "hot_spot", "memory", "air_in", "room", "flow", "coolant"])
def test_several_channels_of_a_role_read_live_as_they_are_judged(role: str) -> None:
    channels = [ChannelRole(f"{role} {i}", role) for i in (1, 2)]
    bench: Any = SimpleNamespace(
        roles=channels, instruments=[SimpleNamespace(interval_s=1.0, channels=channels)], interval_s=1.0
    )
    seen = Seen(bench, JudgingRules(steps=(), limits=CheckLimits(), bench=None, shelf=()), cast(Any, None), None)
    for at in range(3):
        seen.add([float(at), 30.0, 40.0])
    now = seen.now(2.0)
    assert now.by_role[role] == (35.0 if ROLES[role].mean else 30.0)
    signals = now.so_far
    assert signals is not None
    judged = {"die": signals.die, "air_in": signals.air, "room": signals.air, "coolant": signals.coolant}.get(role)
    if judged is not None:
        assert judged[-1] == now.by_role[role]


def test_each_device_has_its_step_of_the_live_staircase_over_the_common_coolant() -> None:
    channels = [
        ChannelRole("Room", "room"),
        ChannelRole("Coolant", "coolant"),
        ChannelRole("Card die", "die", "card"),
        ChannelRole("CPU die", "die", "processor"),
        ChannelRole("Card memory", "memory", "card"),
    ]
    bench: Any = SimpleNamespace(
        roles=channels, instruments=[SimpleNamespace(interval_s=1.0, channels=channels)], interval_s=1.0
    )
    cooled = Cooled("card", ("card", "processor"))
    seen = Seen(
        bench, JudgingRules(steps=(), limits=CheckLimits(), bench=None, shelf=(), cooled=cooled), cast(Any, None), None
    )
    for at in range(60):
        seen.add([float(at), 21.0, 30.0, 55.0, 48.0, 60.0])
    moment = seen.now(59.0)
    now = moment.so_far
    assert now is not None
    levels, steps = stairs(now, [("memory", now.further["memory"])], moment.device, moment.others)
    assert [(level.name, level.temperature_c, level.beside) for level in levels] == [
        ("air", 21.0, False),
        ("coolant", 30.0, False),
        ("card", 55.0, False),
        ("processor", 48.0, True),
    ]
    assert [(s.lower, s.upper, s.rise_k) for s in steps][-2:] == [
        ("coolant", "card", 25.0),
        ("coolant", "processor", 18.0),
    ]


def test_what_comes_later_changes_nothing_of_a_moment() -> None:
    channels = [ChannelRole("Room", "room"), ChannelRole("Coolant", "coolant")]
    bench: Any = SimpleNamespace(
        roles=channels, instruments=[SimpleNamespace(interval_s=1.0, channels=channels)], interval_s=1.0
    )
    seen = Seen(bench, JudgingRules(steps=(), limits=CheckLimits(), bench=None, shelf=()), cast(Any, None), None)
    for at in range(3):
        seen.add([float(at), 21.0, 30.0])
    moment = seen.now(2.0)
    for at in range(3, 13_000):  # past the tape's end, so that its rows are thinned out in place
        seen.add([float(at), 25.0, 44.0])
    assert moment.values == {"Room": 21.0, "Coolant": 30.0} and moment.rows[:, 2].tolist() == [30.0] * 3
    assert moment.so_far is not None and moment.so_far.coolant is not None
    assert moment.so_far.coolant.tolist() == [30.0] * 3
    assert seen.now(13_000.0).by_role["coolant"] == 44.0
