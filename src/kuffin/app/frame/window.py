"""The main window: header, loom, desks, working, strip; and what the menus do."""

from __future__ import annotations

from collections.abc import Callable

from PySide6.QtCore import Qt
from PySide6.QtGui import QCloseEvent, QContextMenuEvent, QGuiApplication, QKeySequence, QShortcut
from PySide6.QtWidgets import (
    QApplication,
    QButtonGroup,
    QHBoxLayout,
    QMainWindow,
    QPushButton,
    QStackedWidget,
    QVBoxLayout,
    QWidget,
)

from kuffin.app.acts.importing import Importer
from kuffin.app.acts.joininglogs import Joiner
from kuffin.app.acts.notebooks import Notebooks
from kuffin.app.acts.ownchannels import OwnChannels
from kuffin.app.acts.packages import Packages
from kuffin.app.acts.studies import Studies
from kuffin.app.acts.typingreadings import Typist
from kuffin.app.base.calling import Caller
from kuffin.app.base.guarded import guarded
from kuffin.app.base.jobs import Jobs
from kuffin.app.base.settings import Settings
from kuffin.app.desks.compare.desk import CompareDesk
from kuffin.app.desks.inspect.desk import InspectDesk
from kuffin.app.dialogs.start import StartPage
from kuffin.app.dialogs.unkept import Unkept
from kuffin.app.frame.copying import Copier
from kuffin.app.frame.dressing import Dressing
from kuffin.app.frame.dropping import Dropping
from kuffin.app.frame.earlywindow import keep_for_start
from kuffin.app.frame.header import Header
from kuffin.app.frame.helptexts import about
from kuffin.app.frame.lazydesks import MadeLater
from kuffin.app.frame.links import Follower
from kuffin.app.frame.loomside import LoomSide
from kuffin.app.frame.menus import Menus
from kuffin.app.frame.navigation import BEHIND, DESKS
from kuffin.app.frame.nextsteps import take_step
from kuffin.app.frame.strip import Strip
from kuffin.app.frame.tour import Tour
from kuffin.app.frame.undokeys import UndoKeys
from kuffin.app.look import theme as looks
from kuffin.app.look.dresser import Dresser
from kuffin.app.state.running import Running
from kuffin.app.state.shelfstate import ShelfState
from kuffin.app.state.windowstate import State
from kuffin.app.widgets.forms import flowing
from kuffin.app.widgets.keywalked import Opening
from kuffin.app.widgets.messages import ask, tell
from kuffin.app.widgets.sidebyside import SideBySide
from kuffin.app.widgets.texts import Opener, rule
from kuffin.app.widgets.workingpanel import WorkingPanel
from kuffin.core.base.errors import KuffinError
from kuffin.core.base.language import tr
from kuffin.said.nextstep import NextStep
from kuffin.said.shownworking import Working
from kuffin.said.working import mount_working


