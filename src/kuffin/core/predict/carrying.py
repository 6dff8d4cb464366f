"""Carrying what mounts were measured at to where they were not: the value for one more mount, with what is not known about the way.

One more mount: mean ± t·s·√(1 + 1/n) (D. C. Montgomery, *Design and Analysis of Experiments*, section 2.4), s pooled over all candidates, or
a candidate's own where one scatters more than chance allows.
Where a setting was not swept, the exponent by which a resistance answers it is between what forced convection allows
(F. P. Incropera et al., *Fundamentals of Heat and Mass Transfer*, chapters 7 and 8), and the interval holds all of that.
"""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass, replace

import numpy as np

from kuffin.core.base.errors import CompareError
from kuffin.core.base.language import mark
from kuffin.core.base.student import t_quantile
from kuffin.core.compare.moderated import own_scatter

MEASURED, CARRIED, ESTIMATED = mark("measured"), mark("carried"), mark("estimated")
LABELS = (MEASURED, CARRIED, ESTIMATED)  # from the surest down


def halfway(low: float, high: float) -> tuple[float, float]:
    """The middle of two factors, and the half-width of 95 % of what lies between them, as a share of it.

    >>> halfway(1.0, 1.21)
    (1.1, 0.090681818182)
    """
    middle = float(np.sqrt(low * high))
    return round(middle, 12), round(float(0.95 * (high - low) / 2 / middle), 12)


@dataclass(frozen=True, kw_only=True)
class Answers:
    """How something answers a ratio x/x₀ of a setting: (x/x₀)^e with e anywhere in between."""

    least: float
    most: float

    def factor(self, ratio: float) -> tuple[float, float]:
        """The middle factor, and by how much (half-width of 95 %) it may be another, as a share of it.

        >>> factor, half = Answers(least=-0.7, most=-0.25).factor(0.5)
        >>> round(factor, 2), round(half, 2)
        (1.39, 0.15)
        """
        low, high = sorted((ratio**self.least, ratio**self.most))
        return halfway(low, high)


RADIATOR_BY_FAN = Answers(least=-0.7, most=-0.25)
RADIATOR_BY_FLOW = Answers(least=-0.15, most=0.0)
BLOCK_BY_FLOW = Answers(least=-0.5, most=0.0)
FLOW_BY_PUMP = Answers(least=0.95, most=1.3)
FLOW_BY_VISCOSITY = Answers(least=-0.3, most=0.0)
FLOW_BY_PART = 0.8  # how far down another part may take the flow, where no curve tells
BY_POWER = 0.05  # share by which a resistance may be another for each factor of e in power that it was not measured at


@dataclass(frozen=True, kw_only=True)
class Foreseen:
    """A value for one more mount, and how it was had.

    Attributes
    ----------
    label : str
        One of `LABELS`.
    """

    value: float
    half: float
    label: str

    @property
    def low(self) -> float:
        """The lower end of its 95 % interval."""
        return self.value - self.half

    @property
    def high(self) -> float:
        """The upper end."""
        return self.value + self.half


def worst(labels: Sequence[str]) -> str:
    """The least sure of several labels.

    >>> worst([MEASURED, ESTIMATED, CARRIED]), worst([])
    ('estimated', 'measured')
    """
    return max(labels, key=LABELS.index, default=MEASURED)


@dataclass(frozen=True)
class Pooled:
    """Scatter between mounts of one candidate, with its degrees of freedom: pooled over all, or its own."""

    sd: float
    df: float
    own: bool = False


def pooled(values: Mapping[str, Sequence[float]]) -> Pooled:
    """The scatter of mounts within candidates.

    Raises
    ------
    CompareError
        Where no candidate has a second mount.

    >>> found = pooled({"Reed": [10.0, 10.2], "Rush": [12.0, 12.4, 12.2]})
    >>> round(found.sd, 3), found.df
    (0.183, 3.0)
    """
    groups = [np.asarray(v, float) for v in values.values() if len(v) > 1]
    df = float(sum(g.size - 1 for g in groups))
    if df < 1:
        raise CompareError("no candidate has a second mount: nothing tells how far another mount would be from these")
    return Pooled(float(np.sqrt(sum(float(((g - g.mean()) ** 2).sum()) for g in groups) / df)), df)


def scatters(values: Mapping[str, Sequence[float]], spread: str) -> dict[str, Pooled]:
    """What one more mount of each candidate is taken to scatter by.

    Parameters
    ----------
    values : mapping
        Each candidate's mounts.
    spread : {'moderated', 'pooled', 'separate'}
        As a comparison takes it (`kuffin.core.compare.compare`). One mount alone shares the others' scatter in either case.

    Raises
    ------
    CompareError
        Where no candidate has a second mount.

    >>> found = scatters({"Reed": [10.0, 10.2, 10.1], "Rush": [12.0, 15.0, 9.0]}, "separate")
    >>> [(round(x.sd, 2), x.df) for x in found.values()]
    [(0.1, 2.0), (3.0, 2.0)]
    """
    shared = pooled(values)
    if spread == "moderated" and len(values) > 2:
        found = own_scatter([np.asarray(xs, float) for xs in values.values()])
        if found is not None:
            return {n: Pooled(sd, df, own=True) for n, (sd, df) in zip(values, found, strict=True)}
    own = spread == "separate"
    return {n: replace(pooled({n: xs}), own=True) if own and len(xs) > 1 else shared for n, xs in values.items()}


def one_more(values: Sequence[float], scatter: Pooled, also: Sequence[float], label: str) -> Foreseen:
    """What one more mount would show.

    Parameters
    ----------
    values : sequence of float
        Each mount's own, carried.
    also : sequence of float
        Further half-widths: of the readings themselves, of the way there.
    """
    n = len(values)
    own = t_quantile(0.975, scatter.df) * scatter.sd * np.sqrt(1 + 1 / n)
    half = float(np.sqrt(own**2 + sum(x**2 for x in also)))
    return Foreseen(value=float(np.mean(values)), half=half, label=label)


def means_apart(
    a: Sequence[float], b: Sequence[float], scatter: tuple[Pooled, Pooled], also: Sequence[float], label: str
) -> Foreseen:
    """The difference of two candidates' means, a less b, with its 95 % interval; by Welch's degrees of freedom where each keeps its own scatter."""
    parts = [s.sd**2 / len(xs) for s, xs in zip(scatter, (a, b), strict=True)]
    df = scatter[0].df
    if scatter[0] != scatter[1] and sum(parts) > 0:
        df = sum(parts) ** 2 / sum(p**2 / s.df for p, s in zip(parts, scatter, strict=True))
    own = t_quantile(0.975, df) * np.sqrt(sum(parts))
    half = float(np.sqrt(own**2 + sum(x**2 for x in also)))
    return Foreseen(value=float(np.mean(a) - np.mean(b)), half=half, label=label)
