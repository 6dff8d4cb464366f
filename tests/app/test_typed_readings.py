"""Readings without a log, typed as a person does."""

from __future__ import annotations

from collections.abc import Callable
from pathlib import Path

import pytest
from PySide6.QtCore import Qt
from PySide6.QtTest import QTest
from PySide6.QtWidgets import QDialog

from kuffin.app.dialogs.typereadings import TypeReadings
from kuffin.app.frame.window import MainWindow
from kuffin.core.base.errors import BenchError
from kuffin.core.bench.writtenfigures import read_figure, taken_apart, with_emissivity
from kuffin.said.working import mount_working
from tests.app.driving import action, shown_words, type_in, with_dialog, write_cell

Wait = Callable[[], None]


def study(window: MainWindow, number: int, at_rest: Wait) -> None:
    window.state.choose_study(number)
    at_rest()


def test_a_line_becomes_a_mount_that_counts_marked_as_typed(demo_window: MainWindow, at_rest: Wait) -> None:
    w = demo_window
    study(w, 3, at_rest)
    before = w.state.verdict.mounts  # type: ignore[union-attr]

    def answer(dialog: QDialog) -> None:
        assert isinstance(dialog, TypeReadings)
        assert not dialog.keep.isEnabled() and dialog.problem.text() == ""  # no error before anything was typed
        dialog.candidate.setCurrentIndex(dialog.candidate.findData("Knot"))
        dialog.candidate.activated.emit(dialog.candidate.currentIndex())
        dialog.condition.setCurrentText("load 240 W")
        QTest.keyClicks(dialog.minutes, "25")
        QTest.keyClicks(dialog.line, "die 71; coolant 31,5; air 22.1; power 241")
        QTest.keyClick(dialog.line, Qt.Key.Key_Return)
        rows = [[dialog.table.item(i, j).text() for j in range(4)] for i in range(4)]
        assert rows[0] == ["die", "71", "1", "71.00 ± 0.57 °C"]
        assert rows[1] == ["coolant into the block", "31,5", "0.1", "31.50 ± 0.06 °C"]
        write_cell(dialog.table, 0, 2, "0.5")  # the meter shows halves
        assert dialog.table.item(0, 3).text() == "71.00 ± 0.28 °C"
        dialog.accept()

    with_dialog(action(w, "Type readings …"), answer)
    at_rest()
    v = w.state.verdict
    assert v is not None and v.mounts == before + 1
    (reading,) = [r for r in v.main.readings if r.typed]
    assert reading.candidate == "Knot" and reading.settled
    assert reading.value == pytest.approx((71 - 31.5) / 241 * 240) and 0.2 < (reading.u95 or 0) < 0.5
    assert "One mount rests on typed figures." in w.header.verdict.text()
    assert "read off a screen or a meter by a person" in mount_working(v, reading).as_text()
    w.open_mount(reading.mount_id)
    at_rest()
    assert w.inspect.state_word.text() == "typed from a screen, 25 min after the load began"
    assert "there is no trace to draw" in shown_words(w.inspect.run_page)
    assert not w.inspect.run_page.plot.isVisible() and w.inspect.run_page.stairs.boxes
    assert w.side.loom.state_of(w.state.mount()) == "typed"
    w.menus.undo.trigger()
    at_rest()
    assert w.state.verdict.mounts == before  # type: ignore[union-attr]


def test_a_dropped_table_of_readings_becomes_a_study(demo_window: MainWindow, at_rest: Wait, tmp_path: Path) -> None:
    w = demo_window
    table = tmp_path / "fans at the desk.csv"
    table.write_text("candidate,mount,score\nPipit,1,90\nPipit,2,92\nWagtail,1,70\nWagtail,2,71\n", encoding="utf-8")

    def answer(dialog: QDialog) -> None:
        said = shown_words(dialog)
        assert "4 readings of 2 candidates, and no log" in said and "score (more is better)" in said
        type_in("Which fan scores?")(dialog)

    def dropped() -> None:
        w.studies.add_logs([str(table)])
        at_rest()

    with_dialog(dropped, answer)
    at_rest()
    assert w.state.study is not None and w.state.study.question == "Which fan scores?"
    assert "By score".lower() in w.header.verdict.text().lower() and w.state.verdict.main.ranking()[0] == "Pipit"  # type: ignore[union-attr]
    w.show_desk("Compare")
    w.compare.go("outcomes")
    at_rest()
    assert "Pipit is higher than every other that was compared" in shown_words(w.compare)


@pytest.mark.parametrize(
    ("written", "says"),
    [
        ("64 W", "“W” is no unit of a temperature"),
        ("64 °C 31", "is no unit of a temperature"),
        ("warm", "“warm” is no figure"),
        ("", "is no figure"),
    ],
)
def test_what_is_no_figure_is_said(written: str, says: str) -> None:
    with pytest.raises(BenchError, match=says):
        read_figure(written, "temperature")


@pytest.mark.parametrize(
    ("written", "quantity", "value", "step"),
    [("147.2 °F", "temperature", 64.0, 0.0556), ("2,5 L/min", "flow", 150.0, 6.0), ("−3", "temperature", -3.0, 1.0)],
)
def test_a_figure_keeps_the_step_of_its_last_digit(written: str, quantity: str, value: float, step: float) -> None:
    found = read_figure(written, quantity)
    assert (found.value, found.resolution) == (pytest.approx(value), pytest.approx(step, rel=0.01))


@pytest.mark.parametrize(
    ("line", "found"),
    [
        ("64\t31,5\t22.1\t203", [(None, "64"), (None, "31,5"), (None, "22.1"), (None, "203")]),
        ("hot spot: 78 °C | flow = 2.5 L/min", [("hot_spot", "78 °C"), ("flow", "2.5 L/min")]),
        ("64, 31.5, 22", [(None, "64"), (None, "31.5"), (None, "22")]),
        ("nothing here", []),
    ],
)
def test_a_pasted_line_is_taken_apart(line: str, found: list[tuple[str | None, str]]) -> None:
    assert taken_apart(line) == found


def test_an_infrared_meter_is_corrected_and_bare_metal_refused() -> None:
    true = 70.0
    seen = (0.9 * (true + 273.15) ** 4 + 0.1 * (25 + 273.15) ** 4) ** 0.25 - 273.15  # what such a surface sends out
    assert with_emissivity(seen, 0.9, 25.0) == pytest.approx(true)
    with pytest.raises(BenchError, match="tape or put paint"):
        with_emissivity(40.0, 0.1, 25.0)
