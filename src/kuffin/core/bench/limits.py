"""Limits of a run, watched while it is recorded. Kuffin is no safety device: this watching can fail with the computer."""

from __future__ import annotations

from collections.abc import Collection, Iterable, Mapping
from dataclasses import asdict, dataclass, field, fields, replace
from typing import Any

import numpy as np
from numpy.typing import NDArray

from kuffin.core.base.language import mark, tr
from kuffin.core.base.saying import say
from kuffin.core.bench.roles import COOLANT, DIE, SIGNALS

Array = NDArray[np.float64]

NO_SAFETY_DEVICE = (
    "Kuffin watches these limits while it records, but it is no safety device: it can be late, or stopped, or read a "
    "probe that has slipped off. The parts' own protection and whoever stands at the bench come first."
)


@dataclass(frozen=True, kw_only=True)
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

    def to_plain(self) -> dict[str, Any]:
        """All limits as they are kept."""
        return asdict(self)

    @property
    def any(self) -> bool:
        """Whether there is a limit at all."""
        return any(getattr(self, f.name) not in (None, False) for f in fields(self))

    def sentence(self) -> str:
        """The limits in words."""
        parts = []
        if self.die_c is not None:
            parts.append(tr("die at {at:g} °C", at=float(self.die_c)))
        if self.coolant_c is not None:
            parts.append(tr("coolant at {at:g} °C", at=float(self.coolant_c)))
        if self.flow_l_h is not None:
            parts.append(tr("flow under {at:g} L/h", at=float(self.flow_l_h)))
        if self.pump_rpm is not None:
            parts.append(tr("pump under {at:g} rpm", at=float(self.pump_rpm)))
        if self.rise_k_min is not None:
            parts.append(tr("coolant rising faster than {at:g} K/min", at=float(self.rise_k_min)))
        if self.leak:
            parts.append(tr("a leak sensor that answers"))
        return tr("the load is stopped at: {limits}", limits=", ".join(parts)) if parts else tr("no limit is set")


# what each limit is called, and the roles of the channels that tell what it is held against
_TOLD_BY: dict[str, tuple[str, tuple[str, ...]]] = {
    "die_c": (mark("die"), DIE),
    "coolant_c": (mark("coolant"), COOLANT),
    "flow_l_h": (mark("flow"), ("flow",)),
    "pump_rpm": (mark("pump speed"), ("pump",)),
    "rise_k_min": (mark("the coolant's rise"), COOLANT),
    "leak": (mark("leak sensor"), ("leak",)),
}
# without these there is no verdict
_VERDICT_RESTS_ON = {role: signal.key for signal in SIGNALS.values() for role in signal.roles}


def watchable(limits: Limits, roles: Collection[str | None]) -> tuple[Limits, list[str]]:
    """The limits that channels of these roles let one watch, and the names of the others."""
    off = {k: label for k, (label, any_of) in _TOLD_BY.items() if getattr(limits, k) and not set(any_of) & set(roles)}
    without: dict[str, Any] = {key: False if key == "leak" else None for key in off}
    return replace(limits, **without), list(off.values())


@dataclass(frozen=True)
class Alarm:
    """A limit that is near, or passed.

    Attributes
    ----------
    stop : bool
        Passed: the load is to be stopped. Otherwise a warning.
    limit : str
        Which of `Limits` it is about; blank: none.
    """

    key: str
    stop: bool
    sentence: str
    limit: str = ""


_NEAR_K = 3.0
SILENT = "silent"  # begins the key of an alarm about a channel that says nothing
_SILENT_S = 15.0
_YET_S = 5.0  # the same of a channel that has not spoken at all
_HELD_S = 2.5  # one wild reading is no alarm
_FORGETS = 0.5  # a second below a limit takes half a second off what was past it


@dataclass(frozen=True, kw_only=True)
class Watched:
    """What one limit is held against.

    Attributes
    ----------
    roles : tuple of str
        Every channel of these is watched: the worst counts.
    lowest : bool
        Whether the limit is one that must not be fallen below, once it has been reached.
    grace : float
        What is allowed beyond the limit.
    """

    key: str
    label: str
    roles: tuple[str, ...]
    unit: str
    lowest: bool = False
    grace: float = 0.0


