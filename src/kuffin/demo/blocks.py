"""The demo's third study: five blocks at three powers, two samples of one, a maker's claim, and a bench that moves.

Booth seven renders overnight, and the studio asks whether a dearer block would keep it cooler than the Tern that it has.
Tern is mounted first and last on each of four days, as the baseline. On the third day a new tube of paste was opened; it
conducts a little less, so that every mount from then on reads warmer: the bench moved. The maker of Plover claims 3 K. Dunlin
and Knot are alike on the die. Ruff is as cheap as they come, and was mounted at each day's end: at 240 W the processor
reaches its own limit under it and throttles. All of this is known, and tested.
"""

from __future__ import annotations

import datetime as dt
from collections.abc import Callable
from dataclasses import dataclass, replace

import numpy as np

from kuffin.core.bench.limits import Limits
from kuffin.core.bench.protocol import Step
from kuffin.core.compare.claims import Claimed
from kuffin.core.findings.running import THROTTLED
from kuffin.logs.table import LogChannel, LogTable
from kuffin.notebook import edits, planedits
from kuffin.notebook import shelf as edit_shelf
from kuffin.notebook.answering import accept
from kuffin.notebook.entities import Mount, Study
from kuffin.notebook.store import Notebook
from kuffin.simulated.hydraulics import Pump, Restriction, loop_flow
from kuffin.simulated.room import Room
from kuffin.simulated.sensors import Sensor
from kuffin.simulated.station import REST_OF_LOOP, Block, LoadPlan, Radiator, RunPlan, record

SEED = 2203
QUESTION = "Is a dearer block worth it in booth seven?"
POWERS_W = (120.0, 180.0, 240.0)
REFERENCE_W = 240.0
MARGIN_K = 1.0
DAYS = 4
MOVED_DAY = 3
MOVED_K_W = 0.0042  # the new tube of paste: 1.0 K at 240 W
CLAIMED_K = 3.0


@dataclass(frozen=True)
class BlockTruth:
    """What is so of a block: its base's resistance, what its regulators stand over the coolant for each watt, its price."""

    r0_k_w: float
    regulator_k_w: float
    price: float
    maker: str


BLOCKS = {
    "Tern": BlockTruth(0.0480, 0.105, 64.0, "Oxbow Works"),
    "Plover": BlockTruth(0.0425, 0.132, 118.0, "Oxbow Works"),
    "Dunlin": BlockTruth(0.0460, 0.092, 79.0, "Hollin & Daughter"),
    "Knot": BlockTruth(0.0462, 0.113, 52.0, "Hollin & Daughter"),
    "Ruff": BlockTruth(0.0850, 0.128, 29.0, "Oxbow Works"),
}
BASELINE = "Tern"
SAMPLES = {"Plover": {"1": -0.0012, "2": 0.0012}}  # how two specimens of one kind differ, K/W
_ORDER = (
    ("Plover", "Knot", "Dunlin"),
    ("Dunlin", "Plover", "Knot"),
    ("Knot", "Dunlin", "Plover"),
    ("Plover", "Dunlin", "Knot"),
)
# Ruff is wide open inside: more coolant runs through it than through the others
_OPEN = {"Ruff": Restriction(0.012, 1.9e-4)}
_PUMP_SPEED = 0.62
_PASTE_K_W, _SCATTER = 0.082, 0.013
_STEP_S, _IDLE_S = 1080.0, 180.0
THROTTLES = "Ruff"
LIMIT_C = 80.0  # from here on the processor draws less
_MOUNTS_A_DAY = len(_ORDER[0]) + 3
BLOCK_RUNS = DAYS * _MOUNTS_A_DAY


def block_of(name: str, r0_more: float = 0.0, paste_k_w: float = 0.082) -> Block:
    """A block as it is: its truth is told at the flow of the others, whatever it lets through itself."""
    made = Block(name=name, r0_k_w=BLOCKS[name].r0_k_w + r0_more, paste_k_w=paste_k_w)
    if name not in _OPEN:
        return made
    usual, own = (
        loop_flow(Pump(), _PUMP_SPEED, [Radiator(name="", k_w=0.06).restriction, r, REST_OF_LOOP])
        for r in (made.restriction, _OPEN[name])
    )
    less = made.resistance(usual) - made.resistance(own)
    return replace(made, restriction=_OPEN[name], r0_k_w=made.r0_k_w + less)


@dataclass(frozen=True, kw_only=True)
class BlockRun:
    """One run: whose it is, its place, its sample, whether it is a retest of the baseline."""

    candidate: str
    round: int
    sample: str
    control: bool
    table: LogTable


@dataclass(frozen=True, kw_only=True)
class ClimbingLoad(LoadPlan):
    """A load that climbs: each power for as long."""

    powers_w: tuple[float, ...] = POWERS_W

    def demand(self, times: np.ndarray, begin_s: float) -> np.ndarray:
        out = np.full(times.size, self.idle_w)
        for i, power in enumerate(self.powers_w):
            out[times >= begin_s + i * _STEP_S] = power
        return out


