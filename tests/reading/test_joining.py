"""A second log beside a run: the lag is found where it is known, and what cannot be found is said."""

from __future__ import annotations

from dataclasses import replace
from pathlib import Path

import numpy as np
import pytest

from kuffin.core.base.clocklag import best_lag, onto
from kuffin.core.base.errors import LogError, NotebookError, TraceError
from kuffin.core.base.frametimes import frame_rates
from kuffin.logs.framelog import is_frame_time, read_further_log
from kuffin.logs.table import LogChannel, LogTable
from kuffin.notebook import bin as bin_
from kuffin.notebook import edits
from kuffin.notebook.entities import Run
from kuffin.notebook.joinedlogs import join_log, set_lag
from kuffin.notebook.samples import read_run
from kuffin.notebook.store import Notebook
from kuffin.reading.furtherfigures import inside
from kuffin.reading.keptresults import run_result
from kuffin.reading.loglag import by_clocks, propose
from kuffin.simulated.trials import make_trial
from kuffin.verdict.study import judge


def test_the_lag_is_found_with_other_rates_noise_and_steps() -> None:
    missed = []
    for seed in range(24):
        rng = np.random.default_rng(seed)
        trial = make_trial(seed)
        lag = float(rng.uniform(-400, 400))
        begin = max(trial.times[0], lag + 20)
        other = np.arange(begin, trial.end_s - 5, float(rng.choice([0.5, 3.0, 7.0])))
        coolant = np.interp(other, trial.times, np.nan_to_num(trial.channels["Coolant"], nan=25.0))
        values = np.round((1.7 + 0.93 * coolant + rng.normal(0, 0.1, other.size)) * 2) / 2
        found = best_lag(trial.times, trial.channels["Coolant"], other - lag, values)
        missed.append(abs(found.seconds - lag) > max(6.0, 2 * found.width_s))
    assert sum(missed) <= 1


def test_values_come_onto_the_other_clock_without_inventing_any() -> None:
    t = np.arange(0.0, 100.0, 2.0)
    slow = np.arange(10.0, 91.0, 5.0)
    straight = onto(t, slow, 3 * slow)
    inside_ = (t >= 10) & (t <= 90)
    assert straight[inside_] == pytest.approx(3 * t[inside_])
    assert np.isnan(straight[~inside_]).all()
    gap = slow[(slow < 30) | (slow > 80)]
    assert np.isnan(onto(t, gap, gap)[(t > 32) & (t < 78)]).all()
    fast = np.arange(0.0, 100.0, 0.05)
    noisy = 5 + np.random.default_rng(1).normal(0, 1, fast.size)
    means = onto(t, fast, noisy)
    assert np.nanstd(means) == pytest.approx(1 / np.sqrt(40), rel=0.35)  # means of 40, not single samples
    with pytest.raises(TraceError, match="never changes"):
        best_lag(t, np.ones(t.size), t, t)


def second_log(data: object, lag: float, start: str | None) -> LogTable:
    """A probe box's log of a run: its own rate, its own clock, and a flow meter that the run does not have."""
    times = np.arange(0.0, 2400.0, 5.0)
    values = np.interp(times + lag, data.times, data.values["Coolant out"])  # type: ignore[attr-defined]
    probe = LogChannel(
        name="Outlet probe",
        unit="degC",
        quantity="temperature",
        role="coolant_out",
        values=np.round(values, 1),
        written_unit="°C",
    )
    meter = LogChannel(
        name="Meter", unit="kPa", quantity="pressure", role="pressure", values=20 + 0.01 * values, written_unit="kPa"
    )
    return LogTable(
        file="probes.csv",
        encoding="utf-8",
        delimiter=",",
        decimal=".",
        times=times,
        start=start,
        channels=[probe, meter],
        dropped_rows=0,
    )


def test_a_second_log_is_joined_moved_and_taken_apart(demo_notebook: Notebook) -> None:
    run = demo_notebook.study(1).live_candidates[0].live_mounts[0].live_runs[0]
    data = read_run(demo_notebook, run.id)
    table = second_log(data, 130.0, None)
    found = propose(data, run.started_at, table, {})
    assert found.lag_s == pytest.approx(130, abs=6) and found.own == "Coolant out"
    joined = join_log(demo_notebook, run.id, table, {"Outlet probe": None, "Meter": "pressure"}, found.lag_s)
    both = read_run(demo_notebook, run.id)
    assert both.times.size == data.times.size
    at = (both.times > 200) & (both.times < 2400)
    assert both.values["Outlet probe"][at] == pytest.approx(data.values["Coolant out"][at], abs=0.3)
    assert both.roles["pressure"] == "Meter"
    study = demo_notebook.study(1)
    assert [r.id for r in study.live_candidates[0].live_mounts[0].live_runs] == [run.id]  # it is no second run
    before = judge(demo_notebook, study).main.readings[0].value
    set_lag(demo_notebook, joined, -5000.0)
    assert not np.isfinite(read_run(demo_notebook, run.id).values["Meter"]).any()  # overlaps nowhere
    assert judge(demo_notebook, demo_notebook.study(1)).main.readings[0].value == before  # what can be told is told
    with pytest.raises(NotebookError, match="joined to a run"):
        join_log(demo_notebook, joined, table, {}, 0.0)
    edits.to_bin(demo_notebook, Run, joined, "probes.csv")
    assert "Meter" not in read_run(demo_notebook, run.id).values
    bin_.empty(demo_notebook)
    assert "Meter" not in read_run(demo_notebook, run.id).values


