"""What the checks go by: each limit with its unit and its reason; a study may set its own."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass, field

from kuffin.core.base.errors import BenchError
from kuffin.core.base.saying import say
from kuffin.core.base.uncertainty import Accuracy
from kuffin.core.heat.coolant import Mix


@dataclass(frozen=True, kw_only=True)
class Threshold:
    """One limit, in the unit it is shown in."""

    key: str
    label: str
    value: float
    unit: str
    why: str


_ALL = (
    Threshold(key="chance", label="chance that a sound mount is doubted, for each figure", value=0.5, unit="%", why="about ten figures are held against the siblings; all of them together doubt a few sound mounts in a hundred"),
    Threshold(key="rise_k", label="least departure of a rise from the siblings'", value=0.5, unit="K", why="nobody remounts for less"),
    Threshold(key="hot_spot_k", label="least departure of hot spot over die", value=1.0, unit="K", why="hot spots scatter more than dies"),
    Threshold(key="spread_k", label="least departure of the core spread", value=2.0, unit="K", why="cores scatter by their load"),
    Threshold(key="first_die_percent", label="how far die over coolant usually differs between candidates", value=12.0, unit="%", why="a first mount is held against the same device under other candidates"),
    Threshold(key="first_hot_spot_percent", label="how far hot spot over die usually differs between candidates", value=6.5, unit="%", why="it is the device's own, and contact that is not even raises it"),
    Threshold(key="first_spread_k", label="how far the core spread usually differs between candidates", value=1.0, unit="K", why="likewise"),
    Threshold(key="usual_die_k_w", label="die over coolant, at most usual in general", value=0.3, unit="K/W", why="for a first mount of a device of which the notebook knows nothing else; set your own device's"),
    Threshold(key="usual_hot_spot_k_w", label="hot spot over die, at most usual in general", value=0.08, unit="K/W", why="likewise"),
    Threshold(key="usual_spread_k", label="core spread, at most usual in general", value=14.0, unit="K", why="likewise"),
    Threshold(key="flow_percent", label="least departure of flow", value=4.0, unit="%", why="a flow wheel repeats to 1 or 2 %"),
    Threshold(key="speed_percent", label="least departure of pump or fan speed", value=4.0, unit="%", why="speeds are held to 1 or 2 %"),
    Threshold(key="power_percent", label="least departure of power", value=4.0, unit="%", why="per watt takes out what is left"),
    Threshold(key="idle_w", label="least departure of idle power", value=5.0, unit="W", why="a background program takes more"),
    Threshold(key="rest_k", label="coolant over air at rest beyond what its heat explains", value=1.0, unit="K", why="two good probes agree to 0.2 K"),
    Threshold(key="room_k", label="drift of the air in the window", value=1.5, unit="K", why="the lag takes most of it out, not all"),
    Threshold(key="jump_k", label="jump of the air within two minutes", value=0.45, unit="K", why="an air conditioner's swing is slower or smaller"),
    Threshold(key="creep_k", label="creep of die over coolant from ten minutes after load to the end", value=0.7, unit="K", why="a settled die stands still within the noise"),
    Threshold(key="sag_percent", label="fall of flow or pump speed over the load", value=4.0, unit="%", why="a warm coolant is thinner: flow rises rather than falls"),
    Threshold(key="power_drift_percent", label="drift of power in the window", value=3.0, unit="%", why="leakage alone makes less, once settled"),
    Threshold(key="closure_percent", label="heat balance open beyond its own uncertainty by", value=25.0, unit="%", why="board and air take up to a quarter"),
    Threshold(key="throttled_percent", label="share of the load in which clock was lost at the limit", value=5.0, unit="%", why="a moment at the limit spoils nothing"),
    Threshold(key="probes_k", label="air probes apart in the window", value=1.0, unit="K", why="air over a radiator's face differs by less"),
    Threshold(key="dew_k", label="coolant above the dew point by less than", value=2.0, unit="K", why="cold spots lie below the mean"),
    Threshold(key="missing_percent", label="samples missing under load", value=10.0, unit="%", why="below that the window is still well filled"),
    Threshold(key="spikes_percent", label="samples that are spikes", value=5.0, unit="%", why="up to 1 % is usual"),
    Threshold(key="gap_s", label="gap in the log under load", value=60.0, unit="s", why="the loop moves little in a minute"),
)  # fmt: skip

THRESHOLDS: dict[str, Threshold] = {t.key: t for t in _ALL}

# which thresholds a kind of finding goes by
OF_KIND: dict[str, tuple[str, ...]] = {
    "contact": ("rise_k", "chance"),
    "radiator side": ("rise_k", "chance"),
    "unlike": ("rise_k",),
    "hot spot": ("hot_spot_k", "chance"),
    "core spread": ("spread_k", "chance"),
    "first mount": (
        "first_die_percent",
        "first_hot_spot_percent",
        "first_spread_k",
        "usual_die_k_w",
        "usual_hot_spot_k_w",
        "usual_spread_k",
    ),
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
        raise BenchError(
            "“{label}” must be above 0 {unit}", label=say(THRESHOLDS[key].label), unit=THRESHOLDS[key].unit
        )
    return float(value)
