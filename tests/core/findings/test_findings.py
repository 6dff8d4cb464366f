"""Findings, each held against a run whose truth is known: made up here, or from the simulated bench with a fault in it."""

from __future__ import annotations

import datetime as dt
from dataclasses import replace

import numpy as np
import pytest

from kuffin.core.base.errors import BenchError
from kuffin.core.bench.devices import ChannelRole
from kuffin.core.findings import (
    KINDS,
    THRESHOLDS,
    CheckLimits,
    Finding,
    Recorded,
    Sibling,
    against_siblings,
    check_run,
    together,
)
from kuffin.core.findings.running import limit_met
from kuffin.core.findings.siblings import outlying
from kuffin.core.findings.thresholds import OF_KIND, checked
from kuffin.core.heat.boost import boost, throttling
from kuffin.core.heat.coolant import Mix, properties
from kuffin.core.heat.heatbalance import closure
from kuffin.core.settle import settle
from kuffin.simulated.faults import Fault
from kuffin.simulated.hydraulics import Pump
from kuffin.simulated.room import Room
from kuffin.simulated.station import Block, LoadPlan, Radiator, RunPlan, built, record

PLAN = RunPlan(
    radiator=Radiator(name="Reed", k_w=0.06),
    block=Block(name="Tern"),
    load=LoadPlan(name="long mix", power_w=180.0),
    room=Room(start_c=22.0, drift_k_h=0.3, wander_k=0.1),
    start=dt.datetime(2026, 1, 1),
    load_s=2400.0,
)


def recorded(
    plan: RunPlan = PLAN, fault: Fault | None = None, seed: int = 3, window: tuple[float, float] | None = None
) -> Recorded:
    table, _ = record(plan, Pump(), seed, "run.csv", fault)
    values = {c.name: c.values for c in table.channels}
    return judged(table.times, values, tuple(ChannelRole(c.name, c.role) for c in table.channels), window)


def judged(times: np.ndarray, values: dict, roles: tuple, window: tuple[float, float] | None = None) -> Recorded:  # type: ignore[type-arg]
    by_role = {role: values[name] for name, role, _ in reversed(roles)}
    air, coolant, die, power = (by_role.get(r) for r in ("air_in", "coolant_in", "die", "power"))
    traces = {}
    for key, part, over in (("coolant_over_air", coolant, air), ("die_over_coolant", die, coolant)):
        if part is not None and over is not None:
            traces[key] = settle(times, part, over=over, load=power, air=air, window=window).summary()
    span = window or next((t.window.span_s for t in traces.values()), None)
    return Recorded(times=times, values=values, roles=roles, traces=traces, window_s=span, by_hand=window is not None)


def kinds(run: Recorded, main: str = "coolant_over_air", **own: float) -> dict[str, Finding]:
    return {f.kind: f for f in check_run(run, run.traces.get(main), "no channel", CheckLimits(own))}


def test_a_sound_run_raises_nothing() -> None:
    for seed in range(3):
        found = kinds(recorded(seed=seed))
        assert [f.seen for f in found.values() if f.serious] == []


@pytest.mark.parametrize(
    ("fault", "kind"),
    [
        (Fault(swapped=("Coolant in", "Air in")), "swapped"),
        (Fault(stuck=("Coolant in", 900.0)), "stuck"),
        (Fault(pump_sag_per_h=0.2), "pump sags"),
        (Fault(paste_growth_per_h=0.3), "crept"),
        (Fault(warm_intake_k=1.8), "warm at rest"),
    ],
)
def test_a_fault_is_found_and_told_with_its_size(fault: Fault, kind: str) -> None:
    found = kinds(recorded(fault=fault))
    assert found[kind].serious
    if kind == "stuck":
        begin, end = found[kind].span_s or (0.0, 0.0)
        assert begin == pytest.approx(900, abs=5) and end > 2600
    if kind == "pump sags":  # 20 % an hour, over 39 of its minutes
        assert found[kind].value == pytest.approx(0.2 * 39 / 60 * 100, rel=0.1)
    if kind == "crept":  # 0.3 of 0.085 K/W an hour at 180 W, from ten minutes after load on: half an hour
        assert found[kind].value == pytest.approx(0.3 * 0.085 * 178 * 0.5, rel=0.15)
    if kind == "warm at rest":
        assert found[kind].value == pytest.approx(1.8, abs=0.2)


