"""Curves of the shelf: carried to another coolant, put together as a loop, and said where they cannot be."""

from __future__ import annotations

from pathlib import Path

import numpy as np
import pytest

from kuffin.core.base.errors import BenchError, CompareError
from kuffin.core.flow.circuit import in_series
from kuffin.core.flow.curvekinds import CURVE_KINDS
from kuffin.core.heat.coolant import WATER, Mix, properties
from kuffin.demo.restrictions import BLOCKS_READ, LESS_AT, LESS_FLOW, truth_of
from kuffin.logs.flowtable import pasted_points
from kuffin.notebook import curveedits
from kuffin.notebook import shelf as edit_shelf
from kuffin.notebook.store import Notebook
from kuffin.reading.shelfcurves import CoolantState, shelf_curves, usual_pump, with_and_without
from kuffin.said.flowwords import along_words, enough_words, ranking_words, second_words
from kuffin.simulated.hydraulics import Pump, loop_flow

MIX = Mix("propylene glycol", 30.0)


def test_the_demos_curves_hold_what_is_true(demo_notebook: Notebook) -> None:
    parts = edit_shelf.parts(demo_notebook)
    pump = usual_pump(parts)[0]
    found = shelf_curves(parts, None, pump).measured
    for name in (*BLOCKS_READ, "Reed"):
        for flow in (80.0, 150.0, 220.0):
            drop = found.drop(name, flow)
            assert drop.low <= truth_of(name).drop(flow) <= drop.high and drop.half < 0.06 * drop.value + 0.12
    loop = in_series(["Tern", "Reed"])
    truth = loop_flow(Pump(), 0.7, [truth_of("Tern"), truth_of("Reed")])
    flow = found.point(loop, 0.7).flow
    assert flow.low <= truth <= flow.high
    (told,), _ = with_and_without(parts, pump)
    assert told.part == LESS_FLOW and told.drop is not None
    assert (
        told.drop.low <= truth_of(LESS_FLOW).drop(told.flow) <= told.drop.high and told.speed_percent == 100 * LESS_AT
    )
    assert ranking_words(found, 150.0).startswith("At 150 L/h Reed drops")
    assert "Ruff restricts less than Tern at every flow" in along_words(found, "Tern", "Ruff")
    assert "The pump is strong enough: 150 L/h needs" in enough_words(found, loop, 150.0)
    weak = enough_words(found, loop, 320.0)
    assert "too weak for 320 L/h" in weak and "Tern takes" in weak
    assert second_words(found, loop, "Tern", 1.0).startswith("One more Tern costs")


def test_a_thicker_coolant_raises_the_laminar_part_only(tmp_path: Path) -> None:
    notebook = Notebook.create(tmp_path / "shelf.kuffin")
    block = edit_shelf.add_part(notebook, "processor block", "Tern")
    water = edit_shelf.add_part(notebook, "coolant", "Brook", fields={"sort": "plain water"})
    q = np.array([50.0, 100.0, 150.0, 200.0])
    rows = [[x, 0.02 * x, None] for x in q]  # a purely laminar part
    told = {"flow_accuracy": "1 %", "pressure_accuracy": "1 %"}
    kept = curveedits.add_curve(notebook, block, "restriction", rows, coolant_id=water, temperature_c=25.0, **told)
    asked = CoolantState(MIX, 35.0)
    found = shelf_curves(edit_shelf.parts(notebook), asked)
    thicker = properties(35.0, MIX).viscosity_mpa_s / properties(25.0, WATER).viscosity_mpa_s
    assert found.measured.parts["Tern"].at(100.0) == pytest.approx(2.0 * thicker, rel=1e-3)
    assert found.notes["Tern"] == "carried from water at 25 °C"
    curveedits.change_curve(notebook, kept, "forget", coolant_id=None)
    found = shelf_curves(edit_shelf.parts(notebook), asked)
    assert found.measured.parts["Tern"].at(100.0) == pytest.approx(2.0, rel=1e-3)
    assert "not told" in found.notes["Tern"]
    with pytest.raises(BenchError, match="is no accuracy"):
        curveedits.change_curve(notebook, kept, "odd", flow_accuracy="good")
    curveedits.change_curve(notebook, kept, "fewer", points=rows[:1])
    assert "Tern has 1 at 1" in shelf_curves(edit_shelf.parts(notebook)).problems["Tern"]
    notebook.close()


@pytest.mark.parametrize(
    "pasted",
    [
        "100\t4.2\n200\t14.8",
        "100 4.2\n200 14.8",
        "100,4.2\n200,14.8",
        "flow [L/min];drop [mbar]\n1,6667;42\n3,3333;148",
        "drop (psi),flow (gpm)\n0.60916,0.44029\n2.14656,0.88057",
        "Flow, L/h\tPressure drop, kPa\tin series\n100\t4.2\t1\n200\t14.8\t1",
    ],
)
def test_pasted_rows_come_to_the_same_however_they_are_written(pasted: str) -> None:
    rows = pasted_points(pasted, CURVE_KINDS["restriction"])
    assert np.array(rows) == pytest.approx(np.array([[100, 4.2, 1], [200, 14.8, 1]]), rel=1e-3)


def test_what_is_no_table_of_readings_is_said(tmp_path: Path) -> None:
    with pytest.raises(CompareError, match="nothing to paste"):
        pasted_points("  \n", CURVE_KINDS["restriction"])
    with pytest.raises(CompareError, match="no unit of flow"):
        pasted_points("flow [°C];drop [kPa]\n1;2", CURVE_KINDS["restriction"])
