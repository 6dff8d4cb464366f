"""Clock against temperature, with the monotone step function through it."""

from __future__ import annotations

import pyqtgraph as pg
from PySide6.QtWidgets import QVBoxLayout, QWidget

from kuffin.app.look.theme import Theme
from kuffin.app.widgets.plotparts import axes
from kuffin.core.base.language import tr
from kuffin.core.heat.boost import Boost


class BoostPlot(QWidget):
    """Dots are means by whole degrees; the line is what the boost gives up as it warms."""

    def __init__(self, theme: Theme) -> None:
        super().__init__()
        self._boost: Boost | None = None
        self._plot = pg.PlotWidget(axisItems=axes())
        self._plot.setMenuEnabled(False)
        self._plot.hideButtons()
        self._plot.setMouseEnabled(x=False, y=False)
        self._plot.setLabel("left", "MHz")
        self._plot.setLabel("bottom", tr("die, °C"))
        layout = QVBoxLayout(self)
        layout.setContentsMargins(0, 0, 0, 0)
        layout.addWidget(self._plot)
        self.setFixedHeight(230)
        self.setAccessibleName(tr("Clock against temperature"))
        self.set_theme(theme)

    def set_theme(self, theme: Theme) -> None:
        self._theme = theme
        self._plot.setBackground(theme.ground)
        for side in ("left", "bottom"):
            axis = self._plot.getAxis(side)
            axis.setPen(pg.mkPen(theme.hairline))
            axis.setTextPen(pg.mkPen(theme.muted))
            axis.enableAutoSIPrefix(False)
        self._plot.showGrid(x=False, y=True, alpha=0.14)
        self.show_boost(self._boost)

    def show_boost(self, boost: Boost | None) -> None:
        """Show a run's clock; None hides the picture."""
        self._boost = boost
        self._plot.clear()
        self.setVisible(boost is not None)
        if boost is None:
            return
        t = self._theme
        dots = pg.ScatterPlotItem(boost.temperatures_c, boost.clock_mhz, size=6, pen=None, brush=pg.mkBrush(t.muted))
        self._plot.addItem(dots)
        self._plot.plot(boost.temperatures_c, boost.fitted_mhz, pen=pg.mkPen(t.accent, width=2), stepMode=None)
