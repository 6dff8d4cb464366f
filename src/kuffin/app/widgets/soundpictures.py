"""A recording in pictures: third octaves as bars with its tones above them, and how it sounded from moment to moment."""

from __future__ import annotations

from collections.abc import Sequence

import numpy as np
from numpy.typing import NDArray
from PySide6.QtCore import QPointF, QRect, QRectF, QSize, Qt, Signal
from PySide6.QtGui import QImage, QMouseEvent, QPainter, QPen, QPolygonF
from PySide6.QtWidgets import QSizePolicy

from kuffin.app.base.guarded import guarded
from kuffin.app.look.theme import USUAL_POINTS, Theme, figures_font
from kuffin.app.widgets.axis import paint_axis, paint_upright_axis
from kuffin.app.widgets.painted import Scaled
from kuffin.core.base.language import tr

Array = NDArray[np.float64]
_LEFT, _RIGHT, _TOP, _FOOT = 52.0, 16.0, 24.0, 40.0
_MARKS = (31.5, 63, 125, 250, 500, 1000, 2000, 4000, 8000, 16000)
_DEPTH_DB = 50.0  # from the loudest to blank


def _rgb(theme: Theme, name: str) -> Array:
    colour = theme.color(name)
    return np.array([colour.red(), colour.green(), colour.blue()], dtype=np.float64)


def _hz_words(hz: float) -> str:
    return f"{hz / 1000:g}k" if hz >= 1000 else f"{hz:g}"


@guarded
class _OverFrequency(Scaled):
    """A picture over a logarithmic axis of frequency."""

    def __init__(self, theme: Theme, name: str, height: int) -> None:
        super().__init__()
        self._theme = theme
        self._low, self._high = 25.0, 20_000.0
        self.setAccessibleName(name)
        self.setSizePolicy(QSizePolicy.Policy.Expanding, QSizePolicy.Policy.Fixed)
        self._tall = height
        self.keep_height()

    def sizeHint(self) -> QSize:
        return self.sized(560, self._tall)

    def set_theme(self, theme: Theme) -> None:
        """Take another theme."""
        self._theme = theme
        self.update()

    @property
    def _area(self) -> QRectF:
        return QRectF(_LEFT, _TOP, self.across - _LEFT - _RIGHT, self.down - _TOP - _FOOT)

    def _share(self, hz: float) -> float:
        return float(np.log(hz / self._low) / np.log(self._high / self._low))


@guarded
class ThirdOctaves(_OverFrequency):
    """Bars for levels, a line for the finer spectrum, and a stroke with its frequency for each prominent tone."""

    def __init__(self, theme: Theme) -> None:
        super().__init__(theme, tr("Third octaves"), 230)
        self._thirds: Sequence[tuple[float, float]] = ()
        self._tones: Sequence[tuple[float, float, bool]] = ()
        self._unit = "dB"
        self._fine: tuple[Array, Array] = (np.empty(0), np.empty(0))

    def show_spectrum(self, hz: Array, db: Array) -> None:
        """Show the level in each twelfth of an octave; nothing for none."""
        self._fine = hz, db
        self.update()

    def show_levels(
        self, thirds: Sequence[tuple[float, float]], tones: Sequence[tuple[float, float, bool]], unit: str
    ) -> None:
        """Show levels: (Hz, dB), and tones: (Hz, dB, whether it is prominent)."""
        self._thirds, self._tones, self._unit = thirds, tones, unit
        self._fine = np.empty(0), np.empty(0)
        said = "; ".join(f"{hz:.0f} Hz {db:.0f} {unit}" for hz, db in thirds)
        self.setAccessibleDescription(said)
        self.update()

    def draw(self, painter: QPainter, _seen: QRect) -> None:
        painter.setRenderHint(QPainter.RenderHint.Antialiasing)
        if not self._thirds:
            return
        t, area = self._theme, self._area
        self._low, self._high = self._thirds[0][0] * 10**-0.05, self._thirds[-1][0] * 10**0.05
        values = [db for _, db in self._thirds] + [db for _, db, _ in self._tones]
        high = max(values) + 6
        low = max(min(values) - 3, high - 60)

        on_axis = paint_upright_axis(painter, t, area, low, high)

        def y_of(db: float) -> float:
            return on_axis(max(db, low))

        for hz, db in self._thirds:
            left = area.left() + self._share(hz * 10**-0.045) * area.width()
            right = area.left() + self._share(hz * 10**0.045) * area.width()
            painter.fillRect(QRectF(left, y_of(db), right - left, area.bottom() - y_of(db)), t.color("hairline"))
        fine = [
            QPointF(area.left() + self._share(float(hz)) * area.width(), y_of(float(db)))
            for hz, db in zip(*self._fine, strict=True)
            if self._low <= hz <= self._high
        ]
        painter.setPen(QPen(t.color("ink"), 1.2))
        painter.drawPolyline(QPolygonF(fine))
        last = -100.0
        for hz, db, prominent in self._tones:
            x = area.left() + self._share(hz) * area.width()
            painter.setPen(QPen(t.color("accent" if prominent else "ink"), 2.0 if prominent else 1.0))
            painter.drawLine(QPointF(x, area.bottom()), QPointF(x, y_of(db)))
            if prominent and x - last > 44:
                painter.drawText(
                    QRectF(x - 40, y_of(db) - 19, 80, 18), Qt.AlignmentFlag.AlignCenter, tr("{hz:.0f} Hz", hz=hz)
                )
                last = x
        painter.setPen(t.color("muted"))
        for hz in _MARKS:
            if self._low < hz < self._high:
                x = area.left() + self._share(hz) * area.width()
                painter.drawText(
                    QRectF(x - 24, area.bottom() + 3, 48, 18), Qt.AlignmentFlag.AlignHCenter, _hz_words(hz)
                )
        painter.setFont(self.letters())
        painter.drawText(
            QRectF(0, 0, self.across, 20),
            Qt.AlignmentFlag.AlignLeft,
            tr("third octaves, and a line for twelfths, {unit}", unit=self._unit),
        )
        painter.drawText(
            QRectF(area.left(), area.bottom() + 20, area.width(), 20), Qt.AlignmentFlag.AlignRight, tr("Hz")
        )


