"""What the checks go by: each limit with its unit and its reason; a study may set its own."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass, field

from kuffin.core.base.errors import BenchError
from kuffin.core.base.uncertainty import Accuracy
from kuffin.core.heat.heatbalance import Mix


@dataclass(frozen=True)
class Threshold:
    """One limit, in the unit it is shown in."""

    key: str
    label: str
    value: float
    unit: str
    why: str


_ALL = (
    Threshold("chance", "chance that a sound mount is doubted, for each figure", 0.5, "%", "about ten figures are held against the siblings; all of them together doubt a few sound mounts in a hundred"),
    Threshold("rise_k", "least departure of a rise from the siblings'", 0.5, "K", "nobody remounts for less"),
    Threshold("hot_spot_k", "least departure of hot spot over die", 1.0, "K", "hot spots scatter more than dies"),
    Threshold("spread_k", "least departure of the core spread", 2.0, "K", "cores scatter by their load"),
    Threshold("flow_percent", "least departure of flow", 4.0, "%", "a flow wheel repeats to 1 or 2 %"),
    Threshold("speed_percent", "least departure of pump or fan speed", 4.0, "%", "speeds are held to 1 or 2 %"),
    Threshold("power_percent", "least departure of power", 4.0, "%", "per watt takes out what is left"),
    Threshold("idle_w", "least departure of idle power", 5.0, "W", "a background program takes more"),
    Threshold("rest_k", "coolant over air at rest beyond what its heat explains", 1.0, "K", "two good probes agree to 0.2 K"),
    Threshold("room_k", "drift of the air in the window", 1.5, "K", "the lag takes most of it out, not all"),
    Threshold("jump_k", "jump of the air within two minutes", 0.45, "K", "an air conditioner's swing is slower or smaller"),
    Threshold("creep_k", "creep of die over coolant from ten minutes after load to the end", 0.7, "K", "a settled die stands still within the noise"),
    Threshold("sag_percent", "fall of flow or pump speed over the load", 4.0, "%", "a warm coolant is thinner: flow rises rather than falls"),
    Threshold("power_drift_percent", "drift of power in the window", 3.0, "%", "leakage alone makes less, once settled"),
    Threshold("closure_percent", "heat balance open beyond its own uncertainty by", 25.0, "%", "board and air take up to a quarter"),
    Threshold("throttled_percent", "share of the load in which clock was lost at the limit", 5.0, "%", "a moment at the limit spoils nothing"),
    Threshold("probes_k", "air probes apart in the window", 1.0, "K", "air over a radiator's face differs by less"),
    Threshold("dew_k", "coolant above the dew point by less than", 2.0, "K", "cold spots lie below the mean"),
    Threshold("missing_percent", "samples missing under load", 10.0, "%", "below that the window is still well filled"),
    Threshold("spikes_percent", "samples that are spikes", 5.0, "%", "up to 1 % is usual"),
    Threshold("gap_s", "gap in the log under load", 60.0, "s", "the loop moves little in a minute"),
)  # fmt: skip

THRESHOLDS: dict[str, Threshold] = {t.key: t for t in _ALL}

# which thresholds a kind of finding goes by
OF_KIND: dict[str, tuple[str, ...]] = {
    "contact": ("rise_k", "chance"),
    "radiator side": ("rise_k", "chance"),
    "unlike": ("rise_k",),
    "hot spot": ("hot_spot_k", "chance"),
    "core spread": ("spread_k", "chance"),
    "flow off": ("flow_percent", "chance"),
    "pump off": ("speed_percent", "chance"),
    "fan off": ("speed_percent", "chance"),
    "power off": ("power_percent", "chance"),
    "idle off": ("idle_w", "chance"),
    "warm at rest": ("rest_k",),
    "room drifted": ("room_k",),
    "room jumped": ("jump_k",),
    "crept": ("creep_k",),
    "flow sags": ("sag_percent",),
    "pump sags": ("sag_percent",),
    "power drifts": ("power_drift_percent",),
    "heat balance": ("closure_percent",),
    "throttled": ("throttled_percent",),
    "air probes disagree": ("probes_k",),
    "dew point": ("dew_k",),
    "drops out": ("missing_percent",),
    "spikes": ("spikes_percent",),
    "clock gap": ("gap_s",),
}


@dataclass(frozen=True)
class CheckLimits:
    """The thresholds in use: the usual ones, with those a study has set, and what the bench's instruments are good for.

    `instruments` goes by the role of their probes; what is missing counts as usual. `mix` is the coolant in the loop.
    """

    own: Mapping[str, float] = field(default_factory=dict)
    instruments: Mapping[str, Accuracy] = field(default_factory=dict)
    mix: Mix = field(default_factory=Mix)

    def of(self, key: str) -> float:
        """A threshold's value in its unit; raises KeyError for an unknown key."""
        return float(self.own.get(key, THRESHOLDS[key].value))


def checked(key: str, value: float) -> float:
    """A threshold a person set.

    Raises
    ------
    BenchError
        Where it is not above 0.
    """
    if not value > 0:
        raise BenchError(f"“{THRESHOLDS[key].label}” must be above 0 {THRESHOLDS[key].unit}")
    return float(value)
