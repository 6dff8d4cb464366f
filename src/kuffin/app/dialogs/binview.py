"""The bin: take things out again, or empty it."""

from __future__ import annotations

from PySide6.QtWidgets import QDialog, QHBoxLayout, QListWidget, QPushButton, QVBoxLayout, QWidget

from kuffin.app.state.windowstate import State
from kuffin.app.widgets.dialogsize import open_at
from kuffin.app.widgets.messages import ask
from kuffin.app.widgets.texts import text
from kuffin.core.base.language import tr
from kuffin.core.base.saying import told
from kuffin.notebook import bin as bin_


class BinView(QDialog):
    """What lies in the bin."""

    def __init__(self, state: State, parent: QWidget | None = None) -> None:
        super().__init__(parent)
        self._state = state
        self.setWindowTitle(tr("Bin"))
        open_at(self, 460, 340)
        self.list = QListWidget()
        self.list.setAccessibleName(tr("What lies in the bin"))
        self.note = text(style="muted")
        self.back = QPushButton(tr("Take it out again"))
        self.back.clicked.connect(self._restore)
        self.empty = QPushButton(tr("Empty the bin …"))
        self.empty.clicked.connect(self._clear)
        close = QPushButton(tr("Close"))
        close.clicked.connect(self.accept)
        row = QHBoxLayout()
        row.addWidget(self.back)
        row.addWidget(self.empty)
        row.addStretch()
        row.addWidget(close)
        layout = QVBoxLayout(self)
        layout.addWidget(self.note)
        layout.addWidget(self.list, 1)
        layout.addLayout(row)
        self._fill()

    def _fill(self) -> None:
        self._items = bin_.contents(self._state.notebook) if self._state.notebook is not None else []
        self.list.clear()
        self.list.addItems([f"{told(i.label)}   ·   {i.binned_at.replace('T', ' ')}" for i in self._items])
        self.note.setText(
            tr("What you delete stays here until you empty the bin.") if self._items else tr("The bin is empty.")
        )
        self.back.setEnabled(bool(self._items))
        self.empty.setEnabled(bool(self._items))
        if self._items:
            self.list.setCurrentRow(0)

    def _restore(self) -> None:
        row = self.list.currentRow()
        if 0 <= row < len(self._items):
            self._state.attempt(bin_.restore, self._state.notebook, self._items[row])
            self._fill()

    def _clear(self) -> None:
        question = tr(
            "Delete {items} things for good? This cannot be undone, and the history for Undo goes with it.",
            items=len(self._items),
        )
        if ask(self, tr("Empty the bin"), question):
            self._state.attempt(bin_.empty, self._state.notebook)
            self._fill()
