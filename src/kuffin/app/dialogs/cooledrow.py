"""Where logs hold several devices: whose die is asked about, and which of them the loop cools, in the direction of flow."""

from __future__ import annotations

from collections.abc import Sequence
from itertools import permutations

from PySide6.QtWidgets import QHBoxLayout, QWidget

from kuffin.app.base.guarded import guarded
from kuffin.app.widgets.choice import Choice
from kuffin.app.widgets.forms import choice, refill
from kuffin.app.widgets.texts import text
from kuffin.core.base.language import tr
from kuffin.core.bench.devices import ChannelRole, Cooled
from kuffin.core.bench.roles import DIE

_THEN = ", then "


@guarded
class CooledRow(QWidget):
    """Two choices; shown only where they matter, and kept with the study and its bench."""

    def __init__(self, cooled: Cooled) -> None:
        super().__init__()
        self._cooled = cooled
        self._devices: list[str] = []
        self.about = choice([], tr("Whose die is asked about"))
        self.loop = Choice()
        self.loop.setEditable(True)
        self.loop.setMinimumWidth(230)
        self.loop.setAccessibleName(tr("What the loop cools, in the direction of flow"))
        line = self.loop.lineEdit()
        if line is not None:
            line.setPlaceholderText(tr("not said"))
        self._about_label = text(tr("asked about: the die of"), wrap=False)
        self._loop_label = text(tr("the loop cools"), wrap=False)
        column = QHBoxLayout(self)
        column.setContentsMargins(0, 0, 0, 0)
        column.addWidget(text(tr("Several devices are in these logs;"), wrap=False))
        for widget in (self._about_label, self.about, self._loop_label, self.loop):
            column.addWidget(widget)
        column.addStretch()

    def show_channels(self, logs: Sequence[Sequence[ChannelRole]]) -> None:
        """Offer the devices that the logs' channels belong to now."""
        dies = list(dict.fromkeys(c.device for log in logs for c in log if c.role in DIE and c.device))
        heating = list(dict.fromkeys(c.device for log in logs for c in log if c.role in {*DIE, "power"} and c.device))
        if [*dies, "", *heating] != self._devices:
            self._devices = [*dies, "", *heating]
            wanted = self.about.currentData() or next(
                (d for d in dies if self._cooled.device and d.startswith(self._cooled.device)), None
            )
            refill(self.about, [(tr("not said"), None), *[(d, d) for d in dies]], wanted)
            kept = self.loop.currentText() or _THEN.join(self._cooled.loop)
            self.loop.clear()
            self.loop.addItems(
                [_THEN.join(p) for n in (1, 2, 3) for p in permutations(heating[:4], n) if n <= len(heating)][:24]
            )
            self.loop.setCurrentText(kept)
        for widget in (self._about_label, self.about):
            widget.setVisible(len(dies) > 1)
        for widget in (self._loop_label, self.loop):
            widget.setVisible(len(heating) > 1 and not self._cooled.loop)
        self.setVisible(len(dies) > 1 or (len(heating) > 1 and not self._cooled.loop))

    def told(self) -> Cooled:
        """What was said; what was not asked for stays as it was."""
        device = self.about.currentData() if not self.about.isHidden() else self._cooled.device
        loop = self._cooled.loop
        if not self.loop.isHidden():
            words = self.loop.currentText().replace(_THEN, ",").split(",")
            loop = tuple(dict.fromkeys(" ".join(w.split()) for w in words if w.strip()))
        return Cooled(device, loop)
