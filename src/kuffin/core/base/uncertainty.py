"""Uncertainty: what an instrument's accuracy is worth, how sources combine, and what cancels in a comparison.

Source: JCGM 100:2008 (GUM); the numbers of its sections stand at each function.
"""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass

import numpy as np

from kuffin.core.base.student import t_quantile


@dataclass(frozen=True, kw_only=True)
class Accuracy:
    """An instrument's accuracy as its maker states it.

    Attributes
    ----------
    reading_percent, full_scale_percent : float
    full_scale : float
        In the instrument's unit.
    counts : float
        Of the smallest step shown, each `count_size` large.
    """

    reading_percent: float = 0.0
    full_scale_percent: float = 0.0
    full_scale: float = 0.0
    counts: float = 0.0
    count_size: float = 0.0

    def half_width(self, reading: float) -> float:
        """The largest error stated: ``a % · reading + b % · full scale + c counts``."""
        return self.gain_part(reading) + self.offset_part

    def gain_part(self, reading: float) -> float:
        """What of it goes with the reading."""
        return abs(reading) * self.reading_percent / 100

    @property
    def offset_part(self) -> float:
        """What of it is the same at every reading."""
        return self.full_scale * self.full_scale_percent / 100 + self.counts * self.count_size

    def standard(self, reading: float) -> float:
        """The standard uncertainty: the half-width over √3 (a uniform distribution, GUM 4.3.7)."""
        return float(self.half_width(reading) / np.sqrt(3))


@dataclass(frozen=True, kw_only=True)
class Source:
    """One source of uncertainty.

    Attributes
    ----------
    name : str
    u : float
        Standard uncertainty of the source, in its own unit.
    sensitivity : float
        By how much the result moves for one unit of the source.
    df : float
        Degrees of freedom; infinite for what is known from a specification.
    cancels : str
        In a comparison by the same instruments: ``yes`` (an offset), ``scales`` (a gain, with the difference), ``no``.
    evaluated : str
        ``A``: from the data; ``B``: from knowledge.
    note : str
    of : float, optional
        Of a gain: what it is a share of, in the result's unit; the reading itself without it.
    """

    name: str
    u: float
    sensitivity: float = 1.0
    df: float = float("inf")
    cancels: str = "no"
    evaluated: str = "B"
    note: str = ""
    of: float | None = None

    @property
    def contribution(self) -> float:
        """Its share of the result's standard uncertainty, ``|c|·u``."""
        return abs(self.sensitivity) * self.u


@dataclass(frozen=True)
class Combined:
    """The combined standard uncertainty, its effective degrees of freedom, and the half-width of the interval."""

    u: float
    df: float
    half_width: float
    confidence: float


def combine(
    sources: Sequence[Source], correlations: Mapping[tuple[str, str], float] | None = None, confidence: float = 0.95
) -> Combined:
    """Combine sources.

    ``u² = Σᵢ Σⱼ cᵢ·cⱼ·uᵢ·uⱼ·rᵢⱼ`` (GUM 5.2.2); degrees of freedom by Welch and Satterthwaite (GUM G.4.1), rounded down as
    the GUM does; half-width ``t·u`` (GUM G.3).

    Parameters
    ----------
    correlations : mapping of (name, name) to float, optional
        Where two sources are not independent.

    >>> round(combine([Source(name="probe", u=0.03), Source(name="window", u=0.04)]).u, 3)
    0.05
    """
    signed = np.array([s.sensitivity * s.u for s in sources], float)
    r = np.eye(signed.size)
    names = [s.name for s in sources]
    for (a, b), value in (correlations or {}).items():
        i, j = names.index(a), names.index(b)
        r[i, j] = r[j, i] = value
    u = float(np.sqrt(max(signed @ r @ signed, 0.0)))
    below = sum(c**4 / s.df for c, s in zip(signed, sources, strict=True) if np.isfinite(s.df) and s.df > 0)
    df = float(u**4 / below) if below > 0 else float("inf")
    if np.isfinite(df):
        df = max(float(np.floor(df)), 1.0)
    k = t_quantile(0.5 + confidence / 2, df) if np.isfinite(df) else t_quantile(0.5 + confidence / 2, 1e9)
    return Combined(u, df, k * u, confidence)


def in_a_comparison(sources: Sequence[Source], reading: float, difference: float) -> list[Source]:
    """The same sources in the difference of two readings that were taken with the same instruments.

    An offset is the same on both sides and drops out; a gain error moves the difference by its own share only (of what its own
    probe differed by, which is at most about the difference); what is
    independent counts on both sides (``√2``). This is ``combine`` with a correlation of +1 for the instrument's part.

    Parameters
    ----------
    reading, difference : float
        The size of a reading and of the difference, in the result's unit.
    """
    out = []
    for s in sources:
        if s.cancels == "yes":
            factor = 0.0
        elif s.cancels == "scales":
            whole = reading if s.of is None else s.of
            factor = abs(difference / whole) if whole else 0.0
        else:
            factor = float(np.sqrt(2))
        out.append(
            Source(
                name=s.name,
                u=s.u,
                sensitivity=s.sensitivity * factor,
                df=s.df,
                cancels=s.cancels,
                evaluated=s.evaluated,
                note=s.note,
                of=s.of,
            )
        )
    return out
