"""Ageing: what a mount that was left in place reads after days, weeks and months, less what the baseline did over the same time.

Difference of differences (D. Card, A. B. Krueger, *American Economic Review* 84 (1994)): what moved both alike is the bench's.
A trend is linear in the logarithm of time, a step stands between two readings; which of the two by Akaike's criterion for few
readings (C. M. Hurvich, C.-L. Tsai, *Biometrika* 76 (1989)). The scatter is pooled over all mounts and never taken for less than the
readings' own; as what the control scatters is in all of them alike, its degrees of freedom are fewer than their sum.

Many mounts and many rechecks are many chances to be wrong: of the 5 % of a study each mount has its share (C. E. Bonferroni), and each
recheck is judged at a quarter of that: seven looks at data that grow add up to the whole (S. J. Pocock, *Biometrika* 64 (1977), table 1).
"""

from __future__ import annotations

import datetime as dt
from collections.abc import Mapping, Sequence
from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from kuffin.core.base.student import t_quantile

Array = NDArray[np.float64]
TREND, STEP, SO_FAR = "trend", "step", "so far"
LEAST_RECHECKS = 3
# K, of one mount from day to day against a control, where a study does not tell it: a guess, and how well it is known
USUAL_SD, USUAL_DF = 0.2, 4.0
NEAR_DAYS = 2.0  # so near must the baseline have been read, to stand for the bench of that day
_OF_EACH = 0.25  # of a mount's share, at each recheck
# the control's share of the scatter is taken for no less: half of it where all scatter alike
_COMMON = 0.5
_STEP_FROM = 6  # readings, from which the criterion can tell a step from a trend


@dataclass(frozen=True, kw_only=True)
class AgedReading:
    """A reading of a mount that was left in place.

    Attributes
    ----------
    days : float
        Since its first reading.
    value : float
        Less the baseline's at the same time.
    u95 : float
        The half-width of both together.
    unlike : float
        By how much the bench's move may be another at this mount's level than at the baseline's; see `less_baseline`.
    """

    days: float
    value: float
    u95: float
    unlike: float = 0.0


@dataclass(frozen=True, kw_only=True)
class Ageing:
    """How a mount changed over time.

    Attributes
    ----------
    way : str
        ``trend``, ``step``, or ``so far`` with fewer than three rechecks: then it is the last reading less the first.
    change : float
        From the first reading to the last, as fitted.
    half : float
        The half-width of its interval: 95 % over all mounts and rechecks of the study together.
    step_after : float or None
        Days: the step is between this reading and the next one.
    df : float
        Degrees of freedom of the scatter; 0: the readings' own alone.
    sd : float
        The scatter that the interval comes from.
    """

    way: str
    change: float
    half: float
    days: float
    step_after: float | None = None
    df: float = 0.0
    sd: float = 0.0
    control_open: bool = False  # the control changed by itself, and nobody can say whether it or the bench did

    @property
    def aged(self) -> bool:
        """Whether it may be said that it changed."""
        return self.way != SO_FAR and not self.control_open and abs(self.change) > self.half

    def at(self, days: float) -> float:
        """The fitted change at a time since the first reading."""
        if self.way == STEP and self.step_after is not None:
            return self.change if days > self.step_after else 0.0
        return self.change * float(log_time(days) / log_time(self.days)) if self.days > 0 else 0.0


def log_time(days: float | Array) -> Array:
    """Time as ageing goes by it: log10(1 + t/1 d).

    >>> [round(float(log_time(d)), 2) for d in (0.0, 9.0, 99.0)]
    [0.0, 1.0, 2.0]
    """
    return np.asarray(np.log10(1.0 + np.maximum(np.asarray(days, float), 0.0)), dtype=np.float64)


@dataclass(frozen=True, kw_only=True)
class _Fit:
    change: float
    unit_se: float  # the standard error of the change for a scatter of one
    rss: float
    parameters: int
    step: int | None = None


def ageing(readings: Mapping[str, Sequence[AgedReading]]) -> dict[str, Ageing]:
    """How each mount changed; those with one reading are left out.

    Parameters
    ----------
    readings : mapping of name to sequence of AgedReading
        In the order of time; the first is the mount's first reading.

    >>> at = (0, 1, 7, 30, 90)
    >>> noise = (0.02, -0.03, 0.01, 0.02, -0.02)
    >>> rows = [AgedReading(days=d, value=20 + 0.5 * float(log_time(d)) + e, u95=0.05) for d, e in zip(at, noise)]
    >>> found = ageing({"Chalk": rows})["Chalk"]
    >>> found.way, round(found.change, 1), found.aged
    ('trend', 1.0, True)
    """
    fits: dict[str, _Fit] = {}
    for name, rows in readings.items():
        if len(rows) > LEAST_RECHECKS:
            fits[name] = _best(log_time(np.array([r.days for r in rows])), np.array([r.value for r in rows]))
    df = _df({n: (readings[n], f) for n, f in fits.items()})
    freedom = float(sum(len(readings[n]) - f.parameters for n, f in fits.items()))
    mounts = sum(len(rows) > 1 for rows in readings.values())
    own = np.array([r.u95 / 1.96 for rows in readings.values() for r in rows])
    floor = float(np.sqrt(np.mean(own**2))) if own.size else 0.0
    sd = max(float(np.sqrt(sum(f.rss for f in fits.values()) / freedom)), floor) if freedom > 0 else floor
    out = {}
    for name, rows in readings.items():
        if len(rows) < 2:
            continue
        days = rows[-1].days
        fit = fits.get(name)
        if fit is None:
            # nothing is called ageing yet; what a mount differs by from day to day is in it all the same
            from_day, own_df = (sd, df) if df > 0 else (max(USUAL_SD, floor), USUAL_DF)
            half = t_quantile(0.975, own_df) * float(np.sqrt(2)) * from_day
            out[name] = Ageing(way=SO_FAR, change=rows[-1].value - rows[0].value, half=half, days=days)
            continue
        places = 1 if fit.step is None else len(rows) - 1  # a step was looked for at each of them
        half = t_quantile(1 - 0.025 * _OF_EACH / (mounts * places), df) * sd * fit.unit_se
        half += max(r.unlike for r in rows) - min(r.unlike for r in rows)  # it is one or the other, and no scatter
        out[name] = Ageing(
            way=TREND if fit.step is None else STEP,
            change=fit.change,
            half=half,
            days=days,
            step_after=None if fit.step is None else rows[fit.step - 1].days,
            df=df,
            sd=sd,
        )
    return out


