"""A study's raw data out to another lab as a data package, and another lab's in."""

from __future__ import annotations

from collections.abc import Callable
from pathlib import Path
from tempfile import TemporaryDirectory

from PySide6.QtWidgets import QCheckBox, QFileDialog, QMessageBox, QWidget

from kuffin.app.base.jobs import Task
from kuffin.app.base.settings import documents
from kuffin.app.state.windowstate import State
from kuffin.app.widgets.messages import message
from kuffin.core.base.language import in_english, mark, tr
from kuffin.core.compare.pairwords import several

PACKAGES = (".zip", "datapackage.json")  # how their files end
_PRIVATE = mark("With notes, prices paid, labels of samples, paths of logs, photos, own marks and own words")


class Packages:
    """Sends and takes in; both off the window's thread, and both can be stopped."""

    def __init__(self, state: State, parent: QWidget, add_logs: Callable[[list[str]], None]) -> None:
        self._state, self._parent, self._add_logs = state, parent, add_logs
        self._tables: TemporaryDirectory[str] | None = None  # of another program's package, while they are looked at

    def send(self) -> None:
        """Ask what goes along and where to, and write the package."""
        study, notebook = self._state.study, self._state.notebook
        if study is None or notebook is None:
            return
        box = message(
            self._parent,
            tr("Raw data as a package"),
            tr(
                "All runs of this study with their units, roles, bench and protocol: enough to come "
                "to the same verdict."
            ),
        )
        box.setInformativeText(tr("What is private stays here, unless you send it along."))
        everything = QCheckBox(tr(_PRIVATE))
        box.setCheckBox(everything)
        box.setStandardButtons(QMessageBox.StandardButton.Ok | QMessageBox.StandardButton.Cancel)
        if box.exec() != QMessageBox.StandardButton.Ok:
            return
        name = f"{notebook.path.stem}-study-{study.id}.zip"
        path, _ = QFileDialog.getSaveFileName(
            self._parent, tr("Raw data as a package"), str(documents() / name), "*.zip"
        )
        if path:
            self.write(Path(path if path.endswith(".zip") else path + ".zip"), everything.isChecked())

    def write(self, path: Path, everything: bool = False) -> None:
        """Write the chosen study's package."""
        study, notebook = self._state.study, self._state.notebook
        if study is None or notebook is None:
            return

        @in_english()
        def work(job: Task) -> int:
            from kuffin.publish.datapackage import package_study

            return package_study(
                notebook, study.id, path, everything=everything, progress=lambda n, of: job.report(n / of)
            )

        self._state.jobs.start(
            tr("writing {name}", name=path.name),
            work,
            lambda runs: self._state.wrote.emit(
                path.parent, tr("{name} with {runs} runs", name=path.name, runs=runs), ""
            ),
            self._state.trouble.emit,
        )

    def ask(self) -> None:
        """Ask for a package and take it in."""
        path, _ = QFileDialog.getOpenFileName(
            self._parent, tr("Take in a data package"), str(documents()), tr("*.zip datapackage.json")
        )
        if path:
            self.take_in(Path(path))

    def take_in(self, path: Path) -> None:
        """Put a package's study into the open notebook, and turn to it; another program's tables are looked at like logs."""
        notebook = self._state.notebook
        if notebook is None:
            self._state.trouble.emit(tr("open a notebook first; the package's study goes into it"))
            return

        if self._tables is not None:
            self._tables.cleanup()
        self._tables = folder = TemporaryDirectory(prefix="kuffin-")

        def work(job: Task) -> int | list[str]:
            from kuffin.publish.otherpackage import is_own, tables_as_logs
            from kuffin.publish.unpacking import unpack_study

            if is_own(path):
                return unpack_study(path, notebook, lambda n, of: job.report(n / of))
            return [str(p) for p in tables_as_logs(path, Path(folder.name))]

        def done(found: int | list[str]) -> None:
            if isinstance(found, int):
                notebook.changed()
                self._state.choose_study(found)
            else:
                self._state.trouble.emit(
                    tr(
                        "{name} is another program's: {found} to be read like logs",
                        name=path.name,
                        found=several(len(found), "table"),
                    )
                )
                self._add_logs(found)

        self._state.jobs.start(tr("taking in {name}", name=path.name), work, done, self._state.trouble.emit)
