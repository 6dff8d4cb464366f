"""The live instruments of this computer: found, named, given roles, calibrated; and the commands that start loads.

All of it is the person's own and stands in no notebook.
"""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import replace
from functools import partial
from pathlib import Path

import numpy as np
from PySide6.QtCore import Signal
from PySide6.QtGui import QHideEvent, QShowEvent
from PySide6.QtWidgets import QMenu, QVBoxLayout, QWidget

from kuffin.app.base.guarded import guarded
from kuffin.app.base.jobs import Jobs, Task
from kuffin.app.desks.shelf.askwhere import ask_where
from kuffin.app.desks.shelf.calibrating import Calibrating
from kuffin.app.desks.shelf.loads import Loads
from kuffin.app.state.livereading import LiveReading
from kuffin.app.widgets.forms import WritingTable, button, choice, refill, row
from kuffin.app.widgets.texts import text
from kuffin.core.base.errors import BenchError, KuffinError
from kuffin.core.base.language import mark, tr
from kuffin.core.base.numbers import plain, typed_number
from kuffin.core.base.saying import told
from kuffin.core.base.units import shown
from kuffin.core.bench.calibration import Within
from kuffin.core.bench.devices import USUAL_DEVICES
from kuffin.core.bench.roles import ROLES
from kuffin.core.compare.pairwords import number
from kuffin.instruments.configured import calibrated, in_unit, proposed, typed_channels
from kuffin.instruments.discovery import Found, discover
from kuffin.instruments.meterlines import ToldValue
from kuffin.instruments.setup import KINDS, BenchSetup, ChannelSetting, InstrumentSetting, load_setup, save_setup

_RATES = (
    (mark("20 times a second"), 0.05),
    (mark("10 times a second"), 0.1),
    (mark("5 times a second"), 0.2),
    (mark("twice a second"), 0.5),
    (mark("once a second"), 1.0),
    (mark("every 2 s"), 2.0),
    (mark("every 5 s"), 5.0),
)
_WHERE = {
    "hwmon": "folder",
    "processor": "folder",
    "serial": "port",
    "network": "host:port",
    "command": "command",
    "hand": "",
}


