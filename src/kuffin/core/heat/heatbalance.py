"""The heat that goes into the coolant, by flow and two probes, beside the electrical power.

``Q = ρ·c_p·V̇·(T_out − T_in)`` with the mix's properties at its mean temperature; ``closure = Q/P``.
Sources: F. P. Incropera et al., *Fundamentals of Heat and Mass Transfer*, section 1.3; uncertainty by JCGM 100:2008, 5.1.2.
"""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from kuffin.core.base.errors import TraceError
from kuffin.core.base.uncertainty import Accuracy
from kuffin.core.heat.coolanttable import SHARES_PERCENT, TABLE, TEMPERATURES_C

Array = NDArray[np.float64]

USUAL_PAIR_U_K = 0.1 / np.sqrt(3) * np.sqrt(2)  # two probes good to ± 0.1 K each
USUAL_FLOW_U = 0.03 / np.sqrt(3)  # a wheel good to 3 %
USUAL_POWER_U = 0.02 / np.sqrt(3)


@dataclass(frozen=True)
class HeatBalance:
    """Heat into the coolant in W, its share of the electrical power, each with the half-width of its 95 % interval.

    `shares` says what part of closure's variance each source makes: probes, flow, power.
    """

    heat_w: float
    heat_u95: float
    closure: float
    closure_u95: float
    density_kg_m3: float
    heat_capacity_j_kg_k: float
    rise_k: float
    flow_l_h: float
    power_w: float
    shares: tuple[tuple[str, float], ...]
    coolant: str = "water"


@dataclass(frozen=True)
class Mix:
    """What the coolant is: its glycol, and how much of the mix is that, % by mass; none and 0 is water."""

    glycol: str = "none"
    share_percent: float = 0.0

    @property
    def words(self) -> str:
        """In words."""
        return "water" if self.share_percent == 0 else f"{self.share_percent:.3g} % {self.glycol} by mass"


WATER = Mix()
GLYCOL_KG_M3 = {"propylene glycol": 1036.0, "ethylene glycol": 1113.0}  # at 20 °C
_WATER_KG_M3 = 998.0


def mass_percent(glycol: str, volume_percent: float) -> float:
    """The share of glycol by mass of a mix that was poured together by volume: ``v·ρg / (v·ρg + (1 − v)·ρw)``.

    The concentrate is taken for pure glycol, as its maker's sheet alone can say more.
    """
    v = volume_percent / 100
    of_glycol = v * GLYCOL_KG_M3[glycol]
    return 100 * of_glycol / (of_glycol + (1 - v) * _WATER_KG_M3)


def known_u(
    instruments: Mapping[str, Accuracy], in_c: float, out_c: float, flow_l_h: float, power_w: float
) -> tuple[float, float, float]:
    """Standard uncertainties of the probes' difference (K), of flow and of power (relative): the instruments', else the usual.

    Parameters
    ----------
    instruments : mapping of role to Accuracy
    """
    pair, flow, power = float(USUAL_PAIR_U_K), USUAL_FLOW_U, USUAL_POWER_U
    if "coolant_in" in instruments and "coolant_out" in instruments:
        pair = float(np.hypot(instruments["coolant_in"].standard(in_c), instruments["coolant_out"].standard(out_c)))
    if "flow" in instruments and flow_l_h > 0:
        flow = instruments["flow"].standard(flow_l_h) / flow_l_h
    if "power" in instruments and power_w > 0:
        power = instruments["power"].standard(power_w) / power_w
    return pair, flow, power


def properties(temperature_c: float, glycol: str = "none", share_percent: float = 0.0) -> tuple[float, float]:
    """Density in kg/m³ and heat capacity in J/(kg·K) of water or a glycol mix, from the table that ships.

    Raises
    ------
    TraceError
        Outside 5 to 75 °C or 0 to 50 % of a known glycol.
    """
    if not TEMPERATURES_C[0] <= temperature_c <= TEMPERATURES_C[-1]:
        raise TraceError(
            f"coolant properties are known from {TEMPERATURES_C[0]} to {TEMPERATURES_C[-1]} °C, not at {temperature_c:.0f} °C"
        )
    if glycol in {"none", ""}:
        glycol, share_percent = "propylene glycol", 0.0
    if glycol not in TABLE or not 0 <= share_percent <= SHARES_PERCENT[-1]:
        raise TraceError(
            f"no properties of {share_percent:.3g} % {glycol} by mass; known are 0 to {SHARES_PERCENT[-1]} % of "
            f"{' and '.join(TABLE)}"
        )
    table = np.asarray(TABLE[glycol], float)  # share, temperature, (density, heat capacity)
    at_share = [
        [np.interp(share_percent, SHARES_PERCENT, table[:, j, k]) for j in range(table.shape[1])] for k in (0, 1)
    ]
    density, capacity = (float(np.interp(temperature_c, TEMPERATURES_C, row)) for row in at_share)
    return density, capacity


def carried_w_k(flow_l_h: Array, temperature_c: float, mix: Mix = WATER) -> Array:
    """What a flow carries for each kelvin it is warmed by, W/K: ``ρ·c_p·V̇`` at a temperature.

    Raises
    ------
    TraceError
        See `properties`.
    """
    density, capacity = properties(min(max(temperature_c, 5.0), 75.0), mix.glycol, mix.share_percent)
    return np.asarray(density * capacity * flow_l_h / 3.6e6, float)


def closure(
    in_c: float,
    out_c: float,
    flow_l_h: float,
    power_w: float,
    *,
    mix: Mix = WATER,
    pair_u_k: float = float(USUAL_PAIR_U_K),
    flow_u: float = USUAL_FLOW_U,
    power_u: float = USUAL_POWER_U,
) -> HeatBalance:
    """The heat balance of a window.

    Parameters
    ----------
    in_c, out_c : float
        Coolant into and out of the block.
    mix : Mix
    pair_u_k : float
        Standard uncertainty of the two probes' difference.
    flow_u, power_u : float
        Relative standard uncertainties.

    Raises
    ------
    TraceError
        Without flow or power, or outside the table of properties.
    """
    if not flow_l_h > 0 or not power_w > 0:
        raise TraceError("a heat balance needs flow and power above nothing")
    density, capacity = properties(min(max((in_c + out_c) / 2, 5.0), 75.0), mix.glycol, mix.share_percent)
    per_kelvin = float(carried_w_k(np.array(flow_l_h), (in_c + out_c) / 2, mix))
    rise = out_c - in_c
    heat = per_kelvin * rise
    u_probes, u_flow = per_kelvin * pair_u_k, abs(heat) * flow_u
    u_heat = float(np.hypot(u_probes, u_flow))
    u_closure = float(np.sqrt(u_probes**2 + u_flow**2 + (heat * power_u) ** 2)) / power_w
    parts = {"coolant probes": u_probes, "flow": u_flow, "power": abs(heat) * power_u}
    total = sum(u * u for u in parts.values())
    return HeatBalance(
        heat,
        1.96 * u_heat,
        heat / power_w,
        1.96 * u_closure,
        density,
        capacity,
        rise,
        flow_l_h,
        power_w,
        tuple((name, u * u / total) for name, u in parts.items()),
        mix.words,
    )
