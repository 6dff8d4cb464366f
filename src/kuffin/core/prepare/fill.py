"""Sums of the loop: how much it holds, what to mix, what stays behind, which metals meet, when it sweats."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from kuffin.core.base.errors import BenchError
from kuffin.core.base.language import tr

# where a part's maker says nothing, in mL; always shown as an estimate
USUAL_VOLUME_ML = {
    "processor block": 30.0,
    "card block": 60.0,
    "radiator": 150.0,
    "pump": 40.0,
    "reservoir": 150.0,
    "fitting": 2.0,
    "sensor": 5.0,
    "whole set": 350.0,
}


def tube_volume_ml(inner_mm: float, length_mm: float) -> float:
    """What a tube holds: ``π/4·d²·l``.

    Raises
    ------
    BenchError
        For a diameter or length below zero.
    """
    if inner_mm < 0 or length_mm < 0:
        raise BenchError("a tube has no negative diameter or length")
    return float(np.pi / 4 * inner_mm**2 * length_mm / 1000)


@dataclass(frozen=True)
class Held:
    """What one part of the loop holds; `guessed` where its maker's figure is not known."""

    name: str
    volume_ml: float
    guessed: bool


def loop_volume_ml(parts: Sequence[Held]) -> tuple[float, float]:
    """What a loop holds and the half-width of that: guesses count 40 %, makers' figures 5 %, in quadrature.

    >>> loop_volume_ml([Held("reservoir", 300.0, guessed=False), Held("block", 20.0, guessed=True)])
    (320.0, 17.0)
    """
    total = sum(p.volume_ml for p in parts)
    spread = np.sqrt(sum((p.volume_ml * (0.4 if p.guessed else 0.05)) ** 2 for p in parts))
    return float(total), float(spread)


@dataclass(frozen=True)
class MixAmounts:
    """How much of what, in mL."""

    concentrate_ml: float
    water_ml: float
    additive_ml: float

    @property
    def total_ml(self) -> float:
        """All of it together, mL."""
        return self.concentrate_ml + self.water_ml + self.additive_ml


def mix(volume_ml: float, share_percent: float, additive_ml_per_l: float = 0.0) -> MixAmounts:
    """Concentrate, distilled water and additive for a wanted volume; the additive takes its room from the water.

    Parameters
    ----------
    volume_ml : float
        All of it together (volumes of water and glycol add to within 3 %).
    share_percent : float
        Of concentrate in the finished mix, by volume.
    additive_ml_per_l : float

    Raises
    ------
    BenchError
        Where the parts are more than the whole.
    """
    if volume_ml <= 0:
        raise BenchError("mix more than 0 mL")
    if not 0 <= share_percent <= 100 or additive_ml_per_l < 0:
        raise BenchError("the share of concentrate lies between 0 and 100 %, and the additive is not below zero")
    concentrate = volume_ml * share_percent / 100
    additive = volume_ml * additive_ml_per_l / 1000
    water = volume_ml - concentrate - additive
    if water < -1e-9:
        raise BenchError(
            "{concentrate:.0f} mL of concentrate and {additive:.0f} mL of additive are more than the {volume_ml:.0f} mL wanted; lower one of them",
            concentrate=concentrate,
            additive=additive,
            volume_ml=volume_ml,
        )
    return MixAmounts(concentrate, max(water, 0.0), additive)


def carry_over(left_ml: float, loop_ml: float, rinses: int) -> float:
    """The share of old coolant in the loop after draining and rinsing: ``(V_left/V_loop)^(rinses + 1)``.

    Draining leaves `left_ml` behind; the first filling (a rinse, or the new coolant itself where there is none)
    thins it once, each rinse once more.

    Raises
    ------
    BenchError
    """
    if loop_ml <= 0 or left_ml < 0 or rinses < 0:
        raise BenchError("give the loop's volume, and what is left in it, above zero")
    if left_ml >= loop_ml:
        raise BenchError(
            "{left_ml:.0f} mL cannot be left in a loop of {loop_ml:.0f} mL", left_ml=left_ml, loop_ml=loop_ml
        )
    return float((left_ml / loop_ml) ** (rinses + 1))


def rinses_needed(left_ml: float, loop_ml: float, most: float = 0.01) -> int:
    """How many rinses bring the old coolant under a share (1 % if nothing else is said)."""
    rinses = 0
    while carry_over(left_ml, loop_ml, rinses) >= most:
        rinses += 1
        if rinses > 50:
            raise BenchError("draining leaves nearly everything behind; drain the loop better first")
    return rinses


