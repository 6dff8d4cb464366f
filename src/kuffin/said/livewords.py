"""A running bench in figures with their state in words: what is read from two metres."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from itertools import pairwise

import numpy as np

from kuffin.core.base.language import tr
from kuffin.core.bench.roles import SIGNALS, spoken
from kuffin.core.compare.pairwords import number
from kuffin.core.heat.heatpath import Rise, StairLevel, step
from kuffin.reading.signals import Array, Signals

_SMOOTH_S = 20.0
_TREND_S = 150.0
_STEADY_K_MIN = 0.04


@dataclass(frozen=True, kw_only=True)
class LiveFigure:
    """One big figure.

    Attributes
    ----------
    value : float or None
        None where it has said nothing lately.
    state : str
        In words: steady, rising 0.4 K/min, silent …
    """

    label: str
    value: float | None
    unit: str
    state: str
    digits: int = 1


def smooth(times: Array, values: Array | None) -> float | None:
    """The mean of the last twenty seconds (or five readings), None where nothing came."""
    if values is None or not times.size:
        return None
    recent = np.flatnonzero(np.isfinite(values) & (times > times[-1] - 6 * _SMOOTH_S))
    if not recent.size:
        return None
    inside = recent[times[recent] > times[-1] - _SMOOTH_S]
    return float(np.mean(values[inside if inside.size >= 5 else recent[-5:]]))


def trend(times: Array, values: Array) -> str:
    """How a temperature moves, in words."""
    known = np.isfinite(values) & (times > times[-1] - _TREND_S)
    if known.sum() < 8:
        return ""
    t, v = times[known] - times[-1], values[known]
    slope = 60.0 * float(np.polyfit(t, v, 1)[0])
    left = v - np.polyval(np.polyfit(t, v, 1), t)
    unsure = 120.0 * float(left.std()) / max(float(t.std()) * np.sqrt(known.sum()), 1e-9)
    if abs(slope) < max(_STEADY_K_MIN, unsure):
        return tr("steady")
    by = number(abs(slope), 1 if abs(slope) >= 0.95 else 2)
    return tr("rising {by} K/min" if slope > 0 else "falling {by} K/min", by=by)


def load_words(times: Array, power: Array | None, loaded: bool | None) -> str:
    """What the load does; None: the run is over, and so is its load: dips between two passes of a looped load are no loss of load."""
    if power is None:
        return tr("no channel")
    if loaded is None:
        return tr("the run is over")
    known = np.isfinite(power) & (times > times[-1] - 600)
    if known.sum() < 5:  # too little to say what it does
        return "" if known.any() else tr("silent")
    t, p = times[known], power[known]
    if not loaded:
        return tr("idle")
    usual = float(np.percentile(p, 75))
    low = p < 0.75 * usual
    if not low[-1]:
        dips = int(np.count_nonzero(low[1:] & ~low[:-1]))
        return tr("looped load, {dips} dips", dips=dips) if dips > 1 else tr("under load")
    since = t[-1] - (t[np.flatnonzero(~low)[-1]] if (~low).any() else t[0])
    return tr("dip between two passes") if since < 30 else tr("the load has been low for {since:.0f} s", since=since)


def figures(
    s: Signals,
    extra: Sequence[tuple[str, str, Array]],
    loaded: bool | None,
    device: str | None = None,
    others: Mapping[str, Signals] | None = None,
    asked: tuple[str, str] = ("die", "coolant"),
) -> list[LiveFigure]:
    """The big figures.

    Parameters
    ----------
    device, others : str and mapping of device to Signals, optional
        Where several devices are on the bench: whose die `s` has, and the others'.
    extra : sequence of (label, unit, values)
        Flow, sound and the like.
    loaded : bool or None
        Whether the load is on; None once the run is over.
    asked : (str, str)
        What the study is judged by: a part, and what its rise is taken over. It comes first where it is none of the heat path.
    """
    out = []
    coolant, air = tr("coolant"), tr("air")
    beside = [(name, coolant, one.die, one.inlet) for name, one in (others or {}).items()]
    own = device if beside and device else tr("die")
    part, over = asked
    first = (
        [(tr(spoken(part)), tr(spoken(over)), s.get(part), s.base(part, over))]
        if not {part, over} <= set(SIGNALS)
        else []
    )
    path = [(own, coolant, s.die, s.inlet), *beside, (coolant, air, s.coolant, s.air)]
    for part, base, upper, lower in first + path:
        if upper is None:
            continue
        rise = upper - lower if lower is not None else None
        value = smooth(s.times, rise)
        if rise is not None and value is not None:
            out.append(
                LiveFigure(
                    label=tr("{part} over {base}", part=part, base=base),
                    value=value,
                    unit="K",
                    state=trend(s.times, rise),
                )
            )
        else:  # without what it is held against, it is told as it is read
            value = smooth(s.times, upper)
            out.append(
                LiveFigure(
                    label=part, value=value, unit="°C", state=tr("silent") if value is None else trend(s.times, upper)
                )
            )
    power = s.load()
    if power is not None:
        known = power[np.isfinite(power)]
        out.append(
            LiveFigure(
                label=tr("power"),
                value=float(known[-1]) if known.size else None,
                unit="W",
                state=load_words(s.times, power, loaded),
                digits=0,
            )
        )
    for label, unit, values in extra:
        value = smooth(s.times, values)
        out.append(
            LiveFigure(label=label, value=value, unit=unit, state=tr("silent") if value is None else "", digits=0)
        )
    return out


def stairs(
    s: Signals,
    others: Sequence[tuple[str, Array]] = (),
    device: str | None = None,
    beside: Mapping[str, Signals] | None = None,
) -> tuple[list[StairLevel], list[Rise]]:
    """The staircase of the moment: air, coolant, die, other parts; then other devices, which rise from the coolant too.

    Parameters
    ----------
    device, beside : as `figures`
        Where there are others, each die goes by its device, and other parts are left out.
    """
    levels = []
    own = device if beside and device else tr("die")
    for name, values in ((tr("air"), s.air), (tr("coolant"), s.coolant), (own, s.die), *(() if beside else others)):
        value = smooth(s.times, values)
        if value is not None:
            levels.append(StairLevel(name, value))
    power = smooth(s.times, s.power)
    steps = [step(a.name, b.name, b.temperature_c - a.temperature_c, 0.0, power) for a, b in pairwise(levels)]
    for name, one in (beside or {}).items():
        value, inlet = smooth(one.times, one.die), smooth(one.times, one.inlet)
        if value is not None and inlet is not None:
            levels.append(StairLevel(name, value, beside=True))
            steps.append(step(tr("coolant"), name, value - inlet, 0.0, smooth(one.times, one.power)))
    return levels, steps
