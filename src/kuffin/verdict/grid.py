"""Several conditions and several parts at once: a grid of comparisons, one family."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from typing import TYPE_CHECKING

from kuffin.core.base.leads import Where
from kuffin.core.bench.roles import FURTHER_PARTS, spoken
from kuffin.core.compare.pairwords import count, joined, number
from kuffin.core.heat.normalise import SCHOOLS, School
from kuffin.verdict.baseline import with_baseline
from kuffin.verdict.claims import JudgedClaim, judged_claims
from kuffin.verdict.schools import SchoolResult, readings_under

if TYPE_CHECKING:
    from kuffin.verdict.study import StudyVerdict


@dataclass(frozen=True)
class Cell:
    """One comparison of the grid: a load step (None where the runs have one only) and a part."""

    condition: str | None
    part: str


@dataclass(frozen=True)
class Axes:
    """The grid's rows (parts) and columns (conditions), with what they are called."""

    conditions: tuple[tuple[str | None, str], ...]
    parts: tuple[tuple[str, str], ...]

    @property
    def cells(self) -> tuple[Cell, ...]:
        """All cells, the main part's first, condition by condition."""
        return tuple(Cell(c, p) for p, _ in self.parts for c, _ in self.conditions)

    def label(self, cell: Cell) -> str:
        """A cell's name: ``regulators, 180 W``."""
        part = dict(self.parts)[cell.part]
        where = dict(self.conditions)[cell.condition]
        return f"{part}, {where}" if cell.condition is not None else part


def axes_of(v: StudyVerdict) -> Axes:
    """The conditions and parts that a study's runs hold."""
    conditions: list[tuple[str | None, str]] = [(c.name, c.label) for c in v.conditions]
    held = {name for r in v.results.values() for name in r.names}
    parts = [v.school.part]
    if v.school.part == "die":
        parts += [p for p in FURTHER_PARTS if p in held]
    return Axes(tuple(conditions) or ((None, "load"),), tuple((p, spoken(p)) for p in parts))


def family_confidence(v: StudyVerdict, axes: Axes) -> tuple[float, str]:
    """The confidence of each cell, and how the family is declared, in words.

    All cells together by Bonferroni's inequality (each cell is a family of pairs by itself), or each cell on its own.
    """
    study = v.evidence.study
    base = v.looks.confidence if v.looks is not None else study.confidence
    n = len(axes.cells)
    if n < 2:
        return base, f"one comparison at {100 * base:g} %"
    if study.plan.get("family") == "each":
        return base, (
            f"each of the {n} comparisons on its own at {100 * base:.4g} %: of twenty such cells one says something wrong"
        )
    each = 1 - (1 - base) / n
    return each, f"all {n} comparisons together at {100 * base:.4g} %, so each cell at {100 * each:.4g} %"


def _school_and_power(v: StudyVerdict, cell: Cell) -> tuple[School, float]:
    """The school in use with the cell's part in place of its own, and the power it is shown at.

    That is the condition's where it is told, the study's under the verdict's condition, else what was measured.
    """
    school = v.school
    if cell.part != school.part:
        school = SCHOOLS[cell.part + school.key.removeprefix(school.part)]
    condition = next((c for c in v.conditions if c.name == cell.condition), None)
    if condition is not None and condition.power_w:
        return school, condition.power_w
    if cell.condition is None or cell.condition == v.condition:
        return school, v.reference_power_w
    return school, v.evidence.typical_power(school.part, cell.condition) or v.reference_power_w


def cell_result(v: StudyVerdict, cell: Cell, confidence: float) -> SchoolResult:
    """Compare the candidates in one cell, under the school in use with the cell's part in place of its own."""
    school, power = _school_and_power(v, cell)

    return with_baseline(
        v.evidence, school, power, correct=v.corrected, condition=cell.condition, confidence=confidence
    )


def cell_of(v: StudyVerdict, where: Where) -> SchoolResult:
    """The cell of the grid that a number is of."""
    part = SCHOOLS[where.school or v.school.key].part
    return cell_result(v, Cell(where.condition, part), family_confidence(v, axes_of(v))[0])


def where_is(result: SchoolResult, cell: Cell) -> Where:
    """Where a cell's numbers are found again."""
    return Where(result.school.key, cell.condition, in_grid=True)


def rough_means(v: StudyVerdict, cell: Cell) -> dict[str, float]:
    """The candidates' plain means in a cell: quick, and without an interval."""
    school, power = _school_and_power(v, cell)
    values: dict[str, list[float]] = {}
    for r in readings_under(v.evidence, school, power, condition=cell.condition):
        if r.value is not None and r.left_out is None:
            values.setdefault(r.candidate, []).append(r.value)
    return {name: sum(x) / len(x) for name, x in values.items()}


@dataclass(frozen=True)
class Standing:
    """Where a candidate stands in a cell: how many it is told apart from as cooler, and as warmer."""

    cooler_than: tuple[str, ...]
    warmer_than: tuple[str, ...]


def standings(result: SchoolResult) -> dict[str, Standing]:
    """Every candidate's standing in a cell."""
    found = result.comparison
    if found is None:
        return {}
    out = {c.name: ([], []) for c in found.candidates}  # type: dict[str, tuple[list[str], list[str]]]
    for p in found.pairs:
        if p.verdict in {"a_lower", "b_lower"}:
            low, high = (p.a, p.b) if p.verdict == "a_lower" else (p.b, p.a)
            out[low][0].append(high)
            out[high][1].append(low)
    return {name: Standing(tuple(a), tuple(b)) for name, (a, b) in out.items()}


