"""The pieces of the log reader: cells, names, roles, guesses, tidy tables."""

from __future__ import annotations

import math
from pathlib import Path

import numpy as np
import pytest

from kuffin.core.base.errors import CompareError, LogError
from kuffin.core.base.units import parse_unit
from kuffin.logs.channelguess import guess_role
from kuffin.logs.guess import guess_candidate
from kuffin.logs.header import is_unit_row, split_names, unique_names
from kuffin.logs.table import LogChannel
from kuffin.logs.tidy import mount_values, read_tidy, rows_by_mount
from kuffin.logs.values import parse_number


@pytest.mark.parametrize(
    ("cell", "decimal", "value", "unit"),
    [
        ("12.5", ".", 12.5, None),
        ("-3", ".", -3, None),
        ("−3,5", ",", -3.5, None),
        ("+.5", ".", 0.5, None),
        ("2,480", ".", 2480, None),
        ("1.830,5", ",", 1830.5, None),
        ("1 234,5", ",", 1234.5, None),
        ("1'234.5", ".", 1234.5, None),
        ("1e-3", ".", 0.001, None),
        ("41.5 °C", ".", 41.5, "°C"),
        ("41.5°C", ".", 41.5, "°C"),
        ("0.318 kW", ".", 0.318, "kW"),
        ("65 %", ".", 65, "%"),
        ("~3.2", ".", 3.2, None),
        ("3.5", ",", 3.5, None),
        ("1,234,567", ",", 1234567, None),
    ],
)
def test_numbers_as_people_write_them(cell: str, decimal: str, value: float, unit: str | None) -> None:
    assert parse_number(cell, decimal) == (pytest.approx(value), unit)


@pytest.mark.parametrize(
    "cell", ["", "-", "N/A", "soak", "12:30", "1.2.3", "2026-03-02", "1e999", "°C", "--5", "12 34 5x 6"]
)
def test_what_is_no_number_is_missing(cell: str) -> None:
    assert math.isnan(parse_number(cell)[0])


@pytest.mark.parametrize(
    ("header", "expected"),
    [
        (["Die [°C]", "Fan 1 [RPM]"], [("Die", "°C"), ("Fan 1", "RPM")]),
        (["Die (max)", "Coolant (°C)"], [("Die (max)", None), ("Coolant", "°C")]),
        (["Frame rate (fps)", "Die (°C)"], [("Frame rate", "fps"), ("Die", "°C")]),
        (["Coolant in, °C", "Score, pts"], [("Coolant in", "°C"), ("Score", "pts")]),
        (["Sound [dB(A)]", "Die  temp"], [("Sound", "dB(A)"), ("Die temp", None)]),
        (["T / °C", "Flow / L/h"], [("T", "°C"), ("Flow", "L/h")]),
    ],
)
def test_names_lose_their_units(header: list[str], expected: list[tuple[str, str | None]]) -> None:
    assert [(c.name, c.unit) for c in split_names(header)] == expected


def test_numbering_never_makes_two_names_alike() -> None:
    names = unique_names(["Fan", "Fan", "Fan (2)", "Fan", "Pump"])
    assert names[0] == "Fan"
    assert len(set(names)) == len(names)


def test_a_row_of_units_is_told_from_a_row_of_names() -> None:
    assert is_unit_row(["", "°C", "W", "RPM"])
    assert is_unit_row(["hh:mm:ss", "[°C]", "[L/h]"])
    assert not is_unit_row(["Time", "Die", "Power"])
    assert not is_unit_row(["0", "40", "200"])


@pytest.mark.parametrize(
    ("name", "quantity", "unit", "role"),
    [
        ("Coolant in", "temperature", "degC", "coolant_in"),
        ("Coolant supply", "temperature", "degC", "coolant_in"),
        ("Water out", "temperature", "degC", "coolant_out"),
        ("Coolant return", "temperature", "degC", "coolant_out"),
        ("Coolant", "temperature", "degC", "coolant"),
        ("CoolantIn", "temperature", "degC", "coolant_in"),
        ("Air", "temperature", "degC", "air_in"),
        ("Radiator intake air", "temperature", "degC", "air_in"),
        ("Air out", "temperature", "degC", None),
        ("Ambient", "temperature", "degC", "room"),
        ("Die 1", "temperature", "degC", "die"),
        ("Hot spot", "temperature", "degC", "hot_spot"),
        ("Memory junction", "temperature", "degC", "memory"),
        ("Junction", "temperature", "degC", "hot_spot"),
        ("Liq before block", "temperature", "degC", "coolant_in"),
        ("Coolant after radiator", "temperature", "degC", "coolant_in"),
        ("T_liq", "unknown", None, "coolant"),
        ("CPU clk", "unknown", None, "clock"),
        ("Q", "unknown", None, "flow"),
        ("Pump tacho", "unknown", None, "pump"),
        ("CPUTemp", "unknown", None, "die"),
        ("Chipset", "temperature", "degC", "chipset"),
        ("Drive 1", "temperature", "degC", "storage"),
        ("GPU backplate", "temperature", "degC", "backplate"),
        ("VRM", "temperature", "degC", "regulator"),
        ("Temperature drop", "temperature", "K", None),
        ("Package power", "power", "W", "power"),
        ("Wall power", "power", "W", "wall_power"),
        ("Pump power", "power", "W", None),
        ("Clock", "frequency", "MHz", "clock"),
        ("Memory clock", "frequency", "MHz", None),
        ("Flow", "flow", "L/h", "flow"),
        ("Pump", "rotational_speed", "rpm", "pump"),
        ("Fan 2", "rotational_speed", "rpm", "fan"),
        ("Sound", "sound_level", "dBA", "sound"),
        ("Humidity", "share", "%", "humidity"),
        ("Load", "share", "%", "load"),
        ("Fan duty", "share", "%", None),
        ("Rail", "voltage", "V", "voltage"),
        ("Score", "unknown", None, "score"),
        ("coolant_in", "unknown", None, "coolant_in"),
        ("power", "unknown", None, "power"),
        ("Mark", "unknown", None, None),
    ],
)
def test_roles_are_guessed_from_names(name: str, quantity: str, unit: str | None, role: str | None) -> None:
    assert guess_role(name, quantity, unit) == role


