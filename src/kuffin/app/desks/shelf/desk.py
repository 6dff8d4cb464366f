"""The shelf: its parts, what they restrict, the pumps that drive them, and the readings behind both."""

from __future__ import annotations

from pathlib import Path

from PySide6.QtCore import Signal

from kuffin.app.base.guarded import guarded
from kuffin.app.base.settings import Settings
from kuffin.app.desks.shelf.looppage import LoopPage
from kuffin.app.desks.shelf.readingspage import ReadingsPage
from kuffin.app.desks.shelf.restrictionpage import RestrictionPage
from kuffin.app.desks.shelf.shelfpage import ShelfPage
from kuffin.app.look.theme import Theme
from kuffin.app.state.shelfstate import ShelfState
from kuffin.app.state.windowstate import State
from kuffin.app.widgets.paged import PagedDesk
from kuffin.core.base.language import tr


@guarded
class ShelfDesk(PagedDesk):
    """The pages; readings that are chosen on one are opened on another."""

    said = Signal(str)

    def __init__(self, state: State, behind: ShelfState, theme: Theme, settings: Settings) -> None:
        super().__init__("shelf", settings)
        self.parts = ShelfPage(state, behind, theme)
        self.restriction = RestrictionPage(state, theme, behind)
        self.loop = LoopPage(state, theme, behind)
        self.readings = ReadingsPage(state, theme, behind, Path(settings.bench_path))
        self.parts.said.connect(self.said)
        self.readings.said.connect(self.said)
        for page in (self.parts, self.restriction, self.loop):
            page.readings_wanted.connect(self.open_readings)
        self.restriction.new_wanted.connect(self.new_readings)
        self.loop.new_wanted.connect(self.new_readings)
        self.add_pages(
            [
                ("parts", tr("Parts"), self.parts),
                ("restriction", tr("Restriction"), self.restriction),
                ("loop", tr("Pumps and loops"), self.loop),
                ("readings", tr("Flow readings"), self.readings),
            ]
        )

    def open_readings(self, curve_id: int) -> None:
        """Look at the readings behind a curve."""
        self.readings.look_at(curve_id)
        self.go("readings")

    def new_readings(self, part_id: int, kind: str) -> None:
        """Begin readings of a part."""
        self.go("readings")
        self.readings.begin(part_id, kind)

    def set_theme(self, theme: Theme) -> None:
        """Take another theme."""
        for page in (self.parts, self.restriction, self.loop, self.readings):
            page.set_theme(theme)
