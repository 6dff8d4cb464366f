"""A study to practise on: sound mounts of two blocks, and one more to run, with a fault that nobody sees."""

from __future__ import annotations

import datetime as dt
from dataclasses import dataclass, replace
from pathlib import Path

import numpy as np

from kuffin.core.plan.order import Slot
from kuffin.demo.faults import FAULTS, HiddenFault, with_fault
from kuffin.demo.practice import bench_for
from kuffin.demo.scenario import forget_history
from kuffin.notebook import edits, planedits
from kuffin.notebook.store import Notebook
from kuffin.simulated.faults import Fault
from kuffin.simulated.hydraulics import Pump
from kuffin.simulated.station import RunPlan, record
from kuffin.verdict.study import judge

QUESTION = "Practice: is this mount sound?"
BLOCKS = ("Tern", "Plover")
SOUND_ROUNDS = 3


@dataclass(frozen=True)
class Practice:
    """What is hidden in a practice run."""

    fault: HiddenFault
    seed: int

    def plan(self, candidate: str, round_number: int) -> tuple[RunPlan, Fault]:
        """What is built in, and the fault."""
        rng = np.random.default_rng(self.seed)
        return with_fault(bench_for("block", candidate, round_number, self.seed), self.fault.key, rng)


def draw(seed: int | None = None, key: str | None = None) -> Practice:
    """Draw a fault at random, or take a given one."""
    rng = np.random.default_rng(seed)
    chosen = key or list(FAULTS)[int(rng.integers(len(FAULTS)))]
    return Practice(FAULTS[chosen], int(rng.integers(1, 2**31)))


def build_practice(path: Path | str) -> None:
    """Write a notebook with sound mounts and one to run."""
    notebook = Notebook.create(path)
    try:
        study = edits.add_study(notebook, QUESTION, "block", list(BLOCKS), 1.0, name="Practice")
        begin = dt.datetime(2026, 5, 4, 13, 0)
        runs = []
        for number in range(1, SOUND_ROUNDS + 1):
            for slot, name in enumerate(BLOCKS):
                start = begin + dt.timedelta(days=number - 1, minutes=75 * slot)
                plan = replace(bench_for("block", name, number), start=start, idle_s=420.0, load_s=2700.0)
                table, _ = record(plan, Pump(), 40 + 10 * number + slot, f"{name.lower()}_sound{number}.csv")
                runs.append(edits.NewRun(name, table, round=number))
        edits.add_logs(notebook, study, runs)
        done = [Slot(name, number) for number in range(1, SOUND_ROUNDS + 1) for name in BLOCKS]
        planedits.draw_order(notebook, study, [*done, Slot(BLOCKS[0], SOUND_ROUNDS + 1)], 1)
        forget_history(notebook)
        judge(notebook, notebook.study(study))
    finally:
        notebook.close()
