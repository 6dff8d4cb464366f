"""Units, held against an independent library of units."""

from __future__ import annotations

import numpy as np
import pint
import pytest

from kuffin.core.base.units import parse_unit, shown, to_canonical

registry = pint.UnitRegistry()
CANONICAL = {
    "W": "watt",
    "L/h": "liter / hour",
    "MHz": "megahertz",
    "rpm": "1 / minute",
    "kPa": "kilopascal",
    "V": "volt",
    "A": "ampere",
    "%": "percent",
    "s": "second",
}

# written, quantity, the same unit in the independent library's words
WRITTEN = [
    ("W", "power", "watt"),
    ("kW", "power", "kilowatt"),
    ("mW", "power", "milliwatt"),
    ("Watts", "power", "watt"),
    ("L/h", "flow", "liter / hour"),
    ("l/min", "flow", "liter / minute"),
    ("LPM", "flow", "liter / minute"),
    ("mL/s", "flow", "milliliter / second"),
    ("ml/min", "flow", "milliliter / minute"),
    ("l/s", "flow", "liter / second"),
    ("m³/h", "flow", "meter ** 3 / hour"),
    ("m3/min", "flow", "meter ** 3 / minute"),
    ("gph", "flow", "US_liquid_gallon / hour"),
    ("GPM", "flow", "US_liquid_gallon / minute"),
    ("Hz", "frequency", "hertz"),
    ("kHz", "frequency", "kilohertz"),
    ("MHz", "frequency", "megahertz"),
    ("mhz", "frequency", "megahertz"),
    ("GHz", "frequency", "gigahertz"),
    ("RPM", "rotational_speed", "1 / minute"),
    ("1/min", "rotational_speed", "1 / minute"),
    ("r/s", "rotational_speed", "1 / second"),
    ("U/min", "rotational_speed", "1 / minute"),
    ("Pa", "pressure", "pascal"),
    ("hPa", "pressure", "hectopascal"),
    ("kPa", "pressure", "kilopascal"),
    ("MPa", "pressure", "megapascal"),
    ("bar", "pressure", "bar"),
    ("mbar", "pressure", "millibar"),
    ("psi", "pressure", "psi"),
    ("atm", "pressure", "atmosphere"),
    ("mmHg", "pressure", "mmHg"),
    ("inHg", "pressure", "inHg"),
    ("mmH2O", "pressure", "millimeter * kilogram / liter * g_0"),
    ("cmH2O", "pressure", "centimeter * kilogram / liter * g_0"),
    ("mH2O", "pressure", "meter * kilogram / liter * g_0"),
    ("V", "voltage", "volt"),
    ("mV", "voltage", "millivolt"),
    ("kV", "voltage", "kilovolt"),
    ("A", "current", "ampere"),
    ("mA", "current", "milliampere"),
    ("µA", "current", "microampere"),
    ("%", "share", "percent"),
    ("‰", "share", "permille"),
    ("s", "time", "second"),
    ("ms", "time", "millisecond"),
    ("µs", "time", "microsecond"),
    ("min", "time", "minute"),
    ("h", "time", "hour"),
    ("d", "time", "day"),
]


@pytest.mark.parametrize(("written", "quantity", "theirs"), WRITTEN)
def test_a_written_unit_has_the_factor_of_the_independent_library(written: str, quantity: str, theirs: str) -> None:
    unit = parse_unit(written)
    assert unit is not None
    assert unit.quantity == quantity
    assert unit.offset == 0
    truth = registry.Quantity(1.0, theirs).to(CANONICAL[unit.canonical]).magnitude
    assert unit.scale == pytest.approx(truth, rel=2e-5)


@pytest.mark.parametrize(
    ("written", "theirs"),
    [
        ("°C", "degC"),
        ("C", "degC"),
        ("deg C", "degC"),
        ("℃", "degC"),
        ("Celsius", "degC"),
        ("Â°C", "degC"),
        ("°F", "degF"),
        ("F", "degF"),
        ("fahrenheit", "degF"),
    ],
)
def test_temperatures_agree_at_two_points(written: str, theirs: str) -> None:
    unit = parse_unit(written)
    assert unit is not None
    for value in (-40.0, 98.6):
        truth = registry.Quantity(value, theirs).to("degC").magnitude
        assert value * unit.scale + unit.offset == pytest.approx(truth, abs=1e-9)


@pytest.mark.parametrize("written", ["dBA", "dB(A)", "db(a)"])
def test_sound_levels_are_known(written: str) -> None:
    unit = parse_unit(written)
    assert unit is not None
    assert unit.canonical == "dBA"


@pytest.mark.parametrize("written", ["", "  ", "fps", "points", "dB", "furlong", "VA", "GA"])
def test_what_is_not_known_is_not_guessed(written: str) -> None:
    assert parse_unit(written) is None


def test_kelvins_above_150_are_temperatures_and_below_differences() -> None:
    kelvin = parse_unit("K")
    assert kelvin is not None
    values, unit = to_canonical(np.array([300.0, np.nan, 310.0]), kelvin)
    assert unit == "degC"
    assert values[0] == pytest.approx(26.85)
    values, unit = to_canonical(np.array([3.2, 4.0]), kelvin)
    assert (unit, values[0]) == ("K", 3.2)


def test_units_are_shown_as_people_write_them() -> None:
    assert shown("degC") == "°C"
    assert shown("L/h") == "L/h"
    assert shown(None) == ""
