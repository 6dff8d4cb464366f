"""A settled trace's reading: its value, its half-width, and what both were made from.

A window that Kuffin found is corrected for the warm-up still left in it, whose size then counts for a third. A window that a
person set is read as it is, and what warm-up is left in it counts in full. What did not settle is read as the level that the
whole warm-up points to. Methods: docs/methods.md, "Equilibrium".
"""

from __future__ import annotations

from typing import TYPE_CHECKING

from kuffin.core.base.language import tr
from kuffin.core.base.worked import Worked, worked

if TYPE_CHECKING:
    from kuffin.core.settle.result import Settled

MODEL = "y(t) = f + A·exp(−t/τ)"


def reading(s: Settled, unit: str = "", digits: int = 2, symbol: str = "y") -> Worked:
    """The reading of a settled trace.

    Parameters
    ----------
    unit : str
        Of the trace.
    digits : int
        Decimals that the value is shown with.
    symbol : str
        By which further formulas call it.
    """
    if s.by_hand:
        return plain_window(s, unit, digits, symbol)
    return corrected_window(s, unit, digits, symbol) if s.settled else final_level(s, unit, digits, symbol)


def plain_window(s: Settled, unit: str = "", digits: int = 2, symbol: str = "y") -> Worked:
    """The window's mean as it is; what warm-up is left in it stands in its half-width.

    >>> import numpy as np
    >>> rng, t = np.random.default_rng(1), np.arange(0.0, 5400.0, 2.0)
    >>> rise = 20.0 - 15.0 * np.exp(-t / 400.0) + rng.normal(0, 0.1, t.size)
    >>> from kuffin.core.settle.api import settle
    >>> plain_window(settle(t, rise), "K").formula
    'm'
    """
    window, left = window_half_width(s, unit, digits + 1), _left(s, unit, digits + 1)
    terms, formula = ([window, left], "W + abs(a)") if left.value else ([window], "W")
    said = tr("95 %; all of the warm-up left in the window counts") if left.value else "95 %"
    half = worked(tr("Half-width"), "U", formula, terms, unit, digits=digits + 1, source=said)
    said = tr("the mean of a window set by hand") if s.by_hand else tr("the window’s mean as it is")
    return worked(
        tr("Reading"), symbol, "m", [window_mean(s, unit, digits)], unit, digits=digits, half=half, source=said
    )


def corrected_window(s: Settled, unit: str = "", digits: int = 2, symbol: str = "y") -> Worked:
    """The window's mean less the warm-up left in it."""
    mean, left = window_mean(s, unit, digits), _left(s, unit, digits + 1)
    terms = [window_half_width(s, unit, digits + 1), left]
    said = tr("95 %; a third of what was taken off counts")
    half = worked(tr("Half-width"), "U", "hypot(W, a/3)", terms, unit, digits=digits + 1, source=said)
    return worked(tr("Reading"), symbol, "m - a", [mean, left], unit, digits=digits, half=half)


def _left(s: Settled, unit: str, digits: int) -> Worked:
    said = tr("the fitted warm-up less its final level, on average over the window")
    return Worked(
        name=tr("Warm-up left in the window"), symbol="a", value=s.window.left, unit=unit, digits=digits, source=said
    )


def window_mean(s: Settled, unit: str = "", digits: int = 2) -> Worked:
    """The window's mean, ``Σy/n``."""
    w = s.window
    total = Worked(name=tr("Sum of the window's samples"), symbol="Σy", value=w.total, unit=unit, digits=digits)
    count = Worked(name=tr("Samples"), symbol="n", value=float(w.count), digits=0, source=tr("spikes left out"))
    span = tr("{begin:.1f} to {end:.1f} min", begin=float(w.span_s[0] / 60), end=float(w.span_s[1] / 60))
    passes = tr(", whole passes of {period:.0f} s", period=float(s.load.period_s)) if s.load.period_s else ""
    return worked(tr("Window’s mean"), "m", "Σy/n", [total, count], unit, digits=digits + 1, source=span + passes)


