"""The random trials: what they say of themselves is so."""

from __future__ import annotations

import numpy as np
import pytest

from kuffin.simulated.trials import KINDS, make_trial

TRIALS = [make_trial(seed) for seed in range(60)]


def test_all_kinds_are_drawn_and_a_seed_gives_the_same_trial() -> None:
    assert {t.kind for t in TRIALS} == set(KINDS)
    again = make_trial(7)
    assert np.array_equal(again.channels["Die"], TRIALS[7].channels["Die"], equal_nan=True)


def test_settled_ends_lie_at_their_equilibrium() -> None:
    """Measured at the end of long runs, with the room's swing allowed for."""
    for trial in (t for t in TRIALS if t.kind == "long" and t.hvac_k == 0.0):
        late = trial.times > trial.end_s - 600
        measured = float(np.nanmedian((trial.channels["Coolant"] - trial.channels["Air"])[late]))
        truth = trial.pairs["coolant_over_air"]
        assert measured == pytest.approx(truth.equilibrium_k - truth.left_at_end_k, abs=0.5)


def test_short_runs_have_something_to_go_and_steps_lie_inside() -> None:
    for trial in TRIALS:
        truth = trial.pairs["coolant_over_air"]
        if trial.kind == "short":
            assert truth.left_at_end_k > 0.3
        if trial.kind.startswith("step"):
            assert trial.step_s is not None
            assert trial.load_start_s + 500 < trial.step_s < trial.end_s - 500
        if truth.within_tolerance_since_s is not None:
            assert truth.within_twice_since_s is not None
            assert truth.within_twice_since_s <= truth.within_tolerance_since_s


def test_power_rises_at_load_start_and_loops_with_its_period() -> None:
    for trial in TRIALS:
        power, t = trial.channels["Power"], trial.times
        before = np.nanmedian(power[t < trial.load_start_s - 1])
        during = np.nanmedian(power[(t > trial.load_start_s + 5)])
        assert during > 2 * before
        if trial.period_s is not None:
            into = (t - trial.load_start_s) % trial.period_s
            dip = (t > trial.load_start_s) & (into > trial.period_s - 5.0)
            assert np.nanmin(power[dip]) < 0.6 * during
