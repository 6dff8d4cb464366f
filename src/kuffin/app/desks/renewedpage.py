"""A page that shows the verdict, and is renewed when that changes."""

from __future__ import annotations

from PySide6.QtCore import Signal
from PySide6.QtGui import QShowEvent
from PySide6.QtWidgets import QVBoxLayout, QWidget

from kuffin.app.base.guarded import guarded
from kuffin.app.look.theme import Theme
from kuffin.app.state.windowstate import State
from kuffin.app.widgets.texts import text


@guarded
class RenewedPage(QWidget):
    """A column that is renewed when the verdict changes, while it is seen; else when it is seen next.

    `working` gives something to explain; `wanted` asks for a mount's run by its id.
    """

    working = Signal(object)
    mount_wanted = Signal(int)

    def __init__(self, state: State, theme: Theme, purpose: str) -> None:
        super().__init__()
        self.state, self.theme = state, theme
        self._stale, self._asked = True, False
        self.empty = text(purpose, style="muted")
        self.content = QWidget()
        self.column = QVBoxLayout(self.content)
        self.column.setContentsMargins(0, 0, 8, 8)
        self.column.setSpacing(10)
        outer = QVBoxLayout(self)
        outer.setContentsMargins(0, 4, 0, 0)
        outer.addWidget(self.empty)
        outer.addWidget(self.content)
        outer.addStretch()
        state.verdict_changed.connect(self._changed)
        state.study_changed.connect(self._changed)

    def show_purpose(self, said: str) -> None:
        """Show what the page is for, and how it is filled, instead of its content."""
        self.empty.setText(said)
        self.empty.setVisible(bool(said))
        self.content.setVisible(not said)

    def renew(self) -> None:
        """Show the verdict as it is now."""

    def set_theme(self, theme: Theme) -> None:
        """Take another theme."""
        self.theme = theme

    def _changed(self) -> None:
        self._stale = True
        if self.isVisible():
            self._renew()

    def showEvent(self, event: QShowEvent) -> None:
        super().showEvent(event)
        if self._stale:
            self._renew()

    def _renew(self) -> None:
        self._stale = False
        self.renew()