@guarded
class ThisComputer(QWidget):
    """The section on the Bench page."""

    trouble = Signal(str)
    said = Signal(str)
    changed = Signal()

    def __init__(self, path: Path, jobs: Jobs, busy: Callable[[], bool]) -> None:
        super().__init__()
        self.path, self._jobs, self._busy = path, jobs, busy
        self.setup = BenchSetup()
        self.reading = LiveReading(self)
        self.reading.told.connect(self._show_values)
        self._sources: list[str] = []
        adder = button(tr("Add one …"), lambda: None)
        menu = QMenu(adder)
        for kind in ("serial", "network", "command", "hand", "hwmon"):
            menu.addAction(tr(KINDS[kind]), partial(self.ask_instrument, kind))
        adder.setMenu(menu)
        self.rate = choice([(tr(label), value) for label, value in _RATES], tr("How often a row is kept"))
        self.rate.activated.connect(lambda _i: self.keep(replace(self.setup, row_s=float(self.rate.currentData()))))
        self.empty = text(
            tr(
                "Nothing is read on this computer yet. Kuffin looks at the kernel's sensors and "
                "listens at serial ports; it sends nothing."
            ),
            style="muted",
        )
        self.instruments = WritingTable(
            [tr("instrument"), tr("kind"), tr("where"), tr("read every"), tr("baud"), tr("asked with"), tr("now")],
            tr("Live instruments"),
            stretch=2,
        )
        self.instruments.written.connect(self._instrument_written)
        self.instruments.currentCellChanged.connect(lambda r, _c, br, _bc: self._show_channels() if r != br else None)
        self._title = text(style="heading")
        self.channels = WritingTable(
            [
                tr("recorded"),
                tr("it says"),
                tr("name"),
                tr("unit"),
                tr("what it is"),
                tr("of"),
                tr("accuracy ±"),
                tr("calibration"),
                tr("now"),
            ],
            tr("Live channels"),
            self._options,
            stretch=7,
        )
        self.channels.written.connect(self._channel_written)
        self.calibrating = Calibrating(self)
        self.loads = Loads(self)
        column = QVBoxLayout(self)
        column.setContentsMargins(0, 0, 0, 0)
        column.addWidget(
            row(
                button(tr("Look for instruments"), self.look),
                adder,
                button(tr("Remove it"), self._remove),
                text(tr("   a row"), wrap=False),
                self.rate,
            )
        )
        column.addWidget(self.empty)
        column.addWidget(self.instruments)
        column.addWidget(self._title)
        column.addWidget(self.channels)
        column.addWidget(self.calibrating)
        column.addWidget(self.loads)
        self._load()

    # --- what is kept ----------------------------------------------------------------------------------------------

    def _load(self) -> None:
        try:
            self.setup = load_setup(self.path)
        except KuffinError as error:
            self.trouble.emit(str(error))
        if self.setup.set_aside:
            self.trouble.emit("; ".join(self.setup.set_aside))
        self.renew()

    def keep(self, setup: BenchSetup) -> bool:
        """Keep changed settings; False where they cannot be kept, which is said."""
        try:
            save_setup(self.path, setup)
        except BenchError as error:
            self.trouble.emit(str(error))
            self.renew()
            return False
        self.setup = setup
        self._read()
        self.renew()
        self.changed.emit()
        return True

    def _read(self) -> None:
        if self.isVisible() and not self._busy():
            self.reading.start(self.setup.instruments)

    def showEvent(self, event: QShowEvent) -> None:
        super().showEvent(event)
        self._read()

    def hideEvent(self, event: QHideEvent) -> None:
        self.reading.stop()
        super().hideEvent(event)

    # --- showing ---------------------------------------------------------------------------------------------------

    def renew(self) -> None:
        """Show the settings as they are."""
        refill(self.rate, [(tr(label), value) for label, value in _RATES], self.setup.row_s)
        have = bool(self.setup.instruments)
        self.empty.setVisible(not have)
        for widget in (self.instruments, self._title, self.channels, self.calibrating):
            widget.setVisible(have)
        at = self.instruments.currentRow()
        self.instruments.fill([self._row(i, n) for n, i in enumerate(self.setup.instruments)], fixed=(1, 6))
        self.instruments.fit(6)
        if have and not 0 <= at < len(self.setup.instruments):
            self.instruments.setCurrentCell(0, 0)
        self._show_channels()
        self.loads.renew()

    def _row(self, i: InstrumentSetting, at: int) -> list[str]:
        serial = i.kind == "serial"
        state = self.reading.trouble(at) or (
            tr("{values} values", values=len(self.reading.values(at))) if self.reading.values(at) else ""
        )
        return [
            i.name,
            tr(KINDS[i.kind]),
            i.where,
            f"{plain(i.interval_s)} s",
            str(i.baud) if serial else "",
            i.question if serial or i.kind == "network" else "",
            state if i.kind != "hand" else tr("typed while a run is recorded"),
        ]

    @property
    def _at(self) -> int | None:
        at = self.instruments.currentRow()
        return at if 0 <= at < len(self.setup.instruments) else None

    def _show_channels(self) -> None:
        at = self._at
        if at is None:
            return
        instrument = self.setup.instruments[at]
        self._title.setText(tr("Channels of {name}", name=instrument.name))
        told = self.reading.values(at)
        known = {c.source: c for c in instrument.channels}
        self._sources = [*known, *(name for name in told if name not in known)]
        rows = []
        for source in self._sources:
            channel = known.get(source)
            about = channel or proposed(source, told[source], set())
            rows.append(
                [
                    tr("yes") if channel else tr("no"),
                    source,
                    about.name,
                    shown(about.unit) if about.unit else "",
                    (about.role or "").replace("_", " "),
                    about.device or "",
                    about.accuracy.words,
                    about.calibration.words if channel else "",
                    self._now(told.get(source), about),
                ]
            )
        self.channels.fill(rows, fixed=(1, 7, 8))
        self.channels.fit(14)

    def _now(self, told: ToldValue | None, channel: ChannelSetting) -> str:
        value = calibrated(told, channel)
        if not np.isfinite(value):
            return "–"
        digits = 2 if abs(value) < 100 else 0
        within = ""
        if channel.accuracy.known:
            half = channel.accuracy.half_width(value)
            digits = 0 if half >= 2 else 1 if half >= 0.15 else 2
            within = f" ± {number(half, digits)}"
        return f"{number(value, digits)}{within} {shown(channel.unit) if channel.unit else ''}".strip()

    def _show_values(self) -> None:
        if self._busy():
            self.reading.stop()
            return
        for at, instrument in enumerate(self.setup.instruments):
            item = self.instruments.item(at, 6)
            words = self._row(instrument, at)[6]
            if item is not None and item.text() != words:
                self.instruments.fill([self._row(i, n) for n, i in enumerate(self.setup.instruments)], fixed=(1, 6))
                break
        if not self.channels.isVisible() or self.channels.state() == WritingTable.State.EditingState:
            return
        self._show_channels()

    def _options(self, _at: int, column: int) -> list[str] | None:
        if column == 0:
            return ["yes", "no"]
        return {4: ["", *(r.replace("_", " ") for r in ROLES)], 5: ["", *USUAL_DEVICES]}.get(column)

    # --- instruments -----------------------------------------------------------------------------------------------

    def look(self) -> None:
        """Look for instruments, off the window's thread."""
        if self._busy():
            self.trouble.emit(tr("a run is being recorded; look for instruments when it is over"))
            return
        self.reading.stop()
        self._jobs.start(
            tr("looking for instruments"), lambda task: self._discover(task), self._found, self.trouble.emit
        )

    def _discover(self, task: Task) -> list[Found]:
        return discover(task.report)

    def _found(self, found: list[Found]) -> None:
        have = {(i.kind, i.where) for i in self.setup.instruments}
        new = [f for f in found if (f.setting.kind, f.setting.where) not in have]
        setup = self.setup
        for one in new:
            setup = setup.with_instrument(one.setting)
        troubles = [f"{f.setting.name}: {told(f.trouble)}" for f in new if f.trouble]
        if not new:
            self.said.emit(
                tr("nothing new was found: neither sensors of the kernel's nor serial ports that are not listed yet")
            )
        elif troubles:
            self.said.emit("; ".join(troubles))
        self.keep(setup)

    def ask_instrument(self, kind: str) -> None:
        """Ask where an instrument is."""
        written, ok = ask_where(self, kind)
        if ok and written.strip():
            self.add(kind, written.strip())

    def add(self, kind: str, where: str) -> None:
        """Add an instrument of a kind."""
        if kind == "hand":
            self._add_hand(where)
            return
        name = Path(where).name if kind in {"serial", "hwmon"} else where.split()[0]
        interval = 5.0 if kind == "command" else 1.0
        if self.keep(
            self.setup.with_instrument(
                InstrumentSetting(kind=kind, name=name or where, where=where, interval_s=interval)
            )
        ):
            self.instruments.setCurrentCell(len(self.setup.instruments) - 1, 0)

    def _add_hand(self, written: str) -> None:
        try:
            channels = typed_channels(written)
        except BenchError as error:
            self.trouble.emit(str(error))
            return
        self.keep(
            self.setup.with_instrument(InstrumentSetting(kind="hand", name=tr("typed by hand"), channels=channels))
        )

    def _remove(self) -> None:
        if self._at is not None:
            self.keep(self.setup.without(self._at))

    def _instrument_written(self, at: int, column: int, written: str) -> None:
        instrument, content = self.setup.instruments[at], written.strip()
        try:
            if column == 0:
                changed = replace(instrument, name=content or instrument.name)
            elif column == 2:
                changed = replace(instrument, where=content)
            elif column == 3:
                changed = replace(instrument, interval_s=typed_number(content.removesuffix("s")))
            elif column == 4:
                changed = replace(instrument, baud=int(content))
            else:
                changed = replace(instrument, question=content)
        except ValueError:
            self.trouble.emit(tr("“{content}” is no number", content=content))
            self.renew()
            return
        self.keep(self.setup.with_instrument(changed, at))

    # --- channels --------------------------------------------------------------------------------------------------

    def set_channels(self, at: int, channels: list[ChannelSetting]) -> None:
        """Keep an instrument's channels."""
        self.keep(self.setup.with_instrument(replace(self.setup.instruments[at], channels=tuple(channels)), at))

    def _channel_written(self, line: int, column: int, written: str) -> None:
        at = self._at
        if at is None or line >= len(self._sources):
            return
        source = self._sources[line]
        instrument = self.setup.instruments[at]
        kept = {c.source: c for c in instrument.channels}
        taken = {c.name.lower() for c in self.setup.channels}
        told = self.reading.values(at).get(source, ToldValue(float("nan")))
        channel = kept.get(source) or proposed(source, told, taken)
        try:
            if column == 0 and written == "no":
                kept.pop(source, None)
            elif column == 2:
                kept[source] = replace(channel, name=written.strip() or channel.name)
            elif column == 3:
                kept[source] = in_unit(channel, written)
            elif column == 4:
                kept[source] = replace(channel, role=written.replace(" ", "_") or None)
            elif column == 5:
                kept[source] = replace(channel, device=" ".join(written.split()) or None)
            elif column == 6:
                kept[source] = replace(channel, accuracy=Within.read(written))
            else:
                kept[source] = channel
        except BenchError as error:
            self.trouble.emit(str(error))
            self._show_channels()
            return
        order = {s: i for i, s in enumerate(self._sources)}
        self.set_channels(at, sorted(kept.values(), key=lambda c: order.get(c.source, 0)))

    def chosen_channel(self) -> tuple[int, ChannelSetting] | None:
        """The instrument's place and the channel that is chosen; it is said where none is."""
        at, line = self._at, self.channels.currentRow()
        if at is not None and 0 <= line < len(self._sources):
            found = next((c for c in self.setup.instruments[at].channels if c.source == self._sources[line]), None)
            if found is not None:
                return at, found
        self.trouble.emit(tr("choose a channel that is recorded first"))
        return None
