"""Adding logs: what Kuffin made of each, over a preview of the file, to be checked and changed."""

from __future__ import annotations

from collections.abc import Callable, Collection
from dataclasses import replace

from PySide6.QtCore import Qt
from PySide6.QtWidgets import (
    QAbstractItemView,
    QComboBox,
    QDialog,
    QDialogButtonBox,
    QHBoxLayout,
    QHeaderView,
    QListWidget,
    QListWidgetItem,
    QSpinBox,
    QTableWidget,
    QTableWidgetItem,
    QVBoxLayout,
    QWidget,
)

from kuffin.app.dialogs.channels import HOW_ROLES_COUNT
from kuffin.app.dialogs.incoming import Incoming, role_box, unit_box
from kuffin.app.openreadings import DATE_WORDS
from kuffin.app.widgets.bits import rule, text
from kuffin.app.widgets.forms import choice, refill
from kuffin.core.errors import KuffinError
from kuffin.core.units import shown
from kuffin.logs.table import LogChannel, LogTable
from kuffin.verdicts.words import joined


class ImportLogs(QDialog):
    """Shows the logs one by one; nothing is added before the person says so."""

    def __init__(
        self,
        logs: list[Incoming],
        problems: list[str],
        candidates: list[str],
        parent: QWidget | None = None,
        lacking: Callable[[Collection[str | None]], list[str]] | None = None,
    ) -> None:
        """`lacking` says in words what the study's school needs and channels of given roles do not give."""
        super().__init__(parent)
        self._lacking = lacking
        self.logs = logs
        self.setWindowTitle("Add logs")
        self.resize(1080, 690)
        self._list = QListWidget()
        self._list.setFixedWidth(230)
        self._list.setAccessibleName("Logs to add")
        for log in logs:
            self._list.addItem(QListWidgetItem(""))
            del log
        self._list.currentRowChanged.connect(self._show)
        self._candidate = QComboBox()
        self._candidate.setEditable(True)
        self._candidate.addItems(candidates)
        self._candidate.setAccessibleName("Candidate")
        self._candidate.setMinimumWidth(170)
        self._candidate.currentTextChanged.connect(self._candidate_changed)
        self._round = QSpinBox()
        self._round.setRange(0, 60)
        self._round.setSpecialValueText("next free")
        self._round.setAccessibleName("Round")
        self._round.valueChanged.connect(self._round_changed)
        self._dates = choice([], "How dates are written")
        self._dates.activated.connect(self._read_again)
        self._decimal = choice([("decimal point", "."), ("decimal comma", ",")], "Decimal sign")
        self._decimal.activated.connect(self._read_again)
        self._told = text(style="muted")
        self._warnings = text(style="warn")
        self._channels = QTableWidget(0, 5)
        self._channels.setHorizontalHeaderLabels(["channel", "written in", "role", "mean", "from … to"])
        self._preview = QTableWidget()
        for table, name in ((self._channels, "Channels and their roles"), (self._preview, "The file's first lines")):
            table.verticalHeader().hide()
            table.setShowGrid(False)
            table.setAccessibleName(name)
            table.setEditTriggers(QAbstractItemView.EditTrigger.NoEditTriggers)
            table.horizontalHeader().setDefaultAlignment(Qt.AlignmentFlag.AlignLeft)
        self._channels.setSelectionMode(QAbstractItemView.SelectionMode.NoSelection)
        self._channels.horizontalHeader().setSectionResizeMode(QHeaderView.ResizeMode.ResizeToContents)
        self._channels.horizontalHeader().setStretchLastSection(True)
        self._channels.horizontalHeader().setMinimumSectionSize(72)
        self._buttons = QDialogButtonBox(QDialogButtonBox.StandardButton.Cancel)
        self._add = self._buttons.addButton("Add", QDialogButtonBox.ButtonRole.AcceptRole)
        self._buttons.accepted.connect(self.accept)
        self._buttons.rejected.connect(self.reject)
        self._missing = text(style="warn")
        self._lay_out(problems)
        self._label_all()
        if logs:
            self._list.setCurrentRow(0)

    def _lay_out(self, problems: list[str]) -> None:
        where = QHBoxLayout()
        where.addWidget(text("belongs to", wrap=False))
        where.addWidget(self._candidate)
        where.addSpacing(10)
        where.addWidget(text("round", wrap=False))
        where.addWidget(self._round)
        where.addSpacing(10)
        where.addWidget(self._dates)
        where.addWidget(self._decimal)
        where.addStretch()
        right = QVBoxLayout()
        right.addLayout(where)
        right.addWidget(self._told)
        right.addWidget(self._warnings)
        right.addWidget(
            text(
                "Units and roles are guesses. Change what is wrong; it is remembered for logs with the same columns. "
                + HOW_ROLES_COUNT,
                style="small",
            )
        )
        right.addWidget(self._channels, 3)
        right.addWidget(text("The file as it was read", style="small"))
        right.addWidget(self._preview, 2)
        both = QHBoxLayout()
        both.addWidget(self._list)
        both.addWidget(rule(vertical=True))
        both.addLayout(right, 1)
        layout = QVBoxLayout(self)
        layout.addLayout(both, 1)
        if problems:
            layout.addWidget(text("Not read: " + " · ".join(problems), style="warn"))
        foot = QHBoxLayout()
        foot.addWidget(self._missing, 1)
        foot.addWidget(self._buttons)
        layout.addLayout(foot)

    # --- one log ---------------------------------------------------------------------------------------------------

    def _current(self) -> Incoming | None:
        row = self._list.currentRow()
        return self.logs[row] if 0 <= row < len(self.logs) else None

    def _show(self, _row: int) -> None:
        log = self._current()
        if log is None:
            return
        t = log.table
        for widget in (self._candidate, self._round):
            widget.blockSignals(True)
        self._candidate.setCurrentText(log.candidate)
        self._round.setValue(log.round or 0)
        for widget in (self._candidate, self._round):
            widget.blockSignals(False)
        self._dates.setVisible(bool(t.dates_open))
        refill(self._dates, [(DATE_WORDS[o], o) for o in t.dates_open], t.dates)
        refill(self._decimal, [("decimal point", "."), ("decimal comma", ",")], t.decimal)
        delimiter = {"\t": "tab", " ": "blank", ",": "comma", ";": "semicolon", "|": "bar"}.get(
            t.delimiter, t.delimiter
        )
        start = f", from {t.start.replace('T', ' ')}" if t.start else ", without a date"
        gaps = f" · {len(t.gaps)} gap{'s' if len(t.gaps) > 1 else ''}" if t.gaps else ""
        self._told.setText(
            f"{t.rows} rows over {t.duration_s / 60:.1f} min, every {t.interval_s or 0:.3g} s{start}{gaps} · {t.encoding}, "
            f"delimiter {delimiter}" + (" · roles as you chose before" if log.remembered else "")
        )
        self._say_warnings()
        self._fill_channels(log)
        self._fill_preview(t)

    def _say_warnings(self) -> None:
        """What the file's reader noticed of the log that is shown, and what its roles cannot be or lack."""
        log = self._current()
        said = [] if log is None else [*log.table.warnings, *log.doubts()]
        lacks = [] if log is None or self._lacking is None else self._lacking(log.roles.values())
        if lacks:
            said.append(
                f"the study's verdict needs {joined(lacks)}: give a channel that role, or this mount cannot be read"
            )
        self._warnings.setText(" · ".join(said))
        self._warnings.setVisible(bool(said))

    def _fill_channels(self, log: Incoming) -> None:

        self._channels.setRowCount(len(log.table.channels))
        for i, channel in enumerate(log.table.channels):
            unit = unit_box(channel)
            unit.activated.connect(
                lambda _, b=unit, n=channel.name, target=log: self._set_unit(target, n, b.currentText())
            )
            line = unit.lineEdit()
            if line is not None:
                line.editingFinished.connect(
                    lambda b=unit, n=channel.name, target=log: self._set_unit(target, n, b.currentText())
                )
            self._channels.setCellWidget(i, 1, unit)
            box = role_box(log.roles.get(channel.name))
            box.setAccessibleName(f"Role of {channel.name}")
            box.currentIndexChanged.connect(
                lambda _, b=box, n=channel.name, target=log: self._set_role(target, n, b.currentData())
            )
            self._channels.setCellWidget(i, 2, box)
            self._channels.setItem(i, 0, QTableWidgetItem(channel.name))
            self._show_figures(i, channel)
            self._channels.setRowHeight(i, 33)

    def _read_again(self) -> None:
        """Read it as the person says, with all else as it was left; what cannot be read so is said and stays as it was."""
        from kuffin.logs.reader import read_log  # heavy, so only when it is needed

        log = self._current()
        if log is None or log.table.path is None:
            return
        dates = self._dates.currentData() if log.table.dates_open else log.table.told.dates
        try:
            log.table = read_log(
                log.table.path, told=replace(log.table.told, dates=dates, decimal=self._decimal.currentData())
            )
        except KuffinError as error:
            self._show(self._list.currentRow())
            self._warnings.setText(str(error))
            self._warnings.show()
            return
        for name, unit in log.units.items():
            log.set_unit(name, unit)
        self._show(self._list.currentRow())

    def _show_figures(self, row: int, channel: LogChannel) -> None:
        import numpy as np

        mean, low, high = (float(f(channel.values)) for f in (np.nanmean, np.nanmin, np.nanmax))
        unit = f" {shown(channel.unit)}" if channel.unit else ""
        self._channels.setItem(row, 3, QTableWidgetItem(f"{mean:.2f}{unit}"))
        self._channels.setItem(row, 4, QTableWidgetItem(f"{low:.2f} … {high:.2f}{unit}"))

    def _set_unit(self, log: Incoming, name: str, text: str) -> None:
        for other in self.logs:  # logs of the same shape go along
            if other is log or other.shape == log.shape:
                other.set_unit(name, text.strip() or None)
        if log is self._current():
            for row, channel in enumerate(log.table.channels):
                if channel.name == name:
                    self._show_figures(row, channel)
                    box = self._channels.cellWidget(row, 2)
                    if isinstance(box, QComboBox):
                        box.setCurrentIndex(max(0, box.findData(log.roles.get(name))))
        self._label_all()

    def _fill_preview(self, table: LogTable) -> None:
        rows = table.preview[:14]
        width = max((len(r) for r in rows), default=0)
        self._preview.setColumnCount(width)
        self._preview.setRowCount(max(0, len(rows) - 1))
        if rows:
            self._preview.setHorizontalHeaderLabels([c or " " for c in rows[0]] + [" "] * (width - len(rows[0])))
        for i, row in enumerate(rows[1:]):
            for j, cell in enumerate(row):
                self._preview.setItem(i, j, QTableWidgetItem(cell))
        self._preview.resizeColumnsToContents()
        self._preview.resizeRowsToContents()

    def _set_role(self, log: Incoming, name: str, role: str | None) -> None:
        log.roles[name] = role
        for other in self.logs:  # logs of the same shape go along
            if other is not log and other.shape == log.shape:
                other.roles[name] = role
        self._label_all()

    def _candidate_changed(self, name: str) -> None:
        log = self._current()
        if log is not None:
            log.candidate = name.strip()
            self._label_all()

    def _round_changed(self, number: int) -> None:
        log = self._current()
        if log is not None:
            log.round = number or None
            self._label_all()

    def _label_all(self) -> None:
        lacking, doubtful = 0, 0
        for i, log in enumerate(self.logs):
            where = f"{log.candidate}, round {log.round or 'next'}" if log.candidate else "belongs to: ?"
            lacking += not log.candidate
            lacks = self._lacking(log.roles.values()) if self._lacking is not None else []
            if lacks or log.doubts():
                doubtful += 1
                where += f"\n! lacks {joined(lacks)}" if lacks else "\n! look at its roles"
            item = self._list.item(i)
            if item is not None:
                item.setText(f"{log.table.file}\n{where}")
        parts = [f"{lacking} log{'s' if lacking != 1 else ''} still without a candidate"] if lacking else []
        if doubtful:
            parts.append(
                f"{doubtful} marked “!”: as their roles stand, they cannot be judged or hold readings that cannot be"
            )
        self._missing.setText(". ".join(parts))
        self._say_warnings()
        self._add.setText(f"Add {len(self.logs)} log{'s' if len(self.logs) != 1 else ''}")
        self._add.setEnabled(lacking == 0 and bool(self.logs))
