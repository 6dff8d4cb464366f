"""The demo: “Which slim radiator keeps booth seven cool?” Its truth is known, and tested.

A community recording studio tests slim radiators in a spare vocal booth: four radiators, three afternoons, a room that
warms up while they work. Everything is invented and comes from the simulated bench with fixed seeds.
"""

from __future__ import annotations

import datetime as dt
from collections.abc import Callable
from dataclasses import dataclass
from pathlib import Path

import numpy as np

from kuffin.core.base.wholefile import write_whole
from kuffin.demo.blocks import BLOCK_RUNS, add_block_study
from kuffin.demo.cards import CARD_BLOCKS, ROUNDS, TESTS, add_card_study
from kuffin.demo.halfyear import add_half_year
from kuffin.demo.pads import add_pad_study
from kuffin.demo.pastes import add_paste_study
from kuffin.demo.prepared import prepare_mounts
from kuffin.demo.quiet import SEDGE, add_quiet_study
from kuffin.demo.restrictions import add_restrictions
from kuffin.demo.shelf import fill_shelf
from kuffin.logs.table import LogTable
from kuffin.notebook import edits
from kuffin.notebook.store import Notebook
from kuffin.simulated.hydraulics import Pump
from kuffin.simulated.room import Room
from kuffin.simulated.station import Block, LoadPlan, Radiator, RunPlan, RunTruth, as_csv, record
from kuffin.verdict.study import judge

SEED = 711
QUESTION = "Which slim radiator keeps booth seven cool?"
REFERENCE_W = 182.0
MARGIN_K = 0.5
MOUNT_SCATTER = 0.02  # of the resistance, between fittings
SAMPLE_SCATTER = 0.005  # and between specimens of one kind

RADIATORS = {
    r.name: r
    for r in (
        Radiator(name="Reed", k_w=0.0578),
        Radiator(name="Rush", k_w=0.0690),
        SEDGE,
        Radiator(name="Bulrush", k_w=0.0640),
    )
}
BLOCK = Block(name="Tern")
BATCH = LoadPlan(name="batch stretch", power_w=180.0, period_s=96.0, dip_s=7.0)

# Afternoon by afternoon in bench order: the room is cool when the door has just been shut, warm by the evening. Rush had
# the cool slot each time and Sedge the last one.
ORDER = (
    ("Rush", "Bulrush", "Reed", "Sedge"),
    ("Rush", "Reed", "Bulrush", "Sedge"),
    ("Rush", "Bulrush", "Reed", "Sedge"),
)
_FIRST_AIR = (20.6, 21.1, 20.8)
_AIR_A_RUN = 1.5
_TRAPPED_AIR = ("Bulrush", 2)
_STOPPED_EARLY = ("Reed", 3)


@dataclass(frozen=True)
class DemoRun:
    """One run of the demo with its truth."""

    candidate: str
    round: int
    table: LogTable
    truth: RunTruth


def sample_factors() -> dict[str, float]:
    """How each radiator's one specimen differs from its kind, drawn once."""
    rng = np.random.default_rng(SEED + 3)
    return {name: 1 + float(rng.normal(0, SAMPLE_SCATTER)) for name in RADIATORS}


def demo_runs(progress: Callable[[int, int], None] | None = None) -> list[DemoRun]:
    """Simulate all runs of the demo, in bench order."""
    rng = np.random.default_rng(SEED)
    samples = sample_factors()
    runs = []
    for afternoon, order in enumerate(ORDER, 1):
        for slot, name in enumerate(order):
            air = _FIRST_AIR[afternoon - 1] + _AIR_A_RUN * slot
            power = BATCH.power_w + float(rng.normal(0, 3.0)) + 1.5 * (slot - 1.5)
            start = dt.datetime(2026, 3, 2 + afternoon, 13, 0) + dt.timedelta(minutes=75 * slot)
            trapped = 0.27 if (name, afternoon) == _TRAPPED_AIR else 0.0
            length = 900.0 if (name, afternoon) == _STOPPED_EARLY else 3300.0
            plan = RunPlan(
                radiator=RADIATORS[name],
                block=BLOCK,
                load=LoadPlan(name=BATCH.name, power_w=power, period_s=BATCH.period_s, dip_s=BATCH.dip_s),
                room=Room(
                    start_c=air, drift_k_h=0.7, wander_k=0.12, hvac_k=0.15 if slot % 2 else 0.0, hvac_period_s=840.0
                ),
                start=start,
                load_s=length,
                sample_factor=samples[name],
                mount_factor=1 + float(rng.normal(0, MOUNT_SCATTER)),
                trapped_air=trapped,
            )
            table, truth = record(
                plan, Pump(), SEED * 100 + afternoon * 10 + slot, f"{name.lower()}_round{afternoon}.csv"
            )
            runs.append(DemoRun(name, afternoon, table, truth))
            if progress is not None:
                progress(len(runs), sum(map(len, ORDER)))
    return runs


def build_demo(path: Path | str, progress: Callable[[int, int], None] | None = None, *, judged: bool = True) -> None:
    """Write the demo notebook; judged, its readings are kept, so that it opens at once."""
    notebook = Notebook.create(path)
    try:
        study = edits.add_study(
            notebook, QUESTION, "radiator", ["Sedge", "Reed", "Bulrush", "Rush"], MARGIN_K, name="Radiators, spring"
        )
        edits.change_study(notebook, study, "set the study up", reference_power_w=REFERENCE_W, blocks=True)
        total = 2 * sum(map(len, ORDER)) + BLOCK_RUNS + len(CARD_BLOCKS) * ROUNDS * len(TESTS)
        for run in demo_runs(None if progress is None else lambda done, _: progress(done, total)):
            edits.add_log(notebook, study, run.candidate, run.table, round_number=run.round)
        fill_shelf(notebook, study)
        prepare_mounts(notebook, study, _TRAPPED_AIR, SEED + 9)
        further = [
            add_paste_study(notebook, _after(progress, sum(map(len, ORDER)), total)),
            add_block_study(notebook, _after(progress, 2 * sum(map(len, ORDER)), total)),
            add_card_study(notebook, _after(progress, 2 * sum(map(len, ORDER)) + BLOCK_RUNS, total)),
            add_pad_study(notebook),
            add_quiet_study(notebook),
            add_half_year(notebook),
        ]
        add_restrictions(notebook)
        forget_history(notebook)
        if judged:
            for one in (*further, study):
                judge(notebook, notebook.study(one))
    finally:
        notebook.close()


def _after(progress: Callable[[int, int], None] | None, before: int, total: int) -> Callable[[int, int], None] | None:
    return None if progress is None else lambda done, _: progress(before + done, total)


def forget_history(notebook: Notebook) -> None:
    """A fresh demo has nothing to undo."""
    from sqlalchemy import delete

    from kuffin.notebook.entities import Edit

    with notebook.writing() as session:
        session.execute(delete(Edit))


def write_logs(folder: Path | str) -> list[Path]:
    """Write the demo's runs as ordinary log files, to be dropped on a study."""
    folder = Path(folder)
    folder.mkdir(parents=True, exist_ok=True)
    paths = []
    for run in demo_runs():
        path = folder / run.table.file
        write_whole(path, as_csv(run.table))
        paths.append(path)
    return paths
