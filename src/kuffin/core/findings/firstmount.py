"""A candidate's first mount, which has no siblings yet: held against the same device under the other candidates.

Candidates differ, so that the limit holds their own scatter: a prediction interval for the mean of one further candidate,
``t·√(s²·(1 + 1/k) + w²)`` (D. C. Montgomery, *Introduction to Statistical Quality Control*, section 3.5), with the usual scatter
between candidates counted as further degrees of freedom, and all of it for a stock cooler alone. Only what is worse is told.
"""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from typing import Any

import numpy as np

from kuffin.core.base.saying import Saying, say
from kuffin.core.base.student import t_quantile
from kuffin.core.bench.undertest import kind_under_test
from kuffin.core.findings.finding import DOUBT, REMARK, Finding
from kuffin.core.findings.siblings import FIGURES, Figure, Sibling
from kuffin.core.findings.thresholds import CheckLimits

KIND = "first mount"
PRIOR_DF = 12.0  # what the usual scatter between candidates counts for beside the study's own
_CHANCE = 0.02  # that a sound first mount is doubted, over all its figures together


def between(means: Sequence[float], usual: float) -> tuple[float, float]:
    """The scatter between candidates with the usual one counted in, and its degrees of freedom.

    Parameters
    ----------
    means : sequence of float
        One for each candidate.
    usual : float
        As a standard deviation.
    """
    x = np.asarray(means, float)
    total = PRIOR_DF * usual**2 + float(((x - x.mean()) ** 2).sum())
    df = PRIOR_DF + x.size - 1
    return float(np.sqrt(total / df)), df


def usual_between(figure: Figure, middle: float, limits: CheckLimits) -> float:
    """How far candidates usually differ in a figure, as a standard deviation, at the level that it has."""
    told = limits.of(figure.between)
    return told if figure.absolute else abs(middle) * told / 100


def first_mounts(
    mounts: Sequence[Sibling], under_test: str, power_w: float, limits: CheckLimits, elsewhere: Sequence[Sibling] = ()
) -> dict[int, list[Finding]]:
    """Which candidates' only mounts look worse than any sound mount of another candidate would.

    Parameters
    ----------
    power_w : float
        The study's power: rises are told in kelvins at it.
    elsewhere : sequence of Sibling
        The same device in other studies, for a mount that its own has nothing to hold against. Where that is nothing
        either, what is usual for devices in general is left; beyond it a remark is made, and no doubt.
    """
    by_candidate = _grouped(mounts)
    kind = kind_under_test(under_test)
    figures = [f for f in FIGURES if f.between and f.part_makes_it(kind)]
    out: dict[int, list[Finding]] = {}
    for name, own in by_candidate.items():
        if len(own) > 1:
            continue
        others = {other: them for other, them in by_candidate.items() if other != name} or _grouped(elsewhere)
        found = [
            _unlike(f, own[0], others, len(figures), power_w, limits, bool(by_candidate.keys() - {name}))
            for f in figures
        ]
        out[own[0].mount_id] = [f for f in found if f is not None]
    return out


def _unlike(
    figure: Figure,
    mount: Sibling,
    others: Mapping[str, Sequence[Sibling]],
    figures: int,
    power_w: float,
    limits: CheckLimits,
    here: bool,
) -> Finding | None:
    scale = power_w if figure.per_watt else 1.0
    value = mount.figures.get(figure.key)
    each = {n: [m.figures[figure.key] for m in them if figure.key in m.figures] for n, them in others.items()}
    means = {n: float(np.mean(x)) for n, x in each.items() if x}
    if value is None:
        return None
    if not means:
        return _beyond_usual(figure, mount, value * scale, scale, power_w, limits)
    middle = float(np.mean(list(means.values())))
    share = 1.0 if figure.absolute else abs(middle)
    scatter, df = between(list(means.values()), usual_between(figure, middle, limits))
    spread = float(np.sqrt(scatter**2 * (1 + 1 / len(means)) + (figure.usual * share) ** 2))
    reach = t_quantile(1 - _CHANCE / figures, df) * spread
    if value - middle <= reach or (value - middle) * scale < limits.of(figure.least):
        return None
    low, high = max((middle - reach) * scale, 0.0), (middle + reach) * scale
    one = len(means) == 1
    if here:
        who = say("the other candidate" if one else "the other {n} candidates", n=len(means))
    else:
        who = say(
            "the notebook’s other studies of this device (1 candidate)"
            if one
            else "the notebook’s other studies of this device ({n} candidates)",
            n=len(means),
        )
    said = say(
        "{figure}; with {who} it was {middle:.1f} {unit}, and {low:.1f} to {high:.1f} {unit} would be usual for a first mount",
        figure=_figure(figure, value * scale, power_w),
        who=who,
        middle=middle * scale,
        unit=figure.unit,
        low=low,
        high=high,
    )
    beside = tuple((n, x * scale) for n, x in means.items())
    return _finding(figure, mount, said, DOUBT, value=value * scale, limit=high, others=beside)


def _grouped(mounts: Sequence[Sibling]) -> dict[str, list[Sibling]]:
    found: dict[str, list[Sibling]] = {}
    for m in mounts:
        found.setdefault(m.candidate, []).append(m)
    return found


def _beyond_usual(
    figure: Figure, mount: Sibling, value: float, scale: float, power_w: float, limits: CheckLimits
) -> Finding | None:
    """What lies beyond a range that is usual in general: not this device's, so that it is only a remark."""
    most = limits.of(figure.usual_most) * scale
    if value <= most:
        return None
    said = say(
        "{figure}; nothing else was measured on this device yet, and up to {most:.1f} {unit} is taken for usual in general",
        figure=_figure(figure, value, power_w),
        most=most,
        unit=figure.unit,
    )
    return _finding(figure, mount, said, REMARK, value=value, limit=most)


def _figure(figure: Figure, value: float, power_w: float) -> Saying:
    said = say("{label} {value:.1f} {unit}", label=say(figure.label), value=value, unit=figure.unit)
    return say("{seen} at {power:.0f} W", seen=said, power=power_w) if figure.per_watt else said


def _finding(figure: Figure, mount: Sibling, said: str, weight: str, **found: Any) -> Finding:
    channels = tuple(mount.channels[r] for r in figure.roles if r in mount.channels)
    return Finding(
        kind=KIND, seen=said, weight=weight, channels=channels, unit=figure.unit, figure=figure.label, **found
    )
