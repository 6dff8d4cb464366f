"""Random warm-up logs with their truth: what settling is tried on."""

from __future__ import annotations

from dataclasses import dataclass, replace

import numpy as np
from numpy.typing import NDArray
from scipy import signal

from kuffin.simulated.room import Room
from kuffin.simulated.sensors import Sensor
from kuffin.simulated.thermal import Loop, simulate

Array = NDArray[np.float64]
KINDS = ("long", "short", "hot", "step_fan", "step_paste", "step_flow")
_H = 0.5


@dataclass(frozen=True, kw_only=True)
class PairTruth:
    """Where a difference would end with still air, and from when on it was near (None: never)."""

    equilibrium_k: float
    left_at_end_k: float
    left_at_cut_k: float | None
    within_tolerance_since_s: float | None
    within_twice_since_s: float | None
    drift_floor_k: float | None


@dataclass(frozen=True, kw_only=True)
class Trial:
    """A simulated log (times in s; channels of the same shape) and the truth behind it."""

    kind: str
    times: Array
    channels: dict[str, Array]
    interval_s: float
    load_start_s: float
    period_s: float | None
    tau_s: float
    power_w: float
    step_s: float | None
    hvac_k: float
    end_s: float
    cut_s: float | None
    pairs: dict[str, PairTruth]


def make_trial(seed: int) -> Trial:
    """Draw a trial: any kind, any loop, a room that moves, sensors with steps and glitches."""
    rng = np.random.default_rng(seed)
    kind = str(rng.choice(KINDS, p=[0.4, 0.16, 0.11, 0.11, 0.11, 0.11]))
    power = float(rng.uniform(90, 330))
    rise = float(rng.uniform(6, 17))
    over = float(rng.uniform(13, 44))
    tau = float(np.exp(rng.uniform(np.log(270), np.log(1450))))
    leak = float(rng.choice([0.0, rng.uniform(0.0005, 0.0035)]))
    r_rad, r_total = rise / power, over / power
    r_die = r_total * rng.uniform(0.4, 0.7)
    loop = Loop(
        r_die=r_die,
        r_block=r_total - r_die,
        r_radiator=r_rad,
        c_die=rng.uniform(3, 7) / r_die,
        c_block=rng.uniform(8, 25) / r_total,
        c_coolant=tau / r_rad - 200.0,
        leakage=leak,
        leakage_at_c=22 + rise + over,
    )
    idle = float(rng.uniform(60, 600))
    hvac = float(rng.choice([0.0, rng.uniform(0.3, 1.0)]))
    period = None if rng.random() < 0.5 else float(rng.uniform(60, 150))
    dip = float(rng.uniform(5, 14))
    changes: list[tuple[float, Loop]] = []
    step_s = None
    final = loop
    if kind == "short":
        length = float(rng.uniform(0.9, 2.2)) * tau
    elif kind.startswith("step"):
        before, after = rng.uniform(1.5, 3.5) * tau, rng.uniform(2.0, 4.5) * tau
        total = idle + before + after
        if total > 5400:
            before, after = before * (5400 - idle) / (before + after), after * (5400 - idle) / (before + after)
        before = max(before, 600.0)
        after = max(after, 700.0)
        length, step_s = before + after, idle + before
        if kind == "step_fan":
            final = replace(
                loop, r_radiator=r_rad * float(rng.choice([rng.uniform(0.72, 0.88), rng.uniform(1.12, 1.35)]))
            )
        elif kind == "step_paste":
            final = replace(loop, r_die=r_die + r_total * rng.uniform(0.06, 0.18))
        else:
            worse = rng.uniform(1.08, 1.25)
            final = replace(loop, r_block=loop.r_block * worse, r_radiator=r_rad * rng.uniform(1.03, 1.10))
        changes = [(step_s, final)]
    else:
        length = min(float(rng.uniform(4.5, 8.0)) * tau, 5400 - idle)
    length = max(length, 420.0)
    end = idle + length
    t = np.arange(0.0, end + _H, _H)
    demand = _demand(t, idle, power, period, dip, rng)
    nominal = demand
    demand = demand * (
        1 + np.where(t < idle, 0.0, _wander(t.size, float(rng.uniform(0.003, 0.014)), float(rng.uniform(30, 120)), rng))
    )
    room = Room(
        start_c=float(rng.uniform(19, 25.5)),
        drift_k_h=float(rng.normal(0, 0.6)),
        wander_k=float(rng.uniform(0.05, 0.25)),
        hvac_k=hvac,
        hvac_period_s=float(rng.uniform(480, 1200)),
        door_s=float(rng.uniform(idle, end)) if rng.random() < 0.2 else None,
        door_k=float(rng.uniform(0.4, 1.5)),
    )
    air = room.air(t, rng)
    start = loop.at_rest(float(demand[0]), float(air[0]))
    if kind == "hot":
        start = start + float(rng.uniform(4, 20))
    course = simulate(loop, t, demand, air, start=start, changes=changes)
    still_air = float(air[t >= end - 600].mean())
    still = simulate(loop, t, nominal, np.full_like(air, still_air), start=start, changes=changes)
    mean_demand = float(nominal[t > idle].mean()) if period is None else float(_loop_mean(nominal, t, idle, period))
    rest = final.at_rest(mean_demand, still_air)
    cut = float(idle + rng.uniform(0.8, 2.0) * tau) if kind in {"long", "hot"} and rng.random() < 0.8 else None
    if cut is not None and cut > end - 60:
        cut = None
    interval = float(rng.choice([1.0, 2.0, 5.0]))
    sample = np.arange(0.0, end, interval)
    if rng.random() < 0.6:
        sample = np.sort(
            np.clip(sample + np.where(sample > 0, rng.normal(0, 0.015 * interval, sample.size), 0), 0, end)
        )
    if rng.random() < 0.4:
        sample = sample[rng.random(sample.size) > rng.uniform(0.001, 0.02)]
    dropout, glitch = float(rng.choice([0.0, 0.004])), float(rng.choice([0.0, 0.0015, 0.003]))
    die_noise = float(rng.uniform(0.3, 1.3))
    sensors = {
        "Die": Sensor(noise=die_noise, quantum=1.0, offset=0.0, dropout=dropout, glitch=glitch),
        "Coolant": Sensor(noise=0.05, quantum=0.1, offset=0.0, dropout=dropout, glitch=glitch),
        "Air": Sensor(noise=0.05, quantum=0.1, offset=0.0, dropout=dropout, glitch=glitch),
        "Power": Sensor(noise=0.004 * power, quantum=0.1, offset=0.0, dropout=dropout, glitch=0.0),
    }
    truth = {"Die": course.die, "Coolant": course.coolant, "Air": air, "Power": course.power}
    channels = {name: sensors[name].read(np.interp(sample, t, values), rng) for name, values in truth.items()}
    channels["Flow"] = np.round(np.full(sample.size, rng.uniform(75, 220)) + rng.normal(0, 1.5, sample.size))
    window = period or 30.0
    pairs = {}
    for name, trace, level, noise in (
        ("coolant_over_air", still.coolant - still_air, rest[2] - still_air, 0.08),
        ("die_over_coolant", still.die - still.coolant, rest[0] - rest[2], np.hypot(die_noise, 0.3)),
    ):
        pairs[name] = _pair_truth(t, trace, float(level), window, idle, step_s, end, cut, noise, interval)
    return Trial(
        kind=kind,
        times=sample,
        channels=channels,
        interval_s=interval,
        load_start_s=idle,
        period_s=period,
        tau_s=final.tau_s(mean_demand),
        power_w=mean_demand * (1 + leak * (float(rest[0]) - loop.leakage_at_c)),
        step_s=step_s,
        hvac_k=hvac,
        end_s=end,
        cut_s=cut,
        pairs=pairs,
    )


