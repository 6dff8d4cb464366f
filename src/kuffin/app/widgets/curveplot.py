"""Curves over a setting or a flow, each with its band and its points, and a line across them that one drags to read off."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass

from PySide6.QtCore import QPointF, QRect, QRectF, QSize, Qt, Signal
from PySide6.QtGui import QColor, QKeyEvent, QMouseEvent, QPainter, QPen, QPolygonF
from PySide6.QtWidgets import QSizePolicy

from kuffin.app.base.guarded import guarded
from kuffin.app.look.marks import draw, mark, tint
from kuffin.app.look.theme import Theme
from kuffin.app.widgets.axis import paint_axis, paint_upright_axis, round_step
from kuffin.app.widgets.keywalked import Opening
from kuffin.core.base.numbers import plain

_LEFT, _RIGHT, _TOP, _FOOT = 58.0, 92.0, 26.0, 40.0
_BAND = 42  # of 255, how opaque a band is


@dataclass(frozen=True, kw_only=True)
class DrawnCurve:
    """A curve; a band of its own width goes with it, or none.

    Attributes
    ----------
    place : int or None
        Its candidate's, for colour and shape; None is drawn in ink.
    xs, ys, low, high : sequence of float
        The curve and its band; `low` may be empty.
    points : sequence of (x, y)
        What was read.
    odd : sequence of int
        Points that stand off.
    solid : (float, float) or None
        Where it was measured; dashed outside.
    faint : bool
        One mount's own curve, behind its candidate's.
    behind : object
        What its points stand for; handed on where one is opened.
    called : str
        What its points are of, where the curve itself has no name.
    other : bool
        Drawn in the accent colour, where it has no place: what the others are set against.
    """

    name: str
    place: int | None = None
    xs: Sequence[float] = ()
    ys: Sequence[float] = ()
    low: Sequence[float] = ()
    high: Sequence[float] = ()
    points: Sequence[tuple[float, float]] = ()
    odd: Sequence[int] = ()
    solid: tuple[float, float] | None = None
    faint: bool = False
    behind: object = None
    called: str = ""
    other: bool = False


@guarded
class CurvePlot(Opening):
    """The picture.

    Attributes
    ----------
    moved : Signal
        Where the line was put: by dragging, or with the left and right arrow keys (Shift: tenfold).
    opened : Signal
        What stands behind a point (`DrawnCurve.behind`), and which of the curve's points it is: up and down walk over the points,
        Enter, F1 or a click open one.
    """

    moved = Signal(float)
    opened = Signal(object, int)

    def __init__(self, theme: Theme, name: str, height: int = 320) -> None:
        super().__init__()
        self._theme = theme
        self._curves: tuple[DrawnCurve, ...] = ()
        self._x = self._y = ""
        self._line: float | None = None
        self._crosses: tuple[tuple[float, float, str], ...] = ()
        self._from_nothing = False
        self._area = QRectF()
        self._dragging = False
        self._focus: int | None = None  # the point that was walked to
        self._spoken = ""
        self.setAccessibleName(name)
        self.setFocusPolicy(Qt.FocusPolicy.StrongFocus)
        self.setMouseTracking(True)
        self.setSizePolicy(QSizePolicy.Policy.Expanding, QSizePolicy.Policy.Fixed)
        self._tall = height
        self.keep_height()

    def sizeHint(self) -> QSize:
        return self.sized(640, self._tall)

    def set_theme(self, theme: Theme) -> None:
        """Take another theme."""
        self._theme = theme
        self.update()

    def show_curves(
        self,
        curves: Sequence[DrawnCurve],
        x: str,
        y: str,
        line: float | None = None,
        crosses: Sequence[tuple[float, float, str]] = (),
        spoken: str = "",
        from_nothing: bool = False,
    ) -> None:
        """Show curves.

        Parameters
        ----------
        x, y : str
            What the axes are, with their units.
        line : float, optional
            Where the line across stands; None: there is none.
        crosses : sequence of (x, y, words)
            Places that are pointed out, such as an operating point.
        from_nothing : bool
            Whether both axes begin at 0.
        """
        self._curves, self._x, self._y = tuple(curves), x, y
        self._line, self._crosses, self._from_nothing = line, tuple(crosses), from_nothing
        self._spoken = spoken
        if self._focus is not None and self._focus >= len(self._points()):
            self._focus = None
        self.setAccessibleDescription(spoken)
        self.update()

    @property
    def line(self) -> float | None:
        """Where the line stands."""
        return self._line

    # --- places ----------------------------------------------------------------------------------------------------

    def _spans(self) -> tuple[float, float, float, float]:
        xs = [x for c in self._curves for x in (*c.xs, *(p[0] for p in c.points)) if math.isfinite(x)]
        ys = [v for c in self._curves for v in (*c.ys, *c.low, *c.high, *(p[1] for p in c.points)) if math.isfinite(v)]
        xs += [x for x, _, _ in self._crosses]
        ys += [y for _, y, _ in self._crosses]
        x0, x1 = (min(xs), max(xs)) if xs else (0.0, 1.0)
        y0, y1 = (min(ys), max(ys)) if ys else (0.0, 1.0)
        room_x, room_y = 0.03 * (x1 - x0) or 0.5, 0.07 * (y1 - y0) or 0.5
        if self._from_nothing:
            return 0.0, x1 + room_x, 0.0, y1 + room_y
        return x0 - room_x, x1 + room_x, y0 - room_y, y1 + room_y

    def _x_of(self, place: float) -> float:
        x0, x1, _, _ = self._spans()
        share = (place - self._area.left()) / max(self._area.width(), 1.0)
        return x0 + min(max(share, 0.0), 1.0) * (x1 - x0)

    def place_of(self, x: float) -> float:
        """Where a value of the lower axis stands, in pixels."""
        x0, x1, _, _ = self._spans()
        return self._area.left() + (x - x0) / max(x1 - x0, 1e-12) * self._area.width()

    # --- drawing ---------------------------------------------------------------------------------------------------

    def draw(self, painter: QPainter, _seen: QRect) -> None:
        painter.setRenderHint(QPainter.RenderHint.Antialiasing)
        t = self._theme
        self._area = area = QRectF(_LEFT, _TOP, self.across - _LEFT - _RIGHT, self.down - _TOP - _FOOT)
        x0, x1, y0, y1 = self._spans()
        at_x = paint_axis(painter, t, area, x0, x1)
        y_of = paint_upright_axis(painter, t, area, y0, y1, 6)
        painter.setFont(self.letters())
        painter.setPen(t.color("muted"))
        painter.drawText(QRectF(0, 0, self.across - 8, 20), Qt.AlignmentFlag.AlignLeft, self._y)
        painter.drawText(
            QRectF(area.left(), area.bottom() + 20, area.width(), 20), Qt.AlignmentFlag.AlignRight, self._x
        )
        painter.save()
        painter.setClipRect(area.adjusted(-8, -6, 8, 6))
        for curve in self._curves:
            self._band(painter, curve, at_x, y_of)
        for curve in self._curves:
            self._curve(painter, curve, at_x, y_of)
        painter.restore()
        self._names(painter, area, y_of)
        self._cross(painter, area, at_x, y_of)
        self._read_line(painter, area, at_x)
        self._walked_to(painter, area, at_x, y_of)

    def _colour(self, curve: DrawnCurve) -> QColor:
        if curve.place is not None:
            return tint(mark(curve.place), self._theme)
        return self._theme.color("accent" if curve.other else "ink")

    def _band(self, painter: QPainter, curve: DrawnCurve, at_x, y_of) -> None:  # type: ignore[no-untyped-def]
        if not len(curve.low):
            return
        colour = self._colour(curve)
        colour.setAlpha(_BAND)
        upper = [QPointF(at_x(x), y_of(y)) for x, y in zip(curve.xs, curve.high, strict=True)]
        lower = [QPointF(at_x(x), y_of(y)) for x, y in zip(curve.xs, curve.low, strict=True)]
        painter.setPen(Qt.PenStyle.NoPen)
        painter.setBrush(colour)
        painter.drawPolygon(QPolygonF([*upper, *reversed(lower)]))

    def _curve(self, painter: QPainter, curve: DrawnCurve, at_x, y_of) -> None:  # type: ignore[no-untyped-def]
        colour = self._colour(curve)
        painter.setBrush(Qt.BrushStyle.NoBrush)
        low, high = curve.solid or (-math.inf, math.inf)
        pieces: list[tuple[bool, list[QPointF]]] = []
        for x, y in zip(curve.xs, curve.ys, strict=True):
            inside = low - 1e-9 <= x <= high + 1e-9
            if not pieces or pieces[-1][0] != inside:
                pieces.append((inside, [pieces[-1][1][-1]] if pieces else []))
            pieces[-1][1].append(QPointF(at_x(x), y_of(y)))
        for inside, points in pieces:
            style = Qt.PenStyle.SolidLine if inside else Qt.PenStyle.DashLine
            painter.setPen(QPen(colour, 1.0 if curve.faint else 2.0, style))
            painter.drawPolyline(QPolygonF(points))
        for i, (x, y) in enumerate(curve.points):
            centre = QPointF(at_x(x), y_of(y))
            if curve.place is not None:
                draw(painter, mark(curve.place), self._theme, centre, 4.0 if curve.faint else 5.0)
            else:
                painter.setPen(Qt.PenStyle.NoPen)
                painter.setBrush(colour)
                painter.drawEllipse(centre, 3.6, 3.6)
            if i in curve.odd:
                painter.setPen(QPen(self._theme.color("warn"), 1.6))
                painter.setBrush(Qt.BrushStyle.NoBrush)
                painter.drawEllipse(centre, 9.0, 9.0)

    def _names(self, painter: QPainter, area: QRectF, y_of) -> None:  # type: ignore[no-untyped-def]
        """Each curve's name at its end, pushed apart where they would lie over one another."""
        ends = sorted((y_of(c.ys[-1]), i) for i, c in enumerate(self._curves) if len(c.ys) and c.name and not c.faint)
        tall, last = painter.fontMetrics().height(), -math.inf
        places = []
        for y, i in ends:
            last = max(y, last + tall)
            places.append((last, i))
        over = max((places[-1][0] if places else 0.0) - area.bottom(), 0.0)
        for y, i in places:
            painter.setPen(self._colour(self._curves[i]))
            box = QRectF(area.right() + 10, y - over - tall / 2, _RIGHT - 12, tall)
            painter.drawText(box, Qt.AlignmentFlag.AlignLeft | Qt.AlignmentFlag.AlignVCenter, self._curves[i].name)

    def _cross(self, painter: QPainter, area: QRectF, at_x, y_of) -> None:  # type: ignore[no-untyped-def]
        for x, y, words in self._crosses:
            centre = QPointF(at_x(x), y_of(y))
            painter.setPen(QPen(self._theme.color("accent"), 2.0))
            painter.setBrush(Qt.BrushStyle.NoBrush)
            painter.drawEllipse(centre, 6.0, 6.0)
            self._beside(painter, area, centre, words, at_x, y_of)

    def _walked_to(self, painter: QPainter, area: QRectF, at_x, y_of) -> None:  # type: ignore[no-untyped-def]
        """A ring around the point that was walked to, with its words."""
        if self._focus is None or not self.hasFocus():
            return
        curve, i = self._points()[self._focus]
        centre = QPointF(at_x(curve.points[i][0]), y_of(curve.points[i][1]))
        painter.setPen(QPen(self._theme.color("accent"), 1.2, Qt.PenStyle.DotLine))
        painter.setBrush(Qt.BrushStyle.NoBrush)
        painter.drawEllipse(centre, 10.0, 10.0)
        self._beside(painter, area, centre, self._words_of(curve, i), at_x, y_of)

    def _beside(self, painter: QPainter, area: QRectF, centre: QPointF, words: str, at_x, y_of) -> None:  # type: ignore[no-untyped-def]
        """Words beside a place, where there is room and they cover least of the curves."""
        wide, tall = painter.fontMetrics().horizontalAdvance(words) + 4, painter.fontMetrics().height()
        sides = [centre.x() + 12, max(centre.x() - wide - 12, 2.0)]
        boxes = [QRectF(x, y, wide, tall) for y in (centre.y() - 12 - tall, centre.y() + 12) for x in sides]
        room = area.adjusted(-area.left(), 0, 0, 0)
        box = min([b for b in boxes if room.contains(b)] or boxes[1:2], key=lambda b: self._covered(b, at_x, y_of))
        painter.fillRect(box, self._theme.color("ground"))
        painter.setPen(self._theme.color("accent"))
        painter.drawText(box, Qt.AlignmentFlag.AlignLeft | Qt.AlignmentFlag.AlignVCenter, words)

    def _covered(self, box: QRectF, at_x, y_of) -> int:  # type: ignore[no-untyped-def]
        """How much of the curves and points lies within a box."""
        drawn = [(x, y) for c in self._curves for x, y in (*zip(c.xs, c.ys, strict=True), *c.points)]
        return sum(box.contains(QPointF(at_x(x), y_of(y))) for x, y in drawn)

    def _read_line(self, painter: QPainter, area: QRectF, at_x) -> None:  # type: ignore[no-untyped-def]
        if self._line is None:
            return
        x = at_x(self._line)
        style = Qt.PenStyle.DashLine if not self.hasFocus() else Qt.PenStyle.SolidLine
        painter.setPen(QPen(self._theme.color("accent"), 1.6, style))
        painter.drawLine(QPointF(x, area.top()), QPointF(x, area.bottom() + 4))
        handle = QPolygonF([QPointF(x - 6, area.top() - 8), QPointF(x + 6, area.top() - 8), QPointF(x, area.top())])
        painter.setBrush(self._theme.color("accent"))
        painter.drawPolygon(handle)

    # --- the points ------------------------------------------------------------------------------------------------

    def _points(self) -> list[tuple[DrawnCurve, int]]:
        """All points, curve by curve, each from left to right."""
        return [(c, i) for c in self._curves for i in sorted(range(len(c.points)), key=lambda i: c.points[i][0])]

    @staticmethod
    def _words_of(curve: DrawnCurve, index: int) -> str:
        x, y = (plain(v, 4) for v in curve.points[index])
        return f"{curve.called or curve.name}: {x}; {y}" if curve.called or curve.name else f"{x}; {y}"

    def _walk(self, by: int) -> None:
        points = self._points()
        if points:
            self._focus = 0 if self._focus is None else min(max(self._focus + by, 0), len(points) - 1)
            self.setAccessibleDescription(self._words_of(*points[self._focus]))
            self.update()

    def open_focused(self) -> None:
        points = self._points()
        if self._focus is not None and self._focus < len(points):
            curve, i = points[self._focus]
            self.opened.emit(curve.behind, i)

    def _point_at(self, place: QPointF) -> int | None:
        x0, x1, y0, y1 = self._spans()
        a = self._area
        for n, (curve, i) in enumerate(self._points()):
            x, y = curve.points[i]
            at = QPointF(
                a.left() + (x - x0) / max(x1 - x0, 1e-12) * a.width(),
                a.bottom() - (y - y0) / max(y1 - y0, 1e-12) * a.height(),
            )
            if (at - place).manhattanLength() < 9:
                return n
        return None

    # --- the line --------------------------------------------------------------------------------------------------

    def _near(self, event: QMouseEvent) -> bool:
        return self._line is not None and abs(self.at(event).x() - self.place_of(self._line)) < 8

    def mousePressEvent(self, event: QMouseEvent) -> None:
        point = None if self._near(event) else self._point_at(self.at(event))
        if point is not None:
            self._focus = point
            self.update()
            self.open_focused()
        elif self._line is not None and self._area.adjusted(-8, -14, 8, 8).contains(self.at(event)):
            self._dragging = True
            self._put(self._x_of(self.at(event).x()))

    def mouseMoveEvent(self, event: QMouseEvent) -> None:
        if self._dragging:
            self._put(self._x_of(self.at(event).x()))
        shape = Qt.CursorShape.SplitHCursor if self._near(event) else Qt.CursorShape.ArrowCursor
        if shape == Qt.CursorShape.ArrowCursor and self._point_at(self.at(event)) is not None:
            shape = Qt.CursorShape.PointingHandCursor
        self.setCursor(shape)

    def mouseReleaseEvent(self, _event: QMouseEvent) -> None:
        self._dragging = False

    def keyPressEvent(self, event: QKeyEvent) -> None:
        walked = {Qt.Key.Key_Up: -1, Qt.Key.Key_Down: 1}.get(Qt.Key(event.key()))
        if walked is not None and self._points():
            self._walk(walked)
            return
        if event.key() in {Qt.Key.Key_Return, Qt.Key.Key_Enter} and self._focus is not None:
            self.open_focused()
            return
        way = {Qt.Key.Key_Left: -1.0, Qt.Key.Key_Right: 1.0}.get(Qt.Key(event.key()))
        if way is None or self._line is None:
            super().keyPressEvent(event)
            return
        x0, x1, _, _ = self._spans()
        tenfold = 10.0 if event.modifiers() & Qt.KeyboardModifier.ShiftModifier else 1.0
        step = round_step(x1 - x0, 6) / 20
        self._put(min(max((round(self._line / step) + way * tenfold) * step, x0), x1))

    def _put(self, x: float) -> None:
        x0, x1, _, _ = self._spans()
        step = round_step(x1 - x0, 6) / 20
        x = round(x / step) * step
        if x != self._line:
            self._line = x
            self.update()
            self.moved.emit(x)
