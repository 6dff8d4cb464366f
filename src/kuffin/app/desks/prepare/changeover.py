"""The change-over: what to do, ticked one by one, timed, with notes and photos; until the mount is ready to run."""

from __future__ import annotations

import datetime as dt
from collections.abc import Sequence
from typing import TYPE_CHECKING

from PySide6.QtCore import Qt, Signal
from PySide6.QtGui import QDragEnterEvent, QDropEvent, QKeyEvent
from PySide6.QtWidgets import QCheckBox, QFileDialog, QGridLayout, QLineEdit, QPushButton, QVBoxLayout, QWidget

from kuffin.app.acts.paper import Sheet, sheet_buttons
from kuffin.app.acts.photojobs import add_photos
from kuffin.app.base.guarded import guarded
from kuffin.app.base.settings import documents
from kuffin.app.desks.photos import PhotoStrip, local_files
from kuffin.app.desks.prepare.page import PreparePage
from kuffin.app.state.windowstate import State
from kuffin.app.widgets.forms import button, choice, refill, row
from kuffin.app.widgets.texts import empty, link_button, text
from kuffin.core.base.language import inside, tr
from kuffin.core.prepare.cautions import ABOUT, CAUTIONS
from kuffin.core.prepare.changeover import ChangeOverTask, minutes
from kuffin.notebook import photos as photos_of
from kuffin.notebook import planedits, preparationedits
from kuffin.notebook.entities import Attachment, Tick
from kuffin.publish.paper.sheets import change_over_sheet
from kuffin.verdict.nextmount import change_to

if TYPE_CHECKING:
    from kuffin.app.desks.prepare.desk import PrepareDesk


@guarded
class _Box(QCheckBox):
    """Enter ticks and goes on to the next; Space ticks."""

    passed = Signal()

    def keyPressEvent(self, event: QKeyEvent) -> None:
        if event.key() in {Qt.Key.Key_Return, Qt.Key.Key_Enter}:
            if not self.isChecked():
                self.click()
            self.passed.emit()
        else:
            super().keyPressEvent(event)


