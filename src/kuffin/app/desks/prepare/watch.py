"""Readings taken one after the other while something is held or watched: typed with the time, or from a log."""

from __future__ import annotations

import datetime as dt
from collections.abc import Callable, Sequence

from PySide6.QtCore import Signal
from PySide6.QtWidgets import QFileDialog, QVBoxLayout, QWidget

from kuffin.app.base.jobs import Task
from kuffin.app.base.settings import documents
from kuffin.app.desks.prepare.page import PreparePage
from kuffin.app.dialogs.askingreadings import asking_on
from kuffin.app.widgets.forms import NumberLine, WritingTable, button, row
from kuffin.app.widgets.texts import text
from kuffin.core.base.errors import BenchError, KuffinError
from kuffin.core.base.language import tr
from kuffin.core.base.numbers import number, plain, typed_number
from kuffin.logs.table import ToldOfLog


class WatchedTable(QWidget):
    """A table of readings over time with a line to type the next one into. Times are in seconds from the first.

    `changed` tells the new rows (each: seconds, then the values).
    """

    changed = Signal(list)

    def __init__(self, page: PreparePage, columns: Sequence[tuple[str, str]], roles: Sequence[tuple[str, ...]]) -> None:
        super().__init__()
        self._page, self._columns, self._roles = page, columns, roles
        self.rows: list[list[float | None]] = []
        self._began: dt.datetime | None = None
        self.boxes = [NumberLine(unit, name) for name, unit in columns]
        parts: list[QWidget] = []
        for box, (name, unit) in zip(self.boxes, columns, strict=True):
            box.refused.connect(page.state.trouble.emit)
            box.returnPressed.connect(self.add_now)
            parts += [text(name, style="muted", wrap=False), box, text(unit, style="muted", wrap=False)]
        self.table = WritingTable([tr("minute"), *(f"{n}, {u}" for n, u in columns)], tr("Readings"))
        self.table.written.connect(self._written)
        layout = QVBoxLayout(self)
        layout.setContentsMargins(0, 0, 0, 0)
        layout.addWidget(
            row(*parts, button(tr("Read now"), self.add_now, tr("Takes the time by itself; Enter does the same")))
        )
        layout.addWidget(
            row(
                button(tr("Take a log …"), self._ask_log),
                button(tr("Remove the last"), self._remove),
                button(tr("Clear"), self._clear),
            )
        )
        layout.addWidget(self.table)
        self.table.setFixedHeight(150)

    def show_rows(self, rows: Sequence[Sequence[float | None]], began: str | None) -> None:
        """Show readings kept before."""
        self.rows = [list(r) for r in rows]
        self._began = dt.datetime.fromisoformat(began) if began else None
        shown = self.rows if len(self.rows) <= 200 else self.rows[:: len(self.rows) // 200 + 1]
        self.table.fill(
            [[number((r[0] or 0) / 60, 1), *("" if v is None else plain(v) for v in r[1:])] for r in shown],
            fixed=() if shown is self.rows else tuple(range(len(self._columns) + 1)),
        )
        self.table.scrollToBottom()

    @property
    def began(self) -> str | None:
        return None if self._began is None else self._began.isoformat(timespec="seconds")

    def add_now(self) -> None:
        """Take what is typed as a reading of this moment."""
        try:
            values = [box.value() for box in self.boxes]
        except BenchError as error:
            self._page.state.trouble.emit(str(error))
            return
        if values[0] is None:
            self._page.state.trouble.emit(tr("type the {columns} first", columns=self._columns[0][0]))
            self.boxes[0].setFocus()
            return
        self.add(dt.datetime.now(), values)
        self.boxes[0].clear()
        self.boxes[0].setFocus()

    def add(self, moment: dt.datetime, values: Sequence[float | None]) -> None:
        """Add a reading of some moment."""
        if self._began is None or not self.rows:
            self._began = moment
        seconds = (moment - self._began).total_seconds()
        if self.rows and seconds <= (self.rows[-1][0] or 0.0):
            seconds = (self.rows[-1][0] or 0.0) + 1.0
        self.changed.emit([*self.rows, [round(seconds, 1), *values]])

    def _written(self, at: int, column: int, content: str) -> None:
        rows = [list(r) for r in self.rows]
        try:
            value = typed_number(content) if content.strip() else None
        except ValueError:
            self._page.state.trouble.emit(tr("“{content}” is no number", content=content))
            self.show_rows(self.rows, self.began)
            return
        if column == 0:
            rows[at][0] = (value or 0.0) * 60
            rows.sort(key=lambda r: r[0] or 0.0)
        elif value is None and column == 1:
            rows.pop(at)
        else:
            rows[at][column] = value
        self.changed.emit(rows)

    def _remove(self) -> None:
        if self.rows:
            self.changed.emit(self.rows[:-1])

    def _clear(self) -> None:
        self._began = None
        self.changed.emit([])

    def _ask_log(self) -> None:
        path, _ = QFileDialog.getOpenFileName(self, tr("Take a log"), str(documents()))
        if path:
            self.take_log(path)

    def take_log(self, path: str, done: Callable[[], None] | None = None) -> None:
        """Take readings from a log: for each value the first channel with one of its roles."""
        roles, columns = self._roles, self._columns

        def work(task: Task, told: ToldOfLog) -> list[list[float | None]]:
            from kuffin.logs.reader import read_log

            table = read_log(path, task.report, told)
            picked = []
            for wanted in roles:
                found = next((c for role in wanted for c in table.channels if c.role == role), None)
                picked.append(None if found is None else found.values)
            if picked[0] is None:
                raise KuffinError(
                    tr("{file} has no channel that looks like {columns}", file=table.file, columns=columns[0][0])
                )
            times = [float(t) - float(table.times[0]) for t in table.times]
            values = [[None if v is None or v[i] != v[i] else float(v[i]) for v in picked] for i in range(len(times))]
            return [[t, *v] for t, v in zip(times, values, strict=True) if v[0] is not None]

        def take(rows: object) -> None:
            self._began = dt.datetime.now()
            self.changed.emit(rows)
            if done is not None:
                done()

        asking_on(self, self._page.state, tr("reading the log"), work, take)
