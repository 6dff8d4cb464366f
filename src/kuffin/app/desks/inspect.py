"""The Inspect desk: did anything spoil this run? Traces, window, settling, staircase, readings, and leaving out."""

from __future__ import annotations

from functools import cached_property
from typing import TYPE_CHECKING

from PySide6.QtCore import Qt, Signal
from PySide6.QtGui import QKeySequence, QShortcut
from PySide6.QtWidgets import (
    QComboBox,
    QGridLayout,
    QHBoxLayout,
    QLineEdit,
    QPushButton,
    QScrollArea,
    QSizePolicy,
    QVBoxLayout,
    QWidget,
)

from kuffin.app.desks import inspectmodel as model
from kuffin.app.jobs import Task
from kuffin.app.look.theme import Theme
from kuffin.app.state import State
from kuffin.app.widgets.bits import empty, link_button, rule, text
from kuffin.app.widgets.curve import Curve
from kuffin.app.widgets.staircase import Staircase
from kuffin.core.errors import KuffinError
from kuffin.core.settle import Settling
from kuffin.notebook import edits
from kuffin.notebook.entities import Run
from kuffin.verdicts.happened import happened
from kuffin.verdicts.preparation import preparation_of, preparation_working
from kuffin.verdicts.results import hand_window, main_trace, run_signals, settle_trace
from kuffin.verdicts.working import mount_working

if TYPE_CHECKING:
    from kuffin.app.widgets.traceplot import TracePlot


