"""Reading logs of many kinds: each is written with a known truth."""

from __future__ import annotations

import datetime as dt
from dataclasses import replace
from pathlib import Path

import numpy as np
import pytest
from hypothesis import HealthCheck, example, given, settings
from hypothesis import strategies as st

from kuffin.core.base.errors import LogError
from kuffin.logs.reader import read_log
from kuffin.logs.table import LogTable
from tests.logs.writing import START, Recipe, clock, elapsed

US = Recipe(
    names=("Coolant supply (°F)", "Die (°F)", "Flow (gph)"),
    clock=clock("%m/%d/%Y %I:%M:%S %p"),
    formats=("{:.2f}", "{:.0f}", "{:,.1f}"),
    quote=True,
)
GERMAN = Recipe(
    delimiter=";",
    decimal=",",
    encoding="cp1252",
    names=("Coolant in (°C)", "Die (°C)", "Power (W)"),
    clock_name="Date|Time",
    clock=clock("%d.%m.%Y;%H:%M:%S"),
    after=("Minimum;;25,00;40;1180,0", "Maximum;;26,55;64;1358,5", "Average;;25,8;52;1269,3"),
)

KINDS: dict[str, Recipe] = {
    "plain": Recipe(),
    "mark and windows line ends, comments first": Recipe(
        bom=True, line_end="\r\n", before=("# bench: 2", "# block: Heron", "#")
    ),
    "key: value lines first": Recipe(before=("Logger: v3", "Interval, 2 s", "")),
    "the delimiter told": Recipe(delimiter=";", before=("sep=;",)),
    "semicolon, decimal comma, date and time apart, a summary": GERMAN,
    "decimal comma with thousands points": replace(GERMAN, formats=("{:.2f}", "{:.0f}", "{:,.1f}")),
    "utf-16, tabs, a row of units": Recipe(
        encoding="utf-16", delimiter="\t", names=("Coolant in", "Die", "Power"), unit_row=("", "°C", "°C", "W")
    ),
    "utf-16 without a mark": Recipe(encoding="utf-16-le"),
    "bars, elapsed with jitter": Recipe(
        delimiter=" | ", clock_name="Elapsed", clock=elapsed("{h:02d}:{m:02d}:{f:06.3f}")
    ),
    "columns aligned with blanks": Recipe(delimiter="    ", clock_name="Elapsed[s]", clock=elapsed("{total:10.1f}")),
    "single blanks": Recipe(
        delimiter=" ",
        names=("Coolant_in[°C]", "Die[°C]", "Power[W]"),
        clock_name="Elapsed[s]",
        clock=elapsed("{total:.1f}"),
    ),
    "ISO with zone": Recipe(clock=clock("%Y-%m-%dT%H:%M:%S.250Z")),
    "ISO with offset": Recipe(clock=clock("%Y-%m-%dT%H:%M:%S+02:00")),
    "slashes, day first": Recipe(clock=clock("%d/%m/%Y %H:%M:%S")),
    "slashes, half days": Recipe(clock=clock("%m/%d/%y %I:%M:%S %p")),
    "month names": Recipe(clock=clock("%d-%b-%Y %H:%M:%S")),
    "the system's way of dates": Recipe(clock=clock("%a %b %d %H:%M:%S %Y")),
    "compact": Recipe(clock=clock("%Y%m%d %H%M%S")),
    "year first with slashes, tenths": Recipe(clock=clock("%Y/%m/%d %H:%M:%S.5")),
    "Unix seconds": Recipe(clock_name="Unix time", clock=lambda i: str(1773747484 + 2 * i)),
    "Unix milliseconds": Recipe(clock_name="timestamp", clock=lambda i: str(1773747484000 + 2000 * i)),
    "milliseconds": Recipe(clock_name="Time [ms]", clock=elapsed("{ms}")),
    "minutes": Recipe(clock_name="Elapsed (min)", clock=lambda i: f"{i / 30:.6f}"),
    "minutes and seconds": Recipe(clock_name="Time", clock=elapsed("{mm:02d}:{s:02d}")),
    "a spreadsheet's days": Recipe(
        clock_name="Date", clock=lambda i: f"{46098.0 + (11 * 3600 + 38 * 60 + 4 + 2 * i) / 86400:.8f}"
    ),
    "units on the values": Recipe(names=("Coolant in", "Die", "Power"), formats=("{:.2f} °C", "{:.0f} °C", "{:.1f} W")),
    "names with commas and units": Recipe(names=("Coolant in, °C", "Die, °C", "Power, W"), quote=True),
    "°F, gph, half days, thousands": US,
    "a counter first": Recipe(
        clock_name="No|Time", clock=lambda i: f"{i},{(START + dt.timedelta(seconds=2 * i)):%Y-%m-%d %H:%M:%S}"
    ),
    "an empty column and a last delimiter": Recipe(
        names=("Coolant in [°C]", "Die [°C]", "Power [W]", ""), formats=("{:.2f}", "{:.0f}", "{:.1f},")
    ),
    "a last delimiter here and there": Recipe(
        changes={0: "2026-03-17 11:38:04,25.00,40,1180.0,", 50: "2026-03-17 11:39:44,25.65,50,1255.0,"}
    ),
    "a last delimiter in the header only": Recipe(
        clock_name="Time", names=("Coolant in [°C]", "Die [°C]", "Power [W],")
    ),
    "padding at the end": Recipe(after=("\x00" * 300,)),
}


