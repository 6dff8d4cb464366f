"""Intervals one below the other on one scale, each with what it is held against."""

from __future__ import annotations

from collections.abc import Sequence

from PySide6.QtCore import QPointF, QRect, QRectF, QSize, Qt, Signal
from PySide6.QtGui import QPainter, QPen

from kuffin.app.base.guarded import guarded
from kuffin.app.look.marks import draw, mark, tint
from kuffin.app.look.theme import USUAL_POINTS, Theme, figures_font
from kuffin.app.widgets.axis import paint_axis
from kuffin.app.widgets.keywalked import Walked
from kuffin.said.intervalline import IntervalLine

_ROW, _LEFT, _RIGHT, _FOOT = 46.0, 210.0, 250.0, 26.0


@guarded
class IntervalLines(Walked):
    """Rows of intervals; `chosen` gives a row's number when it is clicked or opened with Enter."""

    chosen = Signal(int)

    def __init__(self, theme: Theme, name: str, unit: str = "K", zero: str = "") -> None:
        super().__init__(theme, name)
        self._unit, self._zero = unit, zero
        self.rows: Sequence[IntervalLine] = ()
        self._differences = True

    def show_lines(
        self, rows: Sequence[IntervalLine], unit: str = "K", zero: str | None = None, differences: bool = True
    ) -> None:
        """Show rows; `zero` is written at the line of no difference, which values that are no differences do not have."""
        self.rows, self._unit, self._differences = rows, unit, differences
        self._zero = self._zero if zero is None else zero
        self._focus = min(self._focus, max(len(rows) - 1, 0))
        self.setAccessibleDescription("; ".join(f"{r.label}: {r.said}" for r in rows))
        self.keep_height()
        self.update()

    def sizeHint(self) -> QSize:
        return self.sized(760, int(_ROW * max(len(self.rows), 1) + _FOOT + 20))

    @property
    def _left(self) -> float:
        return self.side(_LEFT, 0.3)

    @property
    def _right(self) -> float:
        return self.side(_RIGHT, 0.36)

    def _span(self) -> tuple[float, float]:
        values = [x for r in self.rows for x in (r.low, r.high, r.target) if x is not None]
        values += [0.0] if self._differences else []
        low, high = min(values), max(values)
        room = max(0.06 * (high - low), 0.1)
        return low - room, high + room

    def draw(self, painter: QPainter, _seen: QRect) -> None:
        painter.setRenderHint(QPainter.RenderHint.Antialiasing)
        if not self.rows:
            return
        t = self._theme
        area = QRectF(self._left, 18, max(self.across - self._left - self._right, 60), _ROW * len(self.rows))
        low, high = self._span()
        at = paint_axis(painter, t, area, low, high, self._unit)
        painter.setPen(QPen(t.color("muted"), 1.4))
        if self._differences:
            painter.drawLine(QPointF(at(0.0), area.top()), QPointF(at(0.0), area.bottom()))
        if self._zero and self._differences:
            small = self.letters(0.85)
            painter.setFont(small)
            painter.drawText(QRectF(at(0.0) - 90, 0, 180, 16), Qt.AlignmentFlag.AlignHCenter, self._zero)
        self.boxes = []
        for i, row in enumerate(self.rows):
            self._paint_row(painter, row, area.top() + _ROW * (i + 0.5), at, area)
        self.paint_focus(painter)

    def _paint_row(self, painter: QPainter, row: IntervalLine, y: float, at: object, area: QRectF) -> None:
        t = self._theme
        m = mark(row.position) if row.position >= 0 else None
        colour = tint(m, t) if m is not None else t.color("ink")
        painter.setFont(self.letters())
        painter.setPen(colour if m is not None else t.color("ink"))
        fm = painter.fontMetrics()
        top = y - (18 if row.note else 9)
        label = fm.elidedText(row.label, Qt.TextElideMode.ElideRight, int(self._left - 16))
        painter.drawText(QRectF(4, top, self._left - 14, 19), Qt.AlignmentFlag.AlignVCenter, label)
        if row.note:
            small = self.letters(0.85)
            painter.setFont(small)
            painter.setPen(t.color("muted"))
            note = painter.fontMetrics().elidedText(row.note, Qt.TextElideMode.ElideRight, int(self._left - 16))
            painter.drawText(QRectF(4, y, self._left - 14, 17), Qt.AlignmentFlag.AlignVCenter, note)
        if row.target is not None:
            x = at(row.target)  # type: ignore[operator]
            if row.beyond == "right":
                ground = t.color("accent_ground")
                painter.fillRect(QRectF(x, y - 17, max(area.right() - x, 0), 34), ground)
            painter.setPen(QPen(t.color("accent"), 2.0))
            painter.drawLine(QPointF(x, y - 17), QPointF(x, y + 17))
            if row.target_label:
                small = self.letters(0.82)
                painter.setFont(small)
                left = x + 150 > area.right()
                wide = float(painter.fontMetrics().horizontalAdvance(row.target_label)) + 4
                place = QRectF(x - wide - 5 if left else x + 5, y - 21, wide, 15)
                side = Qt.AlignmentFlag.AlignRight if left else Qt.AlignmentFlag.AlignLeft
                painter.drawText(place, side, row.target_label)
        if row.low is not None and row.high is not None and row.middle is not None:
            painter.setPen(QPen(colour, 2.8))
            painter.drawLine(QPointF(at(row.low), y), QPointF(at(row.high), y))  # type: ignore[operator]
            for x in (row.low, row.high):
                painter.drawLine(QPointF(at(x), y - 5), QPointF(at(x), y + 5))  # type: ignore[operator]
            centre = QPointF(at(row.middle), y)  # type: ignore[operator]
            if m is not None:
                draw(painter, m, t, centre, 6.5)
            else:
                painter.setBrush(t.color("ink"))
                painter.drawEllipse(centre, 4.5, 4.5)
                painter.setBrush(Qt.BrushStyle.NoBrush)
        painter.setFont(figures_font(USUAL_POINTS))
        painter.setPen(t.color("warn" if row.loud else "ink"))
        box = QRectF(area.right() + 14, y - 22, self._right - 18, 44)
        painter.drawText(box, Qt.AlignmentFlag.AlignVCenter | Qt.TextFlag.TextWordWrap, row.said)
        self.boxes.append(QRectF(1, y - _ROW / 2 + 2, self.across - 3, _ROW - 4))

    def moves(self) -> dict[Qt.Key, int]:
        return {Qt.Key.Key_Up: -1, Qt.Key.Key_Down: 1}

    def open_item(self, index: int) -> None:
        self.chosen.emit(index)
