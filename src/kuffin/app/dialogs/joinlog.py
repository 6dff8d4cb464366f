"""Joining a further log to a run: how the two lie is found, shown over each other, and taken only then."""

from __future__ import annotations

from typing import TYPE_CHECKING

import numpy as np
from PySide6.QtWidgets import (
    QComboBox,
    QDialog,
    QDialogButtonBox,
    QGridLayout,
    QHBoxLayout,
    QPushButton,
    QScrollArea,
    QVBoxLayout,
    QWidget,
)

from kuffin.app.dialogs.incoming import role_box
from kuffin.app.look.theme import Theme
from kuffin.app.widgets.choice import Choice
from kuffin.app.widgets.dialogsize import open_at
from kuffin.app.widgets.numberspin import NumberSpin
from kuffin.app.widgets.texts import text
from kuffin.core.base.errors import KuffinError
from kuffin.core.base.language import tr
from kuffin.core.base.numbers import plain
from kuffin.core.base.units import shown
from kuffin.logs.table import LogTable
from kuffin.notebook.samples import RunData
from kuffin.reading.loglag import Proposal, at_lag, by_clocks

if TYPE_CHECKING:
    from kuffin.app.widgets.overlayplot import OverlayPlot


class JoinLog(QDialog):
    """Shows run and log over each other at a lag that can be changed."""

    def __init__(
        self,
        data: RunData,
        started_at: str | None,
        table: LogTable,
        found: Proposal,
        theme: Theme,
        parent: QWidget | None = None,
    ) -> None:
        super().__init__(parent)
        self._data, self._table, self._started_at = data, table, started_at
        self.setWindowTitle(tr("Join {file}", file=table.file))
        open_at(self, 1000, 660)
        rate = tr("every {interval_s:.3g} s", interval_s=table.interval_s or 0)
        self._told = text(
            tr(
                "{rows} rows over {duration_s:.1f} min, {rate}. It is kept as it came; only its clock is moved.",
                rows=table.rows,
                duration_s=table.duration_s / 60,
                rate=rate,
            ),
            style="muted",
        )
        self.own, self.other = Choice(), Choice()
        self.own.addItems(list(data.values))
        self.other.addItems([c.name for c in table.channels])
        self.own.setAccessibleName(tr("Channel of the run"))
        self.other.setAccessibleName(tr("Channel of the log"))
        if found.own:
            self.own.setCurrentText(found.own)
            self.other.setCurrentText(found.other)
        self.finder = QPushButton(tr("Find the lag by these"))
        self.finder.clicked.connect(self._find)
        self.clocks = QPushButton(tr("By their clocks"))
        self.clocks.clicked.connect(self._by_clocks)
        self.clocks.setEnabled(by_clocks(started_at, table.start) is not None)
        self.lag = NumberSpin()
        self.lag.setRange(-1e7, 1e7)
        self.lag.setDecimals(1)
        self.lag.setSuffix(" s")
        self.lag.setAccessibleName(tr("Lag"))
        self.lag.setValue(found.lag_s)
        self.said = text(found.sentence)
        self.plot = self._made_plot(theme)
        self._roles: dict[str, QComboBox] = {}
        self._lay_out()
        for box in (self.own, self.other):
            box.activated.connect(self._draw)
        self.lag.valueChanged.connect(self._draw)
        self._draw()

    def _made_plot(self, theme: Theme) -> OverlayPlot:
        from kuffin.app.widgets.overlayplot import OverlayPlot  # slow to import, so only when it is needed

        return OverlayPlot(theme)

    def _lay_out(self) -> None:
        pair = QHBoxLayout()
        for widget in (
            text(tr("run"), wrap=False),
            self.own,
            text(tr("log"), wrap=False),
            self.other,
            self.finder,
            self.clocks,
        ):
            pair.addWidget(widget)
        pair.addStretch()
        pair.addWidget(text(tr("lag"), wrap=False))
        pair.addWidget(self.lag)
        inner = QWidget()
        grid = QGridLayout(inner)
        grid.setContentsMargins(0, 0, 6, 0)
        for row, c in enumerate(self._table.channels):
            box = role_box(c.role)
            box.setAccessibleName(tr("Role of {name}", name=c.name))
            self._roles[c.name] = box
            mean = float(np.nanmean(c.values))
            grid.addWidget(text(c.name, wrap=False), row, 0)
            grid.addWidget(text(f"{plain(mean, 4)} {shown(c.unit)}".strip(), style="muted", wrap=False), row, 1)
            grid.addWidget(box, row, 2)
        grid.setRowStretch(len(self._table.channels), 1)
        scroll = QScrollArea()
        scroll.setWidgetResizable(True)
        scroll.setWidget(inner)
        scroll.setMaximumHeight(170)
        buttons = QDialogButtonBox(QDialogButtonBox.StandardButton.Cancel)
        self.take = buttons.addButton(tr("Join it"), QDialogButtonBox.ButtonRole.AcceptRole)
        buttons.accepted.connect(self.accept)
        buttons.rejected.connect(self.reject)
        layout = QVBoxLayout(self)
        layout.addWidget(self._told)
        layout.addLayout(pair)
        layout.addWidget(self.said)
        layout.addWidget(self.plot, 1)
        layout.addWidget(text(tr("What its channels are. The run's own channel of a role goes first."), style="small"))
        layout.addWidget(scroll)
        layout.addWidget(buttons)

    def _draw(self) -> None:
        channel = next((c for c in self._table.channels if c.name == self.other.currentText()), None)
        own = self._data.values.get(self.own.currentText())
        if channel is not None and own is not None:
            self.plot.show_pair(
                (self.own.currentText(), self._data.times, own),
                (self.other.currentText(), self._table.times + self.lag.value(), channel.values),
            )
        begin, end = self._data.times[0], self._data.times[-1]
        inside = self._table.times[-1] + self.lag.value() > begin and self._table.times[0] + self.lag.value() < end
        self.take.setEnabled(bool(inside))
        self.take.setToolTip("" if inside else tr("at this lag the log overlaps nowhere with the run"))

    def _find(self) -> None:
        try:
            found = at_lag(self._data, self._table, self.own.currentText(), self.other.currentText())
        except KuffinError as error:
            self.said.setText(f"{str(error)[:1].upper()}{str(error)[1:]}.")
            return
        self.said.setText(found.sentence)
        self.lag.setValue(found.lag_s)

    def _by_clocks(self) -> None:
        lag = by_clocks(self._started_at, self._table.start)
        if lag is not None:
            self.lag.setValue(lag)
            self.said.setText(tr("By their clocks: {lag:.0f} s.", lag=lag))

    def roles(self) -> dict[str, str | None]:
        """The chosen roles by channel."""
        return {name: box.currentData() for name, box in self._roles.items()}