@guarded
class TaskRow(QWidget):
    """One thing to do."""

    ticked = Signal(str, bool)
    noted = Signal(str, str)
    sheet_wanted = Signal(str)
    dismissed = Signal(str)
    photographed = Signal(str, list)

    def __init__(self, number: int, task: ChangeOverTask, state: State) -> None:
        super().__init__()
        self.task = task
        self.setAcceptDrops(True)
        self.photos = PhotoStrip(state)
        self.photos.hide()
        self.box = _Box()
        self.box.setAccessibleName(task.text)
        self.box.clicked.connect(lambda on: self.ticked.emit(task.key, on))
        self._words = text(f"{number}.  {task.text}")
        self._words.mousePressEvent = lambda _e: self.box.click()  # type: ignore[method-assign]
        self._took = text(style="small", wrap=False)
        self._cautions = QVBoxLayout()
        self._cautions.setSpacing(0)
        self._short = text(style="small")
        self.note = QLineEdit()
        self.note.setPlaceholderText(tr("note on this step"))
        self.note.setAccessibleName(tr("Note on step {number}", number=number))
        self.note.editingFinished.connect(lambda: self.noted.emit(task.key, self.note.text().strip()))
        self.write = link_button(tr("note"), tr("Write a note on step {number}", number=number))
        self.write.clicked.connect(self._open_note)
        grid = QGridLayout(self)
        grid.setContentsMargins(0, 1, 0, 1)
        grid.setVerticalSpacing(1)
        grid.setHorizontalSpacing(8)
        self.box.setContentsMargins(0, 3, 0, 0)
        grid.addWidget(self.box, 0, 0, Qt.AlignmentFlag.AlignVCenter)
        grid.addWidget(self._words, 0, 1)
        grid.addWidget(self._took, 0, 2)
        if task.sheet:
            names = {"leak": tr("leak test"), "bleed": tr("bleeding"), "print": tr("contact print")}
            names |= {"fit": inside(tr("Fit")), "fill": inside(tr("Fill"))}
            go = link_button(names.get(task.sheet, task.sheet))
            go.clicked.connect(lambda: self.sheet_wanted.emit(task.sheet))
            grid.addWidget(go, 0, 3)
        grid.addWidget(self.write, 0, 4)
        grid.addLayout(self._cautions, 1, 1, 1, 4)
        grid.addWidget(self._short, 3, 1, 1, 4)
        grid.addWidget(self.note, 2, 1, 1, 4)
        grid.addWidget(self.photos, 4, 1, 1, 4, Qt.AlignmentFlag.AlignLeft)
        grid.setColumnStretch(1, 1)
        self.note.hide()
        self._shown_cautions: tuple[str, ...] | None = None

    def dragEnterEvent(self, event: QDragEnterEvent) -> None:
        if event.mimeData().hasUrls():
            event.acceptProposedAction()

    def dropEvent(self, event: QDropEvent) -> None:
        event.acceptProposedAction()
        self.photographed.emit(self.task.key, local_files(event))

    def show_photos(self, photos: Sequence[Attachment]) -> None:
        """Show the photos that were dropped on this step."""
        self.photos.show_photos(photos)
        self.photos.setVisible(bool(photos))

    def show_tick(self, tick: Tick | None, dismissed: Sequence[str], now: bool) -> None:
        """Show whether it is done, how long it took, what was noted; and its cautions: whole where it comes now."""
        done = tick is not None and tick.done_at is not None
        self.box.setChecked(done)
        if done and tick is not None and tick.seconds is not None:
            self._took.setText(f"{tick.seconds / 60:.0f} min" if tick.seconds >= 90 else f"{tick.seconds:.0f} s")
        else:
            self._took.setText(tr("done") if done else tr("about {minutes:.0f} min", minutes=self.task.minutes))
        note = tick.note if tick is not None else ""
        if not self.note.hasFocus():
            self.note.setText(note)
            self.note.setVisible(bool(note))
            self.write.setVisible(not note)
        self._words.setProperty("muted", "true" if done else None)
        self._words.style().unpolish(self._words)
        self._words.style().polish(self._words)
        live = () if done else tuple(c for c in self.task.cautions if c not in dismissed)
        self._show_cautions(live if now else ())
        self._short.setText("" if now or not live else tr("caution: {live}", live=", ".join(tr(c) for c in live)))
        self._short.setVisible(bool(self._short.text()))

    def _show_cautions(self, keys: tuple[str, ...]) -> None:
        if keys == self._shown_cautions:
            return
        self._shown_cautions = keys
        empty(self._cautions)
        for key in keys:
            seen = link_button(tr("seen"), tr("Do not show this caution again for this mount: {key}", key=key))
            seen.clicked.connect(lambda _c=False, k=key: self.dismissed.emit(k))
            line = QWidget()
            grid = QGridLayout(line)
            grid.setContentsMargins(0, 0, 0, 0)
            words = text(tr(CAUTIONS[key]), style="warn")
            words.setProperty("caution", "true")
            grid.addWidget(words, 0, 0)
            grid.addWidget(seen, 0, 1, Qt.AlignmentFlag.AlignTop)
            grid.setColumnStretch(0, 1)
            self._cautions.addWidget(line)

    def _open_note(self) -> None:
        self.note.show()
        self.write.hide()
        self.note.setFocus()


