"""A finding's picture: the trace at that spot, or the figure beside the other mounts'."""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray
from PySide6.QtCore import QPointF, QRect, QRectF, QSize, Qt
from PySide6.QtGui import QColor, QPainter, QPen, QPolygonF

from kuffin.app.base.guarded import guarded
from kuffin.app.look.theme import Theme
from kuffin.app.widgets.painted import Scaled
from kuffin.core.base.language import counted, tr
from kuffin.core.compare.pairwords import number
from kuffin.core.findings import Finding

Array = NDArray[np.float64]
_MOST = 1500


@dataclass(frozen=True)
class Piece:
    """A channel around the spot: its name, unit, times in s and values."""

    name: str
    unit: str
    times: Array
    values: Array


@guarded
class FindingPicture(Scaled):
    """Draws a finding. Siblings stand on one line with this mount; a trace stands in its own strip, the spot shaded."""

    def __init__(self, theme: Theme) -> None:
        super().__init__()
        self._theme = theme
        self._finding: Finding | None = None
        self._label = ""
        self.pieces: list[Piece] = []
        self.setAccessibleName(tr("Picture of what was found"))

    def set_theme(self, theme: Theme) -> None:
        self._theme = theme
        self.update()

    def sizeHint(self) -> QSize:
        strips = max(len(self.pieces), 1)
        return self.sized(520, 130 if self._finding is not None and self._finding.others else 40 + 92 * strips)

    def show_finding(self, finding: Finding | None, label: str, pieces: list[Piece]) -> None:
        """Show a finding of a mount; `pieces` are the channels around its spot."""
        self._finding, self._label, self.pieces = finding, label, pieces
        self.setVisible(finding is not None and bool(finding.others or pieces))
        self.keep_height()
        self.setAccessibleDescription("" if finding is None else finding.sentence)
        self.updateGeometry()
        self.update()

    def draw(self, painter: QPainter, _seen: QRect) -> None:
        finding = self._finding
        if finding is None:
            return
        painter.setRenderHint(QPainter.RenderHint.Antialiasing)
        small = self.letters(0.88)
        painter.setFont(small)
        if finding.others and finding.value is not None:
            self._paint_siblings(painter, finding)
        else:
            height = (self.down - 22) / max(len(self.pieces), 1)
            for i, piece in enumerate(self.pieces):
                last = i == len(self.pieces) - 1
                self._paint_piece(painter, piece, QRectF(0, i * height, self.across, height - 8), finding, last)

    # --- beside the siblings ---------------------------------------------------------------------------------------
    def _paint_siblings(self, painter: QPainter, finding: Finding) -> None:
        t = self._theme
        value = finding.value or 0.0
        values = [v for _, v in finding.others]
        low, high = min([value, *values]), max([value, *values])
        room = 0.14 * max(high - low, 1e-9)
        low, high = low - room, high + room
        left, right, y = 14.0, self.across - 14.0, 62.0

        def x_of(v: float) -> float:
            return left + (v - low) / (high - low) * (right - left)

        digits = 0 if high - low > 20 else 1 if high - low > 1 else 2
        painter.setPen(QPen(t.color("hairline"), 1.2))
        painter.drawLine(QPointF(left, y), QPointF(right, y))
        mean = float(np.mean(values))
        if finding.limit:
            band = QRectF(
                x_of(mean - finding.limit), y - 14, x_of(mean + finding.limit) - x_of(mean - finding.limit), 28
            )
            painter.fillRect(band.intersected(QRectF(0, 0, self.across, self.down)), QColor(t.levels[0]))
            painter.drawLine(QPointF(left, y), QPointF(right, y))
        painter.setBrush(t.color("muted"))
        for _, v in finding.others:
            painter.setPen(Qt.PenStyle.NoPen)
            painter.drawEllipse(QPointF(x_of(v), y), 4.5, 4.5)
        painter.setPen(t.color("muted"))
        spread = counted(
            len(values),
            "{n} other mount: {low} to {high} {unit}",
            "{n} other mounts: {low} to {high} {unit}",
            low=number(min(values), digits),
            high=number(max(values), digits),
            unit=finding.unit,
        )
        anchor = min(max(x_of(mean) - 110, 0), self.across - 220)
        painter.drawText(QRectF(anchor, y + 16, 220, 20), Qt.AlignmentFlag.AlignCenter, spread)
        if finding.limit:
            painter.drawText(
                QRectF(0, y + 36, self.across, 31),
                Qt.AlignmentFlag.AlignCenter | Qt.TextFlag.TextWordWrap,
                tr("shaded: where chance would leave a sound mount"),
            )
        x = x_of(value)
        painter.setPen(QPen(t.color("warn"), 2.2))
        painter.setBrush(t.color("ground"))
        painter.drawPolygon(QPolygonF([QPointF(x, y - 9), QPointF(x + 8, y), QPointF(x, y + 9), QPointF(x - 8, y)]))
        painter.setPen(t.color("ink"))
        said = f"{self._label}: {number(value, digits)} {finding.unit}"
        anchor = min(max(x - 130, 0), self.across - 260)
        painter.drawText(QRectF(anchor, y - 38, 260, 20), Qt.AlignmentFlag.AlignCenter, said)

    # --- the trace at that spot ------------------------------------------------------------------------------------

    def _paint_piece(self, painter: QPainter, piece: Piece, box: QRectF, finding: Finding, last: bool) -> None:
        t = self._theme
        ok = np.isfinite(piece.values)
        if ok.sum() < 2:
            return
        times, values = piece.times[ok], piece.values[ok]
        low, high = (float(x) for x in np.percentile(values, [0.3, 99.7]))
        room = max(0.15 * (high - low), 1e-3 * max(abs(high), 1.0))
        low, high = low - room, high + room
        plot = QRectF(box.left() + 58, box.top() + 2, box.width() - 66, box.height() - 2)
        begin, end = float(piece.times[0]), float(piece.times[-1])

        def at(time: float, value: float) -> QPointF:
            x = plot.left() + (time - begin) / max(end - begin, 1e-9) * plot.width()
            y = plot.bottom() - (min(max(value, low), high) - low) / (high - low) * plot.height()
            return QPointF(x, y)

        if finding.span_s is not None:
            a, b = (min(max(s, begin), end) for s in finding.span_s)
            painter.fillRect(
                QRectF(at(a, high).x(), plot.top(), max(at(b, high).x() - at(a, high).x(), 2.0), plot.height()),
                t.color("accent_ground"),
            )
        painter.setPen(QPen(t.color("hairline"), 1.0))
        painter.drawLine(plot.bottomLeft(), plot.bottomRight())
        painter.drawLine(plot.topLeft(), plot.bottomLeft())
        step = max(1, times.size // _MOST)
        line = QPolygonF([at(float(x), float(v)) for x, v in zip(times[::step], values[::step], strict=True)])
        painter.setPen(QPen(t.color("ink"), 1.1))
        painter.drawPolyline(line)
        painter.setPen(t.color("muted"))
        digits = 0 if high - low > 20 else 1 if high - low > 1 else 2
        for value, y in ((high - room, plot.top()), (low + room, plot.bottom() - 16)):
            painter.drawText(QRectF(box.left(), y, 52, 16), Qt.AlignmentFlag.AlignRight, number(value, digits))
        painter.setPen(t.color("ink"))
        name = f"{piece.name}, {piece.unit}" if piece.unit else piece.name
        painter.drawText(QRectF(plot.left() + 6, plot.top() - 1, plot.width(), 16), Qt.AlignmentFlag.AlignLeft, name)
        if last:
            painter.setPen(t.color("muted"))
            for time, side in ((begin, Qt.AlignmentFlag.AlignLeft), (end, Qt.AlignmentFlag.AlignRight)):
                painter.drawText(
                    QRectF(plot.left(), plot.bottom() + 3, plot.width(), 16), side, f"{number(time / 60, 0)} min"
                )
