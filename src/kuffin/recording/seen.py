"""What a run has seen so far: its rows, the newest value of each channel, and the heat path's signals."""

from __future__ import annotations

import numpy as np
from numpy.typing import NDArray

from kuffin.core.bench.devices import Cooled, whose
from kuffin.core.bench.roles import ROLES, SIGNALS
from kuffin.notebook.entities import Mount, Study
from kuffin.notebook.samples import RunData
from kuffin.reading.judgingrules import Ways
from kuffin.reading.signals import Signals, signals
from kuffin.recording.openbench import OpenBench
from kuffin.recording.tape import Tape

Array = NDArray[np.float64]


class Seen:
    """The rows of a run while it is recorded.

    Attributes
    ----------
    tape : Tape
    newest_s : list of float
        When each channel told something last, s.
    device : str or None
        Whose die is asked about, where it has a name.
    """

    def __init__(self, bench: OpenBench, ways: Ways, study: Study, mount: Mount | None) -> None:
        self._channels, self._cooled = tuple(bench.roles), ways.cooled
        self._whose = whose(self._channels, ways.cooled)
        self.device = self._whose.device
        self._mix = ways.of(study, mount.candidate).mix if mount is not None else ways.limits.mix
        self.tape = Tape(len(self._channels))
        self._newest = [float("nan")] * len(self._channels)
        self.newest_s = [float("-inf")] * len(self._channels)
        self._patience = [4 * max(i.interval_s, bench.interval_s) + 4 for i in bench.instruments for _ in i.channels]

    def add(self, row: list[float]) -> None:
        """Take in a row: its seconds, then a value for each channel."""
        self.tape.add(row)
        for i, value in enumerate(row[1:]):
            if np.isfinite(value):
                self._newest[i], self.newest_s[i] = value, row[0]

    def values(self, now_s: float) -> dict[str, float]:
        """The newest value of each channel; NaN where it has said nothing lately."""
        fresh = [now_s - at <= patience for at, patience in zip(self.newest_s, self._patience, strict=True)]
        return {
            c.name: value if ok else float("nan")
            for c, value, ok in zip(self._channels, self._newest, fresh, strict=True)
        }

    def by_role(self, values: dict[str, float]) -> dict[str, float]:
        """The newest values by role, and by signal of the heat path."""
        found: dict[str, list[float]] = {}
        for name, role, _ in self._whose.channels:
            if role and np.isfinite(values[name]):
                found.setdefault(role, []).append(values[name])
        out = {role: float(np.mean(v)) if role in ROLES and ROLES[role].mean else v[0] for role, v in found.items()}
        for signal in ("air", "coolant", "power"):
            first = next((out[r] for r in SIGNALS[signal].roles if r in out), None)
            if first is not None:
                out[signal] = first
        return out

    def so_far(self) -> Signals | None:
        """The heat path's signals so far."""
        return self._signals(self.tape.so_far())

    def recent(self, last_s: float = 600.0) -> tuple[Signals | None, dict[str, Array]]:
        """The heat path's signals of the last seconds, and the first channel of every other role."""
        block = self.tape.so_far(last_s)
        roles: dict[str, Array] = {}
        for i, (_, role, _) in enumerate(self._whose.channels, 1):
            if role and role not in roles:
                roles[role] = block[:, i]
        return self._signals(block), roles

    def others(self, last_s: float = 600.0) -> dict[str, Signals]:
        """The same for each other device that has a die."""
        block = self.tape.so_far(last_s)
        found = {}
        for device in self._whose.others:
            one = self._signals(block, device)
            if one is not None and one.die is not None:
                found[device] = one
        return found

    def _signals(self, block: Array, device: str | None = None) -> Signals | None:
        if block.shape[0] < 2:
            return None
        values = {c.name: block[:, i] for i, c in enumerate(self._channels, 1)}
        data = RunData(block[:, 0], values, {}, {}, self._channels)
        cooled = self._cooled if device is None else Cooled(device, self._cooled.loop)
        return signals(data.about(cooled), self._mix)
