"""What measures a bench: its instruments with their accuracy, and where each probe sits and what it tells there."""

from __future__ import annotations

import math
from collections.abc import Callable
from typing import Any

from PySide6.QtCore import SignalInstance
from PySide6.QtWidgets import QVBoxLayout, QWidget

from kuffin.app.base.guarded import guarded
from kuffin.app.widgets.forms import WritingTable, button, row
from kuffin.app.widgets.texts import text
from kuffin.core.base.language import mark, tr
from kuffin.core.base.numbers import plain, typed_number
from kuffin.core.base.uncertainty import Accuracy
from kuffin.core.base.units import shown
from kuffin.core.bench.roles import ROLES
from kuffin.core.compare.pairwords import number as figure
from kuffin.notebook import shelf as edits
from kuffin.notebook.entities import Bench, Instrument

_UNITS = ("degC", "L/h", "kPa", "W", "rpm", "dBA", "%", "V", "A")
_COLUMNS = (
    mark("instrument"),
    mark("unit"),
    mark("% of reading"),
    mark("% of full scale"),
    mark("full scale"),
    mark("counts"),
    mark("of"),
    mark("calibrated"),
    mark("offset"),
    mark("± at"),
)
_KEYS = (
    "name",
    "unit",
    "reading_percent",
    "full_scale_percent",
    "full_scale",
    "counts",
    "count_size",
    "calibrated_on",
    "offset",
)


