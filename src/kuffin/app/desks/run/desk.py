"""The Run desk: choose and start, then watch; one big button, marks with one key."""

from __future__ import annotations

from PySide6.QtCore import Qt, Signal
from PySide6.QtGui import QDragEnterEvent, QDropEvent, QKeySequence, QShortcut, QShowEvent
from PySide6.QtWidgets import QAbstractButton, QApplication, QStackedLayout, QWidget

from kuffin.app.acts.photojobs import Added, add_photos
from kuffin.app.base.calling import Caller
from kuffin.app.base.guarded import guarded
from kuffin.app.base.settings import Settings
from kuffin.app.desks.photos import local_files
from kuffin.app.desks.run import stagewords
from kuffin.app.desks.run.choosing import Choosing
from kuffin.app.desks.run.live import LivePage
from kuffin.app.desks.run.practice import PracticePage
from kuffin.app.desks.run.ready import ReadyPage
from kuffin.app.look.theme import Theme
from kuffin.app.state.running import Running
from kuffin.app.state.shelfstate import ShelfState
from kuffin.app.state.windowstate import State
from kuffin.core.base.errors import KuffinError
from kuffin.core.base.language import tr
from kuffin.core.base.saying import say
from kuffin.core.bench.limits import Limits
from kuffin.core.bench.protocol import DEFAULT_TAU_S, asked_for
from kuffin.demo.practising import Practice
from kuffin.notebook.entities import Candidate, Mount, Run
from kuffin.notebook.runwriter import NewMark, add_marks, close_run, comment_on, reopen_run
from kuffin.recording.liverun import LiveRun, Now
from kuffin.verdict.againstsiblings import against_siblings


