"""From a run's channels to the signals of the heat path."""

from __future__ import annotations

import warnings
from collections.abc import Collection
from dataclasses import dataclass, field

import numpy as np
from numpy.typing import NDArray

from kuffin.core.normalise import School
from kuffin.core.roles import AIR, COOLANT, DIE, FURTHER_PARTS, missing_signals
from kuffin.notebook.samples import RunData

Array = NDArray[np.float64]


def lacking(school: School, roles: Collection[str | None]) -> list[str]:
    """What a school needs and channels of these roles do not give, in words."""
    wanted = (school.part, school.over or "", "power" if school.per_watt else "")
    return [s.called for s in missing_signals(roles, wanted)]


@dataclass(frozen=True)
class Signals:
    """Die, coolant, air and power of a run, and which channels they are (for the person)."""

    times: Array
    die: Array | None
    coolant: Array | None
    air: Array | None
    power: Array | None
    names: dict[str, str]
    further: dict[str, Array] = field(
        default_factory=dict
    )  # other parts with a temperature: hot spot, memory, regulator

    def get(self, name: str) -> Array | None:
        if name in FURTHER_PARTS:
            return self.further.get(name)
        found: Array | None = getattr(self, name)
        return found


def signals(data: RunData, roles: list[tuple[str, str | None]]) -> Signals:
    """Pick the signals.

    The coolant is the block's inlet where there is a probe there; the air is the mean of the probes at the radiator's
    intake, else the room; power at the wall serves where there is no other, less what the bench says it holds besides; several dies (cores, probes in a heater's face) count as their mean.

    Parameters
    ----------
    roles : list of (channel name, role)
    """
    names: dict[str, str] = {}

    def pick(label: str, wanted: tuple[str, ...], mean: bool = False) -> Array | None:
        for role in wanted:
            found = [name for name, r in roles if r == role]
            if found:
                names[label] = ", ".join(found) if mean else found[0]
                if mean and len(found) > 1:
                    with warnings.catch_warnings():
                        warnings.simplefilter("ignore", RuntimeWarning)
                        return np.asarray(np.nanmean([data.values[n] for n in found], axis=0), float)
                return data.values[found[0]]
        return None

    power = pick("power", ("power",))
    if power is None:
        power = pick("power", ("wall_power",))
        if power is not None and data.wall is not None:
            power = data.wall.of_part(power)
    die = pick("die", DIE, mean=True)
    there = {role for _, role in roles}
    further = {part: pick(part, (part,), mean=True) for part in FURTHER_PARTS if part != "hot_spot" or "die" in there}
    return Signals(
        data.times,
        die,
        pick("coolant", COOLANT),
        pick("air", AIR, mean=True),
        power,
        names,
        {part: x for part, x in further.items() if x is not None},
    )
