"""The readings behind a curve: typed, pasted, from a log, or live while a valve is closed step by step."""

from __future__ import annotations

from collections.abc import Sequence
from pathlib import Path

import numpy as np
from PySide6.QtCore import Qt, Signal
from PySide6.QtGui import QKeySequence, QShortcut
from PySide6.QtWidgets import QApplication, QFileDialog, QHBoxLayout, QLineEdit, QVBoxLayout, QWidget

from kuffin.app.base.guarded import guarded
from kuffin.app.base.jobs import Task
from kuffin.app.base.settings import documents
from kuffin.app.desks.renewedpage import RenewedPage
from kuffin.app.desks.shelf.curvefacts import CurveFacts
from kuffin.app.desks.shelf.fittedreadings import FittedReadings, fitted_readings
from kuffin.app.desks.shelf.livepairs import LivePairs
from kuffin.app.desks.shelf.newreadings import NewReadings
from kuffin.app.dialogs.askingreadings import asking_on
from kuffin.app.look.theme import Theme
from kuffin.app.state.shelfstate import ShelfState
from kuffin.app.state.windowstate import State
from kuffin.app.widgets.curveplot import CurvePlot, DrawnCurve
from kuffin.app.widgets.digitwidths import DigitWidths
from kuffin.app.widgets.forms import WritingTable, button, choice, flowing, refill, row
from kuffin.app.widgets.sketch import Guide, Series, Sketch
from kuffin.app.widgets.texts import text
from kuffin.core.base.errors import BenchError, KuffinError
from kuffin.core.base.language import counted, mark, tr
from kuffin.core.base.numbers import plain
from kuffin.core.base.saying import say
from kuffin.core.bench.writtenfigures import read_figure
from kuffin.core.flow.curvekinds import CurveKind, curve_kind
from kuffin.core.flow.steady import steady_stretches
from kuffin.logs.flowtable import pasted_points, points_of_kind
from kuffin.logs.table import ToldOfLog
from kuffin.logs.tidy import read_tidy
from kuffin.notebook import curveedits
from kuffin.notebook.entities import Curve

_PURPOSE = mark("Readings of flow and pressure on one part, and what they are worth. Choose a part to begin with.")
_STEPS = 60


