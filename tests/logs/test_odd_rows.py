"""One odd row, a row of units with blanks, a stray cell: what is undamaged keeps its unit, its column and its size."""

from __future__ import annotations

import itertools
from pathlib import Path

import numpy as np
import pytest

from kuffin.core.base.errors import OpenReading
from kuffin.logs.reader import read_log

NAMES = ("Load", "Die", "Coolant", "Wall power")
UNITS = ("%", "°C", "°C", "W")
CANONICAL = ("%", "degC", "degC", "W")
ROWS = 60


def values() -> np.ndarray:
    i = np.arange(ROWS)
    return np.column_stack([95 + 0.25 * (i % 3), 61 + 0.25 * (i % 5), 31 + 0.25 * (i % 4), 212 + 0.5 * (i % 7)])


def written(delimiter: str, units: str, odd: str, encoding: str) -> bytes:
    """A log of a dialect, with a row of units of some kind and one odd row."""
    decimal = "," if delimiter in ";\t" and odd != "point" else "."
    head = delimiter.join(
        ("Time", *(n if units != "in name" else f"{n} [{u}]" for n, u in zip(NAMES, UNITS, strict=True)))
    )
    lines = [head]
    if units in {"blank first", "time first"}:
        lines.append(delimiter.join(("" if units == "blank first" else "s", *UNITS)))
    for i, row in enumerate(values()):
        cells = [str(i), *(f"{x:.2f}".replace(".", decimal) for x in row)]
        line = delimiter.join(cells)
        if i == 30:
            line += {"one too many": f"{delimiter}7", "ends in one": delimiter, "none": "", "point": ""}[odd]
        lines.append(line + (delimiter if odd == "all end in one" else ""))
    return "\r\n".join(lines).encode(encoding)


@pytest.mark.parametrize("delimiter", ["\t", ";", "|"])
@pytest.mark.parametrize("encoding", ["utf-8", "utf-8-sig", "cp1252", "utf-16"])
def test_units_stay_on_their_columns(delimiter: str, encoding: str, tmp_path: Path) -> None:
    kinds = ("in name", "blank first", "time first"), ("none", "one too many", "ends in one")
    for units, odd in itertools.product(*kinds):
        path = tmp_path / "log.txt"
        path.write_bytes(written(delimiter, units, odd, encoding))
        log = read_log(path)
        assert [c.name for c in log.channels] == list(NAMES), (units, odd)
        assert [c.unit for c in log.channels] == list(CANONICAL), (units, odd)
        assert [round(float(np.nanmean(c.values)), 1) for c in log.channels] == pytest.approx(
            values().mean(axis=0), abs=0.1
        )


@pytest.mark.parametrize("stray", ["31.5", "~3.5", "err 3.1"])
def test_one_stray_cell_multiplies_nothing(stray: str, tmp_path: Path) -> None:
    path = tmp_path / "log.csv"
    rows = [f"{i};31,{500 + i % 9};{40 + i % 3}" for i in range(200)]
    rows[90] = f"90;31,500;{stray}"
    path.write_text("Zeit [s];Vorlauf [°C];Die [°C]\n" + "\n".join(rows))
    log = read_log(path)
    assert 31 < float(np.nanmedian(log.channels[0].values)) < 32
    # and the other way round
    path.write_text(
        "Time [s];Coolant [°C];Die [°C]\n" + "\n".join(rows).replace(".", "#").replace(",", ".").replace("#", ",")
    )
    assert 31 < float(np.nanmedian(read_log(path).channels[0].values)) < 32


def test_thousands_that_cannot_be_are_asked_about_where_much_speaks_for_both(tmp_path: Path) -> None:
    path = tmp_path / "log.csv"
    path.write_text("Time [s];Coolant [°C];Die [°C]\n" + "\n".join(f"{i};31,512;{40 + i / 10:.1f}" for i in range(200)))
    with pytest.raises(OpenReading, match="31,512"):
        read_log(path)


def test_a_stray_quote_in_a_comma_file_changes_nothing(tmp_path: Path) -> None:
    path = tmp_path / "log.csv"
    rows = [f"{i},{31.5 + i % 3},{1200 + i}" for i in range(100)]
    rows[40] = '40,"32.5,1240'
    path.write_text("Time [s],Coolant [°C],Fan [rpm]\n" + "\n".join(rows))
    log = read_log(path)
    assert float(np.nanmedian(log.channels[0].values)) == 32.5 and log.times.size >= 98


def test_rows_from_before_the_clock_was_set_are_left_out_and_said(tmp_path: Path) -> None:
    path = tmp_path / "log.csv"
    rows = [f"1970-01-01 00:00:0{i},25.0" for i in range(3)]
    rows += [f"2026-03-02 10:{i // 60:02d}:{i % 60:02d},{30 + i % 3}.5" for i in range(300)]
    path.write_text("Time,Coolant [°C]\n" + "\n".join(rows))
    log = read_log(path)
    assert log.times[-1] == 299.0 and log.start == "2026-03-02T10:00:00"
    assert log.dropped_rows == 3 and any("clock was set" in str(w) for w in log.warnings)
