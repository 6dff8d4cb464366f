"""Which mount each log is a test of: all logs that come together in one table, by time."""

from __future__ import annotations

from collections.abc import Sequence

from PySide6.QtCore import Qt, Signal
from PySide6.QtGui import QResizeEvent
from PySide6.QtWidgets import QAbstractItemView, QComboBox, QHeaderView, QTableWidget, QTableWidgetItem

from kuffin.app.base.guarded import guarded
from kuffin.app.dialogs.incoming import Incoming
from kuffin.app.look.theme import USUAL_POINTS, text_points
from kuffin.app.widgets.choice import Choice
from kuffin.app.widgets.forms import bar_height
from kuffin.app.widgets.settingsline import SettingsLine
from kuffin.app.widgets.texts import plain_tip
from kuffin.core.base.language import mark, tr
from kuffin.core.bench.testsettings import Value
from kuffin.notebook.placing import MountChoice, MountThere

_COLUMNS = (mark("log"), mark("began"), mark("belongs to"), mark("mount"), mark("tested under"), mark("run with"), "")
_ROW, _MOST_ROWS = 33, 6
_WITH, _SAID = 5, 6


@guarded
class AssignTable(QTableWidget):
    """The table; what is chosen goes into the logs."""

    changed = Signal()

    def __init__(self, logs: Sequence[Incoming], candidates: Sequence[str], there: Sequence[MountThere]) -> None:
        super().__init__(len(logs), len(_COLUMNS))
        self._logs, self._candidates, self._there = logs, list(candidates), list(there)
        self.setHorizontalHeaderLabels([tr(c) if c else "" for c in _COLUMNS])
        self.setAccessibleName(tr("Logs to add"))
        self.verticalHeader().hide()
        self.setShowGrid(False)
        self.setEditTriggers(QAbstractItemView.EditTrigger.NoEditTriggers)
        self.setSelectionBehavior(QAbstractItemView.SelectionBehavior.SelectRows)
        self.setSelectionMode(QAbstractItemView.SelectionMode.SingleSelection)
        header = self.horizontalHeader()
        header.setDefaultAlignment(Qt.AlignmentFlag.AlignLeft)
        header.setStretchLastSection(True)
        zoom = text_points() / USUAL_POINTS
        for column, width in enumerate((236, 112, 126, 144, 126, 230)):
            header.setSectionResizeMode(column, QHeaderView.ResizeMode.Interactive)
            self.setColumnWidth(column, round(width * zoom))
        for at, log in enumerate(logs):
            self._fill(at, log)
        self._take_height()

    def resizeEvent(self, event: QResizeEvent) -> None:
        super().resizeEvent(event)
        self._take_height()

    def _take_height(self) -> None:
        """As tall as its rows, up to so many, and the bar below them where there is one."""
        rows = sum(self.rowHeight(i) for i in range(min(len(self._logs), _MOST_ROWS)))
        self.setFixedHeight(self.horizontalHeader().sizeHint().height() + rows + bar_height(self) + 6)

    def _fill(self, at: int, log: Incoming) -> None:
        begun = (log.table.start or "").replace("T", " ")[5:16]
        for column, words in ((0, log.table.file), (1, begun), (_SAID, "")):
            self.setItem(at, column, QTableWidgetItem(words))
        candidate = Choice()
        candidate.setEditable(True)
        candidate.addItems(self._candidates)
        candidate.setCurrentText(log.candidate)
        candidate.setAccessibleName(tr("Candidate of {file}", file=log.table.file))
        candidate.currentTextChanged.connect(lambda name, a=at: self._candidate_changed(a, name))
        mount = Choice()
        mount.setAccessibleName(tr("Mount of {file}", file=log.table.file))
        mount.activated.connect(lambda _i, a=at: self._mount_changed(a))
        condition = Choice()
        condition.setEditable(True)
        condition.setAccessibleName(tr("What {file} was tested under", file=log.table.file))
        condition.addItems(["", *dict.fromkeys(c for one in self._logs if (c := one.condition))])
        condition.setCurrentText(log.condition)
        line = condition.lineEdit()
        if line is not None:
            line.setPlaceholderText(tr("one test only"))
        condition.currentTextChanged.connect(lambda words, a=at: self._condition_changed(a, words))
        with_what = SettingsLine(tr("What {file} was run with", file=log.table.file), log.settings)
        with_what.given.connect(lambda values, a=at: self._settings_changed(a, values))
        with_what.textChanged.connect(lambda _t: self.changed.emit())
        for column, box in ((2, candidate), (3, mount), (4, condition), (_WITH, with_what)):
            self.setCellWidget(at, column, box)
        self.setRowHeight(at, _ROW)
        self._offer_mounts(at)

    def box(self, at: int, column: int) -> QComboBox:
        """What is chosen in a row: 2 the candidate, 3 the mount, 4 the condition."""
        found = self.cellWidget(at, column)
        assert isinstance(found, QComboBox)
        return found

    def _offer_mounts(self, at: int) -> None:
        log, box = self._logs[at], self.box(at, 3)
        mine = [m for m in self._there if m.candidate.casefold() == log.candidate.casefold()]
        rounds = {m.round for m in mine} | {
            one.mount.round for one in self._logs if one.mount is not None and one.candidate == log.candidate
        }
        free = [n for n in range(1, max(rounds, default=0) + 2) if n not in {m.round for m in mine}]
        box.clear()
        box.addItem(tr("which? choose …"), None)
        for m in mine:
            box.addItem(m.words, MountChoice(m.round, m.mount_id))
        for n in free:
            box.addItem(tr("round {n}, new", n=n), MountChoice(n))
        found = next((i for i in range(1, box.count()) if box.itemData(i) == log.mount), 0)
        box.setCurrentIndex(found)

    def _candidate_changed(self, at: int, name: str) -> None:
        self._logs[at].candidate = name.strip()
        self._logs[at].mount = self._first_free(at)
        self._offer_mounts(at)
        self.changed.emit()

    def _first_free(self, at: int) -> MountChoice:
        """The candidate's first mount without a run, or a new one."""
        log = self._logs[at]
        mine = [m for m in self._there if m.candidate.casefold() == log.candidate.casefold()]
        used = {one.mount for i, one in enumerate(self._logs) if i != at and one.candidate == log.candidate}
        planned = [MountChoice(m.round, m.mount_id) for m in mine if m.tests is None]
        free = next((p for p in planned if p not in used), None)
        if free is not None:
            return free
        taken = {m.round for m in mine} | {u.round for u in used if u is not None}
        return MountChoice(next(n for n in range(1, 10_000) if n not in taken))

    def _mount_changed(self, at: int) -> None:
        self._logs[at].mount = self.box(at, 3).currentData()
        self.changed.emit()

    def _condition_changed(self, at: int, words: str) -> None:
        self._logs[at].condition = " ".join(words.split())
        self.changed.emit()

    def line(self, at: int) -> SettingsLine:
        """What the log in a row was run with."""
        found = self.cellWidget(at, _WITH)
        assert isinstance(found, SettingsLine)
        return found

    def problems(self) -> list[str]:
        """What stands in the table and cannot be taken."""
        return [f"{log.table.file}: {said}" for at, log in enumerate(self._logs) if (said := self.line(at).problem)]

    def _settings_changed(self, at: int, values: dict[str, Value]) -> None:
        """Take settings; logs under the same condition that say nothing yet go along."""
        log = self._logs[at]
        for i, one in enumerate(self._logs):
            same = bool(log.condition) and one.condition.casefold() == log.condition.casefold()
            if one is log or (same and not one.settings and not self.line(i).text()):
                one.settings = dict(values)
                if one is not log:
                    self.line(i).show_values(values)
        self.changed.emit()

    # --- logs that do not say which mount they are ------------------------------------------------------------------

    def open_rows(self) -> list[int]:
        """The rows whose mount has to be said."""
        return [i for i, log in enumerate(self._logs) if log.candidate and log.mount is None]

    def a_mount_each(self) -> None:
        """Take each log that does not say its mount for a mount of its own, by time."""
        for at in self.open_rows():
            self._logs[at].mount = self._first_free(at)
        self._show_again()

    def tests_of_one(self) -> None:
        """Take the logs that do not say their mount for tests of one mount of their candidate."""
        one: dict[str, MountChoice] = {}
        for at in self.open_rows():
            name = self._logs[at].candidate.casefold()
            if name not in one:
                one[name] = self._first_free(at)
            self._logs[at].mount = one[name]
        self._show_again()

    def _show_again(self) -> None:
        for at in range(self.rowCount()):
            self._offer_mounts(at)
        self.changed.emit()

    def say(self, at: int, words: str) -> None:
        """Say in a row's last cell what it lacks."""
        item = self.item(at, _SAID)
        if item is not None and item.text() != words:
            item.setText(words)
            item.setToolTip(plain_tip(words))
