"""The staircase: heat falls from die to coolant to air; step heights are kelvins."""

from __future__ import annotations

from PySide6.QtCore import QPointF, QRectF, QSize, Qt
from PySide6.QtGui import QFont, QPainter, QPaintEvent, QPen
from PySide6.QtWidgets import QWidget

from kuffin.app.look.theme import Theme, figures_font
from kuffin.core.heatpath import Level, Step, bottleneck
from kuffin.verdicts.words import number


class Staircase(QWidget):
    """Draws levels from air upwards, with the rise and resistance of each step."""

    def __init__(self, theme: Theme) -> None:
        super().__init__()
        self._theme = theme
        self._levels: list[Level] = []
        self._steps: list[Step] = []
        self.setMinimumHeight(190)
        self.setAccessibleName("Staircase from air to die")

    def set_theme(self, theme: Theme) -> None:
        self._theme = theme
        self.update()

    def sizeHint(self) -> QSize:
        return QSize(330, 230)

    def show_steps(self, levels: list[Level], steps: list[Step]) -> None:
        """Show a run's levels and steps; nothing clears it."""
        self._levels, self._steps = levels, steps
        self.setAccessibleDescription(
            "; ".join(f"{s.upper} over {s.lower}: {number(s.rise_k, 1)} kelvins" for s in steps) or "no steps known"
        )
        self.update()

    def paintEvent(self, _event: QPaintEvent) -> None:
        painter = QPainter(self)
        painter.setRenderHint(QPainter.RenderHint.Antialiasing)
        t = self._theme
        if len(self._levels) < 2:
            painter.setPen(t.color("muted"))
            painter.drawText(
                self.rect(),
                Qt.AlignmentFlag.AlignCenter | Qt.TextFlag.TextWordWrap,
                "The staircase needs an air and a coolant or die channel.",
            )
            return
        w, h = float(self.width()), float(self.height())
        top, foot = 30.0, h - 8
        low, high = self._levels[0].temperature_c, self._levels[-1].temperature_c
        base = low - 0.3 * max(high - low, 1.0)
        width = w / len(self._levels)
        size = self.font().pointSizeF()
        worst = bottleneck(self._steps)

        def y_of(c: float) -> float:
            return foot - (c - base) / max(high - base, 1e-9) * (foot - top)

        for i, level in enumerate(self._levels):
            x, y = i * width, y_of(level.temperature_c)
            shade = t.levels[min(i, len(t.levels) - 1)]
            box = QRectF(x, y, width - 1, foot - y)
            painter.fillRect(box, shade)
            painter.setPen(QPen(t.color("ink"), 2.2))
            painter.drawLine(QPointF(x, y), QPointF(x + width - 1, y))
            painter.setPen(t.color("ink"))
            painter.setFont(figures_font(size * 1.5, bold=True))
            painter.drawText(
                QRectF(x + 6, y - 28, width - 8, 26),
                Qt.AlignmentFlag.AlignLeft | Qt.AlignmentFlag.AlignBottom,
                f"{number(level.temperature_c, 1)}",
            )
            painter.setFont(QFont(self.font()))
            painter.drawText(QRectF(x + 6, y + 4, width - 8, 20), Qt.AlignmentFlag.AlignLeft, f"{level.name} °C")
            step = self._steps[i - 1] if i else None
            if step is None:
                continue
            # the step's own figures stand inside the taller block, clear of the level's
            painter.setFont(figures_font(size * 0.98, bold=step is worst))
            lines = [f"+{number(step.rise_k, 1)} ± {number(step.u95_k, 1)} K"]
            if step.resistance_k_w is not None:
                lines.append(f"{number(step.resistance_k_w, 3)} K/W")
            if step is worst and len(self._steps) > 1:
                lines.append("largest step")
            room = foot - y - 26
            for j, line in enumerate(lines):
                if (j + 1) * 17 <= room:
                    painter.drawText(QRectF(x + 6, y + 26 + 17 * j, width - 8, 17), Qt.AlignmentFlag.AlignLeft, line)
        painter.end()
