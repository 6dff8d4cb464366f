"""Loops with two devices: is each true die over its own coolant, and the coolant over air per watt of the sum, in its interval?"""

from __future__ import annotations

import datetime as dt
import tempfile
from contextlib import closing
from dataclasses import dataclass
from pathlib import Path

import numpy as np

from kuffin.logs.reader import read_log
from kuffin.logs.table import LogTable
from kuffin.notebook import edits, shelf
from kuffin.notebook.store import Notebook
from kuffin.reading.runresult import RunResult
from kuffin.simulated.hydraulics import Pump
from kuffin.simulated.room import Room
from kuffin.simulated.severaldevices import Heated, SeveralTruth, record_several
from kuffin.simulated.station import Block, LoadPlan, Radiator, RunPlan, as_csv
from kuffin.verdict.study import judge

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
        radiator=Radiator(name="Reed", k_w=float(rng.uniform(0.025, 0.06))),
        block=Block(name="none"),
        load=LoadPlan(name="none", power_w=0.0),
        room=Room(start_c=float(rng.uniform(18, 26)), drift_k_h=0.3, wander_k=0.1),
        start=dt.datetime(2026, 1, 1),
        pump_speed=float(rng.uniform(0.5, 0.9)),
    )

    def block() -> Block:
        return Block(name="b", r0_k_w=float(rng.uniform(0.02, 0.06)), paste_k_w=float(rng.uniform(0.03, 0.1)))

    heated = [
        Heated(device="processor", block=block(), load=LoadPlan(name="long mix", power_w=float(rng.uniform(60, 200)))),
        Heated(device="card", block=block(), load=LoadPlan(name="batch stretch", power_w=float(rng.uniform(80, 320)))),
    ]
    if rng.random() < 0.5:
        heated.reverse()
    table, truth = record_several(plan, heated, Pump(), seed, "loop.csv")
    return table, truth, tuple(h.device for h in heated)


def held(seed: int) -> Held:
    """One drawn loop: its log as a file, read, its channels guessed, kept in a notebook and judged."""
    table, truth, loop = drawn_loop(seed)
    with tempfile.TemporaryDirectory() as name:
        file = Path(name) / "One.csv"
        file.write_text(as_csv(table))
        with closing(Notebook.create(Path(name) / "loops.kuffin")) as notebook:
            bench = shelf.add_bench(notebook, "loops")
            shelf.set_cooled(notebook, bench, loop)
            log = read_log(file)
            dies, averaged = [], False
            for device in loop:
                found = _judged(notebook, "block", log, bench, device)
                averaged |= found.names["die"] != f"{device.capitalize()} die"
                own = found.traces["die_over_coolant_per_watt"]
                dies.append(abs(own.value - truth.die_k_w[device]) <= own.u95)
            over_air = _judged(notebook, "radiator", log, bench, None).traces["coolant_over_air_per_watt"]
    return Held(tuple(dies), abs(over_air.value - truth.radiator_k_w) <= over_air.u95, averaged)


def _judged(notebook: Notebook, under_test: str, log: LogTable, bench: int, device: str | None) -> RunResult:
    study = edits.add_study(notebook, "Which?", under_test, ["One"], 0.2)
    edits.change_study(notebook, study, "set up", bench_id=bench, device=device)
    run = edits.add_log(notebook, study, "One", log)
    return judge(notebook, notebook.study(study)).results[run]


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
