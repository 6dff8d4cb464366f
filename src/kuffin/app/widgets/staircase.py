"""The staircase: heat falls from die to coolant to air; step heights are kelvins."""

from __future__ import annotations

from PySide6.QtCore import QPointF, QRect, QRectF, QSize, Qt, Signal
from PySide6.QtGui import QFontMetricsF, QPainter, QPen

from kuffin.app.base.guarded import guarded
from kuffin.app.look.theme import USUAL_POINTS, Theme, figures_font
from kuffin.app.widgets.keywalked import Walked
from kuffin.core.base.language import tr
from kuffin.core.compare.pairwords import number
from kuffin.core.heat.heatpath import Rise, StairLevel, bottleneck


@guarded
class Staircase(Walked):
    """Draws levels from air upwards, with the rise and resistance of each step; `chosen` gives the trace of one that is opened.

    Parameters
    ----------
    enlarged : float
        How much larger than usual: a live one is read from two metres, and leaves the small print out.
    """

    chosen = Signal(str)

    def __init__(self, theme: Theme, enlarged: float = 1.0) -> None:
        super().__init__(theme, tr("Staircase from air to die"))
        self._k = enlarged
        self._levels: list[StairLevel] = []
        self._steps: list[Rise] = []

    def sizeHint(self) -> QSize:
        return self.sized(330, 230)

    def minimumSizeHint(self) -> QSize:
        return self.sized(120, 190)

    def show_steps(self, levels: list[StairLevel], steps: list[Rise]) -> None:
        """Show a run's levels and steps; nothing clears it."""
        self._levels, self._steps = levels, steps
        self.setAccessibleDescription(
            "; ".join(
                tr(
                    "{upper} over {lower}: {rise:.1f} kelvins",
                    upper=tr(s.upper),
                    lower=tr(s.lower),
                    rise=float(s.rise_k),
                )
                for s in steps
            )
            or tr("no steps known")
        )
        self.update()

    def draw(self, painter: QPainter, _seen: QRect) -> None:
        painter.setRenderHint(QPainter.RenderHint.Antialiasing)
        t = self._theme
        if len(self._levels) < 2:
            painter.setPen(t.color("muted"))
            painter.drawText(
                self.whole,
                Qt.AlignmentFlag.AlignCenter | Qt.TextFlag.TextWordWrap,
                tr("The staircase needs an air and a coolant or die channel."),
            )
            return
        w, h = self.across, self.down
        width, size, live = w / len(self._levels), USUAL_POINTS, self._k > 1
        k = self._k * self._share_that_fits(width - 8)
        top, foot = 30.0 * k, h - (2 if live else 8)
        low = min(level.temperature_c for level in self._levels)
        high = max(level.temperature_c for level in self._levels)
        base = low - 0.3 * max(high - low, 1.0)
        worst = bottleneck(self._steps)

        def y_of(c: float) -> float:
            return foot - (c - base) / max(high - base, 1e-9) * (foot - top)

        self.boxes = []
        own = sum(not level.beside for level in self._levels)  # those beside are of the same kind as the last of these
        for i, level in enumerate(self._levels):
            apart = 10.0 if level.beside else 0.0
            x, y = i * width + apart, y_of(level.temperature_c)
            shade = t.levels[min(i, own - 1, len(t.levels) - 1)]
            box = QRectF(x, y, width - 1 - apart, foot - y)
            painter.fillRect(box, shade)
            painter.setPen(QPen(t.color("ink"), 2.2))
            painter.drawLine(QPointF(x, y), QPointF(x + width - 1 - apart, y))
            painter.setPen(t.color("ink"))
            painter.setFont(figures_font(size * 1.5 * k, bold=True))
            painter.drawText(
                QRectF(x + 6, y - 28 * k, width - 8, 26 * k),
                Qt.AlignmentFlag.AlignLeft | Qt.AlignmentFlag.AlignBottom,
                number(level.temperature_c, 1),
            )
            name = self.letters()
            name.setPointSizeF(size * k * (0.9 if live else 1.0))
            painter.setFont(name)
            called, fm = f"{level.name} °C", painter.fontMetrics()
            if fm.horizontalAdvance(called) > width - 8:  # the figure above has its unit from the others
                called = fm.elidedText(level.name, Qt.TextElideMode.ElideRight, int(width - 8))
            painter.drawText(QRectF(x + 6, y + 4, width - 8, 20 * k), Qt.AlignmentFlag.AlignLeft, called)
            step = self._steps[i - 1] if i else None
            if step is None:
                continue
            if step.trace:
                self.boxes.append(box)
            # the step's own figures stand inside the taller block, clear of the level's
            painter.setFont(figures_font(size * 0.98 * k, bold=step is worst))
            spread = "" if live else f"± {number(step.u95_k, 1)} K"
            sign = "+" if step.rise_k >= 0 else ""
            rise = f"{sign}{number(step.rise_k, 1)}"
            lines = [f"{rise} {spread}" if spread else f"{rise} K"]
            if spread and painter.fontMetrics().horizontalAdvance(lines[0]) > width - 8 - apart:
                lines = [f"{rise} K", spread]  # a narrow step has no room for both beside each other
            if step.resistance_k_w is not None and not live:
                lines.append(f"{number(step.resistance_k_w, 3)} K/W")
            if step is worst and len(self._steps) > 1 and not live:
                said = tr("largest step")
                narrow = painter.fontMetrics().horizontalAdvance(said) > width - 8 - apart
                lines.append(tr("largest") if narrow else said)
            widest = max(painter.fontMetrics().horizontalAdvance(line) for line in lines)
            if widest > width - 8 - apart:  # a little smaller, and what is still too wide is left to the working
                painter.setFont(
                    figures_font(max((width - 8 - apart) / widest, 0.8) * size * 0.98 * k, bold=step is worst)
                )
                lines = [x for x in lines if painter.fontMetrics().horizontalAdvance(x) <= width - 8 - apart]
            room, high_line = foot - y - 26 * k, 17 * k
            for j, line in enumerate(lines):
                if (j + 1) * high_line <= room:
                    place = QRectF(x + 6, y + 26 * k + high_line * j, width - 8, high_line)
                    painter.drawText(place, Qt.AlignmentFlag.AlignLeft, line)
        self.paint_focus(painter)

    def _share_that_fits(self, room: float) -> float:
        """The share of its size at which a level's figure has room in its step; 1 at most."""
        metrics = QFontMetricsF(figures_font(USUAL_POINTS * 1.5 * self._k, bold=True))
        widest = max(metrics.horizontalAdvance(number(level.temperature_c, 1)) for level in self._levels)
        return min(1.0, room / widest)

    def open_item(self, index: int) -> None:
        self.chosen.emit([s.trace for s in self._steps if s.trace][index])
