"""A line for what a test was run with: ``power limit 240 W; driver 12.4``; known settings are offered while one types."""

from __future__ import annotations

from collections.abc import Mapping

from PySide6.QtCore import QModelIndex, QPersistentModelIndex, Qt, Signal
from PySide6.QtWidgets import QCompleter, QLineEdit

from kuffin.app.base.guarded import guarded
from kuffin.app.widgets.texts import plain_tip
from kuffin.core.base.errors import BenchError
from kuffin.core.base.language import tr
from kuffin.core.bench.configuration import OF_TEST
from kuffin.core.bench.testsettings import Value, how_to_write, read_settings, settings_words


class _PieceCompleter(QCompleter):
    """Completes the piece that is being written, behind the last “;”."""

    def splitPath(self, path: str) -> list[str]:
        return [path.rpartition(";")[2].strip()]

    def pathFromIndex(self, index: QModelIndex | QPersistentModelIndex) -> str:
        line = self.widget()
        before, sign, _ = line.text().rpartition(";") if isinstance(line, QLineEdit) else ("", "", "")
        return f"{before}{sign}{' ' if sign else ''}{index.data()} "


@guarded
class SettingsLine(QLineEdit):
    """`given` tells the settings when they are taken; `problem` is why what stands here cannot be, blank where it can."""

    given = Signal(object)

    def __init__(self, name: str, values: Mapping[str, Value] | None = None) -> None:
        super().__init__()
        self.problem = ""
        self.values: dict[str, Value] = dict(values or {})
        self.setAccessibleName(name)
        self.setPlaceholderText(tr("power limit, driver …"))
        self.setToolTip(plain_tip(how_to_write()))
        completer = _PieceCompleter([s.label for s in OF_TEST.values()], self)
        completer.setCaseSensitivity(Qt.CaseSensitivity.CaseInsensitive)
        self.setCompleter(completer)
        self.show_values(self.values)
        self.textChanged.connect(lambda _t: self._read())
        self.editingFinished.connect(self._take)

    def show_values(self, values: Mapping[str, Value]) -> None:
        """Show settings."""
        self.values = dict(values)
        self.blockSignals(True)
        self.setText(settings_words(values))
        self.blockSignals(False)
        self.setCursorPosition(0)
        self._say("")

    def _read(self) -> dict[str, Value] | None:
        try:
            found = read_settings(self.text())
        except BenchError as error:
            self._say(str(error))
            return None
        self._say("")
        return found

    def _say(self, problem: str) -> None:
        self.problem = problem
        self.setToolTip(plain_tip(problem or how_to_write()))
        self.setProperty("wrong", bool(problem))
        self.style().unpolish(self)
        self.style().polish(self)

    def _take(self) -> None:
        found = self._read()
        if found is not None and found != self.values:
            self.values = found
            self.setCursorPosition(0)
            self.given.emit(found)
