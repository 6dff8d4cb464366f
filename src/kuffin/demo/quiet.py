"""The demo's sixth study: three radiators swept over the fans' speed, with what a sound meter read.

Sedge has tight fins: at the same fan speed it is the coolest by far when the fans turn fast, starves when they turn slowly, and makes
the same fans five decibels louder. Read at equal speed it wins; read at equal loudness it loses to Reed. Both are known, and tested.
"""

from __future__ import annotations

import datetime as dt

import numpy as np

from kuffin.core.bench.limits import Limits
from kuffin.core.bench.protocol import Step, sweep
from kuffin.notebook import edits, planedits
from kuffin.notebook import shelf as edit_shelf
from kuffin.notebook.entities import Study
from kuffin.notebook.store import Notebook
from kuffin.simulated.hydraulics import Pump
from kuffin.simulated.livebench import FULL_FAN_RPM
from kuffin.simulated.room import Room
from kuffin.simulated.station import Block, LoadPlan, Radiator, RunPlan, record

SEED = 3108
QUESTION = "How quiet can each radiator be?"
NAME = "Radiators, how quiet"
MARGIN_K = 0.5
POWER_W = 180.0
FANS_PERCENT = (100.0, 75.0, 55.0, 40.0)
ROUNDS = 3
_USUAL_RPM, _TIGHT = 900.0, 0.62  # at which Sedge is as the first study has it, and how its fins answer to speed
SEDGE = Radiator(name="Sedge", k_w=0.0566 * (1000.0 / _USUAL_RPM) ** (0.45 - _TIGHT), fan_exponent=_TIGHT, sound_db=5.0)
SWEPT = (SEDGE, Radiator(name="Reed", k_w=0.0578), Radiator(name="Bulrush", k_w=0.0640))
_ORDER = (("Reed", "Sedge", "Bulrush"), ("Bulrush", "Reed", "Sedge"), ("Sedge", "Bulrush", "Reed"))
_SCATTER = 0.01
_IDLE_S, _STEP_S = 180.0, 1500.0


def quiet_plan(name: str, round_number: int, slot: int, rng: np.random.Generator) -> RunPlan:
    """One run: idle, then a load through all settings of the fans, the fastest first."""
    steps = [(_IDLE_S + i * _STEP_S, FULL_FAN_RPM * p / 100) for i, p in enumerate(FANS_PERCENT)]
    return RunPlan(
        radiator=next(r for r in SWEPT if r.name == name),
        block=Block(name="Tern"),
        load=LoadPlan(name="long mix", power_w=POWER_W),
        room=Room(start_c=20.8 + 0.6 * slot + float(rng.normal(0, 0.2)), drift_k_h=0.3, wander_k=0.06),
        start=dt.datetime(2026, 2, 23 + round_number, 9, 30) + dt.timedelta(hours=2.5 * slot),
        idle_s=_IDLE_S,
        load_s=_STEP_S * len(FANS_PERCENT),
        mount_factor=1 + float(rng.normal(0, _SCATTER)),
        leakage=0.0008,
        interval_s=4.0,
        fan_rpm=FULL_FAN_RPM,
        fan_steps=tuple(steps),
    )


def add_quiet_study(notebook: Notebook) -> int:
    """Put the study into a notebook whose shelf is filled; returns its id."""
    rng = np.random.default_rng(SEED)
    study = edits.add_study(notebook, QUESTION, "radiator", [r.name for r in SWEPT], MARGIN_K, name=NAME, rounds=ROUNDS)
    base = Step(
        name="sweep",
        load="long mix",
        power_w=POWER_W,
        pump_percent=60.0,
        settle="clock",
        longest_min=(_STEP_S / 60) - 5,
        measure_min=5.0,
    )
    idle = Step(name="idle", settle="clock", longest_min=_IDLE_S / 60, measure_min=0)
    steps = (idle, *sweep(base, "fan_percent", FANS_PERCENT))
    protocol = planedits.keep_protocol(
        notebook, "fans, fast to slow", steps, Limits(die_c=90.0, coolant_c=50.0, flow_l_h=60.0)
    )
    benches = edit_shelf.benches(notebook)
    edits.change_study(
        notebook,
        study,
        "set the study up",
        reference_power_w=POWER_W,
        tolerance_k=0.5,
        protocol_id=protocol,
        bench_id=benches[0].id if benches else None,
    )
    planedits.set_plan(notebook, study, "say what it is about", looks=[ROUNDS], condition=steps[3].name)
    for round_number, order in enumerate(_ORDER, 1):
        for slot, name in enumerate(order):
            plan = quiet_plan(name, round_number, slot, rng)
            table, _ = record(
                plan, Pump(), SEED * 100 + round_number * 10 + slot, f"{name.lower()}_sweep{round_number}.csv"
            )
            edits.add_log(notebook, study, name, table, round_number=round_number)
    with notebook.edit("date the study") as session:
        session.get_one(Study, study).created_at = "2026-02-24T09:00:00"
    return study