def read(tmp_path: Path, recipe: Recipe) -> LogTable:
    path = tmp_path / "log.csv"
    path.write_bytes(recipe.write())
    return read_log(path)


@pytest.mark.parametrize("kind", KINDS)
def test_a_log_of_this_kind_is_read(tmp_path: Path, kind: str) -> None:
    recipe = KINDS[kind]
    table = read(tmp_path, recipe)
    truth = recipe.values()
    assert table.rows == recipe.rows
    assert table.dropped_rows == 0
    assert table.interval_s == pytest.approx(2.0, abs=0.01)
    assert table.duration_s == pytest.approx(2.0 * (recipe.rows - 1), abs=0.02)
    assert table.gaps == []
    assert table.decimal == recipe.decimal
    channels = [c for c in table.channels if c.name != "No"]
    assert len(channels) == 3
    fahrenheit = "°F" in recipe.names[0]
    for column, channel in enumerate(channels):
        expected = truth[:, column]
        if fahrenheit:
            expected = (expected - 32) / 1.8 if column < 2 else expected * 3.785411784
        assert channel.values == pytest.approx(expected, abs=0.06)
    assert [c.quantity for c in channels] == ["temperature", "temperature", "flow" if fahrenheit else "power"]
    assert channels[1].role == "die"
    assert channels[0].role == "coolant_in"


@pytest.mark.parametrize(
    ("kind", "start"),
    [
        ("plain", "2026-03-17T11:38:04"),
        ("semicolon, decimal comma, date and time apart, a summary", "2026-03-17T11:38:04"),
        ("ISO with offset", "2026-03-17T11:38:04"),
        ("ISO with zone", "2026-03-17T11:38:04"),
        ("slashes, half days", "2026-03-17T11:38:04"),
        ("month names", "2026-03-17T11:38:04"),
        ("the system's way of dates", "2026-03-17T11:38:04"),
        ("compact", "2026-03-17T11:38:04"),
        ("Unix seconds", "2026-03-17T11:38:04"),
        ("a spreadsheet's days", "2026-03-17T11:38:04"),
        ("milliseconds", None),
        ("minutes and seconds", None),
    ],
)
def test_its_start_is_the_wall_clock_as_written(tmp_path: Path, kind: str, start: str | None) -> None:
    assert read(tmp_path, KINDS[kind]).start == start


def test_midnight_is_passed_without_a_date(tmp_path: Path) -> None:
    table = read(tmp_path, Recipe(clock=clock("%H:%M:%S", start=dt.datetime(2026, 1, 1, 23, 58, 30))))
    assert table.start is None
    assert table.duration_s == 238.0


def test_summer_time_ends_with_and_without_offsets(tmp_path: Path) -> None:
    def local(i: int) -> dt.datetime:
        return (
            dt.datetime(2026, 10, 25, 2, 58, 0) + dt.timedelta(seconds=2 * i) - dt.timedelta(hours=1 if i >= 60 else 0)
        )

    bare = read(tmp_path, Recipe(clock=lambda i: local(i).strftime("%Y-%m-%d %H:%M:%S")))
    told = read(
        tmp_path, Recipe(clock=lambda i: local(i).strftime("%Y-%m-%dT%H:%M:%S") + ("+01:00" if i >= 60 else "+02:00"))
    )
    assert bare.duration_s == told.duration_s == 238.0
    assert any("summer time" in w for w in bare.warnings)


def test_summer_time_begins(tmp_path: Path) -> None:
    def local(i: int) -> str:
        when = (
            dt.datetime(2026, 3, 29, 1, 58, 0) + dt.timedelta(seconds=2 * i) + dt.timedelta(hours=1 if i >= 60 else 0)
        )
        return when.strftime("%Y-%m-%dT%H:%M:%S") + ("+02:00" if i >= 60 else "+01:00")

    table = read(tmp_path, Recipe(clock=local))
    assert (table.duration_s, table.gaps) == (238.0, [])


