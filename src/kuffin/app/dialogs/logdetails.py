"""What Kuffin made of one log, over a preview of the file, to be checked and changed."""

from __future__ import annotations

from collections.abc import Callable, Collection, Sequence
from dataclasses import replace
from pathlib import Path

from PySide6.QtCore import Qt, Signal
from PySide6.QtWidgets import (
    QAbstractItemView,
    QComboBox,
    QHBoxLayout,
    QHeaderView,
    QTableWidget,
    QTableWidgetItem,
    QVBoxLayout,
    QWidget,
)

from kuffin.app.base.guarded import guarded
from kuffin.app.dialogs.askingreadings import DATE_WORDS
from kuffin.app.dialogs.channels import HOW_ROLES_COUNT
from kuffin.app.dialogs.incoming import Incoming, device_box, role_box, unit_box
from kuffin.app.widgets.forms import choice, refill
from kuffin.app.widgets.texts import text
from kuffin.core.base.errors import KuffinError
from kuffin.core.base.language import counted, mark, tr
from kuffin.core.base.numbers import number
from kuffin.core.base.saying import told
from kuffin.core.base.units import shown
from kuffin.core.bench.roles import ROLES
from kuffin.core.compare.pairwords import joined
from kuffin.logs.table import LogChannel, LogTable, ToldOfLog

_UNIT, _ROLE, _DEVICE, _MEAN = 1, 2, 3, 4
_ROW = 33
_DELIMITERS = {"\t": mark("tab"), " ": mark("blank"), ",": mark("comma"), ";": mark("semicolon"), "|": mark("bar")}


ReadOne = Callable[[Path, ToldOfLog, Callable[[LogTable], None], Callable[[str], None]], None]


def read_now(path: Path, told: ToldOfLog, done: Callable[[LogTable], None], failed: Callable[[str], None]) -> None:
    """Read a log where one stands; the window has a way that does not hold it up."""
    from kuffin.logs.reader import read_log  # heavy, so only when it is needed

    try:
        done(read_log(path, told=told))
    except KuffinError as error:
        failed(str(error))


