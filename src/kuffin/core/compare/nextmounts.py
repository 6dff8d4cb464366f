"""Which mounts next: what each choice of a round would do for the question, for each hour on the bench; and when to leave it.

True means and scatter are drawn from what is known, the new mounts from them, and for each draw it is asked whether it would be
known which is best (`kuffin.core.compare.whichisbest`). A choice is worth its chance of that for each hour; several rounds of it are looked at, as one
alone seldom answers anything. Where no choice has more than a small chance of an answer, it is time to stop. (D. V. Lindley, "On a measure of the information provided by an experiment", Annals of Mathematical Statistics 27 (1956),
for choosing by what an experiment is expected to tell.)
"""

from __future__ import annotations

from collections.abc import Callable, Mapping, Sequence
from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from kuffin.core.compare.evidence import Comparison, PairResult
from kuffin.core.compare.whichisbest import own_critical, which_is_best
from kuffin.core.plan.design import Model

Array = NDArray[np.float64]
_DRAWS, _SEED = 2000, 23
_MOST_NEAREST = 5  # that are looked at beside the leader, one fewer each time; and all that are open
_MOST_WORKED_OUT = 8  # critical values
LOOKED_AHEAD = (1, 2, 3, 4, 6, 9)  # rounds
LEAST_CHANCE = 0.04  # of an answer, by as many rounds as are looked at: under it a choice is not worth proposing


@dataclass(frozen=True, kw_only=True)
class RoundChoice:
    """Some candidates mounted again, so many rounds long.

    Attributes
    ----------
    chance : float
        That it answers which is best.
    hours : float
        What it takes.
    """

    names: tuple[str, ...]
    rounds: int
    chance: float
    hours: float

    @property
    def per_hour(self) -> float:
        """What it is worth."""
        return self.chance / max(self.hours, 1e-9)

    @property
    def hours_for_answer(self) -> float:
        """What an answer takes by it, on average: its hours over its chance."""
        return self.hours / max(self.chance, 1e-9)

    @property
    def worth_it(self) -> bool:
        """Whether to go on with it."""
        return self.chance >= LEAST_CHANCE


@dataclass(frozen=True)
class NearEnough:
    """What may be said of a pair already, where more mounts will hardly settle it: they lie within so much of each other."""

    a: str
    b: str
    within: float


def open_pairs(found: Comparison) -> list[PairResult]:
    """The leader's pairs that keep it open which is best, and that more mounts could settle.

    >>> from kuffin.core.compare import MountValue, compare
    >>> values = (("Reed", 1.0), ("Reed", 1.3), ("Rush", 1.5), ("Rush", 1.1), ("Sedge", 9.5), ("Sedge", 9.2))
    >>> [(p.a, p.b) for p in open_pairs(compare([MountValue(candidate=c, mount=f"{c} {x}", value=x) for c, x in values]))]
    [('Reed', 'Rush')]
    """
    told = which_is_best(found)
    return [p for p in (found.pair(told.best, n) for n in told.open) if not p.held]


def round_choices(
    found: Comparison,
    minutes: Mapping[str, float],
    confidence: Callable[[int], float] | None = None,
    ahead: Sequence[int] = LOOKED_AHEAD,
) -> list[RoundChoice]:
    """What to mount next, the best for its hours first; none where nothing is open.

    Parameters
    ----------
    minutes : mapping of candidate to float
        What one mount takes, change-over and run.
    confidence : callable, optional
        In use so many rounds from now; the present one without it.
    ahead : sequence of int
        So many rounds are looked at.

    >>> from kuffin.core.compare import MountValue, compare
    >>> values = (("Reed", 1.0), ("Reed", 1.3), ("Reed", 0.9), ("Rush", 1.5), ("Rush", 1.1), ("Rush", 1.6))
    >>> found = compare([MountValue(candidate=c, mount=f"{c} {x}", value=x) for c, x in values])
    >>> choices = round_choices(found, {"Reed": 90.0, "Rush": 90.0})
    >>> set(choices[0].names) <= {"Reed", "Rush"}, choices[0].per_hour >= choices[-1].per_hour
    (True, True)
    """
    pairs = open_pairs(found)
    if not pairs or found.scatter[0] <= 0:
        return []
    best, others = _leader_and_open(found, pairs)
    sizes = sorted({len(others), *range(1, min(len(others), _MOST_NEAREST) + 1)}, reverse=True)
    sets = [(best, *others[:i]) for i in sizes]
    everyone = tuple(c.name for c in found.candidates)
    if set(everyone) != set(sets[0]):
        sets.append(everyone)
    if found.rounds <= 1:  # where rounds are blocks, a mount alone is confounded with its day
        sets += [(n,) for n in (best, *others[:_MOST_NEAREST])]
    out = []
    for names in sets:
        hour = sum(minutes[n] for n in names) / 60
        made = []
        for m in ahead:
            level = found.confidence if confidence is None else confidence(m)
            chance, share = _chance(found, names, m, level)
            made.append(RoundChoice(names=names, rounds=m, chance=chance, hours=m * hour * share))
        worth = [c for c in made if c.worth_it]  # a few rounds may be worth it where one alone has hardly a chance
        out.append(max(worth, key=lambda c: c.per_hour) if worth else max(made, key=lambda c: c.chance))
    return sorted((c for c in out if c.chance or c.names == sets[0]), key=lambda c: (not c.worth_it, -c.per_hour))