def test_a_pause_is_a_gap(tmp_path: Path) -> None:
    table = read(
        tmp_path,
        Recipe(
            clock=lambda i: (START + dt.timedelta(seconds=2 * i + (285 if i > 50 else 0))).strftime("%Y-%m-%d %H:%M:%S")
        ),
    )
    assert [(g.at_s, g.length_s) for g in table.gaps] == [(100.0, 287.0)]


def test_equal_times_are_kept_and_swapped_rows_sorted(tmp_path: Path) -> None:
    order = {10: 11, 11: 10, 40: 41}  # two swapped, one twice
    table = read(tmp_path, Recipe(clock_name="t [s]", clock=lambda i: f"{2 * order.get(i, i)}"))
    assert table.rows == 120
    assert np.all(np.diff(table.times) >= 0)
    assert any("sorted" in w for w in table.warnings)
    assert table.channels[0].values[10] == pytest.approx(25 + 0.013 * 11, abs=0.006)


def test_rows_that_cannot_be_used_are_counted_and_named(tmp_path: Path) -> None:
    recipe = Recipe(
        changes={
            30: "2026-03-17 11:39:04,25.4",
            31: "2026-03-17 11:39:06,25.4,46,1226.5,9,9",
            60: "??,25.8,52,1270.0",
            80: "Time,Coolant in [°C],Die [°C],Power [W]",
            81: "",
            82: "# note: door opened",
        },
        after=("2026-03-17 11:42:04,26.",),
    )
    table = read(tmp_path, recipe)
    assert table.rows == 114
    assert table.dropped_rows == 4
    assert any("line 32 has 2 of 4 fields" in w for w in table.warnings)


@pytest.mark.parametrize("mark", ["", "-", "---", "N/A", "n/a", "nan", "NULL", "?", "ERR", "#N/A"])
def test_missing_is_missing_and_not_nought(tmp_path: Path, mark: str) -> None:
    table = read(tmp_path, Recipe(changes={5: f"2026-03-17 11:38:14,{mark},41,1187.5"}))
    assert table.rows == 120
    assert np.isnan(table.channels[0].values[5])
    assert table.channels[0].count == 119


def test_names_that_come_again_are_numbered_from_left_to_right(tmp_path: Path) -> None:
    table = read(tmp_path, Recipe(names=("Die [°C]", "Die [°F]", "Die  [W]")))
    assert [(c.name, c.unit) for c in table.channels] == [("Die", "degC"), ("Die (2)", "degC"), ("Die (3)", "W")]


def test_an_unknown_unit_stays_as_written_and_words_are_no_channel(tmp_path: Path) -> None:
    table = read(
        tmp_path, Recipe(names=("Coolant [°C]", "Frame rate [fps]", "Phase"), formats=("{:.2f}", "{:.0f}", "soak"))
    )
    assert [(c.name, c.unit, c.quantity) for c in table.channels] == [
        ("Coolant", "degC", "temperature"),
        ("Frame rate", "fps", "unknown"),
    ]


def test_values_of_one_column_may_carry_different_units(tmp_path: Path) -> None:
    recipe = Recipe(
        names=("Coolant in", "Die", "Power"),
        formats=("{:.2f} °C", "{:.0f} °C", "{:.1f} W"),
        changes={7: "2026-03-17 11:38:18,77.162 °F,41 °C,1.1905 kW"},
    )
    table = read(tmp_path, recipe)
    assert table.channels[0].values[7] == pytest.approx(25.09, abs=0.01)
    assert table.channels[2].values[7] == pytest.approx(1190.5)


def test_a_clock_that_begins_again_runs_on_and_says_so(tmp_path: Path) -> None:
    table = read(tmp_path, Recipe(clock_name="Elapsed [s]", clock=lambda i: f"{2.0 * (i % 60):.1f}"))
    assert table.duration_s == 238.0
    assert any("goes back" in w for w in table.warnings)


def test_a_second_clock_is_no_channel(tmp_path: Path) -> None:
    table = read(
        tmp_path, Recipe(clock_name="Time|Elapsed [s]", clock=lambda i: f"{clock('%Y-%m-%d %H:%M:%S')(i)},{2 * i}")
    )
    assert [c.name for c in table.channels] == ["Coolant in", "Die", "Power"]
    assert table.start == "2026-03-17T11:38:04"


