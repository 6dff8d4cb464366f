"""Restriction and flow in words."""

from __future__ import annotations

from collections.abc import Sequence

from kuffin.core.base.language import tr
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
    beyond = tr(", beyond what was measured") if drop.beyond else ""
    return f"{number(drop.value, digits)} {unit} ({span(drop.low, drop.high, '', digits)}){beyond}"


def ranking_words(found: Measured, flow: float) -> str:
    """All parts at one flow: which drops least, and by how much the others drop more."""
    names = sorted(found.parts, key=lambda n: found.parts[n].at(flow))
    if not names:
        return ""
    first, rest = names[0], names[1:]
    pairs = len(names) * (len(names) - 1) // 2
    said = [
        tr("At {flow:.0f} L/h {first} drops {drop}", flow=flow, first=first, drop=drop_words(found.drop(first, flow)))
    ]
    alike, more = [], []
    for name in rest:
        apart = found.difference(name, first, flow, pairs)
        if apart.low > 0:
            more.append(
                tr(
                    "{name} {value} kPa more ({low})",
                    name=name,
                    value=number(apart.value, 1),
                    low=span(apart.low, apart.high, "", 1),
                )
            )
        else:
            alike.append(name)
    if alike:
        said.append(tr("{alike} and {first} are not told apart", alike=joined(alike), first=first))
    if more:
        said.append(joined(more))
    return "; ".join(said) + "."


def along_words(found: Measured, a: str, b: str, pairs: int = 1) -> str:
    """Two parts at equal flow over all flows that both were measured at."""
    stretches = found.apart_along(a, b, pairs)
    if not stretches:
        return tr("{a} and {b} were not measured at the same flows.", a=a, b=b)
    low, high = stretches[0][0], stretches[-1][1]
    signs = {s for _, _, s in stretches}
    if signs == {0}:
        return tr(
            "{a} and {b} are not told apart at any flow from {low:.0f} to {high:.0f} L/h.", a=a, b=b, low=low, high=high
        )
    if len(signs) == 1:
        less, more = (a, b) if signs == {-1} else (b, a)
        return tr(
            "{less} restricts less than {more} at every flow from {low:.0f} to {high:.0f} L/h.",
            less=less,
            more=more,
            low=low,
            high=high,
        )
    said = []
    for begin, end, sign in stretches:
        what = tr("they are not told apart") if sign == 0 else tr("{name} restricts less", name=a if sign < 0 else b)
        said.append(tr("from {begin:.0f} to {end:.0f} L/h {told}", begin=begin, end=end, told=what))
    return begun(tr("{a} and {b}: {told}.", a=a, b=b, told="; ".join(said)))


def point_words(found: Measured, circuit: Circuit, speed: float) -> str:
    """The flow of a loop on the pump."""
    point = found.point(circuit, speed)
    beyond = (
        (
            tr("; {beyond} was not measured at that flow", beyond=joined(point.beyond))
            if len(point.beyond) == 1
            else tr("; {beyond} were not measured at that flow", beyond=joined(point.beyond))
        )
        if point.beyond
        else ""
    )
    return tr(
        "{words}: {flow} at {speed:.0f} % pump speed, {head} kPa{beyond}.",
        words=begun(words_of(circuit)),
        flow=flow_words(point.flow),
        speed=100 * speed,
        head=number(point.head, 1),
        beyond=beyond,
    )


def flow_words(flow: Spread) -> str:
    """A flow with its interval: ``168 L/h (164 to 173)``."""
    return f"{number(flow.value, 0)} L/h ({span(flow.low, flow.high, '', 0)})"


