"""Each hidden fault of the practice bench can be seen by the figures that are named for it."""

from __future__ import annotations

import numpy as np
import pytest

from kuffin.demo.faults import FAULTS
from kuffin.demo.practice import bench_for
from kuffin.demo.practising import Practice
from kuffin.notebook.samples import RunData
from kuffin.simulated.hydraulics import Pump
from kuffin.simulated.livebench import SimulatedBench
from kuffin.verdict.againstsiblings import figures_of

Figures = dict[str, tuple[float, float, float]]


def run(key: str | None, seed: int = 3) -> tuple[RunData, Figures]:
    now = [0.0]
    plan, fault = Practice(FAULTS[key], seed).plan("Tern", 4) if key else (bench_for("block", "Tern", 4, seed), None)
    bench = SimulatedBench(plan, Pump(), seed, clock=lambda: now[0], fault=fault)
    times, rows = [], []
    for second in range(2, 2200, 2):
        now[0] = float(second)
        if second == 420:
            bench.set_load(180.0)
        times.append(now[0])
        rows.append(bench.read())
    block = np.array(rows)
    values = {c.name: block[:, i] for i, c in enumerate(bench.channels)}
    data = RunData(
        times=np.array(times), values=values, roles={c.role: c.name for c in bench.channels if c.role}, units={}
    )
    return data, figures_of(data)


@pytest.fixture(scope="module")
def sound() -> Figures:
    return run(None)[1]


IDLE, EARLY, END = 0, 1, 2


@pytest.mark.parametrize(
    ("key", "figure", "when", "least"),
    [
        ("contact", "die over coolant", EARLY, 2.0),
        ("pads", "die over coolant", EARLY, 1.5),
        ("pads", "hot spot over die", EARLY, 2.0),
        ("air", "flow", IDLE, -25.0),
        ("air", "coolant over air", END, 0.6),
        ("pump", "pump", END, -150.0),
        ("pump", "flow", END, -5.0),
        ("swapped", "coolant over air", END, -15.0),
        ("pumping out", "die over coolant", END, 1.5),
        ("warm intake", "coolant over air", IDLE, 1.4),
        ("warm intake", "coolant over air", END, 1.4),
        ("door", "air, its range under load", END, 0.8),
        ("second device", "coolant over air", END, 1.5),
        ("slow fans", "coolant over air", END, 0.8),
        ("background", "power", IDLE, 15.0),
        ("background", "power", END, 15.0),
    ],
)
def test_a_fault_is_seen_where_it_is_said_to_be(sound: Figures, key: str, figure: str, when: int, least: float) -> None:
    difference = run(key)[1][figure][when] - sound[figure][when]
    assert difference * np.sign(least) >= abs(least), difference


def test_a_stuck_sensor_stands_still_while_the_die_moves() -> None:
    data, _ = run("stuck")
    coolant = data.values["Coolant in"][-400:]
    assert np.ptp(coolant) == 0.0 and np.ptp(data.values["Die"][-400:]) > 1


def test_a_background_load_is_like_the_others_per_watt(sound: Figures) -> None:
    found = run("background")[1]
    per_watt = found["die over coolant"][END] / found["power"][END]
    assert per_watt == pytest.approx(sound["die over coolant"][END] / sound["power"][END], rel=0.03)


def test_another_device_warms_the_coolant_under_load_only(sound: Figures) -> None:
    found = run("second device")[1]
    name = "coolant over air"
    assert found[name][IDLE] == pytest.approx(sound[name][IDLE], abs=0.25)
    assert found["power"][END] == pytest.approx(sound["power"][END], abs=2.0)
    assert found["die over coolant"][END] == pytest.approx(sound["die over coolant"][END], rel=0.02)


def test_all_are_told_and_distinct() -> None:
    assert len({f.told for f in FAULTS.values()}) == len(FAULTS) == 12
    assert all(f.told.endswith(".") and f.seen_by.endswith(".") for f in FAULTS.values())
