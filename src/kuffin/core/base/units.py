"""Units as people write them, and the canonical unit of each quantity.

Canonical units: temperature ``degC``, temperature difference ``K``, power ``W``, flow ``L/h``,
frequency ``MHz``, rotational speed ``rpm``, sound level ``dBA``, pressure ``kPa``, voltage ``V``,
current ``A``, share ``%``, time ``s``.

Source of the factors: the SI brochure (9th edition) and NIST SP 811, appendix B; a test holds every
row against an independent library of units.
"""

from __future__ import annotations

import re
from dataclasses import dataclass
from functools import lru_cache

import numpy as np
from numpy.typing import NDArray


@dataclass(frozen=True)
class Unit:
    """What a written unit means: ``canonical value = written value * scale + offset``."""

    canonical: str
    quantity: str
    scale: float = 1.0
    offset: float = 0.0


_GALLON_L = 3.785411784
_PSI_KPA = 6.894757293168361
_PREFIX = {"µ": 1e-6, "μ": 1e-6, "u": 1e-6, "m": 1e-3, "k": 1e3, "K": 1e3, "M": 1e6, "G": 1e9}

# spelling (folded, see _fold) -> unit
_TABLE: dict[str, Unit] = {}


def _add(unit: Unit, *spellings: str) -> None:
    for spelling in spellings:
        _TABLE[spelling] = unit


_add(
    Unit("degC", "temperature"),
    "°c",
    "c",
    "degc",
    "celsius",
    "deg.c",
    "℃",
    "ºc",
    "˚c",
    "centigrade",
    "degreesc",
    "degreec",
    "degreescelsius",
    "?c",
    "\ufffdc",
    "degcelsius",
    "tempc",
)
_add(
    Unit("degC", "temperature", 5 / 9, -160 / 9),
    "°f",
    "f",
    "degf",
    "fahrenheit",
    "deg.f",
    "℉",
    "ºf",
    "˚f",
    "degreesf",
    "degreef",
    "degreesfahrenheit",
    "?f",
    "\ufffdf",
)
_add(Unit("K", "temperature"), "k", "kelvin", "°k", "delta°c", "Δ°c", "Δk", "δk", "δ°c", "deltak", "dk")
_add(Unit("L/h", "flow"), "l/h", "lph", "l/hr", "l/hour", "litres/h", "liters/h", "l·h-1", "lh-1", "ltr/h")
_add(Unit("L/h", "flow", 60.0), "l/min", "lpm", "l/m", "litres/min", "liters/min", "lmin-1", "ltr/min")
_add(Unit("L/h", "flow", 3600.0), "l/s", "lps")
_add(Unit("L/h", "flow", 3.6), "ml/s")
_add(Unit("L/h", "flow", 0.06), "ml/min", "cc/min", "ccm/min", "cm³/min", "cm3/min")
_add(Unit("L/h", "flow", 0.001), "ml/h")
_add(Unit("L/h", "flow", 1000.0), "m³/h", "m3/h", "m^3/h", "cbm/h", "m³h-1")
_add(Unit("L/h", "flow", 60000.0), "m³/min", "m3/min")
_add(Unit("L/h", "flow", _GALLON_L), "gph", "gal/h", "gal/hr", "usgph", "usgal/h", "gallons/h")
_add(Unit("L/h", "flow", 60 * _GALLON_L), "gpm", "gal/min", "usgpm", "usgal/min", "gallons/min")
_add(
    Unit("rpm", "rotational_speed"),
    "rpm",
    "1/min",
    "min-1",
    "min^-1",
    "min⁻¹",
    "r/min",
    "rev/min",
    "u/min",
    "upm",
    "revs/min",
    "rot/min",
    "tr/min",
)
_add(Unit("rpm", "rotational_speed", 60.0), "rps", "r/s", "rev/s")
_add(Unit("dBA", "sound_level"), "dba", "db(a)", "dbspl(a)", "dba(spl)", "dbaspl")
_add(Unit("kPa", "pressure", 100.0), "bar", "barg")
_add(Unit("kPa", "pressure", 0.1), "mbar", "hpa", "mbarg")
_add(Unit("kPa", "pressure", _PSI_KPA), "psi", "psig", "psia", "lbf/in²", "lbf/in2")
_add(Unit("kPa", "pressure", 101.325), "atm")
_add(Unit("kPa", "pressure", 9.80665), "mh2o", "mh₂o", "mwc", "mws", "mwg")
_add(Unit("kPa", "pressure", 0.0980665), "cmh2o", "cmh₂o", "cmwc")
_add(Unit("kPa", "pressure", 0.00980665), "mmh2o", "mmh₂o", "mmwc", "mmws")
_add(Unit("kPa", "pressure", 0.2490889), "inh2o", "inh₂o", "inwc", "inwg")
_add(Unit("kPa", "pressure", 0.133322387415), "mmhg", "torr")
_add(Unit("kPa", "pressure", 3.386389), "inhg")
_add(Unit("%", "share"), "%", "percent", "pct", "%rh", "rh%", "%pwm", "%rf", "％", "prozent")
_add(Unit("%", "share", 0.1), "‰")
_add(Unit("s", "time"), "s", "sec", "secs", "second", "seconds")
_add(Unit("s", "time", 60.0), "min", "mins", "minute", "minutes")
_add(Unit("s", "time", 3600.0), "h", "hr", "hrs", "hour", "hours")
_add(Unit("s", "time", 86400.0), "d", "day", "days")
_add(Unit("s", "time", 1e-3), "ms", "msec", "millisecond", "milliseconds")
_add(Unit("s", "time", 1e-6), "µs", "us", "μs", "microseconds")
_add(Unit("s", "time", 1e-9), "ns", "nanoseconds")
_add(Unit("W", "power"), "watt", "watts")
_add(Unit("V", "voltage"), "volt", "volts", "vdc", "vac")
_add(Unit("A", "current"), "amp", "amps", "ampere", "amperes", "adc")

