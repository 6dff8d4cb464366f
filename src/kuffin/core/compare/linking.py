"""Candidates of different studies, through a baseline that both have: the only bridge between two benches or two years."""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np

from kuffin.core.base.language import tr
from kuffin.core.base.numbers import plain
from kuffin.core.base.student import t_quantile
from kuffin.core.base.worked import Worked, worked


@dataclass(frozen=True)
class LinkedDifference:
    """A difference with its standard error and degrees of freedom."""

    value: float
    se: float
    df: float

    def interval(self, confidence: float = 0.95) -> tuple[float, float]:
        """The plain interval."""
        half = t_quantile(0.5 + confidence / 2, self.df) * self.se
        return self.value - half, self.value + half

    def worked(self, name: str, symbol: str, unit: str = "K") -> Worked:
        """The difference with the half-width of its plain 95 % interval."""
        half = worked(
            tr("Half-width, {name}", name=name), f"U_{symbol}", "t*s", [self._t, self._se(symbol, unit)], unit, digits=3
        )
        return Worked(name=name, symbol=symbol, value=self.value, unit=unit, half=half)

    @property
    def _t(self) -> Worked:
        return Worked(name=tr("Student’s t"), symbol="t", value=t_quantile(0.975, self.df), source=tr("95 %, {df} degrees of freedom", df=plain(self.df, 3)))  # fmt: skip

    def _se(self, symbol: str, unit: str) -> Worked:
        return Worked(
            name=tr("Standard error of {symbol}", symbol=symbol), symbol="s", value=self.se, unit=unit, digits=3
        )


def linked_by_baseline(name: str, a: LinkedDifference, b: LinkedDifference, unit: str = "K") -> Worked:
    """A − B by way of the baseline that both were held against, with its working; see `through_baseline`."""
    over = [
        Worked(name=tr("{which} over the baseline", which=which), symbol=symbol, value=d.value, unit=unit)
        for which, symbol, d in ((tr("The one"), "a", a), (tr("The other"), "b", b))
    ]
    errors = [
        Worked(
            name=tr("Standard error of {symbol}", symbol=symbol), symbol=f"s_{symbol}", value=d.se, unit=unit, digits=3
        )
        for symbol, d in (("a", a), ("b", b))
    ]
    both = through_baseline(a, b)
    said = tr("the baselines’ own mounts are different ones: JCGM 100:2008, G.4")
    error = worked(tr("Standard error"), "s", "hypot(s_a, s_b)", errors, unit, digits=3, source=said)
    half = worked(tr("Half-width"), "U", "t*s", [both._t, error], unit, digits=3)
    return worked(name, "d", "a - b", over, unit, half=half)


def through_baseline(a_over_baseline: LinkedDifference, b_over_baseline: LinkedDifference) -> LinkedDifference:
    """A − B where A stands against the baseline in one study and B in another.

    The baselines' own mounts are different ones, so their scatter comes in twice: standard errors combine in quadrature, the
    degrees of freedom by Welch and Satterthwaite (JCGM 100:2008, G.4).
    """
    se = float(np.hypot(a_over_baseline.se, b_over_baseline.se))
    weight = a_over_baseline.se**4 / a_over_baseline.df + b_over_baseline.se**4 / b_over_baseline.df
    return LinkedDifference(
        a_over_baseline.value - b_over_baseline.value, se, se**4 / weight if weight > 0 else a_over_baseline.df
    )
