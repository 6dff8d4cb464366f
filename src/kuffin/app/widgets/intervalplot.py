"""The interval plot: for each candidate its mounts as marks, its mean with its interval, ties as brackets."""

from __future__ import annotations

import math
from collections.abc import Collection, Sequence

from PySide6.QtCore import QPointF, QRect, QRectF, QSize, Qt, Signal
from PySide6.QtGui import QKeyEvent, QMouseEvent, QPainter, QPen

from kuffin.app.base.guarded import guarded
from kuffin.app.look.marks import CandidateMark, draw, mark, tint
from kuffin.app.look.theme import USUAL_POINTS, Theme, figures_font
from kuffin.app.widgets.painted import Scaled
from kuffin.core.base.language import tr
from kuffin.core.compare.pairwords import digits_for, number
from kuffin.verdict.outcomes import MountReading, OutcomeResult
from kuffin.verdict.study import StudyVerdict

_LEFT, _ROW, _TOP, _FOOT = 96.0, 49.0, 6.0, 26.0
_FIGURES, _TIES = 150.0, 26.0


def nice_step(span: float, most: int = 7) -> float:
    """A round step that divides a span into at most so many parts."""
    if span <= 0:
        return 1.0
    raw = span / most
    power = 10.0 ** math.floor(math.log10(raw))
    return next(f * power for f in (1.0, 2.0, 5.0, 10.0) if f * power >= raw - 1e-12)


