"""The mount's readings under every school, and the plain facts of its run."""

from __future__ import annotations

from PySide6.QtCore import Qt, Signal
from PySide6.QtWidgets import QGridLayout, QWidget

from kuffin.app.widgets.texts import empty, link_button, rule, text
from kuffin.core.base.language import tr


class Facts(QWidget):
    """Two groups of lines; a reading opens its working."""

    reading_wanted = Signal(str)  # a school's key

    def __init__(self) -> None:
        super().__init__()
        self._grid = QGridLayout(self)
        self._grid.setContentsMargins(0, 0, 0, 0)
        self._grid.setVerticalSpacing(3)

    def show_facts(self, readings: list[tuple[str, str, str]], facts: list[tuple[str, str]]) -> None:
        """Show readings (school, name, value) and facts (name, value)."""
        empty(self._grid)
        row = 0
        for key, name, value in readings:
            self._grid.addWidget(text(name, style="muted"), row, 0)
            button = link_button(value, tr("{name}: {value}; show its working", name=name, value=value))
            button.clicked.connect(lambda _checked=False, k=key: self.reading_wanted.emit(k))
            self._grid.addWidget(button, row, 1, Qt.AlignmentFlag.AlignRight)
            row += 1
        if readings:
            self._grid.addWidget(rule(), row, 0, 1, 2)
            row += 1
        for name, value in facts:
            self._grid.addWidget(text(name, style="muted", wrap=False), row, 0)
            label = text(value, wrap=False)
            label.setAlignment(Qt.AlignmentFlag.AlignRight)
            self._grid.addWidget(label, row, 1)
            row += 1
        self._grid.setColumnStretch(1, 1)
