"""Several outcomes and conditions at once: the grid, what it says as a whole, and how its family is judged."""

from __future__ import annotations

from collections.abc import Mapping
from functools import partial

from PySide6.QtGui import QAction
from PySide6.QtWidgets import QMenu, QToolButton

from kuffin.app.base.guarded import guarded
from kuffin.app.base.jobs import Job, Task
from kuffin.app.desks.renewedpage import RenewedPage
from kuffin.app.look.theme import Theme
from kuffin.app.state.windowstate import State
from kuffin.app.widgets.forms import choice, flowing, refill, row
from kuffin.app.widgets.intervalgrid import IntervalGrid
from kuffin.app.widgets.texts import Opener, no_keys, plain_tip, text
from kuffin.core.base.language import mark, tr
from kuffin.core.base.numbers import begun
from kuffin.core.base.saying import say
from kuffin.notebook import planedits
from kuffin.said.warmings import Warming, warming_working, warmings
from kuffin.said.working import grid_working
from kuffin.verdict.grid import Axes, Cell, axes_of, cell_result, family_confidence, rough_means, where_is
from kuffin.verdict.outcomes import OutcomeResult
from kuffin.verdict.study import StudyVerdict
from kuffin.verdict.tradeoffs import grid_said, less_than_the_verdict

_PURPOSE = mark(
    "Outcomes sets the candidates side by side by all that was measured (temperatures, clock, power, flow, loudness, numbers "
    "asked for) and under several conditions. It needs mounts to compare."
)


