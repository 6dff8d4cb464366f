"""What a log says is read as it stands, or missing and said, or asked: never silently as something else."""

from __future__ import annotations

import datetime as dt
import os
import re
import time
from pathlib import Path

import numpy as np
import pytest

from kuffin.core.base.errors import LogError, OpenReading
from kuffin.logs.reader import read_log
from kuffin.logs.table import LogTable, ToldOfLog
from tests.logs.writing import START, Recipe


def write(tmp_path: Path, header: str, rows: list[str], name: str = "log.csv") -> Path:
    path = tmp_path / name
    path.write_text("\n".join([header, *rows]) + "\n", encoding="utf-8")
    return path


def stamp(i: int, step_s: float = 2.0) -> str:
    return (START + dt.timedelta(seconds=step_s * i)).strftime("%Y-%m-%d %H:%M:%S")


def values(table: LogTable, name: str) -> np.ndarray:
    channel = table.channel(name)
    assert channel is not None, [c.name for c in table.channels]
    return channel.values


class TestTheDecimalSign:
    TRUE = 31.0 + (np.arange(40) * 0.016 + 0.512) % 1.0

    @pytest.mark.parametrize(
        ("delimiter", "quote"), [("\t", "{}"), (";", "{}"), (",", '"{}"'), ("|", "{}"), ("\t", '"{}"')]
    )
    @pytest.mark.parametrize("unit", ["°C", "V", "%"])
    def test_three_decimals_with_a_comma(self, tmp_path: Path, delimiter: str, quote: str, unit: str) -> None:
        rows = [delimiter.join([stamp(i), quote.format(f"{v:.3f}".replace(".", ","))]) for i, v in enumerate(self.TRUE)]
        table = read_log(write(tmp_path, delimiter.join(["Time", f"X [{unit}]"]), rows))
        assert values(table, "X") == pytest.approx(self.TRUE, abs=6e-4) and table.decimal == ","

    def test_columns_aligned_with_blanks(self, tmp_path: Path) -> None:
        rows = [f"{stamp(i)}   {v:.3f}   120".replace(".", ",") for i, v in enumerate(self.TRUE)]
        table = read_log(write(tmp_path, "Time                 Die [°C]   Flow [L/h]", rows))
        assert values(table, "Die") == pytest.approx(self.TRUE, abs=6e-4)

    @pytest.mark.parametrize("later", [30, 200, 3000])
    def test_integers_come_first(self, tmp_path: Path, later: int) -> None:
        rows = [f"{stamp(i)}\t{31 if i < later else '31,5'}\t4" for i in range(later + 20)]
        table = read_log(write(tmp_path, "Time\tA\tB", rows))
        assert set(values(table, "A")) == {31.0, 31.5} and table.decimal == ","

    def test_a_point_in_a_file_of_commas_is_no_thousands_where_it_cannot_be(self, tmp_path: Path) -> None:
        rows = [f"{stamp(i)};{'0.512' if i % 9 == 4 else '0,512'};1.830,5" for i in range(40)]
        table = read_log(write(tmp_path, "Time;A;B", rows))
        assert set(values(table, "A")) == {0.512} and set(values(table, "B")) == {1830.5}

    @pytest.mark.parametrize(("unit", "told"), [("rpm", 1830.0), ("MHz", 1830.0), ("L/h", 1830.0), ("V", 1.83)])
    def test_what_can_be_true_decides(self, tmp_path: Path, unit: str, told: float) -> None:
        for sign in ",.":
            rows = [f"{stamp(i)}\t1{sign}{830 + i % 7}" for i in range(40)]
            found = values(read_log(write(tmp_path, f"Time\tX [{unit}]", rows)), "X")
            assert found[0] == told

    def test_where_two_readings_remain_it_is_asked(self, tmp_path: Path) -> None:
        path = write(tmp_path, "Time\tX", [f"{stamp(i)}\t1,{830 + i % 7}" for i in range(40)])
        with pytest.raises(OpenReading, match=r"“1,830” may be 1\.830 or 1830") as error:
            read_log(path)
        assert error.value.asks == "decimal"
        assert values(read_log(path, told=ToldOfLog(decimal=",")), "X")[0] == 1.83
        assert values(read_log(path, told=ToldOfLog(decimal=".")), "X")[0] == 1830

    def test_a_clocks_fraction_does_not_decide(self, tmp_path: Path) -> None:
        rows = [f"{1772445300.512 + i:.3f}\t{v:.3f}" for i, v in enumerate(self.TRUE)]
        rows = [r.split("\t")[0] + "\t" + r.split("\t")[1].replace(".", ",") for r in rows]
        assert values(read_log(write(tmp_path, "Unix time\tDie [°C]", rows)), "Die") == pytest.approx(
            self.TRUE, abs=6e-4
        )


