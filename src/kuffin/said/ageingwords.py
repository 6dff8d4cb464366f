"""Ageing in words: how a mount changed that was left in place, and what is due when."""

from __future__ import annotations

import datetime as dt

from kuffin.core.base.days import day_words
from kuffin.core.base.numbers import number
from kuffin.core.compare.ageing import SO_FAR, STEP, AgedReading, Ageing
from kuffin.core.compare.pairwords import digits_for, several
from kuffin.said.shownworking import Working
from kuffin.verdict.ageing import AgedMount, DueRecheck, StudyAgeing


def time_words(days: float) -> str:
    """A length of time: ``9 hours``, ``31 days``, ``5 months``."""
    if days < 1.5:
        return several(round(days * 24), "hour")
    return several(round(days), "day") if days < 120 else f"{round(days / 30.4)} months"


def aged_words(m: AgedMount, baseline: str, unit: str = "K") -> str:
    """One mount in a sentence."""
    found = m.found
    if not baseline:
        return (
            f"{m.label}: nothing may be said of ageing, as no baseline was read again. What changed may be the bench."
        )
    if found is None:
        whys = dict.fromkeys(r.why_not for r in m.readings if r.why_not)
        return f"{m.label}: nothing may be said yet{': ' if whys else ''}{'; '.join(whys)}."
    digits = digits_for(2 * found.half)
    low, high = found.change - found.half, found.change + found.half
    told = f"{number(found.change, digits)} {unit} ({number(low, digits)} to {number(high, digits)})"
    after = f"after {time_words(found.days)}"
    if found.way == SO_FAR:
        return f"{m.label}: so far {told} {after}, {several(len(m.rows) - 1, 'recheck')}; three are needed before it is called ageing."
    if not found.aged:
        return f"{m.label}: no ageing seen {after}: {told}."
    how = "warmer" if found.change > 0 else "cooler"
    size = sorted((abs(low), abs(high)))
    by = f"{number(abs(found.change), digits)} {unit} {how} ({number(size[0], digits)} to {number(size[1], digits)})"
    if found.way == STEP and found.step_after is not None:
        since = "its first reading" if found.step_after <= 0 else f"day {found.step_after:.0f}"
        return f"{m.label} is {by} {after}, in one step after {since}."
    return f"{m.label} is {by} {after}, along the logarithm of time."


def due_words(due: DueRecheck, now: dt.datetime) -> str:
    """When a recheck is due: ``day 30, due since 3 March 2026``."""
    which = f"day {due.days:g}"
    if due.at <= now:
        return f"{which}, due since {day_words(due.at)}"
    return f"{which}, on {day_words(due.at)}"


def ageing_working(m: AgedMount, all_of: StudyAgeing) -> Working:
    """How a change came about, reading by reading."""
    found = m.found
    assert found is not None
    unit = "K"
    out = Working(title=f"Ageing of {m.label}", answer=aged_words(m, all_of.baseline))
    for r in m.readings:
        if r.read is None:
            out.say(f"Day {r.days:.1f}", r.why_not)
            continue
        base = f"{all_of.baseline} {number(r.base, 2)} {unit}" if r.base is not None else r.why_not
        out.say(f"Day {r.days:.1f}", f"{number(r.read.value, 2)} {unit}; {base}")
    for row in m.rows:
        out.say(f"Less the baseline’s move, day {row.days:.1f}", _row_words(row))
    out.say("How", _way(found))
    return out


def _row_words(row: AgedReading) -> str:
    unlike = (
        f"; whether the bench moved by kelvins or by a share may be {number(abs(row.unlike), 2)} K either way"
        if abs(row.unlike) >= 0.005
        else ""
    )
    return f"{number(row.value, 2)} ± {number(row.u95, 2)} K{unlike}"


def _way(found: Ageing) -> str:
    if found.way == SO_FAR:
        return "the last reading less the first; the interval from the readings alone"
    fitted = (
        "the best step between two readings, by Akaike’s criterion"
        if found.way == STEP
        else "a straight line over log10(1 + days), by least squares"
    )
    return (
        f"{fitted}; scatter {number(found.sd, 2)} K with {found.df:g} degrees of freedom, pooled over all mounts that stay in place; "
        "95 %, by t"
    )