def block_runs(progress: Callable[[int, int], None] | None = None) -> list[BlockRun]:
    """Simulate the study's runs in bench order."""
    common = np.random.default_rng(SEED)
    out: list[BlockRun] = []
    for day, middle in enumerate(_ORDER, 1):
        for slot, name in enumerate((BASELINE, *middle, BASELINE, THROTTLES)):
            truth, rng = BLOCKS[name], common if name != THROTTLES else np.random.default_rng([SEED, day])
            sample = str(1 + (day - 1) % 2) if name in SAMPLES else "1"
            own = SAMPLES.get(name, {}).get(sample, 0.0)
            paste = _PASTE_K_W * (1 + float(rng.normal(0, _SCATTER))) + (MOVED_K_W if day >= MOVED_DAY else 0.0)
            plan = RunPlan(
                radiator=Radiator(name="Sedge", k_w=0.0566),
                block=block_of(name, own, paste),
                load=ClimbingLoad(name="batch stretch", power_w=max(POWERS_W)),
                room=Room(start_c=20.6 + 0.5 * slot + float(rng.normal(0, 0.3)), drift_k_h=0.4, wander_k=0.08),
                start=dt.datetime(2026, 2, 16 + day, 9, 0) + dt.timedelta(minutes=75 * slot),
                idle_s=_IDLE_S,
                load_s=_STEP_S * len(POWERS_W),
                leakage=0.0006,
                limit_c=LIMIT_C,
                interval_s=3.0,
            )
            table, _ = record(plan, Pump(), SEED * 100 + day * 10 + slot, f"{name.lower()}_day{day}_{slot + 1}.csv")
            regulator = truth.regulator_k_w * (1 + float(rng.normal(0, 0.012)))
            out.append(
                BlockRun(
                    candidate=name,
                    round=day,
                    sample=sample,
                    control=slot == _MOUNTS_A_DAY - 2,
                    table=with_regulators(table, regulator, rng),
                )
            )
            if progress is not None:
                progress(len(out), BLOCK_RUNS)
    return out


def with_regulators(table: LogTable, k_w: float, rng: np.random.Generator) -> LogTable:
    """The log with a probe beside the voltage regulators: they follow the power within half a minute."""
    by_name = {c.name: c for c in table.channels}
    power = by_name["Package power"].values
    step = float(np.median(np.diff(table.times)))
    keep, lagged = float(np.exp(-step / 25.0)), np.empty_like(power)
    level = power[0]
    for i, p in enumerate(power):
        level = keep * level + (1 - keep) * p
        lagged[i] = level
    values = Sensor(noise=0.15, quantum=0.5).read(by_name["Coolant in"].values + k_w * lagged, rng)
    probe = LogChannel(
        name="Regulators",
        unit="degC",
        quantity="temperature",
        role="regulator",
        values=np.round(values, 4),
        written_unit="degC",
    )
    return replace(table, channels=[*table.channels, probe])


def add_block_study(notebook: Notebook, progress: Callable[[int, int], None] | None = None) -> int:
    """Put the study into a notebook whose shelf is filled; returns its id."""
    study = edits.add_study(
        notebook, QUESTION, "block", list(BLOCKS), MARGIN_K, name="Blocks, late winter", rounds=DAYS
    )
    found = notebook.study(study)
    ids = {c.name: c.id for c in found.live_candidates}
    for c in found.live_candidates:
        truth = BLOCKS[c.name]
        edit_shelf.change_part(notebook, c.part_id, "fill in", price=truth.price, currency="EUR", maker=truth.maker)
        edit_shelf.change_sample(notebook, c.part.live_samples[0].id, came="bought")
    claims = {"claim": "3 K cooler than Tern", "claim_where": "on its box, at 250 W"}
    parts = {p.name: p.id for p in edit_shelf.parts(notebook) if p.kind == "processor block"}
    edit_shelf.change_part(notebook, parts["Plover"], "fill in", **claims)
    edit_shelf.add_sample(notebook, parts["Plover"], "2", "bought")
    steps = (
        Step(name="idle", settle="clock", longest_min=3, measure_min=0),
        *(
            Step(
                name=f"load {p:g} W",
                load="batch stretch",
                power_w=p,
                pump_percent=60.0,
                fan_percent=55.0,
                settle="clock",
                longest_min=11.0,
                measure_min=3.0,
            )
            for p in POWERS_W
        ),
    )
    protocol = planedits.keep_protocol(
        notebook, "three powers", steps, Limits(die_c=90.0, coolant_c=50.0, flow_l_h=60.0)
    )
    benches = edit_shelf.benches(notebook)
    edits.change_study(
        notebook,
        study,
        "set the study up",
        reference_power_w=REFERENCE_W,
        tolerance_k=0.5,
        blocks=True,
        protocol_id=protocol,
        baseline_id=ids[BASELINE],
        bench_id=benches[0].id if benches else None,
    )
    planedits.set_plan(notebook, study, "declare the looks", looks=[2, 4])
    planedits.add_claim(
        notebook, study, ids["Plover"], ids[BASELINE], Claimed(low=CLAIMED_K), "Oxbow Works", "on its box, at 250 W"
    )
    runs = block_runs(progress)
    _keep(notebook, study, runs)
    with notebook.edit("date the study") as session:
        session.get_one(Study, study).created_at = "2026-02-16T09:00:00"
    return study


def _keep(notebook: Notebook, study: int, runs: list[BlockRun]) -> None:
    """Keep the runs with their samples; the baseline's second mount of a day is a retest."""
    found = notebook.study(study)
    candidates = {c.name: c for c in found.live_candidates}
    samples = {(c.name, s.label): s.id for c in found.live_candidates for s in c.samples}
    with notebook.edit("lay the mounts out") as session:
        mounts = [
            Mount(
                candidate_id=candidates[r.candidate].id,
                sample_id=samples[(r.candidate, r.sample)],
                round=r.round,
                position=100 * r.round + i,
                control=r.control,
            )
            for i, r in enumerate(runs)
        ]
        session.add_all(mounts)
        session.flush()
        kept = [m.id for m in mounts]
    edits.add_logs(
        notebook, study, [edits.NewRun(r.candidate, r.table, mount_id=m) for r, m in zip(runs, kept, strict=True)]
    )
    for run, mount in zip(runs, kept, strict=True):
        if run.candidate == THROTTLES:
            label = f"{run.candidate}, round {run.round}"
            accept(notebook, mount, label, [THROTTLED], "the processor meets its own limit under it each time")