ODD = ["1/2", "0x1F", "1_000", "10^3", "1d2", "3l", "41½", "31±2", "31k", "31 mV", "120V", "31 °C?", "3e", "9" * 400,
       "--5", "5-", "1:30", "31 (max)", "1e999", "inf", "TRUE", "0b1", "1 2", "31 kg", "12 W"]  # fmt: skip


class TestCells:
    @pytest.mark.parametrize("odd", ODD)
    @pytest.mark.parametrize("header", ["Die [°C]", "Die", "Frame rate [fps]"])
    def test_one_odd_cell_is_missing_and_said_and_changes_nothing_else(
        self, tmp_path: Path, odd: str, header: str
    ) -> None:
        sound = [f"{stamp(i)};{31 + i % 5};{200 + i}" for i in range(60)]
        before = read_log(write(tmp_path, f"Time;{header};Power [W]", sound))
        changed = [r if i != 20 else f"{stamp(i)};{odd};{200 + i}" for i, r in enumerate(sound)]
        table = read_log(write(tmp_path, f"Time;{header};Power [W]", changed))
        name = before.channels[0].name
        a, b = before.channels[0], table.channel(name)
        assert b is not None and (a.unit, a.quantity, a.role) == (b.unit, b.quantity, b.role)
        assert np.array_equal(np.delete(a.values, 20), np.delete(b.values, 20)) and np.isnan(b.values[20])
        assert any(re.search(r"1 cell of .* could not be read", w) and "line 22" in w for w in table.warnings)
        assert np.array_equal(values(before, "Power"), values(table, "Power"))

    def test_a_cell_with_a_unit_of_its_own_is_converted(self, tmp_path: Path) -> None:
        cells = {3: ("88 °F", 31.111), 4: ("305 K", 31.85), 5: ("31 C", 31.0)}
        rows = [f"{stamp(i)};{cells[i][0] if i in cells else '31'}" for i in range(30)]
        table = read_log(write(tmp_path, "Time;Die [°C]", rows))
        assert [values(table, "Die")[i] for i in cells] == [pytest.approx(v, abs=0.01) for _, v in cells.values()]
        assert not any("could not be read" in w for w in table.warnings)

    def test_a_unit_that_nearly_all_cells_carry_is_the_columns(self, tmp_path: Path) -> None:
        rows = [f"{stamp(i)};{'31' if i % 10 == 7 else '31.5 °C'};{143 + i} fps" for i in range(40)]
        table = read_log(write(tmp_path, "Time;Die;Rate", rows))
        assert table.channel("Die").unit == "degC" and table.channel("Die").count == 40  # type: ignore[union-attr]
        assert table.channel("Rate").unit == "fps"  # type: ignore[union-attr]


class TestHeadersAgain:
    def rows(self, again: str, swapped: bool = False) -> list[str]:
        one = [f"{stamp(i)},{31 + i % 3},{200 + i}" for i in range(20)]
        two = [f"{stamp(i)},{200 + i},{31 + i % 3}" if swapped else f"{stamp(i)},{31},{200 + i}" for i in range(20, 40)]
        return [*one, again, *two]

    def test_the_same_header_is_passed_over(self, tmp_path: Path) -> None:
        table = read_log(write(tmp_path, "Time,Die [°C],Power [W]", self.rows("Time,Die [°C],Power [W]")))
        assert table.rows == 40 and table.dropped_rows == 0

    @pytest.mark.parametrize(
        ("again", "says"),
        [
            ("Time,Power [W],Die [°C]", "another order"),
            ("Time,Die [°F],Power [W]", "other units"),
            ("Time,Die [°C],Coolant in [°C]", "other columns"),
        ],
    )
    def test_another_header_is_refused_with_its_line(self, tmp_path: Path, again: str, says: str) -> None:
        with pytest.raises(LogError, match=rf"line 22 is a header again, with {says}|line 22 .*{says}"):
            read_log(write(tmp_path, "Time,Die [°C],Power [W]", self.rows(again, swapped="Power [W],Die" in again)))


