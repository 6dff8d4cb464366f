"""Price against temperature: each candidate with its interval, and those that nothing cheaper beats joined by a line."""

from __future__ import annotations

from collections.abc import Sequence
from itertools import pairwise

from PySide6.QtCore import QPointF, QRect, QRectF, QSize, Qt, Signal
from PySide6.QtGui import QPainter, QPen

from kuffin.app.base.guarded import guarded
from kuffin.app.look.marks import draw, mark, tint
from kuffin.app.look.theme import Theme
from kuffin.app.widgets.axis import paint_axis, paint_upright_axis
from kuffin.app.widgets.keywalked import Walked
from kuffin.core.base.language import tr
from kuffin.core.compare.pairwords import number
from kuffin.verdict.value import Worth, unbeaten

_LEFT, _RIGHT, _TOP, _FOOT = 62.0, 30.0, 24.0, 40.0


@guarded
class WorthPlot(Walked):
    """Money to the right, kelvins up; `chosen` gives the candidate that is opened."""

    chosen = Signal(str)

    def __init__(self, theme: Theme) -> None:
        super().__init__(theme, tr("Price against temperature"))
        self._rows: Sequence[Worth] = ()
        self._place: dict[str, int] = {}
        self._currency, self._unit = "", "K"
        self.keep_height()

    def sizeHint(self) -> QSize:
        return self.sized(760, 270)

    def show_worth(self, rows: Sequence[Worth], candidates: Sequence[str], currency: str, unit: str) -> None:
        """Show candidates that have a price."""
        self._rows = [r for r in rows if r.price is not None]
        self._place = {name: i for i, name in enumerate(candidates)}
        self._currency, self._unit = currency, unit
        self.setVisible(len(self._rows) > 1)
        self.setAccessibleDescription(
            "; ".join(f"{r.name}: {number(r.price or 0, 0)} {currency}, {number(r.mean, 1)} {unit}" for r in self._rows)
        )
        self.update()

    def draw(self, painter: QPainter, _seen: QRect) -> None:
        painter.setRenderHint(QPainter.RenderHint.Antialiasing)
        t = self._theme
        if len(self._rows) > 1:
            area = QRectF(_LEFT, _TOP, self.across - _LEFT - _RIGHT, self.down - _TOP - _FOOT)
            prices = [r.price or 0.0 for r in self._rows]
            room = max(0.08 * (max(prices) - min(prices)), 1.0)
            at = paint_axis(painter, t, area, max(min(prices) - room, 0.0), max(prices) + room, self._currency, 7)
            low, high = min(r.low for r in self._rows), max(r.high for r in self._rows)
            spare = max(0.08 * (high - low), 0.1)
            low, high = low - spare, high + spare

            y_of = paint_upright_axis(painter, t, area, low, high)
            painter.drawText(
                QRectF(0, 0, self.across, painter.fontMetrics().height() + 4),
                Qt.AlignmentFlag.AlignLeft,
                tr("{unit}, lower is cooler", unit=self._unit),
            )
            best = unbeaten(self._rows)
            painter.setPen(QPen(t.color("muted"), 1.2, Qt.PenStyle.DashLine))
            for a, b in pairwise(best):
                painter.drawLine(QPointF(at(a.price or 0), y_of(a.mean)), QPointF(at(b.price or 0), y_of(b.mean)))
            painter.setFont(self.letters())
            self.boxes = []
            for r in self._rows:
                m = mark(self._place.get(r.name, 0))
                x = at(r.price or 0.0)
                painter.setPen(QPen(tint(m, t), 2.4))
                painter.drawLine(QPointF(x, y_of(r.low)), QPointF(x, y_of(r.high)))
                draw(painter, m, t, QPointF(x, y_of(r.mean)), 7.0)
                painter.setPen(tint(m, t))
                over = x > area.right() - 80
                box = QRectF(x - 90 if over else x + 10, y_of(r.mean) - 24, 80, 20)
                side = Qt.AlignmentFlag.AlignRight if over else Qt.AlignmentFlag.AlignLeft
                painter.drawText(box, side | Qt.AlignmentFlag.AlignVCenter, r.name)
                self.boxes.append(QRectF(x - 10, y_of(r.high) - 6, 20, y_of(r.low) - y_of(r.high) + 12))
            self.paint_focus(painter)

    def open_item(self, index: int) -> None:
        self.chosen.emit(self._rows[index].name)
