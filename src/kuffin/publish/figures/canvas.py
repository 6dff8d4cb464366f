"""The sheet that pictures are drawn on: a title above, what they rest on below, and the inside in inches from its upper left corner."""

from __future__ import annotations

import re
from collections.abc import Sequence
from functools import cached_property, lru_cache
from itertools import pairwise
from typing import Any

import numpy as np
from matplotlib import font_manager
from matplotlib.axes import Axes
from matplotlib.figure import Figure
from matplotlib.lines import Line2D
from matplotlib.patches import Rectangle
from matplotlib.path import Path as Outline
from matplotlib.textpath import text_to_path
from matplotlib.ticker import MaxNLocator

from kuffin.core.base.numbers import number
from kuffin.look.candidatemarks import CandidateMark, outline
from kuffin.look.colours import TEXT, Colours, shipped_font
from kuffin.publish.figures.drawing import ALL, Drawing, Ground, Shown, Size

FALLBACK = "DejaVu Sans"  # for what the shipped font has no letter for
_LEADING = 1.35
_WITH_UNIT = re.compile(r"(\d) (?=[%°KWL])")  # a number and its unit stay on one line


@lru_cache(maxsize=1)
def load_fonts() -> None:
    """Make the shipped text font known."""
    for style in ("Regular", "Bold"):
        font_manager.fontManager.addfont(str(shipped_font(f"{TEXT}-{style}.otf")))


@lru_cache(maxsize=4000)
def _width(text: str, bold: bool) -> float:
    load_fonts()
    face = font_manager.FontProperties(family=[TEXT, FALLBACK], weight="bold" if bold else "normal", size=100.0)
    return float(text_to_path.get_text_width_height_descent(text, face, ismath=False)[0]) / 100.0


def wrapped(text: str, width: float, bold: bool = False) -> list[str]:
    """A text in lines no wider than `width`, in units of its own size; a word that is wider is cut with an ellipsis."""
    lines: list[str] = []
    for word in _WITH_UNIT.sub("\\1\u00a0", text).split(" "):
        if not word:
            continue
        longer = f"{lines[-1]} {word}" if lines else word
        if lines and _width(longer, bold) <= width:
            lines[-1] = longer
        else:
            lines.append(cut(word, width, bold))
    return lines


def cut(text: str, width: float, bold: bool = False) -> str:
    """A text that is no wider than `width`, in units of its own size."""
    if _width(text, bold) <= width:
        return text
    while len(text) > 1 and _width(text + "…", bold) > width:
        text = text[:-1]
    return text + "…"


@lru_cache(maxsize=16)
def _shape(shape: str) -> Any:
    corners = outline(shape)
    return Outline(np.array([(x, -y) for x, y in [*corners, corners[0]]]), closed=True) if corners else "o"


