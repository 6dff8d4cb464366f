"""A run as the checks see it: its channels by role, its stages, and what its traces settled at."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass, field

import numpy as np
from numpy.typing import NDArray

from kuffin.core.base.traces import lone_spikes, showing_load, smooth_spikes
from kuffin.core.bench.devices import ChannelRole
from kuffin.core.bench.roles import AIR as AIR
from kuffin.core.bench.roles import COOLANT as COOLANT
from kuffin.core.bench.roles import DIE as DIE
from kuffin.core.bench.roles import POWER as POWER
from kuffin.core.bench.roles import ROLES
from kuffin.core.settle import Settled

Array = NDArray[np.float64]
Mask = NDArray[np.bool_]


@dataclass(frozen=True, kw_only=True)
class Recorded:
    """A run.

    Attributes
    ----------
    times : ndarray, shape (n,)
        Seconds.
    values : mapping of channel name to ndarray, shape (n,)
        Missing is NaN; spikes as they came.
    roles : tuple of ChannelRole
        What belongs to other devices than the one that is asked about has no role.
    traces : mapping of str to Settled
        What was settled, by trace.
    by_hand : bool
        Whether the window was set by a person or by the clock.
    by_clock : bool
        Whether it was the protocol's clock, the same for all mounts.
    wall_told : bool
        Whether it is known what power at the wall holds besides the part's.
    heat : ndarray, shape (n,), or None
        The power of all devices that heat the coolant, where there are several.
    shared : bool
        Whether there are several.
    """

    times: Array
    values: Mapping[str, Array]
    roles: tuple[ChannelRole, ...]
    traces: Mapping[str, Settled] = field(default_factory=dict)
    window_s: tuple[float, float] | None = None
    by_hand: bool = False
    by_clock: bool = False
    wall_told: bool = False
    heat: Array | None = None
    shared: bool = False
    _clean: dict[str, Array] = field(default_factory=dict, repr=False, compare=False)

    @property
    def load_start_s(self) -> float | None:
        """When the load began, None where that is not known."""
        return next((t.load.start_s for t in self.traces.values() if t.load.start_s is not None), None)

    @property
    def load_end_s(self) -> float:
        """When the load ended, else the end of the run."""
        return next((t.load.end_s for t in self.traces.values()), float(self.times[-1]) if self.times.size else 0.0)

    @property
    def state_start_s(self) -> float | None:
        """When the last state of the load began: at the load's start, or at a change of state (a pump or fan set otherwise)."""
        changed = [t.load.step_s for t in self.traces.values() if t.load.step_s is not None]
        return max(changed) if changed else self.load_start_s

    @property
    def period_s(self) -> float | None:
        """How long one turn of a looped load takes, s; None for a load that holds still."""
        return next((t.load.period_s for t in self.traces.values() if t.load.period_s is not None), None)

    def names(self, *roles: str) -> list[str]:
        """The channels of these roles, in their order."""
        return [c.name for role in roles for c in self.roles if c.role == role]

    def name(self, *roles: str) -> str | None:
        """The first channel of the first of these roles."""
        return next(iter(self.names(*roles)), None)

    def role_of(self, name: str) -> str | None:
        """The role of a channel; None where it has none, or where there is no such channel."""
        return next((c.role for c in self.roles if c.name == name), None)

    def clean(self, name: str) -> Array:
        """A channel with its spikes missing."""
        if name not in self._clean:
            x, role = self.values[name], self.role_of(name)
            kind = ROLES[role].spikes if role in ROLES else ""
            marked = (
                smooth_spikes(x) if kind == "smooth" else lone_spikes(x) if kind == "lively" else np.zeros(x.size, bool)
            )
            self._clean[name] = np.where(marked, np.nan, x)
        return self._clean[name]

    def get(self, *roles: str) -> Array | None:
        """The first channel of these roles, without its spikes."""
        name = self.name(*roles)
        return None if name is None else self.clean(name)

    def heating(self) -> Array | None:
        """The power that goes into the coolant: of all devices; None where that is not known."""
        return self.heat if self.shared else self.get(*POWER)

    def load(self) -> Array | None:
        """What shows the load: the device's own power, else that of all."""
        return showing_load(self.get("power"), self.heat) if self.shared else self.get(*POWER)

    def air(self) -> Array | None:
        """The mean of the intake's probes, else the room."""
        return self.mean(*AIR)

    def die(self) -> Array | None:
        """The die, or the mean of several (cores, probes in a heater's face)."""
        return self.mean(*DIE)

    def mean(self, *roles: str) -> Array | None:
        """The mean of all channels of the first of these roles that there is."""
        for role in roles:
            found = [self.clean(n) for n in self.names(role)]
            if len(found) == 1:
                return found[0]
            if found:
                stacked = np.vstack(found)
                count = np.isfinite(stacked).sum(axis=0)
                return np.where(count > 0, np.nansum(stacked, axis=0) / np.maximum(count, 1), np.nan)
        return None

    def loaded(self, recover_s: float = 0.0) -> Mask:
        """Samples under load, dips between two passes left out, and some time after each."""
        begin = self.load_start_s
        inside = (self.times <= self.load_end_s + 1e-6) & (self.times >= (self.times[0] if begin is None else begin))
        power = self.load()
        if power is None or not np.isfinite(power[inside]).any():
            return inside
        level = float(np.nanpercentile(power[inside], 90))
        low = inside & (power < 0.7 * level)
        if recover_s > 0 and low.any():
            last = np.maximum.accumulate(np.where(low, self.times, -np.inf))
            low |= self.times - last < recover_s
        return inside & ~low

    def windowed(self) -> Mask:
        """Samples of the window, in whole passes of a looped load."""
        if self.window_s is None:
            return np.zeros(self.times.size, bool)
        begin, end = self.window_s
        if self.period_s and end - begin > self.period_s:
            begin = end - self.period_s * np.floor((end - begin) / self.period_s + 1e-9)
        return (self.times >= begin) & (self.times <= end)

    def idle(self, length_s: float = 120.0) -> Mask:
        """The last stretch before the load; empty where there is none."""
        begin = self.load_start_s
        if begin is None:
            return np.zeros(self.times.size, bool)
        return (self.times >= begin - length_s - 5) & (self.times < begin - 5)


