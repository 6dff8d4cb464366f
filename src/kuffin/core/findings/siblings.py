"""A mount held against the other mounts of its study, figure by figure."""

from __future__ import annotations

from collections.abc import Callable, Mapping, Sequence
from dataclasses import dataclass

import numpy as np

from kuffin.core.base.language import mark
from kuffin.core.base.saying import amount, say
from kuffin.core.base.student import t_quantile
from kuffin.core.bench.undertest import UnderTest, kind_under_test
from kuffin.core.findings.finding import DOUBT, Finding
from kuffin.core.findings.thresholds import CheckLimits

_PRIOR_DF = 3.0  # what the usual scatter counts for beside the study's own


@dataclass(frozen=True, kw_only=True)
class Figure:
    """How one figure is judged.

    Attributes
    ----------
    usual : float
        The usual scatter between mounts, as a share of the figure (or in its unit where `absolute`).
    between : str
        The threshold that holds the usual scatter between candidates; blank where a first mount is not judged by it.
    usual_most : str
        The threshold for the most that is usual for devices in general; told where `between` is.
    least : str
        The threshold below which nobody minds.
    per_watt : bool
        Kept in K/W, told in K at the study's power.
    part_makes_it : callable
        Whether this figure differs between candidates of a kind; else all mounts are siblings.
    """

    key: str
    kind: str
    label: str
    unit: str
    usual: float
    least: str
    per_watt: bool = False
    absolute: bool = False
    between: str = ""
    usual_most: str = ""
    roles: tuple[str, ...] = ()
    part_makes_it: Callable[[UnderTest], bool] = lambda _kind: True


def _block_side(kind: UnderTest) -> bool:
    return kind.block_side


def _loop_side(kind: UnderTest) -> bool:
    return kind.loop_side


def _none(_kind: UnderTest) -> bool:
    return False


FIGURES: tuple[Figure, ...] = (
    Figure(key="die_over_coolant", kind="contact", label=mark("die over coolant"), unit="K", usual=0.025, between="first_die_percent", usual_most="usual_die_k_w", least="rise_k", per_watt=True, absolute=False, roles=("die", "coolant_in", "coolant"), part_makes_it=_block_side),
    Figure(key="coolant_over_air", kind="radiator side", label=mark("coolant over air"), unit="K", usual=0.025, least="rise_k", per_watt=True, absolute=False, roles=("coolant_in", "coolant", "air_in", "room"), part_makes_it=_loop_side),
    Figure(key="hot_spot_over_die", kind="hot spot", label=mark("hot spot over die"), unit="K", usual=0.04, between="first_hot_spot_percent", usual_most="usual_hot_spot_k_w", least="hot_spot_k", per_watt=True, absolute=False, roles=("hot_spot", "die"), part_makes_it=_block_side),
    Figure(key="core_spread", kind="core spread", label=mark("core spread"), unit="K", usual=1.0, between="first_spread_k", usual_most="usual_spread_k", least="spread_k", per_watt=False, absolute=True, roles=("die",), part_makes_it=_block_side),
    Figure(key="flow", kind="flow off", label=mark("flow"), unit="L/h", usual=0.02, least="flow_percent", per_watt=False, absolute=False, roles=("flow",)),
    Figure(key="pump", kind="pump off", label=mark("pump speed"), unit="rpm", usual=0.01, least="speed_percent", per_watt=False, absolute=False, roles=("pump",), part_makes_it=_none),
    Figure(key="fan", kind="fan off", label=mark("fan speed"), unit="rpm", usual=0.01, least="speed_percent", per_watt=False, absolute=False, roles=("fan",), part_makes_it=_none),
    Figure(key="power", kind="power off", label=mark("power"), unit="W", usual=0.02, least="power_percent", per_watt=False, absolute=False, roles=("power",), part_makes_it=_none),
    Figure(key="idle_power", kind="idle off", label=mark("idle power"), unit="W", usual=1.5, least="idle_w", per_watt=False, absolute=True, roles=("power",), part_makes_it=_none),
)  # fmt: skip


@dataclass(frozen=True, kw_only=True)
class Sibling:
    """A mount with its figures."""

    mount_id: int
    candidate: str
    label: str
    figures: Mapping[str, float]
    channels: Mapping[str, str]  # role -> name


