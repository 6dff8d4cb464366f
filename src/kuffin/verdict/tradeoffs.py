"""What the grid of outcomes and conditions says as a whole: winners that stay winners, and those that pay for it elsewhere."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass

from kuffin.core.base.language import tr, written
from kuffin.core.base.numbers import plain
from kuffin.core.bench.outcomes import FREE, HELD, Outcome
from kuffin.core.compare.pairwords import best_of, better_first, count, joined, number, several, span, was_held
from kuffin.core.heat.normalise import School
from kuffin.verdict.grid import Axes, Cell, row_label
from kuffin.verdict.outcomes import OutcomeResult

Results = Mapping[Cell, OutcomeResult]


@dataclass(frozen=True)
class Standing:
    """Where a candidate stands in a cell: how many it is told apart from as better, and as worse."""

    better_than: tuple[str, ...]
    worse_than: tuple[str, ...]


def standings(result: OutcomeResult) -> dict[str, Standing]:
    """Every candidate's standing in a cell."""
    found = result.comparison
    if found is None:
        return {}
    out: dict[str, tuple[list[str], list[str]]] = {c.name: ([], []) for c in found.candidates}
    for p in found.pairs:
        if p.verdict in {"a_lower", "b_lower"}:
            better, worse, _, _ = better_first(p, found.better)
            out[better][0].append(worse)
            out[worse][1].append(better)
    return {name: Standing(tuple(a), tuple(b)) for name, (a, b) in out.items()}


@dataclass(frozen=True, kw_only=True)
class GridSaid:
    """What the grid says as a whole, in sentences.

    Attributes
    ----------
    failed : tuple of str
        What could not be finished.
    by_outcome : tuple of str
        One for each outcome that tells candidates apart, or does not.
    trade_offs : tuple of str
        One for each candidate that gains here and pays there.
    alike : str
        By what all are the same; blank for nothing.
    """

    failed: tuple[str, ...] = ()
    by_outcome: tuple[str, ...] = ()
    trade_offs: tuple[str, ...] = ()
    alike: str = ""

    @property
    def first(self) -> tuple[str, ...]:
        """What one should read before the grid."""
        return (*self.failed, *(self.trade_offs[:2] or self.by_outcome[:1]))

    @property
    def rest(self) -> tuple[str, ...]:
        """All else."""
        every = (*self.failed, *self.trade_offs, *self.by_outcome, *([self.alike] if self.alike else []))
        return tuple(s for s in every if s not in self.first)


def less_than_the_verdict(main: OutcomeResult, here: OutcomeResult | None) -> str:
    """Why the grid's own cell tells fewer pairs apart than the verdict, of the same readings; blank where it does not."""
    alone, among = main.comparison, None if here is None else here.comparison
    if alone is None or among is None:
        return ""
    still = {frozenset((p.a, p.b)) for p in among.pairs if p.settled}
    if not any(p.settled and frozenset((p.a, p.b)) not in still for p in alone.pairs):
        return ""
    return tr(
        "The verdict says more of the same readings: it is judged by itself, at {alone} %; here each comparison is judged at {among} %, as "
        "more of them are more chances to be wrong.",
        alone=plain(100 * alone.confidence, 4),
        among=plain(100 * among.confidence, 4),
    )


def grid_said(axes: Axes, results: Results) -> GridSaid:
    """What the grid says as a whole."""
    seen = {cell: standings(r) for cell, r in results.items() if r.comparison is not None}
    failed = (*failures(axes, results), *throttled(axes, results))
    if not seen:
        return GridSaid(failed=failed)
    names = list(dict.fromkeys(n for s in seen.values() for n in s))
    each: list[str] = []
    alike: list[tuple[Outcome, str]] = []
    for outcome in axes.outcomes:
        cells = [c for c in seen if c.outcome == outcome.key]
        limit = _same_within(outcome, cells, results)
        if limit:
            alike.append((outcome, limit))
        elif cells:
            each.append(_of_outcome(axes, outcome, cells, names, seen, results))
    told = joined([tr("{row_label} (within {limit})", row_label=row_label(o), limit=limit) for o, limit in alike])
    return GridSaid(
        failed=failed,
        by_outcome=tuple(said for said in each if said),
        trade_offs=tuple(said for name in names if (said := _trade_off(axes, name, len(names), seen, results))),
        alike=tr("All are the same for this purpose by {told}.", told=told) if alike else "",
    )


