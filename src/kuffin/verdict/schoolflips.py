"""The same study under each school: where the ranking or a verdict flips, which pair it is, and why."""

from __future__ import annotations

from dataclasses import dataclass
from typing import TYPE_CHECKING

import numpy as np

from kuffin.core.base.language import counted, inside, mark, tr
from kuffin.core.compare.pairwords import joined, number, pair_said
from kuffin.core.heat.normalise import SCHOOLS, School
from kuffin.verdict.outcomes import OutcomeResult

if TYPE_CHECKING:
    from kuffin.verdict.study import StudyVerdict

_VERDICTS = {"same": mark("the same"), "unsettled": mark("not told apart")}


@dataclass(frozen=True)
class Flip:
    """A pair that another school judges otherwise.

    Attributes
    ----------
    here, there : str
        What the school in use and the other one say, in a few words.
    why : str
        What differs between the two schools, with numbers.
    """

    pair: tuple[str, str]
    here: str
    there: str
    why: str


@dataclass(frozen=True, kw_only=True)
class SchoolRow:
    """One school beside the one in use: its ranking, and where it flips."""

    school: School
    ranking: tuple[str, ...]
    in_use: bool
    flips: tuple[Flip, ...]
    first_differs: bool
    why_not: str


def side_by_side(v: StudyVerdict) -> list[SchoolRow]:
    """Every school of the study, the one in use first."""
    rows = []
    main = v.temperature
    keys = [v.school.key, *(k for k in v.schools if k != v.school.key)]
    for key in keys:
        result = v.schools[key]
        ranking = tuple(result.ranking())
        flips = () if key == v.school.key else tuple(_flips(v, main, result))
        differs = bool(ranking and main.ranking() and ranking[0] != main.ranking()[0])
        rows.append(
            SchoolRow(
                school=SCHOOLS[key],
                ranking=ranking,
                in_use=key == v.school.key,
                flips=flips,
                first_differs=differs,
                why_not=result.why_not or "",
            )
        )
    return rows


def verdict_words(a: str, b: str, verdict: str) -> str:
    """A pair's verdict in a few words."""
    if verdict in {"a_lower", "b_lower"}:
        return tr("{name} cooler", name=a if verdict == "a_lower" else b)
    return tr(_VERDICTS[verdict])


def _flips(v: StudyVerdict, main: OutcomeResult, other: OutcomeResult) -> list[Flip]:
    if main.comparison is None or other.comparison is None:
        return []
    theirs = {(p.a, p.b): p for p in other.comparison.pairs}
    out = []
    for p in main.comparison.pairs:
        q = theirs.get((p.a, p.b))
        if q is not None and q.verdict != p.verdict:
            why = why_they_differ(v, (p.a, p.b), v.school, SCHOOLS[other.outcome.key])
            out.append(Flip((p.a, p.b), verdict_words(p.a, p.b, p.verdict), verdict_words(p.a, p.b, q.verdict), why))
    return out


def why_they_differ(v: StudyVerdict, pair: tuple[str, str], here: School, there: School) -> str:
    """What one school takes out of a pair and the other leaves in: room, power, flow and fans, or time; with its size."""
    said = []
    if (here.over is None) != (there.over is None):
        said.append(_left_in(v, pair, tr("the room"), ("air_in", "room"), "°C", tr("K warmer air"), 1, 0.2))
    if here.per_watt != there.per_watt:
        said.append(_left_in(v, pair, "power", ("power", "wall_power"), "W", tr("W more"), 1, 0.5))
    if here.over != there.over and here.over is not None and there.over is not None:
        said.append(_left_in(v, pair, "flow", ("flow",), "L/h", tr("L/h more"), 0, 2.0))
        said.append(_left_in(v, pair, "fans", ("fan",), "rpm", tr("rpm more"), 0, 10.0))
        said.append(_radiators_step(v, pair))
    if here.whole != there.whole:
        unfinished = [
            r.label for r in v.temperature.readings if r.candidate in pair and not r.settled and r.left_out is None
        ]
        said.append(
            tr("time: a fit of the whole run instead of a window")
            + (tr(", and {unfinished} had not settled", unfinished=joined(unfinished[:3])) if unfinished else "")
        )
    told = [s for s in said if s]
    return "; ".join(told) or tr("nothing that was recorded: the pair is close to its limit")