def test_file_names_tell_the_candidate() -> None:
    names = ["Rush", "Bulrush", "Sedge 240"]
    assert guess_candidate("2026-03-04 bulrush_round2", names) == "Bulrush"
    assert guess_candidate("rush-r1", names) == "Rush"
    assert guess_candidate("SEDGE240 run 3", names) == "Sedge 240"
    assert guess_candidate("tern", names) is None


@pytest.mark.parametrize(
    ("written", "told", "unit", "first"),
    [
        ("°C", "°F", "degC", (40.0 - 32) / 1.8),
        ("°F", "°C", "degC", 104.0),
        (None, "°C", "degC", 40.0),
        ("W", "kW", "W", 40_000.0),
        ("°C", None, None, 40.0),
        ("°C", "fps", "fps", 40.0),
        (None, "K", "K", 40.0),
    ],
)
def test_a_persons_word_for_a_unit_goes_back_to_the_written_numbers(
    written: str | None, told: str | None, unit: str | None, first: float
) -> None:
    start = np.array([40.0, 41.0])
    known = parse_unit(written) if written else None
    values = start * known.scale + known.offset if known else start
    channel = LogChannel(
        name="Die",
        unit=known.canonical if known else None,
        quantity=known.quantity if known else "unknown",
        role=None,
        values=values,
        written_unit=written,
    )
    if written == "°F":
        channel.values = (np.array([104.0, 105.8]) - 32) / 1.8
    again = channel.written_in(told)
    assert again.unit == unit
    assert again.values[0] == pytest.approx(first)


TABLE = "rise;candidate;mount;air\n10,5;Sedge;1;21\n10,7;Sedge;1;21\n;Sedge;2;22\n11,0;Reed;1;22\n11,4;Reed;2;23\n"


def test_readings_of_one_mount_are_averaged_and_blanks_dropped_with_a_word(tmp_path: Path) -> None:
    path = tmp_path / "table.csv"
    path.write_text(TABLE)
    rows, warnings, response = rows_by_mount(read_tidy(path), "RIS", "cand", "mount", adjust=["air"])
    mounts = mount_values(rows)
    assert response == "rise"
    assert [(m.candidate, m.value, m.covariates) for m in mounts] == [
        ("Sedge", pytest.approx(10.6), (21.0,)),
        ("Reed", pytest.approx(11.0), (22.0,)),
        ("Reed", pytest.approx(11.4), (23.0,)),
    ]
    assert warnings == ["1 row with a blank was left out"]


def test_each_row_is_a_mount_where_none_is_named(tmp_path: Path) -> None:
    path = tmp_path / "table.csv"
    path.write_text("v,g\n1,a\n2,a\n3,b\n")
    assert len(rows_by_mount(read_tidy(path), "v", "g")[0]) == 3


@pytest.mark.parametrize(
    ("text", "column", "says"),
    [
        ("v,g\n1,a\nx,b\n", "v", "line 3, column “v”: “x” is no number"),
        ("v,g\n1,a\n", "w", "no column “w”; it has v, g"),
        ("v1,v2,g\n1,2,a\n", "v", "fits several columns"),
        ("v,g\n1\n", "v", "line 2 has 1 of 2 fields"),
        ("v,g\n", "v", "at least one row"),
    ],
)
def test_odd_tables_are_refused_with_the_place(tmp_path: Path, text: str, column: str, says: str) -> None:
    path = tmp_path / "table.csv"
    path.write_text(text)
    with pytest.raises((CompareError, LogError), match=says):
        rows_by_mount(read_tidy(path), column, "g")