def mean_of(x: Array | None, inside: Mask, least: int = 5) -> float | None:
    """The mean of what is there, None below `least` samples.

    >>> mean_of(np.arange(10.0), np.arange(10) > 4), mean_of(np.arange(3.0), np.ones(3, bool))
    (7.0, None)
    """
    if x is None:
        return None
    part = x[inside & np.isfinite(x)]
    return float(part.mean()) if part.size >= least else None


def slope(times: Array, x: Array, inside: Mask, boxes: int = 12) -> tuple[float, float] | None:
    """Straight-line slope over a stretch from box means, per second, and its standard error; None where too little is there.

    Box means make neighbouring samples' likeness harmless; the interval is Student's with boxes − 2 degrees of freedom.

    >>> [round(x, 3) for x in slope(np.arange(100.0), 0.5 * np.arange(100.0), np.ones(100, bool)) or ()]
    [0.5, 0.0]
    """
    ok = inside & np.isfinite(x)
    if ok.sum() < 4 * boxes:
        return None
    t, y = times[ok], x[ok]
    which = np.minimum(((t - t[0]) / max(t[-1] - t[0], 1e-9) * boxes).astype(int), boxes - 1)
    n = np.bincount(which, minlength=boxes)
    used = n > 0
    tm = np.bincount(which, t, boxes)[used] / n[used]
    ym = np.bincount(which, y, boxes)[used] / n[used]
    if tm.size < 5:
        return None
    d = tm - tm.mean()
    sxx = float(d @ d)
    b = float(d @ ym) / sxx
    rest = ym - ym.mean() - b * d
    return b, float(np.sqrt(float(rest @ rest) / (tm.size - 2) / sxx))