def _left_in(
    v: StudyVerdict,
    pair: tuple[str, str],
    what: str,
    roles: tuple[str, ...],
    unit: str,
    more: str,
    digits: int,
    least: float,
) -> str:
    """What differed between a pair's mounts in a channel: on average, or from mount to mount; blank where nothing did."""
    for role in roles:
        values = {name: _means(v, name, role) for name in pair}
        if not all(values.values()):
            continue
        gap = float(np.mean(values[pair[0]]) - np.mean(values[pair[1]]))
        every = [x for group in values.values() for x in group]
        low, high = min(every), max(every)
        if abs(gap) >= least:
            return tr(
                "{left}: {name} had {gap} {more}",
                left=tr(what),
                name=pair[0] if gap > 0 else pair[1],
                gap=number(abs(gap), digits),
                more=tr(more),
            )
        if high - low >= least:
            return tr(
                "{left}: {low} to {high} {unit} from mount to mount is left in as scatter",
                left=tr(what),
                low=number(low, digits),
                high=number(high, digits),
                unit=unit,
            )
        return ""
    return ""


def _radiators_step(v: StudyVerdict, pair: tuple[str, str]) -> str:
    """How far coolant over air went from mount to mount: what “over air” has in and “over coolant” has not."""
    values = [
        trace.value
        for r in v.temperature.readings
        if r.candidate in pair and r.left_out is None
        for run in r.runs
        if run in v.results and (trace := v.results[run].traces.get("coolant_over_air")) is not None
    ]
    if len(values) < 2 or max(values) - min(values) < 0.2:
        return ""
    return tr(
        "the radiator's step: {low} to {high} K from mount to mount",
        low=number(min(values), 1),
        high=number(max(values), 1),
    )


def _means(v: StudyVerdict, candidate: str, role: str) -> list[float]:
    """The window means of a channel over a candidate's mounts."""
    return [
        m
        for r in v.temperature.of(candidate)
        if r.left_out is None
        for run in r.runs
        if run in v.results and (m := v.results[run].mean_of(role)) is not None
    ]


def summary(v: StudyVerdict, rows: list[SchoolRow]) -> str:
    """Whether it matters which school one belongs to, in a sentence or two."""
    others = [r for r in rows if not r.in_use and r.ranking and not r.school.rebased]
    first = [r for r in others if r.first_differs]
    flipped = [r for r in others if r.flips]
    if not others:
        return tr("There is one school only that the channels allow.")
    if not first and not flipped:
        return tr("Whatever the school, the ranking's first and every verdict are the same.")
    said = []
    if first:
        said.append(
            tr("The winner depends on the school: ")
            + "; ".join(
                tr("{school} puts {first} first", school=inside(r.school.label), first=r.ranking[0]) for r in first[:3]
            )
            + "."
        )
    if flipped:
        pairs = {f.pair for r in flipped for f in r.flips}
        said.append(
            counted(
                len(pairs),
                "{n} pair would be judged otherwise by another school: ",
                "{n} pairs would be judged otherwise by another school: ",
            )
            + joined([tr("{a} and {b}", a=a, b=b) for a, b in sorted(pairs)][:4])
            + ("." if len(pairs) <= 4 else tr(" among them."))
        )
    return " ".join(said)


@dataclass(frozen=True)
class BothWays:
    """A pair's verdict with what was left out left out, and with it counted."""

    names: str
    without: str
    counted: str
    differs: bool


def both_ways(v: StudyVerdict) -> list[BothWays]:
    """Every pair with and without the exclusions, side by side; empty where nothing was left out."""
    return [] if v.without_exclusions is None else two_ways(v.main, v.without_exclusions)


def two_ways(first: OutcomeResult, second: OutcomeResult) -> list[BothWays]:
    """Every pair of two results of one study, side by side."""
    now, then = first.comparison, second.comparison
    names = list(dict.fromkeys((p.a, p.b) for found in (now, then) if found is not None for p in found.pairs))
    out = []
    for a, b in names:
        said = []
        for found in (now, then):
            pair = None if found is None else next((p for p in found.pairs if {p.a, p.b} == {a, b}), None)
            said.append(
                (None, tr("not compared: too few mounts"))
                if pair is None or found is None
                else (pair.verdict, pair_said(pair, found, first.outcome))
            )
        out.append(BothWays(f"{a} − {b}", said[0][1], said[1][1], said[0][0] != said[1][0]))
    return out
