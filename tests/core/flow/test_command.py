"""`kuffin flow`: what it tells, in which units, and what it refuses in a sentence."""

from __future__ import annotations

import json
from pathlib import Path

import pytest

from kuffin.cli import main

ROWS = [(name, q, k * (0.01 * q + 0.0003 * q * q)) for name, k in (("Tern", 1.0), ("Plover", 1.5)) for q in (60, 110, 160, 210, 260)]  # fmt: skip


def table(path: Path, head: str = "part,flow [L/h],drop [kPa]", flow: float = 1.0, drop: float = 1.0) -> str:
    path.write_text("\n".join([head, *(f"{n},{q * flow:.4f},{p * drop:.5f}" for n, q, p in ROWS)]) + "\n")
    return str(path)


def asked(path: str, *more: str) -> list[str]:
    return ["flow", path, "--part", "part", "--flow", "flow", "--drop", "drop", *more]


def test_it_tells_curves_drops_differences_and_a_loop(tmp_path: Path, capsys: pytest.CaptureFixture[str]) -> None:
    pump = tmp_path / "pump.csv"
    pump.write_text(
        "speed [%],flow [L/h],head [kPa]\n"
        + "".join(f"100,{q},{30 - 0.0001 * q * q:.3f}\n" for q in (50, 150, 250, 400))
    )
    more = (
        "--at",
        "150",
        "--loop",
        "Tern,Plover",
        "--pump",
        str(pump),
        "--drop-accuracy",
        "1%",
        "--flow-accuracy",
        "1%",
    )
    assert main([*asked(table(tmp_path / "t.csv"), *more), "--json"]) == 0
    told = json.loads(capsys.readouterr().out)
    tern = told["parts"][0]
    assert tern["drop_at"][0]["drop_kpa"] == pytest.approx(8.25, rel=1e-3) and tern["measured_l_h"] == [60, 260]
    assert tern["drop_at"][0]["low"] < 8.25 < tern["drop_at"][0]["high"]
    assert told["pairs"][0]["verdict"] == "a_lower"
    q = told["loop"]["flow_l_h"]
    assert 2.5 * (0.01 * q + 0.0003 * q * q) == pytest.approx(30 - 0.0001 * q * q, rel=1e-3)
    assert main(asked(table(tmp_path / "t.csv"), *more)) == 0
    assert "Tern restricts less than Plover" in capsys.readouterr().out


@pytest.mark.parametrize(
    ("head", "flow", "drop"),
    [
        ("part,flow [gpm],drop [psi]", 1 / 227.1247, 1 / 6.894757),
        ("part,flow [L/min],drop [mbar]", 1 / 60, 10.0),
        ("part;flow [l/h];drop [mmH2O]", 1.0, 101.9716),
        ("part,flow,drop", 1.0, 1.0),
    ],
)
def test_other_units_come_to_the_same(
    tmp_path: Path, capsys: pytest.CaptureFixture[str], head: str, flow: float, drop: float
) -> None:
    path = Path(table(tmp_path / "t.csv", head, flow, drop))
    path.write_text(path.read_text().replace(",", ";") if ";" in head else path.read_text())
    assert main([*asked(str(path), "--at", "150"), "--json"]) == 0
    told = json.loads(capsys.readouterr().out)
    assert told["parts"][0]["drop_at"][0]["drop_kpa"] == pytest.approx(8.25, rel=2e-3)


@pytest.mark.parametrize(
    ("more", "said"),
    [
        (("--at", "fast"), "is no list of flows"),
        (("--at", "-5"), "a flow is above 0"),
        (("--loop", "Tern,Knot"), "the loop names “Knot”"),
        (("--drop-accuracy", "lots"), "is no accuracy"),
        (("--pump", "none.csv", "--loop", "Tern"), "none.csv"),
    ],
)
def test_bad_input_is_said_in_a_sentence(
    tmp_path: Path, capsys: pytest.CaptureFixture[str], more: tuple[str, ...], said: str
) -> None:
    assert main(asked(table(tmp_path / "t.csv"), *more)) == 2
    err = capsys.readouterr().err
    assert said in err and err.count("\n") == 1


def test_a_flow_in_kelvins_is_refused(tmp_path: Path, capsys: pytest.CaptureFixture[str]) -> None:
    assert main(asked(table(tmp_path / "t.csv", "part,flow [K],drop [kPa]"))) == 2
    assert "no unit of flow" in capsys.readouterr().err
