"""Which mounts next: what each choice of a round would do for the question, for each hour on the bench; and when to leave it.

True means and scatter are drawn from what is known (flat prior), the new mounts from them, and each draw is judged as the study would be. A
choice is worth the share of the leader's open pairs that it would settle, for each hour; several rounds of it are looked at, as one alone seldom
settles anything. (D. V. Lindley, "On a measure of the information provided by an experiment", Annals of Mathematical Statistics 27 (1956),
for choosing by what an experiment is expected to tell.)
"""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from kuffin.core.compare.evidence import Comparison, PairResult
from kuffin.core.compare.pairwords import best_of
from kuffin.core.plan.design import Model

Array = NDArray[np.float64]
_DRAWS, _SEED = 2000, 23
MOST_ROUNDS = 6
HARDLY = 0.25  # chance of settling the question, under which more mounts are not worth their hours


@dataclass(frozen=True, kw_only=True)
class RoundChoice:
    """Some candidates mounted again, so many rounds long.

    Attributes
    ----------
    settles : float
        The share of the leader's open pairs that it is expected to settle.
    all_settled : float
        The chance that it settles them all.
    hours : float
    """

    names: tuple[str, ...]
    rounds: int
    settles: float
    all_settled: float
    hours: float

    @property
    def per_hour(self) -> float:
        """What it is worth."""
        return self.settles / max(self.hours, 1e-9)


@dataclass(frozen=True)
class NearEnough:
    """What may be said of a pair already, where more mounts will hardly settle it: they lie within so much of each other."""

    a: str
    b: str
    within: float


def open_pairs(found: Comparison) -> list[PairResult]:
    """The leader's pairs that are not settled, and that more mounts could settle.

    >>> from kuffin.core.compare import MountValue, compare
    >>> values = (("Reed", 1.0), ("Reed", 1.3), ("Rush", 1.5), ("Rush", 1.1), ("Sedge", 9.5), ("Sedge", 9.2))
    >>> [(p.a, p.b) for p in open_pairs(compare([MountValue(candidate=c, mount=f"{c} {x}", value=x) for c, x in values]))]
    [('Reed', 'Rush')]
    """
    best = best_of(found)
    return [p for p in found.pairs if best in {p.a, p.b} and not p.settled and not p.held]


