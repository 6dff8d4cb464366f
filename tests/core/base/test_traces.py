"""Traces: quanta, spikes, boxes, lags, autocorrelation; against closed forms."""

from __future__ import annotations

import itertools

import numpy as np
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st
from scipy import ndimage

from kuffin.core.base.boxes import box_means
from kuffin.core.base.traces import inflation, lagged, lone_spikes, quantum, smooth_spikes


@pytest.mark.parametrize("q", [1.0, 0.5, 0.1, 0.0625])
def test_the_step_of_a_coarse_sensor_is_found(q: float) -> None:
    rng = np.random.default_rng(1)
    values = np.round((40 + rng.normal(0, 2.2 * q, 800)) / q) * q
    assert quantum(values) == pytest.approx(q, rel=1e-6)


def test_a_few_glitches_do_not_hide_the_step() -> None:
    rng = np.random.default_rng(8)
    values = np.round((30 + rng.normal(0, 0.1, 600)) / 0.1) * 0.1
    values[[50, 200, 410]] = [33.4372, 999.9, 38.019]
    assert quantum(values) == pytest.approx(0.1)
    assert smooth_spikes(values).sum() == 3


def test_a_fine_sensor_has_no_step() -> None:
    assert quantum(np.random.default_rng(2).normal(size=500)) == 0.0
    assert quantum(np.full(100, 3.0)) == 0.0
    assert quantum(np.full(10, np.nan)) == 0.0


@pytest.mark.parametrize("nonsense", [0.0, -40.0, 127.0, 999.9, 31.5])
def test_a_glitch_in_a_smooth_trace_is_marked_and_nothing_else(nonsense: float) -> None:
    rng = np.random.default_rng(3)
    t = np.arange(600.0)
    values = np.round(30 - 6 * np.exp(-t / 200) + rng.normal(0, 0.05, t.size), 1)
    values[[150, 420]] = nonsense
    marked = smooth_spikes(values)
    assert marked[150]
    assert marked[420]
    assert marked.sum() <= 4


