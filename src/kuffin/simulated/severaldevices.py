"""The simulated bench with several devices in one loop: each has a die, a block and a load of its own, one behind the other."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from kuffin.logs.table import LogChannel, LogTable
from kuffin.simulated.hydraulics import FAN_DBA, Pump, Restriction, loop_flow, sound_level
from kuffin.simulated.sensors import Sensor
from kuffin.simulated.station import STEP_S, Block, LoadPlan, RunPlan

Array = NDArray[np.float64]
_C_DIE, _C_BLOCK, _C_COOLANT = 45.0, 190.0, 7700.0
_CARRIED = 4180.0 * 0.997 / 3600.0  # W/K of water for each L/h


@dataclass(frozen=True, kw_only=True)
class Heated:
    """One device in the loop.

    Attributes
    ----------
    device : str
        Such as ``processor`` or ``card``.
    block : Block
    load : Load
    spot_k_w : float
        Hot spot over die, K/W.
    backplate_k_w : float or None
        Its backplate over the coolant, where it has one, K/W.
    """

    device: str
    block: Block
    load: LoadPlan
    spot_k_w: float = 0.05
    backplate_k_w: float | None = None


@dataclass(frozen=True)
class SeveralTruth:
    """What is really so: each die over the coolant at its own inlet, and the coolant over air, K/W; the flow, L/h."""

    die_k_w: dict[str, float]
    radiator_k_w: float
    flow_l_h: float


def record_several(
    plan: RunPlan, heated: Sequence[Heated], pump: Pump, seed: int, file: str
) -> tuple[LogTable, SeveralTruth]:
    """Run a bench whose loop cools several devices, in the direction of flow, and record it.

    Parameters
    ----------
    plan : RunPlan
        Radiator, room, speeds and times; its block and load are not used.
    """
    rng = np.random.default_rng(seed)
    parts = [plan.radiator.restriction, *(h.block.restriction for h in heated), Restriction(0.006, 4e-5)]
    flow = loop_flow(pump, plan.pump_speed, parts)
    r_radiator = plan.radiator.resistance(plan.fan_rpm, flow) * plan.sample_factor * plan.mount_factor
    t = np.arange(0.0, plan.idle_s + plan.load_s + STEP_S, STEP_S)
    air = plan.room.air(t, rng)
    demands = np.array([h.load.demand(t, plan.idle_s) for h in heated])
    dies, coolant, out, power = _course(heated, flow, r_radiator, plan.leakage, demands, air)
    at_s = np.arange(0.0, plan.idle_s + plan.load_s, plan.interval_s)

    def seen(truth: Array, noise: float, step: float) -> Array:
        return np.round(Sensor(noise=noise, quantum=step).read(np.interp(at_s, t, truth), rng), 4)

    def channel(name: str, unit: str, quantity: str, role: str, values: Array, device: str | None = None) -> LogChannel:
        return LogChannel(
            name=name, unit=unit, quantity=quantity, role=role, values=values, written_unit=unit, device=device
        )

    channels = [
        channel("Air in", "degC", "temperature", "air_in", seen(air, 0.04, 0.01)),
        channel("Coolant in", "degC", "temperature", "coolant_in", seen(coolant, 0.03, 0.01)),
        channel("Coolant out", "degC", "temperature", "coolant_out", seen(out, 0.03, 0.01)),
        channel("Flow", "L/h", "flow", "flow", seen(np.full(t.size, flow), 0.8, 0.1)),
        channel(
            "Pump", "rpm", "rotational_speed", "pump", seen(np.full(t.size, pump.full_rpm * plan.pump_speed), 7, 1)
        ),
        channel("Fan", "rpm", "rotational_speed", "fan", seen(np.full(t.size, plan.fan_rpm), 4, 10)),
        channel(
            "Sound",
            "dBA",
            "sound_level",
            "sound",
            seen(sound_level(pump, np.full(t.size, plan.pump_speed), plan.fan_rpm, FAN_DBA), 0.25, 0.1),
        ),
    ]
    for i, h in enumerate(heated):
        label = h.device.capitalize()
        of = h.device
        channels += [
            channel(f"{label} die", "degC", "temperature", "die", seen(dies[i], 0.6, 1.0), of),
            channel(
                f"{label} hot spot",
                "degC",
                "temperature",
                "hot_spot",
                seen(dies[i] + h.spot_k_w * power[i], 0.7, 1.0),
                of,
            ),
            channel(f"{label} power", "W", "power", "power", seen(power[i], 0.9, 0.1), of),
        ]
        if h.backplate_k_w is not None:
            plate = coolant + h.backplate_k_w * power[i]
            channels.append(
                channel(f"{label} backplate", "degC", "temperature", "backplate", seen(plate, 0.2, 0.1), of)
            )
    start = plan.start.isoformat(timespec="seconds")
    truth = {h.device: h.block.paste_k_w + h.block.resistance(flow) for h in heated}
    return LogTable(
        file=file,
        encoding="utf-8",
        delimiter=",",
        decimal=".",
        times=at_s,
        start=start,
        channels=channels,
        dropped_rows=0,
    ), SeveralTruth(truth, r_radiator, flow)


def _course(
    heated: Sequence[Heated], flow: float, r_radiator: float, leakage: float, demands: Array, air: Array
) -> tuple[Array, Array, Array, Array]:
    """Dies, the coolant before the first block and behind the last, and powers; dies and powers of shape (devices, n).

    Semi-implicit Euler, as `kuffin.simulated.thermal.simulate`; what a block takes up warms the coolant for the next.
    """
    n, carried = air.size, flow * _CARRIED
    g_die = [1 / h.block.paste_k_w for h in heated]
    g_block = [1 / h.block.resistance(flow) for h in heated]
    coolant = float(air[0]) + r_radiator * float(demands[:, 0].sum())
    block = [coolant + float(p) / g for p, g in zip(demands[:, 0], g_block, strict=True)]
    die = [b + float(p) / g for b, p, g in zip(block, demands[:, 0], g_die, strict=True)]
    dies, powers = np.empty((len(heated), n)), np.empty((len(heated), n))
    cold, warm = np.empty(n), np.empty(n)
    for i in range(n):
        inlet, taken = coolant, 0.0
        for k in range(len(heated)):
            power = float(demands[k, i]) * (1 + leakage * (die[k] - 62.0))
            dies[k, i], powers[k, i] = die[k], power
            die[k] = (die[k] + STEP_S * (power + g_die[k] * block[k]) / _C_DIE) / (1 + STEP_S * g_die[k] / _C_DIE)
            into = g_block[k] * (block[k] - inlet)
            g = g_die[k] + g_block[k]
            block[k] = (block[k] + STEP_S * (g_die[k] * die[k] + g_block[k] * inlet) / _C_BLOCK) / (
                1 + STEP_S * g / _C_BLOCK
            )
            taken, inlet = taken + into, inlet + into / carried
        cold[i], warm[i] = coolant, inlet
        coolant = (coolant + STEP_S * (taken + air[i] / r_radiator) / _C_COOLANT) / (
            1 + STEP_S / r_radiator / _C_COOLANT
        )
    return dies, cold, warm, powers