def _at_the_limit(axes: Axes, outcome: Outcome, cells: Sequence[Cell], results: Results) -> str:
    """What those held that met a limit; of the others it is not known how much more they would."""
    labels, told = dict(axes.conditions), []
    for cell in cells:
        found = results[cell].comparison
        met = [c for c in found.candidates if not c.bound] if found is not None else []
        if met:
            each = joined([f"{c.name} {number(c.mean, 0)} ± {number(c.t * c.se, 1)} {outcome.unit}" for c in met])
            told.append(f"{each}{f' in {labels[cell.condition]}' if cell.condition is not None else ''}")
    free = _held(cells, results)
    tail = f"; {was_held(free, free=True)}" if free else ""
    return f"{outcome.label.capitalize()}: {', '.join(told)}{tail}." if told else ""


def _held(cells: Sequence[Cell], results: Results) -> list[str]:
    """The candidates of which a mount was held by a limit in any of these cells."""
    found = [c.name for cell in cells if (x := results[cell].comparison) is not None for c in x.candidates if c.bound]
    return list(dict.fromkeys(found))


def failures(axes: Axes, results: Results) -> list[str]:
    """Which candidates could not finish which condition: a result too."""
    told: dict[tuple[str | None, str], tuple[int, int, str]] = {}
    for cell, result in results.items():
        for name, mounts in result.failed().items():
            told.setdefault((cell.condition, name), (len(mounts), len(result.of(name)), mounts[0].failed))
    labels = dict(axes.conditions)
    return [
        tr(
            "{name} could not finish{where} ({n} of {of}: {why}).",
            name=name,
            where="" if key is None else f" {labels[key]}",
            n=n if n < of else tr("all"),
            of=several(of, "mount"),
            why=why,
        )
        for (key, name), (n, of, why) in told.items()
    ]


def throttled(axes: Axes, results: Results) -> list[str]:
    """Which candidates a limit held under which condition: a result too, also where per watt the rest can be compared."""
    told: dict[tuple[str | None, str], tuple[int, int, str]] = {}
    for cell, result in results.items():
        if result.outcome.bounded == HELD:
            held = [r for r in result.readings if r.held and r.left_out is None]
            for name in dict.fromkeys(r.candidate for r in held):
                mine = [r for r in held if r.candidate == name]
                there = sum(r.left_out is None for r in result.of(name))
                told.setdefault((cell.condition, name), (len(mine), there, mine[0].held))
    labels = dict(axes.conditions)
    return [
        tr(
            "{name} was held by a limit{where} ({n} of {of}; in the first {why}).",
            name=name,
            where="" if key is None else tr(" at {label}", label=labels[key]),
            n=n if n < of else tr("all"),
            of=several(of, "mount"),
            why=why,
        )
        for (key, name), (n, of, why) in told.items()
    ]


def _same_within(outcome: Outcome, cells: Sequence[Cell], results: Results) -> str:
    """Within what all candidates are the same in all cells of an outcome; blank where they are not."""
    found = [r.comparison for c in cells if (r := results[c]).comparison is not None]
    pairs = [p for x in found if x is not None for p in x.pairs]
    if not pairs or not all(p.verdict == "same" for p in pairs):
        return ""
    margin = max(x.margin or 0.0 for x in found if x is not None)
    return written(f"{margin:.3g} {outcome.difference_unit}".rstrip())


