"""The commands: their JSON, their sentences, their exit codes."""

from __future__ import annotations

import csv
import json
import subprocess
import sys
from collections.abc import Sequence
from pathlib import Path

import numpy as np
import pytest

from kuffin.cli import main
from kuffin.simulated.trials import make_trial
from tests.logs.writing import Recipe


def said(capsys: pytest.CaptureFixture[str], *args: str) -> tuple[int, str, str]:
    try:
        code = main(list(args))
    except SystemExit as stop:
        code = int(stop.code or 0)
    out = capsys.readouterr()
    return code, out.out, out.err


@pytest.fixture
def log(tmp_path: Path) -> Path:
    path = tmp_path / "run.csv"
    path.write_bytes(Recipe().write())
    return path


@pytest.fixture
def trial(tmp_path: Path) -> Path:
    run = make_trial(12)
    path = tmp_path / "trial.csv"
    names = ("Die", "Coolant", "Air", "Power")
    lines = ["Time [s],Die [°C],Coolant [°C],Air [°C],Power [W]"]
    for i, t in enumerate(run.times):
        lines.append(
            f"{t:.2f}," + ",".join("" if np.isnan(v) else f"{v:.1f}" for v in (run.channels[n][i] for n in names))
        )
    path.write_text("\n".join(lines))
    return path


def test_read_gives_its_contract(log: Path, capsys: pytest.CaptureFixture[str]) -> None:
    code, out, err = said(capsys, "read", str(log), "--json")
    told = json.loads(out)
    assert (code, err) == (0, "")
    assert list(told) == [
        "file",
        "encoding",
        "delimiter",
        "decimal",
        "rows",
        "dropped_rows",
        "start",
        "duration_s",
        "interval_s",
        "gaps",
        "channels",
        "warnings",
    ]
    assert list(told["channels"][0]) == ["name", "unit", "quantity", "role", "device", "n", "mean", "min", "max"]
    code, out, _ = said(capsys, "read", str(log))
    assert code == 0
    assert "120 rows" in out


def test_settle_gives_its_contract(trial: Path, capsys: pytest.CaptureFixture[str]) -> None:
    code, out, _ = said(capsys, "settle", str(trial), "--response", "Coolant", "--over", "Air", "--json")
    told = json.loads(out)
    assert code == 0
    assert list(told) == [
        "load_start_s",
        "period_s",
        "tau_s",
        "settled",
        "settled_at_s",
        "window_s",
        "mean",
        "mean_u95",
        "n_eff",
        "sd",
        "final",
        "final_u95",
        "still_to_go",
        "drift_per_10min",
        "drift_u95",
        "step_s",
        "notes",
    ]
    assert abs(told["final"] - make_trial(12).pairs["coolant_over_air"].equilibrium_k) <= told["final_u95"]
    code, out, _ = said(capsys, "settle", str(trial), "--response", "Coolant", "--over", "Air", "--per", "Power")
    assert code == 0
    assert "K/W" in out


def test_plan_says_mounts_and_power(capsys: pytest.CaptureFixture[str]) -> None:
    code, out, _ = said(capsys, "plan", "--candidates", "3", "--sd", "0.4", "--difference", "1", "--json")
    assert code == 0
    assert json.loads(out) == {
        "mounts": 5,
        "power": pytest.approx(0.8806, abs=1e-3),
        "half_width": pytest.approx(0.6749, abs=1e-3),
    }
    code, out, _ = said(capsys, "plan", "--candidates", "3", "--sd", "0.4", "--difference", "1")
    assert "5 mounts of each" in out


def test_compare_speaks_for_a_person(tmp_path: Path, capsys: pytest.CaptureFixture[str]) -> None:
    path = tmp_path / "t.csv"
    path.write_text(
        "rise,radiator\n"
        + "".join(f"{10 + k + 0.1 * i},{name}\n" for k, name in enumerate(("Sedge", "Reed", "Rush")) for i in range(3))
    )
    code, out, _ = said(capsys, "compare", str(path), "--response", "rise", "--by", "radiator", "--margin", "0.3")
    assert code == 0
    assert "Sedge is lower than Rush by" in out


def test_compare_writes_tables_and_pictures(tmp_path: Path, capsys: pytest.CaptureFixture[str]) -> None:
    path = tmp_path / "t.csv"
    rows = "".join(f"{10 + k + 0.1 * i},{name}\n" for k, name in enumerate(("Sedge", "Reed", "Rush")) for i in range(3))
    path.write_text("rise [K],radiator\n" + rows)
    command = ("compare", str(path), "--response", "rise", "--by", "radiator")
    for name in ("p.svg", "p.png"):
        code, _, err = said(capsys, *command, "--csv", str(tmp_path / "pairs.csv"), "--picture", str(tmp_path / name))
        assert (code, err) == (0, "")
    table = list(csv.DictReader((tmp_path / "pairs.csv").open(encoding="utf-8")))
    assert [(row["a"], row["b"]) for row in table] == [("Sedge", "Reed"), ("Sedge", "Rush"), ("Reed", "Rush")]
    assert table[1]["in_words"].startswith("Sedge is lower than Rush by ")
    assert " K." in table[1]["in_words"]
    svg = (tmp_path / "p.svg").read_text(encoding="utf-8")
    assert svg.count("#009e73") >= 2 and "rise by radiator".capitalize() in svg
    assert (tmp_path / "p.png").read_bytes().startswith(b"\x89PNG")
    code, _, err = said(capsys, *command, "--csv", str(tmp_path / "none" / "pairs.csv"))
    assert code == 2
    assert "could not be written" in err


