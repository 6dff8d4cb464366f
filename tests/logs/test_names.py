"""Names that people and loggers give to columns: what they may become, and what they may not."""

from __future__ import annotations

from pathlib import Path

import pytest

from kuffin.logs.channelguess import guess_role
from kuffin.logs.reader import read_log

DIFFERENCES = """Delta T; ΔT; ΔT loop; dT; dT radiator; Delta; Delta coolant air; Coolant over air; Die over coolant; Water delta;
Coolant - air difference; Temp diff; Temperature difference; Air rise; Temperature rise; Coolant above ambient; Distance to limit;
Distance to TjMax; Margin to throttle; Thermal headroom; CPU margin; Core distance; Die minus water; Coolant less room; Hot spot delta;
GPU hot spot difference; Loop gradient; Inlet outlet delta; Water vs air; Coolant versus room; Rad delta; Block dT""".replace(
    "\n", " "
)
WHAT = {
    "die": "CPU; CPU Package; Package; CPU Die; Die; Core 1; Core #3; Tctl; GPU; GPU Temp; GPU Temperature; CPU temp; Processor",
    "hot_spot": "Hot Spot; GPU Hot Spot; Hotspot; Junction",
    "coolant_in": "Coolant in; Water in; Coolant inlet; Water cold; Radiator out coolant; Liquid supply",
    "coolant_out": "Coolant out; Water out; Coolant outlet; Liquid return; Coolant hot",
    "coolant": "Coolant; Water; Water temp; Reservoir; Loop; Liquid; Fluid temperature",
    "air_in": "Air; Intake; Air in; Intake air; Inlet air",
    "room": "Room; Ambient; Ambient temp; Room temperature; Booth",
    "chipset": "Chipset; South bridge; Southbridge; North bridge; Northbridge temp; PCH",
    "storage": "SSD; NVMe; Drive; Disk temperature",
    None: "Air out; Exhaust air; PSU exhaust air",
}


@pytest.mark.parametrize("name", [n.strip() for n in DIFFERENCES.split(";")])
def test_a_difference_is_no_temperature_of_anything(name: str, tmp_path: Path) -> None:
    for quantity, unit in (("temperature", "degC"), ("temperature", "K"), ("unknown", None)):
        assert guess_role(name, quantity, unit) is None
    path = tmp_path / "log.csv"
    path.write_text(f"Time [s];{name} [°F];Coolant [°F]\n" + "\n".join(f"{i};18;86" for i in range(30)))
    log = read_log(path)
    assert (log.channels[0].unit, log.channels[0].role) == ("K", None)
    assert log.channels[0].values == pytest.approx(10.0) and log.channels[1].values == pytest.approx(30.0)


@pytest.mark.parametrize(("role", "name"), [(r, n.strip()) for r, names in WHAT.items() for n in names.split(";")])
def test_a_temperature_is_what_it_is_called(role: str | None, name: str) -> None:
    assert guess_role(name, "temperature", "degC") == role


@pytest.mark.parametrize(
    ("name", "role"),
    [
        ("Socket power", "power"),
        ("CPU socket power", "power"),
        ("Package power", "power"),
        ("Board power", "power"),
        ("Wall", "wall_power"),
        ("Mains power", "wall_power"),
        ("Plug", "wall_power"),
        ("Pump power", None),
        ("Fan power", None),
    ],
)
def test_power_is_whose_it_is_called(name: str, role: str | None) -> None:
    assert guess_role(name, "power", "W") == role


def test_grams_an_hour_are_no_gallons(tmp_path: Path) -> None:
    path = tmp_path / "log.csv"
    path.write_text("Time [s],Flow [g/h]\n" + "\n".join(f"{i},{40 + i % 3}" for i in range(30)))
    (flow,) = read_log(path).channels
    assert flow.quantity == "unknown" and flow.unit == "g/h" and flow.values.max() == 42
