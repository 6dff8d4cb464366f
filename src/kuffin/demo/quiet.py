"""The demo's sixth study: three radiators swept over the fans' speed, with what a sound meter read.

Sedge has tight fins: at the same fan speed it is the coolest by far when the fans turn fast, starves when they turn slowly, and makes
the same fans five decibels louder. Read at equal speed it wins; read at equal loudness it loses to Reed. Both are known, and tested.
"""

from __future__ import annotations

import datetime as dt
import tempfile
from pathlib import Path
from typing import Any

import numpy as np

from kuffin.core.bench.limits import Limits
from kuffin.core.bench.protocol import Step, sweep
from kuffin.logs.audio import write_sound
from kuffin.notebook import edits, planedits, recordings
from kuffin.notebook import shelf as edit_shelf
from kuffin.notebook.entities import Bench, Study
from kuffin.notebook.store import Notebook
from kuffin.simulated.hydraulics import Pump
from kuffin.simulated.livebench import FULL_FAN_RPM
from kuffin.simulated.microphone import RATE, Sounding, calibrator, recorded
from kuffin.simulated.room import Room
from kuffin.simulated.station import Block, LoadPlan, Radiator, RunPlan, record

SEED = 3108
QUESTION = "How quiet can each radiator be?"
NAME = "Radiators, how quiet"
MARGIN_K = 0.5
POWER_W = 180.0
FANS_PERCENT = (100.0, 75.0, 55.0, 40.0)
ROUNDS = 3
RECORDED_PERCENT = (75.0, 40.0)
_SECONDS = 4.0
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


def protocol_steps() -> tuple[Step, ...]:
    """Idle, then the load at each setting of the fans."""
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
    return (idle, *sweep(base, "fan_percent", FANS_PERCENT))


def add_quiet_study(notebook: Notebook) -> int:
    """Put the study into a notebook whose shelf is filled; returns its id."""
    rng = np.random.default_rng(SEED)
    study = edits.add_study(notebook, QUESTION, "radiator", [r.name for r in SWEPT], MARGIN_K, name=NAME, rounds=ROUNDS)
    steps = protocol_steps()
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
    _record_sound(notebook, study, benches[0] if benches else None)
    with notebook.edit("date the study") as session:
        session.get_one(Study, study).created_at = "2026-02-24T09:00:00"
    return study


def _record_sound(notebook: Notebook, study: int, bench: Bench | None) -> None:
    """A microphone half a metre off: calibrator and booth first, then every mount's slow and fast fans for a few seconds each."""
    if bench is None:
        return
    recordings.set_sound(
        notebook, bench.id, distance_m=0.5, position="at ear height, front", level_db=94.0, level_accuracy_db=0.3
    )
    bench = next(b for b in edit_shelf.benches(notebook) if b.id == bench.id)
    rng = np.random.default_rng(SEED + 1)
    steps = [s for s in protocol_steps() if s.fan_percent in RECORDED_PERCENT]
    with tempfile.TemporaryDirectory() as folder:

        def keep(name: str, samples: np.ndarray, at: str, **whose: Any) -> None:
            path = Path(folder) / name
            write_sound(path, samples, RATE, 16)
            recordings.add_recording(notebook, path, bench=bench, added_at=at, **whose)

        keep("calibrator.flac", calibrator(rng), "2026-02-24T09:05:00", kind="calibrator")
        keep("booth, all off.flac", recorded(Sounding(), rng, _SECONDS), "2026-02-24T09:10:00", kind="background")
        keep("calibrator, evening.flac", calibrator(rng, 94.08), "2026-02-26T18:00:00", kind="calibrator")
        for candidate in notebook.study(study).live_candidates:
            radiator = next(r for r in SWEPT if r.name == candidate.name)
            for mount in candidate.live_mounts:
                run = mount.live_runs[0]
                for step in steps:
                    rpm = FULL_FAN_RPM * (step.fan_percent or 0.0) / 100
                    what = Sounding(
                        fan_rpm=rpm, sound_db=radiator.sound_db, pump_speed=RunPlan.pump_speed, power_w=POWER_W
                    )
                    keep(
                        f"{candidate.name.lower()}_{mount.round}_fans{step.fan_percent:.0f}.flac",
                        recorded(what, rng, _SECONDS),
                        f"2026-02-{23 + mount.round}T17:00:00",
                        mount_id=mount.id,
                        run_id=run.id,
                        condition=step.name,
                    )
