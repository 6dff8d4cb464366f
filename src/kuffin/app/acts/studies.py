"""What is done with a study: start it, add logs, change roles, put parts into the bin, write it out."""

from __future__ import annotations

from collections.abc import Callable
from pathlib import Path

from PySide6.QtCore import QMimeData, QObject, Signal
from PySide6.QtWidgets import QApplication, QDialog, QFileDialog, QWidget

from kuffin.app.acts.exporting import write_picture, write_preparations, write_table
from kuffin.app.acts.importing import Importer
from kuffin.app.acts.notebooks import Notebooks
from kuffin.app.base.jobs import Job, Task
from kuffin.app.base.settings import documents
from kuffin.app.dialogs.changestudy import ChangeStudy
from kuffin.app.dialogs.channels import Channels
from kuffin.app.dialogs.newstudy import NewStudy, files_of
from kuffin.app.dialogs.onemount import OneMount
from kuffin.app.look.theme import Theme
from kuffin.app.state.windowstate import State
from kuffin.core.base.errors import KuffinError
from kuffin.core.base.language import in_english, tr
from kuffin.core.base.saying import say
from kuffin.logs.assigning import LogNamed, assign
from kuffin.notebook import channels, edits
from kuffin.notebook.entities import Mount, Study
from kuffin.notebook.shelf import parts
from kuffin.notebook.store import SUFFIX
from kuffin.publish.summarytable import as_html, as_markdown, summary_rows
from kuffin.reading.comparedguess import ComparedGuess, guess_compared
from kuffin.said.preparation import Preparation, preparation_of
from kuffin.said.runmarks import rows_of_runs
from kuffin.verdict.planbasis import order_of