def enough_words(found: Measured, circuit: Circuit, wanted: float) -> str:
    """Whether the pump is strong enough for a flow, and the reason."""
    speed = found.speed(circuit, wanted)
    beyond = tr(" (beyond the flows that were measured)") if speed.beyond else ""
    share, name = next(((s, n) for n, s in found.shares(circuit, wanted)), (0.0, ""))
    most = (
        tr("; {name} takes {share:.0f} % of the drop", name=name, share=100 * share)
        if name and len(circuit) > 1
        else ""
    )
    if speed.low > 1:
        full = found.point(circuit, 1.0).flow
        return tr(
            "The pump is too weak for {wanted:.0f} L/h{beyond}: at full speed it moves {flow}{most}.",
            wanted=wanted,
            beyond=beyond,
            flow=flow_words(full),
            most=most,
        )
    told = tr(
        "{wanted:.0f} L/h needs {value} % pump speed ({low}){beyond}",
        wanted=wanted,
        value=number(100 * speed.value, 0),
        low=span(100 * speed.low, 100 * speed.high, "%", 0),
        beyond=beyond,
    )
    if speed.high > 1:
        return tr(
            "Whether the pump reaches {wanted:.0f} L/h is not known: it needs {value} % ({low}){beyond}{most}.",
            wanted=wanted,
            value=number(100 * speed.value, 0),
            low=span(100 * speed.low, 100 * speed.high, "%", 0),
            beyond=beyond,
            most=most,
        )
    spare = "" if speed.high < _NEARLY else tr(", with nothing to spare")
    return tr("The pump is strong enough: {told}{spare}{most}.", told=told, spare=spare, most=most)


def second_words(found: Measured, circuit: Circuit, name: str, speed: float) -> str:
    """What one more of a part would cost, after the others."""
    from kuffin.core.flow.circuit import Branch

    more = (*circuit, (Branch(name),))
    change, then = found.change(circuit, more, speed), found.point(more, speed).flow
    return tr(
        "One more {name} costs {cost} L/h ({interval}): {value} L/h then.",
        name=name,
        cost=number(-change.value, 0),
        interval=span(-change.high, -change.low, "", 0),
        value=number(then.value, 0),
    )


def without_gauge_words(told: Sequence[WithAndWithout]) -> list[str]:
    """What flows with and without a part tell, a sentence each."""
    out = []
    for one in told:
        said = tr(
            "{part}: {value} % less flow with it in ({low}) at {speed_percent:.0f} % pump speed",
            part=one.part,
            value=number(one.less.value, 1),
            low=span(one.less.low, one.less.high, "", 1),
            speed_percent=one.speed_percent,
        )
        if one.drop is not None:
            said += tr(
                "; estimated from the pump's curve, it drops {drop} at {flow:.0f} L/h",
                drop=drop_words(one.drop),
                flow=one.flow,
            )
        out.append(f"{said}.")
    return out


def restriction_fit_words(fit: PartCurve, accuracy_told: bool) -> str:
    """What a restriction's readings were fitted to, how well, and which of them stand off."""
    said = tr(
        "drop of one = {a:.4g}·q + {b:.4g}·q² kPa. {scatter}",
        a=fit.a,
        b=fit.b,
        scatter=_scatter_words(fit.chi2, fit.freedom, accuracy_told),
    )
    if fit.standing_off:
        where = ", ".join(f"{fit.flow[i]:.0f} L/h" for i in fit.standing_off)
        said += (
            tr(
                " Ringed: the readings at {where} stand off by more than 3 standard uncertainties; look at them again.",
                where=where,
            )
            if len(fit.standing_off) > 1
            else tr(
                " Ringed: the reading at {where} stands off by more than 3 standard uncertainties; look at it again.",
                where=where,
            )
        )
    return said


def pump_fit_words(pump: PumpCurve, accuracy_told: bool) -> str:
    """What a pump's readings were fitted to, and how well."""
    return tr(
        "head = {h:.4g}·s² − {k:.4g}·q² kPa, s the share of full speed. {scatter}",
        h=pump.h,
        k=pump.k,
        scatter=_scatter_words(pump.chi2, pump.freedom, accuracy_told),
    )


def _scatter_words(chi2: float, freedom: int, accuracy_told: bool) -> str:
    if freedom < 1:
        return tr("As many readings as the curve has numbers: nothing tells how well it fits.")
    if not accuracy_told:
        return tr("The instruments' accuracy is not told: bands hold the readings' scatter only.")
    return tr(
        "Readings scatter by {chi2:.1f} times what the instruments' accuracy allows.", chi2=(chi2 / freedom) ** 0.5
    )