def test_without_a_shared_quantity_the_clocks_are_taken_and_without_those_it_is_said(demo_notebook: Notebook) -> None:
    run = demo_notebook.study(1).live_candidates[0].live_mounts[0].live_runs[0]
    data = read_run(demo_notebook, run.id)
    noise = np.random.default_rng(2).normal(40, 1, 1200)
    alien = LogTable(
        file="m.csv",
        encoding="utf-8",
        delimiter=",",
        decimal=".",
        times=np.arange(1200.0),
        start="2026-03-03T13:10:00",
        channels=[LogChannel(name="Level", unit="dBA", quantity="sound_level", role="sound", values=noise)],
        dropped_rows=0,
    )
    found = propose(data, "2026-03-03T13:00:00", alien, {})
    assert found.lag_s == 600 and "by their clocks" in found.sentence
    assert "overlap nowhere" in propose(data, "2026-01-01T00:00:00", alien, {}).sentence
    assert "by hand" in propose(data, None, replace(alien, start=None), {}).sentence
    assert by_clocks("2026-03-03T13:00:00", None) is None


def test_frame_times_give_the_rate_and_both_one_per_cent_lows(demo_notebook: Notebook, tmp_path: Path) -> None:
    """990 frames of 10 ms and 10 of 40 ms: 1000/10.3 s; at the 99th percentile 10.3 ms; the slowest hundredth 40 ms."""
    times = np.full(1000, 10.0)
    times[::100] = 40.0
    found = frame_rates(times)
    assert found.average == pytest.approx(1000 / 10.3)
    assert found.low_average == pytest.approx(25.0)
    assert found.low_percentile == pytest.approx(1000 / np.percentile(times, 99))
    with pytest.raises(TraceError, match="at least 100"):
        frame_rates(times[:50])
    with pytest.raises(TraceError, match="above 0"):
        frame_rates(np.zeros(200))
    log = tmp_path / "frames.csv"
    log.write_text("frame,frame time [ms]\n" + "\n".join(f"{i},{t}" for i, t in enumerate(times)), encoding="utf-8")
    table = read_further_log(log)
    assert table.duration_s == pytest.approx(10.3, abs=0.05)
    assert [is_frame_time(c.name, c.unit) for c in table.channels] == [True]
    run = demo_notebook.study(1).live_candidates[0].live_mounts[0].live_runs[0]
    join_log(demo_notebook, run.id, table, {}, 600.0)
    study = demo_notebook.study(1)
    seen = inside(demo_notebook, study, study.live_candidates[0].live_mounts[0].live_runs[0])
    (rates,) = seen.frames.values()
    assert rates.low_average == pytest.approx(25.0)  # from the frames themselves, not from the run's clock
    (tmp_path / "none.csv").write_text("a,b\nx,y\n", encoding="utf-8")
    with pytest.raises(LogError):
        read_further_log(tmp_path / "none.csv")


def test_frame_rates_are_those_under_load(demo_notebook: Notebook, tmp_path: Path) -> None:
    """A menu at 10 frames a second before the load begins, 20 a second under it."""
    study = demo_notebook.study(1)
    run = study.live_candidates[0].live_mounts[0].live_runs[0]
    begin = next(t.load.start_s for t in run_result(demo_notebook, study, run).traces.values() if t.load.start_s)
    times = np.concatenate((np.full(300, 100.0), np.full(300, 50.0)))
    log = tmp_path / "frames.csv"
    log.write_text("frame,frame time [ms]\n" + "\n".join(f"{i},{t}" for i, t in enumerate(times)), encoding="utf-8")
    join_log(demo_notebook, run.id, read_further_log(log), {}, begin - 30.0)
    study = demo_notebook.study(1)
    seen = inside(demo_notebook, study, study.live_candidates[0].live_mounts[0].live_runs[0])
    (rates,) = seen.frames.values()
    assert rates.average == pytest.approx(20.0, rel=0.01) and rates.frames == pytest.approx(300, abs=2)
    # and they are outcomes of their own
    kept = run_result(demo_notebook, study, study.live_candidates[0].live_mounts[0].live_runs[0]).figures
    assert kept["frames_average"] == rates.average and kept["frames_low_average"] == rates.low_average