@guarded
class ChangeOverPage(PreparePage):
    """The page."""

    kind = "cautions"

    def __init__(self, desk: PrepareDesk) -> None:
        super().__init__(desk)
        self.setAcceptDrops(True)
        self._said = text(style="heading")
        self.sample = choice([], tr("Sample"))
        self.sample.activated.connect(lambda: self.edit(planedits.set_sample, self.mount.id, self.sample.currentData()))
        self.column.addWidget(self._said)
        self.column.addWidget(row(text(tr("sample"), style="muted", wrap=False), self.sample))
        self._list = QVBoxLayout()
        self._list.setSpacing(2)
        self.column.addLayout(self._list)
        self.rows: list[TaskRow] = []
        self.ready = QPushButton(tr("Ready to run"))
        self.ready.setObjectName("next")
        self.ready.clicked.connect(self._make_ready)
        self.left = text(style="muted")
        again = button(
            tr("Start again"),
            lambda: self.edit(preparationedits.start_again, self.mount.id),
            tr("Takes all ticks back; notes stay"),
        )
        self.column.addWidget(row(self.ready, again, *sheet_buttons(self.state, self, self.to_print)))
        self.column.addWidget(self.left)
        self.column.addWidget(text(tr("Photos: drop them on a step, or here for the whole mount"), style="muted"))
        self.photos = PhotoStrip(desk.state)
        self.photos.removed.connect(lambda i: self.edit(photos_of.bin_photo, i))
        self.column.addWidget(row(button(tr("Add photos …"), self._ask_photos), self.photos, None))
        self.note = QLineEdit()
        self.note.setPlaceholderText(tr("note on this mount"))
        self.note.setAccessibleName(tr("Note on this mount"))
        self.note.editingFinished.connect(self._noted)
        self.column.addWidget(self.note)
        self.column.addWidget(text(tr(ABOUT), style="small"))
        self.column.addStretch(1)

    def renew(self) -> None:
        change = change_to(self.study, self.mount, self.shelf.bench, self.shelf.parts)
        coming = tr("{name}, round {round}", name=self.candidate.name, round=self.mount.round)
        if change.before is None:
            self._said.setText(
                tr(
                    "An empty bench is made ready for {coming}: about {minutes:.0f} min.",
                    coming=coming,
                    minutes=minutes(list(change.tasks)),
                )
            )
        else:
            self._said.setText(
                tr(
                    "From {name}, round {round}, to {coming}: about {minutes:.0f} min.",
                    name=change.before.candidate.name,
                    round=change.before.round,
                    coming=coming,
                    minutes=minutes(list(change.tasks)),
                )
            )
        samples: list[tuple[str, object]] = [
            (s.label + (f" ({s.came})" if s.came else ""), s.id) for s in self.candidate.samples
        ]
        refill(self.sample, samples, self.mount.sample_id)
        if [r.task for r in self.rows] != list(change.tasks):
            self._list_tasks(change.tasks)
        dismissed = self.sheet().get("dismissed", [])
        photos = photos_of.photos(self.state.notebook, mount_id=self.mount.id) if self.state.notebook else []
        ticks = self.desk.done.ticks
        next_key = next((r.task.key for r in self.rows if not (t := ticks.get(r.task.key)) or not t.done_at), None)
        for task_row in self.rows:
            task_row.show_tick(ticks.get(task_row.task.key), dismissed, task_row.task.key == next_key)
            task_row.show_photos([p for p in photos if p.kind == f"step {task_row.task.key}"])
        left = [r.task for r in self.rows if not r.box.isChecked()]
        self.ready.setText(tr("Not ready after all") if self.mount.ready_at else tr("Ready to run"))
        if self.mount.ready_at:
            self.left.setText(
                tr(
                    "Ready since {ready_at}. Run it on the Run desk (Ctrl+3), or drop your own log of it "
                    "on the loom afterwards.",
                    ready_at=self.mount.ready_at[11:16],
                )
            )
        elif left:
            self.left.setText(
                tr(
                    "Still to do: {left} of {rows}; next: {text}",
                    left=len(left),
                    rows=len(self.rows),
                    text=left[0].text,
                )
            )
        else:
            self.left.setText(tr("Everything is ticked."))
        self.photos.show_photos([p for p in photos if p.kind == "photo"])
        if not self.note.hasFocus():
            self.note.setText(self.mount.note)

    def _list_tasks(self, tasks: Sequence[ChangeOverTask]) -> None:
        for old in self.rows:
            self._list.removeWidget(old)
            old.hide()
            old.deleteLater()
        self.rows = []
        for number, task in enumerate(tasks, 1):
            made = TaskRow(number, task, self.state)
            made.ticked.connect(self.tick)
            made.noted.connect(self._note)
            made.sheet_wanted.connect(self.desk.go)
            made.dismissed.connect(self._dismiss)
            made.photographed.connect(lambda key, paths: self.add_photos(paths, tr("step {key}", key=key)))
            made.photos.removed.connect(lambda i: self.edit(photos_of.bin_photo, i))
            made.box.passed.connect(lambda n=number: self._focus(n))
            self.rows.append(made)
            self._list.addWidget(made)

    def to_print(self) -> Sheet:
        """The change-over as a sheet."""
        coming = tr("{name}, round {round}", name=self.candidate.name, round=self.mount.round)
        sample = tr("Sample {label}. ", label=self.mount.sample.label) if self.mount.sample is not None else ""
        done = {r.task.key for r in self.rows if r.box.isChecked()}
        html = change_over_sheet(coming, f"{sample}{self._said.text()}", [r.task for r in self.rows], done)
        return tr("change-over of {coming}", coming=coming), html

    def _focus(self, number: int) -> None:
        if number < len(self.rows):
            self.rows[number].box.setFocus()
        else:
            self.ready.setFocus()

    # --- doing -----------------------------------------------------------------------------------------------------

    def tick(self, key: str, on: bool) -> None:
        """Tick a step; the time since the one before is its own."""
        task = next(r.task for r in self.rows if r.task.key == key)
        stamps = [t.done_at for t in self.desk.done.ticks.values() if t.done_at]
        last = max([*stamps, self.mount.begun_at or ""])
        seconds = None
        if on and last:
            seconds = (dt.datetime.now() - dt.datetime.fromisoformat(last)).total_seconds()
            seconds = round(seconds) if 0 <= seconds < 4 * 3600 else None
        self.edit(preparationedits.tick, self.mount.id, key, task.text, on, seconds)

    def _note(self, key: str, note: str) -> None:
        tick = self.desk.done.ticks.get(key)
        if note != (tick.note if tick is not None else ""):
            task = next(r.task for r in self.rows if r.task.key == key)
            self.edit(preparationedits.note_step, self.mount.id, key, task.text, note)

    def _noted(self) -> None:
        if self.desk.mount is not None and self.note.text().strip() != self.mount.note:
            self.edit(preparationedits.set_note, self.mount.id, self.note.text())

    def _dismiss(self, key: str) -> None:
        self.keep(dismissed=sorted({*self.sheet().get("dismissed", []), key}))

    def _make_ready(self) -> None:
        left = [r.task.text for r in self.rows if not r.box.isChecked()]
        if left and not self.mount.ready_at:
            self.state.trouble.emit(
                tr("not ticked yet: {left} Tick it, or write a note on it why it is left out", left=left[0])
            )
            unexplained = [r for r in self.rows if not r.box.isChecked() and not r.note.text().strip()]
            if unexplained:
                return
        self.edit(preparationedits.make_ready, self.mount.id, self.mount.ready_at is None)

    def _ask_photos(self) -> None:
        paths, _ = QFileDialog.getOpenFileNames(
            self, tr("Add photos"), str(documents()), tr("Photos (*.jpg *.jpeg *.png)")
        )
        self.add_photos(paths)

    def add_photos(self, paths: Sequence[str], kind: str = "photo") -> None:
        """Attach photos to the mount, or to one of its steps."""
        add_photos(self.state, paths, mount_id=self.mount.id, kind=kind)

    def dragEnterEvent(self, event: QDragEnterEvent) -> None:
        if event.mimeData().hasUrls() and self.desk.mount is not None:
            event.acceptProposedAction()

    def dropEvent(self, event: QDropEvent) -> None:
        event.acceptProposedAction()
        self.add_photos(local_files(event))
