"""Which temperature is read, over which other one."""

from __future__ import annotations

from PySide6.QtCore import Signal
from PySide6.QtWidgets import QHBoxLayout, QWidget

from kuffin.app.base.guarded import guarded
from kuffin.app.widgets.forms import choice, refill
from kuffin.app.widgets.texts import text
from kuffin.core.base.language import tr
from kuffin.core.bench.roles import ROLES, TEMPERATURES
from kuffin.core.bench.undertest import OVER, PAIRS


@guarded
class PairChoice(QWidget):
    """Two choices: the temperature, and what its rise is taken over."""

    changed = Signal()

    def __init__(self) -> None:
        super().__init__()
        self.part = choice([(tr(ROLES[t].label), t) for t in TEMPERATURES], tr("The temperature that is asked about"))
        self.over = choice([], tr("What its rise is taken over"))
        self.part.activated.connect(self._part_chosen)
        self.over.activated.connect(lambda _i: self.changed.emit())
        layout = QHBoxLayout(self)
        layout.setContentsMargins(0, 0, 0, 0)
        layout.addWidget(self.part)
        layout.addWidget(text(tr("over"), style="muted", wrap=False))
        layout.addWidget(self.over)
        layout.addStretch()
        self.show_pair("storage", "air")

    def show_pair(self, part: str, over: str) -> None:
        """Show what is chosen."""
        refill(self.part, [(tr(ROLES[t].label), t) for t in TEMPERATURES], part)
        offered = [(tr(ROLES[t].label) if t in ROLES else t, t) for t in OVER if t != part]
        refill(self.over, offered, over if over != part else "air")

    def key(self) -> str:
        """What is under test, by `core.bench.undertest.PAIRS`."""
        key = tr("{part} over {other}", part=self.part.currentData(), other=self.over.currentData())
        assert key in PAIRS
        return key

    def _part_chosen(self) -> None:
        self.show_pair(str(self.part.currentData()), str(self.over.currentData()))
        self.changed.emit()
