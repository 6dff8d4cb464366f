"""The simulated bench as a whole: a workstation with a loop, its room and its instruments, recording runs."""

from __future__ import annotations

import datetime as dt
from dataclasses import dataclass, field, replace

import numpy as np
from numpy.typing import NDArray

from kuffin.logs.table import LogChannel, LogTable
from kuffin.simulated.faults import Fault, misread, worn
from kuffin.simulated.hydraulics import FAN_DBA, Pump, Restriction, loop_flow, sound_level
from kuffin.simulated.room import Room
from kuffin.simulated.sensors import Sensor
from kuffin.simulated.thermal import Course, Loop, simulate

Array = NDArray[np.float64]
STEP_S = 0.5
REST_OF_LOOP = Restriction(0.006, 4e-5)  # tubes, fittings, reservoir
_CLOCK_OF_POWER = 0.45  # power goes with the clock and the square of its voltage, which falls with it


@dataclass(frozen=True, kw_only=True)
class Radiator:
    """A radiator's truth: resistance at the reference fan speed and flow, its exponents, restriction and water."""

    name: str
    k_w: float  # at 1000 rpm and 150 L/h
    fan_exponent: float = 0.45
    flow_exponent: float = 0.08
    restriction: Restriction = field(default_factory=lambda: Restriction(0.004, 6e-5))
    heat_capacity_j_k: float = 900.0
    sound_db: float = 0.0  # by how much its fins make the same fans louder

    def resistance(self, fan_rpm: float, flow_l_h: float) -> float:
        """Coolant to air, K/W."""
        return float(self.k_w * (1000.0 / fan_rpm) ** self.fan_exponent * (150.0 / flow_l_h) ** self.flow_exponent)


@dataclass(frozen=True, kw_only=True)
class Block:
    """A water block's truth: R = r0 + c·V̇^(−m) from its base to the coolant, and the paste under it."""

    name: str
    r0_k_w: float = 0.045
    c: float = 1.6
    m: float = 0.75
    paste_k_w: float = 0.085
    restriction: Restriction = field(default_factory=lambda: Restriction(0.02, 3.2e-4))

    def resistance(self, flow_l_h: float) -> float:
        """Base to coolant, K/W."""
        return float(self.r0_k_w + self.c * flow_l_h ** (-self.m))


@dataclass(frozen=True, kw_only=True)
class LoadPlan:
    """A load: its power and, where it loops, the pass's length and the dip between passes."""

    name: str
    power_w: float
    period_s: float | None = None
    dip_s: float = 8.0
    idle_w: float = 24.0

    def demand(self, times: Array, begin_s: float) -> Array:
        """Electrical demand over time, W."""
        out = np.where(times < begin_s, self.idle_w, self.power_w)
        if self.period_s is not None:
            into = (times - begin_s) % self.period_s
            out[(times >= begin_s) & (into > self.period_s - self.dip_s)] = self.idle_w + 0.2 * self.power_w
        return out


@dataclass(frozen=True, kw_only=True)
class RunPlan:
    """One run on the bench, with what may go wrong in it."""

    radiator: Radiator
    block: Block
    load: LoadPlan
    room: Room
    start: dt.datetime
    fan_rpm: float = 900.0
    pump_speed: float = 0.62
    idle_s: float = 240.0
    load_s: float = 3300.0
    sample_factor: float = 1.0  # on the radiator's resistance: this specimen against its kind
    mount_factor: float = 1.0  # and this fitting against the others
    trapped_air: float = 0.0  # share of the flow that is lost
    leakage: float = 0.0012
    limit_c: float | None = None  # the processor's own
    interval_s: float = 2.0
    fan_steps: tuple[tuple[float, float], ...] = ()  # from which second on the fans turn at which rpm


@dataclass(frozen=True, kw_only=True)
class RunTruth:
    """What is really so in a run: resistances in K/W, flow in L/h, power at rest in W, time constant in s."""

    radiator_k_w: float
    block_k_w: float
    flow_l_h: float
    power_w: float
    tau_s: float


INSTRUMENTS = {
    "Air in": ("degC", "temperature", "air_in", Sensor(noise=0.04, quantum=0.01)),
    "Room": ("degC", "temperature", "room", Sensor(noise=0.05, quantum=0.1)),
    "Coolant in": ("degC", "temperature", "coolant_in", Sensor(noise=0.03, quantum=0.01)),
    "Coolant out": ("degC", "temperature", "coolant_out", Sensor(noise=0.03, quantum=0.01)),
    "Die": ("degC", "temperature", "die", Sensor(noise=0.6, quantum=1.0)),
    "Hot spot": ("degC", "temperature", "hot_spot", Sensor(noise=0.7, quantum=1.0)),
    "Package power": ("W", "power", "power", Sensor(noise=0.9, quantum=0.1)),
    "Clock": ("MHz", "frequency", "clock", Sensor(noise=6.0, quantum=25.0)),
    "Flow": ("L/h", "flow", "flow", Sensor(noise=0.8, quantum=0.1)),
    "Pump": ("rpm", "rotational_speed", "pump", Sensor(noise=7.0, quantum=1.0)),
    "Fan": ("rpm", "rotational_speed", "fan", Sensor(noise=4.0, quantum=10.0)),
    "Sound": ("dBA", "sound_level", "sound", Sensor(noise=0.25, quantum=0.1)),
}


