"""What a run tells from the inside, against the simulated bench's truth and the GUM's worked examples."""

from __future__ import annotations

import numpy as np
import pytest

from kuffin.core.base.errors import BenchError, TraceError
from kuffin.core.base.extremes import expected_highest, extremes
from kuffin.core.base.uncertainty import Accuracy, Source, combine, in_a_comparison
from kuffin.core.bench.protocol import Step, check, read_window, window_words
from kuffin.core.heat.heatpath import flight
from kuffin.core.heat.wholetrace import fast_trace, whole_trace
from kuffin.simulated.trials import make_trial


def test_gum_h1_the_end_gauge() -> None:
    """GUM H.1: u_c = 32 nm, ν_eff = 16, U99 = 93 nm."""
    found = combine(
        [
            Source(name="standard", u=25.0, sensitivity=1.0, df=18),
            Source(name="difference", u=9.7, sensitivity=1.0, df=25.6),
            Source(name="expansion", u=0.58e-6, sensitivity=5e6, df=50),
            Source(name="temperature difference", u=0.029, sensitivity=50e-3 * 11.5e-6 * 1e9 / 1e0 * 1e-0 / 1.0, df=2),
        ],
        confidence=0.99,
    )
    assert round(found.u) == 32
    assert found.df == 16
    assert round(found.half_width) == 93


def test_gum_h2_resistance_and_reactance_with_correlations() -> None:
    """GUM H.2, table H.4: R = 127.732 Ω, u = 0.071; X = 219.847 Ω, u = 0.295; Z = 254.260 Ω, u = 0.236."""
    data = np.array(  # table H.2: V in V, I in mA, phi in rad
        [
            [5.007, 4.994, 5.005, 4.990, 4.999],
            [19.663e-3, 19.639e-3, 19.640e-3, 19.685e-3, 19.678e-3],
            [1.0456, 1.0438, 1.0468, 1.0428, 1.0433],
        ]
    )
    v, i, phi = data.mean(axis=1)
    u = dict(zip(("V", "I", "phi"), data.std(axis=1, ddof=1) / np.sqrt(5), strict=True))
    own = np.corrcoef(data)
    r = {("V", "I"): own[0, 1], ("V", "phi"): own[0, 2], ("I", "phi"): own[1, 2]}
    for value, by, told, told_u in (
        (v / i * np.cos(phi), (np.cos(phi) / i, -v * np.cos(phi) / i**2, -v / i * np.sin(phi)), 127.732, 0.071),
        (v / i * np.sin(phi), (np.sin(phi) / i, -v * np.sin(phi) / i**2, v / i * np.cos(phi)), 219.847, 0.295),
        (v / i, (1 / i, -v / i**2, 0.0), 254.260, 0.236),
    ):
        found = combine([Source(name=k, u=u[k], sensitivity=c) for k, c in zip(("V", "I", "phi"), by, strict=True)], r)
        assert round(float(value), 3) == told
        # unrounded the reactance has 0.2956; the GUM prints 0.295, having rounded on the way
        assert found.u == pytest.approx(told_u, abs=6e-4)


def test_what_the_same_instrument_did_on_both_sides_cancels() -> None:
    """The offset drops out, the gain goes with the difference, the rest counts twice: as by a correlation of +1."""
    own = [
        Source(name="offset", u=0.06, cancels="yes"),
        Source(name="gain", u=0.1, cancels="scales"),
        Source(name="noise", u=0.03),
    ]
    apart = combine(in_a_comparison(own, 20.0, 1.0))
    assert apart.u == pytest.approx(np.hypot(0.1 / 20, np.sqrt(2) * 0.03))
    both = [Source(name="a", u=0.06, sensitivity=1.0), Source(name="b", u=0.06, sensitivity=-1.0)]
    assert combine(both, {("a", "b"): 1.0}).u == pytest.approx(0.0, abs=1e-12)
    said = Accuracy(reading_percent=0.5, full_scale_percent=0.1, full_scale=400.0, counts=2, count_size=0.1)
    assert said.half_width(180.0) == pytest.approx(0.9 + 0.4 + 0.2)
    assert said.standard(180.0) == pytest.approx(1.5 / np.sqrt(3))