@guarded
class Measuring(QWidget):
    """The tables of instruments and of the chosen one's probes.

    Parameters
    ----------
    edit : callable
        Makes an edit on the notebook.
    trouble : signal
        What goes wrong is said by it.
    """

    def __init__(self, edit: Callable[..., object], trouble: SignalInstance) -> None:
        super().__init__()
        self._edit, self._trouble = edit, trouble
        self._bench: Bench | None = None
        column = QVBoxLayout(self)
        column.setContentsMargins(0, 0, 0, 0)
        column.setSpacing(8)
        self.instruments = WritingTable(
            [tr(c) for c in _COLUMNS], tr("Instruments"), self._instrument_options, stretch=0
        )
        self.instruments.written.connect(self._instrument_written)
        self.instruments.currentCellChanged.connect(lambda *_: self._show_probes())
        column.addWidget(self.instruments)
        column.addWidget(
            row(button(tr("Add an instrument"), self.add_instrument), button(tr("Bin it"), self._bin_instrument))
        )
        self._probe_title = text(style="heading")
        column.addWidget(self._probe_title)
        self.probes = WritingTable(
            [tr("tells"), tr("where it sits"), tr("channel in the logs")], tr("Probes"), self._probe_options, stretch=1
        )
        self.probes.written.connect(self._probe_written)
        column.addWidget(self.probes)
        self._probe_buttons = row(
            button(tr("Add a probe"), self.add_probe), button(tr("Remove it"), self._remove_probe)
        )
        column.addWidget(self._probe_buttons)

    def show_bench(self, bench: Bench | None) -> None:
        """Show a bench's instruments."""
        self._bench = bench
        found = bench.live_instruments if bench is not None else []
        self.instruments.fill([self._instrument_row(i) for i in found], fixed=(9,), data=[i.id for i in found])
        self.instruments.fit(6)
        if found and self.instruments.currentRow() < 0:
            self.instruments.setCurrentCell(0, 0)
        self._show_probes()

    def _instrument_row(self, i: Instrument) -> list[str]:
        unit = shown(i.unit)
        at = {"degC": 30.0, "L/h": 200.0, "kPa": 40.0, "W": 200.0}.get(i.unit, i.full_scale or 100.0)
        accuracy = Accuracy(
            reading_percent=i.reading_percent,
            full_scale_percent=i.full_scale_percent,
            full_scale=i.full_scale or 0.0,
            counts=i.counts,
            count_size=i.count_size,
        )
        half = accuracy.half_width(at)
        known = half > 0 and math.isfinite(half)
        within = (
            tr(
                "{half} {unit} at {at:g} {of}",
                half=figure(half, 2),
                unit="K" if i.unit == "degC" else unit,
                at=at,
                of=unit,
            )
            if known
            else tr("not said")
        )
        full = "" if i.full_scale is None else plain(i.full_scale)
        return [
            i.name,
            unit,
            plain(i.reading_percent),
            plain(i.full_scale_percent),
            full,
            plain(i.counts),
            plain(i.count_size),
            i.calibrated_on,
            plain(i.offset),
            within,
        ]

    def _instrument(self) -> Instrument | None:
        bench, at = self._bench, self.instruments.currentRow()
        found = bench.live_instruments if bench is not None else []
        return found[at] if 0 <= at < len(found) else None

    def _show_probes(self) -> None:
        instrument = self._instrument()
        for widget in (self._probe_title, self.probes, self._probe_buttons):
            widget.setVisible(instrument is not None)
        if instrument is not None:
            self._probe_title.setText(tr("Probes of {name}", name=instrument.name))
            self.probes.fill([[(p.role or "").replace("_", " "), p.where, p.channel] for p in instrument.live_probes])
            self.probes.fit(6)

    # --- instruments and probes ------------------------------------------------------------------------------------

    def _instrument_options(self, _at: int, column: int) -> list[str] | None:
        return [shown(u) for u in _UNITS] if column == 1 else None

    def add_instrument(self) -> None:
        """Add an instrument, to be named and filled in."""
        if self._bench is None:
            self._trouble.emit(tr("set up a bench first"))
            return
        n = len(self._bench.live_instruments) + 1
        self._edit(edits.keep_instrument, self._bench.id, None, name=tr("instrument {n}", n=n))

    def _instrument_written(self, at: int, column: int, written: str) -> None:
        instrument_id, bench = self.instruments.data_of(at), self._bench
        if bench is None or not isinstance(instrument_id, int):
            return
        key = _KEYS[column]
        old = next(i for i in bench.live_instruments if i.id == instrument_id)
        value: Any = written.strip()
        if key == "unit":
            value = next((u for u in _UNITS if shown(u) == value), value)
        elif key not in {"name", "calibrated_on"}:
            try:
                value = typed_number(value) if value else (None if key == "full_scale" else 0.0)
            except ValueError:
                self._trouble.emit(tr("“{written}” is no number", written=written))
                self.show_bench(self._bench)
                return
        kept = {k: getattr(old, k) for k in _KEYS}
        self._edit(edits.keep_instrument, bench.id, instrument_id, **{**kept, key: value})
        self.show_bench(self._bench)

    def _bin_instrument(self) -> None:
        instrument = self._instrument()
        if instrument is not None:
            self._edit(edits.bin_instrument, instrument.id)

    def _probe_options(self, _at: int, column: int) -> list[str] | None:
        return ["", *(r.replace("_", " ") for r in ROLES)] if column == 0 else None

    def add_probe(self) -> None:
        """Add a probe to the chosen instrument."""
        instrument = self._instrument()
        if instrument is not None:
            self._edit(
                edits.set_probes, instrument.id, [*self._probes(instrument), ("air_in", tr("radiator intake"), "")]
            )

    def _probes(self, instrument: Instrument) -> list[tuple[str | None, str, str]]:
        return [(p.role, p.where, p.channel) for p in instrument.live_probes]

    def _probe_written(self, at: int, column: int, written: str) -> None:
        instrument = self._instrument()
        if instrument is None:
            return
        now = [list(p) for p in self._probes(instrument)]
        now[at][column] = (written.strip().replace(" ", "_") or None) if column == 0 else written.strip()
        self._edit(edits.set_probes, instrument.id, [(p[0], str(p[1]), str(p[2])) for p in now])

    def _remove_probe(self) -> None:
        instrument, at = self._instrument(), self.probes.currentRow()
        if instrument is not None and 0 <= at < len(instrument.live_probes):
            now = self._probes(instrument)
            self._edit(edits.set_probes, instrument.id, now[:at] + now[at + 1 :])
