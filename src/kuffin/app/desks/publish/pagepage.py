"""The page: its sections, a person's own words in each, and beside them the page as it will be."""

from __future__ import annotations

from functools import partial
from pathlib import Path
from typing import TYPE_CHECKING

from PySide6.QtCore import Qt, QTimer
from PySide6.QtGui import QKeySequence, QShortcut
from PySide6.QtWidgets import (
    QAbstractItemView,
    QFileDialog,
    QHBoxLayout,
    QLineEdit,
    QListWidget,
    QListWidgetItem,
    QMenu,
    QPlainTextEdit,
    QPushButton,
    QVBoxLayout,
    QWidget,
)

from kuffin.app.base.guarded import guarded
from kuffin.app.base.jobs import Task
from kuffin.app.base.settings import documents
from kuffin.app.desks.publish.gathered import Gathered
from kuffin.app.desks.publish.preview import WAYS, Preview
from kuffin.app.state.windowstate import State
from kuffin.app.widgets.forms import button, choice, row
from kuffin.app.widgets.sidebyside import SideBySide
from kuffin.app.widgets.texts import no_keys, plain_tip, text
from kuffin.core.base.language import counted, in_english, mark, tr
from kuffin.notebook import publishedits as edits

if TYPE_CHECKING:
    from kuffin.publish.page.layout import PageLayout
    from kuffin.publish.page.sections import Section

_PURPOSE = mark("The page tells a reader what was found. It needs a study with mounts that can be read.")
_KEY = Qt.ItemDataRole.UserRole


