"""How the window is dressed: paper, dark or the desktop's choice, and the size of its text."""

from __future__ import annotations

from typing import TYPE_CHECKING

from PySide6.QtWidgets import QApplication

from kuffin.app.look import theme as looks

if TYPE_CHECKING:
    from kuffin.app.base.settings import Settings
    from kuffin.app.desks.compare.desk import CompareDesk
    from kuffin.app.desks.inspect.desk import InspectDesk
    from kuffin.app.frame.loomside import LoomSide
    from kuffin.app.look.dresser import Dresser
    from kuffin.app.look.theme import Theme


class Dressing:
    """What the main window has of its look; the window gives what is to be dressed."""

    theme: Theme
    settings: Settings
    side: LoomSide
    inspect: InspectDesk
    compare: CompareDesk
    dresser: Dresser

    def set_mode(self, mode: str) -> None:
        """Choose paper, dark, or the desktop's."""
        self.settings.set_value("theme", mode)
        self._dress()

    def _desktop_changed(self) -> None:
        self.set_mode(self.settings.value("theme", "desktop", looks.MODES))

    def scale_text(self, factor: float) -> None:
        """Scale all text; 0 brings it back to the usual size."""
        self.settings.set_value(
            "scale", f"{min(max(self._scale * factor, looks.SCALES[0]), looks.SCALES[1]) if factor else 1.0:.3f}"
        )
        self._dress()

    @property
    def _scale(self) -> float:
        return self.settings.number("scale", 1.0, *looks.SCALES)

    def _dress(self) -> None:
        self.theme = looks.chosen(self.settings.value("theme", "desktop", looks.MODES))
        app = QApplication.instance()
        if isinstance(app, QApplication):
            looks.apply(app, self.theme, self._scale)
        self.dresser.dress(looks.sheet(self.theme, self._scale))
        for dressed in (self.side, self.inspect, self.compare):
            dressed.set_theme(self.theme)
        for made in ("plan", "prepare", "run", "shelf_desk", "bench_page"):
            if made in self.__dict__:
                getattr(self, made).set_theme(self.theme)
        self.compare.renew()
