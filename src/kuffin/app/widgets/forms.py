"""Pieces of forms: numbers with units, choices, and tables one writes into."""

from __future__ import annotations

from collections.abc import Callable, Sequence

from PySide6.QtCore import QAbstractItemModel, QModelIndex, QPersistentModelIndex, Qt, Signal
from PySide6.QtGui import QResizeEvent
from PySide6.QtWidgets import (
    QAbstractItemView,
    QComboBox,
    QFrame,
    QHBoxLayout,
    QHeaderView,
    QLineEdit,
    QPushButton,
    QScrollArea,
    QStyledItemDelegate,
    QStyleOptionViewItem,
    QTableWidget,
    QTableWidgetItem,
    QVBoxLayout,
    QWidget,
)

from kuffin.app.base.guarded import guarded
from kuffin.app.widgets.choice import Choice
from kuffin.app.widgets.digitwidths import DigitWidths
from kuffin.app.widgets.flowrow import FlowRow
from kuffin.app.widgets.numberspin import NumberSpin
from kuffin.app.widgets.texts import no_keys, text
from kuffin.core.base.errors import BenchError
from kuffin.core.base.language import tr
from kuffin.core.base.numbers import plain, typed_number

Index = QModelIndex | QPersistentModelIndex


def number(
    low: float, high: float, suffix: str = "", decimals: int = 1, step: float = 1.0, name: str = ""
) -> NumberSpin:
    """A number that must be there; it is taken when one leaves it or presses Enter."""
    box = NumberSpin()
    box.setRange(low, high)
    box.setDecimals(decimals)
    box.setSingleStep(step)
    box.setKeyboardTracking(False)
    if suffix:
        box.setSuffix(f" {suffix}")
    if name:
        box.setAccessibleName(name)
    DigitWidths(box, most=16.5)
    return box


class NumberLine(QLineEdit):
    """A number that may be missing. `given` tells the number or None when it is taken; what is no number is said."""

    given = Signal(object)
    refused = Signal(str)

    def __init__(self, unit: str = "", name: str = "", low: float = -1e9, high: float = 1e9) -> None:
        super().__init__()
        self.unit, self._low, self._high = unit, low, high
        self._shown = ""
        DigitWidths(self, most=12.5)
        self.setAlignment(Qt.AlignmentFlag.AlignRight)
        if name:
            self.setAccessibleName(f"{name}, {unit}" if unit else name)
        self.editingFinished.connect(self._take)

    def show_value(self, value: float | None) -> None:
        """Show a number, or nothing."""
        self._shown = "" if value is None else plain(value)
        if not (self.hasFocus() and self.isModified()):
            self.setText(self._shown)

    def value(self) -> float | None:
        """The number written, None where there is none.

        Raises
        ------
        BenchError
        """
        written = self.text().strip().removesuffix(self.unit).strip()
        if not written:
            return None
        try:
            found = typed_number(written)
        except ValueError:
            raise BenchError(
                tr(
                    "{accessibleName}: “{written}” is no number",
                    accessibleName=self.accessibleName() or "this",
                    written=written,
                )
            ) from None
        if not self._low <= found <= self._high:
            raise BenchError(
                tr(
                    "{accessibleName} lies between {low:g} and {high:g}",
                    accessibleName=self.accessibleName() or "this",
                    low=self._low,
                    high=self._high,
                )
            )
        return found

    def _take(self) -> None:
        if self.text() == self._shown:
            return
        try:
            found = self.value()
        except BenchError as error:
            self.refused.emit(str(error))
            self.setText(self._shown)
            return
        self._shown = self.text()
        self.setModified(False)
        self.given.emit(found)


def with_unit(widget: QWidget, unit: str) -> QWidget:
    """A widget with its unit behind it."""
    return row(widget, text(unit, style="muted", wrap=False))


def flowing(*parts: QWidget, spacing: int = 12) -> QWidget:
    """Parts beside each other, in as many lines as the width asks for."""
    holder = QWidget()
    layout = FlowRow(holder, spacing)
    layout.setContentsMargins(0, 0, 0, 0)
    for part in parts:
        layout.addWidget(part)
    return holder


