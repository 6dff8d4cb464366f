"""The strip at the foot of the window: the notebook, what is being worked on, and what went wrong."""

from __future__ import annotations

from pathlib import Path

from PySide6.QtCore import QTimer, QUrl
from PySide6.QtGui import QDesktopServices
from PySide6.QtWidgets import QHBoxLayout, QProgressBar, QToolButton, QWidget

from kuffin.app.base.jobs import Job, Jobs
from kuffin.app.state.windowstate import State
from kuffin.app.widgets.texts import plain_tip, text
from kuffin.core.base.language import counted, tr


def with_capital(sentence: str) -> str:
    """A sentence with its capital; a file's name at its beginning stays as it is written."""
    first = sentence.split(" ", 1)[0]
    return sentence if "." in first.rstrip(".:,;") or "/" in first else sentence[:1].upper() + sentence[1:]


class Strip(QWidget):
    """Calm when all is well. Trouble stays until it is closed, or until the next edit succeeds."""

    def __init__(self, state: State, jobs: Jobs) -> None:
        super().__init__()
        self._wrong = False
        self._state, self._jobs = state, jobs
        self._followed: Job | None = None
        self.where = text(style="muted", wrap=False)
        self.bench = text(wrap=False)
        self.bench.setAccessibleName(tr("The bench now"))
        self.trouble = text()
        self.trouble.setAccessibleName(tr("What was done, or went wrong"))
        self.folder = QToolButton()
        self.folder.setText(tr("open the folder"))
        self.folder.clicked.connect(self._open_folder)
        self._written: Path | None = None
        self._close = QToolButton()
        self._close.setText(tr("close"))
        self._close.clicked.connect(lambda: self.say(""))
        self._work = text(style="muted", wrap=False)
        self._bar = QProgressBar()
        self._bar.setFixedWidth(120)
        self._bar.setTextVisible(False)
        self._stop = QToolButton()
        self._stop.setText(tr("stop"))
        self._stop.clicked.connect(self._cancel)
        layout = QHBoxLayout(self)
        layout.setContentsMargins(24, 5, 24, 6)
        layout.addWidget(self.bench)
        layout.addWidget(self.where)
        layout.addSpacing(14)
        layout.addWidget(self.trouble, 1)
        layout.addWidget(self.folder)
        layout.addWidget(self._close)
        layout.addStretch()
        for widget in (self._work, self._bar, self._stop):
            layout.addWidget(widget)
        self._delay = QTimer(self)
        self._delay.setSingleShot(True)
        self._delay.setInterval(250)  # what is done at once needs no bar
        self._delay.timeout.connect(self._show_work)
        jobs.changed.connect(self._jobs_changed)
        state.trouble.connect(self.complain)
        state.said.connect(self.say)
        state.wrote.connect(self.tell_written)
        state.succeeded.connect(self._succeeded)
        state.notebook_changed.connect(self.renew)
        state.study_changed.connect(self.renew)
        self.say("")
        self.show_bench("")
        self._jobs_changed()
        self.renew()

    def renew(self) -> None:
        """Name the notebook."""
        notebook = self._state.notebook
        if notebook is None:
            self.where.setText("")
            return
        mounts = len(self._state.mounts())
        self.where.setText(
            "  ·  ".join(
                (
                    tr("{name} (read-only)", name=notebook.path.name) if notebook.read_only else notebook.path.name,
                    counted(mounts, "{n} mount", "{n} mounts"),
                    tr("every edit is kept when made"),
                )
            )
        )
        self.where.setToolTip(plain_tip(str(notebook.path)))

    def show_bench(self, words: str) -> None:
        """The bench in a line while a run is recorded; blank otherwise."""
        self.bench.setText(words)
        self.bench.setVisible(bool(words))
        self.where.setVisible(not words)

    def say(self, sentence: str) -> None:
        """Say what the person should know; blank: nothing."""
        self._put(sentence, False)

    def _put(self, sentence: str, wrong: bool, written: Path | None = None) -> None:
        self._wrong, self._written = wrong, written
        if self.trouble.property("warn") != wrong:
            self.trouble.setProperty("warn", wrong)
            self.trouble.style().polish(self.trouble)
        self.trouble.setText(with_capital(sentence))
        self.trouble.setVisible(bool(sentence))
        self.folder.setVisible(written is not None)
        self._close.setVisible(bool(sentence))

    def complain(self, sentence: str) -> None:
        """Say what went wrong: until it is closed, or an edit succeeds."""
        self._put(sentence, bool(sentence))

    def tell_written(self, folder: Path, what: str, hint: str) -> None:
        """Say what was written out and where; the folder can be opened."""
        self._put(
            tr("written: {what}, in {folder}{hint}", what=what, folder=folder, hint="; " + hint if hint else ""),
            False,
            folder,
        )

    def _open_folder(self) -> None:
        if self._written is not None and not QDesktopServices.openUrl(QUrl.fromLocalFile(str(self._written))):
            self._put(
                tr("the desktop could not open {written}; it is there all the same", written=self._written),
                True,
                self._written,
            )

    def _succeeded(self) -> None:
        if self._wrong:
            self.say("")

    def _jobs_changed(self) -> None:
        running = self._jobs.running
        if not running:
            self._delay.stop()
            self._followed = None
            for widget in (self._work, self._bar, self._stop):
                widget.hide()
        elif self._followed not in running:
            self._followed = running[-1]
            self._followed.progressed.connect(self._progress)
            self._bar.setRange(0, 0)
            self._delay.start()

    def _show_work(self) -> None:
        if self._followed is not None:
            self._work.setText(self._followed.label)
            for widget in (self._work, self._bar, self._stop):
                widget.show()

    def _progress(self, share: float) -> None:
        self._bar.setRange(0, 100)
        self._bar.setValue(int(100 * share))

    def _cancel(self) -> None:
        for job in list(self._jobs.running):
            job.cancel()
