"""Candidates at their settings, and which settings another is shown to beat in both what they cost and what they give.

One setting beats another where both sides are shown: better by more than what matters in one, and not worse by as much in the
other (a claim of two parts, each tested by itself: R. L. Berger, Technometrics 24 (1982), 295–300; over all settings that it is
held against by C. E. Bonferroni's inequality). What cannot be told apart beats nothing.
"""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass, replace

import numpy as np
from numpy.typing import NDArray

from kuffin.core.base.student import t_quantile
from kuffin.verdict.along import Sweep

Array = NDArray[np.float64]


@dataclass(frozen=True, kw_only=True)
class SettingPoint:
    """A candidate at one setting: means over its mounts, and what beats it.

    Attributes
    ----------
    x, y : float
        Along the axis, and the outcome there.
    x_half, y_half : float or None
        Half-widths of 95 % from the mounts; None with one mount.
    beaten_by : str
        Another setting that is shown to beat it; blank for none.
    maybe_by : str
        One that is better in both by its means, where a single mount leaves nothing to show; blank for none.
    """

    candidate: str
    condition: str
    x: float
    y: float
    x_half: float | None
    y_half: float | None
    beaten_by: str = ""
    maybe_by: str = ""


@dataclass(frozen=True)
class _Spot:
    """A setting's mounts along the axis and in the outcome, each shape (n,), so that less is better in both."""

    point: SettingPoint
    x: Array
    y: Array


def settings_of(sweep: Sweep, matters: float | None) -> list[SettingPoint]:
    """Every candidate at every setting, from the least along the axis to the most.

    Parameters
    ----------
    matters : float or None
        The smallest difference that matters in the outcome; None: none is told, so nothing is shown to beat anything.
    """
    per: dict[tuple[str, str], list[tuple[float, float]]] = {}
    for p in sweep.points:
        per.setdefault((p.candidate, p.condition), []).append((p.x, p.y))
    found = []
    for (candidate, condition), pairs in per.items():
        (x, x_half), (y, y_half) = (_mean(z) for z in zip(*pairs, strict=True))
        found.append(SettingPoint(candidate=candidate, condition=condition, x=x, y=y, x_half=x_half, y_half=y_half))
    less, sign = (1.0 if sweep.axis.fewer_is_better else -1.0), (-1.0 if sweep.outcome.higher_is_better else 1.0)
    spots = [
        _Spot(point, *(np.array(z, float) * s for z, s in zip(zip(*pairs, strict=True), (less, sign), strict=True)))
        for point, pairs in zip(found, per.values(), strict=True)
    ]
    return sorted((_against(one, spots, sweep.axis.matters, matters) for one in spots), key=lambda s: s.x)


def _mean(values: Sequence[float]) -> tuple[float, float | None]:
    x = np.array(values, float)
    if x.size < 2:
        return float(x.mean()), None
    return float(x.mean()), float(t_quantile(0.975, x.size - 1.0) * x.std(ddof=1) / np.sqrt(x.size))


def _against(one: _Spot, spots: Sequence[_Spot], matters_x: float, matters_y: float | None) -> SettingPoint:
    """A setting with the best of those that beat it."""
    rest = [o for o in spots if o is not one]

    def name(o: _Spot) -> str:
        return f"{o.point.candidate}, {o.point.condition}"

    def gain(o: _Spot) -> float:
        return float(one.y.mean() - o.y.mean())

    if matters_y is not None:
        level = 1 - 0.05 / max(len(rest), 1)

        def beats(o: _Spot) -> bool:
            x, y = _at_least(one.x, o.x, level) / matters_x, _at_least(one.y, o.y, level) / matters_y
            return min(x, y) > -1 and max(x, y) > 1

        sure = [o for o in rest if beats(o)]
        if sure:
            return replace(one.point, beaten_by=name(max(sure, key=gain)))
    maybe = [
        o
        for o in rest
        if min(one.x.size, o.x.size) < 2 and gain(o) > (matters_y or 0.0) and one.x.mean() - o.x.mean() > matters_x
    ]
    return replace(one.point, maybe_by=name(max(maybe, key=gain))) if maybe else one.point


def _at_least(one: Array, other: Array, level: float) -> float:
    """By how much another is less at least, one-sided at a level, by Welch's interval; −∞ where a single mount tells nothing."""
    if min(one.size, other.size) < 2:
        return float("-inf")
    parts = np.array([one.var(ddof=1) / one.size, other.var(ddof=1) / other.size])
    se = float(np.sqrt(parts.sum()))
    if se == 0:
        return float(one.mean() - other.mean())
    df = se**4 / float(np.sum(parts**2 / (np.array([one.size, other.size]) - 1)))
    return float(one.mean() - other.mean()) - t_quantile(level, df) * se
