"""The commands that start loads, and the simulated bench offered through real interfaces to try them out."""

from __future__ import annotations

import tempfile
from dataclasses import replace
from pathlib import Path
from typing import TYPE_CHECKING

from PySide6.QtWidgets import QVBoxLayout, QWidget

from kuffin.app.widgets.forms import WritingTable, button, row
from kuffin.app.widgets.texts import text
from kuffin.core.base.language import tr
from kuffin.instruments.setup import save_setup

if TYPE_CHECKING:
    from kuffin.app.desks.shelf.thiscomputer import ThisComputer
    from kuffin.simulated.served import ServedBench


class Loads(QWidget):
    """Loads by name, and what starts them."""

    def __init__(self, on: ThisComputer) -> None:
        super().__init__()
        self._on = on
        self.served: ServedBench | None = None
        self.table = WritingTable([tr("load"), tr("command that starts it")], tr("Loads"), stretch=1)
        self.table.written.connect(self._load_written)
        self._served_acts = row(
            button(tr("Simulated load on"), lambda: self.served_load(180.0)),
            button(tr("Simulated load off"), lambda: self.served_load(None)),
        )
        self._served_acts.hide()
        column = QVBoxLayout(self)
        column.setContentsMargins(0, 0, 0, 0)
        column.addWidget(text(tr("Loads"), style="heading"))
        column.addWidget(
            text(
                tr(
                    "Commands are yours alone: they are kept in your settings on this computer, never in a notebook, and a notebook can only ask "
                    "for a load by name. Without a command, Kuffin asks you to start the load."
                ),
                style="small",
            )
        )
        column.addWidget(self.table)
        column.addWidget(
            row(
                button(tr("Add a load"), self.add_load),
                button(
                    tr("Try it with the simulated bench"),
                    self.serve,
                    tr("A folder, a serial port and a network port that behave like real ones"),
                ),
            )
        )
        column.addWidget(self._served_acts)

    def renew(self) -> None:
        """Show the loads as they are kept."""
        self.table.fill([[name, command] for name, command in self._on.setup.loads.items()])
        self.table.fit(5)
        self.table.setVisible(bool(self._on.setup.loads))

    def add_load(self) -> None:
        """Add a load, to be filled in."""
        name = (
            "batch stretch"
            if "batch stretch" not in self._on.setup.loads
            else tr("load {loads}", loads=len(self._on.setup.loads) + 1)
        )
        self._on.keep(replace(self._on.setup, loads={**self._on.setup.loads, name: ""}))

    def _load_written(self, at: int, column: int, written: str) -> None:
        pairs = list(self._on.setup.loads.items())
        name, command = pairs[at]
        pairs[at] = (written.strip(), command) if column == 0 else (name, written.strip())
        self._on.keep(replace(self._on.setup, loads={n: c for n, c in pairs if n}))

    # --- to try it -------------------------------------------------------------------------------------------------

    def serve(self) -> None:
        """Offer the simulated bench through real interfaces, and set them up."""
        from kuffin.demo.practice import bench_for
        from kuffin.simulated.hydraulics import Pump
        from kuffin.simulated.livebench import SimulatedBench
        from kuffin.simulated.served import ServedBench

        if self.served is not None:
            self._on.said.emit(tr("the simulated bench is offered already"))
            return
        folder = Path(tempfile.mkdtemp(prefix="kuffin-bench-"))
        served = ServedBench(SimulatedBench(bench_for("radiator", "Reed", 1), Pump(), 7), folder / "hwmon")
        self.served = served
        self._served_acts.show()
        setup = self._on.setup
        for setting in served.settings():
            setup = setup.with_instrument(setting)
        self._on.keep(setup)
        self._on.said.emit(
            tr(
                "the simulated bench now tells its values through a folder, a serial port and a network port, as real instruments do; "
                "it ends with this window"
            )
        )

    def served_load(self, power_w: float | None) -> None:
        """Start the simulated load, or stop it."""
        if self.served is not None:
            self.served.bench.set_load(power_w)

    def close_served(self) -> None:
        """End what was offered, and take it out of the settings."""
        self._on.reading.stop()
        served, self.served = self.served, None
        if served is not None:
            gone = {s.where for s in served.settings()}
            served.close()
            kept = tuple(i for i in self._on.setup.instruments if i.where not in gone)
            save_setup(self._on.path, replace(self._on.setup, instruments=kept))