@guarded
class PagePage(QWidget):
    """It edits the page's sections and a person's own words; everything else is the study's."""

    def __init__(self, state: State, gathered: Gathered) -> None:
        super().__init__()
        self.state, self._gathered, self._filling = state, gathered, False
        self._layout: PageLayout | None = None
        self._kept = ("", "")  # the section whose words are shown, and those that are kept of it
        self.sections = QListWidget()
        self.sections.setAccessibleName(tr("Sections of the page"))
        self.sections.setHorizontalScrollBarPolicy(Qt.ScrollBarPolicy.ScrollBarAlwaysOff)
        self.sections.setDragDropMode(QAbstractItemView.DragDropMode.InternalMove)
        self.sections.itemChanged.connect(self._switched)
        self.sections.currentItemChanged.connect(lambda: self._show_section())
        self.sections.model().rowsMoved.connect(lambda: self._moved())
        for keys, by in (("Alt+Up", -1), ("Alt+Down", 1)):
            short = QShortcut(QKeySequence(keys), self.sections)
            short.setContext(Qt.ShortcutContext.WidgetShortcut)
            short.activated.connect(lambda by=by: self.move_section(by))
        self.title = QLineEdit()
        self.title.setAccessibleName(tr("Title of the section"))
        self.title.editingFinished.connect(self._entitled)
        self.words = QPlainTextEdit()
        self.words.setAccessibleName(tr("Your own words in this section"))
        self.words.setPlaceholderText(tr("Your own words. A number from “Insert” goes on with the study."))
        self.words.setTabChangesFocus(True)
        self._later = QTimer(self)
        self._later.setSingleShot(True)
        self._later.setInterval(1200)
        self._later.timeout.connect(self.keep_words)
        self.words.textChanged.connect(self._typing)
        self.insert = QPushButton(tr("Insert"))
        self.insert.setMenu(QMenu(self.insert))
        self.insert.menu().aboutToShow.connect(self._offer_fields)
        self.doubts = text(style="warn")
        self.way = choice([(tr(label), key) for key, label in WAYS], tr("How the page is looked at"))
        self.way.activated.connect(lambda: self._set_page())
        self.theme = choice([(tr("Light"), "light"), (tr("Dark"), "dark")], tr("Light or dark"))
        self.theme.activated.connect(lambda: self._set_page())
        self.preview = Preview(state.jobs)
        self._said = text(style="small", wrap=False)
        self.preview.ready.connect(lambda: self._said.setText(self._sheets()))
        self._left = left = QWidget()
        left.setEnabled(False)  # until it is known what the notebook holds
        column = QVBoxLayout(left)
        column.setContentsMargins(0, 0, 10, 0)
        column.setSpacing(6)
        column.addWidget(text(tr("Sections: tick, drag or Alt+Up and Alt+Down"), style="small"))
        column.addWidget(self.sections, 3)
        column.addWidget(self.title)
        column.addWidget(self.words, 2)
        column.addWidget(row(self.insert, None))
        column.addWidget(self.doubts)
        right = QWidget()
        page = QVBoxLayout(right)
        page.setContentsMargins(10, 0, 0, 0)
        page.setSpacing(6)
        page.addWidget(
            row(
                self.way,
                self.theme,
                self._said,
                button(tr("Write it …"), self.ask_folder, tr("Page, PDF, figures and tables into a folder")),
            )
        )
        page.addWidget(self.preview, 1)
        split = SideBySide(left, right)
        split.setStretchFactor(1, 1)
        split.setSizes([290, 620])
        outer = QHBoxLayout(self)
        outer.setContentsMargins(0, 4, 0, 0)
        outer.addWidget(split)
        gathered.changed.connect(self.renew)

    # --- showing ---------------------------------------------------------------------------------------------------

    def renew(self) -> None:
        """Show the page as the study stands; only while it is looked at."""
        if not self.isVisible():
            return
        m, study = self._gathered.material, self.state.study
        self._left.setEnabled(m is not None and study is not None)
        if m is None or study is None:
            self._layout = None
            self.preview.say(
                self._gathered.problem or (tr("Working …") if self.state.verdict is not None else tr(_PURPOSE))
            )
            return
        from kuffin.publish.page.layout import PageLayout

        self._layout = PageLayout.of(study.published)
        self._fill_sections(self._layout)
        self._show_section()
        self._set_page()

    def _fill_sections(self, layout: PageLayout) -> None:
        self._filling = True
        chosen = self._chosen()
        self.sections.clear()
        for section in layout.sections:
            item = QListWidgetItem(layout.title(section))
            item.setData(_KEY, section.key)
            item.setFlags(item.flags() | Qt.ItemFlag.ItemIsUserCheckable)
            item.setFlags(item.flags() & ~Qt.ItemFlag.ItemIsDropEnabled)
            item.setCheckState(Qt.CheckState.Checked if layout.on(section) else Qt.CheckState.Unchecked)
            if section.private:
                item.setToolTip(plain_tip(tr("Off unless you ask for it: {private}.", private=section.private)))
            self.sections.addItem(item)
            if section.key == chosen:
                self.sections.setCurrentItem(item)
        if self.sections.currentRow() < 0:
            self.sections.setCurrentRow(0)
        self._filling = False

    def _chosen(self) -> str:
        item = self.sections.currentItem()
        return "" if item is None else str(item.data(_KEY))

    def _section(self) -> Section | None:
        key = self._chosen()
        return None if self._layout is None else next((s for s in self._layout.sections if s.key == key), None)

    def _show_section(self) -> None:
        section, layout = self._section(), self._layout
        if self._filling or section is None or layout is None:
            return
        if self._later.isActive():  # what was typed is kept before another section is shown
            self.keep_words()
        self._filling = True
        self.title.setText(layout.titles.get(section.key, ""))
        self.title.setPlaceholderText(section.title)
        kept = section.key, layout.words.get(section.key, "")
        if kept != self._kept:  # else what is typed meanwhile stays
            self._kept = kept
            self.words.setPlainText(kept[1])
        self._filling = False
        self._show_doubts()

    def _show_doubts(self) -> None:
        m, section = self._gathered.material, self._section()
        told: list[str] = []
        if m is not None and section is not None and self._layout is not None:
            from kuffin.publish.page.ownwords import doubts_of

            words = self.words.toPlainText()
            since = self._layout.since.get(section.key, {})
            told = [f"“{d.sentence}”: {d.why}." for d in doubts_of(m.verdict, section.key, words, since)]
        self.doubts.setText("\n".join(told))
        self.doubts.setVisible(bool(told))

    def _set_page(self) -> None:
        m, layout = self._gathered.material, self._layout
        if m is not None and layout is not None:
            self._said.setText(tr("setting it …"))
            self.preview.show_page(m, layout, str(self.theme.currentData()), str(self.way.currentData()))

    def _sheets(self) -> str:
        n = len(self.preview.images)
        return counted(n, "{n} sheet", "{n} sheets")

    # --- editing ---------------------------------------------------------------------------------------------------

    def _edit(self, act: object, *values: object) -> None:
        study, notebook = self.state.study, self.state.notebook
        if study is not None and notebook is not None and not self._filling:
            self.state.attempt(act, notebook, study.id, *values)

    def _switched(self, item: QListWidgetItem) -> None:
        self._edit(edits.switch_section, str(item.data(_KEY)), item.text(), item.checkState() == Qt.CheckState.Checked)

    def _moved(self) -> None:
        order = [str(self.sections.item(i).data(_KEY)) for i in range(self.sections.count())]
        self._edit(edits.order_sections, order)

    def move_section(self, by: int) -> None:
        """Move the chosen section up or down."""
        at = self.sections.currentRow()
        if 0 <= at + by < self.sections.count() and at >= 0:
            self._filling = True
            item = self.sections.takeItem(at)
            self.sections.insertItem(at + by, item)
            self.sections.setCurrentRow(at + by)
            self._filling = False
            self._moved()

    def _entitled(self) -> None:
        section, layout = self._section(), self._layout
        if (
            section is not None
            and layout is not None
            and self.title.text().strip() != layout.titles.get(section.key, "")
        ):
            self._edit(edits.entitle_section, section.key, self.title.text())

    def _typing(self) -> None:
        if not self._filling:
            self._later.start()
            self._show_doubts()

    def keep_words(self) -> None:
        """Keep what was typed in the section that is shown."""
        self._later.stop()
        verdict, words = self.state.verdict, self.words.toPlainText().strip()
        key, before = self._kept
        if verdict is None or not key or words == before:
            return
        from kuffin.publish.page.ownwords import pair_states

        self._kept = key, words
        self._edit(edits.write_words, key, words, pair_states(verdict, words))

    def _offer_fields(self) -> None:
        menu, m = self.insert.menu(), self._gathered.material
        menu.clear()
        if m is None:
            return
        from kuffin.publish.page.ownwords import fields_of

        pairs = None
        for name, said in list(fields_of(m.verdict).items())[:200]:
            into = menu
            if ", " in name:
                pairs = pairs or menu.addMenu(tr("One against another"))
                into = pairs
            into.addAction(
                no_keys(f"{name}:  {said if len(said) < 60 else said[:57] + '…'}"), partial(self.insert_field, name)
            )

    def insert_field(self, name: str, _checked: bool = False) -> None:
        """Put a live field where the cursor is."""
        self.words.insertPlainText(f"{{{name}}}")
        self.words.setFocus()

    # --- writing ---------------------------------------------------------------------------------------------------

    def ask_folder(self) -> None:
        """Ask for a folder, and write page, figures and tables into it."""
        notebook = self.state.notebook
        if notebook is None or self._gathered.material is None:
            return
        folder = QFileDialog.getExistingDirectory(self, tr("A folder for page, figures and tables"), str(documents()))
        if folder:
            self.write(Path(folder))

    def write(self, folder: Path) -> None:
        """Write page, figures and tables into a folder; with progress, and to be stopped."""
        m, theme = self._gathered.material, str(self.theme.currentData())
        if m is None:
            return

        @in_english()
        def work(job: Task) -> int:
            from kuffin.publish.report import put, report_files

            count = 0
            for made in report_files(m, theme, job.report):
                job.report(min(count / 50, 0.99))
                put(folder, made)
                count += 1
            return count

        self.state.jobs.start(
            tr("writing {name}", name=folder.name),
            work,
            lambda n: self.state.wrote.emit(folder, tr("{n} files", n=n), tr("begin with page.html")),
            self.state.trouble.emit,
        )

    def showEvent(self, event: object) -> None:
        super().showEvent(event)  # type: ignore[arg-type]
        self._gathered.want()
        self.renew()

    def hideEvent(self, event: object) -> None:
        self.keep_words()
        super().hideEvent(event)  # type: ignore[arg-type]