@guarded
class MainWindow(Dropping, QMainWindow, Dressing, MadeLater):
    """One window on one notebook."""

    def __init__(self, settings: Settings | None = None) -> None:
        super().__init__()
        self.settings = settings or Settings()
        self.theme = looks.chosen(self.settings.value("theme", "desktop", looks.MODES))
        self.jobs = Jobs(self)
        self.state = State(self.jobs)
        self.shelf = ShelfState(self.state)
        self.running = Running(self.state, self)
        self.caller = Caller(self, self.settings)
        self._leaving = False
        self.followed: int = 0  # how often one went where Next leads
        self.setWindowTitle("Kuffin")
        self.resize(1280, 800)
        self.setMinimumSize(860, 560)
        self.setAcceptDrops(True)
        self.importer = Importer(self.state, self, OwnChannels(self.settings.channels_path))
        self.typist = Typist(self.state, self)
        self.packages = Packages(self.state, self, lambda paths: self.studies.add_logs(paths))
        self.joiner = Joiner(self.state, self, lambda: self.theme)
        self.header = Header(self.state)
        self.side = LoomSide(self.state, self.theme, self.settings)
        self.inspect = InspectDesk(self.state, self.theme, self.settings)
        self.compare = CompareDesk(self.state, self.theme, self.settings)
        self.working = WorkingPanel()
        self.working.hide()
        self.follower = Follower(self.state)
        self.start = StartPage()
        self.strip = Strip(self.state, self.jobs)
        self.unkept = Unkept(self.running, self)
        self.notebooks = Notebooks(self, self.state, self.settings, lambda: self.running.active)
        self.studies = Studies(self, self.state, self.notebooks, self.importer, lambda: self.theme)
        self.tour = Tour(self)
        self.copier = Copier(self, self.state, self.show_help)
        self.menus: Menus = Menus(self)
        self.menuBar().setCornerWidget(self.header.switch)
        self._lay_out()
        self._connect()
        geometry = self.settings.layout("geometry")
        if geometry is not None:
            self.restoreGeometry(geometry)
        sizes = self.settings.layout("split")
        if sizes is not None:
            self.split.restoreState(sizes)
        self.show_desk("Compare")
        self._renew()
        self.dresser = Dresser(self)
        self.dresser.dress(looks.sheet(self.theme, self._scale))

    def _lay_out(self) -> None:
        self.stack = QStackedWidget()
        self.desks: dict[str, Callable[[], QWidget]] = {
            "Plan": lambda: self.plan,
            "Prepare": lambda: self.prepare,
            "Run": lambda: self.run,
            "Inspect": lambda: self.inspect,
            "Compare": lambda: self.compare,
            "Publish": lambda: self.publish,
            "Shelf": lambda: self.shelf_desk,
            "Bench": lambda: self._bench_scroll,
        }
        self.desk: str = "Compare"
        self._tabs = QButtonGroup(self)
        first, behind = list[QPushButton](), list[QPushButton]()
        for i, name in enumerate(self.desks):
            button = QPushButton(tr(name))
            button.setObjectName("desk")
            button.setCheckable(True)
            button.setToolTip(BEHIND.get(name) or f"Ctrl+{DESKS[name]}")
            if name in DESKS:
                # a button's own shortcut would wait a tenth of a second, to show that it is pressed
                QShortcut(QKeySequence(f"Ctrl+{DESKS[name]}"), self, lambda n=name: self.show_desk(n))
            self._tabs.addButton(button, i)
            (first if name in DESKS else behind).append(button)
        row = QHBoxLayout()
        row.setContentsMargins(0, 0, 0, 0)
        row.setSpacing(0)
        row.addWidget(flowing(*first, spacing=0), 1)  # in a second line where the text is large
        row.addWidget(flowing(*behind, spacing=0), 0, Qt.AlignmentFlag.AlignTop)
        self._tabs.idClicked.connect(lambda i: self.show_desk(list(self.desks)[i]))
        desk = QWidget(minimumWidth=756)  # px: on a small window the loom gives way first
        column = QVBoxLayout(desk)
        column.setContentsMargins(20, 2, 14, 6)
        column.setSpacing(4)
        column.addLayout(row)
        column.addWidget(self.stack, 1)
        self.split = SideBySide(self.side, desk, self.working)
        self.split.setStretchFactor(1, 1)
        self.split.setCollapsible(1, False)
        self.split.setSizes([310, 950, 0])
        self._study_page = QWidget()
        page = QVBoxLayout(self._study_page)
        page.setContentsMargins(0, 0, 0, 0)
        page.setSpacing(0)
        for widget in (self.header, rule(), self.split):
            page.addWidget(widget, 1 if widget is self.split else 0)
        self.pages = QStackedWidget()
        self.pages.addWidget(self.start)
        self.pages.addWidget(self._study_page)
        whole = QWidget()
        outer = QVBoxLayout(whole)
        outer.setContentsMargins(0, 0, 0, 0)
        outer.setSpacing(0)
        outer.addWidget(self.pages, 1)
        outer.addWidget(self.tour)
        outer.addWidget(rule())
        outer.addWidget(self.strip)
        self.setCentralWidget(whole)

    def _connect(self) -> None:
        s = self.state
        s.notebook_changed.connect(self._renew)
        s.study_changed.connect(self._renew)
        s.verdict_changed.connect(self.menus.renew)
        s.study_chosen.connect(self.working.leave)
        self.undo_keys = UndoKeys(self)
        self._escape = QShortcut(QKeySequence("Esc"), self, self._leave_working)
        self.notebooks.opened.connect(self.working.hide)
        self.notebooks.opened.connect(lambda: self.strip.say(""))
        self.notebooks.said.connect(self.strip.say)
        self.header.next_wanted.connect(self._follow_step)
        self.header.study_wanted.connect(s.choose_study)
        self.side.loom.chosen.connect(self.open_mount)
        self.side.mount_wanted.connect(self.open_mount)
        self.header.stepped.connect(self.side.show_next)
        self.side.loom.place_chosen.connect(self.studies.ask_logs_for)
        self.side.loom.files_dropped.connect(self.take_files)
        for source in (self.header, self.inspect, self.compare):
            source.working.connect(self._show_working)
        self.working.followed.connect(self.follower.follow)
        self.follower.working.connect(self._show_working)
        self.follower.mount_wanted.connect(self.open_mount)
        self.compare.mount_wanted.connect(self.open_mount)
        self.inspect.channels_wanted.connect(self.studies.ask_channels)
        self.inspect.join_wanted.connect(self.joiner.ask)
        self.inspect.one_mount_wanted.connect(self.studies.ask_one_mount)
        self.inspect.bench_wanted.connect(lambda: self.show_behind("Bench"))
        self.running.ticked.connect(self._show_running)
        self.running.ended.connect(lambda _run, _why: self._show_running(None))
        self.start.demo_wanted.connect(self.notebooks.open_demo)
        self.start.tour_wanted.connect(self.tour.begin)
        self.start.practice_wanted.connect(self.practise)
        self.start.study_wanted.connect(self.studies.new_study)
        self.start.shelf_wanted.connect(lambda: self.show_behind("Shelf"))
        self.studies.started.connect(lambda: self.show_desk("Plan"))
        self.start.logs_wanted.connect(self.studies.ask_logs)
        self.start.open_wanted.connect(self.notebooks.ask_open)
        self.start.recent_wanted.connect(self.notebooks.open_beside)
        # a method, not a lambda: the application outlives its windows and must not keep them
        QGuiApplication.styleHints().colorSchemeChanged.connect(self._desktop_changed)

    def _renew(self) -> None:
        notebook = self.state.notebook
        self.pages.setCurrentIndex(self._page())
        self.start.show_recent(self.settings.recent)
        self.setWindowTitle("Kuffin" if notebook is None else tr("{stem} – Kuffin", stem=notebook.path.stem))
        self.menus.renew()

    # --- moving around ---------------------------------------------------------------------------------------------

    def show_desk(self, name: str) -> None:
        """Go to a desk."""
        self.desk = name
        self._escape.setEnabled(name != "Run")  # which has its own, for what it asks
        self.side.show_stairs(name not in {"Inspect", "Run"})
        widget = self.desks[name]()
        if self.stack.indexOf(widget) < 0:
            self.stack.addWidget(widget)
        self.stack.setCurrentWidget(widget)
        self.pages.setCurrentIndex(self._page())
        self._tabs.button(list(self.desks).index(name)).setChecked(True)

    def open_mount(self, mount_id: int) -> None:
        """Look at a mount's run; where it has none, prepare it, or run it where that is done."""
        self.state.look_at(mount_id)
        mount = self.state.mount()
        if mount is not None and mount.id == self.running.mount_id:
            self.show_desk("Run")
        elif mount is not None and (mount.open_run is not None or (mount.ready_at and not mount.live_runs)):
            self.run_mount(mount_id)
        elif mount is not None and not mount.live_runs:
            self.prepare_mount(mount_id)
        else:
            self.inspect.paged.go("run")
            self.show_desk("Inspect")

    def _page(self) -> int:
        """The first page stands where there is no study, unless one looks at the shelf or the bench."""
        return 0 if self.state.study is None and self.desk not in BEHIND else 1

    def go_to(self, name: str) -> None:
        """Go to a desk, or to what stands behind the desks."""
        (self.show_behind if name in BEHIND else self.show_desk)(name)

    def show_behind(self, name: str) -> None:
        """Look at the shelf or the bench; they are kept in a notebook, so one is needed."""
        if self.state.notebook is not None or self.notebooks.new_notebook():
            self.show_desk(name)

    def prepare_mount(self, mount_id: int | None) -> None:
        """Go to the Prepare desk with a mount."""
        self.prepare.choose(mount_id)
        self.show_desk("Prepare")

    def run_mount(self, mount_id: int | None) -> None:
        """Go to the Run desk with a mount."""
        self.run.choose(mount_id)
        self.show_desk("Run")

    def _show_running(self, now: object) -> None:
        """The strip and the loom tell how the run stands, whatever desk one is at."""
        self.strip.show_bench(self.running.strip_words() if now is not None else "")
        self.side.loom.show_running(self.running.mount_id if now is not None else None, self.running.share())

    def do_next(self) -> None:
        """Do the one next thing."""
        if self.header.step is not None and self.state.study is not None:
            self._follow_step(self.header.step)

    def _follow_step(self, step: NextStep) -> None:
        self.followed += 1
        take_step(self, step)

    def show_known(self, part_id: int) -> None:
        """All that the notebook's studies know of a part."""
        self.show_desk("Compare")
        self.compare.known_of(part_id)

    def _show_working(self, working: Working) -> None:
        was_hidden = self.working.isHidden()
        self.working.show_working(working)
        if was_hidden:
            left, middle, right = self.split.sizes()
            wanted = max(right, 330)
            self.split.setSizes([left, middle + right - wanted, wanted])

    def _leave_working(self) -> None:
        if self.working.isVisible():
            self.working.leave()

    def explain(self) -> None:
        """Show the working of what has the focus: the verdict line, a mount on the loom, or what the desk says."""
        focus = QApplication.focusWidget()
        if focus is self.header.verdict:
            self.header.explain()
            return
        if isinstance(focus, Opener):
            focus.opened.emit()
            return
        if isinstance(focus, QPushButton) and focus.property("working"):
            focus.click()
            return
        if isinstance(focus, Opening):
            focus.open_focused()
            return
        mount_id = self.side.loom.focused_mount()
        reading = self.state.reading(mount_id) if mount_id is not None else None
        if reading is not None and self.state.verdict is not None:
            self._show_working(mount_working(self.state.verdict, reading))
            return
        desk = self.stack.currentWidget()
        if isinstance(desk, (InspectDesk, CompareDesk)):
            desk.explain_focus()

    def fold_loom(self) -> None:
        """Fold the loom away, or bring it back."""
        self.side.setVisible(not self.side.isVisible())

    def focus_loom(self) -> None:
        """Give the loom the keyboard."""
        self.side.show()
        self.side.loom.setFocus(Qt.FocusReason.ShortcutFocusReason)

    def about(self) -> None:
        """Say what this is."""
        tell(self, tr("About Kuffin"), about())

    def practise(self) -> None:
        """Open a fresh practice notebook and hide a fault in its next run."""

        def ready(_path: object) -> None:
            from kuffin.demo.practising import draw

            self.run.practise(draw())
            self.show_desk("Run")

        self.notebooks.open_practice(ready)

    def may_stop(self) -> bool:
        """Ask whether the run that is being recorded shall be stopped."""
        return ask(
            self,
            tr("A run is being recorded"),
            tr(
                "Interrupt the run and close the window? What was recorded is kept, you can resume the run later, and "
                "the load is stopped where Kuffin can."
            ),
        )

    def contextMenuEvent(self, event: QContextMenuEvent) -> None:
        self.copier.show_menu(QApplication.widgetAt(event.globalPos()), event.globalPos())

    def leave(self) -> None:
        """Close without asking: nobody may be there to answer."""
        self._leaving = True
        self.close()
        QApplication.quit()

    def closeEvent(self, event: QCloseEvent) -> None:
        if self.running.active and not self._leaving and not self.may_stop():
            event.ignore()
            return
        try:
            said = self.running.stop_now()
        except KuffinError as error:  # it would be lost with the window
            self.state.trouble.emit(str(error))
            event.ignore()
            return
        if said and not self._leaving:
            tell(self, tr("Kept in another place"), said)
        self.notebooks.loaded()
        path = "" if self.state.notebook is None else str(self.state.notebook.path)
        keep_for_start(self.settings, path, self.header.question.text(), self.header.verdict.text())
        self.settings.set_layout("geometry", self.saveGeometry())
        self.settings.set_layout("split", self.split.saveState())
        if "bench_page" in self.__dict__ and self.bench_page.live is not None:
            self.bench_page.live.loads.close_served()
        self.state.close()
        super().closeEvent(event)