WATCHED = (
    Watched(key="die_c", label="die", roles=("die",), unit="°C"),
    # a hot spot is hotter by nature: it has fifteen kelvins more
    Watched(key="die_c", label="hot spot", roles=("hot_spot",), unit="°C", grace=15.0),
    Watched(key="coolant_c", label="coolant", roles=COOLANT, unit="°C"),
    Watched(key="flow_l_h", label="flow", roles=("flow",), unit="L/h", lowest=True),
    Watched(key="pump_rpm", label="pump", roles=("pump",), unit="rpm", lowest=True),
)


@dataclass(kw_only=True)
class _Past:
    """How long a channel has been past its limit, and by how many readings."""

    at_s: float
    over: bool = False
    held_s: float = 0.0
    readings: int = 0
    spoke_s: float = float("-inf")

    def look(self, over: bool, now_s: float, spoke_s: float) -> bool:
        """Whether it has been past it for long enough."""
        passed = max(0.0, now_s - self.at_s)
        self.held_s = min(max(self.held_s + (passed if self.over else -_FORGETS * passed), 0.0), _HELD_S)
        if not over and self.held_s == 0.0:
            self.readings = 0
        if over and spoke_s > self.spoke_s:
            self.readings += 1
        self.at_s, self.over, self.spoke_s = now_s, over, max(spoke_s, self.spoke_s)
        return over and self.held_s >= _HELD_S and self.readings >= 2


# a channel's name, its role, and its newest value
Newest = tuple[str, str | None, float]


