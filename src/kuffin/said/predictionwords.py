"""Predictions in words: how warm, how it is known, what of it lies beyond what was measured."""

from __future__ import annotations

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
    return f"{number(x.value, digits)} {unit} ({number(x.low, digits)} to {number(x.high, digits)})"


def asked_words(asked: WhatIf) -> str:
    """What was asked for."""
    told = [
        f"{asked.power_w:.0f} W" if asked.power_w is not None else "",
        f"air at {asked.air_c:g} °C" if asked.air_c is not None else "",
        f"fans {asked.fan:g} %" if asked.fan is not None else "",
        f"pump {asked.pump:g} %" if asked.pump is not None else "",
        f"with {asked.part.name}" if asked.part is not None else "",
        f"{asked.coolant.name} as coolant" if asked.coolant is not None else "",
    ]
    return ", ".join(t for t in told if t)


def prediction_words(p: Prediction) -> str:
    """One candidate in a sentence."""
    where = f"At {asked_words(p.asked)}"
    first = p.die if p.die is not None else p.coolant
    what = "the die" if p.die is not None else "the coolant"
    assert first is not None
    beyond = f"; {joined(p.beyond)} beyond what was measured" if p.beyond else ""
    highest = ""
    if p.asked.limit_c is not None:
        highest = (
            f" It holds {p.asked.limit_c:g} °C up to {foreseen_words(p.highest_power, 'W')}."
            if p.highest_power is not None
            else f" Up to which power it holds {p.asked.limit_c:g} °C cannot be said."
        )
    return f"{where}, {what} under {p.candidate}: {foreseen_words(first, '°C')}, {first.label}{beyond}.{highest}"


def difference_words(a: str, b: str, apart: Foreseen) -> str:
    """How far two candidates would be apart."""
    if apart.low <= 0 <= apart.high:
        return f"{a} and {b}: {number(apart.low, 1)} to {number(apart.high, 1)} K between them, not told apart ({apart.label})."
    cooler, warmer = (a, b) if apart.high < 0 else (b, a)
    low, high = sorted((abs(apart.low), abs(apart.high)))
    return f"{cooler} is cooler than {warmer} by {number(low, 1)} to {number(high, 1)} K ({apart.label})."


def prediction_working(p: Prediction) -> Working:
    """How a prediction came about, flight by flight."""
    first = p.die if p.die is not None else p.coolant
    out = Working(title=f"{p.candidate} at {asked_words(p.asked)}", answer=foreseen_words(first, "°C"))
    for f in p.flights:
        why = f"; {'; '.join(f.why)}" if f.why else "; under what was measured"
        out.say(begun(f.name), f"{foreseen_words(f.kelvins, 'K')}, {f.kelvins.label}{why}")
    out.say("Air", f"{p.asked.air_c:g} °C, as asked")
    if p.flow is not None:
        out.say("Flow", f"{foreseen_words(p.flow, 'L/h')}, {p.flow.label}")
    out.say(
        "Interval",
        f"95 %, for one more mount of {p.candidate}: from {p.mounts} mounts, the scatter of all candidates' mounts together, and what is "
        "not known about the way there",
    )
    if p.beyond:
        out.say("Beyond what was measured", joined(p.beyond))
    return out
