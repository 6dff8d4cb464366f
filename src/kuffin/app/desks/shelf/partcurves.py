"""The curves of one part, drawn on its page: what it restricts, or what a pump gives, with the readings behind each."""

from __future__ import annotations

from dataclasses import replace

from PySide6.QtCore import Signal
from PySide6.QtWidgets import QVBoxLayout, QWidget

from kuffin.app.desks.shelf.fittedreadings import fitted_readings
from kuffin.app.look.theme import Theme
from kuffin.app.widgets.curveplot import CurvePlot, DrawnCurve
from kuffin.app.widgets.figuretable import FigureTable
from kuffin.app.widgets.texts import text
from kuffin.core.base.errors import KuffinError
from kuffin.core.base.language import counted, tr
from kuffin.core.flow.curvekinds import curve_kind
from kuffin.notebook.entities import Curve, Part
from kuffin.reading.shelfcurves import state_of


class PartCurves(QWidget):
    """Hidden where a part has none; `readings_wanted` leads to a curve's readings."""

    readings_wanted = Signal(int)

    def __init__(self, theme: Theme) -> None:
        super().__init__()
        self.plot = CurvePlot(theme, tr("What this part restricts, or gives"), 240)
        self.plot.opened.connect(lambda curve_id, _i: self.readings_wanted.emit(curve_id))
        self.table = FigureTable(tr("Curves of this part"))
        column = QVBoxLayout(self)
        column.setContentsMargins(0, 8, 0, 0)
        column.addWidget(text(tr("Flow and pressure"), style="heading"))
        column.addWidget(self.plot)
        column.addWidget(self.table)

    def set_theme(self, theme: Theme) -> None:
        """Take another theme."""
        self.plot.set_theme(theme)

    def show_part(self, part: Part | None) -> None:
        """Show a part's curves."""
        curves = [] if part is None else part.live_curves
        self.setVisible(bool(curves))
        drawn = [replace(d, behind=c.id) for c in curves for d in _drawn(c)]
        self.plot.setVisible(bool(drawn))
        self.plot.show_curves(drawn, tr("flow, L/h"), tr("pressure, kPa"), from_nothing=True)
        rows = []
        for c in curves:
            state = state_of(c)
            n = len(c.points)
            told = state.words if state is not None else tr("coolant or temperature not told")
            rows.append(
                (
                    tr(curve_kind(c.kind).label),
                    counted(n, "{n} reading", "{n} readings"),
                    c.measured_on,
                    f"{c.source}, {told}",
                )
            )
        ids = [c.id for c in curves]
        self.table.show_rows(
            ("", tr("readings"), tr("on"), ""), rows, words=True, opens={1: lambda i: self.readings_wanted.emit(ids[i])}
        )


def _drawn(curve: Curve) -> list[DrawnCurve]:
    """The curves of some readings, a nameless one by its date; none where they tell none."""
    try:
        return [replace(d, name=d.name or curve.measured_on) for d in fitted_readings(curve).curves]
    except KuffinError:
        return []
