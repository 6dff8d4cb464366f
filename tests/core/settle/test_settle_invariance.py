"""What must not change a settled level: where the clock starts, the unit, gaps, glitches, sampling."""

from __future__ import annotations

import numpy as np
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from kuffin.core.base.errors import TraceError
from kuffin.core.settle import Settling, settle
from kuffin.core.settle.steps import fast_split, slow_split
from kuffin.core.settle.warmup import fit_fast, fit_slow
from kuffin.simulated.thermal import Loop, simulate
from kuffin.simulated.trials import make_trial

Run = dict[str, np.ndarray]


def bench_run(
    seed: int = 1, *, period: float | None = None, start_hot_k: float = 0.0, end: float = 4200.0, step: float = 2.0
) -> Run:
    """A run of the simulated bench with ordinary sensors; the truth is in `rest`."""
    rng = np.random.default_rng(seed)
    t = np.arange(0.0, end, 0.5)
    demand = np.where(t < 300, 25.0, 190.0)
    if period is not None:
        demand[(t >= 300) & ((t - 300) % period >= period - 9)] = 50.0
    loop = Loop(r_die=0.07, r_block=0.055, r_radiator=0.058, c_coolant=6500.0)
    air = np.full(t.size, 22.0)
    start = loop.at_rest(25.0, 22.0) + start_hot_k
    course = simulate(loop, t, demand, air, start=start)
    at = np.arange(0.0, end, step)

    def read(x: np.ndarray, noise: float, quantum: float) -> np.ndarray:
        return np.round((np.interp(at, t, x) + rng.normal(0, noise, at.size)) / quantum) * quantum

    return {
        "t": at,
        "die": read(course.die, 0.7, 1.0),
        "coolant": read(course.coolant, 0.05, 0.1),
        "air": read(air, 0.05, 0.1),
        "power": read(course.power, 0.8, 0.1),
    }


def mean_power(period: float | None) -> float:
    return 190.0 if period is None else (190.0 * (period - 9) + 50.0 * 9) / period


def coolant(run: Run) -> Settling:
    return settle(run["t"], run["coolant"], over=run["air"], load=run["power"], air=run["air"])


def die(run: Run) -> Settling:
    return settle(run["t"], run["die"], over=run["coolant"], load=run["power"], air=run["air"])


@pytest.mark.parametrize("period", [None, 75.0, 131.0])
def test_both_steps_of_the_heat_path_come_out_of_one_run(period: float | None) -> None:
    run = bench_run(period=period)
    power = mean_power(period)
    slow, fast = coolant(run), die(run)
    assert slow.warm_up.final == pytest.approx(0.058 * power, abs=0.08)
    assert fast.warm_up.final == pytest.approx(0.125 * power, abs=0.2)
    assert (slow.fast, fast.fast) == (False, True)
    assert slow.settled
    for found, truth in ((slow, 0.058 * power), (fast, 0.125 * power)):
        assert abs(found.warm_up.final - truth) <= found.final_u95
        if found.settled:
            value, u95 = found.value, found.u95
            assert abs(value - truth) <= u95


def test_the_die_over_air_is_the_sum_of_both_steps_though_part_of_it_jumps() -> None:
    run = bench_run()
    found = settle(run["t"], run["die"], over=run["air"], load=run["power"], air=run["air"])
    assert not found.fast
    assert found.warm_up.tau_s == pytest.approx(coolant(run).warm_up.tau_s or 0, rel=0.1)
    assert found.warm_up.final == pytest.approx((0.058 + 0.125) * 190, abs=0.2)
    per_watt = settle(
        run["t"], run["die"], over=run["air"], per=run["power"], load=run["power"], air=run["air"], tolerance=0.001
    )
    assert per_watt.warm_up.final == pytest.approx(0.058 + 0.125, rel=0.006)


def test_a_hot_start_cools_down_to_the_same_level() -> None:
    cold, hot = coolant(bench_run()), coolant(bench_run(start_hot_k=18.0))
    assert hot.level.to_go <= 0 or abs(hot.level.to_go) < 0.05
    assert hot.warm_up.final == pytest.approx(cold.warm_up.final, abs=0.06)


def test_the_clocks_origin_does_not_matter() -> None:
    run = bench_run()
    later = {**run, "t": run["t"] + 86_000.0}
    assert coolant(later).warm_up.final == pytest.approx(coolant(run).warm_up.final, abs=1e-6)
    assert coolant(later).load.start_s == pytest.approx((coolant(run).load.start_s or 0) + 86_000.0)


def test_the_unit_does_not_matter() -> None:
    run = bench_run()
    scaled = settle(run["t"], run["coolant"] * 1.8, over=run["air"] * 1.8, load=run["power"], tolerance=0.36)
    plain = coolant(run)
    assert scaled.warm_up.final == pytest.approx(1.8 * plain.warm_up.final, rel=1e-4)
    assert scaled.settled_at_s == plain.settled_at_s


def test_dropouts_glitches_and_gaps_are_borne() -> None:
    run = bench_run()
    rng = np.random.default_rng(3)
    spoilt = {name: values.copy() for name, values in run.items()}
    for name in ("die", "coolant", "air", "power"):
        spoilt[name][rng.random(run["t"].size) < 0.01] = np.nan
    for name in ("die", "coolant", "air"):
        spoilt[name][rng.integers(0, run["t"].size, 4)] = rng.choice([0.0, -40.0, 127.0, 999.9], 4)
    keep = ~((run["t"] > 900) & (run["t"] < 1020))
    spoilt = {name: values[keep] for name, values in spoilt.items()}
    found, clean = coolant(spoilt), coolant(run)
    assert found.warm_up.final == pytest.approx(clean.warm_up.final, abs=0.05)
    assert found.spikes >= 4
    assert die(spoilt).warm_up.final == pytest.approx(die(run).warm_up.final, abs=0.15)