@guarded
class RunDesk(QWidget):
    """The desk."""

    working = Signal(object)
    inspect_wanted = Signal(int)  # a mount's id
    desk_wanted = Signal(str)
    escaped = Signal()  # Esc, where nothing is being asked
    said = Signal(str)
    practise_wanted = Signal()

    def __init__(
        self, state: State, shelf: ShelfState, theme: Theme, settings: Settings, running: Running, caller: Caller
    ) -> None:
        super().__init__()
        self.state, self.shelf, self.settings, self.running, self.caller = state, shelf, settings, running, caller
        self.choosing = Choosing(state, shelf, settings)
        self._carried_on = False
        self.shown: tuple[LiveRun, Now] | None = None  # the run on screen, also after its end
        self._asked: list[str] = []
        self._marked_s = 0.0
        self._reading = ""
        self._frames = 0
        self._told: set[str] = set()
        self.ready = ReadyPage(theme)
        self.page = LivePage(theme)
        self.practice_page = PracticePage(theme)
        self.practice_page.again.connect(self.practise_wanted)
        self.practice_page.look.connect(self.look_at_run)
        self.practice_page.told.connect(state.tell_all)
        self.stack = QStackedLayout(self)
        self.stack.addWidget(self.ready)
        self.stack.addWidget(self.page)
        self.stack.addWidget(self.practice_page)
        self.setAcceptDrops(True)
        self.ready.start_wanted.connect(self.start)
        self.ready.chosen.connect(self._choose)
        self.ready.go_on_wanted.connect(self.go_on)
        self.ready.close_wanted.connect(self._close_cut_off)
        self.ready.protocol_wanted.connect(lambda: self.desk_wanted.emit("Plan"))
        self.ready.instruments_wanted.connect(lambda: self.desk_wanted.emit("Bench"))
        self.page.pressed.connect(self._press)
        self.page.small.connect(self._small)
        self.page.noted.connect(self.noted)
        self.page.working.connect(self.explain_focus)
        for keys, act in (("Space", self._space), ("M", lambda: self._small("mark")), ("Esc", self._escape)):
            key = QShortcut(QKeySequence(keys), self, act)
            key.setContext(Qt.ShortcutContext.WidgetWithChildrenShortcut)
        state.notebook_changed.connect(self._forget)
        running.started.connect(self._started)
        running.ticked.connect(self._ticked)
        running.ended.connect(self._ended)
        shelf.changed.connect(self._heard)
        self.stale = True
        self.renew()

    def _forget(self) -> None:
        """Another notebook: the run that was shown, the choice, and what was hidden or asked belong to the one before."""
        self.shown = None
        self._asked, self._told = [], set()
        self.choosing.chosen = self.choosing.practice = None
        self.page.ask_no_more()
        self._heard()

    # --- before ----------------------------------------------------------------------------------------------------

    def _heard(self) -> None:
        self.stale = True
        if self.isVisible():
            self.renew()

    def showEvent(self, event: QShowEvent) -> None:
        super().showEvent(event)
        if self.stale:
            self.renew()
        if self.running.active and self.running.now is not None:
            self._ticked(self.running.now)
        (self.page.big if self.stack.currentWidget() is self.page else self.ready.start).setFocus()

    def choose(self, mount_id: object) -> None:
        """Take a mount to be run next."""
        self.choosing.chosen = mount_id
        if not self.running.active:
            self.shown = None
        self.renew()

    def _choose(self) -> None:
        self.choosing.chosen = self.ready.which.currentData()
        self.choosing.take_bench(self.ready.bench.currentData())
        self.renew()

    def renew(self) -> None:
        """Show what can be started, unless a run is shown."""
        self.stale = False
        study = self.state.study
        if self.stack.currentWidget() is self.practice_page and self.shown is not None and not self.running.active:
            return
        if self.shown is not None or self.running.active:
            self.stack.setCurrentWidget(self.page)
            return
        self.stack.setCurrentWidget(self.ready)
        if study is None:
            return
        c = self.choosing
        said, able = c.bench_words()
        self.ready.show_choice(c.mounts(), c.chosen, c.benches(), c.bench, said, able and c.chosen is not None)
        self.ready.title.setText(c.title() or tr("No candidate yet: give the study some, on the Plan desk"))
        takes = self.shelf.durations()
        limits = Limits.from_plain(self.shelf.protocol.limits if self.shelf.protocol is not None else None)
        tau_s = takes.tau_s if takes else DEFAULT_TAU_S
        self.ready.show_plan(self.shelf.steps, limits, c.roles(), c.speed, tau_s, study.tolerance_k)
        self.ready.show_cut_off(
            [(m.open_run, m) for c in study.live_candidates for m in c.live_mounts if m.open_run is not None]
        )

    def start(self) -> None:
        """Start the run that is chosen."""
        candidate, mount = self.choosing.what()
        if candidate is None:
            self.state.trouble.emit(tr("there is no mount to run; plan some, or give the study candidates"))
            return
        self._begin(candidate, mount, None)

    def go_on(self, run_id: int) -> None:
        """Go on with a run that was cut off."""
        mount = next((m for m in self.state.mounts() if m.open_run is not None and m.open_run.id == run_id), None)
        if mount is not None:
            self._begin(mount.candidate, mount, mount.open_run)

    def _begin(self, candidate: Candidate, mount: Mount | None, run: Run | None) -> None:
        try:
            bench = self.choosing.open_bench(candidate, mount)
        except KuffinError as error:
            self.state.trouble.emit(str(error))
            return
        self.running.start(candidate.name, mount, bench, run)

    def _close_cut_off(self, run_id: int) -> None:
        if self.state.notebook is not None:
            self.state.attempt(close_run, self.state.notebook, run_id)

    # --- while it runs ---------------------------------------------------------------------------------------------

    def _started(self) -> None:
        self._carried_on = False
        self._told = set()
        self._asked = []
        self._frames = 0
        self.renew()
        self.page.big.setFocus()

    def _ticked(self, now: Now) -> None:
        live = self.running.live
        if live is None:
            return
        self.shown = (live, now)
        self._call(now)
        for name in now.asked:
            if name not in self._asked:
                self._asked.append(name)
        self.ask_on()
        if self.isVisible():
            self.stack.setCurrentWidget(self.page)
            # figures five times a second, traces once
            self.page.show_now(live, now, self._carried_on, full=self._frames % 5 == 0 or bool(now.over))
        self._frames += 1

    def ask_on(self) -> None:
        """Ask for the next number that belongs to a step, where nothing else is being typed."""
        if not self.page.asking and self._asked:
            self.page.ask("value", tr("{asked} of this step:", asked=self._asked[0]), take_keys=False)

    def _call(self, now: Now) -> None:
        for kind, sentence, key in stagewords.calls(now):
            if key not in self._told:
                self._told.add(key)
                self.caller.call(kind, sentence)

    def _ended(self, run_id: int, over: str) -> None:
        if run_id == 0:
            self.shown = None
            self.said.emit(tr("nothing was recorded: {over}", over=over))
        self.renew()

    def _space(self) -> None:
        focus = QApplication.focusWidget()
        if isinstance(focus, QAbstractButton) and focus not in (self.page.big, self.ready.start):
            focus.click()
        elif self.stack.currentWidget() is self.ready:
            self.ready.start.click()
        else:
            self.page.big.click()

    def _escape(self) -> None:
        if not self.page.asking:
            self.escaped.emit()
        else:
            if self.page.asking == "mark" and self.running.live is not None:
                self.running.live.mark("", self._marked_s)
            if self.page.asking == "value" and self._asked:
                self._asked.pop(0)
                self._forget_asked()
            self.page.ask_no_more()

    def _forget_asked(self) -> None:
        if self.running.live is not None:
            self.running.live.asked = list(self._asked)

    def _press(self, key: str) -> None:
        live = self.running.live
        if key == "inspect":
            if self.choosing.practice is not None and self._ask_practice():
                return
            self.look_at_run()
        elif live is None:
            return
        elif key == "acted":
            live.acted()
        elif key == "go on":
            live.hold(False)
        elif key == "remount":
            check = self.running.now.check if self.running.now is not None else None
            self.running.stop(say("stopped to remount: {why}", why=check.sentence if check is not None else ""))

    def _small(self, what: str) -> None:
        live = self.running.live
        if what == "go on run":
            self._take_up_again()
        if live is None:
            return
        if what == "mark":
            self._marked_s = live.recorder.elapsed_s
            self.page.ask("mark", tr("Marked. A word, if you like (Enter; Esc for none):"))
        elif what == "type":
            self._ask_reading(live)
        elif what == "hold":
            stage = live.leader.stage
            live.hold(stage is None or not stage.held)
        elif what == "repeat":
            live.repeat()
        elif what == "carry on":
            self._carried_on = True
            live.carry_on()

    def _take_up_again(self) -> None:
        """Go on with the run that was stopped: it is open again, with a gap."""
        run_id = self.shown[0].run_id if self.shown is not None else None
        if run_id is None or self.running.active or self.state.notebook is None:
            return
        self.shown = None
        self.state.attempt(reopen_run, self.state.notebook, run_id)
        self.go_on(run_id)
        self.renew()

    def _ask_reading(self, live: LiveRun) -> None:
        """Ask for the next of the readings that are typed by hand."""
        names = live.bench.typed
        if names:
            self._reading = names[(names.index(self._reading) + 1) % len(names)] if self._reading in names else names[0]
            self.page.ask("reading", f"{self._reading}:")

    def noted(self, what: str, written: str) -> None:
        """Take what was written beside a run: a mark, a number, a wish to stop."""
        live = self.running.live
        if what == "stop":
            self.running.stop()
        elif what == "skip" and live is not None:
            if written:
                live.skip(written)
            else:
                self.said.emit(tr("a step is skipped only with a reason"))
        elif what == "comment" and written and self.shown is not None and self.shown[0].run_id and self.state.notebook:
            self.state.attempt(comment_on, self.state.notebook, self.shown[0].run_id, written)
        elif what == "mark" and live is not None:
            live.mark(written.strip(), self._marked_s)
        elif what == "reading" and live is not None:
            self._keep_reading(live, written)
        elif what == "value" and self._asked:
            self._keep_value(self._asked[0], written)

    def _keep_reading(self, live: LiveRun, written: str) -> None:
        value = stagewords.as_number(written)
        if value is None:
            self.said.emit(tr("“{written}” is no number; nothing was kept", written=written))
            return
        live.bench.type_reading(self._reading, value)
        live.mark(say("{reading} typed: {written}", reading=self._reading, written=written), kind="mark")

    def _keep_value(self, asked: str, written: str) -> None:
        ((name, unit),) = asked_for(asked)
        value = stagewords.as_number(written)
        if value is None and written:
            self.said.emit(tr("“{written}” is no number; {name} is asked for again", written=written, name=name))
            self.ask_on()
            return
        self._asked.pop(0)
        self._forget_asked()
        self.ask_on()
        if value is None:
            return
        live, shown = self.running.live, self.shown
        run_id = live.run_id if live is not None else shown[0].run_id if shown is not None else None
        at_s = shown[1].elapsed_s if shown is not None else 0.0
        if run_id is not None and self.state.notebook is not None:
            told = NewMark(at_s=at_s, kind="value", text=name, value=value, unit=unit)
            self.state.attempt(add_marks, self.state.notebook, run_id, [told])

    def practise(self, practice: Practice) -> None:
        """Hide a fault in the next run."""
        self.choosing.practice = practice
        self.state.untold = True
        self.shown = self.choosing.chosen = None
        self.renew()

    def _ask_practice(self) -> bool:
        """Ask what was wrong with the practice run; False where there is nothing to ask about."""
        mount, study, notebook = self._mount_shown(), self.state.study, self.state.notebook
        if mount is None or study is None or notebook is None or self.choosing.practice is None or not mount.live_runs:
            return False
        compared = self.state.attempt(against_siblings, notebook, study, mount)
        if not isinstance(compared, list):
            return False
        practice, self.choosing.practice = self.choosing.practice, None
        self.practice_page.ask(practice.fault, compared)
        self.stack.setCurrentWidget(self.practice_page)
        return True

    def _mount_shown(self) -> Mount | None:
        run_id = self.shown[0].run_id if self.shown is not None else None
        return next((m for m in self.state.mounts() if any(r.id == run_id for r in m.runs)), None)

    def look_at_run(self) -> None:
        """Leave the run that is over and look at it on Inspect."""
        mount, self.shown, self.choosing.chosen = self._mount_shown(), None, None
        self.renew()
        if mount is not None:
            self.inspect_wanted.emit(mount.id)

    def explain_focus(self) -> None:
        """Show the working of the mount check."""
        if self.shown is not None and self.shown[1].check is not None:
            self.working.emit(self.shown[1].check.working())

    # --- photos and looks ------------------------------------------------------------------------------------------

    def dragEnterEvent(self, event: QDragEnterEvent) -> None:
        if event.mimeData().hasUrls() and self.running.live is not None:
            event.acceptProposedAction()

    def dropEvent(self, event: QDropEvent) -> None:
        live, notebook = self.running.live, self.state.notebook
        if live is None or notebook is None:
            return
        if self.running.mount_id is None:
            self.said.emit(tr("this mount is only made when its run ends; drop the photo on Prepare then"))
            return

        def mark(added: Added) -> None:
            for path, _ in added:
                live.mark(say("photo {name}", name=path.rsplit("/", 1)[-1]), kind="photo")

        add_photos(self.state, local_files(event), mark, mount_id=self.running.mount_id)

    def set_theme(self, theme: Theme) -> None:
        for page in (self.ready, self.page, self.practice_page):
            page.set_theme(theme)
