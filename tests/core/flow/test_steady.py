"""Steady stretches: a valve that is closed step by step gives one pair for each step, and nothing from between them."""

from __future__ import annotations

import numpy as np
import pytest

from kuffin.core.base.errors import BenchError, CompareError
from kuffin.core.flow.curvekinds import CURVE_KINDS, checked_rows, kinds_for
from kuffin.core.flow.steady import steady_stretches

HELD = (240.0, 180.0, 130.0, 90.0)


def valve_log(rng: np.random.Generator, held_s: float, turn_s: float) -> tuple[np.ndarray, np.ndarray, np.ndarray]:
    """Each setting is held, then the valve is turned slowly to the next."""
    corners = [(0.0, HELD[0])]
    for a, b in zip(HELD, (*HELD[1:], HELD[-1]), strict=True):
        at = corners[-1][0]
        corners += [(at + held_s, a), (at + held_s + turn_s, b)]
    t = np.arange(0.0, corners[-1][0], 0.5)
    flow = np.interp(t, *zip(*corners, strict=True))
    drop = 0.012 * flow + 3.1e-4 * flow**2
    return t, flow + rng.normal(0, 0.8, t.size), drop + rng.normal(0, 0.05, t.size)


@pytest.mark.parametrize(("held_s", "turn_s"), [(30.0, 5.0), (60.0, 20.0), (15.0, 3.0)])
def test_each_setting_of_the_valve_gives_one_pair(held_s: float, turn_s: float) -> None:
    for seed in range(20):
        found = steady_stretches(*valve_log(np.random.default_rng(seed), held_s, turn_s))
        assert len(found) == len(HELD)
        for s, flow in zip(found, HELD, strict=True):
            assert s.flow == pytest.approx(flow, abs=1.2)
            assert s.pressure == pytest.approx(0.012 * flow + 3.1e-4 * flow**2, rel=0.015)


def test_a_log_in_which_nothing_was_held_is_said_to_be_one() -> None:
    t = np.arange(0.0, 120.0, 0.5)
    flow = 250 - 1.5 * t
    with pytest.raises(CompareError, match="never held"):
        steady_stretches(t, flow, 3e-4 * flow**2)
    with pytest.raises(CompareError, match="never there together"):
        steady_stretches(t, flow, np.full(t.size, np.nan))


def test_rows_are_filled_in_and_what_cannot_be_is_named() -> None:
    assert checked_rows(CURVE_KINDS["pump"], [[100.0, 20.0]]) == [[100.0, 20.0, 100.0]]
    with pytest.raises(BenchError, match=r"row 2, drop: −3 kPa is outside"):
        checked_rows(CURVE_KINDS["restriction"], [[100.0, 4.0, 1.0], [120.0, -3.0, 1.0]])
    with pytest.raises(BenchError, match="row 1 has no drop"):
        checked_rows(CURVE_KINDS["restriction"], [[100.0, None]])
    assert [k.key for k in kinds_for("radiator")] == ["restriction", "with and without"]
    assert kinds_for("coolant") == [] and kinds_for("fan") == []
