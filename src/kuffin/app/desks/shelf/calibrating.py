"""Calibrating live channels: the zero check, two points, an offset."""

from __future__ import annotations

import datetime as dt
from dataclasses import replace
from typing import TYPE_CHECKING

import numpy as np
from PySide6.QtWidgets import QInputDialog, QVBoxLayout, QWidget

from kuffin.app.widgets.forms import button, row
from kuffin.app.widgets.texts import text
from kuffin.core.base.days import day_words
from kuffin.core.base.errors import BenchError
from kuffin.core.base.language import tr
from kuffin.core.base.numbers import typed_number
from kuffin.core.bench.calibration import Calibration, level, two_points
from kuffin.core.compare.pairwords import number

if TYPE_CHECKING:
    from kuffin.app.desks.shelf.thiscomputer import ThisComputer


class Calibrating(QWidget):
    """The buttons under the channels."""

    def __init__(self, on: ThisComputer) -> None:
        super().__init__()
        self._on = on
        column = QVBoxLayout(self)
        column.setContentsMargins(0, 0, 0, 0)
        column.addWidget(
            row(
                button(
                    tr("Zero check"), self.zero_check, tr("Everything is at room temperature now: level the probes")
                ),
                button(tr("Two points …"), self.ask_two_points),
                button(tr("Offset …"), self.ask_offset),
                button(tr("As it reads"), lambda: self._calibrate(Calibration())),
            )
        )
        column.addWidget(
            text(
                tr(
                    "Zero check: with everything off for hours and the loop running, all probes are at one temperature. Kuffin then levels them "
                    "on their median, so that differences between probes are right even where none is exact. “Accuracy” is what the maker states, or a "
                    "calibration: 0.2, or 2 %, or 2 % + 0.1."
                ),
                style="small",
            )
        )

    def zero_check(self) -> None:
        """Everything is at room temperature now: level all temperature probes."""
        means: dict[str, float] = {}
        for at, instrument in enumerate(self._on.setup.instruments):
            if instrument.kind in {"hwmon", "processor", "hand"}:
                continue  # the machine's own sensors are warm whenever it is on
            for channel in instrument.channels:
                if channel.quantity == "temperature":
                    raw = self._on.reading.mean(at, channel.source)
                    means[channel.name] = channel.calibration.apply(raw)
        try:
            add = level(means)
        except BenchError as error:
            self._on.trouble.emit(str(error))
            return
        how = tr("zero check of {day}", day=day_words(dt.date.today()))
        instruments = []
        for instrument in self._on.setup.instruments:
            channels = tuple(
                replace(
                    c, calibration=Calibration(c.calibration.gain, round(c.calibration.offset + add[c.name], 4), how)
                )
                if c.name in add
                else c
                for c in instrument.channels
            )
            instruments.append(replace(instrument, channels=channels))
        spread = max(means.values()) - min(means.values())
        if self._on.keep(replace(self._on.setup, instruments=tuple(instruments))):
            power = self._power()
            warm = (
                tr(
                    "; the machine draws {power:.0f} W now, so part of that may be real: do it again "
                    "with everything off",
                    power=power,
                )
                if power > 5
                else ""
            )
            self._on.said.emit(
                tr(
                    "{add} probes are levelled; they differed by {spread} K{warm}",
                    add=len(add),
                    spread=number(spread, 2),
                    warm=warm,
                )
            )

    def _power(self) -> float:
        """What the machine draws now, W; 0 where nothing tells."""
        for at, instrument in enumerate(self._on.setup.instruments):
            for channel in instrument.channels:
                value = self._on.reading.mean(at, channel.source) if channel.role in {"power", "wall_power"} else np.nan
                if np.isfinite(value):
                    return float(value)
        return 0.0

    def _calibrate(self, calibration: Calibration) -> None:
        chosen = self._on.chosen_channel()
        if chosen is not None:
            at, channel = chosen
            channels = [
                replace(c, calibration=calibration) if c.source == channel.source else c
                for c in self._on.setup.instruments[at].channels
            ]
            self._on.set_channels(at, channels)

    def ask_offset(self) -> None:
        """Ask for what is added to a channel."""
        if self._on.chosen_channel() is not None:
            written, ok = QInputDialog.getText(self, tr("Offset"), tr("What is added to what it reads:"), text="0.0")
            if ok:
                self.offset(written)

    def offset(self, written: str) -> None:
        """Add an amount to a channel."""
        try:
            value = typed_number(written)
        except ValueError:
            self._on.trouble.emit(tr("“{written}” is no number; write what is added, such as −0.4", written=written))
            return
        self._calibrate(Calibration(1.0, value, "typed"))

    def ask_two_points(self) -> None:
        """Ask for two points."""
        if self._on.chosen_channel() is None:
            return
        written, ok = QInputDialog.getText(
            self,
            tr("Two points"),
            tr("Read and true, cold then warm, such as:  0.4 0.0  50.9 50.0"),
            text="0.0 0.0  50.0 50.0",
        )
        if ok:
            self.two_points(written)

    def two_points(self, written: str) -> None:
        """Calibrate the chosen channel by two points: read, true, read, true."""
        try:
            values = [typed_number(v) for v in written.replace(";", " ").split()]
            if len(values) != 4:
                raise ValueError
            self._calibrate(two_points(*values))
        except ValueError:
            self._on.trouble.emit(
                tr("“{written}” are not four numbers: read and true, cold, then warm", written=written)
            )
        except BenchError as error:
            self._on.trouble.emit(str(error))
