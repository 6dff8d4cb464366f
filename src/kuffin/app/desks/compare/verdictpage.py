"""The Compare desk: the candidates under one school, what may be said of each pair, and what depends on the school."""

from __future__ import annotations

from PySide6.QtCore import Qt, QTimer, Signal
from PySide6.QtWidgets import (
    QAbstractItemView,
    QCheckBox,
    QHBoxLayout,
    QHeaderView,
    QScrollArea,
    QTableWidget,
    QTableWidgetItem,
    QVBoxLayout,
    QWidget,
)

from kuffin.app.base.guarded import guarded
from kuffin.app.look.theme import Theme
from kuffin.app.state.windowstate import State
from kuffin.app.widgets.choice import Choice
from kuffin.app.widgets.digitwidths import DigitWidths
from kuffin.app.widgets.forms import choice, flowing, number, refill
from kuffin.app.widgets.intervalplot import IntervalPlot
from kuffin.app.widgets.numberspin import NumberSpin
from kuffin.app.widgets.texts import text
from kuffin.core.base.language import tr
from kuffin.core.base.saying import say
from kuffin.core.heat.normalise import SCHOOLS, default_school
from kuffin.notebook import edits, planedits
from kuffin.said import comparisonwords as model
from kuffin.said.working import candidate_working, mount_working, pair_working
from kuffin.verdict.outcomes import OutcomeResult

MOST_PAIRS = 60  # listed on the page; forty candidates make 780


