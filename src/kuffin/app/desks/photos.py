"""Photos: a strip of small ones, and one with the four corners of a die marked on it."""

from __future__ import annotations

from collections.abc import Sequence

from PySide6.QtCore import QPointF, QRect, QRectF, QSize, Qt, Signal
from PySide6.QtGui import QDropEvent, QImage, QKeyEvent, QMouseEvent, QPainter, QPen, QPixmap, QPolygonF
from PySide6.QtWidgets import QHBoxLayout, QLabel, QMenu, QSizePolicy, QWidget

from kuffin.app.acts.photojobs import load_photos
from kuffin.app.base.guarded import guarded
from kuffin.app.look.theme import Theme
from kuffin.app.state.windowstate import State
from kuffin.app.widgets.painted import Painted
from kuffin.app.widgets.texts import empty, plain_tip, text
from kuffin.core.base.language import tr
from kuffin.notebook.entities import Attachment

_HEIGHT = 64


def local_files(event: QDropEvent) -> list[str]:
    """The files on this computer among what was dropped."""
    return [u.toLocalFile() for u in event.mimeData().urls() if u.isLocalFile()]


class PhotoStrip(QWidget):
    """Small photos side by side; a right click offers to remove one."""

    removed = Signal(int)

    def __init__(self, state: State) -> None:
        super().__init__()
        self._state = state
        self.shown: list[int] = []
        self._labels: dict[int, QLabel] = {}
        self.small: dict[int, QPixmap] = {}
        state.notebook_changed.connect(self._forget)
        self._row = QHBoxLayout(self)
        self._row.setContentsMargins(0, 0, 0, 0)

    def show_photos(self, photos: Sequence[Attachment]) -> None:
        """Show photos; those shown already stay."""
        ids = [p.id for p in photos]
        if ids == self.shown:
            return
        self.shown = ids
        empty(self._row)
        self._labels = {}
        for photo in photos:
            label = text(wrap=False)
            label.setFixedHeight(_HEIGHT)
            label.setMinimumWidth(_HEIGHT)
            label.setToolTip(plain_tip(f"{photo.name}, {photo.added_at.replace('T', ' ')}"))
            self._labels[photo.id] = label
            if photo.id in self.small:
                label.setPixmap(self.small[photo.id])
            label.setAccessibleName(tr("Photo {name}", name=photo.name))
            label.setContextMenuPolicy(Qt.ContextMenuPolicy.CustomContextMenu)
            label.customContextMenuRequested.connect(lambda at, i=photo.id, w=label: self._menu(w, at, i))
            self._row.addWidget(label)
        load_photos(
            self._state, [(p.id, p.name) for p in photos if p.id not in self.small], self._show, longest=4 * _HEIGHT
        )

    def _show(self, photo_id: int, picture: QImage) -> None:
        if picture.isNull():
            return
        small = picture.scaledToHeight(_HEIGHT, Qt.TransformationMode.SmoothTransformation)
        self.small[photo_id] = QPixmap.fromImage(small)
        if photo_id in self._labels:
            self._labels[photo_id].setPixmap(self.small[photo_id])

    def _forget(self) -> None:
        self.small, self.shown = {}, []

    def _menu(self, label: QLabel, at: object, photo_id: int) -> None:
        menu = QMenu(self)
        menu.addAction(tr("Put it into the bin"), lambda: self.removed.emit(photo_id))
        menu.popup(label.mapToGlobal(at))  # type: ignore[call-overload]


