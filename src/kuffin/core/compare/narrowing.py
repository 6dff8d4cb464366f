"""How wide a pair's interval would be after more rounds."""

from __future__ import annotations

import math

from kuffin.core.base.errors import CompareError
from kuffin.core.compare.evidence import Comparison, PairResult
from kuffin.core.plan.design import Model


def half_after(found: Comparison, pair: PairResult, more: int) -> float:
    """The half-width of a pair's interval after so many more mounts of its two candidates, were the scatter as it is.

    Parameters
    ----------
    more : int
        Of each of the two; where rounds are blocks, as many rounds.

    Returns
    -------
    float
        At the confidence that is in use now.

    Raises
    ------
    CompareError
        Where the scatter is not known.

    Notes
    -----
    The pair's own interval, narrowed by ``t'·√(s_a²/(n_a + m) + s_b²/(n_b + m))`` over the same with m = 0; t' has the degrees of
    freedom that the new mounts give (for two candidates with spreads of their own by Welch and Satterthwaite).

    >>> from kuffin.core.compare import MountValue, compare
    >>> values = (("Reed", 1.0), ("Reed", 1.3), ("Reed", 0.9), ("Rush", 1.5), ("Rush", 1.1), ("Rush", 1.6))
    >>> found = compare([MountValue(candidate=c, mount=f"{c} {x}", value=x) for c, x in values])
    >>> now, one, two = (half_after(found, found.pairs[0], m) for m in (0, 1, 2))
    >>> now > one > two
    True
    """
    now = (pair.high - pair.low) / 2
    return now * _plain(found, pair, more) / _plain(found, pair, 0)


def _plain(found: Comparison, pair: PairResult, more: int) -> float:
    sd, df = found.scatter
    if sd <= 0:
        raise CompareError("the scatter of the mounts is not known: mount one candidate twice")
    two = [next(c for c in found.candidates if c.name == name) for name in (pair.a, pair.b)]
    n = [c.mounts + more for c in two]
    model = Model(len(found.candidates), found.rounds > 1, found.reference is not None)
    if found.own_spreads:
        parts = [(c.sd or 0.0) ** 2 / m for c, m in zip(two, n, strict=True)]
        then = sum(parts) ** 2 / sum(p**2 / (m - 1) for p, m in zip(parts, n, strict=True))
        return model.critical(found.confidence, then) * math.sqrt(sum(parts))
    gained = 2 * more - (more if found.rounds > 1 else 0)
    return model.critical(found.confidence, df + gained) * sd * math.sqrt(1 / n[0] + 1 / n[1])