@guarded
class VerdictPage(QWidget):
    """The page. It edits only the study's school, margin and blocks."""

    working = Signal(object)  # a Working
    mount_wanted = Signal(int)

    def __init__(self, state: State, theme: Theme) -> None:
        super().__init__()
        self._state, self._theme, self._filling = state, theme, False
        self._title = text(style="small", wrap=False)
        self.school = Choice()
        self.school.setAccessibleName(tr("School: what is taken out"))
        DigitWidths(self.school, most=22.5)
        self.school.currentIndexChanged.connect(self._school_chosen)
        self.outcome = choice((), tr("What the verdict is about"))
        self.outcome.setMinimumContentsLength(10)
        DigitWidths(self.outcome, most=14.5)
        self.outcome.activated.connect(self._outcome_chosen)
        self.margin = NumberSpin()
        self.margin.setRange(0.05, 50.0)
        self.margin.setSingleStep(0.1)
        self.margin.setDecimals(2)
        self.margin.setSuffix(" K")
        self.margin.setKeyboardTracking(False)
        self.margin.setAccessibleName(tr("Smallest difference that matters"))
        self.margin.valueChanged.connect(self._margin_chosen)
        self._blocks = QCheckBox(tr("rounds are blocks"))
        self._blocks.setToolTip(
            tr("Take out what a whole round had in common, such as an afternoon. Only where rounds were planned.")
        )
        self._blocks.toggled.connect(self._blocks_chosen)
        self.confidence = number(50.0, 99.9, "%", 1, 1.0, tr("Confidence, over all pairs and looks together"))
        self.confidence.setToolTip(tr("How sure a verdict has to be. Choose it before you look: 95 % is usual."))
        self.confidence.valueChanged.connect(self._confidence_chosen)
        self.plot = IntervalPlot(theme)
        self.plot.candidate_chosen.connect(self._explain_candidate)
        self.plot.mount_chosen.connect(self._explain_mount)
        self.pairs = QTableWidget(0, 4)
        self.pairs.setHorizontalHeaderLabels([tr("pair"), tr("difference"), tr("interval"), tr("what may be said")])
        self.pairs.setAccessibleName(tr("Pairs and their verdicts"))
        self.pairs.verticalHeader().hide()
        self.pairs.setShowGrid(False)
        self.pairs.setEditTriggers(QAbstractItemView.EditTrigger.NoEditTriggers)
        self.pairs.setSelectionBehavior(QAbstractItemView.SelectionBehavior.SelectRows)
        self.pairs.setSelectionMode(QAbstractItemView.SelectionMode.SingleSelection)
        self.pairs.setVerticalScrollBarPolicy(Qt.ScrollBarPolicy.ScrollBarAlwaysOff)
        self.pairs.setTabKeyNavigation(False)
        self.pairs.cellClicked.connect(self._explain_pair)
        self.pairs.cellActivated.connect(self._explain_pair)
        header = self.pairs.horizontalHeader()
        header.setDefaultAlignment(Qt.AlignmentFlag.AlignLeft)
        for column in range(3):
            header.setSectionResizeMode(column, QHeaderView.ResizeMode.ResizeToContents)
        header.setSectionResizeMode(3, QHeaderView.ResizeMode.Stretch)
        header.sectionResized.connect(
            lambda column, _old, _new: column == 3 and QTimer.singleShot(0, self, self._fit_pairs)
        )
        self.warning = text(style="warn")
        self._left_out = text(style="muted")
        self.foot = text(style="small")
        self.empty = text(style="muted")
        self._lay_out()
        state.verdict_changed.connect(self.renew)
        state.study_changed.connect(self.renew)
        self.renew()

    def _lay_out(self) -> None:
        self.choices = QWidget()  # stands beside the pages' names
        head = QHBoxLayout(self.choices)
        head.setContentsMargins(0, 0, 0, 0)
        head.addWidget(self.outcome)
        head.addWidget(self.school)
        self._options = flowing(
            text(tr("a difference matters from"), style="muted", wrap=False),
            self.margin,
            text(tr("confidence"), style="muted", wrap=False),
            self.confidence,
            self._blocks,
            spacing=8,
        )
        inner = QWidget()
        column = QVBoxLayout(inner)
        column.setContentsMargins(0, 0, 8, 0)
        column.setSpacing(8)
        column.addWidget(self.empty)
        column.addWidget(self.plot)
        column.addWidget(self._title, 0, Qt.AlignmentFlag.AlignHCenter)
        column.addWidget(self.warning)
        column.addWidget(self._left_out)
        column.addWidget(self.pairs)
        column.addWidget(self.foot)
        column.addWidget(self._options)
        column.addStretch()
        scroll = QScrollArea()
        scroll.setWidgetResizable(True)
        scroll.setWidget(inner)
        layout = QVBoxLayout(self)
        layout.setContentsMargins(0, 0, 0, 0)
        layout.addWidget(scroll, 1)

    def set_theme(self, theme: Theme) -> None:
        self._theme = theme
        self.plot.set_theme(theme)

    def shown(self) -> OutcomeResult | None:
        """The result under the school in use."""
        return None if self._state.verdict is None else self._state.verdict.main

    # --- showing ---------------------------------------------------------------------------------------------------

    def renew(self) -> None:
        """Show the verdict as it is now."""
        verdict, study = self._state.verdict, self._state.study
        result = self.shown()
        ready = verdict is not None and result is not None and verdict.mounts > 0
        for widget in (self.plot, self.pairs, self.foot, self.outcome, self.school, self._options, self._title):
            widget.setVisible(ready)
        self.warning.setVisible(False)
        self._left_out.setVisible(False)
        self.empty.setVisible(not ready)
        if not ready or verdict is None or result is None or study is None:
            self.empty.setText(
                tr("Reading the runs …")
                if verdict is None and study is not None
                else tr(
                    "Compare shows what may honestly be said of the candidates, with each mount as one observation. "
                    "Drop the logs of a few mounts on the loom to begin."
                )
            )
            return
        self._filling = True
        self._title.setText(model.title(verdict, result.outcome))
        keys = list(verdict.schools)
        self.school.clear()
        usual = default_school(study.under_test).key
        for key in keys:
            school = SCHOOLS[key]
            self.school.addItem(tr(school.label) + (tr(" (usual)") if key == usual else ""), key)
            self.school.setItemData(
                self.school.count() - 1,
                tr(
                    "Takes out {takes_out}. Right for {right_when}.",
                    takes_out=tr(school.takes_out),
                    right_when=tr(school.right_when),
                ),
                Qt.ItemDataRole.ToolTipRole,
            )
        about = verdict.outcome
        self.school.setCurrentIndex(keys.index(verdict.school.key))
        self.school.setVisible(about.key in keys)
        others = [o for o in verdict.possible_outcomes if o.key != verdict.school.key]
        kept = about if about.key in keys or about in others else None
        others += [about] if kept is None else []  # chosen, though no run tells it any more
        entries = [(tr("temperature"), None), *((tr(o.label), o.key) for o in others)]
        refill(self.outcome, entries, None if about.key in keys else about.key)
        margin = None if result.comparison is None else result.comparison.margin
        self.margin.setSuffix(f" {about.difference_unit}".rstrip())
        self.margin.setValue(study.margin_k if about.temperature or margin is None else margin)
        self._blocks.setChecked(study.blocks)
        self.confidence.setValue(100 * study.confidence)
        self._filling = False
        self.plot.show_verdict(verdict, result)
        self._fill_pairs(result)
        notes = model.school_warnings(verdict, result)
        self.warning.setText(" ".join(notes if len(notes) < 3 else [*notes[:2], "More on the Schools page."]))
        self.warning.setVisible(bool(notes))
        left_out = model.left_out_lines(verdict)
        self._left_out.setText(" ".join(left_out))
        self._left_out.setVisible(bool(left_out))
        foot = model.footnote(verdict, result)
        foot += tr(" · click any number for its working") if result.comparison is not None else ""
        pairs = 0 if result.comparison is None else len(result.comparison.pairs)
        if pairs > MOST_PAIRS:
            foot = tr(
                "The first {MOST_PAIRS} of {pairs} pairs; all of them are in the words and in the "
                "verdicts that are exported. {foot}",
                MOST_PAIRS=MOST_PAIRS,
                pairs=pairs,
                foot=foot,
            )
        self.foot.setText(foot)

    def _fill_pairs(self, result: OutcomeResult) -> None:
        rows = model.pair_rows(result, MOST_PAIRS)
        self.pairs.setRowCount(len(rows))
        for i, row in enumerate(rows):
            for j, content in enumerate((row.names, row.difference, row.interval, row.verdict)):
                item = QTableWidgetItem(content)
                item.setData(Qt.ItemDataRole.UserRole, (row.pair.a, row.pair.b))
                item.setToolTip(tr("Click or F1: show the working"))
                if row.open and j == 3:
                    item.setForeground(self._theme.color("muted"))
                self.pairs.setItem(i, j, item)
        self.pairs.setVisible(bool(rows))
        self._fit_pairs()

    def showEvent(self, event: object) -> None:
        super().showEvent(event)  # type: ignore[arg-type]
        self._fit_pairs()

    def resizeEvent(self, event: object) -> None:
        super().resizeEvent(event)  # type: ignore[arg-type]
        self._fit_pairs()

    def _fit_pairs(self) -> None:
        if not self.isVisible():
            return
        self.pairs.resizeRowsToContents()
        height = (
            self.pairs.horizontalHeader().height()
            + sum(self.pairs.rowHeight(i) for i in range(self.pairs.rowCount()))
            + 4
        )
        self.pairs.setFixedHeight(height)

    # --- acting ----------------------------------------------------------------------------------------------------

    def _change(self, label: str, **values: object) -> None:
        notebook, study = self._state.notebook, self._state.study
        if not self._filling and notebook is not None and study is not None:
            self._state.attempt(edits.change_study, notebook, study.id, label, **values)

    def _school_chosen(self, index: int) -> None:
        if index >= 0:
            self._change(say("choose another school"), school=self.school.itemData(index))

    def _plan(self, label: str, **values: object) -> None:
        study, notebook = self._state.study, self._state.notebook
        if study is not None and notebook is not None and not self._filling:
            self._state.attempt(planedits.set_plan, notebook, study.id, label, **values)

    def _outcome_chosen(self) -> None:
        self._plan(say("judge by something else"), outcome=self.outcome.currentData())

    def _margin_chosen(self, value: float) -> None:
        verdict, study = self._state.verdict, self._state.study
        if verdict is None or study is None or verdict.outcome.temperature:
            self._change(say("change the margin"), margin_k=round(value, 3))
        else:
            own = {**study.plan.get("matters", {}), verdict.outcome.key: round(value, 3)}
            self._plan(say("change the margin"), matters=own)

    def _confidence_chosen(self, percent: float) -> None:
        self._change(say("change the confidence"), confidence=round(percent / 100, 4))

    def _blocks_chosen(self, on: bool) -> None:
        self._change(say("count rounds as blocks") if on else say("not count rounds as blocks"), blocks=on)

    def _explain_candidate(self, name: str) -> None:
        if self._state.verdict is not None:
            self.working.emit(candidate_working(self._state.verdict, self._state.verdict.main, name))

    def _explain_mount(self, mount_id: int) -> None:
        reading = self._state.reading(mount_id)
        if self._state.verdict is not None and reading is not None:
            self.working.emit(mount_working(self._state.verdict, reading))

    def _explain_pair(self, row: int, _column: int) -> None:
        item = self.pairs.item(row, 0)
        if item is not None and self._state.verdict is not None:
            a, b = item.data(Qt.ItemDataRole.UserRole)
            self.working.emit(pair_working(self._state.verdict, self._state.verdict.main, a, b))

    def explain_focus(self) -> None:
        """Show the working of the pair that has the focus (F1)."""
        if self.pairs.hasFocus() and self.pairs.currentRow() >= 0:
            self._explain_pair(self.pairs.currentRow(), 0)
