"""Several conditions and several outcomes at once: a grid of comparisons, one family."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from typing import TYPE_CHECKING

from kuffin.core.base.language import tr
from kuffin.core.base.leads import Where
from kuffin.core.bench.outcomes import FACTS, Outcome
from kuffin.core.bench.roles import spoken
from kuffin.core.compare import Comparison
from kuffin.core.compare.pairwords import best_of
from kuffin.core.heat.normalise import School
from kuffin.verdict.baseline import with_baseline
from kuffin.verdict.chosenoutcomes import grid_outcomes, outcome_named
from kuffin.verdict.claims import JudgedClaim, judged_claim
from kuffin.verdict.outcomes import OutcomeResult, readings_under

if TYPE_CHECKING:
    from kuffin.verdict.study import StudyVerdict


@dataclass(frozen=True)
class Cell:
    """One comparison of the grid: a load step (None where the runs have one only) and an outcome, by its key."""

    condition: str | None
    outcome: str


@dataclass(frozen=True)
class Axes:
    """The grid's rows (outcomes) and columns (conditions), with what conditions are called."""

    conditions: tuple[tuple[str | None, str], ...]
    outcomes: tuple[Outcome, ...]

    @property
    def cells(self) -> tuple[Cell, ...]:
        """All cells, the verdict's outcome first, condition by condition."""
        return tuple(
            Cell(c, o.key) for o in self.outcomes for i, (c, _) in enumerate(self.conditions) if i == 0 or not o.of_run
        )

    def outcome(self, cell: Cell) -> Outcome:
        """What a cell compares."""
        return next(o for o in self.outcomes if o.key == cell.outcome)

    def label(self, cell: Cell) -> str:
        """A cell's name: ``regulators, 180 W``."""
        outcome, where = self.outcome(cell), dict(self.conditions)[cell.condition]
        what = row_label(outcome)
        return what if cell.condition is None or outcome.of_run else f"{what}, {where}"


def row_label(outcome: Outcome) -> str:
    """What a row of the grid is called: ``regulators``, ``clock held``."""
    return tr(spoken(outcome.part)) if isinstance(outcome, School) else tr(outcome.label)


def behind_best(outcome: Outcome, found: Comparison) -> dict[str, tuple[float, float, float]]:
    """Each candidate's low, mean and high behind the best one's mean, the further, the worse; bounds are left out."""
    best = found.candidate(best_of(found)).mean
    told = [c for c in found.candidates if not c.bound]
    if outcome.higher_is_better:
        return {c.name: (best - c.high, best - c.mean, best - c.low) for c in told}
    return {c.name: (c.low - best, c.mean - best, c.high - best) for c in told}


def small_by(outcome: Outcome, found: Sequence[Comparison]) -> float:
    """What is small by an outcome: the difference that matters, where it is told."""
    return next((f.margin for f in found if f.margin), outcome.matters or 1.0)


def reach(outcome: Outcome, found: Sequence[Comparison]) -> tuple[float, float]:
    """How far an outcome's scale goes below the best, and behind it, in all its cells together.

    A candidate of one mount may have a boundless interval: it must not squash the others.
    """
    one = small_by(outcome, found)
    below, most = 0.1 * one, 0.2 * one
    for comparison in found:
        each = list(behind_best(outcome, comparison).values())
        spread = max((mean for _, mean, _ in each), default=0.0)
        most = max([most, *(min(high, 2 * spread + 3 * one) for _, _, high in each)])
        below = max([below, *(min(-low, 3 * one) for low, _, _ in each)])
    return below, most


def axes_of(v: StudyVerdict) -> Axes:
    """The conditions that a study's runs hold, and the outcomes that stand in its grid."""
    conditions: list[tuple[str | None, str]] = [(c.name, c.label) for c in v.conditions]
    return Axes(tuple(conditions) or ((None, "load"),), tuple(grid_outcomes(v.evidence)))


