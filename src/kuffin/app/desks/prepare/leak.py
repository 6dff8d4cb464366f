"""The leak test: pressures over time, freed from temperature; pass, fail, or hold on."""

from __future__ import annotations

from typing import TYPE_CHECKING, Any

import numpy as np

from kuffin.app.desks.prepare.page import PreparePage
from kuffin.app.desks.prepare.watch import WatchedTable
from kuffin.app.widgets.forms import number, row
from kuffin.app.widgets.sketch import Guide, Series, Sketch
from kuffin.app.widgets.texts import text
from kuffin.core.base.errors import KuffinError
from kuffin.core.base.language import tr
from kuffin.core.compare.pairwords import number as figure
from kuffin.core.prepare.fill import loop_volume_ml
from kuffin.core.prepare.leak import USUAL_LIMIT_KPA, LeakTest, highest_pressure
from kuffin.notebook.preparationedits import tick
from kuffin.reading.configurations import loop_of, pressures_of
from kuffin.verdict.sheets import USUAL_AIR_ML, USUAL_STEP_KPA, leak_test, rows_of

if TYPE_CHECKING:
    from kuffin.app.desks.prepare.desk import PrepareDesk


class LeakPage(PreparePage):
    """The page."""

    kind = "leak"

    def __init__(self, desk: PrepareDesk) -> None:
        super().__init__(desk)
        self.allowed = text(style="warn")
        self.column.addWidget(self.allowed)
        self.volume = number(1, 20_000, "mL", 0, 10, tr("Air in the loop"))
        self.step = number(0, 10, "kPa", 2, 0.1, tr("Smallest step of the gauge"))
        self.limit = number(0.05, 20, "kPa", 2, 0.1, tr("Loss in 15 minutes that may pass"))
        self.volume.valueChanged.connect(lambda v: self.keep(volume_ml=v))
        self.step.valueChanged.connect(lambda v: self.keep(gauge_step_kpa=v))
        self.limit.valueChanged.connect(lambda v: self.keep(limit_kpa=v))
        words = [
            text(w, style="muted", wrap=False)
            for w in (tr("air in the loop"), tr("gauge's smallest step"), tr("may lose in 15 min"))
        ]
        self.column.addWidget(row(words[0], self.volume, words[1], self.step, words[2], self.limit))
        self.watched = WatchedTable(
            self,
            [(tr("pressure over air"), "kPa"), (tr("at the loop"), "°C")],
            [("pressure",), ("coolant", "coolant_in", "room", "air_in")],
        )
        self.watched.changed.connect(self._readings)
        self.said = text(style="heading")
        self.column.addWidget(self.said)
        self.plot = Sketch(desk.theme, tr("Pressure freed from temperature"), 170)
        self.column.addWidget(self.plot)
        self.column.addWidget(self.watched)
        self.column.addWidget(self.cautions("pressure"))
        self.column.addStretch(1)
        self.result: LeakTest | None = None

    def renew(self) -> None:
        kept = self.sheet()
        total, _ = loop_volume_ml(loop_of(self.study, self.candidate, self.shelf.bench, self.shelf.parts))
        self.volume.setValue(float(kept.get("volume_ml", round(total) or USUAL_AIR_ML)))
        self.step.setValue(float(kept.get("gauge_step_kpa", USUAL_STEP_KPA)))
        self.limit.setValue(float(kept.get("limit_kpa", USUAL_LIMIT_KPA)))
        most, whose, silent = highest_pressure(
            pressures_of(self.study, self.candidate, self.shelf.bench, self.shelf.parts)
        )
        says_nothing = tr(" Nothing is known of {silent}: see the manuals.", silent=", ".join(silent)) if silent else ""
        if most is None:
            self.allowed.setText(
                tr(
                    "What pressure the parts allow is not on the shelf: see their manuals before you "
                    "pump.{says_nothing}",
                    says_nothing=says_nothing,
                )
            )
        else:
            self.allowed.setText(
                tr(
                    "Never above {most:g} kPa: {whose} allows no more.{says_nothing}",
                    most=most,
                    whose=whose,
                    says_nothing=says_nothing,
                )
            )
        rows = kept.get("readings", [])
        self.watched.show_rows(rows, kept.get("began"))
        too_high = most is not None and any((r[1] or 0) > most for r in rows)
        self._judge({**kept, **self._asked()})
        if too_high and most is not None:
            self.said.setText(
                tr(
                    "Let pressure off now: {each:g} kPa is above the {most:g} kPa that {whose} allows.",
                    each=max(r[1] for r in rows),
                    most=most,
                    whose=whose,
                )
            )

    def _asked(self) -> dict[str, float]:
        """What the test is judged by."""
        return {"volume_ml": self.volume.value(), "gauge_step_kpa": self.step.value(), "limit_kpa": self.limit.value()}

    def _judge(self, sheet: dict[str, Any]) -> None:
        self.result = None
        rows = sheet.get("readings", [])
        self.plot.setVisible(len(rows) > 1)
        if len(rows) < 2:
            self.said.setText(
                tr(
                    "Pump up, close the valve, and read the pressure every minute or so; with the "
                    "temperature, if you can."
                )
            )
            return
        try:
            found = leak_test(sheet)
        except KuffinError as error:
            self.said.setText(str(error)[0].upper() + str(error)[1:] + ".")
            return
        data = rows_of(sheet)
        with_temperature = bool(np.isfinite(data[:, 2]).all())
        self.result = found
        more = "" if with_temperature else tr(" Without temperatures, a kelvin of change is allowed for.")
        self.said.setText(found.sentence + more)
        minutes_ = found.times_s / 60
        series = [
            Series(xs=list(minutes_), ys=list(data[:, 1]), style="faint", label=tr("as read")),
            Series(xs=list(minutes_), ys=list(found.corrected_kpa), style="both" if minutes_.size < 60 else "line"),
        ]
        guides = [Guide(found.needed_s / 60, tr("hold until here"), vertical=True)] if found.needed_s else []
        self.plot.show_series(series, "min", tr("kPa over air, freed from temperature"), guides, spoken=found.sentence)

    def _readings(self, rows: list[list[Any]]) -> None:
        self.keep(readings=rows, began=self.watched.began, **self._asked())
        if self.result is not None and self.result.verdict == "pass":
            self._pass(self.result)

    def _pass(self, result: LeakTest) -> None:
        """A test that passed ticks its step."""
        done = self.desk.done.ticks.get("leak")
        if done is None or done.done_at is None:
            task = next((t for t in self.desk.tasks() if t.key == "leak"), None)
            if task is not None:
                self.edit(tick, self.mount.id, "leak", task.text, True)
                self.state.trouble.emit("")
                self.desk.said.emit(
                    tr(
                        "the leak test passed (under {figure} kPa in 15 min); its step is ticked",
                        figure=figure(result.smallest_kpa, 2),
                    )
                )
