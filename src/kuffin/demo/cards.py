"""The demo's fourth study: two blocks for a card that shares its loop with a processor, and two radiators of unlike metals.

The studio's second workstation cools its processor and its card in one loop, in that order. Each mount is tested three times:
the processor under load, the card, and both, each a log of its own. Whimbrel is the cooler block by the card's own power; what
the processor does to the card's coolant is read from the tests. One of the two radiators is aluminium, and the blocks are
copper: Kuffin warns of that. All of this is known, and tested.
"""

from __future__ import annotations

import datetime as dt
from collections.abc import Callable

import numpy as np

from kuffin.core.bench.devices import CARD, PROCESSOR
from kuffin.logs.table import LogTable
from kuffin.notebook import edits
from kuffin.notebook import shelf as edit_shelf
from kuffin.notebook.entities import Study
from kuffin.notebook.store import Notebook
from kuffin.simulated.hydraulics import Pump
from kuffin.simulated.room import Room
from kuffin.simulated.severaldevices import Heated, record_several
from kuffin.simulated.station import Block, LoadPlan, Radiator, RunPlan

SEED = 4104
QUESTION = "Which block keeps the card of booth eight cooler?"
ROUNDS = 3
CARD_BLOCKS = {"Whimbrel": 0.0300, "Redshank": 0.0385}  # the base's resistance, K/W
CARD_W, PROCESSOR_W, IDLE_CARD_W, IDLE_PROCESSOR_W = 260.0, 140.0, 19.0, 24.0
TESTS = (("processor", PROCESSOR_W, IDLE_CARD_W), ("card", IDLE_PROCESSOR_W, CARD_W), ("both", PROCESSOR_W, CARD_W))
_RADIATORS_K_W = 0.031  # both together
_SCATTER = 0.012
_LOOP = (
    ("Dipper", "", 0),
    ("clear tube", "", 300),
    ("Tern", PROCESSOR, 0),
    ("clear tube", "", 220),
    ("Whimbrel", CARD, 0),
    ("clear tube", "", 380),
    ("Sedge", "", 0),
    ("clear tube", "", 260),
    ("Papyrus", "", 0),
    ("Tarn", "", 0),
)


def card_runs(progress: Callable[[int, int], None] | None = None) -> list[tuple[str, int, str, LogTable]]:
    """Simulate the study's tests in bench order: candidate, round, condition, log."""
    rng = np.random.default_rng(SEED)
    out: list[tuple[str, int, str, LogTable]] = []
    for round_number in range(1, ROUNDS + 1):
        order = list(CARD_BLOCKS) if round_number % 2 else list(CARD_BLOCKS)[::-1]
        at = dt.datetime(2026, 3, 23 + round_number, 9, 0)
        for name in order:
            paste = 0.052 * (1 + float(rng.normal(0, _SCATTER)))
            for test, processor_w, card_w in TESTS:
                plan = RunPlan(
                    radiator=Radiator(name="Sedge and Papyrus", k_w=_RADIATORS_K_W),
                    block=Block(name="none"),
                    load=LoadPlan(name="none", power_w=0.0),
                    room=Room(start_c=20.8 + float(rng.normal(0, 0.4)), drift_k_h=0.3, wander_k=0.08),
                    start=at,
                    fan_rpm=1050.0,
                    pump_speed=0.8,
                    idle_s=180.0,
                    load_s=1620.0,
                    interval_s=3.0,
                    leakage=0.0006,
                )
                heated = (
                    Heated(
                        device=PROCESSOR,
                        block=Block(name="Tern", r0_k_w=0.048, paste_k_w=0.080),
                        load=LoadPlan(name="long mix", power_w=processor_w, idle_w=24.0),
                    ),
                    Heated(
                        device=CARD,
                        block=Block(name=name, r0_k_w=CARD_BLOCKS[name], paste_k_w=paste),
                        load=LoadPlan(name="batch stretch", power_w=card_w, idle_w=19.0),
                        backplate_k_w=0.048,
                    ),
                )
                seed = SEED * 100 + len(out)
                table, _ = record_several(plan, heated, Pump(), seed, f"{name.lower()}_r{round_number}_{test}.csv")
                out.append((name, round_number, test, table))
                at += dt.timedelta(minutes=34)
                if progress is not None:
                    progress(len(out), len(CARD_BLOCKS) * ROUNDS * len(TESTS))
            at += dt.timedelta(minutes=50)
    return out


def add_card_study(notebook: Notebook, progress: Callable[[int, int], None] | None = None) -> int:
    """Add the study with its parts and its bench; returns its id."""
    _add_parts(notebook)
    shelf = {p.name: p for p in edit_shelf.parts(notebook)}
    study = edits.add_study(
        notebook, QUESTION, "block", list(CARD_BLOCKS), 0.7, name="Card blocks, spring", rounds=ROUNDS
    )
    bench = edit_shelf.add_bench(notebook, "booth eight")
    edit_shelf.set_loop(
        notebook,
        bench,
        [edit_shelf.LoopPlace(shelf[n].id, {"length_mm": float(x)} if x else {}, d or None) for n, d, x in _LOOP],
    )
    edit_shelf.change_bench(
        notebook,
        bench,
        "say how it is set",
        settings={"pump_percent": 80.0, "fan_percent": 65.0, "fans": shelf["Wagtail"].id, "coolant": shelf["Brook"].id, "paste": shelf["Chalk"].id},
    )  # fmt: skip
    edits.change_study(notebook, study, "set the study up", bench_id=bench, reference_power_w=CARD_W, blocks=True)
    edits.add_logs(
        notebook,
        study,
        [
            edits.NewRun(name, table, round=number, condition=test, together=True)
            for name, number, test, table in card_runs(progress)
        ],
    )
    with notebook.edit("date the study") as session:
        found = session.get_one(Study, study)
        found.created_at = "2026-03-20T09:00:00"
        found.plan = {**found.plan, "condition": "card"}
    return study


def _add_parts(notebook: Notebook) -> None:
    copper = {"thread": "G1/4", "metals": ["copper", "nickel plate"], "max_pressure_kpa": 80.0, "volume_ml": 40.0}
    for name, maker, price in (("Whimbrel", "Oxbow Works", 131.0), ("Redshank", "Hollin & Daughter", 96.0)):
        edit_shelf.add_part(notebook, "card block", name, maker=maker, fields=copper, price=price, currency="EUR")
    edit_shelf.add_part(
        notebook,
        "radiator",
        "Papyrus",
        maker="Hollin & Daughter",
        fields={"thread": "G1/4", "metals": ["aluminium"], "volume_ml": 150.0, "length_mm": 275.0, "width_mm": 120.0, "thickness_mm": 30.0, "max_pressure_kpa": 60.0},
        price=39.0,
        currency="EUR",
    )  # fmt: skip
