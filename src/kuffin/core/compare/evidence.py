"""Mounts in, candidates and pairs out: the shapes of a comparison."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass, field

import numpy as np
from numpy.typing import NDArray

from kuffin.core.compare.spreads import UnequalSpread

Array = NDArray[np.float64]


@dataclass(frozen=True, kw_only=True)
class MountValue:
    """One mount's normalised reading: the unit of evidence; `held` where it is only a bound (`kuffin.core.compare.held`)."""

    candidate: str
    mount: str
    value: float
    round: str | None = None
    sample: str | None = None
    covariates: tuple[float, ...] = ()
    held: bool = False
    half: float | None = None  # of its own reading, 95 %


@dataclass(frozen=True, kw_only=True)
class CandidateResult:
    """A candidate's adjusted mean with its plain interval, letters of the ties it belongs to, chance of being best.

    Attributes
    ----------
    se, t : float
        The mean's standard error, and Student's t at the comparison's confidence.
    weights : tuple of float
        By which each of the comparison's mounts goes into the mean, in their order.
    sd : float or None
        Scatter of its own mounts, where each candidate keeps its own.
    bound : bool
        Whether some of its values are only bounds (`kuffin.core.compare.held`).
    """

    name: str
    mounts: int
    samples: int
    mean: float
    se: float
    t: float
    weights: tuple[float, ...]
    group: str | None
    p_best: float
    sd: float | None = None
    bound: bool = False

    @property
    def low(self) -> float:
        """The interval's lower end, in the response's unit."""
        return self.mean - self.t * self.se

    @property
    def high(self) -> float:
        """The interval's upper end, in the response's unit."""
        return self.mean + self.t * self.se


@dataclass(frozen=True, kw_only=True)
class PairResult:
    """A pair's difference a − b with its simultaneous interval, and the verdict on it.

    Attributes
    ----------
    se, df : float
        The difference's standard error and degrees of freedom.
    q, q_narrow : float
        Critical values over all pairs together, at the confidence C and at 2C − 1.
    held : tuple of str
        Which of the two have values that are only bounds.
    free : bool
        Whether that is because they met no limit, so that they are better still; else they were held by one.
    """

    a: str
    b: str
    difference: float
    se: float
    df: float
    q: float
    q_narrow: float
    p: float
    verdict: str
    mounts_needed: int | None
    held: tuple[str, ...] = ()
    free: bool = False

    @property
    def low(self) -> float:
        """The lower end of the interval of a minus b, that all pairs hold together."""
        return self.difference - self.q * self.se

    @property
    def high(self) -> float:
        """The upper end of the interval of a minus b, that all pairs hold together."""
        return self.difference + self.q * self.se

    @property
    def narrow_low(self) -> float:
        """The lower end of the narrower interval, which “the same” is judged by."""
        return self.difference - self.q_narrow * self.se

    @property
    def narrow_high(self) -> float:
        """The upper end of the narrower interval, which “the same” is judged by."""
        return self.difference + self.q_narrow * self.se

    @property
    def settled(self) -> bool:
        """Whether something is said of the two: one is lower, or they are the same."""
        return self.verdict != "unsettled"


@dataclass(frozen=True, kw_only=True)
class Moderation:
    """How each candidate's spread was moderated (`kuffin.core.compare.moderated`).

    Attributes
    ----------
    own, own_df : tuple of float
        Each candidate's own standard deviation, in the order of the candidates, and its degrees of freedom.
    usual : float
        The standard deviation that they are drawn towards.
    prior_df : tuple of float
        Its weight beside each candidate's own, in degrees of freedom.
    """

    own: tuple[float, ...]
    own_df: tuple[float, ...]
    usual: float
    prior_df: tuple[float, ...]


