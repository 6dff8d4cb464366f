"""Predictions in words: how warm, how it is known, what of it lies beyond what was measured."""

from __future__ import annotations

from kuffin.core.base.language import tr
from kuffin.core.base.numbers import begun, number
from kuffin.core.compare.pairwords import joined
from kuffin.core.predict.carrying import Foreseen
from kuffin.said.shownworking import Working
from kuffin.verdict.carried import WhatIf
from kuffin.verdict.predicting import Prediction


def foreseen_words(x: Foreseen | None, unit: str, digits: int = 1) -> str:
    """``71.2 °C (69.8 to 72.6)``; a dash for nothing."""
    if x is None:
        return "–"
    digits = 0 if x.half > 10 or unit in {"W", "L/h"} else digits
    return tr(
        "{value} {unit} ({low} to {high})",
        value=number(x.value, digits),
        unit=unit,
        low=number(x.low, digits),
        high=number(x.high, digits),
    )


def asked_words(asked: WhatIf) -> str:
    """What was asked for."""
    told = [
        f"{asked.power_w:.0f} W" if asked.power_w is not None else "",
        tr("air at {air_c:g} °C", air_c=asked.air_c) if asked.air_c is not None else "",
        tr("fans {fan:g} %", fan=asked.fan) if asked.fan is not None else "",
        tr("pump {pump:g} %", pump=asked.pump) if asked.pump is not None else "",
        tr("with {name}", name=asked.part.name) if asked.part is not None else "",
        tr("{name} as coolant", name=asked.coolant.name) if asked.coolant is not None else "",
    ]
    return ", ".join(t for t in told if t)


def prediction_words(p: Prediction) -> str:
    """One candidate in a sentence."""
    where = tr("At {asked}", asked=asked_words(p.asked))
    first = p.first
    what = tr("the die") if p.die is not None else tr("the coolant")
    beyond = tr("; {beyond} beyond what was measured", beyond=joined([tr(b) for b in p.beyond])) if p.beyond else ""
    highest = ""
    if p.asked.limit_c is not None:
        highest = (
            tr(
                " It holds {limit_c:g} °C up to {foreseen}.",
                limit_c=p.asked.limit_c,
                foreseen=foreseen_words(p.highest_power, "W"),
            )
            if p.highest_power is not None
            else tr(" Up to which power it holds {limit_c:g} °C cannot be said.", limit_c=p.asked.limit_c)
        )
    return tr(
        "{where}, {what} under {candidate}: {foreseen}, {label}{beyond}.{highest}",
        where=where,
        what=what,
        candidate=p.candidate,
        foreseen=foreseen_words(first, "°C"),
        label=tr(first.label),
        beyond=beyond,
        highest=highest,
    )


def difference_words(a: str, b: str, apart: Foreseen) -> str:
    """How far two candidates would be apart."""
    if apart.low <= 0 <= apart.high:
        return tr(
            "{a} and {b}: {low} to {high} K between them, not told apart ({label}).",
            a=a,
            b=b,
            low=number(apart.low, 1),
            high=number(apart.high, 1),
            label=tr(apart.label),
        )
    cooler, warmer = (a, b) if apart.high < 0 else (b, a)
    low, high = sorted((abs(apart.low), abs(apart.high)))
    return tr(
        "{cooler} is cooler than {warmer} by {low} to {high} K ({label}).",
        cooler=cooler,
        warmer=warmer,
        low=number(low, 1),
        high=number(high, 1),
        label=tr(apart.label),
    )


def prediction_working(p: Prediction) -> Working:
    """How a prediction came about, flight by flight."""
    out = Working(
        title=tr("{candidate} at {asked}", candidate=p.candidate, asked=asked_words(p.asked)),
        answer=foreseen_words(p.first, "°C"),
    )
    for f in p.flights:
        why = f"; {'; '.join(f.why)}" if f.why else tr("; under what was measured")
        out.say(begun(tr(f.name)), f"{foreseen_words(f.kelvins, 'K')}, {tr(f.kelvins.label)}{why}")
    out.say(tr("Air"), tr("{air_c:g} °C, as asked", air_c=p.asked.air_c))
    if p.flow is not None:
        out.say(tr("Flow"), f"{foreseen_words(p.flow, 'L/h')}, {tr(p.flow.label)}")
    out.say(
        tr("Interval"),
        tr(
            "95 %, for one more mount of {candidate}: from {mounts} mounts, {scatter}, and what is not known about the way there",
            candidate=p.candidate,
            mounts=p.mounts,
            scatter=tr("their own scatter, as the candidates’ differ")
            if p.own_scatter
            else tr("the scatter of all candidates’ mounts together"),
        ),
    )
    if p.beyond:
        out.say(tr("Beyond what was measured"), joined([tr(b) for b in p.beyond]))
    return out