class TestClocks:
    def test_hours_and_minutes_each_minute(self, tmp_path: Path) -> None:
        rows = [f"{(10 * 60 + 15 + i) // 60:02d}:{(15 + i) % 60:02d},31" for i in range(90)]
        assert read_log(write(tmp_path, "Time,Die [°C]", rows)).duration_s == 89 * 60

    def test_minutes_and_seconds_that_have_elapsed(self, tmp_path: Path) -> None:
        for name, first in (("Elapsed", 300), ("Time", 0)):
            rows = [f"{(first + i) // 60:02d}:{(first + i) % 60:02d},31" for i in range(90)]
            assert read_log(write(tmp_path, f"{name},Die [°C]", rows)).duration_s == 89

    def test_steps_of_a_thousand_without_a_unit_are_asked_for(self, tmp_path: Path) -> None:
        path = write(tmp_path, "Time,Die [°C]", [f"{1000 * i},31" for i in range(60)])
        with pytest.raises(OpenReading, match="steps of 1000") as error:
            read_log(path)
        assert error.value.asks == "time_unit"
        assert read_log(path, told=ToldOfLog(time_unit="ms")).duration_s == 59
        assert read_log(write(tmp_path, "Time [ms],Die [°C]", [f"{1000 * i},31" for i in range(60)])).duration_s == 59

    @pytest.mark.parametrize("back_s", [3, 7, 31, 100])
    def test_a_clock_set_back_is_told_and_not_interleaved(self, tmp_path: Path, back_s: int) -> None:
        times = [2 * i if i < 60 else 2 * i - back_s - 2 for i in range(120)]
        rows = [
            f"{stamp(0, 0)[:11]}{10 + t // 3600:02d}:{t // 60 % 60:02d}:{t % 60:02d},{i}"
            for i, t in enumerate(x + 500 for x in times)
        ]
        table = read_log(write(tmp_path, "Time,Row", rows))
        assert np.array_equal(values(table, "Row"), np.arange(120))
        assert np.all(np.diff(table.times) == 2.0)
        assert any(f"goes back by {back_s:.0f} s" in w for w in table.warnings)

    @pytest.mark.parametrize("date", ["", "2026-03-02 "])
    def test_twelve_hours_without_am_or_pm(self, tmp_path: Path, date: str) -> None:
        start = 12 * 3600 + 59 * 60 + 30
        rows = [
            f"{date}{(start + i) // 3600 - (12 if start + i >= 13 * 3600 else 0):02d}:{(start + i) // 60 % 60:02d}:{(start + i) % 60:02d},{i}"
            for i in range(60)
        ]
        table = read_log(write(tmp_path, "Time,Row", rows))
        assert np.array_equal(table.times, np.arange(60)) and np.array_equal(values(table, "Row"), np.arange(60))
        assert any("without AM or PM" in w for w in table.warnings)

    def test_two_blocks_that_were_written_the_wrong_way_round_are_sorted(self, tmp_path: Path) -> None:
        order = [*range(20), *range(30, 40), *range(20, 30), *range(40, 60)]
        table = read_log(write(tmp_path, "t [s],Row", [f"{i},{i}" for i in order]))
        assert np.array_equal(values(table, "Row"), np.arange(60)) and table.duration_s == 59

    def test_a_short_date_that_nothing_settles_is_asked(self, tmp_path: Path) -> None:
        path = write(tmp_path, "Time,Die [°C]", [f"03.02.04 10:15:{i:02d},31" for i in range(60)])
        when = dt.datetime(2010, 6, 1).timestamp()
        os.utime(path, (when, when))
        with pytest.raises(OpenReading, match="the day or the year first") as asked:
            read_log(path)
        assert asked.value.asks == "dates"
        assert read_log(path, told=ToldOfLog(dates="ymd")).start == "2003-02-04T10:15:00"

    def test_a_short_date_is_read_as_the_files_own_date_suggests(self, tmp_path: Path) -> None:
        path = write(tmp_path, "Time,Die [°C]", [f"26.03.02 10:15:{i:02d},31" for i in range(60)])
        when = dt.datetime(2026, 3, 9).timestamp()
        os.utime(path, (when, when))
        table = read_log(path)
        assert table.start == "2026-03-02T10:15:00" and table.dates_open == ("dm", "ymd")
        assert any("with the year first, which the file's own date speaks for" in w for w in table.warnings)
        assert read_log(path, told=ToldOfLog(dates="dm")).start == "2002-03-26T10:15:00"
        then = dt.datetime(2002, 4, 1).timestamp()
        os.utime(path, (then, then))
        assert read_log(path).start == "2002-03-26T10:15:00"

    @pytest.mark.parametrize(
        "clock",
        ["99999-12-31 23:59:{:02d}", "17724453000000000{:02d}", "0000-00-00 00:00:{:02d}", "9999-12-31 23:59:{:02d}"],
    )
    def test_dates_out_of_range_are_no_fault(self, tmp_path: Path, clock: str) -> None:
        path = write(tmp_path, "Time,Die [°C]", [f"{clock.format(i)},31" for i in range(60)])
        try:
            assert read_log(path).rows == 60
        except LogError as error:
            assert "clock" in str(error)


