"""What is done with whole notebooks: open, make, copy, the demo, the bin, undo and redo."""

from __future__ import annotations

from collections.abc import Callable
from pathlib import Path

from PySide6.QtCore import QObject, QTimer, Signal
from PySide6.QtWidgets import QFileDialog, QWidget

from kuffin.app.base.jobs import Task
from kuffin.app.base.settings import Settings, demo_cache, documents
from kuffin.app.dialogs.binview import BinView
from kuffin.app.state.windowstate import State
from kuffin.app.widgets.messages import tell_meanwhile
from kuffin.core.base.errors import KuffinError
from kuffin.core.base.language import tr
from kuffin.notebook.heldfile import is_open
from kuffin.notebook.store import SUFFIX, Notebook

_OPENING = "opening"  # the notebook that is being opened; it stays where that breaks off
_LOOK_MS = 400
_WATCH_MS = 2000


def not_open(stem: str) -> Path:
    """A place for a notebook of Kuffin's own that is open in no window."""
    n, place = 1, demo_cache() / f"{stem}{SUFFIX}"
    while is_open(place):
        n += 1
        place = place.with_name(f"{stem}-{n}{SUFFIX}")
    return place


class Notebooks(QObject):
    """Opens and closes notebooks for a window."""

    opened = Signal()
    said = Signal(str)  # what the person should know, and is no trouble

    def __init__(
        self, parent: QWidget, state: State, settings: Settings, busy: Callable[[], bool] = lambda: False
    ) -> None:
        super().__init__(parent)
        self._parent, self._state, self._settings, self._busy = parent, state, settings, busy
        self._loading: Notebook | None = None
        self._watch = QTimer(self)
        self._watch.setInterval(_WATCH_MS)
        self._watch.timeout.connect(self.look_after)
        self._watch.start()

    def open_beside(self, path: str | Path) -> None:
        """Open a notebook while the window goes on; what goes wrong is said in the strip."""
        if not self._is_open_here(path) and not self._recording():
            self._make_and_open(tr("opening {name}", name=Path(path).name), lambda: Path(path), None)

    def _is_open_here(self, path: str | Path) -> bool:
        """Whether it is the notebook that is open; it is said."""
        now = self._state.notebook
        here = now is not None and now.path.exists() and Path(path).exists() and now.path.samefile(path)
        if here and now is not None:
            self.said.emit(tr("{name} is the notebook that is open here", name=now.path.name))
        return here

    def open_path(self, path: str | Path) -> bool:
        """Open a notebook at once; what goes wrong is said in the strip."""
        if self._is_open_here(path):
            return True
        if self._recording():
            return False
        try:
            notebook = Notebook.open(path)
        except KuffinError as error:
            self._state.trouble.emit(str(error))
            return False
        self._take(notebook)
        return True

    def _recording(self) -> bool:
        """Whether a run is being recorded into the open notebook, which must then stay; it is said."""
        if self._busy():
            self._state.trouble.emit(
                tr("a run is being recorded; stop it on the Run desk first, then open another notebook")
            )
        return self._busy()

    def open_last(self) -> None:
        """Open the notebook that was open before; not one at which the last start broke off."""
        if self._settings.set_aside:
            self._state.trouble.emit(
                tr(
                    "of what the window remembers, some could not be used: {set_aside}; the usual is used instead",
                    set_aside=", ".join(self._settings.set_aside),
                )
            )
        broke_off = self._settings.value(_OPENING, "")
        recent = self._settings.recent
        if broke_off:
            self._settings.set_value(_OPENING, "")
            self._state.trouble.emit(
                tr(
                    "Kuffin ended without a word while it opened {name} last time, so it is not opened "
                    "by itself now; open it from the list below if you like, or a copy of it from before",
                    name=Path(broke_off).name,
                )
            )
        elif recent:
            self.open_path(recent[0])

    def _take(self, notebook: Notebook) -> None:
        """Take over a notebook; it is remembered once it is seen to work."""
        self.opened.emit()
        self._settings.set_value(_OPENING, str(notebook.path))
        self._settings.flush()
        self._state.open(notebook)
        self._loading = notebook
        self._see_whether_loaded()
        if notebook.damaged:
            kept = (
                tr(" The notebook as it was is kept as “{name}”.", name=notebook.as_it_was.name)
                if notebook.as_it_was
                else ""
            )
            tell_meanwhile(
                self._parent,
                tr("Some of this notebook is damaged"),
                tr("What is damaged is set aside, the rest works:\n\n· ")
                + "\n· ".join(notebook.damaged)
                + "\n\n"
                + kept.strip(),
            )
        if notebook.kept_before_update is not None:
            self.said.emit(
                tr(
                    "This notebook was of an older format and is now of the new one; it stays as it was in “{name}”.",
                    name=notebook.kept_before_update.name,
                )
            )
        if notebook.read_only:
            self._state.trouble.emit(
                tr("{name} is read-only: look at everything, but save a copy to change it", name=notebook.path.name)
            )

    def _see_whether_loaded(self) -> None:
        notebook = self._loading
        if notebook is None or self._state.notebook is not notebook:
            self._loading = None
        elif self._state.jobs.running:
            QTimer.singleShot(_LOOK_MS, self, self._see_whether_loaded)
        else:
            QTimer.singleShot(_LOOK_MS, self, self.loaded)  # and it has been drawn

    def loaded(self) -> None:
        """The notebook works: it is remembered."""
        if self._loading is not None:
            if self._state.notebook is self._loading:
                self._settings.remember(self._loading.path)
            self._loading = None
            self._settings.set_value(_OPENING, "")

    def look_after(self) -> None:
        """See that the notebook's file is where it was; what happened to it is said, loudly."""
        notebook = self._state.notebook
        if notebook is None:
            return
        try:
            notebook.look_after(wait=False)
        except KuffinError as error:
            self._state.trouble.emit(str(error))
        while notebook.news:
            tell_meanwhile(self._parent, tr("The notebook's file"), notebook.news.pop(0))
            self._settings.remember(notebook.path)
            notebook.changed()

    def ask_open(self) -> None:
        """Ask for a notebook."""
        path, _ = QFileDialog.getOpenFileName(
            self._parent, tr("Open a notebook"), str(documents()), tr("Kuffin notebooks (*{SUFFIX})", SUFFIX=SUFFIX)
        )
        if path:
            self.open_beside(path)

    def new_notebook(self) -> bool:
        """Ask for a name and make an empty notebook."""
        path, _ = QFileDialog.getSaveFileName(
            self._parent,
            tr("New notebook"),
            str(documents() / f"notebook{SUFFIX}"),
            tr("Kuffin notebooks (*{SUFFIX})", SUFFIX=SUFFIX),
        )
        if not path:
            return False
        return self.create(Path(path if path.endswith(SUFFIX) else path + SUFFIX))

    def new_place(self) -> Path:
        """Where a notebook goes that nobody gave a name: beside the person's documents, under a name that is free."""
        place = documents() / tr("bench notebook{SUFFIX}", SUFFIX=SUFFIX)
        number = 2
        while place.exists():
            place = place.with_name(f"bench notebook {number}{SUFFIX}")
            number += 1
        return place

    def create(self, path: Path) -> bool:
        """Make an empty notebook and open it."""
        if self._recording():
            return False
        try:
            path.parent.mkdir(parents=True, exist_ok=True)
            self._take(Notebook.create(path))
        except KuffinError as error:
            self._state.trouble.emit(str(error))
            return False
        except OSError as error:
            self._state.trouble.emit(
                tr(
                    "{parent} cannot be made: {strerror}; choose another place",
                    parent=path.parent,
                    strerror=error.strerror,
                )
            )
            return False
        return True

    def open_demo(self, ready: Callable[[Path], None] | None = None) -> None:
        """Open a fresh copy of the demo notebook, then go on with `ready`."""
        from kuffin.demo.shipped import unpack_demo

        def make() -> Path:
            place = not_open("demo")
            unpack_demo(place)
            return place

        self._make_and_open(tr("preparing the demo"), make, ready)

    def open_practice(self, ready: Callable[[Path], None], build: Callable[[Path], None] | None = None) -> None:
        """Make and open a fresh practice notebook, then go on with `ready`."""
        from kuffin.demo.practising import build_practice

        if self._recording():
            return
        place = not_open("practice" if build is None else "practice study")

        def make() -> Path:
            place.parent.mkdir(parents=True, exist_ok=True)
            for extra in ("", "-wal", "-shm"):
                place.with_name(place.name + extra).unlink(missing_ok=True)
            (build or build_practice)(place)
            return place

        self._make_and_open(tr("preparing the practice bench"), make, ready)

    def _make_and_open(self, label: str, make: Callable[[], Path], ready: Callable[[Path], None] | None) -> None:
        """Open a notebook, or make one of Kuffin's own first: all but the showing is done beside the window."""

        def work(job: Task) -> Notebook:
            notebook = Notebook.open(make())
            for study in notebook.studies()[-1:]:  # what is asked for the first time takes far longer
                notebook.study(study.id)
            if job.cancelled:
                notebook.close()
            return notebook

        def done(notebook: Notebook) -> None:
            if self._recording():
                notebook.close()
                return
            self._take(notebook)
            if ready is not None:
                ready(notebook.path)

        self._state.jobs.start(label, work, done, self._state.trouble.emit)

    def ask_demo_logs(self) -> None:
        """Ask for a folder and write the demo's runs there as ordinary logs, to practise adding them."""
        folder = QFileDialog.getExistingDirectory(self._parent, tr("Write the demo's logs into"), str(documents()))
        if folder:
            self.write_demo_logs(Path(folder))

    def write_demo_logs(self, folder: Path) -> None:
        """Write the demo's runs as ordinary logs."""
        from kuffin.demo.scenario import write_logs

        def work(_job: Task) -> int:
            try:
                return len(write_logs(folder))
            except OSError as error:
                raise KuffinError(
                    tr(
                        "the logs could not be written into {folder} ({strerror}); choose another folder",
                        folder=folder,
                        strerror=error.strerror,
                    )
                ) from None

        self._state.jobs.start(
            tr("writing the demo's logs"),
            work,
            lambda n: self._state.wrote.emit(folder, tr("{n} logs", n=n), tr("start a study and drop them on it")),
            self._state.trouble.emit,
        )

    def save_copy(self) -> None:
        """Ask for a name and write a copy of the notebook."""
        notebook = self._state.notebook
        if notebook is None:
            return
        path, _ = QFileDialog.getSaveFileName(
            self._parent,
            tr("Save a copy as"),
            str(documents() / notebook.path.name),
            tr("Kuffin notebooks (*{SUFFIX})", SUFFIX=SUFFIX),
        )
        if path:
            self.save_copy_to(Path(path if path.endswith(SUFFIX) else path + SUFFIX))

    def save_copy_to(self, path: Path) -> None:
        """Write a copy of the notebook."""
        if self._state.notebook is not None:
            self._state.write_out(path, self._state.notebook.save_copy, path)

    def show_bin(self) -> None:
        """Show what lies in the bin."""
        BinView(self._state, self._parent).exec()

    def undo(self) -> None:
        """Take the last edit back."""
        if self._state.notebook is not None:
            self._state.attempt(self._state.notebook.undo)

    def redo(self) -> None:
        """Make the last undone edit again."""
        if self._state.notebook is not None:
            self._state.attempt(self._state.notebook.redo)
