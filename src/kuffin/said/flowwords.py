"""Restriction and flow in words."""

from __future__ import annotations

from collections.abc import Sequence

from kuffin.core.base.numbers import begun, number
from kuffin.core.compare.pairwords import joined, span
from kuffin.core.flow.circuit import Circuit, words_of
from kuffin.core.flow.measured import Measured, Spread
from kuffin.core.flow.pump import PumpCurve
from kuffin.core.flow.restriction import PartCurve
from kuffin.reading.shelfcurves import WithAndWithout

_NEARLY = 0.98  # of full speed: nothing to spare


def drop_words(drop: Spread, unit: str = "kPa") -> str:
    """A value with its interval: ``6.5 kPa (6.3 to 6.7)``."""
    digits = 2 if drop.half < 0.15 else 1 if drop.half < 5 else 0
    beyond = ", beyond what was measured" if drop.beyond else ""
    return f"{number(drop.value, digits)} {unit} ({span(drop.low, drop.high, '', digits)}){beyond}"


def ranking_words(found: Measured, flow: float) -> str:
    """All parts at one flow: which drops least, and by how much the others drop more."""
    names = sorted(found.parts, key=lambda n: found.parts[n].at(flow))
    if not names:
        return ""
    first, rest = names[0], names[1:]
    pairs = len(names) * (len(names) - 1) // 2
    said = [f"At {flow:.0f} L/h {first} drops {drop_words(found.drop(first, flow))}"]
    alike, more = [], []
    for name in rest:
        apart = found.difference(name, first, flow, pairs)
        if apart.low > 0:
            more.append(f"{name} {number(apart.value, 1)} kPa more ({span(apart.low, apart.high, '', 1)})")
        else:
            alike.append(name)
    if alike:
        said.append(f"{joined(alike)} and {first} are not told apart")
    if more:
        said.append(joined(more))
    return "; ".join(said) + "."


def along_words(found: Measured, a: str, b: str, pairs: int = 1) -> str:
    """Two parts at equal flow over all flows that both were measured at."""
    stretches = found.apart_along(a, b, pairs)
    if not stretches:
        return f"{a} and {b} were not measured at the same flows."
    low, high = stretches[0][0], stretches[-1][1]
    signs = {s for _, _, s in stretches}
    if signs == {0}:
        return f"{a} and {b} are not told apart at any flow from {low:.0f} to {high:.0f} L/h."
    if len(signs) == 1:
        less, more = (a, b) if signs == {-1} else (b, a)
        return f"{less} restricts less than {more} at every flow from {low:.0f} to {high:.0f} L/h."
    said = []
    for begin, end, sign in stretches:
        what = "they are not told apart" if sign == 0 else f"{a if sign < 0 else b} restricts less"
        said.append(f"from {begin:.0f} to {end:.0f} L/h {what}")
    return begun(f"{a} and {b}: {'; '.join(said)}.")


def point_words(found: Measured, circuit: Circuit, speed: float) -> str:
    """The flow of a loop on the pump."""
    point = found.point(circuit, speed)
    beyond = (
        f"; {joined(point.beyond)} {'was' if len(point.beyond) == 1 else 'were'} not measured at that flow"
        if point.beyond
        else ""
    )
    return (
        f"{begun(words_of(circuit))}: {flow_words(point.flow)} at {100 * speed:.0f} % pump speed, "
        f"{number(point.head, 1)} kPa{beyond}."
    )


def flow_words(flow: Spread) -> str:
    """A flow with its interval: ``168 L/h (164 to 173)``."""
    return f"{number(flow.value, 0)} L/h ({span(flow.low, flow.high, '', 0)})"


def enough_words(found: Measured, circuit: Circuit, wanted: float) -> str:
    """Whether the pump is strong enough for a flow, and the reason."""
    speed = found.speed(circuit, wanted)
    beyond = " (beyond the flows that were measured)" if speed.beyond else ""
    share, name = next(((s, n) for n, s in found.shares(circuit, wanted)), (0.0, ""))
    most = f"; {name} takes {100 * share:.0f} % of the drop" if name and len(circuit) > 1 else ""
    if speed.low > 1:
        full = found.point(circuit, 1.0).flow
        return f"The pump is too weak for {wanted:.0f} L/h{beyond}: at full speed it moves {flow_words(full)}{most}."
    told = f"{wanted:.0f} L/h needs {number(100 * speed.value, 0)} % pump speed ({span(100 * speed.low, 100 * speed.high, '%', 0)}){beyond}"
    if speed.high > 1:
        return f"Whether the pump reaches {wanted:.0f} L/h is not known: it needs {number(100 * speed.value, 0)} % ({span(100 * speed.low, 100 * speed.high, '%', 0)}){beyond}{most}."
    spare = "" if speed.high < _NEARLY else ", with nothing to spare"
    return f"The pump is strong enough: {told}{spare}{most}."


def second_words(found: Measured, circuit: Circuit, name: str, speed: float) -> str:
    """What one more of a part would cost, after the others."""
    from kuffin.core.flow.circuit import Branch

    more = (*circuit, (Branch(name),))
    change, then = found.change(circuit, more, speed), found.point(more, speed).flow
    return (
        f"One more {name} costs {number(-change.value, 0)} L/h ({span(-change.high, -change.low, '', 0)}): "
        f"{number(then.value, 0)} L/h then."
    )


def without_gauge_words(told: Sequence[WithAndWithout]) -> list[str]:
    """What flows with and without a part tell, a sentence each."""
    out = []
    for one in told:
        said = f"{one.part}: {number(one.less.value, 1)} % less flow with it in ({span(one.less.low, one.less.high, '', 1)}) at {one.speed_percent:.0f} % pump speed"
        if one.drop is not None:
            said += f"; estimated from the pump's curve, it drops {drop_words(one.drop)} at {one.flow:.0f} L/h"
        out.append(f"{said}.")
    return out


def restriction_fit_words(fit: PartCurve, accuracy_told: bool) -> str:
    """What a restriction's readings were fitted to, how well, and which of them stand off."""
    said = f"drop of one = {fit.a:.4g}·q + {fit.b:.4g}·q² kPa. {_scatter_words(fit.chi2, fit.freedom, accuracy_told)}"
    if fit.standing_off:
        where = ", ".join(f"{fit.flow[i]:.0f} L/h" for i in fit.standing_off)
        said += f" Ringed: the reading{'s' if len(fit.standing_off) > 1 else ''} at {where} stand off by more than 3 standard uncertainties; look at them again."
    return said


def pump_fit_words(pump: PumpCurve, accuracy_told: bool) -> str:
    """What a pump's readings were fitted to, and how well."""
    return f"head = {pump.h:.4g}·s² − {pump.k:.4g}·q² kPa, s the share of full speed. {_scatter_words(pump.chi2, pump.freedom, accuracy_told)}"


def _scatter_words(chi2: float, freedom: int, accuracy_told: bool) -> str:
    if freedom < 1:
        return "As many readings as the curve has numbers: nothing tells how well it fits."
    if not accuracy_told:
        return "The instruments' accuracy is not told: bands hold the readings' scatter only."
    return f"Readings scatter by {(chi2 / freedom) ** 0.5:.1f} times what the instruments' accuracy allows."
