"""A button that begins readings of one of the shelf's parts."""

from __future__ import annotations

from collections.abc import Callable, Sequence
from functools import partial

from PySide6.QtWidgets import QMenu, QPushButton

from kuffin.app.widgets.texts import no_keys
from kuffin.core.base.language import tr
from kuffin.core.flow.curvekinds import CurveKind, kinds_for
from kuffin.notebook.entities import Part


class NewReadings(QPushButton):
    """Its menu names the parts that coolant runs through, each with what can be read of it."""

    def __init__(
        self, begin: Callable[[int, str], object], wanted: Callable[[CurveKind], bool] = lambda _: True
    ) -> None:
        super().__init__(tr("New readings of …"))
        self._begin, self._wanted = begin, wanted
        self._menu = QMenu(self)
        self.setMenu(self._menu)

    def offer(self, parts: Sequence[Part]) -> None:
        """Offer these parts."""
        self._menu.clear()
        for part in parts:
            for kind in filter(self._wanted, kinds_for(part.kind)):
                self._menu.addAction(no_keys(f"{part.name}: {tr(kind.label)}"), partial(self._begin, part.id, kind.key))
        if self._menu.isEmpty():
            self._menu.addAction(tr("Put a block, a radiator or a pump on the shelf first")).setEnabled(False)