def _of_outcome(
    axes: Axes,
    outcome: Outcome,
    cells: Sequence[Cell],
    names: Sequence[str],
    seen: Mapping[Cell, Mapping[str, Standing]],
    results: Results,
) -> str:
    if outcome.bounded == FREE:
        return _at_the_limit(axes, outcome, cells, results)
    there, said = _there(outcome), outcome.wording
    held = _held(cells, results)
    names = [n for n in names if n not in held]
    tail = (
        (
            tr("; {held}, so this cannot be told of it", held=was_held(held))
            if len(held) == 1
            else tr("; {held}, so this cannot be told of them", held=was_held(held))
        )
        if held
        else ""
    )
    others = len(names) - 1
    winners = {
        n: [c for c in cells if n in seen[c] and others > 0 and len(set(seen[c][n].better_than) - set(held)) == others]
        for n in names
    }
    best = max(names, key=lambda n: len(winners[n]), default="")
    if best and winners[best]:
        where = _where(axes, outcome, best, winners[best], cells, results)
        return tr(
            "{there} {best} is {better} than every other {where}{tail}.",
            there=there,
            best=best,
            better=said.better,
            where=where,
            tail=tail,
        )
    lead = [n for n in names if all(n in seen[c] and not seen[c][n].worse_than for c in cells)]
    if len(lead) == len(names):
        return (
            tr("{there} nothing is told apart in any condition{tail}.", there=there, tail=tail)
            if len(cells) > 1
            else tr("{there} nothing is told apart in any comparison{tail}.", there=there, tail=tail)
        )
    if len(lead) > 1:
        within = _within_of_all(outcome, lead, names, cells, results)
        if within:
            return (
                tr("{there} {lead} are within {limit} of the best everywhere{tail}.", there=there, lead=joined(lead), limit=within, tail=tail)
                if len(cells) > 1
                else tr("{there} {lead} are within {limit} of the best{tail}.", there=there, lead=joined(lead), limit=within, tail=tail)
            )  # fmt: skip
        behind = [n for n in names if n not in lead]
        return (
            tr("{there} {lead} cannot be told apart yet; {behind} is {worse} than at least one of them{tail}.", there=there, lead=joined(lead), behind=behind[0], worse=said.worse, tail=tail)
            if len(behind) == 1
            else tr("{there} {lead} cannot be told apart yet; {behind} are each {worse} than at least one of them{tail}.", there=there, lead=joined(lead), behind=joined(behind), worse=said.worse, tail=tail)
        )  # fmt: skip
    return tr("{there} no candidate is ahead of all others{tail}.", there=there, tail=tail)


def _within_of_all(
    outcome: Outcome, lead: Sequence[str], names: Sequence[str], cells: Sequence[Cell], results: Results
) -> str:
    """Within what each of some candidates is no worse than any other in all cells, by a test of just that; blank where it is not shown.

    The upper end of how much worse it is, over all pairs together, has to lie within the margin: not told apart is no proof.
    """
    margins = []
    for cell in cells:
        found = results[cell].comparison
        if found is None or found.margin is None:
            return ""
        margins.append(found.margin)
        for name in lead:
            for other in (n for n in names if n != name):
                pair = next((p for p in found.pairs if {p.a, p.b} == {name, other}), None)
                if pair is None or pair.held:
                    return ""
                ends = (pair.narrow_low, pair.narrow_high) if pair.a == name else (-pair.narrow_high, -pair.narrow_low)
                if (ends[1] if found.better == "lower" else -ends[0]) >= found.margin:
                    return ""
    return written(f"{max(margins, default=0.0):.3g} {outcome.difference_unit}".rstrip()) if margins else ""


def _there(outcome: Outcome) -> str:
    return (
        tr("On the {row_label}", row_label=row_label(outcome))
        if isinstance(outcome, School)
        else tr("By {label},", label=outcome.label)
    )


