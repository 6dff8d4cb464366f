"""This computer's instruments on the Bench page, over the simulated bench's own interfaces."""

from __future__ import annotations

from collections.abc import Iterator
from pathlib import Path

import pytest

from kuffin.app.desks.shelf.thiscomputer import ThisComputer
from kuffin.app.frame.window import MainWindow
from kuffin.instruments.discovery import discover
from kuffin.instruments.setup import load_setup
from tests.app.driving import press, pump_until, write_cell


@pytest.fixture
def live(demo_window: MainWindow) -> Iterator[ThisComputer]:
    demo_window.show_desk("Bench")
    found = demo_window.bench_page.live
    assert found is not None
    yield found
    found.loads.close_served()


def cell(live: ThisComputer, row: int, column: int) -> str:
    return live.channels.item(row, column).text()


def test_an_empty_bench_says_what_to_do(live: ThisComputer) -> None:
    assert not live.empty.isHidden() and "sends nothing" in live.empty.text()
    press(live, "Zero check") if live.calibrating.isVisible() else None
    live.calibrating.zero_check()
    assert live.setup.instruments == ()


def test_values_come_live_and_are_named_given_roles_and_levelled(live: ThisComputer, demo_window: MainWindow) -> None:
    press(live, "Try it with the simulated bench")
    pump_until(
        lambda: (
            live.instruments.rowCount() == 3 and all("values" in live.instruments.item(i, 6).text() for i in range(3))
        )
    )
    live.instruments.setCurrentCell(1, 0)
    pump_until(lambda: live.channels.rowCount() == 3 and "°C" in cell(live, 0, 8))
    write_cell(live.channels, 0, 2, "Block inlet")
    assert [c.name for c in live.setup.instruments[1].channels] == ["Block inlet", "Coolant out", "Air in"]
    write_cell(live.channels, 1, 0, "no")
    assert [c.name for c in live.setup.instruments[1].channels] == ["Block inlet", "Air in"]
    write_cell(live.channels, 1, 4, "room") if cell(live, 1, 0) == "yes" else write_cell(live.channels, 2, 4, "room")
    assert "room" in {c.role for c in live.setup.instruments[1].channels}
    pump_until(lambda: live.reading.mean(1, "Tin") == live.reading.mean(1, "Tin"))
    live.calibrating.zero_check()
    told = {c.name: c.calibration.apply(live.reading.mean(1, c.source)) for c in live.setup.instruments[1].channels}
    assert max(told.values()) - min(told.values()) < 0.15
    assert "probes are levelled; they differed by" in demo_window.strip.trouble.text()
    assert "the machine draws" in demo_window.strip.trouble.text()  # so part of it is real
    live.channels.setCurrentCell(0, 2)
    live.calibrating.two_points("0.4 0.0 50.9 50.0")
    assert live.setup.instruments[1].channels[0].calibration.how == "two points"
    live.calibrating.two_points("1 2 3")
    assert "are not four numbers" in demo_window.strip.trouble.text()
    assert load_setup(demo_window.settings.bench_path) == live.setup


def test_looking_finds_and_lists_what_is_there(
    live: ThisComputer, demo_window: MainWindow, tmp_path: Path, monkeypatch: pytest.MonkeyPatch
) -> None:
    chip = tmp_path / "hwmon" / "hwmon0"
    chip.mkdir(parents=True)
    for file, content in {"name": "k10temp", "temp1_label": "Tctl", "temp1_input": "41250"}.items():
        (chip / file).write_text(content + "\n")
    monkeypatch.setattr(
        "kuffin.app.desks.shelf.thiscomputer.discover",
        lambda report: discover(report, tmp_path / "hwmon", tmp_path / "cpu", tmp_path / "dev", 0.1),
    )
    press(live, "Look for instruments")
    pump_until(lambda: live.channels.rowCount() == 1 and cell(live, 0, 8) == "41.25 °C")
    assert (cell(live, 0, 0), cell(live, 0, 4)) == ("no", "die")  # a guess, shown, and recorded only when one says so
    write_cell(live.channels, 0, 0, "yes")
    assert [(c.name, c.role, c.device) for c in live.setup.channels] == [("k10temp Tctl", "die", "processor")]
    write_cell(live.channels, 0, 5, "card 2")
    assert live.setup.channels[0].device == "card 2"
    press(live, "Look for instruments")
    pump_until(lambda: "nothing new was found" in demo_window.strip.trouble.text().lower())


def test_an_instrument_that_is_not_there_says_so(live: ThisComputer, demo_window: MainWindow) -> None:
    live.add("serial", "/dev/ttyUSB77")
    live.add("command", "echo 31.5 C")
    live.add("hand", "infrared spot [°C], clamp [A], magic [furlong]")
    assert "“furlong” is no unit" in demo_window.strip.trouble.text()
    live.add("hand", "infrared spot [°C], clamp [A]")
    assert [c.unit for c in live.setup.instruments[2].channels] == ["degC", "A"]
    pump_until(lambda: "is it plugged in" in live.instruments.item(0, 6).text())
    live.instruments.setCurrentCell(1, 0)
    pump_until(lambda: live.channels.rowCount() == 1 and cell(live, 0, 8) == "31.50 °C")
    assert cell(live, 0, 0) == "no"
    write_cell(live.channels, 0, 0, "yes")
    assert live.setup.instruments[1].channels[0].unit == "degC"
    write_cell(live.channels, 0, 6, "0.2 + 1 %")
    pump_until(lambda: cell(live, 0, 8) == "31.5 ± 0.5 °C")
    write_cell(live.channels, 0, 6, "good")
    assert "is no accuracy" in demo_window.strip.trouble.text() and cell(live, 0, 6) == "1 % + 0.2"
    write_cell(live.instruments, 1, 3, "often")
    assert "is no number" in demo_window.strip.trouble.text()
    live.loads.add_load()
    write_cell(live.loads.table, 0, 1, "sleep 60")
    assert live.setup.loads == {"batch stretch": "sleep 60"}
    demo_window.show_desk("Plan")
    assert not live.reading.active  # other programs, and a run, can have the ports
