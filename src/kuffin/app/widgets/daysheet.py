"""Days side by side with what is laid on them: mounts as bars with their candidate's mark."""

from __future__ import annotations

import datetime as dt
from collections.abc import Mapping

from PySide6.QtCore import QPointF, QRect, QRectF, QSize, Qt
from PySide6.QtGui import QColor, QMouseEvent, QPainter, QPen
from PySide6.QtWidgets import QSizePolicy, QToolTip

from kuffin.app.base.guarded import guarded
from kuffin.app.look.marks import draw, mark, tint
from kuffin.app.look.theme import USUAL_POINTS, Theme, figures_font
from kuffin.app.widgets.painted import Scaled
from kuffin.app.widgets.texts import plain_tip
from kuffin.core.base.days import day_words, short_day
from kuffin.core.base.language import tr
from kuffin.core.plan.schedule import DAYS, Hours, Laid, Plan

_LEFT, _TOP, _LEAST = 44.0, 40.0, 78.0


@guarded
class DaySheet(Scaled):
    """The calendar of a plan; days off are hatched, what comes too late is dashed."""

    def __init__(self, theme: Theme) -> None:
        super().__init__()
        self._theme = theme
        self._plan: Plan | None = None
        self._hours: Hours | None = None
        self._places: Mapping[str, int] = {}
        self._boxes: list[tuple[QRectF, Laid]] = []
        self.setMouseTracking(True)
        self.setSizePolicy(QSizePolicy.Policy.Expanding, QSizePolicy.Policy.Fixed)
        self.setAccessibleName(tr("The plan, day by day"))
        self.keep_height()

    def set_theme(self, theme: Theme) -> None:
        self._theme = theme
        self.update()

    def show_plan(self, plan: Plan | None, hours: Hours, places: Mapping[str, int]) -> None:
        """Show a plan; `places` fixes the candidates' marks."""
        self._plan, self._hours, self._places = plan, hours, places
        spoken = (
            ""
            if plan is None
            else "; ".join(
                tr(
                    "{job}: {day} {begin} to {end}",
                    job=p.job.label,
                    day=day_words(p.begin),
                    begin=f"{p.begin:%H:%M}",
                    end=f"{p.end:%H:%M}",
                )
                for p in plan.laid
            )
        )
        self.setAccessibleDescription(spoken)
        self.setMinimumWidth(int(_LEFT * self.zoom + _LEAST * len(self._days())) if self._days() else 200)
        self.update()

    def sizeHint(self) -> QSize:
        return self.sized(int(_LEFT + _LEAST * max(len(self._days()), 5)), 300)

    def _days(self) -> list[dt.date]:
        """The days with something on them, and those between that are no more than two apart."""
        if self._plan is None or not self._plan.laid:
            return []
        with_work = sorted({p.begin.date() for p in self._plan.laid})
        days = []
        for a, b in zip(with_work, [*with_work[1:], with_work[-1]], strict=True):
            days.append(a)
            if 1 < (b - a).days <= 3:
                days += [a + dt.timedelta(days=n) for n in range(1, (b - a).days)]
        return days

    def draw(self, painter: QPainter, _seen: QRect) -> None:
        painter.setRenderHint(QPainter.RenderHint.Antialiasing)
        t, days = self._theme, self._days()
        self._boxes = []
        painter.setFont(figures_font(USUAL_POINTS * 0.86))
        if self._plan is None or self._hours is None or not days:
            painter.setPen(t.color("muted"))
            painter.drawText(self.whole, Qt.AlignmentFlag.AlignCenter, tr("Nothing is laid yet."))
            return
        spans = [s for d in days if (s := self._hours.of(d)) is not None]
        first = min([s[0].hour + s[0].minute / 60 for s in spans] + [p.begin.hour + 0.0 for p in self._plan.laid])
        last = (
            max((s[1] - dt.datetime.combine(s[1].date(), dt.time())).total_seconds() / 3600 or 24 for s in spans)
            if spans
            else 24.0
        )
        width = (self.across - _LEFT - 4) / len(days)
        height = self.down - _TOP - 8

        def y_of(hour: float) -> float:
            return _TOP + (hour - first) / (last - first) * height

        for hour in range(int(first), int(last) + 1):
            painter.setPen(QPen(t.color("hairline"), 1.0))
            painter.drawLine(QPointF(_LEFT, y_of(hour)), QPointF(self.across - 4, y_of(hour)))
            painter.setPen(t.color("muted"))
            painter.drawText(QRectF(0, y_of(hour) - 8, _LEFT - 8, 16), Qt.AlignmentFlag.AlignRight, f"{hour}:00")
        for i, day in enumerate(days):
            x = _LEFT + i * width
            painter.setPen(t.color("ink"))
            letters = 3 if width < 110 else 9  # of a day's and a month's name
            painter.drawText(QRectF(x, 2, width, 17), Qt.AlignmentFlag.AlignHCenter, tr(DAYS[day.weekday()])[:letters])
            painter.setPen(t.color("muted"))
            number, month = short_day(day).split()
            painter.drawText(QRectF(x, 18, width, 16), Qt.AlignmentFlag.AlignHCenter, f"{number} {month[:letters]}")
            if self._hours.of(day) is None:
                painter.fillRect(QRectF(x + 2, _TOP, width - 4, height), QColor(t.levels[0]))
        for laid in self._plan.laid:
            self._bar(painter, laid, _LEFT + days.index(laid.begin.date()) * width, width, y_of)
        self._mark_deadline(painter, days, width, y_of)

    def _bar(self, painter: QPainter, laid: Laid, x: float, width: float, y_of) -> None:  # type: ignore[no-untyped-def]
        t = self._theme

        def hour(moment: dt.datetime) -> float:
            return moment.hour + moment.minute / 60 + (24 if moment.date() > laid.begin.date() else 0)

        late = self._plan is not None and self._plan.deadline is not None and laid.end > self._plan.deadline
        box = QRectF(x + 3, y_of(hour(laid.begin)) + 1, width - 6, y_of(hour(laid.end)) - y_of(hour(laid.begin)) - 2)
        name = max((n for n in self._places if laid.job.label.startswith(f"{n}, ")), key=len, default="")
        m = mark(self._places.get(name, 0))
        for phase, begin, end in laid.phases():
            part = QRectF(box.left(), y_of(hour(begin)) + 1, box.width(), y_of(hour(end)) - y_of(hour(begin)) - 1)
            painter.fillRect(part, QColor(t.levels[1 if phase == "run" else 0]))
        painter.setPen(QPen(tint(m, t), 1.4, Qt.PenStyle.DashLine if late else Qt.PenStyle.SolidLine))
        painter.setBrush(Qt.BrushStyle.NoBrush)
        painter.drawRect(box)
        draw(painter, m, t, QPointF(box.left() + 10, box.top() + 11), 5)
        painter.setPen(t.color("ink"))
        metrics = painter.fontMetrics()
        painter.drawText(
            QRectF(box.left() + 19, box.top() + 2, box.width() - 20, 18),
            Qt.AlignmentFlag.AlignLeft | Qt.AlignmentFlag.AlignVCenter,
            metrics.elidedText(name, Qt.TextElideMode.ElideRight, int(box.width() - 21)),
        )
        if box.height() > 38:
            painter.setPen(t.color("muted"))
            painter.drawText(
                QRectF(box.left() + 5, box.top() + 19, box.width() - 6, 16),
                Qt.AlignmentFlag.AlignLeft,
                f"{laid.begin:%H:%M}",
            )
        self._boxes.append((box, laid))

    def _mark_deadline(self, painter: QPainter, days: list[dt.date], width: float, y_of) -> None:  # type: ignore[no-untyped-def]
        deadline = self._plan.deadline if self._plan is not None else None
        if deadline is None or deadline.date() not in days:
            return
        x = _LEFT + days.index(deadline.date()) * width
        y = min(max(y_of(deadline.hour + deadline.minute / 60), _TOP), self.down - 8.0)
        painter.setPen(QPen(self._theme.color("warn"), 2))
        painter.drawLine(QPointF(x, y), QPointF(x + width, y))
        painter.drawText(QRectF(x, y - 17, width - 4, 16), Qt.AlignmentFlag.AlignRight, tr("deadline"))

    def mouseMoveEvent(self, event: QMouseEvent) -> None:
        for box, laid in self._boxes:
            if box.contains(self.at(event)):
                lines = [laid.job.label, *(f"{b:%H:%M}–{e:%H:%M} {name}" for name, b, e in laid.phases())]
                QToolTip.showText(event.globalPosition().toPoint(), plain_tip("\n".join(lines)), self)
                return
        QToolTip.hideText()
