"""Flights of stairs side by side on one scale: heat falls from the die to the coolant to the air."""

from __future__ import annotations

from collections.abc import Sequence

from PySide6.QtCore import QPointF, QRect, QRectF, QSize, Qt
from PySide6.QtGui import QColor, QPainter, QPen

from kuffin.app.base.guarded import guarded
from kuffin.app.look.theme import USUAL_POINTS, Theme, figures_font
from kuffin.app.widgets.painted import Scaled
from kuffin.core.base.language import tr
from kuffin.core.compare.pairwords import number
from kuffin.core.heat.heatpath import Flight, Tread
from kuffin.said.stairs import flight_words


@guarded
class Flights(Scaled):
    """Each flight's treads with their heights over air, intervals as whiskers, side flights as narrow blocks beside."""

    def __init__(self, theme: Theme) -> None:
        super().__init__()
        self._theme = theme
        self._flights: Sequence[Flight] = ()
        self.setAccessibleName(tr("Staircases"))

    def set_theme(self, theme: Theme) -> None:
        self._theme = theme
        self.update()

    def sizeHint(self) -> QSize:
        return self.sized(600, 340)

    def minimumSizeHint(self) -> QSize:
        return self.sized(200, 220)

    def show_flights(self, flights: Sequence[Flight]) -> None:
        """Show flights; none clears it."""
        self._flights = flights
        self.setAccessibleDescription("; ".join(flight_words(f) for f in flights))
        self.update()

    def draw(self, painter: QPainter, _seen: QRect) -> None:
        painter.setRenderHint(QPainter.RenderHint.Antialiasing)
        if not self._flights:
            painter.setPen(self._theme.color("muted"))
            place = self.whole.adjusted(20, 20, -20, -20)
            painter.drawText(
                place,
                Qt.AlignmentFlag.AlignCenter | Qt.TextFlag.TextWordWrap,
                tr("The staircase needs air, and coolant or die; for K/W also power."),
            )
            return
        heights = [t.height + t.u95 for f in self._flights for t in (*f.treads, *f.side)]
        top = max(heights) * 1.02
        width = self.across / len(self._flights)
        for i, flight in enumerate(self._flights):
            self._paint_flight(painter, flight, QRectF(i * width + 6, 34, width - 18, self.down - 66), top)

    def _paint_flight(self, painter: QPainter, flight: Flight, box: QRectF, top: float) -> None:
        t, size = self._theme, USUAL_POINTS
        digits = 1 if flight.unit == "K" else 4

        def y_of(height: float) -> float:
            return box.bottom() - max(height, 0.0) / max(top, 1e-9) * box.height()

        columns = len(flight.treads) + 0.62 * len(flight.side)
        width = box.width() / columns
        worst = flight.bottleneck
        small = self.letters(0.88)
        roomy = width > 74
        for i, tread in enumerate(flight.treads):
            x, y = box.left() + i * width, y_of(tread.height)
            painter.fillRect(QRectF(x, y, width - 1, box.bottom() - y), QColor(t.levels[min(i, 3)]))
            painter.setPen(QPen(t.color("ink"), 2.0))
            painter.drawLine(QPointF(x, y), QPointF(x + width - 1, y))
            self._whisker(painter, tread, x + width * 0.82, y_of)
            painter.setPen(t.color("ink"))
            painter.setFont(figures_font(size * (1.25 if roomy else 0.95), bold=True))
            above = y - 24 if tread.u95 <= 0 else min(y, y_of(tread.height + tread.u95)) - 24
            painter.drawText(
                QRectF(x + 4, above, width + 30, 22),
                Qt.AlignmentFlag.AlignLeft | Qt.AlignmentFlag.AlignBottom,
                number(tread.height, digits),
            )
            painter.setFont(small)
            painter.setPen(t.color("muted"))
            self._name(painter, QRectF(x, box.bottom() + 3, width, 16), tr(tread.name))
            if i == 0:
                continue
            step = flight.steps[i - 1]
            is_worst = worst is not None and step.name == worst.name and len(flight.steps) > 1
            lines = [f"+{number(step.height, digits)}", f"± {number(step.u95, digits)}"]
            if is_worst and roomy:
                lines.append(tr("largest"))
            painter.setFont(figures_font(size * 0.9, bold=is_worst))
            painter.setPen(t.color("ink"))
            for j, line in enumerate(lines):
                if y + 6 + 17 * (j + 1) < box.bottom():
                    painter.drawText(QRectF(x + 4, y + 5 + 17 * j, width - 4, 17), Qt.AlignmentFlag.AlignLeft, line)
        at = box.left() + len(flight.treads) * width
        for tread in flight.side:
            y = y_of(tread.height)
            block = QRectF(at + 3, y, 0.62 * width - 5, box.bottom() - y)
            painter.setBrush(QColor(t.levels[0]))
            painter.setPen(QPen(t.color("muted"), 1.0, Qt.PenStyle.DashLine))
            painter.drawRect(block)
            self._whisker(painter, tread, at + 0.5 * width, y_of)
            painter.setFont(small)
            painter.setPen(t.color("ink"))
            painter.drawText(
                QRectF(at - 4, y_of(tread.height + tread.u95) - 19, 0.62 * width + 8, 18),
                Qt.AlignmentFlag.AlignHCenter,
                number(tread.height, digits),
            )
            painter.setPen(t.color("muted"))
            self._name(painter, QRectF(at - 3, box.bottom() + 3, 0.62 * width + 4, 16), tr(tread.name))
            at += 0.62 * width
        painter.setPen(t.color("ink"))
        bold = self.letters(bold=True)
        painter.setFont(bold)
        painter.drawText(QRectF(box.left(), 4, box.width(), 20), Qt.AlignmentFlag.AlignLeft, flight.label)

    @staticmethod
    def _name(painter: QPainter, room: QRectF, name: str) -> None:
        said = painter.fontMetrics().elidedText(name, Qt.TextElideMode.ElideRight, int(room.width()))
        painter.drawText(room, Qt.AlignmentFlag.AlignHCenter, said)

    def _whisker(self, painter: QPainter, tread: Tread, x: float, y_of: object) -> None:
        if tread.u95 <= 0:
            return
        painter.setPen(QPen(self._theme.color("ink"), 1.3))
        low, high = y_of(tread.height - tread.u95), y_of(tread.height + tread.u95)  # type: ignore[operator]
        painter.drawLine(QPointF(x, low), QPointF(x, high))
        for y in (low, high):
            painter.drawLine(QPointF(x - 3, y), QPointF(x + 3, y))
