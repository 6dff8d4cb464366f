"""What can go wrong on the simulated bench while a run goes on."""

from __future__ import annotations

from dataclasses import dataclass, replace
from typing import TYPE_CHECKING

import numpy as np
from numpy.typing import NDArray

if TYPE_CHECKING:
    from kuffin.simulated.station import RunPlan

Array = NDArray[np.float64]
_IDLE_W = 60.0  # under it nothing works


@dataclass(frozen=True, kw_only=True)
class Fault:
    """What goes wrong while a run goes on; nothing by default.

    Attributes
    ----------
    hot_spot_k_w : float
        How much further the hot spot stands over the die, K/W.
    pump_sag_per_h, paste_growth_per_h : float
        Share of pump speed lost, and by which the paste's resistance grows, in an hour.
    swapped : tuple of str
        Two channels changed round.
    stuck : tuple of str and float
        A channel that stands still from some second on.
    warm_intake_k : float
        How much warmer the radiator's air is than the air probe says.
    extra_w : float
        What a program in the background takes.
    loop_heat_w : float
        What another device of the loop gives to the coolant under load, which no power channel tells.
    fan_share : float
        The fans' speed as a share of what they are set to.
    """

    hot_spot_k_w: float = 0.0
    pump_sag_per_h: float = 0.0
    paste_growth_per_h: float = 0.0
    swapped: tuple[str, str] | None = None
    stuck: tuple[str, float] | None = None
    warm_intake_k: float = 0.0
    extra_w: float = 0.0
    loop_heat_w: float = 0.0
    fan_share: float = 1.0

    def warms_air(self, demand_w: Array, r_radiator: float) -> Array:
        """By how much warmer the air is, as far as the coolant can tell, K: heat of another device does the same to it."""
        loaded = demand_w > _IDLE_W
        return np.asarray(self.warm_intake_k + loaded * self.loop_heat_w * r_radiator, dtype=np.float64)

    @property
    def wears(self) -> bool:
        """Whether pump or paste change as the run goes on."""
        return bool(self.pump_sag_per_h or self.paste_growth_per_h)


def worn(fault: Fault, plan: RunPlan, pump_speed: float, after_s: float) -> tuple[RunPlan, float]:
    """What is built in, and the pump's share of full speed, some seconds into a run."""
    hours = after_s / 3600
    block = replace(plan.block, paste_k_w=plan.block.paste_k_w * (1 + fault.paste_growth_per_h * hours))
    return replace(plan, block=block), pump_speed * max(1 - fault.pump_sag_per_h * hours, 0.3)


def misread(fault: Fault, times: Array, read: dict[str, Array]) -> dict[str, Array]:
    """What the channels say with the fault in them: read values by channel, each of shape (n,)."""
    out = dict(read)
    if fault.hot_spot_k_w:
        out["Hot spot"] = out["Hot spot"] + fault.hot_spot_k_w * out["Package power"]
    if fault.swapped is not None:
        a, b = fault.swapped
        out[a], out[b] = out[b], out[a]
    if fault.stuck is not None:
        name, since = fault.stuck
        late = times >= since
        if late.any():
            out[name] = np.where(late, out[name][int(np.argmax(late))], out[name])
    return out