def _trade_off(
    axes: Axes, name: str, candidates: int, seen: Mapping[Cell, Mapping[str, Standing]], results: Results
) -> str:
    """Where a candidate is among the best by one outcome and among the worst by another; blank where it is not."""
    most = (candidates - 1) / 2  # to be ahead of a lone laggard is no merit, nor a cost to be behind a lone leader
    stands = {c: seen[c][name] for c in seen if name in seen[c]}
    ahead = [c for c, s in stands.items() if len(s.better_than) >= max(most, 1) and not s.worse_than]
    ahead = [c for c in ahead if name not in _held([c], results)]
    behind = [c for c, s in stands.items() if len(s.worse_than) >= max(most, 1) and not s.better_than]
    gains, costs = {c.outcome for c in ahead}, {c.outcome for c in behind}
    good = [o for o in axes.outcomes if o.key in gains - costs]
    bad = [o for o in axes.outcomes if o.key in costs - gains]
    if not good or not bad:
        return ""
    pays = []
    for outcome in bad:
        cells = [c for c in behind if c.outcome == outcome.key]
        last = all(len(seen[c][name].worse_than) == candidates - 1 for c in cells)
        worst = outcome.wording.worst
        worst = tr("the {worst}", worst=worst) if last else tr("among the {worst}", worst=worst)
        pays.append(f"{worst} {_placed([outcome])}{_by(outcome, cells, name, results)}")
    wins = _by_wording(good)
    return tr(
        "A trade-off: {name} is {each}, but {pays}.",
        name=name,
        each=joined([tr("among the {best} {placed}", best=best, placed=_placed(them)) for best, them in wins]),
        pays=joined(pays),
    )


def _by_wording(outcomes: Sequence[Outcome]) -> list[tuple[str, list[Outcome]]]:
    found: dict[str, list[Outcome]] = {}
    for o in outcomes:
        found.setdefault(o.wording.best + ("" if isinstance(o, School) else f" {o.key}"), []).append(o)
    return [(them[0].wording.best, them) for them in found.values()]


def _placed(outcomes: Sequence[Outcome]) -> str:
    if isinstance(outcomes[0], School):
        return tr("on the {each}", each=joined([row_label(o) for o in outcomes]))
    return tr("by {each}", each=joined([o.label for o in outcomes]))


def _where(
    axes: Axes, outcome: Outcome, name: str, won: Sequence[Cell], cells: Sequence[Cell], results: Results
) -> str:
    if len(cells) == 1:
        return tr("that was compared")
    if len(won) == len(cells):
        return tr("in both conditions") if len(cells) == 2 else tr("in all {n} conditions", n=count(len(cells)))
    labels = dict(axes.conditions)
    said = [tr("at {each}", each=joined([labels[c.condition] for c in won]))]
    rest = [c for c in cells if c not in won]
    near: list[Cell] = []
    open_: list[Cell] = []
    for cell in rest:
        found = results[cell].comparison
        mine = [p for p in found.pairs if name in {p.a, p.b}] if found is not None else []
        (open_ if any(p.verdict == "unsettled" for p in mine) else near).append(cell)
    if near:
        margin = next((r.comparison.margin for c in near if (r := results[c]).comparison is not None), None)
        limit = written(f"{margin or 0:.3g} {outcome.difference_unit}".rstrip())
        said.append(
            tr("within {limit} of some at {each}", limit=limit, each=joined([labels[c.condition] for c in near]))
        )
    if open_:
        said.append(tr("not told apart from all at {each}", each=joined([labels[c.condition] for c in open_])))
    return ", ".join(said)


def _by(outcome: Outcome, cells: Sequence[Cell], name: str, results: Results) -> str:
    """By how much it is behind the best there, at least and at most over the cells."""
    gaps = []
    for cell in cells:
        found = results[cell].comparison
        if found is None or best_of(found) == name:
            continue
        _, _, low, high = better_first(found.pair(name, best_of(found)), found.better)
        gaps.append((low, high))
    if not gaps:
        return ""
    low, high = min(g[0] for g in gaps), max(g[1] for g in gaps)
    apart = span(low, high, outcome.difference_unit, 0 if low >= 20 else 1)
    return (
        tr(" ({apart} under the {best} there)", apart=apart, best=tr(outcome.wording.best))
        if outcome.higher_is_better
        else tr(" ({apart} over the {best} there)", apart=apart, best=tr(outcome.wording.best))
    )
