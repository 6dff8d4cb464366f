"""What a run has seen so far: its rows, the newest value of each channel, and the heat path's signals."""

from __future__ import annotations

import threading
from dataclasses import dataclass
from functools import cached_property

import numpy as np
from numpy.typing import NDArray

from kuffin.core.bench.devices import ChannelRole, Cooled, Whose, whose
from kuffin.core.bench.roles import ROLES, SIGNALS
from kuffin.core.heat.coolant import Mix
from kuffin.notebook.entities import Mount, Study
from kuffin.notebook.samples import RunData
from kuffin.reading.judgingrules import JudgingRules
from kuffin.reading.signals import Signals, signals
from kuffin.recording.openbench import OpenBench
from kuffin.recording.tape import Tape

Array = NDArray[np.float64]

RECENT_S = 600.0  # what staircase and big figures are read from


@dataclass(frozen=True, kw_only=True, eq=False)
class SeenNow:
    """What was seen up to a moment; nothing that comes later changes it. All readers of a tick use the same.

    Attributes
    ----------
    rows : ndarray, shape (rows, 1 + channels)
        Seconds first. A long run is thinned out.
    values : dict
        Channel to its newest value; NaN where it has said nothing lately.
    spoke_s : dict
        Channel to when it told something last, s; only those that did.
    channels : tuple of ChannelRole
    whose : Whose
        The same as they speak for the device that is asked about.
    cooled : Cooled
    mix : Mix
    """

    rows: Array
    values: dict[str, float]
    spoke_s: dict[str, float]
    channels: tuple[ChannelRole, ...]
    whose: Whose
    cooled: Cooled
    mix: Mix

    @property
    def device(self) -> str | None:
        """Whose die is asked about, where it has a name."""
        return self.whose.device

    @cached_property
    def by_role(self) -> dict[str, float]:
        """The newest values by role, and by signal of the heat path."""
        found: dict[str, list[float]] = {}
        for name, role, _ in self.whose.channels:
            if role and np.isfinite(self.values[name]):
                found.setdefault(role, []).append(self.values[name])
        out = {role: float(np.mean(v)) if role in ROLES and ROLES[role].mean else v[0] for role, v in found.items()}
        for signal in ("air", "coolant", "power"):
            first = next((out[r] for r in SIGNALS[signal].roles if r in out), None)
            if first is not None:
                out[signal] = first
        return out

    @cached_property
    def so_far(self) -> Signals | None:
        """The heat path's signals so far."""
        return self._signals(self.rows)

    @cached_property
    def recent(self) -> Signals | None:
        """The same of the last ten minutes."""
        return self._signals(self._last)

    @cached_property
    def recent_by_role(self) -> dict[str, Array]:
        """The first channel of every role over the last ten minutes."""
        return self._by_role(self._last)

    @cached_property
    def so_far_by_role(self) -> dict[str, Array]:
        """The same over all of it."""
        return self._by_role(self.rows)

    @cached_property
    def others(self) -> dict[str, Signals]:
        """The signals of the last ten minutes for each other device that has a die."""
        found = {}
        for device in self.whose.others:
            one = self._signals(self._last, device)
            if one is not None and one.die is not None:
                found[device] = one
        return found

    @cached_property
    def _last(self) -> Array:
        if not self.rows.shape[0]:
            return self.rows
        return self.rows[np.searchsorted(self.rows[:, 0], self.rows[-1, 0] - RECENT_S) :]

    def _by_role(self, rows: Array) -> dict[str, Array]:
        roles: dict[str, Array] = {}
        for i, (_, role, _) in enumerate(self.whose.channels, 1):
            if role and role not in roles:
                roles[role] = rows[:, i]
        return roles

    def _signals(self, rows: Array, device: str | None = None) -> Signals | None:
        if rows.shape[0] < 2:
            return None
        values = {c.name: rows[:, i] for i, c in enumerate(self.channels, 1)}
        data = RunData(times=rows[:, 0], values=values, roles={}, units={}, channels=self.channels)
        cooled = self.cooled if device is None else Cooled(device, self.cooled.loop)
        return signals(data.about(cooled), self.mix)


class Seen:
    """The rows of a run while it is recorded: one thread adds them, any may ask how it stands.

    Attributes
    ----------
    tape : Tape
    """

    def __init__(self, bench: OpenBench, ways: JudgingRules, study: Study, mount: Mount | None) -> None:
        self._channels, self._cooled = tuple(bench.roles), ways.cooled
        self._whose = whose(self._channels, ways.cooled)
        self._mix = ways.of(study, mount.candidate).mix if mount is not None else ways.limits.mix
        self.tape = Tape(len(self._channels))
        self._newest = [float("nan")] * len(self._channels)
        self._newest_s = [float("-inf")] * len(self._channels)
        self._patience = [4 * max(i.interval_s, bench.interval_s) + 4 for i in bench.instruments for _ in i.channels]
        self._lock = threading.Lock()

    def add(self, row: list[float]) -> None:
        """Take in a row: its seconds, then a value for each channel."""
        with self._lock:
            self.tape.add(row)
            for i, value in enumerate(row[1:]):
                if np.isfinite(value):
                    self._newest[i], self._newest_s[i] = value, row[0]

    def now(self, now_s: float) -> SeenNow:
        """All that was seen up to now."""
        with self._lock:
            rows, newest, at = self.tape.so_far(), list(self._newest), list(self._newest_s)
        names = [c.name for c in self._channels]
        values = {
            n: value if now_s - s <= patience else float("nan")
            for n, value, s, patience in zip(names, newest, at, self._patience, strict=True)
        }
        spoke = {n: s for n, s in zip(names, at, strict=True) if np.isfinite(s)}
        return SeenNow(
            rows=rows,
            values=values,
            spoke_s=spoke,
            channels=self._channels,
            whose=self._whose,
            cooled=self._cooled,
            mix=self._mix,
        )
