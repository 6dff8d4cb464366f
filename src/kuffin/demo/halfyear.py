"""The demo's study of half a year: three pastes left in place and read again. Its truth is known, and tested.

Three heater blocks stand side by side in the booth's cupboard, each with a paste of its own, on one loop. Marl pumps out: it gets
warmer along the logarithm of time. Loam and Chalk, the baseline, stay as they are. In the third month the coolant's probes were
changed: everything reads warmer since.
"""

from __future__ import annotations

import datetime as dt
from collections.abc import Callable
from dataclasses import replace

import numpy as np

from kuffin.core.compare.ageing import log_time
from kuffin.logs.table import LogTable
from kuffin.notebook import edits, planedits
from kuffin.notebook.entities import Study
from kuffin.notebook.store import Notebook
from kuffin.simulated.hydraulics import Pump
from kuffin.simulated.room import Room
from kuffin.simulated.station import Block, LoadPlan, Radiator, RunPlan, record

SEED = 1919
NAME, QUESTION = "Pastes, half a year", "Does a paste get worse in half a year?"
HEATER_W = 160.0
PASTES = {"Chalk": 0.078, "Marl": 0.086, "Loam": 0.1}  # K/W under the block, on the first day
BASELINE, AGES, AGED_K = "Chalk", "Marl", 1.3  # at the last recheck
DAYS = (0, 1, 7, 30, 60, 90, 120, 180)
PROBES_CHANGED_DAY, PROBES_K = 75, 0.8
_REPEAT_K = 0.08  # how far the same mount reads from day to day
_LEFT_OUT = {"Hot spot", "Clock"}
_FIRST = dt.datetime(2026, 3, 23, 9, 30)


def aged_k(paste: str, days: float) -> float:
    """How much warmer a paste is than on its first day, K at the heater's power."""
    return AGED_K * float(log_time(days) / log_time(DAYS[-1])) if paste == AGES else 0.0


def half_year_runs(progress: Callable[[int, int], None] | None = None) -> list[tuple[str, LogTable]]:
    """Simulate the study's runs: paste and log, day by day."""
    rng = np.random.default_rng(SEED)
    out = []
    for visit, day in enumerate(DAYS):
        for slot, (name, resistance) in enumerate(PASTES.items()):
            more = (aged_k(name, day) + float(rng.normal(0, _REPEAT_K))) / HEATER_W
            plan = RunPlan(
                radiator=Radiator(name="Sedge", k_w=0.0566),
                block=Block(name="Tern", paste_k_w=resistance + more),
                load=LoadPlan(name="heater", power_w=HEATER_W + float(rng.normal(0, 0.4)), idle_w=0.5),
                room=Room(start_c=20.4 + 0.3 * slot + float(rng.normal(0, 0.5)), drift_k_h=0.3, wander_k=0.1),
                start=_FIRST + dt.timedelta(days=day, minutes=60 * slot),
                leakage=0.0,
                load_s=2400.0,
                interval_s=4.0,
            )
            table, _ = record(plan, Pump(), SEED * 100 + visit * 10 + slot, f"{name.lower()}_day{day}.csv")
            out.append((name, _on_heater(table, PROBES_K if day > PROBES_CHANGED_DAY else 0.0)))
            if progress is not None:
                progress(len(out), len(DAYS) * len(PASTES))
    return out


def _on_heater(table: LogTable, cooler_k: float) -> LogTable:
    """The log as the heater's logger writes it; the coolant's probes read so much too low."""
    channels = [
        replace(c, name={"Package power": "Heater power", "Die": "Face"}.get(c.name, c.name)) for c in table.channels
    ]
    return replace(
        table,
        channels=[
            replace(c, values=c.values - cooler_k) if c.name in {"Coolant in", "Coolant out"} else c
            for c in channels
            if c.name not in _LEFT_OUT
        ],
    )


def add_half_year(notebook: Notebook, progress: Callable[[int, int], None] | None = None) -> int:
    """Put the study into a notebook; returns its id."""
    study = edits.add_study(notebook, QUESTION, "paste", list(PASTES), 1.0, name=NAME, rounds=1)
    first = {c.name: c.id for c in notebook.study(study).live_candidates}
    edits.change_study(notebook, study, "set the study up", reference_power_w=HEATER_W, baseline_id=first[BASELINE])
    runs = half_year_runs(progress)
    edits.add_logs(notebook, study, [edits.NewRun(n, t, round=1) for n, t in runs[: len(PASTES)]])
    mounts = {c.name: c.live_mounts[0].id for c in notebook.study(study).live_candidates}
    plan = {"days": [float(d) for d in (*DAYS[1:], 365)], "rest_h": 24.0, "mounts": list(mounts.values())}
    planedits.set_plan(notebook, study, "plan rechecks", rechecks=plan)
    edits.add_logs(notebook, study, [edits.NewRun(n, t, mount_id=mounts[n]) for n, t in runs[len(PASTES) :]])
    with notebook.edit("date the study") as session:
        session.get_one(Study, study).created_at = "2026-03-22T09:00:00"
    return study