@pytest.mark.parametrize(
    ("args", "says"),
    [
        (("read", "none.csv"), "no such file"),
        (("settle", "LOG", "--response", "Nothing"), "there is no column “Nothing”; it has Coolant in, Die, Power"),
        (("settle", "LOG", "--response", "i"), "fits several columns"),
        (("settle", "LOG", "--response", "Die", "--tolerance", "-1"), "above 0"),
        (("compare", "LOG", "--response", "Die", "--by", "Nobody"), "there is no column “Nobody”"),
        (("compare", "LOG", "--response", "Die", "--by", "Time", "--confidence", "7"), "between 0.5 and 1"),
        (("plan", "--candidates", "1", "--sd", "1", "--difference", "1"), "at least two candidates"),
    ],
)
def test_what_cannot_be_done_is_one_line_and_exit_2(
    log: Path, capsys: pytest.CaptureFixture[str], args: tuple[str, ...], says: str
) -> None:
    code, out, err = said(capsys, *[str(log) if a == "LOG" else a for a in args])
    assert code == 2
    assert out == ""
    assert says in err
    assert len(err.strip().splitlines()) == 1


@pytest.mark.parametrize(
    "args",
    [("settle", "x.csv"), ("read",), ("dance",), ("plan", "--candidates", "many", "--sd", "1", "--difference", "1")],
)
def test_a_wrong_command_is_one_line_too(capsys: pytest.CaptureFixture[str], args: tuple[str, ...]) -> None:
    code, out, err = said(capsys, *args)
    assert (code, out) == (2, "")
    assert len(err.strip().splitlines()) == 1
    assert "--help" in err


def test_our_own_faults_are_one_line_and_exit_1(
    log: Path, capsys: pytest.CaptureFixture[str], monkeypatch: pytest.MonkeyPatch
) -> None:
    def broken(_: object) -> None:
        raise ZeroDivisionError("division by zero")

    monkeypatch.setattr("kuffin.logs.reader.read_log", broken)
    code, out, err = said(capsys, "read", str(log))
    assert (code, out) == (1, "")
    assert len(err.strip().splitlines()) == 1
    assert "fault of Kuffin's own" in err


@pytest.mark.parametrize("args", [(), ("demo",), ("LOG",)])
def test_without_a_screen_it_says_so(
    log: Path, capsys: pytest.CaptureFixture[str], monkeypatch: pytest.MonkeyPatch, args: tuple[str, ...]
) -> None:
    for name in ("DISPLAY", "WAYLAND_DISPLAY", "QT_QPA_PLATFORM"):
        monkeypatch.delenv(name, raising=False)
    code, _, err = said(capsys, *[str(log) if a == "LOG" else a for a in args])
    assert code == 2
    assert "no screen" in err


def test_files_open_the_window_and_what_is_not_there_is_said(
    log: Path, tmp_path: Path, capsys: pytest.CaptureFixture[str], monkeypatch: pytest.MonkeyPatch
) -> None:
    opened: list[tuple[str | None, list[str]]] = []
    monkeypatch.setenv("QT_QPA_PLATFORM", "offscreen")

    def opens(notebook: str | None = None, files: Sequence[str] = ()) -> int:
        opened.append((notebook, list(files)))
        return 0

    monkeypatch.setattr("kuffin.app.main.run", opens)
    book, other = tmp_path / "booth.kuffin", tmp_path / "other.kuffin"
    for wanted, says in (
        ((str(book),), f"there is no file {book}"),
        ((str(log), "gone.csv"), "there is no file gone.csv"),
    ):
        code, out, err = said(capsys, *wanted)
        assert (code, out) == (2, "") and says in err and len(err.strip().splitlines()) == 1
    book.touch()
    other.touch()
    assert said(capsys, str(log))[0] == said(capsys, str(log), str(book))[0] == 0
    assert opened == [(None, [str(log)]), (str(book), [str(log)])]
    code, _, err = said(capsys, str(book), str(other))
    assert code == 2 and "one notebook at a time" in err and len(opened) == 2


def test_the_installed_command_runs_without_a_screen(log: Path) -> None:
    done = subprocess.run(
        [sys.executable, "-m", "kuffin.cli", "read", str(log), "--json"], capture_output=True, text=True, check=False
    )
    assert done.returncode == 0
    assert "PySide6" not in done.stderr
    assert json.loads(done.stdout)["rows"] == 120


def test_a_terminals_commands_in_names_and_cells_are_shown_not_obeyed(
    tmp_path: Path, capsys: pytest.CaptureFixture[str]
) -> None:
    log = tmp_path / "log.csv"
    log.write_text("Time [s];Die\x1b]0;owned\x07 [°C]\n" + "\n".join(f"{i};{40 + i % 3}" for i in range(30)))
    assert main(["read", str(log)]) == 0
    printed = capsys.readouterr().out
    assert "\x1b" not in printed and "\\u001b" in printed
    assert main(["read", str(log), "--json"]) == 0
    assert json.loads(capsys.readouterr().out)["channels"][0]["name"].startswith("Die\x1b")
    odd = tmp_path / "odd\udcff.csv"
    assert main(["read", str(odd)]) == 2
    assert "\\udcff" in capsys.readouterr().err
