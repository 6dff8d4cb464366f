"""Which mounts next, in words: what is proposed and why, or that more mounts will hardly settle it and what may be said instead."""

from __future__ import annotations

import math

from kuffin.core.base.numbers import begun, number
from kuffin.core.compare.nextmounts import LEAST_CHANCE, RoundChoice
from kuffin.core.compare.pairwords import joined, several
from kuffin.core.compare.whichisbest import WhichIsBest, which_is_best
from kuffin.said.shownworking import Working
from kuffin.verdict.study import StudyVerdict
from kuffin.verdict.whatnext import WhatNext, margin_to_accept


def choice_words(choice: RoundChoice) -> str:
    """What a choice does: ``two more rounds of Reed and Sedge tell which is best in 62 % of cases, in 5 h``."""
    rounds = f"{several(choice.rounds, 'more round')} of {joined(list(choice.names))}"
    ends = "s" if choice.rounds == 1 else ""
    return f"{rounds} tell{ends} which is best in {100 * choice.chance:.0f} % of cases, in {number(choice.hours, 0)} h"


def proposal_words(v: StudyVerdict, told: WhatNext) -> str:
    """The proposal in a sentence, or why there is none."""
    if told.hardly:
        return stop_words(v, told)
    first = told.choices[0]
    asked = {n for near in told.near for n in (near.a, near.b)}
    out = [c for c in v.candidates if c not in asked]
    left = f" {joined(out)} {'is' if len(out) == 1 else 'are'} out of it." if out else ""
    return f"{begun(joined(list(first.names)))} next: {choice_words(first)}.{left}"


def as_good_words(v: StudyVerdict, told: WhichIsBest) -> str:
    """That no other is better by what matters: ``no other is more than 0.8 K cooler than Reed, less than the 1 K that matter``."""
    unit, better, found = v.outcome.difference_unit, v.outcome.wording.better, v.main.comparison
    assert told.behind is not None and found is not None and found.margin is not None
    matters = f"the {found.margin:.3g} {unit}".rstrip() + " that matter"
    most = math.ceil(round(10 * told.behind, 6)) / 10  # an upper bound is rounded up
    if most >= found.margin:
        return f"No other is {better} than {told.best} by {matters}"
    return f"No other is more than {most:.1f} {unit}".rstrip() + f" {better} than {told.best}, less than {matters}"


def stop_words(v: StudyVerdict, told: WhatNext) -> str:
    """That more mounts will hardly settle it, and what may be said instead."""
    unit = v.outcome.difference_unit
    found = v.main.comparison
    assert found is not None
    names = joined(list(dict.fromkeys(x for n in told.near for x in (n.a, n.b))))
    within = f" within {found.margin:g} {unit}" if found.margin is not None else ""
    near = joined([f"{n.a} and {n.b} are within {number(n.within, 1)} {unit}" for n in told.near])
    accept = margin_to_accept(told.near)
    first = told.choices[0]
    tried = f"{several(first.rounds, 'more round')} of {joined(list(first.names))}"
    chance = f"{100 * first.chance:.0f} %" if first.chance >= 0.005 else "under 1 %"
    as_good = which_is_best(found)
    hardly = f"More mounts will hardly settle {names}{within}: {chance} by {tried}, {number(first.hours, 0)} h. "
    if as_good.behind is not None:
        return f"{hardly}What may be said already answers most: {as_good_words(v, as_good)}."
    return f"{hardly}Say that {near} of each other, or accept {accept:g} {unit} as what matters."


def choice_working(v: StudyVerdict, told: WhatNext, choice: RoundChoice) -> Working:
    """How a choice is worth what it is."""
    out = Working(title=begun(joined(list(choice.names))), answer=begun(choice_words(choice)))
    out.say("Answers", f"which is best, by name or that those left are alike, in {100 * choice.chance:.0f} % of cases")
    out.say("Hours", f"{several(choice.rounds, 'round')} of {several(len(choice.names), 'mount')}, {told.minutes_from}")
    if choice.chance:
        out.say(
            "Worth",
            f"{number(choice.hours, 0)} h for {100 * choice.chance:.0f} %: an answer takes {number(choice.hours_for_answer, 0)} h on average; the least is "
            f"proposed, of those with a chance of {100 * LEAST_CHANCE:.0f} % and more",
        )
    out.say(
        "Drawn from",
        "what is known now: the means, the scatter, the new mounts, 2,000 times, each judged as the next look will be",
    )
    if v.blocks:
        out.say("Rounds", "count as blocks, so no candidate is mounted alone: it could not be told from its day")
    return out
