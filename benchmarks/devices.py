"""Loops with two devices: is each true die over its own coolant, and the coolant over air per watt of the sum, in its interval?"""

from __future__ import annotations

import datetime as dt
from dataclasses import dataclass

import numpy as np

from kuffin.bench.hydraulics import Pump
from kuffin.bench.room import Room
from kuffin.bench.several import Heated, SeveralTruth, record_several
from kuffin.bench.station import Block, Load, Radiator, RunPlan
from kuffin.core.devices import ChannelRole, Cooled
from kuffin.logs.table import LogTable
from kuffin.notebook.samples import RunData
from kuffin.verdicts.evaluating import settle_trace
from kuffin.verdicts.signals import signals

DRAWN = 200


@dataclass(frozen=True)
class Held:
    """Whether each truth lay in its interval: dies over their coolant, coolant over air; and whether two dies were ever averaged."""

    dies: tuple[bool, ...]
    coolant: bool
    averaged: bool


def drawn_loop(seed: int) -> tuple[LogTable, SeveralTruth, tuple[str, ...]]:
    """A loop with a processor and a card, drawn; and the devices in the direction of flow."""
    rng = np.random.default_rng(seed)
    plan = RunPlan(
        Radiator("Reed", float(rng.uniform(0.025, 0.06))),
        Block("none"),
        Load("none", 0.0),
        Room(float(rng.uniform(18, 26)), 0.3, 0.1),
        dt.datetime(2026, 1, 1),
        pump_speed=float(rng.uniform(0.5, 0.9)),
    )

    def block() -> Block:
        return Block("b", float(rng.uniform(0.02, 0.06)), paste_k_w=float(rng.uniform(0.03, 0.1)))

    heated = [
        Heated("processor", block(), Load("long mix", float(rng.uniform(60, 200)))),
        Heated("card", block(), Load("batch stretch", float(rng.uniform(80, 320)))),
    ]
    if rng.random() < 0.5:
        heated.reverse()
    table, truth = record_several(plan, heated, Pump(), seed, "loop.csv")
    return table, truth, tuple(h.device for h in heated)


def held(seed: int) -> Held:
    """One drawn loop, judged as Kuffin judges it."""
    table, truth, loop = drawn_loop(seed)
    channels = tuple(ChannelRole(c.name, c.role, c.device) for c in table.channels)
    data = RunData(table.times, {c.name: c.values for c in table.channels}, {}, {}, channels)
    dies, averaged = [], False
    for device in loop:
        s = signals(data.about(Cooled(device, loop)))
        averaged |= s.names["die"] != f"{device.capitalize()} die"
        found = settle_trace(s, "die_over_coolant_per_watt", 0.2)
        dies.append(abs(found.value - truth.die_k_w[device]) <= found.u95)
    found = settle_trace(signals(data.about(Cooled(None, loop))), "coolant_over_air_per_watt", 0.2)
    return Held(tuple(dies), abs(found.value - truth.radiator_k_w) <= found.u95, averaged)


def report() -> None:
    """Print the shares."""
    found = [held(seed) for seed in range(DRAWN)]
    dies = [d for f in found for d in f.dies]
    print(
        f"Two devices in a loop, {DRAWN} drawn: die over its coolant within its interval {100 * np.mean(dies):.1f} %, "
        f"coolant over air per watt of the sum {100 * np.mean([f.coolant for f in found]):.1f} %; dies averaged over devices: "
        f"{sum(f.averaged for f in found)}"
    )


if __name__ == "__main__":
    report()
