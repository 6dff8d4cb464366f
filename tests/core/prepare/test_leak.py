"""The leak test on simulated holds whose leak is known: physics of a closed volume, a drifting room, a coarse gauge."""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np
import pytest

from kuffin.core.base.errors import BenchError
from kuffin.core.prepare.leak import ATMOSPHERE_KPA, highest_pressure, judge_leak


@dataclass(frozen=True)
class Hold:
    """A hold with its truth: loss in kPa a quarter of an hour at the start."""

    times: np.ndarray
    gauge: np.ndarray
    temperature: np.ndarray
    loss_kpa: float
    volume_ml: float
    count: float


def hold(rng: np.random.Generator, loss_kpa: float, minutes: float | None = None) -> Hold:
    """Air in a closed volume: ``pV = nRT``, leaking in proportion to its pressure over air, while the room drifts.

    The gauge rounds to its count, the thermometer feels the air inside with a lag and a share of its change only, the
    weather moves the gauge's zero, and air that was pumped in cools for a minute or two.
    """
    minutes = float(rng.uniform(8, 45)) if minutes is None else minutes
    step = float(rng.choice([5, 15, 30, 60]))
    t = np.arange(0, minutes * 60 + 1, step)
    count = float(rng.choice([0.05, 0.1, 0.5, 1.0]))
    room = 21 + rng.uniform(-1.5, 1.5) * t / 1800 + rng.uniform(0, 0.4) * np.sin(2 * np.pi * t / rng.uniform(600, 1800))
    air = room[0] + rng.uniform(0.8, 1.2) * (room - room[0]) + rng.uniform(0, 2) * np.exp(-t / 60)
    start = float(rng.uniform(20, 70))
    rate = loss_kpa / 900 / start
    over = start * np.exp(-rate * t)
    absolute = (over + ATMOSPHERE_KPA) * (air + 273.15) / (air[-1] + 273.15)
    weather = rng.uniform(-0.08, 0.08) * t / 3600
    gauge = np.round((absolute - ATMOSPHERE_KPA - weather + rng.normal(0, 0.3 * count, t.size)) / count) * count
    return Hold(
        t, gauge, np.round(room + rng.normal(0, 0.03, t.size), 1), loss_kpa, float(rng.uniform(150, 900)), count
    )


def judged(h: Hold):
    return judge_leak(h.times, h.gauge, h.temperature, volume_ml=h.volume_ml, gauge_count_kpa=h.count)


def test_no_tight_loop_fails_and_no_leak_above_the_smallest_passes() -> None:
    rng = np.random.default_rng(20)
    verdicts = {"pass": 0, "fail": 0, "hold": 0}
    for _ in range(500):
        found = judged(hold(rng, 0.0))
        verdicts[found.verdict] += 1
        assert found.verdict != "fail"
    assert verdicts["pass"] > 100  # it does come to an end
    caught = 0
    for _ in range(500):
        truth = float(np.exp(rng.uniform(np.log(0.05), np.log(8))))
        h = hold(rng, truth)
        found = judged(h)
        span = h.times[-1]
        mean_loss = truth * (1 - np.exp(-truth / 900 / h.gauge[0] * span)) / (truth / 900 / h.gauge[0] * span)
        if found.verdict == "pass":
            assert mean_loss < found.smallest_kpa
        caught += found.verdict == "fail"
    assert caught > 100


def test_by_hand_a_gas_that_only_cools_has_lost_nothing() -> None:
    t = np.arange(0, 1801, 60.0)
    temperature = 22 - 2 * t / 1800
    gauge = (40 + ATMOSPHERE_KPA) * (temperature + 273.15) / 295.15 - ATMOSPHERE_KPA
    assert gauge[0] - gauge[-1] == pytest.approx(0.958, abs=0.002)  # 141.3 kPa · 2/295.15: a kilopascal for nothing
    found = judge_leak(t, gauge, temperature, volume_ml=500, gauge_count_kpa=0.05)
    assert np.allclose(found.corrected_kpa, 40.0)
    assert found.verdict != "fail"
    assert abs(found.loss_kpa) < 1e-9
    without = judge_leak(t, gauge, None, volume_ml=500, gauge_count_kpa=0.05)
    assert without.half_width_kpa > found.half_width_kpa  # nobody knows what the temperature did


def test_a_hold_too_short_says_how_long_it_must_be_and_then_passes() -> None:
    rng = np.random.default_rng(3)
    short = hold(rng, 0.0, minutes=4)
    short = Hold(short.times, short.gauge, short.temperature, 0, 400.0, 0.1)
    found = judge_leak(short.times, short.gauge, short.temperature, volume_ml=400, gauge_count_kpa=0.1)
    assert found.verdict == "hold" and found.needed_s is not None and "min more" in found.sentence
    t = np.arange(0, found.needed_s * 1.3, 15.0)
    gauge = np.round(np.full(t.size, 40.0) + rng.normal(0, 0.03, t.size), 1)
    longer = judge_leak(t, gauge, np.full(t.size, 21.0), volume_ml=400, gauge_count_kpa=0.1)
    assert longer.verdict == "pass"


def test_rising_pressure_and_readings_that_make_no_sense_are_said() -> None:
    t = np.arange(0, 1200, 30.0)
    assert "rises" in judge_leak(t, 30 + t / 200, np.full(t.size, 21.0), volume_ml=400).sentence
    for times, gauge in ((t[::-1], 30 + 0 * t), (t[:1], [30.0]), (t, np.full(t.size, -200.0))):
        with pytest.raises(BenchError):
            judge_leak(np.asarray(times), np.asarray(gauge), None, volume_ml=400)


def test_the_weakest_part_sets_the_pressure() -> None:
    assert highest_pressure({"Reed": 70.0, "Tern": 50.0, "tube": None}) == (50.0, "Tern", ["tube"])
    assert highest_pressure({"tube": None})[0] is None
