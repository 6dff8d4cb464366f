"""Looking at the data more often than once: how the chance of a false find is spent over declared looks.

References
----------
K. K. G. Lan and D. L. DeMets, "Discrete sequential boundaries for clinical trials", Biometrika 70 (1983), 659–663, with the
spending function of P. C. O'Brien and T. R. Fleming's kind; the recursion is P. Armitage, C. K. McPherson and B. C. Rowe's
(Journal of the Royal Statistical Society A 132 (1969), 235–244).
"""

from __future__ import annotations

from collections.abc import Sequence
from functools import lru_cache

import numpy as np
from numpy.typing import NDArray
from scipy import special

from kuffin.core.errors import CompareError

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
    out: list[float] = []
    nodes, density = np.zeros(1), np.ones(1)  # the process's place before the first look
    before, used = 0.0, 0.0
    for share in shares:
        target = alpha_spent(share, alpha) - used
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
        nodes, before, used = new, share, used + target
    return tuple(out)


def _crossing(edge: float, nodes: Array, density: Array, sd: float) -> float:
    """The chance to be beyond ±edge at the next look."""
    beyond = special.ndtr((-edge - nodes) / sd) + special.ndtr((nodes - edge) / sd)
    return float(density @ beyond)


def read_looks(written: str, planned_rounds: int) -> tuple[int, ...]:
    """Looks as people write them: ``2, 4``: after which rounds the study is judged; blank: at the end only.

    Raises
    ------
    CompareError
    """
    words = written.replace(";", ",").replace("and", ",").split(",")
    try:
        looks = tuple(int(w) for w in words if w.strip())
    except ValueError:
        raise CompareError(f"“{written}” are no rounds; write their numbers, such as “2, 4”") from None
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
        raise CompareError(f"{planned_rounds} rounds are planned; a look after round {looks[-1]} would be past them")


def confidence_at(looks: Sequence[int], planned_rounds: int, rounds_done: int, confidence: float) -> tuple[float, int]:
    """The confidence in use, and how many of the looks have been had.

    The last planned look is always the end of the plan, whether it was written or not. Before the first look the first
    one's confidence is in use; past the plan the last one's.
    """
    if not looks:
        return confidence, 0
    all_ = tuple(looks) if looks[-1] >= planned_rounds else (*looks, planned_rounds)
    alphas = look_alphas(tuple(n / planned_rounds for n in all_), round(1 - confidence, 12))
    had = sum(n <= rounds_done for n in all_)
    return 1 - alphas[max(had - 1, 0)], had
