"""Every picture of the study: looked at as it will be, copied, and written as SVG, PNG or PDF, or step by step for a video."""

from __future__ import annotations

from collections.abc import Callable
from pathlib import Path
from typing import TYPE_CHECKING, Any

from PySide6.QtCore import QEvent, QMimeData, QSize, Qt
from PySide6.QtGui import QImage, QKeySequence, QPixmap, QResizeEvent, QShowEvent
from PySide6.QtWidgets import (
    QAbstractItemView,
    QApplication,
    QCheckBox,
    QFileDialog,
    QHBoxLayout,
    QListWidget,
    QListWidgetItem,
    QSizePolicy,
    QVBoxLayout,
    QWidget,
)

from kuffin.app.base.guarded import guarded
from kuffin.app.base.jobs import Job, Task
from kuffin.app.base.settings import documents
from kuffin.app.desks.publish.gathered import Gathered
from kuffin.app.state.windowstate import State
from kuffin.app.widgets.forms import button, choice, flowing, row
from kuffin.app.widgets.texts import text
from kuffin.core.base.language import in_english, mark, tr
from kuffin.publish.figures.drawing import FORMS, GROUNDS, LINES, SIZES

if TYPE_CHECKING:
    from kuffin.publish.figures.drawing import Drawing, Ground, Size

_PURPOSE = mark("Pictures for a page, a slide or a video. They need a study with mounts that can be read.")
_KEY = Qt.ItemDataRole.UserRole


