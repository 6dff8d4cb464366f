"""The top of the window: the question, the verdict line, the one next thing."""

from __future__ import annotations

import datetime as dt

from PySide6.QtCore import Qt, Signal
from PySide6.QtGui import QAction
from PySide6.QtWidgets import QHBoxLayout, QMenu, QPushButton, QToolButton, QVBoxLayout, QWidget

from kuffin.app.state.windowstate import State
from kuffin.app.widgets.fewlines import FewLines
from kuffin.app.widgets.texts import no_keys
from kuffin.core.base.language import tr
from kuffin.core.compare.pairwords import several
from kuffin.said.line import continued, verdict_line
from kuffin.said.nextstep import NextStep
from kuffin.said.working import study_working
from kuffin.verdict.planbasis import next_mount


class Header(QWidget):
    """Always there: what is asked, what may be said so far, what to do next."""

    next_wanted = Signal(object)  # a NextStep
    stepped = Signal(object)  # what comes next now, as a NextStep
    study_wanted = Signal(int)
    working = Signal(object)  # a Working

    def __init__(self, state: State) -> None:
        super().__init__()
        self._state = state
        self.step: NextStep | None = None
        self.question = FewLines(1)
        self.question.setObjectName("question")
        self.verdict = FewLines(2, tr("why ›"), opens=True)
        self.verdict.setObjectName("verdict")
        self.verdict.opened.connect(self.explain)
        self.verdict.setAccessibleName(tr("Verdict so far"))
        self.switch = QToolButton()  # stands in the menu's row
        self.switch.setPopupMode(QToolButton.ToolButtonPopupMode.InstantPopup)
        self.switch.setAccessibleName(tr("Choose a study"))
        self._menu = QMenu(self.switch)
        self._menu.aboutToShow.connect(self._fill_menu)
        self.switch.setMenu(self._menu)
        self.next = QPushButton()
        self.next.setObjectName("next")
        self.next.clicked.connect(lambda: self.step is not None and self.next_wanted.emit(self.step))
        self.hint = FewLines(2)
        self.hint.setProperty("small", "true")
        self.hint.setAlignment(Qt.AlignmentFlag.AlignRight | Qt.AlignmentFlag.AlignVCenter)
        top = QHBoxLayout()
        top.addWidget(self.question)
        top.addWidget(self.hint, 1)
        top.addSpacing(4)
        top.addWidget(self.next)
        layout = QVBoxLayout(self)
        layout.setContentsMargins(24, 2, 20, 6)
        layout.setSpacing(3)
        layout.addLayout(top)
        layout.addWidget(self.verdict)
        state.study_changed.connect(self.renew)
        state.verdict_changed.connect(self.renew)
        state.so_far_changed.connect(self._renew_so_far)
        self.renew()

    def renew(self) -> None:
        """Say what may be said now."""
        study, verdict = self._state.study, self._state.verdict
        self.setVisible(study is not None)
        self.switch.setVisible(study is not None)
        if study is None:
            return
        self.question.setText(study.question)
        self.switch.setText(no_keys(f"{study.name if study.name != study.question else 'studies'}  ▾"))
        if verdict is None or verdict.study_id != study.id:
            stopped = not self._state.busy and self._state.so_far.share
            self.verdict.setText(
                tr("Stopped before all runs were read: go on from Inspect, Findings.")
                if stopped
                else tr("Reading the runs …")
            )
            self.next.setVisible(False)
            self.hint.setText("")
            return
        line = verdict_line(verdict, next_mount(study), dt.datetime.now())
        step = line.step
        if self._state.untold and step.action == "inspect":
            step = NextStep(
                tr("say what was wrong"), tr("what Kuffin noticed is told after you have said it"), "run", step.mount_id
            )
        self.step = step
        self.stepped.emit(step)
        counting = sum(r.left_out is None and r.value is not None for r in verdict.main.readings)
        after = tr(", after {counting}", counting=several(counting, "mount")) if counting else ""
        self.verdict.setText(tr("So far{after}: {continued}", after=after, continued=continued(line.sentence)))
        self.next.setVisible(True)
        self.next.setText(no_keys(tr("Next  ▸  {label}", label=step.label)))
        self.next.setAccessibleName(tr("Next: {label}", label=step.label))
        self.hint.setText(step.hint)

    def _renew_so_far(self) -> None:
        if self._state.verdict is None:
            self.renew()

    def explain(self) -> None:
        """Show what the verdict line rests on."""
        verdict = self._state.verdict
        if verdict is not None:
            self.working.emit(study_working(verdict, verdict_line(verdict).sentence))

    def _fill_menu(self) -> None:
        self._menu.clear()
        notebook = self._state.notebook
        for study in notebook.studies() if notebook is not None else []:
            action = QAction(no_keys(study.name), self._menu)
            action.setCheckable(True)
            action.setChecked(self._state.study is not None and study.id == self._state.study.id)
            action.triggered.connect(lambda _checked=False, i=study.id: self.study_wanted.emit(i))
            self._menu.addAction(action)
