"""Limits of a run, watched while it is recorded. Kuffin is no safety device: this watching can fail with the computer."""

from __future__ import annotations

from collections.abc import Collection, Mapping
from dataclasses import dataclass, field, fields, replace
from typing import Any

import numpy as np
from numpy.typing import NDArray

Array = NDArray[np.float64]

NO_SAFETY_DEVICE = (
    "Kuffin watches these limits while it records, but it is no safety device: it can be late, or stopped, or read a "
    "probe that has slipped off. The parts' own protection and whoever stands at the bench come first."
)


@dataclass(frozen=True)
class Limits:
    """At what a run is stopped; None: not watched.

    Attributes
    ----------
    die_c, coolant_c : float or None
        Highest temperatures, °C.
    flow_l_h, pump_rpm : float or None
        Lowest flow and pump speed, once they have been reached in the run.
    rise_k_min : float or None
        Fastest rise of the coolant, K/min, over a minute.
    leak : bool
        Whether a leak sensor's channel stops the run.
    """

    die_c: float | None = 95.0
    coolant_c: float | None = 55.0
    flow_l_h: float | None = None
    pump_rpm: float | None = None
    rise_k_min: float | None = None
    leak: bool = True

    @classmethod
    def from_plain(cls, kept: Mapping[str, Any] | None) -> Limits:
        """Limits from a notebook; what an older Kuffin did not know takes its default."""
        known = {f.name for f in fields(cls)}
        return cls(**{k: v for k, v in (kept or {}).items() if k in known})

    @property
    def any(self) -> bool:
        """Whether there is a limit at all."""
        return any(getattr(self, f.name) not in (None, False) for f in fields(self))

    def sentence(self) -> str:
        """The limits in words."""
        parts = []
        if self.die_c is not None:
            parts.append(f"die at {self.die_c:g} °C")
        if self.coolant_c is not None:
            parts.append(f"coolant at {self.coolant_c:g} °C")
        if self.flow_l_h is not None:
            parts.append(f"flow under {self.flow_l_h:g} L/h")
        if self.pump_rpm is not None:
            parts.append(f"pump under {self.pump_rpm:g} rpm")
        if self.rise_k_min is not None:
            parts.append(f"coolant rising faster than {self.rise_k_min:g} K/min")
        if self.leak:
            parts.append("a leak sensor that answers")
        return "the load is stopped at: " + ", ".join(parts) if parts else "no limit is set"


def watchable(limits: Limits, roles: Collection[str | None]) -> tuple[Limits, list[str]]:
    """The limits that channels of these roles let one watch, and the names of the others."""
    coolant = {"coolant", "coolant_in", "coolant_out"}
    wanted: tuple[tuple[str, str, set[str]], ...] = (
        ("die", "die_c", {"die", "hot_spot"}),
        ("coolant", "coolant_c", coolant),
        ("flow", "flow_l_h", {"flow"}),
        ("pump speed", "pump_rpm", {"pump"}),
        ("the coolant's rise", "rise_k_min", coolant),
        ("leak sensor", "leak", {"leak"}),
    )
    off = {key: label for label, key, any_of in wanted if getattr(limits, key) and not any_of & set(roles)}
    without: dict[str, Any] = {key: False if key == "leak" else None for key in off}
    return replace(limits, **without), list(off.values())


@dataclass(frozen=True)
class Alarm:
    """A limit that is near, or passed.

    Attributes
    ----------
    stop : bool
        Passed: the load is to be stopped. Otherwise a warning.
    """

    key: str
    stop: bool
    sentence: str


_NEAR_K = 3.0
_HELD_S = 2.5  # one wild reading is no alarm


@dataclass
class Watch:
    """Watches limits through a run: asked about once a second with the newest values.

    A limit counts as passed where it has been passed for a few seconds, so that one wild reading stops nothing.
    """

    limits: Limits
    _since: dict[str, float] = field(default_factory=dict)
    _reached: set[str] = field(default_factory=set)
    _coolant: list[tuple[float, float]] = field(default_factory=list)
    _seen: dict[str, float] = field(default_factory=dict)

    def look(self, now_s: float, values: Mapping[str, float], loaded: bool) -> list[Alarm]:
        """What is near its limit or past it.

        Parameters
        ----------
        now_s : float
            Seconds of the bench.
        values : mapping of role to value
            The newest; NaN and what lacks is passed over.
        loaded : bool
            Whether the load runs; then a die that has gone silent is said.
        """
        found: list[Alarm] = []
        for role, value in values.items():
            if np.isfinite(value):
                self._seen[role] = now_s
        for role, label, limit in (
            ("die", "the die", self.limits.die_c),
            ("hot_spot", "the hot spot", self.limits.die_c),
            ("coolant", "the coolant", self.limits.coolant_c),
        ):
            value = values.get(role, float("nan"))
            if limit is None or not np.isfinite(value):
                continue
            # a hot spot is hotter by nature: it has fifteen kelvins more
            limit = limit + 15.0 if role == "hot_spot" else limit
            if self._held(role, value >= limit, now_s):
                found.append(Alarm(role, True, f"{label} is at {value:.0f} °C, past its limit of {limit:g} °C"))
            elif self._held(f"near {role}", value >= limit - _NEAR_K, now_s):
                found.append(Alarm(role, False, f"{label} is at {value:.0f} °C, close to its limit of {limit:g} °C"))
        for role, label, least, unit in (
            ("flow", "the flow", self.limits.flow_l_h, "L/h"),
            ("pump", "the pump", self.limits.pump_rpm, "rpm"),
        ):
            value = values.get(role, float("nan"))
            if least is None or not np.isfinite(value):
                continue
            if value >= least:
                self._reached.add(role)
            if (role in self._reached or loaded) and self._held(role, value < least, now_s):
                found.append(Alarm(role, True, f"{label} has fallen to {value:.0f} {unit}, under {least:g} {unit}"))
        found += self._rise(now_s, values.get("coolant", float("nan")))
        leak = values.get("leak", float("nan"))
        if self.limits.leak and np.isfinite(leak) and leak > 0.5:
            found.append(Alarm("leak", True, "the leak sensor answers: water may be out of the loop"))
        if loaded and self.limits.die_c is not None and "die" in self._seen and now_s - self._seen["die"] > 15:
            silent = now_s - self._seen["die"]
            found.append(
                Alarm("silent", False, f"the die has said nothing for {silent:.0f} s: its limit is not watched")
            )
        return found

    def _held(self, key: str, over: bool, now_s: float) -> bool:
        if not over:
            self._since.pop(key, None)
            return False
        return now_s - self._since.setdefault(key, now_s) >= _HELD_S

    def _rise(self, now_s: float, coolant: float) -> list[Alarm]:
        most = self.limits.rise_k_min
        if most is None or not np.isfinite(coolant):
            return []
        self._coolant = [*[(t, c) for t, c in self._coolant if t >= now_s - 60][-600:], (now_s, coolant)]
        if now_s - self._coolant[0][0] < 25 or len(self._coolant) < 9:
            return []
        # medians of the first and the last third: one wild reading is no rise
        times, levels = (np.array(x) for x in zip(*self._coolant, strict=True))
        third = len(levels) // 3
        rise = float(np.median(levels[-third:]) - np.median(levels[:third]))
        speed = 60.0 * rise / float(np.mean(times[-third:]) - np.mean(times[:third]))
        if speed > most:
            return [Alarm("rise", True, f"the coolant rises by {speed:.1f} K/min, faster than {most:g} K/min")]
        return []
