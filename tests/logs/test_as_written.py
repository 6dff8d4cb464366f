"""What people write: names that look like blanks, headers over several lines, units in brackets within brackets, summaries."""

from __future__ import annotations

from contextlib import closing
from pathlib import Path

import pytest

from kuffin.core.base.errors import NotebookError
from kuffin.logs.quoted import one_line_each
from kuffin.logs.reader import read_log
from kuffin.logs.tidy import mount_values, read_tidy, rows_by_mount
from kuffin.notebook import channels, edits
from kuffin.notebook.entities import Mount
from kuffin.notebook.store import Notebook


def log(path: Path, header: str, rows: int = 30, columns: int = 3) -> Path:
    lines = [",".join([str(2 * i), *(f"{20 + j + 0.01 * i:.2f}" for j in range(columns))]) for i in range(rows)]
    path.write_text(header + "\n" + "\n".join(lines) + "\n", encoding="utf-8")
    return path


@pytest.mark.parametrize("name", ["none", "NA", "null", "nan", "-", "N/A"])
def test_a_name_that_looks_like_a_blank_is_a_name(tmp_path: Path, name: str) -> None:
    """Six mounts of a candidate called “none” (no paste) vanished."""
    table = tmp_path / "table.csv"
    rows = [f"{c},{m},{m},{10 + i}" for i, c in enumerate((name, "Chalk")) for m in (name, "2", "3")]
    table.write_text("paste,mount,round,rise\n" + "\n".join([*rows, f"{name},4,4,NA"]) + "\n")
    rows, warnings, _ = rows_by_mount(read_tidy(table), "rise", "paste", "mount", None, "round")
    mounts = mount_values(rows)
    assert {m.candidate for m in mounts} == {name, "Chalk"} and len(mounts) == 6
    assert {m.mount for m in mounts} == {name, "2", "3"} == {m.round for m in mounts}
    assert warnings == ["1 row with a blank was left out"]


def test_header_cells_may_hold_line_breaks(tmp_path: Path) -> None:
    path = log(tmp_path / "wide.csv", '"Time\n[s]","Coolant\nin [°C]","Sound\r\nlevel [dB(A)]",Die [°C]')
    table = read_log(path)
    assert [c.name for c in table.channels] == ["Coolant in", "Sound level", "Die"]
    assert [c.unit for c in table.channels] == ["degC", "dBA", "degC"]
    assert table.rows == 30 and table.duration_s == 58


def test_line_numbers_stay_those_of_the_file(tmp_path: Path) -> None:
    path = log(tmp_path / "wide.csv", '"Time\n[s]","Coolant\nin [°C]",Air [°C],Die [°C]')
    lines = path.read_text().split("\n")
    lines[12] = "18,20.1"
    path.write_text("\n".join(lines))
    assert any("line 13 has 2 of 4 fields" in w for w in read_log(path).warnings)


@pytest.mark.parametrize(
    "data", [b'a 5" tube,b\n1,2\n3,4\n', b'x,"never closed\n1,2\n3,4\n5,6\n', b"plain,head\n1,2\n"]
)
def test_a_lone_quote_breaks_nothing(data: bytes) -> None:
    assert one_line_each(data) == data


def test_a_unit_row_may_hold_brackets_within_brackets(tmp_path: Path) -> None:
    path = log(tmp_path / "units.csv", "Time,Sound,Coolant,Air\n[s],[dB(A)],[°C],(°C)")
    assert [(c.name, c.unit) for c in read_log(path).channels] == [
        ("Sound", "dBA"),
        ("Coolant", "degC"),
        ("Air", "degC"),
    ]


def test_the_largest_of_the_cores_is_none_of_them(tmp_path: Path) -> None:
    found = read_log(log(tmp_path / "cores.csv", "Time [s],Core 0 [°C],Core 1 [°C],Core Max [°C]"))
    assert [c.role for c in found.channels] == ["die", "die", None]
    alone = read_log(log(tmp_path / "alone.csv", "Time [s],Core Max [°C],Coolant [°C],Air [°C]"))
    assert alone.channels[0].role == "die"


class TestOneLogOnce:
    def test_the_same_samples_are_refused_under_whatever_name(self, tmp_path: Path) -> None:
        head = "Time [s],Coolant in [°C],Air in [°C],Die [°C]"
        one, two = log(tmp_path / "reed 1.csv", head), log(tmp_path / "rush 2.csv", head.replace("Die", "Chip"))
        other = log(tmp_path / "reed 2.csv", head)
        other.write_text(other.read_text().replace("20.05", "20.06"))
        with closing(Notebook.create(tmp_path / "n.kuffin")) as book:
            study = edits.add_study(book, "Which?", "radiator", ["Reed", "Rush"])
            edits.add_log(book, study, "Reed", read_log(one))
            with pytest.raises(NotebookError, match=r"rush 2\.csv is in this study already.*Reed, round 1"):
                edits.add_log(book, study, "Rush", read_log(two))
            edits.add_log(book, study, "Reed", read_log(other), round_number=2)
            mount = book.study(study).live_candidates[0].live_mounts[0]
            edits.to_bin(book, Mount, mount.id, "it")
            edits.add_log(book, study, "Rush", read_log(two))  # what lies in the bin is in no study

    def test_roles_are_mended_once_for_all_logs_with_these_columns(self, tmp_path: Path) -> None:
        head = "Time [s],Coolant in [°C],Air in [°C],Box [°C]"
        with closing(Notebook.create(tmp_path / "n.kuffin")) as book:
            study = edits.add_study(book, "Which?", "radiator", ["Reed", "Rush"])
            for i, c in enumerate(("Reed", "Rush")):
                path = log(tmp_path / f"{c}.csv", head, rows=30 + i)
                edits.add_log(book, study, c, read_log(path))
            runs = [m.live_runs[0] for c in book.study(study).live_candidates for m in c.live_mounts]
            assert channels.set_roles(book, runs[0].id, {"Box": "die"}, alike=True) == 2
            again = [m.live_runs[0] for c in book.study(study).live_candidates for m in c.live_mounts]
            assert [c.role for r in again for c in r.channels if c.name == "Box"] == ["die", "die"]
            book.undo()
            again = [m.live_runs[0] for c in book.study(study).live_candidates for m in c.live_mounts]
            assert [c.role for r in again for c in r.channels if c.name == "Box"] == [None, None]


def test_logs_that_come_all_at_once_are_a_plan_of_so_many_rounds(tmp_path: Path) -> None:
    """They were not judged on the way, so they are not “past the plan”."""
    with closing(Notebook.create(tmp_path / "n.kuffin")) as book:
        study = edits.add_study(book, "Which?", "radiator", ["Reed", "Rush"], rounds=3)
        runs = []
        for r in range(1, 6):
            path = log(tmp_path / f"reed {r}.csv", "Time [s],Coolant in [°C],Air in [°C],Die [°C]", rows=30 + r)
            runs.append(edits.NewRun("Reed", read_log(path), roles=None, round=r))
        edits.add_logs(book, study, runs)
        assert book.study(study).planned_rounds == 5
