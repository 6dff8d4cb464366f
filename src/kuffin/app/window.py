"""The main window: header, loom, desks, working, strip; and what the menus do."""

from __future__ import annotations

import shutil
from collections.abc import Callable
from pathlib import Path

from PySide6.QtCore import Qt
from PySide6.QtGui import QCloseEvent, QDragEnterEvent, QDropEvent, QGuiApplication
from PySide6.QtWidgets import (
    QApplication,
    QButtonGroup,
    QDialog,
    QFileDialog,
    QHBoxLayout,
    QMainWindow,
    QMessageBox,
    QPushButton,
    QSplitter,
    QStackedWidget,
    QVBoxLayout,
    QWidget,
)

from kuffin import __version__
from kuffin.app.desks.compare import CompareDesk
from kuffin.app.desks.inspect import InspectDesk
from kuffin.app.dialogs.binview import BinView
from kuffin.app.dialogs.channels import Channels
from kuffin.app.dialogs.newstudy import NewStudy
from kuffin.app.dialogs.start import StartPage
from kuffin.app.exporting import write_picture, write_table
from kuffin.app.header import Header
from kuffin.app.importing import Importer
from kuffin.app.jobs import Job, Jobs
from kuffin.app.look import theme as looks
from kuffin.app.menus import Menus
from kuffin.app.settings import Settings, demo_cache, documents
from kuffin.app.side import Side
from kuffin.app.state import State
from kuffin.app.strip import Strip
from kuffin.app.widgets.bits import rule
from kuffin.app.widgets.workingpanel import WorkingPanel
from kuffin.core.errors import KuffinError
from kuffin.notebook import edits
from kuffin.notebook.entities import Mount, Study
from kuffin.notebook.store import SUFFIX, Notebook
from kuffin.verdicts.line import NextStep
from kuffin.verdicts.working import Link, Working, candidate_working, mount_working

DESKS = ("Inspect", "Compare")