def test_doors_and_drifting_rooms_are_told_apart() -> None:
    door = kinds(recorded(replace(PLAN, room=replace(PLAN.room, door_s=1500.0, door_k=1.4))))
    assert door["room jumped"].seen.startswith("the air fell by 1.")
    swing = kinds(
        recorded(replace(PLAN, room=Room(start_c=22.0, drift_k_h=0.0, wander_k=0.05, hvac_k=0.25, hvac_period_s=900.0)))
    )
    assert "room jumped" not in swing


def test_a_run_stopped_early_says_how_far_it_had_to_go() -> None:
    early = kinds(recorded(replace(PLAN, load_s=700.0)))
    assert "still to go" in early["not settled"].seen and early["not settled"].serious


def test_sensors_that_drop_out_spike_or_cannot_be() -> None:
    run = recorded()
    rng = np.random.default_rng(1)
    values = dict(run.values)
    values["Die"] = np.where(rng.random(run.times.size) < 0.25, np.nan, values["Die"])
    values["Coolant in"] = np.where(rng.random(run.times.size) < 0.08, values["Coolant in"] + 9.0, values["Coolant in"])
    values["Flow"] = values["Flow"] + 5000.0
    keep = (run.times < 1200) | (run.times > 1300)
    gap = Recorded(
        times=run.times[keep],
        values={n: v[keep] for n, v in values.items()},
        roles=run.roles,
        traces=run.traces,
        window_s=(1000.0, 2600.0),
    )
    found = kinds(gap)
    assert found["drops out"].value == pytest.approx(25, abs=3)
    assert found["spikes"].channels == ("Coolant in",) and found["spikes"].serious
    assert found["out of range"].channels == ("Flow",)
    assert found["clock gap"].value == pytest.approx(102, abs=3) and "within the window" in found["clock gap"].seen


def test_a_hot_start_and_probes_that_hang_apart_are_told() -> None:
    run = recorded()
    left = 6.0 * np.exp(-run.times / 400.0)  # what the run before left in the loop
    values = dict(run.values)
    values["Coolant in"] = values["Coolant in"] + np.where(run.times < 240, left, 6.0 * np.exp(-run.times / 400.0))
    hot = kinds(judged(run.times, values, run.roles))
    assert "still falling" in hot["hot start"].seen and not hot["hot start"].serious  # it settled all the same
    assert "warm at rest" not in hot
    beside = dict(run.values, Exhaust=run.values["Air in"] + 1.4)
    apart = kinds(judged(run.times, beside, (*run.roles, ChannelRole("Exhaust", "air_in"))))
    assert (
        apart["air probes disagree"].serious
        and "Exhaust reads 1.4 K more than Air in" in apart["air probes disagree"].seen
    )


def test_power_that_drifts_and_clock_lost_at_the_limit_are_told() -> None:
    run = recorded()
    begin, end = run.window_s or (0.0, 0.0)
    values = dict(run.values)
    late = np.clip((run.times - begin) / (end - begin), 0, 1)
    values["Package power"] = values["Package power"] * (1 + 0.08 * late)
    found = kinds(Recorded(times=run.times, values=values, roles=run.roles, traces=run.traces, window_s=run.window_s))
    assert found["power drifts"].serious and found["power drifts"].value == pytest.approx(7.7, abs=0.6)
    at_limit = np.where(run.times > 600, np.minimum(values["Hot spot"] + 25, 88.0), values["Hot spot"])
    values["Hot spot"] = at_limit
    values["Clock"] = np.where(at_limit >= 87.5, 4000.0, values["Clock"])
    found = kinds(Recorded(times=run.times, values=values, roles=run.roles, traces=run.traces, window_s=run.window_s))
    assert "4000 MHz while the temperature stood at 88 °C" in found["throttled"].seen


