"""What power at the wall holds besides the part's: a line on the Bench page."""

from __future__ import annotations

from collections.abc import Mapping
from typing import Any

from PySide6.QtCore import Signal
from PySide6.QtWidgets import QWidget

from kuffin.app.widgets.flowrow import FlowRow
from kuffin.app.widgets.forms import NumberLine
from kuffin.app.widgets.texts import text
from kuffin.core.base.language import tr


class WallPowerRow(QWidget):
    """Two numbers that may be missing: what the rest of the machine draws, and the supply's efficiency."""

    told = Signal(str, object)  # a key of the bench's settings, and the number or None
    refused = Signal(str)

    def __init__(self) -> None:
        super().__init__()
        self.idle_w = NumberLine("W", tr("Power at the wall that is not the part's"), 0, 5000)
        self.efficiency = NumberLine("%", tr("Efficiency of the supply"), 20, 100)
        self._lines = {"wall_idle_w": self.idle_w, "wall_efficiency_percent": self.efficiency}
        for key, line in self._lines.items():
            line.given.connect(lambda value, key=key: self.told.emit(key, value))
            line.refused.connect(self.refused)
        layout = FlowRow(self)
        layout.setContentsMargins(0, 0, 0, 0)
        for widget in (
            text(tr("Power at the wall: take off"), wrap=False),
            self.idle_w,
            text(tr("W that the rest draws; supply"), wrap=False),
            self.efficiency,
            text(tr("% efficient. Used only where a log has no other power."), style="muted", wrap=False),
        ):
            layout.addWidget(widget)

    def show_told(self, settings: Mapping[str, Any]) -> None:
        """Show what a bench's settings say."""
        for key, line in self._lines.items():
            line.show_value(settings.get(key))
