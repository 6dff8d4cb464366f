"""Two traces over each other on one time axis, each on a scale of its own: to see whether they lie right."""

from __future__ import annotations

import html

import numpy as np
import pyqtgraph as pg
from numpy.typing import NDArray
from PySide6.QtWidgets import QVBoxLayout, QWidget

from kuffin.app.look.theme import Theme
from kuffin.app.widgets.plotparts import axes
from kuffin.core.base.language import tr

Array = NDArray[np.float64]
Named = tuple[str, Array, Array]


class OverlayPlot(QWidget):
    """Draws a pair, both stretched to the same height."""

    def __init__(self, theme: Theme) -> None:
        super().__init__()
        self._theme = theme
        self._plot = pg.PlotWidget(axisItems=axes())
        self._plot.setMenuEnabled(False)
        self._plot.hideButtons()
        self._plot.setBackground(theme.ground)
        self._plot.setDownsampling(auto=True, mode="peak")
        self._plot.setClipToView(True)
        self._plot.hideAxis("left")
        axis = self._plot.getAxis("bottom")
        axis.setPen(pg.mkPen(theme.hairline))
        axis.setTextPen(pg.mkPen(theme.muted))
        self._plot.setLabel("bottom", tr("minutes of the run"))
        self._names = pg.LabelItem("", color=theme.ink)
        self._names.setParentItem(self._plot.getPlotItem().getViewBox())
        self._names.anchor((0, 0), (0, 0), offset=(6, 0))
        layout = QVBoxLayout(self)
        layout.setContentsMargins(0, 0, 0, 0)
        layout.addWidget(self._plot)
        self.setAccessibleName(tr("Run and log over each other"))

    def show_pair(self, own: Named, other: Named) -> None:
        """Show a channel of the run (in ink) and one of the log (in the accent colour)."""
        t = self._theme
        self._plot.clear()
        for (_, times, values), colour, width in ((own, t.ink, 1.0), (other, t.accent, 1.6)):
            self._plot.plot(times / 60, _stretched(values), pen=pg.mkPen(colour, width=width), connect="finite")
        first, second = html.escape(own[0]), html.escape(other[0])
        self._names.setText(f'{first} · <span style="color:{t.accent}">{second}</span>')


def _stretched(x: Array) -> Array:
    finite = x[np.isfinite(x)]
    if not finite.size:
        return x
    low, high = np.percentile(finite, [1, 99])
    return np.asarray((x - low) / max(float(high - low), 1e-9), float)
