"""Ageing in words: how a mount changed that was left in place, and what is due when."""

from __future__ import annotations

import datetime as dt

from kuffin.core.base.days import day_words
from kuffin.core.base.language import tr
from kuffin.core.base.numbers import number
from kuffin.core.compare.ageing import SO_FAR, STEP, AgedReading, Ageing
from kuffin.core.compare.pairwords import digits_for, several
from kuffin.said.shownworking import Working
from kuffin.verdict.ageing import AgedMount, DueRecheck, StudyAgeing


def time_words(days: float) -> str:
    """A length of time: ``9 hours``, ``31 days``, ``5 months``."""
    if days < 1.5:
        return several(round(days * 24), "hour")
    return several(round(days), "day") if days < 120 else tr("{days} months", days=round(days / 30.4))


def aged_words(m: AgedMount, baseline: str, unit: str = "K") -> str:
    """One mount in a sentence."""
    found = m.found
    if not baseline:
        return tr(
            "{label}: nothing may be said of ageing, as no baseline was read again. What changed may be the bench.",
            label=m.label,
        )
    if found is None:
        whys = dict.fromkeys(r.why_not for r in m.readings if r.why_not)
        return (
            tr("{label}: nothing may be said yet: {why}.", label=m.label, why="; ".join(whys))
            if whys
            else tr("{label}: nothing may be said yet.", label=m.label)
        )
    digits = digits_for(2 * found.half)
    low, high = found.change - found.half, found.change + found.half
    told = tr(
        "{change} {unit} ({low} to {high})",
        change=number(found.change, digits),
        unit=unit,
        low=number(low, digits),
        high=number(high, digits),
    )
    after = tr("after {time}", time=time_words(found.days))
    if found.way == SO_FAR:
        return tr(
            "{label}: so far {told} {after}, {rows}; three are needed before it is called ageing.",
            label=m.label,
            told=told,
            after=after,
            rows=several(len(m.rows) - 1, "recheck"),
        )
    if found.control_open and abs(found.change) > found.half:
        return tr(
            "{label} changed by {told} against {control}, which changed by itself: one control mount cannot say which of them aged.",
            label=m.label,
            told=told,
            control=baseline,
        )
    if not found.aged:
        return tr("{label}: no ageing seen {after}: {told}.", label=m.label, after=after, told=told)
    how = "warmer" if found.change > 0 else "cooler"
    size = sorted((abs(low), abs(high)))
    by = tr(
        "{change} {unit} {how} ({low} to {high})",
        change=number(abs(found.change), digits),
        unit=unit,
        how=how,
        low=number(size[0], digits),
        high=number(size[1], digits),
    )
    if found.way == STEP and found.step_after is not None:
        since = (
            tr("its first reading")
            if found.step_after <= 0
            else tr("day {step_after:.0f}", step_after=found.step_after)
        )
        return tr("{label} is {by} {after}, in one step after {since}.", label=m.label, by=by, after=after, since=since)
    return tr("{label} is {by} {after}, along the logarithm of time.", label=m.label, by=by, after=after)


def due_words(due: DueRecheck, now: dt.datetime) -> str:
    """When a recheck is due: ``day 30, due since 3 March 2026``."""
    which = tr("day {days:g}", days=due.days)
    if due.at <= now:
        return tr("{which}, due since {day}", which=which, day=day_words(due.at))
    return tr("{which}, on {day}", which=which, day=day_words(due.at))


def ageing_working(m: AgedMount, all_of: StudyAgeing) -> Working:
    """How a change came about, reading by reading."""
    found = m.found
    assert found is not None
    unit = "K"
    out = Working(title=tr("Ageing of {label}", label=m.label), answer=aged_words(m, all_of.baseline))
    for r in m.readings:
        if r.read is None:
            out.say(tr("Day {days:.1f}", days=r.days), r.why_not)
            continue
        base = f"{all_of.baseline} {number(r.base, 2)} {unit}" if r.base is not None else r.why_not
        out.say(tr("Day {days:.1f}", days=r.days), f"{number(r.read.value, 2)} {unit}; {base}")
    for row in m.rows:
        out.say(tr("Less the baseline’s move, day {days:.1f}", days=row.days), _row_words(row))
    out.say(tr("How"), _way(found))
    return out


def _row_words(row: AgedReading) -> str:
    unlike = (
        tr(
            "; whether the bench moved by kelvins or by a share may be {unlike} K either way",
            unlike=number(abs(row.unlike), 2),
        )
        if abs(row.unlike) >= 0.005
        else ""
    )
    return f"{number(row.value, 2)} ± {number(row.u95, 2)} K{unlike}"


def _way(found: Ageing) -> str:
    if found.way == SO_FAR:
        return tr("the last reading less the first; the interval from what a mount differs by from day to day")
    fitted = (
        tr("the best step between two readings, by Akaike’s criterion")
        if found.way == STEP
        else tr("a straight line over log10(1 + days), by least squares")
    )
    return tr(
        "{fitted}; scatter {sd} K with {df:g} degrees of freedom, pooled over all mounts "
        "that stay in place; by t, 95 % over all mounts and rechecks together",
        fitted=fitted,
        sd=number(found.sd, 2),
        df=found.df,
    )
