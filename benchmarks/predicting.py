"""How often a prediction's interval holds what one more mount would really show: drawn studies, within what was measured and beyond it.

Half of the studies sweep radiators over the fans (the coolant is predicted), half step blocks through three powers (the die is). Mounts scatter
by 1 to 3 %, rooms drift, sensors are those of the simulated bench. The truth is a further mount, drawn like the others, at the power, room
and fans that are asked for, without noise.
"""

from __future__ import annotations

import datetime as dt
import sys
import tempfile
from concurrent.futures import ProcessPoolExecutor
from contextlib import closing
from dataclasses import replace
from pathlib import Path

import numpy as np

from kuffin.core.base.errors import KuffinError
from kuffin.core.bench.limits import Limits
from kuffin.core.bench.protocol import Step, sweep
from kuffin.demo.blocks import ClimbingLoad
from kuffin.notebook import edits, planedits
from kuffin.notebook.store import Notebook
from kuffin.simulated.hydraulics import Pump
from kuffin.simulated.livebench import FULL_FAN_RPM
from kuffin.simulated.room import Room
from kuffin.simulated.station import Block, LoadPlan, Radiator, RunPlan, built, record
from kuffin.verdict.carried import WhatIf
from kuffin.verdict.predicting import predict
from kuffin.verdict.study import judge

POWERS_W, FANS = (120.0, 180.0, 240.0), (100.0, 70.0, 45.0)
_STEP_S, _IDLE_S, _MOUNTS, _ASKED = 1080.0, 180.0, 3, 5
Found = list[tuple[bool, bool, float]]  # beyond, held, half-width


def _plan(of_fans: bool, part: int, spread: float, rng: np.random.Generator, truth: np.random.Generator) -> RunPlan:
    """A mount of a candidate; `truth` is the candidate's own."""
    k, r0 = 0.055 + 0.006 * part + 0.004 * float(truth.random()), 0.044 + 0.004 * part
    steps = [(_IDLE_S + i * _STEP_S, FULL_FAN_RPM * p / 100) for i, p in enumerate(FANS)]
    plan = RunPlan(
        radiator=Radiator(name="x", k_w=k, fan_exponent=float(truth.uniform(0.35, 0.6))),
        block=Block(name="x", r0_k_w=r0, paste_k_w=0.082 * (1 + (0.0 if of_fans else float(rng.normal(0, spread))))),
        load=LoadPlan(name="long mix", power_w=180.0)
        if of_fans
        else ClimbingLoad(name="long mix", power_w=max(POWERS_W)),
        room=Room(start_c=float(rng.uniform(20, 24)), drift_k_h=float(rng.normal(0, 0.4)), wander_k=0.08),
        start=dt.datetime(2026, 3, 2, 9, 0),
        idle_s=_IDLE_S,
        load_s=_STEP_S * 3,
        mount_factor=1 + (float(rng.normal(0, spread)) if of_fans else 0.0),
        leakage=0.0006,
        interval_s=4.0,
    )
    return replace(plan, fan_rpm=FULL_FAN_RPM * FANS[0] / 100, fan_steps=tuple(steps)) if of_fans else plan


def one(seed: int) -> Found:
    """One study, and what was asked of it."""
    rng, of_fans = np.random.default_rng([31, seed]), seed % 2 == 0
    spread = float(rng.uniform(0.01, 0.03))
    base = Step(
        name="step",
        load="long mix",
        power_w=180.0,
        fan_percent=None if of_fans else 55.0,
        pump_percent=62.0,
        settle="clock",
        longest_min=13.0,
        measure_min=5.0,
    )
    idle = Step(name="idle", settle="clock", longest_min=3.0, measure_min=0.0)
    steps = (idle, *(sweep(base, "fan_percent", FANS) if of_fans else sweep(base, "power_w", POWERS_W)))
    names = ["Reed", "Sedge"] if of_fans else ["Tern", "Knot"]
    with tempfile.TemporaryDirectory() as folder, closing(Notebook.create(Path(folder) / "x.kuffin")) as book:
        study = edits.add_study(book, "Which?", "radiator" if of_fans else "block", names, 0.5)
        protocol = planedits.keep_protocol(book, "steps", steps, Limits())
        edits.change_study(book, study, "x", protocol_id=protocol, tolerance_k=0.5, reference_power_w=180.0)
        for part, name in enumerate(names):
            for m in range(_MOUNTS):
                plan = _plan(of_fans, part, spread, rng, np.random.default_rng([7, seed, part]))
                table, _ = record(plan, Pump(), seed * 100 + part * 10 + m, f"{name}{m}.csv")
                edits.add_log(book, study, name, table, round_number=m + 1)
        v = judge(book, book.study(study))
        found: Found = []
        for _ in range(_ASKED):
            part, beyond = int(rng.integers(2)), rng.random() < 1 / 3
            air = float(rng.uniform(16, 32))
            power = float(rng.uniform(180, 185) if of_fans else rng.uniform(*((250, 400) if beyond else (120, 240))))
            fan = float(rng.uniform(*((25, 42) if beyond else (45, 100)))) if of_fans else 55.0
            try:
                told = predict(v, names[part], WhatIf(power_w=power, air_c=air, fan=fan))
            except KuffinError:
                continue
            further = _plan(of_fans, part, spread, rng, np.random.default_rng([7, seed, part]))
            rpm = FULL_FAN_RPM * fan / 100 if of_fans else further.fan_rpm
            loop, _flow = built(further, Pump(), rpm, further.pump_speed)
            rise = power * (loop.r_radiator + (0.0 if of_fans else loop.r_block + loop.r_die))
            value = told.coolant if of_fans else told.die
            if value is not None:
                found.append((bool(told.beyond), value.low <= air + rise <= value.high, value.half))
        return found


def report(studies: int = 80) -> None:
    """Print how often intervals hold."""
    with ProcessPoolExecutor(2) as pool:
        every = [x for found in pool.map(one, range(studies)) for x in found]
    for beyond, aim in ((False, 93), (True, 85)):
        own = [x for x in every if x[0] == beyond]
        held = sum(x[1] for x in own)
        where = "beyond what was measured" if beyond else "within what was measured"
        print(
            f"predictions {where}: {held} of {len(own)} held ({100 * held / max(len(own), 1):.1f} %, at least {aim}); median half-width {np.median([x[2] for x in own]):.2f} K"
        )


if __name__ == "__main__":
    report(int(sys.argv[1]) if len(sys.argv) > 1 else 80)
