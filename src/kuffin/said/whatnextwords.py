"""Which mounts next, in words: what is proposed and why, or that more mounts will hardly settle it and what may be said instead."""

from __future__ import annotations

from kuffin.core.base.numbers import begun, number
from kuffin.core.compare.nextmounts import RoundChoice
from kuffin.core.compare.pairwords import joined, several
from kuffin.said.shownworking import Working
from kuffin.verdict.study import StudyVerdict
from kuffin.verdict.whatnext import WhatNext, margin_to_accept


def choice_words(told: WhatNext, choice: RoundChoice) -> str:
    """What a choice does: ``two more rounds of Reed and Sedge settle it in 62 % of cases, 5 h``."""
    rounds = f"{several(choice.rounds, 'more round')} of {joined(list(choice.names))}"
    ends = "s" if choice.rounds == 1 else ""
    if len(told.near) == 1:
        what = f"settle{ends} {told.near[0].a} and {told.near[0].b} in {100 * choice.all_settled:.0f} % of cases"
    else:
        what = f"settle{ends} {settled_words(told, choice)} on average"
    return f"{rounds} {what}, in {number(choice.hours, 0)} h"


def settled_words(told: WhatNext, choice: RoundChoice) -> str:
    """How many of the open pairs a choice settles: ``0.9 of two open pairs``."""
    return f"{number(choice.settles * len(told.near), 1)} of {several(len(told.near), 'open pair')}"


def proposal_words(v: StudyVerdict, told: WhatNext) -> str:
    """The proposal in a sentence, or why there is none."""
    if told.hardly:
        return stop_words(v, told)
    first = told.choices[0]
    asked = {n for near in told.near for n in (near.a, near.b)}
    out = [c for c in v.candidates if c not in asked]
    left = f" {joined(out)} {'is' if len(out) == 1 else 'are'} out of it." if out else ""
    return f"{begun(joined(list(first.names)))} next: {choice_words(told, first)}.{left}"


def stop_words(v: StudyVerdict, told: WhatNext) -> str:
    """That more mounts will hardly settle it, and what may be said instead."""
    unit = v.outcome.difference_unit
    found = v.main.comparison
    assert found is not None
    pairs = joined([f"{n.a} and {n.b}" for n in told.near])
    within = f" within {found.margin:g} {unit}" if found.margin is not None else ""
    near = joined([f"{n.a} and {n.b} are within {number(n.within, 1)} {unit}" for n in told.near])
    accept = margin_to_accept(told.near)
    return (
        f"More mounts will hardly settle {pairs}{within}: {100 * told.chance:.0f} % in {told.rounds} more rounds, {number(told.hours, 0)} h. "
        f"Say that {near} of each other, or accept {accept:g} {unit} as what matters."
    )


def choice_working(v: StudyVerdict, told: WhatNext, choice: RoundChoice) -> Working:
    """How a choice is worth what it is."""
    out = Working(title=begun(joined(list(choice.names))), answer=begun(choice_words(told, choice)))
    out.say(
        "Settles",
        f"{settled_words(told, choice)} with the leader, on average; all of them in {100 * choice.all_settled:.0f} % of cases",
    )
    out.say("Hours", f"{several(choice.rounds, 'round')} of {several(len(choice.names), 'mount')}, {told.minutes_from}")
    out.say("Worth", f"{100 * choice.per_hour:.1f} % of the open pairs for each hour; the greatest is proposed")
    out.say(
        "Drawn from",
        "what is known now: the means, the scatter, the new mounts, 2,000 times, each judged as the next look will be",
    )
    if v.blocks:
        out.say("Rounds", "count as blocks, so no candidate is mounted alone: it could not be told from its day")
    return out
