"""One mount's run: its traces with window and fit, its reading, and what was found about it."""

from __future__ import annotations

from collections.abc import Hashable
from functools import cached_property
from typing import TYPE_CHECKING

from PySide6.QtCore import QTimer, Signal
from PySide6.QtGui import QAction, QKeySequence, QResizeEvent, QShortcut, QShowEvent
from PySide6.QtWidgets import QComboBox, QHBoxLayout, QMenu, QPushButton, QSizePolicy, QToolButton, QVBoxLayout, QWidget

from kuffin.app.base.guarded import guarded
from kuffin.app.base.settings import Settings
from kuffin.app.desks.inspect import runwords as model
from kuffin.app.desks.inspect.answers import AnswerBox
from kuffin.app.desks.inspect.atcursor import AtCursor
from kuffin.app.desks.inspect.facts import Facts
from kuffin.app.desks.inspect.joined import JoinedLogs
from kuffin.app.desks.inspect.layover import LayOver
from kuffin.app.desks.inspect.plotkeys import plot_keys
from kuffin.app.desks.inspect.viewsahead import ViewsAhead, WantedView, wanted_view
from kuffin.app.look.theme import Theme
from kuffin.app.state.windowstate import State
from kuffin.app.widgets.besideorbelow import BesideOrBelow
from kuffin.app.widgets.choice import Choice
from kuffin.app.widgets.forms import row
from kuffin.app.widgets.staircase import Staircase
from kuffin.app.widgets.texts import Opener, empty, link_button, no_keys, plain_tip, text
from kuffin.core.base.language import mark, tr
from kuffin.core.bench.undertest import kind_under_test
from kuffin.core.compare.pairwords import number
from kuffin.core.findings import KINDS
from kuffin.core.heat.normalise import SCHOOLS
from kuffin.notebook import edits
from kuffin.notebook.entities import Mount, Run
from kuffin.reading.keptresults import hand_window
from kuffin.said.preparation import preparation_of, preparation_working
from kuffin.said.runmarks import happened
from kuffin.said.working import mount_working, trace_working

if TYPE_CHECKING:
    from kuffin.app.widgets.traceplot import TracePlot
    from kuffin.reading.traceview import TraceView

_SOON_MS = 150
_MOST_AHEAD = 1_000_000  # samples of a run, up to which those beside it are read ahead
_LEAST_PLOT = 320  # px, where the figures stand below the traces
_HINT = mark("Point at the traces to read every channel there; drag the band to set the window. ")
"Ctrl and arrows move the cursor, Alt and arrows the view, + and − zoom, Home shows "
"all."