@guarded
class Waterfall(_OverFrequency):
    """Time to the right, frequency up, the louder the stronger; a click chooses a moment, from which one listens."""

    chosen = Signal(float)  # seconds

    def __init__(self, theme: Theme) -> None:
        super().__init__(theme, tr("How it sounded over time"), 230)
        self._times, self._hz, self._picture = np.empty(0), np.empty(0), np.empty((0, 0))

    def show_sound(self, times: Array, hz: Array, picture: Array) -> None:
        """Show mean squares, shape (times, hz); nothing for none."""
        self._times, self._hz, self._picture = times, hz, picture
        self.setVisible(picture.size > 0)
        self.setToolTip(tr("Click to listen from there"))
        self.update()

    def mousePressEvent(self, event: QMouseEvent) -> None:
        if self._picture.size:
            share = (self.at(event).x() - self._area.left()) / max(self._area.width(), 1.0)
            self.chosen.emit(float(np.clip(share, 0.0, 1.0) * self._times[-1]))

    def _image(self) -> QImage:
        """The picture, from the ground's colour to ink."""
        db = 10 * np.log10(np.maximum(self._picture, 1e-30))
        high = float(np.percentile(db, 99.8))
        share = np.clip((db - (high - _DEPTH_DB)) / _DEPTH_DB, 0.0, 1.0).T[::-1, :, None]
        ground, ink = (_rgb(self._theme, name) for name in ("ground", "ink"))
        pixels = np.ascontiguousarray(np.round(ground + (ink - ground) * share).astype(np.uint8))
        tall, wide, _ = pixels.shape
        return QImage(pixels.data, wide, tall, 3 * wide, QImage.Format.Format_RGB888).copy()

    def draw(self, painter: QPainter, _seen: QRect) -> None:
        if not self._picture.size:
            return
        t, area = self._theme, self._area
        self._low, self._high = float(self._hz[0]), float(self._hz[-1])
        painter.setRenderHint(QPainter.RenderHint.SmoothPixmapTransform)
        painter.drawImage(area, self._image())
        painter.setRenderHint(QPainter.RenderHint.Antialiasing)
        paint_axis(painter, t, QRectF(area.left(), area.bottom(), area.width(), 0.0), 0.0, float(self._times[-1]), "s")
        painter.setFont(figures_font(USUAL_POINTS))
        painter.setPen(t.color("muted"))
        for hz in _MARKS[1::2]:
            if self._low < hz < self._high:
                y = area.bottom() - self._share(hz) * area.height()
                painter.drawLine(QPointF(area.left() - 4, y), QPointF(area.left(), y))
                box = QRectF(0, y - 10, _LEFT - 8, 20)
                painter.drawText(box, Qt.AlignmentFlag.AlignRight | Qt.AlignmentFlag.AlignVCenter, _hz_words(hz))
        painter.setFont(self.letters())
        said = tr("over time, Hz; the louder the stronger")
        said = painter.fontMetrics().elidedText(said, Qt.TextElideMode.ElideRight, int(self.across))
        painter.drawText(QRectF(0, 0, self.across, 20), Qt.AlignmentFlag.AlignLeft, said)