class InspectDesk(QWidget):
    """One mount's run. Everything that changes it is an edit that can be undone."""

    working = Signal(object)
    channels_wanted = Signal(int)  # a run's id

    def __init__(self, state: State, theme: Theme) -> None:
        super().__init__()
        self._state, self._theme = state, theme
        self._trace: str | None = None
        self._shown: tuple[object, ...] = ()
        self._title = text(style="heading")
        self._state_word = text(style="muted")
        self._trace_box = QComboBox()
        self._trace_box.setAccessibleName("Trace that is judged")
        self._trace_box.activated.connect(self._trace_chosen)
        self.stairs = Staircase(theme)
        self._answer = link_button("", "The reading: show its working")
        self._answer.clicked.connect(self._explain)
        self._facts = QWidget()
        self._facts_grid = QGridLayout(self._facts)
        self._facts_grid.setContentsMargins(0, 0, 0, 0)
        self._facts_grid.setVerticalSpacing(3)
        self._prepared = link_button("How it was prepared", "What was ticked, noted and measured before the run")
        self._prepared.clicked.connect(self._show_preparation)
        self._happened = link_button("What happened in the run", "Its stages, marks, troubles, and what was asked for")
        self._happened.clicked.connect(self._show_happened)
        self._doubts = text()
        self._reason = QLineEdit()
        self._reason.setPlaceholderText("reason, in a few words")
        self._reason.setAccessibleName("Reason for leaving the mount out or keeping it")
        self._leave = QPushButton("Leave out")
        self._leave.clicked.connect(self._leave_out)
        self._reason.returnPressed.connect(self._leave_out)
        self._keep = QPushButton("Keep it")
        self._keep.clicked.connect(self._keep_it)
        self._find = QPushButton("Let Kuffin find the window")
        self._find.clicked.connect(self._find_window)
        self._channels = QPushButton("Channels …")
        self._channels.clicked.connect(self._ask_channels)
        self._empty = text(
            "Inspect shows one mount's run: where it settled, what was still to go, and whether it should count. "
            "Choose a mount on the loom.",
            style="muted",
        )
        self._body = QWidget()
        self._lay_out()
        for keys, act in (
            ("+", lambda: self.plot.zoom(0.7)),
            ("-", lambda: self.plot.zoom(1.4)),
            ("Alt+Left", lambda: self.plot.pan(-0.2)),
            ("Alt+Right", lambda: self.plot.pan(0.2)),
        ):
            QShortcut(QKeySequence(keys), self, act)
        state.mount_changed.connect(self.renew)
        state.verdict_changed.connect(self.renew)
        self.renew()

    def _lay_out(self) -> None:
        head = QHBoxLayout()
        head.addWidget(self._title)
        head.addSpacing(10)
        head.addWidget(self._state_word, 1)
        head.addWidget(self._trace_box)
        side = QWidget()
        column = QVBoxLayout(side)
        column.setContentsMargins(14, 0, 6, 0)
        column.setSpacing(7)
        column.addWidget(self._answer)
        column.addWidget(self._doubts)
        column.addWidget(self._reason)
        row = QHBoxLayout()
        row.addWidget(self._leave)
        row.addWidget(self._keep)
        row.addStretch()
        column.addLayout(row)
        column.addWidget(self.stairs)
        column.addWidget(self._facts)
        column.addWidget(self._prepared)
        column.addWidget(self._happened)
        column.addStretch()
        scroll = QScrollArea()
        scroll.setWidgetResizable(True)
        scroll.setWidget(side)
        scroll.setFixedWidth(350)
        scroll.setHorizontalScrollBarPolicy(Qt.ScrollBarPolicy.ScrollBarAlwaysOff)
        left = QVBoxLayout()
        self._plot_place = left
        tools = QHBoxLayout()
        hint = text("drag the band's edges to set the window", style="small", wrap=False)
        hint.setSizePolicy(QSizePolicy.Policy.Ignored, QSizePolicy.Policy.Preferred)
        tools.addWidget(hint, 1)
        tools.addWidget(self._find)
        tools.addWidget(self._channels)
        left.addLayout(tools)
        both = QHBoxLayout()
        both.setContentsMargins(0, 0, 0, 0)
        both.addLayout(left, 1)
        both.addWidget(scroll)
        body = QVBoxLayout(self._body)
        body.setContentsMargins(0, 0, 0, 0)
        body.addLayout(head)
        body.addLayout(both, 1)
        layout = QVBoxLayout(self)
        layout.setContentsMargins(0, 0, 0, 0)
        layout.addWidget(self._empty, 0, Qt.AlignmentFlag.AlignTop)
        layout.addWidget(self._body, 1)

    @cached_property
    def plot(self) -> TracePlot:
        """The traces; made when a run is first looked at, as the plotting library is slow to import."""
        from kuffin.app.widgets.traceplot import TracePlot

        plot = TracePlot(self._theme)
        plot.window_moved.connect(self._window_moved)
        self._plot_place.insertWidget(0, plot, 1)
        return plot

    def set_theme(self, theme: Theme) -> None:
        self._theme = theme
        if "plot" in self.__dict__:
            self.plot.set_theme(theme)
        self.stairs.set_theme(theme)

    # --- showing ---------------------------------------------------------------------------------------------------

    def _run(self) -> Run | None:
        mount = self._state.mount()
        return mount.live_runs[-1] if mount is not None and mount.live_runs else None

    def renew(self) -> None:
        """Show the chosen mount as it is now."""
        mount, run, study, notebook = self._state.mount(), self._run(), self._state.study, self._state.notebook
        self._empty.setVisible(mount is None or run is None)
        self._body.setVisible(mount is not None and run is not None)
        if mount is None or run is None or study is None or notebook is None:
            self._shown = ()
            return
        self._title.setText(f"{mount.candidate.name}, round {mount.round}")
        self._show_words()
        trace = self._trace or self._default_trace()
        key = (run.id, trace, study.tolerance_k, [(c.name, c.role) for c in run.channels], hand_window(run))
        if key == self._shown:
            return
        self._shown = key
        self._trace_box.clear()
        for name, label in model.trace_choices(study.under_test):
            self._trace_box.addItem(label, name)
        self._trace_box.setCurrentIndex(max(0, self._trace_box.findData(trace)))
        self.plot.clear()

        def work(_job: Task) -> tuple[Settling | None, list[Curve], object, str]:
            signals = run_signals(notebook, run)
            curves = [
                Curve(label, signals.times, values)
                for label, values in (("air", signals.air), ("coolant", signals.coolant), ("die", signals.die))
                if values is not None
            ]
            try:
                return settle_trace(signals, trace, study.tolerance_k, hand_window(run)), curves, signals.times, ""
            except KuffinError as error:
                return None, curves, signals.times, str(error)

        def done(found: object) -> None:
            if self._shown == key:
                settling, curves, times, problem = found  # type: ignore[misc]
                self.plot.show_run(settling, curves, model.axis_label(trace), times)
                if problem:
                    self._state_word.setText(problem)

        self._state.jobs.start("drawing the run", work, done, self._state.trouble.emit)

    def _default_trace(self) -> str:
        verdict = self._state.verdict
        study = self._state.study
        if verdict is not None and verdict.school.trace in dict(model.trace_choices(verdict.under_test)):
            return verdict.school.trace
        return main_trace(study.under_test if study else "radiator")

    def _show_words(self) -> None:
        mount, run, verdict = self._state.mount(), self._run(), self._state.verdict
        if mount is None or run is None:
            return
        reading = self._state.reading(mount.id)
        result = verdict.results.get(run.id) if verdict is not None else None
        self._state_word.setText(model.state_words(verdict, mount, result))
        self._answer.setText(model.answer(verdict, reading))
        doubts = [] if verdict is None else list(verdict.doubts.get(mount.id, ()))
        self._doubts.setText("\n\n".join(f"{d.text[0].upper()}{d.text[1:]}. Likely: {d.likely}." for d in doubts))
        self._doubts.setVisible(bool(doubts))
        levels, steps = model.staircase(result)
        self.stairs.show_steps(levels, steps)
        self._fill_facts(model.readings(verdict, mount.id), model.facts(result, run))
        out = mount.left_out
        self._reason.setVisible(out is None)
        self._leave.setText("Take it back in" if out is not None else "Leave out")
        self._keep.setVisible(out is None and any(d.serious for d in doubts) and not mount.kept_because)
        self._find.setEnabled(bool(run.windows))
        self._prepared.setVisible(mount.begun_at is not None)
        run = self._run()
        self._happened.setVisible(run is not None and bool(run.marks or run.note))

    def _fill_facts(self, readings: list[tuple[str, str, str]], facts: list[tuple[str, str]]) -> None:
        empty(self._facts_grid)
        row = 0
        for key, name, value in readings:
            self._facts_grid.addWidget(text(name, style="muted", wrap=False), row, 0)
            button = link_button(value, f"{name}: {value}; show its working")
            button.clicked.connect(lambda _checked=False, k=key: self._explain_school(k))
            self._facts_grid.addWidget(button, row, 1, Qt.AlignmentFlag.AlignRight)
            row += 1
        if readings:
            self._facts_grid.addWidget(rule(), row, 0, 1, 2)
            row += 1
        for name, value in facts:
            self._facts_grid.addWidget(text(name, style="muted", wrap=False), row, 0)
            label = text(value, wrap=False)
            label.setAlignment(Qt.AlignmentFlag.AlignRight)
            self._facts_grid.addWidget(label, row, 1)
            row += 1
        self._facts_grid.setColumnStretch(1, 1)

    # --- acting ----------------------------------------------------------------------------------------------------

    def _trace_chosen(self, index: int) -> None:
        self._trace = self._trace_box.itemData(index)
        self.renew()

    def _window_moved(self, begin: float, end: float) -> None:
        run, notebook = self._run(), self._state.notebook
        if run is None or notebook is None:
            return
        begin, end = max(begin, 0.0), min(end, run.duration_s)
        if end - begin < 10:
            self._state.trouble.emit("a window needs at least 10 s; drag its edges further apart")
            self._shown = ()
            self.renew()
            return
        self._state.attempt(edits.set_window, notebook, run.id, (begin, end))

    def _find_window(self) -> None:
        run, notebook = self._run(), self._state.notebook
        if run is not None and notebook is not None:
            self._state.attempt(edits.set_window, notebook, run.id, None)

    def _label(self) -> str:
        mount = self._state.mount()
        return f"{mount.candidate.name}, round {mount.round}" if mount is not None else ""

    def _leave_out(self) -> None:
        mount, notebook = self._state.mount(), self._state.notebook
        if mount is None or notebook is None:
            return
        if mount.left_out is not None:
            self._state.attempt(edits.take_back_in, notebook, mount.id, self._label())
        else:
            if not self._reason.text().strip():
                self._reason.setFocus()
            self._state.attempt(edits.leave_out, notebook, mount.id, self._label(), self._reason.text())
            self._reason.clear()

    def _keep_it(self) -> None:
        mount, notebook = self._state.mount(), self._state.notebook
        if mount is not None and notebook is not None:
            if not self._reason.text().strip():
                self._reason.setFocus()
            self._state.attempt(edits.keep, notebook, mount.id, self._label(), self._reason.text())
            self._reason.clear()

    def _ask_channels(self) -> None:
        run = self._run()
        if run is not None:
            self.channels_wanted.emit(run.id)

    def _show_happened(self) -> None:
        run = self._run()
        if run is not None:
            self.working.emit(happened(run))

    def _show_preparation(self) -> None:
        mount, notebook = self._state.mount(), self._state.notebook
        found = preparation_of(notebook, mount) if mount is not None and notebook is not None else None
        if found is not None:
            self.working.emit(preparation_working(found))

    def _explain(self) -> None:
        mount = self._state.mount()
        reading = self._state.reading(mount.id) if mount is not None else None
        if self._state.verdict is not None and reading is not None:
            self.working.emit(mount_working(self._state.verdict, reading))

    def _explain_school(self, key: str) -> None:
        verdict, mount = self._state.verdict, self._state.mount()
        if verdict is not None and mount is not None:
            under = verdict.schools[key]
            reading = next((r for r in under.readings if r.mount_id == mount.id), None)
            if reading is not None:
                self.working.emit(mount_working(verdict, reading, under.school))

    def explain_focus(self) -> None:
        """The working of the reading (F1)."""
        self._explain()