def metal_warnings(metals: Mapping[str, Sequence[str]]) -> list[str]:
    """Which metals should not meet in one loop, and who brings them.

    Parameters
    ----------
    metals : mapping of part to its wetted metals

    >>> metal_warnings({"block": ["nickel plate"], "fitting": ["silver"]})
    ['silver (fitting) meets nickel plate (block): silver strips nickel. Leave the silver out.']
    """
    holders: dict[str, list[str]] = {}
    for part, found in metals.items():
        for metal in found:
            holders.setdefault(metal, []).append(part)
    noble = [m for m in ("copper", "brass", "nickel plate", "silver") if m in holders]

    def who(metal: str) -> str:
        return f"{tr(metal)} ({', '.join(sorted(set(holders[metal])))})"

    out = []
    if "aluminium" in holders and noble:
        out.append(
            tr(
                "{one} meets {others}: the aluminium will corrode, in weeks without an inhibitor. Leave one of them out.",
                one=who("aluminium"),
                others=tr(" and ").join(who(m) for m in noble),
            )
        )
    if "silver" in holders and "nickel plate" in holders:
        out.append(
            tr(
                "{one} meets {others}: silver strips nickel. Leave the silver out.",
                one=who("silver"),
                others=who("nickel plate"),
            )
        )
    if "zinc" in holders and noble:
        out.append(
            tr(
                "{one} dissolves beside {others}. Replace the zinc part.",
                one=who("zinc"),
                others=tr(" and ").join(who(m) for m in noble),
            )
        )
    return out


def dew_point_c(air_c: float, humidity_percent: float) -> float:
    """Dew point by the Magnus formula (17.62, 243.12 °C; WMO No. 8), good to 0.1 K from −20 to 50 °C.

    Raises
    ------
    BenchError
        For a humidity that is none.

    >>> round(dew_point_c(24.0, 60.0), 1)
    15.8
    """
    if not 0 < humidity_percent <= 100:
        raise BenchError("relative humidity lies above 0 and up to 100 %")
    if not -45 <= air_c <= 60:
        raise BenchError("give the air between −45 and 60 °C")
    gamma = np.log(humidity_percent / 100) + 17.62 * air_c / (243.12 + air_c)
    return float(243.12 * gamma / (17.62 - gamma))


@dataclass(frozen=True, kw_only=True)
class Bleeding:
    """How bleeding stands.

    Attributes
    ----------
    flow_l_h, rise_l_h : float
        The flow of the last two minutes, and what it gained over the two minutes before.
    scatter_l_h, usual_l_h : float
        Its scatter now, and the sensor's own.
    done : bool
        The flow has stopped rising and its scatter is back to the sensor's.
    """

    flow_l_h: float
    rise_l_h: float
    scatter_l_h: float
    usual_l_h: float
    done: bool
    sentence: str


def bleeding(times_s: NDArray[np.float64], flow_l_h: NDArray[np.float64], usual_percent: float = 0.6) -> Bleeding:
    """Whether air still comes out, from the flow.

    Parameters
    ----------
    times_s, flow_l_h : ndarray, shape (n,)
    usual_percent : float
        The flow sensor's own scatter, in per cent of its reading.

    Raises
    ------
    BenchError
        With less than four minutes or eight readings.
    """
    good = np.isfinite(times_s) & np.isfinite(flow_l_h)
    t, y = np.asarray(times_s)[good], np.asarray(flow_l_h)[good]
    if t.size < 8 or t[-1] - t[0] < 240:
        raise BenchError("watch the flow for at least four minutes (and eight readings) before judging it")
    if np.any(y < 0):
        raise BenchError("a flow below zero is none; is the sensor the right way round?")
    last, before = y[t > t[-1] - 120], y[(t <= t[-1] - 120) & (t > t[-1] - 240)]
    if last.size < 3 or before.size < 3:
        raise BenchError("read the flow at least three times in every two minutes")
    level = float(np.mean(last))
    usual = usual_percent / 100 * max(level, 1e-9)
    scatter = float(np.std(np.diff(last), ddof=1) / np.sqrt(2))
    rise = level - float(np.mean(before))
    room = 2 * max(usual, scatter) * np.sqrt(1 / last.size + 1 / before.size) + 0.003 * level
    if level < 1:
        words = tr("there is no flow: is the pump running, and has it water? It must never run dry")
    elif rise > room:
        words = tr("the flow still rises ({rise:+.1f} L/h in two minutes): air is coming out, go on", rise=rise)
    elif scatter > 1.7 * usual:
        words = tr(
            "the flow is unsteady (±{scatter:.1f} L/h, usually ±{usual:.1f}): bubbles are passing, go on",
            scatter=scatter,
            usual=usual,
        )
    else:
        words = tr("no more air is coming out; a bubble that stays where it is does not matter to the temperatures")
    return Bleeding(
        flow_l_h=level,
        rise_l_h=rise,
        scatter_l_h=scatter,
        usual_l_h=usual,
        done=bool(level >= 1 and rise <= room and scatter <= 1.7 * usual),
        sentence=words,
    )
