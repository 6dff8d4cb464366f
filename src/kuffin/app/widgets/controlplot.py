"""The control chart: the baseline's readings in bench order, day by day, with centre, limits and what moved."""

from __future__ import annotations

import numpy as np
from PySide6.QtCore import QPointF, QRect, QRectF, QSize, Qt, Signal
from PySide6.QtGui import QPainter, QPen

from kuffin.app.base.guarded import guarded
from kuffin.app.look.marks import draw, mark
from kuffin.app.look.theme import Theme
from kuffin.app.widgets.axis import paint_upright_axis
from kuffin.app.widgets.keywalked import Walked
from kuffin.core.base.language import tr
from kuffin.core.compare.pairwords import number
from kuffin.verdict.baseline import BaselineChart

_LEFT, _RIGHT, _TOP, _FOOT = 62.0, 150.0, 14.0, 40.0


@guarded
class ControlPlot(Walked):
    """A point for each mount of the baseline; `chosen` gives a mount's id when its point is clicked."""

    chosen = Signal(int)

    def __init__(self, theme: Theme) -> None:
        super().__init__(theme, tr("Control chart of the baseline"))
        self._found: BaselineChart | None = None
        self._unit, self._position = "K", 0
        self.points: list[QPointF] = []
        self.keep_height()

    def sizeHint(self) -> QSize:
        return self.sized(760, 280)

    def show_chart(self, found: BaselineChart | None, unit: str, position: int) -> None:
        """Show a chart; None clears it. `position` is the baseline's place among the candidates."""
        self._found, self._unit, self._position = found, unit, position
        said = ""
        if found is not None:
            said = "; ".join(
                f"day {found.day_numbers[d]}: {number(float(v), 2)} {unit}"
                for d, v in zip(found.days, found.chart.values, strict=True)
            )
        self.setAccessibleDescription(said)
        self.update()

    def draw(self, painter: QPainter, _seen: QRect) -> None:
        painter.setRenderHint(QPainter.RenderHint.Antialiasing)
        if self._found is not None and self._found.chart.values.size:
            self._paint(painter, self._found)

    def _paint(self, painter: QPainter, found: BaselineChart) -> None:
        t, chart = self._theme, found.chart
        area = QRectF(_LEFT, _TOP, self.across - _LEFT - _RIGHT, self.down - _TOP - _FOOT)
        ends = [float(chart.values.min()), float(chart.values.max())]
        ends += [x for x in (chart.low, chart.high) if np.isfinite(x)]
        low, high = min(ends), max(ends)
        room = max(0.08 * (high - low), 0.1)
        low, high = low - room, high + room

        n = chart.values.size
        step = area.width() / n
        y_of = paint_upright_axis(painter, t, area, low, high)
        self._paint_days(painter, found, area, step)
        side = Qt.AlignmentFlag.AlignLeft | Qt.AlignmentFlag.AlignVCenter
        painter.setFont(self.letters())
        for value, said in (
            (chart.low, tr("lower limit")),
            (chart.centre, tr("centre")),
            (chart.high, tr("upper limit")),
        ):
            if np.isfinite(value):
                pen = QPen(t.color("muted"), 1.3, Qt.PenStyle.SolidLine if said == "centre" else Qt.PenStyle.DashLine)
                painter.setPen(pen)
                painter.drawLine(QPointF(area.left(), y_of(value)), QPointF(area.right(), y_of(value)))
                text = f"{said} {number(value, 1)}"
                painter.drawText(QRectF(area.right() + 8, y_of(value) - 10, _RIGHT - 8, 20), side, text)
        m = mark(self._position)
        self.points = [QPointF(area.left() + step * (i + 0.5), y_of(float(v))) for i, v in enumerate(chart.values)]
        if chart.moved is not None:
            painter.setPen(QPen(t.color("accent"), 2.6))
            for i in range(n - 1):
                a, b = float(chart.levels[i]), float(chart.levels[i + 1])
                x0, x1 = self.points[i].x(), self.points[i + 1].x()
                if chart.moved.way == "step" and i + 1 == chart.moved.at:
                    middle = (x0 + x1) / 2
                    painter.drawLine(QPointF(x0, y_of(a)), QPointF(middle, y_of(a)))
                    painter.drawLine(QPointF(middle, y_of(a)), QPointF(middle, y_of(b)))
                    painter.drawLine(QPointF(middle, y_of(b)), QPointF(x1, y_of(b)))
                else:
                    painter.drawLine(QPointF(x0, y_of(a)), QPointF(x1, y_of(b)))
        for i, point in enumerate(self.points):
            draw(painter, m, t, point, 6.5)
            if i in chart.outside:
                painter.setPen(QPen(t.color("warn"), 1.8))
                painter.setBrush(Qt.BrushStyle.NoBrush)
                painter.drawEllipse(point, 12, 12)
        self.boxes = [QRectF(point.x() - 14, point.y() - 14, 28, 28) for point in self.points]
        self.paint_focus(painter)

    def _paint_days(self, painter: QPainter, found: BaselineChart, area: QRectF, step: float) -> None:
        t = self._theme
        i = 0
        painter.setFont(self.letters())
        while i < len(found.days):
            j = i
            while j < len(found.days) and found.days[j] == found.days[i]:
                j += 1
            number_ = found.day_numbers[found.days[i]]
            box = QRectF(area.left() + step * i, area.top(), step * (j - i), area.height())
            if number_ % 2 == 0:
                painter.fillRect(box, t.color("raised"))
            painter.setPen(t.color("muted"))
            place = QRectF(box.left(), area.bottom() + 4, box.width(), 18)
            painter.drawText(place, Qt.AlignmentFlag.AlignHCenter, tr("day {number}", number=number_))
            below = QRectF(box.left(), area.bottom() + 20, box.width(), 18)
            day = found.days[i]
            painter.drawText(below, Qt.AlignmentFlag.AlignHCenter, day if box.width() > 70 else day[-5:])
            i = j

    def open_item(self, index: int) -> None:
        if self._found is not None:
            self.chosen.emit(self._found.readings[index].mount_id)
