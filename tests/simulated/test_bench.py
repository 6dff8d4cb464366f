"""The simulated bench, held against steady-state algebra and closed forms."""

from __future__ import annotations

import datetime as dt
from pathlib import Path

import numpy as np
import pytest

from kuffin.logs.reader import read_log
from kuffin.simulated.hydraulics import Pump, Restriction, loop_flow, sound_level
from kuffin.simulated.room import Room
from kuffin.simulated.sensors import Sensor
from kuffin.simulated.station import Block, LoadPlan, Radiator, RunPlan, as_csv, record
from kuffin.simulated.thermal import Loop, simulate

LOOP = Loop(r_die=0.09, r_block=0.06, r_radiator=0.055)


def test_at_rest_the_resistances_add_up() -> None:
    die, block, coolant = LOOP.at_rest(200.0, 21.0)
    assert coolant == pytest.approx(21 + 200 * 0.055)
    assert block == pytest.approx(coolant + 200 * 0.06)
    assert die == pytest.approx(block + 200 * 0.09)


def test_leakage_raises_power_and_temperature_together() -> None:
    leaky = Loop(r_die=0.09, r_block=0.06, r_radiator=0.055, leakage=0.003, leakage_at_c=50.0)
    die = float(leaky.at_rest(200.0, 21.0)[0])
    power = leaky.power_at_rest(200.0, 21.0)
    assert power == pytest.approx(200 * (1 + 0.003 * (die - 50)))
    assert die == pytest.approx(21 + power * (0.09 + 0.06 + 0.055))


def test_a_simulation_ends_where_the_algebra_says_and_takes_its_time_constant() -> None:
    t = np.arange(0.0, 8000.0, 0.5)
    demand = np.where(t < 100, 20.0, 200.0)
    course = simulate(LOOP, t, demand, np.full(t.size, 21.0))
    rest = LOOP.at_rest(200.0, 21.0)
    assert (course.die[-1], course.block[-1], course.coolant[-1]) == pytest.approx(tuple(rest), abs=0.01)
    left = rest[2] - course.coolant
    early, late = np.searchsorted(t, [900.0, 1900.0])
    assert 1000 / np.log(left[early] / left[late]) == pytest.approx(LOOP.tau_s(200.0), rel=0.01)


def test_a_change_in_the_middle_counts_from_then_on() -> None:
    t = np.arange(0.0, 9000.0, 0.5)
    course = simulate(
        LOOP,
        t,
        np.full(t.size, 150.0),
        np.full(t.size, 20.0),
        changes=[(3000.0, Loop(r_die=0.09, r_block=0.06, r_radiator=0.08))],
    )
    assert course.coolant[int(2999 / 0.5)] == pytest.approx(20 + 150 * 0.055, abs=0.01)
    assert course.coolant[-1] == pytest.approx(20 + 150 * 0.08, abs=0.01)


def test_flow_is_where_pump_and_restriction_meet() -> None:
    pump, parts = Pump(), [Restriction(0.02, 3e-4), Restriction(0.004, 6e-5)]
    flow = loop_flow(pump, 0.7, parts)
    assert pump.head(flow, 0.7) == pytest.approx(sum(p.drop(flow) for p in parts))
    assert loop_flow(pump, 0.9, parts) > flow


def test_sound_follows_the_fan_law_and_adds_by_energy() -> None:
    silent = Pump(sound_dba=-100.0)
    assert sound_level(silent, 0.5, 2000.0, 40.0, -100.0) - sound_level(
        silent, 0.5, 1000.0, 40.0, -100.0
    ) == pytest.approx(50 * np.log10(2))
    alike = Pump(sound_dba=40.0)
    assert sound_level(alike, 1.0, 1000.0, 40.0, -100.0) == pytest.approx(40 + 10 * np.log10(2))


def test_sensors_have_their_steps_and_their_faults() -> None:
    rng = np.random.default_rng(1)
    read = Sensor(noise=0.3, quantum=1.0, offset=2.0, dropout=0.02, glitch=0.01).read(np.full(20_000, 40.0), rng)
    finite = read[np.isfinite(read)]
    assert np.mean(~np.isfinite(read)) == pytest.approx(0.02, abs=0.005)
    assert np.median(finite) == 42.0
    assert np.mean(np.abs(finite - 42) > 2.5) == pytest.approx(0.01, abs=0.004)


def test_a_room_drifts_cycles_and_has_a_door() -> None:
    t = np.arange(0.0, 7200.0, 1.0)
    air = Room(
        start_c=21.0, drift_k_h=1.0, wander_k=0.0, hvac_k=0.5, hvac_period_s=900.0, door_s=3600.0, door_k=2.0
    ).air(t, np.random.default_rng(2))
    assert air[:900].mean() == pytest.approx(21.125, abs=0.01)
    assert np.ptp(air[:900]) == pytest.approx(1.0, abs=0.3)
    assert air[3595] - air[3605] == pytest.approx(2.0, abs=0.1)


def test_a_run_is_the_same_for_the_same_seed_and_is_an_ordinary_log(tmp_path: Path) -> None:
    plan = RunPlan(
        radiator=Radiator(name="Sedge", k_w=0.0566),
        block=Block(name="Tern"),
        load=LoadPlan(name="bounce", power_w=180.0, period_s=95.0),
        room=Room(start_c=21.0),
        start=dt.datetime(2026, 3, 3, 13, 0),
        load_s=900.0,
    )
    table, truth = record(plan, Pump(), 5, "sedge.csv")
    again, _ = record(plan, Pump(), 5, "sedge.csv")
    other, _ = record(plan, Pump(), 6, "sedge.csv")
    assert np.array_equal(table.channels[4].values, again.channels[4].values)
    assert not np.array_equal(table.channels[4].values, other.channels[4].values)
    assert truth.radiator_k_w == pytest.approx(0.0566 * (1000 / 900) ** 0.45 * (150 / truth.flow_l_h) ** 0.08)
    path = tmp_path / "sedge.csv"
    path.write_text(as_csv(table), encoding="utf-8")
    read = read_log(path)
    assert read.start == table.start
    assert [(c.name, c.unit, c.role) for c in read.channels] == [(c.name, c.unit, c.role) for c in table.channels]
    for ours, theirs in zip(table.channels, read.channels, strict=True):
        assert theirs.values == pytest.approx(ours.values, abs=0.06, nan_ok=True)


def test_trapped_air_costs_flow_and_resistance() -> None:
    plan = RunPlan(
        radiator=Radiator(name="Sedge", k_w=0.0566),
        block=Block(name="Tern"),
        load=LoadPlan(name="bounce", power_w=180.0),
        room=Room(start_c=21.0),
        start=dt.datetime(2026, 3, 3),
        load_s=300.0,
    )
    _, good = record(plan, Pump(), 1, "a")
    _, bad = record(RunPlan(**{**plan.__dict__, "trapped_air": 0.27}), Pump(), 1, "b")
    assert bad.flow_l_h == pytest.approx(0.73 * good.flow_l_h)
    assert bad.radiator_k_w > 1.1 * good.radiator_k_w
