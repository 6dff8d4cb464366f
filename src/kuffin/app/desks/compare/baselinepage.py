"""The baseline over the study's days: has the bench moved, and what would correcting by it change?"""

from __future__ import annotations

from PySide6.QtWidgets import QCheckBox

from kuffin.app.desks.renewedpage import RenewedPage
from kuffin.app.look.theme import Theme
from kuffin.app.state.windowstate import State
from kuffin.app.widgets.controlplot import ControlPlot
from kuffin.app.widgets.figuretable import FigureTable
from kuffin.app.widgets.texts import text
from kuffin.core.base.language import mark, tr
from kuffin.core.base.saying import say
from kuffin.core.compare.pairwords import number
from kuffin.notebook import planedits
from kuffin.said.working import mount_working
from kuffin.verdict.baseline import moved_words, with_and_without
from kuffin.verdict.schoolflips import two_ways

_PURPOSE = mark(
    "Baseline charts the candidate that is mounted again and again to watch the bench. Choose one on the Plan desk's question "
    "page; two mounts of it or more draw the chart."
)


class BaselinePage(RenewedPage):
    """It edits only whether the study is corrected by its baseline."""

    def __init__(self, state: State, theme: Theme) -> None:
        super().__init__(state, theme, tr(_PURPOSE))
        self.said = text()
        self.plot = ControlPlot(theme)
        self.plot.chosen.connect(self._explain)
        self.correct = QCheckBox(tr("take the bench's move out of all mounts"))
        self.correct.setToolTip(
            tr(
                "How far the bench moved is fitted beside the candidates, so that the intervals hold what is uncertain about it. "
                "It is said wherever the study is told."
            )
        )
        self.correct.toggled.connect(self._toggled)
        self.effect = text(style="muted")
        self.table = FigureTable(tr("What correcting would change"))
        self._notes = text(style="small")
        for widget in (self.said, self.plot, self.correct, self.effect, self.table, self._notes):
            self.column.addWidget(widget)

    def set_theme(self, theme: Theme) -> None:
        super().set_theme(theme)
        self.plot.set_theme(theme)

    def renew(self) -> None:
        verdict, study = self.state.verdict, self.state.study
        if verdict is None or study is None or verdict.baseline is None:
            self.show_purpose(tr(_PURPOSE))
            return
        self.show_purpose("")
        found = verdict.baseline
        words = moved_words(found, "K")
        self.said.setText(f"{words[:1].upper()}{words[1:]}.")
        self.plot.show_chart(found, verdict.school.unit, self.state.position(found.name))
        both = with_and_without(verdict)
        able = both is not None and not both[1].why_kept
        asked = bool(study.plan.get("correct_by_baseline"))
        self.correct.setEnabled(able or asked)
        self.correct.blockSignals(True)
        self.correct.setChecked(asked)
        self.correct.blockSignals(False)
        self.table.setVisible(able)
        self.effect.setVisible(both is not None)
        if both is not None:
            rows = two_ways(*both)
            changed = [r for r in rows if r.differs]
            said = (
                tr("Correcting changes no verdict.")
                if not changed
                else tr(
                    "Correcting changes what is said of {changed} of {rows} pairs.",
                    changed=len(changed),
                    rows=len(rows),
                )
            )
            if both[1].why_kept:
                said = f"{both[1].why_kept[:1].upper()}{both[1].why_kept[1:]}."
            elif study.blocks:
                said += tr(
                    " Rounds are blocks here, so what a whole round had in common is taken out of the "
                    "comparison already."
                )
            self.effect.setText(said)
            self.table.show_rows(
                (tr("pair"), tr("as read"), tr("corrected by the baseline")),
                [(r.names + (" *" if r.differs else ""), r.without, r.counted) for r in rows],
                words=True,
                left={1},
            )
        chart = found.chart
        self._notes.setText(
            tr(
                "Limits are {factor:.1f} standard deviations ({sd} K, {df:g} degrees of freedom) "
                "from the middle: passed by chance as rarely as three of a known one. A step between "
                "days and a trend are tried together, with a chance of 5 % of a false alarm. The "
                "points are the readings as they were, uncorrected.",
                factor=chart.factor,
                sd=number(chart.sd, 2),
                df=chart.df,
            )
        )

    def _toggled(self, on: bool) -> None:
        study, notebook = self.state.study, self.state.notebook
        if study is not None and notebook is not None:
            label = say("correct by the baseline") if on else say("no longer correct by the baseline")
            self.state.attempt(planedits.set_plan, notebook, study.id, label, correct_by_baseline=on or None)

    def _explain(self, mount_id: int) -> None:
        reading = self.state.reading(mount_id)
        if reading is not None and self.state.verdict is not None:
            self.working.emit(mount_working(self.state.verdict, reading))
