"""What one device's load does to another: read from tests of one mount that load one, the other, and both.

Between two tests in which a device runs at the same power, and another at two powers, the coolant where it enters the
first is warmer over the air by what the other adds.
"""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass, replace
from functools import cached_property

import numpy as np

from kuffin.core.base.language import tr
from kuffin.core.base.leads import ToMount
from kuffin.core.base.student import t_quantile
from kuffin.core.base.worked import Worked, in_quadrature, mean_of, worked
from kuffin.core.compare.pairwords import number, several
from kuffin.reading.runresult import RunResult
from kuffin.said.shownworking import Link, Working
from kuffin.verdict.evidence import Evidence

_SAME_POWER, _MORE_POWER_W = 0.07, 20.0


@dataclass(frozen=True, kw_only=True)
class Pair:
    """Two tests of one mount: the powers of the device that is loaded, and the coolant over air at the other one.

    Attributes
    ----------
    low_u95, high_u95 : float
        Half-widths of the two windows, K.
    """

    mount_id: int
    label: str
    low_w: float
    high_w: float
    low_k: float
    high_k: float
    low_u95: float
    high_u95: float

    def worked(self, by: str, at: str) -> Worked:
        """By how much the coolant is warmer."""
        terms = []
        for symbol, watts, kelvins, u95 in (
            ("ΔT_2", self.high_w, self.high_k, self.high_u95),
            ("ΔT_1", self.low_w, self.low_k, self.low_u95),
        ):
            name = tr("Coolant over air at the {at} with {watts} W in the {by}", at=at, watts=number(watts, 0), by=by)
            half = Worked(
                name=tr("Half-width with {watts} W", watts=number(watts, 0)),
                symbol=symbol.replace("ΔT", "U"),
                value=u95,
                unit="K",
                digits=3,
            )
            terms.append(
                Worked(name=name, symbol=symbol, value=kelvins, unit="K", half=half, leads=ToMount(self.mount_id))
            )
        half = worked(
            tr("Half-width"), "U", "hypot(U_2, U_1)", [t.half for t in terms if t.half is not None], "K", digits=3
        )
        return worked(
            tr("{by} on {at}, {label}", by=by, at=at, label=self.label), "d", "ΔT_2 - ΔT_1", terms, "K", half=half
        )

    @property
    def more_w(self) -> float:
        """How much more power the other device had, W."""
        return self.high_w - self.low_w


@dataclass(frozen=True, kw_only=True)
class Warming:
    """What a device's load adds to the coolant at another.

    Attributes
    ----------
    by, at : str
        The device that is loaded, and the one that gets the warmer coolant.
    pairs : tuple of Pair
        One for each mount that tells it.
    """

    by: str
    at: str
    pairs: tuple[Pair, ...]

    @property
    def mounts(self) -> int:
        """How many mounts say it."""
        return len(self.pairs)

    @property
    def more_w(self) -> float:
        """By how much the first one's power was higher, W."""
        return float(np.mean([p.more_w for p in self.pairs]))

    @cached_property
    def worked(self) -> Worked:
        """By how much the coolant is warmer over the air: of several mounts the mean, with the scatter between them and what
        their windows leave open; of one mount the windows' alone.
        """
        each = [p.worked(self.by, self.at) for p in self.pairs]
        n = len(each)
        if n == 1:
            return each[0]
        halves = [replace(d.half, symbol=f"U_{i}", name=tr("Half-width of mount {i}", i=i)) for i, d in enumerate(each, 1) if d.half]  # fmt: skip
        sd = float(np.std([d.value for d in each], ddof=1))
        terms = [
            in_quadrature(tr("What the windows leave open"), "W", halves, "K", over=n),
            Worked(name=tr("Student’s t"), symbol="t", value=t_quantile(0.975, n - 1), source="95 %"),
            Worked(name=tr("Scatter between the mounts"), symbol="s", value=sd, unit="K", digits=3),
        ]
        half = worked(tr("Half-width"), "U", f"hypot(W, t*s/sqrt({n}))", terms, "K", digits=3)
        own = [
            replace(d, symbol=f"d_{i}", name=tr("Mount {i}: {label}", i=i, label=p.label), half=None)
            for i, (d, p) in enumerate(zip(each, self.pairs, strict=True), 1)
        ]
        return mean_of(tr("{by} on {at}", by=self.by, at=self.at), "d", own, "K", half=half)

    @property
    def k(self) -> float:
        """Kelvins per watt of the other device."""
        return self.worked.value

    @property
    def u95(self) -> float:
        """The half-width of that."""
        return self.worked.u95 or 0.0

    @property
    def sentence(self) -> str:
        """In words."""
        within = tr(" ({low} to {high} K)", low=number(self.k - self.u95, 1), high=number(self.k + self.u95, 1))
        return tr(
            "{more_w} W more in the {by} warm the coolant at the {at} by {k} K{within}, from {mounts}.",
            more_w=number(self.more_w, 0),
            by=self.by,
            at=self.at,
            k=number(self.k, 1),
            within=within,
            mounts=several(self.mounts, "mount"),
        )


def warmings(evidence: Evidence) -> list[Warming]:
    """What each device's load does to the coolant at each other one, as far as tests tell it."""
    found: dict[tuple[str, str], list[Pair]] = {}
    for name, mount in evidence.mounts:
        if mount.left_out:
            continue
        tests = [t for t in (_powers(evidence.results[r.id]) for r in mount.live_runs) if t is not None]
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
                                label=tr("{name}, round {round}", name=name, round=mount.round),
                                low_w=low[by],
                                high_w=high[by],
                                low_k=low_k[at],
                                high_k=high_k[at],
                                low_u95=low_u,
                                high_u95=high_u,
                            )
        for devices, pair in best.items():
            found.setdefault(devices, []).append(pair)
    out = [Warming(by=by, at=at, pairs=tuple(pairs)) for (by, at), pairs in found.items()]
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
    out = Working(title=tr("What one device’s load does to another"), answer="\n".join(w.sentence for w in found))
    for w in found:
        out.add(w.worked)
    out.say(
        tr("Taken from"),
        tr(
            "tests of one mount in which the one device’s power is the same within "
            "{SAME_POWER:.0f} %, and the other’s differs by {MORE_POWER_W:.0f} W or more; of "
            "several such pairs the one that differs most",
            SAME_POWER=100 * _SAME_POWER,
            MORE_POWER_W=_MORE_POWER_W,
        ),
    )
    links = dict.fromkeys((p.mount_id, p.label) for w in found for p in w.pairs)
    out.links += [Link(tr("Open {label}", label=label), ToMount(mount)) for mount, label in links]
    return out
