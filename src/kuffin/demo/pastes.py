"""The demo's second study: three pastes on a heater block, with hidden faults in two mounts. Its truth is known, and tested.

Before the radiators the studio asked which of its three pastes to buy more of. A heater block with four probes in its face
stands in for a processor: no clock, no boost, one steady power. One mount was put together askew; in another the coolant's
probe came loose and the logger went on repeating its last value.
"""

from __future__ import annotations

import datetime as dt
from collections.abc import Callable
from dataclasses import replace

import numpy as np

from kuffin.logs.table import LogChannel, LogTable
from kuffin.notebook import edits
from kuffin.notebook.entities import Study
from kuffin.notebook.store import Notebook
from kuffin.simulated.faults import Fault
from kuffin.simulated.hydraulics import Pump
from kuffin.simulated.room import Room
from kuffin.simulated.sensors import Sensor
from kuffin.simulated.station import Block, LoadPlan, Radiator, RunPlan, record

SEED = 1207
QUESTION = "Which paste do we buy again?"
HEATER_W = 160.0
PASTES = {"Chalk": 0.078, "Marl": 0.086, "Loam": 0.1}  # K/W under the block
ASKEW = ("Marl", 2)
LOOSE_PROBE = ("Loam", 3)
ROUNDS = 4
_ORDER = ("Chalk", "Marl", "Loam"), ("Loam", "Chalk", "Marl"), ("Marl", "Loam", "Chalk"), ("Chalk", "Loam", "Marl")
_SCATTER = 0.02
_FACE = Sensor(noise=0.06, quantum=0.1)
_LEFT_OUT = {"Hot spot", "Clock", "Die"}  # a heater has none of these


def paste_runs(progress: Callable[[int, int], None] | None = None) -> list[tuple[str, int, LogTable]]:
    """Simulate the study's runs in bench order: paste, round, log."""
    rng = np.random.default_rng(SEED)
    out = []
    for number, order in enumerate(_ORDER, 1):
        for slot, name in enumerate(order):
            askew = (name, number) == ASKEW
            resistance = PASTES[name] * (1 + float(rng.normal(0, _SCATTER))) * (1.22 if askew else 1.0)
            plan = RunPlan(
                radiator=Radiator(name="Sedge", k_w=0.0566),
                block=Block(name="Tern", paste_k_w=resistance),
                load=LoadPlan(name="heater", power_w=HEATER_W + float(rng.normal(0, 0.4)), idle_w=0.5),
                room=Room(start_c=20.4 + 0.5 * slot + float(rng.normal(0, 0.3)), drift_k_h=0.4, wander_k=0.1),
                start=dt.datetime(2026, 2, 8 + number, 9, 30) + dt.timedelta(minutes=70 * slot),
                leakage=0.0,
                load_s=2700.0,
            )
            loose = Fault(stuck=("Coolant in", 1310.0)) if (name, number) == LOOSE_PROBE else None
            table, _ = record(plan, Pump(), SEED * 100 + number * 10 + slot, f"{name.lower()}_mount{number}.csv", loose)
            out.append((name, number, _on_heater(table, askew, rng)))
            if progress is not None:
                progress(len(out), ROUNDS * len(PASTES))
    return out


def _on_heater(table: LogTable, askew: bool, rng: np.random.Generator) -> LogTable:
    """The log as the heater's logger writes it: four probes in its face instead of one die."""
    heater = next(c for c in table.channels if c.name == "Die")
    power = next(c for c in table.channels if c.name == "Package power").values
    # across the face: a little from the flow's direction, much more where the block sits askew
    tilt = np.array([-1.0, -0.35, 0.3, 1.05]) * ((0.021 if askew else 0.004) + float(rng.normal(0, 0.0004)))
    smooth = np.convolve(np.pad(heater.values, 7, mode="edge"), np.ones(15) / 15, mode="valid")
    faces = [
        LogChannel(
            name=f"Face {i}",
            unit="degC",
            quantity="temperature",
            role="die",
            values=np.round(_FACE.read(smooth + t * power, rng), 4),
            written_unit="degC",
        )
        for i, t in enumerate(tilt, 1)
    ]
    rest = [
        replace(c, name="Heater power") if c.name == "Package power" else c
        for c in table.channels
        if c.name not in _LEFT_OUT
    ]
    return replace(table, channels=[*faces, *rest])


def add_paste_study(notebook: Notebook, progress: Callable[[int, int], None] | None = None) -> int:
    """Put the study into a notebook; returns its id."""
    study = edits.add_study(notebook, QUESTION, "paste", list(PASTES), 1.0, name="Pastes, winter", rounds=ROUNDS)
    edits.change_study(notebook, study, "set the study up", reference_power_w=HEATER_W)
    edits.add_logs(
        notebook, study, [edits.NewRun(name, table, round=number) for name, number, table in paste_runs(progress)]
    )
    with notebook.edit("date the study") as session:
        session.get_one(Study, study).created_at = "2026-02-09T09:00:00"
    return study