def test_a_window_that_cuts_passes_is_told() -> None:
    looped = replace(PLAN, load=LoadPlan(name="batch", power_w=180.0, period_s=96.0, dip_s=7.0))
    cut = kinds(recorded(looped, window=(1500.0, 1500.0 + 2.5 * 96)))
    assert cut["cut cycles"].serious and cut["cut cycles"].value == pytest.approx(2.5, abs=0.05)
    assert "cut cycles" not in kinds(recorded(looped, window=(1500.0, 1500.0 + 5 * 96)))


def test_moist_air_over_chilled_water_warns_of_the_dew_point() -> None:
    run = recorded(replace(PLAN, room=Room(start_c=14.0, drift_k_h=0.0, wander_k=0.05)))
    wet = dict(run.values, Humidity=np.full(run.times.size, 80.0), Hall=np.full(run.times.size, 27.0))
    roles = (
        *[c for c in run.roles if c.role != "room"],
        ChannelRole("Humidity", "humidity"),
        ChannelRole("Hall", "room"),
    )
    found = kinds(Recorded(times=run.times, values=wet, roles=roles, traces=run.traces, window_s=run.window_s))
    assert "23.3 °C at 80 %" in found["dew point"].seen  # Magnus, 27 °C and 80 %: 23.3 °C


def test_probes_at_rest_are_held_against_each_other() -> None:
    run = recorded(replace(PLAN, load=LoadPlan(name="heater", power_w=160.0, idle_w=0.0)), seed=5)
    values = dict(run.values)
    values["Coolant in"] = values["Coolant in"] + 1.3
    found = kinds(judged(run.times, values, run.roles))
    assert found["zero check"].serious and "Coolant in reads 1.3 K more" in found["zero check"].seen


def test_what_is_missing_is_said_and_the_rest_is_told() -> None:
    run = recorded()
    for gone in (
        {"power"},
        {"air_in", "room"},
        {"coolant_in", "coolant_out"},
        {"die", "power", "air_in", "room", "coolant_in", "coolant_out"},
    ):
        roles = tuple(c for c in run.roles if c.role not in gone)
        seen = judged(run.times, dict(run.values), roles)
        found = check_run(seen, seen.traces.get("coolant_over_air"), "no channel has the role", CheckLimits())
        assert ("unreadable" in {f.kind for f in found}) == ("coolant_over_air" not in seen.traces)
    nothing = {n: np.full(run.times.size, np.nan) for n, _, _ in run.roles}
    assert {
        f.kind
        for f in check_run(
            Recorded(times=run.times, values=nothing, roles=run.roles), None, "all missing", CheckLimits()
        )
    } == {"unreadable"}
    short = Recorded(times=run.times[:10], values={n: v[:10] for n, v in run.values.items()}, roles=run.roles)
    assert {f.kind for f in check_run(short, None, "fewer than 8 readings", CheckLimits())} == {"unreadable"}


# --- against the siblings --------------------------------------------------------------------------------------------


def siblings(values: list[list[float]], key: str = "die_over_coolant") -> list[Sibling]:
    names = ("Tern", "Plover", "Dunlin")
    return [
        Sibling(
            mount_id=10 * i + j, candidate=names[i], label=f"{names[i]}, round {j + 1}", figures={key: v}, channels={}
        )
        for i, group in enumerate(values)
        for j, v in enumerate(group)
    ]


def test_two_bad_mounts_do_not_hide_each_other() -> None:
    good = [[0.150, 0.152, 0.149, 0.151], [0.160, 0.158, 0.161, 0.162], [0.170, 0.171, 0.168, 0.169]]
    assert not any(against_siblings(siblings(good), "block", 180.0, CheckLimits()).values())
    bad = [[0.150, 0.152, 0.182, 0.151], [0.160, 0.190, 0.161, 0.162], good[2]]
    found = against_siblings(siblings(bad), "block", 180.0, CheckLimits())
    assert {m for m, f in found.items() if f} == {2, 11}
    assert found[2][0].kind == "contact" and "5.6 K above" in found[2][0].seen  # (0.182 − 0.151)·180 W