@guarded
class PicturesPage(QWidget):
    """The list of pictures, the chosen one as it will be, and how it is written."""

    def __init__(self, state: State, gathered: Gathered) -> None:
        super().__init__()
        self.state, self._gathered = state, gathered
        self.drawings: dict[str, Drawing] = {}
        self._runs: dict[str, Drawing] = {}
        self._job: Job | None = None
        self._image = QImage()
        self.list = QListWidget()
        self.list.setAccessibleName(tr("Pictures"))
        self.list.setHorizontalScrollBarPolicy(Qt.ScrollBarPolicy.ScrollBarAlwaysOff)
        self.list.setSelectionMode(QAbstractItemView.SelectionMode.ExtendedSelection)
        self.list.currentItemChanged.connect(lambda: self._show())
        self.runs = button(
            tr("Add the runs' traces"),
            self.read_runs,
            tr("Reads every run; each mount's traces and staircase join the list"),
        )
        self.size_ = choice([(tr(s.label), key) for key, s in SIZES.items()], tr("Size"))
        self.ground = choice([(tr(g.label), key) for key, g in GROUNDS.items()], tr("Ground"))
        self.lines = choice([(tr("{n} lines", n=n), n) for n in LINES], tr("Lines of the frames"))
        for box in (self.size_, self.ground):
            box.activated.connect(lambda: self._show())
        self.forms = {f: QCheckBox(f.upper()) for f in FORMS}
        for tick in self.forms.values():
            tick.setChecked(True)
        self.picture = text(wrap=False)
        self.picture.setAlignment(Qt.AlignmentFlag.AlignHCenter | Qt.AlignmentFlag.AlignTop)
        self.picture.setSizePolicy(QSizePolicy.Policy.Ignored, QSizePolicy.Policy.Ignored)
        self.alt = text(style="small")
        self.said = text(style="muted")
        left = QVBoxLayout()
        left.addWidget(self.list, 1)
        left.addWidget(self.runs)
        right = QVBoxLayout()
        right.setSpacing(6)
        right.addWidget(
            flowing(
                self.size_,
                self.ground,
                *self.forms.values(),
                button(tr("Copy"), self.copy, tr("Ctrl+C: the picture, to paste")),
            )
        )
        right.addWidget(
            flowing(
                button(tr("Write chosen …"), lambda: self._ask(self.write_chosen)),
                button(tr("Write all …"), lambda: self._ask(self.write_all)),
                row(
                    button(
                        tr("Frames for a video …"),
                        lambda: self._ask(self.write_frames),
                        tr("The chosen pictures built up step by step, with a sheet of cues"),
                    ),
                    self.lines,
                ),
            )
        )
        right.addWidget(self.said)
        right.addWidget(self.picture, 1)
        right.addWidget(self.alt)
        outer = QHBoxLayout(self)
        outer.setContentsMargins(0, 4, 8, 4)
        outer.setSpacing(14)
        outer.addLayout(left, 1)
        outer.addLayout(right, 3)
        gathered.changed.connect(self.renew)

    def sizeHint(self) -> QSize:
        return QSize(760, 480)

    def showEvent(self, event: QShowEvent) -> None:
        super().showEvent(event)
        self._gathered.want()
        self.renew()

    def resizeEvent(self, event: QResizeEvent) -> None:
        super().resizeEvent(event)
        self._fit()

    # --- showing ---------------------------------------------------------------------------------------------------

    def renew(self) -> None:
        """List the pictures of the study as it stands; only while they are looked at."""
        if not self.isVisible():
            return
        m = self._gathered.material
        self._runs = {}
        self.runs.setEnabled(m is not None)
        if m is None:
            self.drawings = {}
            self.list.clear()
            self.said.setText(
                self._gathered.problem or (tr("Working …") if self.state.verdict is not None else tr(_PURPOSE))
            )
            self.said.show()
            self._clear()
            return
        self.said.hide()
        self._list({d.key: d for d in m.slides})

    def _list(self, drawings: dict[str, Drawing]) -> None:
        chosen = self._chosen_key()
        self.drawings = drawings
        self.list.blockSignals(True)
        self.list.clear()
        for key, d in drawings.items():
            item = QListWidgetItem(tr("Card with the verdict") if key == "card" else d.title)
            item.setData(_KEY, key)
            self.list.addItem(item)
            if key == chosen:
                self.list.setCurrentItem(item)
        self.list.blockSignals(False)
        if self.list.currentRow() < 0 and self.list.count():
            self.list.setCurrentRow(0)
        else:
            self._show()

    def _chosen_key(self) -> str:
        item = self.list.currentItem()
        return "" if item is None else str(item.data(_KEY))

    def chosen(self) -> list[Drawing]:
        """The pictures that are chosen in the list."""
        return [
            self.drawings[str(i.data(_KEY))] for i in self.list.selectedItems() if str(i.data(_KEY)) in self.drawings
        ]

    def _how(self) -> tuple[Size, Ground]:
        return SIZES[str(self.size_.currentData())], GROUNDS[str(self.ground.currentData())]

    def _show(self) -> None:
        d = self.drawings.get(self._chosen_key())
        if d is None:
            self._clear()
            return
        self.alt.setText(tr("In words: {alt}", alt=d.alt))
        self.picture.setAccessibleName(d.title)
        self.picture.setAccessibleDescription(d.alt)
        size, ground = self._how()
        if self._job is not None:
            self._job.cancel()

        @in_english()
        def work(_job: Task) -> bytes:
            from kuffin.publish.figures.rendering import rendered

            return rendered(d, size, ground, "png")

        def done(png: bytes) -> None:
            self._job = None
            self._image = QImage.fromData(png)
            self._fit()

        self._job = self.state.jobs.start(tr("drawing a picture"), work, done, self.state.trouble.emit)

    def _clear(self) -> None:
        self._image = QImage()
        self.picture.clear()
        self.alt.setText("")

    def _fit(self) -> None:
        if self._image.isNull():
            return
        ratio = self.devicePixelRatioF()
        room = self.picture.size() * ratio
        if room.width() > 40 and room.height() > 40:
            shown = self._image.scaled(
                room, Qt.AspectRatioMode.KeepAspectRatio, Qt.TransformationMode.SmoothTransformation
            )
            shown.setDevicePixelRatio(ratio)
            self.picture.setPixmap(QPixmap.fromImage(shown))

    # --- doing -----------------------------------------------------------------------------------------------------

    def read_runs(self) -> None:
        """Read every run, and add its traces and its staircase to the list."""
        m = self._gathered.material
        if m is None:
            return

        @in_english()
        def work(job: Task) -> list[Drawing]:
            from kuffin.publish.figures.ofstudy import run_drawings

            return list(run_drawings(m.notebook, m.verdict, job.report))

        def done(found: list[Drawing]) -> None:
            if m is self._gathered.material:
                self._runs = {d.key: d for d in found}
                self.runs.setEnabled(False)
                self._list({**self.drawings, **self._runs})

        self.state.jobs.start(tr("reading the runs"), work, done, self.state.trouble.emit)

    def copy(self) -> None:
        """Put the shown picture on the clipboard, as pixels, with its words."""
        d = self.drawings.get(self._chosen_key())
        if d is None or self._image.isNull():
            return
        data = QMimeData()
        data.setImageData(self._image)
        data.setText(d.alt)
        QApplication.clipboard().setMimeData(data)
        self.state.said.emit(tr("the picture is copied, with its words as text"))

    def event(self, event: QEvent) -> bool:
        """Ctrl+C is this page's own, and not the window's."""
        if event.type() == QEvent.Type.ShortcutOverride and event.matches(QKeySequence.StandardKey.Copy):  # type: ignore[attr-defined]
            event.accept()
        return super().event(event)

    def keyPressEvent(self, event: Any) -> None:
        if event.matches(QKeySequence.StandardKey.Copy):
            self.copy()
        else:
            super().keyPressEvent(event)

    def _ask(self, act: Callable[[Path], None]) -> None:
        folder = QFileDialog.getExistingDirectory(self, tr("A folder for the pictures"), str(documents()))
        if folder:
            act(Path(folder))

    def write_chosen(self, folder: Path) -> None:
        """Write the chosen pictures."""
        self._write(folder, self.chosen())

    def write_all(self, folder: Path) -> None:
        """Write all pictures of the list."""
        self._write(folder, list(self.drawings.values()))

    def _write(self, folder: Path, drawings: list[Drawing]) -> None:
        forms = tuple(f for f, box in self.forms.items() if box.isChecked())
        if not forms or not drawings:
            self.state.trouble.emit(tr("choose a picture, and at least one of SVG, PNG and PDF"))
            return
        size, ground = self._how()

        @in_english()
        def work(job: Task) -> int:
            from kuffin.publish.report import figure_files, put

            count = 0
            for i, d in enumerate(drawings):
                job.report(i / len(drawings))
                for made in figure_files(d, size, ground, forms, into=""):
                    put(folder, made)
                    count += 1
            return count

        self.state.jobs.start(
            tr("writing pictures into {name}", name=folder.name),
            work,
            lambda n: self.state.wrote.emit(folder, tr("{n} pictures", n=n), ""),
            self.state.trouble.emit,
        )

    def write_frames(self, folder: Path) -> None:
        """Write the chosen pictures built up step by step, on their ground, with a sheet of cues."""
        m, drawings = self._gathered.material, self.chosen()
        if m is None or not drawings:
            self.state.trouble.emit(tr("choose a picture first"))
            return
        _, ground = self._how()
        lines = int(self.lines.currentData())

        @in_english()
        def work(job: Task) -> int:
            from kuffin.publish.report import Made, put
            from kuffin.publish.video import cue_sheet, frames

            parts, count = [], 0
            for i, d in enumerate(drawings):
                told = []
                for n, f in enumerate(frames(d, ground, lines)):
                    job.report((i + n / (len(d.stages) or 1)) / len(drawings))
                    put(folder, Made(f.name, f.png))
                    told.append((f.name, f.cue))
                    count += 1
                parts.append((d.title, told))
            put(folder, Made("cues.txt", cue_sheet(m.verdict, parts).encode()))
            return count

        self.state.jobs.start(
            tr("writing frames into {name}", name=folder.name),
            work,
            lambda n: self.state.wrote.emit(folder, tr("{n} frames and cues.txt", n=n), ""),
            self.state.trouble.emit,
        )