@guarded
class CornerMarker(Painted):
    """A photo on which the four corners of a die are marked: click for each, drag to mend, arrow keys for one pixel."""

    marked = Signal(list)  # four (x, y) in the photo's pixels

    def __init__(self, theme: Theme, name: str) -> None:
        super().__init__()
        self._theme = theme
        self.image = QImage()
        self.corners: list[tuple[float, float]] = []
        self._chosen: int | None = None
        self.empty = tr("drop a photo here")
        self.setAccessibleName(name)
        self.setFocusPolicy(Qt.FocusPolicy.StrongFocus)
        self.setSizePolicy(QSizePolicy.Policy.Expanding, QSizePolicy.Policy.Fixed)
        self.setFixedHeight(215)
        self.setMinimumWidth(200)

    def set_theme(self, theme: Theme) -> None:
        self._theme = theme
        self.update()

    def sizeHint(self) -> QSize:
        return QSize(320, 215)

    def show_photo(
        self, image: QImage, corners: Sequence[tuple[float, float]], empty: str = "drop a photo here"
    ) -> None:
        """Show a photo and the corners marked so far; `empty` stands where there is no photo."""
        self.image, self.empty = image, empty
        self.corners = [(float(x), float(y)) for x, y in corners]
        self._chosen = None
        self.update()

    def _frame(self) -> QRectF:
        if self.image.isNull():
            return QRectF(self.rect())
        size = self.image.size().scaled(self.size(), Qt.AspectRatioMode.KeepAspectRatio)
        return QRectF((self.width() - size.width()) / 2, 0, size.width(), size.height())

    def to_screen(self, corner: tuple[float, float]) -> QPointF:
        """Where a corner, in pixels of the picture, is on the screen."""
        frame = self._frame()
        k = frame.width() / max(self.image.width(), 1)
        return QPointF(frame.left() + corner[0] * k, frame.top() + corner[1] * k)

    def _to_photo(self, point: QPointF) -> tuple[float, float]:
        frame = self._frame()
        k = max(self.image.width(), 1) / frame.width()
        x, y = (point.x() - frame.left()) * k, (point.y() - frame.top()) * k
        return min(max(x, 0.0), self.image.width() - 1.0), min(max(y, 0.0), self.image.height() - 1.0)

    def draw(self, painter: QPainter, _seen: QRect) -> None:
        painter.setRenderHint(QPainter.RenderHint.SmoothPixmapTransform)
        painter.setRenderHint(QPainter.RenderHint.Antialiasing)
        t = self._theme
        if self.image.isNull():
            painter.setPen(QPen(t.color("hairline"), 1.2, Qt.PenStyle.DashLine))
            painter.drawRect(self.rect().adjusted(1, 1, -2, -2))
            painter.setPen(t.color("muted"))
            painter.drawText(self.rect(), Qt.AlignmentFlag.AlignCenter | Qt.TextFlag.TextWordWrap, self.empty)
            return
        painter.drawImage(self._frame(), self.image)
        points = [self.to_screen(c) for c in self.corners]
        painter.setPen(QPen(t.color("accent"), 1.6))
        if len(points) > 1:
            painter.drawPolyline(QPolygonF([*points, points[0]] if len(points) == 4 else points))
        for i, point in enumerate(points):
            painter.setBrush(t.color("accent") if i == self._chosen else Qt.BrushStyle.NoBrush)
            painter.setPen(QPen(Qt.GlobalColor.white, 3.0))
            painter.drawEllipse(point, 5, 5)
            painter.setPen(QPen(t.color("accent"), 1.6))
            painter.drawEllipse(point, 5, 5)
        if self.hasFocus():
            painter.setPen(QPen(t.color("accent"), 1.0, Qt.PenStyle.DotLine))
            painter.setBrush(Qt.BrushStyle.NoBrush)
            painter.drawRect(self._frame().adjusted(0, 0, -1, -1))

    def mousePressEvent(self, event: QMouseEvent) -> None:
        if self.image.isNull():
            return
        near = [i for i, c in enumerate(self.corners) if (self.to_screen(c) - event.position()).manhattanLength() < 16]
        if near:
            self._chosen = near[0]
        elif len(self.corners) < 4:
            self.corners.append(self._to_photo(event.position()))
            self._chosen = len(self.corners) - 1
        self.update()

    def mouseMoveEvent(self, event: QMouseEvent) -> None:
        if self._chosen is not None and event.buttons() & Qt.MouseButton.LeftButton:
            self.corners[self._chosen] = self._to_photo(event.position())
            self.update()

    def mouseReleaseEvent(self, _event: QMouseEvent) -> None:
        if len(self.corners) == 4 and self._chosen is not None:
            self.marked.emit(list(self.corners))

    def keyPressEvent(self, event: QKeyEvent) -> None:
        moves = {Qt.Key.Key_Left: (-1, 0), Qt.Key.Key_Right: (1, 0), Qt.Key.Key_Up: (0, -1), Qt.Key.Key_Down: (0, 1)}
        key = Qt.Key(event.key())
        if self.image.isNull():
            super().keyPressEvent(event)
        elif key == Qt.Key.Key_Backspace and self.corners:
            self.corners.pop()
            self._chosen = None
            self.update()
        elif key == Qt.Key.Key_Space:
            if len(self.corners) < 4:  # begin from the corners of the middle half, and move them
                w, h = self.image.width(), self.image.height()
                self.corners = [(w / 4, h / 4), (3 * w / 4, h / 4), (3 * w / 4, 3 * h / 4), (w / 4, 3 * h / 4)]
            self._chosen = 0 if self._chosen is None else (self._chosen + 1) % 4
            self.update()
        elif key in moves and self._chosen is not None:
            step = 10 if event.modifiers() & Qt.KeyboardModifier.ShiftModifier else 1
            x, y = self.corners[self._chosen]
            self.corners[self._chosen] = (
                min(max(x + step * moves[key][0], 0.0), self.image.width() - 1.0),
                min(max(y + step * moves[key][1], 0.0), self.image.height() - 1.0),
            )
            self.update()
            if len(self.corners) == 4:
                self.marked.emit(list(self.corners))
        else:
            super().keyPressEvent(event)