def test_a_sound_mount_is_doubted_as_often_as_was_said_and_no_more() -> None:
    rng = np.random.default_rng(8)
    doubted = studies = 0
    for _ in range(400):
        values = {i: float(rng.normal(0, 1)) for i in range(12)}
        found = outlying(values, {i: str(i % 3) for i in range(12)}, 1.0, True, 0.005)
        doubted += len(found)
        studies += bool(found)
    assert doubted / (400 * 12) <= 0.008


def test_power_does_not_make_a_mount_stand_apart_in_kelvins_per_watt() -> None:
    values = siblings([[180.0, 181.0, 182.0, 206.0], [180.0, 179.0, 181.0, 182.0]], "power")
    found = against_siblings(values, "block", 180.0, CheckLimits())
    assert [f.kind for f in found[3]] == ["power off"] and "14 % above" in found[3][0].seen
    assert not against_siblings(values, "block", 180.0, CheckLimits({"power_percent": 20.0}))[3]


def test_findings_together_point_to_one_thing() -> None:
    others = (("Reed, round 1", 140.0), ("Reed, round 2", 142.0))
    air = [
        Finding(kind="flow off", seen="", value=103.0, others=others, figure="flow"),
        Finding(kind="radiator side", seen="", value=150.0, others=others, figure="coolant over air"),
    ]
    assert "air in the loop" in together(air)
    assert together([]) == ""


def test_every_kind_has_its_words_and_every_threshold_its_reason() -> None:
    for kind in KINDS.values():
        assert kind.title and kind.causes and kind.advice.endswith(".")
    assert set(OF_KIND) <= set(KINDS)
    assert all(t.why and t.value > 0 for t in THRESHOLDS.values())
    with pytest.raises(BenchError, match="above 0"):
        checked("rise_k", 0.0)
    finding = Finding(kind="stuck", seen="it stands", span_s=(1.0, 2.0), others=(("a", 1.0),))
    assert Finding.from_plain({**finding.to_plain(), "newer": 1}) == finding


# --- clock and heat --------------------------------------------------------------------------------------------------


def test_boost_steps_are_where_they_were_made() -> None:
    rng = np.random.default_rng(4)
    die = np.linspace(40, 80, 2400) + rng.normal(0, 0.4, 2400)
    truth = np.select([die < 52, die < 61, die < 70], [4800.0, 4775.0, 4750.0], 4700.0)
    loaded = np.ones(2400, bool)
    found = boost(die, np.round((truth + rng.normal(0, 4, 2400)) / 25) * 25, loaded, loaded)
    assert found is not None
    assert [s.at_c for s in found.steps] == pytest.approx([52, 61, 70], abs=1.1)
    assert found.steps[-1].to_mhz == 4700
    assert throttling(np.arange(2400.0), die, truth, loaded) is None


def test_throttling_is_clock_lost_at_the_limit_not_boosts_own_way_down() -> None:
    rng = np.random.default_rng(5)
    t = np.arange(0.0, 1800.0)
    die = np.minimum(40 + 60 * (1 - np.exp(-t / 300)), 90) + rng.normal(0, 0.3, t.size)
    clock = np.where(die > 89, 4700 - np.minimum((t - 500) * 2, 900), 4700.0)
    found = throttling(t, die, clock, np.ones(t.size, bool))
    assert found is not None
    assert found.limit_c == pytest.approx(90.5, abs=0.6)
    assert found.clock_held_mhz < 4200 and found.share > 0.5
    gentle = 4700 - 5.0 * np.maximum(die - 58, 0)
    assert throttling(t, die, gentle, np.ones(t.size, bool)) is None


