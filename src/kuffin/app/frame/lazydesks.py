"""Desks that are made when they are first gone to, as they would hold up the start."""

from __future__ import annotations

from collections.abc import Callable
from functools import cached_property
from typing import TYPE_CHECKING

from PySide6.QtWidgets import QScrollArea, QWidget

from kuffin.core.base.language import tr

if TYPE_CHECKING:
    from kuffin.app.acts.packages import Packages
    from kuffin.app.acts.studies import Studies
    from kuffin.app.base.calling import Caller
    from kuffin.app.base.settings import Settings
    from kuffin.app.desks.plan.desk import PlanDesk
    from kuffin.app.desks.prepare.desk import PrepareDesk
    from kuffin.app.desks.publish.desk import PublishDesk
    from kuffin.app.desks.run.desk import RunDesk
    from kuffin.app.desks.shelf.benchpage import BenchPage
    from kuffin.app.desks.shelf.desk import ShelfDesk
    from kuffin.app.desks.shelf.shelfpage import ShelfPage
    from kuffin.app.frame.strip import Strip
    from kuffin.app.help.helpwindow import HelpWindow
    from kuffin.app.look.theme import Theme
    from kuffin.app.state.running import Running
    from kuffin.app.state.shelfstate import ShelfState
    from kuffin.app.state.windowstate import State
    from kuffin.app.widgets.workingpanel import WorkingPanel


class MadeLater:
    """What the main window has of each desk; the window gives what they need."""

    state: State
    shelf: ShelfState
    theme: Theme
    settings: Settings
    strip: Strip
    running: Running
    caller: Caller
    studies: Studies
    packages: Packages
    go_to: Callable[[str], None]
    show_desk: Callable[[str], None]
    open_mount: Callable[[int], None]
    practise: Callable[[], None]
    _show_working: Callable[..., None]
    working: WorkingPanel
    show_known: Callable[[int], None]

    @cached_property
    def help(self) -> HelpWindow:
        """The help."""
        from kuffin.app.frame.helptexts import cautions, keys
        from kuffin.app.help.helpwindow import HelpWindow

        parent = self if isinstance(self, QWidget) else None
        assert parent is not None
        return HelpWindow(parent, {tr("Keys"): keys, tr("Caution at the bench"): cautions})

    def show_help(self, topic: str = "") -> None:
        """Open the help, at a topic."""
        if topic:
            self.help.show_topic(topic)
        self.help.show()
        self.help.raise_()
        self.help.line.setFocus()

    @cached_property
    def plan(self) -> PlanDesk:
        """The Plan desk."""
        from kuffin.app.desks.plan.desk import PlanDesk

        return PlanDesk(self.state, self.shelf, self.theme, self.settings)

    @cached_property
    def prepare(self) -> PrepareDesk:
        """The Prepare desk."""
        from kuffin.app.desks.prepare.desk import PrepareDesk

        desk = PrepareDesk(self.state, self.shelf, self.theme, self.settings)
        desk.plan_wanted.connect(lambda: self.show_desk("Plan"))
        desk.said.connect(self.strip.say)
        return desk

    @cached_property
    def run(self) -> RunDesk:
        """The Run desk."""
        from kuffin.app.desks.run.desk import RunDesk

        desk = RunDesk(self.state, self.shelf, self.theme, self.settings, self.running, self.caller)
        desk.said.connect(self.strip.say)
        desk.working.connect(self._show_working)
        desk.inspect_wanted.connect(self.open_mount)
        desk.desk_wanted.connect(self.show_desk)
        desk.practise_wanted.connect(self.practise)
        desk.escaped.connect(self.working.leave)
        return desk

    @cached_property
    def publish(self) -> PublishDesk:
        """The Publish desk."""
        from kuffin.app.desks.publish.desk import PublishDesk

        desk = PublishDesk(self.state, self.theme, self.settings)
        desk.desk_wanted.connect(self.go_to)
        desk.write_wanted.connect(self.studies.write_out)
        desk.package_wanted.connect(self.packages.send)
        desk.take_wanted.connect(self.packages.ask)
        desk.copy_wanted.connect(self.studies.copy_table)
        return desk

    @cached_property
    def shelf_desk(self) -> ShelfDesk:
        """The shelf, with what its parts restrict."""
        from kuffin.app.desks.shelf.desk import ShelfDesk

        desk = ShelfDesk(self.state, self.shelf, self.theme, self.settings)
        desk.said.connect(self.strip.say)
        desk.parts.known_wanted.connect(self.show_known)
        return desk

    @property
    def shelf_page(self) -> ShelfPage:
        """The shelf's parts."""
        return self.shelf_desk.parts

    @cached_property
    def bench_page(self) -> BenchPage:
        """The bench."""
        from kuffin.app.desks.shelf.benchpage import BenchPage

        page = BenchPage(self.state, self.shelf, self.theme, self.settings.bench_path, lambda: self.running.active)
        page.said.connect(self.strip.say)
        return page

    @cached_property
    def _bench_scroll(self) -> QScrollArea:
        scroll = QScrollArea()
        scroll.setWidgetResizable(True)
        scroll.setWidget(self.bench_page)
        return scroll
