"""The mount's readings under every school, and the plain facts of its run."""

from __future__ import annotations

from functools import partial

from PySide6.QtCore import Qt, Signal
from PySide6.QtWidgets import QGridLayout, QLabel, QPushButton, QWidget

from kuffin.app.widgets.texts import link_button, no_keys, rule, text
from kuffin.core.base.language import tr

_FACTS_FROM = 100  # the grid's row at which facts begin: rows without anything take no room


class Facts(QWidget):
    """Two groups of lines; a reading opens its working. Lines are filled anew from mount to mount, and made where there are too few."""

    reading_wanted = Signal(str)  # a school's key

    def __init__(self) -> None:
        super().__init__()
        self._grid = QGridLayout(self)
        self._grid.setContentsMargins(0, 0, 0, 0)
        self._grid.setVerticalSpacing(3)
        self._grid.setColumnStretch(1, 1)
        self._rule = rule()
        self._grid.addWidget(self._rule, _FACTS_FROM - 1, 0, 1, 2)
        self._keys: list[str] = []
        self._readings: list[tuple[QLabel, QPushButton]] = []
        self._facts: list[tuple[QLabel, QLabel]] = []

    def show_facts(self, readings: list[tuple[str, str, str]], facts: list[tuple[str, str]]) -> None:
        """Show readings (school, name, value) and facts (name, value)."""
        self._keys = [key for key, _, _ in readings]
        while len(self._readings) < len(readings):
            self._add_reading()
        while len(self._facts) < len(facts):
            self._add_fact()
        for (label, button), (_, name, value) in zip(self._readings, readings, strict=False):
            label.setText(name)
            button.setText(no_keys(value))
            button.setAccessibleName(tr("{name}: {value}; show its working", name=name, value=value))
        for (label, told), (name, value) in zip(self._facts, facts, strict=False):
            label.setText(name)
            told.setText(value)
        for lines, used in ((self._readings, len(readings)), (self._facts, len(facts))):
            for i, line in enumerate(lines):
                for widget in line:
                    widget.setVisible(i < used)
        self._rule.setVisible(bool(readings))

    def _add_reading(self) -> None:
        row = len(self._readings)
        label, button = text(style="muted"), link_button("")
        button.clicked.connect(partial(self._open, row))
        self._grid.addWidget(label, row, 0)
        self._grid.addWidget(button, row, 1, Qt.AlignmentFlag.AlignRight)
        self._readings.append((label, button))

    def _add_fact(self) -> None:
        row = _FACTS_FROM + len(self._facts)
        label, told = text(style="muted", wrap=False), text(wrap=False)
        told.setAlignment(Qt.AlignmentFlag.AlignRight)
        self._grid.addWidget(label, row, 0)
        self._grid.addWidget(told, row, 1)
        self._facts.append((label, told))

    def _open(self, row: int, _checked: bool = False) -> None:
        self.reading_wanted.emit(self._keys[row])
