"""What the pages of Plan and Prepare share."""

from __future__ import annotations

from collections.abc import Callable
from typing import Any

from PySide6.QtGui import QShowEvent
from PySide6.QtWidgets import QVBoxLayout, QWidget

from kuffin.app.base.guarded import guarded
from kuffin.app.state.shelfstate import ShelfState
from kuffin.app.state.windowstate import State
from kuffin.app.widgets.texts import text
from kuffin.core.base.errors import KuffinError
from kuffin.notebook import edits
from kuffin.notebook.planedits import set_plan


@guarded
class Page(QWidget):
    """A page of a desk: it shows the study as it is, and makes edits through the notebook.

    After an edit only the page that is seen is shown anew; the others are when one turns to them.
    """

    def __init__(self, state: State, shelf: ShelfState) -> None:
        super().__init__()
        self.state, self.shelf = state, shelf
        self.filling = False
        self.stale = True
        self.column = QVBoxLayout(self)
        self.column.setContentsMargins(0, 4, 10, 8)
        self.column.setSpacing(8)
        shelf.changed.connect(self.show_now)

    def show_now(self) -> None:
        """Show everything as it is now, or once the page is looked at."""
        self.stale = not self.isVisible()
        if self.stale:
            return
        if self.state.study is not None and self.state.notebook is not None:
            self.filling = True
            try:
                self.renew()
            finally:
                self.filling = False

    def showEvent(self, event: QShowEvent) -> None:
        super().showEvent(event)
        if self.stale:
            self.show_now()

    def renew(self) -> None:
        """Show everything as it is now."""
        raise NotImplementedError

    def heading(self, content: str) -> None:
        """Add a heading."""
        self.column.addWidget(text(content, style="heading"))

    def edit(self, act: Callable[..., Any], *args: object, **kwargs: object) -> object:
        """Make an edit on the notebook; what goes wrong is said, and the page shows again what is kept."""
        if self.filling or self.state.notebook is None:
            return None
        try:
            return act(self.state.notebook, *args, **kwargs)
        except KuffinError as error:
            self.state.trouble.emit(str(error))
            self.show_now()
            return None

    def change(self, label: str, **values: object) -> None:
        """Change the study itself."""
        if self.state.study is not None:
            self.edit(edits.change_study, self.state.study.id, label, **values)

    def change_plan(self, label: str, **values: object) -> None:
        """Change an entry of the study's plan."""
        if self.state.study is not None:
            self.edit(set_plan, self.state.study.id, label, **values)