def test_a_log_that_goes_on_past_the_load_is_judged_up_to_its_end() -> None:
    run = bench_run()
    after = np.arange(run["t"][-1] + 2, run["t"][-1] + 900, 2.0)
    fall = np.exp(-(after - after[0]) / 380.0)
    longer = {
        "t": np.concatenate((run["t"], after)),
        "coolant": np.concatenate((run["coolant"], 23.4 + (run["coolant"][-1] - 23.4) * fall)),
        "air": np.concatenate((run["air"], np.full(after.size, 22.0))),
        "power": np.concatenate((run["power"], np.full(after.size, 25.0))),
    }
    found = coolant(longer)
    assert found.load.end_s == pytest.approx(run["t"][-1], abs=5)
    assert found.warm_up.final == pytest.approx(coolant(run).warm_up.final, abs=0.01)


def test_a_log_that_begins_under_load_has_no_load_start() -> None:
    run = bench_run()
    late = {name: values[run["t"] > 700] for name, values in run.items()}
    found = coolant(late)
    assert found.load.start_s is None
    assert found.warm_up.final == pytest.approx(0.058 * 190, abs=0.12)


def test_without_power_the_level_is_still_found() -> None:
    run = bench_run()
    found = settle(run["t"], run["coolant"], over=run["air"])
    assert found.load.start_s == pytest.approx(300, abs=40)
    assert found.warm_up.final == pytest.approx(0.058 * 190, abs=0.1)


@pytest.mark.parametrize("length", [20.0, 60.0, 120.0])
def test_a_short_run_is_refused_or_owns_up(length: float) -> None:
    run = bench_run(end=300.0 + length)
    try:
        found = coolant(run)
    except TraceError as error:
        assert "record for longer" in str(error) or "too few" in str(error)
        return
    assert not found.settled


def test_the_slow_fit_recovers_constants_exactly_from_clean_boxes() -> None:
    t = np.arange(60.0, 3000.0, 30.0)
    fit = fit_slow(t, lambda tau: (9.0 - 6.0 * np.exp(-t / 700.0), np.ones(t.size)), end=3000.0)
    assert (fit.final, fit.tau_s) == (pytest.approx(9.0, abs=1e-3), pytest.approx(700.0, rel=1e-3))
    assert fit.left == pytest.approx(-6.0 * np.exp(-3000 / 700), abs=1e-3)


def test_the_fast_fit_keeps_its_slope_within_reason() -> None:
    t = np.arange(60.0, 3000.0, 30.0)
    x = 30.0 - 6.0 * np.exp(-t / 700.0)
    rng = np.random.default_rng(5)
    gentle = fit_fast(t, 20.0 + 0.08 * (x - 30.0) + rng.normal(0, 0.01, t.size), x, 30.0, None, 3000.0)
    assert gentle.coupling == pytest.approx(0.08, abs=0.01)
    assert gentle.final == pytest.approx(20.0, abs=0.01)
    steep = fit_fast(t, 20.0 + 0.6 * (x - 30.0), x, 30.0, None, 3000.0)
    assert steep.coupling == 0.15


def test_the_powers_wandering_is_taken_out_of_a_fast_trace() -> None:
    t = np.arange(60.0, 3000.0, 30.0)
    rng = np.random.default_rng(6)
    wander = np.convolve(rng.normal(0, 4, t.size + 4), np.ones(5) / 5, mode="valid")
    y = 25.0 * (1 + wander / 200.0) + rng.normal(0, 0.02, t.size)
    with_power = fit_fast(t, y, None, None, 200 + wander, 3000.0)
    without = fit_fast(t, y, None, None, None, 3000.0)
    assert with_power.rss < 0.25 * without.rss


@pytest.mark.parametrize("jump", [0.0, 1.5])
def test_a_split_is_found_only_where_there_is_one(jump: float) -> None:
    t = np.arange(60.0, 5000.0, 30.0)
    rng = np.random.default_rng(7)
    y = 12.0 - 8.0 * np.exp(-t / 500.0) + rng.normal(0, 0.02, t.size)
    late = t > 3000
    slow = y.copy()
    slow[late] += jump * (1 - np.exp(-(t[late] - 3000) / 500))
    cut = slow_split(t, lambda tau: (slow, np.ones(t.size)), 0.2)
    quick = 30.0 + rng.normal(0, 0.1, t.size) + jump * late
    other = fast_split(t, quick, None, None, 0.2)
    if jump:
        assert cut is not None
        assert t[cut] == pytest.approx(3000, abs=90)
        assert other is not None
        assert t[other] == pytest.approx(3015, abs=31)
    else:
        assert cut is None
        assert other is None


@settings(max_examples=25, deadline=None)
@given(st.integers(0, 10_000), st.floats(0.05, 1.0))
def test_any_part_of_any_trial_is_judged_or_refused(seed: int, share: float) -> None:
    trial = make_trial(seed)
    n = max(1, int(share * trial.times.size))
    c = {name: values[:n] for name, values in trial.channels.items()}
    try:
        found = settle(trial.times[:n], c["Die"], over=c["Coolant"], load=c["Power"], air=c["Air"])
    except TraceError as error:
        assert str(error)
        return
    numbers = (
        found.window.mean,
        found.mean_u95,
        found.warm_up.final,
        found.final_u95,
        found.level.to_go,
        found.drift.per_10min,
        found.window.sd,
        found.window.n_eff,
    )
    assert all(np.isfinite(x) for x in numbers)
    assert found.window.span_s[0] < found.window.span_s[1] <= trial.times[n - 1] + 1e-6
    assert found.final_u95 > 0