@dataclass(kw_only=True)
class Watch:
    """Watches limits through a run: asked about once a second with the newest values of all channels.

    A limit counts as passed where any channel of its role has been past it for a few seconds, by two readings or more, so
    that one wild reading stops nothing, and no channel hides behind another. Time below the limit counts half against time
    past it: three readings of four past a limit stop the load as well. Nor does silence pass for calm: a channel that says
    nothing, or has not spoken yet, is told of, where a limit or the verdict needs it.

    Parameters
    ----------
    patience_s : mapping
        After how many seconds without a word a channel counts as silent, where that is not the usual.
    """

    limits: Limits
    patience_s: Mapping[str, float] = field(default_factory=dict)
    _past: dict[str, _Past] = field(default_factory=dict)
    _reached: set[str] = field(default_factory=set)
    _coolant: dict[str, list[tuple[float, float]]] = field(default_factory=dict)
    _seen: dict[str, float] = field(default_factory=dict)
    _roles: dict[str, str | None] = field(default_factory=dict)
    _since: dict[str, float] = field(default_factory=dict)

    def excuse(self, now_s: float) -> None:
        """Nobody could speak until now: the computer was suspended."""
        for times in (self._seen, self._since):
            times.update(dict.fromkeys(times, now_s))

    def look(
        self, now_s: float, newest: Iterable[Newest], loaded: bool, spoke_s: Mapping[str, float] | None = None
    ) -> list[Alarm]:
        """What is near its limit or past it.

        Parameters
        ----------
        now_s : float
            Seconds of the bench.
        newest : iterable of (name, role, value)
            Every channel; NaN and what lacks is passed over.
        loaded : bool
            Whether the load runs.
        spoke_s : mapping, optional
            When each channel told something last; else it is taken from `newest`.
        """
        found: list[Alarm] = []
        by_role: dict[str, list[tuple[str, float]]] = {}
        for name, role, value in newest:
            self._roles[name] = role
            self._since.setdefault(name, now_s)
            if role and np.isfinite(value):
                by_role.setdefault(role, []).append((name, float(value)))
                self._seen[name] = now_s
        self._seen.update(spoke_s or {})
        for watched in WATCHED:
            limit = getattr(self.limits, watched.key)
            channels = [c for role in watched.roles for c in by_role.get(role, ())]
            if limit is None or not channels:
                continue
            worst: Alarm | None = None
            for name, value in sorted(channels, key=lambda c: c[1], reverse=not watched.lowest):
                label = (
                    say("the {part} ({name})", part=say(watched.label), name=name)
                    if len(channels) > 1
                    else say("the {part}", part=say(watched.label))
                )
                alarm = self._lowest if watched.lowest else self._highest
                # what never ran is no alarm beside one that did: an unused header reads nothing
                due = loaded and not any(f"{watched.label} {n}" in self._reached for n, _ in channels)
                told = alarm(watched, name, label, value, limit + watched.grace, now_s, due)
                if told is not None and (worst is None or (told.stop and not worst.stop)):
                    worst = told
            if worst is not None:
                found.append(worst)
        for name, value in (c for role in COOLANT for c in by_role.get(role, ())):
            found += self._rise(name, now_s, value)[: 0 if any(a.key == "rise" for a in found) else 1]
        if self.limits.leak and any(value > 0.5 for _, value in by_role.get("leak", ())):
            found.append(Alarm("leak", True, say("the leak sensor answers: water may be out of the loop"), "leak"))
        return found + self._silences(now_s)

    def _silences(self, now_s: float) -> list[Alarm]:
        """Channels that have fallen silent, or have not spoken yet, those with a limit first."""
        watched: list[Alarm] = []
        others: list[Alarm] = []
        for name, begun in self._since.items():
            role, spoke = self._roles.get(name), name in self._seen
            since = now_s - self._seen.get(name, begun)
            patience = self.patience_s.get(name, _SILENT_S)
            if role is None or since <= (patience if spoke else max(_YET_S, patience / 3)):
                continue
            limits = [
                label for key, (label, any_of) in _TOLD_BY.items() if role in any_of and getattr(self.limits, key)
            ]
            label = _VERDICT_RESTS_ON.get(role) or (limits[0] if limits else "")
            if limits:
                said = say(
                    "the {label} ({name}) has said nothing for {since:.0f} s: its limit is not watched"
                    if spoke
                    else "the {label} ({name}) has not spoken yet, for {since:.0f} s: its limit is not watched",
                    label=say(label),
                    name=name,
                    since=since,
                )
                watched.append(Alarm(f"{SILENT} {name}", False, said))
            elif label and spoke:
                said = say(
                    "the {label} ({name}) has said nothing for {since:.0f} s: what rests on it cannot be told",
                    label=say(label),
                    name=name,
                    since=since,
                )
                others.append(Alarm(f"{SILENT} {name}", False, said))
        return watched + others

    def _highest(
        self, watched: Watched, name: str, label: str, value: float, limit: float, now_s: float, _due: bool
    ) -> Alarm | None:
        past = self._held(watched, name, value >= limit, now_s)
        near = self._held(watched, name, value >= limit - _NEAR_K, now_s, "near")
        if past:
            return Alarm(
                watched.label,
                True,
                say(
                    "{label} is at {value:.0f} °C, past its limit of {limit:g} °C",
                    label=label,
                    value=value,
                    limit=limit,
                ),
                watched.key,
            )
        if near:
            return Alarm(
                watched.label,
                False,
                say(
                    "{label} is at {value:.0f} °C, close to its limit of {limit:g} °C",
                    label=label,
                    value=value,
                    limit=limit,
                ),
                watched.key,
            )
        return None

    def _lowest(
        self, watched: Watched, name: str, label: str, value: float, least: float, now_s: float, due: bool
    ) -> Alarm | None:
        key = f"{watched.label} {name}"
        if value >= least:
            self._reached.add(key)
        if self._held(watched, name, (key in self._reached or due) and value < least, now_s):
            said = say(
                "{label} has fallen to {value:.0f} {unit}, under {least:g} {unit}",
                label=label,
                value=value,
                unit=watched.unit,
                least=least,
            )
            return Alarm(watched.label, True, said, watched.key)
        return None

    def _held(self, watched: Watched, name: str, over: bool, now_s: float, what: str = "past") -> bool:
        key = f"{watched.label} {name} {what}"
        return self._past.setdefault(key, _Past(at_s=now_s)).look(over, now_s, self._seen[name])

    def _rise(self, name: str, now_s: float, coolant: float) -> list[Alarm]:
        most = self.limits.rise_k_min
        if most is None:
            return []
        spoke = self._seen[name]
        rows = [(t, c) for t, c in self._coolant.get(name, []) if t >= now_s - 60][-600:]
        if not rows or spoke > rows[-1][0]:
            rows.append((spoke, coolant))
        self._coolant[name] = rows
        if rows[-1][0] - rows[0][0] < 25 or len(rows) < 9:
            return []
        # medians of the first and the last third: one wild reading is no rise
        times, levels = (np.array(x) for x in zip(*rows, strict=True))
        third = len(levels) // 3
        rise = float(np.median(levels[-third:]) - np.median(levels[:third]))
        speed = 60.0 * rise / float(np.mean(times[-third:]) - np.mean(times[:third]))
        if speed > most:
            return [
                Alarm(
                    "rise",
                    True,
                    say(
                        "the coolant rises by {speed:.1f} K/min, faster than {most:g} K/min",
                        speed=speed,
                        most=float(most),
                    ),
                    "rise_k_min",
                )
            ]
        return []
