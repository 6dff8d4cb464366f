"""Limits: a wild reading stops nothing, a real one does; each kind at the value it should."""

from __future__ import annotations

from collections.abc import Iterable, Mapping

import numpy as np
import pytest

from kuffin.core.bench.limits import Alarm, Limits, Watch, watchable

ALL = Limits(die_c=90.0, coolant_c=50.0, flow_l_h=60.0, pump_rpm=1500.0, rise_k_min=3.0)


def course(
    watch: Watch, rows: Iterable[Mapping[str, float]], every_s: float = 1.0, loaded: bool = True
) -> list[tuple[float, Alarm]]:
    found = []
    for i, values in enumerate(rows):
        found += [
            (i * every_s, a) for a in watch.look(i * every_s, [(role, role, v) for role, v in values.items()], loaded)
        ]
    return found


SOUND = {"die": 70.0, "coolant": 35.0, "flow": 140.0, "pump": 2900.0, "leak": 0.0}


def test_all_is_quiet_while_all_is_well_and_after_one_wild_reading() -> None:
    rows = [dict(SOUND) for _ in range(300)]
    rows[100]["die"] = 127.0
    rows[150]["flow"] = 0.0
    rows[200]["coolant"] = 999.9
    assert course(Watch(limits=ALL), rows) == []


@pytest.mark.parametrize(
    ("change", "says"),
    [
        ({"die": 91.0}, "the die is at 91 °C, past its limit of 90 °C"),
        ({"hot_spot": 106.0}, "the hot spot is at 106 °C"),
        ({"coolant": 51.0}, "the coolant is at 51 °C"),
        ({"flow": 20.0}, "the flow has fallen to 20 L/h, under 60 L/h"),
        ({"pump": 0.0}, "the pump has fallen to 0 rpm"),
        ({"leak": 1.0}, "the leak sensor answers"),
    ],
)
def test_what_stays_past_a_limit_stops_within_five_seconds(change: dict[str, float], says: str) -> None:
    rows = [dict(SOUND) for _ in range(20)] + [{**SOUND, **change} for _ in range(10)]
    stops = [(t, a) for t, a in course(Watch(limits=ALL), rows) if a.stop]
    assert stops and stops[0][0] <= 25 and says in stops[0][1].sentence


def test_close_to_a_limit_warns_and_does_not_stop() -> None:
    found = course(Watch(limits=ALL), [{**SOUND, "die": 88.0} for _ in range(20)])
    assert found and not any(a.stop for _, a in found) and "close to its limit" in found[0][1].sentence


def test_a_pump_that_has_not_started_yet_is_no_alarm_before_the_load() -> None:
    rows = [{**SOUND, "flow": 0.0, "pump": 0.0} for _ in range(30)]
    assert course(Watch(limits=ALL), rows, loaded=False) == []
    assert any(a.stop for _, a in course(Watch(limits=ALL), rows, loaded=True))


def test_the_rate_of_rise_is_told_from_noise_and_a_usual_warm_up() -> None:
    rng = np.random.default_rng(1)
    usual = [{"coolant": 25 + 10 * (1 - np.exp(-t / 480)) + rng.normal(0, 0.1)} for t in range(600)]
    assert course(Watch(limits=ALL), usual) == []  # 1.25 K/min at its fastest
    no_flow = [{"coolant": 25 + 0.1 * t + rng.normal(0, 0.1)} for t in range(120)]  # 6 K/min
    stops = [t for t, a in course(Watch(limits=ALL), no_flow) if a.stop]
    assert stops and stops[0] <= 40


def test_a_die_that_goes_silent_under_load_is_said() -> None:
    rows = [dict(SOUND) for _ in range(10)] + [{**SOUND, "die": float("nan")} for _ in range(30)]
    found = course(Watch(limits=ALL), rows)
    assert any("said nothing" in a.sentence and not a.stop for _, a in found)


