"""The stage line: the run's phases one after the other, the one that is on standing out, and how far it is."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

from PySide6.QtCore import QPointF, QRect, QRectF, QSize, Qt
from PySide6.QtGui import QPainter, QPen

from kuffin.app.base.guarded import guarded
from kuffin.app.look.theme import USUAL_POINTS, Theme
from kuffin.app.widgets.painted import Scaled
from kuffin.core.base.language import tr
from kuffin.core.bench.protocol import Step


@dataclass(frozen=True)
class Phase:
    """One phase: its step's number, its name in the lead, its name on the line."""

    number: int
    phase: str
    label: str


def phases(steps: Sequence[Step]) -> list[Phase]:
    """A protocol's phases, in order; the mount check stands as a phase of its own after the first load."""
    out: list[Phase] = []
    checked = False
    several = sum(bool(s.load) for s in steps) > 1
    for number, step in enumerate(steps, 1):
        if step.load and not checked:
            out.append(Phase(number, "check", tr("mount check")))
            checked = True
        name = step.name if not step.load or several else tr("warm-up")
        out.append(Phase(number, "settling", name))
        if step.load and step.measure_min > 0:
            out.append(Phase(number, "measuring", tr("measure")))
    return out


@guarded
class StageLine(Scaled):
    """Draws the phases over a line that fills."""

    def __init__(self, theme: Theme) -> None:
        super().__init__()
        self._theme = theme
        self._phases: list[Phase] = []
        self._at, self._share = -1, 0.0
        self.keep_height()
        self.setAccessibleName(tr("Stages of the run"))

    def set_theme(self, theme: Theme) -> None:
        self._theme = theme
        self.update()

    def sizeHint(self) -> QSize:
        return self.sized(600, 46)

    def show_phases(self, found: Sequence[Phase], at: int, share: float) -> None:
        """Show phases, which one is on (−1: none yet; past the last: over), and how far it is."""
        self._phases, self._at, self._share = list(found), at, min(max(share, 0.0), 1.0)
        self.setAccessibleDescription(
            ", ".join(tr("{label} (now)", label=p.label) if i == at else p.label for i, p in enumerate(found))
        )
        self.update()

    def draw(self, painter: QPainter, _seen: QRect) -> None:
        painter.setRenderHint(QPainter.RenderHint.Antialiasing)
        t, n = self._theme, len(self._phases)
        if not n:
            return
        weights = [2.2 if i == self._at else 1.0 for i in range(n)]
        width = (self.across - 6) / sum(weights)
        y, x = 36.0, 3.0
        font = self.letters()
        for i, (phase, weight) in enumerate(zip(self._phases, weights, strict=True)):
            w = weight * width
            painter.setPen(QPen(t.color("hairline"), 5.0, Qt.PenStyle.SolidLine, Qt.PenCapStyle.FlatCap))
            painter.drawLine(QPointF(x, y), QPointF(x + w - 4, y))
            share = 1.0 if i < self._at else self._share if i == self._at else 0.0
            if share > 0:
                painter.setPen(
                    QPen(
                        t.color("accent" if i == self._at else "muted"),
                        5.0,
                        Qt.PenStyle.SolidLine,
                        Qt.PenCapStyle.FlatCap,
                    )
                )
                painter.drawLine(QPointF(x, y), QPointF(x + (w - 4) * share, y))
            now = i == self._at
            font.setPointSizeF(USUAL_POINTS * (1.65 if now else 1.05))
            font.setBold(now)
            painter.setFont(font)
            painter.setPen(t.color("ink" if now else "muted"))
            text = painter.fontMetrics().elidedText(phase.label, Qt.TextElideMode.ElideRight, int(w - 6))
            painter.drawText(QRectF(x, 0, w - 4, 30), Qt.AlignmentFlag.AlignLeft | Qt.AlignmentFlag.AlignBottom, text)
            x += w
