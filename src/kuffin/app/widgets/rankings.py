"""The candidates' order under each school, side by side, with lines that show where they change places."""

from __future__ import annotations

from collections.abc import Sequence
from itertools import pairwise

from PySide6.QtCore import QPointF, QRect, QRectF, QSize, Qt, Signal
from PySide6.QtGui import QFontMetricsF, QPainter, QPen

from kuffin.app.base.guarded import guarded
from kuffin.app.look.marks import draw, mark, tint
from kuffin.app.look.theme import Theme
from kuffin.app.widgets.keywalked import Walked
from kuffin.core.base.language import tr
from kuffin.verdict.schoolflips import SchoolRow

_LEAST_TOP, _LEFT = 62.0, 110.0
_SMALL = 0.88  # of the usual size: the schools’ names


@guarded
class Rankings(Walked):
    """A column for each school, the coolest candidate on top; `chosen` gives a school's key."""

    chosen = Signal(str)

    def __init__(self, theme: Theme) -> None:
        super().__init__(theme, tr("Ranking under each school"))
        self._rows: Sequence[SchoolRow] = ()
        self._place: dict[str, int] = {}

    def show_rows(self, rows: Sequence[SchoolRow], candidates: Sequence[str]) -> None:
        """Show schools; the first is the one in use."""
        self._rows = [r for r in rows if r.ranking]
        self._place = {name: i for i, name in enumerate(candidates)}
        said = "; ".join(f"{tr(r.school.label)}: {', '.join(r.ranking)}" for r in self._rows)
        self.setAccessibleDescription(said)
        self.keep_height()
        self.update()

    def _row(self) -> float:
        return 32.0 if len(self._place) <= 8 else 14.0

    def sizeHint(self) -> QSize:
        return self.sized(760, int(self._top() + self._row() * max(len(self._place), 1) + 8))

    def _width(self) -> float:
        """Of a school's column."""
        return (self.across - self._left() - 20) / max(len(self._rows), 1)

    def _left(self) -> float:
        return self.side(_LEFT, 0.18)

    def _x(self, i: int) -> float:
        return self._left() + self._width() * (i + 0.5)

    @staticmethod
    def _said(r: SchoolRow) -> str:
        return tr(r.school.label) + (tr("\n(in use)") if r.in_use else "")

    def _upright(self) -> bool:
        """Whether columns are so narrow that the schools' names stand upright: a word of them is wider."""
        metrics = QFontMetricsF(self.letters(_SMALL))
        words = [word for r in self._rows for word in self._said(r).split()]
        return max((metrics.horizontalAdvance(word) for word in words), default=0.0) > self._width() - 12

    def _top(self) -> float:
        """How high the schools' names are: they wrap in narrow columns, and stand upright in very narrow ones."""
        metrics, box = QFontMetricsF(self.letters(_SMALL)), QRectF(0, 0, self._width() - 12, 400)
        if self._upright():
            lines = [line for r in self._rows for line in self._said(r).split("\n")]
            return max(metrics.horizontalAdvance(line) for line in lines) + 14
        how = Qt.AlignmentFlag.AlignHCenter | Qt.TextFlag.TextWordWrap
        return max([_LEAST_TOP, *(metrics.boundingRect(box, how, self._said(r)).height() + 14 for r in self._rows)])

    def _paint_name(self, painter: QPainter, r: SchoolRow, box: QRectF) -> None:
        if not self._upright():
            painter.drawText(box, Qt.AlignmentFlag.AlignHCenter | Qt.TextFlag.TextWordWrap, self._said(r))
            return
        painter.save()
        painter.translate(box.center().x(), box.bottom())
        painter.rotate(-90)
        lying = QRectF(0, -box.width() / 2, box.height(), box.width())
        painter.drawText(lying, Qt.AlignmentFlag.AlignLeft | Qt.AlignmentFlag.AlignVCenter, self._said(r))
        painter.restore()

    def draw(self, painter: QPainter, _seen: QRect) -> None:
        painter.setRenderHint(QPainter.RenderHint.Antialiasing)
        t, row = self._theme, self._row()
        if not self._rows:
            return
        width, top = self._width(), self._top()
        painter.fillRect(QRectF(self._x(0) - width / 2 + 4, 0, width - 8, self.down), t.color("raised"))
        for i, r in enumerate(self._rows):
            painter.setFont(self.letters(_SMALL))
            painter.setPen(t.color("warn") if r.first_differs or r.flips else t.color("ink"))
            box = QRectF(self._x(i) - width / 2 + 6, 2, width - 12, top - 12)
            self._paint_name(painter, r, box)
        for name, at in self._place.items():
            m = mark(at)
            points = [
                QPointF(self._x(i), top + row * (r.ranking.index(name) + 0.5))
                for i, r in enumerate(self._rows)
                if name in r.ranking
            ]
            painter.setPen(QPen(tint(m, t), 2.0))
            for a, b in pairwise(points):
                painter.drawLine(a, b)
            for point in points:
                draw(painter, m, t, point, 6.0 if row > 20 else 4.0)
            if points and name in self._rows[0].ranking and row > 20:
                painter.setFont(self.letters())
                painter.setPen(tint(m, t))
                place = QRectF(4, points[0].y() - 10, self._left() - 12, 20)
                painter.drawText(place, Qt.AlignmentFlag.AlignVCenter | Qt.AlignmentFlag.AlignRight, name)
        self.boxes = [QRectF(self._x(i) - width / 2 + 4, 1, width - 8, self.down - 3) for i in range(len(self._rows))]
        self.paint_focus(painter)

    def open_item(self, index: int) -> None:
        self.chosen.emit(self._rows[index].school.key)