@guarded
class LogDetails(QWidget):
    """One log: how it was read, its channels with their roles and devices, its first lines.

    Parameters
    ----------
    logs : sequence of Incoming
        All that are to be added: logs of the same shape go along.
    lacking : callable, optional
        Says in words what the study's school needs and channels of given roles do not give.
    read : callable
        Reads a log again; `reading` while it does.
    """

    changed = Signal()

    def __init__(
        self,
        logs: Sequence[Incoming],
        lacking: Callable[[Collection[str | None]], list[str]] | None,
        read: ReadOne = read_now,
    ) -> None:
        super().__init__()
        self._read, self.reading = read, False
        self._logs, self._lacking = logs, lacking
        self._log: Incoming | None = None
        self.dates = choice([], tr("How dates are written"))
        self.dates.activated.connect(self._read_again)
        self.decimal = choice([(tr("decimal point"), "."), (tr("decimal comma"), ",")], tr("Decimal sign"))
        self.decimal.activated.connect(self._read_again)
        self._told = text(style="muted")
        self._warnings = text(style="warn")
        self.channels = QTableWidget(0, 6)
        self.channels.setHorizontalHeaderLabels(
            [tr("channel"), tr("written in"), tr("role"), tr("of"), tr("mean"), tr("from … to")]
        )
        self._preview = QTableWidget()
        for table, name in (
            (self.channels, tr("Channels and their roles")),
            (self._preview, tr("The file's first lines")),
        ):
            table.verticalHeader().hide()
            table.setShowGrid(False)
            table.setAccessibleName(name)
            table.setEditTriggers(QAbstractItemView.EditTrigger.NoEditTriggers)
            table.horizontalHeader().setDefaultAlignment(Qt.AlignmentFlag.AlignLeft)
            table.horizontalHeader().setSectionResizeMode(QHeaderView.ResizeMode.ResizeToContents)
        self.channels.setSelectionMode(QAbstractItemView.SelectionMode.NoSelection)
        self.channels.horizontalHeader().setStretchLastSection(True)
        self.channels.horizontalHeader().setMinimumSectionSize(72)
        how = QHBoxLayout()
        how.addWidget(self._told, 1)
        how.addWidget(self.dates)
        how.addWidget(self.decimal)
        column = QVBoxLayout(self)
        column.setContentsMargins(0, 0, 0, 0)
        column.addLayout(how)
        column.addWidget(self._warnings)
        column.addWidget(
            text(
                tr(
                    "Units, roles and devices are guesses. Change what is wrong; it is remembered for "
                    "logs with the same columns. "
                )
                + tr(HOW_ROLES_COUNT),
                style="small",
            )
        )
        column.addWidget(self.channels, 3)
        column.addWidget(text(tr("The file as it was read"), style="small"))
        self._preview.setMinimumHeight(7 * self._preview.fontMetrics().height())  # the heads and some lines
        column.addWidget(self._preview, 1)

    def show_log(self, log: Incoming | None) -> None:
        """Show a log."""
        self._log = log
        if log is None:
            return
        t = log.table
        self.dates.setVisible(bool(t.dates_open))
        refill(self.dates, [(tr(DATE_WORDS[o]), o) for o in t.dates_open], t.dates)
        refill(self.decimal, [(tr("decimal point"), "."), (tr("decimal comma"), ",")], t.decimal)
        delimiter = tr(_DELIMITERS[t.delimiter]) if t.delimiter in _DELIMITERS else t.delimiter
        start = tr(", from {start}", start=t.start.replace("T", " ")) if t.start else tr(", without a date")
        gaps = counted(len(t.gaps), " · {n} gap", " · {n} gaps") if t.gaps else ""
        self._told.setText(
            tr(
                "{file}: {rows} rows over {duration_s:.1f} min, every {interval_s:.3g} "
                "s{start}{gaps} · {encoding}, delimiter {delimiter}",
                file=t.file,
                rows=t.rows,
                duration_s=t.duration_s / 60,
                interval_s=t.interval_s or 0,
                start=start,
                gaps=gaps,
                encoding=t.encoding,
                delimiter=delimiter,
            )
            + (tr(" · roles as you chose before") if log.remembered else "")
        )
        self.say_warnings()
        self._fill_channels(log)
        self._fill_preview(t)

    def say_warnings(self) -> None:
        """What the file's reader noticed, and what the roles cannot be or lack."""
        log = self._log
        said = [] if log is None else [*map(told, log.table.warnings), *log.doubts()]
        lacks = [] if log is None or self._lacking is None else self._lacking(log.roles.values())
        if lacks:
            said.append(
                tr(
                    "the study's verdict needs {lacks}: give a channel that role, or this mount cannot be read",
                    lacks=joined(lacks),
                )
            )
        self._warnings.setText(" · ".join(said))
        self._warnings.setVisible(bool(said))

    def _fill_channels(self, log: Incoming) -> None:
        self.channels.setRowCount(len(log.table.channels))
        for i, channel in enumerate(log.table.channels):
            n = channel.name
            unit = unit_box(channel)
            unit.activated.connect(lambda _, b=unit, n=n, target=log: self._set_unit(target, n, b.currentText()))
            line = unit.lineEdit()
            if line is not None:
                line.editingFinished.connect(lambda b=unit, n=n, target=log: self._set_unit(target, n, b.currentText()))
            role = role_box(log.roles.get(n))
            role.setAccessibleName(tr("Role of {n}", n=n))
            role.currentIndexChanged.connect(
                lambda _, b=role, n=n, target=log: self._set_role(target, n, b.currentData())
            )
            for column, widget in ((_UNIT, unit), (_ROLE, role)):
                self.channels.setCellWidget(i, column, widget)
            self._offer_device(i, log, n)
            self.channels.setItem(i, 0, QTableWidgetItem(n))
            self._show_figures(i, channel)
            self.channels.setRowHeight(i, _ROW)
        head, bar = self.channels.horizontalHeader().sizeHint(), self.channels.horizontalScrollBar().sizeHint()
        # no taller than its rows: what is left is the preview's
        self.channels.setMaximumHeight(head.height() + _ROW * len(log.table.channels) + bar.height() + 6)

    def _read_again(self) -> None:
        """Read it as the person says, with all else as it was left; what cannot be read so is said and stays as it was."""
        log = self._log
        if log is None or log.table.path is None or self.reading:
            return

        def done(table: LogTable) -> None:
            log.table = table
            for name, unit in log.units.items():
                log.set_unit(name, unit)
            over()

        def failed(why: str) -> None:
            over()
            self._warnings.setText(why)
            self._warnings.show()

        def over() -> None:
            self.reading = False
            for widget in (self.dates, self.decimal, self.channels):
                widget.setEnabled(True)
            if self._log is log:
                self.show_log(log)
            self.changed.emit()

        dates = self.dates.currentData() if log.table.dates_open else log.table.told.dates
        told = replace(log.table.told, dates=dates, decimal=self.decimal.currentData())
        self.reading = True
        for widget in (self.dates, self.decimal, self.channels):
            widget.setEnabled(False)
        self._told.setText(tr("Reading {file} again …", file=log.table.file))
        self.changed.emit()
        self._read(log.table.path, told, done, failed)

    def _show_figures(self, row: int, channel: LogChannel) -> None:
        import numpy as np

        mean, low, high = (float(f(channel.values)) for f in (np.nanmean, np.nanmin, np.nanmax))
        unit = f" {shown(channel.unit)}" if channel.unit else ""
        self.channels.setItem(row, _MEAN, QTableWidgetItem(f"{number(mean, 2)}{unit}"))
        self.channels.setItem(row, _MEAN + 1, QTableWidgetItem(f"{number(low, 2)} … {number(high, 2)}{unit}"))

    def _alike(self, log: Incoming) -> list[Incoming]:
        return [one for one in self._logs if one is log or one.shape == log.shape]

    def _set_unit(self, log: Incoming, name: str, words: str) -> None:
        for one in self._alike(log):
            one.set_unit(name, words.strip() or None)
        if log is self._log:
            for row, channel in enumerate(log.table.channels):
                if channel.name == name:
                    self._show_figures(row, channel)
                    box = self.channels.cellWidget(row, _ROLE)
                    if isinstance(box, QComboBox):
                        box.setCurrentIndex(max(0, box.findData(log.roles.get(name))))
        self._told_changed()

    def _set_role(self, log: Incoming, name: str, role: str | None) -> None:
        for one in self._alike(log):
            if name in one.roles:
                one.roles[name] = role
        if log is self._log:
            self._offer_device(next(i for i, c in enumerate(log.table.channels) if c.name == name), log, name)
        self._told_changed()

    def _offer_device(self, row: int, log: Incoming, name: str) -> None:
        """Ask whose a channel is, where its role belongs to a device."""
        role = log.roles.get(name)
        self.channels.removeCellWidget(row, _DEVICE)
        self.channels.setItem(row, _DEVICE, QTableWidgetItem(tr("the bench") if role else ""))
        if role in ROLES and ROLES[role].of_device:
            box = device_box(log.devices.get(name), name, [d for d in log.devices.values() if d])
            box.currentTextChanged.connect(lambda words: self._set_device(log, name, words))
            self.channels.setCellWidget(row, _DEVICE, box)

    def _set_device(self, log: Incoming, name: str, words: str) -> None:
        for one in self._alike(log):
            if name in one.devices:
                one.devices[name] = " ".join(words.split()) or None
        self._told_changed()

    def _told_changed(self) -> None:
        self.say_warnings()
        self.changed.emit()

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
        self._preview.resizeRowsToContents()
