"""Lines from meters, in the ways meters write them; and everything else that may come over a cable."""

from __future__ import annotations

import math
import tracemalloc

import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from kuffin.instruments.meterlines import LONGEST_LINE, MOST_NAMES, LineBuffer, read_line


@pytest.mark.parametrize(
    ("line", "wanted"),
    [
        ("31.2, 22.1, 140", {"1": 31.2, "2": 22.1, "3": 140.0}),
        ("31,2; 22,1; 140", {"1": 31.2, "2": 22.1, "3": 140.0}),
        ("31,2\t22,1", {"1": 31.2, "2": 22.1}),
        ("31.2 22.1", {"1": 31.2, "2": 22.1}),
        ("31,2 22,1", {"1": 31.2, "2": 22.1}),
        ("  -4.5 ", {"1": -4.5}),
        ("1.25e2", {"1": 125.0}),
        ("31.2C 22.1C", {"1": 31.2, "2": 22.1}),
        ("31.2 °C 22.1 °C", {"1": 31.2, "2": 22.1}),
        ("T1=31.2 C, T2=22.1 C", {"T1": 31.2, "T2": 22.1}),
        ("T1: 31.2 T2: 22.1", {"T1": 31.2, "T2": 22.1}),
        ("flow=2.5 L/min; pump=2980rpm", {"flow": 150.0, "pump": 2980.0}),
        ("coolant in = 88.7 °F", {"coolant in": pytest.approx(31.5)}),
        ("T1=31,2;T2=22,1", {"T1": 31.2, "T2": 22.1}),
        ("power=0.182 kW", {"power": 182.0}),
        ('{"coolant": 31.2, "flow": {"value": 2.5, "unit": "L/min"}}', {"coolant": 31.2, "flow": 150.0}),
        ('{"channel": "T1", "value": "31.2", "unit": "°C"}', {"T1": 31.2}),
        ("[31.2, null, 140]", {"1": 31.2, "2": math.nan, "3": 140.0}),
        ("31.2, OL, 140", {"1": 31.2, "3": 140.0}),
        ("31.2, --, 140", {"1": 31.2, "2": math.nan, "3": 140.0}),
        ("T1=31.2, T2=", {"T1": 31.2, "T2": math.nan}),
    ],
)
def test_what_meters_write(line: str, wanted: dict[str, float]) -> None:
    found = read_line(line)
    assert found is not None
    assert {k: v.value for k, v in found.items()} == pytest.approx(wanted, nan_ok=True)


def test_a_unit_makes_the_value_canonical_and_a_bare_number_stays_open() -> None:
    found = read_line("T=88.7 F, x=5")
    assert found is not None
    assert (found["T"].unit, found["T"].quantity) == ("degC", "temperature")
    assert found["x"].unit is None


@pytest.mark.parametrize(
    "line", ["", "hello", "ERROR", "{broken", "[1, 2", "{}", '{"a": [1]}', "\x00\xff", "OL", "T1=, T2"]
)
def test_what_tells_nothing_is_not_guessed(line: str) -> None:
    found = read_line(line)
    assert found is None or all(math.isnan(t.value) for t in found.values())


@settings(max_examples=400, deadline=None)
@given(st.lists(st.binary(max_size=300), max_size=12))
def test_no_garbage_crashes_or_grows(pieces: list[bytes]) -> None:
    buffer = LineBuffer()
    for piece in pieces:
        for told in buffer.take(piece).values():
            assert isinstance(told.value, float)
        assert len(buffer.rest) <= LONGEST_LINE


@settings(max_examples=200, deadline=None)
@given(st.text(alphabet="0123456789.,;:=+-eE \tTCFK°/%{}\"'[]abcnul|", max_size=120))
def test_no_line_that_looks_like_one_crashes(line: str) -> None:
    read_line(line)


def test_a_line_cut_in_two_is_put_together() -> None:
    buffer = LineBuffer()
    assert buffer.take(b"T1=31") == {}
    assert buffer.take(b".2 C\r\nT1=3")["T1"].value == 31.2
    assert buffer.take(b"1.4 C\n")["T1"].value == 31.4
    assert (buffer.good, buffer.bad) == (2, 0)


def test_an_endless_line_is_dropped_and_the_next_one_read() -> None:
    buffer = LineBuffer()
    for _ in range(50):
        assert buffer.take(b"9" * 50_000) == {}
    assert buffer.take(b"999\n31.5\n")["1"].value == 31.5
    assert buffer.bad >= 1 and buffer.skipped > 2_000_000 and "cannot be read" in buffer.complaint()


def test_a_flood_is_bounded_and_its_newest_lines_count() -> None:
    buffer = LineBuffer()
    flood = b"".join(b"T=%d\n" % i for i in range(100_000))
    tracemalloc.start()
    found = buffer.take(flood)
    for _ in range(20):
        buffer.take(flood)
    _, peak = tracemalloc.get_traced_memory()
    tracemalloc.stop()
    assert found["T"].value == pytest.approx(100_000 - 100, abs=100)
    assert peak < 8_000_000 and buffer.skipped > 0


def test_names_without_end_are_bounded() -> None:
    buffer = LineBuffer()
    for i in range(40):
        assert len(buffer.take(b"".join(b"n%d_%d=1\n" % (i, j) for j in range(600)))) <= MOST_NAMES


def test_bad_lines_are_counted_and_shown() -> None:
    buffer = LineBuffer()
    buffer.take(b"31.2\nERR probe 3\n31.4\n")
    assert (buffer.good, buffer.bad) == (2, 1)
    assert "1 of 3 lines cannot be read, such as “ERR probe 3”" in buffer.complaint()
