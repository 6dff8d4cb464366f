"""The heat that goes into the coolant, by flow and two probes, beside the electrical power.

``Q = ρ·c_p·V̇·(T_out − T_in)`` with the mix's properties at its mean temperature; ``closure = Q/P``.
Sources: F. P. Incropera et al., *Fundamentals of Heat and Mass Transfer*, section 1.3; uncertainty by JCGM 100:2008, 5.1.2.
"""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass, replace
from functools import cached_property

import numpy as np
from numpy.typing import NDArray

from kuffin.core.base.errors import TraceError
from kuffin.core.base.language import tr
from kuffin.core.base.uncertainty import Accuracy
from kuffin.core.base.worked import Worked, worked
from kuffin.core.heat.coolant import WATER, Mix, properties

Array = NDArray[np.float64]

USUAL_PAIR_U_K = 0.1 / np.sqrt(3) * np.sqrt(2)  # two probes good to ± 0.1 K each
USUAL_FLOW_U = 0.03 / np.sqrt(3)  # a wheel good to 3 %
USUAL_POWER_U = 0.02 / np.sqrt(3)


@dataclass(frozen=True, kw_only=True)
class HeatBalance:
    """Heat into the coolant, and its share of the electrical power.

    Attributes
    ----------
    in_c, out_c : float
        Coolant into and out of the block, °C.
    flow_l_h, power_w : float
    density_kg_m3, heat_capacity_j_kg_k : float
        Of the mix at its mean temperature.
    pair_u_k : float
        Standard uncertainty of the two probes' difference.
    flow_u, power_u : float
        Relative standard uncertainties.
    coolant : str
        The mix, in words.
    """

    in_c: float
    out_c: float
    flow_l_h: float
    power_w: float
    density_kg_m3: float
    heat_capacity_j_kg_k: float
    pair_u_k: float
    flow_u: float
    power_u: float
    coolant: str

    @cached_property
    def per_kelvin(self) -> Worked:
        """What the flow carries for each kelvin."""
        return worked(
            tr("Carried for each kelvin"),
            "C",
            "ρ*c_p*V̇/3600000",
            [
                Worked(name=tr("Density"), symbol="ρ", value=self.density_kg_m3, unit="kg/m³", digits=1, source=tr("of {coolant} at its mean temperature", coolant=self.coolant)),
                Worked(name=tr("Heat capacity"), symbol="c_p", value=self.heat_capacity_j_kg_k, unit="J/(kg·K)", digits=0),
                Worked(name=tr("Flow"), symbol="V̇", value=self.flow_l_h, unit="l/h", digits=1),
            ],
            "W/K",
        )  # fmt: skip

    @cached_property
    def heat(self) -> Worked:
        """Heat into the coolant, W."""
        probes = [
            Worked(name=tr("Coolant out"), symbol="T_out", value=self.out_c, unit="°C"),
            Worked(name=tr("Coolant in"), symbol="T_in", value=self.in_c, unit="°C"),
        ]
        rise = worked(tr("Rise of the coolant"), "ΔT", "T_out - T_in", probes, "K", source=tr("in the window"))
        bare = Worked(name=tr("Heat"), symbol="Q", value=self.per_kelvin.value * rise.value, unit="W", digits=1)
        half = worked(tr("Half-width of the heat"), "U_Q", "1.96*hypot(C*u_T, Q*u_V)", [self.per_kelvin, self._probes, bare, self._flow], "W", digits=1)  # fmt: skip
        return worked(tr("Heat into the coolant"), "Q", "C*ΔT", [self.per_kelvin, rise], "W", digits=1, half=half)

    @cached_property
    def closure_worked(self) -> Worked:
        """The heat's share of the electrical power."""
        power = Worked(name=tr("Electrical power"), symbol="P", value=self.power_w, unit="W", digits=1)
        heat = replace(self.heat, half=None)
        share = Worked(
            name=tr("Accuracy of power"),
            symbol="u_P",
            value=self.power_u,
            digits=4,
            source=tr("relative, as a standard uncertainty"),
        )
        formula = "1.96*sqrt((C*u_T)**2 + (Q*u_V)**2 + (Q*u_P)**2)/P"
        half = worked(
            tr("Half-width of the closure"),
            "U",
            formula,
            [self.per_kelvin, self._probes, heat, self._flow, share, power],
            digits=3,
        )
        return worked(tr("Closure"), "Q/P", "Q/P", [heat, power], digits=3, half=half)

    @property
    def _probes(self) -> Worked:
        return Worked(name=tr("Accuracy of the two probes’ difference"), symbol="u_T", value=self.pair_u_k, unit="K", digits=3, source=tr("as a standard uncertainty; 0.1 K each where the bench says nothing"))  # fmt: skip

    @property
    def _flow(self) -> Worked:
        return Worked(name=tr("Accuracy of flow"), symbol="u_V", value=self.flow_u, digits=4, source=tr("relative, as a standard uncertainty; 3 % where the bench says nothing"))  # fmt: skip

    @property
    def heat_w(self) -> float:
        """The heat that the coolant carries, W."""
        return self.heat.value

    @property
    def heat_u95(self) -> float:
        """The half-width of that, W."""
        return self.heat.u95 or 0.0

    @property
    def closure(self) -> float:
        """The coolant's heat over the electrical power; 1 where they agree."""
        return self.closure_worked.value

    @property
    def closure_u95(self) -> float:
        """The half-width of that."""
        return self.closure_worked.u95 or 0.0

    @property
    def shares(self) -> tuple[tuple[str, float], ...]:
        """What part of closure's variance each source makes: probes, flow, power."""
        heat = self.heat_w
        parts = {
            "coolant probes": self.per_kelvin.value * self.pair_u_k,
            "flow": heat * self.flow_u,
            "power": heat * self.power_u,
        }
        total = sum(u * u for u in parts.values())
        return tuple((name, u * u / total) for name, u in parts.items())


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


def carried_w_k(flow_l_h: Array, temperature_c: float, mix: Mix = WATER) -> Array:
    """What a flow carries for each kelvin it is warmed by, W/K: ``ρ·c_p·V̇`` at a temperature.

    Raises
    ------
    TraceError
        See `properties`.
    """
    now = properties(min(max(temperature_c, 5.0), 75.0), mix)
    return np.asarray(now.density_kg_m3 * now.heat_capacity_j_kg_k * flow_l_h / 3.6e6, float)


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

    >>> found = closure(30.0, 31.0, 150.0, 180.0)
    >>> f"{found.heat_w:.0f} W, {100 * found.closure:.0f} %"
    '173 W, 96 %'
    """
    if not flow_l_h > 0 or not power_w > 0:
        raise TraceError("a heat balance needs flow and power above nothing")
    now = properties(min(max((in_c + out_c) / 2, 5.0), 75.0), mix)
    return HeatBalance(
        in_c=in_c,
        out_c=out_c,
        flow_l_h=flow_l_h,
        power_w=power_w,
        density_kg_m3=now.density_kg_m3,
        heat_capacity_j_kg_k=now.heat_capacity_j_kg_k,
        pair_u_k=pair_u_k,
        flow_u=flow_u,
        power_u=power_u,
        coolant=mix.words,
    )
