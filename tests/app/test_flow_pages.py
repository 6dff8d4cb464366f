"""The Shelf's pages for restriction, pumps and loops, driven: typed, pasted, taken from logs, read live, undone."""

from __future__ import annotations

import sys
from collections.abc import Callable
from pathlib import Path

import numpy as np
import pytest
from PySide6.QtCore import QPoint, Qt
from PySide6.QtTest import QTest
from PySide6.QtWidgets import QApplication, QCheckBox

from kuffin.app.frame.window import MainWindow
from kuffin.instruments.setup import BenchSetup, ChannelSetting, InstrumentSetting, save_setup
from kuffin.notebook.entities import Curve
from tests.app.driving import action, drop, give, press, pump_until, shown_words, write_cell
from tests.core.flow.test_steady import HELD, valve_log

Wait = Callable[[], None]


@pytest.fixture
def shelf(demo_window: MainWindow, at_rest: Wait) -> MainWindow:
    demo_window.show_desk("Shelf")
    at_rest()
    return demo_window


def begin(window: MainWindow, at_rest: Wait, part: str = "Knot", kind: str = "restriction") -> None:
    at = next(p.id for p in window.shelf.parts if p.name == part)
    window.shelf_desk.new_readings(at, kind)
    at_rest()


def looked_at(window: MainWindow) -> Curve:
    curve = window.shelf_desk.readings.curve()
    assert curve is not None
    return curve


def test_readings_are_typed_with_their_units_and_undone(shelf: MainWindow, at_rest: Wait) -> None:
    page = shelf.shelf_desk.readings
    begin(shelf, at_rest)
    assert (
        looked_at(shelf).part.name == "Knot"
        and "Not fitted yet: a curve needs three points at three different flows; Knot has 0 at 0" in page.told.text()
    )
    assert page.facts.lines["flow_accuracy"].text() == "2 %"  # as the last readings were told
    for flow, pressure in (("80", "2.9"), ("2 L/min", "48 mbar"), ("160", "1.28 psi"), ("200", "12,6")):
        page.lines[0].setText(flow)
        page.lines[1].setText(pressure)
        QTest.keyClick(page.lines[1], Qt.Key.Key_Return)
        at_rest()
    assert np.array(looked_at(shelf).points) == pytest.approx(
        np.array([[80, 2.9, 1], [120, 4.8, 1], [160, 8.825, 1], [200, 12.6, 1]]), rel=1e-3
    )
    assert "drop of one = " in page.told.text()
    page.lines[0].setText("200")
    page.lines[1].setText("3 L/h")
    page.add_typed()
    assert "is no unit of a pressure" in shelf.strip.trouble.text()
    write_cell(page.table, 2, 1, "-4")
    at_rest()
    assert "outside 0 to 2000 kPa" in shelf.strip.trouble.text() and looked_at(shelf).points[2][1] > 0
    action(shelf, shelf.menus.undo.text())()
    at_rest()
    assert len(looked_at(shelf).points) == 3
    give(page.facts.lines["pressure_accuracy"], "1 % + 2 mbar")
    at_rest()
    assert looked_at(shelf).pressure_accuracy == "1 % + 2 mbar"
    give(page.facts.lines["pressure_accuracy"], "rather good")
    at_rest()
    assert looked_at(shelf).pressure_accuracy == "1 % + 2 mbar" and "no accuracy" in shelf.strip.trouble.text()


def test_readings_come_from_the_clipboard_a_table_or_the_steady_stretches_of_a_log(
    shelf: MainWindow, at_rest: Wait, tmp_path: Path
) -> None:
    page = shelf.shelf_desk.readings
    begin(shelf, at_rest)
    QApplication.clipboard().setText("100\t4.2\n150\t8.8\n200\t14.8\n")
    press(page, "Paste")
    at_rest()
    assert [r[0] for r in looked_at(shelf).points] == [100, 150, 200]
    table = tmp_path / "gauge.csv"
    table.write_text("flow [L/h],drop [kPa],in series\n120,12.4,2\n")
    drop(page, table)
    at_rest()
    assert looked_at(shelf).points[-1] == [120, 12.4, 2]
    log = tmp_path / "valve.csv"
    rows = zip(*valve_log(np.random.default_rng(3), 30.0, 5.0), strict=True)
    log.write_text("Time [s],Flow [L/h],Pressure [kPa]\n" + "".join(f"{t:.1f},{q:.2f},{p:.3f}\n" for t, q, p in rows))
    drop(page, log)
    at_rest()
    assert [r[0] for r in looked_at(shelf).points[4:]] == pytest.approx(HELD, abs=1.5)
    assert "4 steady stretches taken from valve.csv" in shelf.strip.trouble.text()
    other = tmp_path / "die.csv"
    other.write_text("Time [s],Die [°C]\n" + "".join(f"{t},60\n" for t in range(60)))
    drop(page, other)
    at_rest()
    assert "neither a table of readings" in shelf.strip.trouble.text()