def test_a_limit_met_in_the_loads_first_seconds_is_seen_by_the_clock_giving_way_and_nothing_else_is_taken_for_it() -> (
    None
):
    rng = np.random.default_rng(5)
    found, held, cried = 0, 0, 0
    for i in range(60):
        load = LoadPlan(name="x", power_w=float(rng.uniform(150, 260)), period_s=96.0 if rng.random() < 0.4 else None)
        plan = RunPlan(
            radiator=Radiator(name="x", k_w=float(rng.uniform(0.045, 0.08))),
            block=Block(name="x", r0_k_w=float(rng.uniform(0.05, 0.12))),
            load=load,
            room=Room(start_c=float(rng.uniform(18, 26)), drift_k_h=float(rng.uniform(-1, 1)), wander_k=0.15),
            start=dt.datetime(2026, 1, 1),
            load_s=float(rng.uniform(1200, 2400)),
            leakage=float(rng.uniform(0, 0.0015)),
        )
        loop, _ = built(plan, Pump(), plan.fan_rpm, plan.pump_speed)
        rest = float(loop.at_rest(load.power_w, plan.room.start_c)[0])
        limit = rest - float(rng.uniform(4, 15)) if i % 2 else None
        if limit is not None and limit < 62:
            continue
        table, _ = record(replace(plan, limit_c=limit), Pump(), i, "x.csv")
        values = {c.name: c.values for c in table.channels}
        seen = limit_met(judged(table.times, values, tuple(ChannelRole(c.name, c.role) for c in table.channels)))
        held += limit is not None
        found += limit is not None and seen is not None
        cried += limit is None and seen is not None
    assert held > 20 and found >= 0.9 * held and cried == 0


def test_a_hand_worked_heat_balance_agrees_to_the_last_digit() -> None:
    """Water at 31 °C: 995.2 kg/m³, 4180 J/(kg·K); 150 L/h and 1.0 K make 995.2·4180·150/3.6e6 = 173.3 W."""
    found = closure(30.5, 31.5, 150.0, 180.0, pair_u_k=0.05, flow_u=0.02, power_u=0.01)
    assert (round(found.density_kg_m3, 1), round(found.heat_capacity_j_kg_k)) == (995.2, 4180)
    assert round(found.heat_w, 1) == 173.3
    assert round(found.closure, 3) == 0.963
    # 1.96·√(8.67² + 3.47² + 1.73²)/180 = 0.103
    assert round(found.closure_u95, 3) == 0.103
    assert dict(found.shares)["coolant probes"] == pytest.approx(8.67**2 / (8.67**2 + 3.47**2 + 1.73**2), abs=0.005)
    # the case of docs/methods.md: two probes good to 0.1 K at 200 L/h and 200 W
    assert round(100 * closure(30.0, 30.86, 200.0, 200.0, flow_u=0.0, power_u=0.0).closure_u95) in range(16, 20)


@pytest.mark.parametrize("glycol", ["propylene glycol", "ethylene glycol"])
def test_the_coolants_table_is_true(glycol: str) -> None:
    from CoolProp.CoolProp import PropsSI

    from kuffin.core.base.errors import TraceError

    short = {"propylene glycol": "MPG", "ethylene glycol": "MEG"}[glycol]
    for share, at in ((0, 22.0), (25, 31.0), (40, 47.0)):
        fluid = "Water" if share == 0 else f"INCOMP::{short}[{share / 100:g}]"
        found = properties(at, Mix(glycol, share))
        assert found.density_kg_m3 == pytest.approx(PropsSI("D", "T", at + 273.15, "P", 101325, fluid), rel=1e-3)
        thick = 1e3 * PropsSI("V", "T", at + 273.15, "P", 101325, fluid)
        assert found.viscosity_mpa_s == pytest.approx(thick, rel=0.02)  # straight lines between 10 K and 10 %
        assert found.conductivity_w_m_k == pytest.approx(PropsSI("L", "T", at + 273.15, "P", 101325, fluid), rel=5e-3)
        assert found.heat_capacity_j_kg_k == pytest.approx(PropsSI("C", "T", at + 273.15, "P", 101325, fluid), rel=2e-3)
    with pytest.raises(TraceError, match="not at 90"):
        properties(90.0)