def _df(fitted: Mapping[str, tuple[Sequence[AgedReading], _Fit]]) -> float:
    """The degrees of freedom of the pooled scatter: of m mounts whose readings scatter together in part.

    With the share ρ of the scatter that is common to all (the control's), m mounts of ν degrees of freedom each have m·ν/(1 + (m − 1)·ρ²)
    together (F. E. Satterthwaite, Biometrics Bulletin 2 (1946), 110–114).
    """
    each = [float(len(rows) - f.parameters) for rows, f in fitted.values()]
    m = len(each)
    if m < 2:
        return sum(each)
    rests = [_rest(rows, f) for rows, f in fitted.values()]
    products, squares = 0.0, 0.0
    for i, a in enumerate(rests):
        squares += sum(x * x for x in a.values()) / len(rests)
        for b in rests[:i]:
            near = [(x, b[d]) for d, x in a.items() if d in b]
            products += sum(x * y for x, y in near) / (m * (m - 1) / 2)
    common = min(max(products / squares, 0.0), 1.0) if squares > 0 else 1.0
    return sum(each) / (1 + (m - 1) * max(common, _COMMON) ** 2)


def _rest(rows: Sequence[AgedReading], fit: _Fit) -> dict[int, float]:
    """What a fit leaves of a mount's readings, by the day."""
    y = np.array([r.value for r in rows])
    shape = np.arange(y.size) >= fit.step if fit.step is not None else log_time(np.array([r.days for r in rows]))
    shape = shape - shape.mean()
    rest = y - y.mean() - shape * float(shape @ y) / max(float(shape @ shape), 1e-12)
    return {round(r.days): float(x) for r, x in zip(rows, rest, strict=True)}


def _best(x: Array, y: Array) -> _Fit:
    """The trend, or the best step where the criterion has it."""
    n = y.size
    sxx = float(((x - x.mean()) ** 2).sum())
    slope = float(((x - x.mean()) * y).sum()) / sxx if sxx > 0 else 0.0
    rest = y - y.mean() - slope * (x - x.mean())
    span = float(x[-1] - x[0])
    per_scatter = span / float(np.sqrt(sxx)) if sxx > 0 else float("inf")
    trend = _Fit(change=slope * span, unit_se=per_scatter, rss=float(rest @ rest), parameters=2)
    if n < _STEP_FROM:
        return trend
    steps = []
    for j in range(1, n):
        before, after = y[:j], y[j:]
        rss = float(((before - before.mean()) ** 2).sum() + ((after - after.mean()) ** 2).sum())
        change, per_scatter = float(after.mean() - before.mean()), float(np.sqrt(1 / j + 1 / (n - j)))
        steps.append(_Fit(change=change, unit_se=per_scatter, rss=rss, parameters=3, step=j))
    return min((trend, min(steps, key=lambda f: f.rss)), key=lambda f: _aicc(f, n))


def _aicc(fit: _Fit, n: int) -> float:
    k = fit.parameters + 1  # and the scatter
    return n * float(np.log(max(fit.rss, 1e-12) / n)) + 2 * k + 2 * k * (k + 1) / (n - k - 1)


def less_baseline(value: float, first: float, base: float, base_first: float) -> tuple[float, float]:
    """A reading less what the baseline moved since its first one, and by how much that may be wrong.

    A bench moves by kelvins (an offset) or by a share (a gain), and nobody knows which: at another level than the baseline's the two
    differ, and the middle of both is taken.

    >>> less_baseline(31.5, 30.0, 41.0, 40.0)
    (30.625, -0.125)
    """
    moved = base - base_first
    unlike = moved * (first / base_first - 1) / 2 if base_first else 0.0
    return value - moved - unlike, unlike


def nearest_in_time(at: dt.datetime, others: Sequence[tuple[dt.datetime, float]]) -> float | None:
    """The value that was read nearest to a moment, where that is within two days; else None.

    >>> noon = dt.datetime(2026, 3, 1, 12)
    >>> nearest_in_time(noon, [(dt.datetime(2026, 3, 2, 12), 7.0), (dt.datetime(2026, 3, 9), 8.0)])
    7.0
    >>> nearest_in_time(noon, [(dt.datetime(2026, 3, 9), 8.0)]) is None
    True
    """
    if not others:
        return None
    when, value = min(others, key=lambda o: abs(o[0] - at))
    return value if abs((when - at).total_seconds()) <= NEAR_DAYS * 86400 else None
