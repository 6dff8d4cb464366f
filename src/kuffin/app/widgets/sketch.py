"""A small plot for sums: lines, points and guides over two axes with units."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass

from PySide6.QtCore import QPointF, QRect, QRectF, QSize, Qt
from PySide6.QtGui import QPainter, QPen, QPolygonF
from PySide6.QtWidgets import QSizePolicy

from kuffin.app.base.guarded import guarded
from kuffin.app.look.marks import draw, mark
from kuffin.app.look.theme import USUAL_POINTS, Theme, figures_font
from kuffin.app.widgets.intervalplot import nice_step
from kuffin.app.widgets.painted import Scaled
from kuffin.core.compare.pairwords import number

_LEFT, _RIGHT, _TOP, _FOOT = 56.0, 14.0, 22.0, 36.0


@dataclass(frozen=True, kw_only=True)
class Series:
    """Points over x; drawn as a line, as dots, or with a candidate's mark (`place` is its position)."""

    xs: Sequence[float]
    ys: Sequence[float]
    style: str = "line"  # line, dots, both, faint
    place: int | None = None
    label: str = ""


@dataclass(frozen=True)
class Guide:
    """A straight line across, with what it means."""

    value: float
    label: str
    vertical: bool = False


@guarded
class Sketch(Scaled):
    """The plot."""

    def __init__(self, theme: Theme, name: str, height: int = 220) -> None:
        super().__init__()
        self._theme = theme
        self._series: tuple[Series, ...] = ()
        self._guides: tuple[Guide, ...] = ()
        self._x = self._y = ""
        self._span_y: tuple[float, float] | None = None
        self._wanted = height
        self.setAccessibleName(name)
        self.setSizePolicy(QSizePolicy.Policy.Expanding, QSizePolicy.Policy.Fixed)
        self.keep_height()

    def sizeHint(self) -> QSize:
        return self.sized(480, self._wanted)

    def set_theme(self, theme: Theme) -> None:
        self._theme = theme
        self.update()

    def show_series(
        self,
        series: Sequence[Series],
        x: str,
        y: str,
        guides: Sequence[Guide] = (),
        span_y: tuple[float, float] | None = None,
        spoken: str = "",
    ) -> None:
        """Show series; `x` and `y` name the axes with their units."""
        self._series, self._guides = tuple(series), tuple(guides)
        self._x, self._y, self._span_y = x, y, span_y
        self.setAccessibleDescription(spoken)
        self.update()

    def _spans(self) -> tuple[float, float, float, float]:
        xs = [v for s in self._series for v in s.xs if math.isfinite(v)]
        ys = [v for s in self._series for v in s.ys if math.isfinite(v)]
        ys += [g.value for g in self._guides if not g.vertical]
        x0, x1 = (min(xs), max(xs)) if xs else (0.0, 1.0)
        y0, y1 = self._span_y or ((min(ys), max(ys)) if ys else (0.0, 1.0))
        room = 0.08 * (y1 - y0) or 0.5
        if self._span_y is None:
            y0, y1 = y0 - room, y1 + room
        pad = 0.03 * (x1 - x0) or 0.5
        return x0 - pad, x1 + pad, y0, y1

    def draw(self, painter: QPainter, _seen: QRect) -> None:
        painter.setRenderHint(QPainter.RenderHint.Antialiasing)
        t = self._theme
        x0, x1, y0, y1 = self._spans()
        area = QRectF(_LEFT, _TOP, self.across - _LEFT - _RIGHT, self.down - _TOP - _FOOT)

        def at(x: float, y: float) -> QPointF:
            return QPointF(
                area.left() + (x - x0) / (x1 - x0) * area.width(), area.bottom() - (y - y0) / (y1 - y0) * area.height()
            )

        painter.setFont(figures_font(USUAL_POINTS * 0.86))
        self._axes(painter, area, at, (x0, x1, y0, y1))
        for guide in self._guides:
            painter.setPen(QPen(t.color("accent"), 1.2, Qt.PenStyle.DashLine))
            if guide.vertical:
                if not x0 <= guide.value <= x1:
                    continue
                x = at(guide.value, y0).x()
                painter.drawLine(QPointF(x, area.top()), QPointF(x, area.bottom()))
                painter.drawText(QPointF(x + 4, area.top() + 10), guide.label)
            else:
                y = at(x0, guide.value).y()
                painter.drawLine(QPointF(area.left(), y), QPointF(area.right(), y))
                painter.drawText(
                    QRectF(area.left(), y - 16, area.width() - 2, 15), Qt.AlignmentFlag.AlignRight, guide.label
                )
        for series in self._series:
            self._draw(
                painter, series, [at(x, y) for x, y in zip(series.xs, series.ys, strict=True) if math.isfinite(y)]
            )

    def _axes(self, painter: QPainter, area: QRectF, at, spans: tuple[float, float, float, float]) -> None:  # type: ignore[no-untyped-def]
        t = self._theme
        x0, x1, y0, y1 = spans
        for low, high, across in ((x0, x1, False), (y0, y1, True)):
            step = nice_step(high - low)
            digits = max(0, -math.floor(math.log10(step) + 1e-9))
            tick = math.ceil(low / step - 1e-9) * step
            while tick <= high + 1e-9:
                point = at(x0, tick) if across else at(tick, y0)
                painter.setPen(QPen(t.color("hairline"), 1.0))
                if across:
                    painter.drawLine(QPointF(area.left(), point.y()), QPointF(area.right(), point.y()))
                    box, how = QRectF(0, point.y() - 9, _LEFT - 7, 18), Qt.AlignmentFlag.AlignRight
                else:
                    painter.drawLine(QPointF(point.x(), area.bottom()), QPointF(point.x(), area.bottom() + 4))
                    box, how = QRectF(point.x() - 30, area.bottom() + 3, 60, 16), Qt.AlignmentFlag.AlignHCenter
                painter.setPen(t.color("muted"))
                painter.drawText(box, how | Qt.AlignmentFlag.AlignVCenter, number(tick, digits))
                tick += step
        painter.setPen(t.color("muted"))
        painter.drawText(
            QRectF(area.left(), area.bottom() + 17, area.width(), 18), Qt.AlignmentFlag.AlignRight, self._x
        )
        painter.drawText(QRectF(4, 1, self.across - 8, 18), Qt.AlignmentFlag.AlignLeft, self._y)

    def _draw(self, painter: QPainter, series: Series, points: list[QPointF]) -> None:
        t = self._theme
        faint = series.style == "faint"
        if series.style in {"line", "both", "faint"}:
            painter.setPen(QPen(t.color("muted" if faint else "ink"), 1.0 if faint else 1.8))
            painter.setBrush(Qt.BrushStyle.NoBrush)
            painter.drawPolyline(QPolygonF(points))
        if series.style in {"dots", "both"}:
            for point in points:
                if series.place is not None:
                    draw(painter, mark(series.place), t, point, 6)
                else:
                    painter.setPen(Qt.PenStyle.NoPen)
                    painter.setBrush(t.color("ink"))
                    painter.drawEllipse(point, 3.2, 3.2)
        if series.label and points:
            painter.setPen(t.color("muted"))
            painter.drawText(points[-1] + QPointF(-4 - 7 * len(series.label), -8), series.label)
