"""What the scatter is made of: one bar for each source, as a standard deviation."""

from __future__ import annotations

from collections.abc import Sequence

from PySide6.QtCore import QPointF, QRect, QRectF, QSize, Qt
from PySide6.QtGui import QFontMetricsF, QPainter, QPen

from kuffin.app.base.guarded import guarded
from kuffin.app.look.theme import USUAL_POINTS, Theme, figures_font
from kuffin.app.widgets.axis import paint_axis
from kuffin.app.widgets.keywalked import Walked
from kuffin.core.base.language import tr

_ROW, _LEFT, _RIGHT, _FOOT = 36.0, 258.0, 190.0, 26.0


@guarded
class ScatterBars(Walked):
    """Rows of (label, standard deviation, what is said beside it)."""

    def __init__(self, theme: Theme) -> None:
        super().__init__(theme, tr("What the scatter is made of"))
        self._rows: Sequence[tuple[str, float, str]] = ()
        self._unit = "K"

    def show_bars(self, rows: Sequence[tuple[str, float, str]], unit: str) -> None:
        """Show bars."""
        self._rows, self._unit = rows, unit
        self.setAccessibleDescription("; ".join(f"{label}: {said}" for label, _, said in rows))
        self.keep_height()
        self.update()

    @property
    def _left(self) -> float:
        return self.side(_LEFT, 0.34)

    @property
    def _right(self) -> float:
        return self.side(_RIGHT, 0.36)

    def _row(self) -> float:
        """How high a row is: names wrap where there is little room."""
        metrics, box = QFontMetricsF(self.letters()), QRectF(0, 0, self._left - 14, 400)
        how = Qt.AlignmentFlag.AlignVCenter | Qt.TextFlag.TextWordWrap
        return max([_ROW, *(metrics.boundingRect(box, how, label).height() + 6 for label, _, _ in self._rows)])

    def sizeHint(self) -> QSize:
        return self.sized(760, int(self._row() * max(len(self._rows), 1) + _FOOT + 6))

    def draw(self, painter: QPainter, _seen: QRect) -> None:
        painter.setRenderHint(QPainter.RenderHint.Antialiasing)
        if not self._rows:
            return
        t, row = self._theme, self._row()
        area = QRectF(self._left, 4, max(self.across - self._left - self._right, 60), row * len(self._rows))
        high = max(max(sd for _, sd, _ in self._rows), 0.05) * 1.08
        at = paint_axis(painter, t, area, 0.0, high, self._unit)
        painter.setPen(QPen(t.color("muted"), 1.4))
        painter.drawLine(QPointF(area.left(), area.top()), QPointF(area.left(), area.bottom()))
        self.boxes = [QRectF(1, area.top() + row * i, self.across - 3, row) for i in range(len(self._rows))]
        for i, (label, sd, said) in enumerate(self._rows):
            y = area.top() + row * (i + 0.5)
            painter.setFont(self.letters())
            painter.setPen(t.color("ink"))
            place = QRectF(4, y - row / 2, self._left - 14, row)
            painter.drawText(place, Qt.AlignmentFlag.AlignVCenter | Qt.TextFlag.TextWordWrap, label)
            bar = QRectF(area.left(), y - 8, max(at(sd) - area.left(), 1.5), 16)
            painter.fillRect(bar, t.color("muted"))
            painter.setFont(figures_font(USUAL_POINTS))
            painter.drawText(
                QRectF(area.right() + 14, y - 18, self._right - 18, 36),
                Qt.AlignmentFlag.AlignVCenter | Qt.TextFlag.TextWordWrap,
                said,
            )
        self.paint_focus(painter)
