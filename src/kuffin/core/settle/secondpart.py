"""A second, slower part of the warm-up (a large reservoir, a heavy radiator), as far as the record tells of one.

The warm-up is taken as (1 − s)·e^(−t/τ) + s·e^(−t/(r·τ)) with a share s up to 12 % and a ratio r up to 10. All of these
models are weighed by how well they fit; level, transient and their uncertainty are the weighted ones. Where the record rules
a slow part out, all stays as it was; where it cannot, the interval holds what such a part would do.

References
----------
J. A. Hoeting, D. Madigan, A. E. Raftery and C. T. Volinsky, "Bayesian model averaging: a tutorial", Statistical Science 14
(1999), 382–417, with the likelihood exp(−n_eff/2·ln RSS).
"""

from __future__ import annotations

from dataclasses import dataclass, replace

import numpy as np
from numpy.typing import NDArray

from kuffin.core.base.traces import inflation
from kuffin.core.settle.warmup import SlowData, WarmUp

Array = NDArray[np.float64]

RATIOS = (3.5, 5.0, 7.0, 10.0)
SHARES = (0.03, 0.06, 0.09, 0.12)
# how likely no slow part is beforehand: for the level, and for its interval
NONE_FOR_THE_LEVEL, NONE_FOR_THE_INTERVAL = 0.95, 0.3
CAUTION = 2.0  # over what the residuals say: boxes of one run share more than they show
_TAUS = np.geomspace(0.6, 1.06, 14)  # of the main part, over that of the fit without a slow one
_BOXES = 10


@dataclass(frozen=True, kw_only=True)
class _Model:
    """One share and ratio, with the time constant that suits it best."""

    rss: float
    level: float
    transient: Array
    residuals: Array
    left: float


def _models(t: Array, data: SlowData, end: float, fit: WarmUp) -> list[_Model]:
    """All models that can be fitted, the one without a slow part first."""
    assert fit.tau_s is not None
    origin = fit.origin_s
    shapes = [(1.0, 0.0), *((r, s) for r in RATIOS for s in SHARES)]
    best: list[_Model | None] = [None] * len(shapes)
    for tau in (*(fit.tau_s * _TAUS).tolist(), fit.tau_s):
        y, drive = data(tau)
        for i, (ratio, share) in enumerate(shapes):
            if share == 0 and tau != fit.tau_s:
                continue

            def decay(at: Array | float, tau: float = tau, ratio: float = ratio, share: float = share) -> Array:
                x = (np.asarray(at, float) - origin) / tau
                return np.asarray((1 - share) * np.exp(-x) + share * np.exp(-x / ratio), float)

            e = decay(t)
            dd, de, ee = float(drive @ drive), float(drive @ e), float(e @ e)
            det = dd * ee - de * de
            if det <= 1e-12 * dd * ee:
                continue
            dy, ey = float(drive @ y), float(e @ y)
            level, size = (ee * dy - de * ey) / det, (dd * ey - de * dy) / det
            residuals = y - level * drive - size * e
            rss = float(residuals @ residuals)
            before = best[i]
            if before is None or rss < before.rss:
                best[i] = _Model(
                    rss=rss, level=level, transient=size * e, residuals=residuals, left=float(size * decay(end))
                )
    return [b for b in best if b is not None]


def least_rss(t: Array, data: SlowData, end: float, fit: WarmUp) -> float:
    """The residual sum of squares of the best of all models."""
    return min((m.rss for m in _models(t, data, end, fit)), default=fit.rss)


def with_second_part(t: Array, data: SlowData, end: float, fit: WarmUp) -> WarmUp:
    """The fit of a slow trace, with a second part allowed for.

    Parameters
    ----------
    t, data, end
        As `fit_slow`.
    fit : WarmUp
        Its result.
    """
    if t.size < _BOXES or not np.isfinite(fit.final_se) or fit.rss <= 0:
        return fit
    found = _models(t, data, end, fit)
    if len(found) < 2:
        return fit
    least = min(found, key=lambda m: m.rss)
    n_eff = t.size / inflation(least.residuals) / CAUTION
    likely = np.array([(least.rss / m.rss) ** (n_eff / 2) if least.rss > 0 else float(m is least) for m in found])

    def weights(none: float) -> Array:
        prior = np.array([none, *([(1 - none) / (len(found) - 1)] * (len(found) - 1))])
        return np.asarray(prior * likely / (prior @ likely), float)

    # the level follows a slow part only where the record speaks for one; the interval holds those that it cannot rule out
    weight, wide = weights(NONE_FOR_THE_LEVEL), weights(NONE_FOR_THE_INTERVAL)
    level, left = np.array([m.level for m in found]), np.array([m.left for m in found])
    final, left_mean = float(weight @ level), float(weight @ left)
    transient = sum((w * m.transient for w, m in zip(weight, found, strict=True)), np.zeros(t.size))
    apart = np.array([np.mean((m.transient - transient)[3 * t.size // 4 :]) for m in found])
    scale = float(np.sqrt(least.rss / max(fit.rss, 1e-300)))  # what the better fit leaves of the scatter
    residuals = sum((w * m.residuals for w, m in zip(weight, found, strict=True)), np.zeros(t.size))
    ips = inflation(residuals)
    narrower = scale * float(np.sqrt(ips / fit.inflation))
    return replace(
        fit,
        final=final,
        final_se=float(np.hypot(fit.final_se * narrower, np.sqrt(wide @ (level - final) ** 2))),
        transient=transient,
        transient_se=float(np.sqrt(wide @ apart**2)),
        left=left_mean,
        left_se=float(np.hypot(fit.left_se * narrower, np.sqrt(wide @ (left - left_mean) ** 2))),
        residuals=residuals,
        rss=float(residuals @ residuals),
        inflation=ips,
    )
