"""Looking at the data more often than once: how the chance of a false find is spent over the looks.

References
----------
K. K. G. Lan and D. L. DeMets, "Discrete sequential boundaries for clinical trials", Biometrika 70 (1983), 659–663, with the
spending function of P. C. O'Brien and T. R. Fleming's kind; the recursion is P. Armitage, C. K. McPherson and B. C. Rowe's
(Journal of the Royal Statistical Society A 132 (1969), 235–244).
"""

from __future__ import annotations

import math
from collections.abc import Sequence
from functools import lru_cache

import numpy as np
from numpy.typing import NDArray
from scipy import special

from kuffin.core.base.errors import CompareError

Array = NDArray[np.float64]

_X, _W = np.polynomial.legendre.leggauss(160)


def alpha_spent(share: float, alpha: float) -> float:
    """What of a two-sided alpha is spent when this share of the planned mounts is made.

    Each side spends ``2·(1 − Φ(z/√t))`` of its half, z being the 1 − alpha/4 quantile.
    """
    if share <= 0:
        return 0.0
    z = float(special.ndtri(1 - alpha / 4))
    return float(4 * special.ndtr(-z / np.sqrt(min(share, 1.0))))


@lru_cache(maxsize=256)
def look_alphas(shares: tuple[float, ...], alpha: float) -> tuple[float, ...]:
    """The two-sided alpha in use at each look, so that all together spend `alpha`.

    Parameters
    ----------
    shares : tuple of float
        The share of the planned mounts at each look, rising, the last at most 1.

    Raises
    ------
    CompareError
        Where the looks do not rise.
    """
    if not shares or any(b <= a for a, b in zip((0.0, *shares), shares, strict=False)) or shares[-1] > 1 + 1e-9:
        raise CompareError("looks must come after more and more rounds, none twice, and the last when all are made")
    spent = [alpha_spent(share, alpha) for share in shares]
    return _alphas_of(shares, tuple(np.diff([0.0, *spent]).tolist()))


@lru_cache(maxsize=256)
def _alphas_of(shares: tuple[float, ...], spends: tuple[float, ...]) -> tuple[float, ...]:
    """The two-sided alpha at each look that spends so much of the whole there."""
    out: list[float] = []
    nodes, density = np.zeros(1), np.ones(1)  # the process's place before the first look
    before = 0.0
    for share, target in zip(shares, spends, strict=True):
        step = float(np.sqrt(share - before))

        low, high = 0.0, 20.0
        for _ in range(80):
            middle = (low + high) / 2
            low, high = (
                (middle, high) if _crossing(middle * np.sqrt(share), nodes, density, step) > target else (low, middle)
            )
        bound = (low + high) / 2
        out.append(float(2 * special.ndtr(-bound)))
        edge = bound * np.sqrt(share)
        new = edge * _X
        spread = np.exp(-((new[:, None] - nodes[None, :]) ** 2) / (2 * step**2)) / (step * np.sqrt(2 * np.pi))
        density = (spread @ density) * edge * _W
        nodes, before = new, share
    return tuple(out)


def _crossing(edge: float, nodes: Array, density: Array, sd: float) -> float:
    """The chance to be beyond ±edge at the next look."""
    beyond = special.ndtr((-edge - nodes) / sd) + special.ndtr((nodes - edge) / sd)
    return float(density @ beyond)


def read_looks(written: str, planned_rounds: int) -> tuple[int, ...]:
    """Looks as people write them: ``2, 4``: after which rounds the study is judged; blank: the usual ones.

    Raises
    ------
    CompareError
    """
    words = written.replace(";", ",").replace("and", ",").split(",")
    try:
        looks = tuple(int(w) for w in words if w.strip())
    except ValueError:
        raise CompareError("“{written}” are no rounds; write their numbers, such as “2, 4”", written=written) from None
    if not looks:
        return ()
    check_looks(looks, planned_rounds)
    return looks


def check_looks(looks: Sequence[int], planned_rounds: int) -> None:
    """Refuse looks that cannot be.

    Raises
    ------
    CompareError
    """
    if list(looks) != sorted(set(looks)) or looks[0] < 2:
        raise CompareError("looks come after round 2 at the earliest (scatter takes two mounts), each once, in order")
    if looks[-1] > planned_rounds:
        raise CompareError(
            "{planned_rounds} rounds are planned; a look after round {looks} would be past them",
            planned_rounds=planned_rounds,
            looks=looks[-1],
        )


KEPT_BACK = 0.2  # of the chance of a false find, for rounds past the plan
# the recursion is the normal's; with a scatter that is estimated anew at each look a tenth more is spent than it says
FOR_FEW_MOUNTS = 0.9


def usual_looks(planned_rounds: int) -> tuple[int, ...]:
    """The looks of a plan for which none were declared: at half of it, at three quarters, and at its end."""
    return tuple(sorted({max(2, math.ceil(planned_rounds * share)) for share in (0.5, 0.75, 1.0)}))


def looks_past(planned_rounds: int, upto: int) -> tuple[int, ...]:
    """The looks past a plan, each after half as many rounds again: one after every round would leave too little for each.

    >>> looks_past(8, 13), looks_past(8, 8)
    ((12, 18), ())
    """
    out, at = [], planned_rounds
    while at < upto:
        at = math.ceil(1.5 * at)
        out.append(at)
    return tuple(out)


def all_looks(looks: Sequence[int], planned_rounds: int) -> tuple[int, ...]:
    """The declared looks; the end of the plan is always one."""
    return tuple(looks) if looks and looks[-1] >= planned_rounds else (*looks, planned_rounds)


def confidence_at(each: Sequence[tuple[int, float]], rounds: int) -> float:
    """What is in use after so many rounds: a look's own; between two looks the stricter of both, so that who looks in between finds no more.

    Parameters
    ----------
    each : sequence of (round, confidence)
        The looks, one beyond these rounds among them where there is one.

    >>> confidence_at(((4, 0.998), (8, 0.968), (12, 0.988)), 9)
    0.988
    """
    had = [level for n, level in each if n <= rounds]
    if not had or any(n == rounds for n, _ in each):
        return had[-1] if had else each[0][1]
    return max(had[-1], *(level for n, level in each[len(had) : len(had) + 1]), 0.0)


def look_confidences(
    looks: Sequence[int], planned_rounds: int, upto: int, confidence: float
) -> tuple[tuple[int, float], ...]:
    """Each look and the confidence in use there, so that all together keep the study's own however long it goes on.

    Within the plan all but `KEPT_BACK` of the chance of a false find is spent, as `alpha_spent` has it. What was kept back
    serves looks past the plan (`looks_past`): the j-th of them spends 1/(j·(j + 1)) of it, which never adds up to more than all.

    Parameters
    ----------
    upto : int
        A round; past the plan there are looks up to the first that is not before it.

    Returns
    -------
    tuple of (round, confidence)
    """
    declared, alpha = all_looks(looks, planned_rounds), round((1 - confidence) * FOR_FEW_MOUNTS, 12)
    planned = declared[-1]
    past = looks_past(planned, upto)
    inside = (1 - KEPT_BACK) * alpha
    spent = np.diff([0.0, *(alpha_spent(n / planned, inside) for n in declared)]).tolist()
    after = [KEPT_BACK * alpha / (j * (j + 1)) for j in range(1, len(past) + 1)]
    rounds = (*declared, *past)
    alphas = _alphas_of(tuple(n / planned for n in rounds), (*spent, *after))
    return tuple((n, 1 - a) for n, a in zip(rounds, alphas, strict=True))
