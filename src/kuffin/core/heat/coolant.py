"""What the coolant is, and its density, heat capacity, viscosity and conductivity: from the table that ships."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass
from typing import Any

import numpy as np

from kuffin.core.base.errors import TraceError
from kuffin.core.base.language import tr
from kuffin.core.heat.coolanttable import SHARES_PERCENT, TABLE, TEMPERATURES_C

GLYCOL_KG_M3 = {"propylene glycol": 1036.0, "ethylene glycol": 1113.0}  # at 20 °C
_WATER_KG_M3 = 998.0


@dataclass(frozen=True)
class Mix:
    """What the coolant is: its glycol, and how much of the mix is that, % by mass; none and 0 is water."""

    glycol: str = "none"
    share_percent: float = 0.0

    @property
    def words(self) -> str:
        """In words."""
        return (
            tr("water")
            if self.share_percent == 0
            else tr("{share:.3g} % {glycol} by mass", share=float(self.share_percent), glycol=tr(self.glycol))
        )


WATER = Mix()


def mass_percent(glycol: str, volume_percent: float) -> float:
    """The share of glycol by mass of a mix that was poured together by volume: ``v·ρg / (v·ρg + (1 − v)·ρw)``.

    The concentrate is taken for pure glycol, as its maker's sheet alone can say more.

    >>> round(mass_percent("propylene glycol", 20.0), 1)
    20.6
    """
    v = volume_percent / 100
    of_glycol = v * GLYCOL_KG_M3[glycol]
    return 100 * of_glycol / (of_glycol + (1 - v) * _WATER_KG_M3)


def mix_told(fields: Mapping[str, Any]) -> Mix | None:
    """The mix that a coolant's fields tell (see `core.bench.parts`); None where they do not.

    >>> mix_told({"glycol": "propylene glycol", "glycol_mass_percent": 25.0}), mix_told({"glycol": "unknown"})
    (Mix(glycol='propylene glycol', share_percent=25.0), None)
    """
    glycol = str(fields.get("glycol") or "none")
    if fields.get("sort") == "plain water":
        return WATER
    if glycol not in TABLE:
        return WATER if fields.get("glycol") == "none" else None
    by_mass, by_volume = (fields.get(k) for k in ("glycol_mass_percent", "share_percent"))
    if not by_mass and not by_volume:
        return None
    # what heat needs is the share by mass; mixing is done by volume
    return Mix(glycol, float(by_mass) if by_mass else mass_percent(glycol, float(by_volume or 0.0)))


@dataclass(frozen=True, kw_only=True)
class Properties:
    """Of a coolant at a temperature."""

    density_kg_m3: float
    heat_capacity_j_kg_k: float
    viscosity_mpa_s: float
    conductivity_w_m_k: float


def properties(temperature_c: float, mix: Mix = WATER) -> Properties:
    """What water or a glycol mix is like; the viscosity is interpolated in its logarithm.

    Raises
    ------
    TraceError
        Outside 5 to 75 °C or 0 to 50 % of a known glycol.

    >>> found = properties(30.0)
    >>> round(found.density_kg_m3), round(found.heat_capacity_j_kg_k, -1), round(found.viscosity_mpa_s, 2)
    (996, 4180.0, 0.8)
    """
    if not TEMPERATURES_C[0] <= temperature_c <= TEMPERATURES_C[-1]:
        raise TraceError(
            "coolant properties are known from {low} to {high} °C, not at {temperature_c:.0f} °C",
            low=TEMPERATURES_C[0],
            high=TEMPERATURES_C[-1],
            temperature_c=temperature_c,
        )
    glycol, share = ("propylene glycol", 0.0) if mix.glycol in {"none", ""} else (mix.glycol, mix.share_percent)
    if glycol not in TABLE or not 0 <= share <= SHARES_PERCENT[-1]:
        raise TraceError(
            "no properties of {share:.3g} % {glycol} by mass; known are 0 to {most} % of {known}",
            share=share,
            glycol=glycol,
            most=SHARES_PERCENT[-1],
            known=" and ".join(TABLE),
        )
    table = np.asarray(TABLE[glycol], float)  # share, temperature, (density, heat capacity, viscosity, conductivity)
    table[:, :, 2] = np.log(table[:, :, 2])
    at_share = [
        [np.interp(share, SHARES_PERCENT, table[:, j, k]) for j in range(table.shape[1])] for k in range(table.shape[2])
    ]
    density, capacity, thick, conductivity = (float(np.interp(temperature_c, TEMPERATURES_C, row)) for row in at_share)
    return Properties(
        density_kg_m3=density,
        heat_capacity_j_kg_k=capacity,
        viscosity_mpa_s=float(np.exp(thick)),
        conductivity_w_m_k=conductivity,
    )