@guarded
class RunPage(QWidget):
    """The traces at the left, what they say at the right. Everything that changes them is an edit that can be undone."""

    working = Signal(object)
    channels_wanted = Signal(int)  # a run's id
    join_wanted = Signal(int)  # a run's id
    finding_wanted = Signal(int, str)  # a mount's id and the finding's kind

    def __init__(self, state: State, theme: Theme, settings: Settings) -> None:
        super().__init__()
        self._state, self._theme, self._settings = state, theme, settings
        self.trace: str | None = None
        self.shown: Hashable = ()
        self._trace_box = Choice()
        self._trace_box.setAccessibleName(tr("Trace that is judged"))
        self._trace_box.activated.connect(self._trace_chosen)
        self.over = LayOver(state)
        self.over.read.connect(lambda view, whose: self.plot.lay_over(view, whose))
        self._rows = QToolButton()
        self._rows.setText(tr("Rows"))
        self._rows.setPopupMode(QToolButton.ToolButtonPopupMode.InstantPopup)
        self._rows.setMenu(QMenu(self._rows))
        self.stairs = Staircase(theme)
        self.stairs.chosen.connect(self._explain_step)
        self.answer = Opener()
        self.answer.setAccessibleName(tr("The reading: show its working"))
        self.answer.setProperty("link", "true")
        self.answer.opened.connect(self._explain)
        self.at_cursor = AtCursor()
        self.facts = Facts()
        self.facts.reading_wanted.connect(self._explain_school)
        self._prepared = link_button(
            tr("How it was prepared"), tr("What was ticked, noted and measured before the run")
        )
        self._prepared.clicked.connect(self._show_preparation)
        self._happened = link_button(
            tr("What happened in the run"), tr("Its stages, marks, troubles, and what was asked for")
        )
        self._happened.clicked.connect(self.show_happened)
        self._found = QVBoxLayout()
        self._found.setSpacing(4)
        self.answers = AnswerBox(state)
        self.find_button = QPushButton(tr("Find the window"))
        self.find_button.clicked.connect(self._find_window)
        self._channels = link_button(tr("Channels …"), tr("What the run's channels are"))
        self._channels.clicked.connect(self._ask_channels)
        self._join = link_button(
            tr("Join a log …"), tr("Join a further log of this run: probes, flow meter, sound meter, frame times")
        )
        self._join.clicked.connect(self._ask_join)
        self.joined = JoinedLogs(state)
        self._clearing = QTimer(self, singleShot=True, interval=_SOON_MS)
        self._clearing.timeout.connect(self._clear)
        self.views = ViewsAhead(state, self)
        self._lay_out()
        for keys, act in plot_keys(self.plot).items():
            QShortcut(QKeySequence(keys), self, act)
        state.mount_changed.connect(self.renew)
        state.verdict_changed.connect(self.renew)

    def _lay_out(self) -> None:
        side = QWidget()
        column = QVBoxLayout(side)
        column.setContentsMargins(14, 0, 6, 0)
        column.setSpacing(7)
        column.addWidget(self.answer)
        column.addLayout(self._found)
        column.addWidget(self.answers)
        of_log = row(self._channels, self._join)
        for widget in (self.stairs, self.facts, self._prepared, self._happened, self.joined, of_log):
            column.addWidget(widget)
        column.addStretch()
        left = QVBoxLayout()
        tools = QHBoxLayout()
        for box, share in ((self._trace_box, 3), (self.over, 2)):
            box.setSizeAdjustPolicy(QComboBox.SizeAdjustPolicy.AdjustToMinimumContentsLengthWithIcon)
            box.setMinimumContentsLength(2)
            box.setSizePolicy(QSizePolicy.Policy.Expanding, QSizePolicy.Policy.Fixed)
            tools.addWidget(box, share)
        tools.addWidget(self._rows)
        self._plot_place = left
        left.addWidget(self.at_cursor)
        tools.addWidget(self.find_button)
        left.addLayout(tools)
        self._fitted = BesideOrBelow(self, left, side, self._turned)
        self._fitted.fit()

    @cached_property
    def plot(self) -> TracePlot:
        """The traces; made when a run is first looked at, as the plotting library is slow to import."""
        from kuffin.app.widgets.traceplot import TracePlot
        from kuffin.reading.traceview import USUAL_ROWS

        plot = TracePlot(self._theme)
        kept = self._settings.value("inspect/rows", ",".join(USUAL_ROWS))
        plot.show_rows(tuple(k for k in kept.split(",") if k and k != "residuals"), "residuals" in kept.split(","))
        plot.window_moved.connect(self._window_moved)
        plot.window_moving.connect(self._window_moving)
        plot.cursor_at.connect(self._show_cursor)
        self._plot_place.insertWidget(0, plot, 1)
        return plot

    def set_theme(self, theme: Theme) -> None:
        self._theme = theme
        if "plot" in self.__dict__:
            self.plot.set_theme(theme)
        self.stairs.set_theme(theme)

    def _turned(self, below: bool) -> None:
        if "plot" in self.__dict__:
            self.plot.setMinimumHeight(round(_LEAST_PLOT * self.plot.text_scale) if below else 0)

    def resizeEvent(self, event: QResizeEvent) -> None:
        super().resizeEvent(event)
        self._fitted.fit()

    def showEvent(self, event: QShowEvent) -> None:
        super().showEvent(event)
        self.renew()
        self._fitted.fit()

    def run(self) -> Run | None:
        """The run that is looked at."""
        return self._state.run()

    def renew(self) -> None:
        """Show the chosen mount as it is now."""
        mount, run, study, notebook = self._state.mount(), self.run(), self._state.study, self._state.notebook
        if mount is None or run is None or study is None or notebook is None:
            self.shown = ()
            return
        self._show_words(mount, run)
        if not self.isVisible():
            return
        wanted = self._wanted(mount, run)
        if wanted.key == self.shown:
            return
        self.shown, trace, result = wanted.key, wanted.trace, wanted.result
        self.views.stop()
        self._trace_box.clear()
        for name, label in model.trace_choices(study.under_test):
            self._trace_box.addItem(tr(label), name)
        self._trace_box.setCurrentIndex(max(0, self._trace_box.findData(trace)))
        self.over.fill(mount, trace)
        self.at_cursor.setText(tr(_HINT))
        typed = result is not None and result.typed is not None
        for widget in (self.plot, self.find_button):
            widget.setVisible(not typed)
        if typed:  # a few figures have no trace
            self.at_cursor.setText(tr("These figures were typed: there is no trace to draw, and no window to set."))
            return
        known = self.views.view(wanted)
        if known is not None:
            self._show_view(mount, known)
            return
        # until the new traces are there, which is nearly at once, the old ones take no part and are not painted again
        self.plot.setEnabled(False)
        self.plot.setUpdatesEnabled(False)
        self._clearing.start()

        def done(found: TraceView) -> None:
            self.views.keep(wanted, found)
            if self.shown == wanted.key:
                self._show_view(mount, found)

        self._state.jobs.start(tr("drawing the run"), lambda _task: wanted.read(), done, self._state.trouble.emit)

    def _show_view(self, mount: Mount, view: TraceView) -> None:
        """Draw the traces, and read those of the mounts beside this one ahead."""
        self._clearing.stop()
        self.plot.setEnabled(True)
        self.plot.show_view(view)
        self.plot.setUpdatesEnabled(True)
        self._fill_rows(view)
        if view.problem:
            self.at_cursor.setText(view.problem)
        self.over.choose(self.over.mount_id)
        if view.samples <= _MOST_AHEAD:
            self.views.read_beside(mount, self._wanted)

    def _wanted(self, mount: Mount, run: Run) -> WantedView:
        """What a run's traces are drawn from."""
        return wanted_view(self._state, mount, run, self.trace or self._default_trace(), self._window_in_use(run))

    def _clear(self) -> None:
        """The new traces take longer: those of another run do not stand there meanwhile."""
        self.plot.clear()
        self.plot.setUpdatesEnabled(True)

    def _window_in_use(self, run: Run) -> tuple[float, float] | None:
        """The window that was set by hand or by the protocol's clock, None where it was found."""
        result = self._state.result(run.id)
        if result is not None and (result.window_by == "clock" or result.stretch_s is not None):
            return result.window_s if result.by_hand else None
        return hand_window(run)

    def _default_trace(self) -> str:
        verdict, study = self._state.verdict, self._state.study
        if verdict is not None and verdict.school.trace in dict(model.trace_choices(verdict.under_test)):
            return verdict.school.trace
        return kind_under_test(study.under_test if study else "radiator").main_trace

    def _show_words(self, mount: Mount, run: Run) -> None:
        verdict = self._state.verdict
        reading = model.reading_of(verdict, mount, run)
        result = verdict.results.get(run.id) if verdict is not None else None
        self.answer.setText(model.answer(verdict, reading, result))
        self._fill_found(mount)
        self.answers.show_mount(mount, [f.kind for f in verdict.unanswered(mount.id)] if verdict is not None else [])
        levels, steps = model.staircase(result)
        self.stairs.show_steps(levels, steps)
        self.facts.show_facts([] if run.recheck else model.readings(verdict, mount.id), model.facts(result, run))
        self.find_button.setEnabled(bool(run.windows))
        self._prepared.setVisible(mount.begun_at is not None)
        self._happened.setVisible(bool(run.marks or run.note))
        self.joined.show_logs(mount.joined_to(run.id))

    def _fill_found(self, mount: Mount) -> None:
        """What was found, each a line that leads to its page."""
        empty(self._found)
        verdict = self._state.verdict
        found = verdict.findings.get(mount.id, ()) if verdict is not None else ()
        accepted = verdict.answers.get(mount.id, {}) if verdict is not None else {}
        for finding in found:
            title = tr(KINDS[finding.kind].title)
            note = " (accepted)" if finding.kind in accepted else "" if finding.serious else " (remark)"
            row = Opener()
            row.setText(no_keys(f"{'?  ' if finding.serious and not note else ''}{title}{note} ›"))
            row.setProperty("link", "true")
            row.setToolTip(plain_tip(finding.sentence))
            row.setAccessibleName(f"{title}: {finding.sentence}")
            row.opened.connect(lambda m=mount.id, k=finding.kind: self.finding_wanted.emit(m, k))
            self._found.addWidget(row)
            if finding.serious and not note:
                self._found.addWidget(text(finding.sentence, style="small"))

    def _fill_rows(self, view: TraceView) -> None:
        """The menu of rows that this run has."""
        menu = self._rows.menu()
        menu.clear()
        there = {r.key.split(" ")[0]: r.title for r in view.rows}
        for key, title in [("residuals", tr("what the fit leaves")), *there.items()]:
            action = QAction(no_keys(title), menu)
            action.setCheckable(True)
            action.setChecked(self.plot.residuals if key == "residuals" else key in self.plot.wanted)
            action.toggled.connect(lambda on, k=key: self.show_row(k, on))
            menu.addAction(action)

    def show_row(self, key: str, on: bool) -> None:
        """Show or hide one row of traces."""
        keys = [k for k in self.plot.wanted if k != key] + ([key] if on and key != "residuals" else [])
        residuals = on if key == "residuals" else self.plot.residuals
        self.plot.show_rows(tuple(keys), residuals)
        self._settings.set_value("inspect/rows", ",".join([*keys, *(["residuals"] if residuals else [])]))

    # --- acting ----------------------------------------------------------------------------------------------------

    def _show_cursor(self, seconds: object) -> None:
        view = self.plot.view
        if seconds is None or view is None:
            self.at_cursor.setText(tr(_HINT))
            return
        at = float(seconds)  # type: ignore[arg-type]
        read = [f"{n} {number(v, 0 if abs(v) >= 1000 else 1)} {u}" for n, v, u in view.at(at) if v == v]
        since = (at - view.load_start_s) / 60
        self.at_cursor.setText(
            tr("{at} min ({since} min of load): ", at=number(at / 60, 1), since=number(since, 1)) + " · ".join(read)
        )

    def _trace_chosen(self, index: int) -> None:
        self.trace = self._trace_box.itemData(index)
        self.renew()

    def _window_moving(self, begin: float, end: float) -> None:
        """The reading follows the band while it is dragged: the plain mean, until it is let go and judged."""
        view = self.plot.view
        if view is not None:
            self.at_cursor.setText(model.plain_mean(view, begin, end))

    def _window_moved(self, begin: float, end: float) -> None:
        run, notebook = self.run(), self._state.notebook
        if run is None or notebook is None:
            return
        begin, end = max(begin, 0.0), min(end, run.duration_s)
        if end - begin < 10:
            self._state.trouble.emit(tr("a window needs at least 10 s; drag its edges further apart"))
            self.shown = ()
            self.renew()
            return
        self._state.attempt(edits.set_window, notebook, run.id, (begin, end))

    def _find_window(self) -> None:
        run, notebook = self.run(), self._state.notebook
        if run is not None and notebook is not None:
            self._state.attempt(edits.set_window, notebook, run.id, None)

    def _ask_channels(self) -> None:
        run = self.run()
        if run is not None:
            self.channels_wanted.emit(run.id)

    def _ask_join(self) -> None:
        run = self.run()
        if run is not None:
            self.join_wanted.emit(run.id)

    def show_happened(self) -> None:
        """Show what happened during the run: marks, numbers, troubles."""
        run = self.run()
        if run is not None:
            self.working.emit(happened(run))

    def _show_preparation(self) -> None:
        mount, notebook = self._state.mount(), self._state.notebook
        found = preparation_of(notebook, mount) if mount is not None and notebook is not None else None
        if found is not None:
            self.working.emit(preparation_working(found))

    def _explain(self) -> None:
        mount = self._state.mount()
        reading = model.reading_of(self._state.verdict, mount, self.run()) if mount is not None else None
        if self._state.verdict is not None and reading is not None:
            self.working.emit(mount_working(self._state.verdict, reading))

    def _explain_step(self, trace: str) -> None:
        verdict, mount = self._state.verdict, self._state.mount()
        told = trace_working(verdict, mount.id, trace) if verdict is not None and mount is not None else None
        if told is not None:
            self.working.emit(told)

    def _explain_school(self, key: str) -> None:
        verdict, mount = self._state.verdict, self._state.mount()
        if verdict is not None and mount is not None:
            reading = next((r for r in verdict.readings_of(SCHOOLS[key]) if r.mount_id == mount.id), None)
            if reading is not None:
                self.working.emit(mount_working(verdict, reading, SCHOOLS[key]))

    def explain_focus(self) -> None:
        """The working of the reading (F1)."""
        self._explain()
