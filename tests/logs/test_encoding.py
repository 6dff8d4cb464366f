"""Encodings and clocks, piece by piece."""

from __future__ import annotations

import datetime as dt
import io

import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st

from kuffin.core.base.errors import LogError
from kuffin.logs.clock import ParsedClock, clock_kind, looks_like_minutes
from kuffin.logs.clockcells import ClockCells
from kuffin.logs.clockrun import running
from kuffin.logs.encoding import LogText


def decode(raw: bytes, name: str = "log") -> LogText:
    return LogText(io.BytesIO(raw), name)


def read(cells: list[str], *, dated: bool = True, unit: str | None = None) -> ParsedClock:
    clock = ClockCells(dated, "Time", unit)
    clock.add(cells)
    return clock.finish()


TEXT = "Zeit;Kühlmittel (°C);Lüfter\n10:15:00;25,5;900\n" * 20


@pytest.mark.parametrize(
    ("codec", "label"),
    [
        ("utf-8", "utf-8"),
        ("utf-8-sig", "utf-8"),
        ("cp1252", "cp1252"),
        ("latin-1", "cp1252"),
        ("utf-16", "utf-16"),
        ("utf-16-le", "utf-16"),
        ("utf-16-be", "utf-16"),
        ("utf-32", "utf-32"),
        ("ascii", "utf-8"),
    ],
)
def test_text_comes_back_whatever_it_was_written_in(codec: str, label: str) -> None:
    text = TEXT if codec != "ascii" else TEXT.translate(str.maketrans("ü°", "uo"))
    found = decode(text.encode(codec))
    assert found.whole().decode("utf-8") == text
    assert found.encoding == label
    assert found.warnings == ()


@pytest.mark.parametrize("end", ["\r\n", "\r"])
def test_line_ends_are_made_plain(end: str) -> None:
    assert decode(TEXT.replace("\n", end).encode()).whole().decode() == TEXT


def test_damaged_utf8_stays_utf8_and_says_so() -> None:
    raw = TEXT.encode()
    found = decode(raw[:30] + b"\xff" + raw[30:])
    assert found.encoding == "utf-8"
    assert found.whole().decode().count("\ufffd") == 1
    assert "damaged" in found.warnings[0]


def test_a_cut_utf16_file_says_so() -> None:
    found = decode(TEXT.encode("utf-16")[:-1])
    assert found.encoding == "utf-16"
    assert any("cut off" in w for w in found.warnings)


@pytest.mark.parametrize(
    "raw", [bytes(range(128, 256)) * 40, b"\x00\x01\x02\x03" * 400, b"\x1f\x8b\x08" + bytes(range(256)) * 20]
)
def test_what_is_no_text_is_refused(raw: bytes) -> None:
    with pytest.raises(LogError, match="no text"):
        decode(raw, "odd.bin")


WHEN = dt.datetime(2026, 3, 17, 23, 8, 4)
WALL = (WHEN - dt.datetime(1970, 1, 1)).total_seconds()


@pytest.mark.parametrize(
    ("pattern", "offset_h"),
    [
        ("%Y-%m-%d %H:%M:%S", 0),
        ("%Y-%m-%dT%H:%M:%SZ", 0),
        ("%Y-%m-%dT%H:%M:%S+02:00", 2),
        ("%Y-%m-%d %H:%M:%S-0530", -5.5),
        ("%d.%m.%Y %H:%M:%S", 0),
        ("%d.%m.%y %H:%M:%S", 0),
        ("%m/%d/%Y %I:%M:%S %p", 0),
        ("%d %b %Y %H:%M:%S", 0),
        ("%b %d, %Y %H:%M:%S", 0),
        ("%a %b %d %H:%M:%S %Y", 0),
        ("%Y%m%dT%H%M%S", 0),
        ("%A, %d %B %Y, %H:%M:%S", 0),
        ("%Y/%m/%d_%H:%M:%S", 0),
        ("%Y-%m-%dT%H:%M:%S+01:00[Europe/Somewhere]", 1),
    ],
)
def test_calendars_as_people_write_them(pattern: str, offset_h: float) -> None:
    cells = [(WHEN + dt.timedelta(days=i)).strftime(pattern) for i in range(3)]
    assert clock_kind(cells) == "datetime"
    found = read(cells)
    assert found.wall == pytest.approx(WALL + 86400 * np.arange(3))
    assert found.seconds == pytest.approx(found.wall - 3600 * offset_h)
    assert found.wall_text(0) == "2026-03-17T23:08:04"


@given(st.datetimes(dt.datetime(1980, 1, 1), dt.datetime(2069, 12, 31)))
def test_any_moment_is_read_to_the_microsecond(when: dt.datetime) -> None:
    found = read([when.isoformat(timespec="microseconds"), when.strftime("%d.%m.%Y %H:%M:%S.%f")])
    truth = (when - dt.datetime(1970, 1, 1)) / dt.timedelta(seconds=1)
    assert found.seconds == pytest.approx([truth, truth], abs=2e-6)


@pytest.mark.parametrize(
    "cell", ["31.02.2026 10:00:00", "2026-13-01 10:00:00", "2026-03-17 10:61:00", "yesterday", "2026-03-17", ""]
)
def test_impossible_moments_are_unreadable(cell: str) -> None:
    assert np.isnan(read([cell, "2026-03-17 10:00:00"]).seconds[0])


@pytest.mark.parametrize(
    ("cell", "minutes", "seconds"),
    [
        ("00:00:01.5", False, 1.5),
        ("25:00:01", False, 90001.0),
        ("12:28.3", True, 748.3),
        ("10:15", False, 36900.0),
        ("10:15", True, 615.0),
        ("1d 02:00:00", False, 93600.0),
        ("1h 02m 03s", False, 3723.0),
        ("12:05:00 AM", False, 300.0),
        ("12:05:00 PM", False, 43500.0),
        ("1:05:00 pm", False, 47100.0),
    ],
)
def test_times_without_a_date(cell: str, minutes: bool, seconds: float) -> None:
    assert read([cell], dated=False, unit="mm:ss" if minutes else "hh:mm").seconds[0] == pytest.approx(seconds)


def test_two_parts_are_minutes_where_the_last_one_moves() -> None:
    assert looks_like_minutes(["00:01", "00:02", "00:03", "00:04"])
    assert looks_like_minutes(["00:01.5", "00:02.0"])
    assert not looks_like_minutes(["10:15:00", "10:15:01"])


def test_a_clock_runs_on_over_several_midnights_even_with_a_swapped_row() -> None:
    true = np.arange(0, 3 * 86400, 3600.0) + 80_000
    rows = true % 86400
    rows[[7, 8]] = rows[[8, 7]]
    found, notes = running(rows, calendar=False, offsets=False)
    assert np.sort(found) - found.min() == pytest.approx(true - true[0])
    assert notes


def test_a_zone_in_one_cell_of_many_is_heeded() -> None:
    cells = ["2026-03-17 10:00:00", "2026-03-17 12:00:01+02:00", "2026-03-17 10:00:02", "2026-03-17 10:00:03"]
    assert np.diff(read(cells).seconds) == pytest.approx([1, 1, 1])
