"""Adding logs: read them off the window's thread, show what was understood, add them as runs."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import replace
from pathlib import Path

from PySide6.QtCore import QObject
from PySide6.QtWidgets import QInputDialog, QWidget

from kuffin.app.acts.ownchannels import OwnChannels
from kuffin.app.base.jobs import Task
from kuffin.app.dialogs.askingreadings import ask_how
from kuffin.app.dialogs.importlogs import ImportLogs
from kuffin.app.dialogs.incoming import Incoming, incoming
from kuffin.app.dialogs.newstudy import files_of
from kuffin.app.state.windowstate import State
from kuffin.core.base.errors import KuffinError, OpenReading
from kuffin.core.base.language import tr
from kuffin.core.base.saying import say
from kuffin.core.bench.devices import Cooled
from kuffin.logs.table import LogTable, ToldOfLog
from kuffin.notebook import channels, edits
from kuffin.notebook.entities import Study
from kuffin.notebook.placing import mounts_there, places
from kuffin.notebook.shelf import add_bench, bench_of, set_cooled
from kuffin.notebook.store import Notebook
from kuffin.notebook.tablestudy import TableStudy, add_table_study, table_study, words_of
from kuffin.reading.configurations import cooled_by_bench
from kuffin.reading.evaluating import school_of
from kuffin.reading.signals import lacking


class Importer(QObject):
    """Leads from files to runs."""

    def __init__(self, state: State, window: QWidget, own: OwnChannels) -> None:
        super().__init__(window)
        self._state, self._window, self._own = state, window, own
        self.dialog: ImportLogs | None = None

    def add(self, paths: list[str], candidate: str = "", round_number: int = 0) -> None:
        """Read files (and the files of folders), then ask."""
        files = [f for f in map(Path, files_of(paths)) if f.suffix != ".kuffin"]
        if not files:
            return

        self._read(files, {}, candidate, round_number)

    def _read(self, files: list[Path], told: dict[Path, ToldOfLog], candidate: str, round_number: int) -> None:
        def work(job: Task) -> tuple[list[object], list[str], dict[Path, OpenReading]]:
            from kuffin.logs.reader import read_log  # heavy, so only when it is needed

            read: list[object] = []
            problems, still_open = [], {}
            for i, path in enumerate(files):
                try:
                    read.append(
                        read_log(path, lambda share, i=i: job.report((i + share) / len(files)), told.get(path))  # type: ignore[misc]
                    )
                except OpenReading as error:
                    still_open[path] = error
                except KuffinError as error:
                    table = _readings(path) if len(files) == 1 else None
                    if table is not None:
                        return [table], [], {}
                    problems.append(str(error))
            return read, problems, still_open

        label = (
            tr("reading {name}", name=files[0].name)
            if len(files) == 1
            else tr("reading {files} logs", files=len(files))
        )

        def done(found: tuple[list[LogTable], list[str], dict[Path, OpenReading]]) -> None:
            tables, problems, still_open = found
            if tables and isinstance(tables[0], TableStudy):
                self._make_study(tables[0])
            elif still_open:
                self._ask_how(files, told, still_open, candidate, round_number)
            else:
                self._ask(tables, problems, candidate, round_number)

        self._state.jobs.start(label, work, done, self._state.trouble.emit)

    def _read_one(
        self, path: Path, told: ToldOfLog, done: Callable[[LogTable], None], failed: Callable[[str], None]
    ) -> None:
        """Read a log again, off the window's thread."""

        def work(job: Task) -> LogTable:
            from kuffin.logs.reader import read_log  # heavy, so only when it is needed

            return read_log(path, job.report, told)

        self._state.jobs.start(tr("reading {name}", name=path.name), work, done, failed)

    def _ask_how(
        self,
        files: list[Path],
        told: dict[Path, ToldOfLog],
        still_open: dict[Path, OpenReading],
        candidate: str,
        round_number: int,
    ) -> None:
        """Ask once for all logs that leave the same open, and read again; those that are not answered for stay out."""
        answers: dict[str, ToldOfLog | None] = {}
        left_out = set()
        for path, error in still_open.items():
            if error.asks not in answers:
                answers[error.asks] = ask_how(self._window, error, ToldOfLog())
            answer = answers[error.asks]
            if answer is None:
                left_out.add(path)
                self._state.trouble.emit(str(error))
            else:
                before = told.get(path, ToldOfLog())
                told[path] = replace(before, **{error.asks: getattr(answer, error.asks)})
        files = [f for f in files if f not in left_out]
        if files:
            self._read(files, told, candidate, round_number)

    def _ask(self, tables: list[LogTable], problems: list[str], candidate: str, round_number: int) -> None:
        if not tables:
            self._state.trouble.emit(" · ".join(problems))
            return
        study, notebook = self._state.study, self._state.notebook
        if study is None or notebook is None:
            return
        names = [c.name for c in study.live_candidates]
        there = mounts_there(study)
        logs = [
            incoming(t, channels.remembered(notebook, t.shape_key) or self._own.remembered(t.shape_key)) for t in tables
        ]
        for log, found in zip(logs, places(study, tables, candidate, round_number), strict=True):
            log.candidate, log.mount, log.condition = found.candidate, found.mount, found.condition
        logs.sort(key=lambda log: (log.table.start or "", log.table.file))
        school = school_of(study)
        cooled = cooled_by_bench(study, bench_of(notebook, study.bench_id))
        self.dialog = ImportLogs(
            logs, problems, names, self._window, lambda roles: lacking(school, roles), there, cooled, self._read_one
        )
        self.dialog.accepted.connect(lambda d=self.dialog: self._add(logs, cooled, d.cooled.told()))
        self.dialog.setModal(True)
        self.dialog.show()

    def _make_study(self, found: TableStudy) -> None:
        """Ask whether a table of readings shall become a study, saying what its columns are taken for."""
        said = "\n".join(w[:1].upper() + w[1:] + "." for w in words_of(found))
        stem = Path(found.file).stem
        question, ok = QInputDialog.getText(
            self._window,
            tr("A table of readings"),
            tr("{told}\n\nIt becomes a study of its own. Its question:", told=said),
            text=f"{stem}?",
        )
        if ok and self._state.notebook is not None:
            study = self._state.attempt(add_table_study, self._state.notebook, found, question)
            if isinstance(study, int):
                self._state.choose_study(study)

    def _add(self, logs: list[Incoming], before: Cooled, told: Cooled) -> None:
        study, notebook = self._state.study, self._state.notebook
        if study is None or notebook is None:
            return
        runs = [
            edits.NewRun(
                log.candidate,
                log.table,
                roles=log.roles,
                round=log.mount.round if log.mount is not None else None,
                mount_id=log.mount.mount_id if log.mount is not None else None,
                shape=log.shape,
                units=log.units,
                devices=log.devices,
                condition=log.condition,
                settings=log.settings,
                together=True,
            )
            for log in logs
        ]

        for log in {one.shape: one for one in logs}.values():
            self._own.remember(log.shape, channels.Remembered(log.roles, log.units, log.devices))

        def work(_job: Task) -> None:
            label = (
                say("add {file}", file=runs[0].table.file) if len(runs) == 1 else say("add {runs} logs", runs=len(runs))
            )
            with notebook.one_step(label, tell=False):
                edits.add_logs(notebook, study.id, runs, tell=False)
                tell_cooled(notebook, study, before, told)

        self._state.jobs.start(tr("adding the logs"), work, lambda _: notebook.changed(), self._state.trouble.emit)


def _readings(path: Path) -> TableStudy | None:
    """What a file holds that is no log, where it is a table of readings."""
    from kuffin.logs.tidy import read_tidy  # only when it is needed

    try:
        return table_study(read_tidy(path))
    except KuffinError:
        return None


def tell_cooled(notebook: Notebook, study: Study, before: Cooled, told: Cooled) -> None:
    """Keep whose die is asked about with the study, and what the loop cools with its bench."""
    if told.device != before.device:
        edits.change_study(notebook, study.id, tr("say whose die is asked about"), device=told.device)
    if told.loop != before.loop:
        bench = study.bench_id or add_bench(notebook, "bench")
        if study.bench_id is None:
            edits.change_study(notebook, study.id, tr("take the bench"), bench_id=bench)
        set_cooled(notebook, bench, told.loop)
