"""Whether candidates scatter alike: one that scatters far more than the others spoils a spread shared by all."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from functools import lru_cache

import numpy as np
from numpy.typing import NDArray

from kuffin.core.base.language import tr

Array = NDArray[np.float64]

UNLIKELY = 0.05  # below this chance, spreads are taken to differ
_DRAWS = 2000


@dataclass(frozen=True)
class UnequalSpread:
    """A candidate whose mounts scatter more than the others'.

    Attributes
    ----------
    own, others : float
        Standard deviations, in the readings' unit.
    p : float
        The chance that mounts which all scatter alike show as much.
    """

    name: str
    own: float
    others: float
    p: float

    @property
    def times(self) -> float:
        """How many times as far it scatters."""
        return self.own / max(self.others, 1e-12)

    def sentence(self) -> str:
        """What was noticed, in words."""
        return tr(
            "mounts of {name} scattered {times:.1f} times as far as the others here; if all scattered alike, {p:.0f} in 100 studies would show as much",
            name=self.name,
            times=self.times,
            p=max(1.0, 100 * self.p),
        )


def unequal_spread(y: Array, design: Array, index: NDArray[np.int64], names: Sequence[str]) -> UnequalSpread | None:
    """The candidate with the largest share of the residual sum of squares, where chance hardly gives it so much.

    Parameters
    ----------
    y : ndarray, shape (n,)
    design : ndarray, shape (n, p)
        The fixed effects that are fitted.
    index : ndarray of int, shape (n,)
        Which candidate each mount is of.

    References
    ----------
    W. G. Cochran, "The distribution of the largest of a set of estimated variances as a fraction of their total", Annals of
    Eugenics 11 (1941), 47–52. The share's distribution does not depend on the spread; here it is drawn (seeded), so that it
    holds for rounds and for unequal numbers too.

    >>> index = np.repeat([0, 1, 2], 4)
    >>> y = np.array([1.0, 1.1, 0.9, 1.0, 2.0, 2.1, 1.9, 2.0, 3.0, 6.0, 1.0, 2.0])
    >>> found = unequal_spread(y, np.eye(3)[index], index, ["Reed", "Rush", "Bulrush"])
    >>> found.name, round(found.own, 2), round(found.others, 2)
    ('Bulrush', 2.16, 0.08)
    """
    k, n = len(names), y.size
    if k < 2 or n - design.shape[1] < 2 or np.bincount(index, minlength=k).min() < 2:
        return None
    member = np.equal.outer(np.arange(k), index).astype(float)
    maker, free, null = _under_equal_spreads(design.tobytes(), design.shape, member.tobytes(), k)
    squares = member @ (maker @ y) ** 2
    if squares.sum() <= 1e-18 * max(float(y @ y), 1e-300):
        return None
    each = squares / free
    worst = int(np.argmax(each))
    p = float(np.mean(null >= each[worst] / each.sum() - 1e-12))
    others = float((squares.sum() - squares[worst]) / (free.sum() - free[worst]))
    if p >= UNLIKELY or others <= 0:
        return None
    return UnequalSpread(names[worst], float(np.sqrt(each[worst])), float(np.sqrt(others)), p)


@lru_cache(maxsize=64)
def _under_equal_spreads(design: bytes, shape: tuple[int, int], member: bytes, k: int) -> tuple[Array, Array, Array]:
    """The matrix that makes residuals, each candidate's degrees of freedom, and drawn largest shares."""
    x = np.frombuffer(design).reshape(shape)
    of = np.frombuffer(member).reshape(k, shape[0])
    q, _ = np.linalg.qr(x)
    maker = np.eye(shape[0]) - q @ q.T
    free = np.maximum(of @ np.diag(maker), 1e-9)
    drawn = of @ (maker @ np.random.default_rng(23).standard_normal((shape[0], _DRAWS))) ** 2 / free[:, None]
    return maker, free, np.asarray(drawn.max(axis=0) / drawn.sum(axis=0), float)
