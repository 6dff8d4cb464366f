"""A grid of small interval plots: parts down, conditions across, one order of the candidates for all."""

from __future__ import annotations

import time
from collections.abc import Mapping, Sequence

import numpy as np
from PySide6.QtCore import QPointF, QRect, QRectF, QSize, Qt, QTimer, Signal
from PySide6.QtGui import QPainter, QPen, QPixmap

from kuffin.app.base.guarded import guarded
from kuffin.app.look.marks import draw, mark, tint
from kuffin.app.look.theme import Theme
from kuffin.app.widgets.axis import paint_axis, round_step
from kuffin.app.widgets.keywalked import Walked
from kuffin.core.base.language import tr
from kuffin.core.bench.outcomes import Outcome
from kuffin.core.compare import Comparison
from kuffin.core.compare.pairwords import best_of, number
from kuffin.verdict.grid import Axes, Cell, behind_best, reach, row_label, small_by
from kuffin.verdict.outcomes import OutcomeResult

_PATIENCE_S = 0.02
_LEFT, _TOP, _GAP, _HEAD, _FOOT = 120.0, 26.0, 16.0, 22.0, 22.0


@guarded
class IntervalGrid(Walked):
    """Each cell: how far every candidate's mean is behind the best one's, with its interval and its ties.

    `cell_chosen` gives a cell that is clicked or opened with Enter.
    """

    cell_chosen = Signal(object)

    def __init__(self, theme: Theme) -> None:
        super().__init__(theme, tr("Candidates under every condition and on every part"))
        self._axes = Axes((), ())
        self._order: Sequence[str] = ()
        self._place: dict[str, int] = {}
        self._results: dict[Cell, OutcomeResult] = {}
        self._pictures: dict[Cell, tuple[tuple[object, ...], QPixmap]] = {}
        self._rough: Mapping[Cell, Mapping[str, float]] = {}

    def show_frame(self, axes: Axes, order: Sequence[str], candidates: Sequence[str]) -> None:
        """Show the frame at once; means come with `show_means`, intervals with `show_cell`."""
        self._axes, self._order, self._rough = axes, order, {}
        self._place = {name: i for i, name in enumerate(candidates)}
        self._results = {}
        self._pictures = {}
        self._focus = 0
        self.keep_height()
        self.update()

    def show_means(self, rough: Mapping[Cell, Mapping[str, float]]) -> None:
        """Show plain means as open marks, until the comparisons are there."""
        self._rough, self._pictures = rough, {}
        self.update()

    def show_cell(self, cell: Cell, result: OutcomeResult) -> None:
        """A cell's comparison has come in."""
        self._results[cell] = result
        self.setAccessibleDescription(
            tr("{results} of {cells} comparisons are there", results=len(self._results), cells=len(self._axes.cells))
        )
        row = self.box(cell)
        self.update_part(QRectF(0, row.top() - 4, self.across, row.height() + 8))

    def _row(self) -> float:
        """The height of one candidate in a cell."""
        return 22.0 if len(self._order) <= 8 else 15.0 if len(self._order) <= 14 else 8.0

    def _cell_height(self) -> float:
        return _HEAD + self._row() * max(len(self._order), 1) + _FOOT

    def sizeHint(self) -> QSize:
        rows = max(len(self._axes.outcomes), 1)
        return self.sized(760, int(_TOP + rows * (self._cell_height() + _GAP)))

    def box(self, cell: Cell) -> QRectF:
        """Where a cell stands."""
        columns = [c for c, _ in self._axes.conditions]
        keys = [o.key for o in self._axes.outcomes]
        width = (self.across - _LEFT - 4) / max(len(columns), 1)
        x = _LEFT + columns.index(cell.condition) * width
        y = _TOP + keys.index(cell.outcome) * (self._cell_height() + _GAP)
        return QRectF(x, y, width - 12, self._cell_height())

    def _found(self, outcome: Outcome) -> list[Comparison]:
        """The comparisons of an outcome that are there."""
        return [r.comparison for c, r in self._results.items() if c.outcome == outcome.key and r.comparison is not None]

    def _span(self, outcome: Outcome) -> tuple[float, float]:
        """How far the scale reaches in all cells of an outcome, and how far it goes below the best."""
        least, most = reach(outcome, self._found(outcome))
        for where, means in self._rough.items():
            if means and where.outcome == outcome.key:
                most = max(most, max(means.values()) - min(means.values()))
        step = round_step(1.06 * most, 4)  # a round reach: it seldom changes as results come in
        below = round_step(1.1 * least, 4)
        return float(np.ceil(1.06 * most / step) * step), float(np.ceil(1.1 * least / below) * below)

    def draw(self, painter: QPainter, area: QRect) -> None:
        painter.setRenderHint(QPainter.RenderHint.Antialiasing)
        t = self._theme
        seen = QRectF(area)
        if not self._axes.cells:
            return
        begun = time.perf_counter()
        spans = {o.key: self._span(o) for o in self._axes.outcomes}
        bold = self.letters(bold=True)
        for condition, label in self._axes.conditions:
            box = self.box(Cell(condition, self._axes.outcomes[0].key))
            painter.setFont(bold)
            painter.setPen(t.color("ink"))
            painter.drawText(QRectF(box.left(), 0, box.width(), 22), Qt.AlignmentFlag.AlignLeft, label)
        for outcome in self._axes.outcomes:
            box = self.box(Cell(self._axes.conditions[0][0], outcome.key))
            if box.top() > seen.bottom() or box.bottom() < seen.top():
                continue
            self._paint_names(painter, box)
        late = False
        for i, cell in enumerate(self._axes.cells):
            box = self.box(cell)
            if not box.intersects(seen):
                continue
            picture = self._picture(cell, box, *spans[cell.outcome], time.perf_counter() - begun < _PATIENCE_S)
            late |= picture is None
            if picture is None and cell in self._pictures:
                picture = self._pictures[cell][1]  # at another scale, with its own axis
            if picture is not None:
                painter.drawPixmap(box.topLeft(), picture)
            if i == self._focus:
                self.paint_focus(painter, box.adjusted(-3, -2, 2, 2))
        if late:
            QTimer.singleShot(0, self, self.update)  # the window must not stand still; the rest comes next

    def _picture(self, cell: Cell, box: QRectF, reach: float, below: float, in_time: bool) -> QPixmap | None:
        """A cell's picture, painted once for each result, size and scale; None where it is to be painted and it is too late."""
        ratio = self.devicePixelRatioF() * self.zoom
        key = (box.width(), box.height(), reach, below, ratio, id(self._theme), cell in self._results)
        kept = self._pictures.get(cell)
        if kept is not None and kept[0] == key:
            return kept[1]
        if not in_time:
            return None
        picture = QPixmap(int(box.width() * ratio), int(box.height() * ratio))
        picture.setDevicePixelRatio(ratio)
        picture.fill(Qt.GlobalColor.transparent)
        painter = QPainter(picture)
        try:
            painter.setRenderHint(QPainter.RenderHint.Antialiasing)
            painter.setFont(self.letters())
            self._paint_cell(painter, cell, QRectF(0, 0, box.width(), box.height()), reach, below)
        finally:
            painter.end()
        self._pictures[cell] = (key, picture)
        return picture

    def _paint_names(self, painter: QPainter, box: QRectF) -> None:
        row = self._row()
        if row < 12:
            return  # too many to name each; the tool of choice is the cell's own working
        painter.setFont(self.letters())
        for i, name in enumerate(self._order):
            m = mark(self._place.get(name, 0))
            y = box.top() + _HEAD + row * (i + 0.5)
            painter.setPen(tint(m, self._theme))
            said = painter.fontMetrics().elidedText(name, Qt.TextElideMode.ElideRight, int(_LEFT - 34))
            painter.drawText(QRectF(24, y - 10, _LEFT - 30, 20), Qt.AlignmentFlag.AlignVCenter, said)
            draw(painter, m, self._theme, QPointF(12, y), 5.0)

    def _paint_cell(self, painter: QPainter, cell: Cell, box: QRectF, reach: float, below: float) -> None:
        t, row, outcome = self._theme, self._row(), self._axes.outcome(cell)
        result = self._results.get(cell)
        found = None if result is None else result.comparison
        small = self.letters(0.88)
        area = QRectF(box.left(), box.top() + _HEAD, box.width() - 26, row * len(self._order))
        painter.setFont(small)
        at = paint_axis(painter, t, area, -max(below, 0.06 * reach), reach, outcome.difference_unit, 4)
        painter.setFont(small)
        painter.setPen(t.color("muted"))
        what = row_label(outcome)
        if found is not None:
            best = number(
                found.candidate(best_of(found)).mean, 0 if small_by(outcome, self._found(outcome)) >= 3 else 1
            )
            head = (
                tr("{what}, under {best} {unit}", what=what, best=best, unit=outcome.unit)
                if outcome.higher_is_better
                else tr("{what}, over {best} {unit}", what=what, best=best, unit=outcome.unit)
            ).rstrip()
        elif result is not None:
            head = f"{what}: {result.why_not}"
        else:
            head = f"{what} …"
        head = painter.fontMetrics().elidedText(head, Qt.TextElideMode.ElideRight, int(box.width()))
        painter.drawText(QRectF(box.left(), box.top(), box.width(), 20), Qt.AlignmentFlag.AlignLeft, head)
        if found is None:
            self._paint_rough(painter, cell, area, at)
        else:
            there, scale = {c.name: c for c in found.candidates}, behind_best(outcome, found)
            failed = result.failed() if result is not None else {}
            painter.save()
            painter.setClipRect(area.adjusted(-6, -4, 6, 4))
            for n, name in enumerate(self._order):
                c = there.get(name)
                y = area.top() + row * (n + 0.5)
                why = tr("met no limit") if found.free else tr("held by a limit: only a bound")
                instead = why if c is not None and c.bound else ""
                instead = tr("could not be finished") if c is None and name in failed else instead
                if instead:
                    painter.setPen(t.color("muted"))
                    side = Qt.AlignmentFlag.AlignLeft | Qt.AlignmentFlag.AlignVCenter
                    room = area.right() - at(0.0) - 10
                    said = painter.fontMetrics().elidedText(instead, Qt.TextElideMode.ElideRight, int(room))
                    painter.drawText(QRectF(at(0.0) + 10, y - row / 2, room, row), side, said)
                if c is None or c.bound:
                    continue
                m = mark(self._place.get(name, 0))
                painter.setPen(QPen(tint(m, t), 2.2 if row > 10 else 1.4))
                low, mean, high = scale[name]
                left, right = max(at(low), area.left()), min(at(high), area.right())
                painter.drawLine(QPointF(left, y), QPointF(right, y))
                for x, beyond, way in ((left, at(low) < left, -1), (right, at(high) > right, 1)):
                    if beyond:
                        _paint_goes_on(painter, QPointF(x, y), way, min(4.5, row * 0.3))
                draw(painter, m, t, QPointF(at(mean), y), min(5.5, row * 0.4))
            painter.restore()
            self._paint_ties(painter, found.candidates, area, row)

    def _paint_rough(self, painter: QPainter, cell: Cell, area: QRectF, at: object) -> None:
        means = self._rough.get(cell, {})
        if not means:
            return
        higher = self._axes.outcome(cell).higher_is_better
        base = max(means.values()) if higher else min(means.values())
        for n, name in enumerate(self._order):
            if name in means:
                m = mark(self._place.get(name, 0))
                centre = QPointF(at(abs(means[name] - base)), area.top() + self._row() * (n + 0.5))  # type: ignore[operator]
                draw(painter, m, self._theme, centre, min(5.0, self._row() * 0.4), filled=False)

    def _paint_ties(self, painter: QPainter, candidates: Sequence[object], area: QRectF, row: float) -> None:
        """Brackets over candidates that are not told apart."""
        group = {c.name: c.group or "" for c in candidates}  # type: ignore[attr-defined]
        painter.setPen(QPen(self._theme.color("ink"), 1.5))
        place = 0
        for letter in sorted({x for g in group.values() for x in g}):
            rows = [i for i, n in enumerate(self._order) if letter in group.get(n, "")]
            if len(rows) < 2 or place > 3:
                continue
            x = area.right() + 6 + 5 * place
            a, b = area.top() + row * (rows[0] + 0.25), area.top() + row * (rows[-1] + 0.75)
            painter.drawLine(QPointF(x, a), QPointF(x, b))
            for y in (a, b):
                painter.drawLine(QPointF(x - 2.5, y), QPointF(x, y))
            # those between that do not belong to it are left open by dots only where they do
            painter.setBrush(self._theme.color("ink"))
            for r in rows:
                painter.drawEllipse(QPointF(x, area.top() + row * (r + 0.5)), 1.6, 1.6)
            painter.setBrush(Qt.BrushStyle.NoBrush)
            place += 1

    def item_at(self, place: QPointF) -> int | None:
        return next((i for i, cell in enumerate(self._axes.cells) if self.box(cell).contains(place)), None)

    def item_count(self) -> int:
        return len(self._axes.cells)

    def moves(self) -> dict[Qt.Key, int]:
        cells, keys = self._axes.cells, [o.key for o in self._axes.outcomes]
        if self._focus >= len(cells):
            return {}
        here = cells[self._focus]
        steps = {Qt.Key.Key_Left: -1, Qt.Key.Key_Right: 1}
        for key, row in ((Qt.Key.Key_Up, -1), (Qt.Key.Key_Down, 1)):
            row += keys.index(here.outcome)
            there = [i for i, c in enumerate(cells) if 0 <= row < len(keys) and c.outcome == keys[row]]
            same = [i for i in there if cells[i].condition == here.condition]
            steps[key] = (same or there or [self._focus])[0] - self._focus
        return steps

    def open_item(self, index: int) -> None:
        self.cell_chosen.emit(self._axes.cells[index])


def _paint_goes_on(painter: QPainter, tip: QPointF, way: int, size: float) -> None:
    """An arrow where an interval goes on beyond the picture."""
    for side in (-1, 1):
        painter.drawLine(tip, QPointF(tip.x() - way * size, tip.y() + side * size))