def against_siblings(
    mounts: Sequence[Sibling], under_test: str, power_w: float, limits: CheckLimits
) -> dict[int, list[Finding]]:
    """Which mounts stand apart in which figure.

    For each figure the mount furthest from its siblings' mean is taken out, again and again; all up to the last that
    passes its limit are named (the generalised procedure of B. Rosner, Technometrics 25 (1983), so that two bad mounts do
    not hide each other). The limit is Student's t for one further observation, ``s·√(1 + 1/n)``, at the study's chance of
    a false doubt, with the usual scatter counted as three further degrees of freedom; and never below what matters.

    Parameters
    ----------
    power_w : float
        The study's power: rises are told in kelvins at it.

    >>> from kuffin.core.findings.thresholds import CheckLimits
    >>> rises = {1: 0.100, 2: 0.101, 3: 0.099, 4: 0.125}
    >>> mounts = [
    ...     Sibling(mount_id=i, candidate="Reed", label=f"round {i}", figures={"die_over_coolant": r}, channels={})
    ...     for i, r in rises.items()
    ... ]
    >>> found = against_siblings(mounts, "block", 200.0, CheckLimits())
    >>> {i: [f.kind for f in doubts] for i, doubts in found.items()}
    {1: [], 2: [], 3: [], 4: ['contact']}
    """
    found: dict[int, list[Finding]] = {m.mount_id: [] for m in mounts}
    for figure in FIGURES:
        values = {m.mount_id: m.figures[figure.key] for m in mounts if figure.key in m.figures}
        if len(values) < 3:
            continue
        groups = {
            m.mount_id: m.candidate if figure.part_makes_it(kind_under_test(under_test)) else "all" for m in mounts
        }
        by_id = {m.mount_id: m for m in mounts}
        for mount_id, away, limit in outlying(values, groups, figure.usual, figure.absolute, limits.of("chance") / 100):
            mates = [i for i in values if i != mount_id and groups[i] == groups[mount_id]]
            finding = _told(figure, by_id[mount_id], values, mates, away, limit, power_w, limits, by_id)
            if finding is not None:
                found[mount_id].append(finding)
    return found


def outlying(
    values: Mapping[int, float], groups: Mapping[int, str], usual: float, absolute: bool, chance: float
) -> list[tuple[int, float, float]]:
    """The values that stand apart from their group: (key, distance from the others' mean, the limit it passed)."""
    left = dict(values)
    taken: list[tuple[int, float, float, bool]] = []
    for _ in range(max(1, min(len(values) // 3, 8))):
        worst: tuple[float, int, float, float] | None = None
        sizes = _by_group(left, groups)
        for key, value in left.items():
            mates = [v for k, v in sizes[groups[key]] if k != key]
            if not mates:
                continue
            mean = float(np.mean(mates))
            scatter, df = _scatter(left, groups, key, usual * (1.0 if absolute else abs(mean)))
            spread = scatter * float(np.sqrt(1 + 1 / len(mates)))
            limit = t_quantile(1 - chance / 2, df) * spread
            ratio = abs(value - mean) / max(limit, 1e-300)
            if worst is None or ratio > worst[0]:
                worst = (ratio, key, value - mean, limit)
        if worst is None:
            break
        ratio, key, away, limit = worst
        taken.append((key, away, limit, ratio > 1))
        del left[key]
    last = max((i for i, t in enumerate(taken) if t[3]), default=-1)
    return [(k, a, m) for k, a, m, _ in taken[: last + 1]]


def _by_group(left: Mapping[int, float], groups: Mapping[int, str]) -> dict[str, list[tuple[int, float]]]:
    out: dict[str, list[tuple[int, float]]] = {}
    for k, v in left.items():
        out.setdefault(groups[k], []).append((k, v))
    return out


def _scatter(left: Mapping[int, float], groups: Mapping[int, str], without: int, usual: float) -> tuple[float, float]:
    """Scatter within groups without one value, the usual scatter counted in; and its degrees of freedom."""
    total, df = _PRIOR_DF * usual**2, _PRIOR_DF
    for members in _by_group({k: v for k, v in left.items() if k != without}, groups).values():
        if len(members) > 1:
            part = np.array([v for _, v in members])
            total += float(((part - part.mean()) ** 2).sum())
            df += len(members) - 1
    return float(np.sqrt(total / df)), df


def _told(
    figure: Figure,
    mount: Sibling,
    values: Mapping[int, float],
    mates: list[int],
    away: float,
    limit: float,
    power_w: float,
    limits: CheckLimits,
    by_id: Mapping[int, Sibling],
) -> Finding | None:
    """The finding in words, None where the distance is below what matters."""
    scale = power_w if figure.per_watt else 1.0
    value = values[mount.mount_id] * scale
    mean = value - away * scale
    away, limit = away * scale, limit * scale
    least = limits.of(figure.least)
    if figure.least.endswith("percent"):
        least = abs(mean) * least / 100
    if abs(away) < least:
        return None
    digits = 0 if figure.unit in {"rpm", "L/h", "W"} else 1
    by_share = figure.unit in {"L/h", "rpm"} or figure.key == "power"
    said = say(
        "{figure} {value} {unit}, {away} {away_unit} above the other mounts' {mean} {unit}"
        if away > 0
        else "{figure} {value} {unit}, {away} {away_unit} below the other mounts' {mean} {unit}",
        figure=say(figure.label),
        value=amount(value, digits),
        unit=figure.unit,
        away=amount(100 * abs(away / mean), 0) if by_share and mean else amount(abs(away), digits),
        away_unit="%" if by_share and mean else figure.unit,
        mean=amount(mean, digits),
    )
    if figure.per_watt:
        said = say("{seen} at {power:.0f} W", seen=said, power=power_w)
    most = amount(max(limit, least), digits)
    said = say("{seen}; chance would leave it within {most} {unit}", seen=said, most=most, unit=figure.unit)
    channels = tuple(mount.channels[r] for r in figure.roles if r in mount.channels)
    others = tuple((by_id[i].label, values[i] * scale) for i in mates)
    return Finding(
        kind=figure.kind,
        seen=said,
        weight=DOUBT,
        span_s=None,
        channels=channels,
        value=value,
        limit=limit,
        unit=figure.unit,
        others=others,
        figure=figure.label,
    )