def family_confidence(v: StudyVerdict, axes: Axes) -> tuple[float, str]:
    """The confidence of each cell, and how the family is declared, in words.

    All cells together by Bonferroni's inequality (each cell is a family of pairs by itself), or each cell on its own.
    """
    study, base = v.evidence.study, _base_confidence(v)
    n = len(axes.cells)
    if n < 2:
        return base, tr("one comparison at {base:g} %", base=100 * base)
    if study.plan.get("family") == "each":
        return base, (
            tr(
                "each of the {n} comparisons on its own at {base:.4g} %: of twenty such cells one says something wrong",
                n=n,
                base=100 * base,
            )
        )
    each = 1 - (1 - base) / n
    return each, tr(
        "all {n} comparisons together at {base:.4g} %, so each cell at {each:.4g} %",
        n=n,
        base=100 * base,
        each=100 * each,
    )


def _power(v: StudyVerdict, outcome: Outcome, condition_key: str | None) -> float:
    """The power that a cell is shown at: the condition's where it is told, the study's under the verdict's condition, else
    what was measured.
    """
    condition = next((c for c in v.conditions if c.name == condition_key), None)
    if condition is not None and condition.power_w:
        return condition.power_w
    if condition_key is None or condition_key == v.condition:
        return v.reference_power_w
    part = outcome.part if isinstance(outcome, School) else "die"
    return v.evidence.typical_power(part, condition_key) or v.reference_power_w


def cell_result(v: StudyVerdict, cell: Cell, confidence: float) -> OutcomeResult:
    """Compare the candidates in one cell."""
    outcome = outcome_named(v.evidence, cell.outcome) or v.outcome
    power = _power(v, outcome, cell.condition)
    how = {"condition": cell.condition, "confidence": confidence}
    return with_baseline(v.evidence, outcome, power, correct=v.corrected, **how)


def cell_of(v: StudyVerdict, where: Where) -> OutcomeResult:
    """The cell of the grid that a number is of."""
    cell = Cell(where.condition, where.school or v.outcome.key)
    return cell_result(v, cell, family_confidence(v, axes_of(v))[0])


def where_is(result: OutcomeResult, cell: Cell) -> Where:
    """Where a cell's numbers are found again."""
    return Where(cell.outcome, cell.condition, in_grid=True)


def rough_means(v: StudyVerdict, cell: Cell) -> dict[str, float]:
    """The candidates' plain means in a cell: quick, and without an interval."""
    outcome = outcome_named(v.evidence, cell.outcome) or v.outcome
    values: dict[str, list[float]] = {}
    for r in readings_under(v.evidence, outcome, _power(v, outcome, cell.condition), condition=cell.condition):
        if r.value is not None and r.left_out is None:
            values.setdefault(r.candidate, []).append(r.value)
    return {name: sum(x) / len(x) for name, x in values.items()}


def claims_of(v: StudyVerdict) -> tuple[JudgedClaim, ...]:
    """Every claim of a study, by the verdict's condition; one of “up to” by all that were tested."""
    axes, base = axes_of(v), _base_confidence(v)
    each = 1 - (1 - base) / max(len(axes.conditions), 1)
    out = []
    for claim in v.evidence.study.live_claims:
        key = claim.outcome or v.school.key
        results: list[OutcomeResult]
        if key in FACTS:
            results = []
        elif claim.way == "up to" and len(axes.conditions) > 1:
            results = [cell_result(v, Cell(c, key), each) for c, _ in axes.conditions]
        else:
            results = [v.schools[key] if key in v.schools else v.main if key == v.outcome.key else v.by(key)]
        out.append(judged_claim(v, claim, results))
    return tuple(out)


def claims_by_condition(v: StudyVerdict) -> list[tuple[str, list[JudgedClaim]]]:
    """The study's claims under each of its load steps, the conditions together at the confidence in use (Bonferroni)."""
    axes = axes_of(v)
    if len(axes.conditions) < 2:
        return []
    confidence = 1 - (1 - _base_confidence(v)) / len(axes.conditions)
    claims = [c for c in v.evidence.study.live_claims if c.outcome not in FACTS]  # these know no conditions
    return [
        (
            label,
            [
                judged_claim(v, c, [cell_result(v, Cell(condition, c.outcome or v.school.key), confidence)])
                for c in claims
            ],
        )
        for condition, label in axes.conditions
    ]


def _base_confidence(v: StudyVerdict) -> float:
    return v.looks.confidence if v.looks is not None else v.evidence.study.confidence
