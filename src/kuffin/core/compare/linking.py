"""Candidates of different studies, through a baseline that both have: the only bridge between two benches or two years."""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np

from kuffin.core.base.student import t_quantile


@dataclass(frozen=True)
class Difference:
    """A difference with its standard error and degrees of freedom."""

    value: float
    se: float
    df: float

    def interval(self, confidence: float = 0.95) -> tuple[float, float]:
        """The plain interval."""
        half = t_quantile(0.5 + confidence / 2, self.df) * self.se
        return self.value - half, self.value + half


def through_baseline(a_over_baseline: Difference, b_over_baseline: Difference) -> Difference:
    """A − B where A stands against the baseline in one study and B in another.

    The baselines' own mounts are different ones, so their scatter comes in twice: standard errors combine in quadrature, the
    degrees of freedom by Welch and Satterthwaite (JCGM 100:2008, G.4).
    """
    se = float(np.hypot(a_over_baseline.se, b_over_baseline.se))
    weight = a_over_baseline.se**4 / a_over_baseline.df + b_over_baseline.se**4 / b_over_baseline.df
    return Difference(
        a_over_baseline.value - b_over_baseline.value, se, se**4 / weight if weight > 0 else a_over_baseline.df
    )
