"""From a run's channels to the signals of the heat path."""

from __future__ import annotations

import warnings
from collections.abc import Collection
from dataclasses import dataclass, field

import numpy as np
from numpy.typing import NDArray

from kuffin.core.base.saying import say
from kuffin.core.base.traces import showing_load
from kuffin.core.bench.roles import AIR, COOLANT, DIE, ROLES, SIGNALS, TEMPERATURES, missing_signals
from kuffin.core.heat.coolant import Mix
from kuffin.core.heat.heatbalance import carried_w_k
from kuffin.core.heat.normalise import School
from kuffin.notebook.samples import RunData

Array = NDArray[np.float64]


def lacking(school: School, roles: Collection[str | None]) -> list[str]:
    """What a school needs and channels of these roles do not give, in words."""
    wanted = (school.part, school.over or "", "power" if school.per_watt else "")
    of_roles = [
        f"a channel with the role “{ROLES[w].label}”" for w in wanted if w in ROLES and w not in (*SIGNALS, *roles)
    ]
    return [s.called for s in missing_signals(roles, wanted)] + of_roles


@dataclass(frozen=True, kw_only=True)
class Signals:
    """Die, coolant, air and power of a run, and which channels they are (for the person).

    Attributes
    ----------
    coolant : ndarray or None
        Before the first device of the loop.
    warmed : ndarray or None
        Where it enters the device that is asked about, if it passes others before.
    power : ndarray or None
        Of the device that is asked about.
    heat : ndarray or None
        What goes into the coolant: the power of all devices in the loop; the same as `power` where there is one.
    further : dict
        Other temperatures by their role: hot spot, memory, regulators; coolant out, room.
    problems : dict
        Why ``die``, ``power`` or ``heat`` is not there, where more is known than that no channel tells it.
    shared : bool
        Whether other devices heat the same coolant.
    """

    times: Array
    die: Array | None
    coolant: Array | None
    air: Array | None
    power: Array | None
    names: dict[str, str]
    further: dict[str, Array] = field(default_factory=dict)
    heat: Array | None = None
    problems: dict[str, str] = field(default_factory=dict)
    shared: bool = False
    warmed: Array | None = None

    @property
    def inlet(self) -> Array | None:
        """The coolant where it enters the device that is asked about."""
        return self.coolant if self.warmed is None else self.warmed

    def get(self, name: str) -> Array | None:
        """A signal by its key, shape (rows,); None where the run does not have it."""
        if name not in SIGNALS:
            return self.further.get(name)
        found: Array | None = getattr(self, name)
        return found

    def base(self, part: str, over: str) -> Array | None:
        """What a part's rise is taken over."""
        return self.inlet if over == "coolant" and part not in COOLANT else self.get(over)

    def power_for(self, part: str) -> Array | None:
        """The power that makes a part's rise: the device's own, or of the coolant all that heats it."""
        return self.heat if part in COOLANT else self.power

    def load(self) -> Array | None:
        """What shows when the load begins and ends."""
        return showing_load(self.power, self.heat) if self.shared else self.power


def signals(data: RunData, mix: Mix | None = None) -> Signals:
    """Pick the signals.

    The coolant is the block's inlet where there is a probe there, warmed by the devices that it passes before, where
    their power and the flow are known (``ΣP/(ṁ·cₚ)``); the air is the mean of the probes at the radiator's intake, else
    the room; power at the wall serves where there is no other, less what the bench says it holds besides; several dies of
    one device (cores, probes in a heater's face) count as their mean.

    Parameters
    ----------
    data : RunData
        Where several devices are on the bench: as `RunData.about` gives it.
    mix : Mix, optional
        The coolant; water where it is not told.
    """
    names: dict[str, str] = {}
    problems = dict(data.whose.problems) if data.whose is not None else {}
    shared = data.whose is not None and bool(data.whose.heating or data.whose.others or "heat" in problems)

    def pick(label: str, wanted: tuple[str, ...]) -> Array | None:
        for role in wanted:
            found = [c.name for c in data.channels if c.role == role]
            if found:
                mean = ROLES[role].mean
                names[label] = ", ".join(found) if mean else found[0]
                if mean and len(found) > 1:
                    with warnings.catch_warnings():
                        warnings.simplefilter("ignore", RuntimeWarning)
                        return np.asarray(np.nanmean([data.values[n] for n in found], axis=0), float)
                return data.values[found[0]]
        return None

    power = pick("power", ("power",))
    at_wall = None
    if power is None:
        at_wall = pick("wall", ("wall_power",))
        if at_wall is not None and data.wall is not None:
            at_wall = data.wall.of_part(at_wall)
        if not shared and at_wall is not None:
            names["power"], power = names["wall"], at_wall
    names.pop("wall", None)
    heat = power if not shared else None
    if data.whose is not None and data.whose.heating:
        names["heat"] = ", ".join(data.whose.heating)
        heat = np.asarray(np.sum([data.values[n] for n in data.whose.heating], axis=0), float)
    coolant = pick("coolant", COOLANT)
    warmed = None
    if coolant is not None and data.whose is not None and data.whose.upstream:
        warmed = _warmed(data, coolant, names, problems, mix)
    die = pick("die", DIE)
    there = {c.role for c in data.channels}
    others = [t for t in TEMPERATURES if t not in SIGNALS and (t != "hot_spot" or "die" in there)]
    further = {role: pick(role, (role,)) for role in others}
    return Signals(
        times=data.times,
        die=die,
        coolant=coolant,
        air=pick("air", AIR),
        power=power,
        names=names,
        further={part: x for part, x in further.items() if x is not None},
        heat=heat,
        problems=problems,
        shared=shared,
        warmed=warmed,
    )


def _warmed(
    data: RunData, coolant: Array, names: dict[str, str], problems: dict[str, str], mix: Mix | None
) -> Array | None:
    """The coolant where it enters the device: the loop's, warmed by what it passes before."""
    whose, flow = data.whose, data.role("flow")
    assert whose is not None
    if flow is None:
        problems["upstream"] = say(
            "the coolant passes {before} before it comes to the {device}; without a flow channel what that warms it by is not known",
            before=" and ".join(whose.upstream),
            device=whose.device,
        )
        return None
    heat = np.sum([data.values[n] for n in whose.upstream], axis=0)
    carried = carried_w_k(flow, float(np.nanmedian(coolant)) if np.isfinite(coolant).any() else 30.0, mix or Mix())
    names["upstream"] = ", ".join(whose.upstream)
    return np.asarray(coolant + np.where(carried > 1.0, heat / np.maximum(carried, 1.0), np.nan), float)
