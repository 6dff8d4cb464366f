"""Mounts read off their own curves at one place: known curves are read exactly, intervals hold, and what was not swept is refused."""

from __future__ import annotations

import json
from pathlib import Path

import numpy as np
import pytest

from kuffin.cli import main
from kuffin.core.base.errors import CompareError
from kuffin.core.compare import MountValue
from kuffin.core.compare.along import Swept, places_for, read_along

GRID = {"level": np.array([27.0, 30, 33, 36, 39]), "flow": np.array([60.0, 100, 150, 200, 250]), "speed": np.array([600.0, 900, 1200, 1500, 1800])}  # fmt: skip
AT = {"level": 35.0, "flow": 140.0, "speed": 1000.0}


def curve(way: str, x: np.ndarray, base: float, more: float, c: float) -> np.ndarray:
    at = AT[way]
    return base + more * (10 ** (-c * (x - at) / 50) if way == "level" else (x / at) ** -c)


def sweeps(way: str, c: float, rng: np.random.Generator | None = None, sd: float = 0.0) -> list[Swept]:
    out = []
    for name, base, more in (("Reed", 7.0, 6.0), ("Rush", 8.0, 5.0), ("Sedge", 6.5, 7.0)):
        for k in range(3):
            own = 0.3 * (k - 1)
            y = curve(way, GRID[way], base + own, more, c) + (rng.normal(0, sd, 5) if rng is not None else 0.0)
            out.append(Swept(MountValue(candidate=name, mount=f"{name} {k}", value=0.0), GRID[way], y))
    return out


@pytest.mark.parametrize("way", ["level", "flow", "speed"])
@pytest.mark.parametrize("c", [0.3, 0.8, 1.4])
def test_curves_without_noise_are_read_exactly(way: str, c: float) -> None:
    found = read_along(sweeps(way, c), AT[way], way)
    want = [base + more + own for base, more in ((7.0, 6.0), (8.0, 5.0), (6.5, 7.0)) for own in (-0.3, 0.0, 0.3)]
    assert [m.value for m in found.mounts] == pytest.approx(want, abs=2e-4)
    assert found.c == pytest.approx(c, abs=2e-3)


def test_a_mounts_interval_holds_its_true_value() -> None:
    held = total = 0
    for seed in range(80):
        found = read_along(sweeps("speed", 0.6, np.random.default_rng(seed), 0.08), 1000.0, "speed")
        want = [base + more + own for base, more in ((7.0, 6.0), (8.0, 5.0), (6.5, 7.0)) for own in (-0.3, 0.0, 0.3)]
        held += sum(abs(m.value - w) <= m.u95 for m, w in zip(found.mounts, want, strict=True))
        total += len(want)
    assert 0.92 * total <= held <= 0.99 * total


def test_a_mount_whose_slope_is_its_own_gets_one() -> None:
    own = [
        Swept(MountValue(candidate=n, mount=f"{n} {k}", value=0.0), GRID["flow"], curve("flow", GRID["flow"], 7.0, 4.0 + 1.5 * k, 0.5))
        for n in ("Reed", "Rush")
        for k in range(3)
    ]  # fmt: skip
    found = read_along(own, 140.0, "flow")
    assert found.own_slopes and found.mounts[2].value == pytest.approx(14.0, abs=1e-3)


@pytest.mark.parametrize(("way", "at", "said"), [("level", 43.0, "Reed was swept from 27 to 39 only"), ("flow", 280.0, "swept from 60 to 250"), ("speed", 500.0, "nothing is said of it at 500"), ("speed", -5.0, "a speed is above 0"), ("tilt", 1.0, "goes along speed, flow, level")])  # fmt: skip
def test_a_place_that_was_not_swept_is_refused_by_name(way: str, at: float, said: str) -> None:
    with pytest.raises(CompareError, match=said):
        read_along(sweeps(way if way in GRID else "speed", 0.5), at, way)


def test_a_mount_that_was_swept_less_far_has_no_value_there() -> None:
    some = sweeps("level", 0.8)
    some[0] = Swept(some[0].mount, some[0].x[:2], some[0].y[:2])
    found = read_along(some, 35.0, "level")
    assert found.mounts[0].value is None and len(found.values()) == 8


def test_the_command_compares_at_equal_loudness(tmp_path: Path, capsys: pytest.CaptureFixture[str]) -> None:
    rows = ["candidate,mount,dBA,rise [K]"]
    for s in sweeps("level", 0.8, np.random.default_rng(1), 0.03):
        rows += [f"{s.mount.candidate},{s.mount.mount},{x},{y:.3f}" for x, y in zip(s.x, s.y, strict=True)]
    path = tmp_path / "sweep.csv"
    path.write_text("\n".join(rows) + "\n")
    asked = ["compare", str(path), "--response", "rise", "--by", "candidate", "--unit", "mount", "--along", "dBA", "--along-is", "level"]  # fmt: skip
    assert main([*asked, "--at", "35", "--json"]) == 0
    told = json.loads(capsys.readouterr().out)
    assert told["along"]["column"] == "dBA" and len(told["along"]["mounts"]) == 9
    means = {c["name"]: c["mean"] for c in told["candidates"]}
    assert means == pytest.approx({"Reed": 13.0, "Rush": 13.0, "Sedge": 13.5}, abs=0.1)
    assert main([*asked, "--at", "35"]) == 0 and "read off its own curve at dBA = 35" in capsys.readouterr().out
    assert main([*asked, "--at", "60"]) == 2 and "Reed was swept from 27 to 39 only" in capsys.readouterr().err
    assert main(asked) == 2 and "--along needs --at" in capsys.readouterr().err


def test_the_place_of_a_value_is_read_back_exactly_and_only_where_it_was_swept() -> None:
    x = np.array([400.0, 700.0, 1000.0, 1400.0])
    swept = [
        Swept(MountValue(candidate=n, mount=f"{n}{k}", value=0.0), x, a + k / 10 + 300 * x**-0.6)
        for n, a in (("Reed", 5.0), ("Rush", 6.0))
        for k in range(2)
    ]
    wanted = 10.0
    found = places_for(swept, wanted, "speed")
    for m, s in zip(found.mounts, swept, strict=True):
        level = s.y[0] - 300 * x[0] ** -0.6
        assert m.value == pytest.approx(((wanted - level) / 300) ** (-1 / 0.6), rel=1e-4)
    assert all(m.value is None for m in places_for(swept, 3.0, "speed").mounts)  # never
    assert all(m.value is None for m in places_for(swept, 30.0, "speed").mounts)  # far slower than was swept


def test_along_a_power_an_outcome_may_rise() -> None:
    x = np.array([60.0, 120.0, 180.0, 240.0])
    swept = [Swept(MountValue(candidate=n, mount=n + str(k), value=0.0), x, 2 + r * x + k / 20) for n, r in (("Reed", 0.05), ("Rush", 0.06)) for k in range(2)]  # fmt: skip
    curves = read_along(swept, 150.0, "power")
    assert curves.c == pytest.approx(1.0, abs=0.01)
    assert [m.value for m in curves.mounts] == pytest.approx([9.5, 9.55, 11.0, 11.05], abs=1e-3)
    again = read_along(swept, 200.0, "power", curves.shape)
    assert again.mounts[0].value == pytest.approx(12.0, abs=1e-3)
    assert curves.curve(curves.mounts[0], np.array([200.0]))[0] == pytest.approx(12.0, abs=1e-3)
