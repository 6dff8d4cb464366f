"""Sweeps in words: who leads where, what it takes, which settings nothing beats, and where each figure comes from."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import replace

from kuffin.core.base.language import tr
from kuffin.core.base.numbers import begun, number
from kuffin.core.base.worked import Worked
from kuffin.core.bench.outcomes import Outcome
from kuffin.core.bench.sweepaxes import SweepAxis
from kuffin.core.compare import Comparison
from kuffin.core.compare.pairwords import best_of, digits_for, joined, pair_said, span
from kuffin.core.compare.worked import apart, candidate_mean, pair_difference
from kuffin.said.shownworking import Working
from kuffin.verdict.along import AlongRange, AlongStretch, ReadThere, Sweep
from kuffin.verdict.unbeatensettings import SettingPoint


def place_words(axis: SweepAxis, at: float) -> str:
    """``at 33 dBA``."""
    return tr("at {at} {unit}", at=number(at, 1 if axis.way == "level" else 0), unit=axis.unit)


def there_words(sweep: Sweep, there: ReadThere) -> list[str]:
    """What may be said of each pair at one place, the settled ones first; what was refused, by name."""
    said = []
    where = begun(place_words(sweep.axis, there.at))
    found = there.comparison
    if found is None:
        said.append(tr("{where} nothing is compared: {why_not}.", where=where, why_not=there.why_not))
    else:
        pairs = sorted(found.pairs, key=lambda p: (not p.settled, p.p))
        said += [f"{where}: {pair_said(p, found, there.outcome)}" for p in pairs]
    if there.refused:
        low, high = sweep.span
        said.append(
            tr(
                "{refused}: not swept as far as that, so nothing is said ({low} to {high} {unit} in all).",
                refused=joined(there.refused),
                low=number(low, 0),
                high=number(high, 0),
                unit=sweep.axis.unit,
            )
        )
    return said


def needed_words(sweep: Sweep, there: ReadThere, wanted: float) -> list[str]:
    """What it takes: the loudness, or the speed, at which each candidate has a wanted value."""
    axis, outcome = sweep.axis, sweep.outcome
    digits = 1 if axis.way == "level" else 0
    value = f"{number(wanted, 1)} {outcome.unit}".rstrip()
    said = []
    found = there.comparison
    if found is not None:
        order = sorted(found.candidates, key=lambda c: c.mean, reverse=not axis.fewer_is_better)
        told = [
            tr(
                "{name} takes {mean} {unit} ({low})",
                name=c.name,
                mean=number(c.mean, digits),
                unit=axis.unit,
                low=span(c.low, c.high, "", digits),
            )
            for c in order
        ]
        said.append(tr("For {value}: {told}.", value=value, told=joined(told)))
        said += [pair_said(p, found, there.outcome) for p in found.pairs]
    elif len(there.refused) < len(sweep.candidates):
        said.append(tr("For {value} nothing is compared: {why_not}.", value=value, why_not=there.why_not))
    if there.refused:
        said.append(
            tr("{refused} does not reach {value} within what was swept.", refused=joined(there.refused), value=value)
            if len(there.refused) == 1
            else tr("{refused} do not reach {value} within what was swept.", refused=joined(there.refused), value=value)
        )
    return said


def ranking_words(sweep: Sweep, found: AlongRange) -> list[str]:
    """How the ranking changes along the range, a sentence for each pair."""
    return [_pair_along(sweep, a, b, stretches) for (a, b), stretches in found.pairs.items()]


def _pair_along(sweep: Sweep, a: str, b: str, stretches: Sequence[AlongStretch]) -> str:
    axis, wording = sweep.axis, sweep.outcome.wording
    digits = 0

    def said(s: AlongStretch) -> str:
        if s.better:
            return tr("{name} is {better}", name=s.better, better=tr(wording.better))
        return tr("they are the same for this purpose") if s.same else tr("they are not told apart")

    if len(stretches) == 1:
        only = stretches[0]
        where = tr(
            "from {begin} to {end} {unit}",
            begin=number(only.begin, digits),
            end=number(only.end, digits),
            unit=axis.unit,
        )
        return begun(tr("{a} and {b}: {told} {where}.", a=a, b=b, told=said(only), where=where))
    pieces = []
    for i, s in enumerate(stretches):
        edge = (s.begin + stretches[i - 1].end) / 2 if i else s.begin
        if i == 0:
            pieces.append(
                tr(
                    "below {end} {unit} {told}",
                    end=number((s.end + stretches[1].begin) / 2, digits),
                    unit=axis.unit,
                    told=said(s),
                )
            )
        elif i == len(stretches) - 1:
            pieces.append(tr("above {edge} {unit} {told}", edge=number(edge, digits), unit=axis.unit, told=said(s)))
        else:
            pieces.append(
                tr(
                    "up to {end} {unit} {told}",
                    end=number((s.end + stretches[i + 1].begin) / 2, digits),
                    unit=axis.unit,
                    told=said(s),
                )
            )
    return tr("{a} and {b}: {pieces}.", a=a, b=b, pieces="; ".join(pieces))


def quietest_words(sweep: Sweep, there: ReadThere) -> str:
    """What it costs to be as quiet as the quietest: the others at the lowest place that all reach."""
    found = there.comparison
    if found is None or len(found.candidates) < 2:
        return ""
    first = found.candidate(best_of(found))
    unit = apart(sweep.outcome.unit)
    costs = []
    for c in found.candidates:
        if c.name == first.name:
            continue
        pair = found.pair(c.name, first.name)
        sign = 1.0 if pair.a == c.name else -1.0
        low, high = sorted((sign * pair.low, sign * pair.high))
        digits = digits_for(high - low)
        verb = tr(
            "costs {difference} {unit} ({low})",
            difference=number(abs(pair.difference), digits),
            unit=unit,
            low=span(low, high, "", digits),
        )
        costs.append(
            f"{c.name} {verb}"
            if pair.settled and pair.verdict != "same"
            else tr("{name} costs nothing that can be told", name=c.name)
        )
    return tr(
        "{place}, the quietest that all of them reach, beside {name}: {costs}.",
        place=begun(place_words(sweep.axis, there.at)),
        name=first.name,
        costs=joined(costs),
    )


def unbeaten_rows(sweep: Sweep, settings: Sequence[SettingPoint]) -> list[tuple[str, str, str, str]]:
    """A row for each candidate at each setting: what it costs, what it gives, what beats it."""
    axis, outcome = sweep.axis, sweep.outcome
    rows = []
    for s in settings:
        beaten = tr("{beaten_by} beats it", beaten_by=s.beaten_by) if s.beaten_by else tr("none is shown to")
        if s.maybe_by:
            beaten = tr("not known: {maybe_by} is better in both, by single mounts", maybe_by=s.maybe_by)
        rows.append(
            (
                f"{s.candidate}, {s.condition}",
                _with_half(s.x, s.x_half, axis.unit),
                _with_half(s.y, s.y_half, outcome.unit),
                beaten,
            )
        )
    return rows


def _with_half(value: float, half: float | None, unit: str) -> str:
    if half is None:
        return f"{number(value, 1)} {unit}".rstrip()
    digits = 0 if half >= 5 else digits_for(2 * half)
    return f"{number(value, digits)} ± {number(half, digits)} {unit}".rstrip()


def _bare(worked: Worked) -> Worked:
    """A worked value whose terms lead nowhere else: all there is stands in it."""
    half = None if worked.half is None else _bare(worked.half)
    return replace(worked, leads=None, terms=tuple(map(_bare, worked.terms)), half=half)


def _mounts(sweep: Sweep, there: ReadThere, labels: dict[str, str]) -> dict[str, Worked]:
    found = {s.mount.mount: s for s in sweep.swept}
    out = {}
    for m in there.curves.mounts:
        if m.value is None:
            continue
        own = found[m.mount.mount]
        span_words = tr("{min:.4g} to {max:.4g} {unit}", min=own.x.min(), max=own.x.max(), unit=sweep.axis.unit)
        half = (
            None
            if m.u95 is None
            else Worked(
                name=tr("What its own curve scatters by"),
                symbol="U",
                value=m.u95,
                unit=apart(there.outcome.unit),
                digits=2,
            )
        )
        out[m.mount.mount] = Worked(
            name=labels.get(m.mount.mount, m.mount.mount),
            symbol="y",
            value=m.value,
            unit=there.outcome.unit,
            half=half,
            source=tr("read off its own curve, {points} points from {span}", points=m.points, span=span_words),
        )
    return out


def along_working(sweep: Sweep, there: ReadThere, name: str, labels: dict[str, str]) -> Working:
    """How a candidate's figure at a place came about: its mounts, each off its own curve."""
    found = there.comparison
    assert found is not None
    c, unit = found.candidate(name), there.outcome.unit
    out = Working(
        title=f"{name} {place_words(sweep.axis, there.at) if there.outcome.key == sweep.outcome.key else 'as wanted'}",
        answer=f"{number(c.mean, 2)} {unit} ({span(c.low, c.high, unit, 2)})",
    )
    out.add(_bare(candidate_mean(found, name, unit, _mounts(sweep, there, labels))))
    out.say(tr("Curves"), _curve_words(sweep, there))
    for p in found.pairs:
        if name in {p.a, p.b}:
            out.say(tr("{a} and {b}", a=p.a, b=p.b), pair_said(p, found, there.outcome))
            out.add(_bare(pair_difference(found, p, unit, 2)))
    for where, why in sweep.left_out.items():
        out.say(tr("Not in it"), f"{where}: {why}")
    out.say(
        tr("Interval"),
        tr(
            "{confidence:.4g} %, from how far mounts differ; what a curve scatters by stands "
            "with its mount and is not used again",
            confidence=100 * found.confidence,
        ),
    )
    return out


def _curve_words(sweep: Sweep, there: ReadThere) -> str:
    c = there.curves.c
    g = {"level": f"10^(−{c:.2f}·x/50)", "power": f"x^{c:.2f}"}.get(sweep.axis.way, f"x^(−{c:.2f})")
    whose = tr("of each mount with four points or more") if there.curves.own_slopes else tr("of its candidate")
    return tr(
        "y = a + b·g(x) with g = {g}: a of the mount, b {whose}, the exponent of the whole study", g=g, whose=whose
    )


def digits_of(found: Comparison) -> int:
    """Decimals for a comparison's means."""
    return digits_for(max(c.high - c.low for c in found.candidates))


def mean_words(found: Comparison, name: str, outcome: Outcome) -> str:
    """A candidate's mean with its interval."""
    c, digits = found.candidate(name), digits_of(found)
    return f"{number(c.mean, digits)} {outcome.unit} ({span(c.low, c.high, '', digits)})".replace("  ", " ")
