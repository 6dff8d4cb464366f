"""What is told of a curve: when, in which coolant, with which instruments, how well they measure."""

from __future__ import annotations

from collections.abc import Callable, Sequence

from PySide6.QtWidgets import QHBoxLayout, QLineEdit, QWidget

from kuffin.app.widgets.forms import NumberLine, choice, refill, with_unit
from kuffin.app.widgets.texts import Form
from kuffin.core.base.language import tr
from kuffin.core.base.saying import say
from kuffin.core.flow.curvekinds import SOURCES
from kuffin.notebook.entities import Curve, Part


class CurveFacts(QWidget):
    """The form; `change` makes the edit: a label, and what is to be changed."""

    def __init__(self, change: Callable[..., object]) -> None:
        super().__init__()
        self._change = change
        self._curve: Curve | None = None
        self.source = choice([(tr(s), s) for s in SOURCES], tr("Where the readings come from"))
        self.source.activated.connect(lambda _i: self._give(source=self.source.currentData()))
        self.coolant = choice([], tr("Coolant in it"))
        self.coolant.activated.connect(lambda _i: self._give(coolant_id=self.coolant.currentData()))
        self.warmth = NumberLine("°C", tr("Coolant temperature"), -20, 110)
        self.warmth.given.connect(lambda v: self._give(temperature_c=v))
        self.lines = {
            key: self._line(key, name, hint)
            for key, name, hint in (
                ("measured_on", tr("Measured on"), "2026-11-02"),
                ("instruments", tr("Instruments"), tr("which meter and gauge")),
                ("flow_accuracy", tr("Accuracy of flow"), "2 %"),
                ("pressure_accuracy", tr("Accuracy of pressure"), "1 % + 0.1 kPa"),
                ("note", tr("Note"), ""),
            )
        }
        left, right = Form(), Form()
        left.addRow(tr("read"), self.source)
        left.addRow(tr("on"), self.lines["measured_on"])
        left.addRow(tr("coolant"), self.coolant)
        left.addRow(tr("its temperature"), with_unit(self.warmth, "°C"))
        right.addRow(tr("instruments"), self.lines["instruments"])
        right.addRow(tr("flow is good to ±"), self.lines["flow_accuracy"])
        right.addRow(tr("pressure is good to ±"), self.lines["pressure_accuracy"])
        right.addRow(tr("note"), self.lines["note"])
        both = QHBoxLayout(self)
        both.setContentsMargins(0, 8, 0, 0)
        both.addLayout(left, 1)
        both.addSpacing(24)
        both.addLayout(right, 1)

    def _line(self, key: str, name: str, hint: str) -> QLineEdit:
        line = QLineEdit()
        line.setAccessibleName(name)
        line.setPlaceholderText(hint)
        line.editingFinished.connect(lambda: self._give(**{key: line.text().strip()}))
        return line

    def _give(self, **values: object) -> None:
        curve = self._curve
        if curve is not None and any(getattr(curve, k) != v for k, v in values.items()):
            self._change(say("tell more of the readings"), **values)

    def show_curve(self, curve: Curve, coolants: Sequence[Part]) -> None:
        """Show a curve."""
        self._curve = curve
        refill(self.source, [(tr(s), s) for s in SOURCES], curve.source)
        refill(self.coolant, [(tr("not told"), None), *((p.name, p.id) for p in coolants)], curve.coolant_id)
        self.warmth.show_value(curve.temperature_c)
        for key, line in self.lines.items():
            if not line.hasFocus():
                line.setText(str(getattr(curve, key)))