class Canvas:
    """A figure with room for a drawing's inside.

    Attributes
    ----------
    width, height : float
        Of the inside, inches.
    em : float
        The size of the text, inches.
    """

    def __init__(self, drawing: Drawing, size: Size, ground: Ground, shown: Shown = ALL) -> None:
        load_fonts()
        self.colours: Colours = ground.colours
        self.point, self.em = size.point, size.point / 72.0
        pad = 1.1 * self.em
        self.width = size.width_in - 2 * pad
        title = wrapped(drawing.title, self.width / (1.3 * self.em), bold=True)
        foot = [line for said in drawing.basis for line in wrapped(said, self.width / (0.85 * self.em))]
        sentence = wrapped(shown.sentence, self.width / self.em)
        full = [
            s.shown.sentence for s in drawing.stages
        ]  # room for the longest, so that nothing jumps as it is built up
        room = max([len(sentence), *(len(wrapped(s, self.width / self.em)) for s in full if shown is not ALL)])
        above = pad + _LEADING * 1.3 * self.em * len(title) + 0.7 * self.em
        below = pad + _LEADING * 0.85 * self.em * len(foot) + 0.6 * self.em + _LEADING * self.em * room
        high = size.height_in or above + drawing.lines * self.em * _LEADING + below
        self.height = max(high - above - below, 4 * self.em)
        self.figure = Figure(figsize=(size.width_in, high), dpi=size.dots)
        self.figure.patch.set_alpha(0.0 if ground.clear else 1.0)
        self.figure.patch.set_facecolor(self.colours.ground)
        self._size, self._left, self._top = (size.width_in, high), pad, above
        for i, line in enumerate(title):
            self.say(0, _LEADING * 1.3 * self.em * (i + 0.5) - above + pad, line, size=1.3, bold=True)
        for i, line in enumerate(sentence):
            self.say(0, self.height + self.em * (0.5 + _LEADING * (i + 0.5)), line)
        start = self.height + 0.6 * self.em + _LEADING * self.em * room
        for i, line in enumerate(foot):
            self.say(0, start + _LEADING * 0.85 * self.em * (i + 0.5), line, size=0.85, colour=self.colours.muted)

    def text_width(self, text: str, size: float = 1.0, bold: bool = False) -> float:
        """How wide a text is, inches."""
        return _width(text, bold) * size * self.em

    def widest(self, texts: Sequence[str], size: float = 1.0, bold: bool = False) -> float:
        """How wide the widest of several is, inches."""
        return max((self.text_width(t, size, bold) for t in texts), default=0.0)

    def at(self, x: float, y: float) -> tuple[float, float]:
        """A place in inches from the inside's upper left corner, as shares of the figure."""
        return (self._left + x) / self._size[0], 1 - (self._top + y) / self._size[1]

    def say(
        self,
        x: float,
        y: float,
        text: str,
        *,
        size: float = 1.0,
        bold: bool = False,
        colour: str = "",
        side: str = "left",
        most: float | None = None,
        level: str = "center_baseline",
    ) -> None:
        """Write one line, its middle at `y`; `most` is how wide it may be, inches."""
        if most is not None:
            text = cut(text, most / (size * self.em), bold)
        self.figure.text(
            *self.at(x, y),
            text,
            fontsize=self.point * size,
            fontweight="bold" if bold else "normal",
            color=colour or self.colours.ink,
            ha=side,
            va=level,
            parse_math=False,
            family=[TEXT, FALLBACK],
        )

    def fitted(self, text: str, width: float, size: float, least: float = 0.5) -> float:
        """The size at which a text is no wider than `width` inches, between `least` and `size`."""
        return max(min(size, size * width / max(self.text_width(text, size), 1e-9)), least)

    def say_lines(
        self, x: float, y: float, text: str, width: float, *, size: float = 1.0, colour: str = "", most: int = 3
    ) -> None:
        """Write a few lines about `y`; what has no room is cut."""
        lines = wrapped(text, width / (size * self.em))
        if len(lines) > most:
            lines = [*lines[: most - 1], cut(" ".join(lines[most - 1 :]), width / (size * self.em))]
        for i, line in enumerate(lines):
            middle = y + (i - (len(lines) - 1) / 2) * _LEADING * size * self.em
            self.say(x, middle, line, size=size, colour=colour)

    def axes(self, x: float, y: float, width: float, height: float, unit: str = "", *, upright: bool = False) -> Axes:
        """Bare axes in a box, with hairlines at round numbers along x (or y, where `upright`), their last with its unit."""
        left, bottom = self.at(x, y + height)
        made = self.figure.add_axes((left, bottom, width / self._size[0], height / self._size[1]), facecolor="none")
        for spine in made.spines.values():
            spine.set_visible(False)
        made.tick_params(length=0, labelsize=self.point * 0.85, labelcolor=self.colours.muted, pad=self.point * 0.35)
        (made.xaxis if upright else made.yaxis).set_visible(False)
        along = made.yaxis if upright else made.xaxis
        room = height / (2.2 * self.em) if upright else width / (4.5 * self.em)
        along.set_major_locator(MaxNLocator(nbins=int(min(max(room, 2), 7)), steps=[1, 2, 5, 10]))
        made.grid(axis="y" if upright else "x", color=self.colours.hairline, linewidth=0.06 * self.point)
        made.set_axisbelow(True)
        made.unit = unit  # type: ignore[attr-defined]
        return made

    @cached_property
    def sheet(self) -> Axes:
        """Axes over the whole inside whose data are inches from its upper left corner."""
        made = self.figure.add_axes(
            (*self.at(0, self.height), self.width / self._size[0], self.height / self._size[1]), facecolor="none"
        )
        made.axis("off")
        made.set_xlim(0, self.width)
        made.set_ylim(self.height, 0)
        return made

    def tick_words(self, made: Axes, low: float, high: float, *, upright: bool = False) -> None:
        """Set the ends of the axis and write its ticks, the last with the unit."""
        (made.set_ylim if upright else made.set_xlim)(low, high)
        along = made.yaxis if upright else made.xaxis
        ticks = [float(t) for t in along.get_majorticklocs() if low - 1e-9 <= t <= high + 1e-9]
        step = min((b - a for a, b in pairwise(ticks)), default=1.0)
        digits = max(0, int(-np.floor(np.log10(step) + 1e-9))) if step > 0 else 1
        unit = getattr(made, "unit", "")
        said = [number(t, digits) + (f" {unit}" if unit and t == ticks[-1] else "") for t in ticks]
        along.set_ticks(ticks, said)
        for label in along.get_ticklabels():
            label.set_fontfamily([TEXT, FALLBACK])
            label.set_parse_math(False)

    def mark(
        self,
        made: Axes,
        x: float,
        y: float,
        m: CandidateMark,
        radius: float,
        *,
        filled: bool = True,
        struck: bool = False,
    ) -> None:
        """A candidate's mark at a place in data: filled counts, open is one mount, struck is left out."""
        colour = m.on(self.colours.name)
        size = 2 * radius * self.point
        made.plot(
            [x], [y], marker=_shape(m.shape), markersize=size * (0.95 if m.shape == "circle" else 1.0), linestyle="none",
            markerfacecolor=colour if filled and not struck else "none", markeredgecolor=colour,
            markeredgewidth=0.1 * self.point, clip_on=False, zorder=4,
        )  # fmt: skip
        if struck:
            made.plot(
                [x], [y], marker=(2, 0, -45), markersize=1.4 * size, color=self.colours.ink, clip_on=False, zorder=5
            )

    def line(
        self, made: Axes, xs: Sequence[float], ys: Sequence[float], colour: str = "", width: float = 0.1, **how: Any
    ) -> None:
        """A line in data; its width in sizes of the text."""
        made.add_line(Line2D(list(xs), list(ys), color=colour or self.colours.ink, linewidth=width * self.point, **how))

    def goes_on(self, made: Axes, x: float, y: float, left: bool, colour: str, size: float) -> None:
        """An arrow at a place in data, where an interval goes on beyond the picture."""
        made.plot(
            [x], [y], marker="<" if left else ">", markersize=size * self.point, color=colour, clip_on=False, linestyle="none", zorder=4,
        )  # fmt: skip

    def block(
        self, x: float, y: float, width: float, height: float, fill: str, edge: str = "", dashed: bool = False
    ) -> None:
        """A filled box in inches."""
        left, bottom = self.at(x, y + height)
        self.figure.add_artist(
            Rectangle(
                (left, bottom), width / self._size[0], height / self._size[1], facecolor=fill, edgecolor=edge or "none",
                linewidth=0.08 * self.point, linestyle="--" if dashed else "-", transform=self.figure.transFigure, zorder=0,
            )
        )  # fmt: skip

    def frame(self, x: float, y: float, width: float, height: float) -> None:
        """A hairline round a box in inches."""
        for a, b in (((x, y), (x + width, y)), ((x, y + height), (x + width, y + height))):
            self.rule(*a, *b, self.colours.muted, 0.05)
        for a, b in (((x, y), (x, y + height)), ((x + width, y), (x + width, y + height))):
            self.rule(*a, *b, self.colours.muted, 0.05)

    def rule(
        self, x0: float, y0: float, x1: float, y1: float, colour: str = "", width: float = 0.1, dashed: bool = False
    ) -> None:
        """A straight line in inches."""
        (ax, ay), (bx, by) = self.at(x0, y0), self.at(x1, y1)
        self.figure.add_artist(
            Line2D(
                [ax, bx], [ay, by], color=colour or self.colours.ink, linewidth=width * self.point,
                linestyle="--" if dashed else "-", transform=self.figure.transFigure,
            )
        )  # fmt: skip