class Studies(QObject):
    """Works on the study of a window."""

    started = Signal()  # a study without logs, which is to be planned

    def __init__(
        self, parent: QWidget, state: State, notebooks: Notebooks, importer: Importer, theme: Callable[[], Theme]
    ) -> None:
        super().__init__(parent)
        self._parent, self._state, self._notebooks, self._importer = parent, state, notebooks, importer
        self._theme = theme
        self.pending: list[str] = []

    def new_study(self) -> None:
        """Ask what is compared and start a study."""
        place = None if self._state.notebook is not None else self._notebooks.new_place()
        dialog = NewStudy(self._parent, self.pending, "" if place is None else str(place))
        job = self._guess_for(dialog)
        kept = dialog.exec() == QDialog.DialogCode.Accepted
        if job is not None:
            job.cancel()
        if kept and place is not None and not self._notebooks.create(place):
            kept = self._notebooks.new_notebook()  # what was typed goes elsewhere rather than away
        if kept:
            self.begin_study(
                dialog.question.text(), dialog.key(), dialog.names(), dialog.margin.value(), dialog.rounds.value()
            )
            pending, self.pending = self.pending, []
            if pending:
                self._importer.add(pending)
            elif self._state.study is not None:
                self.started.emit()
        else:
            self.pending = []  # logs that waited for a study are let go with it

    def _guess_for(self, dialog: NewStudy) -> Job | None:
        """Have the form propose what the logs that wait compare, once the first one is read."""
        files = files_of(self.pending)
        if not files:
            return None
        notebook = self._state.notebook
        shelf = {p.name: p.kind for p in parts(notebook)} if notebook is not None else {}

        def work(job: Task) -> ComparedGuess:
            from kuffin.logs.reader import read_log  # heavy, so only when it is needed

            try:
                roles = [c.role for c in read_log(files[0], job.report).channels]
            except KuffinError:  # told when the logs are added; their names may still tell
                roles = []
            return guess_compared(roles, [Path(f).stem for f in files], shelf)

        return self._state.jobs.start(tr("looking into the logs"), work, dialog.take_guess, self._state.trouble.emit)

    def begin_study(self, question: str, kind: str, names: list[str], margin_k: float, rounds: int) -> None:
        """Start a study and put it on the desk."""
        study_id = self._state.attempt(
            edits.add_study, self._state.notebook, question, kind, names, margin_k, rounds=rounds
        )
        if isinstance(study_id, int):
            self._state.choose_study(study_id)

    def change_study(self) -> None:
        """Ask what shall be different about the study."""
        study, notebook = self._state.study, self._state.notebook
        if study is None or notebook is None:
            return
        verdict = self._state.verdict
        dialog = ChangeStudy(study, verdict.reference_power_w if verdict is not None else 100.0, self._parent)
        if dialog.exec() == QDialog.DialogCode.Accepted:
            self.apply_changes(dialog)

    def apply_changes(self, dialog: ChangeStudy) -> None:
        """Keep what was changed, as one edit for the candidates and one for the rest."""
        study, notebook = self._state.study, self._state.notebook
        if study is None or notebook is None:
            return
        if dialog.names() != [(c.id, c.name) for c in study.live_candidates]:
            self._state.attempt(edits.change_candidates, notebook, study.id, dialog.names())
        values = {k: v for k, v in dialog.values().items() if v != "" and v != getattr(study, k)}
        if values:
            self._state.attempt(edits.change_study, notebook, study.id, say("change the study"), **values)

    def ask_logs(self) -> None:
        """Ask for log files."""
        self.ask_logs_for("", 0)

    def ask_logs_for(self, candidate: str, round_number: int) -> None:
        paths, _ = QFileDialog.getOpenFileNames(
            self._parent,
            tr("Add logs of {candidate}", candidate=candidate) if candidate else tr("Add logs"),
            "",
            tr("Logs (*.csv *.tsv *.txt *.log);;All files (*)"),
        )
        if paths:
            self.add_logs(paths, candidate, round_number)

    def add_logs(self, paths: list[str], candidate: str = "", round_number: int = 0) -> None:
        """Add log files, or open a notebook among them."""
        notebooks = [p for p in paths if p.endswith(SUFFIX)]
        if notebooks:
            self._notebooks.open_beside(notebooks[0])
            return
        if self._state.study is None:
            self.pending = paths
            self.new_study()
            return
        self._importer.add(paths, candidate, round_number)

    def bin_mount(self) -> None:
        """Put the mount that is looked at into the bin."""
        mount, notebook = self._state.mount(), self._state.notebook
        if mount is None or notebook is None:
            self._state.trouble.emit(tr("choose a mount on the loom first"))
            return
        self._state.attempt(
            edits.to_bin,
            notebook,
            Mount,
            mount.id,
            say("{name}, round {round}", name=mount.candidate.name, round=mount.round),
        )

    def bin_study(self) -> None:
        """Put the study into the bin."""
        if self._state.study is not None and self._state.notebook is not None:
            self._state.attempt(
                edits.to_bin, self._state.notebook, Study, self._state.study.id, f"“{self._state.study.name}”"
            )

    def ask_channels(self, run_id: int) -> None:
        run = next((r for m in self._state.mounts() for r in m.live_runs if r.id == run_id), None)
        notebook = self._state.notebook
        if run is None or notebook is None:
            return
        dialog = Channels(run, self._parent)
        if dialog.exec() == QDialog.DialogCode.Accepted:
            self._state.attempt(
                channels.set_roles, notebook, run_id, dialog.roles(), dialog.alike.isChecked(), dialog.devices()
            )

    def ask_one_mount(self) -> None:
        """Which runs of the candidate are tests of the mount that is looked at, and what each was run with."""
        mount, notebook = self._state.mount(), self._state.notebook
        if mount is None or notebook is None or not mount.live_runs:
            return
        others = [m for m in mount.candidate.live_mounts if m.id != mount.id and m.live_runs]
        runs = [r for m in (mount, *others) for r in m.live_runs]
        named = [LogNamed(Path(r.source).stem, r.started_at, r.duration_s) for r in runs]
        found = assign(named, [mount.candidate.name])
        guesses = {r.id: r.condition or a.condition for r, a in zip(runs, found, strict=True)}
        dialog = OneMount(mount, others, guesses, self._parent)
        if dialog.exec() == QDialog.DialogCode.Accepted:
            self._state.attempt(edits.one_mount, notebook, mount.id, dialog.chosen())

    def write_out(self, what: str, ending: str) -> None:
        """Ask for a name and write readings, verdicts or a picture."""
        if self._state.study is None or self._state.notebook is None:
            return
        name = f"{self._state.notebook.path.stem}-{what}{ending}"
        path, _ = QFileDialog.getSaveFileName(self._parent, tr("Write out"), str(documents() / name), f"*{ending}")
        if path:
            self.write_to(Path(path if path.endswith(ending) else path + ending), what)

    def copy_table(self) -> None:
        """Put the table of candidates and outcomes on the clipboard: as HTML where that is taken, else as Markdown."""
        verdict = self._state.for_files()
        if verdict is None:
            return
        data = QMimeData()
        with in_english():
            rows = summary_rows(verdict)
            data.setHtml(as_html(verdict, rows))
            data.setText(as_markdown(verdict, rows))
        QApplication.clipboard().setMimeData(data)
        self._state.said.emit(tr("the table is copied, {rows} rows: paste it into a page or a text", rows=len(rows)))

    def write_to(self, path: Path, what: str) -> None:
        """Write readings, verdicts or a picture to a file."""
        verdict = self._state.for_files()
        if what == "picture" and verdict is not None:
            name = self._theme().name

            @in_english()
            def draw(_job: object) -> None:
                write_picture(verdict, name, path)

            self._state.jobs.start(
                tr("drawing {name}", name=path.name),
                draw,
                lambda _: self._state.wrote.emit(path.parent, path.name, ""),
                self._state.trouble.emit,
            )
        elif what == "preparation":
            self._state.write_out(path, write_preparations, self._preparations(), path)
        elif verdict is not None:
            prepared = self._preparations() if what == "everything" else []
            study = self._state.study
            of_runs = rows_of_runs(study) if study is not None and what == "everything" else None
            self._state.write_out(path, write_table, verdict, path, what, prepared, of_runs)

    def _preparations(self) -> list[Preparation]:
        """How the study's mounts were prepared, in bench order."""
        notebook, study = self._state.notebook, self._state.study
        if notebook is None or study is None:
            return []
        with in_english():
            found = [preparation_of(notebook, m) for m in order_of(study)]
        return [p for p in found if p is not None]
