"""How well a warm-up is foreseen while it goes on: the level it is heading for, and the minutes to go."""

from __future__ import annotations

import datetime as dt

import numpy as np

from kuffin.core.bench.devices import ChannelRole
from kuffin.notebook.samples import RunData
from kuffin.reading.forecast import forecast
from kuffin.reading.signals import Signals, signals
from kuffin.simulated.hydraulics import Pump
from kuffin.simulated.room import Room
from kuffin.simulated.station import Block, LoadPlan, Radiator, RunPlan, record

_IDLE_S = 300.0
MINUTES = (8, 12, 16, 20, 25)


def one(seed: int) -> tuple[Signals, float]:
    """A run on a drawn bench, and the level its coolant over air comes to at rest, K."""
    rng = np.random.default_rng(seed)
    plan = RunPlan(
        radiator=Radiator(
            name="x", k_w=float(rng.uniform(0.045, 0.09)), heat_capacity_j_k=float(rng.uniform(500, 2500))
        ),
        block=Block(name="y"),
        load=LoadPlan(
            name="batch stretch",
            power_w=float(rng.uniform(120, 260)),
            period_s=96.0 if rng.random() < 0.5 else None,
            dip_s=7.0,
        ),
        room=Room(start_c=float(rng.uniform(19, 25)), drift_k_h=float(rng.uniform(-1.0, 1.0)), wander_k=0.1),
        start=dt.datetime(2026, 1, 5),
        idle_s=_IDLE_S,
        load_s=4200.0,
    )
    table, truth = record(plan, Pump(), seed, "x.csv")
    channels = tuple(ChannelRole(c.name, c.role, c.device) for c in table.channels)
    found = signals(
        RunData(
            times=table.times, values={c.name: c.values for c in table.channels}, roles={}, units={}, channels=channels
        )
    )
    power = table.channels[[c.role for c in table.channels].index("power")].values
    loaded = (table.times > _IDLE_S + 3000) & np.isfinite(power)
    return found, truth.radiator_k_w * float(np.mean(power[loaded]))


def cut(s: Signals, end_s: float) -> Signals:
    at = int(np.searchsorted(s.times, end_s))
    die, coolant, air, power = (None if x is None else x[:at] for x in (s.die, s.coolant, s.air, s.power))
    return Signals(times=s.times[:at], die=die, coolant=coolant, air=air, power=power, names=s.names)


def report(runs: int = 60) -> None:
    """Print, for some minutes into the warm-up, how far off the level and the time to go are."""
    rows: dict[int, list[tuple[float, float, float]]] = {m: [] for m in MINUTES}
    for seed in range(runs):
        whole, level = one(seed)
        settled_s = None
        for minute in range(8, 70):
            if forecast(cut(whole, _IDLE_S + 60 * minute), "coolant_over_air", 0.2, _IDLE_S).settled:
                settled_s = 60.0 * minute
                break
        for minute in MINUTES:
            found = forecast(cut(whole, _IDLE_S + 60 * minute), "coolant_over_air", 0.2, _IDLE_S)
            if found.settling is None or found.left_s is None or settled_s is None or found.settled:
                continue
            late = (60 * minute + found.left_s - settled_s) / 60
            rows[minute].append((found.settling.warm_up.final - level, found.settling.final_u95, late))
    for minute, found in rows.items():
        if not found:
            print(f"{minute} min into the warm-up: all have settled")
            continue
        off, u95, late = np.array(found).T
        held = float(np.mean(np.abs(off) <= u95 + 0.1))
        print(
            f"{minute} min into the warm-up ({len(found)} of {runs} not settled yet): level off by {np.median(np.abs(off)):.2f} K (median; "
            f"interval ± {np.median(u95):.2f} K holds it in {100 * held:.0f} %), foreseen {np.median(late):+.1f} min late "
            f"(90 %: {np.percentile(late, 5):+.1f} to {np.percentile(late, 95):+.1f}; below 0: too early)"
        )
