"""The Prepare desk."""

from __future__ import annotations

from PySide6.QtCore import Signal
from PySide6.QtGui import QShowEvent
from PySide6.QtWidgets import QHBoxLayout, QVBoxLayout

from kuffin.app.base.guarded import guarded
from kuffin.app.base.settings import Settings
from kuffin.app.desks.prepare.bleed import BleedPage
from kuffin.app.desks.prepare.changeover import ChangeOverPage
from kuffin.app.desks.prepare.contact import PrintPage
from kuffin.app.desks.prepare.fill import FillPage
from kuffin.app.desks.prepare.fitting import FitPage
from kuffin.app.desks.prepare.leak import LeakPage
from kuffin.app.desks.prepare.page import PreparePage
from kuffin.app.look.theme import Theme
from kuffin.app.state.shelfstate import ShelfState
from kuffin.app.state.windowstate import State
from kuffin.app.widgets.forms import button, choice, refill
from kuffin.app.widgets.paged import PagedDesk
from kuffin.app.widgets.texts import text
from kuffin.core.base.errors import KuffinError
from kuffin.core.base.language import tr
from kuffin.core.bench.undertest import kind_under_test
from kuffin.core.prepare.changeover import ChangeOverTask
from kuffin.notebook.entities import Mount
from kuffin.notebook.preparationedits import Prepared, prepared
from kuffin.verdict.nextmount import change_to
from kuffin.verdict.planbasis import is_done, next_mount, order_of


@guarded
class PrepareDesk(PagedDesk):
    """Six pages about one mount: the one that comes next, or another that is chosen."""

    plan_wanted = Signal()
    said = Signal(str)

    def __init__(self, state: State, shelf: ShelfState, theme: Theme, settings: Settings) -> None:
        super().__init__("prepare", settings)
        self.state, self.shelf, self.theme = state, shelf, theme
        self.mount: Mount | None = None
        self.done = Prepared({}, {})
        self.chosen: int | None = None
        self.which = choice([], tr("The mount that is prepared"))
        self.which.activated.connect(lambda: self.choose(self.which.currentData()))
        self._empty = text(style="muted")
        self._plan = button(tr("Plan the mounts"), self.plan_wanted.emit)
        self.changeover = ChangeOverPage(self)
        self.fill = FillPage(self)
        self.leak = LeakPage(self)
        self.bleed = BleedPage(self)
        self.fitting = FitPage(self)
        self.contact = PrintPage(self)
        self._pages: tuple[PreparePage, ...] = (
            self.changeover,
            self.fill,
            self.leak,
            self.bleed,
            self.fitting,
            self.contact,
        )
        titles = (tr("Change-over"), tr("Fill"), tr("Leak test"), tr("Bleeding"), tr("Fit"), tr("Contact print"))
        keys = ("changeover", "fill", "leak", "bleed", "fit", "print")
        self.add_pages(list(zip(keys, titles, self._pages, strict=True)))
        head = QHBoxLayout()
        head.addWidget(self.which)
        head.addStretch(1)
        outer = self.layout()
        assert isinstance(outer, QVBoxLayout)
        outer.insertLayout(0, head)
        outer.insertWidget(1, self._empty)
        outer.insertWidget(2, self._plan)
        self.stale = True
        shelf.changed.connect(self._heard)
        state.notebook_changed.connect(self._forget)
        self.renew()

    def _forget(self) -> None:
        """Another notebook has other mounts, though their numbers may be the same."""
        self.chosen = None
        self.stale = True

    def _heard(self) -> None:
        self.stale = True
        if self.isVisible():
            self.renew()

    def showEvent(self, event: QShowEvent) -> None:
        super().showEvent(event)
        if self.stale:
            self.renew()

    def choose(self, mount_id: object) -> None:
        """Prepare another mount than the next one."""
        self.chosen = mount_id if isinstance(mount_id, int) else None
        self.renew()

    def renew(self) -> None:
        """Show the mount as it is now."""
        self.stale = False
        study, notebook = self.state.study, self.state.notebook
        before = self.mount.id if self.mount is not None else None
        mounts = order_of(study) if study is not None else []
        self.mount = next((m for m in mounts if m.id == self.chosen), None)
        if self.mount is None and study is not None:
            self.chosen = None
            self.mount = next_mount(study) or (mounts[-1] if mounts else None)
        ready = self.mount is not None
        self.which.setVisible(ready)
        dry = study is not None and kind_under_test(study.under_test).dry_bench
        self.show_pages(ready, ("fill", "leak", "bleed") if dry else ())
        self._empty.setVisible(not ready)
        self._plan.setVisible(not ready and study is not None)
        self._empty.setText(
            tr("Prepare walks you through each mount, from the change-over to “ready to run”. No mount is planned yet.")
        )
        if self.mount is None or notebook is None or study is None:
            self.done = Prepared({}, {})
            return
        coming = next_mount(study)
        words = {True: tr("done")}
        options: list[tuple[str, object]] = []
        for m in mounts:
            state = words.get(is_done(m)) or (
                tr("ready to run") if m.ready_at else tr("next") if coming and m.id == coming.id else tr("to do")
            )
            options.append(
                (tr("{name}, round {round}  ·  {state}", name=m.candidate.name, round=m.round, state=state), m.id)
            )
        refill(self.which, options, self.mount.id)
        try:
            self.done = prepared(notebook, self.mount.id)
        except KuffinError as error:
            self.state.trouble.emit(str(error))
            return
        if self.mount.id != before:
            self.contact.forget()
        for page in self._pages:
            page.show_now()
        ticked = sum(1 for t in self.tasks() if (k := self.done.ticks.get(t.key)) is not None and k.done_at)
        self.mark_page("changeover", tr("{ticked} of {all}", ticked=ticked, all=len(self.tasks())))

    def tasks(self) -> tuple[ChangeOverTask, ...]:
        """What there is to do for the mount."""
        if self.mount is None or self.state.study is None:
            return ()
        return change_to(self.state.study, self.mount, self.shelf.bench, self.shelf.parts).tasks

    def set_theme(self, theme: Theme) -> None:
        self.theme = theme
        self.leak.plot.set_theme(theme)
        self.bleed.plot.set_theme(theme)
        self.fitting.picture.set_theme(theme)
        self.fitting.map.set_theme(theme)
        for side in self.contact.sides.values():
            side.marker.set_theme(theme)
