"""Pairs of flow and pressure read live: open the valve a little, wait, press Space."""

from __future__ import annotations

import math
from dataclasses import replace
from pathlib import Path

from PySide6.QtCore import Qt, Signal
from PySide6.QtGui import QHideEvent, QKeyEvent
from PySide6.QtWidgets import QVBoxLayout, QWidget

from kuffin.app.base.guarded import guarded
from kuffin.app.state.livereading import LiveReading
from kuffin.app.state.windowstate import State
from kuffin.app.widgets.forms import button, row
from kuffin.app.widgets.texts import text
from kuffin.core.base.errors import KuffinError
from kuffin.core.base.language import tr
from kuffin.core.base.numbers import number
from kuffin.instruments.configured import calibrated
from kuffin.instruments.setup import ChannelSetting, load_setup

_ROLES = {"flow": "L/h", "pressure": "kPa"}


@guarded
class LivePairs(QWidget):
    """Reads this computer's instruments while it is switched on; `taken` gives a pair of means over the last seconds."""

    taken = Signal(float, float)

    def __init__(self, state: State, path: Path) -> None:
        super().__init__()
        self._state, self._path = state, path
        self.reading = LiveReading(self)
        self.reading.told.connect(self._show)
        self._where: dict[str, tuple[int, ChannelSetting]] = {}
        self.switch = button(tr("Read live"), self.toggle, tr("With the instruments that are set up on the Bench page"))
        self.take_button = button(tr("Take this pair  (Space)"), self.take)
        self.now = text(style="heading")
        self.hint = text(
            tr("Open the valve a little, wait until both stand still, press Space. Close it step by step."),
            style="small",
        )
        self.caution = text(
            tr(
                "Keep water away from mains and open electronics; stay below the lowest pressure "
                "that any part's maker allows."
            ),
            style="small",
        )
        column = QVBoxLayout(self)
        column.setContentsMargins(0, 0, 0, 0)
        column.addWidget(row(self.switch, self.take_button))
        for widget in (self.now, self.hint, self.caution):
            column.addWidget(widget)
        self.setFocusPolicy(Qt.FocusPolicy.StrongFocus)
        self._renew()

    def toggle(self) -> None:
        """Begin to read, or stop."""
        if self.reading.active:
            self.reading.stop()
            self._renew()
            return
        try:
            setup = load_setup(self._path)
        except KuffinError as error:
            self._state.trouble.emit(str(error))
            return
        self._where = {}
        for at, instrument in enumerate(setup.instruments):
            for channel in instrument.channels:
                if channel.role in _ROLES and channel.role not in self._where:
                    self._where[channel.role] = (at, channel)
        lacking = [r for r in _ROLES if r not in self._where]
        if lacking:
            self._state.trouble.emit(
                tr(
                    "no instrument on the Bench page tells {lacking}; set one up there, or type the readings",
                    lacking=" or ".join(lacking),
                )
            )
            return
        self.reading.start(setup.instruments)
        self._renew()
        self.setFocus()

    def values(self) -> dict[str, float]:
        """Flow in L/h and pressure in kPa, each the mean of the last seconds."""
        out = {}
        for role, (at, channel) in self._where.items():
            told = self.reading.values(at).get(channel.source)
            mean = None if told is None else replace(told, value=self.reading.mean(at, channel.source))
            out[role] = calibrated(mean, channel)
        return out

    def take(self) -> None:
        """Take the pair that is read now."""
        found = self.values()
        if not self.reading.active or any(not math.isfinite(v) for v in found.values()):
            self._state.trouble.emit(tr("nothing is read yet; wait until both values stand here"))
            return
        self.taken.emit(round(found["flow"], 2), round(found["pressure"], 3))

    def _show(self) -> None:
        found = self.values()
        said = [f"{number(v, 1)} {_ROLES[r]}" if math.isfinite(v) else f"{r} …" for r, v in found.items()]
        self.now.setText(" · ".join(said))

    def _renew(self) -> None:
        on = self.reading.active
        self.switch.setText(tr("Stop reading live") if on else tr("Read live"))
        for widget in (self.take_button, self.now, self.hint, self.caution):
            widget.setVisible(on)

    def keyPressEvent(self, event: QKeyEvent) -> None:
        if event.key() == Qt.Key.Key_Space and self.reading.active:
            self.take()
        else:
            super().keyPressEvent(event)

    def hideEvent(self, event: QHideEvent) -> None:
        super().hideEvent(event)
        if self.reading.active:
            self.reading.stop()
            self._renew()
