"""The control chart of the baseline: whether the bench is still the one that it was.

References
----------
W. A. Shewhart, *Economic Control of Quality of Manufactured Product* (1931): limits at three standard deviations, here of
single mounts. Where the standard deviation is itself estimated, Student's t stands in for three: as rarely passed by chance.
"""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from kuffin.core.base.language import tr
from kuffin.core.base.student import t_quantile, t_two_sided_p

Array = NDArray[np.float64]
_THREE_SIGMA = 0.99865


@dataclass(frozen=True, kw_only=True)
class Moved:
    """How the baseline moved.

    Attributes
    ----------
    way : str
        ``step``: to another level at a place; ``trend``: steadily.
    at : int
        A step's place: the index of the first reading after it; 0 for a trend.
    by, u95 : float
        How far, in the readings' unit: from before to after a step, or from the first to the last of a trend.
    p : float
        The chance of as much by scatter alone, for all the ways that were tried together.
    """

    way: str
    at: int
    by: float
    u95: float
    p: float


@dataclass(frozen=True, kw_only=True)
class ControlChart:
    """The baseline's readings in bench order, with their centre, limits, and whether they moved.

    Attributes
    ----------
    values : ndarray, shape (n,)
    levels : ndarray, shape (n,)
        What each would be without scatter: the centre, or the levels before and after a move.
    outside : tuple of int
        Readings outside the limits.
    sd, df, factor : float
        The standard deviation, its degrees of freedom, and how many of it the limits are from the centre.
    """

    values: Array
    centre: float
    low: float
    high: float
    levels: Array
    outside: tuple[int, ...]
    moved: Moved | None
    why_not: str = ""
    sd: float = 0.0
    df: float = 0.0
    factor: float = 0.0


def control_chart(
    values: Sequence[float], days: Sequence[str], sd: float | None = None, df: float = 0.0, alpha: float = 0.05
) -> ControlChart:
    """Chart the baseline's readings.

    Parameters
    ----------
    values : sequence of float, length n
        In the order in which they were made.
    days : sequence of str, length n
        The day of each; a step is looked for between two days, or between any two readings where all are of one day.
    sd, df : float, optional
        How far mounts scatter, from elsewhere in the study; without it, or with fewer than three degrees of freedom, from
        the readings themselves.
    alpha : float
        The chance of a false alarm over all that is tried.
    """
    y = np.asarray(values, float)
    n = y.size
    if n < 2:
        centre = float(y.mean()) if n else 0.0
        return ControlChart(
            values=y,
            centre=centre,
            low=-np.inf,
            high=np.inf,
            levels=y.copy(),
            outside=(),
            moved=None,
            why_not=tr("the baseline has one reading; two or more tell"),
        )
    known = sd is not None and sd > 0 and df >= 3
    centre = float(y.mean())
    spread, free = (float(sd or 0.0), float(df)) if known else (float(y.std(ddof=1)), float(n - 1))
    factor = t_quantile(_THREE_SIGMA, max(free, 1.0))
    half = factor * spread
    places = [i for i in range(1, n) if days[i] != days[i - 1]] or list(range(1, n))
    tried: list[Moved] = []
    lines: list[Array] = []
    for at in places:
        level = np.where(np.arange(n) < at, y[:at].mean(), y[at:].mean())
        by = float(y[at:].mean() - y[:at].mean())
        _try(tried, lines, "step", at, by, float(np.sqrt(1 / at + 1 / (n - at))), level, y, known, spread, free)
    x = np.arange(n) - (n - 1) / 2
    slope = float(x @ y / (x @ x))
    _try(
        tried,
        lines,
        "trend",
        0,
        slope * (n - 1),
        float((n - 1) / np.sqrt(x @ x)),
        np.asarray(centre + slope * x, float),
        y,
        known,
        spread,
        free,
    )
    outside = tuple(int(i) for i in np.flatnonzero(np.abs(y - centre) > half))
    if not tried:
        return ControlChart(
            values=y,
            centre=centre,
            low=centre - half,
            high=centre + half,
            levels=np.full(n, centre),
            outside=outside,
            moved=None,
            why_not=tr("too few readings"),
            sd=spread,
            df=free,
            factor=factor,
        )
    best = min(range(len(tried)), key=lambda i: tried[i].p)
    m = tried[best]
    found = Moved(way=m.way, at=m.at, by=m.by, u95=m.u95, p=min(1.0, m.p * len(tried)))
    moved = found if found.p < alpha else None
    levels = lines[best] if moved is not None else np.full(n, centre)
    return ControlChart(
        values=y,
        centre=centre,
        low=centre - half,
        high=centre + half,
        levels=levels,
        outside=outside,
        moved=moved,
        why_not="",
        sd=spread,
        df=free,
        factor=factor,
    )


def _try(
    tried: list[Moved],
    lines: list[Array],
    way: str,
    at: int,
    by: float,
    unscaled: float,
    level: Array,
    y: Array,
    known: bool,
    spread: float,
    free: float,
) -> None:
    if not known:  # the readings' own scatter about what is tried
        free = y.size - 2.0
        if free < 1:
            return
        spread = float(np.sqrt(np.sum((y - level) ** 2) / free))
    se = max(spread * unscaled, 1e-12)
    tried.append(Moved(way=way, at=at, by=by, u95=t_quantile(0.975, free) * se, p=t_two_sided_p(by / se, free)))
    lines.append(level)
