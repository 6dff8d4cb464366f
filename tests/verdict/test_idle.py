"""Idle is a condition: from logs of its own, or from a protocol's idle steps where that is asked for."""

from __future__ import annotations

from contextlib import closing
from pathlib import Path

import numpy as np
import pytest

from kuffin.core.bench.limits import Limits
from kuffin.core.bench.protocol import usual_steps
from kuffin.demo.scenario import demo_runs
from kuffin.logs.table import LogChannel, LogTable
from kuffin.notebook import edits, planedits
from kuffin.notebook.store import Notebook
from kuffin.said.line import verdict_line
from kuffin.verdict.grid import axes_of, cell_result
from kuffin.verdict.study import judge

IDLE_W, LOAD_W = 14.0, 180.0
TRUE = {"Tern": 0.12, "Plover": 0.15}  # K/W


def log(name: str, idle: bool, seed: int) -> LogTable:
    rng, t = np.random.default_rng(seed), np.arange(0, 2400, 2.0)
    power = np.where((t > 240) & (not idle), LOAD_W, IDLE_W)
    coolant = 21.8 + (0 if idle else 10 * -np.expm1(-np.maximum(t - 240, 0) / 400))
    die = coolant + TRUE[name] * (1 + 0.01 * (seed % 3)) * power

    def channel(label: str, role: str, values: np.ndarray, unit: str, scatter: float) -> LogChannel:
        quantity = "power" if unit == "W" else "temperature"
        return LogChannel(
            name=label,
            unit=unit,
            quantity=quantity,
            role=role,
            values=values + rng.normal(0, scatter, t.size),
            written_unit=unit,
        )

    channels = [
        channel("Die", "die", die, "degC", 0.3),
        channel("Coolant", "coolant", coolant, "degC", 0.05),
        channel("Room", "room", np.full(t.size, 21.0), "degC", 0.05),
        channel("Power", "power", power, "W", 0.5),
    ]
    return LogTable(
        file=f"{name} {'idle' if idle else 'load'} {seed}.csv",
        encoding="",
        delimiter="",
        decimal="",
        times=t,
        start=None,
        channels=channels,
        dropped_rows=0,
    )


def test_idle_logs_are_compared_at_the_power_they_were_idle_at(tmp_path: Path) -> None:
    with closing(Notebook.create(tmp_path / "n.kuffin")) as book:
        study = edits.add_study(book, "Which block?", "block", list(TRUE), 0.3)
        runs = [
            edits.NewRun(name, log(name, idle, m), round=m, condition="idle" if idle else "load", together=True)
            for name in TRUE
            for m in (1, 2, 3)
            for idle in (False, True)
        ]
        edits.add_logs(book, study, runs)
        v = judge(book, book.study(study))
        assert v.condition == "load" and v.reference_power_w == LOAD_W
        for cell in axes_of(v).cells[:2]:  # the die at both conditions
            found = cell_result(v, cell, 0.95).comparison
            power = IDLE_W if cell.condition == "idle" else LOAD_W
            assert found is not None
            for c in found.candidates:
                assert c.mean == pytest.approx(1.01 * TRUE[c.name] * power, rel=0.02)


def test_idle_steps_stand_in_the_grid_where_they_are_asked_for_and_change_nothing_else(tmp_path: Path) -> None:
    with closing(Notebook.create(tmp_path / "n.kuffin")) as book:
        study = edits.add_study(book, "Which radiator?", "radiator", ["Reed", "Rush"], 0.3)
        protocol = planedits.keep_protocol(book, "usual", usual_steps(), Limits())
        edits.change_study(book, study, "take it", protocol_id=protocol)
        for run in demo_runs():
            if run.candidate in {"Reed", "Rush"}:
                edits.add_log(book, study, run.candidate, run.table)
        before = judge(book, book.study(study))
        planedits.set_plan(book, study, "at idle too", idle=True)
        after = judge(book, book.study(study))
        assert before.condition is None and after.condition == "load"
        assert verdict_line(after).sentence == verdict_line(before).sentence
        assert len(after.open_findings()) == len(before.open_findings())
        values = [[r.value for r in v.main.readings] for v in (before, after)]
        assert values[0] == pytest.approx(values[1], abs=0.05)
        idle = next(c for c in axes_of(after).cells if c.condition == "idle")
        found = cell_result(after, idle, 0.95).comparison
        assert found is not None and all(0.3 < c.mean < 1.5 and c.low < c.mean < c.high for c in found.candidates)
