"""What a picture is before it is drawn: its title, what it rests on, its words for those who cannot see it, and how it is painted."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import dataclass, field
from typing import TYPE_CHECKING

from kuffin.look.colours import DARK, LIGHT, Colours

if TYPE_CHECKING:
    from kuffin.publish.figures.canvas import Canvas

FORMS = ("svg", "png", "pdf")
LINES = (1080, 2160)  # of frames for a video


@dataclass(frozen=True, kw_only=True)
class Size:
    """How large a picture is.

    Attributes
    ----------
    width_in, height_in : float
        Inches; a height of 0 lets the picture take what it needs.
    point : float
        The size of its text.
    dots : int
        Per inch, where it is made of pixels.
    """

    key: str
    label: str
    width_in: float
    height_in: float
    point: float
    dots: int


SIZES = {
    s.key: s
    for s in (
        Size(key="wide", label="Wide screen, 1920 × 1080", width_in=12.8, height_in=7.2, point=16.0, dots=150),
        Size(key="upright", label="Upright, 1080 × 1350", width_in=7.2, height_in=9.0, point=13.0, dots=150),
        Size(key="print", label="Print, 170 mm wide", width_in=6.69, height_in=0.0, point=8.5, dots=300),
    )
}
PAGE = Size(key="page", label="In the page", width_in=7.2, height_in=0.0, point=9.5, dots=150)


@dataclass(frozen=True)
class Ground:
    """What a picture stands on: a theme's colours, on its ground or on nothing."""

    key: str
    label: str
    colours: Colours
    clear: bool = False


GROUNDS = {
    g.key: g
    for g in (
        Ground("light", "Light", LIGHT),
        Ground("dark", "Dark", DARK),
        Ground("clear", "Clear, dark text", LIGHT, clear=True),
        Ground("clear-dark", "Clear, light text", DARK, clear=True),
    )
}


@dataclass(frozen=True, kw_only=True)
class Shown:
    """How much of a picture is there yet, as it is built up while one talks.

    Attributes
    ----------
    rows : int or None
        How many of its rows, counted from the last; None: all.
    intervals, ties : bool
    sentence : str
        What is said below it.
    """

    rows: int | None = None
    intervals: bool = True
    ties: bool = True
    sentence: str = ""

    def has(self, row: int, of: int) -> bool:
        """Whether a row is there, counted from the first."""
        return self.rows is None or row >= of - self.rows


ALL = Shown()


@dataclass(frozen=True, kw_only=True)
class BuildStep:
    """A step in which a picture is built up, and what there is to say with it."""

    cue: str
    shown: Shown


@dataclass(frozen=True, kw_only=True)
class Drawing:
    """A picture.

    Attributes
    ----------
    key : str
        Its file's name.
    title : str
        What it shows.
    basis : tuple of str
        Conditions, mounts, interval: printed on it.
    alt : str
        What it says, for those who cannot see it.
    lines : float
        How high its inside is at least, in lines of text.
    paint : callable
        Draws its inside on a `Canvas`, as much as is `Shown`.
    stages : tuple of BuildStep
        How it is built up for a video, where it can be.
    """

    key: str
    title: str
    basis: tuple[str, ...]
    alt: str
    lines: float
    paint: Callable[[Canvas, Shown], None]
    stages: tuple[BuildStep, ...] = field(default=())