@pytest.mark.parametrize(
    ("cool", "hot", "says"),
    [
        (("first", "die", 60.0), ("second", "die", 99.0), "the die (second) is at 99 °C, past its limit of 90 °C"),
        (("in", "coolant_in", 30.0), ("out", "coolant_out", 56.0), "the coolant (out) is at 56 °C"),
        (("a", "flow", 120.0), ("b", "flow", 20.0), "the flow (b) has fallen to 20 L/h"),
        (("a", "leak", 0.0), ("b", "leak", 1.0), "the leak sensor answers"),
    ],
)
def test_no_channel_hides_behind_another(cool: tuple[str, str, float], hot: tuple[str, str, float], says: str) -> None:
    """Two dies at 60 and 99 °C, limit 90: the worst counts, in whichever order they come."""
    for rows in ([cool, hot], [hot, cool]):
        watch = Watch(limits=ALL)
        watch.look(0.0, [(n, r, 150.0 if r == "flow" else 20.0 * (r != "leak")) for n, r, _ in rows], True)
        found = [a for t in range(1, 8) for a in watch.look(float(t), rows, True) if a.stop]
        assert found and says in found[0].sentence


def test_one_die_of_two_that_goes_silent_is_said() -> None:
    watch = Watch(limits=ALL)
    watch.look(0.0, [("first", "die", 60.0), ("second", "die", 61.0)], True)
    found = [a for t in range(1, 30) for a in watch.look(float(t), [("first", "die", 60.0)], True)]
    assert any("the die (second) has said nothing" in a.sentence for a in found)


def test_whatever_falls_silent_and_is_needed_is_said() -> None:
    limits = Limits(die_c=90.0, coolant_c=50.0, flow_l_h=60.0)
    rows = [("Die", "die", 60.0), ("Loop", "coolant", 30.0), ("Flow", "flow", 120.0), ("Room", "room", 21.0)]
    others = [("Fan", "fan", 900.0), ("Noise", None, 30.0)]
    for loaded in (True, False):
        for silent, says in (
            ("Loop", "the coolant (Loop) has said nothing for 16 s: its limit is not watched"),
            ("Flow", "the flow (Flow) has said nothing for 16 s: its limit is not watched"),
            ("Room", "the air (Room) has said nothing for 16 s: what rests on it cannot be told"),
            ("Fan", ""),
            ("Noise", ""),
        ):
            watch = Watch(limits=limits)
            watch.look(0.0, [*rows, *others], loaded)
            spoken = [r if r[0] != silent else (r[0], r[1], float("nan")) for r in [*rows, *others]]
            found = [watch.look(float(t), spoken, loaded) for t in range(1, 17)]
            assert [a.sentence for a in found[-1]] == ([says] if says else []), silent
            assert not any(a for one in found[:-1] for a in one)
    never = Watch(limits=limits)  # what has never spoken was never watched: that is said before the start
    assert [a for t in range(60) for a in never.look(float(t), rows[:2], True)] == []
    slow = Watch(limits=limits, patience_s={"Loop": 240.0})
    slow.look(0.0, rows, True, {"Loop": 0.0})
    rest = [r for r in rows if r[0] != "Loop"]
    assert slow.look(200.0, [*rest, ("Loop", "coolant", float("nan"))], True, {"Loop": 0.0}) == []
    assert len(slow.look(250.0, [*rest, ("Loop", "coolant", float("nan"))], True, {"Loop": 0.0})) == 1


def test_what_no_channel_tells_is_not_said_to_be_watched() -> None:
    watched, without = watchable(ALL, {"die", "coolant_in", None})
    assert without == ["flow", "pump speed", "leak sensor"]
    assert watched == Limits(die_c=90.0, coolant_c=50.0, flow_l_h=None, pump_rpm=None, rise_k_min=3.0, leak=False)
    assert watchable(Limits(die_c=None, coolant_c=None, leak=False), set()) == (
        Limits(die_c=None, coolant_c=None, leak=False),
        [],
    )


def test_limits_from_an_older_notebook_and_in_words() -> None:
    old = Limits.from_plain({"die_c": 90.0, "coolant_c": 50.0, "flow_l_h": None, "unknown": 1})
    assert old == Limits(die_c=90.0, coolant_c=50.0)
    assert old.sentence() == "the load is stopped at: die at 90 °C, coolant at 50 °C, a leak sensor that answers"
    assert Limits(die_c=None, coolant_c=None, leak=False).sentence() == "no limit is set"
