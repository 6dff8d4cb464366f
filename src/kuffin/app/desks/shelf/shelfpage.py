"""The shelf: all parts by kind, and the one that is looked at."""

from __future__ import annotations

from functools import partial
from pathlib import Path

from PySide6.QtCore import Qt, Signal
from PySide6.QtGui import QDragEnterEvent, QDropEvent, QShowEvent
from PySide6.QtWidgets import (
    QFileDialog,
    QHBoxLayout,
    QInputDialog,
    QLineEdit,
    QMenu,
    QPushButton,
    QScrollArea,
    QTreeWidget,
    QTreeWidgetItem,
    QVBoxLayout,
    QWidget,
)

from kuffin.app.base.guarded import guarded
from kuffin.app.base.settings import documents
from kuffin.app.desks.photos import local_files
from kuffin.app.desks.shelf.partcurves import PartCurves
from kuffin.app.desks.shelf.partform import PartForm
from kuffin.app.look.theme import Theme
from kuffin.app.state.shelfstate import ShelfState
from kuffin.app.state.windowstate import State
from kuffin.app.widgets.forms import button, row
from kuffin.app.widgets.texts import text
from kuffin.core.base.language import tr
from kuffin.core.base.wholefile import write_whole
from kuffin.core.bench.parts import KINDS
from kuffin.notebook import partsfile, shelf
from kuffin.notebook.entities import Part


