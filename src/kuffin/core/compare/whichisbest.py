"""Which candidate is best: the question most studies ask, and what it takes to answer it.

To name one as the best it has to beat each other one, all of them at once. A claim that is only made where every part of it holds by itself
needs no widening for the number of parts (R. L. Berger, "Multiparameter hypothesis testing and acceptance sampling", Technometrics 24 (1982),
295–300), so that each of its pairs is judged by its own interval, at the study's confidence. The same goes for calling all that are
left alike. To say of the best mean, where the question stays open, that no other is better by what matters, pays for its having been
picked: the constrained bound of J. C. Hsu, "Constrained simultaneous confidence intervals for multiple comparisons with the best", Annals of
Statistics 12 (1984), 1136–1144, with Dunnett's value over all others. To rule out some and not others still takes the intervals that hold over
all pairs together.
"""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

from kuffin.core.base.ranges import dunnett_critical, even_correlation
from kuffin.core.base.student import t_quantile
from kuffin.core.compare.evidence import Comparison, PairResult
from kuffin.core.compare.pairwords import best_of


@dataclass(frozen=True, kw_only=True)
class WhichIsBest:
    """What may be said of the question which is best.

    Attributes
    ----------
    best : str
        The candidate with the best mean.
    alike : tuple of str
        Those within the margin of it, where that answers the question.
    open : tuple of str
        Those that keep it from being answered, nearest first; none where it is answered.
    ahead : float or None
        Where one is named: by how much it is ahead of any other at least, in the response's unit.
    behind : float or None
        Where it is open: no other is better than the best by as much as this, which is less than the margin; None where that cannot be said.
    alone : bool
        Whether the answer rests on pairs judged by their own intervals: over all pairs together not all of them are settled.
    """

    best: str
    alike: tuple[str, ...] = ()
    open: tuple[str, ...] = ()
    ahead: float | None = None
    behind: float | None = None
    alone: bool = False

    @property
    def answered(self) -> bool:
        """Whether one is named, or all that are left are alike."""
        return not self.open


def own_critical(confidence: float, df: float) -> tuple[float, float]:
    """Critical values of one pair by itself: two-sided at C to be told apart, one-sided at C to be the same.

    >>> [round(q, 3) for q in own_critical(0.95, 1e6)]
    [1.96, 1.645]
    """
    return t_quantile((1 + confidence) / 2, df), t_quantile(confidence, df)


def which_is_best(found: Comparison) -> WhichIsBest:
    """Name the best candidate, or those that are alike and the best, or what keeps the question open.

    Candidates that a limit held are judged by their bounds only; against a reference by the pairs that there are.

    >>> from kuffin.core.compare import MountValue, compare
    >>> values = {"Reed": (10.0, 10.2, 9.9), "Rush": (10.6, 10.4, 10.6), "Sedge": (15.0, 15.1, 14.8)}
    >>> found = compare([MountValue(candidate=n, mount=f"{n} {i}", value=x) for n, xs in values.items() for i, x in enumerate(xs)])
    >>> told = which_is_best(found)
    >>> told.best, told.answered, round(told.ahead, 1)
    ('Reed', True, 0.2)
    """
    best = best_of(found)
    mine = sorted((p for p in found.pairs if best in {p.a, p.b}), key=lambda p: abs(p.difference))
    other = {id(p): p.b if p.a == best else p.a for p in mine}
    left = [p for p in mine if p.verdict not in {"a_lower", "b_lower"}]
    own = found.reference is None and not any(p.held for p in mine)
    if left and all(p.verdict == "same" or (own and _same(p, found)) for p in left):
        alone = any(p.verdict != "same" for p in left)
        return WhichIsBest(best=best, alike=tuple(other[id(p)] for p in left), alone=alone)
    if not left or (own and all(_apart(p, found.confidence) for p in left)):
        leads = [abs(p.difference) - own_critical(found.confidence, p.df)[0] * p.se for p in mine]
        return WhichIsBest(best=best, ahead=min(leads, default=None) if own else None, alone=bool(left))
    open_ = tuple(other[id(p)] for p in left if not p.settled)
    return WhichIsBest(best=best, open=open_, behind=_behind(mine, found) if own and open_ else None)


def _apart(pair: PairResult, confidence: float) -> bool:
    return not pair.settled and abs(pair.difference) > own_critical(confidence, pair.df)[0] * pair.se


def _behind(mine: Sequence[PairResult], found: Comparison) -> float | None:
    """By how much another could be better than the best mean at most, where that is less than what matters."""
    others, df = even_correlation(len(found.candidates) - 1), min(p.df for p in mine)
    least = dunnett_critical(2 * found.confidence - 1, others, df)  # two-sided at 2C − 1 is one-sided at C
    most = max(least * p.se - abs(p.difference) for p in mine)
    return max(most, 0.0) if found.margin is not None and most < found.margin else None


def _same(pair: PairResult, found: Comparison) -> bool:
    if found.margin is None:
        return False
    return abs(pair.difference) + own_critical(found.confidence, pair.df)[1] * pair.se < found.margin
