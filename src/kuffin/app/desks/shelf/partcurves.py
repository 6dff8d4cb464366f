"""The curves of one part, drawn on its page: what it restricts, or what a pump gives, with the readings behind each."""

from __future__ import annotations

import numpy as np
from PySide6.QtCore import Signal
from PySide6.QtWidgets import QVBoxLayout, QWidget

from kuffin.app.look.theme import Theme
from kuffin.app.widgets.curveplot import CurvePlot, DrawnCurve
from kuffin.app.widgets.figuretable import FigureTable
from kuffin.app.widgets.texts import text
from kuffin.core.base.errors import KuffinError
from kuffin.core.flow.curvekinds import curve_kind
from kuffin.notebook.entities import Curve, Part
from kuffin.reading.shelfcurves import fit_part, fit_pump_of, state_of

_STEPS = 40


class PartCurves(QWidget):
    """Hidden where a part has none; `readings_wanted` leads to a curve's readings."""

    readings_wanted = Signal(int)

    def __init__(self, theme: Theme) -> None:
        super().__init__()
        self.plot = CurvePlot(theme, "What this part restricts, or gives", 240)
        self.table = FigureTable("Curves of this part")
        column = QVBoxLayout(self)
        column.setContentsMargins(0, 8, 0, 0)
        column.addWidget(text("Flow and pressure", style="heading"))
        column.addWidget(self.plot)
        column.addWidget(self.table)

    def set_theme(self, theme: Theme) -> None:
        """Take another theme."""
        self.plot.set_theme(theme)

    def show_part(self, part: Part | None) -> None:
        """Show a part's curves."""
        curves = [] if part is None else part.live_curves
        self.setVisible(bool(curves))
        drawn = [d for c in curves if (d := _drawn(c)) is not None]
        self.plot.setVisible(bool(drawn))
        self.plot.show_curves(drawn, "flow, L/h", "pressure, kPa", from_nothing=True)
        rows = []
        for c in curves:
            state = state_of(c)
            n = len(c.points)
            told = state.words if state is not None else "coolant or temperature not told"
            rows.append(
                (curve_kind(c.kind).label, f"{n} reading{'' if n == 1 else 's'}", c.measured_on, f"{c.source}, {told}")
            )
        ids = [c.id for c in curves]
        self.table.show_rows(
            ("", "readings", "on", ""), rows, words=True, opens={1: lambda i: self.readings_wanted.emit(ids[i])}
        )


def _drawn(curve: Curve) -> DrawnCurve | None:
    """The curve of some readings; None where they tell none."""
    try:
        if curve.kind == "restriction":
            fit = fit_part(curve)
            xs = np.linspace(0.0, 1.05 * fit.measured[1], _STEPS)
            points = list(zip(fit.flow, fit.drop, strict=True))
            return DrawnCurve(
                name=curve.measured_on,
                xs=list(xs),
                ys=[fit.at(float(x)) for x in xs],
                points=points,
                odd=fit.standing_off,
                solid=fit.measured,
            )
        if curve.kind == "pump":
            pump = fit_pump_of(curve)
            xs = np.linspace(0.0, min(1.05 * pump.measured[1], float(np.sqrt(pump.h / pump.k))), _STEPS)
            full = [(p[0], p[1]) for p in curve.points if p[2] == 100.0]
            return DrawnCurve(
                name="full speed",
                xs=list(xs),
                ys=[pump.head(float(x), 1.0) for x in xs],
                points=full,
                solid=pump.measured,
            )
    except KuffinError:
        return None
    return None
