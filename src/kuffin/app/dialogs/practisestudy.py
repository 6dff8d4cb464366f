"""A whole study to practise on: hours that are used up, mounts that are made at once, and what one says in the end."""

from __future__ import annotations

import datetime as dt
from itertools import combinations

from PySide6.QtWidgets import QDialog, QVBoxLayout, QWidget

from kuffin.app.base.guarded import guarded
from kuffin.app.base.jobs import Task
from kuffin.app.state.windowstate import State
from kuffin.app.widgets.dialogsize import open_at
from kuffin.app.widgets.forms import button, choice, refill, row
from kuffin.app.widgets.texts import text
from kuffin.core.base.language import mark, tr
from kuffin.core.base.saying import say
from kuffin.demo import wholestudy
from kuffin.demo.wholestudy import HiddenStudy, hidden, made_run, told, words_of
from kuffin.logs.table import LogTable
from kuffin.notebook import edits, planedits
from kuffin.notebook.entities import Mount, Study
from kuffin.verdict.planbasis import next_mount

_HOW = mark(
    "The blocks, their scatter and what is wrong with a mount now and then are made up and hidden. Plan, mount, look at each run, leave out or mount again what "
    "is spoilt, and say what may be said before the hours are over. Each mount takes its hours, good or bad."
)


@guarded
class PractiseStudy(QDialog):
    """Stays beside the window while one works in it."""

    def __init__(self, state: State, parent: QWidget | None = None) -> None:
        super().__init__(parent)
        self.setWindowTitle(tr("Practice study"))
        open_at(self, 430, 330)
        self._state = state
        self.used = text(style="heading")
        self.which = choice([], tr("Candidate to mount"))
        self.mount = button(tr("Mount and run it"), self._make)
        self.answer = choice([], tr("What you say"))
        self.say = button(tr("Say it, and see what was so"), self._say)
        self.told = text()
        column = QVBoxLayout(self)
        column.setSpacing(10)
        column.addWidget(text(tr(_HOW), style="muted"))
        column.addWidget(self.used)
        column.addWidget(row(self.which, self.mount, None))
        column.addWidget(row(text(tr("I say that"), style="muted", wrap=False), self.answer, None))
        column.addWidget(row(self.say, None))
        column.addWidget(self.told)
        column.addStretch(1)
        self._working = False
        state.study_changed.connect(self.renew)
        state.verdict_changed.connect(self.renew)
        self.renew()

    def study(self) -> tuple[Study, HiddenStudy] | None:
        """The study that is open, and what is hidden in it; None where it is no practice study."""
        study = self._state.study
        kept = None if study is None else study.plan.get("practice")
        if study is None or not kept:
            return None
        return study, hidden(int(kept["seed"]), int(kept["candidates"]), float(kept["hours"]))

    def made(self, study: Study) -> list[tuple[str, int]]:
        """The mounts that were made, each with its number for its candidate."""
        return [(c.part.name, n) for c in study.candidates for n, _ in enumerate((m for m in c.mounts if m.runs), 1)]

    def renew(self) -> None:
        """Show how things stand."""
        found = self.study()
        for widget in (self.which, self.mount, self.answer, self.say):
            widget.setEnabled(found is not None and not self._working)
        if found is None:
            self.used.setText(tr("No practice study is open."))
            self.told.setText("")
            return
        study, hid = found
        made = self.made(study)
        hours = len(made) * wholestudy.MOUNT_H
        left = hid.hours - hours
        over = left < wholestudy.MOUNT_H
        self.used.setText(
            tr("{used:.1f} of {hours:g} h used, {made} mounts; ", used=hours, hours=hid.hours, made=len(made))
            + (
                tr("no time for another one")
                if over
                else tr("{left} more can be made", left=int(left / wholestudy.MOUNT_H))
            )
        )
        coming = next_mount(study)
        options = [(c.name, c.id) for c in study.live_candidates]
        refill(self.which, options, coming.candidate_id if coming is not None else self.which.currentData())
        names = list(hid.over_k)
        said = ["", *names, *("+".join(sorted(g)) for n in range(2, len(names) + 1) for g in combinations(names, n))]
        refill(self.answer, [(words_of(s), s) for s in said], self.answer.currentData())
        answered = study.plan["practice"].get("said")
        self.told.setText("" if answered is None else "\n".join(told(hid, str(answered), hours, made)))
        self.mount.setEnabled(not over and answered is None and not self._working)
        self.say.setEnabled(answered is None and not self._working and bool(made))

    def _make(self) -> None:
        """Make the mount, with all that is hidden in it, and keep its log."""
        found = self.study()
        candidate = None if found is None else found[0].candidate(self.which.currentData())
        if found is None or candidate is None:
            return
        study, hid = found
        number = 1 + sum(1 for m in candidate.mounts if m.runs)
        at = dt.datetime(2026, 6, 1, 9) + dt.timedelta(hours=len(self.made(study)) * wholestudy.MOUNT_H)
        planned = next((m for m in candidate.live_mounts if not m.live_runs and m.open_run is None), None)
        self._working = True
        self.renew()

        def work(_task: Task) -> LogTable:
            return made_run(hid, candidate.part.name, number, at)

        def done(table: LogTable) -> None:
            self._working = False
            self._keep(study.id, candidate.name, table, planned)

        def failed(said: str) -> None:
            self._working = False
            self._state.trouble.emit(said)
            self.renew()

        self._state.jobs.start(tr("mounting and running"), work, done, failed)

    def _keep(self, study_id: int, candidate: str, table: LogTable, planned: Mount | None) -> None:
        notebook = self._state.notebook
        if notebook is not None and self._state.study is not None and self._state.study.id == study_id:
            new = edits.NewRun(candidate, table, mount_id=None if planned is None else planned.id)
            self._state.attempt(edits.add_logs, notebook, study_id, [new])
        self.renew()

    def _say(self) -> None:
        found, notebook = self.study(), self._state.notebook
        if found is None or notebook is None:
            return
        study, _ = found
        kept = {**study.plan["practice"], "said": self.answer.currentData()}
        self._state.attempt(planedits.set_plan, notebook, study.id, say("say what may be said"), practice=kept)
        self.renew()