def test_without_a_header_columns_get_names_and_it_is_said(tmp_path: Path) -> None:
    table = read(tmp_path, Recipe(names=()))
    assert [c.name for c in table.channels] == ["Column 2", "Column 3", "Column 4"]
    assert any("no header" in w for w in table.warnings)


@pytest.mark.parametrize(
    ("raw", "says"),
    [
        (b"", "empty"),
        (b"\x00" * 200, "empty"),
        (b"  \r\n\r\n", "empty"),
        (bytes(range(256)) * 40, "no text"),
        (b"\x89PNG\r\n\x1a\n" + bytes(2000), "no t"),
        (b"hello\nthis is a letter\nnothing here\n", "no table"),
        (
            b"Die [C],Power [W]\n" + b"".join(b"%d,%d\n" % (40 + i % 3, 200) for i in range(60)),
            "no column holds a readable clock",
        ),
        (
            b"No,Die [C]\n" + b"".join(b"%d,%d\n" % (i, 40 + i % 3) for i in range(60)),
            "a row counter does not say when",
        ),
        (b"Time,Phase\n" + b"".join(b"%d,soak\n" % i for i in range(60)), "no"),
        (b"Time,Die [C],Power [W]\n", "no"),
    ],
)
def test_what_is_no_log_is_refused_in_a_sentence(tmp_path: Path, raw: bytes, says: str) -> None:
    path = tmp_path / "odd.csv"
    path.write_bytes(raw)
    with pytest.raises(LogError, match=says) as caught:
        read_log(path)
    assert "odd.csv" in str(caught.value)
    assert "\n" not in str(caught.value)


def test_a_missing_file_and_a_folder_are_refused(tmp_path: Path) -> None:
    with pytest.raises(LogError, match="no such file"):
        read_log(tmp_path / "none.csv")
    with pytest.raises(LogError, match="folder"):
        read_log(tmp_path)


def test_logs_of_one_shape_share_a_key(tmp_path: Path) -> None:
    assert read(tmp_path, Recipe()).shape_key == read(tmp_path, Recipe(rows=50, delimiter=";")).shape_key
    assert read(tmp_path, Recipe()).shape_key != read(tmp_path, US).shape_key


CELL = st.sampled_from(
    [
        "12",
        "1,5",
        "1.5",
        "-",
        "",
        "°C",
        "Time",
        "2026-03-02 10:15:00",
        "10:15:01",
        "23:59:59",
        "999999999999999999999",
        "1e400",
        "nan",
        "0x1f",
        '"',
        ",",
        ";",
        "\t",
        "#",
        "N/A",
        "1772700000",
        "25:61:99",
        "31.02.2026",
        "41.5 °C",
        "\u0000",
        "inf",
        "-0",
    ]
)


@settings(
    max_examples=250, deadline=None, suppress_health_check=[HealthCheck.function_scoped_fixture, HealthCheck.too_slow]
)
@given(
    st.lists(st.lists(CELL, min_size=0, max_size=6), min_size=0, max_size=14),
    st.sampled_from([",", ";", "\t", "|", " "]),
    st.binary(max_size=12),
)
@example([["Time", "Die"], ["1", "2"], ["1e400", "3"]], ",", b"")
def test_fuzzed_tables_are_read_or_refused_but_never_break(
    tmp_path: Path, rows: list[list[str]], delimiter: str, tail: bytes
) -> None:
    path = tmp_path / "fuzz.csv"
    path.write_bytes("\n".join(delimiter.join(row) for row in rows).encode("utf-8") + tail)
    try:
        table = read_log(path)
    except LogError as error:
        assert str(error)
        return
    assert np.all(np.isfinite(table.times))
    assert np.all(np.diff(table.times) >= 0)
    for channel in table.channels:
        assert channel.values.shape == table.times.shape
        assert channel.count > 0
        assert not np.isinf(channel.values).any()


@settings(max_examples=150, deadline=None, suppress_health_check=[HealthCheck.function_scoped_fixture])
@given(st.data())
def test_a_damaged_log_is_read_or_refused_but_never_breaks(tmp_path: Path, data: st.DataObject) -> None:
    """Cut it anywhere, overwrite any stretch with any bytes."""
    raw = bytearray(KINDS[data.draw(st.sampled_from(sorted(KINDS)))].write())
    at = data.draw(st.integers(0, len(raw) - 1))
    raw[at : at + data.draw(st.integers(0, 40))] = data.draw(st.binary(max_size=40))
    cut = data.draw(st.integers(0, len(raw)))
    path = tmp_path / "damaged.csv"
    path.write_bytes(bytes(raw[:cut]))
    try:
        table = read_log(path)
    except LogError:
        return
    assert table.rows >= 1
    assert np.all(np.isfinite(table.times))