class MainWindow(QMainWindow):
    """One window on one notebook."""

    def __init__(self, settings: Settings | None = None) -> None:
        super().__init__()
        self.settings = settings or Settings()
        self.theme = looks.chosen(self.settings.value("theme", "desktop"))
        self.jobs = Jobs(self)
        self.state = State(self.jobs)
        self.setWindowTitle("Kuffin")
        self.resize(1280, 800)
        self.setMinimumSize(860, 560)
        self.setAcceptDrops(True)
        self.importer = Importer(self.state, self)
        self.header = Header(self.state)
        self.side = Side(self.state, self.theme)
        self.inspect = InspectDesk(self.state, self.theme)
        self.compare = CompareDesk(self.state, self.theme)
        self.working = WorkingPanel()
        self.working.hide()
        self.start = StartPage()
        self.strip = Strip(self.state, self.jobs)
        self.menus = Menus(self)
        self._pending: list[str] = []
        self._lay_out()
        self._connect()
        geometry = self.settings.layout("geometry")
        if geometry is not None:
            self.restoreGeometry(geometry)
        sizes = self.settings.layout("split")
        if sizes is not None:
            self.split.restoreState(sizes)
        self.show_desk(1)
        self._renew()

    def _lay_out(self) -> None:
        self.stack = QStackedWidget()
        self.stack.addWidget(self.inspect)
        self.stack.addWidget(self.compare)
        self._tabs = QButtonGroup(self)
        row = QHBoxLayout()
        row.setContentsMargins(0, 0, 0, 0)
        row.setSpacing(0)
        for i, name in enumerate(DESKS):
            button = QPushButton(name)
            button.setObjectName("desk")
            button.setCheckable(True)
            button.setShortcut(f"Ctrl+{i + 1}")
            button.setToolTip(f"Ctrl+{i + 1}")
            self._tabs.addButton(button, i)
            row.addWidget(button)
        row.addStretch()
        self._tabs.idClicked.connect(self.show_desk)
        desk = QWidget()
        column = QVBoxLayout(desk)
        column.setContentsMargins(20, 8, 18, 6)
        column.addLayout(row)
        column.addWidget(self.stack, 1)
        self.split = QSplitter(Qt.Orientation.Horizontal)
        self.split.addWidget(self.side)
        self.split.addWidget(desk)
        self.split.addWidget(self.working)
        self.split.setStretchFactor(1, 1)
        self.split.setHandleWidth(1)
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
        outer.addWidget(rule())
        outer.addWidget(self.strip)
        self.setCentralWidget(whole)

    def _connect(self) -> None:
        s = self.state
        s.notebook_changed.connect(self._renew)
        s.study_changed.connect(self._renew)
        s.verdict_changed.connect(self.menus.renew)
        self.header.next_wanted.connect(self._follow_step)
        self.header.study_wanted.connect(s.choose_study)
        self.side.loom.chosen.connect(self._open_mount)
        self.side.loom.place_chosen.connect(self._ask_logs_for)
        self.side.loom.files_dropped.connect(self.add_logs)
        for desk in (self.inspect, self.compare):
            desk.working.connect(self._show_working)
        self.working.followed.connect(self._follow_link)
        self.inspect.channels_wanted.connect(self._ask_channels)
        self.start.demo_wanted.connect(self.open_demo)
        self.start.study_wanted.connect(self.new_study)
        self.start.logs_wanted.connect(self.ask_logs)
        self.start.open_wanted.connect(self.ask_open)
        self.start.recent_wanted.connect(self.open_path)
        QGuiApplication.styleHints().colorSchemeChanged.connect(
            lambda _scheme: self.set_mode(self.settings.value("theme", "desktop"))
        )

    def _renew(self) -> None:
        notebook = self.state.notebook
        self.pages.setCurrentIndex(0 if self.state.study is None else 1)
        self.start.show_recent(self.settings.recent)
        self.setWindowTitle("Kuffin" if notebook is None else f"{notebook.path.stem} – Kuffin")
        self.menus.renew()

    # --- notebooks -------------------------------------------------------------------------------------------------

    def open_path(self, path: str | Path) -> bool:
        """Open a notebook; what goes wrong is said in the strip."""
        try:
            notebook = Notebook.open(path)
        except KuffinError as error:
            self.state.trouble.emit(str(error))
            return False
        self._take(notebook)
        return True

    def _take(self, notebook: Notebook) -> None:
        self.strip.say("")
        self.working.hide()
        self.settings.remember(notebook.path)
        self.state.open(notebook)
        if notebook.read_only:
            self.state.trouble.emit(
                f"{notebook.path.name} is read-only: look at everything, but save a copy to change it"
            )

    def ask_open(self) -> None:
        """Ask for a notebook."""
        path, _ = QFileDialog.getOpenFileName(
            self, "Open a notebook", str(documents()), f"Kuffin notebooks (*{SUFFIX})"
        )
        if path:
            self.open_path(path)

    def new_notebook(self) -> bool:
        """Ask for a name and make an empty notebook."""
        path, _ = QFileDialog.getSaveFileName(
            self, "New notebook", str(documents() / f"notebook{SUFFIX}"), f"Kuffin notebooks (*{SUFFIX})"
        )
        if not path:
            return False
        return self._create(Path(path if path.endswith(SUFFIX) else path + SUFFIX))

    def _create(self, path: Path) -> bool:
        try:
            self._take(Notebook.create(path))
        except KuffinError as error:
            self.state.trouble.emit(str(error))
            return False
        return True

    def open_demo(self) -> None:
        """Open a fresh copy of the demo notebook."""
        from kuffin.demo.scenario import SEED, build_demo

        ready = demo_cache() / f"demo-{__version__}-{SEED}{SUFFIX}"
        target = demo_cache() / f"demo{SUFFIX}"

        def work(job: Job) -> Path:
            ready.parent.mkdir(parents=True, exist_ok=True)
            if not ready.exists():
                partial = ready.with_name("building" + SUFFIX)
                partial.unlink(missing_ok=True)
                build_demo(partial, lambda done, total: job.report(done / total))
                partial.replace(ready)
            place, n = target, 1
            while place.exists() and self.state.notebook is not None and place == self.state.notebook.path:
                n += 1
                place = target.with_name(f"demo-{n}{SUFFIX}")
            for extra in ("", "-wal", "-shm"):
                place.with_name(place.name + extra).unlink(missing_ok=True)
            shutil.copyfile(ready, place)
            return place

        self.jobs.start("preparing the demo", work, lambda path: self.open_path(path), self.state.trouble.emit)

    def save_copy(self) -> None:
        """Ask for a name and write a copy of the notebook."""
        notebook = self.state.notebook
        if notebook is None:
            return
        path, _ = QFileDialog.getSaveFileName(
            self, "Save a copy as", str(documents() / notebook.path.name), f"Kuffin notebooks (*{SUFFIX})"
        )
        if path:
            self.state.attempt(notebook.save_copy, Path(path if path.endswith(SUFFIX) else path + SUFFIX))

    def show_bin(self) -> None:
        """Show what lies in the bin."""
        BinView(self.state, self).exec()

    def undo(self) -> None:
        """Take the last edit back."""
        if self.state.notebook is not None:
            self.state.attempt(self.state.notebook.undo)

    def redo(self) -> None:
        """Make the last undone edit again."""
        if self.state.notebook is not None:
            self.state.attempt(self.state.notebook.redo)

    # --- studies and logs ------------------------------------------------------------------------------------------

    def new_study(self) -> None:
        """Ask what is compared and start a study."""
        if self.state.notebook is None and not self.new_notebook():
            self._pending = []
            return
        dialog = NewStudy(self)
        if dialog.exec() == QDialog.DialogCode.Accepted:
            self.begin_study(
                dialog.question.text(),
                dialog.kind.currentData(),
                dialog.names(),
                dialog.margin.value(),
                dialog.rounds.value(),
            )
            pending, self._pending = self._pending, []
            if pending:
                self.importer.add(pending)

    def begin_study(self, question: str, kind: str, names: list[str], margin_k: float, rounds: int) -> None:
        """Start a study and put it on the desk."""
        study_id = self.state.attempt(
            edits.add_study, self.state.notebook, question, kind, names, margin_k, rounds=rounds
        )
        if isinstance(study_id, int):
            self.state.choose_study(study_id)

    def ask_logs(self) -> None:
        """Ask for log files."""
        self._ask_logs_for("", 0)

    def _ask_logs_for(self, candidate: str, round_number: int) -> None:
        paths, _ = QFileDialog.getOpenFileNames(
            self,
            f"Add logs{' of ' + candidate if candidate else ''}",
            "",
            "Logs (*.csv *.tsv *.txt *.log);;All files (*)",
        )
        if paths:
            self.add_logs(paths, candidate, round_number)

    def add_logs(self, paths: list[str], candidate: str = "", round_number: int = 0) -> None:
        """Add log files, or open a notebook among them."""
        notebooks = [p for p in paths if p.endswith(SUFFIX)]
        if notebooks:
            self.open_path(notebooks[0])
            return
        if self.state.study is None:
            self._pending = paths
            self.new_study()
            return
        self.importer.add(paths, candidate, round_number)

    def bin_mount(self) -> None:
        """Put the mount that is looked at into the bin."""
        mount, notebook = self.state.mount(), self.state.notebook
        if mount is None or notebook is None:
            self.state.trouble.emit("choose a mount on the loom first")
            return
        self.state.attempt(edits.to_bin, notebook, Mount, mount.id, f"{mount.candidate.name}, round {mount.round}")

    def bin_study(self) -> None:
        """Put the study into the bin."""
        if self.state.study is not None and self.state.notebook is not None:
            self.state.attempt(
                edits.to_bin, self.state.notebook, Study, self.state.study.id, f"“{self.state.study.name}”"
            )

    def _ask_channels(self, run_id: int) -> None:
        run = next((r for m in self.state.mounts() for r in m.live_runs if r.id == run_id), None)
        notebook = self.state.notebook
        if run is None or notebook is None:
            return
        dialog = Channels(run, self)
        if dialog.exec() == QDialog.DialogCode.Accepted:
            for name, role in dialog.roles().items():
                if any(c.name == name and c.role != role for c in run.channels):
                    self.state.attempt(edits.set_role, notebook, run_id, name, role)

    def write_out(self, what: str, ending: str) -> None:
        """Ask for a name and write readings, verdicts or a picture."""
        if self.state.verdict is None or self.state.notebook is None:
            return
        name = f"{self.state.notebook.path.stem}-{what}{ending}"
        path, _ = QFileDialog.getSaveFileName(self, "Write out", str(documents() / name), f"*{ending}")
        if path:
            self.write_to(Path(path if path.endswith(ending) else path + ending), what)

    def write_to(self, path: Path, what: str) -> None:
        """Write readings, verdicts or a picture to a file."""
        if self.state.verdict is not None:
            if what == "picture":
                self.state.attempt(write_picture, self.compare.plot, self.theme, path)
            else:
                self.state.attempt(write_table, self.state.verdict, path, what)

    # --- moving around ---------------------------------------------------------------------------------------------

    def show_desk(self, index: int) -> None:
        """Go to a desk."""
        self.stack.setCurrentIndex(index)
        button = self._tabs.button(index)
        if button is not None:
            button.setChecked(True)

    def _open_mount(self, mount_id: int) -> None:
        self.state.look_at(mount_id)
        self.show_desk(0)

    def do_next(self) -> None:
        """Do the one next thing."""
        if self.header.step is not None and self.state.study is not None:
            self._follow_step(self.header.step)

    def _follow_step(self, step: NextStep) -> None:
        if step.action == "inspect" and step.mount_id is not None:
            self._open_mount(step.mount_id)
        elif step.action == "add":
            self.ask_logs()
        else:
            self.show_desk(1)

    def _follow_link(self, link: Link) -> None:
        verdict = self.state.verdict
        if link.kind == "mount":
            self._open_mount(int(link.key))
        elif verdict is not None and link.kind == "candidate":
            self._show_working(candidate_working(verdict, verdict.main, link.key))
        elif verdict is not None and link.kind == "reading":
            reading = self.state.reading(int(link.key))
            if reading is not None:
                self._show_working(mount_working(verdict, reading))

    def _show_working(self, working: Working) -> None:
        was_hidden = self.working.isHidden()
        self.working.show_working(working)
        if was_hidden:
            left, middle, right = self.split.sizes()
            wanted = max(right, 330)
            self.split.setSizes([left, middle + right - wanted, wanted])

    def explain(self) -> None:
        """Show the working of what has the focus."""
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

    # --- look ------------------------------------------------------------------------------------------------------

    def set_mode(self, mode: str) -> None:
        """Choose paper, dark, or the desktop's."""
        self.settings.set_value("theme", mode)
        self._dress()

    def scale_text(self, factor: float) -> None:
        """Scale all text; 0 brings it back to the usual size."""
        now = float(self.settings.value("scale", "1.0"))
        self.settings.set_value("scale", f"{min(max(now * factor, 0.7), 2.0) if factor else 1.0:.3f}")
        self._dress()

    def _dress(self) -> None:
        self.theme = looks.chosen(self.settings.value("theme", "desktop"))
        app = QApplication.instance()
        if isinstance(app, QApplication):
            looks.apply(app, self.theme, float(self.settings.value("scale", "1.0")))
        themed: list[Callable[[looks.Theme], None]] = [
            self.side.set_theme,
            self.inspect.set_theme,
            self.compare.set_theme,
        ]
        for dress in themed:
            dress(self.theme)
        self.compare.renew()

    # --- odds and ends ---------------------------------------------------------------------------------------------

    def tell(self, title: str, content: str) -> None:
        """Show a short text."""
        box = QMessageBox(self)
        box.setWindowTitle(title)
        box.setTextFormat(Qt.TextFormat.RichText)
        box.setText(content)
        box.exec()

    def about(self) -> None:
        """Say what this is."""
        self.tell(
            "About Kuffin",
            f"<p><b>Kuffin {__version__}</b></p><p>A bench notebook for people who test cooling parts.</p>"
            "<p>MIT licence. The B612 fonts are under the SIL Open Font License.</p><p>Kuffin is no safety device.</p>",
        )

    def dragEnterEvent(self, event: QDragEnterEvent) -> None:
        if event.mimeData().hasUrls():
            event.acceptProposedAction()

    def dropEvent(self, event: QDropEvent) -> None:
        self.add_logs([u.toLocalFile() for u in event.mimeData().urls() if u.isLocalFile()])

    def closeEvent(self, event: QCloseEvent) -> None:
        self.settings.set_layout("geometry", self.saveGeometry())
        self.settings.set_layout("split", self.split.saveState())
        self.state.close()
        super().closeEvent(event)