def _wander(n: int, sd: float, memory_s: float, rng: np.random.Generator) -> Array:
    """A load that wanders a little: first-order noise of the given size and memory."""
    keep = float(np.exp(-_H / memory_s))
    kicks = rng.normal(0.0, sd * np.sqrt(1 - keep**2), n)
    return np.asarray(signal.lfilter([1.0], [1.0, -keep], kicks), float)


def _loop_mean(demand: Array, t: Array, idle: float, period: float) -> float:
    loops = int((t[-1] - idle) // period)
    if loops < 1:
        return float(demand[t > idle].mean())
    inside = (t >= idle) & (t < idle + loops * period)
    return float(demand[inside].mean())


def _demand(t: Array, idle: float, power: float, period: float | None, dip: float, rng: np.random.Generator) -> Array:
    low = float(rng.uniform(0.06, 0.25)) * power
    demand = np.where(t < idle, low, power)
    for _ in range(int(rng.integers(0, 4))):  # short bursts while idling
        at = rng.uniform(0, max(idle - 20, 1))
        demand[(t >= at) & (t < at + rng.uniform(1.5, 8)) & (t < idle - 8)] = low + (power - low) * rng.uniform(
            0.4, 1.0
        )
    if period is not None:
        into = (t - idle) % period
        demand[(t >= idle) & (into > period - dip)] = low + 0.1 * power
    return demand


def _pair_truth(
    t: Array,
    trace: Array,
    level: float,
    window: float,
    idle: float,
    step_s: float | None,
    end: float,
    cut: float | None,
    noise: float,
    interval: float,
) -> PairTruth:
    width = max(1, int(window / _H))
    total = np.concatenate(([0.0], np.cumsum(trace)))
    left = np.full(t.size, np.nan)
    left[width - 1 :] = level - (total[width:] - total[:-width]) / width  # trailing mean over one loop
    begin = idle if step_s is None else step_s

    def since(limit: float) -> float | None:
        ok = np.abs(left) <= limit
        ok[t < begin + 1] = False
        if not ok[-1]:
            return None
        bad = np.flatnonzero(~ok)
        return float(t[bad[-1] + 1] - window / 2) if bad.size else float(t[0])

    within = since(0.2)
    floor = None
    if within is not None and end - within > 120:
        length = end - within
        n = length / interval
        floor = float(1.96 * noise * np.sqrt(12 / n) / length * 600)
    return PairTruth(
        equilibrium_k=level,
        left_at_end_k=float(left[-1]),
        left_at_cut_k=None if cut is None else float(left[int(cut / _H)]),
        within_tolerance_since_s=within,
        within_twice_since_s=since(0.4),
        drift_floor_k=floor,
    )
