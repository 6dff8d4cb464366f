"""The Publish desk."""

from __future__ import annotations

from PySide6.QtCore import Signal
from PySide6.QtGui import QShowEvent

from kuffin.app.base.guarded import guarded
from kuffin.app.base.settings import Settings
from kuffin.app.desks.publish.askedpage import AskedPage
from kuffin.app.desks.publish.datapage import DataPage
from kuffin.app.desks.publish.gathered import Gathered
from kuffin.app.desks.publish.pagepage import PagePage
from kuffin.app.desks.publish.picturespage import PicturesPage
from kuffin.app.look.theme import Theme
from kuffin.app.state.windowstate import State
from kuffin.app.widgets.paged import PagedDesk
from kuffin.core.base.language import tr


@guarded
class PublishDesk(PagedDesk):
    """What a reader sees, what a viewer sees, what another lab can check. `desk_wanted` leads to where something is mended."""

    desk_wanted = Signal(str)
    write_wanted = Signal(str, str)  # a table: what, and its file's ending
    package_wanted = Signal()
    take_wanted = Signal()
    copy_wanted = Signal()

    def __init__(self, state: State, theme: Theme, settings: Settings) -> None:
        super().__init__("publish", settings)
        self._state = state
        self.gathered = Gathered(state)
        self.page_page = PagePage(state, self.gathered)
        self.asked = AskedPage(state, self.gathered)
        self.asked.desk_wanted.connect(self.desk_wanted)
        self.pictures = PicturesPage(state, self.gathered)
        self.data = DataPage(state)
        for own, signal in (
            (self.data.write_wanted, self.write_wanted),
            (self.data.package_wanted, self.package_wanted),
            (self.data.take_wanted, self.take_wanted),
            (self.data.copy_wanted, self.copy_wanted),
        ):
            own.connect(signal)
        self.add_pages(
            [
                ("page", tr("The page"), self.page_page),
                ("asked", tr("What will be asked"), self.asked),
                ("pictures", tr("Pictures and video"), self.pictures),
                ("data", tr("Tables and raw data"), self.data),
            ]
        )
        state.verdict_changed.connect(self._changed)
        self.gathered.changed.connect(self._count)

    def showEvent(self, event: QShowEvent) -> None:
        super().showEvent(event)
        self._changed()

    def _changed(self) -> None:
        if self.isVisible():
            self.gathered.want()

    def _count(self) -> None:
        n = self.asked.open_count()
        self.mark_page("asked", str(n) if n else "")

    def set_theme(self, theme: Theme) -> None:
        """Pictures have a theme of their own: nothing here follows the window's."""
