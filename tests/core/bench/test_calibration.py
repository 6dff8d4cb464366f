"""Calibration against closed forms, and what must be refused."""

from __future__ import annotations

import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st

from kuffin.core.base.errors import BenchError
from kuffin.core.bench.calibration import Calibration, level, two_points

probes = st.dictionaries(st.text(min_size=1, max_size=4), st.floats(21.0, 23.0), min_size=2, max_size=8)


@given(probes)
def test_levelled_probes_agree_and_their_median_stays(readings: dict[str, float]) -> None:
    added = level(readings)
    after = np.array([readings[k] + added[k] for k in readings])
    assert np.ptp(after) < 1e-9
    assert after[0] == pytest.approx(np.median(list(readings.values())))


def test_against_a_trusted_thermometer() -> None:
    assert level({"a": 22.4, "b": 21.9}, reference=22.0) == pytest.approx({"a": -0.4, "b": 0.1})


def test_a_probe_far_off_is_not_bent_to_fit() -> None:
    with pytest.raises(BenchError, match=r"b \(31\.0 °C\) is more than 3 K from 22\.\d °C"):
        level({"a": 22.0, "b": 31.0, "c": 22.2})
    with pytest.raises(BenchError, match="at least two probes"):
        level({"a": 22.0, "b": float("nan")})


@given(st.floats(0.9, 1.1), st.floats(-3, 3), st.floats(-5, 5), st.floats(40, 95))
def test_two_points_undo_a_straight_error(gain: float, offset: float, cold: float, warm: float) -> None:
    def reads(true: float) -> float:
        return (true - offset) / gain

    found = two_points(reads(cold), cold, reads(warm), warm)
    assert found.apply(reads(30.0)) == pytest.approx(30.0, abs=1e-6)


@pytest.mark.parametrize("points", [(20, 20, 22, 22), (0, 0, 0, 50), (0, 0, 90, 50)])
def test_points_that_make_no_sense_are_refused(points: tuple[float, ...]) -> None:
    with pytest.raises(BenchError):
        two_points(*points)


def test_in_words() -> None:
    assert Calibration().words == "as it reads"
    assert Calibration(1.0, -0.2, "typed").words == "− 0.2, typed"
