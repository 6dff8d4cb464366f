"""The contact prints of a study's mounts: how thickly each was covered, beside what it read."""

from __future__ import annotations

import base64
from collections.abc import Sequence
from dataclasses import dataclass
from functools import partial

import numpy as np

from kuffin.core.base.errors import KuffinError
from kuffin.notebook.photos import open_photo
from kuffin.publish.figures.canvas import Canvas
from kuffin.publish.figures.drawing import Drawing, Shown

_ACROSS = 4


@dataclass(frozen=True, kw_only=True)
class PrintMap:
    """One print.

    Attributes
    ----------
    label, where : str
        The mount, and on which side.
    said, reading : str
        How much was covered; what the mount read.
    png : str
        The map as a small picture, in base64.
    """

    label: str
    where: str
    said: str
    reading: str
    png: str


def prints_drawing(prints: Sequence[PrintMap]) -> Drawing | None:
    """The prints side by side; None where none was read."""
    if not prints:
        return None
    rows = -(-len(prints) // _ACROSS)
    return Drawing(
        key="prints",
        title="Contact prints: dark is full, light is thin, white is bare",
        basis=(
            "Read from photos whose corners a person marked; coverage with its 95 % interval",
            "A print is of one mount: it is taken when that is opened",
        ),
        alt="; ".join(f"{p.label}, {p.where}: {p.said}" for p in prints) + ".",
        lines=11.5 * rows,
        paint=partial(_paint, tuple(prints), rows),
    )


def _paint(prints: tuple[PrintMap, ...], rows: int, canvas: Canvas, shown: Shown) -> None:
    em, colours = canvas.em, canvas.colours
    wide, tall = canvas.width / min(len(prints), _ACROSS), canvas.height / rows
    side = min(wide - 1.0 * em, tall - 4.4 * em)
    for i, p in enumerate(prints):
        x, y = wide * (i % _ACROSS), tall * (i // _ACROSS)
        try:
            image = np.asarray(open_photo(base64.b64decode(p.png), p.label, 400))
        except (KuffinError, ValueError):
            image = np.full((8, 8, 3), 128, np.uint8)
        high, wide_px = image.shape[:2]
        shrink = side / max(high, wide_px)
        area = canvas.axes(x, y, shrink * wide_px, shrink * high)
        canvas.frame(x, y, shrink * wide_px, shrink * high)
        area.axis("off")
        area.imshow(image, interpolation="nearest", aspect="auto")
        canvas.say(x, y + side + 0.8 * em, p.label, bold=True, size=0.9, most=wide - 0.5 * em)
        canvas.say(x, y + side + 1.9 * em, f"{p.where}: {p.said}", size=0.75, most=wide - 0.5 * em)
        canvas.say(x, y + side + 2.9 * em, p.reading, size=0.75, colour=colours.muted, most=wide - 0.5 * em)
