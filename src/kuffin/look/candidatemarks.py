"""Candidates' colours and shapes: the Okabe–Ito set, each colour with a shape of its own, the same in every picture.

Source of the colours: M. Okabe and K. Ito, *Color Universal Design* (2008), which all readers can tell apart.
"""

from __future__ import annotations

import math
from dataclasses import dataclass

_COLOURS = ("#009E73", "#0072B2", "#CC79A7", "#D55E00", "#E69F00", "#56B4E9", "#8C7A00", "#7A7A7A")
_DARK = ("#2fc79b", "#4aa3e0", "#e29cc4", "#f08038", "#f0b429", "#7cc7f2", "#cdb92c", "#b0b0b0")
_SHAPES = ("triangle", "circle", "diamond", "square", "pentagon", "down", "hexagon", "bar")
_POLYGONS = {
    "triangle": (3, -90.0),
    "down": (3, 90.0),
    "diamond": (4, -90.0),
    "pentagon": (5, -90.0),
    "hexagon": (6, 0.0),
}


@dataclass(frozen=True)
class CandidateMark:
    """A candidate's colour and shape."""

    colour: str
    dark_colour: str
    shape: str

    def on(self, theme: str) -> str:
        """Its colour on a ground: ``light`` or ``dark``."""
        return self.dark_colour if theme == "dark" else self.colour


def mark(position: int) -> CandidateMark:
    """The mark of the candidate at a position; colours and shapes come again in other pairs after eight.

    >>> mark(1).shape
    'circle'
    """
    n = len(_COLOURS)
    return CandidateMark(_COLOURS[position % n], _DARK[position % n], _SHAPES[(position + position // n) % n])


def outline(shape: str) -> list[tuple[float, float]]:
    """The corners of a shape about the origin, y downwards, for a radius of 1; none for a circle (radius 0.95)."""
    if shape == "circle":
        return []
    if shape in {"square", "bar"}:
        x, y = (0.86, 0.86) if shape == "square" else (0.5, 1.1)
        return [(-x, -y), (x, -y), (x, y), (-x, y)]
    corners, turn = _POLYGONS[shape]
    size = 1.18 if corners in {3, 4} else 1.05
    angles = [math.radians(turn + 360 * i / corners) for i in range(corners)]
    return [(size * math.cos(a), size * math.sin(a)) for a in angles]