def chance_of_answer(found: Comparison, rounds: int) -> float:
    """The chance that it is known which is best after so many more rounds of the leader and all that keep it open.

    >>> from kuffin.core.compare import MountValue, compare
    >>> values = (("Reed", 1.0), ("Reed", 1.3), ("Reed", 0.9), ("Rush", 1.5), ("Rush", 1.1), ("Rush", 1.6))
    >>> found = compare([MountValue(candidate=c, mount=f"{c} {x}", value=x) for c, x in values])
    >>> chance_of_answer(found, 1) < chance_of_answer(found, 4)
    True
    """
    pairs = open_pairs(found)
    if not pairs:
        return 1.0
    best, others = _leader_and_open(found, pairs)
    return _chance(found, (best, *others), rounds, found.confidence)[0]


def near_enough(found: Comparison) -> list[NearEnough]:
    """How far apart the leader and those not told apart from it are at most, at the confidence by which two are called the same."""
    return [NearEnough(p.a, p.b, max(abs(p.narrow_low), abs(p.narrow_high))) for p in open_pairs(found)]


def _leader_and_open(found: Comparison, pairs: Sequence[PairResult]) -> tuple[str, list[str]]:
    best = which_is_best(found).best
    return best, [p.b if p.a == best else p.a for p in pairs]


def _chance(found: Comparison, names: Sequence[str], rounds: int, level: float) -> tuple[float, float]:
    """The chance that it is known which is best after so many more mounts of some candidates, and what share of these mounts is made on
    average, as those that fall out on the way are not mounted on."""
    more = np.array([rounds if c.name in names else 0 for c in found.candidates], float)
    total = more + [c.mounts for c in found.candidates]
    k, row = total.size, np.arange(_DRAWS)
    later, variances, dfs = _later(found, more, rounds)
    leader = later.argmin(axis=1)
    squared = variances / total
    gap = later - later[row, leader][:, None]
    se = np.sqrt(squared + squared[row, leader][:, None])
    if found.own_spreads:  # Welch and Satterthwaite, beside the one that leads in most draws
        first = int(np.bincount(leader, minlength=k).argmax())
        theirs = squared[:, [first]]
        dfs = np.median((squared + theirs) ** 2 / (squared**2 / dfs + theirs**2 / dfs[first]), axis=0)
    family = Model(k, found.rounds > 1, found.reference is not None)
    together = _for_each(dfs, lambda d: family.critical(level, d))
    apart, same = np.array([own_critical(level, float(d)) for d in dfs]).T
    if found.reference is not None:
        apart, same = together, _for_each(dfs, lambda d: family.critical(2 * level - 1, d))
    itself = np.arange(k) == leader[:, None]
    out, ahead, alike = gap > together * se, gap > apart * se, gap + same * se < (found.margin or 0.0)
    if (
        found.rounds > 1
    ):  # a round that not both were in tells nothing of one beside the other: they stand as they do now
        untouched = ((more == 0) | (more[leader] == 0)[:, None]) & ~itself
        best = which_is_best(found).best
        now = [{p.verdict for p in found.pairs if {p.a, p.b} == {best, c.name}} for c in found.candidates]
        gone = np.array([bool(v & {"a_lower", "b_lower"}) for v in now])
        out, ahead = (np.where(untouched, gone, x) for x in (out, ahead))
        alike = np.where(untouched, np.array(["same" in v for v in now]), alike)
    named = (ahead | itself).all(axis=1)
    answered = named | (out | alike | itself).all(axis=1)
    asked = np.array([c.name in names for c in found.candidates])
    staying = float((~out & ~answered[:, None])[:, asked].mean())
    return float(answered.mean()), (1 + staying) / 2 if rounds > 1 else 1.0


