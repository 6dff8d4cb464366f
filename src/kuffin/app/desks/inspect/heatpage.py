"""The staircase of a run or of all candidates, and the heat that goes into the coolant beside the electrical power."""

from __future__ import annotations

from PySide6.QtWidgets import QButtonGroup, QHBoxLayout, QPushButton

from kuffin.app.base.settings import Settings
from kuffin.app.desks.inspect.furtherpage import InsidePage
from kuffin.app.look.theme import Theme
from kuffin.app.state.windowstate import State
from kuffin.app.widgets.flights import Flights
from kuffin.app.widgets.texts import Opener, text
from kuffin.core.base.language import tr
from kuffin.core.heat.heatpath import Flight
from kuffin.said.figurewords import balance_sentence, balance_working
from kuffin.said.stairs import candidate_flights, flights_of


class HeatPage(InsidePage):
    """Kelvins or K/W; one run, or candidates side by side."""

    def __init__(self, state: State, theme: Theme, settings: Settings) -> None:
        super().__init__(state)
        self._settings = settings
        self.flights = Flights(theme)
        row = QHBoxLayout()
        self._unit = self._choice(row, "inspect/stairs unit", (("K", tr("kelvins")), ("K/W", tr("kelvins per watt"))))
        row.addSpacing(20)
        self._what = self._choice(
            row, "inspect/stairs of", (("run", tr("this run")), ("all", tr("candidates side by side")))
        )
        row.addStretch()
        self.column.addLayout(row)
        self.column.addWidget(self.flights, 1)
        self._said = text()
        self.column.addWidget(self._said)
        self.balance = Opener()
        self.balance.opened.connect(self._explain)
        self.column.addWidget(self.balance)

    def _choice(self, row: QHBoxLayout, key: str, options: tuple[tuple[str, str], ...]) -> QButtonGroup:
        group = QButtonGroup(self)
        kept = self._settings.value(key, options[0][0])
        for i, (value, label) in enumerate(options):
            button = QPushButton(label)
            button.setObjectName("page")
            button.setCheckable(True)
            button.setChecked(kept == value)
            group.addButton(button, i)
            row.addWidget(button)

        def chosen(i: int) -> None:
            self._settings.set_value(key, options[i][0])
            self.show_run()

        group.idClicked.connect(chosen)
        return group

    def set_theme(self, theme: Theme) -> None:
        self.flights.set_theme(theme)

    def shown(self) -> list[Flight]:
        """The flights that are to be seen."""
        verdict, mount, run = self.state.verdict, self.mount(), self.run()
        if verdict is None or mount is None or run is None:
            return []
        per_watt = self._unit.checkedId() == 1
        if self._what.checkedId() == 1:
            return candidate_flights(verdict, per_watt)
        return flights_of(
            verdict.results.get(run.id),
            tr("{name}, round {round}", name=mount.candidate.name, round=mount.round),
            per_watt,
        )

    def show_run(self) -> None:
        found = self.shown()
        self.flights.show_flights(found)
        unit = found[0].unit if found else "K"
        said = tr("Heights are {unit} over air. ", unit=unit) if found else ""
        if len(found) > 1 and self._what.checkedId() == 0:
            said += tr(
                "Each device has a flight of its own over the coolant that they share, by its own "
                "power. Intervals (95 %) are those of this window."
            )
        elif len(found) > 1:
            said += tr("Intervals (95 %) come from the scatter between mounts; for a verdict go to Compare.")
        elif found:
            worst = found[0].bottleneck
            if worst is not None and len(found[0].steps) > 1:
                lower = next(
                    t.name for t, s in zip(found[0].treads, found[0].steps, strict=False) if s.name == worst.name
                )
                said += tr(
                    "The bottleneck is the step from {lower} to {name}. Intervals (95 %) are those of this window.",
                    lower=lower,
                    name=worst.name,
                )
        self._said.setText(said)
        self.balance.setVisible(self._what.checkedId() == 0)
        self.balance.setText("" if self.inside is None else balance_sentence(self.inside))

    def _explain(self) -> None:
        if self.inside is not None:
            self.working.emit(balance_working(self.inside))
