"""What one device's load does to another: read from tests of one mount that load one, the other, and both.

Between two tests in which a device runs at the same power, and another at two powers, the coolant where it enters the
first is warmer over the air by what the other adds.
"""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass

import numpy as np

from kuffin.core.base.student import t_quantile
from kuffin.core.compare.pairwords import count, number
from kuffin.reading.runresult import RunResult
from kuffin.said.working import Link, Working
from kuffin.verdict.schools import Mounts

_SAME_POWER, _MORE_POWER_W = 0.07, 20.0


@dataclass(frozen=True, kw_only=True)
class Pair:
    """Two tests of one mount: the powers of the device that is loaded, and the coolant over air at the other one.

    Attributes
    ----------
    u95 : float
        Half-width of the difference by both windows, K.
    """

    mount_id: int
    label: str
    low_w: float
    high_w: float
    low_k: float
    high_k: float
    u95: float

    @property
    def more_w(self) -> float:
        return self.high_w - self.low_w

    @property
    def k(self) -> float:
        return self.high_k - self.low_k


@dataclass(frozen=True)
class Warming:
    """What a device's load adds to the coolant at another.

    Attributes
    ----------
    by, at : str
        The device that is loaded, and the one that gets the warmer coolant.
    more_w : float
        By how much the first one's power was higher, W.
    k, u95 : float
        By how much the coolant is warmer over the air, K, with the half-width of its 95 % interval: the scatter between
        mounts and the windows' own; of one mount the windows' alone.
    pairs : tuple of Pair
        One for each mount that tells it.
    """

    by: str
    at: str
    more_w: float
    k: float
    u95: float
    pairs: tuple[Pair, ...]

    @property
    def mounts(self) -> int:
        return len(self.pairs)

    @property
    def sentence(self) -> str:
        """In words."""
        within = f" ({number(self.k - self.u95, 1)} to {number(self.k + self.u95, 1)} K)"
        return (
            f"{number(self.more_w, 0)} W more in the {self.by} warm the coolant at the {self.at} by {number(self.k, 1)} K{within}, "
            f"from {count(self.mounts)} mount{'s' if self.mounts > 1 else ''}."
        )


def warmings(mounts: Mounts, results: Mapping[int, RunResult]) -> list[Warming]:
    """What each device's load does to the coolant at each other one, as far as tests tell it."""
    found: dict[tuple[str, str], list[Pair]] = {}
    for name, mount in mounts:
        if mount.left_out:
            continue
        tests = [t for t in (_powers(results[r.id]) for r in mount.live_runs) if t is not None]
        best: dict[tuple[str, str], Pair] = {}
        for low, low_k, low_u in tests:
            for high, high_k, high_u in tests:
                for at in set(low) & set(high):
                    for by in (set(low) & set(high)) - {at}:
                        more = high[by] - low[by]
                        same = abs(high[at] - low[at]) <= _SAME_POWER * max(high[at], low[at], 1.0)
                        if same and more > max(_MORE_POWER_W, best[by, at].more_w if (by, at) in best else 0.0):
                            best[by, at] = Pair(
                                mount_id=mount.id,
                                label=f"{name}, round {mount.round}",
                                low_w=low[by],
                                high_w=high[by],
                                low_k=low_k[at],
                                high_k=high_k[at],
                                u95=float(np.hypot(low_u, high_u)),
                            )
        for devices, pair in best.items():
            found.setdefault(devices, []).append(pair)
    out = []
    for (by, at), pairs in found.items():
        more, k, windows = np.array([(p.more_w, p.k, p.u95) for p in pairs]).T
        half = float(np.sqrt(np.mean(windows**2) / k.size))  # what the windows themselves leave open
        if k.size > 1:
            half = float(np.hypot(half, t_quantile(0.975, k.size - 1) * float(k.std(ddof=1)) / np.sqrt(k.size)))
        out.append(Warming(by, at, float(more.mean()), float(k.mean()), half, tuple(pairs)))
    return sorted(out, key=lambda w: (w.at, w.by))


def _powers(result: RunResult) -> tuple[dict[str, float], dict[str, float], float] | None:
    """Each device's power in a test, the coolant over air where it enters each, and its half-width; None: not known."""
    coolant = result.traces.get("coolant_over_air")
    if coolant is None:
        return None
    powers = {d: r.power_w for d, r in result.devices.items() if r.power_w is not None}
    inlets = {d: coolant.value + (r.warmed_k or 0.0) for d, r in result.devices.items()}
    if result.device is not None and result.power_w is not None:
        powers[result.device] = result.power_w
        inlets[result.device] = coolant.value + (result.warmed_k or 0.0)
    return (powers, inlets, coolant.u95) if len(powers) > 1 else None


def warming_working(found: Sequence[Warming]) -> Working:
    """What devices do to one another, test by test."""
    out = Working("What one device’s load does to another", "\n".join(w.sentence for w in found))
    for w in found:
        for p in w.pairs:
            out.lines.append(
                (
                    f"{w.by} on {w.at}, {p.label}",
                    f"from {number(p.low_w, 0)} to {number(p.high_w, 0)} W the coolant at the {w.at} went from {number(p.low_k, 2)} to "
                    f"{number(p.high_k, 2)} K over air: {number(p.high_k, 2)} − {number(p.low_k, 2)} = {number(p.k, 2)} ± "
                    f"{number(p.u95, 2)} K by the windows",
                )
            )
        if w.mounts > 1:
            out.lines.append(
                (
                    f"{w.by} on {w.at}",
                    f"mean of {count(w.mounts)} mounts, {number(w.k, 2)} ± {number(w.u95, 2)} K: Student’s t over the scatter between them, "
                    "with what the windows leave open in quadrature",
                )
            )
    out.lines.append(
        (
            "Taken from",
            f"tests of one mount in which the one device’s power is the same within {100 * _SAME_POWER:.0f} %, and the other’s differs "
            f"by {_MORE_POWER_W:.0f} W or more; of several such pairs the one that differs most",
        )
    )
    links = dict.fromkeys((p.mount_id, p.label) for w in found for p in w.pairs)
    out.links += [Link(f"Open {label}", "mount", str(mount)) for mount, label in links]
    return out