@guarded
class IntervalPlot(Scaled):
    """Draws one school of a study. A click on a figure opens its working; on a mark, its run's."""

    candidate_chosen = Signal(str)
    mount_chosen = Signal(int)

    def __init__(self, theme: Theme) -> None:
        super().__init__()
        self._theme = theme
        self._result: OutcomeResult | None = None
        self._names: list[str] = []
        self._marks: dict[str, CandidateMark] = {}
        self._doubtful: set[int] = set()
        self.hot: list[tuple[QRectF, str, int | None]] = []
        self._focus = 0
        self.setFocusPolicy(Qt.FocusPolicy.StrongFocus)
        self.setMouseTracking(True)
        self.setAccessibleName(tr("Candidates with their mounts, means and intervals"))

    def set_theme(self, theme: Theme) -> None:
        self._theme = theme
        self.update()

    def show_verdict(self, verdict: StudyVerdict | None, result: OutcomeResult | None) -> None:
        """Show a study under a school, best candidate on top."""
        if verdict is None or result is None:
            self.show_result(None, ())
        else:
            doubtful = {o.mount_id for o in verdict.open_findings()}
            self.show_result(result, verdict.candidates, doubtful)

    def show_result(
        self,
        result: OutcomeResult | None,
        candidates: Sequence[str],
        doubtful: Collection[int] = (),
        best_first: bool = True,
    ) -> None:
        """Show readings and their comparison; `candidates` fixes colours and shapes."""
        self._result = result
        ranking = [] if result is None else result.ranking()[:: 1 if best_first else -1]
        self._names = ranking + [c for c in candidates if c not in ranking]
        self._marks = {c: mark(i) for i, c in enumerate(candidates)}
        self._doubtful = set(doubtful)
        self.setAccessibleDescription(self.spoken())
        self.keep_height()
        self.update()

    def spoken(self) -> str:
        """The plot in words."""
        found = self._result.comparison if self._result else None
        if found is None or self._result is None:
            return tr("no comparison yet")
        unit = self._result.outcome.unit
        return "; ".join(
            tr(
                "{name}: {mean:.2f} {unit}, {low:.2f} to {high:.2f}",
                name=c.name,
                mean=c.mean,
                unit=unit,
                low=c.low,
                high=c.high,
            )
            for c in found.candidates
        )

    def sizeHint(self) -> QSize:
        return self.sized(760, int(_TOP + _FOOT + _ROW * max(1, len(self._names))))

    def _range(self) -> tuple[float, float]:
        assert self._result is not None
        values = [r.value for r in self._result.readings if r.value is not None]
        if self._result.comparison is not None:
            values += [x for c in self._result.comparison.candidates for x in (c.low, c.high)]
        low, high = min(values), max(values)
        room = max(0.06 * (high - low), 0.1)
        return low - room, high + room

    def draw(self, painter: QPainter, seen: QRect) -> None:
        self.paint(painter, self.whole, QRectF(seen))

    def paint(self, painter: QPainter, area: QRectF, seen: QRectF | None = None) -> None:
        """Paint onto any device (the screen, an SVG, a picture); candidates outside what is `seen` are passed over."""
        painter.setRenderHint(QPainter.RenderHint.Antialiasing)
        self.hot = []
        t = self._theme
        if self._result is None or not any(r.value is not None for r in self._result.readings):
            painter.setPen(t.color("muted"))
            painter.drawText(
                area,
                Qt.AlignmentFlag.AlignCenter | Qt.TextFlag.TextWordWrap,
                tr("No mount can be read under this school."),
            )
            return
        low, high = self._range()
        x0, x1 = area.left() + _LEFT, area.right() - _FIGURES - _TIES - 10
        bottom = area.top() + _TOP + _ROW * len(self._names)

        def at(value: float) -> float:
            return x0 + (value - low) / (high - low) * (x1 - x0)

        unit = self._result.outcome.unit
        step = nice_step(high - low)
        while step / (high - low) * (x1 - x0) < 60 and step < high - low:  # where there is little room, fewer
            step = nice_step(10 * step)
        first = math.ceil(low / step - 1e-9) * step
        small = figures_font(USUAL_POINTS * 0.9)
        painter.setFont(small)
        digits = max(0, -math.floor(math.log10(step) + 1e-9))
        tick = first
        while tick <= high + 1e-9:
            painter.setPen(QPen(t.color("hairline"), 1.0))
            painter.drawLine(QPointF(at(tick), area.top() + _TOP), QPointF(at(tick), bottom))
            painter.setPen(t.color("muted"))
            painter.drawText(
                QRectF(at(tick) - 34, bottom + 4, 68, 20),
                Qt.AlignmentFlag.AlignCenter,
                f"{number(tick, digits)} {unit}",
            )
            tick += step
        for row, name in enumerate(self._names):
            y = area.top() + _TOP + _ROW * (row + 0.5)
            if seen is None or seen.top() - _ROW <= y <= seen.bottom() + _ROW:
                self._paint_candidate(painter, name, area, y, at, row)
        self._paint_ties(painter, area.right() - _FIGURES - _TIES, area.top())

    def _paint_candidate(self, painter: QPainter, name: str, area: QRectF, y: float, at: object, row: int) -> None:
        assert self._result is not None
        t, m = self._theme, self._marks.get(name, mark(0))
        bold = self.letters(bold=True)
        painter.setFont(bold)
        painter.setPen(tint(m, t))
        label = painter.fontMetrics().elidedText(name, Qt.TextElideMode.ElideRight, int(_LEFT - 12))
        painter.drawText(QRectF(area.left(), y - 14, _LEFT - 10, 28), Qt.AlignmentFlag.AlignVCenter, label)
        for reading in self._result.of(name):
            self._paint_mount(painter, reading, m, y - 15, at)
        found = self._result.comparison
        names = {c.name for c in found.candidates} if found else set()
        box = QRectF(area.right() - _FIGURES, y - 20, _FIGURES, 36)
        painter.setFont(figures_font(USUAL_POINTS * 1.08))
        if found is None or name not in names:
            painter.setPen(t.color("muted"))
            painter.drawText(box, Qt.AlignmentFlag.AlignVCenter | Qt.AlignmentFlag.AlignRight, "–")
            return
        c = found.candidate(name)
        painter.setPen(QPen(tint(m, t), 2.6))
        painter.drawLine(QPointF(at(c.low), y + 4), QPointF(at(c.high), y + 4))  # type: ignore[operator]
        draw(painter, m, t, QPointF(at(c.mean), y + 4), 8.0)  # type: ignore[operator]
        painter.setPen(t.color("ink"))
        unit, digits = self._result.outcome.unit, digits_for((c.high - c.low) / 2)
        painter.drawText(
            box,
            Qt.AlignmentFlag.AlignVCenter | Qt.AlignmentFlag.AlignRight,
            f"{'≥ ' if c.bound else ''}{number(c.mean, digits)} ± {number((c.high - c.low) / 2, digits)} {unit}",
        )
        self.hot.append((QRectF(at(c.low) - 8, y - 4, at(c.high) - at(c.low) + 16, 16), name, None))  # type: ignore[operator]
        self.hot.append((box, name, None))
        if self.hasFocus() and row == self._focus:
            painter.setPen(QPen(t.color("accent"), 1.2, Qt.PenStyle.DotLine))
            painter.setBrush(Qt.BrushStyle.NoBrush)
            painter.drawRect(box.adjusted(12, 2, -1, -2))

    def _paint_mount(self, painter: QPainter, reading: MountReading, m: CandidateMark, y: float, at: object) -> None:
        if reading.value is None:
            return
        centre = QPointF(at(reading.value), y)  # type: ignore[operator]
        draw(painter, m, self._theme, centre, 5.0, filled=False, struck=reading.left_out is not None)
        if reading.mount_id in self._doubtful and reading.left_out is None:
            painter.setPen(self._theme.color("warn"))
            painter.setFont(figures_font(USUAL_POINTS * 0.85, bold=True))
            painter.drawText(QRectF(centre.x() + 5, y - 13, 12, 14), Qt.AlignmentFlag.AlignCenter, "?")
        self.hot.insert(0, (QRectF(centre.x() - 8, y - 8, 16, 16), reading.candidate, reading.mount_id))

    def _paint_ties(self, painter: QPainter, x: float, top: float) -> None:
        """Brackets over candidates that are not told apart, in a column of their own."""
        found = self._result.comparison if self._result else None
        if found is None or any(c.group is None for c in found.candidates):
            return
        group = {c.name: c.group or "" for c in found.candidates}
        letters = sorted({letter for g in group.values() for letter in g})
        painter.setPen(QPen(self._theme.color("ink"), 1.8))
        place = 0
        for letter in letters:
            rows = [i for i, n in enumerate(self._names) if letter in group.get(n, "")]
            if len(rows) < 2:
                continue
            a, b = top + _TOP + _ROW * (rows[0] + 0.25), top + _TOP + _ROW * (rows[-1] + 0.8)
            px = x - 2 + 8 * (place % 4)
            painter.drawLine(QPointF(px, a), QPointF(px, b))
            for y in (a, b):
                painter.drawLine(QPointF(px - 3, y), QPointF(px, y))
            place += 1

    # --- acting ----------------------------------------------------------------------------------------------------

    def mouseMoveEvent(self, event: QMouseEvent) -> None:
        over = any(box.contains(self.at(event)) for box, _, _ in self.hot)
        self.setCursor(Qt.CursorShape.PointingHandCursor if over else Qt.CursorShape.ArrowCursor)

    def mousePressEvent(self, event: QMouseEvent) -> None:
        for box, name, mount_id in self.hot:
            if box.contains(self.at(event)):
                if mount_id is not None:
                    self.mount_chosen.emit(mount_id)
                else:
                    self.candidate_chosen.emit(name)
                return

    def keyPressEvent(self, event: QKeyEvent) -> None:
        key = Qt.Key(event.key())
        if key in {Qt.Key.Key_Up, Qt.Key.Key_Down} and self._names:
            self._focus = min(max(self._focus + (1 if key == Qt.Key.Key_Down else -1), 0), len(self._names) - 1)
            self.update()
        elif key in {Qt.Key.Key_Return, Qt.Key.Key_Enter, Qt.Key.Key_F1} and self._names:
            self.candidate_chosen.emit(self._names[self._focus])
        else:
            super().keyPressEvent(event)

    def focusInEvent(self, event: object) -> None:
        super().focusInEvent(event)  # type: ignore[arg-type]
        self.update()

    def focusOutEvent(self, event: object) -> None:
        super().focusOutEvent(event)  # type: ignore[arg-type]
        self.update()