def test_the_whole_trace_fit_finds_resistance_and_time_constant_of_unfinished_runs() -> None:
    held, away, taus = [], [], []
    for seed in range(60):
        t = make_trial(seed)
        if t.kind.startswith("step"):
            continue
        end = t.cut_s or t.end_s
        if end - t.load_start_s < 480:
            continue
        c = t.channels
        w = whole_trace(t.times, c["Coolant"], c["Air"], c["Power"], t.load_start_s, end, t.period_s)
        error = w.resistance_k_w * t.power_w - t.pairs["coolant_over_air"].equilibrium_k
        away.append(abs(error))
        held.append(abs(error) <= w.resistance_u95 * t.power_w)
        taus.append((w.tau_s or 0) / t.tau_s)
    assert len(held) > 25
    assert np.median(away) < 0.08
    assert np.mean(held) >= 0.88
    assert np.median(taus) == pytest.approx(1, abs=0.03)


def test_the_whole_trace_fit_says_what_it_lacks() -> None:
    t = make_trial(0)
    c = t.channels
    none = np.full(t.times.size, np.nan)
    with pytest.raises(TraceError, match="one of them is missing"):
        whole_trace(t.times, c["Coolant"], none, c["Power"], t.load_start_s, t.end_s)
    with pytest.raises(TraceError, match="six minutes"):
        whole_trace(t.times, c["Coolant"], c["Air"], c["Power"], t.load_start_s, t.load_start_s + 200)
    with pytest.raises(TraceError, match="four boxes"):
        fast_trace(t.times, none, c["Coolant"], c["Power"], t.load_start_s, t.end_s)


def test_a_second_slower_mode_is_told_from_the_shape_of_the_residuals() -> None:
    t = np.arange(0.0, 5400.0, 2.0)
    rng = np.random.default_rng(3)
    power = np.where(t < 200, 20.0, 180.0)
    since = np.maximum(t - 200, 0)
    air = np.full(t.size, 22.0) + rng.normal(0, 0.02, t.size)
    clean = 22 + 1.2 + 9.6 * (1 - np.exp(-since / 400)) + rng.normal(0, 0.02, t.size)
    slow = clean + 1.2 * (1 - np.exp(-since / 2600)) - 0.0
    assert not whole_trace(t, clean, air, power, 200.0, 5400.0).bent
    assert whole_trace(t, slow, air, power, 200.0, 5400.0).bent


def test_a_maximum_grows_with_the_length_of_the_run() -> None:
    """The highest of n standard normal values, exactly: 1.539 of 10 and 2.508 of 100 (Harter's tables)."""
    assert expected_highest(10) == pytest.approx(1.539, abs=0.02)
    assert expected_highest(100) == pytest.approx(2.508, abs=0.02)
    rng = np.random.default_rng(2)
    found = extremes(60 + rng.normal(0, 1.5, 900))
    assert found is not None
    assert found.highest > found.one_percent > found.mean
    assert found.highest - found.mean == pytest.approx(found.by_chance, abs=1.2)
    assert 0.1 < found.twice_as_long < 0.5
    assert extremes(np.array([1.0, 2.0])) is None


def test_steps_pile_up_to_levels_with_their_intervals() -> None:
    stairs = flight("Reed", [("coolant", 10.0, 0.3), ("die", 29.0, 0.4)], [("hot spot", 45.0, 1.0)], "K")
    assert [(t.name, t.height) for t in stairs.treads] == [("air", 0.0), ("coolant", 10.0), ("die", 39.0)]
    assert stairs.treads[-1].u95 == pytest.approx(0.5)
    assert stairs.bottleneck is not None and stairs.bottleneck.name == "die"


@pytest.mark.parametrize(
    ("written", "read", "again"),
    [
        ("27 to 30 min", (27.0, 30.0), "27–30 min"),
        ("27-30", (27.0, 30.0), "27–30 min"),
        ("last 3 min", (None, 3.0), "last 3 min"),
        ("from 12,5", (12.5, None), "from 12.5 min"),
        ("found", (None, None), "found"),
    ],
)
def test_windows_by_the_clock_are_read_as_people_write_them(
    written: str, read: tuple[float | None, float | None], again: str
) -> None:
    assert read_window(written) == read
    assert window_words(Step(name="load", load="x", window_from_min=read[0], window_to_min=read[1])) == again


def test_windows_that_cannot_be_are_refused() -> None:
    with pytest.raises(BenchError, match="is no window"):
        read_window("30 to 27")
    with pytest.raises(BenchError, match="ends after it begins"):
        check([Step(name="load", load="x", window_from_min=30.0, window_to_min=27.0)])