def round_choices(
    found: Comparison, minutes: Mapping[str, float], confidence: float | None = None, most: int = MOST_ROUNDS
) -> list[RoundChoice]:
    """What to mount next, the best for its hours first; none where nothing is open.

    Parameters
    ----------
    minutes : mapping of candidate to float
        What one mount takes, change-over and run.
    confidence : float, optional
        In use at the next look.

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
    best = best_of(found)
    others = [p.b if p.a == best else p.a for p in pairs]
    sets: list[tuple[str, ...]] = [(best, *others)]
    if len(others) > 1:
        sets += [(best, n) for n in others]
    everyone = tuple(c.name for c in found.candidates)
    if set(everyone) != set(sets[0]):
        sets.append(everyone)
    if found.rounds <= 1:  # where rounds are blocks, a mount alone is confounded with its day
        sets += [(n,) for n in (best, *others)]
    out = []
    for names in sets:
        each = [_simulated(found, names, m, pairs, confidence) for m in range(1, most + 1)]
        hour = sum(minutes[n] for n in names) / 60
        made = [
            RoundChoice(names=names, rounds=m, settles=s, all_settled=a, hours=m * hour)
            for m, (s, a) in enumerate(each, 1)
        ]
        out.append(max(made, key=lambda c: c.per_hour))
    return sorted(out, key=lambda c: -c.per_hour)


def chance_of_settling(found: Comparison, rounds: int, confidence: float | None = None) -> float:
    """The chance that so many more rounds of the leader and all that are not told apart from it settle the question.

    >>> from kuffin.core.compare import MountValue, compare
    >>> values = (("Reed", 1.0), ("Reed", 1.3), ("Reed", 0.9), ("Rush", 1.5), ("Rush", 1.1), ("Rush", 1.6))
    >>> found = compare([MountValue(candidate=c, mount=f"{c} {x}", value=x) for c, x in values])
    >>> chance_of_settling(found, 1) < chance_of_settling(found, 4)
    True
    """
    pairs = open_pairs(found)
    if not pairs:
        return 1.0
    best = best_of(found)
    names = (best, *(p.b if p.a == best else p.a for p in pairs))
    return _simulated(found, names, rounds, pairs, confidence)[1]


def near_enough(found: Comparison) -> list[NearEnough]:
    """How far apart the leader and those not told apart from it are at most, at the confidence by which two are called the same."""
    return [NearEnough(p.a, p.b, max(abs(p.narrow_low), abs(p.narrow_high))) for p in open_pairs(found)]


def _simulated(
    found: Comparison, names: Sequence[str], rounds: int, pairs: Sequence[PairResult], confidence: float | None
) -> tuple[float, float]:
    """The share of pairs that are settled after so many more mounts of some candidates, and the chance that all are."""
    level = found.confidence if confidence is None else confidence
    every = [c.name for c in found.candidates]
    k, n = len(every), np.array([c.mounts for c in found.candidates], float)
    means = np.array([c.mean for c in found.candidates])
    sd, df = found.scatter
    own = found.sd is None and all(c.sd is not None and c.mounts > 1 for c in found.candidates)
    rng = np.random.default_rng(_SEED)
    sds = np.array([c.sd or sd for c in found.candidates]) if own else np.full(k, sd)
    dfs = n - 1 if own else np.full(k, df)
    if own:
        stretch = np.sqrt(dfs / rng.chisquare(dfs, (_DRAWS, k)))
    else:
        stretch = np.repeat(np.sqrt(df / rng.chisquare(df, (_DRAWS, 1))), k, axis=1)
    sigma = sds * stretch
    more = np.array([rounds if name in names else 0 for name in every], float)
    true = means + rng.normal(size=(_DRAWS, k)) * sigma / np.sqrt(n)
    new = true + rng.normal(size=(_DRAWS, k)) * sigma / np.sqrt(np.maximum(more, 1.0))
    later = (n * means + more * new) / (n + more)
    moved = (new - means) ** 2 * n * more / (n + more)
    within = np.where(more > 1, rng.chisquare(np.maximum(more - 1, 1.0), (_DRAWS, k)), 0.0) * sigma**2
    blocked = found.rounds > 1
    model = Model(k, blocked, found.reference is not None)
    if own:
        df_later = dfs + more
        variances = (dfs * sds**2 + moved + within) / df_later
    else:
        gained = float(more.sum()) - (rounds if blocked else 0)
        total = df + max(gained, 0.0)
        variances = np.repeat((df * sd**2 + (moved + within).sum(axis=1, keepdims=True)) / (df + more.sum()), k, axis=1)
        df_later = np.full(k, total)
    settled = np.zeros((_DRAWS, len(pairs)), bool)
    for i, pair in enumerate(pairs):
        a, b = every.index(pair.a), every.index(pair.b)
        if blocked and not {pair.a, pair.b} <= set(names):
            continue  # the new round tells nothing of one beside the other
        parts = variances[:, a] / (n[a] + more[a]), variances[:, b] / (n[b] + more[b])
        se = np.sqrt(parts[0] + parts[1])
        if own:
            welch = (parts[0] + parts[1]) ** 2 / (parts[0] ** 2 / df_later[a] + parts[1] ** 2 / df_later[b])
            df_pair = float(np.median(welch))
        else:
            df_pair = float(df_later[a])
        gap = later[:, a] - later[:, b]
        settled[:, i] = np.abs(gap) > model.critical(level, df_pair) * se
        if found.margin is not None:
            settled[:, i] |= np.abs(gap) + model.critical(2 * level - 1, df_pair) * se < found.margin
    return float(settled.mean()), float(settled.all(axis=1).mean())