@dataclass(frozen=True, kw_only=True)
class Comparison:
    """The whole comparison of a study under one school."""

    method: str
    confidence: float
    margin: float | None
    better: str
    sd: float | None
    df: float | None
    candidates: tuple[CandidateResult, ...]
    pairs: tuple[PairResult, ...]
    components: tuple[tuple[str, float], ...]
    mounts: tuple[MountValue, ...] = field(repr=False, default=())
    residuals: Array = field(repr=False, default_factory=lambda: np.empty(0))
    studentized: Array = field(repr=False, default_factory=lambda: np.empty(0))
    warnings: tuple[str, ...] = ()
    reference: str | None = None
    residual_df: float | None = None  # by which the residuals' squares give `sd`; None where that was not least squares
    moderation: Moderation | None = None
    floor: float | None = None  # what the readings themselves leave open, where the mounts scatter by less
    unequal: UnequalSpread | None = None  # a candidate that scatters far more than the others
    free: bool = False  # whether values that are only bounds are those of parts that met no limit

    @property
    def scatter(self) -> tuple[float, float]:
        """The mounts' own scatter, whatever the model, and its degrees of freedom.

        Where candidates keep their own spreads: pooled, ``Σ νᵢ·sᵢ² / Σ νᵢ``. Where samples are a random effect: the mounts of
        one sample about each other.
        """
        if self.sd is None:
            return self._pooled(self.candidates)
        if self.df is None:
            samples = len({(m.candidate, m.sample) for m in self.mounts})
            return self.sd, float(max(len(self.mounts) - samples - self.rounds + 1, 1))
        return self.sd, self.df

    @property
    def own_spreads(self) -> bool:
        """Whether each candidate keeps its own spread."""
        return all(c.sd is not None and (c.mounts > 1 or self.moderation is not None) for c in self.candidates)

    @property
    def spread_dfs(self) -> Array:
        """The degrees of freedom of each candidate's own spread, shape (k,), where each keeps its own."""
        if self.moderation is not None:
            return np.add(self.moderation.own_df, self.moderation.prior_df)
        return np.array([max(c.mounts - 1, 1) for c in self.candidates], float)

    def scatter_of(self, *names: str) -> tuple[float, float]:
        """What mounts of these candidates scatter by, and its degrees of freedom: their own where each keeps its own, else all candidates'.

        >>> from kuffin.core.compare import MountValue, compare
        >>> values = (("Reed", 1.0), ("Reed", 1.3), ("Rush", 1.5), ("Rush", 2.5))
        >>> found = compare([MountValue(candidate=c, mount=f"{c} {x}", value=x) for c, x in values])
        >>> [round(found.scatter_of(*n)[0], 2) for n in (("Reed",), ("Rush",), ("Reed", "Rush"))]
        [0.21, 0.71, 0.52]
        """
        return self._pooled([self.candidate(n) for n in names]) if self.own_spreads else self.scatter

    @staticmethod
    def _pooled(candidates: Sequence[CandidateResult]) -> tuple[float, float]:
        own = [(max(c.mounts - 1, 1), c.sd) for c in candidates if c.sd is not None]
        df = float(sum(n for n, _ in own))
        return (float(np.sqrt(sum(n * s**2 for n, s in own) / df)), df) if df else (0.0, 0.0)

    @property
    def rounds(self) -> int:
        """How many rounds were taken out as blocks; 1 where there are none."""
        return blocks(self.mounts) if self.sd is not None else 1

    def candidate(self, name: str) -> CandidateResult:
        """The result of a candidate, by name.

        Raises
        ------
        StopIteration
            Where none of that name was compared.
        """
        return next(c for c in self.candidates if c.name == name)

    def pair(self, a: str, b: str) -> PairResult:
        """The result of two candidates, in whichever order it was made.

        Raises
        ------
        StopIteration
            Where the two were not compared.
        """
        return next(p for p in self.pairs if {p.a, p.b} == {a, b})


def blocks(mounts: Sequence[MountValue]) -> int:
    """How many rounds a comparison of these mounts takes out; 1 where they have none."""
    return max(len({m.round for m in mounts if m.round}), 1)
