"""The Plan desk."""

from __future__ import annotations

from PySide6.QtGui import QShowEvent

from kuffin.app.base.guarded import guarded
from kuffin.app.base.settings import Settings
from kuffin.app.desks.plan.clearancepage import ClearancePage
from kuffin.app.desks.plan.fair import FairPage
from kuffin.app.desks.plan.mounts import MountsPage
from kuffin.app.desks.plan.order import OrderPage
from kuffin.app.desks.plan.protocol import ProtocolPage
from kuffin.app.desks.plan.question import QuestionPage
from kuffin.app.desks.plan.when import WhenPage
from kuffin.app.look.theme import Theme
from kuffin.app.state.shelfstate import ShelfState
from kuffin.app.state.windowstate import State
from kuffin.app.widgets.paged import PagedDesk
from kuffin.core.base.language import tr


@guarded
class PlanDesk(PagedDesk):
    """Seven pages, in the order in which one thinks of them."""

    def __init__(self, state: State, shelf: ShelfState, theme: Theme, settings: Settings) -> None:
        super().__init__("plan", settings)
        self.question = QuestionPage(state, shelf)
        self.fair = FairPage(state, shelf)
        self.fit = ClearancePage(state, shelf)
        self.question.way_added.connect(lambda: self.go("fair"))
        self.mounts = MountsPage(state, shelf, theme)
        self.order = OrderPage(state, shelf, theme)
        self.protocol = ProtocolPage(state, shelf)
        self.when = WhenPage(state, shelf, theme)
        self.add_pages(
            [
                ("question", tr("The question"), self.question),
                ("fair", tr("Fair?"), self.fair),
                ("fit", tr("Does it fit?"), self.fit),
                ("mounts", tr("How many"), self.mounts),
                ("order", tr("In which order"), self.order),
                ("protocol", tr("Protocol"), self.protocol),
                ("when", tr("When"), self.when),
            ]
        )
        shelf.changed.connect(self._mark)

    def showEvent(self, event: QShowEvent) -> None:
        super().showEvent(event)
        self._mark()

    def _mark(self) -> None:
        if not self.isVisible():
            return
        open_ = self.fair.open_count()
        self.mark_page("fair", tr("{n} open", n=open_) if open_ else "")

    def set_theme(self, theme: Theme) -> None:
        self.mounts.plot.set_theme(theme)
        self.order.theme = theme
        self.when.sheet.set_theme(theme)
