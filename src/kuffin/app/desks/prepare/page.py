"""What the pages of Prepare share: the mount on the desk, and what was done for it."""

from __future__ import annotations

from typing import TYPE_CHECKING, Any

from PySide6.QtWidgets import QWidget

from kuffin.app.desks.plan.page import Page
from kuffin.app.widgets.texts import text
from kuffin.core.base.language import tr
from kuffin.core.prepare.cautions import CAUTIONS
from kuffin.notebook.entities import Candidate, Mount, Study
from kuffin.notebook.preparationedits import keep_sheet

if TYPE_CHECKING:
    from kuffin.app.desks.prepare.desk import PrepareDesk


class PreparePage(Page):
    """A page about one mount. `kind` is the sheet that it keeps."""

    kind = ""

    def __init__(self, desk: PrepareDesk) -> None:
        self.desk = desk
        super().__init__(desk.state, desk.shelf)
        desk.shelf.changed.disconnect(self.show_now)  # the desk renews its pages itself, after it has read the mount

    def show_now(self) -> None:
        if self.desk.stale and self.isVisible():
            self.desk.renew()  # which comes back here, with the mount as it is now
        elif self.desk.mount is not None:
            super().show_now()

    @property
    def mount(self) -> Mount:
        assert self.desk.mount is not None
        return self.desk.mount

    @property
    def study(self) -> Study:
        assert self.state.study is not None
        return self.state.study

    @property
    def candidate(self) -> Candidate:
        return self.mount.candidate

    def sheet(self) -> dict[str, Any]:
        """What was typed on this page for the mount."""
        return dict(self.desk.done.sheets.get(self.kind, {}))

    def keep(self, **values: Any) -> None:
        """Keep what was typed."""
        if not self.filling and self.desk.mount is not None:
            now = self.sheet()
            new = {k: v for k, v in {**now, **values}.items() if v is not None}
            if new != now:
                self.edit(keep_sheet, self.mount.id, self.kind, new)

    def cautions(self, *keys: str) -> QWidget:
        """The cautions of this page, in small."""
        return text("\n".join(tr(CAUTIONS[k]) for k in keys), style="small")
