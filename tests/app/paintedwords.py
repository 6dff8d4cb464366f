"""The words of a painted picture: where they stand, and which are cut, beyond its edge or over one another."""

from __future__ import annotations

from collections.abc import Iterator
from dataclasses import dataclass
from itertools import combinations
from typing import Any
from unittest.mock import patch

from PySide6.QtCore import QPointF, QRect, QRectF, Qt
from PySide6.QtGui import QPaintDevice, QPainter, QPixmap

from kuffin.app.widgets.painted import Painted, Scaled

_WRAPS = Qt.TextFlag.TextWordWrap.value


@dataclass(frozen=True)
class Words:
    """Words as they were painted.

    Attributes
    ----------
    box : QRectF
        Where they stand on what was painted on, px.
    on : QPaintDevice
        The picture itself, or a part that it keeps.
    fits : bool
        Whether the room that they were given holds them.
    """

    text: str
    box: QRectF
    on: QPaintDevice
    fits: bool


def painted_words(picture: Painted) -> list[Words]:
    """What a picture says, when it is painted as it is now."""
    found: list[Words] = []
    plain = QPainter.drawText

    def watched(painter: QPainter, *how: Any) -> Any:
        metrics, where = painter.fontMetrics(), how[0]
        text = next(x for x in how if isinstance(x, str))
        fits = True
        if isinstance(where, (QRect, QRectF)):
            room = QRectF(where)
            flags = next((getattr(x, "value", x) for x in how[1:] if not isinstance(x, str)), 0)
            box = QRectF(metrics.boundingRect(room.toAlignedRect(), flags, text))
            fits = box.width() <= room.width() + 2 and (not flags & _WRAPS or box.height() <= room.height() + 2)
        else:
            at = QPointF(where) if not isinstance(where, (int, float)) else QPointF(where, how[1])
            box = QRectF(at.x(), at.y() - metrics.ascent(), metrics.horizontalAdvance(text), metrics.height())
        if text.strip():
            found.append(Words(text, painter.worldTransform().mapRect(box), painter.device(), fits))
        return plain(painter, *how)

    sheet = QPixmap(picture.size())
    sheet.fill(Qt.GlobalColor.transparent)
    painter = QPainter(sheet)
    try:
        with patch.object(QPainter, "drawText", watched):
            painter.setFont(picture.font())
            picture.draw(painter, picture.begin(painter, picture.rect()))
    finally:
        painter.end()
    return found


def cut_in_picture(picture: Painted) -> Iterator[str]:
    """What is cut in a picture, beyond its edge, or over something else, in words."""
    zoom, name = picture.zoom if isinstance(picture, Scaled) else 1.0, type(picture).__name__
    words = painted_words(picture)
    for w in words:
        size = w.on.width() / w.on.devicePixelRatio(), w.on.height() / w.on.devicePixelRatio()
        if not w.fits:
            yield f"{name}: “{w.text}” is cut"
        elif not QRectF(-2, -3, size[0] + 4, size[1] + 6).contains(w.box):
            yield f"{name}: “{w.text}” goes over the edge"
    for a, b in combinations(words, 2):
        over = a.box.intersected(b.box)
        if a.on is b.on and over.width() > 3 * zoom and over.height() > 5 * zoom:
            yield f"{name}: “{a.text}” and “{b.text}” are over one another"
