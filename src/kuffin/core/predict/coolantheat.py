"""What another coolant does to the resistance of a block or a radiator: through the film between metal and coolant, a share of the whole.

At the same flow a film's coefficient goes with the coolant's properties as its flow does (F. P. Incropera et al., *Fundamentals of
Heat and Mass Transfer*, chapter 8): h ∝ k where it is laminar and developed, h ∝ k^(2/3)·(ρ·c)^(1/3) where it is laminar and
developing, h ∝ k^0.6·c^0.4·ρ^0.8·μ^(−0.4) where it is turbulent. Which of them, and how much of the resistance is film, nobody
measured: the interval holds all of it.
"""

from __future__ import annotations

from dataclasses import dataclass

from kuffin.core.heat.coolant import Properties
from kuffin.core.predict.carrying import halfway


@dataclass(frozen=True)
class FilmShare:
    """How much of a resistance may be the coolant's film."""

    least: float
    most: float


BLOCK_FILM = FilmShare(0.15, 0.7)
RADIATOR_FILM = FilmShare(0.02, 0.3)


def by_coolant(was: Properties, now: Properties, film: FilmShare) -> tuple[float, float]:
    """The middle factor on a resistance, and by how much (half-width of 95 %) it may be another, as a share of it.

    >>> from kuffin.core.heat.coolant import Mix, properties
    >>> water, mix = properties(35.0), properties(35.0, Mix("propylene glycol", 30.0))
    >>> factor, half = by_coolant(water, mix, BLOCK_FILM)
    >>> round(factor, 2), round(half, 2)
    (1.26, 0.19)
    """
    k = now.conductivity_w_m_k / was.conductivity_w_m_k
    c = now.heat_capacity_j_kg_k / was.heat_capacity_j_kg_k
    density = now.density_kg_m3 / was.density_kg_m3
    viscosity = now.viscosity_mpa_s / was.viscosity_mpa_s
    films = (k, k ** (2 / 3) * (density * c) ** (1 / 3), k**0.6 * c**0.4 * density**0.8 * viscosity**-0.4)
    factors = [1 + share * (1 / h - 1) for h in films for share in (film.least, film.most)]
    return halfway(min(factors), max(factors))
