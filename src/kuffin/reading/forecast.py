"""Watching a warm-up: its time constant, the level it is heading for, kelvins and minutes to go."""

from __future__ import annotations

from dataclasses import dataclass, field, replace
from typing import Any

import numpy as np

from kuffin.core.base.errors import KuffinError
from kuffin.core.base.language import mark, tr
from kuffin.core.compare.pairwords import number
from kuffin.core.settle import Settling
from kuffin.reading.evaluating import settle_trace
from kuffin.reading.signals import Array, Signals

FIRST_LOOK_S = 420.0  # before, the fit says nothing
_TO_BE_SURE_S = 400.0  # from the drift's being small to its being surely so: the median of 60 simulated warm-ups
_ROOM_MOVED_K = 0.4  # in ten minutes
_DISTURBED = {
    "fan": mark(
        "the fans ran at {was:.0f} rpm until {until:.0f} min into the step and at {now:.0f} since: "
        "the warm-up was disturbed, and the level counts from there"
    ),
    "pump": mark(
        "the pump ran at {was:.0f} rpm until {until:.0f} min into the step and at {now:.0f} since: "
        "the warm-up was disturbed, and the level counts from there"
    ),
}


@dataclass(frozen=True, kw_only=True)
class Forecast:
    """What the warm-up so far points to.

    Attributes
    ----------
    left_s : float or None
        Until it is expected to have settled; None where nothing tells.
    settling : Settling or None
        The fit, once there is enough to fit.
    whence : str
        ``fit``, ``others`` (the study's other runs) or blank.
    room_k_10min : float
        How the air moves, K in ten minutes.
    disturbed : str
        What was changed while it warmed up, such as fans held for pre-heating and let go; blank for nothing.
    """

    left_s: float | None = None
    settling: Settling | None = field(default=None, repr=False)
    whence: str = ""
    room_k_10min: float = 0.0
    looked_s: float = 0.0
    why_not: str = ""
    disturbed: str = ""

    @property
    def settled(self) -> bool:
        """Whether the run has come to rest."""
        return self.settling is not None and self.settling.settled

    def sentences(self) -> list[str]:
        """In words, the level first."""
        out = []
        s = self.settling
        if s is not None and s.warm_up.tau_s:
            go = abs(s.level.to_go)
            out.append(
                tr(
                    "heading for {final:.1f} ± {half:.1f} K, {go:.1f} K to go, time constant {tau:.0f} min",
                    final=s.warm_up.final,
                    half=s.final_u95,
                    go=go,
                    tau=s.warm_up.tau_s / 60,
                )
            )
        elif s is not None:
            out.append(
                tr(
                    "{mean} ± {half} K, drift {drift} K in 10 min",
                    mean=number(s.window.mean, 2),
                    half=number(s.mean_u95, 2),
                    drift=number(s.drift.per_10min, 2),
                )
            )
        elif self.whence == "others":
            out.append(tr("the time to go is what the study's other runs took"))
        if s is not None and s.load.step_s is not None:
            out.append(
                tr("something changed {at:.0f} min into the run; the level counts from there", at=s.load.step_s / 60)
            )
        if self.disturbed:
            out.append(self.disturbed)
        if abs(self.room_k_10min) > _ROOM_MOVED_K:
            out.append(tr("the room moves by {by} K in 10 min: door, sun or heating?", by=number(self.room_k_10min, 1)))
        return out


def forecast(
    signals: Signals, trace: str, tolerance_k: float, begun_s: float, usual_s: float | None = None
) -> Forecast:
    """Look ahead from what was recorded so far.

    With a first-order approach of time constant τ and Δ still to go, the drift per 10 minutes, Δ·600/τ, falls to the
    tolerance after τ·ln(|Δ|·600/(τ·tolerance)). To that comes the time until it is surely so.

    Parameters
    ----------
    begun_s : float
        When the step began.
    usual_s : float, optional
        How long the study's other runs took to settle, from their load's start.
    """
    now = float(signals.times[-1])
    since = now - begun_s
    room = _room(signals)
    rough = None if usual_s is None else max(usual_s - since, 0.0)
    whence = "others" if usual_s is not None else ""
    if since < FIRST_LOOK_S:
        return Forecast(left_s=rough, settling=None, whence=whence, room_k_10min=room, looked_s=now)
    try:
        found = settle_trace(_since(signals, begun_s - 60.0), trace, tolerance_k)
    except KuffinError as error:
        return Forecast(left_s=rough, settling=None, whence=whence, room_k_10min=room, looked_s=now, why_not=str(error))
    if found.settled:
        return Forecast(left_s=0.0, settling=found, whence="fit", room_k_10min=room, looked_s=now)
    if not found.warm_up.tau_s:
        return Forecast(left_s=rough, settling=found, whence=whence, room_k_10min=room, looked_s=now)
    drift = abs(found.level.to_go) * 600.0 / found.warm_up.tau_s
    left = found.warm_up.tau_s * float(np.log(max(drift / tolerance_k, 1.0))) + _TO_BE_SURE_S
    return Forecast(left_s=left, settling=found, whence="fit", room_k_10min=room, looked_s=now)


def disturbance(times: Array, speeds: dict[str, Array], begun_s: float) -> str:
    """What was changed during a warm-up: fans or pump at another speed for a while, blank for nothing.

    Parameters
    ----------
    speeds : dict of role to its channel, shape (n,)
        ``fan`` and ``pump``, rpm.
    """
    for role, what in _DISTURBED.items():
        if role not in speeds:
            continue
        inside = np.isfinite(speeds[role]) & (times > begun_s + 20)
        t, v = times[inside], speeds[role][inside]
        if t.size < 20:
            continue
        now = float(np.median(v[-9:]))
        other = np.abs(v - now) > max(0.08 * abs(now), 40.0)
        away = np.flatnonzero(other)
        if away.size >= 9:  # a while, not a wild reading
            was, last = float(np.median(v[away])), float(t[away[-1]])
            return tr(what, was=was, until=(last - begun_s) / 60, now=now)
    return ""


def _since(s: Signals, begin_s: float) -> Signals:
    at = int(np.searchsorted(s.times, begin_s))

    def cut(x: Array | None) -> Array | None:
        return None if x is None else x[at:]

    cuts: dict[str, Any] = {k: cut(getattr(s, k)) for k in ("die", "coolant", "air", "power", "heat", "warmed")}
    return replace(s, times=s.times[at:], further={part: x[at:] for part, x in s.further.items()}, **cuts)


def _room(s: Signals) -> float:
    """The air's slope over the last ten minutes, K in ten minutes; 0 where it is not known."""
    if s.air is None:
        return 0.0
    recent = (s.times > s.times[-1] - 600) & np.isfinite(s.air)
    if recent.sum() < 20 or s.times[recent][-1] - s.times[recent][0] < 180:
        return 0.0
    return 600.0 * float(np.polyfit(s.times[recent] - s.times[-1], s.air[recent], 1)[0])