@guarded
class OutcomesPage(RenewedPage):
    """It edits which outcomes stand in the grid, how the family is judged, and which condition the verdict line is about."""

    def __init__(self, state: State, theme: Theme) -> None:
        super().__init__(state, theme, tr(_PURPOSE))
        self._job: Job | None = None
        self._axes = Axes((), ())
        self.results: dict[Cell, OutcomeResult] = {}
        self._summary = text()
        self._family_said = text(style="small")
        self.family = choice(
            ((tr("all cells together"), "all"), (tr("each cell on its own"), "each")), tr("How the cells are judged")
        )
        self.family.activated.connect(self._family_chosen)
        self.main = choice((), tr("The condition that the verdict line is about"))
        self.main.activated.connect(self._main_chosen)
        self.shown = QToolButton()
        self.shown.setText(tr("outcomes shown …"))
        self.shown.setToolTip(tr("Which outcomes stand in the grid; all its cells share one confidence"))
        self.shown.setPopupMode(QToolButton.ToolButtonPopupMode.InstantPopup)
        self.shown.setMenu(QMenu(self.shown))
        self._main_label = text(tr("the verdict line is about"), style="muted", wrap=False)
        choices = flowing(
            self.shown,
            row(text(tr("judged"), style="muted", wrap=False), self.family),
            row(self._main_label, self.main),
            spacing=18,
        )
        self.grid = IntervalGrid(theme)
        self.grid.cell_chosen.connect(self._explain)
        self._warmings: list[Warming] = []
        self.one_another = Opener()
        self.one_another.opened.connect(lambda: self.working.emit(warming_working(self._warmings)))
        self._told = text(style="small")
        self.column.addWidget(self._summary)
        self.column.addWidget(self.one_another)
        self.column.addWidget(self.grid)
        self._rest = text()
        self.column.addWidget(self._rest)
        self.column.addWidget(self._told)
        self.column.addWidget(choices)
        self.column.addWidget(self._family_said)

    def set_theme(self, theme: Theme) -> None:
        super().set_theme(theme)
        self.grid.set_theme(theme)

    def renew(self) -> None:
        """Draw the frame at once; means and intervals come in as they are worked out."""
        if self._job is not None:
            self._job.cancel()
            self._job = None
        verdict, study = self.state.verdict, self.state.study
        if verdict is None or study is None or verdict.mounts == 0:
            self.show_purpose(tr(_PURPOSE))
            return
        axes = axes_of(verdict)
        self.show_purpose("")
        self._axes, self.results = axes, {}
        self._fill_shown(verdict)
        confidence, said = family_confidence(verdict, axes)
        self._family_said.setText(
            tr(
                "Judged {told}. Each cell shows how far each is behind its best candidate; brackets "
                "join candidates that are not told apart. Click a cell for its pairs.",
                told=said,
            )
        )
        self.family.setCurrentIndex(1 if study.plan.get("family") == "each" else 0)
        refill(self.main, [(label, key) for key, label in axes.conditions], verdict.condition)
        for widget in (self.main, self._main_label):
            widget.setVisible(len(axes.conditions) > 1)
        order = verdict.main.ranking()
        order += [c for c in verdict.candidates if c not in order]
        self._summary.setText(tr("Comparing …"))
        self._rest.setText("")
        told = [c.words for c in verdict.conditions if c.words not in {c.name, c.label}]
        self._told.setText("\n".join(told))
        self._told.setVisible(bool(told))
        self.grid.show_frame(axes, order, verdict.candidates)
        self._warmings = warmings(verdict.evidence)
        self.one_another.setText("\n".join(w.sentence for w in self._warmings))
        self.one_another.setVisible(bool(self._warmings))

        def work(job: Task) -> dict[Cell, OutcomeResult]:
            job.show({cell: rough_means(verdict, cell) for cell in axes.cells})
            done: dict[Cell, OutcomeResult] = {}
            for i, cell in enumerate(axes.cells):
                done[cell] = cell_result(verdict, cell, confidence)
                job.show((cell, done[cell]))
                job.report((i + 1) / len(axes.cells))
            return done

        self._job = self.state.jobs.start(tr("comparing the conditions"), work, self._done, self.state.trouble.emit)
        self._job.shown.connect(self._show)

    def _show(self, told: dict[Cell, Mapping[str, float]] | tuple[Cell, OutcomeResult]) -> None:
        if isinstance(told, dict):
            self.grid.show_means(told)
            return
        cell, result = told
        self.results[cell] = result
        self.grid.show_cell(cell, result)

    def _done(self, found: object) -> None:
        self._job = None
        said = grid_said(self._axes, self.results)
        verdict = self.state.verdict
        lines = [*said.first] or [tr("Nothing is told apart in any cell yet.")]
        if verdict is not None:
            own = self.results.get(Cell(verdict.condition, verdict.outcome.key))
            lines.append(less_than_the_verdict(verdict.main, own))
        self._summary.setText("\n".join(line for line in lines if line))
        self._rest.setText("\n".join(said.rest))

    def _fill_shown(self, verdict: StudyVerdict) -> None:
        menu, there = self.shown.menu(), {o.key for o in self._axes.outcomes}
        menu.clear()
        for outcome in verdict.possible_outcomes:
            action = QAction(no_keys(begun(tr(outcome.label))), menu)
            action.setCheckable(True)
            action.setChecked(outcome.key in there)
            action.setEnabled(outcome.key != verdict.outcome.key)  # what the verdict is about stands there always
            action.setToolTip(plain_tip(outcome.normalised))
            action.toggled.connect(partial(self._show_outcome, outcome.key))
            menu.addAction(action)
        asked = [o for o in verdict.possible_outcomes if o.asked]
        for outcome in asked:
            action = QAction(no_keys(tr("Less is better: {label}", label=tr(outcome.label))), menu)
            action.setCheckable(True)
            action.setChecked(not outcome.higher_is_better)
            action.toggled.connect(partial(self._less_is_better, outcome.asked))
            menu.addAction(action)

    def _plan(self, label: str, **values: object) -> None:
        study, notebook = self.state.study, self.state.notebook
        if study is not None and notebook is not None:
            self.state.attempt(planedits.set_plan, notebook, study.id, label, **values)

    def _show_outcome(self, key: str, on: bool) -> None:
        keys = [o.key for o in self._axes.outcomes if o.key != key] + ([key] if on else [])
        self._plan(say("show another outcome") if on else say("show an outcome no longer"), outcomes=keys)

    def _less_is_better(self, name: str, on: bool) -> None:
        study = self.state.study
        before = [] if study is None else [n for n in study.plan.get("lower_is_better", []) if n != name]
        self._plan(say("say which way is better"), lower_is_better=[*before, *([name] if on else [])] or None)

    def _family_chosen(self) -> None:
        how = self.family.currentData()
        self._plan(say("judge the outcomes otherwise"), family=None if how == "all" else how)

    def _main_chosen(self) -> None:
        self._plan(say("judge another condition"), condition=self.main.currentData())

    def _explain(self, cell: object) -> None:
        if isinstance(cell, Cell) and cell in self.results and self.state.verdict is not None:
            self.working.emit(
                grid_working(self._axes.label(cell), self.results[cell], where_is(self.results[cell], cell))
            )
