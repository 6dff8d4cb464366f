"""Where on the board each pad goes: the die in the middle, components around it, moved by the mouse or the arrow keys."""

from __future__ import annotations

from PySide6.QtCore import QPointF, QRect, QRectF, QSize, Qt, Signal
from PySide6.QtGui import QBrush, QKeyEvent, QMouseEvent, QPainter, QPen

from kuffin.app.base.guarded import guarded
from kuffin.app.look.theme import Theme
from kuffin.app.widgets.painted import Scaled
from kuffin.app.widgets.texts import plain_tip
from kuffin.core.base.language import tr
from kuffin.core.base.numbers import plain
from kuffin.core.prepare.padfit import BOARD_MM, PRINTS, PadFit, Place

_DIE_MM = 26.0
_STEP_MM, _LEAST_MM, _EDGE_PX = 1.0, 3.0, 8.0
_BAD = {"no contact", "in part", "tight", "loose"}


@guarded
class PadMap(Scaled):
    """Drag a pad to its place, its lower right corner to its size; arrows move the chosen one, with Shift they size it."""

    chosen = Signal(int)
    placed = Signal(int, list)  # which, and its place when the mouse or the key is let go

    def __init__(self, theme: Theme) -> None:
        super().__init__()
        self._theme = theme
        self._pads: list[tuple[PadFit, Place]] = []
        self._at = -1
        self._grip: tuple[QPointF, Place, bool] | None = None
        self.setFocusPolicy(Qt.FocusPolicy.StrongFocus)
        self.setMouseTracking(True)
        self.setAccessibleName(tr("Pads on the board"))

    def sizeHint(self) -> QSize:
        return self.sized(480, 320)

    def minimumSizeHint(self) -> QSize:
        return self.sized(300, 300)

    def set_theme(self, theme: Theme) -> None:
        self._theme = theme
        self.update()

    def show_pads(self, pads: list[tuple[PadFit, Place]], at: int) -> None:
        """Draw pads in their places, one of them chosen (−1: none)."""
        self._pads, self._at, self._grip = list(pads), at, None
        self.setAccessibleDescription(" ".join(f.sentence for f, _ in pads))
        self.update()

    # --- drawing ---------------------------------------------------------------------------------------------------

    def _scale(self) -> float:
        return min((self.across - 12) / BOARD_MM[0], (self.down - 12) / BOARD_MM[1])

    def box(self, place: Place) -> QRectF:
        """Where a place is drawn."""
        x, y, width, height = place
        k, middle = self._scale(), QPointF(self.across / 2, self.down / 2)
        return QRectF(middle.x() + (x - width / 2) * k, middle.y() + (y - height / 2) * k, width * k, height * k)

    def draw(self, painter: QPainter, _seen: QRect) -> None:
        painter.setRenderHint(QPainter.RenderHint.Antialiasing)
        t = self._theme
        painter.setPen(QPen(t.color("hairline"), 1.4))
        painter.setBrush(t.color("raised"))
        painter.drawRoundedRect(self.box((0, 0, *BOARD_MM)), 6, 6)
        painter.setPen(QPen(t.color("ink"), 1.4))
        painter.setBrush(t.color("ground"))
        die = self.box((0, 0, _DIE_MM, _DIE_MM))
        painter.drawRect(die)
        painter.drawText(die, Qt.AlignmentFlag.AlignCenter, tr("die"))
        for i, (found, place) in enumerate(self._pads):
            self._draw_pad(painter, found, self.box(place), i == self._at)

    def _draw_pad(self, painter: QPainter, found: PadFit, box: QRectF, chosen: bool) -> None:
        t = self._theme
        ink = (
            t.color("warn") if found.state in _BAD else t.color("ink") if found.state != "unknown" else t.color("muted")
        )
        fill = t.color("hairline") if found.state not in _BAD else t.color("accent_ground")
        painter.setPen(QPen(ink, 2.6 if chosen else 1.2))
        painter.setBrush(t.color("ground"))
        painter.drawRect(box)
        printed = found.pad.printed
        if not printed:
            painter.fillRect(box, QBrush(t.color("hairline"), Qt.BrushStyle.BDiagPattern))
        elif printed != PRINTS[2]:  # all of it, or a half that stands for a part
            painter.fillRect(box if printed == PRINTS[0] else box.adjusted(0, 0, -box.width() / 2, 0), fill)
        painter.setBrush(Qt.BrushStyle.NoBrush)
        painter.drawRect(box)
        if printed == PRINTS[2]:
            painter.drawLine(box.topLeft(), box.bottomRight())
            painter.drawLine(box.bottomLeft(), box.topRight())
        if chosen:
            painter.fillRect(QRectF(box.right() - 4, box.bottom() - 4, 8, 8), ink)
        words = f"{plain(found.pad.thickness_mm)} mm"
        painter.setPen(t.color("ink"))
        if painter.fontMetrics().horizontalAdvance(words) > box.width() - 2 and box.height() > box.width():
            painter.save()
            painter.translate(box.center())
            painter.rotate(-90)
            painter.drawText(
                QRectF(-box.height() / 2, -box.width() / 2, box.height(), box.width()),
                Qt.AlignmentFlag.AlignCenter,
                words,
            )
            painter.restore()
        else:
            painter.drawText(box.adjusted(-20, 0, 20, 0), Qt.AlignmentFlag.AlignCenter, words)

    # --- placing ---------------------------------------------------------------------------------------------------

    def _under(self, at: QPointF) -> int:
        near = [i for i, (_, p) in enumerate(self._pads) if self.box(p).adjusted(-3, -3, 5, 5).contains(at)]
        return self._at if self._at in near else near[-1] if near else -1

    def _choose(self, at: int) -> None:
        if at != self._at:
            self._at = at
            self.chosen.emit(at)
            self.update()

    def mousePressEvent(self, event: QMouseEvent) -> None:
        self.setFocus()
        at = self._under(self.at(event))
        self._choose(at)
        if at >= 0:
            place = self._pads[at][1]
            corner = self.box(place).bottomRight() - self.at(event)
            self._grip = (self.at(event), place, max(abs(corner.x()), abs(corner.y())) <= _EDGE_PX)

    def mouseMoveEvent(self, event: QMouseEvent) -> None:
        at = self._under(self.at(event))
        self.setToolTip(plain_tip(self._pads[at][0].sentence if at >= 0 else ""))
        if self._grip is None or self._at < 0:
            return
        begun, place, sizing = self._grip
        moved = (self.at(event) - begun) / self._scale()
        self._put(_changed(place, moved.x(), moved.y(), sizing))

    def mouseReleaseEvent(self, _event: QMouseEvent) -> None:
        if self._grip is not None and self._at >= 0 and self._pads[self._at][1] != self._grip[1]:
            self.placed.emit(self._at, list(self._pads[self._at][1]))
        self._grip = None

    def keyPressEvent(self, event: QKeyEvent) -> None:
        steps = {
            Qt.Key.Key_Left: (-_STEP_MM, 0.0),
            Qt.Key.Key_Right: (_STEP_MM, 0.0),
            Qt.Key.Key_Up: (0.0, -_STEP_MM),
            Qt.Key.Key_Down: (0.0, _STEP_MM),
        }
        step = steps.get(Qt.Key(event.key()))
        if event.key() in {Qt.Key.Key_PageDown, Qt.Key.Key_PageUp} and self._pads:
            self._choose((self._at + (1 if event.key() == Qt.Key.Key_PageDown else -1)) % len(self._pads))
        elif step is None or self._at < 0:
            super().keyPressEvent(event)
        else:
            sizing = bool(event.modifiers() & Qt.KeyboardModifier.ShiftModifier)
            self._put(_changed(self._pads[self._at][1], *step, sizing))
            self.placed.emit(self._at, list(self._pads[self._at][1]))

    def _put(self, place: Place) -> None:
        self._pads[self._at] = (self._pads[self._at][0], place)
        self.update()


def _changed(place: Place, dx: float, dy: float, sizing: bool) -> Place:
    """A place moved, or sized by its lower right corner, within the board; whole tenths of a millimetre."""
    x, y, width, height = place
    if sizing:
        wider, higher = max(width + dx, _LEAST_MM), max(height + dy, _LEAST_MM)
        x, y, width, height = x + (wider - width) / 2, y + (higher - height) / 2, wider, higher
    else:
        x, y = x + dx, y + dy
    x = min(max(x, -BOARD_MM[0] / 2), BOARD_MM[0] / 2)
    y = min(max(y, -BOARD_MM[1] / 2), BOARD_MM[1] / 2)
    return round(x, 1), round(y, 1), round(width, 1), round(height, 1)
