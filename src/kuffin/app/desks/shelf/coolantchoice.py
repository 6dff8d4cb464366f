"""Which coolant, and how warm: a choice that curves are carried to."""

from __future__ import annotations

from collections.abc import Sequence

from PySide6.QtCore import Signal
from PySide6.QtWidgets import QWidget

from kuffin.app.widgets.flowrow import FlowRow
from kuffin.app.widgets.forms import choice, number, refill
from kuffin.app.widgets.texts import text
from kuffin.core.base.language import tr
from kuffin.core.heat.coolant import WATER, mix_told
from kuffin.notebook.entities import Part
from kuffin.reading.shelfcurves import CoolantState

_AS_MEASURED, _WATER = "as measured", "water"


class CoolantChoice(QWidget):
    """As measured, water, or one of the shelf's coolants, at a temperature."""

    changed = Signal()

    def __init__(self) -> None:
        super().__init__()
        self._parts: dict[int, Part] = {}
        self.box = choice(
            [(tr("as measured"), _AS_MEASURED), (tr("water"), _WATER)], tr("Coolant that curves are carried to")
        )
        self.warmth = number(5, 75, "°C", 0, 5, tr("Coolant temperature"))
        self.warmth.setValue(30)
        self.warmth.setEnabled(False)
        layout = FlowRow(self, 8)
        layout.setContentsMargins(0, 0, 0, 0)
        for widget in (
            text(tr("coolant"), style="muted", wrap=False),
            self.box,
            text(tr("at"), style="muted", wrap=False),
            self.warmth,
        ):
            layout.addWidget(widget)
        self.box.activated.connect(lambda _i: self._chosen())
        self.warmth.valueChanged.connect(lambda _v: self.changed.emit())

    def offer(self, parts: Sequence[Part]) -> None:
        """Offer the coolants that are told well enough to carry a curve to."""
        self._parts = {p.id: p for p in parts if p.kind == "coolant" and mix_told(p.fields) is not None}
        options = [
            (tr("as measured"), _AS_MEASURED),
            (tr("water"), _WATER),
            *((p.name, p.id) for p in self._parts.values()),
        ]
        refill(self.box, options, self.box.currentData())

    def state(self) -> CoolantState | None:
        """What was chosen; None: as measured."""
        chosen = self.box.currentData()
        if chosen == _AS_MEASURED:
            return None
        mix = WATER if chosen == _WATER else mix_told(self._parts[chosen].fields)
        return None if mix is None else CoolantState(mix, self.warmth.value())

    def _chosen(self) -> None:
        self.warmth.setEnabled(self.box.currentData() != _AS_MEASURED)
        self.changed.emit()
