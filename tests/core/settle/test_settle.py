"""Settling: closed forms, and simulated runs whose truth is known."""

from __future__ import annotations

import numpy as np
import pytest
from benchmarks.settling import run

from kuffin.core.base.errors import TraceError
from kuffin.core.settle import Settling, settle
from kuffin.core.settle.load import load_span, loop_period, rise_start


def warm_up(
    tau: float = 400.0,
    final: float = 11.0,
    end: float = 3600.0,
    noise: float = 0.03,
    seed: int = 1,
    air: np.ndarray | None = None,
) -> tuple[np.ndarray, np.ndarray, np.ndarray, np.ndarray]:
    """Times, coolant, air, power of a textbook warm-up; load from 300 s."""
    rng = np.random.default_rng(seed)
    t = np.arange(0.0, end, 2.0)
    air = np.full(t.size, 22.0) if air is None else air[: t.size]
    rise = np.where(t < 300, 0.0, final * (1 - np.exp(-(t - 300) / tau)))
    return (
        t,
        air + rise + rng.normal(0, noise, t.size),
        air,
        np.where(t < 300, 20.0, 180.0) + rng.normal(0, 0.5, t.size),
    )


def over_air(t: np.ndarray, coolant: np.ndarray, air: np.ndarray, power: np.ndarray, **more: object) -> Settling:
    return settle(t, coolant, over=air, load=power, **more)  # type: ignore[arg-type]


def test_a_textbook_warm_up_gives_its_own_constants_back() -> None:
    found = over_air(*warm_up())
    assert found.load.start_s == pytest.approx(300, abs=3)
    assert found.warm_up.tau_s == pytest.approx(400, rel=0.02)
    assert found.warm_up.final == pytest.approx(11.0, abs=0.03)
    assert found.load.period_s is None
    assert found.load.step_s is None
    assert not found.fast
    assert found.settled
    # within 0.2 K from t = 300 + 400·ln(11/0.2) on
    assert found.settled_at_s == pytest.approx(300 + 400 * np.log(11 / 0.2), abs=90)
    value, u95 = found.value, found.u95
    assert abs(value - 11.0) < u95 < 0.15


def test_a_run_stopped_early_says_so_and_still_tells_where_it_was_heading() -> None:
    found = over_air(*warm_up(end=1000.0))
    assert not found.settled
    assert found.settled_at_s is None
    left = 11.0 * np.exp(-700 / 400)
    assert found.level.to_go == pytest.approx(left, abs=0.15)
    assert abs(found.warm_up.final - 11.0) <= found.final_u95
    assert found.final_u95 > over_air(*warm_up()).final_u95


def test_a_swing_of_the_room_is_not_taken_for_warm_up() -> None:
    t, _, _, power = warm_up()
    air = 22 + 0.8 * np.sin(2 * np.pi * t / 900)
    tau = 400.0
    # the coolant answers the room with its own delay: integrate dT/dt = (air + drive − T)/τ
    coolant = np.empty(t.size)
    coolant[0] = 22.0
    drive = np.where(t < 300, 0.0, 11.0)
    for i in range(1, t.size):
        coolant[i] = coolant[i - 1] + 2.0 * (air[i - 1] + drive[i - 1] - coolant[i - 1]) / tau
    found = over_air(t, coolant + np.random.default_rng(2).normal(0, 0.03, t.size), air, power)
    assert found.settled
    assert found.warm_up.final == pytest.approx(11.0, abs=0.08)


def test_per_watt_is_the_resistance_though_the_power_drifts() -> None:
    t = np.arange(0.0, 4200.0, 2.0)
    rng = np.random.default_rng(3)
    power = np.where(t < 300, 20.0, 170.0 + 0.006 * (t - 300))
    coolant, tau, r = np.empty(t.size), 380.0, 0.0612
    coolant[0] = 21.0 + r * 20
    for i in range(1, t.size):
        coolant[i] = coolant[i - 1] + 2.0 * (21.0 + r * power[i - 1] - coolant[i - 1]) / tau
    air = np.full(t.size, 21.0) + rng.normal(0, 0.02, t.size)
    found = settle(t, coolant + rng.normal(0, 0.02, t.size), over=air, per=power, load=power, tolerance=0.2 / 180)
    assert found.settled
    assert found.warm_up.final == pytest.approx(r, rel=0.004)
    assert found.window.mean - found.window.left == pytest.approx(r, rel=0.004)


def test_a_step_in_the_middle_is_found_and_what_follows_is_judged() -> None:
    t, coolant, air, power = warm_up(end=7000.0)
    late = t > 3500
    coolant[late] += 2.0 * (1 - np.exp(-(t[late] - 3500) / 400))
    found = over_air(t, coolant, air, power)
    assert found.load.step_s == pytest.approx(3500, abs=90)
    assert found.warm_up.final == pytest.approx(13.0, abs=0.06)