def scrolling(page: QWidget) -> tuple[QVBoxLayout, QVBoxLayout]:
    """A column that scrolls where there is too little room, and the page's own, in which more can stand below it."""
    whole, scroll, inside = QVBoxLayout(page), QScrollArea(), QWidget()
    whole.setContentsMargins(0, 0, 0, 0)
    scroll.setWidgetResizable(True)
    scroll.setFrameShape(QFrame.Shape.NoFrame)
    scroll.setHorizontalScrollBarPolicy(Qt.ScrollBarPolicy.ScrollBarAlwaysOff)
    scroll.setWidget(inside)
    whole.addWidget(scroll, 1)
    return QVBoxLayout(inside), whole


def row(*widgets: QWidget | None, spacing: int = 8) -> QWidget:
    """Widgets side by side, in as many lines as the width asks for; None stretches, and keeps them in one."""
    if None not in widgets:
        return flowing(*(w for w in widgets if w is not None), spacing=spacing)
    return together(*widgets, spacing=spacing)


def together(*widgets: QWidget | None, spacing: int = 8) -> QWidget:
    """Widgets that stay in one line, such as a field with its name and unit; None stretches."""
    holder = QWidget()
    layout = QHBoxLayout(holder)
    layout.setContentsMargins(0, 0, 0, 0)
    layout.setSpacing(spacing)
    for widget in widgets:
        if widget is None:
            layout.addStretch(1)
        else:
            layout.addWidget(widget)
    return holder


def named(words: str, field: QWidget) -> QWidget:
    """A field with its name before it and its unit behind, which stay together where a line is too short."""
    unit = text(field.unit, style="muted", wrap=False) if isinstance(field, NumberLine) and field.unit else None
    return together(text(words, style="muted", wrap=False), field, *([] if unit is None else [unit]))


def button(label: str, act: Callable[[], object], tip: str = "") -> QPushButton:
    """A button."""
    made = QPushButton(no_keys(label))
    made.clicked.connect(lambda: act())
    if tip:
        made.setToolTip(tip)
    return made


def choice(options: Sequence[tuple[str, object]], name: str = "") -> QComboBox:
    """A choice of (label, value)."""
    box = Choice()
    if name:
        box.setAccessibleName(name)
    refill(box, options)
    return box


def refill(box: QComboBox, options: Sequence[tuple[str, object]], chosen: object = None) -> None:
    """Give a choice new options without telling anybody, and choose one."""
    box.blockSignals(True)
    if [(box.itemText(i), box.itemData(i)) for i in range(box.count())] != list(options):
        box.clear()
        for label, value in options:
            box.addItem(label, value)
    index = next((i for i, (_, value) in enumerate(options) if value == chosen), 0)
    box.setCurrentIndex(index if options else -1)
    box.blockSignals(False)


class CellChoices(QStyledItemDelegate):
    """Lets a table's cells be written into, or chosen from where `options_of` gives choices for (row, column)."""

    def __init__(self, options_of: Callable[[int, int], Sequence[str] | None], parent: QTableWidget) -> None:
        super().__init__(parent)
        self._options_of = options_of

    def createEditor(self, parent: QWidget, option: QStyleOptionViewItem, index: Index) -> QWidget:
        options = self._options_of(index.row(), index.column())
        if options is None:
            return super().createEditor(parent, option, index)
        box = QComboBox(parent)
        box.addItems(list(options))
        box.activated.connect(lambda: self.commitData.emit(box))
        box.activated.connect(lambda: self.closeEditor.emit(box))
        return box

    def setEditorData(self, editor: QWidget, index: Index) -> None:
        if isinstance(editor, QComboBox):
            editor.setCurrentText(str(index.data() or ""))
            editor.showPopup()
        else:
            super().setEditorData(editor, index)

    def setModelData(self, editor: QWidget, model: QAbstractItemModel, index: Index) -> None:
        if isinstance(editor, QComboBox):
            model.setData(index, editor.currentText())
        else:
            super().setModelData(editor, model, index)


def bar_height(table: QTableWidget) -> int:
    """What the bar takes by which a table is moved sideways; 0 where it is wide enough."""
    beyond = table.horizontalHeader().length() > table.viewport().width()
    return table.horizontalScrollBar().sizeHint().height() if beyond else 0


_ROW_AIR = 5  # px above and below the words together