# units that take SI prefixes; here the case of the prefix counts
_PREFIXED = {
    "W": Unit("W", "power"),
    "V": Unit("V", "voltage"),
    "A": Unit("A", "current"),
    "Hz": Unit("MHz", "frequency", 1e-6),
    "Pa": Unit("kPa", "pressure", 1e-3),
}


def _fold(text: str) -> str:
    return re.sub(r"\s+", "", text).replace("Â", "").replace("−", "-").lower()


@lru_cache(maxsize=4096)
def parse_unit(text: str) -> Unit | None:
    """Tell what a written unit means.

    Parameters
    ----------
    text : str
        The unit as written, for instance ``°F``, ``L/min``, ``mbar``, ``dB(A)``.

    Returns
    -------
    Unit or None
        None where the unit is not known.

    Examples
    --------
    >>> parse_unit("kW").scale
    1000.0
    >>> parse_unit("fps") is None
    True
    """
    plain = re.sub(r"\s+", "", text.strip())
    if not plain:
        return None
    for symbol, unit in _PREFIXED.items():
        if plain.lower().endswith(symbol.lower()):
            head = plain[: len(plain) - len(symbol)]
            if not head:
                return unit
            # "mhz" and "khz" are written carelessly; a lower-case "mw" is a milliwatt
            prefix = "M" if symbol == "Hz" and head == "m" else head
            if prefix in _PREFIX and not (symbol == "A" and prefix in {"G", "K"}):
                return Unit(unit.canonical, unit.quantity, unit.scale * _PREFIX[prefix], unit.offset)
    if plain == "K":
        return _TABLE["k"]
    return _TABLE.get(_fold(plain))


def canonical_unit(quantity: str) -> str:
    """The unit that a quantity is kept in; blank for one that has none.

    >>> canonical_unit("flow"), canonical_unit("unknown")
    ('L/h', '')
    """
    own = (u.canonical for u in _TABLE.values() if u.quantity == quantity and (u.scale, u.offset) == (1.0, 0.0))
    return next((c for c in own if c != "K"), "")


def to_canonical(values: NDArray[np.float64], unit: Unit) -> tuple[NDArray[np.float64], str]:
    """Bring written values to the canonical unit.

    A column in kelvins whose median lies above 150 holds temperatures and is given in ``degC``; below that it
    holds differences and stays in ``K``.

    Parameters
    ----------
    values : ndarray, shape (n,)
        The values as written; missing is NaN.
    unit : Unit
        What `parse_unit` said.

    Returns
    -------
    values : ndarray, shape (n,)
    unit : str
        The canonical unit.

    >>> to_canonical(np.array([300.0, 310.0]), parse_unit("K"))[1]
    'degC'
    """
    if unit.canonical == "K":
        finite = values[np.isfinite(values)]
        if finite.size and float(np.median(finite)) > 150.0:
            return values - 273.15, "degC"
        return values, "K"
    if unit.scale == 1.0 and unit.offset == 0.0:
        return values, unit.canonical
    return values * unit.scale + unit.offset, unit.canonical


SHOWN = {"degC": "°C"}


def shown(unit: str | None) -> str:
    """The unit as it stands on screen (``degC`` is written °C).

    >>> shown("degC"), shown(None)
    ('°C', '')
    """
    return SHOWN.get(unit or "", unit or "")
