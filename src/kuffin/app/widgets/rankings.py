"""The candidates' order under each school, side by side, with lines that show where they change places."""

from __future__ import annotations

from collections.abc import Sequence
from itertools import pairwise

from PySide6.QtCore import QPointF, QRect, QRectF, QSize, Qt, Signal
from PySide6.QtGui import QFont, QPainter, QPen

from kuffin.app.base.guarded import guarded
from kuffin.app.look.marks import draw, mark, tint
from kuffin.app.look.theme import Theme
from kuffin.app.widgets.keywalked import Walked
from kuffin.core.base.language import tr
from kuffin.verdict.schoolflips import SchoolRow

_TOP, _LEFT = 62.0, 110.0


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
        self.setFixedHeight(self.sizeHint().height())
        self.update()

    def _row(self) -> float:
        return 32.0 if len(self._place) <= 8 else 14.0

    def sizeHint(self) -> QSize:
        return QSize(760, int(_TOP + self._row() * max(len(self._place), 1) + 8))

    def _x(self, i: int) -> float:
        width = (self.width() - _LEFT - 20) / max(len(self._rows), 1)
        return _LEFT + width * (i + 0.5)

    def draw(self, painter: QPainter, _seen: QRect) -> None:
        painter.setRenderHint(QPainter.RenderHint.Antialiasing)
        t, row = self._theme, self._row()
        if not self._rows:
            return
        width = (self.width() - _LEFT - 20) / len(self._rows)
        painter.fillRect(QRectF(self._x(0) - width / 2 + 4, 0, width - 8, self.height()), t.color("raised"))
        small = QFont(self.font())
        small.setPointSizeF(self.font().pointSizeF() * 0.88)
        for i, r in enumerate(self._rows):
            painter.setFont(small)
            painter.setPen(t.color("warn") if r.first_differs or r.flips else t.color("ink"))
            box = QRectF(self._x(i) - width / 2 + 6, 2, width - 12, _TOP - 12)
            label = tr(r.school.label) + (tr("\n(in use)") if r.in_use else "")
            painter.drawText(box, Qt.AlignmentFlag.AlignHCenter | Qt.TextFlag.TextWordWrap, label)
        for name, at in self._place.items():
            m = mark(at)
            points = [
                QPointF(self._x(i), _TOP + row * (r.ranking.index(name) + 0.5))
                for i, r in enumerate(self._rows)
                if name in r.ranking
            ]
            painter.setPen(QPen(tint(m, t), 2.0))
            for a, b in pairwise(points):
                painter.drawLine(a, b)
            for point in points:
                draw(painter, m, t, point, 6.0 if row > 20 else 4.0)
            if points and name in self._rows[0].ranking and row > 20:
                painter.setFont(self.font())
                painter.setPen(tint(m, t))
                place = QRectF(4, points[0].y() - 10, _LEFT - 12, 20)
                painter.drawText(place, Qt.AlignmentFlag.AlignVCenter | Qt.AlignmentFlag.AlignRight, name)
        self.boxes = [
            QRectF(self._x(i) - width / 2 + 4, 1, width - 8, self.height() - 3) for i in range(len(self._rows))
        ]
        self.paint_focus(painter)

    def open_item(self, index: int) -> None:
        self.chosen.emit(self._rows[index].school.key)