def built(plan: RunPlan, pump: Pump, fan_rpm: float, pump_speed: float) -> tuple[Loop, float]:
    """The loop at some speed of fans and pump, and its flow in L/h."""
    parts = [plan.radiator.restriction, plan.block.restriction, REST_OF_LOOP]
    flow = loop_flow(pump, pump_speed, parts) * (1 - plan.trapped_air)
    air_effect = 1 + 0.45 * plan.trapped_air  # air in the radiator's tubes covers some of its surface
    loop = Loop(
        r_die=plan.block.paste_k_w,
        r_block=plan.block.resistance(flow),
        r_radiator=plan.radiator.resistance(fan_rpm, flow) * plan.sample_factor * plan.mount_factor * air_effect,
        c_die=45.0,
        c_block=190.0,
        c_coolant=6800.0 + plan.radiator.heat_capacity_j_k,
        leakage=plan.leakage,
        leakage_at_c=62.0,
        limit_c=plan.limit_c,
    )
    return loop, flow


def truths(
    pump: Pump,
    loop: Loop,
    flow: float | Array,
    fan_rpm: float | Array,
    pump_speed: float | Array,
    air: Array,
    demand: Array,
    course: Course,
    sound_db: float = 0.0,
) -> dict[str, Array]:
    """What every instrument of the bench would read if it were perfect, by channel, each of shape (n,)."""
    t = course.times
    speed = np.full(t.size, pump_speed) if np.isscalar(pump_speed) else np.asarray(pump_speed, float)
    heat_per_k = flow / 3600.0 * 4180.0 * 0.997  # W/K of the flowing water
    idle = demand < 40.0
    free = 4700.0 - 5.0 * np.maximum(course.die - 58.0, 0)
    return {
        "Air in": air,
        "Room": air - 0.35 + 0.05 * np.sin(t / 700),
        "Coolant in": course.coolant,
        "Coolant out": course.coolant + (course.block - course.coolant) / loop.r_block / heat_per_k,
        "Die": course.die,
        "Hot spot": course.die + 0.043 * course.power,
        "Package power": course.power,
        "Clock": np.where(idle, 1400.0, free * course.share**_CLOCK_OF_POWER),
        "Flow": np.zeros(t.size) + flow + 0.4 * np.sin(t / 420),
        "Pump": pump.full_rpm * speed,
        "Fan": np.zeros(t.size) + fan_rpm,
        "Sound": sound_level(pump, speed, fan_rpm, FAN_DBA + sound_db),
    }


def record(plan: RunPlan, pump: Pump, seed: int, file: str, fault: Fault | None = None) -> tuple[LogTable, RunTruth]:
    """Run the bench and record it; the same seed gives the same log."""
    rng = np.random.default_rng(seed)
    fault = fault or Fault()
    plan = replace(plan, fan_rpm=plan.fan_rpm * fault.fan_share)
    loop, flow = built(plan, pump, plan.fan_rpm, plan.pump_speed)
    end = plan.idle_s + plan.load_s
    t = np.arange(0.0, end + STEP_S, STEP_S)
    air = plan.room.air(t, rng)
    demand = plan.load.demand(t, plan.idle_s)
    changes, speeds, flows = [], np.full(t.size, plan.pump_speed), np.full(t.size, flow)
    for at in np.arange(0.0, end, 30.0) if fault.wears else ():
        then, speed = worn(fault, plan, plan.pump_speed, float(at))
        changes.append((float(at), built(then, pump, plan.fan_rpm, speed)))
        speeds[t >= at], flows[t >= at] = speed, changes[-1][1][1]
    fans = np.full(t.size, plan.fan_rpm)
    for begin, rpm in plan.fan_steps:
        changes.append((begin, built(plan, pump, rpm, plan.pump_speed)))
        fans[t >= begin] = rpm
    warmed = air + fault.warms_air(demand, loop.r_radiator)
    course = simulate(loop, t, demand, warmed, changes=[(at, made[0]) for at, made in changes])
    truth = truths(pump, loop, flows, fans, speeds, air, demand, course, plan.radiator.sound_db)
    at_s = np.arange(0.0, end, plan.interval_s)
    read = {n: sensor.read(np.interp(at_s, t, truth[n]), rng) for n, (_, _, _, sensor) in INSTRUMENTS.items()}
    read = misread(fault, at_s, read)
    channels = [
        LogChannel(
            name=name, unit=unit, quantity=quantity, role=role, values=np.round(read[name], 4), written_unit=unit
        )
        for name, (unit, quantity, role, _) in INSTRUMENTS.items()
    ]
    table = LogTable(
        file=file,
        encoding="utf-8",
        delimiter=",",
        decimal=".",
        times=at_s,
        start=plan.start.isoformat(timespec="seconds"),
        channels=channels,
        dropped_rows=0,
    )
    rest = RunTruth(
        radiator_k_w=loop.r_radiator,
        block_k_w=loop.r_block,
        flow_l_h=flow,
        power_w=loop.power_at_rest(plan.load.power_w, float(air[-1])),
        tau_s=loop.tau_s(plan.load.power_w),
    )
    return table, rest


def as_csv(table: LogTable) -> str:
    """The run as an ordinary log file."""
    start = dt.datetime.fromisoformat(table.start) if table.start else dt.datetime(2026, 1, 1)
    shown = {"degC": "°C"}
    lines = ["Time," + ",".join(f"{c.name} [{shown.get(c.unit or '', c.unit)}]" for c in table.channels)]
    for i, s in enumerate(table.times):
        stamp = (start + dt.timedelta(seconds=float(s))).strftime("%Y-%m-%d %H:%M:%S")
        lines.append(stamp + "," + ",".join("" if v != v else f"{v:g}" for v in (c.values[i] for c in table.channels)))
    return "\n".join(lines) + "\n"