class TestTooMuch:
    def refused(self, path: Path, says: str) -> None:
        begun = time.monotonic()
        with pytest.raises(LogError, match=says):
            read_log(path)
        assert time.monotonic() - begun < 20

    def test_what_is_no_ordinary_file(self, tmp_path: Path) -> None:
        os.mkfifo(tmp_path / "pipe.csv")
        for path in (Path("/dev/zero"), tmp_path / "pipe.csv"):
            self.refused(path, "no ordinary file")

    def test_a_file_or_a_line_without_measure(self, tmp_path: Path) -> None:
        path = tmp_path / "large.csv"
        with path.open("wb") as file:
            file.write(b"t [s],a\n1,2\n")
            file.truncate(500_000_000)
        self.refused(path, "larger than 400 MB")
        head = "t [s],a\n" + "".join(f"{i},{i}\n" for i in range(500))
        path.write_text(head + "7," + "1" * 9_000_000 + "\n")
        self.refused(path, "line 502 is longer")

    def test_columns_slashes_blank_lines_and_short_rows(self, tmp_path: Path) -> None:
        self.refused(
            write(tmp_path, "t [s]," + ",".join(f"c{i}" for i in range(20_000)), ["1," + ",".join("1" * 20_000)] * 8),
            "20001 columns",
        )
        sound = [f"{i},{i}" for i in range(600)]
        for header, extra in (
            ("t [s]," + "/a" * 30_000, []),
            ("t [s],a", [""] * 3_000_000),
            ("t [s],a", ["5"] * 300_000),
        ):
            begun = time.monotonic()
            table = read_log(write(tmp_path, header, [*sound, *extra, "600,600"]))
            assert table.rows == 601 and time.monotonic() - begun < 20
            assert len(table.channels[0].name) <= 200


@pytest.mark.parametrize("seed", range(4))
def test_mutated_logs_are_read_as_a_strict_reader_reads_them_or_say_so(tmp_path: Path, seed: int) -> None:
    """One cell in a sound log becomes something else: its value is what a strict reader makes of it, or it is missing and said."""
    rng = np.random.default_rng(seed)
    strict = re.compile(r"[+\-−]?(?:\d+\.?\d*|\.\d+)(?:[eE][+-]?\d{1,3})?")
    pieces = [
        "1",
        "0",
        "9",
        ".",
        ",",
        "-",
        "+",
        "e",
        "E",
        "x",
        " ",
        "_",
        "/",
        "k",
        "m",
        "V",
        "W",
        "°C",
        "K",
        "%",
        "½",
        "±",
        "'",
        ":",
        "#",
        "N/A",
        "nan",
    ]
    sound = Recipe(rows=40).write().decode().split("\n")
    before = read_log(write(tmp_path, sound[0], sound[1:-1]))
    silent = 0
    for _ in range(150):
        rows = [r.split(",") for r in sound[1:41]]
        i, j = int(rng.integers(2, 38)), int(rng.integers(1, 4))
        cell = rows[i][j]
        at = int(rng.integers(0, len(cell) + 1))
        new = cell[:at] + str(rng.choice(pieces)) + cell[at + int(rng.integers(0, 2)) :]
        if "," in new or '"' in new:
            continue
        rows[i][j] = new
        table = read_log(write(tmp_path, sound[0], [",".join(r) for r in rows]))
        for k, channel in enumerate(before.channels):
            now = values(table, channel.name)
            assert np.array_equal(np.delete(now, i), np.delete(channel.values, i)), new
            assert table.channels[k].unit == channel.unit, new
        told = table.channels[j - 1].values[i]
        said = any("could not be read" in w for w in table.warnings) or new.strip().lower() in {
            "",
            "n/a",
            "nan",
            ".",
            "-",
        }
        if strict.fullmatch(new.strip()):
            value = float(new.strip().replace("−", "-"))
            silent += not (told == pytest.approx(value) or (not np.isfinite(value) and np.isnan(told)))
        elif np.isnan(told):
            silent += not said
        else:  # a number with a unit of its own, that is the column's quantity; or thousands
            unit = re.sub(r"[\d.,'+\-− ~≈eE]", "", new)
            fits = {1: {"°C", "K", "C"}, 2: {"°C", "K"}, 3: {"W", "kW", "mW", "k", "m"}}[j]
            silent += not (unit in fits or re.fullmatch(r"[1-9]\d{0,2}(?:[' ]\d{3})+\.?\d*", new.strip()))
    assert silent == 0