def test_a_window_set_by_hand_is_used_as_it_is() -> None:
    t, coolant, air, power = warm_up()
    found = over_air(t, coolant, air, power, window=(1500.0, 1680.0))
    inside = (t >= 1500) & (t <= 1680)
    assert found.by_hand
    assert found.window.mean == pytest.approx(float((coolant - air)[inside].mean()), abs=0.02)
    # three minutes by the clock fall short of equilibrium, and the half-width owns up to it
    assert abs(found.window.mean - 11.0) <= found.mean_u95


@pytest.mark.parametrize("period", [61.0, 93.7, 140.0])
def test_the_loop_of_a_load_is_found(period: float) -> None:
    t = np.arange(0.0, 2400.0, 1.0)
    power = np.where((t - 200) % period > period - 9, 60.0, 200.0) + np.random.default_rng(4).normal(0, 1.5, t.size)
    power[t < 200] = 25
    span = load_span(t, power)
    start, end = span.start, span.end
    assert start == pytest.approx(200, abs=2)
    found = loop_period(t, power, start or 0, end)
    assert found == pytest.approx(period, rel=0.01)


def test_noise_and_three_loops_are_no_period() -> None:
    rng = np.random.default_rng(5)
    t = np.arange(0.0, 1500.0, 1.0)
    assert loop_period(t, 200 + rng.normal(0, 2, t.size), 0.0, 1500.0) is None
    three = np.where(t % 500 > 480, 60.0, 200.0)
    assert loop_period(t, three, 0.0, 1500.0) is None


def test_bursts_while_idling_are_not_the_load_and_its_end_is_seen() -> None:
    t = np.arange(0.0, 2000.0, 1.0)
    power = np.where((t >= 400) & (t < 1500), 200.0, 20.0)
    for at in (60, 150, 310):
        power[(t >= at) & (t < at + 6)] = 190
    span = load_span(t, power)
    start, end = span.start, span.end
    assert start == 400
    assert end == pytest.approx(1500, abs=2)


def test_without_power_the_trace_itself_shows_the_start() -> None:
    t, coolant, air, _ = warm_up()
    assert rise_start(t, coolant - air) == pytest.approx(300, abs=25)
    assert rise_start(t, np.random.default_rng(6).normal(22, 0.05, t.size)) is None


@pytest.mark.parametrize(
    ("change", "says"),
    [
        (lambda c: c.__setitem__(slice(None), np.nan), "fewer than 8 readings"),
        (lambda c: c.__setitem__(slice(5, None), np.nan), "fewer than 8 readings"),
    ],
)
def test_too_little_is_refused_in_a_sentence(change: object, says: str) -> None:
    t, coolant, air, power = warm_up()
    change(coolant)  # type: ignore[operator]
    with pytest.raises(TraceError, match=says):
        over_air(t, coolant, air, power)


def test_a_window_dragged_to_nothing_is_refused() -> None:
    with pytest.raises(TraceError, match="drag its edges"):
        over_air(*warm_up(), window=(1000.0, 1001.0))
    with pytest.raises(TraceError, match="above 0"):
        over_air(*warm_up(), tolerance=0.0)


def test_the_promises_hold_on_simulated_runs() -> None:
    """The limits are those of docs/methods.md; the seeds are none that the method was tuned on."""
    rows = run(60, first=777_000)
    done = [r for r in rows if r["answered"]]
    whole = [r for r in done if not r["cut"]]

    def share(some: list[dict[str, object]], key: str) -> float:
        return sum(bool(r[key]) for r in some) / len(some)

    assert len(done) == len(rows)
    assert share(whole, "start") >= 0.95
    assert share([r for r in whole if r["period"] is not None], "period") >= 0.90
    assert share([r for r in done if r["settled"]], "false") <= 0.03
    assert share([r for r in done if r["due"]], "settled") >= 0.90
    assert share(done, "covers") >= 0.90
    assert float(np.median([r["error"] for r in whole if r["pair"] == "coolant_over_air"])) <= 0.1


@pytest.mark.parametrize("shape", ["step", "warm-up", "ramp"])
@pytest.mark.parametrize("per_watt", [False, True])
@pytest.mark.filterwarnings("error")
def test_traces_without_any_noise_are_judged_as_others_are(shape: str, per_watt: bool) -> None:
    """Typed or averaged logs can be smooth to the last digit: ratios of what is left over are then 0/0."""
    t = 10.0 * np.arange(241)
    on, since = t > 300, np.maximum(t - 300, 0.0)
    warm = {"step": 1.0 * on, "warm-up": on * -np.expm1(-since / 300), "ramp": np.clip(since / 900, 0, 1)}[shape]
    room, power = np.full(t.size, 21.0), 5 + 150.0 * on
    found = settle(
        t,
        21 + 8 * warm,
        over=room,
        per=power if per_watt else None,
        load=power,
        air=room,
        tolerance=0.2 / (155 if per_watt else 1),
    )
    truth = 8 / (155 if per_watt else 1)
    assert abs(found.value - truth) < max(0.01 * truth, found.u95)
    assert shape != "warm-up" or (found.settled and found.u95 < 0.1 * truth)