def test_pairs_are_read_live_with_the_space_bar(shelf: MainWindow, at_rest: Wait) -> None:
    page = shelf.shelf_desk.readings
    begin(shelf, at_rest)
    press(page.live, "Read live")
    assert "instrument on the Bench page tells flow or pressure" in shelf.strip.trouble.text()
    told = f"{sys.executable} -c \"print('flow=142.0 gauge=71')\""
    channels = (
        ChannelSetting(source="flow", name="Wheel", unit="L/h", quantity="flow", role="flow"),
        ChannelSetting(source="gauge", name="Gauge", unit="kPa", quantity="pressure", role="pressure", scale=0.1),
    )
    meter = InstrumentSetting(kind="command", name="meter", where=told, interval_s=0.2, channels=channels)
    save_setup(shelf.settings.bench_path, BenchSetup(instruments=(meter,)))
    press(page.live, "Read live")
    pump_until(lambda: "142.0 L/h · 7.1 kPa" in page.live.now.text())
    QTest.keyClick(page.live, Qt.Key.Key_Space)
    at_rest()
    assert looked_at(shelf).points == [[142.0, 7.1, 1.0]]
    shelf.show_desk("Bench")  # where the same instruments are wanted
    assert not page.live.reading.active


def test_parts_are_compared_at_a_flow_that_one_drags_and_a_part_is_switched_off(
    shelf: MainWindow, at_rest: Wait
) -> None:
    page = shelf.shelf_desk.restriction
    shelf.shelf_desk.go("restriction")
    at_rest()
    said = page.said.text()
    assert said.startswith("At 150 L/h Reed drops") and "Tern" in said
    place = QPoint(int(page.plot.place_of(240.0)), 150)
    QTest.mouseClick(page.plot, Qt.MouseButton.LeftButton, pos=place)
    assert page.flow.value() == pytest.approx(240, abs=5) and page.said.text().startswith(
        f"At {page.flow.value():.0f} L/h"
    )
    QTest.keyClick(page.plot, Qt.Key.Key_Left)
    assert page.flow.value() < 240
    wanted: list[int] = []
    page.readings_wanted.connect(wanted.append)
    QTest.keyClick(page.plot, Qt.Key.Key_Down)
    QTest.keyClick(page.plot, Qt.Key.Key_Return)  # a point leads to its readings
    assert len(wanted) == 1
    shelf.shelf_desk.go("restriction")
    assert "42" in page.gauge.text() and "estimated from the pump's curve" in page.gauge.text()
    next(b for b in page.findChildren(QCheckBox) if b.text() == "Reed").click()
    assert "Reed" not in page.said.text() and "Ruff" in page.said.text()
    page.coolant.box.setCurrentIndex(page.coolant.box.findText("Rill"))
    page.coolant.box.activated.emit(0)
    at_rest()
    assert "carried from water at 25 °C" in shown_words(page.table)


def test_a_loop_is_put_together_and_asked_what_it_takes(shelf: MainWindow, at_rest: Wait) -> None:
    page = shelf.shelf_desk.loop
    shelf.shelf_desk.go("loop")
    at_rest()
    assert page.said.text().startswith("Tern + Reed: ")  # the bench's, as far as it has curves
    before = page.said.text()
    press(page, "Add a part")
    write_cell(page.table, 2, 0, "Reed")
    write_cell(page.table, 2, 2, "beside the one above")
    assert page.said.text().startswith("Tern + (Reed beside Reed): ") and page.said.text() != before
    write_cell(page.table, 0, 1, "3")
    assert page.said.text().startswith("3 × Tern + (Reed beside Reed): ")
    write_cell(page.table, 0, 1, "many")
    assert "no number of pieces" in shelf.strip.trouble.text() and page.table.item(0, 1).text() == "3"
    page.wanted.setValue(400)
    assert "The pump is too weak for 400 L/h" in page.more.text() and "One more Tern costs" in page.more.text()
    press(page, "As on the bench")
    assert page.said.text() == before


def test_a_parts_page_draws_its_curves_and_leads_to_their_readings(shelf: MainWindow, at_rest: Wait) -> None:
    page = shelf.shelf_page
    shelf.shelf_desk.go("parts")
    page.look_at(next(p.id for p in shelf.shelf.parts if p.name == "Dipper"))
    at_rest()
    assert page.curves.isVisibleTo(page) and "water at 25 °C" in shown_words(page.curves)
    press(page.curves, "18 readings")
    at_rest()
    assert shelf.shelf_desk.page == "readings" and looked_at(shelf).part.name == "Dipper"
    page.look_at(next(p.id for p in shelf.shelf.parts if p.name == "Knot"))
    assert not page.curves.isVisibleTo(page)
    shelf.shelf_desk.readings.look_at(looked_at(shelf).id)
    press(shelf.shelf_desk.readings, "Bin them")
    at_rest()
    assert all(c.kind != "pump" for p in shelf.shelf.parts for c in p.live_curves)
    shelf.shelf_desk.go("loop")
    assert "Missing: a pump's curve" in shelf.shelf_desk.loop.empty.text()