@guarded
class ReadingsPage(RenewedPage):
    """One part's readings; drop a table or a log on it."""

    said = Signal(str)

    def __init__(self, state: State, theme: Theme, behind: ShelfState, bench_path: Path) -> None:
        super().__init__(state, theme, tr(_PURPOSE))
        self._behind = behind
        self.curve_id: int | None = None
        state.notebook_changed.connect(lambda: self.look_at(None))
        self.setAcceptDrops(True)
        self.new = NewReadings(self.begin)
        self.box = choice([], tr("Whose readings"))
        self.box.activated.connect(lambda _i: self.look_at(self.box.currentData()))
        self.box.setMinimumContentsLength(44)
        self.bin = button(tr("Bin them"), self._bin)
        self.column.addWidget(flowing(self.box, self.new, self.bin))
        self.heading = text(style="heading")
        self.column.addWidget(self.heading)
        self.lines = [QLineEdit() for _ in range(3)]
        for line in self.lines:
            DigitWidths(line, most=15.5)
            line.returnPressed.connect(self.add_typed)
        self.entry = row(*self.lines, button(tr("Add"), self.add_typed, tr("Enter does the same")))
        self.table = WritingTable(["", "", ""], tr("Readings"), stretch=2)
        self.table.written.connect(self._written)
        QShortcut(QKeySequence.StandardKey.Delete, self.table, self._remove, context=Qt.ShortcutContext.WidgetShortcut)
        QShortcut(QKeySequence.StandardKey.Paste, self.table, self.paste, context=Qt.ShortcutContext.WidgetShortcut)
        self.live = LivePairs(state, bench_path)
        self.live.taken.connect(lambda flow, pressure: self.add_rows([[flow, pressure, None]]))
        self.plot = CurvePlot(theme, tr("Readings and the curve through them"), 300)
        self.plot.opened.connect(self._to_row)
        self.residuals = Sketch(theme, tr("Residuals"), 130)
        self.told = text()
        self.facts = CurveFacts(self._change)
        left = QVBoxLayout()
        left.addWidget(self.entry)
        left.addWidget(self.table, 1)
        left.addWidget(
            row(
                button(tr("Paste"), self.paste, tr("Rows from a table, with or without a head")),
                button(tr("Take a table or log …"), self._ask_file),
                button(tr("Remove row"), self._remove),
            )
        )
        left.addWidget(self.live)
        right = QVBoxLayout()
        right.addWidget(self.plot)
        right.addWidget(self.residuals)
        right.addWidget(self.told)
        right.addStretch(1)
        both = QHBoxLayout()
        both.addLayout(left, 4)
        both.addLayout(right, 5)
        self.body = QWidget()
        body = QVBoxLayout(self.body)
        body.setContentsMargins(0, 0, 0, 0)
        body.addLayout(both)
        body.addWidget(self.facts)
        self.column.addWidget(self.body)

    def set_theme(self, theme: Theme) -> None:
        super().set_theme(theme)
        self.plot.set_theme(theme)
        self.residuals.set_theme(theme)

    # --- choosing --------------------------------------------------------------------------------------------------

    def _all(self) -> list[Curve]:
        return [c for p in self._behind.parts for c in p.live_curves]

    def curve(self) -> Curve | None:
        """The curve that is looked at; the newest where none was chosen."""
        every = self._all()
        found = next((c for c in every if c.id == self.curve_id), None)
        return found or max(every, key=lambda c: c.id, default=None)

    def look_at(self, curve_id: int | None) -> None:
        """Look at a curve's readings."""
        self.curve_id = curve_id
        if self.isVisible():
            self.renew()

    def begin(self, part_id: int, kind: str) -> None:
        """Begin readings of a part, told as its last were."""
        if self.state.notebook is None:
            return
        last = next((c for c in reversed(self._all()) if c.kind == kind), None)
        kept = ("coolant_id", "temperature_c", "instruments", "flow_accuracy", "pressure_accuracy")
        told = {} if last is None else {k: getattr(last, k) for k in kept}
        made = self.state.attempt(curveedits.add_curve, self.state.notebook, part_id, kind, **told)
        if isinstance(made, int):
            self.look_at(made)
            self.lines[0].setFocus()

    # --- showing ---------------------------------------------------------------------------------------------------

    def renew(self) -> None:
        self.new.offer(self._behind.parts)
        curve = self.curve()
        for widget in (self.box, self.bin, self.heading, self.body):
            widget.setVisible(curve is not None)
        self.empty.setVisible(curve is None)
        if curve is None:
            return
        self.curve_id = curve.id
        refill(self.box, [(_called(c), c.id) for c in self._all()], curve.id)
        kind = curve_kind(curve.kind)
        self.heading.setText(f"{curve.part.name}: {tr(kind.label)}")
        heads = [f"{tr(c.name)}, {c.unit}" if c.unit else tr(c.name) for c in kind.columns]
        self.table.setHorizontalHeaderLabels(heads)
        for line, column, head in zip(self.lines, kind.columns, heads, strict=True):
            usual = "" if column.usual is None else f" ({plain(column.usual)})"
            line.setPlaceholderText(f"{head}{usual}")
            line.setAccessibleName(head)
        self.table.fill([[plain(v, 5) for v in r] for r in curve.points])
        self.live.setVisible(kind.by_pressure)
        self.facts.show_curve(curve, [p for p in self._behind.parts if p.kind == "coolant"])
        self._draw(curve, kind)

    def _to_row(self, rows: object, index: int) -> None:
        """To the reading that a point of the picture is: of some rows, else of all."""
        self.table.setFocus()
        self.table.setCurrentCell(rows[index] if isinstance(rows, tuple) else index, 0)

    def _draw(self, curve: Curve, kind: CurveKind) -> None:
        points = np.asarray(curve.points, float).reshape(-1, 3)
        try:
            found = fitted_readings(curve)
        except KuffinError as error:
            only_points = DrawnCurve(name="", points=[(p[0], p[1]) for p in points])
            found = FittedReadings([only_points], np.empty(0), tr("Not fitted yet: {error}.", error=error))
        self.plot.setVisible(kind.by_pressure)
        self.plot.show_curves(
            found.curves, tr("flow, L/h"), f"{kind.second}, kPa", spoken=found.said, from_nothing=True
        )
        self.residuals.setVisible(kind.by_pressure and found.residuals.size > 0)
        self.residuals.show_series(
            [Series(xs=list(points[:, 0]), ys=list(found.residuals), style="dots")],
            tr("flow, L/h"),
            tr("off the curve, in standard uncertainties"),
            guides=(Guide(0.0, ""),),
        )
        self.told.setText(found.said)

    # --- taking ----------------------------------------------------------------------------------------------------

    def add_typed(self) -> None:
        """Take what stands in the entry line; a value may bring its unit."""
        curve = self.curve()
        if curve is None:
            return
        values: list[float | None] = []
        for line, column in zip(self.lines, curve_kind(curve.kind).columns, strict=True):
            written = line.text().strip()
            try:
                values.append(read_figure(written, column.quantity).value if written else None)
            except BenchError as error:
                self.state.trouble.emit(f"{column.name}: {error}")
                line.setFocus()
                return
        if self.add_rows([values]):
            for line in self.lines[:2]:
                line.clear()
            self.lines[0].setFocus()

    def add_rows(self, rows: Sequence[Sequence[float | None]]) -> bool:
        """Add readings; False where one cannot be, which is said."""
        curve, before = self.curve(), self.curve()
        if curve is None:
            return False
        self._change(say("read {name}", name=curve.part.name), points=[*curve.points, *rows])
        now = self.curve()
        return now is not None and before is not None and len(now.points) > len(before.points)

    def _change(self, label: str, **values: object) -> None:
        curve = self.curve()
        if curve is not None and self.state.notebook is not None:
            self.state.attempt(curveedits.change_curve, self.state.notebook, curve.id, label, **values)
            self.renew()

    def _written(self, at: int, column: int, content: str) -> None:
        curve = self.curve()
        if curve is None:
            return
        rows: list[list[float | None]] = [list(r) for r in curve.points]
        kind = curve_kind(curve.kind).columns[column]
        try:
            rows[at][column] = read_figure(content, kind.quantity).value if content.strip() else None
        except BenchError as error:
            self.state.trouble.emit(f"{kind.name}: {error}")
            self.renew()
            return
        self._change(say("mend a reading of {name}", name=curve.part.name), points=rows)

    def _remove(self) -> None:
        curve, at = self.curve(), self.table.currentRow()
        if curve is not None and 0 <= at < len(curve.points):
            self._change(
                say("remove a reading of {name}", name=curve.part.name),
                points=[*curve.points[:at], *curve.points[at + 1 :]],
            )

    def _bin(self) -> None:
        curve = self.curve()
        if curve is not None and self.state.notebook is not None:
            self.state.attempt(curveedits.bin_curve, self.state.notebook, curve.id)
            self.look_at(None)

    def paste(self) -> None:
        """Take rows from the clipboard."""
        curve = self.curve()
        if curve is None:
            return
        rows = self.state.attempt(pasted_points, QApplication.clipboard().text(), curve_kind(curve.kind))
        if isinstance(rows, list):
            self.add_rows(rows)
            self.said.emit(tr("{rows} readings pasted", rows=len(rows)))

    def _ask_file(self) -> None:
        path, _ = QFileDialog.getOpenFileName(self, tr("Take a table or a log"), str(documents()))
        if path:
            self.take_file(path)

    def take_file(self, path: str) -> None:
        """Take readings from a table, or from the steady stretches of a log that tells flow and pressure."""
        curve = self.curve()
        if curve is None:
            return
        kind = curve_kind(curve.kind)
        try:
            rows = points_of_kind(read_tidy(path), kind)
        except KuffinError as error:
            if not kind.by_pressure:
                self.state.trouble.emit(str(error))
                return
            self._take_log(path, str(error))
            return
        self.add_rows(rows)
        self.said.emit(tr("{rows} readings taken from {name}", rows=len(rows), name=Path(path).name))

    def _take_log(self, path: str, no_table: str) -> None:
        def work(task: Task, told: ToldOfLog) -> list[list[float | None]]:
            from kuffin.logs.reader import read_log

            table = read_log(path, task.report, told)
            by_role = {c.role: c for c in reversed(table.channels) if c.role in {"flow", "pressure"}}
            if len(by_role) < 2:
                raise KuffinError(
                    tr(
                        "{file} is neither a table of readings ({no_table}) nor a log of flow and pressure",
                        file=table.file,
                        no_table=no_table,
                    )
                )
            found = steady_stretches(np.asarray(table.times, float), by_role["flow"].values, by_role["pressure"].values)
            return [[round(s.flow, 2), round(s.pressure, 3), None] for s in found]

        def done(rows: object) -> None:
            assert isinstance(rows, list)
            self.add_rows(rows)
            self.said.emit(tr("{rows} steady stretches taken from {name}", rows=len(rows), name=Path(path).name))

        asking_on(self, self.state, tr("reading the log"), work, done)

    def dragEnterEvent(self, event) -> None:  # type: ignore[no-untyped-def]
        if event.mimeData().hasUrls() and self.curve() is not None:
            event.acceptProposedAction()

    def dropEvent(self, event) -> None:  # type: ignore[no-untyped-def]
        for url in event.mimeData().urls():
            if url.isLocalFile():
                self.take_file(url.toLocalFile())


def _called(curve: Curve) -> str:
    n = len(curve.points)
    return " · ".join(
        (
            curve.part.name,
            tr(curve_kind(curve.kind).label),
            counted(n, "{n} reading", "{n} readings"),
            str(curve.measured_on),
        )
    )
