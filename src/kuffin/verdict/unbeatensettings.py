"""Candidates at their settings, and which settings no other beats in both what they cost and what they give."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass, replace

import numpy as np

from kuffin.core.base.student import t_quantile
from kuffin.verdict.along import Sweep


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
        Another setting that is better in both; blank for none.
    surely : bool
        Whether that holds beyond what the mounts scatter.
    """

    candidate: str
    condition: str
    x: float
    y: float
    x_half: float | None
    y_half: float | None
    beaten_by: str = ""
    surely: bool = False


def settings_of(sweep: Sweep) -> list[SettingPoint]:
    """Every candidate at every setting, from the least along the axis to the most."""
    per: dict[tuple[str, str], list[tuple[float, float]]] = {}
    for p in sweep.points:
        per.setdefault((p.candidate, p.condition), []).append((p.x, p.y))
    found = []
    for (candidate, condition), pairs in per.items():
        (x, x_half), (y, y_half) = (_mean(z) for z in zip(*pairs, strict=True))
        found.append(SettingPoint(candidate=candidate, condition=condition, x=x, y=y, x_half=x_half, y_half=y_half))
    less, sign = (1.0 if sweep.axis.fewer_is_better else -1.0), (-1.0 if sweep.outcome.higher_is_better else 1.0)
    return sorted((_against(one, found, less, sign) for one in found), key=lambda s: s.x)


def _mean(values: Sequence[float]) -> tuple[float, float | None]:
    x = np.array(values, float)
    if x.size < 2:
        return float(x.mean()), None
    return float(x.mean()), float(t_quantile(0.975, x.size - 1.0) * x.std(ddof=1) / np.sqrt(x.size))


def _against(one: SettingPoint, others: Sequence[SettingPoint], less: float, sign: float) -> SettingPoint:
    """A setting with the best of those that beat it: clearly better in one, and not clearly worse in the other.

    Where a single mount leaves nothing clear, one that is better in both by its means beats it, but not surely.
    """

    def gaps(o: SettingPoint) -> tuple[float, float]:
        """By how much another is better, along the axis and in the outcome."""
        return less * (one.x - o.x), sign * (one.y - o.y)

    def clear(gap: float, a: float | None, b: float | None) -> bool:
        return a is not None and b is not None and gap > float(np.hypot(a, b))

    def beats(o: SettingPoint) -> bool:
        x, y = gaps(o)
        ends = ((x, one.x_half, o.x_half), (y, one.y_half, o.y_half))
        return any(clear(g, a, b) for g, a, b in ends) and not any(clear(-g, a, b) for g, a, b in ends)

    rest = [o for o in others if o is not one]
    surely = [o for o in rest if beats(o)]
    better = surely or [o for o in rest if min(gaps(o)) > 0 and (one.x_half is None or o.x_half is None)]
    if not better:
        return one
    by = max(better, key=lambda o: gaps(o)[1])
    return replace(one, beaten_by=f"{by.candidate}, {by.condition}", surely=bool(surely))
