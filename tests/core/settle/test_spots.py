"""A few typed readings beside a recorded run hold the truth, though the warm-up goes on."""

from __future__ import annotations

import numpy as np
import pytest

from kuffin.core.settle.spots import spot_reading

BEGIN = 240.0


def run(rng: np.random.Generator, minutes: list[float], rise_k: float) -> tuple[np.ndarray, ...]:
    """A coolant that still warms up, and memory that was read with an infrared meter a few times, in whole degrees."""
    t = np.arange(0.0, 2400.0, 2.0)
    coolant = 22 + 12 * -np.expm1(-np.maximum(t - BEGIN, 0) / 600) + rng.normal(0, 0.05, t.size)
    power = np.where(t > BEGIN, 200.0, 15.0)
    memory = np.full(t.size, np.nan)
    for m in minutes:
        i = int(np.searchsorted(t, BEGIN + 60 * m))
        memory[i] = np.round(coolant[i] + rise_k + rng.normal(0, 0.4))
    return t, memory, coolant, power


def test_two_or_three_spots_hold_the_truth() -> None:
    rng = np.random.default_rng(8)
    held = 0
    for _ in range(500):
        rise = float(rng.uniform(15, 30))
        minutes = sorted(rng.uniform(8, 34, int(rng.integers(2, 4))).tolist())
        t, memory, coolant, _ = run(rng, minutes, rise)
        spots = spot_reading(t, memory, coolant, None, BEGIN, 2400.0)
        assert spots is not None and spots.step == 1.0
        reading = spots.worked("K")
        held += abs(reading.value - rise) <= (reading.u95 or 0.0)
    assert held / 500 >= 0.93


@pytest.mark.parametrize("minutes", [[20.0], [1.0, 2.0], [float(m) for m in range(6, 16)]])
def test_one_or_too_early_or_so_many_that_it_is_a_trace_is_none(minutes: list[float]) -> None:
    t, memory, coolant, _ = run(np.random.default_rng(1), minutes, 20.0)
    assert spot_reading(t, memory, coolant, None, BEGIN, 2400.0) is None


def test_per_watt_takes_the_power_of_the_moment() -> None:
    t, memory, coolant, power = run(np.random.default_rng(2), [15.0, 25.0], 20.0)
    power[t > BEGIN + 1200] = 210.0
    spots = spot_reading(t, memory, coolant, power, BEGIN, 2400.0)
    plain = spot_reading(t, memory, coolant, None, BEGIN, 2400.0)
    assert spots is not None and plain is not None
    assert spots.values == pytest.approx((plain.values[0] / 200, plain.values[1] / 210))
    assert spots.step == pytest.approx(1 / 205)
