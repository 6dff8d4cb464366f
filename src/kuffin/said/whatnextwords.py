"""Which mounts next, in words: what is proposed and why, or that more mounts will hardly settle it and what may be said instead."""

from __future__ import annotations

import math

from kuffin.core.base.language import tr, written
from kuffin.core.base.numbers import begun, number
from kuffin.core.compare.nextmounts import LEAST_CHANCE, RoundChoice
from kuffin.core.compare.pairwords import joined, several
from kuffin.core.compare.whichisbest import WhichIsBest, which_is_best
from kuffin.said.shownworking import Working
from kuffin.verdict.study import StudyVerdict
from kuffin.verdict.whatnext import WhatNext, margin_to_accept


def choice_words(choice: RoundChoice) -> str:
    """What a choice does: ``two more rounds of Reed and Sedge tell which is best in 62 % of cases, in 5 h``."""
    rounds = tr("{rounds} of {names}", rounds=several(choice.rounds, "more round"), names=joined(list(choice.names)))
    chance, hours = 100 * choice.chance, number(choice.hours, 0)
    if choice.rounds == 1:
        return tr(
            "{rounds} tells which is best in {chance:.0f} % of cases, in {hours} h",
            rounds=rounds,
            chance=chance,
            hours=hours,
        )
    return tr(
        "{rounds} tell which is best in {chance:.0f} % of cases, in {hours} h",
        rounds=rounds,
        chance=chance,
        hours=hours,
    )


def proposal_words(v: StudyVerdict, told: WhatNext) -> str:
    """The proposal in a sentence, or why there is none."""
    if told.hardly:
        return stop_words(v, told)
    first = told.choices[0]
    asked = {n for near in told.near for n in (near.a, near.b)}
    out = [c for c in v.candidates if c not in asked]
    left = (
        (tr(" {out} is out of it.", out=joined(out)) if len(out) == 1 else tr(" {out} are out of it.", out=joined(out)))
        if out
        else ""
    )
    return tr(
        "{names} next: {choice}.{left}", names=begun(joined(list(first.names))), choice=choice_words(first), left=left
    )


def as_good_words(v: StudyVerdict, told: WhichIsBest) -> str:
    """That no other is better by what matters: ``no other is more than 0.8 K cooler than Reed, less than the 1 K that matter``."""
    unit, better, found = v.outcome.difference_unit, v.outcome.wording.better, v.main.comparison
    assert told.behind is not None and found is not None and found.margin is not None
    matters = tr("the {margin} that matter", margin=written(f"{found.margin:.3g} {unit}".rstrip()))
    most = math.ceil(round(10 * told.behind, 6)) / 10  # an upper bound is rounded up
    if most >= found.margin:
        return tr("No other is {better} than {best} by {matters}", better=better, best=told.best, matters=matters)
    return tr(
        "No other is more than {most} {better} than {best}, less than {matters}",
        most=f"{number(most, 1)} {unit}".rstrip(),
        better=better,
        best=told.best,
        matters=matters,
    )


def stop_words(v: StudyVerdict, told: WhatNext) -> str:
    """That more mounts will hardly settle it, and what may be said instead."""
    unit = v.outcome.difference_unit
    found = v.main.comparison
    assert found is not None
    names = joined(list(dict.fromkeys(x for n in told.near for x in (n.a, n.b))))
    within = tr(" within {margin:g} {unit}", margin=found.margin, unit=unit) if found.margin is not None else ""
    near = joined(
        [
            tr("{a} and {b} are within {within} {unit}", a=n.a, b=n.b, within=number(n.within, 1), unit=unit)
            for n in told.near
        ]
    )
    accept = margin_to_accept(told.near)
    first = told.choices[0]
    tried = tr("{rounds} of {names}", rounds=several(first.rounds, "more round"), names=joined(list(first.names)))
    chance = f"{100 * first.chance:.0f} %" if first.chance >= 0.005 else tr("under 1 %")
    as_good = which_is_best(found)
    hardly = tr(
        "More mounts will hardly settle {names}{within}: {chance} by {tried}, {hours} h. ",
        names=names,
        within=within,
        chance=chance,
        tried=tried,
        hours=number(first.hours, 0),
    )
    if as_good.behind is not None:
        return tr(
            "{hardly}What may be said already answers most: {as_good}.",
            hardly=hardly,
            as_good=as_good_words(v, as_good),
        )
    return tr(
        "{hardly}Say that {near} of each other, or accept {accept:g} {unit} as what matters.",
        hardly=hardly,
        near=near,
        accept=accept,
        unit=unit,
    )


def choice_working(v: StudyVerdict, told: WhatNext, choice: RoundChoice) -> Working:
    """How a choice is worth what it is."""
    out = Working(title=begun(joined(list(choice.names))), answer=begun(choice_words(choice)))
    out.say(
        tr("Answers"),
        tr(
            "which is best, by name or that those left are alike, in {chance:.0f} % of cases",
            chance=100 * choice.chance,
        ),
    )
    out.say(
        tr("Hours"),
        tr(
            "{rounds} of {names}, {minutes_from}",
            rounds=several(choice.rounds, "round"),
            names=several(len(choice.names), "mount"),
            minutes_from=told.minutes_from,
        ),
    )
    if choice.chance:
        out.say(
            tr("Worth"),
            tr(
                "{hours} h for {chance:.0f} %: an answer takes {hours_for_answer} h on average; the "
                "least is proposed, of those with a chance of {LEAST_CHANCE:.0f} % and more",
                hours=number(choice.hours, 0),
                chance=100 * choice.chance,
                hours_for_answer=number(choice.hours_for_answer, 0),
                LEAST_CHANCE=100 * LEAST_CHANCE,
            ),
        )
    out.say(
        tr("Drawn from"),
        tr(
            "what is known now: the means, the scatter, the new mounts, 2,000 times, each judged "
            "as the next look will be"
        ),
    )
    if v.blocks:
        out.say(
            tr("Rounds"), tr("count as blocks, so no candidate is mounted alone: it could not be told from its day")
        )
    return out