@guarded
class WritingTable(QTableWidget):
    """A plain table one writes into: `written` tells row, column and text of a cell that a person changed."""

    written = Signal(int, int, str)

    def __init__(
        self,
        columns: Sequence[str],
        name: str,
        options_of: Callable[[int, int], Sequence[str] | None] | None = None,
        stretch: int | None = None,
    ) -> None:
        super().__init__(0, len(columns))
        self._filling, self._stretch = False, stretch
        self._most: int | None = None
        self.setHorizontalHeaderLabels(list(columns))
        self.setAccessibleName(name)
        self.verticalHeader().hide()
        self.setShowGrid(False)
        self.setTabKeyNavigation(False)
        self.setSelectionMode(QAbstractItemView.SelectionMode.SingleSelection)
        self.setEditTriggers(
            QAbstractItemView.EditTrigger.DoubleClicked
            | QAbstractItemView.EditTrigger.EditKeyPressed
            | QAbstractItemView.EditTrigger.AnyKeyPressed
            | QAbstractItemView.EditTrigger.SelectedClicked
        )
        header = self.horizontalHeader()
        header.setDefaultAlignment(Qt.AlignmentFlag.AlignLeft)
        header.setHighlightSections(False)
        header.setSectionResizeMode(QHeaderView.ResizeMode.ResizeToContents)
        if stretch is not None:
            header.setSectionResizeMode(stretch, QHeaderView.ResizeMode.Stretch)
        if options_of is not None:
            self.setItemDelegate(CellChoices(options_of, self))
        self.cellChanged.connect(self._changed)

    def fill(self, rows: Sequence[Sequence[str]], fixed: Sequence[int] = (), data: Sequence[object] = ()) -> None:
        """Show rows of text; columns in `fixed` cannot be written into. What is the same is left alone."""
        self._filling = True
        self.setRowCount(len(rows))
        for i, cells in enumerate(rows):
            for j, content in enumerate(cells):
                item = self.item(i, j)
                if item is None:
                    item = QTableWidgetItem()
                    self.setItem(i, j, item)
                if item.text() != content:
                    item.setText(content)
                flags = Qt.ItemFlag.ItemIsEnabled | Qt.ItemFlag.ItemIsSelectable
                flags = flags if j in fixed else flags | Qt.ItemFlag.ItemIsEditable
                if (
                    item.flags() != flags
                ):  # any change makes the view read an open editor anew, and typing would be lost
                    item.setFlags(flags)
                if j == 0 and i < len(data) and item.data(Qt.ItemDataRole.UserRole) != data[i]:
                    item.setData(Qt.ItemDataRole.UserRole, data[i])
        self._filling = False

    def fit(self, most: int = 12) -> None:
        """As tall as its rows, up to so many, whatever its width becomes."""
        self._most = most
        self._take_height()

    def resizeEvent(self, event: QResizeEvent) -> None:
        super().resizeEvent(event)
        if self._most is not None and event.size().width() != event.oldSize().width():
            self._take_height()

    def _take_height(self) -> None:
        header = self.horizontalHeader()
        wide = sum(max(header.sectionSizeHint(i), self.sizeHintForColumn(i)) for i in range(self.columnCount()))
        beyond = wide > self.viewport().width()
        if self._stretch is not None:  # where there is too little room it would be all that gives way
            mode = QHeaderView.ResizeMode.ResizeToContents if beyond else QHeaderView.ResizeMode.Stretch
            header.setSectionResizeMode(self._stretch, mode)
        for i in range(self.rowCount()):  # Qt's own way asks the hidden head at the side, too, once that was seen
            self.setRowHeight(i, self.sizeHintForRow(i) + _ROW_AIR)
        rows = sum(self.rowHeight(i) for i in range(min(self.rowCount(), self._most or 0)))
        self.setFixedHeight(max(header.sizeHint().height() + rows + bar_height(self) + 6, 48))

    def data_of(self, row_number: int) -> object:
        item = self.item(row_number, 0)
        return None if item is None else item.data(Qt.ItemDataRole.UserRole)

    def _changed(self, row_number: int, column: int) -> None:
        if not self._filling:
            item = self.item(row_number, column)
            self.written.emit(row_number, column, item.text() if item is not None else "")