@guarded
class ShelfPage(QWidget):
    """The page. Drop a list of parts (CSV, JSON) or a photo of the chosen part on it."""

    said = Signal(str)
    known_wanted = Signal(int)  # a part's id
    readings_wanted = Signal(int)  # a curve's id

    def __init__(self, state: State, behind: ShelfState, theme: Theme) -> None:
        super().__init__()
        self._state, self._behind = state, behind
        self.setAcceptDrops(True)
        self.part_id: int | None = None
        state.notebook_changed.connect(self._forget)
        self.search = QLineEdit()
        self.search.setPlaceholderText(tr("find"))
        self.search.setAccessibleName(tr("Find a part"))
        self.search.setClearButtonEnabled(True)
        self.search.textChanged.connect(self.renew)
        self.tree = QTreeWidget()
        self.tree.setHeaderHidden(True)
        self.tree.setAccessibleName(tr("Parts on the shelf"))
        self.tree.setIndentation(14)
        self.tree.currentItemChanged.connect(lambda now, _before: self._picked(now))
        add = QPushButton(tr("Add a part"))
        menu = QMenu(add)
        for kind in KINDS.values():
            menu.addAction(tr(kind.key), partial(self.ask_part, kind.key))
        add.setMenu(menu)
        left = QVBoxLayout()
        left.addWidget(self.search)
        left.addWidget(self.tree, 1)
        left.addWidget(row(add, button(tr("Bin it"), self._bin, tr("Put the chosen part into the bin"))))
        left.addWidget(
            row(
                button(tr("Read a list …"), self._ask_read, tr("Parts from CSV or JSON")),
                button(tr("Write it …"), self._ask_write),
            )
        )
        self.form = PartForm(state)
        self._empty = text(
            tr(
                "The shelf keeps parts, their samples and photos, for all studies of this notebook. Add one, read a list, or "
                "start a study: its candidates come here by themselves."
            ),
            style="muted",
        )
        inner = QWidget()
        column = QVBoxLayout(inner)
        column.setContentsMargins(12, 0, 0, 0)
        column.addWidget(self._empty)
        column.addWidget(self.form)
        self.known = button(
            tr("All that is known of it"), self._ask_known, tr("What every study of this notebook says of this part")
        )
        column.addWidget(row(self.known, None))
        self.curves = PartCurves(theme)
        self.curves.readings_wanted.connect(self.readings_wanted)
        column.addWidget(self.curves)
        column.addStretch(1)
        scroll = QScrollArea()
        scroll.setWidgetResizable(True)
        scroll.setWidget(inner)
        layout = QHBoxLayout(self)
        layout.setContentsMargins(0, 6, 0, 0)
        layout.addLayout(left, 2)
        layout.addWidget(scroll, 5)
        self._stale = True
        behind.changed.connect(self._heard)

    def _heard(self) -> None:
        self._stale = not self.isVisible()
        if not self._stale:
            self.renew()

    def showEvent(self, event: QShowEvent) -> None:
        super().showEvent(event)
        if self._stale:
            self._heard()

    def _forget(self) -> None:
        """Another notebook has other parts, though their numbers may be the same."""
        self.part_id = None

    def renew(self) -> None:
        """Show the shelf as it is now."""
        wanted = self.search.text().strip().lower()
        self.tree.blockSignals(True)
        self.tree.clear()
        current: QTreeWidgetItem | None = None
        for kind in KINDS.values():
            found = [p for p in self._behind.parts if p.kind == kind.key and (wanted in f"{p.name} {p.maker}".lower())]
            if not found:
                continue
            head = QTreeWidgetItem([tr(kind.plural)])
            head.setFlags(Qt.ItemFlag.ItemIsEnabled)
            self.tree.addTopLevelItem(head)
            for part in found:
                n = len(part.live_samples)
                item = QTreeWidgetItem([part.name + (tr("  ·  {n} samples", n=n) if n > 1 else "")])
                item.setData(0, Qt.ItemDataRole.UserRole, part.id)
                head.addChild(item)
                if part.id == self.part_id or (current is None and self.part_id is None):
                    current = item
            head.setExpanded(True)
        if current is not None:
            self.tree.setCurrentItem(current)
        self.tree.blockSignals(False)
        self._picked(current)

    def _picked(self, item: QTreeWidgetItem | None) -> None:
        part_id = item.data(0, Qt.ItemDataRole.UserRole) if item is not None else None
        part = self._behind.part(part_id)
        if part is not None:
            self.part_id = part.id
        self._empty.setVisible(not self._behind.parts)
        self.form.setVisible(part is not None)
        self.known.setVisible(part is not None)
        self.form.show_part(part)
        self.curves.show_part(part)

    def set_theme(self, theme: Theme) -> None:
        """Take another theme."""
        self.curves.set_theme(theme)

    def chosen(self) -> Part | None:
        """The part that is looked at."""
        return self._behind.part(self.part_id)

    def look_at(self, part_id: int) -> None:
        """Look at a part."""
        self.part_id = part_id
        self.renew()

    def _ask_known(self) -> None:
        if self.part_id is not None:
            self.known_wanted.emit(self.part_id)

    # --- acting ----------------------------------------------------------------------------------------------------

    def ask_part(self, kind: str) -> None:
        """Ask for a new part's name, and add it."""
        name, ok = QInputDialog.getText(self, tr("Add a part"), tr("The {kind}'s name:", kind=kind))
        if ok:
            self.add(kind, name)

    def add(self, kind: str, name: str) -> None:
        """Put a part on the shelf and look at it."""
        if self._state.notebook is None:
            self._state.trouble.emit(tr("open or make a notebook first: the shelf is kept in it"))
            return
        made = self._state.attempt(shelf.add_part, self._state.notebook, kind, name)
        if isinstance(made, int):
            self.look_at(made)

    def _bin(self) -> None:
        part = self.chosen()
        if part is None or self._state.notebook is None:
            self._state.trouble.emit(tr("choose a part first"))
            return
        self._state.attempt(shelf.bin_part, self._state.notebook, part.id)
        if self._behind.part(part.id) is None:
            self.part_id = None
            self.renew()

    def _ask_read(self) -> None:
        path, _ = QFileDialog.getOpenFileName(
            self, tr("Read a list of parts"), str(documents()), tr("Lists of parts (*.csv *.json)")
        )
        if path:
            self.read(path)

    def read(self, path: str) -> None:
        """Read a list of parts from a file."""
        if self._state.notebook is None:
            self._state.trouble.emit(tr("open or make a notebook first: the shelf is kept in it"))
            return
        found = self._state.attempt(partsfile.read_parts, path)
        if isinstance(found, list):
            counts = self._state.attempt(partsfile.add_parts, self._state.notebook, found)
            if isinstance(counts, tuple):
                added, changed = counts
                self._state.trouble.emit("")
                self.said.emit(
                    tr(
                        "{name}: {added} added to the shelf, {changed} brought up to date",
                        name=Path(path).name,
                        added=added,
                        changed=changed,
                    )
                )

    def _ask_write(self) -> None:
        path, _ = QFileDialog.getSaveFileName(
            self, tr("Write the parts"), str(documents() / "parts.csv"), tr("CSV (*.csv);;JSON (*.json)")
        )
        if path:
            self.write(Path(path))

    def write(self, path: Path) -> None:
        """Write all parts, as CSV or JSON by the file's ending."""
        parts = self._behind.parts
        content = partsfile.to_json(parts) if path.suffix.lower() == ".json" else partsfile.to_csv(parts)
        self._state.write_out(path, write_whole, path, content)

    def dragEnterEvent(self, event: QDragEnterEvent) -> None:
        if event.mimeData().hasUrls():
            event.acceptProposedAction()

    def dropEvent(self, event: QDropEvent) -> None:
        dropped = local_files(event)
        lists = [p for p in dropped if Path(p).suffix.lower() in {".csv", ".json"}]
        for path in lists:
            self.read(path)
        self.form.add_photos([p for p in dropped if p not in lists])