def as_defined(values: np.ndarray, window: int = 11, mads: float = 6.0) -> np.ndarray:
    """The filter of `smooth_spikes` as it is defined, at every sample."""
    marked, there = np.zeros(values.size, bool), np.isfinite(values)
    x = values[there]
    if x.size < window:
        return marked
    away = np.abs(x - ndimage.median_filter(x, window, mode="nearest"))
    around = np.lib.stride_tricks.sliding_window_view(np.pad(away, window // 2, mode="edge"), window)
    spread = 1.4826 * np.median(around, axis=1)
    least = max(0.75 * mads * 1.4826 * float(np.median(away)), 3 * quantum(x), 1e-9)
    marked[there] = (away > least) & (away > mads * spread)
    return marked


@settings(max_examples=150, deadline=None)
@given(st.integers(0, 2**32 - 1), st.sampled_from(["noisy", "coarse", "heavy", "bare"]), st.floats(0.0, 0.2))
def test_spikes_are_sought_only_where_they_can_be_and_none_is_missed(seed: int, kind: str, missing: float) -> None:
    rng = np.random.default_rng(seed)
    n = int(rng.integers(5, 900))
    values = 30 + 6 * np.sin(np.arange(n) / rng.uniform(5, 300))
    if kind != "bare":
        values += np.cumsum(rng.normal(0, 0.02, n)) + rng.normal(0, 0.05, n)
    if kind == "coarse":
        values = np.round(2 * values) / 2
    if kind == "heavy":
        values += 0.1 * rng.standard_t(1.5, n)
    for at in rng.integers(0, n, rng.integers(0, 9)):
        values[at : at + rng.integers(1, 4)] += rng.choice([-1, 1]) * rng.uniform(0.1, 60)
    values[rng.random(n) < missing] = np.nan
    assert np.flatnonzero(smooth_spikes(values)).tolist() == np.flatnonzero(as_defined(values)).tolist()


@settings(max_examples=200, deadline=None)
@given(st.integers(0, 2**32 - 1))
def test_boxes_are_means_of_the_line_through_what_is_there(seed: int) -> None:
    """By the definition, box by box: missing samples as if they had never been, boxes that are mostly a gap unknown."""
    rng = np.random.default_rng(seed)
    t = np.cumsum(rng.choice([1.0, 1.0, 0.5, 7.0, 40.0], int(rng.integers(3, 200))))
    x = np.cumsum(rng.normal(0, 1, t.size))
    for at in rng.integers(0, t.size, rng.integers(0, 5)):
        x[at : at + rng.integers(1, 30)] = np.nan
    width, starts = float(rng.choice([2.0, 5.0, 30.0])), np.arange(t[0] - 20, t[-1] + 20, 3.0)
    found = box_means(t, x, width, starts)
    there = np.isfinite(x)
    if there.sum() < 2:
        assert np.isnan(found).all()
        return
    t, x = t[there], x[there]
    long = max(0.5 * width, 3 * float(np.median(np.diff(t))))
    gaps = [(a, b) for a, b in itertools.pairwise(t) if b - a > long]
    for begin, mean in zip(starts, found, strict=True):
        end = begin + width
        lost = sum(max(min(b, end) - max(a, begin), 0.0) for a, b in gaps)
        inside = (t >= begin) & (t <= end)
        if begin < t[0] - 1e-9 or end > t[-1] + 1e-9 or not inside.any() or lost > 0.5 * width + 1e-9:
            assert np.isnan(mean)
        elif abs(lost - 0.5 * width) > 1e-9:
            edges = np.concatenate(([begin], t[(t > begin) & (t < end)], [end]))
            assert mean == pytest.approx(np.trapezoid(np.interp(edges, t, x), edges) / width, abs=1e-9)


def test_a_dip_of_the_load_stays_because_the_power_dips_too() -> None:
    rng = np.random.default_rng(4)
    die = np.round(60 + rng.normal(0, 0.6, 400))
    power = 200 + rng.normal(0, 1.0, 400)
    die[100], power[100] = 44, 40  # the load's own dip
    die[250] = 127  # a glitch
    marked = lone_spikes(die, power)
    assert not marked[100]
    assert marked[250]


def test_box_means_are_exact_for_a_straight_line_at_uneven_times() -> None:
    rng = np.random.default_rng(5)
    t = np.sort(rng.uniform(0, 100, 400))
    t[0], t[-1] = 0, 100
    starts = np.array([0.0, 12.5, 40.0, 70.0])
    assert box_means(t, 3 + 0.2 * t, 30.0, starts) == pytest.approx(3 + 0.2 * (starts + 15))


def test_a_box_that_is_mostly_a_gap_is_missing() -> None:
    t = np.concatenate((np.arange(0, 50.0), np.arange(95, 150.0)))
    boxes = box_means(t, np.ones(t.size), 40.0, np.array([0.0, 52.0, 105.0, 140.0]))
    assert np.isnan(boxes[1])  # lies in the gap
    assert np.isnan(boxes[3])  # reaches past the end
    assert boxes[[0, 2]] == pytest.approx(1.0)


@pytest.mark.parametrize("uneven", [False, True])
def test_a_lag_follows_its_closed_form(uneven: bool) -> None:
    t = np.linspace(0, 900, 451)
    if uneven:
        t = np.sort(np.random.default_rng(6).uniform(0, 900, 450))
        t[0] = 0
    tau = 120.0
    # step response and ramp response of a first-order lag
    assert lagged(t, np.full(t.size, 5.0), tau, initial=1.0) == pytest.approx(5 - 4 * np.exp(-t / tau), abs=1e-9)
    ramp = lagged(t, 0.01 * t, tau, initial=0.0)
    assert ramp == pytest.approx(0.01 * (t - tau * (1 - np.exp(-t / tau))), abs=1e-9)


@pytest.mark.parametrize("rho", [0.0, 0.5, 0.8])
def test_inflation_is_that_of_a_first_order_process(rho: float) -> None:
    rng = np.random.default_rng(7)
    found = []
    for _ in range(40):
        x = np.zeros(2000)
        kicks = rng.normal(size=2000)
        for i in range(1, 2000):
            x[i] = rho * x[i - 1] + kicks[i]
        found.append(inflation(x))
    assert np.median(found) == pytest.approx((1 + rho) / (1 - rho), rel=0.2)


@settings(max_examples=60, deadline=None)
@given(st.lists(st.one_of(st.floats(-1e3, 1e3), st.just(float("nan"))), max_size=60))
def test_nothing_breaks_on_odd_traces(values: list[float]) -> None:
    x = np.array(values, float)
    assert smooth_spikes(x).shape == x.shape
    assert lone_spikes(x, x[::-1]).shape == x.shape
    assert quantum(x) >= 0
    assert inflation(x) >= 1