def window_half_width(s: Settled, unit: str = "", digits: int = 3) -> Worked:
    """What a window leaves open about its mean, but for the warm-up left in it."""
    w = s.window
    error = worked(
        tr("Standard error of the mean"),
        "s_m",
        "s_b*sqrt(k/b)",
        [
            Worked(name=tr("Scatter of the means of its parts"), symbol="s_b", value=w.batch_sd, unit=unit, digits=digits + 1),
            Worked(name=tr("Autocorrelation"), symbol="k", value=w.inflation, digits=2, source=tr("by this much it inflates the variance of the mean: C. J. Geyer, Statistical Science 7 (1992), 3.3")),
            Worked(name=tr("Parts"), symbol="b", value=float(w.batches), digits=0),
        ],
        unit,
        digits=digits + 1,
        source=tr("as good as {n_eff:.0f} independent samples", n_eff=w.n_eff),
    )  # fmt: skip
    student = Worked(name=tr("Student’s t"), symbol="t", value=w.t95, digits=2, source=tr("95 %, with the parts’ own degrees of freedom"))  # fmt: skip
    tolerance = Worked(name=tr("Tolerance"), symbol="tol", value=s.tolerance, unit=unit, digits=digits, source=tr("the drift in 10 min that still counts as settled"))  # fmt: skip
    terms, formula = [student, error, tolerance], "(t*s_m)**2 + (tol/4)**2"
    if s.rounding_u:
        terms.append(_rounding(s, unit, digits))
        formula += " + (1.96*u_r)**2"
    if w.second_part:
        terms.append(Worked(name=tr("A second, slower part"), symbol="u_2", value=w.second_part, unit=unit, digits=digits + 1, source=tr("what it could still add")))  # fmt: skip
        formula += " + u_2**2"
    return worked(tr("What the window leaves open"), "W", f"sqrt({formula})", terms, unit, digits=digits)


def _rounding(s: Settled, unit: str, digits: int) -> Worked:
    return Worked(name=tr("Steps of coarse sensors"), symbol="u_r", value=s.rounding_u, unit=unit, digits=digits + 1)


def final_level(s: Settled, unit: str = "", digits: int = 2, symbol: str = "y") -> Worked:
    """The level that the whole warm-up points to."""
    fit = s.warm_up
    fine = digits + 1
    terms = [
        Worked(name=tr("Widened for what residuals do not show"), symbol="c", value=fit.widen, digits=1),
        Worked(name=tr("Student’s t"), symbol="t", value=fit.t95, digits=2, source="95 %"),
        Worked(name=tr("Standard error of f"), symbol="s_f", value=fit.final_se, unit=unit, digits=fine + 1, source=tr("of the fit, with the autocorrelation of what it leaves")),
        Worked(name=tr("Tolerance"), symbol="tol", value=s.tolerance, unit=unit, digits=fine, source=tr("the drift in 10 min that still counts as settled")),
        Worked(name=tr("Still to go"), symbol="g", value=s.level.to_go, unit=unit, digits=fine, source=tr("f less the fitted level at the window’s end")),
        Worked(name=tr("Size of the warm-up"), symbol="A", value=fit.size, unit=unit, digits=fine, source=tr("where the fit begins")),
    ]  # fmt: skip
    formula = "(c*t*s_f)**2 + (tol/4)**2 + (0.15*g)**2 + (0.01*A)**2"
    if s.rounding_u:
        terms.append(_rounding(s, unit, fine))
        formula += " + (1.96*u_r)**2"
    half = worked(tr("Half-width"), "U", f"sqrt({formula})", terms, unit, digits=fine, source="95 %")
    level = Worked(name=tr("Final level"), symbol="f", value=fit.final, unit=unit, digits=digits, source=tr("{MODEL}, fitted to the whole warm-up", MODEL=MODEL))  # fmt: skip
    return worked(tr("Reading"), symbol, "f", [level], unit, digits=digits, half=half, source=tr("not settled: the level that the warm-up points to"))  # fmt: skip
