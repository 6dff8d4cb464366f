"""The demo's fifth study: two pads on the regulators, read with an infrared meter and typed; one mount was recorded.

The regulators have no sensor of their own. Beside each mount a tape of known emissivity was read half an hour after the load
began; coolant, air and power were taken off the screen. What is so is known: Shale costs 0.017 K/W over Slate.
"""

from __future__ import annotations

import datetime as dt

import numpy as np

from kuffin.demo.blocks import with_regulators
from kuffin.notebook import edits
from kuffin.notebook.entities import Study
from kuffin.notebook.store import Notebook
from kuffin.notebook.typedruns import TypedFigure, TypedRun, add_typed
from kuffin.simulated.hydraulics import Pump
from kuffin.simulated.room import Room
from kuffin.simulated.station import Block, LoadPlan, Radiator, RunPlan, built, record

SEED = 2311
QUESTION = "Which pad keeps booth seven's regulators cooler?"
PADS = {"Slate": 0.104, "Shale": 0.121}  # regulators over coolant, K/W
POWER_W, MARGIN_K, ROUNDS = 240.0, 1.0, 3
_SCATTER = 0.02
_RECORDED = ("Slate", 1)


def _plan(rng: np.random.Generator, slot: int) -> RunPlan:
    return RunPlan(
        radiator=Radiator(name="Sedge", k_w=0.0566),
        block=Block(name="Tern"),
        load=LoadPlan(name="batch stretch", power_w=POWER_W),
        room=Room(start_c=20.8 + 0.3 * slot + float(rng.normal(0, 0.3)), drift_k_h=0.3, wander_k=0.05),
        start=dt.datetime(2026, 4, 11, 9, 0) + dt.timedelta(minutes=60 * slot),
        idle_s=180.0,
        load_s=2400.0,
        interval_s=4.0,
    )


def add_pad_study(notebook: Notebook) -> int:
    """Put the study into a notebook; returns its id."""
    study = edits.add_study(
        notebook, QUESTION, "regulator over coolant", list(PADS), MARGIN_K, name="Pads, spring", rounds=ROUNDS
    )
    rng = np.random.default_rng(SEED)
    typed = []
    for round_number in range(1, ROUNDS + 1):
        for slot, (name, true) in enumerate(PADS.items()):
            each = true * (1 + float(rng.normal(0, _SCATTER)))
            plan = _plan(rng, 2 * (round_number - 1) + slot)
            if (name, round_number) == _RECORDED:
                table, _ = record(plan, Pump(), SEED, f"{name.lower()}_round{round_number}.csv")
                edits.add_log(notebook, study, name, with_regulators(table, each, rng), round_number=round_number)
            else:
                typed.append(_typed(name, round_number, each, plan, rng))
    add_typed(notebook, study, typed)
    with notebook.edit("date the study") as session:
        session.get_one(Study, study).created_at = "2026-04-11T09:00:00"
    return study


def _typed(name: str, round_number: int, k_w: float, plan: RunPlan, rng: np.random.Generator) -> TypedRun:
    """What stood on the screens half an hour after the load began."""
    loop, _ = built(plan, Pump(), plan.fan_rpm, plan.pump_speed)
    air = plan.room.start_c + 0.2 + float(rng.normal(0, 0.1))
    power = POWER_W + float(rng.normal(0, 1.0))
    minutes = float(rng.integers(28, 36))
    coolant = air + loop.r_radiator * power * (1 - float(np.exp(-60 * minutes / loop.tau_s(POWER_W))))
    shown = {"regulator": (coolant + k_w * power, 1.0), "coolant_in": (coolant, 0.1), "air_in": (air, 0.1), "power": (power, 1.0)}  # fmt: skip
    figures = [
        TypedFigure(role=role, value=round(round(value / step) * step, 1), resolution=step)
        for role, (value, step) in shown.items()
    ]
    return TypedRun(candidate=name, figures=figures, minutes=minutes, round=round_number)