def trade_offs(axes: Axes, results: Mapping[Cell, SchoolResult]) -> list[str]:
    """What the grid says as a whole: winners that stay winners, and those that pay for it elsewhere."""
    seen = {cell: standings(r) for cell, r in results.items() if r.comparison is not None}
    if not seen:
        return []
    names = list(dict.fromkeys(n for s in seen.values() for n in s))
    out: list[str] = []
    for part, label in axes.parts:
        cells = [c for c in seen if c.part == part]
        if not cells:
            continue
        others = len(names) - 1
        winners = {n: [c for c in cells if n in seen[c] and len(seen[c][n].cooler_than) == others] for n in names}
        best = max(names, key=lambda n: len(winners[n]))
        if winners[best]:
            out.append(
                f"On the {label} {best} is cooler than every other {_where(axes, best, winners[best], cells, results)}."
            )
            continue
        lead = _leaders(seen, cells, names)
        everywhere = f"in any {'condition' if len(cells) > 1 else 'comparison'}"
        if len(lead) == len(names):
            out.append(f"On the {label} nothing is told apart {everywhere}.")
        elif len(lead) > 1:
            out.append(f"On the {label} {joined(lead)} are not warmer than any other {everywhere}.")
        else:
            out.append(f"On the {label} no candidate is ahead of all others.")
    for name in names:
        ahead = [c for c in seen if name in seen[c] and seen[c][name].cooler_than and not seen[c][name].warmer_than]
        behind = [c for c in seen if name in seen[c] and seen[c][name].warmer_than and not seen[c][name].cooler_than]
        gains, costs = {c.part for c in ahead}, {c.part for c in behind}
        if gains - costs and costs - gains:
            good = joined([dict(axes.parts)[p] for p, _ in axes.parts if p in gains - costs])
            bad_parts = [p for p, _ in axes.parts if p in costs - gains]
            worst = [c for c in behind if c.part in bad_parts]
            all_ = all(len(seen[c][name].warmer_than) == len(names) - 1 for c in worst)
            bad = joined([dict(axes.parts)[p] for p in bad_parts])
            out.append(
                f"A trade-off: {name} is among the coolest on the {good} and "
                f"{'the warmest' if all_ else 'among the warmest'} on the {bad}{_by(worst, name, results)}."
            )
    return out


def _leaders(seen: Mapping[Cell, Mapping[str, Standing]], cells: Sequence[Cell], names: Sequence[str]) -> list[str]:
    return [n for n in names if all(n in seen[c] and not seen[c][n].warmer_than for c in cells)]


def _where(
    axes: Axes, name: str, won: Sequence[Cell], cells: Sequence[Cell], results: Mapping[Cell, SchoolResult]
) -> str:
    if len(cells) == 1:
        return "that was compared"
    if len(won) == len(cells):
        return f"in {'both' if len(cells) == 2 else f'all {count(len(cells))}'} conditions"
    labels = dict(axes.conditions)
    said = [f"at {joined([labels[c.condition] for c in won])}"]
    rest = [c for c in cells if c not in won]
    near: list[Cell] = []
    open_: list[Cell] = []
    for cell in rest:
        found = results[cell].comparison
        mine = [p for p in found.pairs if name in {p.a, p.b}] if found is not None else []
        (open_ if any(p.verdict == "unsettled" for p in mine) else near).append(cell)
    if near:
        margin = next((r.comparison.margin for c in near if (r := results[c]).comparison is not None), None)
        said.append(f"within {margin or 0:g} K of some at {joined([labels[c.condition] for c in near])}")
    if open_:
        said.append(f"not told apart from all at {joined([labels[c.condition] for c in open_])}")
    return ", ".join(said)


def _by(cells: Sequence[Cell], name: str, results: Mapping[Cell, SchoolResult]) -> str:
    """By how much it is warmer there than the next warmest, at least and at most over the cells."""
    gaps = []
    for cell in cells:
        found = results[cell].comparison
        if found is None:
            continue
        coolest = min(found.candidates, key=lambda c: c.mean).name
        if coolest != name:
            pair = found.pair(name, coolest)
            low, high = (pair.low, pair.high) if pair.a == name else (-pair.high, -pair.low)
            gaps.append((low, high))
    if not gaps:
        return ""
    low, high = min(g[0] for g in gaps), max(g[1] for g in gaps)
    return f" ({number(low, 1)} to {number(high, 1)} K over the coolest there)"


def claims_by_condition(v: StudyVerdict) -> list[tuple[str, list[JudgedClaim]]]:
    """The study's claims under each of its load steps, the conditions together at the confidence in use (Bonferroni)."""
    axes = axes_of(v)
    if len(axes.conditions) < 2:
        return []
    study = v.evidence.study
    base = v.looks.confidence if v.looks is not None else study.confidence
    confidence = 1 - (1 - base) / len(axes.conditions)
    out = []
    for condition, label in axes.conditions:
        result = cell_result(v, Cell(condition, v.school.part), confidence)
        out.append((label, judged_claims(v.evidence, v.main, result)))
    return out