def _for_each(dfs: Array, critical: Callable[[float], float]) -> Array:
    """A critical value for each candidate's degrees of freedom: once for those that are alike; of many that differ, a few are worked out
    and the rest read off between them, as it is nearly straight over 1/df."""
    each, where = np.unique(dfs, return_inverse=True)
    if each.size > _MOST_WORKED_OUT:
        at = np.linspace(1 / each[-1], 1 / each[0], _MOST_WORKED_OUT)
        return np.interp(1 / dfs, at, [critical(float(1 / x)) for x in at])
    return np.array([critical(float(d)) for d in each])[where]


def _later(found: Comparison, more: Array, rounds: int) -> tuple[Array, Array, Array]:
    """Drawn means and variances after more mounts, better ones lower, one row for each draw; and their degrees of freedom."""
    k, n = more.size, np.array([c.mounts for c in found.candidates], float)
    means = (1.0 if found.better == "lower" else -1.0) * np.array([c.mean for c in found.candidates])
    sd, df = found.scatter
    own = found.own_spreads
    sds = np.array([c.sd or sd for c in found.candidates]) if own else np.full(k, sd)
    dfs = found.spread_dfs if own else np.full(k, df)
    rng = np.random.default_rng(_SEED)
    sigma = sds * np.sqrt(dfs / (rng.chisquare(dfs, (_DRAWS, k)) if own else rng.chisquare(df, (_DRAWS, 1))))
    true = _drawn_means(rng, means, sds / np.sqrt(n), sigma / np.sqrt(n))
    new = true + rng.normal(size=(_DRAWS, k)) * sigma / np.sqrt(np.maximum(more, 1.0))
    moved = (new - means) ** 2 * n * more / (n + more)
    within = np.where(more > 1, rng.chisquare(np.maximum(more - 1, 1.0), (_DRAWS, k)), 0.0) * sigma**2
    later = (n * means + more * new) / (n + more)
    if own:
        return later, (dfs * sds**2 + moved + within) / (dfs + more), dfs + more
    shared = (df * sd**2 + (moved + within).sum(axis=1, keepdims=True)) / (df + more.sum())
    gained = max(float(more.sum()) - (rounds if found.rounds > 1 else 0), 0.0)
    return later, np.repeat(shared, k, axis=1), np.full(k, df + gained)


def _drawn_means(rng: np.random.Generator, means: Array, se: Array, drawn_se: Array) -> Array:
    """True means as they may be, one row for each draw.

    Three and more are taken for draws of one population, whose spread is itself drawn (flat prior; D. B. Rubin, "Estimation in parallel
    randomized experiments", Journal of Educational Statistics 6 (1981), 377–401): means that differ by no more than chance would have
    them differ are likely nearer together than they look. Of two no spread can be told, and each stands for itself.
    """
    k, draws = means.size, drawn_se.shape[0]
    noise = rng.normal(size=(draws, k))
    if k < 3:
        return means + noise * drawn_se
    grid = np.linspace(0.0, 3 * float(np.ptp(means)) + 1e-9, 60)
    weight = 1 / (grid[:, None] ** 2 + se**2)
    middle = (weight * means).sum(axis=1) / weight.sum(axis=1)
    log = 0.5 * (
        np.log(weight).sum(axis=1) - np.log(weight.sum(axis=1)) - (weight * (means - middle[:, None]) ** 2).sum(axis=1)
    )
    chance = np.exp(log - log.max())
    spread = rng.choice(grid, size=draws, p=chance / chance.sum())[:, None]
    each = 1 / (spread**2 + drawn_se**2)
    centre = (each * means).sum(axis=1) / each.sum(axis=1) + rng.normal(size=draws) / np.sqrt(each.sum(axis=1))
    kept = spread**2 / (spread**2 + drawn_se**2)  # of a mean's distance from the middle
    return np.asarray(centre[:, None] + kept * (means - centre[:, None]) + noise * drawn_se * np.sqrt(kept))
